package store

import (
	"azzel/core/document"
	"context"
	"crypto/sha256"
	"encoding/hex"
	"fmt"

	"gorm.io/gorm"
	"gorm.io/gorm/clause"
)

// SavePicture keeps a normalised PNG and gives its SHA-256 in hexadecimal.
func (s *Store) SavePicture(ctx context.Context, png []byte, width, height int) (string, error) {
	sum := sha256.Sum256(png)
	p := Picture{SHA: hex.EncodeToString(sum[:]), PNG: png, Width: width, Height: height}
	err := s.db.WithContext(ctx).Clauses(clause.OnConflict{DoNothing: true}).Create(&p).Error
	if err != nil {
		return "", fmt.Errorf("store a picture: %w", err)
	}
	return p.SHA, nil
}

// PictureBytes gives a stored PNG.
func (s *Store) PictureBytes(ctx context.Context, sha string) ([]byte, error) {
	var p Picture
	err := s.db.WithContext(ctx).Select("png").Take(&p, "sha = ?", sha).Error
	return p.PNG, found(err)
}

// PictureSizes gives the width and height, in pixels, of stored pictures, as often
// as each is named.
func (s *Store) PictureSizes(ctx context.Context, shas []string) ([][2]int, error) {
	var rows []Picture
	if err := s.db.WithContext(ctx).Select("sha", "width", "height").Where("sha IN ?", shas).Find(&rows).Error; err != nil {
		return nil, fmt.Errorf("measure pictures: %w", err)
	}
	known := map[string][2]int{}
	for _, p := range rows {
		known[p.SHA] = [2]int{p.Width, p.Height}
	}
	out := make([][2]int, len(shas))
	for i, sha := range shas {
		size, ok := known[sha]
		if !ok {
			return nil, ErrNotFound
		}
		out[i] = size
	}
	return out, nil
}

// KeepNumbers has no number up to one be given any more: cells that came with them are called by them.
func (s *Store) KeepNumbers(ctx context.Context, project string, upTo int) error {
	err := s.db.WithContext(ctx).Model(&Project{}).Where("id = ? AND next_tileset <= ?", project, upTo).Update("next_tileset", upTo+1).Error
	if err != nil {
		return fmt.Errorf("keep numbers: %w", err)
	}
	return nil
}

// ReserveNumber gives a number, never given again, that cells of a project call a
// tileset, material or zone by.
func (s *Store) ReserveNumber(ctx context.Context, project string) (int, error) {
	var p Project
	err := s.db.WithContext(ctx).Model(&p).Clauses(clause.Returning{Columns: []clause.Column{{Name: "next_tileset"}}}).
		Where("id = ? AND next_tileset <= ?", project, document.MaxTilesets).
		Update("next_tileset", gorm.Expr("next_tileset + 1")).Error
	if err != nil {
		return 0, fmt.Errorf("reserve a number: %w", err)
	}
	if p.NextTileset == 0 {
		return 0, fmt.Errorf("a project has at most %d tilesets, materials and zones", document.MaxTilesets)
	}
	return p.NextTileset - 1, nil
}
