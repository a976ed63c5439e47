package proof_test

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/proof"
	"azzel/core/sample"
	drawing "azzel/core/sample/drawn"
	"testing"
)

// Layers that rules lay and lift open ways and close them.
func TestWorldsOfLayers(t *testing.T) {
	const wall = "#########\n#@c.##.G#\n#########"
	const open = "#########\n#@c....G#\n#########"
	const take = "when\n\tthe hero takes any Collectible\nthen\n\t"
	for _, c := range []struct {
		name, rows, sheet string
		absent, covers    bool
		rules             []string
		is                proof.Is
	}{
		{"ice over what is solid", wall, " \n....pp", true, true, []string{take + "lay layer Ice"}, proof.Can},
		{"ice that does not cover", wall, " \n....pp", true, false, []string{take + "lay layer Ice"}, proof.Cannot},
		{"ice that is too short", wall, " \n....p.", true, true, []string{take + "lay layer Ice"}, proof.Cannot},
		{"ice that nothing lays", wall, " \n....pp", true, true, []string{take + "lift layer Ice"}, proof.Cannot},
		{"a bridge from the beginning", wall, " \n....pp", false, true, nil, proof.Can},
		{"rubble that is taken away", open, " \n....##", false, false, []string{take + "lift layer Ice"}, proof.Can},
		{"rubble that stays", open, " \n....##", false, false, []string{take + "lay layer Ice"}, proof.Cannot},
		{"rubble that falls too late", open, " \n....##", true, false, []string{"when\n\tsomebody comes to any Goal\nthen\n\tlay layer Ice"}, proof.Can},
		{"asked whether it lies", open, " \n....##", false, false, []string{take + "if all of this is so\n\t\tlayer Ice does not lie there\n\tthen\n\t\tlift layer Ice"}, proof.Cannot},
		{"asked and answered", open, " \n....##", false, false, []string{take + "if all of this is so\n\t\tlayer Ice lies there\n\tthen\n\t\tlift layer Ice"}, proof.Can},
	} {
		d := drawn(c.rows)
		d = drawing.Sheet(d, d.MapsInOrder()[0].ID, document.Layer{ID: "iceiceiceice", Name: "Ice", Absent: c.absent, Covers: c.covers}, c.sheet)
		for _, text := range c.rules {
			change, err := author.TextRule(d, text)
			if err != nil {
				t.Fatalf("%s: %v", c.name, err)
			}
			d = sample.With(d, change.Do...)
		}
		if _, a := answerOf(d); a.Is != c.is {
			t.Errorf("%s: it is said %v, %s", c.name, a.Is, a.Why)
		}
	}
}
