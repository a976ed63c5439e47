package world

import (
	"azzel/core/kind"
	"slices"
)

// settings are what is set of a map, read when it is first asked for.
type settings struct {
	lens                     Lens
	darkness, sight          int
	remembersSight           bool
	remembers, quiet         bool
	dangers, scales, sensors []Ref
	timed, fans, cores       []Ref
	springs, sounds, areas   []Ref
	plays                    string
	days, weather, stars     string
	music                    string
	key                      int
	timeLimit                int64
	moveLimit                int32
	watched                  bool
	segments                 []Segment
	segmentsNear             [][]int32
}

func (g *Ground) settings() *settings {
	if g.set == nil {
		g.readSettings()
	}
	return g.set
}

func (g *Ground) readSettings() {
	d := g.stage.Doc
	whole := func(key string) int { return int(d.MapValue(g.Map, key).Thousandths() / 1000) }
	g.set = &settings{lens: LensOf(g.stage.Doc, g.Map), darkness: whole(kind.MapDarkness), sight: whole(kind.MapSight),
		remembersSight: d.MapValue(g.Map, kind.MapRemembers).Yes(), remembers: d.MapValue(g.Map, kind.MapEnteredAgain).Word() != kind.Afresh}
	for r := g.First; r < g.After; r++ {
		if acts := g.stage.Things[r].Acts; acts == kind.Beam || acts == kind.Turner || acts == kind.Shooter {
			g.set.dangers = append(g.set.dangers, r)
		}
		if t := &g.stage.Things[r]; t.Acts == kind.Switch && t.Doing.Worked == ByWeight {
			g.set.scales = append(g.set.scales, r)
		}
		switch t := &g.stage.Things[r]; {
		case t.Acts == kind.Sensor:
			g.set.sensors = append(g.set.sensors, r)
		case t.Acts == kind.Fan:
			g.set.fans = append(g.set.fans, r)
		case t.Acts == kind.Spring:
			g.set.springs = append(g.set.springs, r)
		case t.Acts == kind.Sound:
			g.set.sounds = append(g.set.sounds, r)
		case t.Acts == kind.Core:
			g.set.cores = append(g.set.cores, r)
		case t.Doing.Timed:
			g.set.timed = append(g.set.timed, r)
		}
		if g.stage.Things[r].Area != nil {
			g.set.areas = append(g.set.areas, r)
		}
	}
	g.set.days, g.set.weather = d.MapValue(g.Map, kind.MapDays).Word(), d.MapValue(g.Map, kind.MapWeather).Word()
	g.set.stars = d.MapValue(g.Map, kind.MapStars).Word()
	g.set.timeLimit = (d.MapValue(g.Map, kind.MapTimeLimit).Thousandths()*TicksPerSecond + 999_999) / 1_000_000
	g.set.moveLimit = int32(whole(kind.MapMoveLimit))
	g.set.watched = g.stage.Book.Counts || g.set.timeLimit > 0 || g.set.moveLimit > 0 || g.set.stars == kind.StarsMoves
	if music := d.MapValue(g.Map, kind.MapMusic).Word(); music != kind.NoSound {
		g.set.music, g.set.key = music, slices.Index(kind.Keys, d.MapValue(g.Map, kind.MapKey).Word())
	}
	if plays := d.MapValue(g.Map, kind.MapSound).Word(); plays != kind.NoSound {
		g.set.plays = plays
	}
	s := g.set
	s.takeLines(g)
	s.quiet = len(s.dangers)+len(s.scales)+len(s.sensors)+len(s.timed)+len(s.fans)+len(s.cores)+len(s.springs) == 0
}

// Quiet tells that nothing on the map does anything by itself but what leaves its place, nor notices anybody.
func (g *Ground) Quiet() bool { return g.settings().quiet }

// Lens is the camera of the map.
func (g *Ground) Lens() *Lens { return &g.settings().lens }

// Darkness is how dark it is on the map where no light shines, in hundredths.
func (g *Ground) Darkness() int { return g.settings().darkness }

// Sight is how many cells the hero sees on the map; 0 is everything.
func (g *Ground) Sight() int { return g.settings().sight }

// SightRemembers tells whether what was seen once stays on view.
func (g *Ground) SightRemembers() bool { return g.settings().remembersSight }

// Areas are its things that do something to whoever is in them, ascending.
func (g *Ground) Areas() []Ref { return g.settings().areas }

// Dangers are its things that hurt from afar, ascending.
func (g *Ground) Dangers() []Ref { return g.settings().dangers }

// Scales are its switches that are held down by weight, ascending.
func (g *Ground) Scales() []Ref { return g.settings().scales }

// Sensors are its sensor areas, ascending.
func (g *Ground) Sensors() []Ref { return g.settings().sensors }

// Timed are its timers, sources and charges, ascending.
func (g *Ground) Timed() []Ref { return g.settings().timed }

// Fans are its fans, ascending.
func (g *Ground) Fans() []Ref { return g.settings().fans }

// Springs are its springs, ascending.
func (g *Ground) Springs() []Ref { return g.settings().springs }

// Sounds are its sound places, ascending.
func (g *Ground) Sounds() []Ref { return g.settings().sounds }

// Plays is what is heard all over the map; empty for nothing.
func (g *Ground) Plays() string { return g.settings().plays }

// Cores are what waves want to reach on it, ascending.
func (g *Ground) Cores() []Ref { return g.settings().cores }

// Remembers tells whether what happened on the map is still so when one comes back.
func (g *Ground) Remembers() bool { return g.settings().remembers }
