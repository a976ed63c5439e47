package session

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/grid"
	"errors"
)

func init() {
	if !designs {
		return
	}
	register(map[string]method{
		"pulling": with(func(s *Session, w author.Pull) (author.Pulled, error) { return author.Pulling(s.doc(), w) }),
		"snapMove": with(func(s *Session, a struct {
			Map  document.ID `json:"map"`
			By   grid.Point  `json:"by"`
			Snap int         `json:"snap"`
		}) (grid.Point, error) {
			m, err := s.mapOf(a.Map)
			if err != nil {
				return grid.Point{}, err
			}
			return author.SnapMove(m, a.Snap, a.By), nil
		}),
		"sidePulled": with(func(s *Session, a struct {
			Map  document.ID     `json:"map"`
			Side document.Facing `json:"side"`
			To   grid.Point      `json:"to"`
		}) (grid.Rect, error) {
			m, err := s.mapOf(a.Map)
			if err != nil {
				return grid.Rect{}, err
			}
			return author.SidePulled(m, a.Side, a.To), nil
		}),
		"linePulled": with(func(_ *Session, a struct {
			At   int `json:"at"`
			Cell int `json:"cell"`
		}) (int, error) {
			if a.Cell < 1 {
				return 0, errors.New("a cell is at least a pixel wide and high")
			}
			return author.LinePulled(a.At, a.Cell), nil
		}),
	})
}
