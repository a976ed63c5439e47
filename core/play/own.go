package play

import (
	"azzel/core/document"
	"azzel/core/rules"
	"azzel/core/world"
	"fmt"
)

// Own is a flag or counter of a thing's own, 1 where a flag is set; false where it has none of it.
func (g *Game) Own(r world.Ref, key string) (int32, bool) {
	if n, _ := g.Stage.OwnOf(r, key); n >= 0 {
		return g.Count(countsOfAll + n), true
	}
	return 0, false
}

// setOwn sets it, no farther than it goes, and wakes what waits for what it reaches.
func (g *Game) setOwn(r world.Ref, key string, to int64) {
	n, own := g.Stage.OwnOf(r, key)
	if n < 0 {
		return
	}
	is, was := int32(min(max(to, int64(own.Least)), int64(own.Most))), g.Count(countsOfAll+n)
	if is != was {
		g.setCount(countsOfAll+n, is)
		g.happen(happening{on: rules.WordReaches, m: g.Stage.Thing(r).Map, thing: r, word: key, was: was, is: is})
	}
}

// firstOwn sets what things have of their own to what it is at first, from one thing up to another.
func (s *Situation) firstOwn(st *world.Stage, from, after world.Ref) {
	for r := from; r < after; r++ {
		t := &st.Things[r]
		for i, o := range t.Own {
			s.setCount(countsOfAll+t.OwnFrom+i, o.First)
		}
	}
}

// ownOf is what a thing has of its own that is not what it is at first.
func (s *Situation) ownOf(st *world.Stage, r world.Ref) (out []document.OwnSo) {
	t := &st.Things[r]
	for i, o := range t.Own {
		if is := s.Count(countsOfAll + t.OwnFrom + i); is != o.First {
			out = append(out, document.OwnSo{Key: o.Key, Is: int(is)})
		}
	}
	return out
}

// own sets what things have of their own, or keeps it aside where they are not there.
func (s *State) own(st *world.Stage, end document.End, all []document.OwnSo) {
	r := st.ThingOf(end.Map, end.Entity)
	if r < 0 && len(all) > 0 {
		s.Away = append(s.Away, Away{Of: document.Object{Type: document.TypeEntity, Map: end.Map, ID: end.Entity}, Own: all})
		return
	}
	for _, so := range all {
		if n, o := st.OwnOf(r, so.Key); n >= 0 {
			s.setCount(countsOfAll+n, min(max(int32(so.Is), o.Least), o.Most))
		}
	}
}

// ownIs answers a condition about what a thing has of its own.
func (g *Game) ownIs(p *rules.Node, r world.Ref) bool {
	is, has := g.Own(r, p.Blank("own").Word())
	n := g.number(p)
	switch p.Word {
	case rules.WordOwnIsSet:
		return has && is != 0
	case rules.WordOwnIsNotSet:
		return is == 0
	case rules.WordOwnAtLeast:
		return has && int64(is) >= n
	case rules.WordOwnBelow:
		return has && int64(is) < n
	}
	return false
}

// changeOwn does an action on what a thing has of its own; false for all other actions.
func (g *Game) changeOwn(p *rules.Node, r world.Ref) bool {
	key := p.Blank("own").Word()
	is, _ := g.Own(r, key)
	n := g.number(p)
	switch p.Word {
	case rules.WordOwnSet:
		g.setOwn(r, key, 1)
	case rules.WordOwnClear:
		g.setOwn(r, key, 0)
	case rules.WordOwnAdd:
		g.setOwn(r, key, int64(is)+n)
	case rules.WordOwnPut:
		g.setOwn(r, key, n)
	default:
		return false
	}
	return true
}

// aboutOwn says what the flags and counters of a thing's own are.
func (g *Game) aboutOwn(r world.Ref, t *world.Thing) (out string) {
	for _, o := range t.Own {
		if o.Key == document.GuiseKey {
			if in := g.Appears(r); in != nil {
				out += ", " + in.Name
			}
			continue
		}
		if o.Key == document.FollowKey {
			continue
		}
		name := o.Key
		if s := g.Stage.Doc.Setting(t.Entity, o.Key); s != nil {
			name = s.Name
		}
		is, _ := g.Own(r, o.Key)
		if o.Flag {
			out += fmt.Sprintf(", %s: %s", name, map[bool]string{true: "yes", false: "no"}[is != 0])
		} else {
			out += fmt.Sprintf(", %s: %d", name, is)
		}
	}
	return out
}
