package proof_test

import (
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/proof"
	"azzel/core/sample"
	"azzel/core/world"
	"math/rand/v2"
	"os"
	"strconv"
	"strings"
	"testing"
)

// chambers draws a small world of rooms with walls, ways, locks and keys between them.
func chambers(r *rand.Rand) []string {
	across, down := 3+r.IntN(2), 2+r.IntN(2)
	rows := make([][]byte, down*3+1)
	for y := range rows {
		rows[y] = []byte(strings.Repeat("#", across*3+1))
		for x := range rows[y] {
			if x%3 != 0 && y%3 != 0 {
				rows[y][x] = '.'
			}
		}
	}
	locks := 0
	for range across * down * 3 {
		// a place in a wall between two rooms
		i, k, door := 1+r.IntN(across-1), r.IntN(down), grid.Point{}
		door = grid.Point{X: i * 3, Y: k*3 + 1}
		if r.IntN(2) == 0 {
			door = grid.Point{X: r.IntN(across)*3 + 1, Y: (1 + r.IntN(down-1)) * 3}
		}
		switch {
		case rows[door.Y][door.X] != '#':
		case r.IntN(5) > 0 && locks < 8:
			rows[door.Y][door.X] = 'K'
			locks++
		case r.IntN(3) == 0:
			rows[door.Y][door.X] = '.'
		}
	}
	for range 2 + r.IntN(3) {
		rows[1+r.IntN(down)*3+r.IntN(2)][1+r.IntN(across)*3+r.IntN(2)] = 'k'
	}
	rows[1][1], rows[down*3-1][across*3-1] = '@', 'G'
	out := make([]string, len(rows))
	for y := range rows {
		out[y] = string(rows[y])
	}
	return out
}

// Where keys are said to run out, somebody who goes through every situation does not come to the goal; and nearly always where that one
// does not, it is found.
func TestWhereKeysRunOut(t *testing.T) {
	worlds := 400
	if n, err := strconv.Atoi(os.Getenv("AZZEL_WORLDS")); err == nil {
		worlds = n
	}
	dries, can, missed := 0, 0, 0
	for seed := range worlds {
		rows := chambers(rand.New(rand.NewPCG(uint64(seed), 28)))
		e := readWorld(rows)
		if !e.begun || !e.hasGoal {
			continue
		}
		text := strings.Join(rows, "\n")
		d := drawn(text, byCells, fourWays)
		asked, dry := proof.RunOut(world.New(d, chart.New(d, nil), nil))
		switch want := e.fewest(); {
		case dry && want >= 0:
			t.Errorf("seed %d: keys are said to run out, and it takes %d steps\n%s", seed, want, text)
		case dry:
			dries++
		case asked && want < 0:
			missed++
		case asked:
			can++
		}
	}
	if dries < worlds/40 || can < worlds/20 || missed > dries/10 {
		t.Errorf("keys ran out in %d worlds and were said not to in %d; %d can be finished", dries, missed, can)
	}
}

// hall draws rows into the corner of a hall that is too large to be gone through step by step.
func hall(rows string) string {
	all := strings.Split(rows, "\n")
	width := 260
	for y, row := range all {
		all[y] = row + strings.Repeat("#", width-len(row))
	}
	all = append(all, strings.Repeat("#", width))
	for range 130 {
		all = append(all, "#"+strings.Repeat(".", width-2)+"#")
	}
	return strings.Join(all, "\n")
}

// Keys are counted in games that are too large for every situation.
func TestKeysRunOutInLargeGames(t *testing.T) {
	keep := func(d *document.Document) *document.Document {
		m := d.MapsInOrder()[0]
		m.Entities.Each(func(e *document.Entity) {
			if k := d.Kind(document.ID(e.Kind)); k != nil && k.Acts() == kind.Key {
				d = sample.With(d, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}, "values", []kind.Value{{Key: "opens", Value: `"brass"`}}))
			}
		})
		return d
	}
	for _, c := range []struct {
		name, rows string
		change     func(*document.Document) *document.Document
		is         proof.Is
		why        string
		trapped    bool
	}{
		{"three doors, two keys", "##############\n#@kk.K.K.K..G#", nil, proof.Cannot, "“brass” run out before door", false},
		{"three doors, three keys", "##############\n#@kkkK.K.K..G#", nil, proof.Can, "", false},
		{"three doors, two keys that are kept", "##############\n#@kk.K.K.K..G#", keep, proof.Can, "", false},
		{"the next key behind each door", "##############\n#@.k.K.kK.k.K#\n############G#", nil, proof.Can, "", false},
		{"a key less than is wanted", "##############\n#@.k.K.kK...K#\n############G#", nil, proof.Cannot, "run out before", false},
		{"one key, and a door too many", "##############\n#@.k.K......G#\n#.############\n#K############\n#.############", nil, proof.Can, "", true},
		{"keys in hand, and too few once one is wasted", "##############\n#@kkkK.K.K..G#\n#K############\n#.############", nil, proof.Can, "", true},
		{"a key behind each of two doors, and both wanted", "##############\n#k@.K.k.K.K.G#\n#...##########\n#K############\n#.############", nil, proof.Cannot, "run out before", false},
	} {
		d := drawn(hall(c.rows), byCells, fourWays)
		if c.change != nil {
			d = c.change(d)
		}
		s := studied(t, d)
		if s.Answer.Is != c.is || !strings.Contains(s.Answer.Why, c.why) {
			t.Errorf("%s: %s, %q; wanted %s, %q", c.name, s.Answer.Is, s.Answer.Why, c.is, c.why)
		}
		if c.is == proof.Cannot && (len(s.Missing) != 1 || s.Missing[0].Thing != s.Answer.By) {
			t.Errorf("%s: missing is %+v, and the answer is of %d", c.name, s.Missing, s.Answer.By)
		}
		if c.trapped != (len(s.Traps) > 0) {
			t.Errorf("%s: there are %d places where one is stuck", c.name, len(s.Traps))
		}
		for _, trap := range s.Traps {
			falls(t, c.name, s.Stage(), trap)
		}
	}
}
