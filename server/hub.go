package server

import (
	"azzel/core/edit"
	"azzel/store"
	"context"
	"encoding/json"
	"fmt"
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
	// logged gives rows of a project's log behind a number, at most so many.
	logged func(ctx context.Context, project string, after int64, most int) ([]store.Row, error)
	mu     sync.Mutex
	rooms  map[string]*room
	// closed refuses sockets that connect while the server stops.
	closed bool
}

// room is the sockets of one project.
type room struct {
	hub     *hub
	project string

	mu      sync.Mutex
	sockets map[*socket]bool
	// head is the number of the last row that was told of, and sure that there was none behind it that nobody told of; doubts counts
	// how often something may have been missed.
	head   int64
	sure   bool
	doubts int

	fetching sync.Mutex
	recent   []sentRow // consecutive, the newest last
}

// sentRow is a row of the log as it is sent, which is written once for all sockets: with its steps, and without.
type sentRow struct {
	seq         int64
	mark        edit.Mark
	whole, bare []byte
}

func newSentRow(of store.Row) (sentRow, error) {
	row := of.Sent()
	out := sentRow{seq: row.Seq, mark: row.Mark}
	var err error
	if out.whole, err = json.Marshal(row); err != nil {
		return sentRow{}, fmt.Errorf("writing row %d of the log: %w", row.Seq, err)
	}
	row.Edit = nil
	if out.bare, err = json.Marshal(row); err != nil {
		return sentRow{}, fmt.Errorf("writing row %d of the log: %w", row.Seq, err)
	}
	return out, nil
}

func newHub(s *store.Store) *hub { return &hub{logged: s.Rows, rooms: map[string]*room{}} }

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
func (h *hub) wake(project string, head int64) {
	if r := h.room(project); r != nil {
		r.mu.Lock()
		r.head = max(r.head, head)
		r.mu.Unlock()
		r.poke()
	}
}

func (h *hub) room(project string) *room {
	h.mu.Lock()
	defer h.mu.Unlock()
	return h.rooms[project]
}

func (r *room) poke() {
	for _, s := range r.all() {
		s.poke()
	}
}

// knows tells the socket of the page that made an edit, whichever way it came, whether that has its steps: then it is not sent back whole.
func (h *hub) knows(project, of string, e *edit.Edit, whole bool) {
	r := h.room(project)
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

// wakeAll has all sockets send what is new, after some of it may not have been told of.
func (h *hub) wakeAll() {
	for _, p := range h.projects() {
		if r := h.room(p); r != nil {
			r.mu.Lock()
			r.sure = false
			r.doubts++
			r.mu.Unlock()
			r.poke()
		}
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
// reach back far enough, else from the database, which is not asked where there is none; at most 500 at once.
func (r *room) after(ctx context.Context, seq int64) ([]sentRow, error) {
	r.fetching.Lock()
	defer r.fetching.Unlock()
	if n := len(r.recent); n > 0 && seq >= r.recent[0].seq-1 {
		if seq < r.recent[n-1].seq {
			from := int(seq - r.recent[0].seq + 1)
			return sendable(r.recent[from:]), nil
		}
		seq = r.recent[n-1].seq
	}
	r.mu.Lock()
	none, doubts := r.sure && seq >= r.head, r.doubts
	r.mu.Unlock()
	if none {
		return nil, nil
	}
	rows, err := r.hub.logged(ctx, r.project, seq, sentRows)
	if err != nil {
		return nil, err
	}
	out := make([]sentRow, len(rows))
	for i, row := range rows {
		if out[i], err = newSentRow(row); err != nil {
			return nil, err
		}
	}
	if n := len(r.recent); len(out) > 0 && (n == 0 || out[0].seq == r.recent[n-1].seq+1) {
		r.remember(out)
	}
	if len(out) > 0 {
		seq = out[len(out)-1].seq
	}
	r.mu.Lock()
	if len(out) < sentRows && doubts == r.doubts { // that was all there was
		r.head, r.sure = max(r.head, seq), true
	}
	r.mu.Unlock()
	return sendable(out), nil
}

// sendable is as many of the first rows as one message carries.
func sendable(rows []sentRow) []sentRow {
	n, bytes := 0, 0
	for n < len(rows) && n < sentRows && (n == 0 || bytes+len(rows[n].whole) <= sentBytes) {
		bytes += len(rows[n].whole)
		n++
	}
	return append([]sentRow(nil), rows[:n]...)
}

// remember keeps rows behind the recent ones, as far as there is room.
func (r *room) remember(rows []sentRow) {
	r.recent = append(r.recent, rows...)
	from, bytes := len(r.recent), 0
	for from > 0 && len(r.recent)-from < recentRows && bytes+len(r.recent[from-1].whole) <= recentBytes {
		from--
		bytes += len(r.recent[from].whole)
	}
	if from > 0 {
		r.recent = append([]sentRow(nil), r.recent[from:]...)
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
