package server

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/format"
	"azzel/publish"
	"bytes"
	"context"
	"crypto/sha256"
	"encoding/hex"
	"errors"
	"fmt"
	"image/png"
	"mime"
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
	files, err := format.Write(doc, func(sha string) ([]byte, error) { return s.store.PictureBytes(c.Context(), sha) })
	if err != nil {
		return err
	}
	packed, err := format.Pack(append(files, format.Derived(doc)...))
	if err != nil {
		return err
	}
	c.Set("Content-Type", "application/zip")
	c.Set("Content-Disposition", mime.FormatMediaType("attachment", map[string]string{"filename": fileName(doc.Project.Name) + ".zip"}))
	return c.Send(packed)
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
	c.Set("Content-Type", mime.TypeByExtension(end))
	if end == ".graphml" {
		c.Set("Content-Type", "application/xml")
	}
	c.Set("Content-Disposition", mime.FormatMediaType("attachment", map[string]string{"filename": fileName(doc.Project.Name) + " " + form + end}))
	return c.Send(data)
}

// pageProject sends the page that plays, to be tried at once or kept.
func (s *Server) pageProject(c fiber.Ctx) error {
	doc, _, err := s.log.State(c.Context(), projectOf(c))
	if err != nil {
		return err
	}
	page, err := publish.Page(doc, func(sha string) ([]byte, error) { return s.store.PictureBytes(c.Context(), sha) })
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

// Intake keeps pictures that came with files until it is known that all else is right: what each is, and its bytes as they
// are stored, by their SHA-256.
type Intake struct {
	Bytes map[string][]byte
	Is    map[string]format.Picture
}

// NewIntake has nothing yet.
func NewIntake() *Intake { return &Intake{map[string][]byte{}, map[string]format.Picture{}} }

// Take decodes a picture under the limits and keeps it as it is stored.
func (in *Intake) Take(data []byte) (format.Picture, error) {
	img, err := DecodePicture(data)
	if err != nil {
		return format.Picture{}, err
	}
	var out bytes.Buffer
	if err := png.Encode(&out, img); err != nil {
		return format.Picture{}, fmt.Errorf("normalise a picture: %w", err)
	}
	sum := sha256.Sum256(out.Bytes())
	p := format.Picture{SHA: hex.EncodeToString(sum[:]), Width: img.Bounds().Dx(), Height: img.Bounds().Dy()}
	in.Bytes[p.SHA], in.Is[p.SHA] = out.Bytes(), p
	return p, nil
}

// unpacked reads the project that a request brings, and stores its pictures once all is known to be right.
func (s *Server) unpacked(ctx context.Context, body []byte) (*document.Document, error) {
	files, err := format.Unpack(body)
	if err != nil {
		return nil, bad(err)
	}
	in := NewIntake()
	doc, err := format.Read(files, in.Take)
	if err != nil {
		return nil, bad(err)
	}
	for sha, p := range in.Is {
		if _, err := s.store.SavePicture(ctx, in.Bytes[sha], p.Width, p.Height); err != nil {
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
	b := Brought{State: doc.Encode()}
	if b.Changes, err = author.Compare(now, doc); err != nil {
		return bad(errors.New("too much is otherwise for one step: bring it in as a project of its own"))
	}
	if err := s.store.KeepNumbers(c.Context(), projectOf(c), doc.LargestNumber()); err != nil {
		return err
	}
	return c.JSON(b)
}
