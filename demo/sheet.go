package demo

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/material"
	"image"
	"image/color"
	"slices"
)

// columns is how many tiles stand in a row of a sheet.
const columns = 16

// Sheet is a tileset being drawn: its picture and what its tiles are.
type Sheet struct {
	Picture *image.NRGBA
	name    string
	tiles   []pic
	ids     map[string]int
	solid   []int
	infos   []document.TileInfo
	sets    []set
}

// set is a material of the sheet: 16 tiles by corners or by sides, more tiles
// that are it all over, and tiles that only count as it.
type set struct {
	name, is string
	corners  string
	sides    string // instead of corners
	whole    []string
	counts   []string
	beyond   bool
}

func newSheet(name string) *Sheet { return &Sheet{name: name, ids: map[string]int{}} }

// put adds a tile under a name.
func (s *Sheet) put(name string, solid bool, p pic) {
	if _, taken := s.ids[name]; taken {
		panic("demo: two tiles called " + name)
	}
	s.ids[name] = len(s.tiles)
	if solid {
		s.solid = append(s.solid, len(s.tiles))
	}
	s.tiles = append(s.tiles, p)
}

// row fills the present row up with clear tiles.
func (s *Sheet) row() {
	for len(s.tiles)%columns != 0 {
		s.tiles = append(s.tiles, pic{})
	}
}

func (s *Sheet) finish() *Sheet {
	s.row()
	rows := len(s.tiles) / columns
	s.Picture = image.NewNRGBA(image.Rect(0, 0, columns*side, rows*side))
	for i, t := range s.tiles {
		for y := range side {
			for x := range side {
				s.Picture.SetNRGBA(i%columns*side+x, i/columns*side+y, t[y][x])
			}
		}
	}
	return s
}

// Tileset describes the sheet as a tileset with this number and stored picture.
func (s *Sheet) Tileset(number int, picture string) document.Tileset {
	b := s.Picture.Bounds()
	return document.Tileset{Name: s.name, Number: number, Picture: picture, Width: b.Dx(), Height: b.Dy(),
		Cut: document.Cut{CellWidth: side, CellHeight: side}, Solid: slices.Sorted(slices.Values(s.solid)), Infos: s.infos}
}

// animate lets a tile show others by turns, each for a time.
func (s *Sheet) animate(name string, ms int, frames ...string) {
	info := document.NewTileInfo(s.ids[name])
	for _, f := range frames {
		info.Frames = append(info.Frames, document.Frame{Tile: s.ids[f], Ms: ms})
	}
	s.infos = append(s.infos, info)
	slices.SortFunc(s.infos, func(a, b document.TileInfo) int { return a.Tile - b.Tile })
}

// is says what the ground of a tile is.
func (s *Sheet) is(name, ground string) {
	s.info(name).Is = ground
}

// lets makes a tile stand in the way from one side only.
func (s *Sheet) lets(name string, side document.Facing) {
	s.info(name).OneWay = side
}

// info is what is set up for a tile.
func (s *Sheet) info(name string) *document.TileInfo {
	for i := range s.infos {
		if s.infos[i].Tile == s.ids[name] {
			return &s.infos[i]
		}
	}
	s.infos = append(s.infos, document.NewTileInfo(s.ids[name]))
	slices.SortFunc(s.infos, func(a, b document.TileInfo) int { return a.Tile - b.Tile })
	return s.info(name)
}

// cornerForms are the corners that the bits of a corner set's mask stand for.
var cornerForms = [4]material.Form{material.NW, material.NE, material.SW, material.SE}

// sideForms are the sides that the bits of a set by sides stand for.
var sideForms = [4]material.Form{material.N, material.E, material.S, material.W}

// Materials describes the sheet's materials; tileset is its own number, first
// that of the first material.
func (s *Sheet) Materials(tileset, first int) []document.Material {
	var out []document.Material
	for i, set := range s.sets {
		m := document.Material{Name: set.name, Number: first + i, Is: set.is, By: material.ByCorners, Beyond: set.beyond}
		add := func(name string, form material.Form, odds int) {
			m.Tiles = append(m.Tiles, material.Tile{Cell: s.Cell(tileset, name), Form: form, Odds: odds})
		}
		for mask := range 16 {
			form := material.Form(0)
			if set.sides != "" {
				for k, f := range sideForms {
					if mask>>k&1 == 1 {
						form |= f
					}
				}
				m.By = material.BySides
				add(set.sides+" "+string(rune('a'+mask)), form, 1)
				continue
			}
			for k, f := range cornerForms {
				if mask>>k&1 == 1 {
					form |= f
				}
			}
			odds := 1
			if mask == 15 {
				odds = 0 // the tiles that are it all over are drawn instead
			}
			if mask > 0 {
				add(set.corners+" "+string(rune('a'+mask)), form, odds)
			} else {
				add(set.whole[0], form, 1) // a lone cell
			}
		}
		for i, name := range set.whole {
			if i > 0 {
				add(name, material.Whole, 1)
			}
		}
		for _, name := range set.counts {
			add(name, material.Whole, 0)
		}
		slices.SortFunc(m.Tiles, func(a, b material.Tile) int { return int(a.Cell) - int(b.Cell) })
		out = append(out, m)
	}
	return out
}

