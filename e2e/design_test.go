package e2e

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/sample"
	"errors"
	"fmt"
	"strings"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// menu asks for the menu of something in a list.
func (k *tab) menu(selector, text, choice string) {
	k.Helper()
	shape, err := k.find(selector, text).Shape()
	must(k.T, err)
	k.clickWith(*shape.OnePointInside(), right)
	k.pressIn("[role=menuitem]", choice)
	k.gone("[role=menu]")
}

// unfold shows each edit of the history as a line of its own.
func (k *tab) unfold() {
	k.Helper()
	k.see("[data-testid=history] li", "")
	within(k.T, soon, func() error {
		return want("lines that are folded", k.eval(`() => {
			const folded = document.querySelector('[data-testid=history] li > button')
			folded?.click()
			return !folded && document.querySelectorAll('[data-testid=history] li').length > 1
		}`), "true")
	})
}

// saves has the page tell what it would save as a file, as name and size.
func (k *tab) saves() {
	k.Helper()
	k.eval(`() => {
		globalThis.savedAs = ''
		const address = URL.createObjectURL
		let blob
		URL.createObjectURL = (b) => address.call(URL, (blob = b))
		HTMLAnchorElement.prototype.click = function () {
			const name = this.download
			createImageBitmap(blob).then((b) => {
				const shown = new OffscreenCanvas(b.width, b.height).getContext('2d')
				shown.drawImage(b, 0, 0)
				globalThis.savedPixel = (x, y) => String(shown.getImageData(x, y, 1, 1).data.slice(0, 3))
				globalThis.savedAs = name + ' ' + b.width + '×' + b.height
			})
		}
		return ''
	}`)
}

// faced wants a sheet whose face lies behind all of it: only what lies in it scrolls.
func (k *tab) faced() {
	k.Helper()
	within(k.T, soon, func() error {
		return want("what of the sheet scrolls away", k.eval(`() => { const d = document.querySelector('[role=dialog]'); return String(Math.max(0, d.scrollHeight - d.clientHeight - 1)) }`), "0")
	})
}

// Maps, layers, kinds and what lies on the chart have menus, where lists of them are.
func TestMenusWhereThingsAreListed(t *testing.T) {
	k := world(t).open()
	k.menu("[aria-label=Maps] button", "Pans", "Open")
	k.see("h1", "Pans")
	k.menu("[aria-label=Maps] button", "Pans", "Exchange tiles")
	k.see("[role=dialog] section[aria-label='Exchange tiles']", "Exchange tiles")
	k.faced()
	k.press("Close")
	k.press("Keys that work here")
	k.see("[role=dialog]", "Keys that work here")
	k.faced()
	k.keys(input.Escape)
	k.gone("[role=dialog]")
	k.menu("[aria-label=Maps] button", "Quay", "Copy")
	k.stored(func(d *document.Document) error { return want("maps", fmt.Sprint(d.Maps.Len()), "3") })
	k.menu("[aria-label=Maps] button", "Pans", "Rename")
	k.write("[aria-label='Name of the map']", "Basins")
	k.keys(input.Enter)
	k.see("h1", "Basins")

	const layers = "[aria-label='Layers, the top one first'] button"
	k.menu(layers, "Things", "Hide")
	k.menu(layers, "Things", "Duplicate")
	k.menu(layers, "Ground", "Lock")
	k.stored(func(d *document.Document) error {
		m := d.Maps.Get(sample.Pans)
		return want("the layers", fmt.Sprint(m.Layers.Len(), m.Layers.Get(sample.Things).Hidden, m.Layers.Get(sample.Ground).Locked), "4 true true")
	})
	// history says which
	k.pressIn("[role=tab]", "History")
	k.see("[data-testid=history]", "Hid layer Things")
	k.see("[data-testid=history]", "Locked layer Ground")
	k.menu(layers, "Ground", "Unlock")

	k.pressIn("[role=tab]", "Kinds")
	k.menu("aside[aria-label=Cabinet] button", "Exit", "Hold it")
	k.see("[data-testid=hand]", "exit")
	k.menu("aside[aria-label=Cabinet] button", "Exit", "Make a kind from it")
	k.see("nav [aria-current=page]", "Kinds")
	k.menu("[aria-label='Your own'] button", "Exit", "Delete")
	k.stored(func(d *document.Document) error { return want("own kinds", fmt.Sprint(d.Kinds.Len()), "0") })

	k.pressIn("nav button", "Chart")
	k.menu("aside[aria-label=Maps] button", "Basins", "Delete")
	k.stored(func(d *document.Document) error { return want("maps", fmt.Sprint(d.Maps.Len()), "2") })
	k.menu("[data-testid=chart]", "", "New map")
	k.see("aside[aria-label=Maps]", "Make the map")
	k.same()
}

