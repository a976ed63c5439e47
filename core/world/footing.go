package world

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"slices"
)

// Footing is where a hero can stand on a map that is seen from the side, and how high and far it comes from there.
type Footing struct {
	// Of is of each cell, by rows, one more than the number of the run whose middle can be in it, Odd where it could rest somehow, on
	// what is no whole cell or anywhere in it, 0 where it can only be in the air.
	Of   []int32
	Runs []Run
	// Best is how high the feet are at the most so many ticks after the ground was left, in 1/256 pixels: first more, then less.
	Best []int64
	// Top is the tick of the greatest height.
	Top int
	// Pace is how far it goes in a tick, Late how many ticks after the ground it can still jump.
	Pace, Late int64
	// W, H and Low are its box, and how high that is when it ducks.
	W, H, Low int64
}

// Odd is a cell in which a hero could rest somehow.
const Odd int32 = -1

// Run is level ground of whole cells: the middle of a hero is between two places, which are no part of it, with its feet at a height.
type Run struct {
	Left, Right, Feet int64
	// Row is the row of cells that its middle is in, From and To their columns, the last one included.
	Row, From, To int
}

// longestFall is how many ticks of a fall are looked at.
const longestFall = 900

// still are the kinds that neither carry, throw nor strike from afar, nor change how somebody falls.
var still = []string{kind.Hero, kind.Spawn, kind.Arrival, kind.Exit, kind.Collectible, kind.Switch, kind.Door, kind.Decoration, kind.Path, kind.Sign, kind.Character, kind.Checkpoint,
	kind.Goal, kind.Hazard, kind.Light, kind.Ladder, kind.Water, kind.Key, kind.Item, kind.Container, kind.Breakable, kind.Emitter, kind.Sensor, kind.Timer, kind.Sound}

// Footing is where a hero can stand; nil where it may be moved by anything but its own walking and jumping, and gravity: then it
// can be anywhere.
func (g *Ground) Footing() *Footing { return g.footingAs(0) }

// AnyFooting is the same however the layers may lie that rules lay and lift.
func (g *Ground) AnyFooting() *Footing { return g.footingAs(1) }

func (g *Ground) footingAs(laid int) *Footing {
	if !g.footed[laid] {
		g.footed[laid] = true
		if g.falls() {
			g.footing[laid] = g.findFooting(laid > 0)
		}
	}
	return g.footing[laid]
}

// falls reports whether nothing but gravity and its own legs moves the hero on a map that is seen from the side, but where what moves it comes to.
func (g *Ground) falls() bool {
	s := g.stage
	if !g.Side || !g.onLegs() {
		return false
	}
	if _, ok := g.sweeps(); !ok {
		return false
	}
	w := s.Gait(g, None)
	if w.Gravity <= 0 || w.Wet || w.WindY < 0 {
		return false
	}
	for _, seam := range s.Chart.SeamsOf(g.ID) {
		for _, id := range []document.ID{seam.A, seam.B} {
			if o := s.Grounds[s.MapOf(id)]; !o.Side || *s.Gait(o, None) != *w || o.fastest() != g.fastest() {
				return false // who comes from there may be faster
			}
		}
	}
	return true
}

// fastest is how far the hero comes to a side in a tick at the most on a map that is seen from the side, where nothing carries it.
func (g *Ground) fastest() int64 {
	w := g.stage.Gait(g, None)
	pace := w.RunX
	for _, r := range g.Springs() {
		if dx, _ := g.stage.Thing(r).Facing.Step(); dx != 0 {
			pace = Quick * w.RunX
		}
	}
	return pace + max(w.WindX, -w.WindX)
}

// Walked reports whether nothing but its own legs, gravity, and rules and ways that send it somewhere move the hero on a map, all of
// them alike.
func (g *Ground) Walked() bool {
	if w := g.stage.Gait(g, None); !g.onLegs() || !g.Fixed() || g.HasLines() || w.WindX != 0 || w.WindY != 0 {
		return false
	}
	for r := g.First; r < g.After; r++ {
		t := g.stage.Thing(r)
		if !slices.Contains(still, t.Acts) || !t.stays() || t.Area != nil && (t.Area.FlowX != 0 || t.Area.FlowY != 0) {
			return false
		}
	}
	return true
}

// onLegs is Walked for all but the things of the map.
func (g *Ground) onLegs() bool {
	s := g.stage
	if len(s.Heroes) > 1 || g.moved() {
		return false
	}
	w := s.Gait(g, None)
	for _, r := range s.Heroes {
		if *s.Gait(g, r) != *w {
			return false
		}
	}
	return true
}

func (g *Ground) findFooting(anyhow bool) *Footing {
	gait := g.stage.Gait(g, None)
	f := &Footing{Of: make([]int32, g.Bounds.W*g.Bounds.H), Pace: g.fastest(), Late: int64(gait.Grace), W: gait.W, H: gait.H, Low: gait.Low}
	f.rises(gait, int64(g.Bounds.H+2)*int64(g.CellHeight)*Unit)
	b := g.Bounds
	is := func(x, y int) Terrain {
		p := grid.Point{X: b.X + x, Y: b.Y + y}
		switch {
		case y >= b.H && g.Map.Side(document.Down) != document.SideFall:
			return Whole // one stands at the end of the map
		case g.Bounds.Contains(p):
			return g.At(p)
		}
		return 0
	}
	laid := g.marks()
	if anyhow {
		laid.sheets()
	}
	odd := g.oddCells(laid)
	if gait.Wall { // one jumps from whatever one is beside
		for i := range odd {
			x, y := i%b.W, i/b.W
			odd[i] = odd[i] || x == 0 || x == b.W-1 || (is(x-1, y)|is(x+1, y)|is(x-1, y-1)|is(x+1, y-1)|is(x-1, y+1)|is(x+1, y+1))&Whole != 0
		}
	}
	cw, ch := g.Cell()
	for y := range b.H {
		for x := 0; x < b.W; x++ {
			i := y*b.W + x
			var beside, below, around Terrain
			for dx := -1; dx <= 1; dx++ {
				beside |= is(x+dx, y)
				if is(x+dx, y)&Whole == 0 { // it does not reach over what stands beside a wall
					below |= is(x+dx, y+1)
				}
				around |= is(x+dx, y-1)
			}
			around |= beside | below
			switch {
			case is(x, y)&Whole != 0 && !laid.in[i]:
			case odd[i] || (beside|below)&(Broken|Ladder|Water) != 0 || around&Hazard != 0:
				f.Of[i] = Odd
			case below&Whole != 0:
				f.firm(g, x, y, is, cw, ch)
			}
		}
	}
	return f
}

