package world

import (
	"azzel/core/document"
	"azzel/core/kind"
	"slices"
)

// Doing is what a thing does by itself, in 1/256 pixels and ticks.
type Doing struct {
	// Goes tells that it can leave its place: then its box is that of a body.
	Goes bool
	// SpeedX and SpeedY are how far it goes in a tick, across and down.
	SpeedX, SpeedY int64
	// RangeX and RangeY are how far it goes from its place to either side, or ahead.
	RangeX, RangeY int64
	// Sight is how many thousandths of a cell it sees, Seeing what it does then.
	Sight  int64
	Seeing Seeing
	// Habit is what a character does.
	Habit Habit
	// Rest is about how long one who wanders rests, Stroll how many cells it goes at once at the most.
	Rest   int32
	Stroll int64
	// Health is how many hits it takes, Harm what a touch takes away.
	Health, Harm int32
	// Beaten is what defeats or breaks it.
	Beaten Beaten
	// Weight is what a block counts on a switch, Weighs how much holds one down, or breaks it by falling on it.
	Weight, Weighs int32
	// Fills tells that a block falls into what hurts and fills it; InWater what becomes of it there.
	Fills   bool
	InWater InWater
	// Way is the path that it goes along instead, nil for none.
	Way *Way
	// Pause is how long it waits at its ends; Every how long from one time to the next.
	Pause, Every int32
	// After is how long something holds before it gives way, Back how long until it is back.
	After, Back int32
	// OnFor and OffFor are how long a beam is there and how long not; Arms turn within Every.
	OnFor, OffFor int32
	Arms          int
	Turns         Turns
	Aims          Aims
	ShotSpeed     int64
	// Worked is what works a switch, Returns when it goes back, or a door falls shut.
	Worked  Worked
	Returns Returns
	// Notices is whom a sensor notices.
	Notices Notices
	// Needs is the word of what opens or breaks it, Word what a key or an item is called by, or what
	// is left of it, Holds what is in it or what a being leaves; UsedUp keys open once.
	Needs, Word string
	Holds       []string
	UsedUp      bool
	// Gives is what an emitter gives, Rate how many a second.
	Gives string
	Rate  int
	// Plays is what is heard around a sound place, Loud how loud in its middle, in percent.
	Plays string
	Loud  int
	// Says is what is read when it is used.
	Says string
	// Timed tells that something comes to it after a while: a timer, a source, a charge. Again begins anew.
	Timed, Again bool
	// Makes are what it can make, AtOnce how many of them are there at a time, InAll how many it makes,
	// 0 without end, Waves how many in each wave.
	Makes         []Pool
	AtOnce, InAll int32
	Waves         []int
	// By made this one, None for what was put down; then it goes along a lane where Lane is so.
	By   Ref
	Lane bool
	// Lit is what lights a charge, Breaks whether it breaks what a blow breaks.
	Lit    Lit
	Breaks bool
	// Force is how strongly a fan blows.
	ForceX, ForceY int64
	// Line is ground that is drawn freely, nil for none.
	Line *Line
	// Side is whom a spawn is for, Turn which of several comes first.
	Side string
	Turn int32
	// Along tells of a hero that it follows the one who is led.
	Along bool
	// Carrier is what it travels along with.
	Carrier Ref
	// Carries are those that travel along with it, ascending.
	Carries []Ref
}

// Seeing is what somebody does who sees the hero.
type Seeing uint8

// What can be done then.
const (
	GoesOn Seeing = iota
	Follows
	Flees
	Halts
)

// Habit is what a character does by itself.
type Habit uint8

// The habits.
const (
	Stands Habit = iota
	LooksAround
	Wanders
	GoesAlong // with the hero
	RunsAway  // from it
)

// Way is a path as it is gone along.
type Way struct {
	// Points are where the middle goes, in 1/256 map pixels.
	Points []Spot
	// Round begins again at the first, Once ends at the last; else it goes back.
	Round, Once bool
	Speed       int64
	Pause       int32
}

// Spot is a place on a map, in 1/256 map pixels.
type Spot struct{ X, Y int64 }

// goers are the kinds that can leave their place.
var goers = []string{kind.Walker, kind.Flyer, kind.Character, kind.Platform, kind.Block, kind.Faller}

