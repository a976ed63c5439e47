// Command schemas makes the JSON Schemas of a project's files, and the page about them, from the core's declarations and their
// comments: core/format/schemas and docs/format.md.
package main

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/kind"
	"bytes"
	"encoding/json"
	"fmt"
	"os"
	"path/filepath"
	"reflect"
	"slices"
	"strings"

	"github.com/invopop/jsonschema"
)

// What each kind of file holds.

// ProjectFile is project.json: what holds for the whole.
type ProjectFile struct {
	Schema string `json:"$schema"`
	// Azzel is the number of the format; a project of a lower number is read as well.
	Azzel   int              `json:"azzel" jsonschema:"required"`
	Project document.Project `json:"project" jsonschema:"required"`
	// Flags are yes or no; Counters are numbers.
	Flags    []document.Flag    `json:"flags"`
	Counters []document.Counter `json:"counters"`
	// Zones are what cells of layers of zones mean, by their numbers.
	Zones []document.Zone `json:"zones"`
	// Passages lead from one map to another.
	Passages []document.Passage `json:"passages"`
	// Placings tell where motifs were put down, on maps that are gone.
	Placings []document.Placing `json:"placings"`
}

// MapFile is maps/….json: a map with its layers and what stands on it. Its top left cell is (0, 0).
type MapFile struct {
	Schema string       `json:"$schema"`
	Map    document.Map `json:"map" jsonschema:"required"`
	// Layers are drawn by ascending order.
	Layers   []LayerOfMap      `json:"layers" jsonschema:"required"`
	Entities []document.Entity `json:"entities" jsonschema:"required"`
	// Placings tell where motifs were put down on it, in the frame of the map's bounds.
	Placings []document.Placing `json:"placings"`
}

// LayerOfMap is a layer of a map, with the file of its cells.
type LayerOfMap struct {
	document.Layer
	// Cells are in a CSV; it is absent where there are none.
	Cells *CellsFile `json:"cells"`
}

// CellsFile names a CSV of cells (RFC 4180): a row of cells a line. An empty field is an empty cell; “3:17” is tile 17 of the
// tileset with the number 3; “3:17 mirrored turned 90” is mirrored left–right first and then turned clockwise, by 90, 180 or
// 270; “~5:2” is variant 2 of the material with the number 5; “7:0” on a layer of zones is the zone with the number 7.
type CellsFile struct {
	// File is its path, seen from the file that names it.
	File string `json:"file" jsonschema:"required"`
	// X and Y are the cell of its first field; absent is 0.
	X int `json:"x"`
	Y int `json:"y"`
}

// TilesetFile is tilesets/….json, beside its picture.
type TilesetFile struct {
	Schema  string  `json:"$schema"`
	Tileset Tileset `json:"tileset" jsonschema:"required"`
}

// Tileset is a picture cut into tiles, numbered by row from its top left.
type Tileset struct {
	document.Tileset
	// Width and Height are those of the picture.
	Width  int `json:"-"`
	Height int `json:"-"`
}

// SoundFile is sounds/….json, beside its file.
type SoundFile struct {
	Schema string `json:"$schema"`
	Sound  Sound  `json:"sound" jsonschema:"required"`
}

// Sound is a sound of the designer's own; what form it has and how long it lasts is that of the file.
type Sound struct {
	document.Sound
	// File is its path, seen from the file that names it: WAV, OGG Vorbis, MP3 or FLAC.
	File string `json:"file" jsonschema:"required"`
	Form string `json:"-"`
	// Lasts is that of the file.
	Lasts int `json:"-"`
}

// MotifFile is motifs/….json: a saved arrangement of cells and entities.
type MotifFile struct {
	Schema string         `json:"$schema"`
	Motif  document.Motif `json:"motif" jsonschema:"required"`
}

// KindFile is kinds/….json: a kind of the designer's own.
type KindFile struct {
	Schema string        `json:"$schema"`
	Kind   document.Kind `json:"kind" jsonschema:"required"`
}

// MaterialFile is materials/….json: paint whose edges fit themselves.
type MaterialFile struct {
	Schema   string            `json:"$schema"`
	Material document.Material `json:"material" jsonschema:"required"`
}

