package e2e

import (
	"archive/zip"
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/format"
	"azzel/core/grid"
	"azzel/core/sample"
	"bytes"
	"fmt"
	"image/gif"
	"image/png"
	"os"
	"path/filepath"
	"slices"
	"strings"
	"testing"

	"github.com/go-rod/rod"
	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
)

// keeps is the file that the browser keeps when something is done, and what it is called.
func (k *tab) keeps(do func()) ([]byte, string) {
	k.Helper()
	dir := k.TempDir()
	must(k.T, proto.BrowserSetDownloadBehavior{Behavior: proto.BrowserSetDownloadBehaviorBehaviorAllow, BrowserContextID: k.ctx.BrowserContextID, DownloadPath: dir}.Call(k.ctx))
	do()
	var data []byte
	var name string
	within(k.T, soon, func() error {
		all, err := os.ReadDir(dir)
		if err != nil || len(all) != 1 || strings.HasSuffix(all[0].Name(), ".crdownload") {
			return fmt.Errorf("nothing is kept: %v, %w", all, err)
		}
		name = all[0].Name()
		data, err = os.ReadFile(filepath.Join(dir, name))
		return err
	})
	return data, name
}

// brings chooses a file in a field that only a button shows.
func (k *tab) brings(label, path string) {
	k.Helper()
	e, err := k.page.Element("[aria-label='" + label + "']")
	must(k.T, err)
	must(k.T, e.SetFiles([]string{path}))
}

// A project leaves as a ZIP, is changed elsewhere, and comes back over itself as one step, seen before, which one undo turns back.
func TestAProjectLeavesAndComesBack(t *testing.T) {
	k := world(t).open()
	k.pressIn("nav button", "Share")
	k.see("main[aria-label=Share]", "The whole project")
	packed, name := k.keeps(func() { k.press("Save as a ZIP") })
	k.notice("is saved as a ZIP")
	if name != k.rig.doc().Project.Name+".zip" {
		t.Errorf("it is called %s", name)
	}
	before := k.rig.doc()
	// as it is there is nothing to bring in
	k.brings("A ZIP of a project", file(t, "same.zip", packed))
	k.see("main[aria-label=Share]", "same.zip holds just what this project is")
	// what is no project changes nothing
	k.brings("A ZIP of a project", file(t, "notes.zip", []byte("salt")))
	k.see("main[aria-label=Share] [role=alert]", "That is no ZIP")
	files, err := format.Unpack(packed)
	must(t, err)
	change := func(path, old, by string) {
		t.Helper()
		i := slices.IndexFunc(files, func(f format.File) bool { return f.Path == path })
		if i < 0 || !strings.Contains(string(files[i].Data), old) {
			t.Fatalf("%s has no %q", path, old)
		}
		files[i].Data = []byte(strings.Replace(string(files[i].Data), old, by, 1))
	}
	ground := files[slices.IndexFunc(files, func(f format.File) bool { return f.Path == "maps/quay/ground.csv" })]
	first, _, _ := strings.Cut(string(ground.Data), ",")
	change(ground.Path, first, "1:7 turned 90")
	things := files[slices.IndexFunc(files, func(f format.File) bool { return f.Path == "maps/quay/things.csv" })]
	over, _, _ := strings.Cut(string(things.Data), ",")
	change(things.Path, over+",", ",") // so that it is seen
	change("maps/pans.json", `"name": "Pans"`, `"name": "Salt pans"`)
	change("project.json", "{", `{"x-build": [7],`)
	changed, err := format.Pack(files)
	must(t, err)
	k.brings("A ZIP of a project", file(t, "changed.zip", changed))
	k.see("main[aria-label=Share]", "changed.zip would change this")
	k.see("main[aria-label=Share] dd", "Quay")
	k.see("main[aria-label=Share] dl", "Salt pans")
	k.see("main[aria-label=Share] [aria-label=Kept]", "“x-build” of project is nothing that is known here")
	k.see("[aria-label='Maps that differ, now and after it'] figcaption", "Quay, now")
	within(t, soon, func() error {
		return want("which pictures are seen", k.eval(`() => [...document.querySelectorAll("[aria-label='Maps that differ, now and after it'] img")].map((i) => i.naturalWidth > 20).join()`), "true,true")
	})
	if k.rig.doc().Hash() != before.Hash() {
		t.Fatal("it is changed before anybody said so")
	}
	// somebody else changes it meanwhile: nobody takes that away without having seen it
	k.rig.append(edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "name", "Old quay"))
	k.see("main[aria-label=Share]", "The project has changed since")
	before = k.rig.doc()
	k.press("Look again")
	k.see("main[aria-label=Share]", "changed.zip would change this")
	k.press("Take it over")
	k.notice("as changed.zip has it")
	k.stored(func(d *document.Document) error {
		return want("the map", d.Maps.Get(sample.Pans).Name, "Salt pans")
	})
	k.see("[data-testid=kept]", "One field of its files")
	k.stored(func(d *document.Document) error {
		return want("what is kept", fmt.Sprint(d.Project.Kept), "[{project [] x-build [7]}]")
	})
	quay := k.rig.doc().Maps.Get(sample.Quay)
	if c := quay.Layers.Get(sample.Ground).Cells.At(quay.Bounds.X, quay.Bounds.Y); c != cells.TileCell(1, 7).Turned(grid.Turn(1)) {
		t.Errorf("the first cell is %x", c)
	}
	k.pressIn("[data-testid=notice] button", "Undo")
	k.stored(func(d *document.Document) error { return want("the project", d.Hash(), before.Hash()) })
	k.same()
}

