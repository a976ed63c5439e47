package server

import (
	"azzel/store"
	"errors"
	"log/slog"
	"strings"

	"github.com/gofiber/fiber/v3"
)

// problem is what an asker is told: a code for the page and one sentence for
// people. No other error's text ever leaves the server.
type problem struct {
	status int
	code   string
	text   string
}

func (p *problem) Error() string { return p.text }

// Codes that the page tells apart.
const (
	codeToken   = "token"   // the page's token has run out: ask for the session and try again
	codeUnknown = "unknown" // who asks has not asked for the session yet
	codeWrong   = "wrong"   // what was asked for is wrong; asking again does not help
	codeGone    = "gone"
	codeRole    = "role"
	codeOwner   = "owner"
	codeFull    = "full"
	codeBusy    = "busy" // ask again in a while
	codeForeign = "foreign"
	codeBroken  = "broken"
)

// bad tells what is wrong with a request; err has to be a sentence of the core's or of ours.
func bad(err error) error { return &problem{fiber.StatusBadRequest, codeWrong, sentence(err)} }

// problemOf is what is said about an error.
func problemOf(err error) *problem {
	var p *problem
	var refusal store.Refusal
	var f *fiber.Error
	switch {
	case errors.As(err, &p):
		return p
	case errors.Is(err, store.ErrOwner):
		return &problem{fiber.StatusForbidden, codeOwner, sentence(store.ErrOwner)}
	case errors.As(err, &refusal):
		return &problem{fiber.StatusUnprocessableEntity, codeWrong, sentence(refusal)}
	case errors.Is(err, store.ErrNotFound):
		return &problem{fiber.StatusNotFound, codeGone, "This project or picture is not here."}
	case errors.Is(err, store.ErrRole):
		return &problem{fiber.StatusForbidden, codeRole, sentence(store.ErrRole)}
	case errors.Is(err, store.ErrReadable):
		return &problem{fiber.StatusConflict, codeWrong, sentence(store.ErrReadable)}
	case errors.Is(err, store.ErrFull):
		return &problem{fiber.StatusInsufficientStorage, codeFull, sentence(store.ErrFull)}
	case errors.Is(err, store.ErrClosed):
		return &problem{fiber.StatusServiceUnavailable, codeBusy, sentence(store.ErrClosed)}
	case errors.As(err, &f):
		switch f.Code {
		case fiber.StatusRequestEntityTooLarge:
			return &problem{f.Code, codeWrong, "That is larger than 32 MB, the most that can be sent."}
		case fiber.StatusNotFound, fiber.StatusMethodNotAllowed:
			return &problem{f.Code, codeGone, "There is nothing at this address."}
		}
		if f.Code < fiber.StatusInternalServerError {
			return &problem{f.Code, codeWrong, "This request was not understood; nothing was changed."}
		}
	}
	return &problem{fiber.StatusInternalServerError, codeBroken, "Something went wrong on the server; nothing was changed. Try again."}
}

// sayError answers an error.
func sayError(c fiber.Ctx, err error) error {
	p := problemOf(err)
	if p.status >= fiber.StatusInternalServerError {
		slog.Error("request failed", "path", c.Path(), "error", err)
	}
	c.Set("Cache-Control", "no-store")
	return c.Status(p.status).JSON(fiber.Map{"error": p.text, "code": p.code})
}

// sentence makes an error's text start large and end with a stop.
func sentence(err error) string {
	text := err.Error()
	text = strings.ToUpper(text[:1]) + text[1:]
	if !strings.HasSuffix(text, ".") {
		text += "."
	}
	return text
}
