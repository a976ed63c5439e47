package document

import (
	"azzel/core/cells"
	"fmt"
	"slices"
)

// Zone is a named sort of ground that is painted on the grid of a layer of zones.
type Zone struct {
	ID    ID     `json:"id"`
	Name  string `json:"name"`
	Order int    `json:"order"`
	// Number is what cells call the zone by: 1 to 4095, given by the server.
	Number int `json:"number"`
	// Is says what the zone does: one of ZoneWords.
	Is string `json:"is"`
	// Hatch and Colour tell zones apart on the map.
	Hatch  string `json:"hatch"`
	Colour string `json:"colour"`
	// Properties are the designer's own; of a zone their defaults are their values.
	Properties []Property `json:"properties"`
}

// What zones do.
const (
	ZoneWalkable  = "walkable"
	ZoneBlocked   = "blocked"
	ZoneWater     = "water"
	ZoneLadder    = "ladder"
	ZoneHazard    = "hazard"
	ZoneBuildable = "buildable"
	ZoneOwn       = "own" // only a name that rules and people use
)

// ZoneWords lists what zones do, in the order in which they are offered, each
// ZoneWord is what a zone can be, with how it is first drawn.
type ZoneWord struct {
	Is     string `json:"is"`
	Help   string `json:"help"`
	Hatch  string `json:"hatch"`
	Colour string `json:"colour"`
}

// with the hatch and the colour that a new zone of it gets.
var ZoneWords = []ZoneWord{
	{ZoneWalkable, "the hero can walk here, whatever the tiles say", "dots", "#3d693b"},
	{ZoneBlocked, "stops the hero", "crosses", "#a63d27"},
	{ZoneWater, "water", "waves", "#2f6f9e"},
	{ZoneLadder, "can be climbed", "rungs", "#855300"},
	{ZoneHazard, "hurts", "teeth", "#b0226a"},
	{ZoneBuildable, "something can be built here", "corners", "#5c4a9e"},
	{ZoneOwn, "a name of your own", "slants", "#33509e"},
}

// Hatches lists the hatches.
var Hatches = []string{"dots", "crosses", "waves", "rungs", "teeth", "corners", "slants", "rings"}

// MaxZones limits the zones of a project.
const MaxZones = 500

// Check finds what is wrong with a zone.
func (z *Zone) Check() error {
	known := false
	for _, w := range ZoneWords {
		known = known || w.Is == z.Is
	}
	switch {
	case !known:
		return fmt.Errorf("there is no zone that is “%.40s”", z.Is)
	case !slices.Contains(Hatches, z.Hatch):
		return fmt.Errorf("there is no hatch called “%.40s”", z.Hatch)
	}
	return first(checkID("the zone", z.ID), checkName(z.Name), checkOrder(z.Order), checkColour(z.Colour),
		checkRange("the zone's number", z.Number, 1, cells.MaxTileset),
		checkProperties(z.Properties))
}

func checkColour(c string) error {
	ok := len(c) == 7 && c[0] == '#'
	for i := 1; ok && i < 7; i++ {
		ok = c[i] >= '0' && c[i] <= '9' || c[i] >= 'a' && c[i] <= 'f'
	}
	if !ok {
		return fmt.Errorf("a colour is written #rrggbb")
	}
	return nil
}
