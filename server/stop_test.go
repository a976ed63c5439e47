package server_test

import (
	"azzel/core/edit"
	"azzel/store"
	"errors"
	"fmt"
	"testing"
	"time"
)

// Whatever is queued, a server that is told to stop stops, and what it did not
// store it refused.
func TestStopsAtOnce(t *testing.T) {
	d := newDesk(t)
	l := store.NewLog(d.store)
	owner, _, err := d.store.NewPerson(ctx, "Owner")
	d.must(err)
	var answers []<-chan store.Answer
	for n := range int64(20_000) {
		e, err := edit.Decode(name("clientclient", n+1, fmt.Sprint("N", n)))
		d.must(err)
		answers = append(answers, l.Append(project, owner.ID, e))
	}
	start := time.Now()
	l.Close()
	took := time.Since(start)
	stored := 0
	for _, a := range answers {
		if got := <-a; got.Err == nil {
			stored++
		} else if !errors.Is(got.Err, store.ErrClosed) {
			t.Fatalf("an edit was refused with %v", got.Err)
		}
	}
	if n := d.count("SELECT count(*) FROM edits"); n != stored {
		t.Errorf("%d edits were acknowledged and %d are stored", stored, n)
	}
	if took > 3*time.Second {
		t.Errorf("stopping took %v", took)
	}
}
