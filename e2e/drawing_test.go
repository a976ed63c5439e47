package e2e

import (
	"azzel/core/author"
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/sample"
	"bytes"
	"context"
	"fmt"
	"image"
	"image/color"
	"image/draw"
	"image/png"
	"testing"

	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
)

// A drawing error in one chunk never takes the map away: that chunk shows as faulty,
// the rest is drawn, and the notice says what to do.
func TestADrawingErrorShowsItsChunk(t *testing.T) {
	k := world(t).open()
	k.showsTile(5, 5, 0)
	k.eval(`() => {
		const was = OffscreenCanvasRenderingContext2D.prototype.drawImage
		OffscreenCanvasRenderingContext2D.prototype.drawImage = function (...a) {
			if (window.broken && this.canvas.width > 100 && a.length > 5) throw new Error('cannot be drawn')
			return was.apply(this, a)
		}
		window.broken = true
	}`)
	k.rig.append(paintCell(sample.Quay, sample.Ground, 7, 7, cells.TileCell(1, 5)))
	k.notice("A part of this map cannot be drawn")
	k.see("[data-testid=details], [data-testid=hand]", "") // the page goes on
	// the entities are there, and painting goes on
	k.click(k.at(10, 2))
	k.see("[data-testid=details] input", "Door")
	k.keys(input.Escape)
	// when it can be drawn again, it is
	k.eval(`() => { window.broken = false }`)
	k.rig.append(paintCell(sample.Quay, sample.Ground, 7, 8, cells.TileCell(1, 6)))
	k.showsTile(7, 8, 6)
	k.showsTile(7, 7, 5)
	k.showsTile(5, 5, 0)
}

// wide is a tab on a map of 1024×1024 empty cells, seen from as far as it takes to see all of it, and no farther.
func wide(t *testing.T) (k *tab, made document.ID) {
	t.Helper()
	r := world(t)
	c, err := author.NewMap(r.doc(), "Wide", 1024, 1024)
	must(t, err)
	r.append(c.Do...)
	k = r.open()
	k.pressIn("aside ul button", "Wide")
	k.see("header", "Wide")
	k.focusMap()
	k.keys(input.Home)
	k.see("[data-testid=zoom]", "3 %")
	return k, c.Made
}

// A large map that is filled is drawn bit by bit, and in the end all of it.
func TestALargeFillIsDrawnToItsEnd(t *testing.T) {
	k, made := wide(t)
	k.seesAllOf(1024, 1024)
	k.keys(input.Minus)
	k.seesAllOf(1024, 1024)
	k.see("[data-testid=zoom]", "3 %")
	k.holdTile(5)
	k.pressIn("[data-testid=hand] button", "freehand")
	k.press("fill")
	box := k.box("[data-testid=map]")
	middle := offset(k.at(512, 512), 0, 0)
	before := k.pixel(middle)
	k.click(middle)
	k.stored(func(d *document.Document) error {
		if got := d.Maps.Get(made).LayersInOrder()[0].Cells.At(1000, 1000); got != cells.TileCell(1, 5) {
			return fmt.Errorf("the far end holds %x", got)
		}
		return nil
	})
	for _, by := range [][2]float64{{-0.3, -0.3}, {0.3, 0.3}, {-0.3, 0.3}, {0.3, -0.3}} {
		at := offset(middle, by[0]*box.Height, by[1]*box.Height)
		within(t, soon, func() error {
			if got, want := k.pixel(at), k.pixel(middle); got != want || got == before {
				return fmt.Errorf("%v is drawn in %s, the middle in %s; it was %s", by, got, want, before)
			}
			return nil
		})
	}
	k.same()
}

// seesAllOf finds the first and the last cell of a map on the canvas.
func (k *tab) seesAllOf(w, h int) {
	k.Helper()
	box := k.box("[data-testid=map]")
	for _, p := range []proto.Point{k.at(0, 0), k.at(w-1, h-1)} {
		if p.X < box.X || p.Y < box.Y || p.X > box.X+box.Width || p.Y > box.Y+box.Height {
			k.Fatalf("%v lies outside of %v", p, *box)
		}
	}
}

