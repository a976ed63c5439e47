package play_test

import (
	"azzel/answers"
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/sample"
	"azzel/core/world"
	"encoding/json"
	"fmt"
	"math/rand/v2"
	"slices"
	"strings"
	"testing"
)

// Whatever keys are held, a game goes as it went. After a wanted change:
// AZZEL_ANSWERS=1 go test ./core/play.
func TestGamesStay(t *testing.T) {
	list := answers.Read(t, "testdata/answers.txt")
	d := edit.Apply(sample.Full(), &edit.Edit{Do: []edit.Primitive{edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "sides", []string{"wrap", "", "fall", ""})}}).Doc
	st := world.New(d, chart.New(d, nil), nil)
	for seed := range uint64(24) {
		r := rand.New(rand.NewPCG(seed, 7))
		g, err := play.Start(st, sample.Quay, int64(seed))
		if err != nil {
			t.Fatal(err)
		}
		var marks []string
		for range 8 {
			for range 12 {
				in, ticks := play.Input(r.IntN(64)), 3+r.IntN(40)
				for range ticks {
					g.Step(in)
				}
			}
			raw, err := json.Marshal(g.State)
			if err != nil {
				t.Fatal(err)
			}
			marks = append(marks, answers.Sum(string(raw)))
		}
		list.Are(fmt.Sprint(seed), marks, func(k int) string { return fmt.Sprintf("the game of seed %d, part %d", seed, k) })
	}
	for seed := range uint64(60) {
		marks := drawnGame(t, seed)
		list.Are(fmt.Sprintf("drawn.%d", seed), marks, func(k int) string { return fmt.Sprintf("the drawn game of seed %d, part %d", seed, k) })
	}
	list.Write()
}

// crowded puts things that act onto a map by chance.
func crowded(run *run, r *rand.Rand, w, h int) *run {
	kinds := []string{kind.Walker, kind.Walker, kind.Flyer, kind.Character, kind.Platform, kind.Block, kind.Faller, kind.Conveyor, kind.Spring, kind.Beam, kind.Turner, kind.Shooter, kind.Switch, kind.Key, kind.Container, kind.Sign,
		kind.Timer, kind.Source, kind.Charge, kind.Fan, kind.Sensor, kind.Door, kind.Breakable, kind.LaneEntry, kind.Lane, kind.Core, kind.Plot}
	values := []kind.Value{value("range", "2"), value("speed", "4"), value("seeing", `"follows"`), value("seeing", `"flees"`), value("does", `"wanders"`), value("does", `"follows"`), value("does", `"looksAround"`),
		value("says", `"Mind the step."`), value("health", "2"), value("aims", `"atHero"`), value("aims", `"allAround"`), value("every", "700"), value("workedBy", `"step"`), value("workedBy", `"weight"`),
		value("goesBack", `"whenLeft"`), value("goesBack", `"afterAWhile"`), value("turns", `"left"`), value("turns", `"toAndFro"`), value("arms", "3"), value("onFor", "900"), value("offFor", "600"), value("comesBackAfter", "800"), value("pause", "200"),
		value("makes", `[{"of":"walker","odds":2},{"of":"collectible","odds":1}]`), value("makes", `[{"of":"flyer","odds":1}]`), value("inAll", "3"), value("waves", "[1,2]"), value("takes", `[{"of":"walker","odds":0},{"of":"block","odds":1}]`),
		value("goesOff", `"touch"`), value("goesOff", `"blow"`), value("after", "300"), value("notices", `"anything"`), value("closesAgain", "true"), value("again", "false"), value("is", `"oil"`), value("amount", "2"), value("usedUp", "true")}
	for range 12 {
		k := kinds[r.IntN(len(kinds))]
		var own []kind.Value
		for _, v := range values {
			if s := kind.Find(document.ID(k)).Setting(v.Key); s != nil && r.IntN(2) == 0 && !slices.ContainsFunc(own, func(o kind.Value) bool { return o.Key == v.Key }) {
				own = append(own, v)
			}
		}
		run.with(k, r.IntN(w), r.IntN(h), 1+r.IntN(2), 1, r.IntN(5) > 0, document.Facings[r.IntN(4)], own...)
	}
	// one of the switches counts, if there is one
	run.d = apply(run.t, run.d, edit.Insert(edit.Ref{Type: edit.TypeKind, ID: "jarjarjarjar"}, jar(kind.Switch)))
	for _, e := range document.InRank(run.g.Ground().Map.Entities.All()) {
		if e.Kind == kind.Switch {
			run.d = apply(run.t, run.d, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: run.mapID(), ID: e.ID}, "kind", "jarjarjarjar"))
			break
		}
	}
	run.g.Enter(stage(run.d))
	return ruled(run, r)
}

// drawnRun is a game on a map that is drawn by chance, with settings drawn by chance.
func drawnRun(t *testing.T, r *rand.Rand, w, h int) *run {
	t.Helper()
	rows := make([][]byte, h)
	for y := range rows {
		rows[y] = []byte(strings.Repeat(".", w))
		for x := range rows[y] {
			if r.IntN(4) == 0 {
				rows[y][x] = "####/\\-H~^_\"csDG"[r.IntN(16)]
			}
		}
	}
	rows[1+r.IntN(h-3)][1+r.IntN(w-2)] = '@'
	settings := []string{}
	for _, of := range [][]string{{`view="side"`, `view="above"`}, {`walking="cells"`, `walking="turns"`, `walking="free"`}, {`ways="four"`, `ways="eight"`},
		{"sight=3", "sight=6", "sight=0"}, {`wind="left"`, `wind="up"`, `wind="none"`}, {`air="water"`, `air="slowFall"`, `air="plain"`}, {"jump=2", "jump=4"}, {"gravity=12", "gravity=60"},
		{`camera="screens"`, `camera="whole"`, `camera="follows"`}, {"cameraFreeAcross=1", "cameraRight=1"}, {"screenWidth=6", "screenWidth=0"}, {"screenHeight=5"}, {`hero.abilities=["double jump","wall jump"]`, "hero.health=2", "hero.lives=2"}} {
		settings = append(settings, of[r.IntN(len(of))])
	}
	lines := make([]string, h)
	for y := range rows {
		lines[y] = string(rows[y])
	}
	return crowded(drawn(t, strings.Join(lines, "\n"), settings...), r, w, h)
}

// drawnGame plays on a map that is drawn by chance, with settings drawn by chance, and gives
// marks of how it goes: of its state, what was told, what is seen, ways to cells, and what is said of places.
func drawnGame(t *testing.T, seed uint64) (marks []string) {
	r := rand.New(rand.NewPCG(seed, 11))
	const w, h = 14, 10
	g := drawnRun(t, r, w, h).g
	for range 6 {
		var said []any
		for range 10 {
			in, ticks := play.Input(r.IntN(64)), 3+r.IntN(30)
			for range ticks {
				g.Step(in)
				for _, e := range g.Told {
					said = append(said, []any{e.Tick, e.Is, e.Name, e.X, e.Y})
				}
			}
			if now, known, ok := g.Sight(); ok {
				said = append(said, now.Spans(), known.Spans())
			}
			at := grid.Point{X: r.IntN(w), Y: r.IntN(h)}
			said = append(said, g.Route(at), g.About(at.X*16+5, at.Y*16+9), g.HeroCell())
		}
		raw, err := json.Marshal([]any{g.State, said})
		if err != nil {
			t.Fatal(err)
		}
		marks = append(marks, answers.Sum(string(raw)))
	}
	return marks
}
