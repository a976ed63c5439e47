package store

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/upcast"
	"context"
	"fmt"

	"gorm.io/gorm"
	"gorm.io/gorm/clause"
)

// maxRead is how many bytes of edits are read at once; one edit is always read.
const maxRead = 4 << 20

// Rows gives the log of a project after an edit number, oldest first: at most limit
// rows, and no more than a few megabytes of them.
func (s *Store) Rows(ctx context.Context, project string, after int64, limit int) ([]Row, error) {
	return rowsAfter(s.db.WithContext(ctx), project, after, limit)
}

func rowsAfter(db *gorm.DB, project string, after int64, limit int) ([]Row, error) {
	var sizes []struct{ Seq, Size int64 }
	err := db.Model(&Row{}).Select("seq", "octet_length(edit) AS size").Where("project_id = ? AND seq > ?", project, after).
		Order("seq").Limit(limit).Scan(&sizes).Error
	if err != nil {
		return nil, fmt.Errorf("read the log: %w", err)
	}
	if len(sizes) == 0 {
		return nil, nil
	}
	last, sum := sizes[0].Seq, sizes[0].Size
	for _, s := range sizes[1:] {
		if sum += s.Size; sum > maxRead {
			break
		}
		last = s.Seq
	}
	var rows []Row
	err = db.Omit("revert").Where("project_id = ? AND seq > ? AND seq <= ?", project, after, last).Order("seq").Find(&rows).Error
	if err != nil {
		return nil, fmt.Errorf("read the log: %w", err)
	}
	for i := range rows {
		if err := rows[i].upgrade(); err != nil {
			return nil, err
		}
	}
	return rows, nil
}

// upgrade brings what an earlier version stored to the present format.
func (r *Row) upgrade() error {
	if r.Format == edit.Version {
		return nil
	}
	raw, err := upcast.Edit(r.Edit)
	if err != nil {
		return fmt.Errorf("edit %d of the log: %w", r.Seq, err)
	}
	r.Edit, r.Format = raw, edit.Version
	return nil
}

// Edit gives one edit of the log.
func (s *Store) Edit(ctx context.Context, project string, seq int64) (*edit.Edit, error) {
	var row Row
	if err := s.db.WithContext(ctx).Select("edit").Take(&row, "project_id = ? AND seq = ?", project, seq).Error; err != nil {
		return nil, found(err)
	}
	e, err := edit.Read(row.Edit)
	if err != nil {
		return nil, fmt.Errorf("read edit %d: %w", seq, err)
	}
	return e, nil
}

// Revert gives the way back of one edit, as JSON.
func (s *Store) Revert(ctx context.Context, project string, seq int64) ([]byte, error) {
	var row Row
	err := s.db.WithContext(ctx).Select("revert", "format").Take(&row, "project_id = ? AND seq = ?", project, seq).Error
	if err != nil {
		return nil, found(err)
	}
	return upcast.Steps(row.Revert, row.Format)
}

// Last is the mark of the edit with a number, by which a page finds out whether it
// and the log still have the same past; the zero mark for number 0.
func (s *Store) Last(ctx context.Context, project string, seq int64) (edit.Mark, error) {
	if seq == 0 {
		return edit.Mark{}, nil
	}
	var row Row
	err := s.db.WithContext(ctx).Select("client", "number").Take(&row, "project_id = ? AND seq = ?", project, seq).Error
	return edit.Mark{Client: document.ID(row.Client), Number: row.Number}, found(err)
}

// Own gives a page's name in a project to a person, or ErrOwner when it is
// somebody else's.
func (s *Store) Own(ctx context.Context, project string, client document.ID, person string) error {
	return own(s.db.WithContext(ctx), project, client, person)
}

func own(db *gorm.DB, project string, client document.ID, person string) error {
	c := Client{project, string(client), person}
	if err := db.Clauses(clause.OnConflict{DoNothing: true}).Create(&c).Error; err != nil {
		return fmt.Errorf("note whose page this is: %w", noRoom(err))
	}
	if err := db.Take(&c, "project_id = ? AND client = ?", project, string(client)).Error; err != nil {
		return found(err)
	}
	if c.PersonID != person {
		return ErrOwner
	}
	return nil
}

// Stored gives those of some edits that the log holds already.
func (s *Store) Stored(ctx context.Context, project string, marks []edit.Mark) ([]edit.Mark, error) {
	known, err := knownMarks(s.db.WithContext(ctx), project, marks)
	if err != nil {
		return nil, err
	}
	out := []edit.Mark{}
	for _, m := range marks {
		if known[m] > 0 {
			out = append(out, m)
		}
	}
	return out, nil
}
