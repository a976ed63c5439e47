package format

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/rules"
	"azzel/core/upcast"
	"crypto/sha256"
	"encoding/hex"
	"encoding/json"
	"fmt"
	"slices"
	"strconv"
	"strings"
)

// The folders of a project; each thing in one is a JSON file, called after it.
const (
	projectFile = "project.json"
	schemaKey   = "$schema"
	formatKey   = "azzel"
)

// folder is a table of a project whose things have files of their own.
type folder struct {
	// table is what the table is called in a head, one what a thing of it is.
	table, one string
}

// folders are those whose files hold nothing but their thing; maps, tilesets, motifs and rules have more.
var folders = []folder{{"kinds", "kind"}, {"materials", "material"}, {"pins", "pin"}, {"recordings", "recording"}}

// writer makes the files of a project.
type writer struct {
	d      *document.Document
	files  []File
	kept   []document.Kept
	paths  paths
	stored func(sha string) ([]byte, error)
}

// Write gives the files of a project, sorted by path; stored gives the PNG of a picture, or the file of a sound, by its SHA-256.
func Write(d *document.Document, stored func(sha string) ([]byte, error)) ([]File, error) {
	w := &writer{d: d, paths: paths{}, stored: stored, kept: d.Project.Kept}
	head, err := plain(d.Head())
	if err != nil {
		return nil, fmt.Errorf("write a project: %w", err)
	}
	if p, is := head["project"].(object); is {
		delete(p, "kept") // they are written where they stood
	}
	celled(head, func(v any) any {
		n, _ := v.(json.Number)
		c, err := n.Int64()
		if err != nil {
			return v
		}
		return cellText(cells.Cell(c))
	})
	for _, f := range folders {
		for _, v := range taken(head, f.table) {
			w.json(w.paths.take(f.table+"/", fieldOf(v, "name"), document.ID(fieldOf(v, "id"))), f.one, object{f.one: v})
		}
	}
	w.texts(taken(head, "wordings"))
	w.rules(taken(head, "rules"))
	if err := w.tilesets(taken(head, "tilesets")); err != nil {
		return nil, err
	}
	if err := w.sounds(taken(head, "sounds")); err != nil {
		return nil, err
	}
	w.motifs(taken(head, "motifs"))
	placings := taken(head, "placings")
	for i, v := range taken(head, "maps") {
		if err := w.mapFiles(d.Maps.All()[i], v.(object), &placings); err != nil {
			return nil, err
		}
	}
	if len(placings) > 0 {
		head["placings"] = placings
	}
	head[formatKey] = upcast.Format
	w.json(strings.TrimSuffix(projectFile, ".json"), "project", head)
	w.files = append(w.files, schemas()...)
	return sorted(w.files), nil
}

func (w *writer) file(path string, data []byte) { w.files = append(w.files, File{path, data}) }

// json writes an object that a schema describes.
func (w *writer) json(path, schema string, o object) {
	putBack(w.kept, schema, o)
	o[schemaKey] = strings.Repeat("../", strings.Count(path, "/")) + schemaFolder + schema + ".json"
	w.file(path+".json", written(o))
}

// taken takes a table out of a head.
func taken(head object, table string) []any {
	all, _ := head[table].([]any)
	delete(head, table)
	return all
}

// fieldOf is a text that an object holds.
func fieldOf(v any, field string) string {
	o, _ := v.(object)
	text, _ := o[field].(string)
	return text
}

// celled has f change every cell that an object holds: what is called as in lookKeys. What is a setting's value stays as it is.
func celled(v any, f func(any) any) {
	switch v := v.(type) {
	case object:
		for _, k := range names(v) {
			switch {
			case slices.Contains(lookKeys, k):
				v[k] = leaves(v[k], f)
			case k != "value" && k != "moment":
				celled(v[k], f)
			}
		}
	case []any:
		for _, e := range v {
			celled(e, f)
		}
	}
}

// lookKeys are what fields that hold cells are called.
var lookKeys = []string{"look", "lookOn", "cell", "frames"}

// leaves has f change a value, or all in a list and in lists of it.
func leaves(v any, f func(any) any) any {
	list, is := v.([]any)
	if !is {
		return f(v)
	}
	for i := range list {
		list[i] = leaves(list[i], f)
	}
	return list
}

// tilesets writes each tileset beside its picture.
func (w *writer) tilesets(all []any) error {
	for i, t := range w.d.Tilesets.All() {
		path := w.paths.take("tilesets/", t.Name, t.ID)
		o := all[i].(object)
		if err := w.shown(o, path, t.Picture); err != nil {
			return err
		}
		w.json(path, "tileset", object{"tileset": o})
	}
	return nil
}

// shown writes a picture beside what shows it. Its size is that of the file.
func (w *writer) shown(o object, path, sha string) error {
	data, err := w.stored(sha)
	if err != nil {
		return fmt.Errorf("the picture of %s: %w", path, err)
	}
	o["picture"] = path[strings.IndexByte(path, '/')+1:] + ".png"
	delete(o, "width")
	delete(o, "height")
	w.file(path+".png", data)
	return nil
}

