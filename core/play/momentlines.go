package play

import (
	"azzel/core/document"
	"azzel/core/rules"
	"azzel/core/world"
	"slices"
)

// resumeLines takes what is being said, and the rules that wait for it: a part that has
// vanished ends its rule, and what a vanished rule said waits for nobody.
func (s *State) resumeLines(st *world.Stage, at document.Moment) {
	for _, l := range at.Lines {
		line := Line{Text: l.Text, Resumes: l.Resumes, Answers: l.Answers}
		if l.By != nil {
			line.By = st.ThingOf(l.By.Map, l.By.Entity) + 1
		}
		line.As = int32(l.As)
		s.Lines = append(s.Lines, line)
	}
	for _, w := range at.Waits {
		r := st.RuleOf(w.Rule)
		if r < 0 {
			continue
		}
		tree := rules.TreeOf(st.Rules[r])
		t := Thread{Rule: r, Wait: int32(w.Ticks), It: world.None, Next: tree.Else - 1}
		if w.It != nil {
			t.It = st.ThingOf(w.It.Map, w.It.Entity)
		}
		if w.By != nil {
			t.By = st.ThingOf(w.By.Map, w.By.Entity) + 1
		}
		for d, n := range w.Left[:min(len(w.Left), len(t.Left))] {
			t.Left[d] = int32(n)
		}
		if i := slices.IndexFunc(tree.Steps, func(s rules.Step) bool { return s.ID() == w.Next && w.Next != "" && (w.Op == 0 || int(s.Op) == w.Op) }); i >= 0 {
			if t.Next = int32(i); w.For != "" || rules.Op(w.Op) == rules.OpAsk && w.Ticks == 0 {
				t.Next++
				t.For = Waits(max(0, slices.Index(document.Waits, w.For)))
			}
		}
		t.Far, t.Pace = w.Far, int32(w.Pace)
		t.Fork = int32(slices.IndexFunc(tree.Steps, func(s rules.Step) bool { return w.Fork != "" && s.Op == rules.OpFork && s.ID() == w.Fork })) + 1
		if t.For == ForTime && w.For != "" {
			t.Wait = max(1, t.Wait) // what it waited for is gone: it goes on
		}
		s.Threads = append(s.Threads, t)
	}
	if len(at.Waits) > 0 && !slices.ContainsFunc(s.Threads, Thread.reads) {
		s.Lines = nil
	}
}
