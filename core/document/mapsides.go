package document

import (
	"azzel/core/grid"
	"fmt"
	"slices"
)

// What the edge of a map is where no seam leads on.
const (
	SideWall = "wall" // stops
	SideFall = "fall" // whoever goes over it falls and comes back
	SideWrap = "wrap" // one comes in again on the other side
	SideExit = "exit" // a passage leads on from it
)

// SideWords lists what an edge can be.
var SideWords = []string{SideWall, SideFall, SideWrap, SideExit}

// Side is what the edge of the map on a side is.
func (m *Map) Side(f Facing) string {
	if i := f.Index(); i >= 0 && m.Sides[i] != "" {
		return m.Sides[i]
	}
	return SideWall
}

// SeamRule is what a designer decided about the seam to another map.
type SeamRule struct {
	// With is the other map; the rule stands on that of the two with the smaller id.
	With   ID     `json:"with"`
	Closed bool   `json:"closed,omitempty"`
	If     []Gate `json:"if,omitempty"`
}

// MaxSeams limits the rules for seams of a map.
const MaxSeams = 200

func (m *Map) checkMore() error {
	for _, s := range m.Sides {
		if s != "" && !slices.Contains(SideWords, s) {
			return fmt.Errorf("the edge of a map is a wall, a fall, a wrap or an exit")
		}
	}
	if len(m.Seams) > MaxSeams {
		return fmt.Errorf("a map has rules for at most %d seams", MaxSeams)
	}
	for i, s := range m.Seams {
		if err := first(checkID("the map beyond the seam", s.With), checkGates(s.If)); err != nil {
			return err
		}
		if slices.ContainsFunc(m.Seams[:i], func(o SeamRule) bool { return o.With == s.With }) {
			return fmt.Errorf("a seam has one rule")
		}
	}
	if m.Folder != "" {
		if err := checkName(m.Folder); err != nil {
			return err
		}
	}
	if c := m.Chart; c != nil {
		if err := first(checkRange("the place on the chart", c.X, -maxChart, maxChart), checkRange("the place on the chart", c.Y, -maxChart, maxChart)); err != nil {
			return err
		}
	}
	return first(checkWords("tags", m.Tags), checkPlainValues(m.Values))
}

const maxChart = 1 << 30

// ChartSize is how large a map lies on the chart, in pixels.
func (m *Map) ChartSize() grid.Point {
	return grid.Point{X: m.Bounds.W * m.CellWidth, Y: m.Bounds.H * m.CellHeight}
}