// Cell is the cell that shows a tile of the sheet.
func (s *Sheet) Cell(number int, name string) cells.Cell {
	id, ok := s.ids[name]
	if !ok {
		panic("demo: no tile called " + name)
	}
	return cells.TileCell(number, id)
}

// Hero gives the hero that the sheet draws.
func (s *Sheet) Hero(number int) document.Hero {
	return document.Hero{Speed: 5, Frames: s.Frames(number, "hero")}
}

// Frames are the pictures of a figure by facing, walking.
func (s *Sheet) Frames(number int, who string) (out [4][]cells.Cell) {
	for i, f := range document.Facings {
		for _, step := range []string{"0", "1", "0", "2"} {
			out[i] = append(out[i], s.Cell(number, who+" "+string(f)+" "+step))
		}
	}
	return out
}

// Looks gives the tiles of the kinds that the sheet draws.
func (s *Sheet) Looks(number int) []document.KindLook {
	return []document.KindLook{
		{Kind: kind.Collectible, Look: s.Cell(number, "crystal")},
		{Kind: kind.Switch, Look: s.Cell(number, "wheel"), LookOn: s.Cell(number, "wheel on")},
		{Kind: kind.Door, Look: s.Cell(number, "gate"), LookOn: s.Cell(number, "gate open")},
	}
}

func (s *Sheet) cornerSet(name string, solidFrom int, a, b pic, rim, bank color.NRGBA) {
	s.row()
	for mask := range 16 {
		bits := mask&1 + mask>>1&1 + mask>>2&1 + mask>>3&1
		s.put(name+" "+string(rune('a'+mask)), bits >= solidFrom, corners(a, b, mask, rim, bank))
	}
}

func (s *Sheet) heroRow(who string, colours map[byte]color.NRGBA) {
	s.row()
	for i, frames := range heroFrames(colours) {
		for f, p := range frames {
			s.put(who+" "+string(document.Facings[i])+" "+string(rune('0'+f)), false, p)
		}
	}
}

// kindRow draws what entities look like.
func (s *Sheet) kindRow() {
	s.row()
	s.put("crystal", false, crystalTile())
	s.put("wheel", false, wheel(false))
	s.put("wheel on", false, wheel(true))
	s.put("gate", false, gate(false))
	s.put("gate open", false, gate(true))
	s.put("door", false, houseDoor(false))
	s.put("door open", false, houseDoor(true))
}