// doingOf is what an entity does by itself.
func (s *Stage) doingOf(m *document.Map, e *document.Entity, acts string) Doing {
	d := s.Doc
	number := func(key string) int64 { return d.Value(e, key).Thousandths() }
	word := func(key string) string { return d.Value(e, key).Word() }
	w, h := int64(m.CellWidth)*Unit, int64(m.CellHeight)*Unit
	pace := func(thousandths, cell int64) int64 { return thousandths * cell / (1000 * TicksPerSecond) }
	out := Doing{Goes: slices.Contains(goers, acts), Carrier: None, By: None, SpeedX: pace(number("speed"), w), SpeedY: pace(number("speed"), h),
		RangeX: number("range") * w / 1000, RangeY: number("range") * h / 1000, Sight: number("sight"),
		Seeing: Seeing(max(0, slices.Index([]string{"goesOn", "follows", "flees", "stops"}, word("seeing")))),
		Health: int32(max(1, number("health")/1000)), Harm: int32(number("harm") / 1000), Weight: 1, Beaten: beatenBy(d.Value(e, "defeatedBy").List()),
		Pause: int32(Ticks(number("pause") / 1000)), Every: int32(Ticks(number("every") / 1000))}
	ms := func(key string) int32 { return int32(Ticks(number(key) / 1000)) }
	far := func(key string) {
		out.RangeX, out.RangeY = number(key)*w/1000, number(key)*h/1000
	}
	switch acts {
	case kind.Faller:
		out.After, out.Back = ms("after"), ms("comesBackAfter")
	case kind.Beam:
		out.OnFor, out.OffFor = ms("onFor"), ms("offFor")
		far("length")
	case kind.Turner:
		out.Every, out.Arms = ms("turnTakes"), int(number("arms")/1000)
		out.Turns = Turns(max(0, slices.Index([]string{"right", "left", "toAndFro"}, word("turns"))))
		far("arm")
	case kind.Shooter:
		out.Aims = Aims(max(0, slices.Index([]string{"ahead", "atHero", "allAround"}, word("aims"))))
		out.ShotSpeed = pace(number("shotSpeed"), w)
		far("reach")
	case kind.Switch:
		out.After, out.Weighs = ms("after"), int32(max(1, number("weighs")/1000))
		out.Worked = Worked(max(0, slices.Index([]string{"use", "step", "weight", "blow"}, word("workedBy"))))
		out.Returns = Returns(max(0, slices.Index([]string{"never", "whenLeft", "afterAWhile"}, word("goesBack"))))
	case kind.Door:
		out.Needs = word("needs")
		if d.Value(e, "closesAgain").Yes() {
			out.Returns = WhenLeft
		}
	case kind.Block:
		out.Weight, out.Fills = int32(max(1, number("weight")/1000)), d.Value(e, "falls").Yes()
		out.InWater = InWater(max(0, slices.Index([]string{"sinks", "floats", "stays"}, word("inWater"))))
	case kind.Spring:
		far("height")
	case kind.Key:
		out.Word, out.UsedUp = d.Word(e), d.Value(e, "usedUp").Yes()
	case kind.Item:
		out.Word, out.UsedUp, out.Health = d.Word(e), d.Value(e, "usedUp").Yes(), int32(max(1, number("amount")/1000))
		out.Every = ms("readyAfter")
	case kind.Container:
		out.Needs, out.Holds = word("needs"), d.Value(e, "holds").List()
	case kind.Breakable:
		out.Needs, out.Word = word("by"), word("leaves")
		out.Beaten, out.Weighs = beatenBy(d.Value(e, "brokenBy").List()), int32(max(1, number("heavy")/1000))
	case kind.Sensor:
		out.Notices = Notices(max(0, slices.Index([]string{"hero", "beings", "blocks", "anything"}, word("notices"))))
	case kind.GroundLine:
		out.Line = lineOf(e, d.Value(e, "closed").Yes(), word("stops") == "above")
	case kind.Sound:
		far("radius")
		out.Plays, out.Loud = word("plays"), int(number("loudness")/1000)
	case kind.Spawn:
		out.Side, out.Turn = word("team"), int32(number("turn")/1000)
	case kind.Hero:
		out.Along = word(kind.HeroMeanwhile) == "follows"
	case kind.Timer:
		out.Timed, out.Again = true, d.Value(e, "again").Yes()
	case kind.Source, kind.LaneEntry:
		out.Timed, out.AtOnce, out.InAll, out.Waves = true, int32(max(1, number("atOnce")/1000)), int32(number("inAll")/1000), d.Value(e, "waves").Counts()
	case kind.Charge:
		out.Timed, out.Breaks = true, d.Value(e, "breaks").Yes()
		out.Every = max(1, ms("after"))
		out.Lit = Lit(max(0, slices.Index([]string{"use", "touch", "blow", "rule"}, word("goesOff"))))
		far("reach")
	case kind.Fan:
		out.ForceX, out.ForceY = pace(number("force"), w), pace(number("force"), h)
		far("reach")
	case kind.Emitter:
		out.Gives, out.Rate = word("gives"), int(number("perSecond")/1000)
	case kind.Sign:
		out.Says = word("says")
	}
	if acts == kind.Walker || acts == kind.Flyer || acts == kind.Shooter {
		out.Holds = d.Value(e, "leaves").List()
	}
	if acts == kind.Character {
		out.Says = word("says")
		out.Habit = Habit(max(0, slices.Index([]string{"stands", "looksAround", "wanders", "follows", "flees"}, word("does"))))
		out.RangeX, out.RangeY = number("roams")*w/1000, number("roams")*h/1000
		out.Rest, out.Stroll = ms("rests"), max(1, number("strolls")/1000)
	}
	if p := m.Entities.Get(document.ID(word("path"))); p != nil && len(p.Points) > 0 {
		out.Way = &Way{Round: d.Value(p, "goes").Word() == "round", Once: d.Value(p, "goes").Word() == "once",
			Speed: pace(d.Value(p, "speed").Thousandths(), w), Pause: int32(Ticks(d.Value(p, "pause").Thousandths() / 1000)), Points: pointsOf(p)}
	}
	return out
}

