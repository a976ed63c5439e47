package store_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/sample"
	"azzel/e2e/database"
	"azzel/store"
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"math/rand/v2"
	"slices"
	"sync"
	"testing"
	"time"
)

const project = "projectproje"

var ctx = context.Background()

// opened is a store with the sample world in it, and its owner.
func opened(t testing.TB) (*store.Store, store.Person) {
	t.Helper()
	s := database.Open(t, database.Fresh(t))
	owner, _, err := s.NewPerson(ctx, "Owner")
	if err != nil {
		t.Fatal(err)
	}
	if _, err := s.NewProject(ctx, project, sample.World(), owner.ID); err != nil {
		t.Fatal(err)
	}
	return s, owner
}

func someEdit(client document.ID, number int64, do ...edit.Primitive) *edit.Edit {
	return &edit.Edit{V: edit.Version, Mark: edit.Mark{Client: client, Number: number}, Label: edit.Label{Kind: edit.Do, Text: "Test"}, Do: do}
}

func rename(name string) edit.Primitive {
	return edit.Set(edit.Ref{Type: edit.TypeProject}, "name", name)
}

func appended(t testing.TB, l *store.Log, person string, e *edit.Edit) int64 {
	t.Helper()
	a := <-l.Append(project, person, e)
	if a.Err != nil {
		t.Fatal(a.Err)
	}
	return a.Seq
}

func stateOf(t testing.TB, s *store.Store) (*document.Document, int64) {
	t.Helper()
	l := store.NewLog(s)
	defer l.Close()
	d, seq, err := l.State(ctx, project)
	if err != nil {
		t.Fatal(err)
	}
	return d, seq
}

func TestSameEditTwice(t *testing.T) {
	s, owner := opened(t)
	l := store.NewLog(s)
	defer l.Close()
	e := someEdit("clientclient", 1, rename("Once"))
	first := appended(t, l, owner.ID, e)
	if again := appended(t, l, owner.ID, e); again != first {
		t.Errorf("the same edit got %d and then %d", first, again)
	}
	// twice in one batch, and through another process
	f := someEdit("clientclient", 2, rename("Twice"))
	a, b := l.Append(project, owner.ID, f), l.Append(project, owner.ID, f)
	if x, y := <-a, <-b; x.Seq != y.Seq || x.Err != nil {
		t.Errorf("in one batch it got %+v and %+v", x, y)
	}
	other := store.NewLog(s)
	defer other.Close()
	if again := appended(t, other, owner.ID, e); again != first {
		t.Errorf("another process gave it %d", again)
	}
	if _, seq := stateOf(t, s); seq != 2 {
		t.Errorf("the log has %d edits", seq)
	}
	known, err := s.Stored(ctx, project, []edit.Mark{f.Mark, {Client: "clientclient", Number: 9}, {Client: "a\x00b", Number: 1}, {Client: "a\"'\xff", Number: 2}})
	if err != nil || len(known) != 1 || known[0] != f.Mark {
		t.Errorf("stored are %v, %v", known, err)
	}
}

// Several processes on one database give every edit a number of its own and
// end with one document.
func TestProcessesAgreeOnTheOrder(t *testing.T) {
	s, owner := opened(t)
	var work sync.WaitGroup
	var logs []*store.Log
	for i := range 3 {
		l := store.NewLog(s)
		logs = append(logs, l)
		work.Add(1)
		go func() {
			defer work.Done()
			r := rand.New(rand.NewPCG(uint64(i), 1))
			d := sample.World()
			for n := range 60 {
				e := someEdit(document.ID(fmt.Sprintf("client%c%c%c%c%c%c", 'a'+i, 'a', 'a', 'a', 'a', 'a')), int64(n+1), sample.Primitives(r, d)...)
				if e.Check() != nil {
					continue
				}
				if a := <-l.Append(project, owner.ID, e); a.Err != nil {
					t.Error(a.Err)
					return
				}
				d = edit.Apply(d, e).Doc
			}
		}()
	}
	work.Wait()
	want, seq := stateOf(t, s)
	// the log, applied from the beginning, gives the same
	rows, err := s.Rows(ctx, project, 0, 1000)
	if err != nil {
		t.Fatal(err)
	}
	replayed := sample.World()
	for i, row := range rows {
		if row.Seq != int64(i+1) {
			t.Fatalf("row %d has number %d", i, row.Seq)
		}
		e, err := edit.Decode(row.Sent().Edit)
		if err != nil {
			t.Fatal(err)
		}
		replayed = edit.Apply(replayed, e).Doc
	}
	if replayed.Hash() != want.Hash() || int64(len(rows)) != seq {
		t.Errorf("%d rows replay to %.8s, the state after %d is %.8s", len(rows), replayed.Hash(), seq, want.Hash())
	}
	for _, l := range logs {
		d, n, err := l.State(ctx, project)
		if err != nil || n != seq || d.Hash() != want.Hash() {
			t.Errorf("a process sees edit %d, %.8s, %v", n, d.Hash(), err)
		}
		l.Close()
	}
}

