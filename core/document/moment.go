package document

import (
	"azzel/core/grid"
	"fmt"
	"unicode/utf8"
)

// Moment is a game as it stood, told by ids and words, so that it can be gone on with on
// any later version of the project. What it names that is not there any more is kept for
// when it comes back.
type Moment struct {
	// Tick is how many steps of 1/60 s were played before, Seed what dice follow from.
	Tick int64 `json:"tick"`
	Seed int64 `json:"seed"`
	// Clock is how many ticks of days have passed, Round what was counted since the hero began on a map.
	Clock int64    `json:"clock,omitempty"`
	Round *RoundSo `json:"round,omitempty"`
	// Hearts are those of the hero, Lives what is left where they are counted.
	Hearts int `json:"hearts"`
	Lives  int `json:"lives,omitempty"`
	// Points are what is left of a turn.
	Points int `json:"points,omitempty"`
	// Flags are set, Rules have run that run once only.
	Flags  []ID      `json:"flags,omitempty"`
	Rules  []ID      `json:"rules,omitempty"`
	Things []ThingSo `json:"things,omitempty"`
	Hero   Figure    `json:"hero"`
	// Bodies are what else moves, on the maps of Entered, where the hero has been.
	Bodies  []Figure `json:"bodies,omitempty"`
	Entered []ID     `json:"entered,omitempty"`
	// Touching are the entities that the hero touches.
	Touching []End       `json:"touching,omitempty"`
	Worn     []GoesBack  `json:"worn,omitempty"` // hits that are left of what was hit
	Timers   []GoesBack  `json:"timers,omitempty"`
	Made     []MadeSoFar `json:"made,omitempty"`
	// Party are the heroes that are not led, the next one first; Trail is where the one who is has been.
	Party []Waiting    `json:"party,omitempty"`
	Trail []Tread      `json:"trail,omitempty"`
	Side  string       `json:"side,omitempty"` // of the one who is led
	Shots []FlyingShot `json:"shots,omitempty"`
	// CameFrom is the map on which the hero was before, where rules ask that.
	CameFrom ID `json:"cameFrom,omitempty"`
	// Entry is where the hero came onto its map, Back where it comes back to when it is lost.
	Entry Spot `json:"entry"`
	Back  Spot `json:"back"`
	// Known is what was seen of maps on which one does not see everything.
	Known []Known `json:"known,omitempty"`
	// Inside is the exit that the hero stands in and has to leave before it works.
	Inside *End `json:"inside,omitempty"`
	// Leaving is the passage being gone through, Fade the ticks until its end.
	Leaving ID `json:"leaving,omitempty"`
	// Sent is where a rule sends the hero meanwhile.
	Sent *End `json:"sent,omitempty"`
	Fade int  `json:"fade,omitempty"`
	// Veil is what is seen meanwhile: one of Transitions, empty for the first.
	Veil string `json:"veil,omitempty"`
	// Lost is why the hero comes back once it is dark: one of Losses, empty for not at all.
	Lost string `json:"lost,omitempty"`
	// Held is what was held down in the last tick, as bits of Keys.
	Held int `json:"held,omitempty"`
	// Hand is the item in hand, by its word.
	Hand string `json:"hand,omitempty"`
	// Language is what is read in, empty for what the texts are written in.
	Language string `json:"language,omitempty"`
	Roam     bool   `json:"roam,omitempty"`
	// Lines are what is being said, Waits the rules that go on when it was read.
	Lines []SpokenLine `json:"lines,omitempty"`
	Waits []RuleWait   `json:"waits,omitempty"`
	// Chosen is the answer that is given next.
	Chosen int `json:"chosen,omitempty"`
	// Counters are those that are not what they start with, Spent the rules of kinds that ran once for something.
	Counters []CounterSo `json:"counters,omitempty"`
	Spent    []SpentFor  `json:"spent,omitempty"`
	// Given are the items that rules gave, less what they took.
	Given []GivenItem `json:"given,omitempty"`
	// Sheets are the layers that are there, or not, otherwise than at first.
	Sheets []LayerAt `json:"sheets,omitempty"`
	// Drawn is how often parts of rules asked chance.
	Drawn []DrawnSo `json:"drawn,omitempty"`
	// Over is how it ended: one of Ends, empty for not yet; Ending is what is said then.
	Over   string `json:"over,omitempty"`
	Ending string `json:"ending,omitempty"`
}

// ThingSo is what is so of an entity: words of Sos.
type ThingSo struct {
	Map ID       `json:"map"`
	ID  ID       `json:"id"`
	Is  []string `json:"is"`
	// Own are the flags and counters of its own that are not what they are at first.
	Own []OwnSo `json:"own,omitempty"`
}