// The largest map there is lies there whole as it is opened, and shows a stroke at once; seen
// nearer it is drawn of its tiles again.
func TestTheLargestMapIsSeenWhole(t *testing.T) {
	r := world(t)
	c, err := author.NewMap(r.doc(), "Vast", 2048, 2048)
	must(t, err)
	r.append(c.Do...)
	layer := r.doc().Maps.Get(c.Made).LayersInOrder()[0].ID
	r.append(fillCells(c.Made, layer, grid.Rect{W: 2048, H: 2048}, cells.TileCell(1, 5)))
	k := r.open()
	k.pressIn("aside ul button", "Vast")
	k.see("header", "Vast")
	k.focusMap()
	k.see("[data-testid=zoom]", "2 %")
	k.seesAllOf(2048, 2048)
	near, far := k.at(20, 20), k.at(2030, 2030)
	// four million cells come bit by bit
	within(t, 4*soon, func() error {
		if a, b := k.pixel(near), k.pixel(far); a != b {
			return fmt.Errorf("one corner is drawn in %s, the other in %s", a, b)
		}
		return nil
	})
	before := k.pixel(near)
	k.rig.append(fillCells(c.Made, layer, grid.Rect{X: 2016, Y: 2016, W: 32, H: 32}, 0))
	within(t, soon, func() error {
		if got := k.pixel(far); got == before || k.pixel(near) != before {
			return fmt.Errorf("what was taken away is drawn in %s, the rest was %s", got, before)
		}
		return nil
	})
	for range 5 {
		k.keys(input.Equal)
	}
	k.see("[data-testid=zoom]", "50 %")
	k.same()
}

// From afar a part of a map that is all of one tile is drawn at once, and looks like one in which a cell differs: where layers show
// through as well, and where nothing is left.
func TestFromAfarWhatIsAlikeLooksAlike(t *testing.T) {
	k, made := wide(t)
	r := k.rig
	layers := r.doc().Maps.Get(made).LayersInOrder()
	below, above := layers[0].ID, layers[1].ID
	// chunks of 32 cells, of which one has a cell that differs
	alike, differs, other := k.at(208, 208), k.at(816, 816), k.at(208, 816)
	looks := func(at proto.Point, as string) {
		t.Helper()
		within(t, soon, func() error {
			if got := k.pixel(at); got != as {
				return fmt.Errorf("%v looks like %s, wanted %s", at, got, as)
			}
			return nil
		})
	}
	becomes := func(was string) (is string) {
		t.Helper()
		within(t, soon, func() error {
			if is = k.pixel(alike); is == was || k.pixel(differs) != is || k.pixel(other) != is {
				return fmt.Errorf("it looks like %s, elsewhere like %s and %s; it was %s", is, k.pixel(differs), k.pixel(other), was)
			}
			return nil
		})
		return is
	}
	empty := becomes("0,0,0") // as long as nothing is drawn
	r.append(fillCells(made, below, grid.Rect{W: 1024, H: 1024}, cells.TileCell(1, 5)))
	plain := becomes(empty)
	r.append(edit.Set(edit.Ref{Type: edit.TypeLayer, Map: made, ID: above}, "opacity", 50), fillCells(made, above, grid.Rect{W: 1024, H: 1024}, cells.TileCell(1, 6)),
		paintCell(made, below, 801, 801, cells.TileCell(1, 7)))
	through := becomes(plain)
	r.append(fillCells(made, above, grid.Rect{X: 192, Y: 192, W: 32, H: 32}, 0), fillCells(made, below, grid.Rect{X: 192, Y: 800, W: 32, H: 32}, 0),
		fillCells(made, above, grid.Rect{X: 192, Y: 800, W: 32, H: 32}, 0))
	looks(alike, plain)
	looks(differs, through)
	looks(other, empty)
	k.same()
}

