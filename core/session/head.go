package session

import (
	"azzel/core/author"
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/material"
)

// MapInfo is a map with its layers but without cells and entities.
type MapInfo struct {
	*document.Map
	Layers []LayerInfo `json:"layers"`
	// Background is what is seen in play where nothing is painted.
	Background string `json:"background"`
}

// LayerInfo is a layer with whether, its group considered, it is shown and can be worked on.
type LayerInfo struct {
	*document.Layer
	Shown bool `json:"shown"`
	Open  bool `json:"open"`
}

type TilesetInfo struct {
	*document.Tileset
	Columns int `json:"columns"`
	Rows    int `json:"rows"`
}

// MaterialInfo is a material with how its forms are filled.
type MaterialInfo struct {
	*document.Material
	Covers []material.Cover `json:"covers"`
	// Sample is a tile that shows what it is.
	Sample cells.Cell `json:"sample"`
}

// materialOf describes a material; what it was before a change is not worked out again.
func (s *Session) materialOf(m *document.Material) MaterialInfo {
	if h, ok := s.fits.told[m]; ok {
		return h
	}
	h := MaterialInfo{m, material.Covers(m.Set()), 0}
	for _, t := range m.Tiles {
		if whole := t.Form == material.Whole && t.Odds > 0; h.Sample == 0 || whole {
			h.Sample = t.Cell
			if whole {
				break
			}
		}
	}
	if s.fits.told == nil || len(s.fits.told) > 2*document.MaxMaterials {
		s.fits.told = map[*document.Material]MaterialInfo{}
	}
	s.fits.told[m] = h
	return h
}

// MotifInfo is a motif without what it holds.
type MotifInfo struct {
	ID   document.ID `json:"id"`
	Name string      `json:"name"`
	W    int         `json:"w"`
	H    int         `json:"h"`
}

// Head is all of the project but cells and entities.
type Head struct {
	Project       *document.Project   `json:"project"`
	Tilesets      []TilesetInfo       `json:"tilesets"`
	Maps          []MapInfo           `json:"maps"`
	Passages      []*document.Passage `json:"passages"`
	Rules         []ToldRule          `json:"rules"`
	Flags         []*document.Flag    `json:"flags"`
	Counters      []*document.Counter `json:"counters"`
	Sounds        []*document.Sound   `json:"sounds"`
	Pins          []PinInfo           `json:"pins"`
	Recordings    []RecordingInfo     `json:"recordings"`
	Parts         []document.Part     `json:"parts"`
	Grounds       []string            `json:"grounds"`
	PropertyTypes []string            `json:"propertyTypes"`
	SettingTypes  []string            `json:"settingTypes"`
	// SettingGroups are the headings under which settings of kinds stand, in their order.
	SettingGroups []string `json:"settingGroups"`
	// Poses are what kinds can have pictures of, besides standing and walking.
	Poses []string `json:"poses"`
	// MapProperties are what maps have of the designer's own.
	MapProperties []author.PlainSetting   `json:"mapProperties"`
	Materials     []MaterialInfo          `json:"materials"`
	MaterialWords []document.MaterialWord `json:"materialWords"`
	Motifs        []MotifInfo             `json:"motifs"`
	Zones         []*document.Zone        `json:"zones"`
	// ZoneWords and Hatches are what zones can be and look like.
	ZoneWords []document.ZoneWord `json:"zoneWords"`
	Hatches   []string            `json:"hatches"`
	// Plan is the layers that a new map starts with.
	Plan  []document.PlanLayer `json:"plan"`
	Wires []author.Drawn       `json:"wires"`
	Kinds []author.PlainKind   `json:"kinds"`
	// Categories, Transitions and SideWords are what kinds, passages and edges can be.
	Categories  []string `json:"categories"`
	Transitions []string `json:"transitions"`
	SideWords   []string `json:"sideWords"`
}

func (s *Session) head() Head {
	d := s.doc()
	h := Head{Project: d.Project, Tilesets: []TilesetInfo{}, Maps: []MapInfo{}, Rules: []ToldRule{}, Passages: d.Passages.All(), Flags: d.FlagsByName(), Counters: d.CountersByName(), Sounds: d.SoundsByName(), Pins: []PinInfo{}, Recordings: []RecordingInfo{},
		Parts: document.Parts, Grounds: document.Grounds, PropertyTypes: document.PropertyTypes, SettingTypes: kind.OwnTypes, SettingGroups: kind.Groups(), Poses: kind.Poses, MapProperties: mapProperties(d), Materials: []MaterialInfo{}, MaterialWords: document.MaterialWords, Motifs: []MotifInfo{}, Zones: d.ZonesInOrder(), ZoneWords: document.ZoneWords, Hatches: document.Hatches, Plan: d.Project.LayerPlan(),
		Wires: append([]author.Drawn{}, author.Wires(d)...), Kinds: []author.PlainKind{}, Categories: kind.Categories, Transitions: document.Transitions, SideWords: document.SideWords}
	for _, t := range d.TilesetsInOrder() {
		h.Tilesets = append(h.Tilesets, tilesetInfo(t))
	}
	for _, m := range d.MapsInOrder() {
		h.Maps = append(h.Maps, mapInfo(d, m))
	}
	for _, m := range d.MaterialsInOrder() {
		h.Materials = append(h.Materials, s.materialOf(m))
	}
	for _, m := range d.MotifsInOrder() {
		h.Motifs = append(h.Motifs, motifInfo(m))
	}
	for _, k := range d.KindsInOrder() {
		h.Kinds = append(h.Kinds, author.PlainKindOf(k))
	}
	for _, r := range d.RulesInOrder() {
		h.Rules = append(h.Rules, ruleTold(d, r))
	}
	for _, p := range d.PinsInOrder() {
		h.Pins = append(h.Pins, pinInfo(p))
	}
	for _, r := range d.RecordingsInOrder() {
		h.Recordings = append(h.Recordings, recordingInfo(r))
	}
	s.told = told{entities: s.told.entities}
	_, _ = s.headChange(none{}) // from here on only what differs is told
	return h
}

func tilesetInfo(t *document.Tileset) TilesetInfo {
	columns, rows := t.Cut.Tiles(t.Width, t.Height)
	return TilesetInfo{t, columns, rows}
}

func mapInfo(d *document.Document, m *document.Map) MapInfo {
	layers := []LayerInfo{}
	for _, l := range m.LayersInOrder() {
		layers = append(layers, LayerInfo{l, m.Shown(l), m.Open(l)})
	}
	return MapInfo{m, layers, d.MapValue(m, kind.MapBackground).Word()}
}

func motifInfo(m *document.Motif) MotifInfo { return MotifInfo{m.ID, m.Name, m.W, m.H} }

func init() {
	register(map[string]method{
		"head":         with(func(s *Session, _ none) (Head, error) { return s.head(), nil }),
		"headChange":   with((*Session).headChange),
		"entityChange": with((*Session).entityChange),
	})
}
