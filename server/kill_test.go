package server_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/replica"
	"azzel/core/sample"
	"azzel/server"
	"azzel/store"
	"azzel/store/cluster"
	"bufio"
	"encoding/json"
	"fmt"
	"math/rand/v2"
	"net"
	"net/http"
	"net/url"
	"os"
	"os/exec"
	"path/filepath"
	"strconv"
	"strings"
	"sync"
	"sync/atomic"
	"syscall"
	"testing"
	"time"

	"github.com/fasthttp/websocket"
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

// built is the server's program, and an address that it can listen on.
func built(t *testing.T) (binary, listen string) {
	t.Helper()
	binary = filepath.Join(t.TempDir(), "azzel")
	if out, err := exec.Command("go", "build", "-o", binary, "azzel/cmd/azzel").CombinedOutput(); err != nil {
		t.Fatalf("build: %v\n%s", err, out)
	}
	l, err := net.Listen("tcp", "127.0.0.1:0")
	if err == nil {
		err = l.Close()
	}
	if err != nil {
		t.Fatal(err)
	}
	return binary, l.Addr().String()
}

// page is a designer's page outside a browser: a replica, a socket that is opened
// anew whenever it breaks, and what is not confirmed yet.
type page struct {
	base   string
	client *http.Client
	born   string
	last   edit.Mark
	*replica.Replica
	// confirmed counts this page's own edits that came back.
	confirmed int
}

func (p *page) connect() (*websocket.Conn, error) {
	at, err := url.Parse(p.base)
	if err != nil {
		return nil, err
	}
	answer, err := p.client.Get(p.base + "/api/session")
	if err != nil {
		return nil, err
	}
	_ = answer.Body.Close()
	header := http.Header{"Origin": {p.base}}
	for _, c := range p.client.Jar.Cookies(at) {
		header.Add("Cookie", c.Name+"="+c.Value)
	}
	conn, _, err := websocket.DefaultDialer.Dial("ws://"+at.Host+"/live/"+project, header)
	if err != nil {
		return nil, err
	}
	err = conn.WriteJSON(map[string]any{"t": "hello", "format": server.Format, "client": p.Client, "since": p.Seq, "born": p.born, "last": p.last})
	for _, e := range p.Pending() {
		if err == nil {
			err = conn.WriteJSON(map[string]any{"t": "edit", "edit": json.RawMessage(edit.JSON(e))})
		}
	}
	return conn, err
}

// session works on one connection until it breaks: it goes on making edits while
// more is true, and ends without an error once everything is confirmed.
func (p *page) session(r *rand.Rand, more func() bool, confirmed *atomic.Int64) error {
	conn, err := p.connect()
	if err != nil {
		return err
	}
	defer conn.Close()
	for {
		going := more()
		if !going && len(p.Pending()) == 0 {
			return nil
		}
		for going && len(p.Pending()) < 6 {
			e, _, err := p.Make(sample.Primitives(r, p.Current), edit.Label{Text: "x"})
			if err != nil {
				continue // nothing of it could be done here
			}
			if err := conn.WriteJSON(map[string]any{"t": "edit", "edit": json.RawMessage(edit.JSON(e))}); err != nil {
				return err
			}
		}
		_ = conn.SetReadDeadline(time.Now().Add(10 * time.Second))
		var m heard
		if err := conn.ReadJSON(&m); err != nil {
			return err
		}
		switch m.T {
		case "rows":
			before := len(p.Pending())
			if _, err := p.Receive(m.Rows); err != nil {
				return fmt.Errorf("parted for good: %w", err)
			}
			p.last = m.Rows[len(m.Rows)-1].Mark
			p.confirmed += before - len(p.Pending())
			confirmed.Add(int64(before - len(p.Pending())))
		case "refused":
			p.Refuse(m.Mark)
		case "parted", "stale", "sorry":
			return fmt.Errorf("the server said %q: %s", m.T, m.Why)
		}
	}
}

// kills is how often server or database are killed: 20 times in the normal run, as
// often as “./azzel soak” says in that.
func kills(t *testing.T) int {
	text := os.Getenv("AZZEL_KILLS")
	if text == "" {
		return 20
	}
	n, err := strconv.Atoi(text)
	if err != nil {
		t.Fatalf("AZZEL_KILLS is %q", text)
	}
	return n
}

