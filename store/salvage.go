package store

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"context"
	"errors"
	"fmt"

	"gorm.io/gorm"
	"gorm.io/gorm/clause"
)

// ErrReadable is given when a project is to be restored that can be read well.
var ErrReadable = errors.New("this project can be read: jump back in its history instead")

// Salvage gives of a project that cannot be opened what can be read, and says a
// sentence each about what cannot.
func (l *Log) Salvage(ctx context.Context, project string) (doc *document.Document, seq int64, lost []string, err error) {
	tx := l.store.db.WithContext(ctx)
	var p Project
	if err := found(tx.Select("head").Take(&p, "id = ?", project).Error); err != nil {
		return nil, 0, nil, err
	}
	var shots []Snapshot
	if err := tx.Select("seq").Where("project_id = ?", project).Order("seq DESC").Find(&shots).Error; err != nil {
		return nil, 0, nil, fmt.Errorf("list the snapshots: %w", err)
	}
	for _, s := range shots {
		if err := tx.Take(&s, "project_id = ? AND seq = ?", project, s.Seq).Error; err != nil {
			continue // the one before it is tried
		}
		state, err := cells.Unpack(s.State, maxState)
		if err != nil {
			continue
		}
		if doc, lost, err = document.Salvage(state); err == nil {
			seq = s.Seq
			break
		}
		doc = nil
	}
	if doc == nil {
		return nil, 0, nil, errors.New("nothing of this project can be read")
	}
	for seq < p.Head {
		var row Row
		if err := tx.Omit("revert").Where("project_id = ? AND seq > ?", project, seq).Order("seq").Take(&row).Error; err != nil {
			break
		}
		if e, err := edit.Read(row.Edit); err == nil {
			doc = edit.Apply(doc, e).Doc
		} else {
			lost = append(lost, fmt.Sprintf("edit %d (%s) cannot be read and is left out", row.Seq, row.Label))
		}
		seq = row.Seq
	}
	return doc, p.Head, lost, nil
}

// Restore makes a project that cannot be opened what it was after an edit. What
// came later stays in the log, unread.
func (l *Log) Restore(ctx context.Context, project string, seq int64) error {
	if _, _, err := l.State(ctx, project); err == nil {
		return ErrReadable
	} else if errors.Is(err, ErrNotFound) {
		return err
	}
	then, err := l.StateAt(ctx, project, seq)
	if err != nil {
		return err
	}
	q := l.queue(project)
	q.docMu.Lock()
	defer q.docMu.Unlock()
	q.doc = nil
	return l.store.db.WithContext(ctx).Transaction(func(tx *gorm.DB) error {
		var p Project
		if err := found(tx.Clauses(clause.Locking{Strength: "UPDATE"}).Select("id", "head").Take(&p, "id = ?", project).Error); err != nil {
			return err
		}
		s := Snapshot{ProjectID: project, Seq: p.Head, State: cells.Pack(then.Encode())}
		err := tx.Clauses(clause.OnConflict{UpdateAll: true}).Create(&s).Error
		if err != nil {
			return fmt.Errorf("put a project back: %w", noRoom(err))
		}
		return nil
	})
}
