package server

import (
	"azzel/store"
	"errors"
	"time"

	"github.com/gofiber/fiber/v3"
)

const personCookie = "azzel_person"

type personKey struct{}
type roleKey struct{}

// identify finds who asks by their cookie, and gives a newcomer one: while it
// listens on loopback only, whoever is at this machine needs no password.
func (s *Server) identify(c fiber.Ctx) error {
	if token := c.Cookies(personCookie); token != "" {
		p, err := s.store.PersonByToken(c.Context(), token)
		if err == nil {
			c.Locals(personKey{}, p)
			return c.Next()
		}
		if !errors.Is(err, store.ErrNotFound) {
			return err
		}
	}
	p, token, err := s.store.NewPerson(c.Context(), "Designer")
	if err != nil {
		return err
	}
	c.Cookie(&fiber.Cookie{Name: personCookie, Value: token, Path: "/", HTTPOnly: true, SameSite: "Strict", Expires: time.Now().AddDate(5, 0, 0)})
	c.Locals(personKey{}, p)
	return c.Next()
}

func personOf(c fiber.Ctx) store.Person {
	p, _ := c.Locals(personKey{}).(store.Person)
	return p
}

// member lets a person into a project and notes their role.
func (s *Server) member(c fiber.Ctx) error {
	role, err := s.store.Join(c.Context(), projectOf(c), personOf(c).ID)
	if err != nil {
		return err
	}
	c.Locals(roleKey{}, role)
	if c.Method() != fiber.MethodGet && role == store.RoleViewer {
		return store.ErrRole
	}
	return c.Next()
}

func projectOf(c fiber.Ctx) string { return string([]byte(c.Params("project"))) }

func (s *Server) session(c fiber.Ctx) error {
	p := personOf(c)
	return c.JSON(fiber.Map{"person": p.ID, "name": p.Name, "format": Format})
}
