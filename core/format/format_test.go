package format_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/format"
	"azzel/core/sample"
	"bytes"
	"crypto/sha256"
	"encoding/hex"
	"errors"
	"fmt"
	"image"
	"image/png"
	"math/rand/v2"
	"slices"
	"strings"
	"testing"
)

// give makes a picture of a size for a name that a document knows one by.
func give(name string) []byte {
	img := image.NewNRGBA(image.Rect(0, 0, 64+len(name)%7, 64))
	sum := sha256.Sum256([]byte(name))
	copy(img.Pix, sum[:])
	var out bytes.Buffer
	if err := png.Encode(&out, img); err != nil {
		panic(err)
	}
	return out.Bytes()
}

// pictures takes in what such a function does; a sound is one that lasts three seconds.
type pictures func(data []byte) (format.Picture, error)

func (p pictures) Picture(data []byte) (format.Picture, error) { return p(data) }

func (p pictures) Sound(data []byte) (format.SoundFile, error) {
	sum := sha256.Sum256(data)
	return format.SoundFile{SHA: hex.EncodeToString(sum[:]), Form: "ogg", Lasts: 3000}, nil
}

// pictured is a document whose pictures are such as can be given and taken.
func pictured(d *document.Document) (*document.Document, func(string) ([]byte, error), func([]byte) (format.Picture, error)) {
	own := *d
	d = &own
	known := map[string][]byte{}
	as := func(name string) (string, int, int) {
		data := give(name)
		sum := sha256.Sum256(data)
		sha := hex.EncodeToString(sum[:])
		known[sha] = data
		return sha, 64 + len(name)%7, 64
	}
	for _, t := range d.Tilesets.All() {
		next := *t
		next.Picture, next.Width, next.Height = as(t.Picture)
		d.Tilesets = d.Tilesets.With(t.ID, &next)
	}
	for _, m := range d.Maps.All() {
		with := *m
		for _, l := range m.Layers.All() {
			if l.Image != nil && l.Image.Picture != "" {
				next, image := *l, *l.Image
				image.Picture, image.Width, image.Height = as(image.Picture)
				next.Image = &image
				with.Layers = with.Layers.With(l.ID, &next)
			}
		}
		d.Maps = d.Maps.With(m.ID, &with)
	}
	for _, o := range d.Sounds.All() {
		next := *o
		next.File, _, _ = as(o.File)
		next.Form, next.Lasts = "ogg", 3000
		d.Sounds = d.Sounds.With(o.ID, &next)
	}
	picture := func(sha string) ([]byte, error) {
		if data := known[sha]; data != nil {
			return data, nil
		}
		return nil, errors.New("it is gone")
	}
	return d, picture, func(data []byte) (format.Picture, error) {
		c, err := png.DecodeConfig(bytes.NewReader(data))
		sum := sha256.Sum256(data)
		return format.Picture{SHA: hex.EncodeToString(sum[:]), Width: c.Width, Height: c.Height}, err
	}
}

// written is a document as files, and what reads them.
func written(t *testing.T, d *document.Document) (*document.Document, []format.File, func([]byte) (format.Picture, error)) {
	t.Helper()
	d, picture, take := pictured(d)
	files, err := format.Write(d, picture)
	if err != nil {
		t.Fatal(err)
	}
	return d, files, take
}

// What is written is read as what it was, and is written so again, through an archive as well.
func TestWrittenIsReadAgain(t *testing.T) {
	same := func(what string, d *document.Document) {
		d, files, take := written(t, d)
		packed, err := format.Pack(files)
		if err != nil {
			t.Fatal(err)
		}
		unpacked, err := format.Unpack(packed)
		if err != nil {
			t.Fatal(err)
		}
		got, err := format.Read(unpacked, pictures(take))
		if err != nil {
			t.Fatalf("%s: %v", what, err)
		}
		if got.Hash() != d.Hash() {
			a, b := string(d.Head()), string(got.Head())
			i := 0
			for i < min(len(a), len(b)) && a[i] == b[i] {
				i++
			}
			t.Fatalf("%s is read otherwise:\n%.200s\n%.200s", what, a[max(0, i-100):], b[max(0, i-100):])
		}
	}
	same("a new one", document.New("Empty"))
	same("one with everything", sample.Full())
	r := rand.New(rand.NewPCG(7, 13))
	d := sample.Full()
	for n := range 150 {
		d = edit.Apply(d, &edit.Edit{Do: sample.Primitives(r, d)}).Doc
		if n%5 == 0 {
			same(fmt.Sprint("after edit ", n), d)
		}
		if r.IntN(50) == 0 {
			d = sample.Full()
		}
	}
}

// One changed cell is one changed line.
func TestOneCellIsOneLine(t *testing.T) {
	d := sample.World()
	_, before, _ := written(t, d)
	_, after, _ := written(t, sample.With(d, cell(d, 3, 2)))
	changed := 0
	for i, f := range after {
		if f.Path != before[i].Path {
			t.Fatalf("%s stands where %s stood", f.Path, before[i].Path)
		}
		was, is := strings.Split(string(before[i].Data), "\n"), strings.Split(string(f.Data), "\n")
		if len(was) != len(is) {
			t.Fatalf("%s has %d lines instead of %d", f.Path, len(is), len(was))
		}
		for k := range is {
			if was[k] != is[k] {
				changed++
			}
		}
	}
	if changed != 1 {
		t.Errorf("%d lines changed", changed)
	}
}

// find is a file by the end of its path.
func find(t *testing.T, files []format.File, end string) *format.File {
	t.Helper()
	i := slices.IndexFunc(files, func(f format.File) bool { return strings.HasSuffix(f.Path, end) })
	if i < 0 {
		t.Fatalf("no file is called so: %s", end)
	}
	return &files[i]
}

// A rule whose text somebody changed says what the text says, and what stays of it keeps its ids.
func TestChangedTextOfARule(t *testing.T) {
	d := sample.Full()
	d, files, take := written(t, d)
	f := find(t, files, ".txt")
	text := string(f.Data)
	f.Data = []byte(strings.ReplaceAll(text, "\n", "\r\n"))
	got, err := format.Read(files, pictures(take))
	if err != nil || got.Hash() != d.Hash() {
		t.Fatalf("with other ends of lines: %v", err)
	}
	f.Data = []byte(text + "\tshake the view for 1 s\n")
	got, err = format.Read(files, pictures(take))
	if err != nil {
		t.Fatal(err)
	}
	longer := 0
	for _, r := range got.Rules.All() {
		was := d.Rules.Get(r.ID)
		for _, p := range was.Parts.All() {
			if r.Parts.Get(p.ID) == nil {
				t.Errorf("part %s is another one now", p.ID)
			}
		}
		longer += r.Parts.Len() - was.Parts.Len()
	}
	if longer != 1 {
		t.Errorf("%d parts came", longer)
	}
	f.Data = []byte(text + "\tshakes the view\n")
	if _, err = format.Read(files, pictures(take)); err == nil || !strings.HasPrefix(err.Error(), f.Path+": ") || !strings.Contains(err.Error(), "line ") {
		t.Errorf("a text that cannot be read: %v", err)
	}
}
