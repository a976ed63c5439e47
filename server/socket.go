package server

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/store"
	"context"
	"encoding/json"
	"errors"
	"sync"
	"time"

	"github.com/gofiber/contrib/v3/websocket"
	"github.com/gofiber/fiber/v3"
	"golang.org/x/sync/semaphore"
)

const (
	// maxMessage is the largest message a socket takes; larger edits go by POST.
	maxMessage = 512 << 10
	// pingEvery keeps quiet sockets alive and finds dead ones.
	pingEvery   = 20 * time.Second
	writeWithin = 10 * time.Second
	// underWay is how many bytes of edits of one page may wait to be stored; then
	// no more is read from it.
	underWay = 4 << 20
	// pointerEvery is how often a pointer is passed on at most.
	pointerEvery = 15 * time.Millisecond
	maxPointer   = 1 << 24
)

// message is everything that crosses the socket; T says which fields count.
//
//	from the page: hello (format, client, since, born, last), edit (edit), pointer (map, x, y)
//	to the page:   rows (rows), refused (mark, why), people (people), pointer, stale (format), sorry (why),
//	               parted (why: the page's past is not the project's), trouble (why: what is not stored now may be later)
type message struct {
	T      string          `json:"t"`
	Format int             `json:"format,omitempty"`
	Client string          `json:"client,omitempty"`
	Since  int64           `json:"since,omitempty"`
	Born   string          `json:"born,omitempty"`
	Last   edit.Mark       `json:"last,omitzero"`
	Edit   json.RawMessage `json:"edit,omitempty"`
	Mark   *edit.Mark      `json:"mark,omitempty"`
	Why    string          `json:"why,omitempty"`
	People []person        `json:"people,omitempty"`
	Name   string          `json:"name,omitempty"`
	Map    string          `json:"map,omitempty"`
	X      int             `json:"x"`
	Y      int             `json:"y"`
}

// socket is one open page.
type socket struct {
	conn   *websocket.Conn
	server *Server
	room   *room
	person string
	name   string
	client string
	out    chan message
	wake   chan struct{}
	done   chan struct{}
	once   sync.Once

	mu sync.Mutex
	// sent are edits that came from this page and need not be sent back whole.
	sent map[edit.Mark]bool
	// owed are answers that have to arrive, however slow the page is.
	owed []message
	flow *semaphore.Weighted
	// ctx ends with the socket.
	ctx    context.Context
	cancel context.CancelFunc
}

func (s *Server) live() fiber.Handler {
	upgrade := websocket.New(func(conn *websocket.Conn) {
		p, _ := conn.Locals("person").(store.Person)
		role, _ := conn.Locals("role").(string)
		k := &socket{conn: conn, server: s, person: p.ID, name: p.Name, out: make(chan message, 256), wake: make(chan struct{}, 1),
			done: make(chan struct{}), sent: map[edit.Mark]bool{}, flow: semaphore.NewWeighted(underWay)}
		k.ctx, k.cancel = context.WithCancel(context.Background())
		k.serve(conn.Params("project"), role)
	}, websocket.Config{HandshakeTimeout: 10 * time.Second, ReadBufferSize: 4096, WriteBufferSize: 16384})
	return func(c fiber.Ctx) error {
		if !websocket.IsWebSocketUpgrade(c) {
			return &problem{fiber.StatusUpgradeRequired, codeWrong, "This address is for the live socket."}
		}
		c.Locals("person", personOf(c))
		c.Locals("role", c.Locals(roleKey{}))
		return upgrade(c)
	}
}

