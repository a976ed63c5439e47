package proof_test

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/proof"
	"azzel/core/sample"
	drawing "azzel/core/sample/drawn"
	"slices"
	"strings"
	"testing"
)

// What is pushed, follows, blows over the whole map or throws aside helps the hero as far as it comes, and no farther.
func TestWhatStraysHelpsAsFarAsItComes(t *testing.T) {
	const (
		gap   = "..............................\n..............................\n..............................\n..............................\n@............................G\n############............######\n############............######"
		less  = "................\n................\n................\n................\n@..............G\n#####......#####\n#####......#####"
		ditch = "..................\n..................\n..................\n..................\n@................G\n########...#######\n########...#######"
		ledge = "............\n............\n...........G\n........####\n........####\n@.......####\n############"
		shelf = "....................\n....................\n...................G\n................####\n................####\n@###............####\n####################"
		tower = "........................\n.......................G\n....................####\n....................####\n....................####\n....................####\n....................####\n....................####\n@...................####\n########################"
	)
	low := kind.Value{Key: kind.MapJump, Value: kind.Of(2.0)}
	short := kind.Value{Key: kind.MapRun, Value: kind.Of(2.0)}
	walks := []string{"range=9", "speed=2", "sight=9", "health=9"}
	for _, c := range []struct {
		name   string
		d      *document.Document
		is     proof.Is
		though bool // it cannot be said, since what could be is coarse there
	}{
		{"a ledge that is too high", drawn(ledge, fromSide, low), proof.Cannot, false},
		{"a block before it", put(drawn(ledge, fromSide, low), kind.Block, 4, 5, 1, 1, document.Up), proof.Can, false},
		{"a block in a hole", put(drawn("............\n............\n...........G\n........####\n........####\n@.......####\n###.########\n###.########\n############", fromSide, low), kind.Block, 3, 7, 1, 1, document.Up), proof.Cannot, false},
		{"a block that has to be pushed off a shelf", put(drawn(shelf, fromSide, low), kind.Block, 2, 4, 1, 1, document.Up), proof.Can, true},
		{"a ditch that is too wide", drawn(ditch, fromSide, low, short), proof.Cannot, false},
		{"a block that falls into it", put(drawn(ditch, fromSide, low, short), kind.Block, 4, 4, 1, 1, document.Up), proof.Can, false},
		{"a block and a gap that is ten cells deep", put(drawn(gap+strings.Repeat("\n############............######", 8), fromSide, low), kind.Block, 4, 4, 1, 1, document.Up), proof.Cannot, false},
		{"who follows on this side", put(drawn(gap, fromSide, low), kind.Walker, 8, 4, 1, 1, document.Left, append(walks, `seeing="follows"`)...), proof.Cannot, false},
		{"who flees on this side", put(drawn(gap, fromSide, low), kind.Walker, 8, 4, 1, 1, document.Left, append(walks, `seeing="flees"`)...), proof.Cannot, false},
		{"who flies after the hero and harms nobody", put(drawn(gap, fromSide), kind.Flyer, 8, 2, 1, 1, document.Left, "sight=9", `seeing="follows"`, "harm=0", "defeatedBy=[]"), proof.Cannot, false},
		{"a character that comes along", put(drawn(gap, fromSide), kind.Character, 3, 4, 1, 1, document.Left, `does="follows"`), proof.Cannot, false},
		{"a spring that throws across", put(drawn(gap, fromSide), kind.Spring, 11, 4, 1, 1, document.Right, "height=14"), proof.Can, true},
		{"wind from behind", drawn(gap, fromSide, kind.Value{Key: kind.MapWind, Value: kind.Of("right")}, kind.Value{Key: kind.MapWindForce, Value: kind.Of(9.0)}), proof.Can, false},
		{"a breath of wind", drawn(gap, fromSide, kind.Value{Key: kind.MapWind, Value: kind.Of("right")}, kind.Value{Key: kind.MapWindForce, Value: kind.Of(1.0)}), proof.Cannot, false},
		{"a gap that is a little too wide", drawn(less, fromSide, low), proof.Cannot, false},
		{"air in which one falls slowly", drawn(less, fromSide, low, kind.Value{Key: kind.MapAir, Value: kind.Of(kind.AirSlowFall)}), proof.Can, false},
		{"a high ledge in that air", drawn(ledge, fromSide, low, kind.Value{Key: kind.MapAir, Value: kind.Of(kind.AirSlowFall)}), proof.Cannot, false},
		{"a jump from walls", hero(drawn("......\n......\n.....G\n#..###\n#..###\n#..###\n@..###\n######", fromSide, low), `["wall jump"]`, kind.HeroAbilities), proof.Can, false},
		{"to and fro between walls", hero(drawn("........\n........\n.......G\n#..#####\n#..#####\n#..#####\n#..#####\n#..#####\n@..#####\n########", fromSide, low), `["wall jump"]`, kind.HeroAbilities), proof.Can, false},
		{"a jump in the air", hero(drawn("..........\n..........\n.........G\n......####\n......####\n......####\n@.....####\n##########", fromSide, kind.Value{Key: kind.MapJump, Value: kind.Of(2.2)}), `["double jump"]`, kind.HeroAbilities), proof.Can, false},
		{"a jump in the air that is too low", hero(drawn("..........\n.........G\n......####\n......####\n......####\n......####\n@.....####\n##########", fromSide, kind.Value{Key: kind.MapJump, Value: kind.Of(2.2)}), `["double jump"]`, kind.HeroAbilities), proof.Cannot, false},
		{"a jump in the air over a gap", hero(drawn(less, fromSide, low), `["double jump"]`, kind.HeroAbilities), proof.Can, false},
		{"a jump from walls that are not there", hero(drawn(gap, fromSide, low), `["wall jump"]`, kind.HeroAbilities), proof.Cannot, false},
		{"a spring that a platform takes along", fixed(put(drawn(tower, fromSide, low), kind.Platform, 3, 8, 3, 1, document.Right, "range=14", "speed=3"), kind.Spring, 4, 7, document.Up, "height=8"), proof.Can, true},
		{"a spring that stays", put(drawn(tower, fromSide, low), kind.Spring, 4, 7, 1, 1, document.Up, "height=8"), proof.Cannot, false},
		{"drawn ground on both sides of a gap", line(line(drawn(gap, fromSide), 32, 70, false, "all", grid.Point{X: 64, Y: 0}), 400, 80, false, "all", grid.Point{X: 40, Y: -8}), proof.Cannot, false},
		{"a drawn bridge over it", line(drawn(gap, fromSide), 180, 80, false, "all", grid.Point{X: 100, Y: 12}, grid.Point{X: 200, Y: 0}), proof.Can, false},
		{"a ledge in it that stops from above", line(drawn(gap, fromSide), 260, 96, false, "above", grid.Point{X: 40, Y: 0}), proof.Can, true},
		{"a drawn wall before the goal", line(drawn(gap[:len(gap)-61]+"##############################", fromSide), 360, -160, false, "all", grid.Point{X: 0, Y: 300}), proof.Cannot, false},
		{"a rule that has a character walk and jump", ruled(put(drawn(gap, fromSide), kind.Character, 3, 4, 1, 1, document.Left), "rule\nwhen\n\ta new game begins\nthen\n\twalk \"character 3\" 2 cells right stopping where blocked\n\t\"character 3\" jumps\n"), proof.Cannot, false},
		{"a bridge that is laid once something is taken", laid(true, "lay layer Ice"), proof.Can, false},
		{"one that nothing lays", laid(true, "lift layer Ice"), proof.Cannot, false},
		{"one that lies there", laid(false, "lay layer Ice"), proof.Can, false},
		{"a scene elsewhere in which the hero walks", eyed(drawn(gap, fromSide), 5, "\tscene that can be skipped\n\t\twalk the hero 20 cells right stopping where blocked\n"), proof.Cannot, false},
		{"the same at the edge of that map, which leads on", eyed(drawn(gap, fromSide), 0, "\tscene that can be skipped\n\t\twalk the hero 20 cells right stopping where blocked\n"), proof.Open, false},
		{"a rule elsewhere that has it walk when it may have gone on", eyed(drawn(gap, fromSide), 5, "\twait 1 s\n\twalk the hero 20 cells right stopping where blocked\n"), proof.Open, false},
		{"a scene elsewhere that sends it here and has it walk", eyed(drawn(gap, fromSide), 5, "\tscene that can be skipped\n\t\tsend the hero to \"goal 2\"\n\t\twalk the hero 20 cells right stopping where blocked\n"), proof.Can, true},
		{"a rule that has the hero walk through the air", ruled(drawn(gap, fromSide), "rule\nwhen\n\ta new game begins\nthen\n\twait 1 s\n\twalk the hero 20 cells right stopping where blocked\n"), proof.Can, true},
	} {
		a := studied(t, fallsOut(c.d)).Answer
		if c.though && a.Is != proof.Cannot {
			continue
		}
		if a.Is != c.is {
			t.Errorf("%s: %s, %q; wanted %s", c.name, a.Is, a.Why, c.is)
		}
	}
}

