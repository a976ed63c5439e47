package proof_test

import (
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/proof"
	"azzel/core/sample"
	"azzel/core/world"
	"strings"
	"testing"
)

// What is expected is proven, refuted with a walk, or not decided.
func TestExpectations(t *testing.T) {
	const open, shut = "#########\n#@s...DG#\n#########", "#########\n#@....sG#\n#####D###\n#########"
	for _, c := range []struct {
		rows, is, says, want, why string
	}{
		{open, document.ExpectNever, "Flag is set", proof.Proven, ""},
		{open, document.ExpectNever, `"door 3" is open`, proof.Refuted, ""},
		{open, document.ExpectSometimes, `"door 3" is open`, proof.Proven, ""},
		{open, document.ExpectSometimes, "Flag is set", proof.Refuted, ""},
		{open, document.ExpectNeeded, `"door 3" is open`, proof.Proven, ""},
		{shut, document.ExpectNeeded, `"door 4" is open`, proof.Refuted, ""},
		{open, document.ExpectNeeded, "the hero is on Drawn", proof.Proven, ""},
		{open, document.ExpectNever, "the moon is full", proof.Unknown, "here stands"},
		{"####\n#@.#\n####", document.ExpectNever, "Flag is set", proof.Unknown, "no goal"},
	} {
		d := sample.With(drawn(c.rows), sample.Drawn()...)
		x := proof.NewExpecting(world.New(d, chart.New(d, nil), nil), document.Expectation{Is: c.is, Says: c.says})
		var v *proof.Verdict
		for n := 0; v == nil && n < 10_000; n++ {
			v = x.Step(2000)
		}
		if v == nil || v.Is != c.want || !strings.Contains(v.Why, c.why) {
			t.Errorf("%s: %s: %+v, wanted %s %q", c.is, c.says, v, c.want, c.why)
		}
	}
}
