package document

import (
	"azzel/core/grid"
	"fmt"
	"slices"
)

// Names of the settings of maps that the core itself asks for.
const (
	MapView    = "seen"
	MapGravity = "gravity"
	MapJump    = "jump height"
	MapRun     = "run speed"
)

// Views of a map: what MapView can be.
const (
	SeenFromAbove = "from above"
	SeenFromSide  = "from the side"
)

// MapSettings lists what can be set of each map; the project sets their defaults.
var MapSettings = settings(
	choice(MapView, SeenFromAbove+", "+SeenFromSide, "Whether there is a down in which things fall"),
	number(MapGravity, "30", "cells/s²", 0, 500, "How fast falling grows, seen from the side"),
	number(MapJump, "3", "cells", 0, 50, "How high the hero jumps"),
	number(MapRun, "5", "cells/s", 1, 50, "How fast the hero runs"),
	colour("background", "#1e2a2e", "What is seen where nothing is painted"),
	number("screen width", "0", "cells", 0, MaxSide, "What the player sees at once; 0 is the project's"),
	number("screen height", "0", "cells", 0, MaxSide, "What the player sees at once; 0 is the project's"),
	choice("camera", "follows the hero, shows all of the map, screen by screen", "How the view moves"),
	choice("camera ends", "at the map's edges, nowhere", "How far the view goes"),
	number("camera right by", "0", "cells", -100, 100, "How far the view is set off from the hero"),
	number("camera down by", "0", "cells", -100, 100, "How far the view is set off from the hero"),
	number("darkness", "0", "percent", 0, 100, "How dark it is where no light shines"),
	number("sight", "0", "cells", 0, 200, "How far the hero sees; 0 is everything"),
	yesno("sight remembers", "yes", "What was seen once stays on view, dimmed"),
	choice("air", "plain, water, slow fall", "What one moves in"),
	choice("wind", "none, up, right, down, left", "Where it blows"),
	number("wind force", "3", "cells/s", 0, 50, "How strongly it blows"),
	file("sound", "What is heard all the time"),
	choice("when it is entered again", "remembers what happened, starts afresh", "What becomes of it meanwhile"),
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

// MapSettingsOf lists the built-in settings of maps and then the project's own.
func (p *Project) MapSettingsOf() []Setting {
	return append(slices.Clone(MapSettings), p.MapProperties...)
}

func (p *Project) mapSetting(name string) *Setting {
	for _, all := range [][]Setting{MapSettings, p.MapProperties} {
		for i := range all {
			if all[i].Name == name {
				return &all[i]
			}
		}
	}
	return nil
}

// MapValue is what a setting of a map is: its own value, the project's, or the default.
func (d *Document) MapValue(m *Map, name string) string {
	set := d.Project.mapSetting(name)
	if set == nil {
		return ""
	}
	for _, values := range [][]Value{m.Values, d.Project.MapValues} {
		for _, v := range values {
			if v.Name == name && set.Fits(v.Value) == nil {
				return v.Value
			}
		}
	}
	return set.Default
}

// MapThousandths is a setting of a map that is a number, in thousandths.
func (d *Document) MapThousandths(m *Map, name string) int64 {
	n, _ := thousandths(d.MapValue(m, name))
	return n
}

// FromSide reports whether a map is seen from the side.
func (d *Document) FromSide(m *Map) bool { return d.MapValue(m, MapView) == SeenFromSide }

// checkPlainValues finds values that are too long or set twice, whatever they are of.
func checkPlainValues(values []Value) error {
	if len(values) > MaxProperties {
		return fmt.Errorf("at most %d values are possible", MaxProperties)
	}
	for i, v := range values {
		if err := first(checkName(v.Name), checkLine(v.Name, v.Value)); err != nil {
			return err
		}
		if slices.ContainsFunc(values[:i], func(o Value) bool { return o.Name == v.Name }) {
			return fmt.Errorf("%s is set twice", v.Name)
		}
	}
	return nil
}

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
