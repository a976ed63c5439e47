package server

import (
	"azzel/core/edit"
	"azzel/store"
	"context"
	"log/slog"
	"sync"
)

// What a room keeps of the log, so that its sockets need not ask the database one
// by one, and what one message carries of it; one row is always carried.
const (
	recentRows  = 2000
	recentBytes = 8 << 20
	sentRows    = 500
	sentBytes   = 1 << 20
)

// hub knows the open sockets by project.
type hub struct {
	store *store.Store
	mu    sync.Mutex
	rooms map[string]*room
	// closed refuses sockets that connect while the server stops.
	closed bool
}

// room is the sockets of one project.
type room struct {
	hub     *hub
	project string

	mu      sync.Mutex
	sockets map[*socket]bool
	recent  []store.LogRow // consecutive, the newest last

	fetching sync.Mutex
}

func newHub(s *store.Store) *hub { return &hub{store: s, rooms: map[string]*room{}} }

// enter adds a socket to its project's room; nil when the server stops.
func (h *hub) enter(project string, s *socket) *room {
	h.mu.Lock()
	defer h.mu.Unlock()
	if h.closed {
		return nil
	}
	r := h.rooms[project]
	if r == nil {
		r = &room{hub: h, project: project, sockets: map[*socket]bool{}}
		h.rooms[project] = r
	}
	r.mu.Lock()
	r.sockets[s] = true
	r.mu.Unlock()
	return r
}

func (h *hub) leave(r *room, s *socket) {
	h.mu.Lock()
	r.mu.Lock()
	delete(r.sockets, s)
	if len(r.sockets) == 0 {
		delete(h.rooms, r.project)
	}
	r.mu.Unlock()
	h.mu.Unlock()
	r.tellPeople()
}

// wake has the sockets of a project send what is new up to head.
func (h *hub) wake(project string, _ int64) {
	h.mu.Lock()
	r := h.rooms[project]
	h.mu.Unlock()
	if r != nil {
		for _, s := range r.all() {
			s.poke()
		}
	}
}

// knows tells the socket of the page that made an edit, whichever way it came, whether that has its steps: then it is not sent back whole.
func (h *hub) knows(project, of string, e *edit.Edit, whole bool) {
	h.mu.Lock()
	r := h.rooms[project]
	h.mu.Unlock()
	if r == nil || len(e.Do) == 0 {
		return // of one without steps the page needs what the log made of it
	}
	for _, s := range r.all() {
		if s.client == string(e.Client) && s.person == of {
			s.knows(e.Mark, whole)
		}
	}
}

// projects lists those that somebody has open.
func (h *hub) projects() []string {
	h.mu.Lock()
	defer h.mu.Unlock()
	out := make([]string, 0, len(h.rooms))
	for p := range h.rooms {
		out = append(out, p)
	}
	return out
}

func (h *hub) wakeAll() {
	for _, p := range h.projects() {
		h.wake(p, 0)
	}
}

func (h *hub) close() {
	h.mu.Lock()
	h.closed = true
	rooms := make([]*room, 0, len(h.rooms))
	for _, r := range h.rooms {
		rooms = append(rooms, r)
	}
	h.mu.Unlock()
	for _, r := range rooms {
		for _, s := range r.all() {
			s.end()
		}
	}
}

func (r *room) all() []*socket {
	r.mu.Lock()
	defer r.mu.Unlock()
	out := make([]*socket, 0, len(r.sockets))
	for s := range r.sockets {
		out = append(out, s)
	}
	return out
}

// after gives the rows behind an edit number, from the recent ones when they
// reach back far enough, else from the database; at most 500 at once.
func (r *room) after(ctx context.Context, seq int64) ([]store.LogRow, error) {
	r.fetching.Lock()
	defer r.fetching.Unlock()
	if n := len(r.recent); n > 0 && seq >= r.recent[0].Seq-1 {
		if seq < r.recent[n-1].Seq {
			from := int(seq - r.recent[0].Seq + 1)
			return sendable(r.recent[from:]), nil
		}
		seq = r.recent[n-1].Seq
	}
	rows, err := r.hub.store.Rows(ctx, r.project, seq, sentRows)
	if err != nil {
		return nil, err
	}
	out := make([]store.LogRow, len(rows))
	for i, row := range rows {
		out[i] = row.Sent()
	}
	if n := len(r.recent); len(out) > 0 && (n == 0 || out[0].Seq == r.recent[n-1].Seq+1) {
		r.remember(out)
	}
	return sendable(out), nil
}

// sendable is as many of the first rows as one message carries.
func sendable(rows []store.LogRow) []store.LogRow {
	n, bytes := 0, 0
	for n < len(rows) && n < sentRows && (n == 0 || bytes+len(rows[n].Edit) <= sentBytes) {
		bytes += len(rows[n].Edit)
		n++
	}
	return append([]store.LogRow(nil), rows[:n]...)
}

// remember keeps rows behind the recent ones, as far as there is room.
func (r *room) remember(rows []store.LogRow) {
	r.recent = append(r.recent, rows...)
	from, bytes := len(r.recent), 0
	for from > 0 && len(r.recent)-from < recentRows && bytes+len(r.recent[from-1].Edit) <= recentBytes {
		from--
		bytes += len(r.recent[from].Edit)
	}
	if from > 0 {
		r.recent = append([]store.LogRow(nil), r.recent[from:]...)
	}
}

// person is somebody who has the project open.
type person struct {
	Client string `json:"client"`
	Name   string `json:"name"`
}

// tellPeople tells every socket who is here.
func (r *room) tellPeople() {
	all := r.all()
	people := []person{}
	for _, s := range all {
		people = append(people, person{s.client, s.name})
	}
	for _, s := range all {
		s.say(message{T: "people", People: people})
	}
}

// pass gives a message to everybody else in the room; who is slow misses it.
func (r *room) pass(from *socket, m message) {
	for _, s := range r.all() {
		if s != from {
			s.say(m)
		}
	}
}

func logSocket(err error) { slog.Debug("socket ended", "error", err) }
