package edit

import (
	"azzel/core/document"
	"bytes"
	"encoding/json"
	"errors"
	"fmt"
)

// objects is one table of the document being made, whatever its type of object.
type objects interface {
	// get gives an object as JSON, nil when it is missing.
	get(id document.ID) json.RawMessage
	// is reports whether an object is as this JSON says, which an older version,
	// whose objects had fewer fields, may have written.
	is(id document.ID, value json.RawMessage) bool
	// set writes a field, if may, told what it is, does not say otherwise.
	set(id document.ID, field string, value json.RawMessage, may func(was json.RawMessage) bool) (change, error)
	// written is a value of a field in the form in which it is written now, nil when it is none.
	written(id document.ID, field string, value json.RawMessage) json.RawMessage
	// insert tells whether the object's name was taken, so that it has got another one.
	insert(p *Primitive) (renamed bool, err error)
	remove(id document.ID)
	// check finds what is wrong with an object; nil when it is gone.
	check(id document.ID) error
	// keepNames hands the names in use on to the table as it is now.
	keepNames()
	// makes says who changes the table.
	makes(by *document.Maker)
}

// table is the objects in a Table[T] that is read and written through the working copy.
type table[T any] struct {
	word  string
	limit int
	read  func() document.Table[T]
	write func(document.Table[T])
	id    func(*T) document.ID
	// name is nil for types without names.
	name  func(*T) *string
	names *document.Names // made when first needed
	by    *document.Maker
	// fits refuses an object that cannot stand here.
	fits func(*T) error
}

func (t *table[T]) makes(by *document.Maker) { t.by = by }

func (t *table[T]) get(id document.ID) json.RawMessage {
	obj := t.read().Get(id)
	if obj == nil {
		return nil
	}
	return JSON(obj)
}

func (t *table[T]) is(id document.ID, value json.RawMessage) bool {
	now := t.get(id)
	if bytes.Equal(now, value) {
		return true
	}
	old := new(T)
	return document.Strict(value, old) == nil && sameJSON(now, JSON(old))
}

func (t *table[T]) written(id document.ID, field string, value json.RawMessage) json.RawMessage {
	obj := t.read().Get(id)
	if obj == nil {
		return nil
	}
	return written(obj, field, value)
}

func written[T any](obj *T, field string, value json.RawMessage) json.RawMessage {
	next, err := document.WithField(obj, field, value)
	if err != nil {
		return nil
	}
	out, err := document.Field(next, field)
	if err != nil {
		return nil
	}
	return out
}

func (t *table[T]) gone() error { return fmt.Errorf("the %s is no longer there", t.word) }

// change is what became of a field that was to be set.
type change struct {
	was, now json.RawMessage
	// kept tells that it was left as it was.
	kept bool
}

// changed gives a copy of an object with a field set, nil where may says otherwise.
func changed[T any](obj *T, field string, value json.RawMessage, may func(was json.RawMessage) bool) (next *T, c change, err error) {
	if c.was, err = document.Field(obj, field); err != nil {
		return nil, c, err
	}
	if may != nil && !may(c.was) {
		c.kept = true
		return nil, c, nil
	}
	next, err = document.WithField(obj, field, value)
	return next, c, err
}

func (t *table[T]) set(id document.ID, field string, value json.RawMessage, may func(was json.RawMessage) bool) (change, error) {
	old := t.read().Get(id)
	if old == nil {
		return change{}, t.gone()
	}
	next, c, err := changed(old, field, value, may)
	if err != nil || c.kept {
		return c, err
	}
	if t.fits != nil {
		if err := t.fits(next); err != nil {
			return c, err
		}
	}
	t.rename(old, next)
	t.write(t.read().WithBy(t.by, id, next))
	c.now, err = document.Field(next, field) // a name may have got a number
	return c, err
}

func (t *table[T]) insert(p *Primitive) (renamed bool, err error) {
	id, obj := p.Ref.ID, new(T)
	if made, ok := any(p.made).(*T); ok && made != nil {
		*obj = *made
	} else if err := document.Strict(p.Value, obj); err != nil {
		return false, fmt.Errorf("the %s cannot be read", t.word)
	}
	if t.id(obj) != id {
		return false, fmt.Errorf("the %s has another id than the edit says", t.word)
	}
	all := t.read()
	if all.Get(id) != nil {
		return false, fmt.Errorf("the %s is there already", t.word)
	}
	if all.Len() >= t.limit {
		return false, fmt.Errorf("there are %d of this already, and no more are possible: %s", t.limit, t.word)
	}
	if t.fits != nil {
		if err := t.fits(obj); err != nil {
			return false, err
		}
	}
	asked := ""
	if t.name != nil {
		asked = *t.name(obj)
	}
	t.rename(nil, obj)
	t.write(all.WithBy(t.by, id, obj))
	return t.name != nil && *t.name(obj) != asked, nil
}

func (t *table[T]) remove(id document.ID) {
	if old := t.read().Get(id); old != nil {
		t.rename(old, nil)
		t.write(t.read().WithoutBy(t.by, id))
	}
}

