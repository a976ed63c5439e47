package server

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/store"
	"errors"
	"strconv"
	"strings"
	"unicode/utf8"

	"github.com/gofiber/fiber/v3"
)

// maxVersionName is how many characters the name of a version has at the most.
const maxVersionName = 80

// versions lists the moments of a project that have names.
func (s *Server) versions(c fiber.Ctx) error {
	all, err := s.store.Versions(c.Context(), projectOf(c))
	if err != nil {
		return err
	}
	return c.JSON(all)
}

// nameVersion gives a moment of a project a name.
func (s *Server) nameVersion(c fiber.Ctx) error {
	ask := struct {
		Name string `json:"name"`
		Seq  int64  `json:"seq"`
	}{}
	if err := document.Strict(c.Body(), &ask); err != nil {
		return bad(errors.New("a version needs a name, and the number of an edit"))
	}
	name, err := versionName(ask.Name)
	if err != nil {
		return err
	}
	id := string(document.NewID())
	err = s.store.NameVersion(c.Context(), store.Version{ID: id, ProjectID: projectOf(c), Seq: ask.Seq, Name: name, PersonID: personOf(c).ID})
	switch {
	case errors.Is(err, store.ErrVersions):
		return bad(err)
	case errors.Is(err, store.ErrNotFound):
		return bad(errors.New("there is no edit of that number"))
	case err != nil:
		return err
	}
	return c.Status(fiber.StatusCreated).JSON(fiber.Map{"id": id})
}

// renameVersion gives a version another name.
func (s *Server) renameVersion(c fiber.Ctx) error {
	ask := struct {
		Name string `json:"name"`
	}{}
	if err := document.Strict(c.Body(), &ask); err != nil {
		return bad(errors.New("a version needs a name"))
	}
	name, err := versionName(ask.Name)
	if err != nil {
		return err
	}
	return s.onVersion(c, s.store.RenameVersion(c.Context(), projectOf(c), versionOf(c), name))
}

// forgetVersion takes a version's name away.
func (s *Server) forgetVersion(c fiber.Ctx) error {
	return s.onVersion(c, s.store.ForgetVersion(c.Context(), projectOf(c), versionOf(c)))
}

// onVersion answers what was done to a version, which may have gone meanwhile.
func (s *Server) onVersion(c fiber.Ctx, err error) error {
	if errors.Is(err, store.ErrNotFound) {
		return &problem{fiber.StatusNotFound, codeGone, "This version has no name any more."}
	}
	if err != nil {
		return err
	}
	return c.SendStatus(fiber.StatusNoContent)
}

func versionOf(c fiber.Ctx) string { return string([]byte(c.Params("version"))) }

func versionName(name string) (string, error) {
	name = strings.TrimSpace(name)
	if n := utf8.RuneCountInString(name); n == 0 || n > maxVersionName {
		return "", bad(errors.New("the name of a version has 1 to " + strconv.Itoa(maxVersionName) + " characters"))
	}
	return name, nil
}

// Compared is what differs between two moments of a project.
type Compared struct {
	Changes []author.Differing `json:"changes"`
	// Maps are some of the maps that differ, as small pictures.
	Maps []Beside `json:"maps"`
}

// compare tells what differs from one moment of a project to another.
func (s *Server) compare(c fiber.Ctx) error {
	now, head, err := s.log.State(c.Context(), projectOf(c))
	if err != nil {
		return err
	}
	var docs [2]*document.Document
	for i, name := range []string{"seq", "to"} {
		seq, err := strconv.ParseInt(c.Params(name), 10, 64)
		if err != nil || seq < 0 {
			return bad(errors.New("that is not the number of an edit"))
		}
		if docs[i] = now; seq == head {
			continue // it is in memory already
		}
		if docs[i], err = s.log.StateAt(c.Context(), projectOf(c), seq); err != nil {
			return err
		}
	}
	changes, err := author.Compare(docs[0], docs[1])
	if err != nil {
		return bad(errors.New("too much is otherwise to be told: go back to it to look at it"))
	}
	return c.JSON(Compared{changes, s.beside(c.Context(), docs[0], docs[1], changes, largeSize)})
}
