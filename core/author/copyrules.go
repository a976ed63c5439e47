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

// copiedRules are copies of the rules that wait for something of which there is a copy now: what they name of that, they
// name of the copies, everything else stays. Of what wakes them only that is left which concerns copies. Rules of kinds
// hold for copies as they are.
func copiedRules(d *document.Document, copied func(document.Object) (document.Object, bool)) (do []edit.Primitive) {
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
		if !slices.ContainsFunc(whens, wakes) || len(all)+len(do) >= document.MaxRules {
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
		do = append(do, insertRule(next.With(own...)))
	}
	return do
}
