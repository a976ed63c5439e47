package store

import (
	"context"
	"crypto/sha256"
	"encoding/hex"
	"fmt"

	"gorm.io/gorm/clause"
)

// SaveSound keeps the file of a sound as it is, with its form and how many milliseconds it lasts, and gives its SHA-256 in hexadecimal.
func (s *Store) SaveSound(ctx context.Context, file []byte, form string, lasts int) (string, error) {
	sum := sha256.Sum256(file)
	o := Sound{SHA: hex.EncodeToString(sum[:]), File: file, Form: form, Lasts: lasts}
	if err := s.db.WithContext(ctx).Clauses(clause.OnConflict{DoNothing: true}).Create(&o).Error; err != nil {
		return "", fmt.Errorf("store a sound: %w", err)
	}
	return o.SHA, nil
}

// SoundFile gives the file of a sound, and its form.
func (s *Store) SoundFile(ctx context.Context, sha string) ([]byte, string, error) {
	var o Sound
	err := s.db.WithContext(ctx).Select("file", "form").Take(&o, "sha = ?", sha).Error
	return o.File, o.Form, found(err)
}
