package session_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/sample"
	"azzel/core/session"
	"encoding/binary"
	"encoding/json"
	"testing"
)

// shownGame is a game as the page is told of it: the view, and what its frame says, by the names that were told.
type shownGame struct {
	t     *testing.T
	s     *session.Session
	named map[int]session.Named
	session.View
	bodies, party, shots, rays, heroX, heroY int
	moved                                    map[document.ID]session.Moved
	// told are the lists that the last view had.
	told                map[string]bool
	firstShot, firstRay [4]int
}

func (g *shownGame) call(method string, a any) *shownGame {
	g.t.Helper()
	raw, err := g.s.Call(method, edit.JSON(a))
	before := g.View
	g.View = session.View{}
	if err == nil {
		err = json.Unmarshal(raw, &g.View)
	}
	if err != nil {
		g.t.Fatal(err)
	}
	g.keep(before)
	if g.Renamed || g.named == nil {
		g.named = map[int]session.Named{}
	}
	for _, n := range g.Named {
		if _, twice := g.named[n.Number]; twice {
			g.t.Errorf("%s is named twice", n.ID)
		}
		g.named[n.Number] = n
	}
	all := make([]byte, 1<<16)
	all = all[:g.s.Frame(all)]
	next := func() int {
		n := int(int32(binary.LittleEndian.Uint32(all)))
		all = all[4:]
		return n
	}
	g.bodies, g.party, g.shots, g.rays, g.heroX, g.heroY = next(), next(), next(), next(), next(), next()
	next()
	next()
	g.moved = map[document.ID]session.Moved{}
	for range g.bodies {
		n, known := g.named[next()]
		m := session.Moved{Map: n.Map, ID: n.ID, X: next() / play.Sub, Y: next() / play.Sub, Steps: int32(next()), Beat: int64(next())}
		word := next()
		m.Facing = document.Facings[word&3]
		if word>>8 > 0 {
			m.Pose = kind.Poses[word>>8-1]
		}
		if !known {
			g.t.Errorf("a body at %d, %d is nobody's", m.X, m.Y)
		}
		g.moved[m.ID] = m
	}
	for range g.party {
		next()
		next()
	}
	for i := range g.shots {
		shot := [4]int{next(), next(), next(), next()}
		if i == 0 {
			g.firstShot = shot
		}
	}
	for i := range g.rays {
		ray := [4]int{next(), next(), next(), next()}
		if i == 0 {
			g.firstRay = ray
		}
	}
	if len(all) > 0 {
		g.t.Errorf("%d bytes are left of the frame", len(all))
	}
	return g
}

// keep takes over the lists that were left out, and remembers which were told.
func (g *shownGame) keep(before session.View) {
	now := &g.View
	g.told = map[string]bool{}
	kept(g, "gone", &now.Gone, before.Gone)
	kept(g, "on", &now.On, before.On)
	kept(g, "looks", &now.Looks, before.Looks)
	kept(g, "lights", &now.Lights, before.Lights)
	kept(g, "emitters", &now.Emitters, before.Emitters)
	kept(g, "slots", &now.Slots, before.Slots)
	kept(g, "shown", &now.Shown, before.Shown)
	kept(g, "heard", &now.Heard, before.Heard)
	kept(g, "guises", &now.Guises, before.Guises)
	kept(g, "lifted", &now.Lifted, before.Lifted)
}

func kept[T any](g *shownGame, name string, now *[]T, before []T) {
	if g.told[name] = *now != nil; *now == nil {
		*now = before
	}
}

// A frame tells where all is that moves, whose it is was told once, and again when an edit numbers things anew.
func TestFrames(t *testing.T) {
	d := sample.World()
	at := func(id document.ID, k string, x, y int, values ...kind.Value) edit.Primitive {
		return edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: id}, document.Entity{ID: id, Layer: sample.Entities, Kind: k, Name: k, X: x, Y: y, W: 16, H: 16, Facing: document.Right, On: true, Rank: 50, Values: values})
	}
	d = edit.Apply(d, &edit.Edit{Do: []edit.Primitive{at("raftraftraft", kind.Platform, 96, 96, kind.Value{Key: "range", Value: "6"}), at("spoutspoutsp", kind.Shooter, 160, 128, kind.Value{Key: "every", Value: "200"}),
		at("potpotpotpot", kind.Source, 64, 128, kind.Value{Key: "makes", Value: `[{"of":"walker","odds":1}]`}, kind.Value{Key: "every", Value: "100"}), at("secondsecond", kind.Hero, 128, 32), at("turnerturner", kind.Turner, 240, 144)}}).Doc
	s := &session.Session{}
	if err := s.Open(d.Encode(), 0, "personperson", me); err != nil {
		t.Fatal(err)
	}
	if n := s.Frame(nil); n != 0 {
		t.Errorf("without a game a frame has %d bytes", n)
	}
	g := &shownGame{t: t, s: s}
	g.call("play", args{"map": sample.Quay, "seed": 1, "given": args{}})
	if raft := g.moved["raftraftraft"]; raft.X != 96 || raft.Y != 96 || g.party != 1 || g.heroX != g.X*play.Sub || g.heroY != g.Y*play.Sub || len(g.View.Moved) != 0 || !g.Renamed {
		t.Errorf("at first the raft is %+v, the hero at %d, %d, and %d wait", raft, g.heroX, g.heroY, g.party)
	}
	if g.rays == 0 || g.firstRay[0] != 248*play.Sub || g.firstRay[1] != 152*play.Sub || g.firstRay[2] == g.firstRay[0] && g.firstRay[3] == g.firstRay[1] || len(g.View.Rays) != 0 {
		t.Errorf("there are %d lines that hurt, the first from and to %v", g.rays, g.firstRay)
	}
	for range 10 {
		g.call("step", args{"input": 2, "ticks": 3})
	}
	if raft := g.moved["raftraftraft"]; raft.X <= 100 || g.shots == 0 || g.firstShot[2] <= 0 || g.heroX/play.Sub < g.X-1 || g.heroX/play.Sub > g.X+1 || g.Renamed {
		t.Errorf("half a second later it is %+v, %d shots fly, and the hero is at %d, which is shown at %d", raft, g.shots, g.heroX, g.X)
	}
	made := 0
	for _, n := range g.named {
		if n.Kind == kind.Walker && n.Layer == sample.Entities && n.W == 16 {
			made++
		}
	}
	if made == 0 {
		t.Error("nothing of what was made is named")
	}
	// too little room is told, and nothing written
	small := make([]byte, 8)
	if n := s.Frame(small); n <= 8 || small[0] != 0 {
		t.Errorf("into 8 bytes went %v of %d", small, n)
	}
	if raw, err := s.Call("remove", edit.JSON(args{"ref": args{"type": "entity", "map": sample.Quay, "id": "spoutspoutsp"}, "text": "Removed"})); err != nil {
		t.Fatal(err, raw)
	}
	if g.call("step", args{"input": 0, "ticks": 1}); !g.Renamed || g.moved["raftraftraft"].X <= 100 {
		t.Errorf("after an edit the raft is %+v, named anew: %t", g.moved["raftraftraft"], g.Renamed)
	}
}
