package proof_test

import (
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/proof"
	"azzel/core/sample"
	"azzel/core/world"
	"bytes"
	"math/rand/v2"
	"strings"
	"testing"
	"time"
)

// maze is a map of n×n cells with walls at random, a spawn and a goal at its corners.
func maze(n int) string {
	r := rand.New(rand.NewPCG(1, 2))
	rows := make([]string, n)
	for y := range rows {
		row := []byte(strings.Repeat(".", n))
		for x := range row {
			if r.IntN(4) == 0 {
				row[x] = '#'
			}
		}
		rows[y] = string(row)
	}
	rows[0] = "@." + rows[0][2:]
	rows[n-1] = rows[n-1][:n-2] + ".G"
	return strings.Join(rows, "\n")
}

// BenchmarkFacts prints what could be on 512×512 cells, beside a plain breadth-first search over them.
func BenchmarkFacts(b *testing.B) {
	const n = 512
	text := maze(n)
	d := drawn(text)
	st := world.New(d, chart.New(d, nil), nil)
	m := world.Ref(0)
	for i, g := range st.Grounds {
		if g.Name == "Drawn" {
			m = world.Ref(i)
		}
	}
	proof.Could(st, m, grid.Point{}) // the ground is known from then on
	walls := make([]bool, n*n)
	for i, c := range strings.ReplaceAll(text, "\n", "") {
		walls[i] = c == '#'
	}
	var plain, facts time.Duration
	seen, queue := make([]bool, n*n), make([]int32, 1, n*n) // made once, so that no memory of it is looked for in what is measured
	b.ResetTimer()
	for range b.N {
		from := time.Now()
		clear(seen)
		queue = queue[:1]
		seen[0] = true
		for k := 0; k < len(queue); k++ {
			i := int(queue[k])
			for _, o := range [4]int{i - n, i + n, i - 1, i + 1} {
				if o >= 0 && o < n*n && !(o == i-1 && i%n == 0) && !(o == i+1 && o%n == 0) && !seen[o] && !walls[o] {
					seen[o] = true
					queue = append(queue, int32(o))
				}
			}
		}
		plain += time.Since(from)
		from = time.Now()
		proof.Could(st, m, grid.Point{})
		facts += time.Since(from)
	}
	b.ReportMetric(float64(facts.Microseconds())/float64(b.N)/1000, "ms/facts")
	b.ReportMetric(float64(facts)/float64(plain), "×plain")
}

// BenchmarkSteps prints how many situations a second are come to, in a yard with a block and a plate, and how long it takes to
// know the fewest steps, beside the explorer of the tests, which plays nothing.
func BenchmarkSteps(b *testing.B) {
	const yard = "##########\n#@.......#\n#.b......#\n#........#\n#...p....#\n#######D##\n######..G#\n##########"
	d := drawn(yard, byCells, fourWays)
	st := world.New(d, chart.New(d, nil), nil)
	var took, plain time.Duration
	situations, found := 0, 0
	for range min(b.N, 3) {
		from := time.Now()
		s := proof.NewSteps(st, func() (*play.Game, error) { return play.Start(st, "", proof.Seed) }, nil)
		for !s.Step(10_000) && (s.Found == nil || !s.Found.Fewest) {
		}
		took += time.Since(from)
		situations += s.Situations()
		if s.Found != nil {
			found = s.Found.Steps
		}
		from = time.Now()
		readWorld(strings.Split(yard, "\n")).fewest()
		plain += time.Since(from)
	}
	b.ReportMetric(float64(situations)/took.Seconds(), "situations/s")
	b.ReportMetric(float64(took)/float64(plain), "×plain")
	b.ReportMetric(float64(found), "steps")
}

// BenchmarkPairs prints how many pairs of a cell and what is so are gone through in a second, in a field of 128×96 cells with nine things to
// be taken in any order before its goal works, beside a plain breadth-first search over the same pairs.
func BenchmarkPairs(b *testing.B) {
	const w, h, things = 128, 96, 9
	r := rand.New(rand.NewPCG(5, 6))
	rows := make([][]byte, h)
	for y := range rows {
		rows[y] = []byte(strings.Repeat(".", w))
		for x := range rows[y] {
			if r.IntN(8) == 0 {
				rows[y][x] = '#'
			}
		}
	}
	rows[0][0], rows[h-1][w-1] = '@', 'G'
	for n := 0; n < things; {
		if x, y := 2+r.IntN(w-4), 2+r.IntN(h-4); rows[y][x] == '.' {
			rows[y][x] = 'c'
			n++
		}
	}
	text := string(bytes.Join(rows, []byte("\n")))
	d := drawn(text, byCells, fourWays)
	d = sample.With(d, edit.Set(edit.Ref{Type: edit.TypeProject}, "gameValues", []kind.Value{{Key: kind.GameGoal, Value: kind.Of(kind.GoalCollects)}, {Key: kind.GameWonWith, Value: kind.Of(kind.Collectible)}}))
	st := world.New(d, chart.New(d, nil), nil)
	var took, plain time.Duration
	pairs, steps, fewest := 0, 0, 0
	for range min(b.N, 3) {
		from := time.Now()
		s := proof.NewSteps(st, func() (*play.Game, error) { return play.Start(st, "", proof.Seed) }, nil)
		for !s.Step(10_000) && (s.Found == nil || !s.Found.Fewest) {
		}
		took += time.Since(from)
		if pairs += s.Pairs(); s.Found != nil {
			steps = s.Found.Steps
		}
		from = time.Now()
		fewest = gathered(rows, things)
		plain += time.Since(from)
	}
	// the last thing is taken when the hero's box touches it, which is before its middle is in that cell
	if steps != fewest && steps != fewest-1 {
		b.Errorf("it takes %d steps, and the plain search says %d", steps, fewest)
	}
	b.ReportMetric(float64(pairs)/took.Seconds()/1e6, "Mpairs/s")
	b.ReportMetric(float64(took)/float64(plain), "×plain")
}

