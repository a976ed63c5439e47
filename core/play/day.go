package play

import (
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/world"
)

// dayPasses lets the time of day pass for a tick, where it does on the map.
func (g *Game) dayPasses(m *world.Ground) {
	b := &g.Stage.Book
	if m.Days() == kind.DaysStand {
		return
	}
	was := b.Minute(g.Clock)
	g.Clock++
	if is := b.Minute(g.Clock); b.Hours && is/60 != was/60 {
		g.happen(happening{on: rules.WordHour, thing: world.None, exact: true, is: int32(is / 60)})
	}
}

// setsClock lets it be an hour of the day, later today or tomorrow.
func (g *Game) setsClock(hour int64) {
	b := &g.Stage.Book
	if b.Day <= 0 {
		g.Notice = "No day passes in this game: say under Game how long one lasts."
		return
	}
	at := b.Day * ((hour%24 + 24) % 24) / 24
	if at*24/b.Day < (hour%24+24)%24 {
		at++ // the first tick of the hour
	}
	g.Clock += ((at-b.Begins-g.Clock)%b.Day + b.Day) % b.Day
	if b.Hours {
		g.happen(happening{on: rules.WordHour, thing: world.None, exact: true, is: int32(b.Minute(g.Clock) / 60)})
	}
}

// between reports whether it is from one hour on to before another, which may be tomorrow.
func (g *Game) between(from, to int64) bool {
	minute := g.Stage.Book.Minute(g.Clock)
	if minute < 0 {
		return false
	}
	h := int64(minute / 60)
	from, to = (from%24+24)%24, (to%24+24)%24
	if from <= to {
		return from <= h && h < to
	}
	return h >= from || h < to
}

// Minute is the minute of the day; −1 where none passes.
func (g *Game) Minute() int { return g.Stage.Book.Minute(g.Clock) }

// Night is how dark it is by the time of day where the hero is, in hundredths.
func (g *Game) Night() int {
	if m := g.Ground(); m == nil || m.Days() == kind.DaysInside {
		return 0
	}
	return g.Stage.Book.DarkAt(g.Minute())
}

// Darkness is how dark it is where the hero is and no light shines, in hundredths: by rules, or by the map, or by night.
func (g *Game) Darkness() int {
	m := g.Ground()
	switch {
	case m == nil:
		return 0
	case g.Show.Dim > 0:
		return int(g.Show.Dim) - 1
	}
	return max(m.Darkness(), g.Night())
}

// Burns tells whether a thing that shines does so now.
func (g *Game) Burns(l *world.Light) bool {
	return !l.ByNight || g.Stage.Book.DarkAt(g.Minute()) >= world.NightFrom
}

// Weather is what it is like where the hero is.
func (g *Game) Weather() string {
	if s := g.Show.Weather; s != "" {
		return s
	}
	if m := g.Ground(); m != nil {
		return m.Weather()
	}
	return kind.Weathers[0]
}