// RoundSo is what was counted since the hero began on a map: ticks and moves.
type RoundSo struct {
	Map   ID    `json:"map"`
	Ticks int64 `json:"ticks"`
	Moves int   `json:"moves,omitempty"`
}

// OwnSo is what a flag, as 0 or 1, or a counter of an entity's own is, by the key of its setting.
type OwnSo struct {
	Key string `json:"key"`
	Is  int    `json:"is"`
}

// Sos are what can be so of an entity in a game: it is not in its first state, a rule
// opened it, the hero has taken it, it was taken away, the hero has been there, it was used up,
// and against what it is at first: whether it is there, is shown, is disabled.
var Sos = []string{"switched", "opened", "taken", "gone", "reached", "spent", "brought", "veiled", "disabled"}

// Losses are why the hero is lost: over an edge, without hearts, or with a core that has fallen.
var Losses = []string{"fallen", "struckOut", "overrun"}

// Modes are how a body moves; the first is what goes without saying.
var Modes = []string{"walks", "flies", "climbs", "swims"}

// Keys are what can be held down in a game, by their bits, the lowest first.
var Keys = []string{"up", "right", "down", "left", "use", "jump", "roam", "swap", "slot1", "slot2", "slot3", "slot4", "next", "skip", "language"}

// Spot is a place on a map: the top-left corner of the hero's box, in 1/256 map pixels.
type Spot struct {
	Map ID    `json:"map"`
	X   int64 `json:"x"`
	Y   int64 `json:"y"`
}

// Figure is the hero as it stands: lengths in 1/256 map pixels, times in ticks.
type Figure struct {
	// Of is the entity that it is of; nil was placed nowhere.
	Of *End `json:"of,omitempty"`
	Spot
	// VX and VY are how far it goes in a tick, GoalX and GoalY where a step from cell to cell ends.
	VX     int64  `json:"vx,omitempty"`
	VY     int64  `json:"vy,omitempty"`
	GoalX  int64  `json:"goalX,omitempty"`
	GoalY  int64  `json:"goalY,omitempty"`
	Facing Facing `json:"facing"`
	// Mode is one of Modes, empty for the first.
	Mode  string `json:"mode,omitempty"`
	Steps int    `json:"steps,omitempty"`
	// What is left of a jump after an edge, of one pressed early, of being unhurt, of being thrown back.
	Grace int `json:"grace,omitempty"`
	Early int `json:"early,omitempty"`
	Blink int `json:"blink,omitempty"`
	Push  int `json:"push,omitempty"`
	// What it is doing.
	Rising   bool `json:"rising,omitempty"`
	Doubled  bool `json:"doubled,omitempty"`
	Ducked   bool `json:"ducked,omitempty"`
	Stepping bool `json:"stepping,omitempty"`
	Thrown   bool `json:"thrown,omitempty"`
	Sunk     bool `json:"sunk,omitempty"`
	// Way is the direction in which it goes to and fro, −1 or 1; Next the point of its path.
	Way  int `json:"way,omitempty"`
	Next int `json:"next,omitempty"`
	// Timer is how long it waits, Drawn how often chance decided for it, Hearts how many hits it takes.
	Timer  int `json:"timer,omitempty"`
	Drawn  int `json:"drawn,omitempty"`
	Hearts int `json:"hearts,omitempty"`
}

// GoesBack is how many ticks are left until an entity goes back to what it was, or how many hits it takes.
type GoesBack struct {
	Of   End `json:"of"`
	Left int `json:"left"`
}

// Waiting is a hero that is not led, where it waits; one that was placed nowhere is of nothing.
type Waiting struct {
	Of *End `json:"of,omitempty"`
	// Side is its team.
	Side string `json:"side,omitempty"`
	Tread
}

// Tread is a place where a hero was, and how it looked.
type Tread struct {
	Spot
	Facing Facing `json:"facing"`
}

// MadeSoFar is how much a source has made: in all, in which wave it is, from 0, and how many of that.
type MadeSoFar struct {
	Of   End `json:"of"`
	All  int `json:"all,omitempty"`
	Wave int `json:"wave,omitempty"`
	Part int `json:"part,omitempty"`
}

// FlyingShot is something that flies: who shot it, its middle and how far it goes in a tick, in
// 1/256 map pixels, and for how many ticks.
type FlyingShot struct {
	Of   End   `json:"of"`
	X    int64 `json:"x"`
	Y    int64 `json:"y"`
	VX   int64 `json:"vx"`
	VY   int64 `json:"vy"`
	Left int   `json:"left"`
}

