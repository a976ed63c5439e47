package proof_test

import (
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/proof"
	"azzel/core/world"
	"fmt"
	"math/rand/v2"
	"strings"
	"testing"
)

// What is come to over free ground is what a plain search from cell to cell comes to, whatever the size of the map, and round it where it hangs
// together at its sides.
func TestFlood(t *testing.T) {
	r := rand.New(rand.NewPCG(5, 6))
	for n := range 60 {
		w, h := 3+r.IntN(150), 2+r.IntN(40)
		if n%5 == 0 {
			w = 64 * (1 + n%3) // rows of whole words
		}
		rows := make([][]byte, h)
		for y := range rows {
			rows[y] = []byte(strings.Repeat(".", w))
			for x := range rows[y] {
				if r.IntN(10) < n%7 {
					rows[y][x] = '#'
				}
				if r.IntN(60) == 0 {
					rows[y][x] = "csp"[r.IntN(3)]
				}
			}
		}
		at := grid.Point{X: r.IntN(w), Y: r.IntN(h)}
		rows[at.Y][at.X] = '@'
		lines := make([]string, h)
		for y := range rows {
			lines[y] = string(rows[y])
		}
		d := drawn(strings.Join(lines, "\n"))
		round := n%4 == 1
		if m := d.MapsInOrder()[0]; round {
			m.Sides = [4]string{document.SideWrap, document.SideWrap, document.SideWrap, document.SideWrap}
		}
		st := world.New(d, chart.New(d, nil), nil)
		may := proof.Could(st, 0, at)
		seen := map[grid.Point]bool{at: true}
		for todo := []grid.Point{at}; len(todo) > 0; todo = todo[1:] {
			p := todo[0]
			for _, q := range []grid.Point{{X: p.X - 1, Y: p.Y}, {X: p.X + 1, Y: p.Y}, {X: p.X, Y: p.Y - 1}, {X: p.X, Y: p.Y + 1}} {
				if round {
					q.X, q.Y = (q.X+w)%w, (q.Y+h)%h
				}
				if q.X >= 0 && q.Y >= 0 && q.X < w && q.Y < h && !seen[q] && rows[q.Y][q.X] != '#' {
					seen[q] = true
					todo = append(todo, q)
				}
			}
		}
		for y := range h {
			for x := range w {
				p := grid.Point{X: x, Y: y}
				if got := may.Reached(0, p); got != seen[p] {
					t.Fatalf("map %d of %d×%d from %v: %v is come to: %t, plainly: %t\n%s", n, w, h, at, p, got, seen[p], strings.Join(lines, "\n"))
				}
			}
		}
	}
}

// In how few steps cells are come to, row by row: over a wall never, round it in as many as one walks.
func TestReachInSteps(t *testing.T) {
	d := drawn("@..#.\n.#.#.\n.#...\n")
	st := world.New(d, chart.New(d, nil), nil)
	may := proof.Could(st, 0, grid.Point{})
	if got, want := fmt.Sprint(may.Reach(0, grid.Point{})[0].Steps), "[0 1 2 -1 8 1 -1 3 -1 7 2 -1 4 5 6]"; got != want {
		t.Errorf("cells are come to in %s steps, wanted %s", got, want)
	}
}
