package world

import (
	"azzel/core/document"
	"azzel/core/kind"
	"slices"
)

// Gait is how a hero moves on a map, in 1/256 pixels and ticks.
type Gait struct {
	// W and H are its box, Low how high it is when it ducks.
	W, H, Low int64
	// Cells walks from one cell to the next, Turns waits with each for the player; Eight
	// ways are to the corners as well.
	Cells, Turns, Eight bool
	// RunX and RunY are how far it goes in a tick.
	RunX, RunY int64
	// Start and Stop are how much faster and slower it gets in a tick, seen from the side;
	// Air is how much of that it has in the air, in hundredths.
	Start, Stop, Air int64
	// Gravity is what is added to falling in a tick, Jump the speed that a jump begins with,
	// Fall the most that it falls in a tick.
	Gravity, Jump, Fall int64
	// Grace is for how long after an edge a jump still counts, Early for how long before the ground.
	Grace, Early int16
	// Double and Wall are jumps in the air and from walls.
	Double, Wall bool
	// WindX and WindY blow it along; Slow falls slowly, Wet swims everywhere.
	WindX, WindY int64
	Slow, Wet    bool
	// Hearts is how many it has, Lives how often it comes back (0 always), Blink how long after being struck nothing strikes it.
	Hearts, Lives int32
	// Points are how many steps and uses a turn has, where the hero goes turn by turn; 0 has each step be one.
	Points int32
	Blink  int16
	// Blow strikes ahead where there is nothing to use; BlowWith is the item that it takes.
	Blow bool
	// BlowRests is how many ticks lie between two blows; 0 is as long as one takes.
	BlowRests int32
	BlowWith  string
}

type gaitKey struct {
	m, hero Ref
}

// Abilities that a hero can have, as words of its setting.
const (
	DoubleJump = "double jump"
	WallJump   = "wall jump"
)

// Gait is how a hero, or another thing, moves on a map; None is a hero that was placed nowhere.
func (s *Stage) Gait(g *Ground, hero Ref) *Gait { return s.GaitOn(g.Ref, hero) }

// GaitOn is the same by the number of the map, which is there.
func (s *Stage) GaitOn(m, hero Ref) *Gait {
	if key := (gaitKey{m, hero}); s.lastGait == nil || s.lastKey != key {
		return s.findGait(key)
	}
	return s.lastGait
}

func (s *Stage) findGait(key gaitKey) *Gait {
	out := s.knownGait(key)
	s.lastGait, s.lastKey = out, key
	return out
}

// knownGait is found by the number of a thing on its own map, since a crowd asks for each of its own with every tick.
func (s *Stage) knownGait(key gaitKey) *Gait {
	t := s.Thing(key.hero)
	if t == nil || t.Map != key.m {
		out := s.gaits[key]
		if out == nil {
			out = s.makeGait(key.m, t)
			s.gaits[key] = out
		}
		return out
	}
	if s.atHome == nil {
		s.atHome = make([]*Gait, len(s.Things))
	}
	out := &s.atHome[key.hero]
	if *out == nil {
		*out = s.makeGait(key.m, t)
	}
	return *out
}

func (s *Stage) makeGait(m Ref, t *Thing) *Gait {
	g := s.Grounds[m]
	switch {
	case t == nil:
		return s.gaitOf(g, nil)
	case t.Doing.Goes:
		return s.beingGait(g, t)
	}
	return s.gaitOf(g, t.Entity)
}

// KindOf is the kind of a thing, which is there.
func (s *Stage) KindOf(r Ref) *kind.Kind {
	if s.kinds == nil {
		s.kinds = make([]*kind.Kind, len(s.Things))
	}
	k := &s.kinds[r]
	if *k == nil {
		*k = s.Doc.Kind(document.ID(s.Things[r].Kind))
	}
	return *k
}

