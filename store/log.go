package store

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"log/slog"
	"strconv"
	"sync"

	"gorm.io/gorm"
	"gorm.io/gorm/clause"
)

const (
	// maxBatch is how many edits are committed together.
	maxBatch = 256
	// snapshotEvery is how many edits lie between snapshots.
	snapshotEvery = 400
	// Channel is where other processes hear of new edits, as "project number".
	Channel  = "azzel_edits"
	maxState = 1 << 30
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
}

// NewLog makes the log of a store.
func NewLog(s *Store) *Log {
	return &Log{store: s, Wake: func(string, int64) {}, projects: map[string]*queue{}}
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
	docMu    sync.Mutex
	doc      *document.Document
	seq      int64
	snapshot int64
}

type job struct {
	person string
	edit   *edit.Edit
	raw    []byte
	answer chan Answer
}

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
		q = &queue{log: l, project: project}
		l.projects[project] = q
	}
	return q
}

// Append stores an edit and gives its answer once it is committed. The same
// edit given again gets its first number. raw is the edit as it came.
func (l *Log) Append(project, person string, e *edit.Edit, raw []byte) <-chan Answer {
	j := job{person, e, raw, make(chan Answer, 1)}
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

// Close waits for the edits that are on their way; later ones are refused.
func (l *Log) Close() {
	l.mu.Lock()
	l.closed = true
	l.mu.Unlock()
	l.work.Wait()
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
		seqs, head, err := q.commit(batch)
		for i, j := range batch {
			if err != nil {
				j.answer <- Answer{Err: err}
			} else {
				j.answer <- Answer{Seq: seqs[i]}
			}
			q.log.work.Done()
		}
		if err == nil {
			q.log.Wake(q.project, head)
		}
	}
}

// commit stores a batch in one transaction under the project's row lock.
func (q *queue) commit(batch []job) (seqs []int64, head int64, err error) {
	q.docMu.Lock()
	defer q.docMu.Unlock()
	doc := q.doc
	seqs = make([]int64, len(batch))
	err = q.log.store.db.WithContext(context.Background()).Transaction(func(tx *gorm.DB) error {
		var p Project
		if err := found(tx.Clauses(clause.Locking{Strength: "UPDATE"}).Select("id", "head", "name").Take(&p, "id = ?", q.project).Error); err != nil {
			return err
		}
		if doc, err = q.upTo(tx, p.Head); err != nil {
			return err
		}
		marks := make([]edit.Mark, len(batch))
		for i, j := range batch {
			marks[i] = j.edit.Mark
		}
		known, err := knownMarks(tx, q.project, marks)
		if err != nil {
			return err
		}
		head = p.Head
		var rows []Row
		for i, j := range batch {
			if seq, ok := known[j.edit.Mark]; ok {
				seqs[i] = seq
				continue
			}
			head++
			res := edit.Apply(doc, j.edit)
			doc = res.Doc
			seqs[i], known[j.edit.Mark] = head, head
			rows = append(rows, rowOf(q.project, head, j, res))
		}
		if len(rows) == 0 {
			return nil
		}
		if err := tx.CreateInBatches(rows, 100).Error; err != nil {
			return fmt.Errorf("store edits: %w", err)
		}
		change := map[string]any{"head": head, "changed_at": gorm.Expr("now()")}
		if doc.Project.Name != p.Name {
			change["name"] = storable(doc.Project.Name)
		}
		if err := tx.Model(&Project{}).Where("id = ?", q.project).Updates(change).Error; err != nil {
			return fmt.Errorf("move the head: %w", err)
		}
		return tx.Exec("SELECT pg_notify(?, ?)", Channel, q.project+" "+strconv.FormatInt(head, 10)).Error
	})
	if err != nil {
		if !errors.Is(err, ErrNotFound) {
			err = fmt.Errorf("the edit could not be stored: %w", err)
		}
		return nil, 0, err
	}
	q.doc, q.seq = doc, head
	q.keepSnapshot()
	return seqs, head, nil
}

func rowOf(project string, seq int64, j job, res edit.Result) Row {
	revert := res.Revert
	if revert == nil {
		revert = []edit.Primitive{}
	}
	r := Row{ProjectID: project, Seq: seq, PersonID: j.person, Client: string(j.edit.Client), Number: j.edit.Number, Format: j.edit.V,
		Kind: j.edit.Label.Kind, Label: storable(j.edit.Label.Text), Tool: storable(j.edit.Label.Tool), Edit: j.raw, Revert: edit.JSON(revert), Changes: len(revert) > 0}
	if of := j.edit.Label.Of; of != nil {
		r.OfClient, r.OfNumber = storable(string(of.Client)), of.Number
	}
	return r
}

