package rules

import (
	"azzel/core/document"
	"strings"
)

// Reader reads the texts of rules of one version of a document after another, and remembers the lines that it has read: while
// somebody writes, only one of them is another one.
type Reader struct {
	doc   *document.Document
	lines map[string]textLine
	parts map[lineKey]readLine
}

// maxReadLines is how many lines a reader remembers at most.
const maxReadLines = 4 * document.MaxParts

// lineKey is a line and where it stands.
type lineKey struct{ text, slot, within string }

// readLine is a line in which nothing is wrong.
type readLine struct {
	part  document.RulePart
	entry *Entry
}

// of forgets what lines mean where the document is another one.
func (r *Reader) of(d *document.Document) {
	if r.doc != d {
		r.doc, r.parts = d, nil
	}
}

// lex cuts a text into lines and tokens, leaving out empty lines. It never fails: what is wrong is found where it is
// read.
func (r *Reader) lex(text string) (out []textLine) {
	all := strings.Split(text, "\n")
	if r.lines == nil || len(r.lines) > maxReadLines {
		r.lines = make(map[string]textLine, len(all))
	}
	out = make([]textLine, 0, len(all))
	for n, raw := range all {
		raw = strings.TrimSuffix(raw, "\r")
		l, ok := r.lines[raw]
		if !ok {
			l = lineOf(raw)
			r.lines[raw] = l
		}
		if l.number = n + 1; len(l.tokens) > 0 {
			out = append(out, l)
		}
	}
	return out
}

// keep remembers what a line says.
func (r *Reader) keep(key lineKey, part document.RulePart, e *Entry) {
	if r.parts == nil || len(r.parts) > maxReadLines {
		r.parts = make(map[lineKey]readLine, len(r.lines))
	}
	r.parts[key] = readLine{part, e}
}

// opening is how a line begins, and where it stands.
type opening struct{ slot, within, low string }

// openings are the words of the vocabulary by how their lines begin, in its order; those that begin with a blank, as any.
var openings = func() map[opening][]*Entry {
	out := map[opening][]*Entry{}
	for i := range Vocabulary {
		e := &Vocabulary[i]
		at := opening{e.Slot, e.Within, e.pieces[0].low}
		out[at] = append(out[at], e)
	}
	return out
}()
