package format

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/upcast"
	"encoding/json"
	"errors"
	"fmt"
	"path"
	"slices"
	"strings"
)

// Picture is a picture that was taken in: what it is stored by, and its size in pixels.
type Picture struct {
	SHA           string
	Width, Height int
}

// SoundFile is a sound that was taken in: what it is stored by, what form it has, and how many milliseconds it lasts.
type SoundFile struct {
	SHA, Form string
	Lasts     int
}

// Intake takes in what comes with a project, under limits of its own.
type Intake interface {
	Picture(data []byte) (Picture, error)
	Sound(data []byte) (SoundFile, error)
}

// reader puts a project together from its files.
type reader struct {
	files  map[string][]byte
	in     Intake
	taken  map[string]Picture
	head   object
	format int
	planes [][]byte
	// from is in which file a thing stands, by its table and id.
	from map[string]string
	// texts are those of rules, by id, that were changed since they were written.
	texts []changedText
	// kept are the fields that nothing here knows, unknown the first of a file.
	kept    []document.Kept
	unknown map[string]string
}

// Read puts a project together from its files, of this version or an earlier one. Files that nothing of the project names are
// passed over. in takes in each picture and sound. What is wrong is told with its file, and as far as it
// can be with its line.
func Read(files []File, in Intake) (*document.Document, error) {
	r := &reader{files: map[string][]byte{}, in: in, taken: map[string]Picture{}, from: map[string]string{}, unknown: map[string]string{}}
	files = sorted(slices.Clone(files))
	for _, f := range files {
		if _, twice := r.files[f.Path]; twice {
			return nil, &Fault{f.Path, errors.New("there are two of this name")}
		}
		r.files[f.Path] = f.Data
	}
	if err := r.project(); err != nil {
		return nil, err
	}
	for _, f := range files {
		dir, name := path.Split(f.Path)
		if strings.HasSuffix(name, ".json") && strings.Count(f.Path, "/") == 1 && dir != schemaFolder {
			if err := r.thing(strings.TrimSuffix(dir, "/"), f); err != nil {
				return nil, &Fault{f.Path, err}
			}
		}
	}
	if p, is := r.head["project"].(object); is && len(r.kept) > 0 {
		p["kept"] = r.kept
	}
	d, err := r.join()
	if err == nil {
		d, err = r.reword(d)
	}
	if err == nil {
		err = r.check(d)
	}
	return d, r.withUnknown(err)
}

// withUnknown names with what is wrong with a file the field of it that nothing knows: it may be one that was written wrong.
func (r *reader) withUnknown(err error) error {
	var fault *Fault
	if errors.As(err, &fault) && r.unknown[fault.Path] != "" {
		return &Fault{fault.Path, fmt.Errorf("%w, and “%.40s” is nothing that is known here", fault.Err, r.unknown[fault.Path])}
	}
	return err
}

// project reads what holds for the whole.
func (r *reader) project() error {
	data, ok := r.files[projectFile]
	if !ok {
		return &Fault{projectFile, errors.New("it is missing: choose the ZIP of a project, or the folder that it was unpacked to")}
	}
	head, err := plain(data)
	if err != nil {
		return &Fault{projectFile, err}
	}
	n, _ := head[formatKey].(json.Number)
	format, err := n.Int64()
	switch {
	case err != nil || format < 1:
		return &Fault{projectFile, fmt.Errorf("“%s” says nothing of which version wrote it: this is no project", formatKey)}
	case format > upcast.Format:
		return &Fault{projectFile, fmt.Errorf("a newer version of Azzel wrote this (format %d): bring this one, which reads up to format %d, up to date", format, upcast.Format)}
	}
	delete(head, formatKey)
	delete(head, schemaKey)
	if err := r.keep("", projectFile, head); err != nil {
		return &Fault{projectFile, err}
	}
	r.head, r.format = head, int(format)
	if err := r.celled(head); err != nil {
		return &Fault{projectFile, err}
	}
	for _, table := range []string{"flags", "counters", "zones", "passages", "placings"} {
		all, _ := head[table].([]any)
		for _, v := range all {
			if err := r.found(table, v, projectFile); err != nil {
				return &Fault{projectFile, err}
			}
		}
	}
	for _, table := range []string{"tilesets", "maps", "rules", "motifs", "kinds", "materials", "sounds"} {
		if _, there := head[table]; there {
			return &Fault{projectFile, fmt.Errorf("“%s” have files of their own, in the folder %s", table, table)}
		}
		head[table] = []any{}
	}
	return nil
}

// celled makes cells of the texts that say what they are.
func (r *reader) celled(o object) (err error) {
	celled(o, func(v any) any {
		text, is := v.(string)
		if !is {
			return v
		}
		c, wrong := readCell(text)
		if wrong != nil && err == nil {
			err = wrong
		}
		return c
	})
	return err
}

// found notes in which file a thing stands; two with one id are refused.
func (r *reader) found(table string, v any, file string) error {
	o, _ := v.(object)
	id, _ := o["id"].(string)
	if !document.ID(id).Valid() {
		return fmt.Errorf("something of “%s” has no valid id", table)
	}
	key := table + " " + id
	if other, twice := r.from[key]; twice {
		return fmt.Errorf("the id %s stands in %s as well: give one of them another", id, other)
	}
	r.from[key] = file
	return nil
}