// pointsOf are the points of a path, its own middle first.
func pointsOf(p *document.Entity) []Spot {
	x, y := int64(p.X)*Unit+int64(p.W)*Unit/2, int64(p.Y)*Unit+int64(p.H)*Unit/2
	out := []Spot{{x, y}}
	for _, q := range p.Points {
		out = append(out, Spot{x + int64(q.X)*Unit, y + int64(q.Y)*Unit})
	}
	return out
}

// maxCarried is how many can travel along with each other, one with the next.
const maxCarried = 32

// takeCarriers finds what each thing of a map travels along with; in a circle nobody carries.
func (s *Stage) takeCarriers(g *Ground) {
	for r := g.First; r < g.After; r++ {
		t := &s.Things[r]
		if t.Carrier == "" || t.Acts == kind.Hero || t.Acts == kind.Spawn || t.Acts == kind.Arrival {
			continue
		}
		c := s.ThingOf(g.ID, t.Carrier)
		at, goes := c, false
		for n := 0; n < maxCarried && at >= 0 && at != r; n++ {
			goes = goes || s.Things[at].Doing.Goes && s.Things[at].Carrier == ""
			at = s.ThingOf(g.ID, s.Things[at].Carrier)
		}
		if at == None && goes {
			t.Doing.Carrier, t.Doing.Goes = c, true
			s.Things[c].Doing.Carries = append(s.Things[c].Doing.Carries, r)
		}
	}
}

// beingGait is how something that is no hero moves.
func (s *Stage) beingGait(g *Ground, t *Thing) *Gait {
	d := s.Doc
	_, h := g.Cell()
	out := &Gait{W: max(Unit, t.Body.Right-t.Body.Left), H: max(Unit, t.Body.Bottom-t.Body.Top), RunX: t.Doing.SpeedX, RunY: t.Doing.SpeedY,
		Gravity: d.MapValue(g.Map, kind.MapGravity).Thousandths() * h / (1000 * TicksPerSecond * TicksPerSecond),
		Fall:    18 * h / TicksPerSecond, Air: 100}
	out.Low = out.H
	out.Start, out.Stop = max(1, out.RunX/6), max(1, out.RunX/5)
	return out
}

// Aims is where a shooter shoots.
type Aims uint8

// Where it can shoot.
const (
	Ahead Aims = iota
	AtHero
	AllAround
)

// Worked is what works a switch.
type Worked uint8

// What can work one.
const (
	ByUse Worked = iota
	ByStep
	ByWeight
	ByBlow
)

// Notices is whom a sensor notices.
type Notices uint8

// Whom it can notice.
const (
	NoticesHero Notices = iota
	NoticesBeings
	NoticesBlocks
	NoticesAnything
)

// Lit is what lights a charge.
type Lit uint8

// What can light one.
const (
	LitByUse Lit = iota
	LitByTouch
	LitByBlow
	LitByRule
)

// Returns is when something goes back to what it was.
type Returns uint8

// When it can.
const (
	Never Returns = iota
	WhenLeft
	AfterAWhile
)
