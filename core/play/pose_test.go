package play_test

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/play"
	"testing"
)

// posed gives the kind of a thing pictures of everything that can be done, or of some of it.
func posed(r *run, of string, all ...string) *run {
	k := document.Kind{ID: "posedposedpo", Name: "Diver", Of: document.ID(of), Tags: []string{}, Layers: []string{}}
	for _, does := range all {
		k.Poses = append(k.Poses, kind.Pose{Does: does, Frames: [4][]cells.Cell{2: {cells.TileCell(1, 5)}}, Ms: 100})
	}
	do := []edit.Primitive{edit.Insert(edit.Ref{Type: edit.TypeKind, ID: k.ID}, k)}
	for _, e := range r.g.Ground().Map.Entities.All() {
		if e.Kind == of {
			do = append(do, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: r.mapID(), ID: e.ID}, "kind", string(k.ID)))
		}
	}
	r.d = apply(r.t, r.d, do...)
	r.g.Enter(stage(r.d))
	return r
}

// What a hero does is told, of what its kind has pictures for.
func TestWhatTheHeroLooksLikeDoing(t *testing.T) {
	side := "\n..........\n..........\n.@...H....\n####.#####\n"
	for _, c := range []struct {
		name, rows string
		settings   []string
		does       []string // what there are pictures of
		keys       play.Input
		ticks      int
		want       string
	}{
		{"stands", side, []string{fromSide}, kind.Poses, 0, 10, ""},
		{"walks", side, []string{fromSide}, kind.Poses, play.InputRight, 10, ""},
		{"jumps", side, []string{fromSide}, kind.Poses, play.InputJump, 6, kind.Jumps},
		{"falls", side, []string{fromSide}, kind.Poses, play.InputJump, 26, kind.Falls},
		{"falls as it jumps, where there is no picture of that", side, []string{fromSide}, []string{kind.Jumps}, play.InputJump, 26, kind.Jumps},
		{"has no pictures of it", side, []string{fromSide}, []string{kind.Swims}, play.InputJump, 6, ""},
		{"ducks", side, []string{fromSide}, kind.Poses, play.InputDown, 10, kind.Ducks},
		{"strikes", "\n...\n.@.\n...", nil, kind.Poses, play.InputUse, 3, kind.Strikes},
		{"swims", "\n~~~\n~@~\n~~~", nil, kind.Poses, play.InputRight, 12, kind.Swims},
	} {
		r := posed(drawn(t, c.rows, c.settings...), kind.Hero, c.does...)
		r.hold(0, 3)
		r.hero().Blink = 0
		r.hold(c.keys, c.ticks)
		if does, _ := r.g.Pose(r.hero()); does != c.want {
			t.Errorf("%s: it is %q, want %q", c.name, does, c.want)
		}
	}
	r := posed(drawn(t, "\n...\n.@.\n..."), kind.Hero, kind.Poses...)
	r.hero().Blink = 0
	r.g.Strike()
	if does, _ := r.g.Pose(r.hero()); does != kind.Hurt {
		t.Errorf("struck it is %q", does)
	}
	r.hold(0, 60)
	if does, _ := r.g.Pose(r.hero()); does != "" {
		t.Errorf("a second later it is %q", does)
	}
}

// So it is with beings and what is on.
func TestWhatBeingsLookLikeDoing(t *testing.T) {
	body := func(r *run, of string) *play.Body {
		for i := range r.g.Bodies {
			if b := &r.g.Bodies[i]; i > 0 && r.g.Stage.Thing(b.Of).Acts == of {
				return b
			}
		}
		t.Fatalf("there is no body of a %s", of)
		return nil
	}
	for _, c := range []struct {
		name string
		run  func() *run
		of   string
		want string
	}{
		{"sees", func() *run {
			return drawn(t, "\n......\n@.....\n......").with(kind.Walker, 3, 1, 1, 1, true, document.Left, value("sight", "5"), value("seeing", `"stops"`))
		}, kind.Walker, kind.Sees},
		{"sees nobody", func() *run {
			return drawn(t, "\n......\n@.....\n......").with(kind.Walker, 3, 1, 1, 1, true, document.Left, value("sight", "0"))
		}, kind.Walker, ""},
		{"falls", func() *run {
			return drawn(t, "\n......\n......\n......\n......\n......\n@.....\n######", fromSide).with(kind.Walker, 3, 0, 1, 1, true, document.Left, value("sight", "0"))
		}, kind.Walker, kind.Falls},
		{"goes", func() *run {
			return drawn(t, "\n......\n@.....\n......").with(kind.Platform, 3, 1, 1, 1, true, document.Left, value("range", "1"))
		}, kind.Platform, kind.IsOn},
	} {
		r := posed(c.run(), c.of, kind.Poses...)
		r.hold(0, 6)
		if does, _ := r.g.Pose(body(r, c.of)); does != c.want {
			t.Errorf("%s: it is %q, want %q", c.name, does, c.want)
		}
	}
}
