package proof_test

import (
	"azzel/core/chart"
	"azzel/core/play"
	"azzel/core/proof"
	"azzel/core/world"
	"fmt"
	"math/rand/v2"
	"os"
	"strconv"
	"strings"
	"testing"
)

// sideWorld draws a small world that is seen from the side: ground with gaps, steps and ledges.
func sideWorld(r *rand.Rand) string {
	const w, h = 10, 8
	rows := make([][]byte, h)
	for y := range rows {
		rows[y] = []byte(strings.Repeat(".", w))
		for x := range rows[y] {
			if y == h-1 && r.IntN(5) > 0 || y > 1 && r.IntN(6) == 0 {
				rows[y][x] = '#'
			}
		}
	}
	put := func(c byte, x int) {
		for y := h - 2; y > 0; y-- {
			if rows[y][x] == '.' {
				rows[y][x] = c
				rows[y+1][x] = '#'
				return
			}
		}
	}
	put('@', r.IntN(3))
	put('G', 6+r.IntN(4))
	if r.IntN(3) == 0 {
		rows[2+r.IntN(3)][4+r.IntN(2)] = 'c'
	}
	lines := make([]string, h)
	for y := range rows {
		lines[y] = string(rows[y])
	}
	return strings.Join(lines, "\n")
}

// tried goes through what a player could do who changes the keys every fourth tick, as far as so many situations go; it knows
// nothing of facts and searches.
func tried(start func() (*play.Game, error), most int) bool {
	g, err := start()
	if err != nil {
		return false
	}
	type place struct {
		x, y, vx, vy int64
		mode         play.Mode
		hash         [2]uint64
		jumps        bool
	}
	at := func(g *play.Game) place {
		h := g.Hero()
		return place{h.X >> 10, h.Y >> 10, h.VX >> 9, h.VY >> 9, h.Mode, g.Hash, g.State.Held&play.InputJump != 0}
	}
	keys := []play.Input{0, play.InputLeft, play.InputRight, play.InputJump, play.InputLeft | play.InputJump, play.InputRight | play.InputJump}
	seen := map[place]bool{at(g): true}
	for todo := []*play.Game{g}; len(todo) > 0 && len(seen) < most; todo = todo[1:] {
		for _, in := range keys {
			next := todo[0].Clone()
			for range 4 {
				next.Step(in)
			}
			if next.Over == play.OverWon {
				return true
			}
			if next.Over != play.NotOver || next.Ground() == nil || seen[at(next)] {
				continue
			}
			seen[at(next)] = true
			todo = append(todo, next)
		}
	}
	return false
}

// From the side: where somebody who tries everything every fourth tick comes to the goal, it is never said that it cannot be finished; and
// what is said to be possible plays. 30 worlds in the normal run, AZZEL_WORLDS=n for more.
func TestTheProofAgreesFromTheSide(t *testing.T) {
	worlds := 30
	if n, err := strconv.Atoi(os.Getenv("AZZEL_WORLDS")); err == nil {
		worlds = n / 10
	}
	won, cannot, can := 0, 0, 0
	for seed := range worlds {
		text := sideWorld(rand.New(rand.NewPCG(uint64(seed), 21)))
		d := fallsOut(drawn(text, fromSide))
		st := world.New(d, chart.New(d, nil), nil)
		start := func() (*play.Game, error) { return play.Start(st, "", proof.Seed) }
		s := proof.NewStudy(st, nil)
		for s.Answer == nil {
			s.Step(5000)
		}
		wins := tried(start, 40_000)
		name := fmt.Sprintf("seed %d: %s (%s), tried: %t\n%s", seed, s.Answer.Is, s.Answer.Why, wins, text)
		switch {
		case wins && s.Answer.Is == proof.Cannot:
			t.Error(name)
		case s.Answer.Is == proof.Can:
			if _, ok := proof.Replay(st, s.Answer.Walk); !ok {
				t.Errorf("its walk does not play: %s", name)
			}
			can++
		case s.Answer.Is == proof.Cannot:
			cannot++
		}
		if wins {
			won++
		}
	}
	if won < worlds/5 || can < worlds/5 {
		t.Errorf("of %d worlds %d were won and %d can be: they say little", worlds, won, can)
	}
	t.Logf("of %d worlds %d were won by trying, %d can be, %d cannot", worlds, won, can, cannot)
}