// fixed puts one more thing onto the drawn map, which travels along with what was put down before it.
func fixed(d *document.Document, k string, x, y int, f document.Facing, values ...string) *document.Document {
	on := last(d).ID
	return along(put(d, k, x, y, 1, 1, f, values...), on)
}

// eyed has a sensor on another map, whose left side leads on, and a rule that waits for the hero to come to it.
func eyed(d *document.Document, x int, then string) *document.Document {
	made, err := author.NewMap(d, "Annex", 20, 12)
	if err != nil {
		panic(err)
	}
	d = sample.With(d, made.Do...)
	m := d.Maps.Get(made.Made)
	all := m.LayersInOrder()
	layer := all[slices.IndexFunc(all, func(l *document.Layer) bool { return l.Kind == document.LayerEntities })]
	e := document.Entity{ID: "eyeeyeeyeeye", Layer: layer.ID, Kind: kind.Sensor, Name: "Eye", Facing: document.Down, On: true, X: 16 * x, Y: 80, W: 16, H: 16, Rank: m.NextRank()}
	d = sample.With(d, edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}, e), edit.Set(edit.Ref{Type: edit.TypeMap, ID: m.ID}, "sides", []string{"", "", "", document.SideExit}))
	return ruled(d, "rule\nwhen\n\tsomebody comes to Eye\nthen\n"+then)
}

// laid is a gap with a bridge that is a layer of its own, there at first or not, and a rule about it on this side.
func laid(absent bool, does string) *document.Document {
	d := drawn("..............................\n..............................\n..............................\n..............................\n@..c.........................G\n############............######", fromSide)
	d = drawing.Sheet(d, d.MapsInOrder()[0].ID, document.Layer{ID: "iceiceiceice", Name: "Ice", Absent: absent}, " \n \n \n \n \n................##..##")
	return ruled(d, "rule\nwhen\n\tthe hero takes any Collectible\nthen\n\t"+does+"\n")
}
