package session

import (
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/proof"
	"azzel/core/world"
	"encoding/json"
	"fmt"
)

// maxForeseen is how many cells all maps can have together for which consequences of a press are looked at before it.
const maxForeseen = 1 << 20

// Foreseen is what a press would bring about for finishing the game; empty for nothing that is known.
type Foreseen struct {
	Text string `json:"text"`
}

// Pressed is the edit that a press would make, nil where it would make none or the project is too large to look at what follows from it.
type Pressed struct {
	Edit json.RawMessage `json:"would"`
}

// pressed is what a press would do, so that another session can be asked what follows from it.
func (s *Session) pressed(a pressArgs) (out Pressed, err error) {
	if _, err := s.mapOf(a.Map); err != nil {
		return out, err
	}
	m, plan, err := s.plan(a)
	if err != nil || m == nil || !plan.Changes() || cellsOf(s.doc()) > maxForeseen {
		return out, nil // the ghost says what is wrong with it
	}
	do, label := plan.Edit(s.doc(), m, a.Grip)
	label.Kind = edit.Do
	e := edit.Edit{Mark: edit.Mark{Client: s.replica.Client, Number: 1}, V: edit.Version, Do: do, Label: label}
	if text := e.Text(); len(text) <= edit.MaxBytes {
		out.Edit = text
	}
	return out, nil
}

// foresee tells what an edit would bring about, where that can be decided at once: that the game could not be finished any more, or
// that something could not be come to. Where the walk that is known still wins, nothing is said of finishing.
func (s *Session) foresee(a Pressed) (out Foreseen, err error) {
	p := &s.proving
	if p.study == nil || p.stage != s.stage() || p.study.Answer == nil || p.study.Answer.Is != proof.Can || len(a.Edit) == 0 {
		return out, nil
	}
	e, err := edit.Decode(a.Edit)
	if err != nil {
		return out, err
	}
	d := edit.Apply(s.doc(), e).Doc
	if cellsOf(d) > maxForeseen {
		return out, nil
	}
	st := world.New(d, chart.New(d, s.plane()), p.stage)
	begins := beginning(st, "")
	if _, wins := proof.ReplayFrom(st, begins, p.study.Answer.Walk); !wins {
		study := proof.NewStudy(st, begins)
		for study.Answer == nil && !study.Bounded {
			study.Step(1 << 16)
		}
		if answer := study.Answer; answer != nil && (answer.Is == proof.Cannot || answer.Is == proof.Nothing) {
			return Foreseen{fmt.Sprintf("Then it cannot be finished: %s", answer.Why)}, nil
		}
	}
	for !p.study.Bounded {
		p.study.Step(maxForeseen)
	}
	g, err := begins()
	if before := p.study.May(); err == nil && before != nil && p.study.Bounded {
		after := proof.CouldFrom(g)
		if lost := proof.CutOff(before, after); len(lost) > 0 {
			text := "Cuts off " + p.stage.Thing(lost[0]).Name
			if n := len(lost) - 1; n == 1 {
				text += " and " + p.stage.Thing(lost[1]).Name
			} else if n > 1 {
				text += fmt.Sprintf(" and %d others", n)
			}
			return Foreseen{text}, nil
		}
	}
	return out, nil
}

func cellsOf(d *document.Document) (n int) {
	d.Maps.Each(func(m *document.Map) { n += m.Bounds.W * m.Bounds.H })
	return n
}

func init() {
	if !designs {
		return
	}
	register(map[string]method{"pressed": with((*Session).pressed), "foresee": with((*Session).foresee)})
}