func (k *socket) serve(project, role string) {
	defer k.end()
	k.conn.SetReadLimit(maxMessage)
	_ = k.conn.SetReadDeadline(time.Now().Add(writeWithin))
	var hello message
	if err := k.conn.ReadJSON(&hello); err != nil || hello.T != "hello" || !document.ID(hello.Client).Valid() || hello.Since < 0 {
		k.apologise("the page did not say who it is: reload it")
		return
	}
	if hello.Format != Format {
		_ = k.write(message{T: "stale", Format: Format})
		return
	}
	if why, err := k.parted(project, hello); err != nil {
		logSocket(err)
		return // the page connects anew
	} else if why != "" {
		_ = k.write(message{T: "parted", Why: why})
		return
	}
	if err := k.server.store.Own(context.Background(), project, document.ID(hello.Client), k.person); errors.Is(err, store.ErrOwner) {
		k.apologise(sentence(store.ErrOwner))
		return
	} else if err != nil && !errors.Is(err, store.ErrFull) {
		logSocket(err)
		return
	}
	k.client = hello.Client
	if k.room = k.server.hub.enter(project, k); k.room == nil {
		return
	}
	defer k.server.hub.leave(k.room, k)
	k.room.tellPeople()
	var writer sync.WaitGroup
	writer.Add(1)
	go func() {
		defer writer.Done()
		defer k.end()
		k.pump(hello.Since)
	}()
	defer writer.Wait() // the connection is taken back when serve returns
	defer k.end()
	k.poke()
	k.conn.SetPongHandler(func(string) error { return k.conn.SetReadDeadline(time.Now().Add(3 * pingEvery)) })
	var pointed time.Time
	for {
		_ = k.conn.SetReadDeadline(time.Now().Add(3 * pingEvery))
		_, data, err := k.conn.ReadMessage()
		if err != nil {
			logSocket(err)
			return
		}
		var m message
		if err := json.Unmarshal(data, &m); err != nil {
			k.say(message{T: "sorry", Why: "A message could not be read; nothing was changed."})
			continue
		}
		switch m.T {
		case "edit":
			k.take(project, role, m.Edit)
		case "pointer":
			far := m.X > maxPointer || m.X < -maxPointer || m.Y > maxPointer || m.Y < -maxPointer
			if now := time.Now(); now.Sub(pointed) < pointerEvery || far || m.Map != "" && !document.ID(m.Map).Valid() {
				continue
			} else {
				pointed = now
			}
			k.room.pass(k, message{T: "pointer", Client: k.client, Name: k.name, Map: m.Map, X: m.X, Y: m.Y})
		default:
			k.say(message{T: "sorry", Why: "A message was not understood; nothing was changed."})
		}
	}
}

func (k *socket) apologise(why string) {
	_ = k.write(message{T: "sorry", Why: why})
}

// take stores an edit. The answer is its row, which comes in order with the
// others; only a refusal is answered by itself.
func (k *socket) take(project, role string, raw json.RawMessage) {
	e, err := edit.Decode(raw)
	if err != nil {
		k.refuse(raw, sentence(err))
		return
	}
	if role == store.RoleViewer {
		k.refuse(raw, sentence(store.ErrRole))
		return
	}
	size := int64(len(raw))
	if k.flow.Acquire(k.ctx, size) != nil {
		return // the page is gone; it keeps the edit
	}
	if len(e.Do) > 0 {
		// of one without steps the page needs what the log made of it
		k.knows(e.Mark, true)
	}
	answer := k.server.log.Append(project, k.person, e)
	go func() {
		a := <-answer
		k.flow.Release(size)
		var refusal store.Refusal
		switch {
		case errors.Is(a.Err, store.ErrNotFound):
			k.refuse(raw, "This project is no longer here.")
		case errors.As(a.Err, &refusal):
			k.refuse(raw, sentence(refusal))
		case errors.Is(a.Err, store.ErrFull):
			k.owe(message{T: "trouble", Why: sentence(store.ErrFull)})
		case a.Err != nil:
			// not stored: the page keeps it and sends it again when it connects anew
			logSocket(a.Err)
			k.end()
		default:
			k.poke()
		}
	}()
}

func (k *socket) refuse(raw json.RawMessage, why string) {
	var mark edit.Mark
	_ = json.Unmarshal(raw, &mark) // a mark that cannot be read stays empty
	k.knows(mark, false)
	k.owe(message{T: "refused", Mark: &mark, Why: why})
}

