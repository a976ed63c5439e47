package session

import (
	"azzel/core/author"
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/hand"
	"azzel/core/material"
	"azzel/core/replica"
	"azzel/core/rules"
	"encoding/json"
	"errors"
	"maps"
)

type none struct{}

type setArgs struct {
	Ref   edit.Ref        `json:"ref"`
	Field string          `json:"field"`
	Value json.RawMessage `json:"value"`
	Text  string          `json:"text"`
}

type mapArgs struct {
	Map document.ID `json:"map"`
}

type entitiesArgs struct {
	Map document.ID   `json:"map"`
	IDs []document.ID `json:"ids"`
	DX  int           `json:"dx"`
	DY  int           `json:"dy"`
}

type copyArgs struct {
	// Entities are copied onto Map; they may come from another map or tab.
	Map      document.ID        `json:"map"`
	Entities []*document.Entity `json:"entities"`
	DX       int                `json:"dx"`
	DY       int                `json:"dy"`
}

type pointArgs struct {
	Map    document.ID `json:"map"`
	Active document.ID `json:"active"`
	At     grid.Point  `json:"at"`
}

// methods is everything that the interface can ask for; each file adds its own.
var methods = map[string]method{}

func register(more map[string]method) { maps.Copy(methods, more) }

func init() {
	register(map[string]method{
		"head":     with(func(s *Session, _ none) (any, error) { return s.head(), nil }),
		"entities": with((*Session).entities),
		"history":  with((*Session).history),
		"adopt":    with((*Session).adopt),
		"pending":  with(func(s *Session, _ none) (any, error) { return s.replica.Pending(), nil }),
		"receive":  with((*Session).receive),
		"refuse":   with((*Session).refuse),
		"undo":     with(func(s *Session, _ none) (any, error) { return s.turnBack(s.replica.Undo) }),
		"redo":     with(func(s *Session, _ none) (any, error) { return s.turnBack(s.replica.Redo) }),
		"supply":   with((*Session).supply),
		"turnBackHere": with(func(s *Session, a mapArgs) (any, error) {
			r := s.within(a.Map)
			if r == nil {
				return nil, errors.New("select the cells that are turned back first")
			}
			return s.turnBack(func() (*edit.Edit, edit.Result, error) { return s.replica.TurnBackHere(a.Map, r) })
		}),
		"under":   with((*Session).under),
		"set":     with((*Session).set),
		"remove":  with((*Session).remove),
		"preview": with((*Session).preview),
		"press":   with((*Session).press),
		"choices": with((*Session).choices),

		"select":        with((*Session).sel),
		"previewSelect": with((*Session).previewSelect),
		"selectAll":     with((*Session).selectAll),
		"selection":     with((*Session).selection),
		"deselect":      with((*Session).deselect),
		"moveArea":      with((*Session).moveArea),
		"turnArea":      with((*Session).turnArea),
		"emptyArea":     with((*Session).emptyArea),
		"liftArea":      with((*Session).liftArea),
		"adoptPiece":    with((*Session).adoptPiece),
		"keepSelected":  with((*Session).keepSelected),
		"motifOf":       with((*Session).motifOf),
		"sketch":        with((*Session).sketch),
		"addMotif":      with((*Session).addMotif),
		"placings":      with((*Session).placings),
		"replaceMotif":  with((*Session).replaceMotif),

		"pickUp":     with((*Session).pickUp),
		"target":     with((*Session).target),
		"checkPlace": with((*Session).checkPlace),
		"cut":        with(cutOf),
		"play":       with((*Session).play),
		"playAt":     with((*Session).playAt),
		"step":       with((*Session).step),
		"stop":       with((*Session).stop),
		"warning":    with((*Session).warning),

		"newMap": authored(func(d *document.Document, a struct {
			Name string `json:"name"`
			W    int    `json:"w"`
			H    int    `json:"h"`
		}) (author.Change, error) {
			return author.NewMap(d, a.Name, a.W, a.H)
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
			return onMap(d, a.Map, func(m *document.Map) (author.Change, error) { return author.Shift(m, a.DX, a.DY, a.Wrap) })
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
		"oddLayers": with(func(s *Session, a mapArgs) (any, error) {
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
		"addZone":     authored(author.AddZone),
		"addMaterial": authored(author.AddMaterial),
		"markMaterial": authored(func(d *document.Document, a struct {
			ID    document.ID     `json:"id"`
			Tiles []material.Tile `json:"tiles"`
		}) (author.Change, error) {
			m := d.Materials.Get(a.ID)
			if m == nil {
				return author.Change{}, errors.New("the material is no longer there")
			}
			return author.MarkMaterial(m, a.Tiles)
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
		"zoneAreas": with(func(s *Session, a mapArgs) (any, error) {
			m, err := s.mapOf(a.Map)
			if err != nil {
				return nil, err
			}
			return author.ZoneAreas(s.doc(), m), nil
		}),
		"addTileset": authored(author.AddTileset),
		"markSolid": authored(func(d *document.Document, a struct {
			ID    document.ID `json:"id"`
			Tiles []int       `json:"tiles"`
			Solid bool        `json:"solid"`
		}) (author.Change, error) {
			return onTileset(d, a.ID, func(t *document.Tileset) (author.Change, error) { return author.MarkSolid(t, a.Tiles, a.Solid) })
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
		"setPartners": authored(func(d *document.Document, a struct {
			ID    document.ID `json:"id"`
			Pairs [][2]int    `json:"pairs"`
		}) (author.Change, error) {
			return onTileset(d, a.ID, func(t *document.Tileset) (author.Change, error) { return author.SetPartners(t, a.Pairs) })
		}),
		"solids": with((*Session).merged),
		"recut": authored(func(d *document.Document, a struct {
			ID    document.ID  `json:"id"`
			Recut author.Recut `json:"recut"`
		}) (author.Change, error) {
			return onTileset(d, a.ID, func(t *document.Tileset) (author.Change, error) { return author.RecutTileset(d, t, a.Recut) })
		}),
		"lostBy": with(func(s *Session, a struct {
			ID    document.ID `json:"id"`
			Match []int       `json:"match"`
		}) (any, error) {
			t := s.doc().Tilesets.Get(a.ID)
			if t == nil {
				return nil, errors.New("the tileset is no longer there")
			}
			return author.LostBy(s.doc(), t, a.Match), nil
		}),
		"moveEntities": authored(func(d *document.Document, a entitiesArgs) (author.Change, error) {
			return onMap(d, a.Map, func(m *document.Map) (author.Change, error) { return author.MoveEntities(m, a.IDs, a.DX, a.DY) })
		}),
		"removeEntities": authored(func(d *document.Document, a entitiesArgs) (author.Change, error) {
			return onMap(d, a.Map, func(m *document.Map) (author.Change, error) { return author.RemoveEntities(d, m, a.IDs) })
		}),
		"copyEntities": with((*Session).copyEntities),
		"join":         authored(author.Join),
		"wire": authored(func(d *document.Document, a struct {
			From document.End `json:"from"`
			To   document.End `json:"to"`
		}) (author.Change, error) {
			return author.Wire(d, a.From, a.To)
		}),
		"addRule": authored(author.AddRule),
		"changeRule": authored(func(d *document.Document, r document.Rule) (author.Change, error) {
			old := d.Rules.Get(r.ID)
			if old == nil {
				return author.Change{}, errors.New("the rule is no longer there")
			}
			return author.ChangeRule(old, r)
		}),
		"addFlag": authored(func(d *document.Document, a struct {
			Name string `json:"name"`
		}) (author.Change, error) {
			f := document.Flag{ID: document.NewID(), Name: a.Name}
			if err := f.Check(); err != nil {
				return author.Change{}, err
			}
			return author.Change{Do: []edit.Primitive{edit.Insert(edit.Ref{Type: edit.TypeFlag, ID: f.ID}, f)},
				Label: edit.Label{Text: "New flag " + f.Name}, Made: f.ID}, nil
		}),
		"setStarter": authored(author.Starter),
	})
}

// authored makes a method from a function that resolves a wish into an edit.
func authored[A any](f func(d *document.Document, args A) (author.Change, error)) method {
	return with(func(s *Session, args A) (any, error) {
		c, err := f(s.doc(), args)
		if err != nil {
			return nil, err
		}
		o, err := s.make(c.Do, c.Label)
		o.Made = c.Made
		return o, err
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

func onTileset(d *document.Document, id document.ID, f func(*document.Tileset) (author.Change, error)) (author.Change, error) {
	t := d.Tilesets.Get(id)
	if t == nil {
		return author.Change{}, errors.New("the tileset is no longer there")
	}
	return f(t)
}

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

func (s *Session) entities(a mapArgs) (any, error) {
	m, err := s.mapOf(a.Map)
	if err != nil {
		return nil, err
	}
	return m.Entities.All(), nil
}

func (s *Session) history(a struct {
	Undo []replica.Step `json:"undo"`
	Redo []replica.Step `json:"redo"`
}) (any, error) {
	s.replica.SetHistory(a.Undo, a.Redo)
	return s.outcome(s.doc()), nil
}

func (s *Session) adopt(a struct {
	Edits []json.RawMessage `json:"edits"`
}) (any, error) {
	before := s.doc()
	for _, raw := range a.Edits {
		e, err := edit.Decode(raw)
		if err != nil {
			return nil, err
		}
		s.replica.Adopt(e)
	}
	return s.outcome(before), nil
}

func (s *Session) receive(a struct {
	Rows []replica.Row `json:"rows"`
}) (any, error) {
	before := s.doc()
	dropped, err := s.replica.Receive(a.Rows)
	if err != nil {
		return nil, err
	}
	o := s.outcome(before)
	o.Dropped = dropped
	return o, nil
}

func (s *Session) refuse(mark edit.Mark) (any, error) {
	before := s.doc()
	s.replica.Refuse(mark)
	return s.outcome(before), nil
}

func (s *Session) turnBack(back func() (*edit.Edit, edit.Result, error)) (any, error) {
	before := s.doc()
	e, res, err := back()
	var fetch replica.Fetch
	if errors.As(err, &fetch) {
		o := s.outcome(before)
		o.Fetch = fetch.Seq
		return o, nil
	}
	if err != nil {
		return nil, err
	}
	return s.described(before, e, res), nil
}

func (s *Session) supply(a struct {
	Seq    int64            `json:"seq"`
	Revert []edit.Primitive `json:"revert"`
}) (any, error) {
	s.replica.Supply(a.Seq, a.Revert)
	return none{}, nil
}

func (s *Session) set(a setArgs) (any, error) {
	return s.make([]edit.Primitive{{Op: edit.OpSet, Ref: a.Ref, Field: a.Field, Value: a.Value}}, edit.Label{Text: a.Text})
}

func (s *Session) remove(a struct {
	Ref  edit.Ref `json:"ref"`
	Text string   `json:"text"`
}) (any, error) {
	return s.make([]edit.Primitive{edit.Remove(a.Ref)}, edit.Label{Text: a.Text})
}

func (s *Session) copyEntities(a copyArgs) (any, error) {
	m, err := s.mapOf(a.Map)
	if err != nil {
		return nil, err
	}
	for _, e := range a.Entities {
		if e == nil || e.Check() != nil {
			return nil, errors.New("what is on the clipboard is not an entity")
		}
	}
	c, ids, err := author.CopyEntities(s.doc(), m, a.Entities, a.DX, a.DY)
	if err != nil {
		return nil, err
	}
	o, err := s.make(c.Do, c.Label)
	o.Ids = ids
	return o, err
}

func (s *Session) pickUp(a pointArgs) (any, error) {
	m, err := s.mapOf(a.Map)
	if err != nil {
		return nil, err
	}
	g, layer, ok := hand.PickUp(s.doc(), m, a.At)
	if !ok {
		return nil, errors.New("there is nothing to pick up here")
	}
	return struct {
		Grip  hand.Grip   `json:"grip"`
		Layer document.ID `json:"layer"`
	}{g, layer}, nil
}

// target is the layer that a grip would be put down on; empty when none fits.
func (s *Session) target(a struct {
	Map    document.ID `json:"map"`
	Active document.ID `json:"active"`
	Grip   hand.Grip   `json:"grip"`
}) (any, error) {
	m, err := s.mapOf(a.Map)
	if err != nil {
		return nil, err
	}
	if l := hand.Target(s.doc(), m, &a.Grip, a.Active); l != nil && a.Grip.What != hand.Nothing {
		return l.ID, nil
	}
	return document.ID(""), nil
}

func (s *Session) checkPlace(a pointArgs) (any, error) {
	m, err := s.mapOf(a.Map)
	if err != nil {
		return nil, err
	}
	return author.CheckPlace(s.doc(), m, a.At), nil
}

// cutOf tells what a cut makes of a picture, or what is wrong with it.
func cutOf(_ *Session, a struct {
	Cut    document.Cut `json:"cut"`
	Width  int          `json:"width"`
	Height int          `json:"height"`
}) (any, error) {
	if err := a.Cut.Check(a.Width, a.Height); err != nil {
		return nil, err
	}
	columns, rows := a.Cut.Tiles(a.Width, a.Height)
	right, bottom := a.Cut.Unused(a.Width, a.Height)
	return struct {
		Columns int `json:"columns"`
		Rows    int `json:"rows"`
		Right   int `json:"right"`
		Bottom  int `json:"bottom"`
	}{columns, rows, right, bottom}, nil
}
