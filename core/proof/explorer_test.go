package proof_test

import (
	"azzel/core/grid"
	"azzel/core/proof"
	"fmt"
	"math/rand/v2"
	"os"
	"strconv"
	"strings"
	"testing"
)

// The explorer is a second, simple account of small games from above, written apart from the engine and from the proof: a hero goes
// from cell to cell, pushes blocks one cell, holds a door open by a plate that it or a block stands on, takes keys and uses each
// on one door. It goes through every situation, level by level.
type explorer struct {
	w, h           int
	walls          []bool
	plates         []grid.Point
	held           []grid.Point // doors that plates hold open
	locks          []grid.Point
	keys           []grid.Point
	start, goal    grid.Point
	blocks         []grid.Point
	hasGoal, begun bool
}

type explored struct {
	at     grid.Point
	blocks string
	keys   uint8 // that were taken
	used   uint8 // how many
	open   uint8 // locks
}

func readWorld(rows []string) *explorer {
	e := &explorer{w: len(rows[0]), h: len(rows)}
	e.walls = make([]bool, e.w*e.h)
	for y, row := range rows {
		for x, c := range row {
			p := grid.Point{X: x, Y: y}
			switch c {
			case '#':
				e.walls[y*e.w+x] = true
			case '@':
				e.start, e.begun = p, true
			case 'G':
				e.goal, e.hasGoal = p, true
			case 'b':
				e.blocks = append(e.blocks, p)
			case 'p':
				e.plates = append(e.plates, p)
			case 'D':
				e.held = append(e.held, p)
			case 'K':
				e.locks = append(e.locks, p)
			case 'k':
				e.keys = append(e.keys, p)
			}
		}
	}
	return e
}

func (e *explorer) pack(blocks []grid.Point) string { return fmt.Sprint(blocks) }

// fewest is the fewest steps to the goal; −1 where there is no way.
func (e *explorer) fewest() int {
	type node struct {
		explored
		list  []grid.Point
		steps int
	}
	index := func(all []grid.Point, p grid.Point) int {
		for i, q := range all {
			if q == p {
				return i
			}
		}
		return -1
	}
	first := node{explored: explored{at: e.start, blocks: e.pack(e.blocks)}, list: e.blocks}
	levels, done := [][]node{{first}}, map[explored]bool{}
	put := func(n node) {
		for len(levels) <= n.steps {
			levels = append(levels, nil)
		}
		levels[n.steps] = append(levels[n.steps], n)
	}
	for level := 0; level < len(levels); {
		if len(levels[level]) == 0 {
			level++
			continue
		}
		n := levels[level][0]
		if levels[level] = levels[level][1:]; done[n.explored] {
			continue
		}
		done[n.explored] = true
		if n.at == e.goal {
			return n.steps
		}
		weighed := func(blocks []grid.Point, at grid.Point) bool {
			for _, p := range e.plates {
				if at == p || index(blocks, p) >= 0 {
					return true
				}
			}
			return false
		}
		// whoever stands on a plate can step into the door that it holds open
		solid := func(p grid.Point, n *node, open uint8, by grid.Point) bool {
			if p.X < 0 || p.Y < 0 || p.X >= e.w || p.Y >= e.h || e.walls[p.Y*e.w+p.X] {
				return true
			}
			if i := index(e.locks, p); i >= 0 && open>>i&1 == 0 {
				return true
			}
			return index(e.held, p) >= 0 && !weighed(n.list, by)
		}
		for _, d := range []grid.Point{{Y: -1}, {X: 1}, {Y: 1}, {X: -1}} {
			to := grid.Point{X: n.at.X + d.X, Y: n.at.Y + d.Y}
			next := n
			if i := index(e.locks, to); i >= 0 && n.open>>i&1 == 0 {
				taken := 0
				for k := range e.keys {
					taken += int(n.keys >> k & 1)
				}
				if taken <= int(n.used) {
					continue
				}
				next.open |= 1 << i
				next.used++
			}
			if solid(to, &n, next.open, n.at) {
				continue
			}
			if i := index(n.list, to); i >= 0 {
				beyond := grid.Point{X: to.X + d.X, Y: to.Y + d.Y}
				if solid(beyond, &n, n.open, n.at) || index(n.list, beyond) >= 0 {
					continue
				}
				// who pushes stands still, and goes after it or not
				next.list = append([]grid.Point{}, n.list...)
				next.list[i] = beyond
				next.blocks = e.pack(next.list)
				put(next)
				continue
			}
			next.at, next.steps = to, n.steps+1
			if i := index(e.keys, to); i >= 0 {
				next.keys |= 1 << i
			}
			next.blocks = e.pack(next.list)
			put(next)
		}
	}
	return -1
}

// pushed draws a small world with blocks, a plate and its door, keys and locks.
func pushed(r *rand.Rand) []string {
	w, h := 6+r.IntN(3), 5+r.IntN(2)
	rows := make([][]byte, h)
	for y := range rows {
		rows[y] = []byte(strings.Repeat(".", w))
		for x := range rows[y] {
			if x == 0 || y == 0 || x == w-1 || y == h-1 || r.IntN(3+r.IntN(5)) == 0 {
				rows[y][x] = '#'
			}
		}
	}
	letters := []string{"@G", "@Gb", "@GbpD", "@GkK", "@GkKbpD", "@GkKK", "@GbbpD", "@GkkKK"}[r.IntN(8)]
	for _, c := range []byte(letters) {
		rows[1+r.IntN(h-2)][1+r.IntN(w-2)] = c
	}
	out := make([]string, h)
	for y := range rows {
		out[y] = string(rows[y])
	}
	return out
}

// The proof agrees with the explorer on small worlds drawn at random: whether they can be finished, and in how few steps. In the
// normal run 200 of them; AZZEL_WORLDS=5000 goes on.
func TestTheProofAgreesWithTheExplorer(t *testing.T) {
	worlds := 200
	if n, err := strconv.Atoi(os.Getenv("AZZEL_WORLDS")); err == nil {
		worlds = n
	}
	can, cannot := 0, 0
	for seed := range worlds {
		rows := pushed(rand.New(rand.NewPCG(uint64(seed), 15)))
		e := readWorld(rows)
		if !e.begun || !e.hasGoal {
			continue
		}
		want, text := e.fewest(), strings.Join(rows, "\n")
		s := studied(t, drawn(text, byCells, fourWays))
		a := s.Answer
		switch {
		case want < 0 && a.Is == proof.Can, want >= 0 && a.Is != proof.Can:
			t.Errorf("seed %d: %s (%s), and the explorer says %d\n%s", seed, a.Is, a.Why, want, text)
		case want < 0 && a.Is != proof.Cannot:
			t.Errorf("seed %d: %s (%s), and nothing leads there\n%s", seed, a.Is, a.Why, text)
		case want >= 0 && (!a.Fewest || a.Steps != want && a.Steps != want-1):
			// a goal is reached as its side is touched, which can be a step before its cell
			t.Errorf("seed %d: in %d steps (fewest: %t), and the explorer has %d\n%s", seed, a.Steps, a.Fewest, want, text)
		case want < 0:
			cannot++
		default:
			can++
		}
		for _, trap := range s.Traps {
			falls(t, fmt.Sprint("seed ", seed), s.Stage(), trap)
		}
	}
	if can < worlds/5 || cannot < worlds/25 {
		t.Errorf("%d can and %d cannot be finished: they say little", can, cannot)
	}
}
