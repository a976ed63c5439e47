package play

import (
	"azzel/core/document"
	"azzel/core/rules"
	"azzel/core/world"
	"strconv"
)

// Guise is the number of the guise that a thing is in; 0 is the first.
func (g *Game) Guise(r world.Ref) int {
	is, _ := g.Own(r, document.GuiseKey)
	return int(is)
}

// Appears is the guise that a thing is in; nil is the first.
func (g *Game) Appears(r world.Ref) *document.Guise {
	if t := g.Stage.Thing(r); len(t.Guises) > 0 {
		return document.GuiseIn(t.Guises, g.Guise(r))
	}
	return nil
}

// saidBy is what a thing says in the guise that it is in.
func (g *Game) saidBy(r world.Ref, t *world.Thing) string {
	if in := g.Appears(r); in != nil && in.Says != "" {
		return in.Says
	}
	return t.Doing.Says
}

// guiseNamed is the number of a guise that a blank of a part names.
func guiseNamed(n *rules.Node, key string) int {
	number, err := strconv.Atoi(n.Blank(key).Word())
	if err != nil {
		return -1
	}
	return number
}

// disguises puts a thing into a guise that it has.
func (g *Game) disguises(r world.Ref, number int) {
	t := g.Stage.Thing(r)
	if t == nil || number != 0 && document.GuiseIn(t.Guises, number) == nil || g.Guise(r) == number {
		return
	}
	g.setOwn(r, document.GuiseKey, int64(number))
	name := document.FirstGuise
	if in := g.Appears(r); in != nil {
		name = in.Name
	}
	g.tell("guise", t.Name+", "+name)
}

// turnsInto has things go over into other guises: the first way that leads on from the one that each is in, where what it
// asks is so, and one of each in a tick. It reports whether one did.
func (g *Game) turnsInto() (turned bool) {
	for _, r := range g.Stage.Guised {
		t := g.Stage.Thing(r)
		if !g.There(r) {
			continue
		}
		h := happening{on: rules.WordTurnsInto, m: t.Map, thing: r}
		for _, rule := range g.waiting(h) {
			ref := g.Stage.RuleOf(rule.ID)
			if to := g.leads(rule, r); to >= 0 && !(rule.Once && g.hasRun(ref, r)) && g.all(rules.TreeOf(rule).If, r) {
				g.disguises(r, to)
				g.begin(ref, r, 0)
				turned = true
				break
			}
		}
	}
	return turned
}

// leads is to which guise a rule leads from the one that a thing is in; −1 where it does not.
func (g *Game) leads(rule *document.Rule, r world.Ref) int {
	t := g.Stage.Thing(r)
	for _, n := range rules.TreeOf(rule).When {
		about := g.Stage.Doc.Covers(n.At, document.ID(t.Kind)) || n.At.Type == document.TypeEntity && n.At.ID == t.ID
		if n.Word == rules.WordTurnsInto && about && guiseNamed(n, "from") == g.Guise(r) {
			if to := guiseNamed(n, "guise"); to != g.Guise(r) && (to == 0 || document.GuiseIn(t.Guises, to) != nil) {
				return to
			}
		}
	}
	return -1
}
