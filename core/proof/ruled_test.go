package proof_test

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/proof"
	"azzel/core/sample"
	"strings"
	"testing"
)

// What rules ask, count, give and answer decides whether a game can be finished.
func TestWorldsOfRules(t *testing.T) {
	const open = "#########\n#@c...DG#\n#c....###\n#########"
	for _, c := range []struct {
		name, rows string
		rules      []string
		is         proof.Is
	}{
		{"a question that opens", open, []string{"when\n\tthe hero speaks to Ferryman\nthen\n\task \"Open?\"\n\t\tanswer \"No\"\n\t\tanswer \"Later\"\n\t\tanswer \"Yes\"\n\t\t\topen every Door"}, proof.Can},
		{"two questions in a row", open, []string{"when\n\tthe hero speaks to Ferryman\nthen\n\task \"Sure?\"\n\t\tanswer \"No\"\n\t\tanswer \"Yes\"\n\t\t\task \"Really?\"\n\t\t\t\tanswer \"No\"\n\t\t\t\tanswer \"Yes\"\n\t\t\t\t\topen every Door"}, proof.Can},
		{"a question without such an answer", open, []string{"when\n\tthe hero speaks to Ferryman\nthen\n\task \"Open?\"\n\t\tanswer \"No\"\n\t\t\tshut every Door"}, proof.Cannot},
		{"as many as are counted", open, []string{"when\n\tthe hero takes any Collectible\nthen\n\tadd 1 to Salt", "when\n\tSalt comes to 4\nthen\n\topen every Door"}, proof.Can},
		{"one that counts once, and not enough", open, []string{"rule once\nwhen\n\tthe hero speaks to Ferryman\n\ta new game begins\nthen\n\tadd 1 to Salt", "when\n\tSalt comes to 4\nif\n\tSalt is at least 4\nthen\n\topen every Door"}, proof.Cannot},
		{"what is given and paid", open, []string{"when\n\tthe hero takes any Collectible\nthen\n\tgive the hero 1 coin", "when\n\tthe hero speaks to Ferryman\nif\n\tthe hero has at least 2 coin\nthen\n\ttake 2 coin from the hero\n\topen every Door"}, proof.Can},
		{"what nothing gives", open, []string{"when\n\tthe hero speaks to Ferryman\nif\n\tthe hero has at least 2 coin\nthen\n\ttake 2 coin from the hero\n\topen every Door"}, proof.Cannot},
		{"a signal that is sent", open, []string{"when\n\tthe hero speaks to Ferryman\nthen\n\tsend out bell", "when\n\tsignal bell comes\nthen\n\topen every Door"}, proof.Can},
		{"a signal that nothing sends", open, []string{"when\n\tthe hero speaks to Ferryman\nthen\n\tsend out bell", "when\n\tsignal tide comes\nthen\n\topen every Door"}, proof.Cannot},
		{"none of what never is", open, []string{"when\n\tthe hero speaks to Ferryman\nif\n\tnone of these\n\t\tFlag is set\n\t\tSalt is below 2\nthen\n\topen every Door"}, proof.Can},
		{"any of what never is", open, []string{"when\n\tthe hero speaks to Ferryman\nif\n\tany of these\n\t\tFlag is set\n\t\tSalt is below 2\nthen\n\topen every Door"}, proof.Cannot},
		{"otherwise", open, []string{"when\n\tthe hero speaks to Ferryman\nthen\n\tif all of this is so\n\t\tFlag is set\n\tthen\n\t\tset Flag\n\totherwise\n\t\topen every Door"}, proof.Can},
		{"a rule that is off", open, []string{"rule off\nwhen\n\tthe hero speaks to Ferryman\nthen\n\topen every Door"}, proof.Cannot},
		{"a new game begins", open, []string{"when\n\ta new game begins\nthen\n\topen every Door"}, proof.Can},
		{"won by a rule, without a goal", "######\n#@c..#\n#....#\n#....#\n######", []string{"when\n\tthe hero takes any Collectible\nthen\n\twin the game \"Done.\""}, proof.Can},
		{"won by what never comes", "######\n#@c..#\n#....#\n#....#\n######", []string{"when\n\tsignal tide comes\nthen\n\twin the game \"Done.\""}, proof.Cannot},
		{"lost before it is won", "######\n#@c..#\n#....#\n#....#\n######", []string{"when\n\tthe hero takes any Collectible\nthen\n\tlose the game \"Late.\"\n\twin the game \"Done.\""}, proof.Open},
		{"walked through a wall by a scene", "#########\n#@...##G#\n#....####\n#########", []string{"when\n\tthe hero speaks to Ferryman\nthen\n\tscene that can be skipped\n\t\tlead the hero to Ferryman\n\t\tturn the hero right\n\t\tmove the view to Ferryman in 2 s\n\t\twalk the hero 4 cells right passing where blocked\n\t\twalk the hero 1 cells up passing where blocked"}, proof.Can},
		{"walked against a wall by a scene", "#########\n#@...##G#\n#....####\n#########", []string{"when\n\tthe hero speaks to Ferryman\nthen\n\tscene that cannot be skipped\n\t\twalk the hero 6 cells right stopping where blocked"}, proof.Cannot},
		{"a counter that is drawn", open, []string{"when\n\tthe hero takes any Collectible\nthen\n\tdraw Salt from 1 to 3\n\topen every Door"}, proof.Can},
		{"more than can be drawn", open, []string{"when\n\tthe hero takes any Collectible\nthen\n\tdraw Salt from 1 to 3", "when\n\tthe hero speaks to Ferryman\nif\n\tSalt is at least 4\nthen\n\topen every Door"}, proof.Cannot},
		{"what is defeated by a rule", open, []string{"when\n\tthe hero speaks to Ferryman\nthen\n\tat the same time\n\t\twait 1 s\n\t\tdefeat every Breakable\n\t\topen every Door"}, proof.Can},
		{"an item that is gained", open, []string{"when\n\tthe hero takes any Collectible\nthen\n\tgive the hero 1 coin", "when\n\tthe hero gains coin\nthen\n\topen every Door"}, proof.Can},
		{"every other second", open, []string{"when\n\tevery 2 s\nthen\n\topen every Door"}, proof.Open},
		{"no more than one has", open, []string{"when\n\tthe hero speaks to Ferryman\nif\n\tthe hero has at least 0 coin\nthen\n\topen every Door"}, proof.Can},
		{"the last of a kind", open, []string{"when\n\tno Collectible is left\nthen\n\topen every Door"}, proof.Can},
		{"a goal that is put there", "#########\n#@c....G#\n#########", []string{"when\n\ta new game begins\nthen\n\ttake away every Goal", "when\n\tthe hero takes any Collectible\nthen\n\tput every Goal there"}, proof.Can},
	} {
		d := sample.With(drawn(c.rows), sample.Drawn()...)
		m := d.MapsInOrder()[0]
		layer := document.ID("")
		for _, l := range m.LayersInOrder() {
			if l.Kind == document.LayerEntities {
				layer = l.ID
			}
		}
		e := document.Entity{ID: "ferrymanferr", Layer: layer, Kind: kind.Character, Name: "Ferryman", Facing: document.Down, X: 64, Y: 32, W: 16, H: 16, Rank: 80}
		d = sample.With(d, edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}, e))
		for _, text := range c.rules {
			change, err := author.TextRule(d, text)
			if err != nil {
				t.Fatalf("%s: %v", c.name, err)
			}
			d = sample.With(d, change.Do...)
		}
		if _, a := answerOf(d); a.Is != c.is {
			t.Errorf("%s: it is said %v, %s", c.name, a.Is, a.Why)
		} else if a.Lucky != (a.Is == proof.Can && strings.Contains(strings.Join(c.rules, ""), "draw ")) {
			t.Errorf("%s: that chance helped is said %t", c.name, a.Lucky)
		}
	}
}
