package author

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/rules"
	"encoding/json"
	"errors"
	"fmt"
	"slices"
)

// RewriteRule has a rule say what a text says. Parts that stay keep their ids, so that others' changes to them, and games
// that have come to them, still find them; a text that cannot be read changes nothing. Was is the rule as it was when the
// text was begun, nil for as it is: what others changed since stays.
func RewriteRule(d *document.Document, was *document.Rule, id document.ID, text string) (Change, error) {
	now := d.Rules.Get(id)
	if now == nil {
		return Change{}, errRuleGone
	}
	r := was
	if r == nil {
		r = now
	}
	next, err := rules.Read(d, text)
	if err != nil {
		return Change{}, err
	}
	c := changed("Changed a rule as text")
	ref := edit.Ref{Type: edit.TypeRule, ID: id}
	if next.Once != r.Once {
		c.Do = append(c.Do, edit.Set(ref, "once", next.Once))
	}
	if next.Off != r.Off {
		c.Do = append(c.Do, edit.Set(ref, "off", next.Off))
	}
	if next.Name != r.Name {
		c.Do = append(c.Do, edit.Set(ref, "name", next.Name))
	}
	if now.Draft != "" {
		c.Do = append(c.Do, edit.Set(ref, "draft", ""))
	}
	w := rewriter{was: r, is: &next, rule: id}
	for _, slot := range document.Slots {
		w.slot("", "", slot)
	}
	c.Do = append(c.Do, standing(w.do, now)...)
	if len(c.Do) == 0 {
		return Change{}, errLikeThat
	}
	if len(c.Do) > edit.MaxPrimitives {
		return Change{}, fmt.Errorf("that changes more than %d things at once: change less", edit.MaxPrimitives)
	}
	return c, nil
}

// standing are edits of the parts of a rule without those to parts that others removed meanwhile; what was to stand in one of
// these stands in the rule itself.
func standing(all []edit.Primitive, now *document.Rule) (out []edit.Primitive) {
	there := map[document.ID]bool{}
	for _, p := range now.Parts.All() {
		there[p.ID] = true
	}
	for _, do := range all {
		switch {
		case do.Op == edit.OpInsert:
			there[do.Ref.ID] = true
			var p document.RulePart
			if json.Unmarshal(do.Value, &p) == nil && p.Parent != "" && !there[p.Parent] {
				p.Parent = ""
				do = edit.Insert(do.Ref, p)
			}
		case !there[do.Ref.ID]:
			continue
		}
		out = append(out, do)
	}
	return out
}

// rewriter makes the parts of one rule those of another.
type rewriter struct {
	was, is *document.Rule
	rule    document.ID
	do      []edit.Primitive
}

func (w *rewriter) ref(id document.ID) edit.Ref {
	return edit.Ref{Type: edit.TypePart, Rule: w.rule, ID: id}
}

// slot makes what stands in a slot of one part what stands in it of another.
func (w *rewriter) slot(was, is document.ID, slot string) {
	old, now := w.was.Under(was, slot), w.is.Under(is, slot)
	kept := pairs(old, now)
	for _, p := range old {
		if !slices.ContainsFunc(kept, func(k [2]*document.RulePart) bool { return k[0] == p }) && rules.Find(p.Word) != nil {
			w.do = append(w.do, removeParts(w.was, w.was.Whole(p))...)
		}
	}
	// those that stay keep their orders where these still rise
	last := 0
	for i, q := range now {
		var p *document.RulePart
		if k := slices.IndexFunc(kept, func(k [2]*document.RulePart) bool { return k[1] == q }); k >= 0 {
			p = kept[k][0]
		}
		if p == nil {
			order := last + orderStep
			if next := w.nextOrder(kept, now[i+1:]); next > last+1 && next <= order {
				order = last + (next-last)/2
			}
			last = order
			w.insert(q, was, order)
			continue
		}
		if p.Order <= last {
			w.do = append(w.do, edit.Set(w.ref(p.ID), "order", last+orderStep))
			last += orderStep
		} else {
			last = p.Order
		}
		w.part(p, q)
	}
}

// nextOrder is the order of the next part that stays, 0 for none.
func (w *rewriter) nextOrder(kept [][2]*document.RulePart, left []*document.RulePart) int {
	for _, q := range left {
		for _, k := range kept {
			if k[1] == q {
				return k[0].Order
			}
		}
	}
	return 0
}