// RuleFile is rules/….json: a rule as a table of its parts. Beside it stands what it says as text, in a file that ends in .txt:
// where that is changed, the rule says what the text says.
type RuleFile struct {
	Schema string              `json:"$schema"`
	Rule   document.Rule       `json:"rule" jsonschema:"required"`
	Parts  []document.RulePart `json:"parts" jsonschema:"required"`
	// TextIs tells whether the text was changed since: the first six bytes of its SHA-256, in hexadecimal.
	TextIs string `json:"textIs"`
}

// TextsFile is texts/….json: what texts are in another language.
type TextsFile struct {
	Schema   string             `json:"$schema"`
	Wordings []document.Wording `json:"wordings" jsonschema:"required"`
}

// PinFile is pins/….json: a moment of a game.
type PinFile struct {
	Schema string       `json:"$schema"`
	Pin    document.Pin `json:"pin" jsonschema:"required"`
}

// RecordingFile is recordings/….json: a game that was played, to be played again.
type RecordingFile struct {
	Schema    string             `json:"$schema"`
	Recording document.Recording `json:"recording" jsonschema:"required"`
}

// files are the kinds of files, in the order in which the page tells of them.
var files = []struct {
	name, path string
	of         any
}{
	{"project", "project.json", ProjectFile{}}, {"map", "maps/….json", MapFile{}}, {"tileset", "tilesets/….json", TilesetFile{}}, {"material", "materials/….json", MaterialFile{}},
	{"kind", "kinds/….json", KindFile{}}, {"motif", "motifs/….json", MotifFile{}}, {"sound", "sounds/….json", SoundFile{}}, {"rule", "rules/….json", RuleFile{}}, {"texts", "texts/….json", TextsFile{}},
	{"pin", "pins/….json", PinFile{}}, {"recording", "recordings/….json", RecordingFile{}},
}

// called is what a type is called in a schema: as in the code, but of two of one name one has another.
func called(t reflect.Type) string {
	if t == reflect.TypeFor[kind.Value]() {
		return "SettingValue"
	}
	return t.Name()
}

const cellPattern = `^(~?[0-9]+:[0-9]+( mirrored)?( turned (90|180|270))?)?$`

// mapped are the types that are written otherwise than their declarations say.
func mapped(t reflect.Type) *jsonschema.Schema {
	switch t {
	case reflect.TypeFor[cells.Cell]():
		return &jsonschema.Schema{Type: "string", Pattern: cellPattern, Description: "A tile, as “3:17”; empty for none."}
	case reflect.TypeFor[cells.Patch]():
		return &jsonschema.Schema{Ref: "#/$defs/CellsFile"}
	case reflect.TypeFor[kind.Datum]():
		return &jsonschema.Schema{Description: "What the setting or the blank is: of the type that it takes."}
	case reflect.TypeFor[document.ID]():
		return &jsonschema.Schema{Type: "string"}
	}
	return nil
}

// made are the files that follow from the declarations, by their paths in this folder, which is the project's.
func made() (map[string][]byte, error) {
	out := map[string][]byte{}
	var all []*jsonschema.Schema
	for _, f := range files {
		r := &jsonschema.Reflector{RequiredFromJSONSchemaTags: true, Mapper: mapped, Anonymous: true, AllowAdditionalProperties: false,
			Namer: called}
		for _, dir := range []string{"core/document", "core/kind", "core/grid", "core/material", "core/cells", "cmd/schemas"} {
			if err := r.AddGoComments("azzel", dir, jsonschema.WithFullComment()); err != nil {
				return nil, fmt.Errorf("read the comments of %s: %w", dir, err)
			}
		}
		comments := map[string]string{}
		for name, text := range r.CommentMap { // without the lines' ends; this package is called otherwise where it runs
			comments[name] = strings.Join(strings.Fields(text), " ")
			comments[strings.Replace(name, "azzel/cmd/schemas.", "main.", 1)] = comments[name]
		}
		r.CommentMap = comments
		s := r.Reflect(f.of)
		cellsOf := r.Reflect(CellsFile{})
		if d := cellsOf.Definitions["CellsFile"]; d != nil {
			s.Definitions["CellsFile"] = d
		}
		s.ID = ""
		s.Title = f.path
		all = append(all, s)
		data, err := json.MarshalIndent(s, "", "\t")
		if err != nil {
			return nil, fmt.Errorf("write the schema of %s: %w", f.name, err)
		}
		// an empty list may be written as nothing
		data = bytes.ReplaceAll(data, []byte(`"type": "array"`), []byte(`"type": ["array", "null"]`))
		out[filepath.Join("core/format/schemas", f.name+".json")] = append(data, '\n')
	}
	out["docs/format.md"] = page(all)
	return out, nil
}

