package session

import (
	"azzel/core/edit"
	"azzel/core/replica"
	"encoding/json"
	"errors"
)

func init() {
	if !designs {
		return
	}
	register(map[string]method{
		"history": with((*Session).history),
		"adopt":   with((*Session).adopt),
		"pending": with(func(s *Session, _ none) ([]*edit.Edit, error) { return s.replica.Pending(), nil }),
		"receive": with((*Session).receive),
		"refuse":  with((*Session).refuse),
		"undo":    with(func(s *Session, _ none) (Outcome, error) { return s.turnBack(s.replica.Undo) }),
		"undoOf": with(func(s *Session, mark edit.Mark) (Outcome, error) {
			return s.turnBack(func() (*edit.Edit, edit.Result, error) { return s.replica.UndoOf(mark) })
		}),
		"redo":   with(func(s *Session, _ none) (Outcome, error) { return s.turnBack(s.replica.Redo) }),
		"supply": with((*Session).supply),
		"turnBackHere": with(func(s *Session, a mapArgs) (Outcome, error) {
			r := s.within(a.Map)
			if r == nil {
				return Outcome{}, errors.New("select the cells that are turned back first")
			}
			return s.turnBack(func() (*edit.Edit, edit.Result, error) { return s.replica.TurnBackHere(a.Map, r) })
		}),
		"set":    with((*Session).set),
		"remove": with((*Session).remove),
	})
}

func (s *Session) history(a struct {
	Undo []replica.Step `json:"undo"`
	Redo []replica.Step `json:"redo"`
}) (zero Outcome, err error) {
	s.replica.SetHistory(a.Undo, a.Redo)
	return s.outcome(s.doc()), nil
}

func (s *Session) adopt(a struct {
	Edits []json.RawMessage `json:"edits"`
}) (zero Outcome, err error) {
	before := s.doc()
	for _, raw := range a.Edits {
		e, err := edit.Decode(raw)
		if err != nil {
			return zero, err
		}
		s.replica.Adopt(e)
	}
	return s.outcome(before), nil
}

func (s *Session) receive(a struct {
	Rows []replica.Row `json:"rows"`
}) (zero Outcome, err error) {
	before := s.doc()
	dropped, err := s.replica.Receive(a.Rows)
	if err != nil {
		return zero, err
	}
	o := s.outcome(before)
	o.Dropped = dropped
	return o, nil
}

func (s *Session) refuse(mark edit.Mark) (zero Outcome, err error) {
	before := s.doc()
	s.replica.Refuse(mark)
	return s.outcome(before), nil
}

func (s *Session) turnBack(back func() (*edit.Edit, edit.Result, error)) (zero Outcome, err error) {
	before := s.doc()
	e, res, err := back()
	var fetch replica.Fetch
	if errors.As(err, &fetch) {
		o := s.outcome(before)
		o.Fetch = fetch.Seq
		return o, nil
	}
	if err != nil {
		return zero, err
	}
	return s.described(before, e, res), nil
}

func (s *Session) supply(a struct {
	Seq    int64            `json:"seq"`
	Revert []edit.Primitive `json:"revert"`
}) (zero none, err error) {
	s.replica.Supply(a.Seq, a.Revert)
	return none{}, nil
}

type setArgs struct {
	Ref   edit.Ref        `json:"ref"`
	Field string          `json:"field"`
	Value json.RawMessage `json:"value"`
	Text  string          `json:"text"`
}

func (s *Session) set(a setArgs) (zero Outcome, err error) {
	return s.make([]edit.Primitive{{Op: edit.OpSet, Ref: a.Ref, Field: a.Field, Value: a.Value}}, edit.Label{Text: a.Text})
}

func (s *Session) remove(a struct {
	Ref  edit.Ref `json:"ref"`
	Text string   `json:"text"`
}) (zero Outcome, err error) {
	return s.make([]edit.Primitive{edit.Remove(a.Ref)}, edit.Label{Text: a.Text})
}
