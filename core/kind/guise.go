package kind

import (
	"azzel/core/cells"
	"strconv"
)

// Guise is another way in which an entity, or all of a kind, can be: how it looks, and what it says then. It is one at a time; the
// first, without a number, is as it is by itself.
type Guise struct {
	// Number tells it from the others of its owner; copies have the same. Those of kinds are numbered from KindGuises on.
	Number int    `json:"number"`
	Name   string `json:"name"`
	// Look is the tile that it is drawn as; 0 is its own.
	Look cells.Cell `json:"look,omitempty"`
	// Says is what is read of it then; empty is what it says by itself.
	Says string `json:"says,omitempty"`
}

// Key is how rules name a guise.
func (g *Guise) Key() string { return strconv.Itoa(g.Number) }

// KindGuises is the least number of a guise that a kind gives to all of it; those of a single entity are below.
const KindGuises = 501

// NextGuise is a number, from a first one on, that no guise has had that is there.
func NextGuise(all []Guise, from int) int {
	n := from - 1
	for _, g := range all {
		n = max(n, g.Number)
	}
	return n + 1
}
