package store

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"context"
	"fmt"
	"log/slog"

	"gorm.io/gorm"
	"gorm.io/gorm/clause"
)

// upTo gives the document after edit head, from what this process knows, the
// latest snapshot and the log.
func (q *queue) upTo(tx *gorm.DB, p Project) (*document.Document, error) {
	head := p.Head
	if q.born != p.Born || q.seq > head {
		// the project was made anew or put back to an earlier state meanwhile
		q.doc, q.encoded, q.seq, q.born, q.owners = nil, nil, 0, p.Born, map[document.ID]string{}
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
			q.doc, q.encoded, q.seq = edit.Apply(q.doc, e).Doc, nil, r.Seq
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

// Encoded gives a project's document as it is stored and sent, and the number of its
// last edit.
func (l *Log) Encoded(ctx context.Context, project string) ([]byte, int64, error) {
	doc, seq, err := l.State(ctx, project)
	if err != nil {
		return nil, 0, err
	}
	q := l.queue(project)
	q.docMu.Lock()
	encoded, at := q.encoded, q.encodedAt
	q.docMu.Unlock()
	if encoded != nil && at == seq {
		return encoded, seq, nil
	}
	encoded = doc.Encode()
	if len(encoded) <= maxKept {
		q.docMu.Lock()
		if q.seq == seq {
			q.encoded, q.encodedAt = encoded, seq
		}
		q.docMu.Unlock()
	}
	return encoded, seq, nil
}

// maxKept is how large a document may be as it is sent, in bytes, to be kept so.
const maxKept = 32 << 20

// Weight is how many bytes the last whole state of a project takes, as it is stored.
func (s *Store) Weight(ctx context.Context, project string) (size int64, err error) {
	err = s.db.WithContext(ctx).Model(&Snapshot{}).Select("octet_length(state)").Where("project_id = ?", project).Order("seq DESC").Limit(1).Scan(&size).Error
	return size, err
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
