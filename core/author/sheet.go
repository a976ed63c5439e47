package author

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/kind"
	"errors"
	"fmt"
)

// FigureSheet is a part of a tileset that is cut into a kind's pictures: rows of frames.
type FigureSheet struct {
	Kind    document.ID `json:"kind"`
	Tileset document.ID `json:"tileset"`
	// From is the tile at its top left, Across and Down how many tiles a frame is.
	From   int `json:"from"`
	Across int `json:"across"`
	Down   int `json:"down"`
	// Frames are how many lie side by side, Rows which way each row looks; "" is none.
	Frames int      `json:"frames"`
	Rows   []string `json:"rows"`
}

// maxSheetRows limits the rows that are cut at once.
const maxSheetRows = 16

// CutFigures gives a kind the pictures of a sheet. What reaches past the tileset's
// picture is refused, and so is a facing that two rows have.
func CutFigures(d *document.Document, f FigureSheet) (Change, error) {
	k, t := d.Kind(f.Kind), d.Tilesets.Get(f.Tileset)
	switch {
	case k == nil || kind.Find(f.Kind) != nil:
		return Change{}, errors.New("the kind is no longer there")
	case t == nil:
		return Change{}, errors.New("the tileset is no longer there")
	case f.Across < 1 || f.Down < 1 || f.Frames < 1 || len(f.Rows) < 1 || len(f.Rows) > maxSheetRows:
		return Change{}, errors.New("a sheet has at least one row, and one frame of one tile in it")
	}
	columns, rows := t.Cut.Tiles(t.Width, t.Height)
	x, y := f.From%columns, f.From/columns
	if f.From < 0 || y >= rows {
		return Change{}, fmt.Errorf("%s has no tile %d: its last is %d", t.Name, f.From, columns*rows-1)
	}
	if over := x + f.Frames*f.Across - columns; over > 0 {
		return Change{}, fmt.Errorf("%d frames of %d × %d tiles from tile %d on reach %d tiles past the right side of %s", f.Frames, f.Across, f.Down, f.From, over, t.Name)
	}
	if over := y + len(f.Rows)*f.Down - rows; over > 0 {
		return Change{}, fmt.Errorf("%d rows of %d × %d tiles from tile %d on reach %d tiles past the lower side of %s", len(f.Rows), f.Across, f.Down, f.From, over, t.Name)
	}
	next := PlainKindOf(k)
	next.Across, next.Down, next.Frames = f.Across, f.Down, [4][]cells.Cell{}
	any := false
	for row, facing := range f.Rows {
		if facing == "" {
			continue
		}
		i := document.Facing(facing).Index()
		if i < 0 {
			return Change{}, errors.New("a facing is up, right, down or left")
		}
		if next.Frames[i] != nil {
			return Change{}, fmt.Errorf("two rows look %s: say none for one of them", facing)
		}
		for n := range f.Frames {
			next.Frames[i] = append(next.Frames[i], cells.TileCell(t.Number, (y+row*f.Down)*columns+x+n*f.Across))
		}
		any = true
	}
	if !any {
		return Change{}, errors.New("say of at least one row which way it looks")
	}
	return ChangeKind(d, next)
}