// A map's picture and a guide at any scale are saved.
func TestPicturesOfMapsAreSaved(t *testing.T) {
	r := world(t)
	// a shape of drawn ground: (144, 96), (208, 96), (208, 144)
	r.place(document.Entity{Kind: kind.GroundLine, Name: "Bank", X: 136, Y: 88, Points: []grid.Point{{X: 64}, {X: 64, Y: 48}}, Values: []kind.Value{{Key: "closed", Value: "true"}}})
	k := r.open()
	k.saves()
	saved := func(what string) {
		t.Helper()
		within(t, soon, func() error { return want("what is saved", k.eval(`() => savedAs`), what) })
	}
	k.menu("[aria-label=Maps] button", "Quay", "Save its picture")
	saved("Quay.png 320×192")
	k.notice("A picture of Quay is saved")
	k.press("Add a layer")
	k.pressIn("[role=menuitem]", "Save a guide of the map, 4")
	saved("Quay guide.png 1280×768")
	for _, c := range []struct{ what, at, is string }{{"on the line", "4*176, 4*96", "30,42,46"}, {"inside", "4*196, 4*108", "228,229,230"}, {"outside", "4*160, 4*140", "255,255,255"}} {
		must(t, want("the guide "+c.what, k.eval("() => savedPixel("+c.at+")"), c.is))
	}
}

// Projects are renamed, copied, removed and brought back from the list of them.
func TestProjectsAtHome(t *testing.T) {
	k := world(t).pictured().open()
	k.visit("/")
	k.see("main", "Sample")
	// each is known by where its game begins, drawn anew when that has changed
	covers := func(wanted string) {
		t.Helper()
		within(t, soon, func() error {
			return want("the pictures", k.eval(`() => [...document.querySelectorAll("main a img")].map((i) => i.complete && i.naturalWidth).join()`), wanted)
		})
	}
	covers("240")
	k.menu("main a", "Sample", "Rename")
	k.write("[aria-label='Name of the project']", "Low Tide")
	k.keys(input.Enter)
	k.see("main a", "Low Tide")
	k.stored(func(d *document.Document) error { return want("the name", d.Project.Name, "Low Tide") })
	k.menu("main a", "Low Tide", "Copy")
	k.see("main a", "Low Tide 2")
	k.menu("main a", "Low Tide 2", "Remove")
	k.see("main [role=status]", "Low Tide 2 is removed.")
	k.pressIn("main button", "Undo")
	k.see("main a", "Low Tide 2")
	k.menu("main a", "Low Tide 2", "Remove")
	k.visit("/")
	k.pressIn("main summary", "Removed (1)")
	k.pressIn("main details button", "Delete for good")
	k.see("main details", "go for good")
	k.pressIn("main details button", "Delete it")
	k.gone("main details")
	all, err := k.rig.store.Projects(t.Context())
	must(t, err)
	if len(all) != 1 {
		t.Errorf("%d projects are stored", len(all))
	}
	// a copy opens as what it was copied from
	k.menu("main a", "Low Tide", "Copy")
	k.pressIn("main a", "Low Tide 2")
	k.ready()
	k.see("h1", "Quay")
	// those that nobody gave a name can be told apart
	for _, name := range []string{"New project", "New project 2"} {
		k.visit("/")
		k.press("New project")
		k.ready()
		k.see("header", name)
	}
	k.visit("/")
	k.see("main a", "New project 2")
	covers("240,240") // what has nothing yet has none
	k.accessible("home")
}

// A cell is gone to from where cells are told, and what is selected is told with its size.
func TestGoToACell(t *testing.T) {
	k := world(t).open()
	k.focusMap()
	k.keys(input.KeyJ)
	k.see("[data-testid=status] input", "")
	must(t, k.page.InsertText("over there"))
	k.keys(input.Enter)
	k.notice("A cell is written as two numbers")
	k.write("[data-testid=status] input", "14, 9")
	k.keys(input.Enter)
	k.see("[data-testid=status]", "cell 14, 9")
	k.keys(input.Home, input.KeyC) // cells of this layer
	k.drag(left, k.at(2, 3), k.at(6, 5))
	k.see("[data-testid=area]", "selected 5 × 3")
	must(t, k.page.Keyboard.Press(input.ControlLeft))
	k.drag(left, k.at(3, 4), k.at(3, 4))
	must(t, k.page.Keyboard.Release(input.ControlLeft))
	k.see("[data-testid=area]", "selected 5 × 3, 14 cells")
}

// Turning back here leaves everything else, and says how much it was; what was done again
// and again is one line of the history.
func TestTurnBackHereSaysHowMuch(t *testing.T) {
	k := world(t).open()
	k.holdTile(5)
	k.keys(input.KeyB)
	k.drag(left, k.at(1, 1), k.at(8, 4))
	for x := 10; x < 13; x++ {
		k.click(k.at(x, 9))
	}
	k.pressIn("[role=tab]", "History")
	k.see("[data-testid=history]", "3 times")
	k.keys(input.Escape)
	k.focusMap()
	k.keys(input.Escape, input.KeyC)
	k.drag(left, k.at(1, 1), k.at(3, 2))
	k.with(input.ControlLeft, input.KeyB)
	k.notice("Turned back 6 cells here")
	k.stored(groundAt(4, 1, 5))
	k.stored(func(d *document.Document) error {
		if groundAt(3, 2, 5)(d) == nil {
			return errors.New("3,2 is not turned back")
		}
		return nil
	})
	k.same()
}

