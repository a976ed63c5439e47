package world

import (
	"azzel/core/document"
	"azzel/core/id"
	"azzel/core/kind"
	"crypto/sha256"
	"encoding/base32"
	"fmt"
	"slices"
	"strings"
)

// Pool is one kind of which something is made: with which odds, or at which price, and the numbers of
// the things that wait to be. They are things like others that are not there until they are made.
type Pool struct {
	Odds  int
	First Ref
	Count int
}

const (
	// maxMade is how many one source keeps ready, maxMadeOnMap all of a map together.
	maxMade      = 500
	maxMadeOnMap = 4_000
	// keptMade is how many of something that is taken are made where no end is set.
	keptMade = 50
)

// takeMade adds what the sources, entries and buildable places of a map can make behind its other things.
func (c *compiler) takeMade(g *Ground) {
	room := maxMadeOnMap
	for r := g.First; r < g.After; r++ {
		t := &c.Things[r]
		key := "makes"
		if t.Acts == kind.Plot {
			key = "takes"
		} else if t.Acts != kind.Source && t.Acts != kind.LaneEntry {
			continue
		}
		shares := slices.DeleteFunc(c.Doc.Value(t.Entity, key).Shares(), func(o kind.Share) bool { return !kind.Makeable(c.Doc.Kind(document.ID(o.Of))) })
		var made []Pool
		for i, share := range shares {
			n := min(c.readyFor(t, c.Doc.Kind(document.ID(share.Of)), len(shares)), room)
			room -= n
			made = append(made, Pool{share.Odds, Ref(len(c.Things)), n})
			for k := range n {
				c.addMade(g, r, share.Of, i*maxMade+k)
			}
		}
		c.Things[r].Doing.Makes = made
	}
}

// readyFor is how many of a kind a thing keeps ready.
func (s *Stage) readyFor(t *Thing, k *kind.Kind, kinds int) int {
	d := &t.Doing
	n := int(d.AtOnce)
	for _, w := range d.Waves {
		n = max(n, w)
	}
	switch {
	case t.Acts == kind.Plot:
		return 1
	case k.Taken && d.InAll > 0:
		n = max(n, int(d.InAll))
	case k.Taken:
		n = max(n, keptMade)
	}
	return max(1, min(n, maxMade/kinds))
}

// addMade adds a thing that one of a map can make, in its middle; of a buildable place on its floor.
func (c *compiler) addMade(g *Ground, by Ref, of string, number int) {
	maker := c.Things[by]
	k := c.Doc.Kind(document.ID(of))
	w, h := k.Box(g.CellWidth, g.CellHeight)
	e := &document.Entity{ID: madeID(maker.ID, number), Layer: maker.Layer, Kind: of, Name: k.Name, W: w, H: h, Facing: maker.Facing,
		X: maker.X + (maker.W-w)/2, Y: maker.Y + (maker.H-h)/2, Absent: true, On: k.StartsOn(), Rank: maker.Rank + number}
	if g.Side || maker.Acts == kind.Plot {
		e.Y = maker.Y + maker.H - h
	}
	if e.Facing == "" {
		e.Facing = document.Down
	}
	t := c.thing(g.Map, e, g.Ref)
	t.Doing.By = by
	if maker.Acts == kind.LaneEntry {
		t.Doing.Way, t.Doing.Lane = c.laneOf(g, c.Doc.Value(maker.Entity, "lane").Word(), t.Doing.SpeedX), true
	}
	c.things[document.End{Map: g.ID, Entity: e.ID}] = Ref(len(c.Things))
	c.Things = append(c.Things, t)
}

// laneOf is the lane of a name, gone along once at a speed; nil where there is none.
func (s *Stage) laneOf(g *Ground, name string, speed int64) *Way {
	for r := g.First; r < g.After; r++ {
		if t := &s.Things[r]; t.Acts == kind.Lane && len(t.Points) > 0 && s.Doc.Value(t.Entity, "lane").Word() == name {
			return &Way{Once: true, Speed: speed, Points: pointsOf(t.Entity)}
		}
	}
	return nil
}

// madeID is the id of what something makes: always the same, so that games can be kept and gone on with.
func madeID(by document.ID, number int) document.ID {
	sum := sha256.Sum256([]byte(fmt.Sprintf("%s/%d", by, number)))
	return id.ID(strings.ToLower(base32.StdEncoding.EncodeToString(sum[:8]))[:12])
}
