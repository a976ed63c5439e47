// Package e2e drives the real interface in Chromium against a real server and
// database, with mouse and keyboard, and looks at the screen and at what is stored.
package e2e

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/sample"
	"azzel/demo"
	"azzel/e2e/database"
	"azzel/server"
	"azzel/store"
	"bytes"
	"context"
	"fmt"
	"image"
	"image/color"
	"image/png"
	"net"
	"os"
	"testing"
	"time"

	"github.com/go-rod/rod"
	"github.com/go-rod/rod/lib/launcher"
)

// browser is the one Chromium; every test has a context of its own in it.
var browser *rod.Browser

func TestMain(m *testing.M) { os.Exit(run(m)) }

func run(m *testing.M) int {
	l := launcher.New().Bin("/usr/bin/chromium").Headless(true).NoSandbox(os.Geteuid() == 0).
		Set("disable-gpu").Set("disable-quic").Set("no-first-run").
		Set("disable-background-networking").Set("disable-component-update").Set("disable-sync")
	if os.Getenv("AZZEL_BENCH") == "" {
		// pages of tests are too short-lived for much of the module to be compiled a second time: that took a fifth of the run
		l.Set("js-flags", "--wasm-tiering-budget=60000000 --wasm-lazy-compilation")
	}
	address, err := l.Launch()
	if err != nil {
		fmt.Fprintln(os.Stderr, "Chromium could not be started: install Debian's package chromium:", err)
		return 1
	}
	defer l.Cleanup()
	defer l.Kill()
	browser = rod.New().ControlURL(address)
	if err := browser.Connect(); err != nil {
		fmt.Fprintln(os.Stderr, "Chromium does not answer:", err)
		return 1
	}
	return m.Run()
}

// slots lets two tests at a time use the browser.
var slots = make(chan struct{}, 2)

// rig is a server with a project on a database of its own.
type rig struct {
	t       *testing.T
	dsn     string
	store   *store.Store
	server  *server.Server
	options []server.Option
	address string
	project string
}

// startWith serves a project that begins as doc; nil is the demo.
func startWith(t *testing.T, doc *document.Document) *rig {
	if os.Getenv("AZZEL_BENCH") == "" {
		t.Parallel() // what is measured runs alone
	}
	slots <- struct{}{}
	t.Cleanup(func() { <-slots })
	r := &rig{t: t, dsn: database.Fresh(t), project: "projectproje"}
	r.store = database.Open(t, r.dsn)
	ctx := context.Background()
	if doc == nil {
		r.project = string(demo.ProjectID)
		must(t, demo.Load(ctx, r.store, false))
	} else {
		owner, _, err := r.store.NewPerson(ctx, "Owner")
		must(t, err)
		_, err = r.store.NewProject(ctx, document.ID(r.project), doc, owner.ID)
		must(t, err)
	}
	r.serve("127.0.0.1:0")
	t.Cleanup(func() { _ = r.server.Close() })
	return r
}

// world is sample.World with a picture that is there: tile i is plain paint(i).
func world(t *testing.T) *rig {
	return startWith(t, sample.World()).pictured()
}

// pictured has the sample's tileset have a picture that is there.
func (r *rig) pictured() *rig {
	sha, err := r.store.SavePicture(context.Background(), sheet(8, 8, 16), 128, 128)
	must(r.t, err)
	r.append(edit.Set(edit.Ref{Type: edit.TypeTileset, ID: sample.Coast}, "picture", sha))
	return r
}

// paint is the colour of a tile of the world's sheet.
func paint(i int) color.NRGBA {
	return color.NRGBA{uint8(40 + i*37%200), uint8(200 - i*53%180), uint8(60 + i*71%180), 255}
}

// sheet draws a PNG of tiles in plain colours, each with a darker rim.
func sheet(columns, rows, size int) []byte {
	img := image.NewNRGBA(image.Rect(0, 0, columns*size, rows*size))
	for y := range rows * size {
		for x := range columns * size {
			c := paint(y/size*columns + x/size)
			if x%size == 0 || y%size == 0 {
				c = color.NRGBA{c.R / 2, c.G / 2, c.B / 2, 255}
			}
			img.SetNRGBA(x, y, c)
		}
	}
	var out bytes.Buffer
	if err := png.Encode(&out, img); err != nil {
		panic(err) // a buffer takes everything
	}
	return out.Bytes()
}

func (r *rig) serve(address string) {
	l, err := net.Listen("tcp", address)
	must(r.t, err)
	r.address = l.Addr().String()
	r.server = server.New(r.store, r.options...)
	go func() { _ = r.server.Serve(l) }()
}

// away stops the server, as if it had gone; back starts it at the same address.
func (r *rig) away() { must(r.t, r.server.Close()) }

func (r *rig) back() { r.serve(r.address) }

// doc is the project as it is stored.
func (r *rig) doc() *document.Document {
	r.t.Helper()
	d, _ := r.state()
	return d
}

func (r *rig) state() (*document.Document, int64) {
	r.t.Helper()
	log := store.NewLog(r.store)
	defer log.Close()
	d, seq, err := log.State(context.Background(), r.project)
	must(r.t, err)
	return d, seq
}

// append stores an edit as another designer would.
func (r *rig) append(do ...edit.Primitive) {
	r.t.Helper()
	ctx := context.Background()
	person, _, err := r.store.NewPerson(ctx, "Somebody")
	must(r.t, err)
	log := store.NewLog(r.store)
	defer log.Close()
	e := &edit.Edit{V: edit.Version, Mark: edit.Mark{Client: document.NewID(), Number: 1}, Label: edit.Label{Kind: edit.Do, Text: "Prepared"}, Do: do}
	must(r.t, e.Check())
	must(r.t, (<-log.Append(r.project, person.ID, e)).Err)
}

// author stores what the core's author makes of the stored project.
func (r *rig) author(c author.Change, err error) document.ID {
	r.t.Helper()
	must(r.t, err)
	r.append(c.Do...)
	return c.Made
}

func must(t *testing.T, err error) {
	t.Helper()
	if err != nil {
		t.Fatal(err)
	}
}

// within waits until a condition holds; the error says what is still wrong.
func within(t *testing.T, limit time.Duration, condition func() error) {
	t.Helper()
	if err := tried(limit, condition); err != nil {
		t.Fatalf("after %v: %v", limit, err)
	}
}

// tried looks until a condition holds, and gives what was still wrong at the end.
func tried(limit time.Duration, condition func() error) error {
	end := time.Now().Add(limit)
	for pause := 10 * time.Millisecond; ; pause = min(pause*3/2, 100*time.Millisecond) {
		err := condition()
		if err == nil || time.Now().After(end) {
			return err
		}
		time.Sleep(pause) // between two looks, not for time to pass; looking costs the page time as well
	}
}

// soon is the limit for what happens at once.
const soon = 10 * time.Second
