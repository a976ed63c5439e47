package play

import (
	"azzel/core/document"
	"azzel/core/rules"
	"strings"
)

func (g *game) happen(h happening) { g.queue = append(g.queue, h) }

// settle gives each happening to the rules that wait for it, in their order.
func (g *game) settle() {
	for n := 0; len(g.queue) > 0; n++ {
		h := g.queue[0]
		g.queue = g.queue[1:]
		if n >= MaxHappenings {
			g.Notice = "Rules kept waking each other and were stopped."
			return
		}
		for _, r := range rules.Waiting(g.doc, h.on, h.m, h.entity) {
			g.begin(r)
		}
	}
}

func (g *game) begin(r *document.Rule) {
	if r.Once && g.Done[r.ID] {
		return
	}
	for _, c := range r.In(document.SlotIf) {
		if !g.holdsTrue(c) {
			return
		}
	}
	if r.Once {
		g.Done[r.ID] = true
	}
	run := Running{Rule: r.ID, Left: []document.ID{}}
	for _, s := range r.In(document.SlotThen) {
		run.Left = append(run.Left, s.ID)
	}
	if g.run(&run) {
		g.Running = append(g.Running, run)
	}
}

// run does steps until the rule ends or says something; true when it waits.
func (g *game) run(r *Running) bool {
	rule := g.doc.Rules.Get(r.Rule)
	if rule == nil {
		return false
	}
	for len(r.Left) > 0 {
		id := r.Left[0]
		r.Left = r.Left[1:]
		if p := rule.Parts.Get(id); p != nil && g.do(p) {
			return true
		}
	}
	return false
}

// holdsTrue reports whether what a condition asks is so.
func (g *game) holdsTrue(p *document.RulePart) bool {
	o, _ := document.Named(p.Blank("what"))
	switch p.Word {
	case rules.WordIsSet:
		return g.Flags[o.ID]
	case rules.WordIsNotSet:
		return !g.Flags[o.ID]
	}
	return false
}

// do does one step of a rule; true when the rule waits then.
func (g *game) do(p *document.RulePart) (waits bool) {
	o, _ := document.Named(p.Blank("what"))
	switch p.Word {
	case rules.WordOpen:
		if g.doc.Entity(o.Map, o.ID) == nil {
			g.Notice = "A rule wanted to open a door that was removed."
			return false
		}
		g.Opened[o.ID] = true
	case rules.WordSet, rules.WordClear:
		g.Flags[o.ID] = p.Word == rules.WordSet
	case rules.WordSay:
		return g.says(p.Blank("text").Word(), true)
	}
	return false
}

// says shows a text page by page; a rule goes on when the last one was read. It
// reports whether there is anything to read.
func (g *game) says(text string, rule bool) bool {
	all := PagesOf(text).Pages
	for i, page := range all {
		g.Lines = append(g.Lines, Line{strings.Join(page, "\n"), rule && i == len(all)-1})
	}
	return len(all) > 0
}

// resume goes on with the rule whose line has been read: lines and waiting
// rules stand in the same order.
func (g *game) resume() {
	if len(g.Running) == 0 {
		return
	}
	run := g.Running[0]
	g.Running = append([]Running{}, g.Running[1:]...)
	if g.run(&run) {
		g.Running = append(g.Running, run)
	}
}