// Who left the page is not here, though the browser keeps it for going back.
func TestALeftPageIsNotHere(t *testing.T) {
	r := world(t)
	a, b := r.open(), r.open()
	a.see("header", "2 here")
	b.eval(`() => dispatchEvent(new PageTransitionEvent('pagehide', { persisted: true }))`)
	within(t, soon, func() error {
		if got := a.text("header"); contains(got, "2 here") == nil {
			return fmt.Errorf("the strip says %q", got)
		}
		return nil
	})
	b.eval(`() => dispatchEvent(new PageTransitionEvent('pageshow', { persisted: true }))`)
	a.see("header", "2 here")
	r.append(paintCell(sample.Quay, sample.Ground, 7, 7, cells.TileCell(1, 5)))
	b.showsTile(7, 7, 5)
}

// On cells that are not square a tile that is turned fills its cell, at every zoom.
func TestOddCellsAreFilled(t *testing.T) {
	r := world(t)
	c, err := author.SetCellSize(r.doc().Maps.Get(sample.Pans), 18, 22)
	must(t, err)
	all := &grid.Region{}
	all.AddRect(grid.Rect{W: 20, H: 12})
	turned := cells.TileCell(2, 0) | cells.Exchange
	r.append(append(c.Do, sample.Paint(sample.Pans, sample.Ground, all, turned))...)
	set := *r.doc().Tilesets.Get(sample.Coast)
	set.ID, set.Name, set.Number, set.Solid = "plainplainpl", "Plain", 2, nil
	// the tile below it on the sheet, which is not on the map, is of another colour
	img := image.NewNRGBA(image.Rect(0, 0, 18, 44))
	draw.Draw(img, img.Bounds(), image.NewUniform(color.NRGBA{20, 40, 220, 255}), image.Point{}, draw.Src)
	draw.Draw(img, image.Rect(0, 0, 18, 22), image.NewUniform(color.NRGBA{200, 40, 90, 255}), image.Point{}, draw.Src)
	var out bytes.Buffer
	must(t, png.Encode(&out, img))
	set.Picture, err = r.store.SavePicture(context.Background(), out.Bytes(), 18, 44)
	must(t, err)
	set.Width, set.Height, set.Cut = 18, 44, document.Cut{CellWidth: 18, CellHeight: 22}
	r.append(edit.Insert(edit.Ref{Type: edit.TypeTileset, ID: set.ID}, set))
	k := r.open()
	k.pressIn("aside ul button", "Pans")
	k.see("header", "Pans")
	// all that is seen of the map is of the one colour of its tile
	one := func(zoom string) {
		t.Helper()
		k.see("[data-testid=zoom]", zoom)
		within(t, soon, func() error {
			return want("the map at "+zoom, k.eval(`() => {
				const v = azzel.view(), c = document.querySelector('main canvas')
				const s = v.scale, [x, y] = [Math.max(0, -v.x * s) + 2, Math.max(0, -v.y * s) + 2]
				const [w, h] = [Math.min(c.width, (360 - v.x) * s) - x - 3, Math.min(c.height, (264 - v.y) * s) - y - 3]
				const d = c.getContext('2d').getImageData(x, y, w, h).data
				const seen = new Set()
				for (let i = 0; i < d.length; i += 4) seen.add(d[i] + ',' + d[i + 1] + ',' + d[i + 2])
				return [...seen].slice(0, 5).join(' ')
			}`), "200,40,90")
		})
	}
	k.press("Zoom out")
	one("100 %")
	k.press("Zoom out")
	one("50 %")
	k.press("Zoom out")
	one("25 %")
}

// drawn counts the pixels of a colour on what is drawn above the map, or on the chart.
func (k *tab) drawn(on, colour string) int {
	k.Helper()
	var n int
	_, err := fmt.Sscan(k.eval(`(on, colour) => {
		const c = document.querySelector('[data-testid=' + on + ']')
		const d = c.getContext('2d').getImageData(0, 0, c.width, c.height).data
		let n = 0
		for (let i = 0; i < d.length; i += 4) n += d[i] + ',' + d[i + 1] + ',' + d[i + 2] === colour && d[i + 3] > 200
		return n
	}`, on, colour), &n)
	must(k.T, err)
	return n
}

