package author

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/kind"
	"errors"
	"fmt"
	"slices"
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
	// Does is what each row shows being done, one of kind.Poses; "", as those that are missing, is standing and walking.
	Does []string `json:"does"`
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
	cut, err := f.poses(t.Number, columns)
	if err != nil {
		return Change{}, err
	}
	keeps := func(frames [4][]cells.Cell, does string) bool {
		return cut[does] == nil && slices.ContainsFunc(frames[:], func(all []cells.Cell) bool { return len(all) > 0 })
	}
	kept := keeps(next.Frames, "")
	for _, p := range next.Poses {
		kept = kept || keeps(p.Frames, p.Does)
	}
	if kept && (max(1, next.Across) != f.Across || max(1, next.Down) != f.Down) {
		return Change{}, fmt.Errorf("its other pictures are of %d × %d tiles: cut all of them at once, or take those away", max(1, next.Across), max(1, next.Down))
	}
	next.Across, next.Down = f.Across, f.Down
	poses := slices.Clone(next.Poses)
	for _, does := range append([]string{""}, kind.Poses...) {
		frames := cut[does]
		if frames == nil {
			continue
		}
		if does == "" {
			next.Frames = *frames
		} else if i := slices.IndexFunc(poses, func(p kind.Pose) bool { return p.Does == does }); i >= 0 {
			poses[i].Frames = *frames
		} else {
			poses = append(poses, kind.Pose{Does: does, Frames: *frames, Ms: max(1, next.FrameMs)})
		}
	}
	next.Poses = poses
	return ChangeKind(d, next)
}

// poses are the pictures of a sheet by what they show being done, empty for standing and walking.
func (f *FigureSheet) poses(set, columns int) (map[string]*[4][]cells.Cell, error) {
	x, y := f.From%columns, f.From/columns
	out := map[string]*[4][]cells.Cell{}
	for row, facing := range f.Rows {
		if facing == "" {
			continue
		}
		does := ""
		if row < len(f.Does) {
			does = f.Does[row]
		}
		i := document.Facing(facing).Index()
		switch {
		case i < 0:
			return nil, errors.New("a facing is up, right, down or left")
		case does != "" && !slices.Contains(kind.Poses, does):
			return nil, fmt.Errorf("there are no pictures of “%.40s”", does)
		case out[does] == nil:
			out[does] = &[4][]cells.Cell{}
		case out[does][i] != nil:
			return nil, fmt.Errorf("two rows look %s and do the same: say none for one of them", facing)
		}
		for n := range f.Frames {
			out[does][i] = append(out[does][i], cells.TileCell(set, (y+row*f.Down)*columns+x+n*f.Across))
		}
	}
	if len(out) == 0 {
		return nil, errors.New("say of at least one row which way it looks")
	}
	return out, nil
}
