package e2e

import (
	"azzel/core/document"
	"azzel/core/sample"
	"bytes"
	"fmt"
	"hash/crc32"
	"image"
	"image/gif"
	"image/jpeg"
	"image/png"
	"os"
	"path/filepath"
	"slices"
	"testing"

	"github.com/go-rod/rod"
	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
)

// file writes a file for the picker of pictures.
func file(t *testing.T, name string, data []byte) string {
	t.Helper()
	path := filepath.Join(t.TempDir(), name)
	must(t, os.WriteFile(path, data, 0o600))
	return path
}

func (k *tab) choose(path string) {
	k.Helper()
	e, err := k.page.Element("input[type=file]")
	must(k.T, err)
	must(k.T, e.SetFiles([]string{path}))
}

// gutters is a sheet of 6×4 tiles of 16 pixels with a margin of 2 and a spacing
// of 1, and a strip below that no tile covers.
func gutters() []byte {
	img := image.NewNRGBA(image.Rect(0, 0, 2*2+6*16+5, 2*2+4*16+3+9))
	for ty := range 4 {
		for tx := range 6 {
			for y := range 16 {
				for x := range 16 {
					c := paint(ty*6 + tx)
					if (x*7+y*5)%6 == 0 {
						c.R /= 2
					}
					img.SetNRGBA(2+tx*17+x, 2+ty*17+y, c)
				}
			}
		}
	}
	var out bytes.Buffer
	if err := png.Encode(&out, img); err != nil {
		panic(err) // a buffer takes everything
	}
	return out.Bytes()
}

func tilesetIs(name string, condition func(s *document.Tileset) error) func(*document.Document) error {
	return func(d *document.Document) error {
		for _, s := range d.TilesetsInOrder() {
			if s.Name == name {
				return condition(s)
			}
		}
		return fmt.Errorf("there is no tileset %s", name)
	}
}

func TestTilesetFromPicture(t *testing.T) {
	k := world(t).open()
	k.pressIn("nav button", "Tilesets")
	k.choose(file(t, "harbour.png", gutters()))
	// the guess comes with its live cut, the hero beside it, and what it leaves unused
	k.see("[aria-label='Guessed cuts']", "16 × 16, margin 2, spacing 1")
	k.see("[data-testid=cut-told]", "6 × 4 = 24 tiles")
	k.see("[data-testid=cut-told]", "9 px at the bottom of the picture unused")
	k.see("figcaption", "A tile of 16 × 16 beside the hero")

	// wrong cuts are said at once and cannot be used
	field := func(n int) string { return fmt.Sprintf("form label:nth-of-type(%d) input[type=number]", n) }
	for _, c := range []struct {
		value, sentence string
	}{{"0", "1"}, {"300", "picture"}} {
		k.write(field(1), c.value)
		k.see("[data-testid=cut-told] .text-brick", c.sentence)
		if k.eval(`() => [...document.querySelectorAll('form button')].find((b) => b.innerText === 'Use this cut').disabled`) != "true" {
			t.Errorf("a cell width of %s can be used", c.value)
		}
	}
	k.write(field(1), "33")
	k.see("figcaption", "A tile of 33 × 16")
	k.pressIn("[aria-label='Guessed cuts'] button", "16 × 16, margin 2, spacing 1")
	k.press("Use this cut")
	k.notice("harbour is in the cabinet")
	k.stored(tilesetIs("harbour", func(s *document.Tileset) error {
		if s.Number != 2 || s.Cut != (document.Cut{CellWidth: 16, CellHeight: 16, Margin: 2, Spacing: 1}) {
			return fmt.Errorf("the tileset is %+v", s)
		}
		return nil
	}))

	// tiles are marked solid by painting over them, and cleared by painting again
	box := k.box("[data-testid=cut]")
	scale := box.Width / 105
	tile := func(x, y int) proto.Point {
		return proto.NewPoint(box.X+(float64(2+x*17)+8)*scale, box.Y+(float64(2+y*17)+8)*scale)
	}
	solid := func(want ...int) {
		t.Helper()
		k.stored(tilesetIs("harbour", func(s *document.Tileset) error {
			if !slices.Equal(s.Solid, want) {
				return fmt.Errorf("the solid tiles are %v, wanted %v", s.Solid, want)
			}
			return nil
		}))
	}
	k.drag(left, tile(0, 1), tile(1, 1), tile(2, 1))
	solid(6, 7, 8)
	k.see("aside", "3 tiles are solid")
	k.click(tile(1, 1))
	solid(6, 8)
	k.drag(right, tile(2, 1), tile(3, 1))
	solid(6)
	k.find("[data-testid=cut]", "").MustFocus()
	k.keys(input.ArrowRight, input.Enter)
	solid(6, 9)
	k.with(input.ControlLeft, input.KeyZ)
	solid(6)
	// and they are in the cabinet
	k.pressIn("nav button", "Map")
	k.see("aside", "harbour")
}