// Known are the cells of a map that were seen: a bit each, by rows of Box, the lowest
// bit of the first byte first.
type Known struct {
	Map  ID        `json:"map"`
	Box  grid.Rect `json:"box"`
	Bits []byte    `json:"bits"`
}

// SpokenLine is a page of what is said; with one that Resumes, a rule goes on.
type SpokenLine struct {
	Text    string `json:"text"`
	Resumes bool   `json:"resumes,omitempty"`
	// Answers are what can be answered to it.
	Answers []string `json:"answers,omitempty"`
	// By is who says it; nil is nobody.
	By *End `json:"by,omitempty"`
	// As is one more than the guise as in which it looks; 0 is as it does.
	As int `json:"as,omitempty"`
}

// Limits of a moment.
const (
	maxTick      = 1 << 40
	maxSpot      = 1 << 40
	maxSo        = 50_000
	maxKnown     = 100
	maxLines     = 1_000
	maxKnownBits = 1 << 20 // bytes of all that was seen
)

func (s Spot) check(what string) error {
	return first(checkID(what, s.Map), checkRange(what, int(s.X), -maxSpot, maxSpot), checkRange(what, int(s.Y), -maxSpot, maxSpot))
}

// Check finds what is wrong with a moment.
func (m *Moment) Check() error {
	if r := m.Round; r != nil {
		if err := first(checkID("the map that is to be finished", r.Map), checkRange("how long it was played", int(r.Ticks), 0, maxTick), checkRange("how many moves were made", r.Moves, 0, 1<<30)); err != nil {
			return err
		}
	}
	if err := first(checkRange("when it was", int(m.Tick), 0, maxTick), checkRange("the time of day", int(m.Clock), 0, maxTick), checkRange("hearts", m.Hearts, 0, 1<<20), checkRange("lives", m.Lives, 0, 1<<20), checkRange("points", m.Points, 0, 1<<20),
		checkRange("how much is so", len(m.Flags)+len(m.Rules)+len(m.Things)+len(m.Counters)+len(m.Spent)+len(m.Given)+len(m.Sheets)+len(m.Drawn), 0, maxSo), checkRange("an answer", m.Chosen, 0, MaxAnswers),
		checkRange("how much is said", len(m.Lines)+len(m.Waits), 0, maxLines),
		checkRange("what is held", m.Held, 0, 1<<len(Keys)-1), checkRange("how much moves", len(m.Bodies)+len(m.Entered)+len(m.Touching)+len(m.Timers)+len(m.Worn)+len(m.Made)+len(m.Party)+len(m.Trail)+len(m.Shots), 0, maxSo),
		checkLines("what is in hand, and a team", m.Hand, m.Side), checkRange("a fade", m.Fade, 0, 1<<14),
		m.Entry.check("where the hero came in"), m.Back.check("where the hero comes back to"), m.Hero.check(),
		checkWord("a loss", m.Lost, Losses), checkWord("a passage", m.Veil, Transitions)); err != nil {
		return err
	}
	if err := m.checkBodies(); err != nil {
		return err
	}
	for _, id := range append(append([]ID{}, m.Flags...), m.Rules...) {
		if err := checkID("what is so", id); err != nil {
			return err
		}
	}
	if err := m.checkRules(); err != nil {
		return err
	}
	for _, t := range m.Things {
		if err := first(checkID("a thing's map", t.Map), checkID("a thing", t.ID), checkRange("what is so of a thing", len(t.Is), 0, len(Sos))); err != nil {
			return err
		}
		for _, o := range t.Own {
			if err := first(checkName(o.Key), checkRange("a counter", o.Is, -1<<30, 1<<30)); err != nil {
				return err
			}
		}
		if err := checkRange("how much a thing has of its own", len(t.Own), 0, maxSettings); err != nil {
			return err
		}
		for _, is := range t.Is {
			if err := checkWord("what is so of a thing", is, Sos); err != nil {
				return err
			}
		}
	}
	for _, l := range m.Lines {
		if !utf8.ValidString(l.Text) || len(l.Text) > MaxText {
			return fmt.Errorf("what is said has at most %d characters", MaxText)
		}
		if err := checkRange("as what somebody looks", l.As, 0, MaxNumber); err != nil {
			return err
		}
		if len(l.Answers) > MaxAnswers {
			return fmt.Errorf("a question has at most %d answers", MaxAnswers)
		}
		if err := checkLines("an answer", l.Answers...); err != nil {
			return err
		}
	}
	return m.checkKnown()
}

