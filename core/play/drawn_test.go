package play_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/sample"
	drawing "azzel/core/sample/drawn"
	"slices"
	"strings"
	"testing"
)

// drawn is a game on a map that is drawn as text (see package drawn). Settings are key=value, of
// the map; those that begin with hero. are the hero's kind's.
func drawn(t *testing.T, rows string, settings ...string) *run {
	t.Helper()
	var values, hero []kind.Value
	for _, s := range settings {
		key, value, _ := strings.Cut(s, "=")
		if strings.HasPrefix(key, "hero.") {
			hero = append(hero, kind.Value{Key: key[5:], Value: kind.Datum(value)})
			continue
		}
		values = append(values, kind.Value{Key: key, Value: kind.Datum(value)})
	}
	d, m := drawing.Map(rows, values...)
	if len(hero) > 0 {
		d = sample.With(d, warden(hero...))
	}
	g, err := play.Start(stage(d), m, 1)
	if err != nil {
		t.Fatal(err)
	}
	return &run{t: t, d: d, g: g}
}

// warden is a kind of hero of one's own that differs in some settings.
func warden(differs ...kind.Value) edit.Primitive {
	k := *kind.Find(kind.Hero)
	k.ID, k.Of, k.Name = "ownheroownhe", kind.Hero, "Warden"
	k.Settings = slices.Clone(k.Settings)
	for _, v := range differs {
		kind.Keyed(k.Settings, v.Key).Default = v.Value
	}
	return edit.Insert(edit.Ref{Type: edit.TypeKind, ID: k.ID}, document.Lean(&k))
}

// px are pixels from units.
func px(v int64) int64 { return v / play.Sub }

// feet is the lower edge of the hero's box in sixteenths of a pixel over the top of a row.
func (r *run) feet() int64 { return r.hero().Y + 12*play.Sub }

// at checks which cell the hero is in.
func (r *run) at(what string, x, y int) {
	r.t.Helper()
	if got := r.cell(); got != (grid.Point{X: x, Y: y}) {
		r.t.Errorf("%s: the hero is at %v, wanted %d,%d", what, got, x, y)
	}
}
