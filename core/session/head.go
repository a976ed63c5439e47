package session

import (
	"azzel/core/author"
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/material"
	"azzel/core/rules"
)

// headMap is a map with its layers but without cells and entities.
type headMap struct {
	*document.Map
	Layers []headLayer `json:"layers"`
	// Background is what is seen in play where nothing is painted.
	Background string `json:"background"`
}

// headLayer is a layer with whether, its group considered, it is shown and can be worked on.
type headLayer struct {
	*document.Layer
	Shown bool `json:"shown"`
	Open  bool `json:"open"`
}

type headRule struct {
	*document.Rule
	Sentence []rules.Word `json:"sentence"`
}

type headTileset struct {
	*document.Tileset
	Columns int `json:"columns"`
	Rows    int `json:"rows"`
}

// headMaterial is a material with how its forms are filled.
type headMaterial struct {
	*document.Material
	Covers []material.Cover `json:"covers"`
	// Sample is a tile that shows what it is.
	Sample cells.Cell `json:"sample"`
}

// materialOf describes a material; what it was before a change is not worked out again.
func (s *Session) materialOf(m *document.Material) headMaterial {
	if h, ok := s.fits.told[m]; ok {
		return h
	}
	h := headMaterial{m, material.Covers(m.Set()), 0}
	for _, t := range m.Tiles {
		if whole := t.Form == material.Whole && t.Odds > 0; h.Sample == 0 || whole {
			h.Sample = t.Cell
			if whole {
				break
			}
		}
	}
	if s.fits.told == nil || len(s.fits.told) > 2*document.MaxMaterials {
		s.fits.told = map[*document.Material]headMaterial{}
	}
	s.fits.told[m] = h
	return h
}

// headMotif is a motif without what it holds.
type headMotif struct {
	ID   document.ID `json:"id"`
	Name string      `json:"name"`
	W    int         `json:"w"`
	H    int         `json:"h"`
}

// head is all of the project but cells and entities.
type head struct {
	Project       *document.Project   `json:"project"`
	Tilesets      []headTileset       `json:"tilesets"`
	Maps          []headMap           `json:"maps"`
	Passages      []*document.Passage `json:"passages"`
	Rules         []headRule          `json:"rules"`
	Flags         []*document.Flag    `json:"flags"`
	Parts         []document.Part     `json:"parts"`
	Grounds       []string            `json:"grounds"`
	PropertyTypes []string            `json:"propertyTypes"`
	Materials     []headMaterial      `json:"materials"`
	MaterialWords any                 `json:"materialWords"`
	Motifs        []headMotif         `json:"motifs"`
	Zones         []*document.Zone    `json:"zones"`
	// ZoneWords and Hatches are what zones can be and look like.
	ZoneWords any      `json:"zoneWords"`
	Hatches   []string `json:"hatches"`
	// Plan is the layers that a new map starts with.
	Plan  []document.PlanLayer `json:"plan"`
	Wires []author.Drawn       `json:"wires"`
	Kinds []*document.Kind     `json:"kinds"`
	// Categories, Transitions and SideWords are what kinds, passages and edges can be.
	Categories  []string `json:"categories"`
	Transitions []string `json:"transitions"`
	SideWords   []string `json:"sideWords"`
	CanUndo     string   `json:"canUndo"`
	CanRedo     string   `json:"canRedo"`
}

func (s *Session) head() head {
	d := s.doc()
	h := head{Project: d.Project, Tilesets: []headTileset{}, Maps: []headMap{}, Rules: []headRule{}, Passages: d.Passages.All(), Flags: d.Flags.All(),
		Parts: document.Parts, Grounds: document.Grounds, PropertyTypes: document.PropertyTypes, Materials: []headMaterial{}, MaterialWords: document.MaterialWords, Motifs: []headMotif{}, Zones: d.ZonesInOrder(), ZoneWords: document.ZoneWords, Hatches: document.Hatches, Plan: d.Project.LayerPlan(),
		Wires: append([]author.Drawn{}, author.Wires(d)...), Kinds: d.KindsInOrder(), Categories: document.Categories, Transitions: document.Transitions, SideWords: document.SideWords, CanUndo: s.replica.CanUndo(), CanRedo: s.replica.CanRedo()}
	for _, t := range d.TilesetsInOrder() {
		columns, rows := t.Cut.Tiles(t.Width, t.Height)
		h.Tilesets = append(h.Tilesets, headTileset{t, columns, rows})
	}
	for _, m := range d.MapsInOrder() {
		layers := []headLayer{}
		for _, l := range m.LayersInOrder() {
			layers = append(layers, headLayer{l, m.Shown(l), m.Open(l)})
		}
		h.Maps = append(h.Maps, headMap{m, layers, d.MapValue(m, "background")})
	}
	for _, m := range d.MaterialsInOrder() {
		h.Materials = append(h.Materials, s.materialOf(m))
	}
	for _, m := range d.MotifsInOrder() {
		h.Motifs = append(h.Motifs, headMotif{m.ID, m.Name, m.W, m.H})
	}
	for _, r := range d.RulesInOrder() {
		h.Rules = append(h.Rules, headRule{r, rules.Sentence(d, r)})
	}
	return h
}