// insert puts a part in, with all that stands in it.
func (w *rewriter) insert(q *document.RulePart, parent document.ID, order int) {
	ids := map[document.ID]document.ID{}
	for _, p := range w.is.Whole(q) {
		o := *p
		o.ID, ids[p.ID] = document.NewID(), document.ID("")
		ids[p.ID] = o.ID
		if p == q {
			o.Parent, o.Order = parent, order
		} else {
			o.Parent = ids[p.Parent]
		}
		w.do = append(w.do, edit.Insert(w.ref(o.ID), o))
	}
}

// part makes a part another one, and what stands in it.
func (w *rewriter) part(p, q *document.RulePart) {
	if p.Word != q.Word {
		w.do = append(w.do, edit.Set(w.ref(p.ID), "word", q.Word))
	}
	if !slices.Equal(p.Blanks, q.Blanks) {
		w.do = append(w.do, edit.Set(w.ref(p.ID), "blanks", q.Blanks))
	}
	if p.Off != q.Off {
		w.do = append(w.do, edit.Set(w.ref(p.ID), "off", q.Off))
	}
	for _, slot := range document.Slots {
		w.slot(p.ID, q.ID, slot)
	}
}

// pairs are the parts that stay what they are, and those that become others: first those that say the same, in their
// order, then what lies between them with the same word.
func pairs(old, now []*document.RulePart) (out [][2]*document.RulePart) {
	same := common(old, now, func(p, q *document.RulePart) bool { return p.Word == q.Word && slices.Equal(p.Blanks, q.Blanks) })
	same = append(same, [2]int{len(old), len(now)})
	i, j := 0, 0
	for _, s := range same {
		inner := common(old[i:s[0]], now[j:s[1]], func(p, q *document.RulePart) bool { return p.Word == q.Word })
		for _, b := range inner {
			out = append(out, [2]*document.RulePart{old[i+b[0]], now[j+b[1]]})
		}
		if s[0] < len(old) {
			out = append(out, [2]*document.RulePart{old[s[0]], now[s[1]]})
		}
		i, j = s[0]+1, s[1]+1
	}
	return out
}

// common is a longest sequence of pairs, rising in both (Hirschberg, 1975, without saving room: a rule has few parts).
func common(a, b []*document.RulePart, same func(p, q *document.RulePart) bool) (out [][2]int) {
	// what is the same at both ends is paired at once
	from, n, m := 0, len(a), len(b)
	for ; from < n && from < m && same(a[from], b[from]); from++ {
		out = append(out, [2]int{from, from})
	}
	for n > from && m > from && same(a[n-1], b[m-1]) {
		n, m = n-1, m-1
	}
	for _, p := range longest(a[from:n], b[from:m], same) {
		out = append(out, [2]int{from + p[0], from + p[1]})
	}
	for i := range len(a) - n {
		out = append(out, [2]int{n + i, m + i})
	}
	return out
}

// longest is common where the ends differ.
func longest(a, b []*document.RulePart, same func(p, q *document.RulePart) bool) (out [][2]int) {
	long := make([][]int, len(a)+1)
	for i := range long {
		long[i] = make([]int, len(b)+1)
	}
	for i := len(a) - 1; i >= 0; i-- {
		for j := len(b) - 1; j >= 0; j-- {
			if same(a[i], b[j]) {
				long[i][j] = long[i+1][j+1] + 1
			} else {
				long[i][j] = max(long[i+1][j], long[i][j+1])
			}
		}
	}
	for i, j := 0, 0; i < len(a) && j < len(b); {
		switch {
		case same(a[i], b[j]):
			out = append(out, [2]int{i, j})
			i, j = i+1, j+1
		case long[i+1][j] >= long[i][j+1]:
			i++
		default:
			j++
		}
	}
	return out
}

// DraftRule keeps a text that cannot be read yet with its rule; an empty one throws it away.
func DraftRule(d *document.Document, id document.ID, text string) (Change, error) {
	r := d.Rules.Get(id)
	switch {
	case r == nil:
		return Change{}, errRuleGone
	case r.Draft == text:
		return Change{}, errors.New("the draft is like that already")
	}
	next := *r
	next.Draft = text
	return changed("Wrote at a rule", edit.Set(edit.Ref{Type: edit.TypeRule, ID: id}, "draft", text)), next.Check()
}

// TextRule makes a rule of a text.
func TextRule(d *document.Document, text string) (Change, error) {
	r, err := rules.Read(d, text)
	if err != nil {
		return Change{}, err
	}
	return AddRule(d, r.Copied())
}
