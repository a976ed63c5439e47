package format

import (
	"azzel/core/cells"
	"azzel/core/grid"
	"bytes"
	"encoding/csv"
	"errors"
	"fmt"
	"io"
	"slices"
	"strconv"
	"strings"
	"unicode/utf8"
)

// turns are how a tile lies: mirrored left–right first, then turned clockwise; by what it is turned by.
var turns = [8]string{"", " turned 90", " turned 180", " turned 270", " mirrored", " mirrored turned 90", " mirrored turned 180", " mirrored turned 270"}

// turnBits are the bits of a cell that lies so.
var turnBits = func() (out [8]cells.Cell) {
	for t := range out {
		out[t] = cells.TileCell(1, 0).Turned(grid.Turn(t)) & cells.TurnBits
	}
	return out
}()

// cellText writes a cell: nothing for an empty one, “3:17” for tile 17 of the tileset with the number 3, “3:17 turned 90” for
// one that is turned, “~5:2” for variant 2 of the material with the number 5.
func cellText(c cells.Cell) string {
	switch {
	case c == 0:
		return ""
	case c.IsMaterial():
		return fmt.Sprintf("~%d:%d", c.Tileset(), c.Tile())
	}
	return fmt.Sprintf("%d:%d%s", c.Tileset(), c.Tile(), turns[slices.Index(turnBits[:], c&cells.TurnBits)])
}

// readCell reads what cellText writes.
func readCell(text string) (cells.Cell, error) {
	if text == "" {
		return 0, nil
	}
	rest, material := strings.CutPrefix(text, "~")
	place, turn, turned := strings.Cut(rest, " ")
	number, tile, ok := strings.Cut(place, ":")
	n, err1 := strconv.ParseUint(number, 10, 16)
	t, err2 := strconv.ParseUint(tile, 10, 16)
	way := 0
	if turned {
		way = slices.Index(turns[:], " "+turn)
	}
	if !ok || err1 != nil || err2 != nil || n < 1 || n > cells.MaxTileset || way < 0 || material && (turned || t > cells.MaxVariant) {
		return 0, fmt.Errorf("“%.40s” is no cell: write 3:17 for tile 17 of tileset 3, 3:17 turned 90 for one that is turned, ~5:2 for a material", text)
	}
	if material {
		return cells.MaterialCell(int(n), int(t)), nil
	}
	return cells.TileCell(int(n), int(t)) | turnBits[way], nil
}

// mark is what some programs begin a file in UTF-8 with.
var mark = []byte("\xef\xbb\xbf")

// empty is how a cell is written that is set and empty, where others are not set at all.
const empty = "empty"

// writeCells writes cells as CSV (RFC 4180, lines end with a line feed): a row of the map a line. Cells that is says no to are
// empty fields.
func writeCells(box grid.Rect, at func(x, y int) (c cells.Cell, is bool)) []byte {
	var out bytes.Buffer
	for y := box.Y; y < box.Y+box.H; y++ {
		for x := box.X; x < box.X+box.W; x++ {
			if x > box.X {
				out.WriteByte(',')
			}
			switch c, is := at(x, y); {
			case !is && box.W == 1:
				out.WriteString(`""`) // an empty line would be no row
			case !is:
			case c == 0:
				out.WriteString(empty)
			default:
				out.WriteString(cellText(c))
			}
		}
		out.WriteByte('\n')
	}
	return out.Bytes()
}

// table is a CSV of cells as it was read.
type table struct {
	w, h   int
	cells  []cells.Cell
	filled []bool
}

// readCells reads what writeCells writes. What is wrong is told with its line.
func readCells(data []byte, w, h int) (*table, error) {
	if !utf8.Valid(data) {
		return nil, errors.New("it is not in UTF-8: save it so")
	}
	r := csv.NewReader(bytes.NewReader(bytes.TrimPrefix(data, mark)))
	r.ReuseRecord = true
	r.FieldsPerRecord = -1
	t := &table{}
	known := map[string]cells.Cell{}
	for {
		row, err := r.Read()
		if errors.Is(err, io.EOF) {
			break
		}
		var wrong *csv.ParseError
		if errors.As(err, &wrong) {
			return nil, fmt.Errorf("line %d: %w", wrong.Line, wrong.Err)
		}
		if err != nil {
			return nil, err
		}
		line, _ := r.FieldPos(0)
		if t.h == 0 {
			t.w = len(row)
		}
		switch {
		case len(row) != t.w:
			return nil, fmt.Errorf("line %d has %d cells, and the first one %d", line, len(row), t.w)
		case t.w > w || t.h >= h:
			return nil, fmt.Errorf("line %d: a table of cells has at most %d columns and %d lines", line, w, h)
		}
		t.h++
		for _, text := range row {
			c, ok := known[text]
			if !ok && text != empty {
				if c, err = readCell(text); err != nil {
					return nil, fmt.Errorf("line %d: %w", line, err)
				}
				known[strings.Clone(text)] = c
			}
			t.cells = append(t.cells, c)
			t.filled = append(t.filled, text != "")
		}
	}
	return t, nil
}

// patch is the cells of a table whose first one lies at a place.
func (t *table) patch(x, y int) cells.Patch {
	box := grid.Rect{X: x, Y: y, W: t.w, H: t.h}
	region := &grid.Region{}
	region.AddRect(box)
	return cells.PaintEach(region, box, func(px, py int) (cells.Cell, bool) {
		i := (py-y)*t.w + px - x
		return t.cells[i], t.filled[i]
	})
}
