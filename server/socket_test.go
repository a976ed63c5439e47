package server_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/replica"
	"azzel/core/sample"
	"azzel/e2e/database"
	"azzel/server"
	"encoding/json"
	"fmt"
	"math/rand/v2"
	"net/http"
	"net/url"
	"strings"
	"testing"
	"time"

	"github.com/fasthttp/websocket"
)

// heard is a message as it comes from the server.
type heard struct {
	T      string
	Mark   edit.Mark
	Why    string
	Rows   []replica.Row
	People []struct{ Client, Name string }
	Client string
	X, Y   int
}

// wire is an open socket.
type wire struct {
	*desk
	conn *websocket.Conn
}

func (d *desk) connect(origin string) (*websocket.Conn, *http.Response, error) {
	at, _ := url.Parse(d.base)
	if answer, err := d.client.Get(d.base + "/api/session"); err != nil {
		return nil, nil, err
	} else {
		_ = answer.Body.Close()
	}
	header := http.Header{}
	if origin != "" {
		header.Set("Origin", origin)
	}
	for _, c := range d.client.Jar.Cookies(at) {
		header.Add("Cookie", c.Name+"="+c.Value)
	}
	return websocket.DefaultDialer.Dial("ws://"+at.Host+"/live/"+project, header)
}

// dial opens a socket and says hello from the present state.
func (d *desk) dial() *wire {
	d.Helper()
	return d.dialAs(document.NewID(), 0)
}

func (d *desk) dialAs(client document.ID, since int64) *wire {
	d.Helper()
	conn, _, err := d.connect(d.base)
	d.must(err)
	d.Cleanup(func() { _ = conn.Close() })
	k := &wire{d, conn}
	k.say(d.hello(client, since))
	return k
}

// hello is what a page says that was opened when the log had since edits.
func (d *desk) hello(client document.ID, since int64) map[string]any {
	d.Helper()
	p, err := d.store.Project(ctx, project)
	d.must(err)
	last, err := d.store.Last(ctx, project, since)
	d.must(err)
	return map[string]any{"t": "hello", "format": server.Format, "client": client, "since": since, "born": p.Born, "last": last}
}

func (k *wire) say(m any) {
	k.Helper()
	k.must(k.conn.WriteJSON(m))
}

// next is the next message, or an error once the server closed.
func (k *wire) next() (heard, error) {
	var m heard
	_ = k.conn.SetReadDeadline(time.Now().Add(20 * time.Second))
	err := k.conn.ReadJSON(&m)
	return m, err
}

// hear skips to the next message of a type.
func (k *wire) hear(t string) heard {
	k.Helper()
	for {
		m, err := k.next()
		if err != nil {
			k.Fatalf("waiting for %q: %v", t, err)
		}
		if m.T == t {
			return m
		}
	}
}

func TestSocketOrigin(t *testing.T) {
	d := newDesk(t)
	for _, origin := range []string{"http://elsewhere.test", "", "null", "http://127.0.0.1:1"} {
		conn, answer, err := d.connect(origin)
		if err == nil {
			_ = conn.Close()
			t.Errorf("a socket from %q was opened", origin)
		} else if answer == nil || answer.StatusCode != 403 {
			t.Errorf("a socket from %q got %v", origin, answer)
		}
	}
}

func TestSocketBadMessages(t *testing.T) {
	d := newDesk(t)
	before := d.hash()
	// before hello
	for _, first := range []string{`garbage`, `{"t":"edit"}`, `{"t":"hello","format":1,"client":"x","since":0}`, `{"t":"hello","format":1,"client":"clientclient","since":-5}`} {
		conn, _, err := d.connect(d.base)
		d.must(err)
		d.must(conn.WriteMessage(websocket.TextMessage, []byte(first)))
		k := &wire{d, conn}
		if m, err := k.next(); err == nil && m.T != "sorry" {
			t.Errorf("%s was answered with %q", first, m.T)
		}
		if _, err := k.next(); err == nil {
			t.Errorf("after %s the socket stayed open", first)
		}
		_ = conn.Close()
	}
	conn, _, err := d.connect(d.base)
	d.must(err)
	stale := &wire{d, conn}
	stale.say(map[string]any{"t": "hello", "format": 999, "client": "clientclient", "since": 0})
	if m, err := stale.next(); err != nil || m.T != "stale" {
		t.Errorf("another format was answered with %q, %v", m.T, err)
	}
	_ = conn.Close()

	// after it: each is answered, and the socket goes on
	k := d.dial()
	for _, bad := range []string{`garbage`, `{"t":"dance"}`, `[]`, "\x00\xff"} {
		d.must(k.conn.WriteMessage(websocket.TextMessage, []byte(bad)))
		if m := k.hear("sorry"); !strings.HasSuffix(m.Why, "nothing was changed.") {
			t.Errorf("%q was answered with %q", bad, m.Why)
		}
	}
	for _, bad := range []string{`null`, `{}`, `{"v":1,"client":"clientclient","number":1,"label":{"kind":"do","text":""},"do":[]}`,
		`{"v":1,"client":"clientclient","number":7,"label":{"kind":"do","text":""},"do":[{"op":"explode","ref":{"type":"map"}}]}`} {
		k.say(map[string]any{"t": "edit", "edit": json.RawMessage(bad)})
		if m := k.hear("refused"); m.Why == "" {
			t.Errorf("%s was refused without a reason", bad)
		}
	}
	if after := d.hash(); after != before {
		t.Error("a bad message changed the project")
	}
	// what names things that are not there is stored as an edit that does nothing
	for i, do := range []edit.Primitive{
		edit.Set(edit.Ref{Type: edit.TypeMap, ID: "nothinghere2"}, "name", "X"),
		edit.Remove(edit.Ref{Type: edit.TypeEntity, Map: "nothinghere2", ID: sample.Door}),
	} {
		k.say(map[string]any{"t": "edit", "edit": json.RawMessage(someEdit("clientclient", int64(i+1), do))})
		if m := k.hear("rows"); len(m.Rows) != 1 || m.Rows[0].Edit != nil {
			t.Errorf("an edit of nothing gave %+v", m)
		}
	}
	if after := d.hash(); after[1:] != before[1:] {
		t.Error("an edit of nothing changed the project")
	}
	// a message over the limit ends the socket
	d.must(k.conn.WriteMessage(websocket.TextMessage, []byte(`{"t":"edit","edit":"`+strings.Repeat("x", 600<<10)+`"}`)))
	for {
		if _, err := k.next(); err != nil {
			break
		}
	}
}