// still is what is counted once it has been the same for several looks: a picture that is still being drawn shows less at first.
func (k *tab) still(count func() int) (n int) {
	k.Helper()
	same := 0
	within(k.T, soon, func() error {
		if now := count(); now != n {
			n, same = now, 0
		}
		if same++; same < 6 {
			return fmt.Errorf("it is still drawn: %d", n)
		}
		return nil
	})
	return n
}

// The overlay of what is solid shows sides, water and the sizes of parts; ways are drawn
// though nothing is selected; and in play no grid lies over what is painted.
func TestWhatLiesAboveTheMap(t *testing.T) {
	r := world(t)
	r.append(edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Pans}, "bounds", grid.Rect{W: 12, H: 8}))
	k := r.open()
	k.pressIn("aside ul button", "Pans")
	k.see("header", "Pans")
	k.focusMap()
	more := func(what, colour string, do func()) {
		t.Helper()
		k.move(k.at(11, 7))
		before := k.drawn("map", colour)
		do()
		within(t, soon, func() error {
			if now := k.drawn("map", colour); now < before+15 {
				return fmt.Errorf("%s: %d pixels, before %d", what, now, before)
			}
			return nil
		})
	}
	const cobalt = "51,80,158"
	k.keys(input.KeyK)
	infos := []document.TileInfo{document.NewTileInfo(5), document.NewTileInfo(6), document.NewTileInfo(7)}
	infos[0].OneWay, infos[1].Is, infos[2].Part = document.Up, document.GroundWater, document.Parts[0].Name
	paint := func(x int, tile int) edit.Primitive {
		part := &grid.Region{}
		part.AddRect(grid.Rect{X: x, Y: 2, W: 3, H: 2})
		return sample.Paint(sample.Pans, sample.Ground, part, cells.TileCell(1, tile))
	}
	r.append(edit.Set(edit.Ref{Type: edit.TypeTileset, ID: sample.Coast}, "infos", infos))
	more("a one-way side", "177,68,44", func() { r.append(paint(1, 5)) })
	more("water", cobalt, func() { r.append(paint(5, 6)) })
	more("a solid part", "177,68,44", func() { r.append(paint(8, 7)) })
	more("a way", cobalt, func() {
		r.append(edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Pans, ID: "pathpathpath"}, document.Entity{ID: "pathpathpath", Layer: sample.Entities, Kind: "path", Name: "Path",
			X: 16, Y: 100, W: 16, H: 16, Facing: document.Down, Points: []grid.Point{{X: 60, Y: 0}, {X: 120, Y: 10}}}))
	})
	k.same()
}

func fillCells(m, layer document.ID, box grid.Rect, c cells.Cell) edit.Primitive {
	r := &grid.Region{}
	r.AddRect(box)
	return sample.Paint(m, layer, r, c)
}

// The grid is seen on an empty map in both themes: its lines are neither as dark as Kiln's paper nor as light as Plaster's.
func TestTheGridIsSeenInBothThemes(t *testing.T) {
	k := world(t).open()
	for _, theme := range []string{"", "Dark theme, Kiln"} {
		if theme != "" {
			k.press(theme)
		}
		within(t, soon, func() error {
			for dx := -40; dx <= 40; dx++ {
				var r, g, b, alpha int
				if _, err := fmt.Sscanf(k.overlay(offset(k.at(7, 6), float64(dx), 0)), "%d,%d,%d,%d", &r, &g, &b, &alpha); err != nil {
					return err
				}
				if alpha > 60 && r > 100 && r < 140 {
					return nil
				}
			}
			return fmt.Errorf("no line of the grid is grey in %q", theme)
		})
	}
}
