package session

import (
	"azzel/core/author"
	"azzel/core/chart"
	"azzel/core/check"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"slices"
)

type placing struct {
	Map document.ID `json:"map"`
	At  grid.Point  `json:"at"`
}

func init() {
	register(map[string]method{
		"chart":       with(func(s *Session, _ none) (ChartInfo, error) { return s.chart(), nil }),
		"chartChange": with(func(s *Session, _ none) (ChartChange, error) { return s.chartChange(), nil }),
		"readAhead":   with((*Session).readAhead),
	})
	if !designs {
		return
	}
	register(map[string]method{
		"join":       authored(author.Join),
		"checkPlace": with((*Session).checkPlace),
		"joined":     with(func(s *Session, from document.End) (author.Joined, error) { return author.JoinedAt(s.doc(), from) }),
		"wayBack":    with(func(s *Session, way author.Way) (author.Return, error) { return author.WayBack(s.doc(), way) }),
		"placeMaps": with(func(s *Session, a struct {
			Maps   []placing `json:"maps"`
			Within int       `json:"within"`
		}) (Outcome, error) {
			at := map[document.ID]grid.Point{}
			for _, p := range a.Maps {
				at[p.Map] = p.At
			}
			return s.authored(author.PlaceMaps(s.plane(), at, a.Within))
		}),
		"snapped": with(func(s *Session, a struct {
			placing
			Within int `json:"within"`
		}) (grid.Point, error) {
			return s.plane().Snapped(a.Map, a.At, a.Within), nil
		}),
		"copyMap": authored(func(d *document.Document, a struct {
			Map      document.ID `json:"map"`
			Name     string      `json:"name"`
			Passages bool        `json:"passages"`
			// W and H are its size in cells; 0 is that of the map.
			W int `json:"w"`
			H int `json:"h"`
		}) (author.Change, error) {
			return onMap(d, a.Map, func(m *document.Map) (author.Change, error) {
				return author.CopyMap(d, m, a.Name, grid.Point{X: a.W, Y: a.H}, a.Passages)
			})
		}),
		"setSeam": authored(func(d *document.Document, a struct {
			A      document.ID     `json:"a"`
			B      document.ID     `json:"b"`
			Closed bool            `json:"closed"`
			If     []document.Gate `json:"if"`
		}) (author.Change, error) {
			return author.SetSeam(d, a.A, a.B, a.Closed, a.If)
		}),
		"setSide": authored(func(d *document.Document, a struct {
			Map  document.ID     `json:"map"`
			Side document.Facing `json:"side"`
			Is   string          `json:"is"`
		}) (author.Change, error) {
			return onMap(d, a.Map, func(m *document.Map) (author.Change, error) { return author.SetSide(m, a.Side, a.Is) })
		}),
		"offerStart": authored(func(d *document.Document, a mapArgs) (author.Change, error) {
			return onMap(d, a.Map, func(m *document.Map) (author.Change, error) { return author.OfferStart(d, m) })
		}),
		"reorderMap": authored(func(d *document.Document, a struct {
			Map document.ID `json:"map"`
			To  int         `json:"to"`
		}) (author.Change, error) {
			return author.ReorderMaps(d, a.Map, a.To)
		}),
		"changePassage": authored(author.ChangePassage),
		"setMapSetting": authored(func(d *document.Document, a struct {
			// Map is empty to set what holds for all maps.
			Map document.ID `json:"map"`
			settingArgs
		}) (author.Change, error) {
			if a.Map == "" {
				return author.SetMapSetting(d, nil, a.Key, a.Value)
			}
			return onMap(d, a.Map, func(m *document.Map) (author.Change, error) { return author.SetMapSetting(d, m, a.Key, a.Value) })
		}),
		"setMapProperties": authored(author.SetMapProperties),
		"mapDetails":       with((*Session).mapDetails),
		"flagUses":         with(func(s *Session, _ none) (map[document.ID][]document.Use, error) { return s.doc().FlagUses(), nil }),
		"mapUses": with(func(s *Session, a mapArgs) ([]document.Use, error) {
			m, err := s.mapOf(a.Map)
			if err != nil {
				return nil, err
			}
			return s.doc().MapUses(m), nil
		}),
	})
}

