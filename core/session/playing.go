package session

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/world"
	"errors"
)

// View is a game as it is drawn.
type View struct {
	Map document.ID `json:"map"`
	// X and Y are the map pixel at the top left of the hero's picture.
	X      int             `json:"x"`
	Y      int             `json:"y"`
	Facing document.Facing `json:"facing"`
	Steps  int32           `json:"steps"`
	// Does is how the hero moves: walks, flies, climbs or swims; Low that it ducks, Unhurt
	// that nothing strikes it for so many ticks.
	Does   string `json:"does"`
	Low    bool   `json:"low"`
	Unhurt int    `json:"unhurt"`
	Tick   int64  `json:"tick"`
	// From and To are the ticks that can be gone back to; a view of one before To shows what was.
	From int64 `json:"from"`
	To   int64 `json:"to"`
	// Events happened in the ticks that were just played.
	Events []play.Event `json:"events"`
	// Dark is how dark the fade is, 0 to 255.
	Dark   int        `json:"dark"`
	Line   string     `json:"line"`
	Notice string     `json:"notice"`
	Hearts int        `json:"hearts"`
	Most   int        `json:"most"`
	Lives  int        `json:"lives"`
	Roam   bool       `json:"roam"`
	Side   bool       `json:"side"`
	Taken  int        `json:"taken"`
	Total  int        `json:"total"`
	Cell   grid.Point `json:"cell"`
	Camera Camera     `json:"camera"`
	// Darkness is how dark it is where no light shines, in hundredths.
	Darkness int         `json:"darkness"`
	Lights   []LightView `json:"lights"`
	// Seen is what the hero sees and has seen, where it does not see everything.
	Seen *SightView `json:"seen"`
	// Way is what is left of the way that the hero goes by itself.
	Way []grid.Point `json:"way"`
	// Shows is what leads the hero, where that is not the player: keys held again, or a walk.
	Shows string `json:"shows"`
	// Gone are collectibles taken, On the switches and doors that are on or open.
	Gone []document.ID `json:"gone"`
	On   []document.ID `json:"on"`
	// Looks are the variants that were drawn for entities of this map.
	Looks []drawnLook `json:"looks"`
}

// Camera is what the player sees of a map, in map pixels: its middle and its size, 0 where
// that is not set; all of it, or no more than there is.
type Camera struct {
	X     int  `json:"x"`
	Y     int  `json:"y"`
	W     int  `json:"w"`
	H     int  `json:"h"`
	Whole bool `json:"whole"`
	Ends  bool `json:"ends"`
}

// SightView is the cells that the hero sees now, and those that it has seen.
type SightView struct {
	Now   []grid.Span `json:"now"`
	Known []grid.Span `json:"known"`
}

// LightView is a light that shines: its middle and how far it does, in map pixels.
type LightView struct {
	Map     document.ID `json:"map"`
	X       int         `json:"x"`
	Y       int         `json:"y"`
	Radius  int         `json:"radius"`
	Colour  string      `json:"colour"`
	Flicker string      `json:"flicker"`
}

type drawnLook struct {
	ID   document.ID `json:"id"`
	Look cells.Cell  `json:"look"`
}

var errNoGame = errors.New("nothing is being played")

// playing is a game that is played, what is kept of it, and who leads the hero.
type playing struct {
	game   *play.Game
	record *play.Record
	// script are keys of before that are held again, way the cells that it goes over by itself.
	script []play.Input
	walk   bool // the script is a walk that was found
	way    []grid.Point
}

// shows says what leads the hero.
func (p *playing) shows() string {
	switch {
	case len(p.script) == 0:
		return ""
	case p.walk:
		return "walk"
	}
	return "again"
}

func (s *Session) begin(g *play.Game, err error) (View, error) {
	if err != nil {
		return View{}, err
	}
	s.play = &playing{game: g, record: play.NewRecord(g)}
	return s.view(g, g.Told), nil
}

func (s *Session) start(a struct {
	mapArgs
	Seed int64 `json:"seed"`
}) (zero View, err error) {
	return s.begin(play.Start(s.stage(), a.Map, a.Seed))
}

func (s *Session) startAt(a struct {
	pointArgs
	Seed int64 `json:"seed"`
}) (zero View, err error) {
	return s.begin(play.StartAt(s.stage(), a.Map, a.At, a.Seed))
}

