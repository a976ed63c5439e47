package main

import (
	"bufio"
	"net/http"
	"os"
	"os/exec"
	"path/filepath"
	"strings"
	"syscall"
	"testing"
	"time"
)

// A second start in the same folder leaves the first one alone and says where it
// is; told to stop, it is gone within seconds and can be started again.
func TestSecondStart(t *testing.T) {
	binary := filepath.Join(t.TempDir(), "azzel")
	if out, err := exec.Command("go", "build", "-o", binary, ".").CombinedOutput(); err != nil {
		t.Fatalf("build: %v\n%s", err, out)
	}
	// where the user postgres may look into it
	folder, err := os.MkdirTemp("/var/tmp", "azzel-test-")
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { _ = os.RemoveAll(folder) })
	if err := os.Chmod(folder, 0o755); err != nil {
		t.Fatal(err)
	}
	begin := func() (*exec.Cmd, string) {
		t.Helper()
		first := exec.Command(binary, "demo", "--port", "0")
		first.Dir = folder
		out, err := first.StdoutPipe()
		if err == nil {
			err = first.Start()
		}
		if err != nil {
			t.Fatal(err)
		}
		t.Cleanup(func() {
			_ = first.Process.Signal(syscall.SIGINT)
			_ = first.Wait()
		})
		line, _ := bufio.NewReader(out).ReadString('\n')
		_, address, ok := strings.Cut(strings.TrimSpace(line), "ready: open ")
		if !ok {
			t.Fatalf("the start said %q", line)
		}
		return first, address
	}
	first, address := begin()
	second := exec.Command(binary, "demo")
	second.Dir = folder
	out, err := second.CombinedOutput()
	if err != nil || string(out) != "Azzel runs here already: open "+address+"\n" {
		t.Errorf("the second start said %q, %v; the first is at %s", out, err, address)
	}
	base := address[:strings.Index(address, "/p/")]
	answer, err := http.Get(base + "/api/session")
	if err != nil || answer.StatusCode != http.StatusOK {
		t.Fatalf("the first does not answer any more: %v", err)
	}
	_ = answer.Body.Close()
	start := time.Now()
	if err := first.Process.Signal(syscall.SIGINT); err != nil {
		t.Fatal(err)
	}
	if err := first.Wait(); err != nil {
		t.Errorf("it ended with %v", err)
	}
	if took := time.Since(start); took > 4*time.Second {
		t.Errorf("stopping took %v", took)
	}
	begin()
}

// The database's address holds a password, and every user of a machine can read
// how its processes were called.
func TestAddressIsNotAnArgument(t *testing.T) {
	t.Setenv("AZZEL_DATABASE", "")
	for _, args := range [][]string{{"serve", "--database", "host=127.0.0.1 password=secret"}, {"serve"}, {"serve", "--database-file", "/nowhere"}} {
		if err := run(args); err == nil || strings.Contains(err.Error(), "secret") {
			t.Errorf("%v gave %v", args, err)
		}
	}
}