// Coast is the tileset of the demo.
func Coast() *Sheet {
	s := newSheet("Coast")
	s.cornerSet("sea", 2, sandTile(1), seaTile(1, 0), foam, sandLo)
	s.cornerSet("grass", 9, sandTile(1), grassTile(1), grassLo, sandHi)
	s.cornerSet("pan", 9, mudTile(1), panTile(1), panLo, mudLo)
	s.row()
	for i := range 4 {
		s.put("sand "+string(rune('1'+i)), false, sandTile(i+1))
	}
	s.put("mud", false, mudTile(2))
	s.put("mud 2", false, mudTile(3))
	s.put("sea 1", true, seaTile(1, 0))
	s.put("sea 2", true, seaTile(3, 0))
	s.put("deep", true, deepTile(1))
	s.put("deep 2", true, deepTile(2))
	s.put("grass 1", false, grassTile(1))
	s.put("grass 2", false, grassTile(2))
	s.put("pan 1", false, panTile(1))
	s.put("pan 2", false, panTile(2))
	s.put("salt", false, saltTile(1))
	s.put("salt 2", false, saltTile(2))
	s.put("planks", false, planks(1))
	s.put("planks 2", false, planks(2))
	s.put("deck edge", true, deckEdge())
	s.put("cobbles", false, cobbles(1))
	s.put("cobbles 2", false, cobbles(2))
	s.put("boards", false, floorBoards())
	s.put("dyke", false, dyke(false))
	s.put("dyke front", false, dyke(true))
	for i, name := range []string{"b", "c", "d"} {
		s.put("sea 1 "+name, true, seaTile(1, i+1))
		s.put("sea 2 "+name, true, seaTile(3, i+1))
	}
	s.animate("sea 1", 320, "sea 1", "sea 1 b", "sea 1 c", "sea 1 d")
	s.animate("sea 2", 410, "sea 2", "sea 2 b", "sea 2 c", "sea 2 d")
	s.put("hearth", true, hearth())
	s.put("rug", false, rug())
	s.row()
	for row, name := range []string{"ridge", "roof", "eaves"} {
		for column, part := range []string{"left", "mid", "right"} {
			s.put(name+" "+part, true, roof(column, row))
		}
	}
	for column, part := range []string{"left", "mid", "right"} {
		s.put("wall "+part, true, wall(column))
	}
	s.put("window", true, window())
	s.put("house door", true, houseDoor(false))
	s.put("stone top", true, stoneWall(true))
	s.put("stone", true, stoneWall(false))
	for _, t := range []struct {
		name  string
		solid bool
		p     pic
	}{
		{"rock", true, rock()}, {"crate", true, crate()}, {"barrel", true, barrel()}, {"heap", true, heap()}, {"bollard", true, bollard()},
		{"tuft", false, tuft(1)}, {"tuft 2", false, tuft(2)}, {"net", false, netTile()}, {"rope", false, rope()},
		{"bow", true, boat(0)}, {"stern", true, boat(1)}, {"beacon", true, beacon(false)}, {"beacon lit", true, beacon(true)},
		{"sign", true, sign()}, {"rake", false, rake()},
	} {
		s.put(t.name, t.solid, t.p)
	}
	s.kindRow()
	s.put("vat left", true, vat(0))
	s.put("vat mid", true, vat(1))
	s.put("vat right", true, vat(2))
	s.put("shelf", true, shelf())
	s.put("table", true, table())
	s.put("bed head", true, bed(0))
	s.put("bed foot", true, bed(1))
	s.put("inner wall", true, wall(1))
	s.put("inner top", true, innerTop())
	s.heroRow("hero", heroColours)
	s.worksRow()
	s.yardRow()
	for _, name := range []string{"rungs"} {
		s.is(name, document.GroundLadder)
	}
	for _, name := range []string{"sump", "sump top", "sea 1", "sea 2", "deep", "deep 2"} {
		s.is(name, document.GroundWater)
	}
	s.is("saw", document.GroundHazard)
	s.lets("gantry", document.Up)
	s.sets = []set{
		{name: "Sea", is: "water", corners: "sea", whole: []string{"sea 1", "sea 1", "sea 2"}, beyond: true,
			counts: []string{"deep", "deep 2", "planks", "planks 2", "deck edge"}},
		{name: "Grass", is: "ground", corners: "grass", whole: []string{"grass 1", "grass 1", "grass 2"}, beyond: true},
		{name: "Salt pan", is: "ground", corners: "pan", whole: []string{"pan 1", "pan 1", "pan 2"}, counts: []string{"salt", "salt 2"}},
	}
	return s.finish()
}

// Starter is the plainer set that an empty project can begin with.
func Starter() *Sheet {
	s := newSheet("Starter set")
	s.cornerSet("water", 2, grassTile(1), seaTile(1, 0), foam, grassLo)
	s.row()
	for mask := range 16 {
		s.put("path "+string(rune('a'+mask)), false, pathTile(mask))
	}
	s.row()
	s.put("grass 1", false, grassTile(1))
	s.put("grass 2", false, grassTile(2))
	s.put("sand", false, sandTile(1))
	s.put("cobbles", false, cobbles(1))
	s.put("boards", false, floorBoards())
	s.put("planks", false, planks(1))
	s.put("water", true, seaTile(1, 0))
	s.put("water moved b", true, seaTile(1, 1))
	s.put("water moved c", true, seaTile(1, 2))
	s.put("water moved d", true, seaTile(1, 3))
	s.animate("water", 320, "water", "water moved b", "water moved c", "water moved d")
	s.put("stone top", true, stoneWall(true))
	s.put("stone", true, stoneWall(false))
	s.put("rock", true, rock())
	s.put("crate", true, crate())
	s.put("barrel", true, barrel())
	s.put("tuft", false, tuft(1))
	s.put("sign", true, sign())
	s.put("rug", false, rug())
	s.put("inner top", true, innerTop())
	s.put("inner wall", true, wall(1))
	s.put("window", true, window())
	s.put("hearth", true, hearth())
	s.put("shelf", true, shelf())
	s.put("table", true, table())
	s.put("bed head", true, bed(0))
	s.put("bed foot", true, bed(1))
	s.cornerSet("cliff", 1, grassTile(1), cliffTop(), stone, grassLo)
	s.row()
	for i, part := range []string{"left", "mid", "right"} {
		s.put("cliff face "+part, true, cliffFace(i))
	}
	s.put("cliff", false, cliffTop())
	for i := range 4 {
		s.put("sky "+string(rune('1'+i)), false, sky(i))
	}
	s.put("hills left", false, hills(0))
	s.put("hills right", false, hills(1))
	s.kindRow()
	s.heroRow("hero", heroColours)
	s.sets = []set{
		{name: "Cliff", is: "cliff", corners: "cliff", whole: []string{"cliff", "cliff"}, beyond: true},
		{name: "Water", is: "water", corners: "water", whole: []string{"water", "water"}, beyond: true, counts: []string{"planks"}},
		{name: "Path", is: "path", sides: "path"},
	}
	return s.finish()
}