func (s *Session) stop(none) (zero none, err error) {
	s.play = nil
	return none{}, nil
}

func (s *Session) warning(a mapArgs) (zero string, err error) {
	return play.Warning(s.doc(), a.Map), nil
}

// current is the game on the document as it is now.
func (s *Session) current() (*playing, error) {
	if s.play == nil {
		return nil, errNoGame
	}
	if st := s.stage(); s.play.game.Stage != st {
		s.play.game.Enter(st)
	}
	return s.play, nil
}

// step plays ticks with an input held; at most a quarter of a second at once. Keys that are
// held end what the hero does by itself.
func (s *Session) step(a struct {
	Input play.Input `json:"input"`
	Ticks int        `json:"ticks"`
}) (zero View, err error) {
	p, err := s.current()
	if err != nil {
		return zero, err
	}
	var told []play.Event
	for range min(a.Ticks, play.TicksPerSecond/4) {
		p.record.Step(p.game, p.input(a.Input))
		told = append(told, p.game.Told...)
	}
	return s.view(p.game, told), nil
}

// input is what is held in the next tick.
func (p *playing) input(held play.Input) play.Input {
	switch {
	case held != 0:
		p.script, p.way = nil, nil
	case len(p.script) > 0:
		held, p.script = p.script[0], p.script[1:]
	case len(p.way) > 0:
		m, there := p.game.Ground(), false
		for m != nil && len(p.way) > 0 {
			if held, there = p.game.Toward(p.way[0]); !there {
				break
			}
			p.way = p.way[1:]
		}
	}
	return held
}

// look shows the game as it is, on the document as it is.
func (s *Session) look(none) (zero View, err error) {
	p, err := s.current()
	if err != nil {
		return zero, err
	}
	return s.view(p.game, nil), nil
}

type tickArgs struct {
	Tick int64 `json:"tick"`
}

// back shows the game as it was after a tick; it does not go there.
func (s *Session) back(a tickArgs) (zero View, err error) {
	p, err := s.current()
	if err != nil {
		return zero, err
	}
	return s.view(p.record.At(a.Tick), nil), nil
}

// goOn goes on from a tick, on the document as it is.
func (s *Session) goOn(a tickArgs) (zero View, err error) {
	p, err := s.current()
	if err != nil {
		return zero, err
	}
	p.turnBack(a.Tick)
	p.game.Enter(s.stage())
	return s.view(p.game, nil), nil
}

// turnBack makes the game what it was after a tick, and gives the keys that were held since.
func (p *playing) turnBack(tick int64) []play.Input {
	p.game = p.record.At(tick)
	p.script, p.way = nil, nil
	return p.record.Cut(p.game)
}

// Again is a game that is played once more.
type Again struct {
	View View `json:"view"`
	// Before is where the hero went the first time, in map pixels.
	Before []play.Spot `json:"before"`
}

// again holds the same keys once more from a tick on, on the document as it is.
func (s *Session) again(a tickArgs) (zero Again, err error) {
	p, err := s.current()
	if err != nil {
		return zero, err
	}
	before := p.record.Walk(a.Tick)
	keys := p.turnBack(a.Tick)
	p.script, p.walk = keys, false
	p.game.Enter(s.stage())
	return Again{s.view(p.game, nil), before}, nil
}

// roam walks through everything unhurt, or not any more.
func (s *Session) roam(a struct {
	On bool `json:"on"`
}) (zero View, err error) {
	p, err := s.current()
	if err != nil {
		return zero, err
	}
	p.game.SetRoam(a.On)
	p.record.Touched(p.game)
	return s.view(p.game, nil), nil
}

// walkTo has the hero go to a cell by the shortest way.
func (s *Session) walkTo(a struct {
	At grid.Point `json:"at"`
}) (zero View, err error) {
	p, err := s.current()
	if err != nil {
		return zero, err
	}
	m := p.game.Ground()
	switch {
	case m == nil:
		return zero, errNoGame
	case m.Side:
		return zero, errors.New("seen from the side the hero is led by keys or the pad")
	}
	way := p.game.Route(a.At)
	if len(way) == 0 && p.game.HeroCell() != a.At {
		return zero, errors.New("there is no way to that cell from here")
	}
	p.script, p.way = nil, way
	return s.view(p.game, nil), nil
}

