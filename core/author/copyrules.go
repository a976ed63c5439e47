package author

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"slices"
)

// one is the entity that a blank names, where it names all that is in it.
func one(o document.Object) document.Object {
	if o.Type == document.TypeWithin {
		o.Type = document.TypeEntity
	}
	return o
}

// copiedRules are the edits that make copies of rules; see copies.
func copiedRules(d *document.Document, copied func(document.Object) (document.Object, bool)) (do []edit.Primitive) {
	for _, r := range copies(d, copied) {
		do = append(do, edit.InsertRule(r))
	}
	return do
}

// rulesIn are the rules that wait for entities, as a motif keeps them.
func rulesIn(d *document.Document, m *document.Map, all []*document.Entity) (out []document.MotifRule) {
	at := map[document.ID]document.ID{}
	for i, e := range all {
		at[e.ID] = document.MotifEntity(i)
	}
	for _, r := range copies(d, func(o document.Object) (document.Object, bool) {
		to, is := at[o.ID]
		if is = is && o.Type == document.TypeEntity && o.Map == m.ID; is {
			o.Map, o.ID = document.MotifMap, to
		}
		return o, is
	}) {
		if len(out) < document.MaxMotifRules {
			out = append(out, document.KeptRule(&r))
		}
	}
	return out
}

// copies are copies of the rules that wait for something of which there is a copy now: what they name of that, they
// name of the copies, everything else stays. Of what wakes them only that is left which concerns copies. Rules of kinds
// hold for copies as they are.
func copies(d *document.Document, copied func(document.Object) (document.Object, bool)) (out []document.Rule) {
	order := orderStep
	all := d.RulesInOrder()
	if n := len(all); n > 0 {
		order += all[n-1].Order
	}
	for _, r := range all {
		wakes := func(p *document.RulePart) bool {
			return slices.ContainsFunc(p.Blanks, func(b kind.Value) bool {
				o, ok := document.Named(b.Value)
				_, is := copied(one(o))
				return ok && is
			})
		}
		whens := r.In(document.SlotWhen)
		if !slices.ContainsFunc(whens, wakes) || len(all)+len(out) >= document.MaxRules {
			continue
		}
		var parts []*document.RulePart
		for _, p := range r.InOrder() {
			if p.Slot != document.SlotWhen || wakes(p) {
				parts = append(parts, p)
			}
		}
		next := *r
		next.ID, next.Order, next.Draft, next.Parts = document.NewID(), order, "", document.Table[document.RulePart]{}
		order += orderStep
		own := document.CopiedParts(parts)
		for i := range own {
			own[i].Blanks = slices.Clone(own[i].Blanks)
			for k := range own[i].Blanks {
				if o, ok := document.Named(own[i].Blanks[k].Value); ok {
					if to, is := copied(one(o)); is {
						to.Type = o.Type
						own[i].Blanks[k].Value = document.Naming(to)
					}
				}
			}
		}
		out = append(out, next.With(own...))
	}
	return out
}
