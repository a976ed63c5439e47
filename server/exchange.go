package server

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/format"
	"azzel/picture"
	"azzel/publish"
	"azzel/store"
	"bytes"
	"context"
	"errors"
	"image/png"
	"mime"
	"slices"
	"strings"

	"github.com/gofiber/fiber/v3"
)

// What leaves Azzel and what comes from elsewhere: whole projects as a ZIP of open files.

// exportProject sends a project as it is now.
func (s *Server) exportProject(c fiber.Ctx) error {
	doc, _, err := s.log.State(c.Context(), projectOf(c))
	if err != nil {
		return err
	}
	files, err := format.Write(doc, s.storedOf(c.Context()))
	if err != nil {
		return err
	}
	packed, err := format.Pack(append(files, format.Derived(doc)...))
	if err != nil {
		return err
	}
	return sent(c, packed, "application/zip", doc.Project.Name+".zip")
}

// sent sends a file to be kept under a name.
func sent(c fiber.Ctx, data []byte, typ, name string) error {
	c.Set("Content-Type", typ)
	c.Set("Content-Disposition", mime.FormatMediaType("attachment", map[string]string{"filename": fileName(name)}))
	return c.Send(data)
}

// exportPiece sends a tileset or a motif by itself, with what belongs to it, as a project of nothing else.
func (s *Server) exportPiece(c fiber.Ctx) error {
	doc, _, err := s.log.State(c.Context(), projectOf(c))
	if err != nil {
		return err
	}
	id := document.ID([]byte(c.Params("id")))
	var only *document.Document
	switch c.Params("what") {
	case document.TypeTileset:
		only, err = author.OnlyTileset(doc, id)
	case document.TypeMotif:
		only, err = author.OnlyMotif(doc, id)
	default:
		err = errors.New("a tileset or a motif can leave by itself")
	}
	if err != nil {
		return bad(err)
	}
	files, err := format.Write(only, s.storedOf(c.Context()))
	if err != nil {
		return err
	}
	packed, err := format.Pack(files)
	if err != nil {
		return err
	}
	return sent(c, packed, "application/zip", only.Project.Name+".zip")
}

// layeredMap sends a map as a layered picture.
func (s *Server) layeredMap(c fiber.Ctx) error {
	doc, _, err := s.log.State(c.Context(), projectOf(c))
	if err != nil {
		return err
	}
	m := doc.Maps.Get(document.ID([]byte(c.Params("map"))))
	if m == nil {
		return bad(errors.New("the map is no longer there"))
	}
	var out bytes.Buffer
	if err := (picture.Source{Doc: doc, Picture: s.pictureOf(c.Context())}).Layered(&out, m); err != nil {
		return bad(err)
	}
	return sent(c, out.Bytes(), "image/openraster", m.Name+".ora")
}

// storedOf gives the files that are stored by their SHA-256: pictures and sounds.
func (s *Server) storedOf(ctx context.Context) func(sha string) ([]byte, error) {
	return func(sha string) ([]byte, error) {
		data, err := s.store.PictureBytes(ctx, sha)
		if errors.Is(err, store.ErrNotFound) {
			data, _, err = s.store.SoundFile(ctx, sha)
		}
		return data, err
	}
}

// pictureOf gives pictures that are stored by their SHA-256.
func (s *Server) pictureOf(ctx context.Context) func(sha string) ([]byte, error) {
	return func(sha string) ([]byte, error) { return s.store.PictureBytes(ctx, sha) }
}

// exportPart sends a part of a project by itself, in one of the forms of format.
func (s *Server) exportPart(c fiber.Ctx) error {
	doc, _, err := s.log.State(c.Context(), projectOf(c))
	if err != nil {
		return err
	}
	form := string([]byte(c.Params("form")))
	data, end, err := format.In(doc, form)
	if err != nil {
		return bad(err)
	}
	typ := mime.TypeByExtension(end)
	if end == ".graphml" {
		typ = "application/xml"
	}
	return sent(c, data, typ, doc.Project.Name+" "+form+end)
}

// pageProject sends the page that plays, to be tried at once or kept.
func (s *Server) pageProject(c fiber.Ctx) error {
	doc, _, err := s.log.State(c.Context(), projectOf(c))
	if err != nil {
		return err
	}
	page, err := publish.Page(doc, s.storedOf(c.Context()))
	if errors.Is(err, publish.ErrNotBuilt) {
		return bad(err)
	}
	if err != nil {
		return err
	}
	// it brings a policy of its own, which is as strict
	c.Set("Content-Security-Policy", "frame-ancestors 'none'")
	c.Set("Content-Type", "text/html; charset=utf-8")
	return c.Send(page)
}

