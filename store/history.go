package store

import (
	"azzel/core/document"
	"azzel/core/edit"
	"context"
	"fmt"
	"time"
)

// Past is one entry of a person's history, without its way back.
type Past struct {
	Mark edit.Mark `json:"mark"`
	Seq  int64     `json:"seq"`
	Text string    `json:"text"`
	Tool string    `json:"tool,omitempty"`
}

// History gives what a person can undo and redo, oldest first, up to an edit number.
func (s *Store) History(ctx context.Context, project, person string, upTo int64) (undo, redo []Past, err error) {
	var rows []Row
	err = s.db.WithContext(ctx).Select("seq", "client", "number", "kind", "of_client", "of_number", "label", "tool").
		Where("project_id = ? AND person_id = ? AND seq <= ? AND changes", project, person, upTo).Order("seq").Find(&rows).Error
	if err != nil {
		return nil, nil, fmt.Errorf("read the history: %w", err)
	}
	undo, redo = []Past{}, []Past{}
	drop := func(stack []Past, r Row) []Past {
		for i := len(stack) - 1; i >= 0; i-- {
			if string(stack[i].Mark.Client) == r.OfClient && stack[i].Mark.Number == r.OfNumber {
				return append(stack[:i], stack[i+1:]...)
			}
		}
		return stack
	}
	for _, r := range rows {
		past := Past{edit.Mark{Client: document.ID(r.Client), Number: r.Number}, r.Seq, r.Label, r.Tool}
		switch r.Kind {
		case edit.Do:
			undo, redo = append(undo, past), redo[:0]
		case edit.Undo:
			undo, redo = drop(undo, r), append(redo, past)
		case edit.Redo:
			undo, redo = append(undo, past), drop(redo, r)
		}
	}
	return undo, redo, nil
}

// Event is one edit of the log as people read it.
type Event struct {
	Seq    int64     `json:"seq"`
	Person string    `json:"person"`
	Name   string    `json:"name"`
	Kind   string    `json:"kind"`
	Text   string    `json:"text"`
	At     time.Time `json:"at"`
}

// Events lists the edits of a project before an edit number, the latest first.
func (s *Store) Events(ctx context.Context, project string, before int64, limit int) ([]Event, error) {
	out := []Event{}
	err := s.db.WithContext(ctx).Table("edits").
		Select("edits.seq, edits.person_id AS person, people.name, edits.kind, edits.label AS text, edits.created_at AS at").
		Joins("JOIN people ON people.id = edits.person_id").
		Where("edits.project_id = ? AND edits.seq < ? AND edits.changes", project, before).
		Order("edits.seq DESC").Limit(limit).Scan(&out).Error
	if err != nil {
		return nil, fmt.Errorf("read the history: %w", err)
	}
	return out, nil
}
