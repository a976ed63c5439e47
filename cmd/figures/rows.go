package main

import "strings"

// row is a line of the table: a figure, in what it is told, and what was promised.
type row struct {
	name, key string
	// over is the figure that it is a ratio to, empty for none.
	over         string
	unit, wanted string
	// factor is what it is multiplied with, 0 for 1.
	factor float64
}

func (r row) times() float64 {
	if r.factor == 0 {
		return 1
	}
	return r.factor
}

// pace is what brings a figure to how fast the machine was on which the measures were set, from what a plain write of a million cells and a
// plain insert took here, in milliseconds; 0 for what is no time.
func (r row) pace(write, insert float64) float64 {
	there, here := writeThere, write
	for _, stored := range []string{"StoreOneEdit", "FiftyDesigners", "Burst", "50 open sockets"} {
		if strings.HasPrefix(r.key, stored) {
			there, here = insertThere, insert
		}
	}
	switch {
	case here == 0:
		return 0
	case r.unit == "ms" || r.unit == "s" || r.unit == "µs":
		return there / here
	case strings.HasSuffix(r.key, "/s"):
		return here / there
	}
	return 0
}

// what an event and its frame took.
const frame = " | with their frame p95"

var rows = []row{
	{"An edit stored, committed, p95", "StoreOneEdit ms/edit-p95", "", "ms", "≤ 5", 0},
	{"… beside a plain insert", "StoreOneEdit ×plain-insert", "", "×", "≤ 3", 0},
	{"1,000 edits a second of 50 designers, p95", "FiftyDesigners ms/edit-p95", "", "ms", "≤ 30", 0},
	{"… over 50 sockets, there and back", "50 open sockets | edits, there and back | p95", "", "ms", "≤ 30", 0},
	{"… memory of the server, at the most", "50 open sockets | memory | at the most", "", "MB", "≤ 150", 0},
	{"10,000 edits at once", "Burst s/10000", "", "s", "≤ 2", 0},
	{"Strokes, 512×512 cells of six layers, p95", "512×512 map of six layers | strokes" + frame, "", "ms", "≤ 8", 0},
	{"… one of thousands of cells", "512×512 map of six layers | one long stroke" + frame, "", "ms", "≤ 8", 0},
	{"… of a material", "512×512 map of six layers | strokes of a material" + frame, "", "ms", "≤ 8", 0},
	{"Ghost", "512×512 map of six layers | ghost" + frame, "", "ms", "≤ 8", 0},
	{"Ghost of a fill", "512×512 map of six layers | ghost of a fill" + frame, "", "ms", "≤ 8", 0},
	{"Pan", "512×512 map of six layers | pan" + frame, "", "ms", "≤ 8", 0},
	{"Zoom", "512×512 map of six layers | zoom" + frame, "", "ms", "≤ 8", 0},
	{"A fill of 1024×1024 cells, done in view", "a fill of 1024×1024 cells | filled | done in view after", "", "ms", "≤ 200", 0},
	{"… wholly drawn", "a fill of 1024×1024 cells | filled | all drawn after", "", "ms", "≤ 1000", 0},
	{"… its longest task", "a fill of 1024×1024 cells | filled | longest task", "", "ms", "≤ 50", 0},
	{"… undone, done in view", "a fill of 1024×1024 cells | undone | done in view after", "", "ms", "≤ 200", 0},
	{"… undone, wholly drawn", "a fill of 1024×1024 cells | undone | all drawn after", "", "ms", "≤ 1000", 0},
	{"… its ghost", "a fill of 1024×1024 cells | its ghost" + frame, "", "ms", "≤ 16", 0},
	{"10,000 entities: pan", "10,000 entities on a map | pan" + frame, "", "ms", "≤ 8", 0},
	{"… pan of all", "10,000 entities on a map | pan of the whole map" + frame, "", "ms", "≤ 16", 0},
	{"… zoom to all", "10,000 entities on a map | zoom, to the whole map" + frame, "", "ms", "≤ 16", 0},
	{"… hover", "10,000 entities on a map | hover" + frame, "", "ms", "≤ 8", 0},
	{"… drag of all", "10,000 entities on a map | drag what is selected" + frame, "", "ms", "≤ 8", 0},
	{"… a box over all", "10,000 entities on a map | select all by a box" + frame, "", "ms", "≤ 16", 0},
	{"1,000 maps and 3,000 passages: zoom", "1,000 maps with 3,000 passages on the chart | zoom" + frame, "", "ms", "≤ 16", 0},
	{"… hover", "1,000 maps with 3,000 passages on the chart | hover | p95", "", "ms", "≤ 16", 0},
	{"… drag a map, the first time", "1,000 maps with 3,000 passages on the chart | drag a map" + frame, "", "ms", "≤ 16", 0},
	{"… and others after it", "1,000 maps with 3,000 passages on the chart | drag others" + frame, "", "ms", "≤ 16", 0},
	{"2,000 entities put down, the first time", "2,000 entities at once | put down" + frame, "", "ms", "≤ 50", 0},
	{"… and again", "2,000 entities at once | put down again" + frame, "", "ms", "≤ 50", 0},
	{"A small project opened", "a project of 1 maps", "", "ms", "≤ 500", 0},
	{"… 1,000 maps", "a project of 1000 maps", "", "ms", "", 0},
	{"… 1024×1024 cells of four layers", "opening 1024×1024 cells of 4 layers | first picture | after", "", "ms", "≤ 1500", 0},
	{"… 2048×2048 cells of eight layers", "opening 2048×2048 cells of 8 layers | first picture | after", "", "ms", "≤ 4000", 0},
	{"The module, as it is sent", "the module | compressed | as it is sent", "", "MB", "≤ 3", 0},
	{"All limits at once: opened", "opening all limits at once | first picture | after", "", "ms", "", 0},
	{"… a stroke", "all limits at once | strokes again" + frame, "", "ms", "", 0},
	{"… hover", "all limits at once | hover" + frame, "", "ms", "", 0},
	{"… a frame of play", "all limits at once | play, 120 frames" + frame, "", "ms", "", 0},
	{"… held by the server", "all limits at once | held | by the server", "", "MB", "", 0},
	{"… and by the page", "all limits at once | held | by the core", "", "MB", "", 0},
	{"A million cells filled, uniform, beside a plain write", "FillMillion/uniform ns/op", "FillMillion/baseline-write ns/op", "×", "≤ 3", 0},
	{"… in the module", "ModuleFillMillion/uniform ns/op", "", "ms", "≤ 6", 1e-6},
	{"… beside native", "ModuleFillMillion/uniform ns/op", "FillMillion/uniform ns/op", "×", "≤ 2", 0},
	{"… in a noisy map", "FillMillion/noisy ns/op", "FillMillion/baseline-write ns/op", "×", "≤ 15", 0},
	{"… the same in the module, beside native", "ModuleFillMillion/noisy ns/op", "FillMillion/noisy ns/op", "×", "≤ 2", 0},
	{"A stroke of 10,000 cells led on by a cell: its preview", "StrokePreview/on/10000 ns/op", "", "ms", "", 1e-6},
	{"Telling it whole, beside that", "StrokePreview/whole/10000 ns/op", "StrokePreview/on/10000 ns/op", "×", "", 0},
	{"… allocated for leading it on", "StrokePreview/on/10000 B/op", "", "KB", "", 1.0 / 1024},
	{"Solids of 1024×1024 cells of four layers merged", "MergeSolids/merge-1024x1024x4 ns/op", "", "ms", "≤ 60", 1e-6},
	{"… in the module, beside native", "ModuleMergeSolids/merge-1024x1024x4 ns/op", "MergeSolids/merge-1024x1024x4 ns/op", "×", "≤ 2", 0},
	{"A million cells of a material fitted", "RefitMillion/both ns/op", "", "ms", "≤ 90", 1e-6},
	{"… in the module, beside native", "ModuleRefitMillion/both ns/op", "RefitMillion/both ns/op", "×", "≤ 2", 0},
	{"What could be, 512×512 cells", "Facts ms/facts", "", "ms", "≤ 1", 0},
	{"… beside a breadth-first search", "Facts ×plain", "", "×", "", 0},
	{"… in the module", "ModuleFacts ms/facts", "", "ms", "≤ 2", 0},
	{"… beside native", "ModuleFacts ms/facts", "Facts ms/facts", "×", "", 0},
	{"… after a stroke, with the ground anew", "Stroke ms/facts", "", "ms", "≤ 3", 0},
	{"Pairs of cell and situation, millions a second", "Pairs Mpairs/s", "", "", "≥ 10", 0},
	{"… beside a breadth-first search over them", "Pairs ×plain", "", "×", "", 0},
	{"Situations looked up among a million, millions a second", "LookUp Msituations/s", "", "", "≥ 1", 0},
	{"A room of two blocks and two plates decided", "Room ms/decided", "", "ms", "≤ 100", 0},
	{"Unfinishable small worlds: *cannot* by facts alone", "Unfinishable %facts", "", "%", "≥ 70", 0},
	{"… by the whole study", "Unfinishable %study", "", "%", "≥ 95", 0},
	{"The demo proven", "Proof/proven ns/op", "", "s", "≤ 0.2", 1e-9},
	{"… its walk played again, as after a stroke", "Proof/walk ns/op", "", "ms", "≤ 30", 1e-6},
	{"… without two things that are needed: *not decided*, after", "Proof/undecided s/undecided", "", "s", "≤ 10", 0},
	{"Findings after a cell, 512×512 cells", "Findings ms/cell", "", "ms", "≤ 30", 0},
	{"Findings of 1,000 maps", "Findings s/1000maps", "", "s", "≤ 5", 0},
	{"A hero alone, millions of ticks a second, from above", "Walkers/above ticks/s", "", "", "≥ 4", 1e-6},
	{"A tick with 500 movers, native", "Crowd/above/500 µs/tick", "", "ms", "", 1e-3},
	{"… event and frame in the browser", "500 movers on a map | play, 300 frames" + frame, "", "ms", "≤ 8", 0},
	{"… with shots, belts, timers and 200 rules, native", "Crowd/above/500-with-shots-belts-timers-and-200-rules µs/tick", "", "ms", "", 1e-3},
	{"… in the module", "ModuleCrowd/above/500-with-shots-belts-timers-and-200-rules µs/tick", "", "ms", "≤ 4", 1e-3},
	{"A look back along the time bar", "PullBack µs/look", "", "µs", "", 0},
	{"Asking all of 2,000 rules, beside finding those that wait for something", "Waiting/plain ns/op", "Waiting/found ns/op", "×", "", 0},
	{"A rule of 200 steps read from its text", "Text/read ns/op", "", "ms", "", 1e-6},
	{"From the title to walking", "the demo as a game | title to walking | ", "", "ms", "", 0},
}