// about says what lies at a map pixel in the game, as it is or as it was after a tick.
func (s *Session) about(a struct {
	At   grid.Point `json:"at"`
	Tick int64      `json:"tick"`
}) (string, error) {
	p, err := s.current()
	if err != nil {
		return "", err
	}
	g := p.game
	if a.Tick > 0 && a.Tick < p.record.To() {
		g = p.record.At(a.Tick)
	}
	return g.About(a.At.X, a.At.Y), nil
}

var modes = [...]string{play.Walking: "walks", play.Airborne: "flies", play.Climbing: "climbs", play.Swimming: "swims"}

func (s *Session) view(g *play.Game, told []play.Event) View {
	p := s.play
	b := g.Hero()
	v := View{Facing: b.Look(), Steps: b.Steps, Does: modes[b.Mode], Low: b.Flags&play.Ducked != 0, Unhurt: int(b.Blink),
		Tick: g.Tick, From: p.record.From(), To: p.record.To(), Events: append([]play.Event{}, told...), Notice: g.Notice, Dark: dark(g.State),
		Hearts: int(g.Count(play.Hearts)), Lives: int(g.Count(play.Lives)), Roam: g.Roam, Way: append([]grid.Point{}, p.way...), Shows: p.shows(),
		Lights: []LightView{}, Gone: []document.ID{}, On: []document.ID{}, Looks: []drawnLook{}}
	if len(g.Lines) > 0 {
		v.Line = g.Lines[0].Text
	}
	st := g.Stage
	for r := range st.Things {
		if st.Things[r].Acts == kind.Collectible {
			v.Total++
			if g.Is(world.Ref(r), play.Taken) {
				v.Taken++
			}
		}
	}
	m := g.Ground()
	if m == nil {
		return v
	}
	v.Map, v.Side, v.Cell, v.Most = m.ID, m.Side, g.HeroCell(), int(st.Gait(m, b.Of).Hearts)
	v.X, v.Y = g.Picture()
	lens := g.Lens()
	v.Camera = Camera{int(g.Cam.X / play.Sub), int(g.Cam.Y / play.Sub), int(lens.W / play.Sub), int(lens.H / play.Sub), lens.Mode == kind.CameraWhole, lens.Ends}
	v.Darkness = m.Darkness()
	if now, known, ok := g.Sight(); ok {
		v.Seen = &SightView{now.Spans(), known.Spans()}
	}
	for _, m := range inSight(st, m) {
		for r := m.First; r < m.After; r++ {
			t := st.Thing(r)
			if !g.There(r) || t.Unseen {
				v.Gone = append(v.Gone, t.ID)
			}
			if look, there := g.Look(r); there && look != 0 {
				v.Looks = append(v.Looks, drawnLook{t.ID, look})
			}
			if t.Light != nil && g.There(r) && g.On(r) && v.Darkness > 0 {
				v.Lights = append(v.Lights, LightView{m.ID, t.X + t.W/2, t.Y + t.H/2, t.Light.Radius, t.Light.Colour, t.Light.Flicker})
			}
			if (t.Acts == kind.Door || t.Acts == kind.Switch) && g.On(r) {
				v.On = append(v.On, t.ID)
			}
		}
	}
	return v
}

// inSight is a map and those beyond its seams, which are seen with it.
func inSight(st *world.Stage, m *world.Ground) []*world.Ground {
	out := []*world.Ground{m}
	for _, seam := range st.Chart.Seams() {
		switch {
		case seam.Why != "" || seam.Closed:
		case seam.A == m.ID:
			out = append(out, st.Ground(st.MapOf(seam.B)))
		case seam.B == m.ID:
			out = append(out, st.Ground(st.MapOf(seam.A)))
		}
	}
	return out
}

func dark(g *play.State) int {
	if g.Leaving >= 0 || g.Lost != play.NotLost {
		return 255 * int(play.FadeTicks-g.Fade) / play.FadeTicks
	}
	return 255 * int(g.Fade) / play.FadeTicks
}

func init() {
	register(map[string]method{
		"play":    with((*Session).start),
		"playAt":  with((*Session).startAt),
		"step":    with((*Session).step),
		"stop":    with((*Session).stop),
		"look":    with((*Session).look),
		"back":    with((*Session).back),
		"goOn":    with((*Session).goOn),
		"again":   with((*Session).again),
		"roam":    with((*Session).roam),
		"walkTo":  with((*Session).walkTo),
		"about":   with((*Session).about),
		"warning": with((*Session).warning),
	})
}