// gathered is in how many steps everything in a field is taken, by a breadth-first search over cells and what is taken.
func gathered(rows [][]byte, things int) int {
	w, h := len(rows[0]), len(rows)
	bit := make([]int32, w*h)
	n := 0
	for y, row := range rows {
		for x, c := range row {
			if c == 'c' {
				bit[y*w+x] = 1 << n
				n++
			}
		}
	}
	all := int32(1)<<things - 1
	far := make([]int32, w*h<<things)
	far[0] = 1
	todo := []int32{0}
	for k := 0; k < len(todo); k++ {
		at, has := todo[k]>>things, todo[k]&all
		if has == all {
			return int(far[todo[k]]) - 1
		}
		x, y := int(at)%w, int(at)/w
		for _, way := range [4][2]int{{0, -1}, {1, 0}, {0, 1}, {-1, 0}} {
			u, v := x+way[0], y+way[1]
			if u < 0 || v < 0 || u >= w || v >= h || rows[v][u] == '#' {
				continue
			}
			if to := int32(v*w+u)<<things | has | bit[v*w+u]; far[to] == 0 {
				far[to] = far[todo[k]] + 1
				todo = append(todo, to)
			}
		}
	}
	return -1
}

// BenchmarkLookUp prints how many situations of a game are looked up in a second among a million that are known.
func BenchmarkLookUp(b *testing.B) {
	d := drawn("@..c..G", byCells, fourWays)
	st := world.New(d, chart.New(d, nil), nil)
	begin := func() (*play.Game, error) { return play.Start(st, "", proof.Seed) }
	g, err := begin()
	if err != nil {
		b.Fatal(err)
	}
	const times = 2_000_000
	found, took := proof.NewSteps(st, begin, nil).LookUp(g, times)
	if found == 0 || found == times {
		b.Errorf("%d of %d are known", found, times)
	}
	b.ReportMetric(times/took.Seconds()/1e6, "Msituations/s")
}

// BenchmarkStroke prints how long it takes after a stroke of one wall on 512×512 cells until the stage is made and all is known again that
// could be.
func BenchmarkStroke(b *testing.B) {
	const n = 512
	d := drawn(maze(n))
	m := d.MapsInOrder()[0]
	var walls document.ID
	for _, l := range m.LayersInOrder() {
		if l.Kind == document.LayerTiles && !l.Cells.Empty() {
			walls = l.ID
		}
	}
	ch := chart.New(d, nil)
	st := world.New(d, ch, nil)
	proof.Could(st, 0, grid.Point{})
	var stage, facts time.Duration
	for i := range b.N {
		at := &grid.Region{}
		at.Add(grid.Point{X: 20 + i*37%400, Y: 20 + i*91%400})
		d = sample.With(d, sample.Paint(m.ID, walls, at, sample.Wall))
		ch = chart.New(d, ch)
		from := time.Now()
		st = world.New(d, ch, st)
		stage += time.Since(from)
		from = time.Now()
		proof.Could(st, 0, grid.Point{})
		facts += time.Since(from)
	}
	b.ReportMetric(float64(stage.Microseconds())/float64(b.N)/1000, "ms/stage")
	b.ReportMetric(float64(facts.Microseconds())/float64(b.N)/1000, "ms/facts")
}

// BenchmarkRoom prints how long it takes until it is known that a room of 16×16 cells with two blocks and two plates can be finished.
func BenchmarkRoom(b *testing.B) {
	d := drawn(rooms[0].rows, byCells, fourWays)
	st := world.New(d, chart.New(d, nil), nil)
	for range b.N {
		s := proof.New(st)
		for s.Step(5000) == nil {
		}
	}
	b.ReportMetric(float64(b.Elapsed().Microseconds())/float64(b.N)/1000, "ms/decided")
}

// BenchmarkUnfinishable prints of how many small worlds that cannot be finished, of those drawn at random, facts alone say so, and of how
// many the whole study does.
func BenchmarkUnfinishable(b *testing.B) {
	all, byFacts, byStudy := 0, 0, 0
	for seed := range 600 {
		rows := pushed(rand.New(rand.NewPCG(uint64(seed), 15)))
		if e := readWorld(rows); !e.begun || !e.hasGoal || e.fewest() >= 0 {
			continue
		}
		all++
		d := drawn(strings.Join(rows, "\n"), byCells, fourWays)
		s := proof.NewStudy(world.New(d, chart.New(d, nil), nil), nil)
		for s.Answer == nil {
			s.Step(5000)
		}
		if s.Answer.Is == proof.Cannot {
			byFacts++
		}
		for !s.Step(5000) {
		}
		if s.Answer.Is == proof.Cannot {
			byStudy++
		}
	}
	b.ReportMetric(float64(100*byFacts)/float64(all), "%facts")
	b.ReportMetric(float64(100*byStudy)/float64(all), "%study")
	b.ReportMetric(float64(all), "worlds")
}
