package author

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/figure"
	"azzel/core/kind"
	"encoding/json"
	"fmt"
	"slices"
)

// FigureAs are the kinds that a figure can be of.
var FigureAs = []string{kind.Hero, kind.Character, kind.Walker}

// AddFigure makes a tileset of a figure's sheet and a kind that looks like it, four ways, standing and walking.
func AddFigure(d *document.Document, t document.Tileset, as, name string) (Change, error) {
	size := t.Cut.CellWidth
	if !slices.Contains(FigureAs, as) {
		return Change{}, fmt.Errorf("a figure is no “%.40s”", as)
	}
	if t.Cut.CellHeight != size || t.Width != figure.Frames*size || t.Height != 4*size {
		return Change{}, fmt.Errorf("a figure's sheet is %d pictures wide and 4 high", figure.Frames)
	}
	t.Name = name
	sheet, err := AddTileset(d, t)
	if err != nil {
		return Change{}, err
	}
	made, err := AddKind(d, document.ID(as), name)
	if err != nil {
		return Change{}, err
	}
	var k document.Kind
	if err := json.Unmarshal(made.Do[0].Value, &k); err != nil {
		return Change{}, fmt.Errorf("read the kind that was made: %w", err)
	}
	for row := range 4 {
		for frame := range figure.Frames {
			k.Frames[row] = append(k.Frames[row], cells.TileCell(t.Number, row*figure.Frames+frame))
		}
	}
	k.Look = k.Frames[2][0]
	if err := k.Check(); err != nil {
		return Change{}, err
	}
	c := changed("New figure "+k.Name, append(sheet.Do, edit.Insert(edit.Ref{Type: edit.TypeKind, ID: k.ID}, k))...)
	c.Made = k.ID
	return c, nil
}
