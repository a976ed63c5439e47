package server_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/sample"
	"azzel/store"
	"azzel/store/cluster"
	"bufio"
	"encoding/json"
	"fmt"
	"net"
	"os"
	"os/exec"
	"path/filepath"
	"strings"
	"syscall"
	"testing"
	"time"
)

// process is the built server, run as a process of its own so that it can be killed.
func process(t *testing.T, binary, dsn, listen string) *exec.Cmd {
	t.Helper()
	cmd := exec.Command(binary, "serve", "--listen", listen)
	cmd.Env = append(os.Environ(), "AZZEL_DATABASE="+dsn)
	out, err := cmd.StdoutPipe()
	if err != nil {
		t.Fatal(err)
	}
	if err := cmd.Start(); err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() {
		_ = cmd.Process.Kill()
		_ = cmd.Wait()
	})
	if line, _ := bufio.NewReader(out).ReadString('\n'); !strings.Contains(line, "ready") {
		t.Fatalf("the server said %q", line)
	}
	return cmd
}

// The server and then the database are killed with -9 while edits come in:
// nothing acknowledged is missing, nothing kept is lost, nothing is stored twice.
func TestKilledInTheMiddle(t *testing.T) {
	dir, err := os.MkdirTemp("/var/tmp", "azzel-test-")
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { _ = os.RemoveAll(dir) })
	if err := os.Chmod(dir, 0o755); err != nil {
		t.Fatal(err)
	}
	c, err := cluster.Start(filepath.Join(dir, "database"))
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { _ = c.Stop() })
	d := &desk{T: t, client: browser(t)}
	d.must(c.Create(ctx, "azzel", ""))
	d.dsn = c.DSN("azzel")
	d.store, err = store.Open(ctx, d.dsn)
	d.must(err)
	t.Cleanup(func() { _ = d.store.Close() })
	owner, _, err := d.store.NewPerson(ctx, "Owner")
	d.must(err)
	_, err = d.store.NewProject(ctx, project, sample.World(), owner.ID)
	d.must(err)
	binary := filepath.Join(t.TempDir(), "azzel")
	if out, err := exec.Command("go", "build", "-o", binary, "azzel/cmd/azzel").CombinedOutput(); err != nil {
		t.Fatalf("build: %v\n%s", err, out)
	}
	l, err := net.Listen("tcp", "127.0.0.1:0")
	d.must(err)
	listen := l.Addr().String()
	d.must(l.Close())
	d.base = "http://" + listen

	const client = document.ID("clientclient")
	number, acknowledged := int64(0), map[int64]bool{}
	raw := func(n int64) json.RawMessage {
		return someEdit(client, n, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Pearl}, "x", int(n)))
	}
	// work sends what is not acknowledged and goes on until the socket breaks
	work := func(kill func(), after int) {
		t.Helper()
		k := d.dialAs(client, 0)
		for n := int64(1); n <= number; n++ {
			if !acknowledged[n] {
				k.say(map[string]any{"t": "edit", "edit": raw(n)})
			}
		}
		heardOf := 0
		for {
			for range 5 {
				number++
				if k.conn.WriteJSON(map[string]any{"t": "edit", "edit": raw(number)}) != nil {
					break
				}
			}
			m, err := k.next()
			if err != nil {
				return
			}
			for _, row := range m.Rows {
				if row.Mark.Client == client && !acknowledged[row.Mark.Number] {
					acknowledged[row.Mark.Number] = true
					heardOf++
				}
			}
			if kill != nil && heardOf >= after {
				kill()
				kill = nil
			}
			if number > 4000 {
				t.Fatal("the socket did not break")
			}
		}
	}
	server := process(t, binary, d.dsn, listen)
	work(func() { d.must(server.Process.Kill()) }, 60)
	_ = server.Wait()
	killed := len(acknowledged)

	server = process(t, binary, d.dsn, listen)
	work(func() { c.Kill() }, 60)
	d.must(c.Restart())
	d.must(d.store.Ready(ctx))

	// the same server process goes on with the database that is back; like the
	// page, connect until it answers
	for end := time.Now().Add(20 * time.Second); ; {
		conn, _, err := d.connect(d.base)
		if err == nil {
			_ = conn.Close()
			break
		}
		if time.Now().After(end) {
			t.Fatalf("the server did not go on: %v", err)
		}
	}
	k := d.dialAs(client, 0)
	for n := int64(1); n <= number; n++ {
		k.say(map[string]any{"t": "edit", "edit": raw(n)}) // all of them again: repeats are known
	}
	stored := map[int64]int{}
	for len(stored) < int(number) {
		for _, row := range k.hear("rows").Rows {
			stored[row.Mark.Number]++
		}
	}
	rows, err := d.store.Rows(ctx, project, 0, 100_000)
	d.must(err)
	count := map[string]int{}
	for _, row := range rows {
		count[fmt.Sprint(row.Client, row.Number)]++
	}
	if len(count) != int(number) || len(rows) != int(number) {
		t.Errorf("%d edits were made, the log has %d rows of %d edits", number, len(rows), len(count))
	}
	for n := range acknowledged {
		if count[fmt.Sprint(client, n)] != 1 {
			t.Errorf("edit %d was acknowledged and is stored %d times", n, count[fmt.Sprint(client, n)])
		}
	}
	if killed < 60 || len(acknowledged) <= killed {
		t.Errorf("%d were acknowledged before the server was killed, %d in all", killed, len(acknowledged))
	}
	d.must(server.Process.Signal(syscall.SIGINT))
	ended := make(chan error, 1)
	go func() { ended <- server.Wait() }()
	select {
	case err := <-ended:
		d.must(err)
	case <-time.After(20 * time.Second):
		t.Error("the server did not stop when told to")
	}
}
