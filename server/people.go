package server

import (
	"azzel/store"
	"errors"
	"time"

	"github.com/gofiber/fiber/v3"
	"github.com/gofiber/fiber/v3/middleware/limiter"
)

type personKey struct{}
type roleKey struct{}

// Cookies are named after the database: two of them on one machine, which differ
// by their port only, would else take each other's.
func (s *Server) personCookie() string { return "azzel_person_" + s.store.Name() }
func (s *Server) csrfCookie() string   { return "azzel_csrf_" + s.store.Name() }

// ownSite refuses what another site's page asks for, before a cookie is read or
// made: such requests come without ours, and an answer would replace it.
func (s *Server) ownSite(c fiber.Ctx) error {
	switch c.Get("Sec-Fetch-Site") {
	case "", "same-origin", "none":
		return c.Next()
	}
	return &problem{fiber.StatusForbidden, codeForeign, "Only Azzel's own page can ask this."}
}

func noStore(c fiber.Ctx) error {
	c.Set("Cache-Control", "no-store")
	return c.Next()
}

// Requests in a span of time, and newcomers in a minute, that one address may make.
const (
	limitSpan      = 10 * time.Second
	limitAddress   = 6_000
	limitPerson    = 3_000
	limitNewcomers = 200
)

func limited(most int, span time.Duration, by func(fiber.Ctx) string) fiber.Handler {
	return limiter.New(limiter.Config{Max: most, Expiration: span, KeyGenerator: by, LimitReached: func(fiber.Ctx) error {
		return &problem{fiber.StatusTooManyRequests, codeBusy, "That is too much at once: wait a few seconds and try again."}
	}})
}

func (s *Server) perAddress() fiber.Handler {
	return limited(limitAddress, limitSpan, func(c fiber.Ctx) string { return c.IP() })
}

func (s *Server) perPerson() fiber.Handler {
	return limited(limitPerson, limitSpan, func(c fiber.Ctx) string { return personOf(c).ID })
}

// newcomers limits the people that are made for one address; who is known is let through.
func (s *Server) newcomers() fiber.Handler {
	limit := limited(limitNewcomers, time.Minute, func(c fiber.Ctx) string { return c.IP() })
	return func(c fiber.Ctx) error {
		if c.Cookies(s.personCookie()) != "" {
			return c.Next()
		}
		return limit(c)
	}
}

func (s *Server) identified(c fiber.Ctx) (bool, error) {
	token := c.Cookies(s.personCookie())
	if token == "" {
		return false, nil
	}
	p, err := s.store.PersonByToken(c.Context(), token)
	if errors.Is(err, store.ErrNotFound) {
		return false, nil
	}
	if err != nil {
		return false, err
	}
	c.Locals(personKey{}, p)
	return true, nil
}

// known lets in whoever has asked for the session before.
func (s *Server) known(c fiber.Ctx) error {
	ok, err := s.identified(c)
	if err != nil {
		return err
	}
	if !ok {
		return &problem{fiber.StatusUnauthorized, codeUnknown, "Azzel does not know this browser yet: open its page first."}
	}
	return c.Next()
}

// greet finds who asks by their cookie, and gives a newcomer one: while it listens
// on loopback only, whoever is at this machine needs no password.
func (s *Server) greet(c fiber.Ctx) error {
	if ok, err := s.identified(c); ok || err != nil {
		if err != nil {
			return err
		}
		return c.Next()
	}
	p, token, err := s.store.NewPerson(c.Context(), "Designer")
	if err != nil {
		return err
	}
	c.Cookie(&fiber.Cookie{Name: s.personCookie(), Value: token, Path: "/", HTTPOnly: true, SameSite: "Strict", Expires: time.Now().AddDate(5, 0, 0)})
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
	return c.JSON(fiber.Map{"person": p.ID, "name": p.Name, "format": Format, "tokenCookie": s.csrfCookie()})
}
