package session

import (
	"azzel/core/author"
	"azzel/core/cut"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/hand"
	"azzel/core/material"
	"errors"
)

// gripArgs are about what is held.
type gripArgs struct {
	Grip hand.Grip `json:"grip"`
}

// Solidity says how many tiles a grip puts down, and how many of them are solid.
type Solidity struct {
	Tiles int `json:"tiles"`
	Solid int `json:"solid"`
}

func init() {
	register(map[string]method{
		"solids": with((*Session).merged),
		"grounds": with(func(s *Session, a mapArgs) ([]document.Ground, error) {
			m, err := s.mapOf(a.Map)
			if err != nil {
				return nil, err
			}
			all := s.ground().Grounds(m)
			return all[:min(len(all), maxGhostSpans)], nil
		}),
	})
	if !designs {
		return
	}
	register(map[string]method{
		"cut": with(cutOf),
		"cutDragged": with(func(_ *Session, a struct {
			Tile   grid.Rect `json:"tile"`
			Width  int       `json:"width"`
			Height int       `json:"height"`
		}) (document.Cut, error) {
			return cut.Dragged(a.Tile, a.Width, a.Height)
		}),
		"setStarter":  authored(author.Starter),
		"addZone":     authored(author.AddZone),
		"addMaterial": authored(author.AddMaterial),
		"markMaterial": authored(func(d *document.Document, a struct {
			ID    document.ID     `json:"id"`
			Tiles []material.Tile `json:"tiles"`
			// By is what its edges are found to follow; empty leaves it.
			By string `json:"by"`
		}) (author.Change, error) {
			m := d.Materials.Get(a.ID)
			if m == nil {
				return author.Change{}, errors.New("the material is no longer there")
			}
			return author.MarkMaterial(m, a.Tiles, a.By)
		}),
		"setBeside": authored(func(d *document.Document, a struct {
			ID     document.ID `json:"id"`
			Beside int         `json:"beside"`
		}) (author.Change, error) {
			return author.SetBeside(d, a.ID, a.Beside)
		}),
		"addTileset": authored(author.AddTileset),
		"markSolid": authored(func(d *document.Document, a struct {
			ID    document.ID `json:"id"`
			Tiles []int       `json:"tiles"`
			Solid bool        `json:"solid"`
		}) (author.Change, error) {
			return onTileset(d, a.ID, func(t *document.Tileset) (author.Change, error) { return author.MarkSolid(t, a.Tiles, a.Solid) })
		}),
		"solidity": with(func(s *Session, a gripArgs) (Solidity, error) {
			tiles, solid := author.Solidity(s.doc(), &a.Grip)
			return Solidity{tiles, solid}, nil
		}),
		"makeSolid": authored(func(d *document.Document, a struct {
			Grip  hand.Grip `json:"grip"`
			Solid bool      `json:"solid"`
		}) (author.Change, error) {
			return author.MakeSolid(d, &a.Grip, a.Solid)
		}),
		"markTiles": authored(func(d *document.Document, a struct {
			ID    document.ID     `json:"id"`
			Tiles []int           `json:"tiles"`
			Mark  author.TileMark `json:"mark"`
		}) (author.Change, error) {
			return onTileset(d, a.ID, func(t *document.Tileset) (author.Change, error) { return author.MarkTiles(t, a.Tiles, a.Mark) })
		}),
		"setProperties": authored(func(d *document.Document, a struct {
			ID         document.ID         `json:"id"`
			Properties []document.Property `json:"properties"`
		}) (author.Change, error) {
			return onTileset(d, a.ID, func(t *document.Tileset) (author.Change, error) { return author.SetProperties(t, a.Properties) })
		}),
		"setZoneProperties": authored(func(d *document.Document, a struct {
			ID         document.ID         `json:"id"`
			Properties []document.Property `json:"properties"`
		}) (author.Change, error) {
			return author.SetZoneProperties(d, a.ID, a.Properties)
		}),
		"setPartners": authored(func(d *document.Document, a struct {
			ID    document.ID `json:"id"`
			Pairs [][2]int    `json:"pairs"`
		}) (author.Change, error) {
			return onTileset(d, a.ID, func(t *document.Tileset) (author.Change, error) { return author.SetPartners(t, a.Pairs) })
		}),
		"recut": authored(func(d *document.Document, a struct {
			ID    document.ID  `json:"id"`
			Recut author.Recut `json:"recut"`
		}) (author.Change, error) {
			return onTileset(d, a.ID, func(t *document.Tileset) (author.Change, error) { return author.RecutTileset(d, t, a.Recut) })
		}),
		"changesBy": with(func(s *Session, a struct {
			ID    document.ID `json:"id"`
			Match []int       `json:"match"`
		}) (author.Changes, error) {
			t := s.doc().Tilesets.Get(a.ID)
			if t == nil {
				return author.Changes{}, errors.New("the tileset is no longer there")
			}
			return author.ChangesBy(s.doc(), t, a.Match), nil
		}),
	})
}

func onTileset(d *document.Document, id document.ID, f func(*document.Tileset) (author.Change, error)) (author.Change, error) {
	t := d.Tilesets.Get(id)
	if t == nil {
		return author.Change{}, errors.New("the tileset is no longer there")
	}
	return f(t)
}

// CutUp is what a cut makes of a picture: tiles, and pixels that are left over.
type CutUp struct {
	Columns int `json:"columns"`
	Rows    int `json:"rows"`
	Right   int `json:"right"`
	Bottom  int `json:"bottom"`
}

// cutOf tells what a cut makes of a picture, or what is wrong with it.
func cutOf(_ *Session, a struct {
	Cut    document.Cut `json:"cut"`
	Width  int          `json:"width"`
	Height int          `json:"height"`
}) (zero CutUp, err error) {
	if err := a.Cut.Check(a.Width, a.Height); err != nil {
		return zero, err
	}
	columns, rows := a.Cut.Tiles(a.Width, a.Height)
	right, bottom := a.Cut.Unused(a.Width, a.Height)
	return CutUp{columns, rows, right, bottom}, nil
}
