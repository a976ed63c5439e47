package session

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/play"
	"errors"
)

var errNoGame = errors.New("nothing is being played")

// playing is a game that is played, what is kept of it, and who leads the hero.
type playing struct {
	game   *play.Game
	record *play.Record
	// script are keys of before that are held again, way the cells that it goes over by itself.
	script []play.Input
	leads  string // what the script is
	way    []grid.Point
	roam   bool
	// framed is what is told of it in bytes; nil tells all of it in the view.
	framed *framed
	// under is what steps sound like where the hero was last.
	under footing
}

// shows says what leads the hero.
func (p *playing) shows() string {
	if len(p.script) == 0 {
		return ""
	}
	return p.leads
}

// What can lead the hero instead of the player: keys held again, a walk that was found, a recording.
const (
	leadsAgain     = "again"
	leadsWalk      = "walk"
	leadsRecording = "recording"
)

func (s *Session) begin(g *play.Game, err error) (View, error) {
	if err != nil {
		return View{}, err
	}
	s.play = &playing{game: g, record: play.NewRecord(g), framed: &framed{}}
	return s.play.view(g, g.Told), nil
}

func (s *Session) start(a struct {
	mapArgs
	Given play.Given `json:"given"`
	Seed  int64      `json:"seed"`
}) (zero View, err error) {
	return s.begin(play.StartOn(s.stage(), a.Map, a.Given, a.Seed))
}

func (s *Session) startAt(a struct {
	pointArgs
	Given play.Given `json:"given"`
	Seed  int64      `json:"seed"`
}) (zero View, err error) {
	return s.begin(play.StartAt(s.stage(), a.Map, a.At, a.Given, a.Seed))
}

func (s *Session) startThrough(a struct {
	Passage document.ID `json:"passage"`
	Given   play.Given  `json:"given"`
	Seed    int64       `json:"seed"`
}) (zero View, err error) {
	return s.begin(play.StartThrough(s.stage(), a.Passage, a.Given, a.Seed))
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
	v := p.view(p.game, told)
	v.Under = s.underfoot(p)
	return v, nil
}

// input is what is held in the next tick. Roaming is held as well, so that it is kept with the keys.
func (p *playing) input(held play.Input) play.Input {
	switch {
	case held != 0:
		p.script, p.way = nil, nil
	case len(p.script) > 0:
		held, p.script = p.script[0], p.script[1:]
		p.roam = held&play.InputRoam != 0
	case len(p.way) > 0:
		m, there := p.game.Ground(), false
		for m != nil && len(p.way) > 0 {
			if held, there = p.game.Toward(p.way[0]); !there {
				break
			}
			p.way = p.way[1:]
		}
	}
	if p.roam {
		held |= play.InputRoam
	}
	return held
}

// look shows the game as it is, on the document as it is.
func (s *Session) look(none) (zero View, err error) {
	p, err := s.current()
	if err != nil {
		return zero, err
	}
	return p.view(p.game, nil), nil
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
	return p.view(p.record.At(a.Tick), nil), nil
}

// goOn goes on from a tick, on the document as it is.
func (s *Session) goOn(a tickArgs) (zero View, err error) {
	p, err := s.current()
	if err != nil {
		return zero, err
	}
	p.turnBack(a.Tick)
	p.game.Enter(s.stage())
	return p.view(p.game, nil), nil
}

// turnBack makes the game what it was after a tick, and gives the keys that were held since.
func (p *playing) turnBack(tick int64) []play.Input {
	p.game = p.record.At(tick)
	p.roam = p.game.Roam
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
	p.script, p.leads = keys, leadsAgain
	p.game.Enter(s.stage())
	return Again{p.view(p.game, nil), before}, nil
}

// roam walks through everything unhurt, or not any more.
func (s *Session) roam(a struct {
	On bool `json:"on"`
}) (zero View, err error) {
	p, err := s.current()
	if err != nil {
		return zero, err
	}
	p.roam = a.On
	return p.view(p.game, nil), nil
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
	return p.view(p.game, nil), nil
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

func init() {
	register(map[string]method{
		"play":        with((*Session).start),
		"playAt":      with((*Session).startAt),
		"playThrough": with((*Session).startThrough),
		"step":        with((*Session).step),
		"stop":        with((*Session).stop),
		"look":        with((*Session).look),
		"back":        with((*Session).back),
		"goOn":        with((*Session).goOn),
		"again":       with((*Session).again),
		"roam":        with((*Session).roam),
		"doNow":       with((*Session).doNow),
		"walkTo":      with((*Session).walkTo),
		"about":       with((*Session).about),
		"warning":     with((*Session).warning),
	})
}