// rename keeps names unique: a taken name gets the first free number.
func (t *table[T]) rename(old, next *T) {
	if t.name == nil || old != nil && next != nil && *t.name(old) == *t.name(next) {
		return
	}
	if t.names == nil {
		t.names = t.read().TakeNames(func(o *T) string { return *t.name(o) })
	}
	if old != nil {
		t.names.Remove(*t.name(old))
	}
	if next != nil {
		*t.name(next) = t.names.Take(*t.name(next))
	}
}

func (t *table[T]) keepNames() {
	if t.names != nil {
		t.read().KeepNames(t.names)
		t.names = nil
	}
}

func (t *table[T]) check(id document.ID) error {
	if obj := t.read().Get(id); obj != nil {
		return any(obj).(document.Checked).Check()
	}
	return nil
}

// working is the document being made.
type working struct {
	doc    document.Document
	tables map[Ref]objects // by type and map
	// opened lists the keys of tables in the order in which they were opened.
	opened []Ref
	// by is who makes it; made is the map that it has made last, which it changes in place.
	by   *document.Maker
	made *document.Map
	// onMap is the map that was asked for last, and last the table, named by lastKey: many steps in a row are about the same.
	onMap   *document.Map
	last    objects
	lastKey Ref
}

// forget leaves a table whose objects changed otherwise, or went with their map.
func (w *working) forget(key Ref) {
	delete(w.tables, key)
	w.last = nil
}

// mapOf gives a map as it is now, nil when it is gone.
func (w *working) mapOf(id document.ID) *document.Map {
	if w.onMap == nil || w.onMap.ID != id {
		w.onMap = w.doc.Maps.Get(id)
	}
	return w.onMap
}

// putMaps puts other maps in the place of all.
func (w *working) putMaps(t document.Table[document.Map]) { w.doc.Maps, w.onMap = t, nil }

func (w *working) keepNames() {
	for _, key := range w.opened {
		if t := w.tables[key]; t != nil {
			t.keepNames()
		}
	}
}

func (w *working) editMap(id document.ID, change func(*document.Map)) {
	m := w.mapOf(id)
	switch {
	case m == nil:
	case m == w.made:
		change(m)
	default:
		next := *m
		change(&next)
		w.putMaps(w.doc.Maps.WithBy(w.by, id, &next))
		w.made, w.onMap = &next, &next
	}
}

// objects finds the table that a reference points into, nil when its map is gone.
func (w *working) objects(ref Ref) objects {
	key := Ref{Type: ref.Type, Map: ref.Map, Rule: ref.Rule}
	if w.last != nil && w.lastKey == key {
		return w.last
	}
	t, ok := w.tables[key]
	if !ok {
		if t = w.open(key); t == nil {
			return nil
		}
		t.makes(w.by)
		w.tables[key] = t
		w.opened = append(w.opened, key)
	}
	w.last, w.lastKey = t, key
	return t
}

