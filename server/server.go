// Package server is Azzel over HTTP: the API, the live socket and the
// interface's files. What matters is in the store; a server that is killed
// loses nothing.
package server

import (
	"azzel/core/edit"
	"azzel/store"
	"context"
	"errors"
	"net"
	"net/url"
	"strings"
	"sync"
	"time"

	"github.com/gofiber/fiber/v3"
	"github.com/gofiber/fiber/v3/middleware/csrf"
	"github.com/gofiber/fiber/v3/middleware/recover"
)

// Format is what pages and servers agree on: that of edits, which cross the socket.
const Format = edit.Version

// bodyLimit is the largest request: a picture, or a project.
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
	// decoding is held while a picture is worked on.
	decoding sync.Mutex
	thinking *thinking

	mu        sync.Mutex
	listening []*connections
}

// Option changes how a server is made.
type Option func(*Server)

// Hosts limits the names by which the server may be asked, against pages that
// point their own name at this machine.
func Hosts(names ...string) Option { return func(s *Server) { s.hosts = names } }

// New makes a server; Close ends it.
func New(st *store.Store, options ...Option) *Server {
	ctx, stop := context.WithCancel(context.Background())
	s := &Server{store: st, log: store.NewLog(st), stop: stop, thinking: newThinking(), hosts: []string{"localhost", "127.0.0.1", "[::1]"}}
	for _, o := range options {
		o(s)
	}
	s.hub = newHub(st)
	s.log.Wake = s.hub.wake
	go s.tidy(ctx)
	go st.Listen(ctx, s.hub.wake, s.hub.wakeAll)
	s.app = fiber.New(fiber.Config{
		AppName: "Azzel", BodyLimit: bodyLimit, ErrorHandler: sayError, ReadTimeout: 60 * time.Second, IdleTimeout: 120 * time.Second,
	})
	s.routes()
	return s
}

// idle is how long a project that nobody has open stays in memory.
const idle = 5 * time.Minute

func (s *Server) tidy(ctx context.Context) {
	for {
		select {
		case <-ctx.Done():
			return
		case <-time.After(idle / 5):
			for _, project := range s.hub.projects() {
				s.log.Use(project)
			}
			s.log.Tidy(time.Now().Add(-idle))
			s.thinking.tidy(time.Now().Add(-idle))
		}
	}
}

// Serve answers on a listener until Close.
func (s *Server) Serve(l net.Listener) error {
	open := &connections{Listener: l, open: map[*connection]bool{}}
	s.mu.Lock()
	s.listening = append(s.listening, open)
	s.mu.Unlock()
	return s.app.Listener(open, fiber.ListenConfig{DisableStartupMessage: true})
}

// Close stops answering, stores what is on its way, and ends the sockets.
func (s *Server) Close() error {
	s.log.Close()
	s.hub.close()
	s.stop()
	err := s.app.ShutdownWithTimeout(500 * time.Millisecond)
	s.mu.Lock()
	defer s.mu.Unlock()
	for _, l := range s.listening {
		l.closeAll()
	}
	if errors.Is(err, context.DeadlineExceeded) {
		return nil // a browser kept a connection open; it is closed now
	}
	return err
}

