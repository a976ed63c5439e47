// Command contract writes the TypeScript types of what the core is asked and
// answers, from the Go declarations.
//
//	go generate ./core/session
package main

import (
	"azzel/core/author"
	"azzel/core/cells"
	"azzel/core/chart"
	"azzel/core/cut"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/hand"
	"azzel/core/kind"
	"azzel/core/material"
	"azzel/core/play"
	"azzel/core/rules"
	"azzel/core/session"
	"azzel/server"
	"encoding/json"
	"flag"
	"fmt"
	"os"
	"reflect"
	"slices"
	"strings"
)

func main() {
	out := flag.String("out", "web/src/core/contract.gen.ts", "file to write")
	flag.Parse()
	if err := os.WriteFile(*out, []byte(Contract()), 0o644); err != nil {
		fmt.Fprintln(os.Stderr, "contract:", err)
		os.Exit(1)
	}
}

// fixed are types that TypeScript knows by another name, or looks into no further.
var fixed = map[reflect.Type]string{
	reflect.TypeFor[document.ID]():     "ID",
	reflect.TypeFor[json.RawMessage](): "unknown",
	reflect.TypeFor[cells.Patch]():     "string",
	reflect.TypeFor[edit.Edit]():       "unknown",
	reflect.TypeFor[edit.Primitive]():  "unknown",
	reflect.TypeFor[document.Facing](): "Facing",
	reflect.TypeFor[kind.Datum]():      "unknown",
}

// words are the fields that hold one of a few words, by type and name.
var words = map[string][]string{
	"Layer.kind":          {document.LayerTiles, document.LayerEntities, document.LayerZones, document.LayerPicture, document.LayerGroup},
	"PlanLayer.kind":      {document.LayerTiles, document.LayerEntities, document.LayerZones, document.LayerPicture, document.LayerGroup},
	"Map.grid":            {document.GridSquare, document.GridDiamond},
	"Grip.what":           {hand.Nothing, hand.Tiles, hand.Material, hand.Motif, hand.Zone, hand.Eraser, hand.Entity},
	"Grip.shape":          {hand.Freehand, hand.Line, hand.Box, hand.Rim, hand.Oval, hand.Fill, hand.Empties},
	"Mirror.mode":         {"", grid.MirrorLeftRight, grid.MirrorUpDown, grid.MirrorBoth, grid.MirrorQuarters},
	"Gate.asks":           {document.GateFlag, document.GateItem, document.GateCount},
	"Setting.handle":      {"", kind.HandleRound, kind.HandleAhead, kind.HandleBoth, kind.HandleUp},
	"Detail.handle":       {"", kind.HandleRound, kind.HandleAhead, kind.HandleBoth, kind.HandleUp},
	"Pull.is":             {author.PullSize, author.PullFacing, author.PullSetting, author.PullPoint, author.PullBetween},
	"PlainSetting.handle": {"", kind.HandleRound, kind.HandleAhead, kind.HandleBoth, kind.HandleUp},
	"Material.by":         {material.BySides, material.ByCorners, material.ByBoth},
	"MaterialWord.by":     {material.BySides, material.ByCorners, material.ByBoth},
	"Trace.is":            {play.TraceWay, play.TraceRing, play.TraceShot, play.TraceTied},
	"Cover.how":           {material.Has, material.Turns, material.Composes, material.Lacks},
	"TileInfo.oneWay":     {"", string(document.Up), string(document.Right), string(document.Down), string(document.Left)},
	"End.side":            {string(document.Up), string(document.Right), string(document.Down), string(document.Left)},
	"Entity.facing":       {string(document.Up), string(document.Right), string(document.Down), string(document.Left)},
	"Use.what":            {"passage", "rule", "gate", "carrier", "setting"},
}

// extra are types that no method of the core has, but the server answers.
var extra = []reflect.Type{reflect.TypeFor[cut.Guess](), reflect.TypeFor[chart.Seam](), reflect.TypeFor[edit.Sketch](), reflect.TypeFor[server.Taken]()}

type writer struct {
	names map[reflect.Type]string
	taken map[string]reflect.Type
	order []reflect.Type
}

// Contract is the text of the types.
func Contract() string {
	w := &writer{names: map[reflect.Type]string{}, taken: map[string]reflect.Type{}}
	var methods strings.Builder
	for _, s := range session.Signatures() {
		fmt.Fprintf(&methods, "\t%s: { args: %s; answer: %s }\n", s.Name, w.args(s.Args), w.typ(s.Answer, "\t"))
	}
	for _, t := range extra {
		w.typ(t, "")
	}
	var out strings.Builder
	out.WriteString("// Made from the Go declarations by “go generate ./core/session”; change those.\n\n")
	out.WriteString("export type ID = string\n")
	fmt.Fprintf(&out, "export type Facing = %s\n", union([]string{string(document.Up), string(document.Right), string(document.Down), string(document.Left)}))
	fmt.Fprintf(&out, "export type Code = %s\n\n", union(session.Codes))
	out.WriteString("/** Something of which parts are left out. */\nexport type Draft<T> = T extends (infer U)[] ? Draft<U>[] : T extends object ? { [K in keyof T]?: Draft<T[K]> } : T\n\n")
	for i := 0; i < len(w.order); i++ { // writing one may name others
		t := w.order[i]
		fmt.Fprintf(&out, "export interface %s %s\n\n", w.names[t], w.object(t, "", w.names[t]))
	}
	out.WriteString("/** What the core can be asked, and what it answers. */\nexport interface Methods {\n")
	out.WriteString(methods.String())
	out.WriteString("}\n")
	return out.String()
}

