package play_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/rules"
	"testing"
)

// How long something is remembered is its own choice: all of it is, or until one comes to its map again, or until the hero
// comes back after a loss, whatever its map says of others.
func TestWhatThingsRemember(t *testing.T) {
	for _, c := range []struct {
		memory        string
		afresh        bool
		again, struck bool // whether it is still so after coming again, and after a loss
	}{
		{document.AsItsMap, false, true, true}, {document.AsItsMap, true, false, true}, {document.Remembered, false, true, true}, {document.Remembered, true, true, true},
		{document.UntilLeft, false, false, true}, {document.UntilLeft, true, false, true}, {document.UntilLost, false, true, false}, {document.UntilLost, true, false, false},
	} {
		begin := func() *run {
			r := stepping(t)
			for _, e := range r.g.Ground().Entities.All() {
				r.d = apply(t, r.d, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: r.mapID(), ID: e.ID}, "memory", c.memory))
			}
			if c.afresh {
				r.d = apply(t, r.d, edit.Set(edit.Ref{Type: edit.TypeMap, ID: r.mapID()}, "values", []kind.Value{{Key: kind.MapEnteredAgain, Value: kind.Of(kind.Afresh)}}))
			}
			r.g.Enter(stage(r.d))
			r.reads(uses + "then\n\topen door\n\tmove character to arrival\n\thide sign\n\tadd 3 to fullness of sign\n\tlet character appear Glad")
			r.press(play.InputUse)
			return r
		}
		so := func(r *run) [5]bool {
			return [5]bool{r.g.On(r.thing(kind.Door)), r.g.Where(r.thing(kind.Character)).Left == 96*play.Sub, !r.g.Shown(r.thing(kind.Sign)), r.own("full") == 4, r.wears() == "Glad"}
		}
		all := func(is bool) [5]bool { return [5]bool{is, is, is, is, is} }
		r := begin()
		if so(r) != all(true) {
			t.Fatalf("%q: at first %v", c.memory, so(r))
		}
		r.g.EnterMap()
		if r.hold(0, 2); so(r) != all(c.again) {
			t.Errorf("%q, afresh %t: when one comes again %v", c.memory, c.afresh, so(r))
		}
		r = begin()
		for range 3 {
			r.hero().Blink = 0
			r.g.Strike()
		}
		if r.hold(0, 60); so(r) != all(c.struck) {
			t.Errorf("%q, afresh %t: after a loss %v", c.memory, c.afresh, so(r))
		}
	}
}

// A card says what will be so of what its rule does when one comes again.
func TestWhatWillBeSo(t *testing.T) {
	r := stepping(t)
	remember := func(k, memory string) {
		r.d = apply(t, r.d, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: r.mapID(), ID: r.end(k).Entity}, "memory", memory))
	}
	says := func(want, text string) {
		t.Helper()
		rule, err := rules.Read(r.d, text)
		if err != nil {
			t.Fatal(err)
		}
		if got := rules.After(r.d, &rule); got != want {
			t.Errorf("%s\nit is said “%s”, wanted “%s”", text, got, want)
		}
	}
	says("", uses+"then\n\tset Flag\n\tsay \"Well.\"")
	says("door and sign stay so", uses+"then\n\topen door\n\thide sign\n\thide sign")
	remember(kind.Door, document.UntilLeft)
	remember(kind.Sign, document.UntilLost)
	says("item and switch stay so; door is as at first when one comes there again; sign is as at first when the hero comes back after a loss",
		uses+"then\n\topen door\n\thide sign\n\tif all of this is so\n\t\tFlag is set\n\tthen\n\t\ttake away item\n\t\tturn off it")
	r.d = apply(t, r.d, edit.Set(edit.Ref{Type: edit.TypeMap, ID: r.mapID()}, "values", []kind.Value{{Key: kind.MapEnteredAgain, Value: kind.Of(kind.Afresh)}}))
	remember(kind.Sign, document.Remembered)
	says("sign stays so; door and Ground are as at first when one comes there again", uses+"then\n\topen door\n\thide sign\n\tlift layer Ground on Drawn")
}
