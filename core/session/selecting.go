package session

import (
	"azzel/core/author"
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/hand"
	"encoding/json"
	"errors"
)

// selection is the cells that the designer has selected; it is not part of the document.
type selection struct {
	m      document.ID
	region *grid.Region
}

// Selected is a selection as the interface draws it.
type Selected struct {
	Map    document.ID `json:"map"`
	Count  int         `json:"count"`
	Bounds grid.Rect   `json:"bounds"`
	Spans  []grid.Span `json:"spans"`
}

func (s *Session) within(m document.ID) *grid.Region {
	if s.selected.m == m && s.selected.region != nil && !s.selected.region.Empty() {
		return s.selected.region
	}
	return nil
}

func (s *Session) take(m document.ID, r *grid.Region) Selected {
	s.selected = selection{m, r}
	out := Selected{Map: m, Spans: []grid.Span{}}
	if r != nil {
		out.Count, out.Bounds = r.Count(), r.Bounds()
		spans := r.Spans()
		out.Spans = append(out.Spans, spans[:min(len(spans), maxSelectionSpans)]...)
	}
	return out
}

// maxSelectionSpans limits what is drawn of a selection; beyond it its bounds are.
const maxSelectionSpans = 20_000

type selectArgs struct {
	Map     document.ID  `json:"map"`
	Active  document.ID  `json:"active"`
	Picking hand.Picking `json:"picking"`
}

// sel selects cells.
func (s *Session) sel(a selectArgs) (zero Selected, err error) {
	r, err := s.pick(a)
	if err != nil {
		return zero, err
	}
	return s.take(a.Map, r), nil
}

// previewSelect shows what sel would select.
func (s *Session) previewSelect(a selectArgs) (zero Selected, err error) {
	before := s.selected
	out, err := s.sel(a)
	s.selected = before
	return out, err
}

func (s *Session) pick(a selectArgs) (*grid.Region, error) {
	m, err := s.mapOf(a.Map)
	if err != nil {
		return nil, err
	}
	w := s.work(m, a.Active)
	return w.Pick(a.Picking, s.within(m.ID))
}

// selectAll selects all cells of a map, or all that are not selected.
func (s *Session) selectAll(a struct {
	Map    document.ID `json:"map"`
	Invert bool        `json:"invert"`
}) (zero Selected, err error) {
	m, err := s.mapOf(a.Map)
	if err != nil {
		return zero, err
	}
	r := &grid.Region{}
	r.AddRect(m.Bounds)
	if now := s.within(m.ID); now != nil && a.Invert {
		r.Subtract(now)
	}
	return s.take(m.ID, r), nil
}

// selection gives the selection as it is.
func (s *Session) selection(none) (zero Selected, err error) {
	return s.take(s.selected.m, s.selected.region), nil
}

func (s *Session) deselect(none) (zero Selected, err error) { return s.take("", nil), nil }

type areaArgs struct {
	Map document.ID `json:"map"`
	// Layer is the one that is meant; empty means all and the entities.
	Layer document.ID `json:"layer"`
}

func (s *Session) area(a areaArgs) (author.Area, error) {
	m, err := s.mapOf(a.Map)
	if err != nil {
		return author.Area{}, err
	}
	r := s.within(m.ID)
	if r == nil {
		return author.Area{}, errors.New("no cells are selected")
	}
	return author.Area{Map: m, Region: r, Layer: a.Layer}, nil
}

// AreaOutcome is an outcome with the selection as it lies after it.
type AreaOutcome struct {
	Outcome
	Selected Selected `json:"selected"`
}

func (s *Session) changeArea(a areaArgs, change func(author.Area) (author.Change, *grid.Region, error)) (zero AreaOutcome, err error) {
	area, err := s.area(a)
	if err != nil {
		return zero, err
	}
	c, r, err := change(area)
	if err != nil {
		return zero, err
	}
	o, err := s.make(c.Do, c.Label)
	if err != nil {
		return zero, err
	}
	o.Made = c.Made
	return AreaOutcome{o, s.take(a.Map, r)}, nil
}

