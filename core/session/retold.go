package session

import (
	"azzel/core/document"
	"azzel/core/kind"
	"slices"
)

// renamings are what may be said otherwise in the sentences of rules since they were told last: a rule is told again only if it
// speaks of something of that.
type renamings struct {
	// all tells that any rule may be.
	all bool
	// items tells that those may be which speak of items, things that those may be which speak of several things, or of it.
	items, things bool
	ids           map[document.ID]bool
}

// renamed finds what differs between two versions of what rules speak of.
func renamed(was, now *document.Document) (r renamings) {
	r.ids = map[document.ID]bool{}
	if was == nil || was.Kinds.Len() != now.Kinds.Len() || !was.Kinds.Same(now.Kinds) || was.Maps.Len() != now.Maps.Len() ||
		was.Project != now.Project && (!slices.Equal(was.Project.MapValues, now.Project.MapValues) || !slices.Equal(was.Project.Pins, now.Project.Pins)) {
		r.all = true
		return r
	}
	r.items = !was.Rules.Same(now.Rules) || was.Project != now.Project // what rules give is an item
	was.Flags.Differs(now.Flags, func(o *document.Flag) { r.ids[o.ID] = true }, func(o *document.Flag) { r.ids[o.ID] = true })
	was.Counters.Differs(now.Counters, func(o *document.Counter) { r.ids[o.ID] = true }, func(o *document.Counter) { r.ids[o.ID] = true })
	was.Maps.Differs(now.Maps, func(m *document.Map) { r.onMap(was.Maps.Get(m.ID), m) }, func(*document.Map) { r.all = true })
	return r
}

// any reports whether any rule may be said otherwise.
func (r *renamings) any() bool { return r.all || r.items || r.things || len(r.ids) > 0 }

// onMap adds what differs between two versions of a map.
func (r *renamings) onMap(was, now *document.Map) {
	if was == nil {
		r.all = true
		return
	}
	if was.Name != now.Name || !slices.Equal(was.Values, now.Values) || !was.Layers.Same(now.Layers) {
		r.ids[now.ID] = true
	}
	dirty := func(e *document.Entity) { r.ids[e.ID], r.items, r.things = true, true, true }
	was.Entities.Differs(now.Entities, func(e *document.Entity) {
		old := was.Entities.Get(e.ID)
		if old != nil && old.Name == e.Name && old.Kind == e.Kind && old.Memory == e.Memory && slices.Equal(old.Guises, e.Guises) && slices.Equal(old.Values, e.Values) {
			return
		}
		dirty(e)
	}, dirty)
}

// touch reports whether a rule that was told may be said otherwise now.
func (r *renamings) touch(told ToldRule) bool {
	return r.all || r.items && told.speaks.items || r.things && told.speaks.things || len(r.ids) > 0 && slices.ContainsFunc(told.speaks.ids, func(id document.ID) bool { return r.ids[id] })
}

// speaks is what a rule speaks of.
type speaks struct {
	ids           []document.ID
	items, things bool
}

// add takes in what a blank says.
func (s *speaks) add(b kind.Value) {
	o, ok := document.Named(b.Value)
	switch {
	case !ok:
		s.items = s.items || b.Key == "item"
		s.things = s.things || b.Key == "own" || b.Key == "guise" || b.Key == "from"
	case o.Several() || o.Type == document.TypeIt || o.Type == document.TypeWho:
		s.things = true
		fallthrough
	default:
		for _, id := range []document.ID{o.ID, o.Map} {
			if id != "" && !slices.Contains(s.ids, id) {
				s.ids = append(s.ids, id)
			}
		}
	}
}
