package picture_test

import (
	"archive/zip"
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/sample"
	"azzel/picture"
	"bytes"
	"encoding/xml"
	"errors"
	"image"
	"image/color"
	"image/draw"
	"image/png"
	"io"
	"strings"
	"testing"
)

// source is the sample world with a sheet of which each tile has a colour of its own and a corner that is empty; half has the
// colours of the second row half seen.
func source(t *testing.T, half bool, do ...edit.Primitive) picture.Source {
	t.Helper()
	d := edit.Apply(sample.World(), &edit.Edit{Do: do}).Doc
	set := d.Tilesets.Get(sample.Coast)
	img := image.NewNRGBA(image.Rect(0, 0, set.Width, set.Height))
	for y := range set.Height {
		for x := range set.Width {
			c := color.NRGBA{uint8(x / 16 * 9), uint8(y / 16 * 9), 90, 255}
			if x%16 < 4 && y%16 < 4 {
				c = color.NRGBA{}
			} else if half && y/16 == 0 && x/16 == 1 {
				c.A = 100
			}
			img.SetNRGBA(x, y, c)
		}
	}
	var raw bytes.Buffer
	if err := png.Encode(&raw, img); err != nil {
		t.Fatal(err)
	}
	return picture.Source{Doc: d, Picture: func(sha string) ([]byte, error) {
		if sha != set.Picture {
			return nil, errors.New("no such picture")
		}
		return raw.Bytes(), nil
	}}
}

func drawn(t *testing.T, s picture.Source, look picture.Look) image.Image {
	t.Helper()
	var out bytes.Buffer
	if err := s.PNG(&out, s.Doc.Maps.Get(sample.Quay), look); err != nil {
		t.Fatal(err)
	}
	img, err := png.Decode(&out)
	if err != nil {
		t.Fatal(err)
	}
	return img
}

func same(a, b image.Image) bool {
	if a.Bounds().Size() != b.Bounds().Size() {
		return false
	}
	for y := range a.Bounds().Dy() {
		for x := range a.Bounds().Dx() {
			if color.NRGBAModel.Convert(a.At(x, y)) != color.NRGBAModel.Convert(b.At(x, y)) {
				return false
			}
		}
	}
	return true
}

// What is drawn band by band, in few colours or in all, is what is drawn at once; scaled, each pixel is so many.
func TestBands(t *testing.T) {
	tall := edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "bounds", map[string]int{"x": 0, "y": 0, "w": 20, "h": 40})
	for name, s := range map[string]picture.Source{"few colours": source(t, false, tall), "half seen": source(t, true, tall)} {
		whole, err := s.Whole(s.Doc.Maps.Get(sample.Quay), picture.Look{Scale: 1, Things: true})
		if err != nil {
			t.Fatal(err)
		}
		got := drawn(t, s, picture.Look{Scale: 1, Things: true})
		if !same(got, whole) {
			t.Errorf("%s: the bands are otherwise than the whole", name)
		}
		if _, few := got.(*image.Paletted); few != (name == "few colours") {
			t.Errorf("%s: it is kept in few colours: %t", name, few)
		}
		three := drawn(t, s, picture.Look{Scale: 3, Things: true})
		if three.Bounds().Dx() != 3*whole.Rect.Dx() || color.NRGBAModel.Convert(three.At(3*70+2, 3*5+1)) != color.NRGBAModel.Convert(whole.At(70, 5)) {
			t.Errorf("%s: three times as large it is otherwise", name)
		}
	}
	s := source(t, false)
	if only := drawn(t, s, picture.Look{Scale: 1, Layers: []string{"Things"}}); color.NRGBAModel.Convert(only.At(86, 86)) == color.NRGBAModel.Convert(drawn(t, s, picture.Look{Scale: 1}).At(86, 86)) {
		t.Error("a layer alone has what lies on others")
	}
	for _, wrong := range []picture.Look{{}, {Scale: 40}, {Scale: 1, Layers: []string{"Sky"}}} {
		if err := s.PNG(io.Discard, s.Doc.Maps.Get(sample.Quay), wrong); err == nil {
			t.Errorf("%+v was drawn", wrong)
		}
	}
}

