package server_test

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/sample"
	"bytes"
	"encoding/json"
	"fmt"
	"os"
	"regexp"
	"slices"
	"strconv"
	"strings"
	"sync"
	"sync/atomic"
	"testing"
	"time"
)

// resident is how many megabytes of memory a process has, and the most that it had, as Linux counts them.
func resident(t *testing.T, pid int) (now, most int) {
	t.Helper()
	text, err := os.ReadFile(fmt.Sprintf("/proc/%d/status", pid))
	if err != nil {
		t.Fatal(err)
	}
	of := func(name string) int {
		found := regexp.MustCompile(name + `:\s+(\d+) kB`).FindSubmatch(text)
		if found == nil {
			t.Fatalf("there is no %s in %s", name, text)
		}
		n, _ := strconv.Atoi(string(found[1]))
		return n >> 10
	}
	return of("VmRSS"), of("VmHWM")
}

func clientOf(i int) document.ID {
	return document.ID(fmt.Sprintf("client%c%c2222", 'a'+i%26, 'a'+i/26))
}

// TestServerBench prints what memory the built server has with 50 open sockets on a project of 512×512 cells in six layers, before
// and after they made 1,000 edits a second for five seconds, and how long an edit took to come back to who made it.
func TestServerBench(t *testing.T) {
	if os.Getenv("AZZEL_BENCH") == "" {
		t.Skip("only in ./azzel bench")
	}
	const designers, each = 50, 100
	doc := sample.Square(512, 6, 6)
	layer := doc.Maps.Get(sample.Large).LayersInOrder()[0].ID
	d := newDeskOf(t, doc)
	binary, listen := built(t)
	server := process(t, binary, d.dsn, listen)
	d.base = "http://" + listen
	wires := make([]*wire, designers)
	for i := range wires {
		wires[i] = d.dialAs(clientOf(i), 0)
		wires[i].hear("people")
	}
	idle, _ := resident(t, server.Process.Pid)
	var all sync.WaitGroup
	var wrong atomic.Pointer[error]
	took := make([]time.Duration, designers*each)
	begun := time.Now()
	at := func(i, n int) time.Time {
		return begun.Add(time.Duration(n)*50*time.Millisecond + time.Duration(i)*time.Millisecond)
	}
	for i, k := range wires {
		client := clientOf(i)
		sent := make([]time.Time, each)
		all.Go(func() { // what comes back
			for back := 0; back < each; {
				_, data, err := k.conn.ReadMessage()
				if err != nil || bytes.HasPrefix(data, []byte(`{"t":"refused"`)) {
					err = fmt.Errorf("page %d: %s %w", i, data, err)
					wrong.Store(&err)
					return
				}
				if !bytes.HasPrefix(data, []byte(`{"t":"rows"`)) {
					continue
				}
				// 50,000 rows a second are read here, beside the server on the same machine: only one's own are looked for
				for range bytes.Count(data, []byte(client)) {
					took[i*each+back] = time.Since(sent[back])
					back++
				}
			}
		})
		all.Go(func() {
			for n := range each {
				time.Sleep(time.Until(at(i, n)))
				r := &grid.Region{}
				r.AddRect(grid.Rect{X: n % 15 * 4, Y: i, W: 4, H: 1})
				e := someEdit(client, int64(n+1), sample.Paint(sample.Large, layer, r, []cells.Cell{sample.Floor, sample.Wall}[n%2]))
				sent[n] = time.Now()
				if err := k.conn.WriteJSON(map[string]any{"t": "edit", "edit": json.RawMessage(e)}); err != nil {
					wrong.Store(&err)
					return
				}
			}
		})
	}
	all.Wait()
	if e := wrong.Load(); e != nil {
		t.Fatal(*e)
	}
	now, most := resident(t, server.Process.Pid)
	slices.Sort(took)
	ms := func(part int) string {
		return strings.TrimSuffix(fmt.Sprintf("%.2f", float64(took[len(took)*part/100].Microseconds())/1000), "0")
	}
	fmt.Println("server, 50 open sockets")
	fmt.Printf("  %-22s with none at work %d MB; afterwards %d MB; at the most %d MB\n", "memory", idle, now, most)
	fmt.Printf("  %-22s p50 %s ms; p95 %s ms\n", "edits, there and back", ms(50), ms(95))
}
