package session

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/world"
	"errors"
	"slices"
	"strings"
)

// PinInfo is a pin without its moment.
type PinInfo struct {
	ID   document.ID       `json:"id"`
	Name string            `json:"name"`
	Note string            `json:"note"`
	At   document.PinPlace `json:"at"`
	Tick int64             `json:"tick"`
}

// RecordingInfo is a recording without its keys.
type RecordingInfo struct {
	ID    document.ID `json:"id"`
	Name  string      `json:"name"`
	Note  string      `json:"note"`
	Map   document.ID `json:"map"`
	Ticks int         `json:"ticks"`
	Row   int64       `json:"row"`
}

func pinInfo(p *document.Pin) PinInfo { return PinInfo{p.ID, p.Name, p.Note, p.At, p.Moment.Tick} }

func recordingInfo(r *document.Recording) RecordingInfo {
	return RecordingInfo{r.ID, r.Name, r.Note, r.Start.Hero.Map, r.Ticks(), r.Row}
}

// addPin keeps the game as it is, or as it was after the tick that is looked at.
func (s *Session) addPin(a struct {
	Name string `json:"name"`
	Note string `json:"note"`
	Tick int64  `json:"tick"`
}) (zero Outcome, err error) {
	p, err := s.current()
	if err != nil {
		return zero, err
	}
	g := p.game
	if a.Tick > 0 && a.Tick < p.record.To() {
		g = p.record.At(a.Tick)
	}
	m := g.Ground()
	if m == nil {
		return zero, errors.New("the map that was played on was removed")
	}
	x, y := g.Middle()
	pin := document.Pin{Name: a.Name, Note: a.Note, At: document.PinPlace{Map: m.ID, X: x, Y: y}, Moment: g.Moment()}
	return s.authored(author.AddPin(s.doc(), pin))
}

// addRecording keeps the game as it was played from its beginning.
func (s *Session) addRecording(a struct {
	Name string `json:"name"`
}) (zero Outcome, err error) {
	p, err := s.current()
	if err != nil {
		return zero, err
	}
	r := p.record.Whole()
	r.Name, r.Row = a.Name, s.replica.Seq
	return s.authored(author.AddRecording(s.doc(), r))
}

// Beginnings are the ways in which a game can begin, and what can be given.
type Beginnings struct {
	// Here says where one begins that is played from the map that is looked at.
	Here  string         `json:"here"`
	Ways  []BeginningWay `json:"ways"`
	Taken []Takeable     `json:"taken"`
}

// BeginningWay is a passage that one can come out of.
type BeginningWay struct {
	ID   document.ID `json:"id"`
	From string      `json:"from"`
	To   string      `json:"to"`
}

// Takeable is something that can be taken.
type Takeable struct {
	Of   document.End `json:"of"`
	Name string       `json:"name"`
	On   string       `json:"on"`
}

// maxBeginnings bounds how many of a sort are listed.
const maxBeginnings = 500

func (s *Session) beginnings(a mapArgs) (Beginnings, error) {
	st := s.stage()
	out := Beginnings{Here: s.beginsOn(a.Map), Ways: []BeginningWay{}, Taken: []Takeable{}}
	for r := range st.Things {
		if t := &st.Things[r]; (t.Acts == kind.Collectible || t.Acts == kind.Key || t.Acts == kind.Item) && len(out.Taken) < maxBeginnings {
			out.Taken = append(out.Taken, Takeable{st.End(world.Ref(r)), t.Name, st.Grounds[t.Map].Name})
		}
	}
	for _, p := range st.Ways {
		if to := st.ThingOf(p.To.Map, p.To.Entity); to >= 0 && len(out.Ways) < maxBeginnings {
			out.Ways = append(out.Ways, BeginningWay{p.ID, s.endName(p.From), s.endName(p.To)})
		}
	}
	slices.SortStableFunc(out.Ways, func(a, b BeginningWay) int { return strings.Compare(a.From, b.From) })
	return out, nil
}

// beginsOn says where a game begins that is played from a map.
func (s *Session) beginsOn(at document.ID) string {
	st := s.stage()
	if way := play.WayOnto(st, at); way != nil {
		return "Out of " + s.endName(way.From) + ", as " + s.doc().Maps.Get(at).Name + " has no spawn"
	}
	g, err := play.StartWith(st, at, play.Given{}, 0)
	if err != nil {
		return "At the spawn"
	}
	return "At the spawn of " + g.Ground().Name
}

// endName says where an end of a passage lies.
func (s *Session) endName(e document.End) string {
	m := s.doc().Maps.Get(e.Map)
	if m == nil {
		return ""
	}
	if o := m.Entities.Get(e.Entity); o != nil {
		return m.Name + ": " + o.Name
	}
	return m.Name + ": " + e.Side.Edge()
}

type idArgs struct {
	ID document.ID `json:"id"`
}

// resume goes on from a pin.
func (s *Session) resume(a idArgs) (zero View, err error) {
	pin := s.doc().Pins.Get(a.ID)
	if pin == nil {
		return zero, errors.New("the pin is no longer there")
	}
	return s.begin(play.Resume(s.stage(), pin.Moment))
}

func (s *Session) recording(id document.ID) (*document.Recording, error) {
	if r := s.doc().Recordings.Get(id); r != nil {
		return r, nil
	}
	return nil, errors.New("the recording is no longer there")
}

// watch plays a recording on the project as it is.
func (s *Session) watch(a idArgs) (zero View, err error) {
	r, err := s.recording(a.ID)
	if err != nil {
		return zero, err
	}
	v, err := s.begin(play.Resume(s.stage(), r.Start))
	if err != nil {
		return zero, err
	}
	s.play.script, s.play.leads = play.Script(r), leadsRecording
	v.Shows = s.play.shows()
	return v, nil
}

// following is a recording that is being compared with what happens now.
type following struct {
	stage    *world.Stage
	follower *play.Follower
	known    Follows
}

// Follows is how a recording goes on the project as it is.
type Follows struct {
	// Done tells that it was played to its end, or to where it parts.
	Done bool `json:"done"`
	// Why is why it cannot be played at all.
	Why   string        `json:"why"`
	Parts *play.Parting `json:"parts"`
}

// follow goes on comparing a recording for so many ticks.
func (s *Session) follow(a struct {
	ID    document.ID `json:"id"`
	Ticks int         `json:"ticks"`
}) (zero Follows, err error) {
	r, err := s.recording(a.ID)
	if err != nil {
		return zero, err
	}
	st := s.stage()
	f := s.following[a.ID]
	if f == nil || f.stage != st {
		if s.following == nil || len(s.following) > document.MaxRecordings {
			s.following = map[document.ID]*following{}
		}
		f = &following{stage: st}
		s.following[a.ID] = f
		if f.follower, err = play.Follow(st, r); err != nil {
			f.known = Follows{Done: true, Why: err.Error()}
		}
	}
	if !f.known.Done {
		f.known.Done, f.known.Parts = f.follower.Step(max(1, min(a.Ticks, 100_000)))
	}
	if f.known.Done {
		f.follower = nil
	}
	return f.known, nil
}

func init() {
	if !designs {
		return
	}
	register(map[string]method{
		"addPin":       with((*Session).addPin),
		"addRecording": with((*Session).addRecording),
		"resume":       with((*Session).resume),
		"watch":        with((*Session).watch),
		"follow":       with((*Session).follow),
		"beginnings":   with((*Session).beginnings),
	})
}
