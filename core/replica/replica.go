// Package replica keeps one designer's copy of a project: the document as the
// server has confirmed it, the edits that are not confirmed yet, and what can
// be undone. The order of edits is the server's; pending edits are applied
// again after each one that came before them.
package replica

import (
	"azzel/core/document"
	"azzel/core/edit"
	"errors"
	"slices"
)

// Row is one edit of the log, as the server sends it. Edit is nil when the
// receiver sent it and still has it.
type Row struct {
	Seq    int64       `json:"seq"`
	Person document.ID `json:"person"`
	Mark   edit.Mark   `json:"mark"`
	Edit   *edit.Edit  `json:"edit,omitempty"`
}

// Step is an edit of this person that can be undone or redone. Revert is nil
// while it has to be fetched from the server.
type Step struct {
	Mark   edit.Mark        `json:"mark"`
	Seq    int64            `json:"seq"`
	Text   string           `json:"text"`
	Tool   string           `json:"tool,omitempty"`
	Revert []edit.Primitive `json:"revert"`
}

// Replica is one copy. It is not safe for use by several goroutines.
type Replica struct {
	Person document.ID
	Client document.ID
	// Confirmed is the document after edit number Seq of the log.
	Confirmed *document.Document
	Seq       int64
	// Current is Confirmed with the pending edits on top: what the designer sees.
	Current *document.Document
	pending []pending
	number  int64
	undo    []Step
	redo    []Step
}

type pending struct {
	edit   *edit.Edit
	result edit.Result
}

// New starts a copy from a document that the server confirmed.
func New(person, client document.ID, doc *document.Document, seq int64) *Replica {
	return &Replica{Person: person, Client: client, Confirmed: doc, Current: doc, Seq: seq}
}

// Make does a new edit here at once and keeps it until it is confirmed.
func (r *Replica) Make(do []edit.Primitive, label edit.Label) (*edit.Edit, edit.Result, error) {
	label.Kind = edit.Do
	return r.make(do, label)
}

func (r *Replica) make(do []edit.Primitive, label edit.Label) (*edit.Edit, edit.Result, error) {
	e := &edit.Edit{V: edit.Version, Mark: edit.Mark{Client: r.Client, Number: r.number + 1}, Label: label, Do: do}
	if err := e.Check(); err != nil {
		return nil, edit.Result{}, err
	}
	res := edit.Apply(r.Current, e)
	if len(res.Revert) == 0 && len(res.Dropped) > 0 {
		return nil, res, errors.New(res.Dropped[0])
	}
	if err := edit.Verify(e, res); err != nil {
		return nil, res, err
	}
	r.number++
	r.add(e, res)
	return e, res, nil
}

func (r *Replica) add(e *edit.Edit, res edit.Result) {
	r.pending = append(r.pending, pending{e, res})
	r.Current = res.Doc
	r.remember(e, 0, res.Revert)
}

// Adopt takes up an edit that was kept by an earlier page and never confirmed.
func (r *Replica) Adopt(e *edit.Edit) {
	for _, p := range r.pending {
		if p.edit.Mark == e.Mark {
			return
		}
	}
	r.add(e, edit.Apply(r.Current, e))
}

// Pending lists the edits that are not confirmed, oldest first.
func (r *Replica) Pending() []*edit.Edit {
	out := make([]*edit.Edit, len(r.pending))
	for i, p := range r.pending {
		out[i] = p.edit
	}
	return out
}

// ErrGap is given when rows are missing before the first one received.
var ErrGap = errors.New("edits are missing: the project has to be loaded again")

// Receive takes the next rows of the log. It gives the sentences about parts
// of this designer's own edits that could not be done any more.
func (r *Replica) Receive(rows []Row) (dropped []string, err error) {
	stale := false // pending edits stand on an older Confirmed
	defer func() {
		if stale {
			r.rebase()
		}
	}()
	for _, row := range rows {
		if row.Seq <= r.Seq {
			continue
		}
		if row.Seq != r.Seq+1 {
			return dropped, ErrGap
		}
		i := slices.IndexFunc(r.pending, func(p pending) bool { return p.edit.Mark == row.Mark })
		if i >= 0 && row.Edit != nil {
			// sent without its steps: the log's are those that count
			r.pending[i].edit, stale = row.Edit, true
		}
		switch {
		case i == 0 && !stale:
			res := r.pending[0].result
			r.Confirmed, r.pending = res.Doc, r.pending[1:]
			r.settle(row, res.Revert)
			dropped = append(dropped, res.Dropped...)
		case i >= 0:
			e := r.pending[i].edit
			res := edit.Apply(r.Confirmed, e)
			r.Confirmed = res.Doc
			r.pending = slices.Delete(r.pending, i, i+1)
			r.settle(row, res.Revert)
			dropped = append(dropped, res.Dropped...)
			stale = true
		case row.Edit == nil:
			return dropped, ErrGap
		default:
			res := edit.Apply(r.Confirmed, row.Edit)
			r.Confirmed = res.Doc
			if row.Person == r.Person {
				r.remember(row.Edit, row.Seq, res.Revert)
			}
			stale = true
		}
		r.Seq = row.Seq
	}
	return dropped, nil
}

// Refuse forgets a pending edit that the server would not take.
func (r *Replica) Refuse(mark edit.Mark) {
	r.pending = slices.DeleteFunc(r.pending, func(p pending) bool { return p.edit.Mark == mark })
	is := func(s Step) bool { return s.Mark == mark }
	r.undo, r.redo = slices.DeleteFunc(r.undo, is), slices.DeleteFunc(r.redo, is)
	r.rebase()
}

func (r *Replica) rebase() {
	r.Current = r.Confirmed
	for i := range r.pending {
		p := &r.pending[i]
		p.result = edit.Apply(r.Current, p.edit)
		r.Current = p.result.Doc
		r.settle(Row{Mark: p.edit.Mark}, p.result.Revert)
	}
}

// settle brings the way back of an edit up to date.
func (r *Replica) settle(row Row, revert []edit.Primitive) {
	for _, stack := range [][]Step{r.undo, r.redo} {
		for i := len(stack) - 1; i >= 0; i-- {
			if stack[i].Mark == row.Mark {
				stack[i].Revert, stack[i].Seq = revert, row.Seq
				return
			}
		}
	}
}
