package author

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"errors"
	"fmt"
)

// Loss is what would lie outside a map's bounds: it is kept, and is there again
// when the map grows.
type Loss struct {
	Cells    int         `json:"cells"`
	Entities int         `json:"entities"`
	Spans    []grid.Span `json:"spans"`
}

// LossOf tells what a map would lose to other bounds.
func LossOf(m *document.Map, bounds grid.Rect) Loss {
	out := Loss{Spans: []grid.Span{}}
	gone := &grid.Region{}
	for _, l := range m.LayersInOrder() {
		if l.Painted() {
			lost := l.Cells.Region(m.Bounds, func(c cells.Cell) bool { return c != 0 })
			kept := lost.Clone()
			kept.Clip(bounds)
			lost.Subtract(kept)
			out.Cells += lost.Count()
			gone.Union(lost)
		}
	}
	for _, e := range m.Entities.All() {
		if !e.Box(m).Intersect(m.Bounds).Empty() && e.Box(m).Intersect(bounds).Empty() {
			out.Entities++
		}
	}
	out.Spans = append(out.Spans, gone.Spans()...)
	return out
}

// Resize gives a map other bounds; nothing that is stored moves.
func Resize(m *document.Map, bounds grid.Rect) (Change, error) {
	next := *m
	next.Bounds = bounds
	if err := next.Check(); err != nil {
		return Change{}, err
	}
	if bounds == m.Bounds {
		return Change{}, errors.New("the map has this size already")
	}
	text := fmt.Sprintf("Resized %s to %d × %d", m.Name, bounds.W, bounds.H)
	return changed(text, edit.Set(edit.Ref{Type: edit.TypeMap, ID: m.ID}, "bounds", bounds)), nil
}

// Shift moves everything on a map by cells; with wrap what leaves one side
// comes in at the other, else it stays behind the side.
func Shift(d *document.Document, m *document.Map, dx, dy int, wrap bool) (Change, error) {
	b := m.Bounds
	if dx == 0 && dy == 0 || dx <= -b.W || dx >= b.W || dy <= -b.H || dy >= b.H {
		return Change{}, fmt.Errorf("a map of %d × %d is shifted by less than its size, and by more than nothing", b.W, b.H)
	}
	c := changed(fmt.Sprintf("Shifted %s by %d, %d", m.Name, dx, dy))
	all := &grid.Region{}
	all.AddRect(b)
	for _, l := range m.LayersInOrder() {
		if !l.Painted() || l.Cells.Empty() {
			continue
		}
		patch := cells.PaintEach(all, b, func(x, y int) (cells.Cell, bool) {
			from := grid.Point{X: x - dx, Y: y - dy}
			if wrap {
				from = grid.Point{X: b.X + grid.Mod(from.X-b.X, b.W), Y: b.Y + grid.Mod(from.Y-b.Y, b.H)}
			} else if !b.Contains(from) {
				return 0, true
			}
			return l.Cells.At(from.X, from.Y), true
		})
		c.Do = append(c.Do, write(m, l, patch))
	}
	for _, e := range m.Entities.All() {
		x, y := e.X+dx*m.CellWidth, e.Y+dy*m.CellHeight
		if wrap {
			left, top := b.X*m.CellWidth, b.Y*m.CellHeight
			x = left + grid.Mod(x-left, b.W*m.CellWidth)
			y = top + grid.Mod(y-top, b.H*m.CellHeight)
		}
		ref := edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}
		if x != e.X {
			c.Do = append(c.Do, edit.Set(ref, "x", x))
		}
		if y != e.Y {
			c.Do = append(c.Do, edit.Set(ref, "y", y))
		}
	}
	if len(c.Do) == 0 {
		return Change{}, errors.New("there is nothing on the map to shift")
	}
	c.Do = append(c.Do, movePlacings(d, m, all, "", dx, dy)...)
	return c, nil
}

// Clear empties one layer, or, where layer is empty, all layers of a map, as far
// as its bounds go.
func Clear(d *document.Document, m *document.Map, layer document.ID) (Change, error) {
	c := changed("Cleared " + m.Name)
	if l := m.Layers.Get(layer); l != nil {
		c = changed("Cleared layer " + l.Name)
	} else if layer != "" {
		return Change{}, errors.New("the layer is no longer there")
	}
	for _, l := range m.LayersInOrder() {
		if layer != "" && l.ID != layer {
			continue
		}
		if l.Locked {
			return Change{}, fmt.Errorf("%s is locked: unlock it first", l.Name)
		}
		if l.Painted() {
			full := l.Cells.Region(m.Bounds, func(c cells.Cell) bool { return c != 0 })
			if !full.Empty() {
				c.Do = append(c.Do, write(m, l, cells.Paint(full, m.Bounds, []cells.Cell{0}, 1, grid.Point{})))
			}
			continue
		}
		var all []document.ID
		for _, e := range m.Entities.All() {
			if e.Layer == l.ID && !e.Box(m).Intersect(m.Bounds).Empty() {
				all = append(all, e.ID)
			}
		}
		if len(all) > 0 {
			gone, err := RemoveEntities(d, m, all)
			if err != nil {
				return Change{}, err
			}
			c.Do = append(c.Do, gone.Do...)
		}
	}
	if len(c.Do) == 0 {
		return Change{}, errors.New("it is empty already")
	}
	return c, nil
}