// args is what a method takes. Of an object of the document what is left out is
// filled in by the core.
func (w *writer) args(t reflect.Type) string {
	if t.PkgPath() == "azzel/core/document" && t.Kind() == reflect.Struct {
		return "Draft<" + w.typ(t, "") + ">"
	}
	return w.typ(t, "\t")
}

func union(all []string) string {
	var out []string
	for _, s := range all {
		out = append(out, "'"+s+"'")
	}
	return strings.Join(out, " | ")
}

// typ is how a type is called; structs with names are noted to be written.
func (w *writer) typ(t reflect.Type, indent string) string {
	if name, ok := fixed[t]; ok {
		return name
	}
	switch t.Kind() {
	case reflect.Pointer:
		return w.typ(t.Elem(), indent)
	case reflect.Bool:
		return "boolean"
	case reflect.String:
		return "string"
	case reflect.Interface:
		return "unknown"
	case reflect.Slice, reflect.Array:
		item := w.typ(t.Elem(), indent)
		if strings.Contains(item, " | ") {
			item = "(" + item + ")"
		}
		return item + "[]"
	case reflect.Map:
		return "Record<string, " + w.typ(t.Elem(), indent) + ">"
	case reflect.Struct:
		if t.Name() == "" || strings.Contains(t.Name(), "[") {
			return w.object(t, indent, "")
		}
		return w.name(t)
	default:
		return "number"
	}
}

func (w *writer) name(t reflect.Type) string {
	if name, ok := w.names[t]; ok {
		return name
	}
	name := strings.ToUpper(t.Name()[:1]) + t.Name()[1:]
	if _, ok := w.taken[name]; ok {
		pkg := t.PkgPath()[strings.LastIndexByte(t.PkgPath(), '/')+1:]
		name = strings.ToUpper(pkg[:1]) + pkg[1:] + name
	}
	w.names[t], w.taken[name] = name, t
	w.order = append(w.order, t)
	return name
}

func (w *writer) object(t reflect.Type, indent, of string) string {
	fields := w.fields(t, indent+"\t")
	if len(fields) == 0 {
		return "{}"
	}
	return "{\n" + strings.Join(fields, "\n") + "\n" + indent + "}"
}

// fields are those that JSON has; those of an embedded struct stand among them, and
// give way to one of the same name.
func (w *writer) fields(t reflect.Type, indent string) []string {
	var out []string
	names := map[string]bool{}
	var embedded []reflect.Type
	for i := range t.NumField() {
		f := t.Field(i)
		tag, more, _ := strings.Cut(f.Tag.Get("json"), ",")
		if f.Anonymous && tag == "" {
			e := f.Type
			if e.Kind() == reflect.Pointer {
				e = e.Elem()
			}
			embedded = append(embedded, e)
			continue
		}
		if tag == "-" || !f.IsExported() {
			continue
		}
		if tag == "" {
			tag = f.Name
		}
		names[tag] = true
		out = append(out, indent+w.field(t, f, tag, more, indent))
	}
	for _, e := range embedded {
		for _, line := range w.fields(e, indent) {
			name := strings.TrimRight(strings.TrimSpace(line[:strings.IndexByte(line, ':')]), "?")
			if !names[name] {
				names[name] = true
				out = append(out, line)
			}
		}
	}
	return out
}

func (w *writer) field(t reflect.Type, f reflect.StructField, tag, more, indent string) string {
	typ := w.typ(f.Type, indent)
	if all := words[t.Name()+"."+tag]; all != nil {
		typ = union(all)
	}
	if strings.Contains(more, "omitempty") || strings.Contains(more, "omitzero") {
		return tag + "?: " + typ
	}
	// what the session makes for the interface holds lists that are there; what is
	// stored may hold none
	maybe := f.Type.Kind() == reflect.Pointer || f.Type.Kind() == reflect.Slice && f.Type != reflect.TypeFor[json.RawMessage]()
	if maybe && (!slices.Contains(made, t.PkgPath()) && !slices.Contains(whole, t) || f.Type == reflect.TypeFor[*string]()) && f.Type != reflect.TypeFor[cells.Patch]() {
		typ += " | null"
	}
	return tag + ": " + typ
}

// whole are types of other packages of which nothing is missing.
var whole = []reflect.Type{reflect.TypeFor[document.LayerChunks](), reflect.TypeFor[author.PlainSetting](), reflect.TypeFor[author.PlainKind](), reflect.TypeFor[author.Pulled](), reflect.TypeFor[rules.Line]()}

// made are the packages whose answers are made for the interface.
var made = []string{"azzel/core/ask", "azzel/core/session", "azzel/core/chart", "azzel/core/play", "azzel/core/texts"}