func TestBadPictures(t *testing.T) {
	k := world(t).open()
	before := k.rig.doc().Hash()
	k.pressIn("nav button", "Tilesets")
	for _, c := range []struct {
		name     string
		data     []byte
		sentence string
	}{
		{"notes.png", []byte("these are only words"), "That is not a picture"},
		{"empty.png", nil, "That file is empty"},
		{"cut-off.png", sheet(8, 8, 16)[:200], "damaged"},
		{"wide.png", header(20000, 20000), "20000 × 20000 pixels"},
		{"none.png", header(0, 0), "picture"},
	} {
		k.choose(file(t, c.name, c.data))
		k.notice(c.sentence)
	}
	if k.rig.doc().Hash() != before {
		t.Error("a bad picture changed the project")
	}
}

// stands is where tiles of 16 pixels lie on the sheet of the station, in its thirds.
func (k *tab) onSheet(width float64, tile, columns int, part [2]float64) proto.Point {
	k.Helper()
	box := k.box("[data-testid=cut]")
	scale := box.Width / width
	x, y := float64(tile%columns)*16+16*part[0], float64(tile/columns)*16+16*part[1]
	return proto.NewPoint(box.X+x*scale, box.Y+y*scale)
}

var middleOf = [2]float64{0.5, 0.5}

func TestTilesAreSetUpByPainting(t *testing.T) {
	k := world(t).open()
	k.pressIn("nav button", "Tilesets")
	tile := func(i int) proto.Point { return k.onSheet(128, i, 8, middleOf) }
	info := func(i int, ok func(o document.TileInfo) bool) {
		t.Helper()
		k.stored(func(d *document.Document) error {
			for _, o := range d.Tilesets.Get(sample.Coast).Infos {
				if o.Tile == i && ok(o) {
					return nil
				}
			}
			return fmt.Errorf("tile %d is set up as %+v", i, d.Tilesets.Get(sample.Coast).Infos)
		})
	}
	k.press("Solid in part: ground rising right")
	k.drag(left, tile(9), tile(10))
	info(10, func(o document.TileInfo) bool { return o.Part == "ground rising right" })
	k.press("One-way: nobody comes in from above")
	k.click(tile(11))
	info(11, func(o document.TileInfo) bool { return o.OneWay == document.Up })
	k.press("water")
	k.click(tile(12))
	info(12, func(o document.TileInfo) bool { return o.Is == "water" })
	k.clickWith(tile(12), right)
	k.stored(func(d *document.Document) error {
		if n := len(d.Tilesets.Get(sample.Coast).Infos); n != 3 {
			return fmt.Errorf("%d tiles are set up", n)
		}
		return nil
	})
	k.click(tile(12))
	k.see("[aria-label=Tile]", "Tile 12")
	k.write("[aria-label='Odds of the tile']", "5")
	k.keys(input.Tab)
	info(12, func(o document.TileInfo) bool { return o.Odds == 5 })
	k.write("[aria-label='Odds of the tile']", "-4")
	k.keys(input.Tab)
	k.notice("odds")
	k.write("[aria-label='Tags of the tile']", "wet, deep")
	k.keys(input.Tab)
	info(12, func(o document.TileInfo) bool { return fmt.Sprint(o.Tags) == "[wet deep]" })
	// so are tags, odds and what else is written first
	k.write("[aria-label='Tag to paint']", "slippery")
	k.drag(left, tile(33), tile(38)) // in one leap
	info(34, func(o document.TileInfo) bool { return fmt.Sprint(o.Tags) == "[slippery]" })
	k.drag(right, tile(35), tile(38))
	k.clickWith(tile(33), right)
	k.stored(func(d *document.Document) error {
		for _, o := range d.Tilesets.Get(sample.Coast).Infos {
			if o.Tile >= 33 && o.Tile != 34 {
				return fmt.Errorf("the tag is left on %+v", o)
			}
		}
		return nil
	})
	must(t, k.find("[aria-label='What else to paint over the sheet']", "").Select([]string{"odds"}, true, rod.SelectorTypeText))
	k.write("[aria-label='Odds to paint']", "7")
	k.click(tile(34))
	info(34, func(o document.TileInfo) bool { return o.Odds == 7 && len(o.Tags) == 1 })
	k.click(tile(12))
	info(12, func(o document.TileInfo) bool { return o.Odds == 7 })
	// frames are pressed on the sheet, and move on the map
	k.press("Animate it")
	k.click(tile(20))
	k.click(tile(21))
	k.see("[aria-label=Frames]", "")
	k.write("[aria-label='Milliseconds of frame 1']", "0")
	k.keys(input.Tab)
	k.notice("10 to 60000")
	k.write("[aria-label='Milliseconds of frame 1']", "60")
	k.keys(input.Tab)
	info(12, func(o document.TileInfo) bool {
		return len(o.Frames) == 3 && o.Frames[0].Ms == 60 && o.Frames[2].Tile == 21
	})
	k.pressIn("nav button", "Map")
	k.holdTile(12)
	k.click(k.at(5, 5))
	k.showsTile(5, 5, 20)
	k.showsTile(5, 5, 21)
	k.showsTile(5, 5, 12)
	k.same()
}

