package format

import (
	"azzel/core/document"
	"azzel/core/edit"
	"cmp"
	"errors"
	"fmt"
)

// check finds what is wrong with the things of a project, as an edit that made them would be refused for it.
func (r *reader) check(d *document.Document) error {
	if err := sound(d, edit.Ref{Type: edit.TypeProject}); err != nil {
		return &Fault{projectFile, err}
	}
	if err := errors.Join(
		tableOf(r, d, "tilesets", edit.Ref{Type: edit.TypeTileset}, d.Tilesets, document.MaxTilesets, func(o *document.Tileset) (document.ID, string) { return o.ID, o.Name }),
		tableOf(r, d, "flags", edit.Ref{Type: edit.TypeFlag}, d.Flags, document.MaxFlags, func(o *document.Flag) (document.ID, string) { return o.ID, o.Name }),
		tableOf(r, d, "counters", edit.Ref{Type: edit.TypeCounter}, d.Counters, document.MaxCounters, func(o *document.Counter) (document.ID, string) { return o.ID, o.Name }),
		tableOf(r, d, "sounds", edit.Ref{Type: edit.TypeSound}, d.Sounds, document.MaxSounds, func(o *document.Sound) (document.ID, string) { return o.ID, o.Name }),
		tableOf(r, d, "wordings", edit.Ref{Type: edit.TypeWording}, d.Wordings, document.MaxWordings, func(o *document.Wording) (document.ID, string) { return o.ID, "" }),
		tableOf(r, d, "zones", edit.Ref{Type: edit.TypeZone}, d.Zones, document.MaxZones, func(o *document.Zone) (document.ID, string) { return o.ID, o.Name }),
		tableOf(r, d, "materials", edit.Ref{Type: edit.TypeMaterial}, d.Materials, document.MaxMaterials, func(o *document.Material) (document.ID, string) { return o.ID, o.Name }),
		tableOf(r, d, "kinds", edit.Ref{Type: edit.TypeKind}, d.Kinds, document.MaxKinds, func(o *document.Kind) (document.ID, string) { return o.ID, o.Name }),
		tableOf(r, d, "motifs", edit.Ref{Type: edit.TypeMotif}, d.Motifs, document.MaxMotifs, func(o *document.Motif) (document.ID, string) { return o.ID, o.Name }),
		tableOf(r, d, "passages", edit.Ref{Type: edit.TypePassage}, d.Passages, document.MaxPassages, func(o *document.Passage) (document.ID, string) { return o.ID, "" }),
		tableOf(r, d, "placings", edit.Ref{Type: edit.TypePlacing}, d.Placings, document.MaxPlacings, func(o *document.Placing) (document.ID, string) { return o.ID, "" }),
		tableOf(r, d, "pins", edit.Ref{Type: edit.TypePin}, d.Pins, document.MaxPins, func(o *document.Pin) (document.ID, string) { return o.ID, o.Name }),
		tableOf(r, d, "recordings", edit.Ref{Type: edit.TypeRecording}, d.Recordings, document.MaxRecordings, func(o *document.Recording) (document.ID, string) { return o.ID, o.Name }),
		tableOf(r, d, "rules", edit.Ref{Type: edit.TypeRule}, d.Rules, document.MaxRules, func(o *document.Rule) (document.ID, string) { return o.ID, "" }),
		tableOf(r, d, "maps", edit.Ref{Type: edit.TypeMap}, d.Maps, document.MaxMaps, func(o *document.Map) (document.ID, string) { return o.ID, o.Name }),
	); err != nil {
		return firstOf(err)
	}
	for _, m := range d.Maps.All() {
		file := r.from["maps "+string(m.ID)]
		at := edit.Ref{Type: edit.TypeLayer, Map: m.ID}
		if err := tableIn(d, at, m.Layers, document.MaxLayers, func(o *document.Layer) (document.ID, string) { return o.ID, o.Name }); err != nil {
			return &Fault{file, err}
		}
		at.Type = edit.TypeEntity
		if err := tableIn(d, at, m.Entities, document.MaxEntities, func(o *document.Entity) (document.ID, string) { return o.ID, o.Name }); err != nil {
			return &Fault{file, err}
		}
		for _, e := range m.Entities.All() {
			if l := m.Layers.Get(e.Layer); l == nil || l.Kind != document.LayerEntities {
				return &Fault{file, fmt.Errorf("%s stands on no layer of entities of this map", e.Name)}
			}
		}
	}
	if err := edit.Fits(edit.Result{Doc: d, Grown: true}); err != nil {
		return &Fault{projectFile, err}
	}
	return nil
}

// firstOf is the first of errors that were joined.
func firstOf(err error) error {
	if all, ok := err.(interface{ Unwrap() []error }); ok {
		return all.Unwrap()[0]
	}
	return err
}

func sound(d *document.Document, ref edit.Ref) error {
	return edit.Verify(&edit.Edit{}, edit.Result{Doc: d, Touched: []edit.Ref{ref}})
}

// tableOf checks a table of the project; what is wrong is told with the file that it stands in.
func tableOf[T any](r *reader, d *document.Document, table string, ref edit.Ref, all document.Table[T], most int, called func(*T) (document.ID, string)) error {
	var last document.ID
	err := tableIn(d, ref, all, most, func(o *T) (document.ID, string) {
		id, name := called(o)
		last = id
		return id, name
	})
	if err == nil {
		return nil
	}
	return &Fault{cmp.Or(r.from[table+" "+string(last)], table), err}
}

// tableIn checks how many there are, that no two are called the same, and each.
func tableIn[T any](d *document.Document, ref edit.Ref, all document.Table[T], most int, called func(*T) (document.ID, string)) error {
	if all.Len() > most {
		return fmt.Errorf("there are %d of these, and at most %d are possible", all.Len(), most)
	}
	seen := map[string]bool{}
	for _, o := range all.All() {
		id, name := called(o)
		if name != "" && seen[name] {
			return fmt.Errorf("two are called %s: give one another name", name)
		}
		seen[name] = true
		ref.ID = id
		if err := sound(d, ref); err != nil {
			return err
		}
	}
	return nil
}
