package sample

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/rules"
	"math/rand/v2"
	"strings"
)

// What rules drawn by chance name besides things on maps.
const (
	DrawnFlag    = document.ID("flagflagflag")
	DrawnSound   = document.ID("gonggonggong")
	DrawnCounter = document.ID("salesalesale")
	DrawnOther   = document.ID("tidetidetide")
)

// Drawn adds what rules drawn by chance name.
func Drawn() []edit.Primitive {
	return []edit.Primitive{edit.Insert(edit.Ref{Type: edit.TypeSound, ID: DrawnSound}, document.Sound{ID: DrawnSound, Name: "Gong", File: strings.Repeat("6", 64), Form: "wav", Lasts: 900, Loud: 100}),
		edit.Insert(edit.Ref{Type: edit.TypeFlag, ID: DrawnFlag}, document.Flag{ID: DrawnFlag, Name: "Flag"}),
		edit.Insert(edit.Ref{Type: edit.TypeCounter, ID: DrawnCounter}, document.Counter{ID: DrawnCounter, Name: "Salt", Start: 2}),
		edit.Insert(edit.Ref{Type: edit.TypeCounter, ID: DrawnOther}, document.Counter{ID: DrawnOther, Name: "Tide"})}
}

// drawer draws rules about things of a project.
type drawer struct {
	Draw
	d   *document.Document
	r   *rand.Rand
	all []standing
}

type standing struct {
	m  document.ID
	of *document.Entity
}

// Draw is what of rules drawn by chance is chosen: the maps whose things they are about, all where that is empty, and
// whether they say lines.
type Draw struct {
	On   document.ID
	Says bool
}

// Rule draws a rule, parts standing in others.
func (how Draw) Rule(d *document.Document, r *rand.Rand) document.Rule {
	w := drawer{Draw: how, d: d, r: r}
	for _, m := range d.MapsInOrder() {
		if how.On == "" || how.On == m.ID {
			for _, e := range document.InRank(m.Entities.All()) {
				w.all = append(w.all, standing{m.ID, e})
			}
		}
	}
	var parts []document.RulePart
	for _, slot := range []string{document.SlotWhen, document.SlotWhen, document.SlotIf, document.SlotThen, document.SlotThen, document.SlotOtherwise} {
		parts = w.part(parts, slot, "", 0)
	}
	rule := rules.Of(parts...)
	rule.Once = r.IntN(3) == 0
	return rule
}

// part draws one for a slot, with what stands in it.
func (w *drawer) part(out []document.RulePart, slot string, parent document.ID, deep int) []document.RulePart {
	for range 60 {
		e := &rules.Vocabulary[w.r.IntN(len(rules.Vocabulary))]
		of := slot
		if slot == document.SlotOtherwise {
			of = document.SlotThen
		}
		p := document.RulePart{ID: document.NewID(), Parent: parent, Slot: slot, Word: e.Word}
		if e.Slot != of || e.Within != "" || (e.Word == rules.WordSay || e.Word == rules.WordTells || e.Word == rules.WordTellsAs) && !w.Says || !w.fill(&p, e) {
			continue
		}
		out = append(out, p)
		for _, in := range e.Holds {
			if deep > 2 {
				continue
			}
			for range 1 + w.r.IntN(2) {
				if e.Word == rules.WordAsk {
					a := document.RulePart{ID: document.NewID(), Parent: p.ID, Slot: in, Word: rules.WordAnswer, Blanks: []kind.Value{{Key: "text", Value: `"Yes"`}}}
					out = w.part(append(out, a), document.SlotThen, a.ID, deep+1)
				} else {
					out = w.part(out, in, p.ID, deep+1)
				}
			}
		}
		return out
	}
	return out
}

// fill fills the blanks of a part; false where what was drawn does not fit.
func (w *drawer) fill(p *document.RulePart, e *rules.Entry) bool {
	o := w.all[w.r.IntN(len(w.all))]
	for _, b := range e.Blanks {
		var fill kind.Datum
		switch b.Type {
		case rules.BlankEntity:
			if k := w.d.Kind(document.ID(o.of.Kind)); b.Fits != nil && !b.Fits(k) {
				return false
			}
			at := []document.Object{{Type: document.TypeEntity, Map: o.m, ID: o.of.ID}, {Type: document.TypeEntity, Map: o.m, ID: o.of.ID}, {Type: document.TypeKind, ID: document.ID(o.of.Kind)}, {Type: document.TypeTag, ID: "salty"}, {Type: document.TypeWithin, Map: o.m, ID: w.all[w.r.IntN(len(w.all))].of.ID}, {Type: document.TypeIt}}
			n := 6
			if e.Slot == document.SlotWhen {
				n = 4 // which woke it is not known yet
			}
			if fill = document.Naming(at[w.r.IntN(n)]); b.Hero && w.r.IntN(3) == 0 {
				fill = document.Naming(document.Object{Type: []string{document.TypeHero, document.TypeWho}[w.r.IntN(2)]})
				if e.Slot == document.SlotWhen {
					fill = document.Naming(document.Object{Type: document.TypeHero})
				}
			}
		case rules.BlankLayer:
			layers := w.d.Maps.Get(o.m).LayersInOrder()
			l := layers[w.r.IntN(len(layers))]
			if l.Kind != document.LayerTiles && l.Kind != document.LayerZones {
				return false
			}
			fill = document.Naming(document.Object{Type: document.TypeLayer, Map: o.m, ID: l.ID})
		case rules.BlankChoice:
			fill = kind.Of(b.Of[w.r.IntN(len(b.Of))])
		case rules.BlankMap:
			fill = document.Naming(document.Object{Type: document.TypeMap, ID: o.m})
		case rules.BlankSound:
			fill = document.Naming(document.Object{Type: document.TypeSound, ID: DrawnSound})
		case rules.BlankFlag:
			fill = document.Naming(document.Object{Type: document.TypeFlag, ID: DrawnFlag})
		case rules.BlankCounter:
			fill = document.Naming(document.Object{Type: document.TypeCounter, ID: []document.ID{DrawnCounter, DrawnOther}[w.r.IntN(2)]})
		case rules.BlankKind:
			fill = document.Naming(document.Object{Type: document.TypeKind, ID: document.ID(o.of.Kind)})
		case rules.BlankNumber:
			if fill = kind.Of(w.r.IntN(5) - 1); w.r.IntN(6) == 0 {
				fill = document.Naming(document.Object{Type: document.TypeCounter, ID: DrawnCounter})
			}
		default:
			fill = map[string]kind.Datum{rules.BlankItem: `"oil"`, rules.BlankOwnFlag: `"lid"`, rules.BlankOwnCounter: `"full"`, rules.BlankSignal: `"tide"`, rules.BlankText: `"Well?"`, rules.BlankGuise: []kind.Datum{`"0"`, `"1"`}[w.r.IntN(2)]}[b.Type]
		}
		p.Blanks = append(p.Blanks, kind.Value{Key: b.Key, Value: fill})
	}
	return true
}
