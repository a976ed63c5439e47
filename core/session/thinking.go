package session

import (
	"azzel/core/document"
	"azzel/core/replica"
	"slices"
)

// thinking are the methods that change nothing and can take long: they are asked of a session apart from the one that is edited.
var thinking = []string{"prove", "study", "walk", "checks", "expectations", "par", "reach", "foresee", "follow", "unseen"}

// Thinks reports whether a method is one of those.
func Thinks(method string) bool { return slices.Contains(thinking, method) }

// Look has a session be of a document, as edit number seq left it; what it knew of an earlier version of it is gone on from.
func (s *Session) Look(doc *document.Document, seq int64) {
	if s.replica == nil || s.replica.Current != doc {
		s.replica = replica.New("", "", doc, seq)
	}
}

// Doc is the document that is looked at.
func (s *Session) Doc() *document.Document { return s.doc() }
