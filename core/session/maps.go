package session

import (
	"azzel/core/author"
	"azzel/core/document"
	"errors"
)

func init() {
	if !designs {
		return
	}
	register(map[string]method{
		"newMap": authored(func(d *document.Document, a struct {
			Name string `json:"name"`
			W    int    `json:"w"`
			H    int    `json:"h"`
			// Seen is “above” or “side”; empty is as the project's maps are.
			Seen string `json:"seen,omitempty"`
		}) (author.Change, error) {
			return author.NewMapSeen(d, a.Name, a.W, a.H, a.Seen)
		}),
		"lossOf":   with((*Session).lossOf),
		"crop":     with((*Session).crop),
		"exchange": with((*Session).exchange),
		"resize": authored(func(d *document.Document, a boundsArgs) (author.Change, error) {
			return onMap(d, a.Map, func(m *document.Map) (author.Change, error) { return author.Resize(m, a.Bounds) })
		}),
		"shift": authored(func(d *document.Document, a struct {
			Map  document.ID `json:"map"`
			DX   int         `json:"dx"`
			DY   int         `json:"dy"`
			Wrap bool        `json:"wrap"`
		}) (author.Change, error) {
			return onMap(d, a.Map, func(m *document.Map) (author.Change, error) { return author.Shift(d, m, a.DX, a.DY, a.Wrap) })
		}),
		"setCellSize": authored(func(d *document.Document, a struct {
			Map document.ID `json:"map"`
			W   int         `json:"w"`
			H   int         `json:"h"`
		}) (author.Change, error) {
			return onMap(d, a.Map, func(m *document.Map) (author.Change, error) { return author.SetCellSize(m, a.W, a.H) })
		}),
		"setGrid": authored(func(d *document.Document, a struct {
			Map  document.ID `json:"map"`
			Grid string      `json:"grid"`
		}) (author.Change, error) {
			return onMap(d, a.Map, func(m *document.Map) (author.Change, error) { return author.SetGrid(m, a.Grid) })
		}),
		"oddLayers": with(func(s *Session, a mapArgs) ([]document.ID, error) {
			m, err := s.mapOf(a.Map)
			if err != nil {
				return nil, err
			}
			return author.OddLayers(s.doc(), m), nil
		}),
		"planOf": authored(func(d *document.Document, a mapArgs) (author.Change, error) {
			return onMap(d, a.Map, author.PlanOf)
		}),
		"clear": authored(func(d *document.Document, a struct {
			Map   document.ID `json:"map"`
			Layer document.ID `json:"layer"`
		}) (author.Change, error) {
			return onMap(d, a.Map, func(m *document.Map) (author.Change, error) { return author.Clear(d, m, a.Layer) })
		}),
		"removeMap": authored(func(d *document.Document, a mapArgs) (author.Change, error) {
			return onMap(d, a.Map, func(m *document.Map) (author.Change, error) { return author.RemoveMap(d, m), nil })
		}),
		"addLayer": authored(func(d *document.Document, a struct {
			Map   document.ID `json:"map"`
			Kind  string      `json:"kind"`
			Above document.ID `json:"above"`
		}) (author.Change, error) {
			return onMap(d, a.Map, func(m *document.Map) (author.Change, error) { return author.AddLayer(m, a.Kind, a.Above) })
		}),
		"moveLayer": authored(func(d *document.Document, a struct {
			Map document.ID `json:"map"`
			ID  document.ID `json:"id"`
			To  int         `json:"to"`
		}) (author.Change, error) {
			return onMap(d, a.Map, func(m *document.Map) (author.Change, error) { return author.MoveLayer(m, a.ID, a.To) })
		}),
		"moveSheet": authored(func(d *document.Document, a struct {
			Map document.ID `json:"map"`
			ID  document.ID `json:"id"`
			Lag int         `json:"lag"`
		}) (author.Change, error) {
			return onMap(d, a.Map, func(m *document.Map) (author.Change, error) { return author.MoveSheet(m, a.ID, a.Lag) })
		}),
		"addPictureLayer": authored(func(d *document.Document, a struct {
			Map   document.ID         `json:"map"`
			Name  string              `json:"name"`
			Image document.LayerImage `json:"image"`
			Above document.ID         `json:"above"`
		}) (author.Change, error) {
			return onMap(d, a.Map, func(m *document.Map) (author.Change, error) {
				return author.AddPictureLayer(m, a.Name, a.Image, a.Above)
			})
		}),
		"groupLayer": onLayer(func(_ *document.Document, m *document.Map, id document.ID) (author.Change, error) {
			return author.GroupLayers(m, id)
		}),
		"duplicateLayer": onLayer(func(_ *document.Document, m *document.Map, id document.ID) (author.Change, error) {
			return author.DuplicateLayer(m, id)
		}),
		"mergeDown": onLayer(func(_ *document.Document, m *document.Map, id document.ID) (author.Change, error) {
			return author.MergeDown(m, id)
		}),
		"removeLayer": onLayer(author.RemoveLayer),
		"zoneAreas": with(func(s *Session, a mapArgs) ([]author.GuideArea, error) {
			m, err := s.mapOf(a.Map)
			if err != nil {
				return nil, err
			}
			return author.ZoneAreas(s.doc(), m), nil
		}),
	})
}

func onMap(d *document.Document, id document.ID, f func(*document.Map) (author.Change, error)) (author.Change, error) {
	m := d.Maps.Get(id)
	if m == nil {
		return author.Change{}, errors.New("the map is no longer there")
	}
	return f(m)
}

// onLayer makes a method from a function about one layer of a map.
func onLayer(f func(*document.Document, *document.Map, document.ID) (author.Change, error)) method {
	return authored(func(d *document.Document, a struct {
		Map document.ID `json:"map"`
		ID  document.ID `json:"id"`
	}) (author.Change, error) {
		return onMap(d, a.Map, func(m *document.Map) (author.Change, error) { return f(d, m, a.ID) })
	})
}
