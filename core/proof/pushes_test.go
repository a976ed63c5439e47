package proof_test

import (
	"azzel/core/chart"
	"azzel/core/proof"
	"azzel/core/world"
	"testing"
)

// rooms are puzzles of blocks that are too large to be gone through, with known answers.
var rooms = []struct {
	name, rows string
	is         proof.Is
}{
	{"two blocks, two plates", `################
#@.............#
#..............#
#...b..........#
#..............#
#........p.....#
#..............#
#......b.......#
#..............#
#..............#
#....p.........#
#..............#
#..............#
#########D######
#########.######
#########.....G#
################`, proof.Can},
	{"a block round a corner", `##############
#@.........###
#..b.......###
#.........####
#####..#######
#####..#######
#####..#######
###.......####
###......p.###
###.......D.G#
##############`, proof.Can},
	{"a block that has to be turned round", `##########
#........#
#.p....b.#
#........#
#@########
#D########
#G########`, proof.Can},
	{"a block against the wall cannot come to the plate", `##########
#@..b....#
#........#
#..p.....#
#........#
########D#
########G#`, proof.Open},
}

// Blocks are pushed onto plates in rooms that are too large to go through all of their situations.
func TestBlocksInLargeRooms(t *testing.T) {
	for _, c := range rooms {
		d := drawn(c.rows, byCells, fourWays)
		st := world.New(d, chart.New(d, nil), nil)
		s := proof.New(st)
		var a *proof.Answer
		for a == nil {
			a = s.Step(2000)
		}
		if a.Is != c.is {
			t.Errorf("%s: %s, %s; wanted %s", c.name, a.Is, a.Why, c.is)
			continue
		}
		if a.Is == proof.Can {
			if _, ok := proof.Replay(st, a.Walk); !ok {
				t.Errorf("%s: its walk does not play", c.name)
			}
		}
		t.Logf("%s: %s in %d steps, %d situations", c.name, a.Is, a.Steps, s.Made())
	}
}