// Placed is where a map lies on the chart, in pixels.
type Placed struct {
	Map document.ID `json:"map"`
	grid.Rect
}

// ChartInfo is the chart as it is drawn.
type ChartInfo struct {
	Places   []Placed        `json:"places"`
	Seams    []chart.Seam    `json:"seams"`
	Findings []chart.Finding `json:"findings"`
	// Returning are the passages that have a way back.
	Returning []document.ID `json:"returning"`
}

// chart tells all of it; from there on chartChange tells what differs.
func (s *Session) chart() ChartInfo {
	s.hung = s.hanging()
	return s.hung
}

func (s *Session) hanging() ChartInfo {
	c := s.plane()
	places := make([]Placed, 0, s.doc().Maps.Len())
	for _, m := range c.Maps() {
		places = append(places, Placed{m.ID, c.Place(m.ID)})
	}
	return ChartInfo{places, append([]chart.Seam{}, c.Seams()...), check.OnChart(s.doc().Project, c.Findings()), c.Returning()}
}

// ChartChange is what differs on the chart from what was told before; what is left out is as it was.
type ChartChange struct {
	Places    *Spliced[Placed]        `json:"places,omitempty"`
	Seams     *Spliced[chart.Seam]    `json:"seams,omitempty"`
	Findings  *Spliced[chart.Finding] `json:"findings,omitempty"`
	Returning *Spliced[document.ID]   `json:"returning,omitempty"`
}

func (s *Session) chartChange() ChartChange {
	was, now := s.hung, s.hanging()
	s.hung = now
	return ChartChange{spliced(was.Places, now.Places, alike), spliced(was.Seams, now.Seams, chart.Seam.Same),
		spliced(was.Findings, now.Findings, alike), spliced(was.Returning, now.Returning, alike)}
}

func alike[T comparable](a, b T) bool { return a == b }

// mapProperties are what maps have of the designer's own, as a person reads it.
func mapProperties(d *document.Document) []author.PlainSetting {
	out := []author.PlainSetting{}
	for i := range d.Project.MapProperties {
		out = append(out, author.Plain(&d.Project.MapProperties[i], false))
	}
	return out
}

// mapDetails lists the settings of a map that do something there or were set; without a
// map those that hold for all.
func (s *Session) mapDetails(a mapArgs) (zero []Detail, err error) {
	m, own := &document.Map{}, s.doc().Project.MapValues
	if a.Map != "" {
		var err error
		if m, err = s.mapOf(a.Map); err != nil {
			return zero, err
		}
		own = m.Values
	}
	out := []Detail{}
	for _, set := range s.doc().Project.MapSettingsOf() {
		value := s.doc().MapValue(m, set.Key)
		isSet := func(values []kind.Value) bool {
			return slices.ContainsFunc(values, func(v kind.Value) bool { return v.Key == set.Key })
		}
		if hero, ok := s.doc().HeroShown(set.Key); ok && !isSet(own) && !isSet(s.doc().Project.MapValues) {
			value = hero
		}
		d := detailOf(&set, set.Text(value))
		d.Differs, d.Group = isSet(own), kind.MapGroup(set.Key)
		if a.Map == "" || d.Differs || kind.MapMatters(set.Key, func(key string) kind.Datum { return s.doc().MapValue(m, key) }) {
			out = append(out, d)
		}
	}
	return out, nil
}

func (s *Session) checkPlace(a pointArgs) (zero author.Place, err error) {
	m, err := s.mapOf(a.Map)
	if err != nil {
		return zero, err
	}
	return author.CheckPlace(s.doc(), m, a.At), nil
}
