package server

import (
	"azzel/core/document"
	"context"
	"encoding/json"
	"slices"
)

// expected is what became of all that is expected of a project, once it is known of each.
type expected struct {
	Answer json.RawMessage `json:"answer"`
	// Walks are what is held on the walk that shows one, by what is expected.
	Walks []expectedWalk `json:"walks"`
}

type expectedWalk struct {
	Of   document.ID     `json:"of"`
	Walk json.RawMessage `json:"walk"`
}

// keptExpected is the question by which it is kept.
const keptExpected = "expectations"

// walk is what is held on the walk that shows what became of one; nil where there is none.
func (e *expected) walk(of document.ID) json.RawMessage {
	for _, w := range e.Walks {
		if w.Of == of {
			return w.Walk
		}
	}
	return nil
}

// knowsExpected is what became of all that is expected, by this process or another one; nil while it is not known of each.
func (t *thought) knowsExpected(ctx context.Context, s *Server) *expected {
	if t.asked || len(t.doc.Project.Expectations) == 0 {
		return t.expected
	}
	t.asked = true
	var e expected
	if !t.kept(ctx, s, keptExpected, &e) {
		return nil
	}
	t.expected = &e
	return &e
}

// keepExpected keeps what became of all that is expected, once it is known of each.
func (t *thought) keepExpected(ctx context.Context, s *Server, answer json.RawMessage) {
	var all []struct {
		ID      document.ID
		Verdict string
		Walks   bool
	}
	if json.Unmarshal(answer, &all) != nil || len(all) == 0 {
		return
	}
	e := expected{Answer: slices.Clone(answer)}
	for _, one := range all {
		if one.Verdict == "" {
			return // it is being looked for
		}
		if !one.Walks {
			continue
		}
		args, err := json.Marshal(map[string]any{"from": "", "trap": 0, "expectation": one.ID})
		if err != nil {
			return
		}
		walk, err := t.session.Call("walk", args)
		if err != nil {
			return
		}
		e.Walks = append(e.Walks, expectedWalk{one.ID, walk})
	}
	t.expected, t.asked = &e, true
	t.keeps(ctx, s, keptExpected, e)
}
