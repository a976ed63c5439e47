package session

import (
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/trial"
	"azzel/core/world"
	"errors"
)

// trying is a kind that is tried on a piece of ground of its own.
type trying struct {
	kind document.ID
	side bool
	// of is the document of which the ground was made, set a setting that is being dragged.
	of   *document.Document
	set  kind.Value
	game *playing
}

// Trial is a kind on a small piece of ground, with a hero to try it.
type Trial struct {
	// Rows are the cells as trial.Rows draws them.
	Rows       []string `json:"rows"`
	CellWidth  int      `json:"cellWidth"`
	CellHeight int      `json:"cellHeight"`
	Side       bool     `json:"side"`
	// Entities are what stands there at first.
	Entities []*document.Entity `json:"entities"`
	View     View               `json:"view"`
	// Says is what is the matter with the kind as it stands, or how it is.
	Says string `json:"says"`
}

var errNotTried = errors.New("no kind is being tried")

// tryKind begins to try a kind, or goes on with its numbers as they are now; Again begins anew. Text is
// what one of its settings would be, as a person writes it.
func (s *Session) tryKind(a struct {
	Kind document.ID `json:"kind"`
	// Seen is “above” or “side”; empty is as suits the kind and the project.
	Seen  string `json:"seen"`
	Again bool   `json:"again"`
	Key   string `json:"key"`
	Text  string `json:"text"`
}) (zero Trial, err error) {
	k := s.doc().Kind(a.Kind)
	if k == nil {
		return zero, errors.New("the kind is no longer there")
	}
	side := a.Seen == "side" || a.Seen == "" && trial.FromSide(s.doc(), k)
	var set kind.Value
	if of := k.Setting(a.Key); of != nil && of.Type != kind.Shares && of.Type != kind.Entity {
		v, err := of.Read(a.Text)
		if err != nil {
			return zero, err
		}
		set = kind.Value{Key: a.Key, Value: v}
	}
	t := s.tried
	if t == nil || t.kind != a.Kind || t.side != side || a.Again {
		t = &trying{kind: a.Kind, side: side, of: s.doc(), set: set}
		st := s.trialStage(t, nil)
		g, err := play.Start(st, trial.Map, play.TicksPerSecond)
		if err != nil {
			return zero, err
		}
		t.game = &playing{game: g, record: play.NewRecord(g)}
		s.tried = t
	} else if t.of != s.doc() || t.set != set {
		t.of, t.set = s.doc(), set
		t.game.game.Enter(s.trialStage(t, t.game.game.Stage))
	}
	g := t.game.game
	m := g.Stage.Doc.Maps.Get(trial.Map)
	out := Trial{Rows: trial.Rows(k, side), CellWidth: m.CellWidth, CellHeight: m.CellHeight, Side: side, Entities: m.Entities.All(), View: t.game.view(g, nil)}
	if r := g.Stage.ThingOf(trial.Map, trial.Subject); r >= 0 {
		out.Says = g.AboutThing(r)
	}
	return out, nil
}

// trialStage is the stage of a trial on the document as it is.
func (s *Session) trialStage(t *trying, before *world.Stage) *world.Stage {
	k := s.doc().Kind(t.kind)
	var differs []kind.Value
	if t.set.Key != "" {
		differs = []kind.Value{t.set}
	}
	d := trial.Document(s.doc(), k, t.side, differs...)
	st := world.New(d, chart.New(d, nil), before)
	if k.Heroic {
		return st.As(t.kind)
	}
	return st
}

// tryStep plays ticks of a trial; with the kind that is tried removed it stands still.
func (s *Session) tryStep(a struct {
	Input play.Input `json:"input"`
	Ticks int        `json:"ticks"`
}) (zero View, err error) {
	t := s.tried
	if t == nil || s.doc().Kind(t.kind) == nil {
		return zero, errNotTried
	}
	var told []play.Event
	for range min(a.Ticks, play.TicksPerSecond/4) {
		t.game.game.Step(a.Input)
		told = append(told, t.game.game.Told...)
	}
	return t.game.view(t.game.game, told), nil
}

func (s *Session) stopTrying(none) (zero none, err error) {
	s.tried = nil
	return none{}, nil
}

func init() {
	if !designs {
		return
	}
	register(map[string]method{
		"tryKind":    with((*Session).tryKind),
		"tryStep":    with((*Session).tryStep),
		"stopTrying": with((*Session).stopTrying),
	})
}
