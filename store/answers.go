package store

import (
	"context"
	"errors"
	"fmt"
	"time"

	"gorm.io/gorm/clause"
)

const (
	// keptFor is how long an answer is kept.
	keptFor = 30 * 24 * time.Hour
	// largestAnswer is how many bytes one has at the most that is kept.
	largestAnswer = 4 << 20
)

// KeepAnswer keeps what was found out of a project, by the project's hash and what was asked; old ones are let go of.
func (s *Store) KeepAnswer(ctx context.Context, hash, question string, answer []byte) error {
	if len(answer) > largestAnswer {
		return nil // it is found out again
	}
	db := s.db.WithContext(ctx)
	if err := db.Where("created_at < ?", time.Now().Add(-keptFor)).Delete(&Found{}).Error; err != nil {
		return fmt.Errorf("let go of old answers: %w", err)
	}
	o := Found{Hash: hash, Question: question, Answer: answer}
	if err := db.Clauses(clause.OnConflict{DoNothing: true}).Create(&o).Error; err != nil {
		return fmt.Errorf("keep an answer: %w", err)
	}
	return nil
}

// KnownAnswer gives what was found out of a project with a hash; nil for nothing yet.
func (s *Store) KnownAnswer(ctx context.Context, hash, question string) ([]byte, error) {
	var o Found
	err := found(s.db.WithContext(ctx).Select("answer").Take(&o, "hash = ? AND question = ?", hash, question).Error)
	if errors.Is(err, ErrNotFound) {
		return nil, nil
	}
	return o.Answer, err
}