// checkLines finds words that are longer than what people write.
func checkLines(what string, all ...string) error {
	for _, word := range all {
		if !utf8.ValidString(word) || utf8.RuneCountInString(word) > MaxText {
			return fmt.Errorf("%s has at most %d characters", what, MaxText)
		}
	}
	return nil
}

func (m *Moment) checkBodies() error {
	for i := range m.Bodies {
		if err := m.Bodies[i].check(); err != nil {
			return err
		}
		if m.Bodies[i].Of == nil {
			return fmt.Errorf("what moves is of an entity")
		}
	}
	for _, id := range m.Entered {
		if err := checkID("a map where the hero was", id); err != nil {
			return err
		}
	}
	for _, e := range m.Touching {
		if err := first(checkID("a map", e.Map), checkID("what the hero touches", e.Entity)); err != nil {
			return err
		}
	}
	for _, t := range append(append([]GoesBack{}, m.Timers...), m.Worn...) {
		if err := first(checkID("what goes back", t.Of.Entity), checkRange("when it goes back", t.Left, 0, 1<<20)); err != nil {
			return err
		}
	}
	treads := append([]Tread{}, m.Trail...)
	for _, w := range m.Party {
		if err := checkLines("a team", w.Side); err != nil {
			return err
		}
		treads = append(treads, w.Tread)
		if w.Of != nil {
			if err := checkID("a hero", w.Of.Entity); err != nil {
				return err
			}
		}
	}
	for _, t := range treads {
		if err := first(checkID("a hero's map", t.Map), checkRange("where a hero was", int(max(t.X, -t.X, t.Y, -t.Y)), 0, maxSpot), checkRange("where a hero looks", t.Facing.Index(), 0, 3)); err != nil {
			return err
		}
	}
	for _, t := range m.Made {
		if err := first(checkID("a source", t.Of.Entity), checkRange("how many were made", max(t.All, t.Wave, t.Part), 0, 1<<30), checkRange("how many were made", min(t.All, t.Wave, t.Part), 0, 1<<30)); err != nil {
			return err
		}
	}
	for _, s := range m.Shots {
		if err := first(checkID("who shot", s.Of.Entity), checkRange("where a shot is", int(max(s.X, -s.X, s.Y, -s.Y)), 0, maxSpot),
			checkRange("how fast a shot is", int(max(s.VX, -s.VX, s.VY, -s.VY)), 0, 1<<24), checkRange("how long a shot flies", s.Left, 0, 1<<24)); err != nil {
			return err
		}
	}
	return nil
}

func (m *Moment) checkKnown() error {
	all := 0
	for _, k := range m.Known {
		w, h := k.Box.W, k.Box.H
		if err := first(checkID("a map that was seen", k.Map), checkRange("a map's width", w, 1, MaxSide), checkRange("a map's height", h, 1, MaxSide),
			checkRange("where a map lies", k.Box.X, -maxPixel, maxPixel), checkRange("where a map lies", k.Box.Y, -maxPixel, maxPixel),
			checkRange("what was seen of a map", len(k.Bits), (w*h+7)/8, (w*h+7)/8)); err != nil {
			return err
		}
		all += len(k.Bits)
	}
	return first(checkRange("how many maps were seen", len(m.Known), 0, maxKnown), checkRange("what was seen of maps", all, 0, maxKnownBits))
}

func (f *Figure) check() error {
	if f.Facing.Index() < 0 {
		return fmt.Errorf("the hero looks up, right, down or left")
	}
	return first(f.Spot.check("where the hero is"), checkWord("how the hero moves", f.Mode, Modes),
		checkRange("how fast the hero is", int(max(f.VX, -f.VX, f.VY, -f.VY)), 0, maxSpot),
		checkRange("where a step ends", int(max(f.GoalX, -f.GoalX, f.GoalY, -f.GoalY)), 0, maxSpot),
		checkRange("steps", f.Steps, 0, 1<<30), checkRange("a direction", f.Way, -1, 1), checkRange("a point of a path", f.Next, 0, 1<<14),
		checkRange("how long it waits", max(f.Timer, -f.Timer), 0, 1<<30), checkRange("how often chance decided", f.Drawn, 0, 1<<30), checkRange("hits", f.Hearts, 0, 1<<20),
		checkRange("what is left of a while", max(f.Grace, f.Early, f.Blink, f.Push), 0, 1<<14),
		checkRange("what is left of a while", min(f.Grace, f.Early, f.Blink, f.Push), 0, 1<<14))
}
