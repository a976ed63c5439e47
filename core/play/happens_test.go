package play_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/rules"
)

// happens are the happenings, and what brings each about; each wakes its rule once.
var happens = map[string]struct {
	when string
	do   func(r *run)
	with func(r *run)
}{
	rules.WordUse: {"the hero uses switch", func(r *run) { r.press(play.InputUse) }, nil},
	rules.WordWields: {"the hero wields oil", func(r *run) {
		r.take(kind.Item)
		r.leaves(kind.Switch)
		r.leaves(kind.Character)
		r.press(play.InputSlot1)
		r.press(play.InputUse)
	}, nil},
	rules.WordUseOn:  {"the hero uses oil on switch", func(r *run) { r.take(kind.Item); r.press(play.InputSlot1); r.press(play.InputUse) }, nil},
	rules.WordTake:   {"the hero takes collectible", func(r *run) { r.hold(play.InputRight, 40) }, nil},
	rules.WordArrive: {"the hero arrives on Drawn", func(r *run) { r.g.EnterMap(); r.hold(0, 1) }, nil},
	rules.WordGoes: {"the hero leaves Drawn", func(r *run) {
		r.hold(0, 1) // it stands on the map that it leaves
		r.hero().Map = r.g.Stage.MapOf(otherMap)
		r.g.EnterMap()
		r.hold(0, 1)
	}, func(r *run) {
		other := *r.d.Maps.Get(r.mapID())
		other.ID, other.Name = otherMap, "Other"
		r.d = apply(r.t, r.d, edit.Insert(edit.Ref{Type: edit.TypeMap, ID: otherMap}, other))
	}},
	rules.WordSpeak:    {"the hero speaks to character", func(r *run) { r.hold(play.InputDown, 1); r.leaves(kind.Switch); r.press(play.InputUse) }, nil},
	rules.WordHurt:     {"the hero loses hearts", func(r *run) { r.g.Strike(); r.hold(0, 1) }, nil},
	rules.WordEnter:    {"somebody comes to sensor", func(r *run) { r.hold(play.InputRight, 90) }, nil},
	rules.WordLeave:    {"everybody has left sensor", func(r *run) { r.hold(play.InputRight, 160) }, nil},
	rules.WordFalls:    {"walker is defeated", func(r *run) { r.g.Defeat(r.called("walker")); r.hold(0, 1) }, nil},
	rules.WordTurnsOn:  {"switch is turned on", func(r *run) { r.press(play.InputUse) }, nil},
	rules.WordTurnsOff: {"switch is turned off", func(r *run) { r.press(play.InputUse); r.press(play.InputUse) }, nil},
	rules.WordOpens:    {"door is opened", func(r *run) { r.reads(uses + "then\n\topen door"); r.press(play.InputUse) }, nil},
	rules.WordShuts:    {"door is shut", func(r *run) { r.reads(uses + "then\n\topen door\n\tshut door"); r.press(play.InputUse) }, nil},
	rules.WordReaches: {"fullness of sign reaches 3", func(r *run) {
		r.reads(uses + "then\n\tadd 1 to fullness of sign")
		r.press(play.InputUse)
		r.press(play.InputUse)
	}, nil},
	rules.WordRings: {"timer rings", func(r *run) { r.reads(uses + "then\n\tturn on timer"); r.press(play.InputUse); r.hold(0, 30) }, nil},
	rules.WordEnds: {"source has nothing left", func(r *run) {
		r.reads(uses + "then\n\tturn on source")
		r.press(play.InputUse)
		r.hold(0, 30)
		for _, made := range r.made(kind.Source) {
			r.g.Defeat(made)
		}
		r.hold(0, 2)
	}, nil},
	rules.WordBegins: {"a new game begins", func(r *run) {
		g, err := play.Start(r.g.Stage, r.mapID(), 1)
		if err != nil {
			r.t.Fatal(err)
		}
		r.g = g
	}, nil},
	rules.WordHour: {"the hour 9 strikes", func(r *run) { r.hold(0, 70) }, day},
	rules.WordDone: {"the hero finishes Drawn", func(r *run) { r.reads(uses + "then\n\tfinish this map"); r.press(play.InputUse) }, nil},
	rules.WordLoads: {"a kept game is gone on with", func(r *run) {
		g, gone, err := play.Load(r.g.Stage, r.g.Moment())
		if err != nil || gone != 0 {
			r.t.Fatalf("%d things are gone: %v", gone, err)
		}
		r.g = g
	}, nil},
	rules.WordGetsSet:  {"Flag becomes set", func(r *run) { r.reads(uses + "then\n\tset Flag\n\tset Flag"); r.press(play.InputUse) }, nil},
	rules.WordGetsBare: {"Flag becomes cleared", func(r *run) { r.reads(uses + "then\n\tset Flag\n\tclear Flag\n\tclear Flag"); r.press(play.InputUse) }, nil},
	rules.WordCounts:   {"Salt comes to 5", func(r *run) { r.reads(uses + "then\n\tadd 2 to Salt"); r.press(play.InputUse); r.press(play.InputUse) }, nil},
	rules.WordHears:    {"signal bell comes", func(r *run) { r.reads(uses + "then\n\tsend out tide\n\tsend out bell"); r.press(play.InputUse) }, nil},
	rules.WordBrings: {"signal bell brings a number for Salt", func(r *run) {
		r.reads(uses + "then\n\tsend out bell with 9\n\tsend out tide with 4")
		r.press(play.InputUse)
	}, nil},
	rules.WordTouch: {"the hero touches collectible", func(r *run) { r.hold(play.InputRight, 40) }, nil},
	rules.WordPush:  {"the hero pushes block", func(r *run) { r.hold(play.InputRight, 8); r.hold(0, 30) }, block1},
	rules.WordRests: {"block comes to rest", func(r *run) { r.hold(play.InputRight, 8); r.hold(0, 30) }, block1},
	rules.WordGlimpses: {"walker comes to see item", func(r *run) {
		r.hold(0, 2)
		r.reads(uses+"then\n\ttake away item", "when\n\tswitch is turned off\nthen\n\tput item there")
		r.hold(0, 1)
		r.press(play.InputUse)
		r.press(play.InputUse)
		r.hold(0, 2)
	}, nil},
	rules.WordMisses: {"walker sees no more of item", func(r *run) {
		r.hold(0, 2)
		r.reads(uses + "then\n\ttake away item")
		r.hold(0, 1)
		r.press(play.InputUse)
		r.hold(0, 2)
	}, nil},
	rules.WordDrops: {"block begins to fall", func(r *run) {
		for i := range r.g.Bodies {
			r.g.Bodies[i].VY = 0 // as if it had been held
		}
		r.hold(0, 20)
	}, falling},
	rules.WordLooksAt: {"the hero looks at character", func(r *run) { r.hold(0, 2); r.hold(play.InputRight, 1); r.hold(play.InputDown, 1) }, nil},
	rules.WordStrike: {"the hero strikes any \"Walking enemy\"", func(r *run) { r.leaves(kind.Character); r.leaves(kind.Switch); r.press(play.InputUse) }, func(r *run) {
		r.with(kind.Walker, 0, 1, 1, 1, false, document.Down, value("range", "0"))
	}},
	rules.WordGain:      {"the hero gains oil", func(r *run) { r.hold(play.InputRight, 140) }, nil},
	rules.WordLosesLife: {"the hero loses a life", func(r *run) { r.reads(uses + "then\n\ttake 3 hearts from the hero"); r.press(play.InputUse) }, nil},
	rules.WordComesBack: {"the hero comes back", func(r *run) {
		r.reads(uses + "then\n\ttake 3 hearts from the hero")
		r.press(play.InputUse)
		r.hold(0, 60)
	}, nil},
	rules.WordSpots:      {"walker sees the hero", func(r *run) { r.hold(0, 2) }, nil},
	rules.WordLosesSight: {"walker loses sight of the hero", func(r *run) { r.reads(uses + "then\n\tdisable walker"); r.press(play.InputUse); r.hold(0, 2) }, nil},
	rules.WordNoneLeft:   {"no Item is left", func(r *run) { r.reads(uses + "then\n\ttake away item"); r.press(play.InputUse) }, nil},
	rules.WordPoint: {"platform comes to point 2", func(r *run) { r.hold(0, 100) }, func(r *run) {
		path := document.Entity{ID: "pathpathpath", Layer: r.layer(), Kind: kind.Path, Name: "path", X: 32, Y: 32, W: 16, H: 16, Facing: document.Down,
			Points: []grid.Point{{X: 32}}, Values: []kind.Value{value("goes", `"once"`)}, Rank: 300}
		r.d = apply(r.t, r.d, edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: r.mapID(), ID: path.ID}, path))
		r.with(kind.Platform, 2, 2, 1, 1, true, document.Down, value("path", `"pathpathpath"`))
	}},
	rules.WordTurnsInto: {"character turns from \"as it is now\" to Glad", func(r *run) { r.hold(0, 2) }, nil},
	rules.WordEvery:     {"every 1 s", func(r *run) { r.hold(0, 61) }, nil},
}

// otherMap is a map beside the one that is played.
const otherMap = "othermapothe"

// falling has a block in the air of a map that is seen from the side.
func falling(r *run) {
	r.d = apply(r.t, r.d, edit.Set(edit.Ref{Type: edit.TypeMap, ID: r.mapID()}, "values", []kind.Value{{Key: kind.MapView, Value: kind.Of("side")}}))
	r.with(kind.Block, 8, 1, 1, 1, false, document.Down)
}

// block1 puts a block beside the hero.
func block1(r *run) { r.with(kind.Block, 1, 0, 1, 1, false, document.Down) }
