package demo

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/rules"
	"strings"
)

// around is what is around the maps: the title, who made it, an evening that becomes a night.
var around = [][2]string{
	{kind.GameLine, "A night on a salt island"},
	{kind.GameCredits, "Words, maps and pictures\nby the makers of Azzel\n\nDrawn by code, tile by tile,\nin one palette"},
	{kind.GameDay, "900"}, {kind.GameBegins, "17"}, {kind.GameDark, "62, 58, 22, 0, 0, 0, 18, 52"},
}

// withGame gives the demo what is around its maps, and the trial yards.
func withGame(d *document.Document, s *Sheet, outside []*canvas, inside ...*canvas) *document.Document {
	for _, set := range around {
		c, err := author.SetGame(d, set[0], &set[1])
		if err != nil {
			continue // it is so already
		}
		d = do(d, c, err)
	}
	for _, c := range outside {
		d = mapped(mapped(mapped(d, c, kind.MapMusic, "calm"), c, kind.MapKey, "D"), c, kind.MapSound, "surf")
	}
	for i, c := range inside {
		d = mapped(mapped(d, c, kind.MapDays, kind.DaysInside), c, kind.MapMusic, []string{"calm", "dark", "bright"}[i])
	}
	for _, c := range d.CountersByName() {
		if c.Name == "Crystals" {
			change, err := author.ShowCounter(d, c.ID, "topLeft")
			d = do(d, change, err)
		}
	}
	return trials(d, s)
}

// mapped gives a setting of a map a value.
func mapped(d *document.Document, c *canvas, key, value string) *document.Document {
	change, err := author.SetMapSetting(d, d.Maps.Get(c.m.ID), key, &value)
	return do(d, change, err)
}

// trial is a small yard in which crates are pushed onto plates: what it is called, how it is drawn, for how many moves there
// are three stars and two, and after how many it is lost.
type trial struct {
	name, rows, three, two, limit string
}

// The letters of a trial: the hero, a crate, a plate, its gate, the goal.
var trialYards = []trial{
	{"One Crate", `
#############
#@....#.....#
#..c..#.....#
#.....1...G.#
#..a..#.....#
#.....#.....#
#############`, "12", "18", ""},
	{"Two Crates", `
###############
#@....#...#...#
#.c...#...#...#
#...c.1...2.G.#
#.a.b.#...#...#
#.....#...#...#
###############`, "16", "22", ""},
	{"Round the Corner", `
###############
#@.....#......#
#.c....#......#
#......1...G..#
#...a..#......#
#......#......#
###############`, "15", "22", "60"},
}

// trials adds the yards, each of which starts the next.
func trials(d *document.Document, s *Sheet) *document.Document {
	for i, t := range trialYards {
		c := newTrial(s, t.rows)
		d = c.add(d, t.name)
		for _, set := range [][2]string{{kind.MapWalking, kind.WalksCells}, {kind.MapWays, "four"}, {kind.MapCamera, kind.CameraWhole}, {kind.MapStars, kind.StarsMoves}, {kind.MapTwoStars, t.two},
			{kind.MapThreeStars, t.three}, {kind.MapMusic, "bright"}, {kind.MapKey, kind.Keys[2+3*i]}, {kind.MapMoveLimit, t.limit}, {kind.MapDays, kind.DaysInside}} {
			if set[1] != "" {
				change, err := author.SetMapSetting(d, d.Maps.Get(c.m.ID), set[0], &set[1])
				d = do(d, change, err)
			}
		}
		if i < len(trialYards)-1 {
			d = do(d, author.Change{Do: []edit.Primitive{edit.Set(edit.Ref{Type: edit.TypeMap, ID: c.m.ID}, "next", true)}}, nil)
		}
		d = do(d, author.Change{Do: []edit.Primitive{edit.Set(edit.Ref{Type: edit.TypeMap, ID: c.m.ID}, "chart", grid.Point{X: (64 + 26*i) * side, Y: 56 * side})}}, nil)
		for n, plate := range []string{"Plate 1", "Plate 2"} {
			gate := []string{"Gate 1", "Gate 2"}[n]
			if !c.has(plate) {
				continue
			}
			on := func(word, name string) document.RulePart {
				e := end(c, name)
				return rules.Part(word, document.Naming(document.Object{Type: document.TypeEntity, Map: e.Map, ID: e.Entity}))
			}
			for _, r := range []document.Rule{rules.Of(on(rules.WordTurnsOn, plate), on(rules.WordOpen, gate)), rules.Of(on(rules.WordTurnsOff, plate), on(rules.WordShut, gate))} {
				change, err := author.AddRule(d, r)
				d = do(d, change, err)
			}
		}
	}
	return d
}

func (c *canvas) has(name string) bool {
	for i := range c.stands {
		if c.stands[i].Name == name {
			return true
		}
	}
	return false
}

// newTrial lays out a yard from its letters.
func newTrial(s *Sheet, rows string) *canvas {
	var lines []string
	for _, line := range strings.Split(rows, "\n") {
		if line != "" {
			lines = append(lines, line)
		}
	}
	c := newCanvas(s, len(lines[0]), len(lines))
	c.box(c.ground, 0, 0, c.w, c.h, "sand 1", "sand 2", "sand 3", "sand 4")
	for y, line := range lines {
		for x, letter := range line {
			switch letter {
			case '#':
				tile := "stone top"
				if y+1 == c.h || y+1 < c.h && lines[y+1][x] != '#' {
					tile = "stone"
				}
				if y == 0 || x == 0 || x == c.w-1 || y == c.h-1 {
					tile = "inner top"
				}
				c.put(c.things, x, y, tile)
			case '@':
				c.entity(kind.Spawn, "Start", x, y, 1, 1, document.Down)
			case 'c':
				c.show(kind.Block, "Crate", x, y, document.Down, "crate", "")
			case 'a', 'b':
				plate := c.show(kind.Switch, map[rune]string{'a': "Plate 1", 'b': "Plate 2"}[letter], x, y, document.Down, "plate", "", "workedBy", `"weight"`, "goesBack", `"whenLeft"`)
				plate.On, plate.LookOn = false, s.Cell(number, "plate down")
			case '1', '2':
				c.entity(kind.Door, "Gate "+string(letter), x, y, 1, 1, document.Down)
			case 'G':
				c.box(c.ground, x-1, y-1, 3, 3, "cobbles", "cobbles 2")
				c.entity(kind.Goal, "The way out", x, y, 1, 1, document.Down)
			}
		}
	}
	return c
}