// pageFolder sends the page that plays as the files that are put on a web server.
func (s *Server) pageFolder(c fiber.Ctx) error {
	doc, _, err := s.log.State(c.Context(), projectOf(c))
	if err != nil {
		return err
	}
	files, err := publish.Folder(doc, s.storedOf(c.Context()))
	if errors.Is(err, publish.ErrNotBuilt) {
		return bad(err)
	}
	if err != nil {
		return err
	}
	packed, err := format.Pack(files)
	if err != nil {
		return err
	}
	return sent(c, packed, "application/zip", doc.Project.Name+" page.zip")
}

// fileName is a project's name as a file can be called.
func fileName(name string) string {
	name = strings.Map(func(r rune) rune {
		if r < ' ' || strings.ContainsRune(`/\:*?"<>|`, r) {
			return '-'
		}
		return r
	}, name)
	return strings.Trim(name, ". ")
}

// unpacked reads the project that a request brings, and stores its pictures once all is known to be right.
func (s *Server) unpacked(ctx context.Context, body []byte) (*document.Document, error) {
	files, err := format.Unpack(body)
	if err != nil {
		return nil, bad(err)
	}
	in := NewIntake()
	doc, err := format.Read(files, in)
	if err != nil {
		return nil, bad(err)
	}
	for sha, p := range in.Pictures {
		if _, err := s.store.SavePicture(ctx, in.Bytes[sha], p.Width, p.Height); err != nil {
			return nil, err
		}
	}
	for sha, o := range in.Sounds {
		if _, err := s.store.SaveSound(ctx, in.Bytes[sha], o.Form, o.Lasts); err != nil {
			return nil, err
		}
	}
	return doc, nil
}

// importProject makes a project of a ZIP.
func (s *Server) importProject(c fiber.Ctx) error {
	doc, err := s.unpacked(c.Context(), c.Body())
	if err != nil {
		return err
	}
	return s.ownProject(c, doc)
}

// Brought is a project that is to come over another one: what would change, and the state that it would be then.
type Brought struct {
	Changes []author.Differing `json:"changes"`
	State   []byte             `json:"state"`
	// Maps are some of the maps that would be otherwise, as small pictures.
	Maps []Beside `json:"maps"`
	// Kept tells, a sentence each, which of its fields nothing here knows.
	Kept []string `json:"kept"`
}

// Beside is a map as it is and as it would be, as PNG; empty where it is not there.
type Beside struct {
	Name   string `json:"name"`
	Before []byte `json:"before"`
	After  []byte `json:"after"`
}

const (
	// maxBeside is how many maps are shown as they were and would be, besideSize how large, and largeSize where there is more room for them.
	maxBeside  = 12
	besideSize = 240
	largeSize  = 400
)

// beside draws the maps that differ between two states of a project, so many pixels long.
func (s *Server) beside(ctx context.Context, now, then *document.Document, changes []author.Differing, size int) []Beside {
	out := []Beside{}
	small := func(d *document.Document, id document.ID) []byte {
		m := d.Maps.Get(id)
		if m == nil {
			return nil
		}
		img, err := picture.Source{Doc: d, Picture: s.pictureOf(ctx)}.Small(m, size)
		var data bytes.Buffer
		if err != nil || png.Encode(&data, img) != nil {
			return nil // it is only not shown
		}
		return data.Bytes()
	}
	all := slices.DeleteFunc(then.MapsInOrder(), func(m *document.Map) bool { return now.Maps.Get(m.ID) != nil })
	for _, m := range append(now.MapsInOrder(), all...) {
		called := func(d *document.Document) bool {
			m := d.Maps.Get(m.ID)
			return m != nil && slices.ContainsFunc(changes, func(c author.Differing) bool { return c.What == edit.TypeMap && c.Name == m.Name })
		}
		if len(out) == maxBeside || !called(now) && !called(then) {
			continue
		}
		if b := (Beside{m.Name, small(now, m.ID), small(then, m.ID)}); !bytes.Equal(b.Before, b.After) {
			out = append(out, b)
		}
	}
	return out
}

// bringProject tells what a ZIP would change in a project. It changes nothing: the page makes an edit of it.
func (s *Server) bringProject(c fiber.Ctx) error {
	doc, err := s.unpacked(c.Context(), c.Body())
	if err != nil {
		return err
	}
	now, _, err := s.log.State(c.Context(), projectOf(c))
	if err != nil {
		return err
	}
	b := Brought{State: doc.Encode(), Kept: doc.Project.ToldKept()}
	if b.Changes, err = author.Compare(now, doc); err != nil {
		return bad(errors.New("too much is otherwise for one step: bring it in as a project of its own"))
	}
	if err := s.store.KeepNumbers(c.Context(), projectOf(c), doc.LargestNumber()); err != nil {
		return err
	}
	b.Maps = s.beside(c.Context(), now, doc, b.Changes, besideSize)
	return c.JSON(b)
}
