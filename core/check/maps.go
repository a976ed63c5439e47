package check

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/rules"
	"fmt"
	"slices"
	"strings"
)

// lies are the kinds that are to be come to, and so lie on free ground.
var lies = map[string]bool{kind.Spawn: true, kind.Collectible: true, kind.Key: true, kind.Item: true, kind.Checkpoint: true, kind.Goal: true, kind.Spring: true}

// maxAlike is how many findings of a sort are told of a map one by one.
const maxAlike = 40

// onMap finds what is wrong on a map alone; solid is which of its cells are, as walls gives them.
func onMap(d *document.Document, solids *document.Solids, solid []bool, m *document.Map, say func(Finding)) {
	if m.Template {
		return
	}
	counts := map[string]int{}
	of := func(what string, e *document.Entity, text string, args ...any) {
		if counts[what]++; counts[what] <= maxAlike {
			say(Finding{What: what, Of: document.TypeEntity, Map: m.ID, ID: e.ID, Text: fmt.Sprintf(text, args...)})
		}
	}
	at := func(what string, p grid.Point, text string, args ...any) {
		say(Finding{What: what, Of: document.TypeMap, Map: m.ID, ID: m.ID, At: &p, Text: fmt.Sprintf(text, args...)})
	}
	things(d, solids, m, of)
	view := inView(d, solid, m)
	ofView(d, solids, view, m, of)
	blinks(d, m, of)
	for _, s := range Sorts {
		if n := counts[s.What] - maxAlike; n > 0 {
			say(Finding{What: s.What, Of: document.TypeMap, Map: m.ID, ID: m.ID, more: true, Text: fmt.Sprintf("%d more on %s, which are told when some of these are mended.", n, m.Name)})
		}
	}
	ground(d, solids, solid, view, m, at)
	stars(d, m, func(what, text string, args ...any) {
		say(Finding{What: what, Of: document.TypeMap, Map: m.ID, ID: m.ID, Text: fmt.Sprintf(text, args...)})
	})
	// on a map that nobody has begun to paint no layer is too many
	begun := slices.ContainsFunc(m.LayersInOrder(), func(l *document.Layer) bool { return !l.Cells.Empty() })
	shut(solid, m, at)
	ofTeams(d, m, func(what, text string, args ...any) {
		say(Finding{What: what, Of: document.TypeMap, Map: m.ID, ID: m.ID, Text: fmt.Sprintf(text, args...)})
	})
	for _, l := range m.LayersInOrder() {
		if n, first := lone(l, m.Bounds); n > 0 {
			say(Finding{What: LoneCell, Of: document.TypeLayer, Map: m.ID, ID: l.ID, At: &first, Text: fmt.Sprintf("%s of a material on the layer %s of %s, with none of it beside.", loneAre(n), l.Name, m.Name)})
		}
		if l.Kind == document.LayerTiles && !l.Absent && l.Cells.Empty() && begun {
			say(Finding{What: EmptyLayer, Of: document.TypeLayer, Map: m.ID, ID: l.ID, Text: fmt.Sprintf("Nothing is painted on the layer %s of %s.", l.Name, m.Name)})
		}
	}
}

// stars finds thresholds of stars that nobody can earn in their order: three are to be harder than two, and a limit not harder still.
func stars(d *document.Document, m *document.Map, say func(what, text string, args ...any)) {
	by := d.MapValue(m, kind.MapStars).Word()
	number := func(key string) int64 { return d.MapValue(m, key).Thousandths() / 1000 }
	two, three, moves := number(kind.MapTwoStars), number(kind.MapThreeStars), number(kind.MapMoveLimit)
	switch {
	case by == kind.StarsNot:
	case by == kind.StarsCollected && three < two, by != kind.StarsCollected && three > two:
		say(StarsOrder, "On %s three stars are easier than two: %d and %d.", m.Name, three, two)
	case by == kind.StarsMoves && moves > 0 && three > moves:
		say(FewMoves, "On %s three stars are for %d moves, and it is lost after %d.", m.Name, three, moves)
	}
}

