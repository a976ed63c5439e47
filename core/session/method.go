package session

//go:generate go run azzel/cmd/contract -out ../../web/src/core/contract.gen.ts

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/play"
	"azzel/core/replica"
	"encoding/json"
	"errors"
	"maps"
	"reflect"
	"slices"
)

// method is something that the interface can ask for, with the types of what it
// takes and answers, from which the interface's own types are made.
type method struct {
	call         func(s *Session, args json.RawMessage) (any, error)
	args, answer reflect.Type
}

// methods is everything that the interface can ask for; each file adds its own.
var methods = map[string]method{}

func register(more map[string]method) { maps.Copy(methods, more) }

// Signature is a method as it is called: by its name, with JSON of one type,
// answered with JSON of another.
type Signature struct {
	Name         string
	Args, Answer reflect.Type
}

// Signatures lists all methods by name.
func Signatures() []Signature {
	var out []Signature
	for _, name := range slices.Sorted(maps.Keys(methods)) {
		out = append(out, Signature{name, methods[name].args, methods[name].answer})
	}
	return out
}

// Problem is an error that the interface tells apart by its code.
type Problem struct {
	Code string
	Text string
}

func (p *Problem) Error() string { return p.Text }

// The codes of errors. All that is not said to be otherwise is a refusal: what was
// wished for cannot be done, and the sentence says why.
const (
	CodeRefused = "refused"
	CodeNothing = "nothing" // there is nothing to turn back
	CodeGap     = "gap"     // edits are missing: the project has to be loaded again
	CodeArgs    = "args"    // the arguments are not of the method's type
	CodeMethod  = "method"  // there is no such method
	CodeClosed  = "closed"  // no project is open
	CodeNoSpawn = "noSpawn" // there is nowhere to begin playing
)

// Codes lists all codes.
var Codes = []string{CodeRefused, CodeNothing, CodeGap, CodeArgs, CodeMethod, CodeClosed, CodeNoSpawn}

var errNothingOpen = &Problem{CodeClosed, "no project is open"}

// CodeOf is the code of an error of Call.
func CodeOf(err error) string {
	var p *Problem
	switch {
	case errors.As(err, &p):
		return p.Code
	case errors.Is(err, replica.ErrNothing):
		return CodeNothing
	case errors.Is(err, replica.ErrGap):
		return CodeGap
	case errors.Is(err, play.ErrNoSpawn):
		return CodeNoSpawn
	}
	return CodeRefused
}

// with makes a method from a function that takes its arguments as one value.
func with[A, R any](f func(s *Session, args A) (R, error)) method {
	return method{args: reflect.TypeFor[A](), answer: reflect.TypeFor[R](), call: func(s *Session, raw json.RawMessage) (any, error) {
		var args A
		if len(raw) > 0 {
			if err := document.Strict(raw, &args); err != nil {
				return nil, &Problem{CodeArgs, "what was asked for cannot be read: reload the page"}
			}
		}
		return f(s, args)
	}}
}

// authored makes a method from a function that resolves a wish into an edit.
func authored[A any](f func(d *document.Document, args A) (author.Change, error)) method {
	return with(func(s *Session, args A) (Outcome, error) {
		return s.authored(f(s.doc(), args))
	})
}

// authored makes a change, which was put together without an error.
func (s *Session) authored(c author.Change, err error) (Outcome, error) {
	if err != nil {
		return Outcome{}, err
	}
	o, err := s.make(c.Do, c.Label)
	o.Made = c.Made
	return o, err
}
