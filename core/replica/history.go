package replica

import (
	"azzel/core/edit"
	"errors"
	"fmt"
	"slices"
)

// SetHistory gives what this person can undo and redo, oldest first, as the
// server's log has it. Edits that are pending here are put on top.
func (r *Replica) SetHistory(undo, redo []Step) {
	r.undo, r.redo = undo, redo
	for _, p := range r.pending {
		r.remember(p.edit, 0, p.result.Revert)
	}
}

// remember puts an edit of this person on the stacks.
func (r *Replica) remember(e *edit.Edit, seq int64, revert []edit.Primitive) {
	step := Step{Mark: e.Mark, Seq: seq, Text: e.Label.Text, Tool: e.Label.Tool, Revert: revert}
	switch e.Label.Kind {
	case edit.Do:
		r.undo, r.redo = append(r.undo, step), nil
	case edit.Undo:
		r.undo = without(r.undo, *e.Label.Of)
		r.redo = append(r.redo, step)
	case edit.Redo:
		r.redo = without(r.redo, *e.Label.Of)
		r.undo = append(r.undo, step)
	}
}

func without(stack []Step, mark edit.Mark) []Step {
	return slices.DeleteFunc(slices.Clone(stack), func(s Step) bool { return s.Mark == mark })
}

// ErrNothing is given when there is nothing to undo or redo.
var ErrNothing = errors.New("there is nothing to turn back")

// Fetch is given when the way back is with the server: ask for the edit with
// this number and give it to Supply.
type Fetch struct{ Seq int64 }

func (f Fetch) Error() string { return fmt.Sprintf("edit %d has to be fetched", f.Seq) }

// Supply gives the way back of an edit that Undo or Redo asked for.
func (r *Replica) Supply(seq int64, revert []edit.Primitive) {
	for _, stack := range [][]Step{r.undo, r.redo} {
		for i := range stack {
			if stack[i].Seq == seq && stack[i].Revert == nil {
				stack[i].Revert = append([]edit.Primitive{}, revert...)
			}
		}
	}
}

// Undo turns back this person's latest edit that stands.
func (r *Replica) Undo() (*edit.Edit, edit.Result, error) { return r.turnBack(&r.undo, edit.Undo) }

// Redo does again what was undone last.
func (r *Replica) Redo() (*edit.Edit, edit.Result, error) { return r.turnBack(&r.redo, edit.Redo) }

func (r *Replica) turnBack(stack *[]Step, kind string) (*edit.Edit, edit.Result, error) {
	for len(*stack) > 0 {
		top := (*stack)[len(*stack)-1]
		if top.Revert == nil && top.Seq > 0 {
			return nil, edit.Result{}, Fetch{top.Seq}
		}
		if len(top.Revert) == 0 { // nothing of it was ever done
			*stack = (*stack)[:len(*stack)-1]
			continue
		}
		mark := top.Mark
		e, res, err := r.make(top.Revert, edit.Label{Kind: kind, Of: &mark, Text: top.Text})
		if err != nil { // what it changed is gone for good
			*stack = without(*stack, mark)
		}
		return e, res, err
	}
	return nil, edit.Result{}, ErrNothing
}

// UndoOf turns back one edit of this person, whatever came since.
func (r *Replica) UndoOf(mark edit.Mark) (*edit.Edit, edit.Result, error) {
	i := slices.IndexFunc(r.undo, func(s Step) bool { return s.Mark == mark })
	if i < 0 {
		return nil, edit.Result{}, ErrNothing
	}
	one := []Step{r.undo[i]}
	e, res, err := r.turnBack(&one, edit.Undo)
	if len(one) == 0 || err != nil && !errors.As(err, new(Fetch)) {
		r.undo = without(r.undo, mark) // nothing of it is left to turn back
	}
	return e, res, err
}

// CanUndo and CanRedo say what the next undo and redo would turn back; "" is nothing.
func (r *Replica) CanUndo() string { return lastText(r.undo) }

// CanRedo is CanUndo for redo.
func (r *Replica) CanRedo() string { return lastText(r.redo) }

func lastText(stack []Step) string {
	if len(stack) == 0 {
		return ""
	}
	return stack[len(stack)-1].Text
}