// A map of diamonds is as broad as high cells allow, its corners are empty, and its middle is not.
func TestDiamonds(t *testing.T) {
	s := source(t, false, edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "grid", document.GridDiamond))
	img := drawn(t, s, picture.Look{Scale: 1})
	m := s.Doc.Maps.Get(sample.Quay)
	want := image.Pt((m.Bounds.W+m.Bounds.H)*m.CellWidth/2, (m.Bounds.W+m.Bounds.H)*m.CellHeight/2)
	if img.Bounds().Size() != want {
		t.Errorf("it is %v, wanted %v", img.Bounds().Size(), want)
	}
	seen := func(x, y int) bool { _, _, _, a := img.At(x, y).RGBA(); return a != 0 }
	if seen(2, 2) || seen(want.X-3, want.Y-3) || !seen(want.X/2, want.Y/2) {
		t.Error("it is not drawn as a diamond")
	}
}

// A layered picture has its type first and unpacked, each layer with its name from the top down, and gives, put together again,
// the map as it is drawn.
func TestLayered(t *testing.T) {
	s := source(t, false, edit.Set(edit.Ref{Type: edit.TypeLayer, Map: sample.Quay, ID: sample.Things}, "opacity", 40),
		edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: "keeperkeeper"}, document.Entity{ID: "keeperkeeper", Layer: sample.Entities, Kind: kind.Character, Name: "Keeper", Look: cells.TileCell(1, 5), X: 64, Y: 64, W: 16, H: 16, Facing: document.Down}))
	m := s.Doc.Maps.Get(sample.Quay)
	var out bytes.Buffer
	if err := s.Layered(&out, m); err != nil {
		t.Fatal(err)
	}
	z, err := zip.NewReader(bytes.NewReader(out.Bytes()), int64(out.Len()))
	if err != nil {
		t.Fatal(err)
	}
	if f := z.File[0]; f.Name != "mimetype" || f.Method != zip.Store || !strings.Contains(out.String()[:60], "mimetypeimage/openraster") {
		t.Errorf("it begins with %s", f.Name)
	}
	read := func(name string) []byte {
		f, err := z.Open(name)
		if err != nil {
			t.Fatal(err)
		}
		data, err := io.ReadAll(f)
		if err != nil {
			t.Fatal(err)
		}
		return data
	}
	picture := func(name string) image.Image {
		img, err := png.Decode(bytes.NewReader(read(name)))
		if err != nil {
			t.Fatal(err)
		}
		return img
	}
	var list struct {
		W      int `xml:"w,attr"`
		H      int `xml:"h,attr"`
		Layers []struct {
			Name       string  `xml:"name,attr"`
			Src        string  `xml:"src,attr"`
			Opacity    float64 `xml:"opacity,attr"`
			Visibility string  `xml:"visibility,attr"`
		} `xml:"stack>layer"`
	}
	if err := xml.Unmarshal(read("stack.xml"), &list); err != nil {
		t.Fatal(err)
	}
	var names []string
	on := image.NewNRGBA(image.Rect(0, 0, list.W, list.H))
	for i := len(list.Layers) - 1; i >= 0; i-- {
		l := list.Layers[i]
		names = append(names, l.Name)
		if l.Visibility == "visible" {
			mask := image.NewUniform(color.Alpha{uint8(l.Opacity * 255)})
			draw.DrawMask(on, on.Rect, picture(l.Src), image.Point{}, mask, image.Point{}, draw.Over)
		}
	}
	if got := strings.Join(names, ", "); got != "Ground, Things, Entities" {
		t.Errorf("the layers are %s", got)
	}
	if !same(on, picture("mergedimage.png")) {
		t.Error("put together the layers are not the map")
	}
	if small := picture("Thumbnails/thumbnail.png").Bounds(); small.Dx() > 256 || small.Dy() > 256 || small.Empty() {
		t.Errorf("the preview is %v", small)
	}
}