func (s *Server) routes() {
	s.app.Use(recover.New())
	s.app.Use(s.guard)
	api := s.app.Group("/api", s.ownSite, noStore, s.perAddress(), csrf.New(csrf.Config{CookieName: s.csrfCookie(), CookieSameSite: "Strict", IdleTimeout: 24 * time.Hour,
		ErrorHandler: func(fiber.Ctx, error) error {
			return &problem{fiber.StatusForbidden, codeToken, "This page is out of date: reload it."}
		}}))
	api.Get("/session", s.newcomers(), s.greet, s.session)
	api.Use(s.known, s.perPerson())
	api.Get("/projects", s.projects)
	api.Post("/projects", small, s.newProject)
	api.Post("/projects/import", s.oneAtATime, s.importProject)
	project := api.Group("/projects/:project", s.member)
	project.Post("/name", small, s.renameProject)
	project.Post("/copy", small, s.copyProject)
	project.Post("/remove", small, s.putAway(true))
	project.Post("/bring-back", small, s.putAway(false))
	project.Post("/delete", small, s.deleteProject)
	project.Get("/cover", s.cover)
	project.Get("/state", s.state)
	project.Get("/export", s.exportProject)
	project.Get("/export/:form", s.exportPart)
	project.Get("/export/:what/:id", s.exportPiece)
	project.Get("/layered/:map", s.oneAtATime, s.layeredMap)
	project.Get("/page", s.pageProject)
	project.Get("/page/folder", s.pageFolder)
	project.Post("/bring-in", s.oneAtATime, s.bringProject)
	project.Get("/history/:seq", s.history)
	project.Get("/events/:seq", s.events)
	project.Get("/state/:seq", s.stateAt)
	project.Get("/versions", s.versions)
	project.Post("/versions", small, s.nameVersion)
	project.Post("/versions/:version/name", small, s.renameVersion)
	project.Post("/versions/:version/remove", small, s.forgetVersion)
	project.Get("/compare/:seq/:to", s.oneAtATime, s.compare)
	project.Post("/restore/:seq", small, s.restore)
	project.Get("/edits/:seq/revert", s.revert)
	project.Get("/edits/:seq/sketch", s.sketch)
	project.Post("/edits", s.edit)
	project.Post("/think", s.think)
	project.Post("/edits/stored", small, s.stored)
	project.Post("/pictures", s.oneAtATime, s.takePicture)
	project.Post("/starter", small, s.oneAtATime, s.starter)
	project.Post("/numbers", small, s.number)
	project.Post("/recognise", small, s.oneAtATime, s.recognise)
	project.Post("/match", small, s.oneAtATime, s.match)
	project.Post("/partners", small, s.oneAtATime, s.partners)
	project.Post("/pictures/reshape", small, s.oneAtATime, s.reshape)
	project.Post("/pictures/pixels", s.oneAtATime, s.pixels)
	project.Post("/pictures/gather", small, s.oneAtATime, s.gather)
	api.Get("/pictures/:sha", s.picture)
	project.Post("/sounds", s.oneAtATime, s.takeSound)
	api.Get("/sounds/:sha", s.sound)
	s.app.Get("/live/:project", s.ownSite, s.perAddress(), s.known, s.sameOrigin, s.member, s.live())
	s.app.Use("/api", func(fiber.Ctx) error { return fiber.ErrNotFound })
	s.app.Get("/*", serveFiles())
}

// smallBody is the most that a request takes that sends no edit and no picture.
const smallBody = 1 << 20

func small(c fiber.Ctx) error {
	if len(c.Body()) > smallBody {
		return &problem{fiber.StatusRequestEntityTooLarge, codeWrong, "That is more than can be asked at once."}
	}
	return c.Next()
}

// guard refuses foreign host names and sets the headers that every answer has.
func (s *Server) guard(c fiber.Ctx) error {
	c.Set("Content-Security-Policy", contentPolicy)
	c.Set("X-Content-Type-Options", "nosniff")
	c.Set("Referrer-Policy", "same-origin")
	c.Set("Cross-Origin-Opener-Policy", "same-origin")
	c.Set("Cross-Origin-Resource-Policy", "same-origin")
	if c.Get("Content-Encoding") != "" {
		// a few bytes could stand for any number
		return &problem{fiber.StatusUnsupportedMediaType, codeWrong, "What is sent must not be compressed."}
	}
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
	return &problem{fiber.StatusMisdirectedRequest, codeForeign, "Azzel does not answer to this name: open it at the address it printed."}
}

// sameOrigin refuses sockets that another site's page opens.
func (s *Server) sameOrigin(c fiber.Ctx) error {
	origin, err := url.Parse(c.Get("Origin"))
	if err != nil || origin.Host == "" || origin.Host != c.Host() {
		return &problem{fiber.StatusForbidden, codeForeign, "This socket is only for Azzel's own page."}
	}
	return c.Next()
}
