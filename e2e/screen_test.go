package e2e

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/sample"
	"fmt"
	"slices"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// In a language that is read from the right the whole game is.
func TestAGameIsReadFromTheRight(t *testing.T) {
	r := world(t)
	r.append(edit.Set(edit.Ref{Type: edit.TypeProject}, "languages", []string{"ar"}), edit.Insert(edit.Ref{Type: edit.TypeWording, ID: "arabarabarab"}, document.Wording{ID: "arabarabarab", Language: "ar", Of: r.doc().GameTitle(), Says: "ملاحات الجزر"}))
	k := r.open()
	k.pressIn("nav button", "Share")
	k.visit(k.attribute("main[aria-label=Share] a[target=_blank]", "href"))
	read := func(how string) {
		t.Helper()
		within(t, soon, func() error {
			return want("how it is read", k.eval(`() => { const g = document.querySelector('[data-testid=game]'); return g.lang + ' ' + getComputedStyle(g).direction }`), how)
		})
	}
	k.see("[data-testid=game] h1", r.doc().GameTitle())
	read("en ltr")
	k.press("Settings")
	k.option("main select", "ar")
	read("ar rtl")
	k.keys(input.Escape)
	k.see("[data-testid=game] h1", "ملاحات الجزر")
	k.accessible("a title that is read from the right")
}

// What is on the screen is shown as tiles of one's own: hearts, the box's frame, the mouse; and goals are pointed to.
func TestTheScreenIsOnesOwn(t *testing.T) {
	r := world(t)
	r.place(document.Entity{Kind: kind.Goal, Name: "Lamp", X: 288, Y: 160, W: 16, H: 16, Rank: 9001})
	r.place(document.Entity{Kind: kind.Sign, Name: "Board", X: 32, Y: 16, Rank: 9002, Values: []kind.Value{set("says", `"Mind the tide."`)}})
	k := r.open()
	k.pressIn("nav button", "Game")
	tile := func(name string, x, y int) {
		t.Helper()
		k.pressIn("main[aria-label=Game] button[aria-label='"+name+": choose a tile…']", "")
		k.see("[role=dialog]", "Coast")
		focus := k.eval(`(n) => { const c = document.querySelector('[role=dialog] canvas'); c.focus(); return String(document.activeElement === c) }`, name)
		if focus != "true" {
			t.Fatal("the sheet takes no focus")
		}
		for range x {
			k.keys(input.ArrowRight)
		}
		for range y {
			k.keys(input.ArrowDown)
		}
		k.keys(input.Enter)
		k.gone("[role=dialog]")
	}
	tile("heart", 1, 0)
	tile("frame", 0, 0)
	tile("pointer", 2, 0)
	k.eval(`() => { document.querySelector("[aria-label='points to goals']").click(); return '' }`)
	k.stored(func(d *document.Document) error {
		got := fmt.Sprintf("%s %s %s", d.GameValue("heartTile"), d.GameValue("frameTile"), d.GameValue("pointerTile"))
		return want("the tiles", got, fmt.Sprint(cells.TileCell(1, 1), cells.TileCell(1, 0), cells.TileCell(1, 2)))
	})
	k.accessible("Game with tiles")
	k.pressIn("nav button", "Map")
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "Playing Quay")
	within(t, soon, func() error {
		return want("a heart of tiles, and a goal pointed to", k.eval(`() => document.querySelectorAll('[data-testid=hearts] canvas').length`)+fmt.Sprint(k.drawn("map", "176,109,0") > 20), "3true")
	})
	k.move(k.at(6, 6))
	k.see("[data-testid=pointer]", "")
	within(t, soon, func() error {
		return want("the mouse itself", k.eval(`() => getComputedStyle(document.querySelector('[data-testid=map]') ?? document.body).cursor`), "none")
	})
	within(t, soon, func() error {
		k.keys(input.ArrowUp, input.KeyE)
		return contains(k.eval(`() => document.querySelector('[data-testid=line]')?.textContent ?? ''`), "Mind the tide")
	})
	within(t, soon, func() error {
		return want("the frame is drawn", k.eval(`() => { const c = document.querySelector('[data-testid=frame]'); return String(c?.width > 100 && c.getContext('2d').getImageData(0, 0, c.width, c.height).data.some((v) => v > 0)) }`), "true")
	})
}

// Where the hero goes by points they are shown, a step takes one, and the turn is ended at a press; then there are all again.
func TestATurnByPoints(t *testing.T) {
	r := world(t)
	k := *kind.Find(kind.Hero)
	k.ID, k.Of, k.Name = "ownheroownhe", kind.Hero, "Warden"
	k.Settings = slices.Clone(k.Settings)
	kind.Keyed(k.Settings, kind.HeroPoints).Default = "3"
	r.append(edit.Insert(edit.Ref{Type: edit.TypeKind, ID: k.ID}, document.Lean(&k)),
		edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "values", []kind.Value{set(kind.MapWalking, `"`+kind.WalksTurns+`"`)}))
	tab := r.open()
	tab.focusMap()
	tab.keys(input.KeyP)
	tab.see("[data-testid=points]", "3 of 3 points")
	tab.keys(input.ArrowRight)
	tab.see("[data-testid=points]", "2 of 3 points")
	tab.press("end the turn")
	tab.see("[data-testid=points]", "3 of 3 points")
	tab.accessible("a turn by points")
}
