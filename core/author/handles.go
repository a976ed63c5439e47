package author

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"errors"
	"slices"
	"strconv"
)

// Pull is a handle of an entity that is dragged to a place of the map.
type Pull struct {
	Map    document.ID `json:"map"`
	Entity document.ID `json:"entity"`
	// Is is one of the handles.
	Is string `json:"is"`
	// DX and DY are the sides, −1 to 1, of which PullSize takes one or two.
	DX int `json:"dx"`
	DY int `json:"dy"`
	// Index is the point of PullPoint, or before which PullBetween puts one.
	Index int `json:"index"`
	// Setting is the key of that of PullSetting.
	Setting string `json:"setting"`
	// From and To are where it was taken and where it is now, in map pixels.
	From grid.Point `json:"from"`
	To   grid.Point `json:"to"`
	// Snap is into how many parts a cell is divided by what is snapped to; 0 is none.
	Snap int `json:"snap"`
}

// The handles of entities.
const (
	PullSize    = "size"
	PullFacing  = "facing"
	PullSetting = "setting"
	PullPoint   = "point"
	PullBetween = "between"
)

// Pulled is what an entity would become.
type Pulled struct {
	Entity *document.Entity `json:"entity"`
	// Name and Text are a setting's name and its value as a person writes it.
	Name string `json:"name"`
	Text string `json:"text"`
	// Traces is how it would be shown.
	Traces []play.Trace `json:"traces"`
}

// maxSnap limits into how many parts a cell is divided.
const maxSnap = 16

// Pulling tells what a handle that is dragged to a place would make of its entity.
func Pulling(d *document.Document, w Pull) (Pulled, error) {
	m, e := d.Maps.Get(w.Map), d.Entity(w.Map, w.Entity)
	if e == nil {
		return Pulled{}, errors.New("the entity is no longer there")
	}
	w.Snap = max(0, min(w.Snap, maxSnap))
	next := *e
	out := Pulled{Entity: &next, Traces: []play.Trace{}}
	switch w.Is {
	case PullSize:
		if d.Kind(document.ID(e.Kind)).Leads == kind.LeadsOn {
			w.Snap = min(w.Snap, 1) // what is walked into is of whole cells
		}
		resized(&next, w, m)
	case PullFacing:
		next.Facing = towards(middle(e), w.To)
	case PullSetting:
		if err := out.setting(d, m, e, w); err != nil {
			return Pulled{}, err
		}
	case PullPoint, PullBetween:
		next.Points = pointed(e, w, m, d.Acts(e) == kind.GroundLine)
		way := play.Trace{Is: play.TraceWay, Points: []grid.Point{middle(e)}}
		for _, p := range next.Points {
			way.Points = append(way.Points, grid.Point{X: middle(e).X + p.X, Y: middle(e).Y + p.Y})
		}
		out.Traces = append(out.Traces, way)
	default:
		return Pulled{}, errors.New("there is no such handle")
	}
	return out, nil
}

func middle(e *document.Entity) grid.Point { return grid.Point{X: e.X + e.W/2, Y: e.Y + e.H/2} }

// part is what is snapped to along one side of cells of a size: a part of a cell that
// is as long as any other, in pixels, at most so many of a cell; 1 where nothing snaps.
func part(cell, parts int) int {
	if parts == 0 {
		return 1
	}
	for cell%parts != 0 {
		parts--
	}
	return cell / parts
}

// snapped is the pixel that snapping takes one to.
func snapped(at, cell, parts int) int {
	n := part(cell, parts)
	return grid.FloorDiv(2*at+n, 2*n) * n
}

// SnapMove is by how much entities move when they are dragged so far, in pixels.
func SnapMove(m *document.Map, parts int, by grid.Point) grid.Point {
	parts = max(0, min(parts, maxSnap))
	return grid.Point{X: snapped(by.X, m.CellWidth, parts), Y: snapped(by.Y, m.CellHeight, parts)}
}

