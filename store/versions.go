package store

import (
	"context"
	"errors"
	"fmt"
	"time"

	"gorm.io/gorm"
	"gorm.io/gorm/clause"
)

// MaxVersions is how many versions of a project can have a name.
const MaxVersions = 500

// ErrVersions tells that so many versions have names already.
var ErrVersions = errors.New("500 versions of this project have names: remove one that is not needed any more")

// Version is a moment of a project that somebody gave a name: as it was after an edit.
type Version struct {
	ID        string    `gorm:"primaryKey" json:"id"`
	ProjectID string    `json:"-"`
	Seq       int64     `json:"seq"`
	Name      string    `json:"name"`
	PersonID  string    `json:"person"`
	CreatedAt time.Time `gorm:"default:now()" json:"-"`
}

// NamedVersion is a version as people read it: who named it, and when the project was as it was then.
type NamedVersion struct {
	Version
	By string    `json:"by"`
	At time.Time `json:"at"`
}

// Versions lists a project's, the latest first.
func (s *Store) Versions(ctx context.Context, project string) ([]NamedVersion, error) {
	out := []NamedVersion{}
	err := s.db.WithContext(ctx).Table("versions").
		Select("versions.*, people.name AS by, coalesce(edits.created_at, projects.created_at) AS at").
		Joins("JOIN people ON people.id = versions.person_id").
		Joins("JOIN projects ON projects.id = versions.project_id").
		Joins("LEFT JOIN edits ON edits.project_id = versions.project_id AND edits.seq = versions.seq").
		Where("versions.project_id = ?", project).Order("versions.seq DESC, versions.created_at DESC, versions.id").Scan(&out).Error
	if err != nil {
		return nil, fmt.Errorf("read the versions: %w", err)
	}
	return out, nil
}

// NameVersion gives a moment of a project a name. It is an error where no edit has its number, or too many have names.
func (s *Store) NameVersion(ctx context.Context, v Version) error {
	v.Name = storable(v.Name)
	return s.db.WithContext(ctx).Transaction(func(tx *gorm.DB) error {
		var p Project
		// two at once count one after the other
		if err := tx.Clauses(clause.Locking{Strength: "UPDATE"}).Take(&p, "id = ?", v.ProjectID).Error; err != nil {
			return found(err)
		}
		if v.Seq < 0 || v.Seq > p.Head {
			return ErrNotFound
		}
		var n int64
		if err := tx.Model(&Version{}).Where("project_id = ?", v.ProjectID).Count(&n).Error; err != nil {
			return fmt.Errorf("count the versions: %w", err)
		}
		if n >= MaxVersions {
			return ErrVersions
		}
		if err := tx.Create(&v).Error; err != nil {
			return fmt.Errorf("name a version: %w", err)
		}
		return nil
	})
}

// RenameVersion gives a version another name.
func (s *Store) RenameVersion(ctx context.Context, project, id, name string) error {
	return one(s.db.WithContext(ctx).Model(&Version{}).Where("project_id = ? AND id = ?", project, id).UpdateColumn("name", storable(name)))
}

// ForgetVersion takes a version's name away; the project's history keeps what it was.
func (s *Store) ForgetVersion(ctx context.Context, project, id string) error {
	return one(s.db.WithContext(ctx).Where("project_id = ? AND id = ?", project, id).Delete(&Version{}))
}

// one is an error where nothing was written.
func one(res *gorm.DB) error {
	if res.Error == nil && res.RowsAffected == 0 {
		return ErrNotFound
	}
	return res.Error
}
