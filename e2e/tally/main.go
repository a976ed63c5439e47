// Command tally runs all tests, shows what fails and ends with a plain count.
package main

import (
	"bufio"
	"encoding/json"
	"fmt"
	"os"
	"os/exec"
	"strings"
	"time"
)

// event is one line of go test -json.
type event struct {
	Action  string
	Package string
	Test    string
	Output  string
	Elapsed float64
}

func main() {
	start := time.Now()
	args := append([]string{"test", "-json", "-timeout", "45m"}, os.Args[1:]...)
	cmd := exec.Command("go", append(args, "./...")...)
	cmd.Stderr = os.Stderr
	out, err := cmd.StdoutPipe()
	if err == nil {
		err = cmd.Start()
	}
	if err != nil {
		fmt.Fprintln(os.Stderr, "the tests could not be started:", err)
		os.Exit(1)
	}
	passed, failed, skipped := 0, 0, 0
	said := map[string]*strings.Builder{}
	lines := bufio.NewScanner(out)
	lines.Buffer(nil, 16<<20)
	for lines.Scan() {
		var e event
		if json.Unmarshal(lines.Bytes(), &e) != nil {
			fmt.Println(lines.Text())
			continue
		}
		key := e.Package + " " + e.Test
		switch e.Action {
		case "output", "build-output":
			if said[key] == nil {
				said[key] = &strings.Builder{}
			}
			said[key].WriteString(e.Output)
			continue
		case "pass", "fail", "skip":
		default:
			continue
		}
		top := e.Test != "" && !strings.Contains(e.Test, "/")
		switch {
		case e.Action == "fail" && (e.Test != "" || failed == 0):
			fmt.Print(text(said[key]))
		case e.Test == "" && e.Action == "pass":
			fmt.Printf("ok    %-28s %6.1f s\n", e.Package, e.Elapsed)
		}
		switch {
		case !top:
		case e.Action == "pass":
			passed++
		case e.Action == "fail":
			failed++
		default:
			skipped++
		}
		delete(said, key)
	}
	err = cmd.Wait()
	fmt.Printf("%d passed, %d failed", passed, failed)
	if skipped > 0 {
		fmt.Printf(", %d only on demand (bench, screenshots, golden log)", skipped)
	}
	fmt.Printf(" in %d s\n", int(time.Since(start).Seconds()))
	if err != nil || failed > 0 {
		os.Exit(1)
	}
}

func text(b *strings.Builder) string {
	if b == nil {
		return ""
	}
	return b.String()
}