// A ZIP becomes a project of its own in the list of projects.
func TestAZipBecomesAProject(t *testing.T) {
	k := world(t).open()
	k.pressIn("nav button", "Share")
	packed, _ := k.keeps(func() { k.press("Save as a ZIP") })
	k.visit("/")
	k.see("main", "Bring in a ZIP…")
	k.brings("A ZIP of a project", file(t, "cut.zip", packed[:len(packed)/2]))
	k.see("main [role=alert]", "no ZIP, or it is cut off")
	k.brings("A ZIP of a project", file(t, "whole.zip", packed))
	k.ready()
	k.see("header", k.rig.doc().Project.Name+" 2")
	k.see("aside[aria-label=Stack]", "Quay")
}

// A map is kept as a picture, as large as was said, with and without what stands on it.
func TestAMapLeavesAsAPicture(t *testing.T) {
	k := world(t).open()
	k.pressIn("nav button", "Share")
	m := k.rig.doc().Maps.Get(sample.Quay)
	save := func(name string, scale int) []byte {
		t.Helper()
		data, called := k.keeps(func() { k.press("Save as a PNG") })
		img, err := png.Decode(bytes.NewReader(data))
		must(t, err)
		w, h := m.Bounds.W*m.CellWidth*scale, m.Bounds.H*m.CellHeight*scale
		if b := img.Bounds(); b.Dx() != w || b.Dy() != h || called != name {
			t.Errorf("%s is %v instead of %d × %d", called, b, w, h)
		}
		return data
	}
	all := save("Quay.png", 1)
	k.pressIn("main label", "with what stands there")
	if bytes.Equal(save("Quay.png", 1), all) {
		t.Error("without what stands there it is the same picture")
	}
	k.option("main[aria-label=Share] label:nth-of-type(2) select", "2 ×")
	save("Quay.png", 2)
	k.see("main[aria-label=Share]", "saved just now")
	data, called := k.keeps(func() { k.press("In layers") })
	if z, err := zip.NewReader(bytes.NewReader(data), int64(len(data))); err != nil || called != "Quay.ora" || z.File[0].Name != "mimetype" {
		t.Errorf("%s in layers: %v", called, err)
	}
	data, called = k.keeps(func() { k.press("With its set-up") })
	files, err := format.Unpack(data)
	if err != nil || called != "Coast.zip" || !slices.ContainsFunc(files, func(f format.File) bool { return f.Path == "tilesets/coast.json" }) {
		t.Errorf("%s: %v", called, err)
	}
}

// What the player reads goes to a translator as a PO file and comes back as one step.
func TestTextsGoToTranslators(t *testing.T) {
	k := startWith(t, nil).open()
	k.pressIn("nav button", "Share")
	data, name := k.keeps(func() { k.press("Save as PO") })
	text := string(data)
	if !strings.HasSuffix(name, " de.po") || !strings.Contains(text, "msgid \"Low tide. Three beacons to light before the water is back.\"") {
		t.Fatalf("%s is\n%.600s", name, text)
	}
	before := k.rig.doc().Hash()
	k.brings("A translated file", file(t, "broken.po", []byte("msgid \"a")))
	k.see("main[aria-label=Share] [role=alert]", "Line 1: a text stands in quotes")
	says := k.rig.doc().Wording("de", "The beacon yard stands open.").Says
	k.brings("A translated file", file(t, "de.po", []byte(strings.Replace(text, "msgstr \""+says+"\"", "msgstr \"Offen!\"", 1))))
	k.notice("Took over 1 text in de")
	k.stored(func(d *document.Document) error {
		return want("the text", d.Wording("de", "The beacon yard stands open.").Says, "Offen!")
	})
	k.pressIn("[data-testid=notice] button", "Undo")
	k.stored(func(d *document.Document) error { return want("the project", d.Hash(), before) })
	// a language that is new comes with its file
	k.brings("A translated file", file(t, "sv.po", []byte("msgid \"\"\nmsgstr \"Language: sv\\n\"\n\nmsgid \"The beacon yard stands open.\"\nmsgstr \"Öppen!\"\n")))
	k.stored(func(d *document.Document) error {
		return want("the languages", fmt.Sprint(d.Project.Languages), "[de sv]")
	})
	within(t, soon, func() error {
		return want("the languages that are offered", k.eval(`() => [...document.querySelectorAll("main[aria-label=Share] option")].map((o) => o.text).filter((o) => /German|Swedish/.test(o)).join()`), "German,Swedish")
	})
	k.same()
}

