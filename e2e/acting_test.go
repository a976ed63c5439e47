package e2e

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/sample"
	"fmt"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// set is a setting of an entity that differs.
func set(key, value string) kind.Value { return kind.Value{Key: key, Value: kind.Datum(value)} }

// What is put on a map acts in the game as it is set, and a change while one plays is there at once.
func TestThingsActInAGame(t *testing.T) {
	r := world(t)
	crab := r.place(document.Entity{Kind: kind.Walker, Name: "Crab", X: 128, Y: 32, Facing: document.Left, Values: []kind.Value{set("range", "0"), set("speed", "4")}})
	r.place(document.Entity{Kind: kind.Character, Name: "Keeper", X: 32, Y: 64, Facing: document.Down, Values: []kind.Value{set("says", `"The tide is late."`)}})
	r.place(document.Entity{Kind: kind.Platform, Name: "Raft", X: 32, Y: 128, W: 32, Facing: document.Right, On: true, Values: []kind.Value{set("range", "4"), set("speed", "4"), set("pause", "0")}})
	k := r.open()
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "3 of 3 hearts")
	// what is pointed at in a frozen game says how it is
	k.keys(input.KeyT)
	k.move(k.at(8, 2))
	k.see("#status", "its range is 0")
	k.keys(input.KeyT)
	// it comes once it is let
	k.rig.append(edit.Set(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: crab}, "values", []kind.Value{set("range", "9"), set("speed", "4")}))
	k.see("[data-testid=playing]", "2 of 3 hearts")
	k.rig.append(edit.Remove(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: crab}))
	// somebody speaks when used
	k.toColumn(2)
	k.walk(input.ArrowDown, func() error {
		_, y := k.hero()
		return want("beside the keeper", fmt.Sprint(y >= 46), "true")
	})
	k.keys(input.KeyE)
	k.see("[data-testid=line]", "The tide is late.")
	k.keys(input.KeyE)
	k.gone("[data-testid=line]")
	// and a raft takes the hero along
	k.toColumn(1)
	k.toRow(8)
	k.walk(input.ArrowRight, func() error {
		return at(k, func(x, _ int) bool { return x >= 44 })
	})
	from, _ := k.hero()
	within(t, soon, func() error {
		x, _ := k.hero()
		if d := x - from; d < 24 && d > -24 {
			return fmt.Errorf("carried by %d", d)
		}
		return nil
	})
	k.keys(input.KeyP)
	k.same()
}

// What an emitter gives is seen in the game while it is on, and nothing of it while it is off.
func TestEmittersAreSeen(t *testing.T) {
	r := world(t)
	id := r.place(document.Entity{Kind: kind.Emitter, Name: "Sparks", X: 96, Y: 96, W: 16, H: 16, On: true, Values: []kind.Value{set("gives", `"smoke"`), set("perSecond", "120")}})
	k := r.open()
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "Playing Quay")
	smoke := func() string { // whether something goes by over a place of the map, that stands still otherwise
		at := k.at(6, 6)
		return k.eval(`async (x, y) => {
			const c = document.querySelector('main canvas'), r = c.getBoundingClientRect(), seen = new Set()
			for (let i = 0; i < 30; i++) {
				await new Promise(requestAnimationFrame)
				seen.add(c.getContext('2d').getImageData(x - r.left, y - r.top, 1, 1).data.join())
			}
			return String(seen.size > 1)
		}`, at.X, at.Y)
	}
	within(t, soon, func() error { return want("smoke", smoke(), "true") })
	r.append(edit.Set(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: id}, "on", false))
	within(t, soon, func() error { return want("smoke", smoke(), "false") })
}

