package e2e

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/sample"
	"cmp"
	"fmt"
	"testing"

	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
)

// holdKind takes an entity kind from the cabinet.
func (k *tab) holdKind(name string) {
	k.Helper()
	k.pressIn("aside [role=tab]", "Kinds")
	k.pressIn("aside ul button", name)
	k.see("[data-testid=hand]", "Holding")
}

// boxIs wants one entity of a kind whose box, in cells, is so.
func boxIs(kind string, x, y, w, h int) func(*document.Document) error {
	return func(d *document.Document) error {
		m := d.Maps.Get(sample.Quay)
		var seen []string
		for _, e := range entities(d, sample.Quay, kind) {
			b := e.Box(m)
			if b.X == x && b.Y == y && b.W == w && b.H == h {
				return nil
			}
			seen = append(seen, fmt.Sprintf("%s at %v", e.Name, b))
		}
		return fmt.Errorf("no %s at %d,%d of %d×%d, but %v", kind, x, y, w, h, seen)
	}
}

func TestPlaceEveryKind(t *testing.T) {
	k := world(t).open()
	for i, kind := range []string{"Spawn", "Arrival", "Collectible", "Switch"} {
		k.holdKind(kind)
		k.see("[data-testid=hand]", "Entities")
		k.click(k.at(4+2*i, 8))
		k.stored(boxIs(map[string]string{"Spawn": "spawn", "Arrival": "arrival", "Collectible": "collectible", "Switch": "switch"}[kind], 4+2*i, 8, 1, 1))
	}
	// an exit and a door cover any rectangle of cells
	k.holdKind("Exit")
	k.see("[data-testid=hand]", "the cells of a box")
	k.drag(left, k.at(4, 10), k.at(7, 10))
	k.stored(boxIs("exit", 4, 10, 4, 1))
	k.holdKind("Door")
	k.drag(left, k.at(12, 7), k.at(12, 9))
	k.stored(boxIs("door", 12, 7, 1, 3))

	// a line of collectibles, named by themselves
	k.keys(input.KeyL)
	k.holdKind("Collectible")
	k.drag(left, k.at(2, 6), k.at(6, 6))
	k.stored(func(d *document.Document) error {
		names := map[string]bool{}
		for _, e := range entities(d, sample.Quay, "collectible") {
			names[e.Name] = true
		}
		if len(names) != 7 || !names["Collectible 2"] {
			return fmt.Errorf("the collectibles are called %v", names)
		}
		return nil
	})
	// the secondary button sweeps them away with the same shape
	k.drag(right, k.at(2, 6), k.at(6, 6))
	k.stored(func(d *document.Document) error {
		if n := len(entities(d, sample.Quay, "collectible")); n != 2 {
			return fmt.Errorf("%d collectibles are left", n)
		}
		return nil
	})
}

func TestSelectMoveNameDuplicateDelete(t *testing.T) {
	k := world(t).open()
	k.click(k.at(6, 1))
	k.see("[data-testid=details] input", "Switch")
	k.drag(left, k.at(6, 1), k.at(7, 3), k.at(8, 4))
	k.stored(boxIs("switch", 8, 4, 1, 1))

	k.write("[data-testid=details] [aria-label=Name]", "Crank")
	k.keys(input.Enter)
	k.stored(func(d *document.Document) error {
		return want("the name", d.Entity(sample.Quay, sample.Switch).Name, "Crank")
	})
	// a name that is taken on this map gets a number
	k.click(k.at(10, 2))
	k.write("[data-testid=details] [aria-label=Name]", "Crank")
	k.keys(input.Enter)
	k.stored(func(d *document.Document) error {
		return want("the name", d.Entity(sample.Quay, sample.Door).Name, "Crank 2")
	})
	k.see("[data-testid=details] input", "Crank 2")

	k.focusMap()
	k.with(input.ControlLeft, input.KeyD)
	k.stored(func(d *document.Document) error {
		if n := len(entities(d, sample.Quay, "door")); n != 2 {
			return fmt.Errorf("%d doors", n)
		}
		return nil
	})
	k.keys(input.Delete)
	k.stored(func(d *document.Document) error {
		if n := len(entities(d, sample.Quay, "door")); n != 1 {
			return fmt.Errorf("%d doors", n)
		}
		return nil
	})
	// a box selects several; they move together by key and come back with one undo
	k.drag(left, k.at(1, 1).Add(proto.NewPoint(2, 2)), k.at(5, 3))
	k.see("[data-testid=details]", "2 entities")
	k.with(input.AltLeft, input.ArrowDown)
	k.stored(boxIs("spawn", 2, 3, 1, 1))
	k.stored(boxIs("collectible", 4, 3, 1, 1))
	k.with(input.ControlLeft, input.KeyZ)
	k.stored(boxIs("spawn", 2, 2, 1, 1))
	k.stored(boxIs("collectible", 4, 2, 1, 1))

	// by the context menu
	k.keys(input.Escape)
	k.clickWith(k.at(4, 2), right)
	k.press("Delete")
	k.stored(func(d *document.Document) error {
		if d.Entity(sample.Quay, sample.Pearl) != nil {
			return fmt.Errorf("the pearl is still there")
		}
		return nil
	})
	k.same()
}

