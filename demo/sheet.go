package demo

import (
	"azzel/core/cells"
	"azzel/core/document"
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
}

func newSheet(name string) *Sheet { return &Sheet{name: name, ids: map[string]int{}} }

// put adds a tile under a name.
func (s *Sheet) put(name string, solid bool, p pic) {
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
		Cut: document.Cut{CellWidth: side, CellHeight: side}, Solid: slices.Sorted(slices.Values(s.solid))}
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
	h := document.Hero{Speed: 5}
	for i, f := range document.Facings {
		for _, step := range []string{"0", "1", "0", "2"} {
			h.Frames[i] = append(h.Frames[i], s.Cell(number, "hero "+string(f)+" "+step))
		}
	}
	return h
}

// Looks gives the tiles of the kinds that the sheet draws.
func (s *Sheet) Looks(number int) []document.KindLook {
	return []document.KindLook{
		{Kind: document.KindCollectible, Look: s.Cell(number, "crystal")},
		{Kind: document.KindSwitch, Look: s.Cell(number, "wheel"), LookOn: s.Cell(number, "wheel on")},
		{Kind: document.KindDoor, Look: s.Cell(number, "gate"), LookOn: s.Cell(number, "gate open")},
	}
}

func (s *Sheet) cornerSet(name string, solidFrom int, a, b pic, rim, bank color.NRGBA) {
	s.row()
	for mask := range 16 {
		bits := mask&1 + mask>>1&1 + mask>>2&1 + mask>>3&1
		s.put(name+" "+string(rune('a'+mask)), bits >= solidFrom, corners(a, b, mask, rim, bank))
	}
}

func (s *Sheet) heroRow() {
	s.row()
	for i, frames := range heroFrames() {
		for f, p := range frames {
			s.put("hero "+string(document.Facings[i])+" "+string(rune('0'+f)), false, p)
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
	s.cornerSet("sea", 2, sandTile(1), seaTile(1), foam, sandLo)
	s.cornerSet("grass", 9, sandTile(1), grassTile(1), grassLo, sandHi)
	s.cornerSet("pan", 9, mudTile(1), panTile(1), panLo, mudLo)
	s.row()
	for i := range 4 {
		s.put("sand "+string(rune('1'+i)), false, sandTile(i+1))
	}
	s.put("mud", false, mudTile(2))
	s.put("mud 2", false, mudTile(3))
	s.put("sea 1", true, seaTile(1))
	s.put("sea 2", true, seaTile(3))
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
	s.heroRow()
	return s.finish()
}

// Starter is the plainer set that an empty project can begin with.
func Starter() *Sheet {
	s := newSheet("Starter set")
	s.cornerSet("water", 2, grassTile(1), seaTile(1), foam, grassLo)
	s.cornerSet("path", 9, grassTile(1), sandTile(1), sandLo, grassLo)
	s.row()
	s.put("grass 1", false, grassTile(1))
	s.put("grass 2", false, grassTile(2))
	s.put("sand", false, sandTile(1))
	s.put("cobbles", false, cobbles(1))
	s.put("boards", false, floorBoards())
	s.put("planks", false, planks(1))
	s.put("water", true, seaTile(1))
	s.put("stone top", true, stoneWall(true))
	s.put("stone", true, stoneWall(false))
	s.put("rock", true, rock())
	s.put("crate", true, crate())
	s.put("barrel", true, barrel())
	s.put("tuft", false, tuft(1))
	s.put("sign", true, sign())
	s.kindRow()
	s.heroRow()
	return s.finish()
}
