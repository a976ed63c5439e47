// Package drawn makes projects for tests out of maps that are drawn as text.
package drawn

import (
	"azzel/core/author"
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/sample"
	"fmt"
	"strings"
)

// marks are the letters of a drawn map that are tiles, and what is set up for them.
var marks = []struct {
	letter rune
	tile   int
	set    func(*document.TileInfo)
}{
	{'/', 20, func(i *document.TileInfo) { i.Part = "ground rising right" }},
	{'\\', 21, func(i *document.TileInfo) { i.Part = "ground rising left" }},
	{'-', 22, func(i *document.TileInfo) { i.OneWay = document.Up }},
	{'H', 23, func(i *document.TileInfo) { i.Is = document.GroundLadder }},
	{'~', 24, func(i *document.TileInfo) { i.Is = document.GroundWater }},
	{'^', 25, func(i *document.TileInfo) { i.Is = document.GroundHazard }},
	{'_', 26, func(i *document.TileInfo) { i.Part = "lower half" }},
	{'"', 27, func(i *document.TileInfo) { i.Part = "upper half" }},
}

// kindOf are the letters that are entities.
var kindOf = map[rune]string{'@': kind.Spawn, 'D': kind.Door, 's': kind.Switch, 'c': kind.Collectible, 'G': kind.Goal,
	'b': kind.Block, 'p': kind.Switch, 'k': kind.Key, 'K': kind.Door}

// setOf are settings of what letters stand for: a plate that is held down, a key that is used up, a door that it opens.
var setOf = map[rune][]kind.Value{'p': {{Key: "workedBy", Value: `"weight"`}, {Key: "goesBack", Value: `"whenLeft"`}},
	'k': {{Key: "opens", Value: `"brass"`}, {Key: "usedUp", Value: "true"}}, 'K': {{Key: "needs", Value: `"brass"`}}}

// Map is sample.World with one more map that is drawn as text: # is solid, / and \ are slopes, - lets
// up through, H is a ladder, ~ water, ^ hurts, _ is solid below and " above; @ is the spawn, D a
// door, s a switch that opens it, p a plate that holds it open, b a block, K a door that a key k opens once, c a collectible, G a goal. Entities act in the order in which
// they are read.
func Map(rows string, values ...kind.Value) (d *document.Document, made document.ID) {
	lines := strings.Split(strings.Trim(rows, "\n"), "\n")
	c, err := author.NewMap(sample.World(), "Drawn", len(lines[0]), len(lines))
	if err != nil {
		panic(err)
	}
	d = sample.With(sample.World(), c.Do...)
	m := d.Maps.Get(c.Made)
	layers := map[string]document.ID{}
	for _, l := range m.LayersInOrder() {
		if _, ok := layers[l.Kind]; !ok {
			layers[l.Kind] = l.ID
		}
	}
	infos := []document.TileInfo{}
	tiles := map[rune]cells.Cell{'#': sample.Wall}
	for _, mark := range marks {
		info := document.NewTileInfo(mark.tile)
		mark.set(&info)
		infos = append(infos, info)
		tiles[mark.letter] = cells.TileCell(1, mark.tile)
	}
	do := []edit.Primitive{edit.Set(edit.Ref{Type: edit.TypeMap, ID: m.ID}, "values", values),
		edit.Set(edit.Ref{Type: edit.TypeTileset, ID: sample.Coast}, "infos", infos)}
	var lever, plate, door document.ID
	rank := 0
	for y, line := range lines {
		for x, letter := range line {
			if cell, ok := tiles[letter]; ok {
				r := &grid.Region{}
				r.Add(grid.Point{X: x, Y: y})
				do = append(do, sample.Paint(m.ID, layers[document.LayerTiles], r, cell))
			}
			k, ok := kindOf[letter]
			if !ok {
				continue
			}
			rank++
			e := document.Entity{ID: document.NewID(), Layer: layers[document.LayerEntities], Kind: k, Name: fmt.Sprintf("%s %d", k, rank), Facing: document.Down,
				X: x * m.CellWidth, Y: y * m.CellHeight, W: m.CellWidth, H: m.CellHeight, Rank: rank}
			e.Values = setOf[letter]
			switch letter {
			case 's':
				lever = e.ID
			case 'p':
				plate = e.ID
			case 'D':
				door = e.ID
			}
			do = append(do, edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}, e))
		}
	}
	d = sample.With(d, do...)
	if lever != "" && door != "" {
		c, err := author.AddRule(d, rules.Of(rules.Use(m.ID, lever), rules.Open(m.ID, door)))
		if err != nil {
			panic(err)
		}
		d = sample.With(d, c.Do...)
	}
	if plate != "" && door != "" {
		held := func(word string, of document.ID) document.RulePart {
			return rules.Part(word, document.Naming(document.Object{Type: document.TypeEntity, Map: m.ID, ID: of}))
		}
		for _, r := range []document.Rule{rules.Of(held(rules.WordTurnsOn, plate), held(rules.WordOpen, door)), rules.Of(held(rules.WordTurnsOff, plate), held(rules.WordShut, door))} {
			c, err := author.AddRule(d, r)
			if err != nil {
				panic(err)
			}
			d = sample.With(d, c.Do...)
		}
	}
	return d, m.ID
}