func TestSnapshotsShortenTheWayAndLoseNothing(t *testing.T) {
	s, owner := opened(t)
	l := store.NewLog(s)
	var last <-chan store.Answer
	for n := range 950 {
		e := someEdit("clientclient", int64(n+1), rename(fmt.Sprintf("Name %d", n)))
		last = l.Append(project, owner.ID, e)
	}
	if a := <-last; a.Err != nil {
		t.Fatal(a.Err)
	}
	l.Close()
	d, seq := stateOf(t, s)
	if seq != 950 || d.Project.Name != "Name 949" {
		t.Errorf("edit %d, called %q", seq, d.Project.Name)
	}
	p, err := s.Project(ctx, project)
	if err != nil || p.Name != "Name 949" || p.Head != 950 {
		t.Errorf("the list of projects has %+v, %v", p, err)
	}
}

func TestClosedLogRefuses(t *testing.T) {
	s, owner := opened(t)
	l := store.NewLog(s)
	l.Close()
	e := someEdit("clientclient", 1, rename("Late"))
	if a := <-l.Append(project, owner.ID, e); !errors.Is(a.Err, store.ErrClosed) {
		t.Errorf("a closed log answered %+v", a)
	}
	if _, _, err := l.State(ctx, "nothinghere2"); !errors.Is(err, store.ErrNotFound) {
		t.Errorf("a project that is not there gave %v", err)
	}
}

// What can be undone and redone after a reload, by person.
func TestHistory(t *testing.T) {
	s, owner := opened(t)
	other, _, err := s.NewPerson(ctx, "Other")
	if err != nil {
		t.Fatal(err)
	}
	l := store.NewLog(s)
	defer l.Close()
	const mine = document.ID("clientclient")
	appended(t, l, owner.ID, someEdit(mine, 1, rename("A")))
	appended(t, l, owner.ID, someEdit(mine, 2, rename("B")))
	appended(t, l, other.ID, someEdit("otherclients", 1, rename("C")))
	back := func(number int64, kind string, of int64) {
		t.Helper()
		e := someEdit(mine, number, rename(fmt.Sprintf("%s %d", kind, of)))
		e.Label = edit.Label{Kind: kind, Of: &edit.Mark{Client: mine, Number: of}, Text: kind}
		appended(t, l, owner.ID, e)
	}
	history := func(person string) (out [2][]int64) {
		t.Helper()
		_, seq := stateOf(t, s)
		undo, redo, err := s.History(ctx, project, person, seq)
		if err != nil {
			t.Fatal(err)
		}
		for i, stack := range [][]store.Past{undo, redo} {
			for _, p := range stack {
				out[i] = append(out[i], p.Mark.Number)
			}
		}
		return out
	}
	check := func(step string, got [2][]int64, undo, redo []int64) {
		t.Helper()
		if !slices.Equal(got[0], undo) || !slices.Equal(got[1], redo) {
			t.Errorf("%s: can undo %v and redo %v, wanted %v and %v", step, got[0], got[1], undo, redo)
		}
	}
	check("two edits", history(owner.ID), []int64{1, 2}, nil)
	check("the other's", history(other.ID), []int64{1}, nil)
	back(3, edit.Undo, 2)
	check("undone", history(owner.ID), []int64{1}, []int64{3})
	back(4, edit.Redo, 3)
	check("redone", history(owner.ID), []int64{1, 4}, nil)
	back(5, edit.Undo, 4)
	appended(t, l, owner.ID, someEdit(mine, 6, rename("D")))
	check("a new edit ends redo", history(owner.ID), []int64{1, 6}, nil)

	raw, err := s.Revert(ctx, project, 1)
	if err != nil {
		t.Fatal(err)
	}
	var revert []edit.Primitive
	if err := json.Unmarshal(raw, &revert); err != nil || len(revert) != 1 || string(revert[0].Value) != `"Sample"` {
		t.Errorf("the way back of the first edit is %s, %v", raw, err)
	}
	if _, err := s.Revert(ctx, project, 99); !errors.Is(err, store.ErrNotFound) {
		t.Errorf("the way back of an edit that is not there gave %v", err)
	}
}

