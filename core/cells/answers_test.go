package cells_test

import (
	"azzel/answers"
	"azzel/core/cells"
	"azzel/core/grid"
	"fmt"
	"testing"
)

// A patch of which one byte is another is read, or refused, as it was.
func TestSpoiltPatchesStay(t *testing.T) {
	list := answers.Read(t, "testdata/answers.txt")
	r := &grid.Region{}
	r.AddRect(grid.Rect{X: -3, Y: 30, W: 40, H: 4})
	tiles := []cells.Cell{cells.TileCell(1, 2), cells.TileCell(1, 2), cells.TileCell(3, 500) | cells.MirrorX, cells.MaterialCell(9, 7), 0}
	for i, p := range []cells.Patch{
		cells.Paint(r, r.Bounds(), tiles, 5, grid.Point{X: -3, Y: 30}),
		cells.Paint(r, r.Bounds(), tiles[:1], 1, grid.Point{}),
	} {
		data := p.Encode()
		var marks []string
		for at := range data {
			for _, by := range []byte{1, 128} {
				spoilt := append([]byte{}, data...)
				spoilt[at] += by
				q, err := cells.DecodePatch(spoilt)
				said := fmt.Sprint(err)
				if err == nil {
					said += fmt.Sprint(q.Count(), q.Region().Bounds(), answers.Sum(string(q.Encode())))
				}
				marks = append(marks, answers.Sum(said))
			}
		}
		list.Are(fmt.Sprint(i), marks, func(k int) string { return fmt.Sprintf("byte %d of patch %d", k/2, i) })
	}
	list.Write()
}
