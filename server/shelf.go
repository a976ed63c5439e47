package server

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/store"
	"errors"
	"fmt"
	"strings"

	"github.com/gofiber/fiber/v3"
)

// What is done with whole projects, from the list of them.

// renameProject gives a project another name, as an edit like any other.
func (s *Server) renameProject(c fiber.Ctx) error {
	var ask struct {
		Name string `json:"name"`
	}
	if err := document.Strict(c.Body(), &ask); err != nil {
		return bad(errors.New("say what the project is to be called"))
	}
	named := document.New(strings.TrimSpace(ask.Name))
	if err := named.Project.Check(); err != nil {
		return bad(err)
	}
	ref := edit.Ref{Type: edit.TypeProject}
	// it is the only edit of its client, which is no page
	e := &edit.Edit{V: edit.Version, Mark: edit.Mark{Client: document.NewID(), Number: 1},
		Label: edit.Label{Kind: edit.Do, Text: "Renamed the project " + named.Project.Name}, Do: []edit.Primitive{edit.Set(ref, "name", named.Project.Name)}}
	answer := <-s.log.Append(projectOf(c), personOf(c).ID, e)
	if answer.Err != nil {
		return fmt.Errorf("rename a project: %w", answer.Err)
	}
	return c.JSON(fiber.Map{"seq": answer.Seq})
}

// copyProject makes a project that begins as another one is now; pictures are shared.
func (s *Server) copyProject(c fiber.Ctx) error {
	doc, _, err := s.log.State(c.Context(), projectOf(c))
	if err != nil {
		return err
	}
	return s.ownProject(c, doc)
}

// ownProject makes a project that begins as a document, under its name or the next that is free.
func (s *Server) ownProject(c fiber.Ctx, doc *document.Document) error {
	all, err := s.store.Projects(c.Context())
	if err != nil {
		return err
	}
	names := &document.Names{}
	for _, p := range all {
		names.Add(p.Name)
	}
	res := edit.Apply(doc, &edit.Edit{Do: []edit.Primitive{edit.Set(edit.Ref{Type: edit.TypeProject}, "name", names.Free(doc.Project.Name))}})
	p, err := s.store.NewProject(c.Context(), document.NewID(), res.Doc, personOf(c).ID)
	if err != nil {
		return err
	}
	return c.Status(fiber.StatusCreated).JSON(p)
}

// putAway hides a project from the list, or brings it back.
func (s *Server) putAway(away bool) fiber.Handler {
	return func(c fiber.Ctx) error {
		if err := s.store.PutAway(c.Context(), projectOf(c), away); err != nil {
			return err
		}
		return c.SendStatus(fiber.StatusNoContent)
	}
}

// deleteProject removes a project that was put away, with all of its history.
func (s *Server) deleteProject(c fiber.Ctx) error {
	p, err := s.store.Project(c.Context(), projectOf(c))
	if err != nil {
		return err
	}
	if p.RemovedAt == nil {
		return bad(errors.New("remove the project first: then it can be deleted for good"))
	}
	if c.Locals(roleKey{}) != store.RoleOwner {
		return bad(errors.New("only who made this project can delete it for good"))
	}
	if err := s.store.RemoveProject(c.Context(), p.ID); err != nil {
		return fmt.Errorf("delete a project: %w", err)
	}
	return c.SendStatus(fiber.StatusNoContent)
}
