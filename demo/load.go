package demo

import (
	"azzel/core/document"
	"azzel/store"
	"bytes"
	"context"
	"errors"
	"fmt"
	"image/png"
)

// ProjectID is the demo project's own id, so that a later start finds it.
const ProjectID = document.ID("saltworkslow")

// Load stores the demo project unless it is there; fresh puts it back as it was.
func Load(ctx context.Context, s *store.Store, fresh bool) error {
	_, err := s.Project(ctx, string(ProjectID))
	if err == nil && !fresh {
		return nil
	}
	if err != nil && !errors.Is(err, store.ErrNotFound) {
		return err
	}
	if err == nil {
		if err := s.RemoveProject(ctx, string(ProjectID)); err != nil {
			return fmt.Errorf("put the demo back: %w", err)
		}
	}
	sheet := Coast()
	var out bytes.Buffer
	if err := png.Encode(&out, sheet.Picture); err != nil {
		return fmt.Errorf("draw the demo: %w", err)
	}
	b := sheet.Picture.Bounds()
	sha, err := s.SavePicture(ctx, out.Bytes(), b.Dx(), b.Dy())
	if err != nil {
		return err
	}
	if _, err := s.SaveSound(ctx, Horn(), HornForm, HornLasts); err != nil {
		return err
	}
	owner, _, err := s.NewPerson(ctx, "Warden")
	if err != nil {
		return err
	}
	_, err = s.NewProject(ctx, ProjectID, Project(sheet, sha), owner.ID)
	return err
}
