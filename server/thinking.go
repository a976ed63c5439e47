package server

import (
	"azzel/core/document"
	"azzel/core/session"
	"context"
	"encoding/json"
	"errors"
	"log/slog"
	"runtime"
	"strconv"
	"sync"
	"time"

	"github.com/gofiber/fiber/v3"
)

const (
	// maxThoughts is how many projects are looked at beside each other; the one that nobody asked about for longest is let go of.
	maxThoughts = 6
	// slotWait is how long a question waits for others.
	slotWait = 8 * time.Second
	// thinkFrom is from how many bytes of a state on pages leave it to the server to find out what takes long.
	thinkFrom = 12 << 20
)

// ThinkFrom changes from how many bytes of a state on pages ask the server what takes long.
func ThinkFrom(bytes int) Option { return func(s *Server) { s.thinking.from = bytes } }

// thinking is a bounded pool in which projects are looked at: whether they can be finished, and what is wrong with them.
type thinking struct {
	from  int
	slots chan struct{}
	mu    sync.Mutex
	of    map[string]*thought
}

func newThinking() *thinking {
	return &thinking{from: thinkFrom, slots: make(chan struct{}, max(1, runtime.GOMAXPROCS(0)/2)), of: map[string]*thought{}}
}

// thought is what is being found out of a project.
type thought struct {
	mu      sync.Mutex
	session session.Session
	// hash is that of the document, empty while nobody has asked.
	doc   *document.Document
	hash  string
	known map[document.ID]*finding
	// expected is what became of what is expected; asked tells that it was looked whether that is kept.
	expected *expected
	asked    bool
	used     time.Time
}

// hashed is the hash of the project as it is looked at.
func (t *thought) hashed() string {
	if t.hash == "" {
		t.hash = t.doc.Hash()
	}
	return t.hash
}

// finding is what was found out of a project from one beginning, to its end.
type finding struct {
	Study  json.RawMessage `json:"study"`
	Checks json.RawMessage `json:"checks,omitempty"`
	// Walks are what is held on the walk to the goal, and into each trap.
	Walks []json.RawMessage `json:"walks"`
}

// at is the thought about a project.
func (t *thinking) at(project string) *thought {
	t.mu.Lock()
	defer t.mu.Unlock()
	o := t.of[project]
	if o == nil {
		if len(t.of) >= maxThoughts {
			oldest := ""
			for id := range t.of {
				if oldest == "" || t.of[id].used.Before(t.of[oldest].used) {
					oldest = id
				}
			}
			delete(t.of, oldest)
		}
		o = &thought{}
		t.of[project] = o
	}
	o.used = time.Now()
	return o
}

// tidy lets go of what nobody has asked about.
func (t *thinking) tidy(since time.Time) {
	t.mu.Lock()
	defer t.mu.Unlock()
	for id, o := range t.of {
		if o.used.Before(since) {
			delete(t.of, id)
		}
	}
}

// think answers a question about a project that takes long, a part at a time: whoever asks goes on asking, or does not.
func (s *Server) think(c fiber.Ctx) error {
	var q struct {
		Method string          `json:"method"`
		Args   json.RawMessage `json:"args"`
	}
	if err := json.Unmarshal(c.Body(), &q); err != nil || !session.Thinks(q.Method) {
		return bad(errors.New("there is nothing like that to ask"))
	}
	q.Args = append(json.RawMessage{}, q.Args...) // Fiber uses the buffer again
	select {
	case s.thinking.slots <- struct{}{}:
		defer func() { <-s.thinking.slots }()
	case <-time.After(slotWait):
		return &problem{fiber.StatusServiceUnavailable, codeBusy, "The server is looking at other projects: it is asked again."}
	case <-c.Context().Done():
		return c.Context().Err()
	}
	project := projectOf(c)
	doc, seq, err := s.log.State(c.Context(), project)
	if err != nil {
		return err
	}
	t := s.thinking.at(project)
	t.mu.Lock()
	defer t.mu.Unlock()
	answer, err := t.ask(c.Context(), s, doc, seq, q.Method, q.Args)
	if err != nil {
		return bad(err)
	}
	c.Set("X-Azzel-Seq", strconv.FormatInt(seq, 10))
	c.Set("Content-Type", mediaJSON)
	return c.Send(answer)
}