// grantClipboard lets the page use the clipboard, as a person would when asked.
func (k *tab) grantClipboard() {
	k.Helper()
	must(k.T, proto.BrowserGrantPermissions{Permissions: []proto.BrowserPermissionType{"clipboardReadWrite", "clipboardSanitizedWrite"},
		BrowserContextID: k.ctx.BrowserContextID, Origin: "http://" + k.rig.address}.Call(k.ctx))
}

func TestCopyToAnotherMap(t *testing.T) {
	k := world(t).open()
	k.grantClipboard()
	k.click(k.at(10, 2))
	k.with(input.ControlLeft, input.KeyC)
	k.notice("1 entity copied")
	k.pressIn("aside ul button", "Pans")
	k.see("header", "Pans")
	k.focusMap()
	k.move(k.at(5, 5))
	k.with(input.ControlLeft, input.KeyV)
	k.stored(func(d *document.Document) error {
		doors := entities(d, sample.Pans, "door")
		if len(doors) != 1 || doors[0].X != 80 || doors[0].Y != 80 {
			return fmt.Errorf("the doors on Pans are %v", doors)
		}
		return nil
	})
}

func TestMapIsMadeRenamedAndDeleted(t *testing.T) {
	k := world(t).open()
	maps := func(want ...string) {
		t.Helper()
		k.stored(func(d *document.Document) error {
			var names []string
			for _, m := range d.MapsInOrder() {
				names = append(names, m.Name)
			}
			if fmt.Sprint(names) != fmt.Sprint(want) {
				return fmt.Errorf("the maps are %v, wanted %v", names, want)
			}
			return nil
		})
	}
	// sizes that are not possible are said and nothing is made
	k.press("New map")
	k.write("form [aria-label='Width in cells']", "5000")
	k.press("Make the map")
	k.notice("width")
	maps("Quay", "Pans")
	k.write("form [aria-label='Name of the new map']", "Brine House")
	k.write("form [aria-label='Width in cells']", "30")
	k.press("Make the map")
	k.see("header", "Brine House")
	maps("Quay", "Pans", "Brine House")
	k.find("aside ul button", "Brine House").MustFocus()
	k.keys(input.F2)
	k.write("[aria-label='Name of the map']", "Brine Cellar")
	k.keys(input.Enter)
	maps("Quay", "Pans", "Brine Cellar")
	k.press("Delete map Brine Cellar")
	maps("Quay", "Pans")
	k.see("header", "Quay")
	k.pressIn("[data-testid=notice] button", "Undo")
	maps("Quay", "Pans", "Brine Cellar")
	k.same()
}

// The Undo of a notice turns back what the notice speaks of, and not what came since.
func TestNoticeTurnsBackItsOwnEdit(t *testing.T) {
	r := world(t)
	r.author(author.Wire(r.doc(), document.End{Map: sample.Quay, Entity: sample.Switch}, document.End{Map: sample.Quay, Entity: sample.Door}, rules.WordOpen, ""))
	k := r.open()
	k.click(k.at(10, 2))
	k.see("[data-testid=details]", "Door")
	k.focusMap()
	k.keys(input.Delete)
	k.notice("referred to it")
	k.holdTile(5)
	k.keys(input.KeyH)
	k.click(k.at(3, 6))
	k.stored(func(d *document.Document) error {
		if d.Entity(sample.Quay, sample.Door) != nil {
			return fmt.Errorf("the door is there")
		}
		return cellsAre(sample.Ground, 3, 6, 5)(d)
	})
	k.pressIn("[data-testid=notice] button", "Undo")
	k.stored(func(d *document.Document) error {
		if d.Entity(sample.Quay, sample.Door) == nil {
			return fmt.Errorf("the door is not back")
		}
		return cellsAre(sample.Ground, 3, 6, 5)(d)
	})
	k.same()
}

