package document

import (
	"azzel/core/cells"
	"fmt"
	"slices"
	"strings"
)

// NamedTile is a tile with what it is called.
type NamedTile struct {
	Cell cells.Cell `json:"cell"`
	Name string     `json:"name"`
}

// TileName says which tile of a tileset a cell shows, and what it is by its tags and the
// materials it belongs to.
func (d *Document) TileName(c cells.Cell) string {
	t := d.TilesetByNumber(c.Tileset())
	if t == nil {
		return "a removed tile"
	}
	var words []string
	d.eachWord(t, func(tile int, word string) {
		if tile == c.Tile() && !slices.Contains(words, word) {
			words = append(words, word)
		}
	})
	return tileName(t, c.Tile(), words)
}

// FindTiles are the first tiles, at most so many, whose names have each of the words, which
// are in small letters.
func (d *Document) FindTiles(words []string, most int) []NamedTile {
	out := []NamedTile{}
	for _, t := range d.TilesetsInOrder() {
		is := map[int][]string{}
		d.eachWord(t, func(tile int, word string) {
			if !slices.Contains(is[tile], word) {
				is[tile] = append(is[tile], word)
			}
		})
		columns, rows := t.Cut.Tiles(t.Width, t.Height)
		for i := range columns * rows {
			if len(out) >= most {
				return out
			}
			name := tileName(t, i, is[i])
			low := strings.ToLower(name)
			if !slices.ContainsFunc(words, func(w string) bool { return !strings.Contains(low, w) }) {
				out = append(out, NamedTile{cells.TileCell(t.Number, i), name})
			}
		}
	}
	return out
}

// eachWord tells what tiles of a tileset are called: their tags, then their materials.
func (d *Document) eachWord(t *Tileset, tell func(tile int, word string)) {
	for _, i := range t.Infos {
		for _, tag := range i.Tags {
			tell(i.Tile, tag)
		}
	}
	for _, m := range d.MaterialsInOrder() {
		for _, of := range m.Tiles {
			if of.Cell.Tileset() == t.Number {
				tell(of.Cell.Tile(), m.Name)
			}
		}
	}
}

func tileName(t *Tileset, tile int, words []string) string {
	return strings.Join(append([]string{fmt.Sprintf("tile %d of %s", tile, t.Name)}, words...), ", ")
}