// firm puts a cell into the run beside it, or begins one.
func (f *Footing) firm(g *Ground, x, y int, is func(x, y int) Terrain, cw, ch int64) {
	b := g.Bounds
	i := y*b.W + x
	left, right := int64(b.X+x)*cw, int64(b.X+x+1)*cw
	if is(x, y+1)&Whole == 0 { // its side reaches over that of what it stands on
		from, to := left, right
		if is(x-1, y+1)&Whole == 0 || is(x-1, y)&Whole != 0 {
			from = right - f.W/2
		}
		if is(x+1, y+1)&Whole == 0 || is(x+1, y)&Whole != 0 {
			to = left + f.W/2
		}
		left, right = from, to
	}
	if n := len(f.Runs); x > 0 && n > 0 && f.Of[i-1] == int32(n) && f.Runs[n-1].Right >= left {
		f.Of[i] = int32(n)
		f.Runs[n-1].Right, f.Runs[n-1].To = right, x
		return
	}
	f.Runs = append(f.Runs, Run{Left: left, Right: right, Feet: int64(b.Y+y+1) * ch, Row: y, From: x, To: x})
	f.Of[i] = int32(len(f.Runs))
}

// oddCells are those at things that one could stand on, hold on to or be thrown by, and at edges that lead on.
func (g *Ground) oddCells(laid marks) []bool {
	b := g.Bounds
	out := make([]bool, b.W*b.H)
	mark := func(x0, y0, x1, y1 int) {
		for y := max(0, y0); y <= min(y1, b.H-1); y++ {
			for x := max(0, x0); x <= min(x1, b.W-1); x++ {
				out[y*b.W+x] = true
			}
		}
	}
	for r := g.First; r < g.After; r++ {
		t := g.stage.Thing(r)
		if !t.Solid && t.Area == nil {
			continue
		}
		box := reach(t)
		from, to := g.CellAt(box.Left, box.Top), g.CellAt(box.Right-1, box.Bottom-1)
		mark(from.X-b.X-2, from.Y-b.Y-2, to.X-b.X+2, to.Y-b.Y+2)
	}
	sweeps, _ := g.sweeps()
	for _, box := range sweeps {
		from, to := g.CellAt(box.Left, box.Top), g.CellAt(box.Right-1, box.Bottom-1)
		mark(from.X-b.X-2, from.Y-b.Y-2, to.X-b.X+2, to.Y-b.Y+2)
	}
	lines := g.marks().lines()
	for i := range out {
		if lines.in[i] {
			mark(i%b.W-1, i/b.W-1, i%b.W+1, i/b.W+1)
		}
		if laid.in[i] { // what one stands on there, and beside, is otherwise later
			mark(i%b.W-2, i/b.W-2, i%b.W+2, i/b.W+2)
		}
	}
	leads := len(g.stage.Chart.SeamsOf(g.ID)) > 0
	for _, way := range document.Facings {
		if side := g.Map.Side(way); !leads && side != document.SideWrap {
			continue
		}
		switch way {
		case document.Up:
			mark(0, 0, b.W, 0)
		case document.Down:
			mark(0, b.H-1, b.W, b.H)
		case document.Left:
			mark(0, 0, 0, b.H)
		case document.Right:
			mark(b.W-1, 0, b.W, b.H)
		}
	}
	return out
}

// rises finds how high one is after so many ticks: nobody is higher who lets the key go, runs over an edge or comes against a ceiling.
func (f *Footing) rises(w *Gait, deep int64) {
	once := []int64{0}
	for at, speed := int64(0), -w.Jump; len(once) < longestFall && at > -deep; {
		if w.Slow && speed > 0 {
			speed = min(speed+max(1, w.Gravity/4), w.Fall/4)
		} else {
			speed = min(speed+w.Gravity, w.Fall)
		}
		at -= speed
		once = append(once, at)
	}
	f.Best = once
	if w.Double { // again at the best moment
		f.Best = slices.Clone(once)
		for t := range once {
			for s := range t + 1 {
				f.Best[t] = max(f.Best[t], once[s]+once[t-s])
			}
		}
	}
	for t, high := range f.Best {
		if high > f.Best[f.Top] {
			f.Top = t
		}
	}
}

// Far is how far one comes at the most until one is so much higher than the ground that was left; −1 is never so high.
func (f *Footing) Far(higher int64) int64 {
	if f.Best[f.Top] < higher {
		return -1
	}
	low, high := f.Top, len(f.Best)
	for low+1 < high {
		if mid := (low + high) / 2; f.Best[mid] >= higher {
			low = mid
		} else {
			high = mid
		}
	}
	if low == len(f.Best)-1 {
		low = 1 << 20 // whoever falls longer than was looked at
	}
	return f.Pace * (int64(low) + f.Late + 2)
}
