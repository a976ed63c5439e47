package proof_test

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/proof"
	"azzel/core/sample"
	"strings"
	"testing"
)

// What is not decided says where most was tried, what moves there, and what was never so of what has to do with winning.
func TestHowFarItCame(t *testing.T) {
	arms := put(drawn("################\n@......#.......G\n######...#######\n######...#######"), kind.Turner, 7, 2, 1, 1, document.Left, "arm=4", "arms=8")
	lit := sample.With(drawn("#######\n#@.DsG#\n#######"), sample.Drawn()...)
	for _, c := range []struct {
		name string
		d    *document.Document
		says []string
	}{
		{"arms that leave nothing free", frail(arms), []string{"no walk was found: all that was tried is on ", "with turner 3 on the move"}},
		{"a lever behind the door that it opens, for the rule that wins", ruled(ruled(lit, "when\n\tTide comes to 1\nthen\n\twin the game \"Done.\""),
			"when\n\tany Switch is turned on\nthen\n\tadd 1 to Tide"), []string{"Tide was 0 at the most, and a rule asks for 1"}},
	} {
		_, a := answerOf(c.d)
		if a.Is != proof.Open {
			t.Errorf("%s: %s, %q", c.name, a.Is, a.Why)
			continue
		}
		for _, part := range c.says {
			if !strings.Contains(a.Why, part) {
				t.Errorf("%s: it is said “%s”, not “%s”", c.name, a.Why, part)
			}
		}
	}
}