// Lists, rules and the chart leave by themselves.
func TestPartsLeave(t *testing.T) {
	k := startWith(t, nil).open()
	k.pressIn("nav button", "Share")
	data, name := k.keeps(func() { k.press("Save as CSV") })
	if !strings.HasSuffix(name, " entities.csv") || !strings.Contains(string(data), "Shore crab") {
		t.Errorf("%s is\n%.300s", name, data)
	}
	k.option("main[aria-label=Share] section:last-of-type article:last-of-type select", "Chart, as a graph")
	data, name = k.keeps(func() { k.press("Save as GraphML") })
	if !strings.HasSuffix(name, ".graphml") || !strings.Contains(string(data), "Brine House") {
		t.Errorf("%s is\n%.300s", name, data)
	}
	k.notice("is saved as GraphML")
}

// The sheet of a tileset leaves as the picture that it is, and the guide of a map to be painted over.
func TestSheetsAndGuidesLeave(t *testing.T) {
	k := startWith(t, nil).open()
	k.pressIn("nav button", "Share")
	data, name := k.keeps(func() { k.press("Save its sheet") })
	k.notice("The sheet of Coast is saved")
	img, err := png.Decode(bytes.NewReader(data))
	if err != nil || name != "Coast.png" || img.Bounds().Dx() != 256 {
		t.Errorf("%s is %v, %v", name, img, err)
	}
	data, _ = k.keeps(func() { k.press("Its guide") })
	if img, err = png.Decode(bytes.NewReader(data)); err != nil || img.Bounds().Dx() != 44*16 {
		t.Errorf("the guide is %v, %v", img, err)
	}
}

// The last seconds of a game are kept as a moving picture, in which the hero moves; it is broken off by another press.
func TestTheLastSecondsAreKeptAsAMovingPicture(t *testing.T) {
	k := world(t).open()
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "Playing Quay")
	x, _ := k.hero()
	k.walk(input.ArrowRight, func() error {
		if now, _ := k.hero(); now < x+20 {
			return fmt.Errorf("the hero is at %d", now)
		}
		return nil
	})
	data, name := k.keeps(func() { k.press("Save the last seconds as a moving picture (GIF)") })
	k.notice("saved as a moving picture")
	moving, err := gif.DecodeAll(bytes.NewReader(data))
	must(t, err)
	if len(moving.Image) < 4 || !strings.HasSuffix(name, ".gif") || moving.Image[0].Bounds().Dx() > 480 {
		t.Fatalf("%s has %d pictures of %v", name, len(moving.Image), moving.Image[0].Bounds())
	}
	first, last := moving.Image[0], moving.Image[len(moving.Image)-1]
	differs := 0
	for y := range first.Bounds().Dy() {
		for x := range first.Bounds().Dx() {
			if first.At(x, y) != last.At(x, y) {
				differs++
			}
		}
	}
	if differs < 20 {
		t.Errorf("%d pixels move", differs)
	}
	k.see("[data-testid=playing]", "Playing Quay")
}

// What takes long to be put together is stopped by a press: nothing is saved then, and it can be saved again.
func TestSavingIsStopped(t *testing.T) {
	k := world(t).open()
	k.pressIn("nav button", "Share")
	router := k.page.HijackRequests()
	let := make(chan struct{})
	must(t, router.Add("*/export", "", func(h *rod.Hijack) {
		<-let
		h.ContinueRequest(&proto.FetchContinueRequest{})
	}))
	go router.Run()
	k.press("Save as a ZIP")
	k.press("Stop (it is put together)")
	k.notice("nothing was saved")
	close(let)
	must(t, router.Stop())
	data, _ := k.keeps(func() { k.press("Save as a ZIP") })
	if _, err := format.Unpack(data); err != nil {
		t.Error(err)
	}
}