// Kinds are put down, seen moving where they stand, tuned and played, all by mouse.
func TestKindsAreTunedSeeingThemMove(t *testing.T) {
	k := world(t).open()
	// whether two stretches of frames in a row each end otherwise than they began: what is drawn late ends neither
	moving := func() string {
		return k.eval(`async () => {
			const seen = () => document.querySelector('[data-testid=map]').toDataURL();
			const frames = async () => { for (let i = 0; i < 8; i++) await new Promise(requestAnimationFrame) };
			const first = seen(); await frames(); const second = seen(); await frames();
			return String(first !== second && second !== seen());
		}`)
	}
	for i, c := range []struct {
		name, setting, from, to string
		moves                   bool
	}{
		{"Walking enemy", "range", "4", "2", true}, {"Flying enemy", "speed", "3", "6", true}, {"Moving platform", "range", "4", "3", true},
		{"Beam", "length", "12", "3", false}, {"Shooter", "shot speed", "6", "4", false}, {"Spring", "height", "5", "2", false},
	} {
		k.holdKind(c.name)
		at := k.at(6+i%2*6, 2+i)
		k.click(at)
		k.keys(input.Escape, input.Escape)
		k.click(at)
		k.see("[data-testid=details] input", c.name)
		field := fmt.Sprintf("[data-testid=details] [aria-label='%s']", c.setting)
		if got := k.eval(`(s) => document.querySelector(s).value`, field); got != c.from {
			t.Errorf("%s of a %s is %s, wanted %s", c.setting, c.name, got, c.from)
		}
		k.fill(field, c.to)
		k.stored(func(d *document.Document) error {
			for _, e := range d.Maps.Get(sample.Quay).Entities.All() {
				if e.Name == c.name {
					for _, v := range e.Values {
						if v.Value == kind.Datum(c.to) {
							return nil
						}
					}
				}
			}
			return fmt.Errorf("%s has not %s %s", c.name, c.setting, c.to)
		})
		// what moves is seen moving while it is selected, and nothing else is
		within(t, soon, func() error { return want(c.name+" is seen moving", moving(), fmt.Sprint(c.moves)) })
		k.keys(input.Escape)
	}
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "Playing Quay")
	k.keys(input.KeyP)
	k.same()
}

// Another hero is led by its key where it waits, and the one before once more.
func TestHeroesAreLedInTurn(t *testing.T) {
	r := world(t)
	r.place(document.Entity{Kind: kind.Hero, Name: "Keeper", X: 192, Y: 128, Facing: document.Left, Rank: 99})
	k := r.open()
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "lead Keeper")
	x, y := k.hero()
	k.keys(input.KeyX)
	k.see("[data-testid=playing]", "lead The hero")
	if kx, ky := k.hero(); kx < 190 || ky < 120 || kx > 200 {
		t.Errorf("Keeper is led at %d,%d", kx, ky)
	}
	k.toColumn(13)
	k.keys(input.KeyX)
	k.see("[data-testid=playing]", "lead Keeper")
	if hx, hy := k.hero(); hx != x || hy != y {
		t.Errorf("the hero waited at %d,%d, and is at %d,%d", x, y, hx, hy)
	}
	k.keys(input.KeyP)
	k.same()
}

// What cannot do what is set of it says so in Details and where it is pointed at, until that is set right.
func TestWhatDoesNothingSaysSo(t *testing.T) {
	r := world(t)
	id := r.place(document.Entity{Kind: kind.Source, Name: "Nest", X: 128, Y: 64, Facing: document.Left, On: true})
	k := r.open()
	k.move(k.at(8, 4))
	k.see("#status", "has nothing to make")
	k.click(k.at(8, 4))
	k.see("[data-testid=details] [role=note]", "has nothing to make")
	k.option("[aria-label='Add a kind to makes']", "Walking enemy")
	k.stored(func(d *document.Document) error {
		return want("what it makes", string(d.Value(d.Entity(sample.Quay, id), "makes")), `[{"odds":1,"of":"walker"}]`)
	})
	k.gone("[data-testid=details] [role=note]")
	k.fill("[aria-label='Walking enemy: odds']", "3")
	k.stored(func(d *document.Document) error {
		return want("what it makes", string(d.Value(d.Entity(sample.Quay, id), "makes")), `[{"odds":3,"of":"walker"}]`)
	})
	k.press("Take Walking enemy out")
	k.see("[data-testid=details] [role=note]", "has nothing to make")
	k.same()
}