// spot is what things stand on each other by.
type spot struct {
	kind string
	box  grid.Rect
}

func things(d *document.Document, solids *document.Solids, m *document.Map, of func(what string, e *document.Entity, text string, args ...any)) {
	side := d.FromSide(m)
	laid := does(d, rules.WordLay, rules.WordLift) // what is solid may not stay so
	seen := map[spot]*document.Entity{}
	hazards := []*document.Entity{}
	for _, e := range m.Entities.All() {
		if d.Acts(e) == kind.Hazard && !e.Disabled {
			hazards = append(hazards, e)
		}
	}
	for _, e := range document.InRank(m.Entities.All()) {
		acts, box := d.Acts(e), e.Box(m)
		if box.Intersect(m.Bounds).Empty() {
			of(Outside, e, "%s lies outside %s.", e.Name, m.Name)
			continue
		}
		s := spot{e.Kind, grid.Rect{X: e.X, Y: e.Y, W: e.W, H: e.H}}
		if other := seen[s]; other != nil && acts != kind.GroundLine && acts != kind.Path {
			of(OnEachOther, e, "%s lies on %s, which is the same and as large.", e.Name, other.Name)
		}
		seen[s] = e
		if lies[acts] && !someFree(solids, m, box) {
			of(InWall, e, "%s on %s lies in something solid: nobody can come to it.", e.Name, m.Name)
			continue
		}
		if acts == kind.Door && !laid && !someFree(solids, m, box) {
			of(DoorInWall, e, "%s on %s stands on something solid: nobody gets through it, open as it may be.", e.Name, m.Name)
		}
		if acts != kind.Spawn && acts != kind.Hero {
			continue
		}
		p := grid.Point{X: box.X + (box.W-1)/2, Y: box.Y + box.H - 1}
		_, hurts := solids.Here(m, p)
		for _, h := range hazards {
			hurts = hurts || !h.Box(m).Intersect(box).Empty()
		}
		if hurts {
			of(SpawnHurts, e, "Whoever begins at %s on %s is hurt at once.", e.Name, m.Name)
		}
		if side && !grounded(d, solids, m, p) {
			of(NoGround, e, "There is no ground below %s on %s: whoever begins there falls out of the map.", e.Name, m.Name)
		}
	}
}

// someFree reports whether some cell of a box is free.
func someFree(solids *document.Solids, m *document.Map, box grid.Rect) bool {
	box = box.Intersect(m.Bounds)
	for y := box.Y; y < box.Y+box.H; y++ {
		for x := box.X; x < box.X+box.W; x++ {
			if !solids.At(m, grid.Point{X: x, Y: y}) {
				return true
			}
		}
	}
	return false
}

// grounded reports whether something below a cell holds whoever falls from it: ground, a ladder, water, something that is stood on,
// or an edge of the map that does.
func grounded(d *document.Document, solids *document.Solids, m *document.Map, p grid.Point) bool {
	if m.Side(document.Down) != document.SideFall {
		return true
	}
	for ; p.Y < m.Bounds.Y+m.Bounds.H; p.Y++ {
		ladder, _ := solids.Here(m, p)
		if ladder || solids.At(m, p) || solids.Water(m, p) || solids.Broken(m, p) {
			return true
		}
	}
	return slices.ContainsFunc(m.Entities.All(), func(e *document.Entity) bool {
		k := d.Kind(document.ID(e.Kind))
		box := e.Box(m)
		return k != nil && (k.Solid || d.Acts(e) == kind.GroundLine || d.Acts(e) == kind.Water || d.Acts(e) == kind.Ladder || d.Acts(e) == kind.Platform) && p.X >= box.X-1 && p.X <= box.X+box.W
	})
}

