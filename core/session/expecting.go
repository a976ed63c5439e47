package session

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/proof"
	"azzel/core/world"
	"errors"
	"slices"
	"strings"
)

// expecting is what has been found out of an expectation.
type expecting struct {
	stage   *world.Stage
	says    document.Expectation
	asks    *proof.Expecting
	verdict *proof.Verdict
}

// ExpectationInfo is an expectation and what became of it; Is is empty while that is looked for.
type ExpectationInfo struct {
	document.Expectation
	Verdict string `json:"verdict"`
	Why     string `json:"why"`
	// Walks tells that there is a walk that shows it; Spoken is how it is read.
	Walks  bool   `json:"walks"`
	Spoken string `json:"spoken"`
}

// spoken is how an expectation is read.
func spoken(e document.Expectation) string {
	says := strings.Join(strings.Fields(strings.ReplaceAll(strings.TrimSpace(e.Says), "\n", " and ")), " ")
	switch e.Is {
	case document.ExpectNever:
		return "never is it so that " + says
	case document.ExpectSometimes:
		return "it can come about that " + says
	}
	return "it is not finished before " + says
}

// expectations go on being looked at for so many ticks of play; all of them are told.
func (s *Session) expectations(a struct {
	Ticks int `json:"ticks"`
}) ([]ExpectationInfo, error) {
	st, left := s.stage(), max(0, min(a.Ticks, 100_000))
	out := []ExpectationInfo{}
	if s.expecting == nil {
		s.expecting = map[document.ID]*expecting{}
	}
	for _, e := range s.doc().Project.Expectations {
		x := s.expecting[e.ID]
		if x == nil || x.stage != st || x.says != e {
			x = &expecting{stage: st, says: e, asks: proof.NewExpecting(st, e)}
			s.expecting[e.ID] = x
		}
		if x.verdict == nil && left > 0 {
			x.verdict, left = x.asks.Step(left), 0
		}
		one := ExpectationInfo{Expectation: e, Spoken: spoken(e)}
		if x.verdict != nil {
			one.Verdict, one.Why, one.Walks = x.verdict.Is, x.verdict.Why, len(x.verdict.Walk) > 0
		}
		out = append(out, one)
	}
	return out, nil
}

// expect makes an expectation, or changes the one that has its id; without words it is removed.
func expect(d *document.Document, e document.Expectation) (author.Change, error) {
	next := slices.Clone(d.Project.Expectations)
	i := slices.IndexFunc(next, func(o document.Expectation) bool { return o.ID == e.ID })
	e.Says = strings.TrimSpace(e.Says)
	label := "Changed an expectation"
	switch {
	case e.ID != "" && i < 0:
		return author.Change{}, errors.New("that expectation is no longer there")
	case e.Says == "" && i >= 0:
		next, label = slices.Delete(next, i, i+1), "Removed an expectation"
	case e.Says == "":
		return author.Change{}, errors.New("say what is to be so, as a rule asks it")
	case len(next) >= document.MaxExpectations && i < 0:
		return author.Change{}, errors.New("there are as many expectations as there can be")
	default:
		if _, err := proof.Asked(d, e.Says); err != nil {
			return author.Change{}, err
		}
		if i >= 0 {
			next[i] = e
		} else {
			e.ID, label = document.NewID(), "New expectation"
			next = append(next, e)
		}
	}
	return author.Change{Made: e.ID, Label: edit.Label{Text: label}, Do: []edit.Primitive{edit.Set(edit.Ref{Type: edit.TypeProject}, "expectations", next)}}, nil
}

func init() {
	if !designs {
		return
	}
	register(map[string]method{
		"expectations": with((*Session).expectations),
		"expect":       authored(expect),
	})
}