func (t *thought) ask(ctx context.Context, s *Server, doc *document.Document, seq int64, method string, args json.RawMessage) (json.RawMessage, error) {
	if t.doc != doc {
		t.doc, t.hash, t.known, t.expected, t.asked = doc, "", map[document.ID]*finding{}, nil, false
	}
	t.session.Look(doc, seq)
	var of struct {
		From        document.ID `json:"from"`
		Trap        int         `json:"trap"`
		Expectation document.ID `json:"expectation"`
	}
	var known *finding
	if len(args) == 0 || json.Unmarshal(args, &of) == nil { // else the session says what is wrong with it
		known = t.knows(ctx, s, of.From)
	}
	if e := t.knowsExpected(ctx, s); e != nil {
		if method == "expectations" {
			return e.Answer, nil
		}
		if walk := e.walk(of.Expectation); method == "walk" && walk != nil {
			return walk, nil
		}
	}
	switch {
	case method == "unseen":
		return json.RawMessage("[]"), nil // pictures are at hand here
	case known == nil:
	case method == "study", method == "prove":
		return known.Study, nil
	case method == "checks" && len(known.Checks) > 0:
		return known.Checks, nil
	case method == "walk" && of.Expectation == "" && of.Trap >= 0 && of.Trap < len(known.Walks) && string(known.Walks[of.Trap]) != "null":
		return known.Walks[of.Trap], nil
	}
	if method == "checks" {
		t.see(ctx, s)
	}
	answer, err := t.session.Call(method, args)
	if err == nil && method == "study" {
		t.keep(ctx, s, of.From, answer)
	}
	if err == nil && method == "expectations" {
		t.keepExpected(ctx, s, answer)
	}
	return answer, err
}

// knows is what was found out from a beginning, by this process or another one; nil for nothing yet.
func (t *thought) knows(ctx context.Context, s *Server, from document.ID) *finding {
	if k, asked := t.known[from]; asked {
		return k
	}
	t.known[from] = nil
	var k finding
	if !t.kept(ctx, s, "study "+string(from), &k) {
		return nil
	}
	t.known[from] = &k
	return &k
}

// see has pictures be looked at that were not yet, so that what is hard to see is found.
func (t *thought) see(ctx context.Context, s *Server) {
	t.session.See(func(sha string) ([]byte, error) { return s.store.PictureBytes(ctx, sha) })
}

// kept reads what was found out of the project, by this process or another one of the same edition; false for nothing yet.
func (t *thought) kept(ctx context.Context, s *Server, question string, into any) bool {
	data, err := s.store.KnownAnswer(ctx, t.hashed(), edition()+question)
	if err != nil {
		slog.Warn("an answer that was kept cannot be read", "error", err)
	}
	return err == nil && len(data) > 0 && json.Unmarshal(data, into) == nil
}

// keeps keeps what was found out of the project.
func (t *thought) keeps(ctx context.Context, s *Server, question string, found any) {
	data, err := json.Marshal(found)
	if err == nil {
		err = s.store.KeepAnswer(ctx, t.hashed(), edition()+question, data)
	}
	if err != nil {
		slog.Warn("an answer is not kept", "error", err)
	}
}

// keep keeps what was found out, once it is all that is looked for.
func (t *thought) keep(ctx context.Context, s *Server, from document.ID, study json.RawMessage) {
	var is struct {
		Done  bool `json:"done"`
		Traps []struct{}
	}
	if json.Unmarshal(study, &is) != nil || !is.Done {
		return
	}
	// what is wrong is kept with it, and that has what became of expectations and recordings
	if from == "" && (len(t.doc.Project.Expectations) > 0 && t.expected == nil || t.doc.Recordings.Len() > 0) {
		return
	}
	k := finding{Study: study}
	for i := range len(is.Traps) + 1 {
		args, err := json.Marshal(map[string]any{"from": from, "trap": i, "expectation": ""})
		if err != nil {
			return
		}
		walk, err := t.session.Call("walk", args)
		if err != nil {
			walk = json.RawMessage("null") // there is none
		}
		k.Walks = append(k.Walks, walk)
	}
	if from == "" {
		t.see(ctx, s)
		if checks, err := t.session.Call("checks", json.RawMessage("{}")); err == nil {
			k.Checks = checks
		}
	}
	t.known[from] = &k
	t.keeps(ctx, s, "study "+string(from), k)
}
