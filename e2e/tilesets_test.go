package e2e

import (
	"azzel/core/document"
	"bytes"
	"fmt"
	"hash/crc32"
	"image"
	"image/png"
	"os"
	"path/filepath"
	"slices"
	"testing"

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
	k.see("main", "3 tiles are solid")
	k.click(tile(1, 1))
	solid(6, 8)
	k.drag(right, tile(2, 1), tile(3, 1))
	solid(6)
	k.find("[data-testid=cut]", "").MustFocus()
	k.keys(input.ArrowRight, input.Enter)
	solid(1, 6)
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
		{"notes.png", []byte("these are only words"), "That is not a PNG picture"},
		{"empty.png", nil, "That file is empty"},
		{"cut-off.png", sheet(8, 8, 16)[:200], "damaged"},
		{"wide.png", header(20000, 20000), "20000 × 20000 pixels"},
		{"none.png", header(0, 0), "PNG"},
	} {
		k.choose(file(t, c.name, c.data))
		k.notice(c.sentence)
	}
	if k.rig.doc().Hash() != before {
		t.Error("a bad picture changed the project")
	}
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
