package proof_test

import (
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/play"
	"azzel/core/proof"
	"azzel/core/sample"
	"azzel/core/world"
	"fmt"
	"math/rand/v2"
	"os"
	"strconv"
	"strings"
	"testing"
)

// wide is a world with rooms, corridors and more of everything than pushed draws.
func wide(r *rand.Rand) string {
	w, h := 8+r.IntN(6), 6+r.IntN(4)
	rows := make([][]byte, h)
	for y := range rows {
		rows[y] = []byte(strings.Repeat(".", w))
		for x := range rows[y] {
			if r.IntN(7) == 0 || x == w/2 && r.IntN(5) > 0 {
				rows[y][x] = '#'
			}
		}
	}
	for _, c := range []byte([]string{"@GccskKD", "@GbpDck", "@GkKkKcc", "@G^^~csD", "@GccH-~s"}[r.IntN(5)]) {
		rows[r.IntN(h)][r.IntN(w)] = c
	}
	lines := make([]string, h)
	for y := range rows {
		lines[y] = string(rows[y])
	}
	return strings.Join(lines, "\n")
}

// What is known of ways over plain ground is what playing them shows: in how few steps it is finished, whether all was gone through, and where
// one gets stuck. 24 worlds in the normal run, AZZEL_WORLDS=n for more.
func TestPlainGroundIsAsPlayed(t *testing.T) {
	worlds := 24
	if n, err := strconv.Atoi(os.Getenv("AZZEL_WORLDS")); err == nil {
		worlds = n / 4
	}
	known, found := 0, 0
	for seed := range worlds {
		r := rand.New(rand.NewPCG(uint64(seed), 44))
		text := wide(r)
		if seed%3 == 0 {
			text = strings.Join(pushed(r), "\n")
		}
		d := drawn(text, byCells, fourWays)
		if side := [4]string{document.SideWall, document.SideWrap, document.SideFall, document.SideWall}[r.IntN(4)]; side != document.SideWall {
			d = sample.With(d, edit.Set(edit.Ref{Type: edit.TypeMap, ID: d.MapsInOrder()[0].ID}, "sides", []string{"", side, "", side}))
		}
		st := world.New(d, chart.New(d, nil), nil)
		start := func() (*play.Game, error) { return play.Start(st, "", proof.Seed) }
		if _, err := start(); err != nil {
			continue
		}
		says := func(s *proof.Steps) string {
			for !s.Step(100_000) {
			}
			out := fmt.Sprintf("exact %t", s.Exact)
			if s.Found != nil {
				out += fmt.Sprintf(", %d steps, fewest %t", s.Found.Steps, s.Found.Fewest)
				if _, ok := proof.Replay(st, s.Found.Walk); !ok {
					out += ", which do not play"
				}
			}
			if s.Situations() > 30_000 || !s.Exact {
				return out // there are too many to know of all, or it is not known of all
			}
			stuck := map[string]bool{}
			for _, trap := range s.Traps(1000) {
				g, _ := start()
				for _, in := range trap.Walk {
					g.Step(in)
				}
				if g.HeroCell() != trap.At {
					out += fmt.Sprintf(", a trap at %v whose walk ends at %v", trap.At, g.HeroCell())
				}
				stuck[fmt.Sprint(g.Hash)] = true
			}
			return out + fmt.Sprintf(", stuck in %d ways", len(stuck))
		}
		quick := proof.NewSteps(st, start, nil)
		played := proof.NewSteps(st, start, nil).Played()
		if b, a := says(played), says(quick); !strings.HasPrefix(a, b) {
			t.Errorf("seed %d: %s; played it is: %s\n%s", seed, a, b, text)
		}
		if quick.Even() && quick.Situations() < played.Situations() {
			known++
		}
		if quick.Found != nil {
			found++
		}
	}
	if known < worlds/3 || found < worlds/4 {
		t.Errorf("of %d worlds %d have plain ground and %d can be finished", worlds, known, found)
	}
}
