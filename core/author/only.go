package author

import (
	"azzel/core/document"
	"azzel/core/edit"
	"errors"
	"slices"
)

// OnlyTileset is a project of nothing but a tileset, with all that was set up for it: the materials that are cut from it alone, and the
// zones that its tiles are.
func OnlyTileset(d *document.Document, id document.ID) (*document.Document, error) {
	t := d.Tilesets.Get(id)
	if t == nil {
		return nil, errors.New("the tileset is no longer there")
	}
	with := Foreign{Tilesets: []document.Tileset{*t}}
	for _, m := range d.MaterialsInOrder() {
		own := len(m.Tiles) > 0
		for _, tile := range m.Tiles {
			own = own && tile.Cell.Tileset() == t.Number
		}
		if own {
			with.Materials = append(with.Materials, *m)
		}
	}
	for _, z := range d.ZonesInOrder() {
		for _, i := range t.Infos {
			if i.Zone == z.ID {
				with.Zones = append(with.Zones, *z)
				break
			}
		}
	}
	return only(t.Name, with, nil)
}

// OnlyMotif is a project of nothing but a motif, with the tilesets, materials and zones that are in it.
func OnlyMotif(d *document.Document, id document.ID) (*document.Document, error) {
	m := d.Motifs.Get(id)
	if m == nil {
		return nil, errors.New("the motif is no longer there")
	}
	with := UsedBy(d, m)
	var kinds []document.Kind
	for _, k := range d.Kinds.All() {
		if slices.ContainsFunc(m.Entities, func(e *document.Entity) bool { return document.ID(e.Kind) == k.ID }) {
			kinds = append(kinds, *k)
		}
	}
	return only(m.Name, with, m, kinds...)
}

func only(name string, with Foreign, motif *document.Motif, kinds ...document.Kind) (*document.Document, error) {
	var do []edit.Primitive
	for _, t := range with.Tilesets {
		do = append(do, edit.Insert(edit.Ref{Type: edit.TypeTileset, ID: t.ID}, t))
	}
	for _, z := range with.Zones {
		do = append(do, edit.Insert(edit.Ref{Type: edit.TypeZone, ID: z.ID}, z))
	}
	for _, m := range with.Materials {
		do = append(do, edit.Insert(edit.Ref{Type: edit.TypeMaterial, ID: m.ID}, m))
	}
	if motif != nil {
		for _, k := range kinds {
			do = append(do, edit.Insert(edit.Ref{Type: edit.TypeKind, ID: k.ID}, k))
		}
		own := *motif
		own.Rules = nil // they are of the project's flags and maps
		do = append(do, edit.Insert(edit.Ref{Type: edit.TypeMotif, ID: own.ID}, own))
	}
	out := edit.Apply(document.New(name), &edit.Edit{Do: do})
	if len(out.Dropped) > 0 {
		return nil, errors.New("it cannot stand by itself")
	}
	return out.Doc, nil
}
