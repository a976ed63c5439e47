package server

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/store"
	"errors"
	"fmt"
	"log/slog"
	"net/url"
	"strconv"
	"strings"

	"github.com/gofiber/fiber/v3"
)

func (s *Server) projects(c fiber.Ctx) error {
	all, err := s.store.Projects(c.Context())
	if err != nil {
		return err
	}
	return c.JSON(all)
}

func (s *Server) newProject(c fiber.Ctx) error {
	var ask struct {
		Name string `json:"name"`
	}
	if err := document.Strict(c.Body(), &ask); err != nil {
		return bad(errors.New("a new project needs a name"))
	}
	doc := document.New(strings.TrimSpace(ask.Name))
	if err := doc.Project.Check(); err != nil {
		return bad(err)
	}
	return s.ownProject(c, doc)
}

// state sends the whole document, with its edit number in a header.
func (s *Server) state(c fiber.Ctx) error {
	p, err := s.store.Project(c.Context(), projectOf(c))
	if err != nil {
		return err
	}
	state, seq, err := s.log.Encoded(c.Context(), p.ID)
	if err != nil && !errors.Is(err, store.ErrNotFound) && s.store.Ready(c.Context()) == nil {
		// something that is stored cannot be read: what can be is sent, to look at
		slog.Error("a project cannot be read", "project", p.ID, "error", err)
		var lost []string
		var doc *document.Document
		if doc, seq, lost, err = s.log.Salvage(c.Context(), p.ID); err == nil {
			state = doc.Encode()
			c.Set("X-Azzel-Lost", url.QueryEscape(strings.Join(lost[:min(len(lost), 20)], "\n")))
			c.Set("X-Azzel-Broken", "yes")
		}
	}
	if err != nil {
		return err
	}
	last, err := s.store.Last(c.Context(), p.ID, seq)
	if err != nil {
		return err
	}
	c.Set("X-Azzel-Seq", strconv.FormatInt(seq, 10))
	c.Set("X-Azzel-Born", p.Born)
	if len(state) > s.thinking.from {
		c.Set("X-Azzel-Think", "here")
	}
	c.Set("X-Azzel-Last", string(edit.JSON(last)))
	c.Set("Content-Type", "application/octet-stream")
	return c.Send(state)
}

// restore puts a project that cannot be read back to what it was after an edit.
func (s *Server) restore(c fiber.Ctx) error {
	seq, err := seqOf(c)
	if err != nil {
		return err
	}
	if err := s.log.Restore(c.Context(), projectOf(c), seq); err != nil {
		return err
	}
	return c.JSON(fiber.Map{"seq": seq})
}

func seqOf(c fiber.Ctx) (int64, error) {
	seq, err := strconv.ParseInt(c.Params("seq"), 10, 64)
	if err != nil || seq < 0 {
		return 0, bad(errors.New("that is not the number of an edit"))
	}
	return seq, nil
}

func (s *Server) history(c fiber.Ctx) error {
	seq, err := seqOf(c)
	if err != nil {
		return err
	}
	undo, redo, err := s.store.History(c.Context(), projectOf(c), personOf(c).ID, seq)
	if err != nil {
		return err
	}
	return c.JSON(fiber.Map{"undo": undo, "redo": redo})
}

// eventsAtOnce is how many edits of the history are listed at once.
const eventsAtOnce = 100

// events lists what was done in a project before an edit number.
func (s *Server) events(c fiber.Ctx) error {
	seq, err := seqOf(c)
	if err != nil {
		return err
	}
	all, err := s.store.Events(c.Context(), projectOf(c), seq, eventsAtOnce)
	if err != nil {
		return err
	}
	return c.JSON(all)
}

// stateAt gives a project as it was after an edit, to jump back to.
func (s *Server) stateAt(c fiber.Ctx) error {
	seq, err := seqOf(c)
	if err != nil {
		return err
	}
	doc, err := s.log.StateAt(c.Context(), projectOf(c), seq)
	if err != nil {
		return err
	}
	c.Set("Content-Type", "application/octet-stream")
	return c.Send(doc.Encode())
}

// sketch gives what a small picture of an edit is drawn from.
func (s *Server) sketch(c fiber.Ctx) error {
	seq, err := seqOf(c)
	if err != nil {
		return err
	}
	e, err := s.store.Edit(c.Context(), projectOf(c), seq)
	if err != nil {
		return err
	}
	return c.JSON(e.Sketch())
}

func (s *Server) revert(c fiber.Ctx) error {
	seq, err := seqOf(c)
	if err != nil {
		return err
	}
	data, err := s.store.Revert(c.Context(), projectOf(c), seq)
	if err != nil {
		return err
	}
	c.Set("Content-Type", "application/json")
	return c.Send(data)
}

// edit takes one edit that is too large for the socket.
func (s *Server) edit(c fiber.Ctx) error {
	raw := append([]byte(nil), c.Body()...) // Fiber uses the buffer again
	e, err := edit.Decode(raw)
	if err != nil {
		return bad(err)
	}
	s.hub.knows(projectOf(c), personOf(c).ID, e, true)
	answer := <-s.log.Append(projectOf(c), personOf(c).ID, e)
	if answer.Err != nil {
		s.hub.knows(projectOf(c), personOf(c).ID, e, false)
		return fmt.Errorf("append: %w", answer.Err)
	}
	return c.JSON(fiber.Map{"seq": answer.Seq})
}

// maxMarks is how many edits can be asked after at once.
const maxMarks = 10_000

// stored tells which of some edits the log holds: a page asks before it takes
// over what another one left in the browser.
func (s *Server) stored(c fiber.Ctx) error {
	var marks []edit.Mark
	if err := document.Strict(c.Body(), &marks); err != nil || len(marks) > maxMarks {
		return bad(fmt.Errorf("ask after at most %d edits by client and number", maxMarks))
	}
	if len(marks) == 0 {
		return c.JSON([]edit.Mark{})
	}
	known, err := s.store.Stored(c.Context(), projectOf(c), marks)
	if err != nil {
		return err
	}
	return c.JSON(known)
}