func resized(e *document.Entity, w Pull, m *document.Map) {
	to := grid.Point{X: snapped(w.To.X, m.CellWidth, w.Snap), Y: snapped(w.To.Y, m.CellHeight, w.Snap)}
	e.X, e.W = side(e.X, e.W, w.DX, to.X, part(m.CellWidth, w.Snap))
	e.Y, e.H = side(e.Y, e.H, w.DY, to.Y, part(m.CellHeight, w.Snap))
}

// side moves the near or the far end of a stretch, which keeps the least length.
func side(at, size, which, to, least int) (int, int) {
	switch {
	case which < 0:
		return min(to, at+size-least), max(least, at+size-to)
	case which > 0:
		return at, max(least, to-at)
	}
	return at, size
}

func towards(from, to grid.Point) document.Facing {
	dx, dy := to.X-from.X, to.Y-from.Y
	switch {
	case max(dx, -dx) > max(dy, -dy) && dx < 0:
		return document.Left
	case max(dx, -dx) > max(dy, -dy):
		return document.Right
	case dy < 0:
		return document.Up
	}
	return document.Down
}

// pointed are a path's points with one moved or put in. They lie in the middle of
// cells, as what goes along them does; those of ground lie on their corners.
func pointed(e *document.Entity, w Pull, m *document.Map, ground bool) []grid.Point {
	to := w.To
	switch {
	case ground:
		to = grid.Point{X: snapped(to.X, m.CellWidth, w.Snap), Y: snapped(to.Y, m.CellHeight, w.Snap)}
	case w.Snap > 0:
		to = grid.Point{X: grid.FloorDiv(to.X, m.CellWidth)*m.CellWidth + m.CellWidth/2, Y: grid.FloorDiv(to.Y, m.CellHeight)*m.CellHeight + m.CellHeight/2}
	}
	p := grid.Point{X: to.X - middle(e).X, Y: to.Y - middle(e).Y}
	points := slices.Clone(e.Points)
	at := max(0, min(w.Index, len(points)))
	if w.Is == PullPoint && at < len(points) {
		points[at] = p
		return points
	}
	return slices.Insert(points, at, p)
}

// setting is what a setting with a handle becomes: cells in halves where it snaps, else
// in twentieths; what is counted goes up by one each half cell.
func (out *Pulled) setting(d *document.Document, m *document.Map, e *document.Entity, w Pull) error {
	s := d.Setting(e, w.Setting)
	if s == nil || s.Handle == "" {
		return errors.New("this setting has no handle")
	}
	out.Name = s.Name
	if s.Handle == kind.HandleUp {
		more := grid.FloorDiv(4*(w.From.Y-w.To.Y)+m.CellHeight, 2*m.CellHeight)
		count := int(d.Value(e, s.Key).Thousandths()/1000) + more
		out.Text = strconv.Itoa(max(s.Least, min(count, s.Most)))
		return nil
	}
	far := away(middle(e), w.To, e.Facing, s.Handle, m)
	parts := 20
	if w.Snap > 0 {
		parts = 2
	}
	steps := (far*int64(parts)*2 + 1000) / 2000
	value := max(int64(s.Least)*1000, min(steps*1000/int64(parts), int64(s.Most)*1000))
	out.Text = s.Text(kind.Thousandths(value))
	out.Traces = append(out.Traces, play.Reach(m, out.Entity, s, value))
	return nil
}

// away is how far a place is, in thousandths of a cell: as a bird flies, or along
// where an entity looks.
func away(from, to grid.Point, facing document.Facing, handle string, m *document.Map) int64 {
	dx, dy := int64(to.X-from.X), int64(to.Y-from.Y)
	if handle == kind.HandleRound {
		return int64(grid.Root(uint64(dx*dx+dy*dy)*1_000_000)) / int64(m.CellWidth)
	}
	if facing == document.Up || facing == document.Down {
		return max(dy, -dy) * 1000 / int64(m.CellHeight)
	}
	return max(dx, -dx) * 1000 / int64(m.CellWidth)
}
