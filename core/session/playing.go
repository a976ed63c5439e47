package session

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/play"
	"errors"
	"slices"
)

// View is a game as it is drawn.
type View struct {
	Map document.ID `json:"map"`
	// X and Y are the map pixel at the top left of the hero's picture.
	X      int             `json:"x"`
	Y      int             `json:"y"`
	Facing document.Facing `json:"facing"`
	Steps  int64           `json:"steps"`
	Tick   int64           `json:"tick"`
	// Dark is how dark the fade is, 0 to 255.
	Dark   int        `json:"dark"`
	Line   string     `json:"line"`
	Notice string     `json:"notice"`
	Taken  int        `json:"taken"`
	Total  int        `json:"total"`
	Cell   grid.Point `json:"cell"`
	// Gone are collectibles taken, On the switches and doors that are on or open.
	Gone []document.ID `json:"gone"`
	On   []document.ID `json:"on"`
	// Looks are the variants that were drawn for entities of this map.
	Looks []drawnLook `json:"looks"`
}

type drawnLook struct {
	ID   document.ID `json:"id"`
	Look cells.Cell  `json:"look"`
}

func (s *Session) begin(g *play.State, err error) (View, error) {
	if err != nil {
		return View{}, err
	}
	s.game = g
	return s.view(), nil
}

func (s *Session) play(a struct {
	mapArgs
	Seed int64 `json:"seed"`
}) (zero View, err error) {
	return s.begin(play.Start(s.doc(), a.Map, a.Seed))
}

func (s *Session) playAt(a struct {
	pointArgs
	Seed int64 `json:"seed"`
}) (zero View, err error) {
	return s.begin(play.StartAt(s.doc(), a.Map, a.At, a.Seed))
}

func (s *Session) stop(none) (zero none, err error) {
	s.game = nil
	return none{}, nil
}

func (s *Session) warning(a mapArgs) (zero string, err error) {
	return play.Warning(s.doc(), a.Map), nil
}

// step plays ticks with an input held; at most a quarter of a second at once.
func (s *Session) step(a struct {
	Input play.Input `json:"input"`
	Ticks int        `json:"ticks"`
}) (zero View, err error) {
	if s.game == nil {
		return zero, errors.New("nothing is being played")
	}
	for range min(a.Ticks, play.TicksPerSecond/4) {
		play.Step(s.game, s.doc(), s.world(), a.Input)
	}
	return s.view(), nil
}

func (s *Session) view() View {
	g, d := s.game, s.doc()
	v := View{Map: g.Map, Facing: g.Facing, Steps: g.Steps, Tick: g.Tick, Notice: g.Notice, Dark: dark(g), Gone: []document.ID{}, On: []document.ID{}, Looks: []drawnLook{}}
	if len(g.Lines) > 0 {
		v.Line = g.Lines[0].Text
	}
	for _, m := range d.Maps.All() {
		for _, e := range s.ground().Collectibles(m) {
			v.Total++
			if g.Taken[e.ID] {
				v.Taken++
			}
		}
	}
	m := d.Maps.Get(g.Map)
	if m == nil {
		return v
	}
	v.Cell = g.HeroCell(m)
	v.X, v.Y = g.Picture(m)
	for _, m := range s.inSight(m) {
		for _, e := range m.Entities.All() {
			if g.Taken[e.ID] || g.Gone[e.ID] || e.Unseen {
				v.Gone = append(v.Gone, e.ID)
			}
			if look, ok := g.Looks[e.ID]; ok {
				v.Looks = append(v.Looks, drawnLook{e.ID, look})
			}
		}
		for _, e := range slices.Concat(s.ground().Doors(m), s.ground().Switches(m)) {
			if on := e.On != g.Switched[e.ID] || g.Opened[e.ID]; on {
				v.On = append(v.On, e.ID)
			}
		}
	}
	return v
}

// inSight is a map and those beyond its seams, which are seen with it.
func (s *Session) inSight(m *document.Map) []*document.Map {
	out := []*document.Map{m}
	for _, seam := range s.world().Seams() {
		switch {
		case seam.Why != "" || seam.Closed:
		case seam.A == m.ID:
			out = append(out, s.doc().Maps.Get(seam.B))
		case seam.B == m.ID:
			out = append(out, s.doc().Maps.Get(seam.A))
		}
	}
	return out
}

func dark(g *play.State) int {
	if g.Leaving != "" {
		return 255 * (play.FadeTicks - g.Fade) / play.FadeTicks
	}
	return 255 * g.Fade / play.FadeTicks
}

func init() {
	register(map[string]method{
		"play":    with((*Session).play),
		"playAt":  with((*Session).playAt),
		"step":    with((*Session).step),
		"stop":    with((*Session).stop),
		"warning": with((*Session).warning),
	})
}
