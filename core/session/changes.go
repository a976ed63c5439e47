package session

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"encoding/json"
	"slices"
)

// Listed is what differs in a list of objects from what was told before.
type Listed[T any] struct {
	// Set are those that are new or differ.
	Set  []T           `json:"set,omitempty"`
	Gone []document.ID `json:"gone,omitempty"`
	// Order is the ids of all, where they do not stand as before and some are left.
	Order []document.ID `json:"order,omitempty"`
}

// HeadChange is what differs in the head from what was told before; what is left
// out is as it was. What never changes is told by the head alone.
type HeadChange struct {
	Project       *document.Project          `json:"project,omitempty"`
	Plan          []document.PlanLayer       `json:"plan,omitempty"`
	Tilesets      *Listed[TilesetInfo]       `json:"tilesets,omitempty"`
	Maps          *Listed[MapInfo]           `json:"maps,omitempty"`
	Passages      *Listed[*document.Passage] `json:"passages,omitempty"`
	Rules         *Listed[ToldRule]          `json:"rules,omitempty"`
	Flags         *Listed[*document.Flag]    `json:"flags,omitempty"`
	Counters      *Listed[*document.Counter] `json:"counters,omitempty"`
	Sounds        *Listed[*document.Sound]   `json:"sounds,omitempty"`
	Materials     *Listed[MaterialInfo]      `json:"materials,omitempty"`
	Motifs        *Listed[MotifInfo]         `json:"motifs,omitempty"`
	Zones         *Listed[*document.Zone]    `json:"zones,omitempty"`
	Kinds         *Listed[author.PlainKind]  `json:"kinds,omitempty"`
	Pins          *Listed[PinInfo]           `json:"pins,omitempty"`
	Recordings    *Listed[RecordingInfo]     `json:"recordings,omitempty"`
	MapProperties *[]author.PlainSetting     `json:"mapProperties,omitempty"`
	Wires         *[]author.Drawn            `json:"wires,omitempty"`
}

// told is what the interface knows of the head.
type told struct {
	// doc is the version that was told.
	doc        *document.Document
	project    *document.Project
	tilesets   list[*document.Tileset, TilesetInfo]
	maps       list[*document.Map, MapInfo]
	passages   list[*document.Passage, *document.Passage]
	rules      list[*document.Rule, ToldRule]
	flags      list[*document.Flag, *document.Flag]
	counters   list[*document.Counter, *document.Counter]
	sounds     list[*document.Sound, *document.Sound]
	materials  list[*document.Material, MaterialInfo]
	motifs     list[*document.Motif, MotifInfo]
	zones      list[*document.Zone, *document.Zone]
	kinds      list[*kind.Kind, author.PlainKind]
	pins       list[*document.Pin, PinInfo]
	recordings list[*document.Recording, RecordingInfo]
	wires      []author.Drawn
	// entities are those of the maps whose entities were asked for.
	entities map[document.ID]document.Table[document.Entity]
}

// list is one list as the interface knows it: of each object what it was told from
// and what was told.
type list[S comparable, T any] struct {
	order []document.ID
	known map[document.ID]tellings[S, T]
}

type tellings[S comparable, T any] struct {
	of   S
	told T
}

// tell gives what differs in the list now, nil when nothing does. An object that
// is still the same is not told again; of another, same decides.
func (l *list[S, T]) tell(now []S, id func(S) document.ID, again func(T) bool, tell func(S) T, same func(old S, was T, now S, is T) bool) *Listed[T] {
	var out Listed[T]
	order := make([]document.ID, len(now))
	known := make(map[document.ID]tellings[S, T], len(now))
	for i, o := range now {
		order[i] = id(o)
		old, ok := l.known[order[i]]
		if ok && old.of == o && !again(old.told) {
			known[order[i]] = old
			continue
		}
		is := tell(o)
		known[order[i]] = tellings[S, T]{o, is}
		if !ok || !same(old.of, old.told, o, is) {
			out.Set = append(out.Set, is)
		}
	}
	for _, id := range l.order {
		if _, ok := known[id]; !ok {
			out.Gone = append(out.Gone, id)
		}
	}
	if !slices.Equal(order, l.order) {
		out.Order = order
	}
	l.order, l.known = order, known
	if len(out.Set)+len(out.Gone)+len(out.Order) == 0 {
		return nil
	}
	return &out
}

// never is for objects of which another one is always told.
func never[S, T any](S, T, S, T) bool { return false }

func itself[T any](o T) T { return o }

// once is for lists of which an object that is the same is not told again.
func once[T any](T) bool { return false }