// ground finds what is wrong with the cells of a map.
func ground(d *document.Document, solids *document.Solids, solid, view []bool, m *document.Map, at func(what string, p grid.Point, text string, args ...any)) {
	var painted []*document.Layer
	begins := slices.ContainsFunc(m.Entities.All(), func(e *document.Entity) bool {
		a := d.Acts(e)
		return a == kind.Spawn || a == kind.Hero || a == kind.Arrival
	})
	numbers := map[int]bool{}
	for _, s := range d.Tilesets.All() {
		numbers[s.Number] = true
	}
	for _, l := range m.LayersInOrder() {
		if l.Kind == document.LayerTiles && !l.Cells.Empty() {
			painted = append(painted, l)
		}
	}
	if len(painted) == 0 {
		return
	}
	if begins && !solids.Any(m) {
		at(NothingSolid, grid.Point{X: m.Bounds.X, Y: m.Bounds.Y}, "Nothing on %s is solid: say on the sheet which tiles are, or paint a zone that blocks.", m.Name)
	}
	covered := &grid.Region{}
	for _, l := range painted {
		gone, first := 0, grid.Point{}
		covered.Union(l.Cells.Region(m.Bounds, func(c cells.Cell) bool { return c != 0 }))
		lost := l.Cells.Region(m.Bounds, func(c cells.Cell) bool {
			return c != 0 && !c.IsMaterial() && !numbers[c.Tileset()]
		})
		if gone = lost.Count(); gone > 0 {
			s := lost.Spans()[0]
			first = grid.Point{X: s.X0, Y: s.Y}
			at(TilesGone, first, "%s of the layer %s on %s show tiles of a tileset that is gone.", cellsOf(gone), l.Name, m.Name)
		}
	}
	switch bare := m.Bounds.W*m.Bounds.H - covered.Count(); {
	case bare > 0 && view != nil:
		if bare, first := bareInView(covered, view, m.Bounds); bare > 0 {
			at(Unpainted, first, "%s of %s that the camera shows are not painted on any layer.", cellsOf(bare), m.Name)
		}
	case bare > 0:
		at(Unpainted, firstBare(covered, m.Bounds), "%s of %s are not painted on any layer.", cellsOf(bare), m.Name)
	}
	gaps, first := diagonals(solid, m.Bounds)
	if gaps > 0 && !d.FromSide(m) {
		at(DiagonalGap, first, "In %s on %s walls meet at a corner only: it looks shut, and is where one walks aslant.", strings.ToLower(placesOf(gaps)), m.Name)
	}
}

func cellsOf(n int) string {
	if n == 1 {
		return "One cell"
	}
	return fmt.Sprintf("%d cells", n)
}

func placesOf(n int) string {
	if n == 1 {
		return "One place"
	}
	return fmt.Sprintf("%d places", n)
}

// firstBare is the first cell of a rectangle that is not in a region.
func firstBare(r *grid.Region, in grid.Rect) grid.Point {
	for y := in.Y; y < in.Y+in.H; y++ {
		for x := in.X; x < in.X+in.W; x++ {
			if p := (grid.Point{X: x, Y: y}); !r.Has(p) {
				return p
			}
		}
	}
	return grid.Point{X: in.X, Y: in.Y}
}

// bareInView counts the cells in view that are not in a region.
func bareInView(r *grid.Region, view []bool, b grid.Rect) (n int, first grid.Point) {
	for i, painted := range flat(r, b) {
		if view[i] && !painted {
			if n++; n == 1 {
				first = grid.Point{X: b.X + i%b.W, Y: b.Y + i/b.W}
			}
		}
	}
	return n, first
}

// diagonals counts the corners at which two solid cells meet while the two others are free.
func diagonals(solid []bool, b grid.Rect) (n int, first grid.Point) {
	if solid == nil {
		return 0, first
	}
	for y := range b.H - 1 {
		above, below := solid[y*b.W:(y+1)*b.W], solid[(y+1)*b.W:(y+2)*b.W]
		for x := range b.W - 1 {
			if a := above[x]; a == below[x+1] && above[x+1] == below[x] && a != above[x+1] {
				if n++; n == 1 {
					first = grid.Point{X: b.X + x, Y: b.Y + y}
				}
			}
		}
	}
	return n, first
}
