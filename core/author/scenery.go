package author

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/figure"
	"azzel/core/grid"
	"encoding/json"
	"fmt"
	"slices"
)

// AddScenery makes a tileset of the picture of a thing of a landscape, solid where one cannot walk behind it, and a motif by which
// all of it is put down at once.
func AddScenery(d *document.Document, t document.Tileset, what, name string) (Change, error) {
	size := t.Cut.CellWidth
	if !slices.Contains(figure.Scenery, what) {
		return Change{}, fmt.Errorf("there is no “%.20s” in a landscape", what)
	}
	if size < 1 || t.Cut.CellHeight != size || t.Width%size != 0 || t.Height%size != 0 {
		return Change{}, fmt.Errorf("its picture is of whole cells")
	}
	t.Name = name
	wide, tall := t.Width/size, t.Height/size
	for tile := range wide * tall {
		// one goes behind a crown, and behind the roof of a house
		if low := tile/wide == tall-1; low || what == figure.Rock || what == figure.House && tile/wide >= tall/2 {
			if what == figure.Tree && wide > 2 && (tile%wide < (wide-1)/2 || tile%wide > wide/2) {
				continue
			}
			t.Solid = append(t.Solid, tile)
		}
	}
	sheet, err := AddTileset(d, t)
	if err != nil {
		return Change{}, err
	}
	var made document.Tileset
	if err := json.Unmarshal(sheet.Do[0].Value, &made); err != nil {
		return Change{}, fmt.Errorf("read the tileset that was made: %w", err)
	}
	box := &grid.Region{}
	box.AddRect(grid.Rect{W: wide, H: tall})
	patch := cells.PaintEach(box, grid.Rect{W: wide, H: tall}, func(x, y int) (cells.Cell, bool) { return cells.TileCell(t.Number, y*wide+x), true })
	motif, err := AddMotif(d, made.Name, &document.Motif{W: wide, H: tall, CellWidth: size, CellHeight: size,
		Parts: []document.MotifPart{{Layer: sceneryLayer(d), Kind: document.LayerTiles, Cells: patch}}})
	if err != nil {
		return Change{}, err
	}
	c := changed("New "+what+" "+made.Name, append(sheet.Do, motif.Do...)...)
	c.Made = motif.Made
	return c, nil
}

// sceneryLayer is the name of the layer on which things of a landscape lie: the topmost of tiles behind the hero in the project's plan.
func sceneryLayer(d *document.Document) string {
	name := "Things"
	for _, l := range d.Project.LayerPlan() {
		if l.Kind == document.LayerTiles && !l.Front {
			name = l.Name
		}
	}
	return name
}