// headChange tells what differs in the head from what was told before.
func (s *Session) headChange(none) (HeadChange, error) {
	d, t := s.doc(), &s.told
	var c HeadChange
	settings := t.project != d.Project
	if settings {
		own := mapProperties(d)
		t.project, c.Project, c.Plan, c.MapProperties = d.Project, d.Project, d.Project.LayerPlan(), &own
	}
	c.Tilesets = t.tilesets.tell(d.TilesetsInOrder(), func(o *document.Tileset) document.ID { return o.ID }, once[TilesetInfo], tilesetInfo, never)
	c.Maps = t.maps.tell(d.MapsInOrder(), func(o *document.Map) document.ID { return o.ID }, func(MapInfo) bool { return settings },
		func(m *document.Map) MapInfo { return mapInfo(d, m) },
		func(old *document.Map, was MapInfo, now *document.Map, is MapInfo) bool {
			return was.Background == is.Background && (old == now || document.SameFields(old, now) && document.SameLayers(old, now))
		})
	if t.doc == nil || !t.doc.Passages.Same(d.Passages) {
		c.Passages = t.passages.tell(d.Passages.All(), func(o *document.Passage) document.ID { return o.ID }, once[*document.Passage], itself, never)
	}
	// a rule's sentence names things, which may be called otherwise now
	said := renamed(t.doc, d)
	if said.any() || !t.doc.Rules.Same(d.Rules) {
		c.Rules = t.rules.tell(d.RulesInOrder(), func(o *document.Rule) document.ID { return o.ID }, said.touch,
			func(r *document.Rule) ToldRule { return ruleTold(d, r) }, sameRule)
	}
	c.Counters = t.counters.tell(d.CountersByName(), func(o *document.Counter) document.ID { return o.ID }, once[*document.Counter], itself, never)
	c.Flags = t.flags.tell(d.FlagsByName(), func(o *document.Flag) document.ID { return o.ID }, once[*document.Flag], itself, never)
	c.Sounds = t.sounds.tell(d.SoundsByName(), func(o *document.Sound) document.ID { return o.ID }, once[*document.Sound], itself, never)
	c.Materials = t.materials.tell(d.MaterialsInOrder(), func(o *document.Material) document.ID { return o.ID }, once[MaterialInfo], s.materialOf, never)
	c.Motifs = t.motifs.tell(d.MotifsInOrder(), func(o *document.Motif) document.ID { return o.ID }, once[MotifInfo], motifInfo, never)
	c.Zones = t.zones.tell(d.ZonesInOrder(), func(o *document.Zone) document.ID { return o.ID }, once[*document.Zone], itself, never)
	c.Kinds = t.kinds.tell(d.KindsInOrder(), func(o *kind.Kind) document.ID { return o.ID }, once[author.PlainKind], author.PlainKindOf, never)
	c.Pins = t.pins.tell(d.PinsInOrder(), func(o *document.Pin) document.ID { return o.ID }, once[PinInfo], pinInfo, never)
	c.Recordings = t.recordings.tell(d.RecordingsInOrder(), func(o *document.Recording) document.ID { return o.ID }, once[RecordingInfo], recordingInfo, never)
	if t.doc == nil || !t.doc.Rules.Same(d.Rules) {
		if wires := author.Wires(d); !slices.Equal(wires, t.wires) {
			t.wires = wires
			all := append([]author.Drawn{}, wires...)
			c.Wires = &all
		}
	}
	t.doc = d
	return c, nil
}

// EntityChange is what differs among the entities of a map from what was told before.
type EntityChange struct {
	Set  []*document.Entity `json:"set"`
	Gone []document.ID      `json:"gone"`
}

// written is what differs as JSON.
func (c EntityChange) written() (json.RawMessage, error) {
	gone, err := json.Marshal(c.Gone)
	if err != nil {
		return nil, err
	}
	out := appendEntities(append(make([]byte, 0, len(c.Set)*document.EntityRoom+len(gone)+32), `{"set":`...), c.Set)
	return append(append(append(out, `,"gone":`...), gone...), '}'), nil
}

// appendEntities writes a list of entities, those that are plain words and numbers without encoding/json, which takes far longer.
func appendEntities(out []byte, all []*document.Entity) []byte {
	out = append(out, '[')
	for i, e := range all {
		if i > 0 {
			out = append(out, ',')
		}
		var ok bool
		if out, ok = e.AppendJSON(out); !ok {
			out = append(out, edit.JSON(e)...)
		}
	}
	return append(out, ']')
}

// entityChange tells what differs among the entities of a map from what was told
// before; all of them the first time.
func (s *Session) entityChange(a mapArgs) (zero EntityChange, err error) {
	m, err := s.mapOf(a.Map)
	if err != nil {
		delete(s.told.entities, a.Map)
		return zero, err
	}
	if s.told.entities == nil {
		s.told.entities = map[document.ID]document.Table[document.Entity]{}
	}
	out := EntityChange{Set: []*document.Entity{}, Gone: []document.ID{}}
	s.told.entities[a.Map].Differs(m.Entities, func(e *document.Entity) { out.Set = append(out.Set, e) },
		func(e *document.Entity) { out.Gone = append(out.Gone, e.ID) })
	s.told.entities[a.Map] = m.Entities
	return out, nil
}