// What is selected is dragged by its box, whatever handles it has.
func TestSelectedIsDraggedByItsBox(t *testing.T) {
	r := world(t)
	path := r.place(document.Entity{Kind: "path", Name: "Round", X: 32, Y: 128, Points: []grid.Point{{X: 48}}})
	crab := r.place(document.Entity{Kind: "walker", Name: "Crab", X: 96, Y: 96, Values: []kind.Value{{Key: "path", Value: kind.Of(string(path))}, {Key: "range", Value: "4"}}})
	still := r.place(document.Entity{Kind: "walker", Name: "Still", X: 96, Y: 144, Values: []kind.Value{{Key: "range", Value: "0"}, {Key: "sight", Value: "0"}}})
	k := r.open()
	at := func(id document.ID, x, y int) {
		t.Helper()
		k.stored(func(d *document.Document) error {
			if e := d.Entity(sample.Quay, id); e.X != x || e.Y != y {
				return fmt.Errorf("%s lies at %d,%d, wanted %d,%d", e.Name, e.X, e.Y, x, y)
			}
			return nil
		})
	}
	for id, cell := range map[document.ID]grid.Point{crab: {X: 6, Y: 6}, still: {X: 6, Y: 9}} {
		k.click(k.at(cell.X, cell.Y))
		k.see("[data-testid=details] input", k.rig.doc().Entity(sample.Quay, id).Name)
		k.drag(left, k.at(cell.X, cell.Y), k.at(cell.X+2, cell.Y))
		at(id, (cell.X+2)*16, cell.Y*16)
		k.keys(input.Escape)
	}
	// of one cell at 100 %, taken near each of its corners
	k.press("Zoom out")
	k.see("[data-testid=zoom]", "100 %")
	door := k.at(10, 2)
	k.click(door)
	k.see("[data-testid=details] input", "Door")
	for i, by := range []proto.Point{{X: -6, Y: -6}, {X: 6, Y: -6}, {X: 6, Y: 6}, {X: -6, Y: 6}} {
		from := offset(k.at(10+i, 2), by.X, by.Y)
		k.drag(left, from, offset(from, 16, 0))
		at(sample.Door, (11+i)*16, 32)
	}
	k.same()
}

// A path that is held as a line is one path, and in place of others stays with its kind.
func TestPathAsALine(t *testing.T) {
	k := world(t).open()
	k.pressIn("aside [role=tab]", "Kinds")
	k.pressIn("aside button", "Path")
	k.focusMap()
	k.keys(input.KeyL)
	k.drag(left, k.at(3, 7), k.at(8, 9))
	k.stored(func(d *document.Document) error {
		all := entities(d, sample.Quay, "path")
		if len(all) != 1 || len(all[0].Points) != 1 || all[0].Points[0] != (grid.Point{X: 80, Y: 32}) {
			return fmt.Errorf("there are %d paths: %+v", len(all), all)
		}
		return nil
	})
	k.pressIn("[data-testid=hand] button", "on top")
	k.press("in place of others")
	k.see("[data-testid=hand]", "in place of others")
	k.pressIn("aside button", "Collectible")
	k.see("[data-testid=hand]", "on top")
}

