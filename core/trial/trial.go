// Package trial stands a kind on a small piece of ground of its sort, with what it needs to act and
// a hero to try it: a document of its own, made of that which is edited.
package trial

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/rules"
	"slices"
	"strings"
)

// Ids of what a trial holds.
const (
	Map     = document.ID("trialtrialtr")
	Subject = document.ID("subjectsubje")
	painted = document.ID("groundground")
	layer   = document.ID("entitiesenti")
	sheet   = document.ID("tilestilesti")
)

// tiles are the letters that are cells, and what their tile is.
var tiles = []struct {
	letter byte
	set    func(*document.TileInfo)
}{
	{'#', nil},
	{'-', func(i *document.TileInfo) { i.OneWay = document.Up }},
	{'H', func(i *document.TileInfo) { i.Is = document.GroundLadder }},
	{'~', func(i *document.TileInfo) { i.Is = document.GroundWater }},
	{'^', func(i *document.TileInfo) { i.Is = document.GroundHazard }},
}

// helpers are the letters that are entities.
var helpers = map[byte]string{'s': kind.Switch, 'd': kind.Door, 'k': kind.Key, 'b': kind.Block, 'r': kind.Breakable, 'w': kind.Walker,
	'c': kind.Collectible, 'l': kind.Light, 'e': kind.LaneEntry, 'n': kind.Lane, 'o': kind.Core, 'p': kind.Platform, '@': kind.Spawn}

// FromSide tells whether a kind is tried from the side where nobody says otherwise: what does something only there, and else as all maps of
// the project are seen; where they differ, or there is none, as shows more of it.
func FromSide(d *document.Document, k *kind.Kind) bool {
	g := grounds[k.Acts()]
	more := g.above == "" && g.side != ""
	if more && k.Acts() != kind.Hero {
		return true
	}
	above, side := 0, 0
	for _, m := range d.MapsInOrder() {
		switch {
		case m.Template:
		case d.FromSide(m):
			side++
		default:
			above++
		}
	}
	if above > 0 && side > 0 || above+side == 0 {
		return more
	}
	return side > 0
}

// Rows are the ground that a kind is tried on, as it is drawn.
func Rows(k *kind.Kind, side bool) []string {
	g := grounds[k.Acts()]
	plain, lever := plainAbove, leverAbove
	if side {
		plain, lever = plainSide, leverSide
	}
	text := g.above
	if side {
		text = g.side
	}
	switch {
	case text != "":
	case k.State != "" && k.Acts() != kind.Checkpoint && k.Acts() != kind.Container:
		text = lever
	default:
		text = plain
	}
	return strings.Split(strings.TrimPrefix(text, "\n"), "\n")
}

// Document is the document in which a kind is tried, with settings that differ from its own. Tilesets,
// materials and kinds are those of d.
func Document(d *document.Document, k *kind.Kind, side bool, differs ...kind.Value) *document.Document {
	rows := Rows(k, side)
	out := &document.Document{Project: d.Project, Tilesets: d.Tilesets, Materials: d.Materials, Zones: d.Zones, Kinds: d.Kinds}
	number := 1
	for _, t := range d.Tilesets.All() {
		number = max(number, t.Number+1)
	}
	set := &document.Tileset{ID: sheet, Name: "Trial", Number: number, Width: 16 * len(tiles), Height: 16,
		Cut: document.Cut{CellWidth: d.Project.CellWidth, CellHeight: d.Project.CellHeight}, Solid: []int{0}}
	for i, t := range tiles {
		if t.set != nil {
			info := document.NewTileInfo(i)
			t.set(&info)
			set.Infos = append(set.Infos, info)
		}
	}
	set.Width, set.Height = d.Project.CellWidth*len(tiles), d.Project.CellHeight
	out.Tilesets = out.Tilesets.With(sheet, set)
	b := builder{doc: out, k: k, side: side, differs: differs, m: &document.Map{ID: Map, Name: "Trial", Bounds: grid.Rect{W: len(rows[0]), H: len(rows)}, CellWidth: d.Project.CellWidth, CellHeight: d.Project.CellHeight}}
	b.values()
	b.m.Layers = b.m.Layers.With(painted, &document.Layer{ID: painted, Name: "Ground", Kind: document.LayerTiles, Opacity: 100}).
		With(layer, &document.Layer{ID: layer, Name: "Entities", Order: 1, Kind: document.LayerEntities, Opacity: 100})
	out.Maps = out.Maps.With(Map, b.m)
	b.cells(rows, number)
	b.entities(rows)
	b.rules()
	return edit.Apply(out, &edit.Edit{Do: b.do}).Doc
}

