package author

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"errors"
	"fmt"
)

// LayExchanged makes a layer on which a tile stands in for another one wherever that lies on the uppermost layer that has it, in a
// selection of a map or in all of it. The layer is not there until a rule lays it, and counts in place of what lies below.
func LayExchanged(m *document.Map, region *grid.Region, swap Swap) (Change, error) {
	if swap.From == 0 || swap.To == 0 || !swap.From.Valid() || !swap.To.Valid() {
		return Change{}, errors.New("choose a tile that is exchanged and one that takes its place")
	}
	has := func(v cells.Cell) bool { return v != 0 && plain(v) == plain(swap.From) }
	var on *document.Layer
	var hit *grid.Region
	for _, l := range m.LayersInOrder() {
		if l.Kind != document.LayerTiles || l.Absent {
			continue
		}
		at := l.Cells.Region(l.Cells.Extent(), has)
		if region != nil {
			at.Intersect(region)
		}
		if at.Count() > 0 {
			on, hit = l, at
		}
	}
	if on == nil {
		return Change{}, errors.New("none of these tiles lies there")
	}
	next := *on
	at, order := orderAbove(m, on.ID)
	next.ID, next.Name, next.Order, next.Cells, next.Locked, next.Absent, next.Covers = document.NewID(), "Exchanged "+on.Name, at, cells.Plane{}, false, true, true
	c := changed(fmt.Sprintf("Layer %s for rules, %s exchanged", next.Name, cellsOf(hit.Count())), append(order, edit.Insert(edit.Ref{Type: edit.TypeLayer, Map: m.ID, ID: next.ID}, next))...)
	c.Made = next.ID
	c.Do = append(c.Do, putEverywhere(m, &next, hit, func(x, y int) cells.Cell {
		to := swap.To
		if v := on.Cells.At(x, y); !to.IsMaterial() && !v.IsMaterial() {
			to ^= v & cells.TurnBits
		}
		return to
	})...)
	return c, nil
}