func knownMarks(tx *gorm.DB, project string, marks []edit.Mark) (map[edit.Mark]int64, error) {
	pairs := make([][]any, len(marks))
	for i, m := range marks {
		pairs[i] = []any{string(m.Client), m.Number}
	}
	var rows []Row
	err := tx.Select("seq", "client", "number").Where("project_id = ? AND (client, number) IN ?", project, pairs).Find(&rows).Error
	if err != nil {
		return nil, fmt.Errorf("look for repeated edits: %w", err)
	}
	known := map[edit.Mark]int64{}
	for _, r := range rows {
		known[edit.Mark{Client: document.ID(r.Client), Number: r.Number}] = r.Seq
	}
	return known, nil
}

// upTo gives the document after edit head, from what this process knows, the
// latest snapshot and the log.
func (q *queue) upTo(tx *gorm.DB, head int64) (*document.Document, error) {
	if q.doc == nil {
		var s Snapshot
		if err := found(tx.Where("project_id = ?", q.project).Order("seq DESC").Take(&s).Error); err != nil {
			return nil, err
		}
		state, err := cells.Unpack(s.State, maxState)
		if err != nil {
			return nil, fmt.Errorf("read a snapshot: %w", err)
		}
		if q.doc, err = document.Decode(state); err != nil {
			return nil, fmt.Errorf("read a snapshot: %w", err)
		}
		q.seq, q.snapshot = s.Seq, s.Seq
	}
	for q.seq < head {
		rows, err := rowsAfter(tx, q.project, q.seq, 500)
		if err != nil {
			return nil, err
		}
		if len(rows) == 0 {
			return nil, fmt.Errorf("edit %d is missing from the log", q.seq+1)
		}
		for _, r := range rows {
			if r.Seq > head {
				break
			}
			e, err := edit.Decode(r.Edit)
			if err != nil {
				return nil, fmt.Errorf("edit %d of the log: %w", r.Seq, err)
			}
			q.doc, q.seq = edit.Apply(q.doc, e).Doc, r.Seq
		}
	}
	return q.doc, nil
}

// keepSnapshot stores the document now and then, beside the work, so that
// opening a project does not replay its whole log.
func (q *queue) keepSnapshot() {
	if q.seq-q.snapshot < snapshotEvery {
		return
	}
	q.snapshot = q.seq
	s, doc := Snapshot{ProjectID: q.project, Seq: q.seq}, q.doc
	q.log.mu.Lock()
	defer q.log.mu.Unlock()
	if q.log.closed {
		return
	}
	q.log.work.Add(1)
	go func() {
		defer q.log.work.Done()
		s.State = cells.Pack(doc.Encode())
		if err := q.log.store.db.Clauses(clause.OnConflict{DoNothing: true}).Create(&s).Error; err != nil {
			slog.Warn("a snapshot was not stored; the log has everything", "project", s.ProjectID, "error", err)
		}
	}()
}

// State gives a project's document and the number of its last edit.
func (l *Log) State(ctx context.Context, project string) (*document.Document, int64, error) {
	q := l.queue(project)
	q.docMu.Lock()
	defer q.docMu.Unlock()
	tx := l.store.db.WithContext(ctx)
	var p Project
	if err := found(tx.Select("head").Take(&p, "id = ?", project).Error); err != nil {
		return nil, 0, err
	}
	doc, err := q.upTo(tx, p.Head)
	return doc, q.seq, err
}

// StateAt gives a project's document as it was after an edit number.
func (l *Log) StateAt(ctx context.Context, project string, seq int64) (*document.Document, error) {
	tx := l.store.db.WithContext(ctx)
	var p Project
	if err := found(tx.Select("head").Take(&p, "id = ? AND head >= ?", project, seq).Error); err != nil {
		return nil, err
	}
	var s Snapshot
	if err := found(tx.Where("project_id = ? AND seq <= ?", project, seq).Order("seq DESC").Take(&s).Error); err != nil {
		return nil, err
	}
	// a queue of its own, which nobody else appends to
	q := &queue{project: project, log: l}
	state, err := cells.Unpack(s.State, maxState)
	if err != nil {
		return nil, fmt.Errorf("read a snapshot: %w", err)
	}
	if q.doc, err = document.Decode(state); err != nil {
		return nil, fmt.Errorf("read a snapshot: %w", err)
	}
	q.seq, q.snapshot = s.Seq, s.Seq
	return q.upTo(tx, seq)
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