type builder struct {
	doc  *document.Document
	k    *kind.Kind
	side bool
	// differs are settings that differ from the kind's.
	differs []kind.Value
	m       *document.Map
	do      []edit.Primitive
	// rank and parts count what was put down and what rules are made of; made is what stands there, by letter.
	rank, parts int
	made        map[byte]document.ID
}

// numbered is an id that is the same each time.
func numbered(start string, n int) document.ID {
	return document.ID(start + string("abcdefghijklmnopqrstuvwxyz"[n%26]))
}

// values are the settings of the map: how it is seen, and dark where a light is tried.
func (b *builder) values() {
	view := kind.Of("above")
	if b.side {
		view = kind.Of("side")
	}
	b.m.Values = []kind.Value{{Key: kind.MapView, Value: view}}
	if b.k.Acts() == kind.Light {
		b.m.Values = append(b.m.Values, kind.Value{Key: kind.MapDarkness, Value: "60"})
	}
	slices.SortFunc(b.m.Values, func(x, y kind.Value) int { return strings.Compare(x.Key, y.Key) })
}

func (b *builder) cells(rows []string, number int) {
	for i, t := range tiles {
		r := &grid.Region{}
		for y, row := range rows {
			for x := range len(row) {
				if row[x] == t.letter {
					r.Add(grid.Point{X: x, Y: y})
				}
			}
		}
		if r.Count() > 0 {
			b.do = append(b.do, edit.Primitive{Op: edit.OpCells, Ref: edit.Ref{Type: edit.TypeLayer, Map: Map, ID: painted},
				Cells: cells.Paint(r, b.m.Bounds, []cells.Cell{cells.TileCell(number, i)}, 1, grid.Point{})})
		}
	}
}

// entities puts down what is drawn: the kind itself over all of its letters, helpers where they stand.
func (b *builder) entities(rows []string) {
	b.made = map[byte]document.ID{}
	box := grid.Rect{}
	for y, row := range rows {
		for x := range len(row) {
			letter := row[x]
			if letter == 'K' {
				box = union(box, grid.Rect{X: x, Y: y, W: 1, H: 1})
				continue
			}
			of := helpers[letter]
			switch {
			case of == "":
			case of == b.k.Acts() && letter != '@':
				b.subject(grid.Rect{X: x, Y: y, W: 1, H: 1}, letter)
			default:
				b.put(letter, of, numbered("helperhelpe", b.rank), grid.Rect{X: x, Y: y, W: 1, H: 1})
			}
		}
	}
	if box.W > 0 {
		b.subject(box, 'K')
	}
}

func union(a, b grid.Rect) grid.Rect {
	if a.W == 0 {
		return b
	}
	x, y := min(a.X, b.X), min(a.Y, b.Y)
	return grid.Rect{X: x, Y: y, W: max(a.X+a.W, b.X+b.W) - x, H: max(a.Y+a.H, b.Y+b.H) - y}
}

// subject puts down the kind that is tried. A hero begins there itself.
func (b *builder) subject(at grid.Rect, letter byte) {
	if b.k.Heroic || b.k.Acts() == kind.Arrival {
		return
	}
	b.put(letter, string(b.k.ID), Subject, at)
}

// put puts down an entity, standing on the floor of its cells where it covers no area.
func (b *builder) put(letter byte, of string, id document.ID, at grid.Rect) {
	k := b.doc.Kind(document.ID(of))
	if k == nil {
		return
	}
	m := b.m
	e := document.Entity{ID: id, Layer: layer, Kind: of, Name: k.Name, Facing: facingOf(k.Acts(), b.side), On: k.StartsOn(), Rank: b.rank,
		X: at.X * m.CellWidth, Y: at.Y * m.CellHeight, W: at.W * m.CellWidth, H: at.H * m.CellHeight}
	if !k.Area {
		w, h := k.Box(m.CellWidth, m.CellHeight)
		e.X, e.Y, e.W, e.H = e.X+(e.W-w)/2, e.Y+e.H-h, w, h
	}
	b.rank++
	b.settings(&e, k)
	b.made[letter] = id
	b.do = append(b.do, edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: Map, ID: id}, e))
}