func (s *Session) moveArea(a struct {
	areaArgs
	DX int `json:"dx"`
	DY int `json:"dy"`
}) (zero AreaOutcome, err error) {
	return s.changeArea(a.areaArgs, func(area author.Area) (author.Change, *grid.Region, error) {
		return author.MoveArea(s.doc(), area, a.DX, a.DY)
	})
}

func (s *Session) turnArea(a struct {
	areaArgs
	Turn grid.Turn `json:"turn"`
}) (zero AreaOutcome, err error) {
	return s.changeArea(a.areaArgs, func(area author.Area) (author.Change, *grid.Region, error) {
		return author.TurnArea(s.doc(), area, a.Turn)
	})
}

func (s *Session) emptyArea(a areaArgs) (zero AreaOutcome, err error) {
	return s.changeArea(a, func(area author.Area) (author.Change, *grid.Region, error) {
		c, err := author.EmptyArea(s.doc(), area)
		return c, area.Region, err
	})
}

// Copied is an arrangement on the clipboard with what it is made of.
type Copied struct {
	Piece *document.Motif `json:"piece"`
	From  author.Foreign  `json:"from"`
}

// liftArea gives what lies in the selection as an arrangement, for the clipboard.
func (s *Session) liftArea(a areaArgs) (zero Copied, err error) {
	piece, err := s.lifted(a)
	if err != nil {
		return zero, err
	}
	return Copied{piece, author.UsedBy(s.doc(), piece)}, nil
}

func (s *Session) lifted(a areaArgs) (*document.Motif, error) {
	area, err := s.area(a)
	if err != nil {
		return nil, err
	}
	return author.LiftAll(s.doc(), area)
}

// Adopted is an arrangement that was taken from the clipboard: how many numbers
// are still needed for what it is made of, or by which id it is held.
type Adopted struct {
	Outcome
	Needs int         `json:"needs"`
	Held  document.ID `json:"held"`
}

// maxKept limits the arrangements that are kept without being motifs.
const maxKept = 64

// adoptPiece takes an arrangement from the clipboard so that it can be held. What it
// is made of and this project lacks is brought in under the numbers given; the
// answer says how many more are needed.
func (s *Session) adoptPiece(a struct {
	Copied  json.RawMessage `json:"copied"`
	Numbers []int           `json:"numbers"`
}) (zero Adopted, err error) {
	var c Copied
	if err := document.Strict(a.Copied, &c); err != nil || c.Piece == nil {
		return zero, errors.New("what is on the clipboard cannot be read")
	}
	if err := c.Piece.CheckPiece(); err != nil {
		return zero, err
	}
	found, err := author.Adopt(s.doc(), c.Piece, c.From, a.Numbers)
	if err != nil {
		return zero, err
	}
	out := Adopted{Needs: found.Needs}
	if found.Needs > 0 {
		out.Outcome = s.outcome(s.doc())
		return out, nil
	}
	out.Outcome = s.outcome(s.doc())
	if len(found.Do) > 0 {
		if out.Outcome, err = s.make(found.Do, found.Label); err != nil {
			return zero, err
		}
	}
	out.Held = s.keep(found.Piece)
	return out, nil
}

func (s *Session) keep(piece *document.Motif) document.ID {
	if s.kept == nil || len(s.kept) >= maxKept {
		s.kept = map[document.ID]*document.Motif{}
	}
	m := *piece
	m.ID = document.NewID()
	s.kept[m.ID] = &m
	return m.ID
}

// keepSelected keeps what lies in the selection, so that it can be held.
func (s *Session) keepSelected(a areaArgs) (zero document.ID, err error) {
	piece, err := s.lifted(a)
	if err != nil {
		return zero, err
	}
	return s.keep(piece), nil
}