// Server and database are killed with -9 at random moments while three designers
// work: nothing acknowledged is missing, nothing kept is lost, nothing is stored
// twice, all pages end with the same, and so does the log replayed from nothing.
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
	made, err := d.store.NewProject(ctx, project, sample.World(), owner.ID)
	d.must(err)
	born, err := d.store.Project(ctx, made.ID)
	d.must(err)
	binary, listen := built(t)
	d.base = "http://" + listen

	server := process(t, binary, d.dsn, listen)
	var confirmed atomic.Int64
	var done atomic.Bool
	var work sync.WaitGroup
	var pages []*page
	for i := range 3 {
		id := document.ID(fmt.Sprintf("client%c22222", 'a'+i))
		p := &page{base: d.base, client: browser(t), born: born.Born, Replica: replica.New(id, id, sample.World(), 0)}
		pages = append(pages, p)
		work.Go(func() {
			r := rand.New(rand.NewPCG(uint64(i), 11))
			for end := time.Now().Add(time.Hour); time.Now().Before(end); {
				err := p.session(r, func() bool { return !done.Load() }, &confirmed)
				if err == nil {
					return
				}
				if strings.Contains(err.Error(), "parted") || strings.Contains(err.Error(), "said") {
					t.Errorf("page %d: %v", i, err)
					return
				}
			}
		})
	}
	r := rand.New(rand.NewPCG(7, 20))
	wait := func(edits int64) {
		t.Helper()
		within(t, 60*time.Second, func() bool { return confirmed.Load() >= edits || t.Failed() })
	}
	for range kills(t) {
		wait(confirmed.Load() + 1 + r.Int64N(40))
		if r.IntN(2) == 0 {
			d.must(server.Process.Kill())
			_ = server.Wait()
			server = process(t, binary, d.dsn, listen)
		} else {
			c.Kill()
			d.must(c.Restart())
		}
	}
	wait(confirmed.Load() + 20)
	done.Store(true)
	work.Wait()

	d.must(d.store.Ready(ctx))
	rows := map[edit.Mark]int{}
	replayed := sample.World()
	for seq := int64(0); ; {
		some, err := d.store.Rows(ctx, project, seq, 500)
		d.must(err)
		if len(some) == 0 {
			break
		}
		for _, row := range some {
			if row.Seq != seq+1 {
				t.Fatalf("edit %d comes after edit %d", row.Seq, seq)
			}
			seq = row.Seq
			e, err := edit.Read(row.Edit)
			d.must(err)
			rows[e.Mark]++
			replayed = edit.Apply(replayed, e).Doc
		}
	}
	own := 0
	for i, p := range pages {
		own += p.confirmed
		for n := range p.confirmed {
			if rows[edit.Mark{Client: p.Client, Number: int64(n + 1)}] > 1 {
				t.Errorf("page %d: edit %d is stored more than once", i, n+1)
			}
		}
	}
	if own != len(rows) || own < kills(t) {
		t.Errorf("%d edits were acknowledged, %d are stored", own, len(rows))
	}
	log := store.NewLog(d.store)
	t.Cleanup(log.Close)
	doc, seq, err := log.State(ctx, project)
	d.must(err)
	if doc.Hash() != replayed.Hash() {
		t.Error("the log replayed from nothing gives another project than is opened")
	}
	for i, p := range pages {
		// the last rows of the others may not have come before it ended
		for p.Seq < seq {
			some, err := d.store.Rows(ctx, project, p.Seq, 500)
			d.must(err)
			for _, row := range some {
				e, err := edit.Read(row.Edit)
				d.must(err)
				_, err = p.Receive([]replica.Row{{Seq: row.Seq, Person: document.ID(row.PersonID), Mark: e.Mark, Edit: e}})
				d.must(err)
			}
		}
		if p.Confirmed.Hash() != replayed.Hash() || p.Current.Hash() != replayed.Hash() {
			t.Errorf("page %d ends with another project than is stored", i)
		}
	}
	d.must(server.Process.Signal(syscall.SIGINT))
	d.must(server.Wait())
}

// within waits until a condition holds.
func within(t *testing.T, limit time.Duration, condition func() bool) {
	t.Helper()
	for end := time.Now().Add(limit); !condition(); time.Sleep(2 * time.Millisecond) { // between two looks
		if time.Now().After(end) {
			t.Fatalf("nothing came within %v", limit)
		}
	}
}
