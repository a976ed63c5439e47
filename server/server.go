// Package server is Azzel over HTTP: the API, the live socket and the
// interface's files. What matters is in the store; a server that is killed
// loses nothing.
package server

import (
	"azzel/store"
	"context"
	"errors"
	"log/slog"
	"net"
	"net/url"
	"strings"
	"time"

	"github.com/gofiber/fiber/v3"
	"github.com/gofiber/fiber/v3/middleware/csrf"
	"github.com/gofiber/fiber/v3/middleware/recover"
)

// Format is the version of the live socket's messages.
const Format = 1

// bodyLimit is the largest request: a picture.
const bodyLimit = 32 << 20

// contentPolicy lets the page load only what ships with it, and run the core's
// module. The one style attribute that is allowed by its hash is the finder's
// "display: contents;", which Bits UI's Command writes around its items.
const contentPolicy = "default-src 'none'; script-src 'self' 'wasm-unsafe-eval'; style-src 'self'; " +
	"style-src-attr 'unsafe-hashes' 'sha256-iaOezIDcQIoxCULa6FBKKuLUu09R7kG+Mlu+JVfU3Rw='; img-src 'self' blob:; " +
	"font-src 'self'; connect-src 'self'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'"

// Server serves one store.
type Server struct {
	store *store.Store
	log   *store.Log
	hub   *hub
	app   *fiber.App
	stop  context.CancelFunc
	// hosts are the names by which it may be asked; empty allows every one.
	hosts []string
}

// Option changes how a server is made.
type Option func(*Server)

// Hosts limits the names by which the server may be asked, against pages that
// point their own name at this machine.
func Hosts(names ...string) Option { return func(s *Server) { s.hosts = names } }

// New makes a server; Close ends it.
func New(st *store.Store, options ...Option) *Server {
	ctx, stop := context.WithCancel(context.Background())
	s := &Server{store: st, log: store.NewLog(st), stop: stop, hosts: []string{"localhost", "127.0.0.1", "[::1]"}}
	for _, o := range options {
		o(s)
	}
	s.hub = newHub(st)
	s.log.Wake = s.hub.wake
	go st.Listen(ctx, s.hub.wake, s.hub.wakeAll)
	s.app = fiber.New(fiber.Config{
		AppName: "Azzel", BodyLimit: bodyLimit, ErrorHandler: sayError, ReadTimeout: 60 * time.Second, IdleTimeout: 120 * time.Second,
	})
	s.routes()
	return s
}

// Serve answers on a listener until Close.
func (s *Server) Serve(l net.Listener) error {
	return s.app.Listener(l, fiber.ListenConfig{DisableStartupMessage: true})
}

// Close stops answering, stores what is on its way, and ends the sockets.
func (s *Server) Close() error {
	s.log.Close()
	s.hub.close()
	s.stop()
	err := s.app.ShutdownWithTimeout(3 * time.Second)
	if errors.Is(err, context.DeadlineExceeded) {
		return nil // a browser kept an idle connection open; it ends with the process
	}
	return err
}

func (s *Server) routes() {
	s.app.Use(recover.New())
	s.app.Use(s.guard)
	api := s.app.Group("/api", csrf.New(csrf.Config{CookieName: "azzel_csrf", CookieSameSite: "Strict", IdleTimeout: 24 * time.Hour,
		ErrorHandler: func(fiber.Ctx, error) error {
			return fiber.NewError(fiber.StatusForbidden, "This page is out of date: reload it.")
		}}), s.identify)
	api.Get("/session", s.session)
	api.Get("/projects", s.projects)
	api.Post("/projects", s.newProject)
	project := api.Group("/projects/:project", s.member)
	project.Get("/state", s.state)
	project.Get("/history/:seq", s.history)
	project.Get("/events/:seq", s.events)
	project.Get("/state/:seq", s.stateAt)
	project.Get("/edits/:seq/revert", s.revert)
	project.Get("/edits/:seq/sketch", s.sketch)
	project.Post("/edits", s.edit)
	project.Post("/edits/stored", s.stored)
	project.Post("/pictures", s.takePicture)
	project.Post("/starter", s.starter)
	project.Post("/numbers", s.number)
	project.Post("/recognise", s.recognise)
	project.Post("/match", s.match)
	project.Post("/partners", s.partners)
	project.Post("/pictures/reshape", s.reshape)
	project.Post("/pictures/gather", s.gather)
	api.Get("/pictures/:sha", s.picture)
	s.app.Get("/live/:project", s.identify, s.member, s.sameOrigin, s.live())
	s.app.Use("/api", func(fiber.Ctx) error {
		return fiber.NewError(fiber.StatusNotFound, "There is nothing at this address.")
	})
	s.app.Get("/*", serveFiles())
}

// guard refuses foreign host names and sets the headers that every answer has.
func (s *Server) guard(c fiber.Ctx) error {
	c.Set("Content-Security-Policy", contentPolicy)
	c.Set("X-Content-Type-Options", "nosniff")
	c.Set("Referrer-Policy", "same-origin")
	c.Set("Cross-Origin-Opener-Policy", "same-origin")
	c.Set("Cross-Origin-Resource-Policy", "same-origin")
	host := c.Host()
	if i := strings.LastIndexByte(host, ':'); i > strings.LastIndexByte(host, ']') {
		host = host[:i]
	}
	for _, allowed := range s.hosts {
		if strings.EqualFold(host, allowed) {
			return c.Next()
		}
	}
	if len(s.hosts) == 0 {
		return c.Next()
	}
	return fiber.NewError(fiber.StatusMisdirectedRequest, "Azzel does not answer to this name: open it at the address it printed.")
}

// sameOrigin refuses sockets that another site's page opens.
func (s *Server) sameOrigin(c fiber.Ctx) error {
	origin, err := url.Parse(c.Get("Origin"))
	if err != nil || origin.Host == "" || origin.Host != c.Host() {
		return fiber.NewError(fiber.StatusForbidden, "This socket is only for Azzel's own page.")
	}
	return c.Next()
}

// sayError answers errors as one sentence; what is not for people is logged.
func sayError(c fiber.Ctx, err error) error {
	status, text := fiber.StatusInternalServerError, "Something went wrong on the server; nothing was changed. Try again."
	var f *fiber.Error
	switch {
	case errors.Is(err, store.ErrNotFound):
		status, text = fiber.StatusNotFound, "This project or picture is not here."
	case errors.Is(err, store.ErrRole):
		status, text = fiber.StatusForbidden, "You can look at this project but not change it."
	case errors.As(err, &f):
		status, text = f.Code, f.Message
		if status == fiber.StatusRequestEntityTooLarge {
			text = "That is larger than 32 MB, the most that can be sent."
		}
	default:
		slog.Error("request failed", "path", c.Path(), "error", err)
	}
	return c.Status(status).JSON(fiber.Map{"error": text})
}

func bad(err error) error { return fiber.NewError(fiber.StatusBadRequest, sentence(err)) }

// sentence makes an error's text start large and end with a stop.
func sentence(err error) string {
	text := err.Error()
	text = strings.ToUpper(text[:1]) + text[1:]
	if !strings.HasSuffix(text, ".") {
		text += "."
	}
	return text
}
