package document

import (
	"fmt"
	"strings"
	"unicode/utf8"
)

// TileInfo is what is set up for one tile of a tileset, besides that all of it is solid.
type TileInfo struct {
	Tile int `json:"tile"`
	// Odds is its weight when a scatter draws among tiles; 0 is never drawn.
	Odds int `json:"odds"`
	// Partner is the tile that shows it flipped left–right, −1 where there is none.
	Partner int `json:"partner"`
	// Part names the part that stops the hero where it is not all: one of Parts, or PartOwn.
	Part string `json:"part"`
	// Own is the outline of an own part, in pixels of the tile.
	Own Outlines `json:"own"`
	// OneWay is the side from which alone the tile can be entered no further; empty for none.
	OneWay Facing `json:"oneWay"`
	// Is says what the ground is: one of Grounds, or empty.
	Is string `json:"is"`
	// Zone is the zone that the tile counts as wherever it lies; empty for none.
	Zone ID       `json:"zone"`
	Tags []string `json:"tags"`
	// Frames animate the tile; they repeat for ever.
	Frames []Frame `json:"frames"`
	// Values are the tileset's properties where they differ from their defaults.
	Values []Value `json:"values"`
}

// Frame is a tile that is shown for a time, in milliseconds.
type Frame struct {
	Tile int `json:"tile"`
	Ms   int `json:"ms"`
}

// What the ground of a tile can be.
const (
	GroundLadder = "ladder"
	GroundWater  = "water"
	GroundHazard = "hazard"
)

// Grounds lists what the ground of a tile can be, besides nothing special.
var Grounds = []string{GroundLadder, GroundWater, GroundHazard}

// Limits of what is set up for a tile.
const (
	MaxOdds   = 10_000
	MaxFrames = 64
	MaxTags   = 16
	MaxTag    = 40 // characters
	MinFrame  = 10 // milliseconds
	MaxFrame  = 60_000
)

// NewTileInfo is what holds for a tile for which nothing was set up.
func NewTileInfo(tile int) TileInfo {
	return TileInfo{Tile: tile, Odds: 1, Partner: -1, Own: Outlines{}, Tags: []string{}, Frames: []Frame{}, Values: []Value{}}
}

// Bare reports whether nothing is set up.
func (i *TileInfo) Bare() bool {
	return i.Odds == 1 && i.Partner < 0 && i.Part == "" && i.OneWay == "" && i.Is == "" && i.Zone == "" && len(i.Tags)+len(i.Frames)+len(i.Values) == 0
}

// Length is how long all frames take together, in milliseconds.
func (i *TileInfo) Length() int {
	n := 0
	for _, f := range i.Frames {
		n += f.Ms
	}
	return n
}

func (i *TileInfo) check(tiles int, c Cut) error {
	what := fmt.Sprintf("tile %d", i.Tile)
	if err := first(checkRange("a tile", i.Tile, 0, tiles-1), checkRange("the odds of "+what, i.Odds, 0, MaxOdds),
		checkRange("the partner of "+what, i.Partner, -1, tiles-1)); err != nil {
		return err
	}
	switch {
	case i.Part == PartOwn && len(i.Own) == 0 || len(i.Own) > MaxOutlines:
		return fmt.Errorf("an own solid part has 1 to %d outlines", MaxOutlines)
	case i.Part != "" && i.Part != PartOwn && PartOf(i.Part) == nil:
		return fmt.Errorf("there is no solid part called “%.40s”", i.Part)
	case i.OneWay != "" && i.OneWay.Index() < 0:
		return fmt.Errorf("a tile is one-way from up, right, down or left")
	case i.Is != "" && i.Is != GroundLadder && i.Is != GroundWater && i.Is != GroundHazard:
		return fmt.Errorf("the ground of a tile is ladder, water, hazard or nothing of these")
	case i.Zone != "" && !i.Zone.Valid():
		return fmt.Errorf("the zone of %s is not valid", what)
	case len(i.Tags) > MaxTags || len(i.Frames) > MaxFrames:
		return fmt.Errorf("a tile has at most %d tags and %d frames", MaxTags, MaxFrames)
	case len(i.Frames) == 1:
		return fmt.Errorf("an animation has at least 2 frames: add one, or take this one away")
	}
	for _, o := range i.Own {
		if err := o.check(); err != nil {
			return err
		}
		for _, p := range o {
			if p.X < 0 || p.Y < 0 || p.X > c.CellWidth || p.Y > c.CellHeight {
				return fmt.Errorf("a corner of the solid part of %s lies outside the tile", what)
			}
		}
	}
	for _, t := range i.Tags {
		if strings.TrimSpace(t) == "" || utf8.RuneCountInString(t) > MaxTag {
			return fmt.Errorf("a tag has 1 to %d characters", MaxTag)
		}
	}
	for _, f := range i.Frames {
		if err := first(checkRange("a frame's tile", f.Tile, 0, tiles-1), checkRange("a frame's time in milliseconds", f.Ms, MinFrame, MaxFrame)); err != nil {
			return err
		}
	}
	return nil
}

// checkInfos finds what is wrong with what is set up for a tileset's tiles.
func (t *Tileset) checkInfos() error {
	columns, rows := t.Cut.Tiles(t.Width, t.Height)
	last := -1
	for k := range t.Infos {
		i := &t.Infos[k]
		if i.Tile <= last {
			return fmt.Errorf("tiles must be set up once each, ascending")
		}
		last = i.Tile
		if err := first(i.check(columns*rows, t.Cut), checkValues(i.Values, t.Properties)); err != nil {
			return err
		}
	}
	return checkProperties(t.Properties)
}
