package drawn

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/sample"
	"strings"
)

// Sheet adds a layer to a map, above all others, that is drawn as text: # is solid, ~ water, p a tile that does nothing.
func Sheet(d *document.Document, on document.ID, l document.Layer, rows string) *document.Document {
	all := d.Maps.Get(on).LayersInOrder()
	l.Kind, l.Opacity, l.Order = document.LayerTiles, 100, all[len(all)-1].Order+1
	do := []edit.Primitive{edit.Insert(edit.Ref{Type: edit.TypeLayer, Map: on, ID: l.ID}, l)}
	tiles := map[rune]cells.Cell{'#': sample.Wall, '~': cells.TileCell(1, 24), 'p': cells.TileCell(1, 30)}
	for y, line := range strings.Split(strings.Trim(rows, "\n"), "\n") {
		for x, letter := range line {
			if cell, ok := tiles[letter]; ok {
				r := &grid.Region{}
				r.Add(grid.Point{X: x, Y: y})
				do = append(do, sample.Paint(on, l.ID, r, cell))
			}
		}
	}
	return sample.With(d, do...)
}