// Piece is an arrangement as it is drawn: by turns x, y and what is shown
// there, and entities.
type Piece struct {
	W          int                `json:"w"`
	H          int                `json:"h"`
	CellWidth  int                `json:"cellWidth"`
	CellHeight int                `json:"cellHeight"`
	Cells      []int64            `json:"cells"`
	Entities   []*document.Entity `json:"entities"`
}

// add adds what lies on one layer; materials fit as if nothing lay around it.
func (d *Piece) add(s *Session, kind string, patch cells.Patch) {
	plane, _ := patch.Apply(cells.Plane{})
	bounds := grid.Rect{W: d.W, H: d.H}
	for i := range patch {
		if len(d.Cells) > 3*maxGhostCells {
			return
		}
		patch[i : i+1].Each(func(at grid.Point, c cells.Cell) {
			code := shown(kind, c)
			if c.IsMaterial() && kind == document.LayerTiles {
				code = int64(s.fits.code(c, s.fitter().At(plane, bounds, at.X, at.Y)))
			}
			d.Cells = append(d.Cells, int64(at.X), int64(at.Y), code)
		})
	}
}

// motifOf gives a motif, or an arrangement that is held, for drawing.
func (s *Session) motifOf(a struct {
	ID document.ID `json:"id"`
}) (zero Piece, err error) {
	m := s.doc().Motifs.Get(a.ID)
	if m == nil {
		m = s.kept[a.ID]
	}
	if m == nil {
		return zero, errors.New("the motif is no longer there")
	}
	out := Piece{m.W, m.H, m.CellWidth, m.CellHeight, []int64{}, m.Entities}
	for _, p := range m.Parts {
		out.add(s, p.Kind, p.Cells)
	}
	return out, nil
}

// sketch gives the cells of an edit's sketch for drawing, fitted as materials are now.
func (s *Session) sketch(a edit.Sketch) (zero Piece, err error) {
	out := Piece{W: a.W, H: a.H, CellWidth: 1, CellHeight: 1, Cells: []int64{}, Entities: []*document.Entity{}}
	if a.W > edit.SketchWidth || a.H > edit.SketchHeight {
		return zero, errors.New("this sketch is too large")
	}
	for _, p := range a.Parts {
		kind := document.LayerTiles
		if m := s.doc().Maps.Get(a.Map); m != nil {
			out.CellWidth, out.CellHeight = m.CellWidth, m.CellHeight
			if l := m.Layers.Get(p.Layer); l != nil {
				kind = l.Kind
			}
		}
		out.add(s, kind, p.Cells)
	}
	return out, nil
}

func (s *Session) addMotif(a struct {
	areaArgs
	Name string `json:"name"`
}) (zero AreaOutcome, err error) {
	return s.changeArea(a.areaArgs, func(area author.Area) (author.Change, *grid.Region, error) {
		c, err := author.KeepMotif(s.doc(), a.Name, area)
		return c, area.Region, err
	})
}

// placings are where a motif was put down and stands as it is.
func (s *Session) placings(a struct {
	ID document.ID `json:"id"`
}) (zero []*document.Placing, err error) {
	m := s.doc().Motifs.Get(a.ID)
	if m == nil {
		return zero, errors.New("the motif is no longer there")
	}
	return append([]*document.Placing{}, s.doc().Standing(m)...), nil
}

func (s *Session) replaceMotif(a struct {
	areaArgs
	ID     document.ID `json:"id"`
	Update bool        `json:"update"`
}) (zero AreaOutcome, err error) {
	return s.changeArea(a.areaArgs, func(area author.Area) (author.Change, *grid.Region, error) {
		c, err := author.RemakeMotif(s.doc(), a.ID, area, a.Update)
		return c, area.Region, err
	})
}

func init() {
	if !designs {
		return
	}
	register(map[string]method{
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
	})
}