func (s *Stage) gaitOf(g *Ground, who *document.Entity) *Gait {
	d := s.Doc
	hero := func(key string) int64 { return d.HeroValue(g.Map, who, s.hero, key).Thousandths() }
	word := func(key string) string { return d.MapValue(g.Map, key).Word() }
	w, h := g.Cell()
	pace := func(thousandths, cell int64) int64 { return thousandths * cell / (1000 * TicksPerSecond) }
	force := d.MapValue(g.Map, kind.MapWindForce).Thousandths()
	out := &Gait{
		W: max(1, int64(g.CellWidth)*3/4) * Unit, H: max(1, int64(g.CellHeight)*3/4) * Unit,
		RunX: pace(hero(document.HeroSpeed), w), RunY: pace(hero(document.HeroSpeed), h),
		Air:     hero(kind.HeroAir) / 1000,
		Gravity: d.MapValue(g.Map, kind.MapGravity).Thousandths() * h / (1000 * TicksPerSecond * TicksPerSecond),
		Fall:    pace(hero(kind.HeroFall), h),
		Grace:   int16(Ticks(hero(kind.HeroGrace) / 1000)), Early: int16(Ticks(hero(kind.HeroEarly) / 1000)),
		Slow: word(kind.MapAir) == kind.AirSlowFall, Wet: word(kind.MapAir) == kind.AirWater,
		Hearts: int32(max(1, hero(kind.HeroHealth)/1000)), Lives: int32(hero(kind.HeroLives) / 1000), Points: int32(hero(kind.HeroPoints) / 1000), Blink: int16(Ticks(hero(kind.HeroBlink) / 1000)),
	}
	out.Low = max(Unit, out.H/2/Unit*Unit)
	out.Blow = d.HeroValue(g.Map, who, s.hero, kind.HeroBlow).Word() == kind.BlowAhead
	out.BlowWith = d.HeroValue(g.Map, who, s.hero, kind.HeroBlowWith).Word()
	out.BlowRests = int32(Ticks(hero(kind.HeroBlowRests) / 1000))
	walks := word(kind.MapWalking)
	out.Cells, out.Turns = walks != kind.WalksFree, walks == kind.WalksTurns
	out.Eight = word(kind.MapWays) == kind.EightWays
	out.Start = max(1, out.RunX/max(1, Ticks(hero(kind.HeroStarts)/1000)))
	out.Stop = max(1, out.RunX/max(1, Ticks(hero(kind.HeroStops)/1000)))
	out.Jump = JumpSpeed(hero(document.HeroJump)*h/1000, out.Gravity)
	able := d.HeroValue(g.Map, who, s.hero, kind.HeroAbilities).List()
	out.Double, out.Wall = slices.Contains(able, DoubleJump), slices.Contains(able, WallJump)
	switch document.Facing(word(kind.MapWind)) {
	case document.Up:
		out.WindY = -pace(force, h)
	case document.Right:
		out.WindX = pace(force, w)
	case document.Down:
		out.WindY = pace(force, h)
	case document.Left:
		out.WindX = -pace(force, w)
	}
	return out
}

// Carries are the items that a hero begins with; None is one that was placed nowhere.
func (s *Stage) Carries(hero Ref) []string {
	if out, known := s.carries[hero]; known {
		return out
	}
	var who *document.Entity
	if t := s.Thing(hero); t != nil {
		who = t.Entity
	}
	out := s.Doc.HeroValue(nil, who, s.hero, "carries").List()
	if s.carries == nil {
		s.carries = map[Ref][]string{}
	}
	s.carries[hero] = out
	return out
}

// Ticks is how many ticks a time in milliseconds takes, rounded up.
func Ticks(ms int64) int64 { return (ms*TicksPerSecond + 999) / 1000 }

// Rise is how high one comes who leaves the ground at a speed, when gravity is taken from it
// in every tick before the step.
func Rise(speed, gravity int64) int64 {
	if gravity <= 0 {
		return 0
	}
	n := speed / gravity
	return n*speed - gravity*n*(n+1)/2
}

// JumpSpeed is the least speed at which a jump comes as high as is asked: the sum over the
// ticks is what counts, not the curve through them.
func JumpSpeed(height, gravity int64) int64 {
	if height <= 0 || gravity <= 0 {
		return 0
	}
	low, high := int64(0), gravity
	for Rise(high, gravity) < height {
		high *= 2
	}
	for low+1 < high {
		if mid := (low + high) / 2; Rise(mid, gravity) < height {
			low = mid
		} else {
			high = mid
		}
	}
	return high
}
