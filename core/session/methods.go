package session

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/hand"
	"azzel/core/replica"
	"encoding/json"
	"errors"
)

type none struct{}

type setArgs struct {
	Ref   edit.Ref        `json:"ref"`
	Field string          `json:"field"`
	Value json.RawMessage `json:"value"`
	Text  string          `json:"text"`
}

type mapArgs struct {
	Map document.ID `json:"map"`
}

type entitiesArgs struct {
	Map document.ID   `json:"map"`
	IDs []document.ID `json:"ids"`
	DX  int           `json:"dx"`
	DY  int           `json:"dy"`
}

type copyArgs struct {
	// Entities are copied onto Map; they may come from another map or tab.
	Map      document.ID        `json:"map"`
	Entities []*document.Entity `json:"entities"`
	DX       int                `json:"dx"`
	DY       int                `json:"dy"`
}

type pointArgs struct {
	Map    document.ID `json:"map"`
	Active document.ID `json:"active"`
	At     grid.Point  `json:"at"`
}

func init() {
	register(map[string]method{
		"head":         with(func(s *Session, _ none) (Head, error) { return s.head(), nil }),
		"headChange":   with((*Session).headChange),
		"entityChange": with((*Session).entityChange),
		"history":      with((*Session).history),
		"adopt":        with((*Session).adopt),
		"pending":      with(func(s *Session, _ none) ([]*edit.Edit, error) { return s.replica.Pending(), nil }),
		"receive":      with((*Session).receive),
		"refuse":       with((*Session).refuse),
		"undo":         with(func(s *Session, _ none) (Outcome, error) { return s.turnBack(s.replica.Undo) }),
		"redo":         with(func(s *Session, _ none) (Outcome, error) { return s.turnBack(s.replica.Redo) }),
		"supply":       with((*Session).supply),
		"turnBackHere": with(func(s *Session, a mapArgs) (Outcome, error) {
			r := s.within(a.Map)
			if r == nil {
				return Outcome{}, errors.New("select the cells that are turned back first")
			}
			return s.turnBack(func() (*edit.Edit, edit.Result, error) { return s.replica.TurnBackHere(a.Map, r) })
		}),
		"under":    with((*Session).under),
		"set":      with((*Session).set),
		"composed": with((*Session).composed),
		"remove":   with((*Session).remove),
		"preview":  with((*Session).preview),
		"press":    with((*Session).press),
		"choices":  with((*Session).choices),

		"select":        with((*Session).sel),
		"previewSelect": with((*Session).previewSelect),
		"selectAll":     with((*Session).selectAll),
		"selection":     with((*Session).selection),
		"deselect":      with((*Session).deselect),
		"moveArea":      with((*Session).moveArea),
		"turnArea":      with((*Session).turnArea),
		"emptyArea":     with((*Session).emptyArea),
		"liftArea":      with((*Session).liftArea),
		"adoptPiece":    with((*Session).adoptPiece),
		"keepSelected":  with((*Session).keepSelected),
		"motifOf":       with((*Session).motifOf),
		"sketch":        with((*Session).sketch),
		"addMotif":      with((*Session).addMotif),
		"placings":      with((*Session).placings),
		"replaceMotif":  with((*Session).replaceMotif),

		"pickUp":     with((*Session).pickUp),
		"target":     with((*Session).target),
		"checkPlace": with((*Session).checkPlace),
		"cut":        with(cutOf),
		"play":       with((*Session).play),
		"playAt":     with((*Session).playAt),
		"step":       with((*Session).step),
		"stop":       with((*Session).stop),
		"warning":    with((*Session).warning),

		"moveEntities": authored(func(d *document.Document, a entitiesArgs) (author.Change, error) {
			return onMap(d, a.Map, func(m *document.Map) (author.Change, error) { return author.MoveEntities(m, a.IDs, a.DX, a.DY) })
		}),
		"removeEntities": authored(func(d *document.Document, a entitiesArgs) (author.Change, error) {
			return onMap(d, a.Map, func(m *document.Map) (author.Change, error) { return author.RemoveEntities(d, m, a.IDs) })
		}),
		"copyEntities": with((*Session).copyEntities),
		"join":         authored(author.Join),
		"setStarter":   authored(author.Starter),
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

func (s *Session) set(a setArgs) (zero Outcome, err error) {
	return s.make([]edit.Primitive{{Op: edit.OpSet, Ref: a.Ref, Field: a.Field, Value: a.Value}}, edit.Label{Text: a.Text})
}

func (s *Session) remove(a struct {
	Ref  edit.Ref `json:"ref"`
	Text string   `json:"text"`
}) (zero Outcome, err error) {
	return s.make([]edit.Primitive{edit.Remove(a.Ref)}, edit.Label{Text: a.Text})
}

func (s *Session) copyEntities(a copyArgs) (zero Outcome, err error) {
	m, err := s.mapOf(a.Map)
	if err != nil {
		return zero, err
	}
	for _, e := range a.Entities {
		if e == nil || e.Check() != nil {
			return zero, errors.New("what is on the clipboard is not an entity")
		}
	}
	c, ids, err := author.CopyEntities(s.doc(), m, a.Entities, a.DX, a.DY)
	if err != nil {
		return zero, err
	}
	o, err := s.make(c.Do, c.Label)
	o.Ids = ids
	return o, err
}

func (s *Session) pickUp(a pointArgs) (zero PickedUp, err error) {
	m, err := s.mapOf(a.Map)
	if err != nil {
		return zero, err
	}
	g, layer, ok := hand.PickUp(s.doc(), m, a.At)
	if !ok {
		return zero, errors.New("there is nothing to pick up here")
	}
	return PickedUp{g, layer}, nil
}

// PickedUp is what lay under the pointer as it is held, and its layer.
type PickedUp struct {
	Grip  hand.Grip   `json:"grip"`
	Layer document.ID `json:"layer"`
}

// target is the layer that a grip would be put down on; empty when none fits.
func (s *Session) target(a struct {
	Map    document.ID `json:"map"`
	Active document.ID `json:"active"`
	Grip   hand.Grip   `json:"grip"`
}) (zero document.ID, err error) {
	m, err := s.mapOf(a.Map)
	if err != nil {
		return zero, err
	}
	if l := hand.Target(s.doc(), m, &a.Grip, a.Active); l != nil && a.Grip.What != hand.Nothing {
		return l.ID, nil
	}
	return document.ID(""), nil
}

func (s *Session) checkPlace(a pointArgs) (zero author.Place, err error) {
	m, err := s.mapOf(a.Map)
	if err != nil {
		return zero, err
	}
	return author.CheckPlace(s.doc(), m, a.At), nil
}

// cutOf tells what a cut makes of a picture, or what is wrong with it.
func cutOf(_ *Session, a struct {
	Cut    document.Cut `json:"cut"`
	Width  int          `json:"width"`
	Height int          `json:"height"`
}) (zero CutUp, err error) {
	if err := a.Cut.Check(a.Width, a.Height); err != nil {
		return zero, err
	}
	columns, rows := a.Cut.Tiles(a.Width, a.Height)
	right, bottom := a.Cut.Unused(a.Width, a.Height)
	return CutUp{columns, rows, right, bottom}, nil
}

// CutUp is what a cut makes of a picture: tiles, and pixels that are left over.
type CutUp struct {
	Columns int `json:"columns"`
	Rows    int `json:"rows"`
	Right   int `json:"right"`
	Bottom  int `json:"bottom"`
}