func main() {
	all, err := made()
	if err == nil {
		for path, data := range all {
			if err = os.WriteFile(path, data, 0o644); err != nil {
				break
			}
		}
	}
	if err != nil {
		fmt.Fprintln(os.Stderr, "schemas:", err)
		os.Exit(1)
	}
}

// page is docs/format.md.
func page(all []*jsonschema.Schema) []byte {
	var out bytes.Buffer
	out.WriteString(intro)
	told := map[string]bool{}
	for i, s := range all {
		fmt.Fprintf(&out, "\n## %s\n", files[i].path)
		root := strings.TrimPrefix(s.Ref, "#/$defs/")
		queue := []string{root}
		for len(queue) > 0 {
			name := queue[0]
			queue = queue[1:]
			d := s.Definitions[name]
			if told[name] || d == nil {
				continue
			}
			told[name] = true
			if name != root {
				fmt.Fprintf(&out, "\n### %s\n", name)
			}
			if d.Description != "" {
				fmt.Fprintf(&out, "\n%s\n", d.Description)
			}
			if d.Properties == nil || d.Properties.Len() == 0 {
				continue
			}
			out.WriteString("\n| field | what it is | |\n| --- | --- | --- |\n")
			for p := d.Properties.Oldest(); p != nil; p = p.Next() {
				if p.Key == "$schema" {
					continue
				}
				is, more := typeOf(p.Value)
				queue = append(queue, more...)
				fmt.Fprintf(&out, "| `%s` | %s | %s |\n", p.Key, is, strings.ReplaceAll(p.Value.Description, "|", "\\|"))
			}
		}
	}
	return out.Bytes()
}

// typeOf says what a value is, and which others it speaks of.
func typeOf(s *jsonschema.Schema) (string, []string) {
	name := strings.TrimPrefix(s.Ref, "#/$defs/")
	switch {
	case s.Ref != "":
		return "[" + name + "](#" + strings.ToLower(name) + ")", []string{name}
	case s.Type == "array" && s.Items != nil:
		is, more := typeOf(s.Items)
		return "list of " + is, more
	case s.Type == "boolean":
		return "yes or no", nil
	case s.Type == "integer":
		return "whole number", nil
	case s.Type == "string":
		return "text", nil
	case s.Type == "":
		return "any", nil
	}
	return s.Type, nil
}

const intro = `# The files of a project

Made from the schemas that lie in every project (` + "`schemas/`" + `, JSON Schema 2020-12); do not change this page by hand:
` + "`go generate ./core/format`" + ` makes it anew.

A project is one ZIP, or the folder that it is unpacked to. JSON is UTF-8, a field a line, names in order, so that version
control shows what was changed. Everything that is read is written, and reading what was written gives the same project: the
same hash. A project of an earlier format is read; one of a newer is refused with a sentence.

- Coordinates: cell (0, 0) is the top left cell of the map, x goes right, y down. Places of entities are in pixels of the map, of
  the top left corner of their box. Times are milliseconds, colours #rrggbb, facings up, right, down, left.
- Every thing has an id of twelve letters and digits (a–z, 2–7), by which others name it. Names are for people.
- Tilesets, materials and zones have a number besides, from 1 to 4095; cells name them by it.
- Pins and recordings hold moments of games, in the frame in which a map's cells are stored: ` + "`bounds`" + ` of the map says where
  its top left lies in it.
- ` + "`derived/`" + ` holds what follows from the rest: for each map ` + "`solids.json`" + ` (rectangles of cells that are solid all over, and in half
  pixels the rectangles and slanting lines of those that are solid in part), and each layer with materials as the tiles that are
  drawn. It is passed over when a project is read.
- Files that nothing names are passed over. Fields that are not known here are kept, told, and written again where they stood.
`

// equal reports whether what is there is what would be made.
func equal(path string, data []byte) bool {
	is, err := os.ReadFile(path)
	return err == nil && bytes.Equal(is, data)
}

// stale are the paths of files that are not as they would be made.
func stale() ([]string, error) {
	all, err := made()
	if err != nil {
		return nil, err
	}
	var out []string
	for path, data := range all {
		if !equal(path, data) {
			out = append(out, path)
		}
	}
	slices.Sort(out)
	return out, nil
}
