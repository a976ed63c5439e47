package sample

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/rules"
	"fmt"
	"math/rand/v2"
)

// part draws a part of a rule that may name what is not there.
func part(r *rand.Rand, d *document.Document) document.RulePart {
	m, e := document.ID(Quay), document.ID(Switch)
	if where, ok := pick(r, d.Maps.All()); ok {
		m = where.ID
		if o, ok := pick(r, where.Entities.All()); ok {
			e = o.ID
		}
	}
	parts := []document.RulePart{rules.Use(m, e), rules.Take(m, e), rules.Arrive(m), rules.IsSet(Lit), rules.IsNotSet(Lit),
		rules.Open(m, e), rules.Set(Lit), rules.Clear(Lit), rules.Say(fmt.Sprintf("Line %d.", r.IntN(9)))}
	p := parts[r.IntN(len(parts))]
	if c, ok := pick(r, d.Counters.All()); ok && r.IntN(4) == 0 {
		p = rules.Part(rules.WordAdd, document.Naming(document.Object{Type: document.TypeCounter, ID: c.ID}))
		p.Blanks = append(p.Blanks, kind.Value{Key: "number", Value: kind.Of(r.IntN(9))})
	}
	p.ID, p.Order, p.Off = ID(r), r.IntN(9), r.IntN(5) == 0
	return p
}

// counter draws a step about counters.
func counter(r *rand.Rand, d *document.Document) edit.Primitive {
	c, ok := pick(r, d.Counters.All())
	ref := edit.Ref{Type: edit.TypeCounter, ID: ID(r)}
	switch {
	case !ok || r.IntN(3) == 0:
		return edit.Insert(ref, document.Counter{ID: ref.ID, Name: "Salt", Start: r.IntN(9)})
	case r.IntN(3) == 0:
		ref.ID = c.ID
		return edit.Remove(ref)
	}
	ref.ID = c.ID
	if r.IntN(2) == 0 {
		return edit.Set(ref, "name", fmt.Sprint("Tide ", r.IntN(3)))
	}
	return edit.Set(ref, "start", r.IntN(9))
}

// placing draws a step about what is remembered of motifs, which may name what is not there.
func placing(r *rand.Rand, d *document.Document) edit.Primitive {
	if p, ok := pick(r, d.Placings.All()); ok && r.IntN(2) == 0 {
		ref := edit.Ref{Type: edit.TypePlacing, ID: p.ID}
		if r.IntN(2) == 0 {
			return edit.Remove(ref)
		}
		return edit.Set(ref, "x", r.IntN(20))
	}
	o := document.Placing{ID: ID(r), Motif: ID(r), Map: Quay, X: r.IntN(20), Y: r.IntN(12), Turn: grid.Turn(r.IntN(8)), Layers: []document.ID{Ground}, Entities: []document.ID{}}
	if m, ok := pick(r, d.Motifs.All()); ok {
		o.Motif = m.ID
	}
	return edit.Insert(edit.Ref{Type: edit.TypePlacing, ID: o.ID}, o)
}

// kept draws a step about pins and recordings, which may name what is not there.
func kept(r *rand.Rand, d *document.Document) edit.Primitive {
	at := document.Moment{Tick: int64(r.IntN(900)), Hearts: 1 + r.IntN(3), Flags: []document.ID{Lit},
		Things: []document.ThingSo{{Map: Quay, ID: Switch, Is: []string{document.Sos[r.IntN(len(document.Sos))]}}},
		Hero:   document.Figure{Spot: document.Spot{Map: Quay, X: int64(r.IntN(40000)), Y: int64(r.IntN(40000))}, Facing: document.Facings[r.IntN(4)]}}
	at.Entry, at.Back = at.Hero.Spot, at.Hero.Spot
	at.Entered, at.Touching = []document.ID{Quay}, []document.End{{Map: Quay, Entity: Door}}
	at.Bodies = []document.Figure{{Of: &document.End{Map: Quay, Entity: Pearl}, Spot: at.Hero.Spot, Facing: document.Left, Way: -1, Next: r.IntN(3), Timer: r.IntN(60), Hearts: 1}}
	at.Timers = []document.GoesBack{{Of: document.End{Map: Quay, Entity: Switch}, Left: 1 + r.IntN(90)}}
	at.Shots = []document.FlyingShot{{Of: document.End{Map: Quay, Entity: Door}, X: int64(r.IntN(4000)), VX: -30, Left: 20}}
	if p, ok := pick(r, d.Pins.All()); ok && r.IntN(2) == 0 {
		ref := edit.Ref{Type: edit.TypePin, ID: p.ID}
		if r.IntN(2) == 0 {
			return edit.Remove(ref)
		}
		return edit.Set(ref, "note", fmt.Sprint("Note ", r.IntN(9)))
	}
	if r.IntN(2) == 0 {
		o := document.Recording{ID: ID(r), Name: "Recording", Order: r.IntN(9), Start: at, Keys: []document.HeldFor{{Held: r.IntN(64), Ticks: 1 + r.IntN(60)}},
			Course: []document.CourseMark{{Tick: 1, Map: Quay, X: 2, Y: 3}}}
		return edit.Insert(edit.Ref{Type: edit.TypeRecording, ID: o.ID}, o)
	}
	o := document.Pin{ID: ID(r), Name: "Pin", Order: r.IntN(9), At: document.PinPlace{Map: Quay, X: r.IntN(160), Y: r.IntN(160)}, Moment: at}
	return edit.Insert(edit.Ref{Type: edit.TypePin, ID: o.ID}, o)
}