// Maps that lie over each other are told; settings of maps stand in groups, with only what
// does something; a template is marked.
func TestChartTellsMore(t *testing.T) {
	r := world(t)
	at := r.doc().Maps.Get(sample.Quay)
	place := grid.Point{X: 5000, Y: 5000}
	for _, id := range []document.ID{sample.Quay, sample.Pans} {
		r.append(edit.Set(edit.Ref{Type: edit.TypeMap, ID: id}, "chart", place))
		place.X += at.Bounds.W*16 - 40
	}
	k := r.open()
	k.pressIn("nav button", "Chart")
	k.see("[data-testid=findings]", "Quay and Pans lie over each other")
	k.pressIn("aside button", "Quay")
	k.see("[aria-label='Settings of Quay']", "run speed")
	if text := k.text("[aria-label='Settings of Quay']"); strings.Contains(text, "gravity") {
		t.Errorf("from above there is gravity: %s", text)
	}
	k.pressIn("[aria-label='Settings of Quay'] summary", "Camera")
	k.see("[aria-label='screen width']", "")
	must(t, want("the screen's width", k.eval(`() => document.querySelector('[aria-label="screen width"]').placeholder + document.querySelector('[aria-label="screen width"]').value`), "as the project"))
	must(t, k.find("[aria-label=seen]", "").Select([]string{"from the side"}, true, "text"))
	k.see("[aria-label='Settings of Quay']", "gravity")
	k.write("[aria-label='screen width']", "30")
	k.keys(input.Enter)
	k.stored(func(d *document.Document) error {
		return want("the width", string(d.MapValue(d.Maps.Get(sample.Quay), "screenWidth")), "30")
	})
	k.write("[aria-label='screen width']", "")
	k.keys(input.Enter)
	k.stored(func(d *document.Document) error {
		return want("the width", string(d.MapValue(d.Maps.Get(sample.Quay), "screenWidth")), "0")
	})
	k.pressIn("[data-testid=chosen] summary", "Order and folder")
	k.pressIn("[data-testid=chosen] label", "a template for new maps")
	k.see("aside[aria-label=Maps] button", "template")
	k.same()
}

// A picture's layer lies below what is painted and is dragged to its place; a decoration
// stands where it is put.
func TestPicturesAndDecorationsArePlaced(t *testing.T) {
	r := world(t)
	k := r.open()
	sky := document.LayerImage{Picture: r.doc().Tilesets.Get(sample.Coast).Picture, Width: 128, Height: 128, Scale: 100}
	c := r.author(author.AddPictureLayer(r.doc().Maps.Get(sample.Quay), "Sky", sky, ""))
	k.pressIn("[aria-label='Layers, the top one first'] button", "Sky")
	k.drag(left, k.at(9, 9), offset(k.at(9, 9), 20, 10), offset(k.at(9, 9), 42, 26))
	k.stored(func(d *document.Document) error {
		l := d.Maps.Get(sample.Quay).Layers.Get(c)
		return want("where it lies", fmt.Sprint(l.Image.X, l.Image.Y, d.Maps.Get(sample.Quay).LayersInOrder()[0].ID == c), "21 13 true")
	})
	// what is on top is still what is pressed
	k.pressIn("[aria-label='Layers, the top one first'] button", "Entities")
	k.holdTile(5)
	k.keys(input.KeyD)
	k.see("[data-testid=hand]", "decoration")
	k.click(offset(k.at(6, 6), 10, -8))
	k.stored(func(d *document.Document) error {
		all := entities(d, sample.Quay, "decoration")
		if len(all) != 1 {
			return fmt.Errorf("there are %d", len(all))
		}
		return want("where it stands", fmt.Sprint(all[0].X, all[0].Y), fmt.Sprint(6*16+5, 6*16-4))
	})
	k.same()
}

// The layer plan is sorted where it is shown, with all that is set of its layers.
func TestLayerPlanIsSorted(t *testing.T) {
	r := world(t)
	r.append(edit.Set(edit.Ref{Type: edit.TypeLayer, Map: sample.Quay, ID: sample.Things}, "opacity", 60))
	k := r.open()
	k.with(input.ControlLeft, input.KeyE)
	k.pressIn("[role=dialog] button", "Start new maps with this map")
	const list = "[aria-label='Layers of new maps, the top one first']"
	k.see(list, "tiles, 60 %")
	k.pressIn(list+" button", "Move Things down")
	k.pressIn(list+" button", "Leave Entities out")
	k.stored(func(d *document.Document) error {
		names := []string{}
		for _, l := range d.Project.LayerPlan() {
			names = append(names, fmt.Sprint(l.Name, l.Opacity))
		}
		return want("the plan", strings.Join(names, " "), "Things60 Ground0")
	})
	k.same()
}
