// Package session is the core as the interface sees it: one designer's open
// project, asked and told in JSON. The browser module exposes it as it is, and
// it runs natively just the same.
package session

import (
	"azzel/core/author"
	"azzel/core/chart"
	"azzel/core/check"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/replica"
	"azzel/core/rules"
	"azzel/core/world"
	"encoding/json"
	"errors"
	"fmt"
)

// Session is one open project. It is not safe for use by several goroutines.
type Session struct {
	replica *replica.Replica
	play    *playing
	tried   *trying
	// proving is the question whether it can be finished, otherwise the same from elsewhere; par is in how few moves a map is.
	proving, otherwise proving
	par                par
	checker            check.Checker
	// shades are how tiles look.
	shades    []shading
	expecting map[document.ID]*expecting
	// following are the recordings that are compared with what happens now.
	following map[document.ID]*following
	staged    *world.Stage
	charted   *chart.Chart
	// sent is the edit that the last call made.
	sent json.RawMessage
	// hung is the chart as it was told last.
	hung     ChartInfo
	sheets   *document.Sheets
	sheetsOf *document.Document
	fits     fitting
	ghost    cachedPlan
	ghosts   int          // how many there were
	stroke   *stroke      // that is led on
	areas    []cachedPlan // of what is held now, the latest last: each the same from anywhere in its region
	selected selection
	told     told
	// texts are rules as they were when somebody began to write their text.
	texts map[document.ID]*document.Rule
	// reader reads texts of rules while they are written.
	reader rules.Reader
	// kept are arrangements that are held without being motifs.
	kept map[document.ID]*document.Motif
	// warming makes ready what presses ask for first, nil while it does not.
	warming *warming
}

// Outcome is what changed and, for a new edit, what has to be sent.
type Outcome struct {
	// Edit names the edit that was made; as it is sent it is Sent.
	Edit    *edit.Mark      `json:"edit,omitempty"`
	Change  document.Change `json:"change"`
	Dropped []string        `json:"dropped,omitempty"`
	Text    string          `json:"text,omitempty"`
	Made    document.ID     `json:"made,omitempty"`
	Ids     []document.ID   `json:"ids,omitempty"`
	// Restored and Kept count what an undo wrote and what it left to others.
	Restored int   `json:"restored,omitempty"`
	Kept     int   `json:"kept,omitempty"`
	Fetch    int64 `json:"fetch,omitempty"`
	// Renamed are names that were taken: what was asked for, and what it is called now.
	Renamed [][2]string `json:"renamed,omitempty"`
	CanUndo string      `json:"canUndo"`
	CanRedo string      `json:"canRedo"`
	Pending int         `json:"pending"`
}

// Call runs a method by name. The error is a sentence for people; CodeOf gives
// what the page tells apart.
func (s *Session) Call(name string, args json.RawMessage) (json.RawMessage, error) {
	m, ok := methods[name]
	if !ok {
		return nil, &Problem{CodeMethod, fmt.Sprintf("there is no method called %q", name)}
	}
	if s.replica == nil {
		return nil, errNothingOpen
	}
	s.sent = nil
	out, err := m.call(s, args)
	if err != nil {
		return nil, err
	}
	if w, ok := out.(interface {
		written() (json.RawMessage, error)
	}); ok {
		return w.written()
	}
	return json.Marshal(out)
}

// Sent is the edit that the last Call or Jump made, as it is sent; nil where it made none. It is told apart from the answer, so that a page need not
// read what it only passes on.
func (s *Session) Sent() json.RawMessage { return s.sent }

// Open starts a session from a stored document, as edit number seq left it.
func (s *Session) Open(state []byte, seq int64, person, client document.ID) error {
	doc, err := document.DecodeLater(state)
	if err != nil {
		return err
	}
	*s = Session{replica: replica.New(person, client, doc, seq)}
	return nil
}

// Jump makes the project what a stored state of it was, as a new edit.
func (s *Session) Jump(state []byte, label string) (json.RawMessage, error) {
	if s.replica == nil || !designs {
		return nil, errNothingOpen
	}
	then, err := document.Decode(state)
	if err != nil {
		return nil, err
	}
	do, err := author.Difference(s.doc(), then)
	if err != nil {
		return nil, err
	}
	o, err := s.make(do, edit.Label{Text: label, Tool: "jump"})
	if err != nil {
		return nil, err
	}
	return json.Marshal(o)
}

func (s *Session) doc() *document.Document { return s.replica.Current }

func (s *Session) mapOf(id document.ID) (*document.Map, error) {
	m := s.doc().Maps.Get(id)
	if m == nil {
		return nil, errors.New("the map is no longer there")
	}
	return m, nil
}

// plane is the chart of the document as it is, with what stands in the way.
func (s *Session) plane() *chart.Chart {
	if s.charted == nil || s.charted.Doc() != s.doc() {
		s.charted = chart.New(s.doc(), s.charted)
	}
	return s.charted
}

func (s *Session) ground() *document.Solids { return s.plane().Solids() }

// stage is the document as it is played.
func (s *Session) stage() *world.Stage {
	if s.staged == nil || s.staged.Doc != s.doc() {
		s.staged = world.New(s.doc(), s.plane(), s.staged)
	}
	return s.staged
}

func (s *Session) looks() *document.Sheets {
	if s.sheetsOf != s.doc() {
		s.sheets, s.sheetsOf = s.doc().Sheets(), s.doc()
	}
	return s.sheets
}

// outcome describes what changed since before.
func (s *Session) outcome(before *document.Document) Outcome {
	change := document.Diff(before, s.doc())
	if s.doc().Materials.Len() > 0 {
		change.Chunks = document.Around(change.Chunks, before, s.doc())
	}
	return Outcome{Change: change, CanUndo: s.replica.CanUndo(), CanRedo: s.replica.CanRedo(),
		Pending: len(s.replica.Pending())}
}

// make does a new edit and describes it.
func (s *Session) make(do []edit.Primitive, label edit.Label) (Outcome, error) {
	before := s.doc()
	e, res, err := s.replica.Make(do, label)
	if err != nil {
		return Outcome{}, err
	}
	return s.described(before, e, res), nil
}

func (s *Session) described(before *document.Document, e *edit.Edit, res edit.Result) Outcome {
	o := s.outcome(before)
	s.sent = e.Sent()
	o.Edit, o.Text, o.Dropped, o.Restored, o.Kept, o.Renamed = &e.Mark, e.Label.Text, res.Dropped, res.Restored, res.Kept, res.Renamed
	return o
}

// readAhead reads cells that were not needed yet, of as many layers as take some milliseconds, so that
// the whole project can be asked about without a halt. It tells how many layers are left.
func (s *Session) readAhead(none) (int, error) {
	left, room := 0, aheadAtOnce
	s.doc().Maps.Each(func(m *document.Map) {
		m.Layers.Each(func(l *document.Layer) {
			if l.Cells.Read() {
				return
			}
			if room <= 0 {
				left++
				return
			}
			room -= max(l.Cells.Unread(), aheadAtOnce/32)
			_ = l.Cells.Empty() // reads it
		})
	})
	return left, nil
}

// aheadAtOnce is how many bytes of cells readAhead reads in a call, 32 layers at most: some milliseconds.
const aheadAtOnce = 256 << 10

// Encode is the document that the designer sees, as it would be stored.
func (s *Session) Encode() []byte { return s.doc().Encode() }

// Hash is the state hash of what the designer sees.
func (s *Session) Hash() string { return s.doc().Hash() }

// Storable checks that the document survives being stored.
func (s *Session) Storable() error {
	_, err := document.Decode(s.doc().Encode())
	return err
}