// knows notes whether the page has an edit whole.
func (k *socket) knows(mark edit.Mark, whole bool) {
	k.mu.Lock()
	defer k.mu.Unlock()
	if whole {
		k.sent[mark] = true
	} else {
		delete(k.sent, mark)
	}
}

// owe sends a message that must not be lost.
func (k *socket) owe(m message) {
	k.mu.Lock()
	k.owed = append(k.owed, m)
	k.mu.Unlock()
	k.poke()
}

func (k *socket) pay() error {
	k.mu.Lock()
	owed := k.owed
	k.owed = nil
	k.mu.Unlock()
	for _, m := range owed {
		if err := k.write(m); err != nil {
			return err
		}
	}
	return nil
}

// parted tells why a page cannot go on with the project as it is here: the project
// was made anew, or put back to an earlier state, since the page was opened.
func (k *socket) parted(project string, hello message) (why string, err error) {
	p, err := k.server.store.Project(context.Background(), project)
	if errors.Is(err, store.ErrNotFound) {
		return "This project is no longer here.", nil
	}
	if err != nil {
		return "", err
	}
	if hello.Born != p.Born {
		return "This project was put back to its beginning.", nil
	}
	last, err := k.server.store.Last(context.Background(), project, hello.Since)
	if err != nil && !errors.Is(err, store.ErrNotFound) {
		return "", err
	}
	if hello.Since > p.Head || last != hello.Last {
		return "This project was put back to an earlier state.", nil
	}
	return "", nil
}

// pump is the one writer: it sends new rows in order, messages and pings.
func (k *socket) pump(seq int64) {
	ping := time.NewTicker(pingEvery)
	defer ping.Stop()
	var text []byte
	for {
		select {
		case <-k.done:
			return
		case m := <-k.out:
			if k.write(m) != nil {
				return
			}
		case <-k.wake:
			if k.pay() != nil {
				return
			}
			for {
				rows, err := k.room.after(context.Background(), seq)
				if err != nil {
					logSocket(err)
					return // the page connects anew and asks again
				}
				if len(rows) == 0 {
					break
				}
				if rows[0].seq <= seq {
					rows = rows[min(int64(len(rows)), seq-rows[0].seq+1):]
				}
				if len(rows) == 0 {
					break
				}
				seq = rows[len(rows)-1].seq
				text = k.rows(text[:0], rows)
				_ = k.conn.SetWriteDeadline(time.Now().Add(writeWithin))
				if k.conn.WriteMessage(websocket.TextMessage, text) != nil {
					return
				}
			}
		case <-ping.C:
			if k.conn.WriteControl(websocket.PingMessage, nil, time.Now().Add(writeWithin)) != nil {
				return
			}
		}
	}
}

// rows appends the message of rows, without the steps of edits that this page sent itself.
func (k *socket) rows(text []byte, rows []sentRow) []byte {
	k.mu.Lock()
	defer k.mu.Unlock()
	text = append(text, `{"t":"rows","rows":[`...)
	for i, row := range rows {
		if i > 0 {
			text = append(text, ',')
		}
		if k.sent[row.mark] {
			text = append(text, row.bare...)
			delete(k.sent, row.mark)
		} else {
			text = append(text, row.whole...)
		}
	}
	return append(text, "]}"...)
}

func (k *socket) write(m message) error {
	_ = k.conn.SetWriteDeadline(time.Now().Add(writeWithin))
	return k.conn.WriteJSON(m)
}

func (k *socket) say(m message) {
	select {
	case k.out <- m:
	default: // too slow; rows are never lost this way, they are fetched by number
	}
}

func (k *socket) poke() {
	select {
	case k.wake <- struct{}{}:
	default:
	}
}

// end closes the socket once; the reader and the writer then return.
func (k *socket) end() {
	k.once.Do(func() {
		k.cancel()
		close(k.done)
		_ = k.conn.SetReadDeadline(time.Now())
		_ = k.conn.WriteControl(websocket.CloseMessage, websocket.FormatCloseMessage(websocket.CloseGoingAway, ""), time.Now().Add(time.Second))
	})
}
