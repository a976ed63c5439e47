package server

import (
	"azzel/core/edit"
	"azzel/store"
	"context"
	"testing"
)

// logOf is a log of so many rows, in place of a database; asked counts how often rows were asked for, and meanwhile is done while they are.
type logOf struct {
	rows, asked int
	meanwhile   func()
}

func (l *logOf) after(_ context.Context, _ string, after int64, most int) (out []store.Row, err error) {
	l.asked++
	for n := after + 1; n <= int64(l.rows) && len(out) < most; n++ {
		out = append(out, store.Row{Seq: n, Client: "client222222", Number: n, Edit: []byte(`{"do":[]}`)})
	}
	if l.meanwhile != nil {
		l.meanwhile()
	}
	return out, nil
}

// A room asks the database only for what it was told of, or may have missed.
func TestARoomAsksForWhatIsThere(t *testing.T) {
	l := &logOf{rows: 3}
	h := &hub{logged: l.after, rooms: map[string]*room{}}
	r := &room{hub: h, project: "p", sockets: map[*socket]bool{}}
	h.rooms["p"] = r
	gives := func(what string, after int64, rows, asked int) {
		t.Helper()
		was := l.asked
		out, err := r.after(context.Background(), after)
		if err != nil || len(out) != rows || l.asked-was != asked {
			t.Errorf("%s: behind %d there are %d rows, and it was asked %d times: %v", what, after, len(out), l.asked-was, err)
		}
	}
	gives("at first", 3, 0, 1)
	gives("nobody told of any", 3, 0, 0)
	gives("what was not read yet", 0, 3, 1)
	gives("what was read", 1, 2, 0)
	l.rows = 5
	gives("before it is told of", 3, 0, 0)
	h.wake("p", 5)
	gives("told of", 3, 2, 1)
	gives("told of, for another socket", 3, 2, 0)
	gives("all of it", 5, 0, 0)
	h.wakeAll()
	gives("something may have been missed", 5, 0, 1)
	gives("nothing was", 5, 0, 0)
	l.rows = 6
	h.wakeAll()
	l.meanwhile = func() { l.rows, l.meanwhile = 7, nil; h.wakeAll() }
	gives("missed while it is asked for", 5, 1, 1)
	gives("asked for again", 6, 1, 1)
	gives("at the end", 7, 0, 0)
	l.rows = 7 + 2*sentRows
	h.wake("p", int64(l.rows))
	gives("more than one message carries", 7, sentRows, 1)
	gives("the rest", 7+sentRows, sentRows, 1)
}

// A row is sent with its steps, but to the page that has them already without.
func TestRowsAsTheyAreSent(t *testing.T) {
	var rows []sentRow
	for n := range int64(2) {
		row, err := newSentRow(store.Row{Seq: n + 1, PersonID: "somebody", Client: "client222222", Number: n + 1, Edit: []byte(`{"do":[]}`)})
		if err != nil {
			t.Fatal(err)
		}
		rows = append(rows, row)
	}
	k := &socket{sent: map[edit.Mark]bool{}}
	k.knows(rows[1].mark, true)
	want := `{"t":"rows","rows":[{"seq":1,"person":"somebody","mark":{"client":"client222222","number":1},"edit":{"do":[]}},` +
		`{"seq":2,"person":"somebody","mark":{"client":"client222222","number":2}}]}`
	if got := string(k.rows(nil, rows)); got != want {
		t.Errorf("sent is\n%s\nnot\n%s", got, want)
	}
	if len(k.sent) != 0 {
		t.Errorf("%v are still remembered", k.sent)
	}
}
