package world

import (
	"azzel/core/document"
	"azzel/core/kind"
)

// Own is a flag or a counter of a thing's own, as its kind declares it.
type Own struct {
	Key string
	// Flag tells that it is yes or no: 1 or 0.
	Flag bool
	// First is what it is at first; it stays between Least and Most.
	First, Least, Most int32
}

// ownMost is how far a counter counts where nothing is said of that.
const ownMost = 1_000_000_000

// takeOwn numbers the flags and counters of all things.
func (s *Stage) takeOwn() {
	s.Owned = 0
	for r := range s.Things {
		t := &s.Things[r]
		t.Own, t.OwnFrom = s.ownOf(t), s.Owned
		s.Owned += len(t.Own)
	}
}

func (s *Stage) ownOf(t *Thing) (out []Own) {
	if most := kind.NextGuise(t.Guises, 1) - 1; most > 0 {
		out = append(out, Own{Key: document.GuiseKey, Most: int32(most)})
	}
	if t.Acts == kind.Character || t.Acts == kind.Hero {
		out = append(out, Own{Key: document.FollowKey, Most: document.FollowsNot})
	}
	k := s.Doc.Kind(document.ID(t.Kind))
	if k == nil {
		return out
	}
	for i := range k.Settings {
		set := &k.Settings[i]
		if !set.Varies {
			continue
		}
		o := Own{Key: set.Key, Least: -ownMost, Most: ownMost}
		is := s.Doc.Value(t.Entity, set.Key)
		if set.Type == kind.YesNo {
			o.Flag, o.Least, o.Most = true, 0, 1
			if is.Yes() {
				o.First = 1
			}
		} else {
			if set.Least < set.Most {
				o.Least, o.Most = int32(max(set.Least, -ownMost)), int32(min(set.Most, ownMost))
			}
			o.First = int32(min(max(is.Thousandths()/1000, int64(o.Least)), int64(o.Most)))
		}
		out = append(out, o)
	}
	return out
}

// OwnOf finds the number of a flag or counter of a thing's own, and what it is; −1 where it has none of it.
func (s *Stage) OwnOf(r Ref, key string) (int, *Own) {
	if t := s.Thing(r); t != nil {
		for i := range t.Own {
			if t.Own[i].Key == key {
				return t.OwnFrom + i, &t.Own[i]
			}
		}
	}
	return -1, nil
}
