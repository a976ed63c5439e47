package document

import (
	"azzel/core/cells"
	"azzel/core/material"
	"fmt"
	"slices"
)

// Material is paint whose edges fit themselves.
type Material struct {
	ID    ID     `json:"id"`
	Name  string `json:"name"`
	Order int    `json:"order"`
	// Number is what cells call the material by: 1 to 4095, given by the server.
	Number int `json:"number"`
	// Is says what it is: one of MaterialWords.
	Is string `json:"is"`
	// By says what its edges follow: material.BySides, ByCorners or ByBoth.
	By string `json:"by"`
	// Beyond lets the map's border count as the same material.
	Beyond bool `json:"beyond"`
	// Turns and Composes fill missing forms with turned tiles and with quarters.
	Turns    bool            `json:"turns"`
	Composes bool            `json:"composes"`
	Tiles    []material.Tile `json:"tiles"`
}

// MaterialWords lists what materials are, in the order in which they are
// MaterialWord is what a material can be, and what its edges follow then.
type MaterialWord struct {
	Is   string `json:"is"`
	By   string `json:"by"`
	Help string `json:"help"`
}

// offered, with what the edges of a new one follow.
var MaterialWords = []MaterialWord{
	{"ground", material.ByCorners, "blends into what lies beside it"},
	{"path", material.BySides, "a way, one cell broad or more"},
	{"water", material.ByBoth, "a shore all round"},
	{"wall", material.ByBoth, "with its corners, inside and out"},
	{"cliff", material.ByBoth, "an edge that falls away"},
	{"fence", material.BySides, "a line of posts"},
}

// Limits of materials.
const (
	MaxMaterials     = 500
	MaxMaterialTiles = 1_024
)

// Set is the material as the fitter takes it.
func (m *Material) Set() material.Set {
	return material.Set{Number: m.Number, By: m.By, Beyond: m.Beyond, Turns: m.Turns, Composes: m.Composes, Tiles: m.Tiles}
}

// Check finds what is wrong with a material.
func (m *Material) Check() error {
	known := false
	for _, w := range MaterialWords {
		known = known || w.Is == m.Is
	}
	switch {
	case !known:
		return fmt.Errorf("there is no material that is “%.40s”", m.Is)
	case m.By != material.BySides && m.By != material.ByCorners && m.By != material.ByBoth:
		return fmt.Errorf("a material's edges follow sides, corners or both")
	case len(m.Tiles) > MaxMaterialTiles:
		return fmt.Errorf("a material has at most %d tiles", MaxMaterialTiles)
	}
	sum := 0
	for _, t := range m.Tiles {
		if t.Cell == 0 || !t.Cell.Valid() || t.Cell.IsMaterial() {
			return fmt.Errorf("a material is made of tiles")
		}
		if err := first(checkRange("the odds of a tile", t.Odds, 0, MaxOdds), checkRange("the material beside", t.Beside, 0, cells.MaxTileset)); err != nil {
			return err
		}
		sum += t.Odds
	}
	if len(m.Tiles) > 0 && sum == 0 {
		return fmt.Errorf("all odds of %s are 0: give one of its tiles more", m.Name)
	}
	return first(checkID("the material", m.ID), checkName(m.Name), checkOrder(m.Order), checkRange("the material's number", m.Number, 1, cells.MaxTileset))
}

// MaterialsInOrder lists the materials as people see them.
func (d *Document) MaterialsInOrder() []*Material {
	return d.Materials.InOrder(func(m *Material) int { return m.Order })
}

// MaterialByNumber finds the material that cells call by this number, nil when there is none.
func (d *Document) MaterialByNumber(number int) *Material {
	all := d.Materials.All()
	if i := slices.IndexFunc(all, func(m *Material) bool { return m.Number == number }); i >= 0 {
		return all[i]
	}
	return nil
}

// Fitter fits the document's materials; make one for each document.
func (d *Document) Fitter() *material.Fitter {
	var sets []material.Set
	for _, m := range d.MaterialsInOrder() {
		sets = append(sets, m.Set())
	}
	return material.NewFitter(sets)
}
