package world

import (
	"azzel/core/grid"
	"azzel/core/kind"
	"slices"
)

// sweeps are the boxes within which what moves, carries, throws, blows or strikes on a map may act on a hero; ok is false where that cannot
// be told. Wherever it acts, the hero could rest there as well, and whatever it does then is no more than to jump from there.
func (g *Ground) sweeps() (out []Box, ok bool) {
	var walked []Box // by who walks
	for r := g.First; r < g.After; r++ {
		t := g.stage.Thing(r)
		moves := t.Area != nil && (t.Area.FlowX != 0 || t.Area.FlowY != 0)
		switch is := slices.Contains(still, t.Acts); {
		case is && (t.stays() || t.Doing.Carrier >= 0 && !t.Solid && t.Area == nil) && !moves:
			continue
		case t.Doing.Carrier >= 0 || t.Doing.Sight > 0 && (t.Doing.Seeing == Follows || t.Doing.Seeing == Flees):
			return nil, false
		case is && moves:
			out = append(out, reach(t))
			continue
		}
		box, ok := g.sweptBy(t)
		if !ok {
			return nil, false
		}
		if t.Acts == kind.Walker {
			walked = append(walked, box)
		} else {
			out = append(out, box)
		}
	}
	// who walks is carried, thrown and blown as well
	for _, w := range walked {
		near := grown(w, int64(g.CellWidth)*Unit, int64(g.CellHeight)*Unit)
		if slices.ContainsFunc(out, func(o Box) bool { return !apart(o, near) }) {
			return nil, false
		}
	}
	return append(out, walked...), true
}

// sweptBy is the box within which a thing may act on a hero; not ok where that cannot be told.
func (g *Ground) sweptBy(t *Thing) (Box, bool) {
	box := reach(t)
	switch t.Acts {
	case kind.Platform, kind.Flyer, kind.Walker:
		switch {
		case t.Doing.Way != nil:
			return alongWay(box, t.Doing.Way), true
		case t.Acts == kind.Walker:
			return g.walkedBy(t)
		}
		return grown(box, t.Doing.RangeX, t.Doing.RangeY), true
	case kind.Faller:
		box.Bottom = int64(g.Bounds.Y+g.Bounds.H) * int64(g.CellHeight) * Unit
		return box, true
	case kind.Conveyor, kind.Wind:
		return box, true
	case kind.Fan, kind.Beam, kind.Turner, kind.Shooter:
		return grown(box, t.Doing.RangeX, t.Doing.RangeY), true
	case kind.Spring:
		return g.thrownBy(t, box)
	}
	return box, false
}

// stays reports whether a thing that does not move the hero stays where it is.
func (t *Thing) stays() bool {
	return !(t.Doing.Goes && t.Acts != kind.Hero && t.Doing.Habit != Stands && t.Doing.Habit != LooksAround) && t.Doing.Way == nil && t.Doing.Carrier < 0
}

func grown(b Box, x, y int64) Box {
	return Box{Left: b.Left - x, Top: b.Top - y, Right: b.Right + x, Bottom: b.Bottom + y}
}

// alongWay is where a box comes that goes along a path with its middle.
func alongWay(b Box, w *Way) Box {
	out, x, y := b, (b.Right-b.Left)/2, (b.Bottom-b.Top)/2
	for _, p := range w.Points {
		out.Left, out.Right = min(out.Left, p.X-x), max(out.Right, p.X+x)
		out.Top, out.Bottom = min(out.Top, p.Y-y), max(out.Bottom, p.Y+y)
	}
	return out
}

// thrownBy is where somebody rises whom a spring throws up.
func (g *Ground) thrownBy(t *Thing, box Box) (Box, bool) {
	if _, dy := t.Facing.Step(); dy == 0 {
		return box, false
	}
	w := g.stage.Gait(g, None)
	speed := JumpSpeed(t.Doing.RangeY, w.Gravity)
	ticks := speed/max(1, w.Gravity) + 2
	return Box{Left: box.Left - ticks*w.RunX, Right: box.Right + ticks*w.RunX, Top: box.Top - Rise(speed, w.Gravity), Bottom: box.Bottom}, true
}

// walkedBy is where somebody comes who goes to and fro on the level ground of whole cells below it, as far as it goes at the most and that
// reaches; not ok where it stands on none.
func (g *Ground) walkedBy(t *Thing) (Box, bool) {
	box := reach(t)
	_, ch := g.Cell()
	feet := grid.FloorDiv(int(box.Bottom), int(ch))
	if int64(feet)*ch != box.Bottom {
		feet++
	}
	from, to := g.CellAt(box.Left, box.Top), g.CellAt(box.Right-1, box.Bottom-1)
	firm := func(x int) bool { return g.At(grid.Point{X: x, Y: feet})&Whole != 0 }
	for x := from.X; x <= to.X; x++ {
		if !firm(x) {
			return box, false
		}
	}
	least, most := g.CellAt(box.Left-t.Doing.RangeX, box.Top), g.CellAt(box.Right+t.Doing.RangeX, box.Top)
	for from.X > least.X && firm(from.X-1) {
		from.X--
	}
	for to.X < most.X && firm(to.X+1) {
		to.X++
	}
	out := Box{Left: min(box.Left, int64(from.X)*int64(g.CellWidth)*Unit), Right: max(box.Right, int64(to.X+1)*int64(g.CellWidth)*Unit), Top: box.Top, Bottom: int64(feet) * ch}
	// it comes elsewhere over what is not level, and over what is solid
	for x := from.X - 1; x <= to.X+1; x++ {
		for y := from.Y; y <= feet; y++ {
			if at := g.At(grid.Point{X: x, Y: y}); at != 0 && at&Whole == 0 {
				return box, false
			}
		}
	}
	ok := true
	g.Near(grown(out, int64(g.CellWidth)*Unit, int64(g.CellHeight)*Unit), func(_ Ref, o *Thing) { ok = ok && !o.Solid })
	return out, ok
}
