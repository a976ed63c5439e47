package store

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"cmp"
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"log/slog"
	"strconv"
	"sync"
	"time"

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
	docMu    sync.Mutex
	doc      *document.Document
	seq      int64
	snapshot int64
	owners   map[document.ID]string
	born     string
	used     time.Time
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

// commit stores a batch in one transaction under the project's row lock.
func (q *queue) commit(batch []job) (answers []Answer, head int64, err error) {
	q.docMu.Lock()
	defer q.docMu.Unlock()
	doc := q.doc
	answers = make([]Answer, len(batch))
	err = q.log.store.db.WithContext(q.log.ctx).Transaction(func(tx *gorm.DB) error {
		var p Project
		if err := found(tx.Clauses(clause.Locking{Strength: "UPDATE"}).Select("id", "head", "name", "born").Take(&p, "id = ?", q.project).Error); err != nil {
			return err
		}
		if doc, err = q.upTo(tx, p); err != nil {
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
			if err := q.owned(tx, j); errors.Is(err, ErrOwner) {
				answers[i].Err = Refusal{err}
				continue
			} else if err != nil {
				return err
			}
			if seq, ok := known[j.edit.Mark]; ok {
				answers[i].Seq = seq
				continue
			}
			if len(j.edit.Do) == 0 {
				if j.edit, err = q.filled(tx, j); errors.Is(err, ErrNotFound) {
					answers[i].Err = Refusal{errors.New("what is to be turned back is not in the log")}
					continue
				} else if err != nil {
					return err
				}
			}
			res := edit.Apply(doc, j.edit)
			if err := cmp.Or(edit.Verify(j.edit, res), edit.Fits(res)); err != nil {
				answers[i].Err = Refusal{err}
				continue
			}
			head++
			doc = res.Doc
			answers[i].Seq, known[j.edit.Mark] = head, head
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
			err = fmt.Errorf("the edit could not be stored: %w", noRoom(err))
		}
		q.owners = map[document.ID]string{} // what was noted in this transaction is not
		return nil, 0, err
	}
	q.doc, q.seq = doc, head
	q.keepSnapshot()
	return answers, head, nil
}

// filled is an undo that was sent without its steps, with the stored inverse of the
// edit that it names.
func (q *queue) filled(tx *gorm.DB, j job) (*edit.Edit, error) {
	var row Row
	of := j.edit.Label.Of
	err := tx.Select("revert", "format").Take(&row, "project_id = ? AND client = ? AND number = ? AND person_id = ?", q.project, string(of.Client), of.Number, j.person).Error
	if err != nil {
		return nil, found(err)
	}
	do, err := edit.ReadSteps(row.Revert, row.Format)
	if err != nil {
		return nil, fmt.Errorf("read an inverse: %w", err)
	}
	return &edit.Edit{V: edit.Version, Mark: j.edit.Mark, Label: j.edit.Label, Do: do}, nil
}

// owned finds whether an edit bears the name of a page of the person who sent it.
func (q *queue) owned(tx *gorm.DB, j job) error {
	if owner, ok := q.owners[j.edit.Client]; ok {
		if owner != j.person {
			return ErrOwner
		}
		return nil
	}
	if err := own(tx, q.project, j.edit.Client, j.person); err != nil {
		return err
	}
	q.owners[j.edit.Client] = j.person
	return nil
}

func rowOf(project string, seq int64, j job, res edit.Result) Row {
	revert := res.Revert
	if revert == nil {
		revert = []edit.Primitive{}
	}
	r := Row{ProjectID: project, Seq: seq, PersonID: j.person, Client: string(j.edit.Client), Number: j.edit.Number, Format: j.edit.V,
		Kind: j.edit.Label.Kind, Label: storable(j.edit.Label.Text), Tool: storable(j.edit.Label.Tool), Edit: j.edit.Text(), Revert: edit.JSON(revert), Changes: len(revert) > 0}
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
func (q *queue) upTo(tx *gorm.DB, p Project) (*document.Document, error) {
	head := p.Head
	if q.born != p.Born || q.seq > head {
		// the project was made anew or put back to an earlier state meanwhile
		q.doc, q.seq, q.born, q.owners = nil, 0, p.Born, map[document.ID]string{}
	}
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
			e, err := edit.Read(r.Edit)
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
	if err := found(tx.Select("head", "born").Take(&p, "id = ?", project).Error); err != nil {
		return nil, 0, err
	}
	doc, err := q.upTo(tx, p)
	return doc, q.seq, err
}

// StateAt gives a project's document as it was after an edit number.
func (l *Log) StateAt(ctx context.Context, project string, seq int64) (*document.Document, error) {
	tx := l.store.db.WithContext(ctx)
	var p Project
	if err := found(tx.Select("head", "born").Take(&p, "id = ? AND head >= ?", project, seq).Error); err != nil {
		return nil, err
	}
	var s Snapshot
	if err := found(tx.Where("project_id = ? AND seq <= ?", project, seq).Order("seq DESC").Take(&s).Error); err != nil {
		return nil, err
	}
	// a queue of its own, which nobody else appends to
	q := &queue{project: project, log: l, born: p.Born}
	state, err := cells.Unpack(s.State, maxState)
	if err != nil {
		return nil, fmt.Errorf("read a snapshot: %w", err)
	}
	if q.doc, err = document.Decode(state); err != nil {
		return nil, fmt.Errorf("read a snapshot: %w", err)
	}
	q.seq, q.snapshot = s.Seq, s.Seq
	p.Head = seq
	return q.upTo(tx, p)
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
