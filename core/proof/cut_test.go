package proof_test

import (
	"azzel/core/proof"
	"strings"
	"testing"
)

// A wall on any cell of the only way changes the answer, and one beside it does not.
func TestAWallOnTheWayChangesTheAnswer(t *testing.T) {
	const way = "#########\n#@......#\n#######.#\n#.......#\n#.#######\n#......G#\n#########"
	rows := strings.Split(way, "\n")
	for y := range rows {
		for x := range rows[y] {
			if rows[y][x] != '.' {
				continue
			}
			walled := append([]string{}, rows...)
			walled[y] = walled[y][:x] + "#" + walled[y][x+1:]
			if s := studied(t, drawn(strings.Join(walled, "\n"), byCells)); s.Answer.Is != proof.Cannot {
				t.Errorf("with a wall at %d, %d it %s: %s", x, y, s.Answer.Is, s.Answer.Why)
			}
		}
	}
	if s := studied(t, drawn(way, byCells)); s.Answer.Is != proof.Can || !s.Answer.Fewest || len(s.Traps) > 0 {
		t.Errorf("without one it %s in %d, traps %v", s.Answer.Is, s.Answer.Steps, s.Traps)
	}
}