func TestSeveralPicturesAndOtherFormats(t *testing.T) {
	k := world(t).open()
	k.pressIn("nav button", "Tilesets")
	photo := image.NewNRGBA(image.Rect(0, 0, 48, 32))
	for i := range photo.Pix {
		photo.Pix[i] = 200
	}
	var jpg, small bytes.Buffer
	must(t, jpeg.Encode(&jpg, photo, nil))
	must(t, gif.Encode(&small, photo.SubImage(image.Rect(0, 0, 16, 16)), nil))
	e, err := k.page.Element("input[type=file]")
	must(t, err)
	must(t, e.SetFiles([]string{file(t, "rocks.jpg", jpg.Bytes()), file(t, "lamp.gif", small.Bytes())}))
	k.pressIn("[aria-label=Gather] button", "Gather")
	k.see("[aria-label='Guessed cuts']", "48 × 32")
	k.press("Use this cut")
	k.stored(tilesetIs("rocks", func(s *document.Tileset) error {
		if s.Width != 96 || s.Height != 32 || s.Cut.CellWidth != 48 {
			return fmt.Errorf("the tileset is %+v", s)
		}
		return nil
	}))
	// cropped and scaled before it is cut
	k.choose(file(t, "big.png", sheet(4, 4, 32)))
	k.pressIn("summary", "Crop or scale")
	k.press("÷ 2")
	k.see("summary", "64 × 64")
	k.write("[aria-label='Crop: width']", "32")
	k.press("Crop to this part")
	k.see("summary", "32 × 64")
	k.press("Use this cut")
	k.stored(tilesetIs("big", func(s *document.Tileset) error {
		if s.Width != 32 || s.Height != 64 {
			return fmt.Errorf("the tileset is %+v", s)
		}
		return nil
	}))
	k.same()
}

// header is a PNG that claims a size and has nothing else.
func header(w, h int) []byte {
	data := sheet(1, 1, 16)
	for i, v := range []int{w, h} {
		data[16+i*4], data[17+i*4], data[18+i*4], data[19+i*4] = byte(v>>24), byte(v>>16), byte(v>>8), byte(v)
	}
	sum := crc32.ChecksumIEEE(data[12:29])
	copy(data[29:33], []byte{byte(sum >> 24), byte(sum >> 16), byte(sum >> 8), byte(sum)})
	return data
}
