package server

import (
	"azzel/picture"
	"bytes"
	"fmt"
	"image/png"
	"log/slog"

	"github.com/gofiber/fiber/v3"
)

const (
	// coverWidth and coverHeight are how large the picture of a project in the list is, in pixels.
	coverWidth, coverHeight = 240, 150
	// maxCovered is how large a stored project is, in bytes, that is read only to be seen in the list.
	maxCovered = 4 << 20
)

// cover sends what a project is known by in the list, drawn anew when the project has changed; nothing where there is nothing to see.
func (s *Server) cover(c fiber.Ctx) error {
	p, err := s.store.Project(c.Context(), projectOf(c))
	if err != nil {
		return err
	}
	tag := fmt.Sprintf(`"%s-%d-%s"`, p.Born, p.Head, edition())
	c.Set("Cache-Control", "private, no-cache")
	c.Set("ETag", tag)
	if c.Get("If-None-Match") == tag {
		return c.SendStatus(fiber.StatusNotModified)
	}
	size, err := s.store.Weight(c.Context(), p.ID)
	if err != nil {
		return err
	}
	if size > maxCovered {
		return c.SendStatus(fiber.StatusNoContent)
	}
	s.decoding.Lock()
	defer s.decoding.Unlock()
	doc, err := s.log.StateAt(c.Context(), p.ID, p.Head)
	if err != nil {
		// who opens it is told
		slog.Warn("a project cannot be drawn for the list", "project", p.ID, "error", err)
		return c.SendStatus(fiber.StatusNoContent)
	}
	img := picture.Source{Doc: doc, Picture: s.pictureOf(c.Context())}.Cover(coverWidth, coverHeight)
	if img == nil {
		return c.SendStatus(fiber.StatusNoContent)
	}
	var out bytes.Buffer
	if err := png.Encode(&out, img); err != nil {
		return fmt.Errorf("write the picture of a project: %w", err)
	}
	c.Set("Content-Type", mediaPNG)
	return c.Send(out.Bytes())
}
