package store

import (
	"azzel/core/document"
	"azzel/core/edit"
	"context"
	"encoding/json"
	"errors"
	"sync"
	"time"
)

const (
	// maxBatch is how many edits are committed together.
	maxBatch = 256
	// snapshotEvery is how many edits lie between snapshots.
	snapshotEvery = 400
	// Channel is where other processes hear of new edits, as "project number".
	Channel  = "azzel_edits"
	maxState = 3 << 29
)

// Log puts edits in order and stores them. Each process has one; the order
// comes from the project's row in the database, so that several agree.
type Log struct {
	store *Store
	// Wake is called with a project and number after each commit of this process.
	Wake func(project string, head int64)

	mu       sync.Mutex
	projects map[string]*queue
	closed   bool
	work     sync.WaitGroup
	// ctx ends what is being stored when stopping has taken too long.
	ctx    context.Context
	cancel context.CancelFunc
}

// NewLog makes the log of a store.
func NewLog(s *Store) *Log {
	l := &Log{store: s, Wake: func(string, int64) {}, projects: map[string]*queue{}}
	l.ctx, l.cancel = context.WithCancel(context.Background())
	return l
}

// queue is the edits of one project on their way in, and the document as this
// process last saw it.
type queue struct {
	log     *Log
	project string

	mu      sync.Mutex
	waiting []job
	busy    bool

	// docMu guards doc and seq, which only the batch being stored changes.
	docMu sync.Mutex
	doc   *document.Document
	seq   int64
	// encoded is the document as it is sent, where somebody opened it after edit
	// encodedAt; the next batch lets go of it.
	encoded   []byte
	encodedAt int64
	snapshot  int64
	owners    map[document.ID]string
	born      string
	used      time.Time
}

type job struct {
	person string
	edit   *edit.Edit
	answer chan Answer
}

// Refusal is a sentence that says why an edit was not put into the log; it comes
// again however often the edit is sent.
type Refusal struct{ error }

// Unwrap gives the reason itself.
func (r Refusal) Unwrap() error { return r.error }

// Answer is what became of an edit: its number in the log, or why not.
type Answer struct {
	Seq int64
	Err error
}

// ErrClosed is given for edits that come while the process stops.
var ErrClosed = errors.New("the server is stopping: the edit is kept in your browser")

func (l *Log) queue(project string) *queue {
	l.mu.Lock()
	defer l.mu.Unlock()
	q := l.projects[project]
	if q == nil {
		q = &queue{log: l, project: project, owners: map[document.ID]string{}}
		l.projects[project] = q
	}
	q.used = time.Now()
	return q
}

// Tidy lets go of the documents that nobody asked for since a time; the database
// has them.
func (l *Log) Tidy(since time.Time) {
	l.mu.Lock()
	defer l.mu.Unlock()
	for id, q := range l.projects {
		q.mu.Lock()
		if !q.busy && q.used.Before(since) {
			delete(l.projects, id)
		}
		q.mu.Unlock()
	}
}

// Use notes that a project is in use.
func (l *Log) Use(project string) {
	l.mu.Lock()
	defer l.mu.Unlock()
	if q := l.projects[project]; q != nil {
		q.used = time.Now()
	}
}

// Held is how many projects this process keeps in memory.
func (l *Log) Held() int {
	l.mu.Lock()
	defer l.mu.Unlock()
	return len(l.projects)
}

// Append stores an edit and gives its answer once it is committed. The same
// edit given again gets its first number.
func (l *Log) Append(project, person string, e *edit.Edit) <-chan Answer {
	j := job{person, e, make(chan Answer, 1)}
	l.mu.Lock()
	if l.closed {
		l.mu.Unlock()
		j.answer <- Answer{Err: ErrClosed}
		return j.answer
	}
	l.work.Add(1)
	l.mu.Unlock()
	q := l.queue(project)
	q.mu.Lock()
	defer q.mu.Unlock()
	q.waiting = append(q.waiting, j)
	if !q.busy {
		q.busy = true
		go q.work()
	}
	return j.answer
}

// closeWithin is how long what is being stored may still take.
const closeWithin = 1500 * time.Millisecond

// Close stores the batches that are begun; edits behind them, and later ones, are
// refused: their pages keep them. It ends within closeWithin, whatever is queued.
func (l *Log) Close() {
	l.mu.Lock()
	l.closed = true
	l.mu.Unlock()
	late := time.AfterFunc(closeWithin, l.cancel)
	defer late.Stop()
	l.work.Wait()
	l.cancel()
}

func (l *Log) closing() bool {
	l.mu.Lock()
	defer l.mu.Unlock()
	return l.closed
}

func (q *queue) work() {
	for {
		q.mu.Lock()
		n := min(len(q.waiting), maxBatch)
		if n == 0 {
			q.busy = false
			q.mu.Unlock()
			return
		}
		batch := append([]job(nil), q.waiting[:n]...)
		q.waiting = append(q.waiting[:0], q.waiting[n:]...)
		q.mu.Unlock()
		answers, head, err := make([]Answer, n), int64(0), ErrClosed
		if !q.log.closing() {
			answers, head, err = q.commit(batch)
		}
		for i, j := range batch {
			if err != nil {
				j.answer <- Answer{Err: err}
			} else {
				j.answer <- answers[i]
			}
			q.log.work.Done()
		}
		if err == nil {
			q.log.Wake(q.project, head)
		}
	}
}

// LogRow is a row as it is sent to designers.
type LogRow struct {
	Seq    int64           `json:"seq"`
	Person string          `json:"person"`
	Mark   edit.Mark       `json:"mark"`
	Edit   json.RawMessage `json:"edit,omitempty"`
}

// Sent gives the form in which a row is sent.
func (r Row) Sent() LogRow {
	return LogRow{r.Seq, r.PersonID, edit.Mark{Client: document.ID(r.Client), Number: r.Number}, r.Edit}
}