// add puts a thing into its table.
func (r *reader) add(table string, of, thing any, file string) error {
	if err := r.found(table, thing, file); err != nil {
		return err
	}
	all, _ := r.head[table].([]any)
	r.head[table] = append(all, of)
	return nil
}

// only takes what a file holds under one name.
func only(o object, name string) (object, error) {
	of, ok := o[name].(object)
	if !ok {
		return nil, fmt.Errorf("it has no “%s”", name)
	}
	return of, nil
}

// thing reads a file of a folder. Folders that are not known are passed over.
func (r *reader) thing(dir string, f File) error {
	known := slices.ContainsFunc(folders, func(x folder) bool { return x.table == dir })
	if !known && !slices.Contains([]string{"tilesets", "motifs", "maps", "rules", "texts", "sounds"}, dir) {
		return nil
	}
	o, err := plain(f.Data)
	if err != nil {
		return err
	}
	delete(o, schemaKey)
	if err := r.keep(dir, f.Path, o); err != nil {
		return err
	}
	if err := r.celled(o); err != nil {
		return err
	}
	switch dir {
	case "tilesets":
		of, err := only(o, "tileset")
		if err != nil {
			return err
		}
		if err := r.shown(of, dir); err != nil {
			return err
		}
		return r.add(dir, of, of, f.Path)
	case "sounds":
		of, err := only(o, "sound")
		if err != nil {
			return err
		}
		data, _, err := r.beside(dir, of["file"])
		if err != nil {
			return err
		}
		is, err := r.in.Sound(data)
		if err != nil {
			return fmt.Errorf("its file: %w", err)
		}
		of["file"], of["form"], of["lasts"] = is.SHA, is.Form, is.Lasts
		return r.add(dir, of, of, f.Path)
	case "motifs":
		of, err := only(o, "motif")
		if err != nil {
			return err
		}
		if err := r.motif(of); err != nil {
			return err
		}
		return r.add(dir, of, of, f.Path)
	case "maps":
		return r.mapFile(o, f.Path)
	case "rules":
		return r.rule(o, f.Path)
	case "texts":
		all, _ := o["wordings"].([]any)
		for _, v := range all {
			if err := r.add("wordings", v, v, f.Path); err != nil {
				return err
			}
		}
		return nil
	}
	i := slices.IndexFunc(folders, func(x folder) bool { return x.table == dir })
	of, err := only(o, folders[i].one)
	if err != nil {
		return err
	}
	return r.add(dir, of, of, f.Path)
}

// beside is a file that another one of a folder names.
func (r *reader) beside(dir string, name any) ([]byte, string, error) {
	text, _ := name.(string)
	at := path.Join(dir, text)
	data, ok := r.files[at]
	if text == "" || !ok {
		return nil, at, fmt.Errorf("the file “%.80s” that it names is missing", text)
	}
	return data, at, nil
}

// shown takes in the picture that something shows.
func (r *reader) shown(o object, dir string) error {
	data, at, err := r.beside(dir, o["picture"])
	if err != nil {
		return err
	}
	p, known := r.taken[at]
	if !known {
		if p, err = r.in.Picture(data); err != nil {
			return fmt.Errorf("its picture: %w", err)
		}
		r.taken[at] = p
	}
	o["picture"], o["width"], o["height"] = p.SHA, p.Width, p.Height
	return nil
}

// table reads the cells that something names, and where its first field lies; nil where it names none.
func (r *reader) table(of object, dir string, w, h int) (*table, int, int, error) {
	where, ok := of["cells"].(object)
	delete(of, "cells")
	if !ok {
		return nil, 0, 0, nil
	}
	data, at, err := r.beside(dir, where["file"])
	if err != nil {
		return nil, 0, 0, err
	}
	t, err := readCells(data, w, h)
	if err != nil {
		return nil, 0, 0, &Fault{at, err}
	}
	x, y := whole(where["x"]), whole(where["y"])
	if max(x, -x, y, -y) > farthest {
		return nil, 0, 0, errors.New("its cells lie too far away")
	}
	return t, x, y, nil
}

// farthest is how many cells from the corner of a map cells lie at most.
const farthest = 1 << 16

// whole is a whole number; nought for anything else.
func whole(v any) int {
	n, _ := v.(json.Number)
	i, _ := n.Int64()
	return int(i)
}

// motif reads the cells of a motif.
func (r *reader) motif(o object) error {
	parts, _ := o["parts"].([]any)
	for _, v := range parts {
		part, ok := v.(object)
		if !ok {
			return errors.New("a part of it is nothing")
		}
		t, x, y, err := r.table(part, "motifs", document.MaxMotifSide, document.MaxMotifSide)
		if err != nil {
			return err
		}
		patch := cells.Patch{}
		if t != nil {
			patch = t.patch(x, y)
		}
		part["cells"] = patch
	}
	return nil
}
