package world

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"slices"
)

// sweeps are the boxes within which what moves, carries, throws, blows or strikes on a map may act on a hero; ok is false where that cannot
// be told. Wherever it acts, the hero could rest there as well, and whatever it does then is no more than to jump from there.
func (g *Ground) sweeps() (out []Box, ok bool) {
	if !g.sweptKnown {
		g.swept, g.sweptTold = g.findSweeps()
		g.sweptKnown = true
	}
	return g.swept, g.sweptTold
}

func (g *Ground) findSweeps() (out []Box, ok bool) {
	var s strays
	for r := g.First; r < g.After; r++ {
		t := g.stage.Thing(r)
		switch {
		case t.harmless():
			continue
		case t.Doing.Carrier < 0 && t.Acts == kind.Block:
			s.blocks = append(s.blocks, t)
			continue
		case t.Doing.Carrier < 0 && t.Acts == kind.Walker && t.Doing.Way == nil:
			s.walkers = append(s.walkers, t)
			continue
		}
		box, ok := g.sweptBy(t)
		if !ok {
			return nil, false
		}
		out = append(out, g.alongWith(t, box))
	}
	more, ok := g.astray(s, out)
	return append(out, more...), ok
}

// harmless reports whether a thing neither carries, throws, blows nor strikes, wherever it goes: seen from the side one goes past those whom
// one speaks to.
func (t *Thing) harmless() bool {
	switch t.Acts {
	case kind.Character:
		return t.Area == nil
	case kind.Walker, kind.Flyer:
		return t.Area == nil && !t.Solid && t.Doing.Harm <= 0 && t.Doing.Beaten&ByAJump == 0
	}
	if t.Doing.Line != nil {
		return t.Doing.Carrier < 0 && t.Doing.Way == nil
	}
	flows := t.Area != nil && (t.Area.FlowX != 0 || t.Area.FlowY != 0)
	return slices.Contains(still, t.Acts) && !flows && (t.stays() || t.Doing.Carrier >= 0 && !t.Solid && t.Area == nil)
}

// chases reports whether somebody goes after the hero, or away from it.
func (t *Thing) chases() bool {
	return t.Doing.Sight > 0 && (t.Doing.Seeing == Follows || t.Doing.Seeing == Flees)
}

// alongWith is where a box comes that belongs to something that travels with something else.
func (g *Ground) alongWith(t *Thing, box Box) Box {
	for n := 0; t.Doing.Carrier >= 0 && n < 64; n++ {
		t = g.stage.Thing(t.Doing.Carrier)
	}
	if t.Acts != kind.Platform {
		return box // nothing else takes anything along
	}
	way, _ := g.sweptBy(t)
	from := reach(t)
	return Box{Left: box.Left + way.Left - from.Left, Top: box.Top + way.Top - from.Top, Right: box.Right + way.Right - from.Right, Bottom: box.Bottom + way.Bottom - from.Bottom}
}

// sweptBy is the box within which a thing may act on a hero; not ok where that cannot be told.
func (g *Ground) sweptBy(t *Thing) (Box, bool) {
	box := reach(t)
	switch t.Acts {
	case kind.Platform, kind.Flyer, kind.Walker:
		switch {
		case t.Doing.Way != nil:
			return alongWay(box, t.Doing.Way), true
		case t.chases():
			return box, t.Doing.Carrier >= 0 // what travels with something else does nothing by itself
		}
		box = ahead(box, t.Facing, &t.Doing)
		if t.Acts != kind.Platform { // which goes to one side of its place
			box = ahead(box, t.Facing.Opposite(), &t.Doing)
		}
		return box, true
	case kind.Faller:
		box.Bottom = int64(g.Bounds.Y+g.Bounds.H) * int64(g.CellHeight) * Unit
		return box, true
	case kind.Fan, kind.Beam:
		return ahead(box, t.Facing, &t.Doing), true
	case kind.Turner, kind.Shooter:
		return grown(box, t.Doing.RangeX, t.Doing.RangeY), true
	case kind.Spring:
		return g.thrownBy(t, box), true
	case kind.Conveyor, kind.Wind:
		return box, true
	case kind.Block:
		return box, t.Doing.Carrier >= 0
	}
	if t.Doing.Way != nil {
		box = alongWay(box, t.Doing.Way)
	}
	return box, slices.Contains(still, t.Acts)
}

// stays reports whether a thing that does not move the hero stays where it is.
func (t *Thing) stays() bool {
	return !(t.Doing.Goes && t.Acts != kind.Hero && t.Doing.Habit != Stands && t.Doing.Habit != LooksAround) && t.Doing.Way == nil && t.Doing.Carrier < 0
}

func grown(b Box, x, y int64) Box {
	return Box{Left: b.Left - x, Top: b.Top - y, Right: b.Right + x, Bottom: b.Bottom + y}
}

// ahead is a box as well as what lies that way of it, as far as something goes or reaches.
func ahead(b Box, f document.Facing, d *Doing) Box {
	switch f {
	case document.Up:
		b.Top -= d.RangeY
	case document.Right:
		b.Right += d.RangeX
	case document.Left:
		b.Left -= d.RangeX
	default:
		b.Bottom += d.RangeY
	}
	return b
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

// Quick is how many times as fast as it runs somebody is thrown along the ground.
const Quick = 3

// thrownBy is where somebody rises whom a spring throws up. One that throws aside throws no higher than a jump is.
func (g *Ground) thrownBy(t *Thing, box Box) Box {
	if _, dy := t.Facing.Step(); dy == 0 {
		return box
	}
	w := g.stage.Gait(g, None)
	speed := JumpSpeed(t.Doing.RangeY, w.Gravity)
	ticks := speed/max(1, w.Gravity) + 2
	return Box{Left: box.Left - ticks*g.fastest(), Right: box.Right + ticks*g.fastest(), Top: box.Top - Rise(speed, w.Gravity), Bottom: box.Bottom}
}

// walkedBy is where somebody comes who goes to and fro on the level ground of whole cells below it, as far as it goes at the most and that
// reaches; not ok where it stands on none, or rules lay and lift some of it.
func (g *Ground) walkedBy(t *Thing, laid marks) (Box, bool) {
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
	ok := !laid.has(from.X-g.Bounds.X-1, from.Y-g.Bounds.Y, to.X-g.Bounds.X+1, feet-g.Bounds.Y)
	g.Segments(grown(out, int64(g.CellWidth)*Unit, int64(g.CellHeight)*Unit), func(*Segment) bool { ok = false; return false })
	g.Near(grown(out, int64(g.CellWidth)*Unit, int64(g.CellHeight)*Unit), func(_ Ref, o *Thing) { ok = ok && !o.Solid })
	return out, ok
}