func TestPeopleAndRoles(t *testing.T) {
	s, owner := opened(t)
	p, token, err := s.NewPerson(ctx, "Newcomer")
	if err != nil {
		t.Fatal(err)
	}
	if found, err := s.PersonByToken(ctx, token); err != nil || found.ID != p.ID || found.Name != "Newcomer" {
		t.Errorf("the token belongs to %+v, %v", found, err)
	}
	for _, wrong := range []string{"", "x", token + "x"} {
		if _, err := s.PersonByToken(ctx, wrong); !errors.Is(err, store.ErrNotFound) {
			t.Errorf("the token %q gave %v", wrong, err)
		}
	}
	for person, want := range map[string]string{owner.ID: store.RoleOwner, p.ID: store.RoleEditor} {
		for range 2 {
			if role, err := s.Join(ctx, project, person); err != nil || role != want {
				t.Errorf("joined as %q, %v, wanted %q", role, err, want)
			}
		}
	}
	if _, err := s.Join(ctx, "nothinghere2", p.ID); !errors.Is(err, store.ErrNotFound) {
		t.Errorf("joining nothing gave %v", err)
	}
}

func TestPicturesAndTilesetNumbers(t *testing.T) {
	s, _ := opened(t)
	a, err := s.SavePicture(ctx, []byte("picture"), 3, 2)
	if err != nil {
		t.Fatal(err)
	}
	if b, err := s.SavePicture(ctx, []byte("picture"), 3, 2); err != nil || a != b {
		t.Errorf("the same picture is kept as %s and %s, %v", a, b, err)
	}
	if data, err := s.PictureBytes(ctx, a); err != nil || string(data) != "picture" {
		t.Errorf("it came back as %q, %v", data, err)
	}
	if _, err := s.PictureBytes(ctx, "none"); !errors.Is(err, store.ErrNotFound) {
		t.Errorf("a picture that is not there gave %v", err)
	}
	// the world has tileset 1; numbers are never given twice, whoever asks
	var mu sync.Mutex
	var got []int
	var work sync.WaitGroup
	for range 20 {
		work.Add(1)
		go func() {
			defer work.Done()
			n, err := s.ReserveNumber(ctx, project)
			if err != nil {
				t.Error(err)
			}
			mu.Lock()
			got = append(got, n)
			mu.Unlock()
		}()
	}
	work.Wait()
	slices.Sort(got)
	for i, n := range got {
		if n != i+2 {
			t.Fatalf("the numbers given are %v", got)
		}
	}
}

func TestNamesThatADatabaseDoesNotTake(t *testing.T) {
	s, owner := opened(t)
	l := store.NewLog(s)
	defer l.Close()
	e := someEdit("clientclient", 1, rename("Plain"))
	e.Label.Text = "Named \x00"
	a := <-l.Append(project, owner.ID, e)
	if a.Err != nil {
		t.Fatalf("a zero byte stopped the log: %v", a.Err)
	}
	if seq := appended(t, l, owner.ID, someEdit("clientclient", 2, rename("After"))); seq != 2 {
		t.Errorf("the next edit got %d", seq)
	}
}

func TestListenersHearOfEdits(t *testing.T) {
	s, owner := opened(t)
	ctx, stop := context.WithTimeout(ctx, 20*time.Second)
	defer stop()
	heard, connected := make(chan int64, 16), make(chan bool, 16)
	go s.Listen(ctx, func(p string, head int64) {
		if p == project {
			heard <- head
		}
	}, func() { connected <- true })
	<-connected
	l := store.NewLog(s)
	defer l.Close()
	appended(t, l, owner.ID, someEdit("clientclient", 1, rename("Heard")))
	select {
	case head := <-heard:
		if head != 1 {
			t.Errorf("heard of edit %d", head)
		}
	case <-ctx.Done():
		t.Error("nothing was heard")
	}
}

func TestRemovedProjectIsGone(t *testing.T) {
	s, owner := opened(t)
	l := store.NewLog(s)
	defer l.Close()
	appended(t, l, owner.ID, someEdit("clientclient", 1, rename("Going")))
	if err := s.RemoveProject(ctx, project); err != nil {
		t.Fatal(err)
	}
	if all, err := s.Projects(ctx); err != nil || len(all) != 0 {
		t.Errorf("left are %v, %v", all, err)
	}
	if _, err := s.Project(ctx, project); !errors.Is(err, store.ErrNotFound) {
		t.Errorf("a removed project gave %v", err)
	}
	e := someEdit("clientclient", 2, rename("Late"))
	if a := <-l.Append(project, owner.ID, e); !errors.Is(a.Err, store.ErrNotFound) {
		t.Errorf("an edit of a removed project gave %+v", a)
	}
}