// facingOf is where something looks on a trial: at the hero, up where it throws, else on.
func facingOf(acts string, side bool) document.Facing {
	switch {
	case acts == kind.Shooter || acts == kind.Beam:
		return document.Left
	case side && (acts == kind.Spring || acts == kind.Fan):
		return document.Up
	}
	return document.Right
}

// settings are what a helper has of its own so that it helps, and a path its points.
func (b *builder) settings(e *document.Entity, k *kind.Kind) {
	subject := func(key string) kind.Datum { return b.doc.Value(&document.Entity{Kind: string(b.k.ID)}, key) }
	set := func(key string, v kind.Datum) { e.Values = append(e.Values, kind.Value{Key: key, Value: v}) }
	w, h := b.m.CellWidth, b.m.CellHeight
	switch acts := k.Acts(); {
	case acts == kind.Path:
		e.Points = []grid.Point{{X: 6 * w}, {X: 6 * w, Y: -2 * h}, {X: 3 * w, Y: 2 * h}}
	case acts == kind.Lane && b.side:
		e.Points = []grid.Point{{X: 11 * w}}
	case acts == kind.Lane:
		e.Points = []grid.Point{{X: 5 * w}, {X: 5 * w, Y: 3 * h}, {X: 11 * w, Y: 3 * h}}
	}
	if e.ID == Subject {
		for _, v := range b.differs {
			set(v.Key, v.Value)
		}
		// what could make something and does not say what makes something plain
		switch acts := k.Acts(); {
		case (acts == kind.Source || acts == kind.LaneEntry) && len(subject("makes").Shares()) == 0:
			set("makes", kind.Of([]kind.Share{{Of: kind.Walker, Odds: 1}}))
		case acts == kind.Plot && len(subject("takes").Shares()) == 0:
			set("takes", kind.Of([]kind.Share{{Of: kind.Light, Odds: 1}, {Of: kind.Shooter, Odds: 2}}))
		}
		slices.SortFunc(e.Values, func(x, y kind.Value) int { return strings.Compare(x.Key, y.Key) })
		return
	}
	switch {
	case k.Acts() == kind.Door && b.k.Acts() == kind.Key:
		set("needs", subject("opens"))
	case k.Acts() == kind.Platform && b.k.Acts() == kind.Path:
		set("path", kind.Of(string(Subject)))
	case k.Acts() == kind.Lane || k.Acts() == kind.LaneEntry:
		if name := subject("lane"); name != "" {
			set("lane", name)
		}
		if k.Acts() == kind.LaneEntry {
			set("every", "1500")
			set("makes", kind.Of([]kind.Share{{Of: kind.Walker, Odds: 1}}))
			set("waves", "[3,5]")
		}
	}
	slices.SortFunc(e.Values, func(x, y kind.Value) int { return strings.Compare(x.Key, y.Key) })
}

// rules wire the helpers: a lever flips the kind that is tried, and that opens the door.
func (b *builder) rules() {
	part := func(word string, id document.ID) document.RulePart {
		p := rules.Part(word, document.Naming(document.Object{Type: document.TypeEntity, Map: Map, ID: id}))
		b.parts++
		p.ID = numbered("partpartpar", b.parts)
		return p
	}
	add := func(id document.ID, parts ...document.RulePart) {
		r := rules.Of(parts...)
		r.ID = id
		b.do = append(b.do, edit.Primitive{Op: edit.OpInsert, Ref: edit.Ref{Type: edit.TypeRule, ID: id}, Value: edit.JSON(r), Content: &document.Content{Parts: r.Parts.All()}})
	}
	lever, door := b.made['s'], b.made['d']
	if lever != "" && b.k.State != "" {
		add("leverleverle", part(rules.WordUse, lever), part(rules.WordFlip, Subject))
	}
	if door == "" {
		return
	}
	opens, shuts := part(rules.WordOpen, door), part(rules.WordShut, door)
	shuts.Slot = document.SlotOtherwise
	switch b.k.Acts() {
	case kind.Switch:
		add("doordoordoor", part(rules.WordTurnsOn, Subject), part(rules.WordTurnsOff, Subject), part(rules.WordIsOn, Subject), opens, shuts)
	case kind.Sensor:
		add("doordoordoor", part(rules.WordEnter, Subject), part(rules.WordLeave, Subject), part(rules.WordIsMet, Subject), opens, shuts)
	}
}