func (w *working) open(ref Ref) objects {
	d := &w.doc
	if ref.Map != "" && w.mapOf(ref.Map) == nil || ref.Rule != "" && d.Rules.Get(ref.Rule) == nil {
		return nil
	}
	switch ref.Type {
	case TypeTileset:
		return &table[document.Tileset]{word: "tileset", limit: document.MaxTilesets,
			read: func() document.Table[document.Tileset] { return d.Tilesets }, write: func(t document.Table[document.Tileset]) { d.Tilesets = t },
			id: func(o *document.Tileset) document.ID { return o.ID }, name: func(o *document.Tileset) *string { return &o.Name }}
	case TypeMap:
		return &table[document.Map]{word: "map", limit: document.MaxMaps,
			read: func() document.Table[document.Map] { return d.Maps }, write: w.putMaps,
			id: func(o *document.Map) document.ID { return o.ID }, name: func(o *document.Map) *string { return &o.Name }}
	case TypePassage:
		return &table[document.Passage]{word: "passage", limit: document.MaxPassages,
			read: func() document.Table[document.Passage] { return d.Passages }, write: func(t document.Table[document.Passage]) { d.Passages = t },
			id: func(o *document.Passage) document.ID { return o.ID }}
	case TypePlacing:
		return &table[document.Placing]{word: "placing of a motif", limit: document.MaxPlacings,
			read: func() document.Table[document.Placing] { return d.Placings }, write: func(t document.Table[document.Placing]) { d.Placings = t },
			id: func(o *document.Placing) document.ID { return o.ID }}
	case TypePin:
		return &table[document.Pin]{word: "pin", limit: document.MaxPins,
			read: func() document.Table[document.Pin] { return d.Pins }, write: func(t document.Table[document.Pin]) { d.Pins = t },
			id: func(o *document.Pin) document.ID { return o.ID }, name: func(o *document.Pin) *string { return &o.Name }}
	case TypeRecording:
		return &table[document.Recording]{word: "recording", limit: document.MaxRecordings,
			read: func() document.Table[document.Recording] { return d.Recordings }, write: func(t document.Table[document.Recording]) { d.Recordings = t },
			id: func(o *document.Recording) document.ID { return o.ID }, name: func(o *document.Recording) *string { return &o.Name }}
	case TypeRule:
		return &table[document.Rule]{word: "rule", limit: document.MaxRules,
			read: func() document.Table[document.Rule] { return d.Rules }, write: func(t document.Table[document.Rule]) { d.Rules = t },
			id: func(o *document.Rule) document.ID { return o.ID }}
	case TypePart:
		return &table[document.RulePart]{word: "part of a rule", limit: document.MaxParts,
			read: func() document.Table[document.RulePart] { return d.Rules.Get(ref.Rule).Parts },
			write: func(t document.Table[document.RulePart]) {
				w.editRule(ref.Rule, func(r *document.Rule) { r.Parts = t })
			},
			id: func(o *document.RulePart) document.ID { return o.ID }}
	case TypeFlag:
		return &table[document.Flag]{word: "flag", limit: document.MaxFlags,
			read: func() document.Table[document.Flag] { return d.Flags }, write: func(t document.Table[document.Flag]) { d.Flags = t },
			id: func(o *document.Flag) document.ID { return o.ID }, name: func(o *document.Flag) *string { return &o.Name }}
	case TypeCounter:
		return &table[document.Counter]{word: "counter", limit: document.MaxCounters,
			read: func() document.Table[document.Counter] { return d.Counters }, write: func(t document.Table[document.Counter]) { d.Counters = t },
			id: func(o *document.Counter) document.ID { return o.ID }, name: func(o *document.Counter) *string { return &o.Name }}
	case TypeWording:
		return &table[document.Wording]{word: "wording", limit: document.MaxWordings,
			read: func() document.Table[document.Wording] { return d.Wordings }, write: func(t document.Table[document.Wording]) { d.Wordings = t },
			id: func(o *document.Wording) document.ID { return o.ID }}
	case TypeSound:
		return &table[document.Sound]{word: "sound", limit: document.MaxSounds,
			read: func() document.Table[document.Sound] { return d.Sounds }, write: func(t document.Table[document.Sound]) { d.Sounds = t },
			id: func(o *document.Sound) document.ID { return o.ID }, name: func(o *document.Sound) *string { return &o.Name }}
	case TypeMotif:
		return &table[document.Motif]{word: "motif", limit: document.MaxMotifs,
			read: func() document.Table[document.Motif] { return d.Motifs }, write: func(t document.Table[document.Motif]) { d.Motifs = t },
			id: func(o *document.Motif) document.ID { return o.ID }, name: func(o *document.Motif) *string { return &o.Name }}
	case TypeZone:
		return &table[document.Zone]{word: "zone", limit: document.MaxZones,
			read: func() document.Table[document.Zone] { return d.Zones }, write: func(t document.Table[document.Zone]) { d.Zones = t },
			id: func(o *document.Zone) document.ID { return o.ID }, name: func(o *document.Zone) *string { return &o.Name }}
	case TypeKind:
		return &table[document.Kind]{word: "kind", limit: document.MaxKinds,
			read: func() document.Table[document.Kind] { return d.Kinds }, write: func(t document.Table[document.Kind]) { d.Kinds = t },
			id: func(o *document.Kind) document.ID { return o.ID }, name: func(o *document.Kind) *string { return &o.Name }}
	case TypeMaterial:
		return &table[document.Material]{word: "material", limit: document.MaxMaterials,
			read: func() document.Table[document.Material] { return d.Materials }, write: func(t document.Table[document.Material]) { d.Materials = t },
			id: func(o *document.Material) document.ID { return o.ID }, name: func(o *document.Material) *string { return &o.Name }}
	case TypeLayer:
		return &table[document.Layer]{word: "layer", limit: document.MaxLayers,
			read: func() document.Table[document.Layer] { return w.mapOf(ref.Map).Layers },
			write: func(t document.Table[document.Layer]) {
				w.editMap(ref.Map, func(m *document.Map) { m.Layers = t })
			},
			id: func(o *document.Layer) document.ID { return o.ID }, name: func(o *document.Layer) *string { return &o.Name }}
	case TypeEntity:
		return &table[document.Entity]{word: "entity", limit: document.MaxEntities,
			read: func() document.Table[document.Entity] { return w.mapOf(ref.Map).Entities },
			write: func(t document.Table[document.Entity]) {
				w.editMap(ref.Map, func(m *document.Map) { m.Entities = t })
			},
			id: func(o *document.Entity) document.ID { return o.ID }, name: func(o *document.Entity) *string { return &o.Name },
			fits: func(o *document.Entity) error {
				if l := w.mapOf(ref.Map).Layers.Get(o.Layer); l == nil || l.Kind != document.LayerEntities {
					return errors.New("the layer that the entity stood on is no longer there")
				}
				return nil
			}}
	}
	return nil
}

func sameJSON(a, b json.RawMessage) bool {
	var x, y bytes.Buffer
	return json.Compact(&x, a) == nil && json.Compact(&y, b) == nil && bytes.Equal(x.Bytes(), y.Bytes())
}