// An edit comes back without its steps to the page that made it, whether it came over the socket or, being large, was posted; to others it comes whole.
func TestOwnEditsComeBackShort(t *testing.T) {
	d := newDesk(t)
	mine, other := d.dialAs("clientmineaa", 0), d.stranger().dialAs("clientother2", 0)
	mine.hear("people")
	other.hear("people")
	for n := int64(1); n <= 2; n++ {
		if n == 1 {
			mine.say(map[string]any{"t": "edit", "edit": json.RawMessage(name("clientmineaa", n, "Over the socket"))})
		} else if status, body, _ := d.do("POST", "/api/projects/"+project+"/edits", name("clientmineaa", n, "Posted")); status != 200 {
			t.Fatalf("%d %s", status, body)
		}
		if row := mine.hear("rows").Rows[0]; row.Mark.Number != n || row.Edit != nil {
			t.Errorf("edit %d came back as %v, whole: %t", n, row.Mark, row.Edit != nil)
		}
		if row := other.hear("rows").Rows[0]; row.Mark.Number != n || row.Edit == nil {
			t.Errorf("edit %d came to the other as %v, whole: %t", n, row.Mark, row.Edit != nil)
		}
	}
}

func TestPeopleAndPointers(t *testing.T) {
	d := newDesk(t)
	a := d.dialAs("aaaaaaaaaaaa", 0)
	a.hear("people")
	b := d.dialAs("bbbbbbbbbbbb", 0)
	if m := a.hear("people"); len(m.People) != 2 {
		t.Errorf("here are %v", m.People)
	}
	b.say(map[string]any{"t": "pointer", "map": sample.Quay, "x": 17, "y": -3})
	if m := a.hear("pointer"); m.Client != "bbbbbbbbbbbb" || m.X != 17 || m.Y != -3 {
		t.Errorf("the pointer is %+v", m)
	}
	_ = b.conn.Close()
	if m := a.hear("people"); len(m.People) != 1 {
		t.Errorf("after one left, here are %v", m.People)
	}
}

// Three designers, two servers on one database: whatever the interleaving, all
// end with the document that is stored.
func TestDesignersOnTwoServersConverge(t *testing.T) {
	d := newDesk(t)
	second := *d
	second.store = database.Open(t, d.dsn)
	second.base = d.serve(second.store)
	const edits = 40
	type designer struct {
		*wire
		copy *replica.Replica
	}
	var all []designer
	for i, at := range []*desk{d, &second, d} {
		client := document.ID(strings.Repeat(string(rune('a'+i)), 12))
		all = append(all, designer{at.dialAs(client, 0), replica.New("personperson", client, sample.World(), 0)})
	}
	done := make(chan error, len(all))
	for i, k := range all {
		go func() {
			r := rand.New(rand.NewPCG(uint64(i), 9))
			made := 0
			for {
				if made < edits && (r.IntN(3) > 0 || len(k.copy.Pending()) == 0) {
					made++
					var e *edit.Edit
					var err error
					if r.IntN(6) == 0 {
						e, _, err = k.copy.Undo()
					} else {
						e, _, err = k.copy.Make(sample.Primitives(r, k.copy.Current), edit.Label{Text: "Random"})
					}
					if err == nil && e != nil {
						if err := k.conn.WriteJSON(map[string]any{"t": "edit", "edit": json.RawMessage(edit.JSON(e))}); err != nil {
							done <- err
							return
						}
					}
					if made < edits {
						continue
					}
				}
				if made == edits && len(k.copy.Pending()) == 0 {
					done <- nil
					return
				}
				m, err := k.next()
				if err != nil {
					done <- fmt.Errorf("designer %d: %w", i, err)
					return
				}
				if m.T == "refused" {
					done <- fmt.Errorf("designer %d was refused: %s", i, m.Why)
					return
				}
				if m.T == "rows" {
					if _, err := k.copy.Receive(m.Rows); err != nil {
						done <- fmt.Errorf("designer %d: %w", i, err)
						return
					}
				}
			}
		}()
	}
	for range all {
		d.must(<-done)
	}
	stored := d.hash()
	for i, k := range all {
		for fmt.Sprint(k.copy.Seq, k.copy.Current.Hash()) != stored {
			m, err := k.next()
			if err != nil {
				t.Fatalf("designer %d has %d, %.8s, stored is %.12s: %v", i, k.copy.Seq, k.copy.Current.Hash(), stored, err)
			}
			if m.T == "rows" {
				_, err := k.copy.Receive(m.Rows)
				d.must(err)
			}
		}
	}
}