// sounds writes each sound beside its file.
func (w *writer) sounds(all []any) error {
	for i, s := range w.d.Sounds.All() {
		path := w.paths.take("sounds/", s.Name, s.ID)
		data, err := w.stored(s.File)
		if err != nil {
			return fmt.Errorf("the file of %s: %w", path, err)
		}
		o := all[i].(object)
		o["file"] = path[strings.IndexByte(path, '/')+1:] + "." + s.Form
		delete(o, "form")
		delete(o, "lasts")
		w.file(path+"."+s.Form, data)
		w.json(path, "sound", object{"sound": o})
	}
	return nil
}

// motifs writes each motif, and the cells of its layers beside it.
func (w *writer) motifs(all []any) {
	for i, m := range w.d.Motifs.All() {
		path := w.paths.take("motifs/", m.Name, m.ID)
		o := all[i].(object)
		for k, p := range m.Parts {
			part := o["parts"].([]any)[k].(object)
			plane, _ := p.Cells.Apply(cells.Plane{})
			region := p.Cells.Region()
			w.table(part, w.paths.take(path+"/", p.Layer, document.ID(strconv.Itoa(k))), grid.Point{}, region.Bounds(), func(x, y int) (cells.Cell, bool) { return plane.At(x, y), region.Has(grid.Point{X: x, Y: y}) })
		}
		w.json(path, "motif", object{"motif": o})
	}
}

// table writes cells beside what holds them, and says there where they are: the file, seen from its own, and the cell of
// its first field, as people count cells.
func (w *writer) table(of object, path string, origin grid.Point, box grid.Rect, at func(x, y int) (cells.Cell, bool)) {
	delete(of, "cells")
	if box.Empty() {
		return
	}
	where := object{"file": path[strings.IndexByte(path, '/')+1:] + ".csv"}
	if x, y := box.X-origin.X, box.Y-origin.Y; x != 0 || y != 0 {
		where["x"], where["y"] = x, y
	}
	of["cells"] = where
	w.file(path+".csv", writeCells(box, at))
}

// mapFiles writes a map: what it is with its layers and entities, and the cells of each layer beside it. The top left cell of the
// map is (0, 0) there; where that is in the frame in which cells are stored is its origin.
func (w *writer) mapFiles(m *document.Map, o object, placings *[]any) error {
	path := w.paths.take("maps/", m.Name, m.ID)
	origin := grid.Point{X: m.Bounds.X, Y: m.Bounds.Y}
	layers, _ := o["layers"].([]any)
	for i, l := range m.Layers.All() {
		layer := layers[i].(object)
		if l.Image != nil && l.Image.Picture != "" {
			if err := w.shown(layer["image"].(object), w.paths.take(path+"/", l.Name, l.ID), l.Image.Picture); err != nil {
				return err
			}
		}
		if l.Cells.Empty() {
			continue
		}
		extent := l.Cells.Extent()
		w.table(layer, w.paths.take(path+"/", l.Name, l.ID), origin, m.Bounds.Union(extent), func(x, y int) (cells.Cell, bool) {
			c := l.Cells.At(x, y)
			return c, c != 0
		})
	}
	entities, _ := o["entities"].([]any)
	for i, e := range m.Entities.All() {
		entity := entities[i].(object)
		entity["x"], entity["y"] = e.X-origin.X*m.CellWidth, e.Y-origin.Y*m.CellHeight
	}
	var own, others []any
	for _, p := range *placings {
		if p.(object)["map"] == string(m.ID) {
			own = append(own, p)
		} else {
			others = append(others, p)
		}
	}
	if *placings = others; len(own) > 0 {
		o["placings"] = own
	}
	w.json(path, "map", o)
	return nil
}

// texts writes what texts are in other languages, a file a language.
func (w *writer) texts(all []any) {
	var languages []string
	of := map[string][]any{}
	for i, t := range w.d.Wordings.All() {
		if of[t.Language] == nil {
			languages = append(languages, t.Language)
		}
		of[t.Language] = append(of[t.Language], all[i])
	}
	slices.Sort(languages)
	for _, l := range languages {
		w.json(w.paths.take("texts/", l, ""), "texts", object{"wordings": of[l]})
	}
}

// rules writes each rule, and beside it what it says as text.
func (w *writer) rules(all []any) {
	for i, r := range w.d.Rules.All() {
		path := w.paths.take("rules/", ruleName(r), r.ID)
		text := rules.Print(w.d, r)
		o := all[i].(object)
		o["textIs"] = fingerprint(text)
		w.json(path, "rule", o)
		w.file(path+".txt", []byte(text))
	}
}

// ruleName is what a rule's file is called: as the rule, or by what wakes it and its id.
func ruleName(r *document.Rule) string {
	if r.Name != "" {
		return r.Name
	}
	for _, p := range r.In(document.SlotWhen) {
		return "when " + p.Word + " " + string(r.ID)
	}
	return string(r.ID)
}

// fingerprint tells whether a text is still as it was written.
func fingerprint(text string) string {
	sum := sha256.Sum256([]byte(text))
	return hex.EncodeToString(sum[:6])
}