// logic draws a step about rules, flags, kinds, placings or what is kept of games.
func logic(r *rand.Rand, d *document.Document) edit.Primitive {
	switch r.IntN(12) {
	case 0:
		return placing(r, d)
	case 1:
		return kept(r, d)
	case 2:
		return counter(r, d)
	}
	rule, hasRule := pick(r, d.Rules.All())
	own, hasKind := pick(r, d.Kinds.All())
	switch n := r.IntN(10); {
	case n < 2 || n < 7 && !hasRule:
		made := rules.Of(part(r, d), part(r, d))
		made.ID, made.Order, made.Once = ID(r), r.IntN(9), r.IntN(2) == 0
		p := edit.Insert(edit.Ref{Type: edit.TypeRule, ID: made.ID}, made)
		p.Content = &document.Content{Parts: made.Parts.All()}
		return p
	case n < 3:
		return edit.Remove(edit.Ref{Type: edit.TypeRule, ID: rule.ID})
	case n < 5:
		p := part(r, d)
		if in, ok := pick(r, rule.Parts.All()); ok && r.IntN(3) == 0 {
			p.Parent = in.ID
		}
		return edit.Insert(edit.Ref{Type: edit.TypePart, Rule: rule.ID, ID: p.ID}, p)
	case n < 6:
		p, ok := pick(r, rule.Parts.All())
		if !ok {
			return edit.Set(edit.Ref{Type: edit.TypeRule, ID: rule.ID}, "once", !rule.Once)
		}
		ref := edit.Ref{Type: edit.TypePart, Rule: rule.ID, ID: p.ID}
		if r.IntN(2) == 0 {
			return edit.Remove(ref)
		}
		return edit.Set(ref, "order", r.IntN(9))
	case n < 7:
		p := part(r, d)
		return edit.Set(edit.Ref{Type: edit.TypeRule, ID: rule.ID}, p.Slot, []document.RulePart{p})
	case n < 8 || !hasKind:
		k := *kind.Find(kind.Door)
		k.ID, k.Of, k.Name, k.Solid, k.W, k.Across = ID(r), kind.Door, "Gate", r.IntN(2) == 0, r.IntN(3)*8, r.IntN(3)
		return edit.Insert(edit.Ref{Type: edit.TypeKind, ID: k.ID}, document.Lean(&k))
	case n < 9:
		return edit.Set(edit.Ref{Type: edit.TypeKind, ID: own.ID}, "settings",
			[]kind.Setting{{Key: "needs", Default: kind.Of("brass")}, {Key: "creaks", Name: "Creaks", Type: kind.YesNo, Default: "true"}})
	}
	if m, ok := pick(r, d.Maps.All()); ok {
		if e, ok := pick(r, m.Entities.All()); ok {
			return edit.Set(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}, "values",
				[]kind.Value{{Key: "needs", Value: kind.Of(fmt.Sprint("key ", r.IntN(4)))}, {Key: "amount", Value: kind.Thousandths(int64(r.IntN(9)+1) * 1000)}})
		}
	}
	return edit.Remove(edit.Ref{Type: edit.TypeKind, ID: own.ID})
}