// Of many that are selected each has its frame, which goes along while they are dragged, at once and when the map is seen at another size.
func TestManySelectedAreFramed(t *testing.T) {
	r := world(t)
	const columns, rows = 11, 10
	var signs []edit.Primitive
	for i := range columns * rows {
		e := document.Entity{ID: document.NewID(), Layer: sample.Entities, Kind: kind.Sign, Name: fmt.Sprint("Board ", i), Facing: document.Right, X: 16 * (1 + i%columns), Y: 16 * (1 + i/columns), W: 16, H: 16, Rank: 100 + i}
		signs = append(signs, edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: e.ID}, e))
	}
	r.append(signs...)
	k := r.open()
	k.focusMap()
	k.keys(input.KeyG) // without the grid nothing else is drawn above the map
	marked := func(p proto.Point) string {
		return k.eval(`(x, y) => {
			const c = document.querySelector('[data-testid=map]'), r = c.getBoundingClientRect()
			return c.getContext('2d').getImageData(x - r.left, y - r.top, 1, 1).data[3] > 0
		}`, p.X, p.Y)
	}
	// the left sides of the frames of a row, and beyond it
	framed := func(first int) func() error {
		return func() error {
			for _, x := range []int{first, first + 5, first + columns - 1} {
				if err := want(fmt.Sprintf("a frame at %d, 4", x), marked(offset(k.at(x, 4), -17, 0)), "true"); err != nil {
					return err
				}
			}
			return want("a frame beyond", marked(offset(k.at(first+columns+1, 4), -17, 0)), "false")
		}
	}
	k.drag(left, k.at(0, 0), k.at(6, 6), offset(k.at(11, 10), 12, 12))
	within(t, soon, framed(1))
	// taken by one of them and led two cells on, all are where they would be put
	k.hold(left, k.at(3, 3), k.at(4, 3), k.at(5, 3))
	within(t, soon, framed(3))
	must(t, k.page.Mouse.Up(left, 1))
	k.stored(func(d *document.Document) error {
		least := 1 << 20
		for _, e := range d.Maps.Get(sample.Quay).Entities.All() {
			if e.Kind == kind.Sign {
				least = min(least, e.X)
			}
		}
		if least != 48 {
			return fmt.Errorf("the first of them lies at %d", least)
		}
		return nil
	})
	within(t, soon, framed(3))
	k.keys(input.Escape)
	within(t, soon, func() error { return want("a frame", marked(offset(k.at(5, 4), -17, 0)), "false") })
	k.same()
}

// Of thousands that are selected each is seen from afar, where it is, also when the view has moved on, and none where there is none: on a
// square grid and on one of diamonds.
func TestThousandsSelectedAreSeenFromAfar(t *testing.T) {
	for _, layout := range []string{document.GridSquare, document.GridDiamond} {
		t.Run(cmp.Or(layout, "square"), func(t *testing.T) { thousandsAreSeen(t, layout) })
	}
}

func thousandsAreSeen(t *testing.T, layout string) {
	r := world(t)
	high := 16
	if layout == document.GridDiamond {
		high = 8
	}
	of := edit.Ref{Type: edit.TypeMap, ID: sample.Quay}
	r.append(edit.Set(of, "bounds", grid.Rect{W: 200, H: 160}), edit.Set(of, "grid", layout), edit.Set(of, "cellHeight", high))
	var signs []edit.Primitive
	for i := range 40 * 30 {
		e := document.Entity{ID: document.NewID(), Layer: sample.Entities, Kind: kind.Sign, Name: fmt.Sprint("Board ", i), Facing: document.Right, X: 32 * (20 + i%40), Y: 2 * high * (20 + i/40), W: 16, H: high, Rank: 100 + i}
		signs = append(signs, edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: e.ID}, e))
	}
	r.append(signs...)
	k := r.open()
	k.focusMap()
	k.keys(input.Home)
	on := k.at
	if layout == document.GridDiamond {
		on = k.onDiamond
	}
	box := k.box("[data-testid=map]")
	corner := func(x, y float64) proto.Point { return proto.NewPoint(box.X+x*box.Width, box.Y+y*box.Height) }
	k.drag(left, corner(0.06, 0.06), corner(0.5, 0.5), corner(0.98, 0.98))
	k.see("[data-testid=status]", "entities selected")
	marked := func() error {
		for _, at := range []grid.Point{{X: 40, Y: 40}, {X: 118, Y: 40}, {X: 80, Y: 60}, {X: 118, Y: 98}} {
			if err := want(fmt.Sprint("what is selected at ", at), k.overlay(on(at.X, at.Y)), "226,165,42,255"); err != nil {
				return err
			}
		}
		if got := k.overlay(on(150, 130)); got == "226,165,42,255" {
			return fmt.Errorf("nothing is selected there, and it is marked")
		}
		return nil
	}
	within(t, soon, marked)
	k.see("[data-testid=details]", "1205 entities")
	must(t, k.page.Mouse.Scroll(0, 30, 1))
	within(t, soon, marked)
}