// Swap is a tile that another takes the place of; an empty To takes it away.
type Swap struct {
	From cells.Cell `json:"from"`
	To   cells.Cell `json:"to"`
}

// Swaps are the exchanges that bring every tile of one tileset to the tile at
// the same place of another; missing counts tiles that the other does not have.
func Swaps(from, to *document.Tileset) (out []Swap, missing int) {
	columns, rows := from.Cut.Tiles(from.Width, from.Height)
	others, down := to.Cut.Tiles(to.Width, to.Height)
	for i := range columns * rows {
		x, y := i%columns, i/columns
		if x >= others || y >= down {
			missing++
			continue
		}
		out = append(out, Swap{cells.TileCell(from.Number, i), cells.TileCell(to.Number, y*others+x)})
	}
	return out, missing
}

// ExchangeSets puts the tiles of one tileset in the place of those of another, and says
// how many cells keep theirs, because the other has no tile at that place.
func ExchangeSets(d *document.Document, m *document.Map, region *grid.Region, from, to *document.Tileset) (Change, error) {
	swaps, missing := Swaps(from, to)
	has := map[int]bool{}
	for _, s := range swaps {
		has[s.From.Tile()] = true
	}
	lacks := func(v cells.Cell) bool { return of(v, from) && !has[v.Tile()] }
	left := 0
	eachTiles(d, m, func(_ *document.Map, l *document.Layer) {
		stays := l.Cells.Region(l.Cells.Extent(), lacks)
		if region != nil {
			stays.Intersect(region)
		}
		left += stays.Count()
	})
	c, err := Exchange(d, m, region, swaps)
	switch {
	case err != nil && left > 0:
		return Change{}, fmt.Errorf("%s has no tile at the place of any that lies there", to.Name)
	case err != nil:
		return Change{}, err
	case left > 0:
		c.Label.Text += fmt.Sprintf("; %s kept theirs, since %s lacks %d of the tiles", cellsOf(left), to.Name, missing)
	}
	return c, nil
}

// eachTiles goes through the layers of tiles of a map, or, where it is nil, of all.
func eachTiles(d *document.Document, m *document.Map, f func(*document.Map, *document.Layer)) {
	maps := d.MapsInOrder()
	if m != nil {
		maps = []*document.Map{m}
	}
	for _, m := range maps {
		for _, l := range m.LayersInOrder() {
			if l.Kind == document.LayerTiles {
				f(m, l)
			}
		}
	}
}

// Exchange puts tiles in the place of others, keeping how they are turned: in a
// selection of a map (region), in all of it, or, where m is nil, in the project. What
// lies on locked layers stays, and is told.
func Exchange(d *document.Document, m *document.Map, region *grid.Region, swaps []Swap) (Change, error) {
	to := map[cells.Cell]cells.Cell{}
	for _, s := range swaps {
		if s.From == 0 || !s.From.Valid() || !s.To.Valid() {
			return Change{}, errors.New("choose a tile that is exchanged and one that takes its place")
		}
		to[plain(s.From)] = s.To
	}
	count, locked := 0, 0
	c := changed("")
	eachTiles(d, m, func(m *document.Map, l *document.Layer) {
		hit := l.Cells.Region(l.Cells.Extent(), func(v cells.Cell) bool {
			_, ok := to[plain(v)]
			return ok && v != 0
		})
		if region != nil {
			hit.Intersect(region)
		}
		if l.Locked {
			locked += hit.Count()
			return
		}
		count += hit.Count()
		c.Do = append(c.Do, putEverywhere(m, l, hit, func(x, y int) cells.Cell {
			v := l.Cells.At(x, y)
			next := to[plain(v)]
			if next != 0 && !next.IsMaterial() && !v.IsMaterial() {
				next ^= v & cells.TurnBits
			}
			return next
		})...)
	})
	switch {
	case count == 0 && locked > 0:
		return Change{}, errors.New("these tiles lie on locked layers only: unlock them first")
	case count == 0:
		return Change{}, errors.New("none of these tiles lies there")
	}
	c.Label.Text = "Exchanged " + cellsOf(count)
	if locked > 0 {
		c.Label.Text += fmt.Sprintf("; %s on locked layers stayed", cellsOf(locked))
	}
	return c, nil
}

// plain is a cell without its turn, or without its material's variant.
func plain(c cells.Cell) cells.Cell {
	if c.IsMaterial() {
		return cells.MaterialCell(c.Tileset(), 0)
	}
	return c &^ cells.TurnBits
}
