package author

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/hand"
	"errors"
	"fmt"
	"slices"
)

// drawn are tiles of one tileset.
type drawn struct {
	set   *document.Tileset
	tiles []int
}

// drawnWith lists the tiles that a grip puts down, by their tilesets, each once; of a material all of its tiles.
func drawnWith(d *document.Document, g *hand.Grip) (out []drawn) {
	var all []cells.Cell
	switch g.What {
	case hand.Tiles:
		all = g.Cells
	case hand.Material:
		if m := d.MaterialByNumber(g.Number); m != nil {
			for _, t := range m.Tiles {
				all = append(all, t.Cell)
			}
		}
	}
	for _, c := range all {
		set := d.TilesetByNumber(c.Tileset())
		if c == 0 || c.IsMaterial() || set == nil {
			continue
		}
		if columns, rows := set.Cut.Tiles(set.Width, set.Height); c.Tile() >= columns*rows {
			continue
		}
		i := slices.IndexFunc(out, func(o drawn) bool { return o.set == set })
		if i < 0 {
			i, out = len(out), append(out, drawn{set: set})
		}
		if !slices.Contains(out[i].tiles, c.Tile()) {
			out[i].tiles = append(out[i].tiles, c.Tile())
		}
	}
	return out
}

// Solidity says of the tiles that a grip puts down how many there are, and how many of them are solid.
func Solidity(d *document.Document, g *hand.Grip) (tiles, solid int) {
	for _, one := range drawnWith(d, g) {
		tiles += len(one.tiles)
		for _, t := range one.tiles {
			if one.set.IsSolid(t) {
				solid++
			}
		}
	}
	return tiles, solid
}

// MakeSolid makes the tiles that a grip puts down solid, wherever they are painted, or none of them.
func MakeSolid(d *document.Document, g *hand.Grip, solid bool) (Change, error) {
	tiles, is := Solidity(d, g)
	if tiles == 0 {
		return Change{}, errors.New("only tiles and materials can be solid")
	}
	var do []edit.Primitive
	for _, one := range drawnWith(d, g) {
		c, err := MarkSolid(one.set, one.tiles, solid)
		if err != nil {
			return Change{}, err
		}
		do = append(do, c.Do...)
	}
	n, word := tiles-is, "solid"
	if !solid {
		n, word = is, "no longer solid"
	}
	if n == 1 {
		return changed("A tile is "+word, do...), nil
	}
	return changed(fmt.Sprintf("%d tiles are %s", n, word), do...), nil
}
