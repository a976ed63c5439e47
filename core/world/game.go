package world

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/rules"
	"slices"
)

// Rulebook is what holds of the game as a whole.
type Rulebook struct {
	// GoalWins tells that a goal that no rule waits for wins the game.
	GoalWins bool
	// Collects are the things of which all are to be collected to win, by their numbers; Flag is the one that wins when it is set, and
	// None for none.
	Collects []Ref
	Flag     Ref
	// Moves is what counts as a move, and Counts whether they are counted on all maps.
	Moves  string
	Counts bool
	// Day is how many ticks a day lasts, 0 where none passes; Begins the tick of the day at which a game begins.
	Day, Begins int64
	// Dark is how dark it is at the beginning of each part of a day, in hundredths.
	Dark []int
	// Night is what the dark is tinted with.
	Night string
	// Hours tells that rules wait for an hour of the day.
	Hours bool
}

// takeRulebook reads what holds of the game.
func (s *Stage) takeRulebook(before *Stage) {
	d := s.Doc
	b := &s.Book
	b.GoalWins, b.Moves, b.Night = d.GameValue(kind.GameGoal).Word() == kind.GoalWins, d.GameValue(kind.GameMoves).Word(), d.GameValue(kind.GameNight).Word()
	s.takeAims()
	b.Dark = d.GameValue(kind.GameDark).Counts()
	if b.Day = d.GameValue(kind.GameDay).Thousandths() * TicksPerSecond / 1_000_000; b.Day > 0 {
		b.Begins = b.Day * (d.GameValue(kind.GameBegins).Thousandths() / 1000) / hours
	}
	b.Counts = d.GameValue(kind.GameShowMoves).Word() != "off"
	if before != nil && before.Doc.Rules.Same(d.Rules) {
		b.Hours = before.Book.Hours
		return
	}
	for _, r := range s.Rules {
		b.Hours = b.Hours || !r.Off && slices.ContainsFunc(rules.TreeOf(r).When, func(n *rules.Node) bool { return n.Word == rules.WordHour })
	}
}

// takeAims reads by what the game is won besides goals and rules.
func (s *Stage) takeAims() {
	by, with := s.Doc.GameValue(kind.GameGoal).Word(), s.Doc.GameValue(kind.GameWonWith).Word()
	s.Book.Flag = None
	switch by {
	case kind.GoalFlag:
		s.Book.Flag = s.FlagOf(document.ID(with))
	case kind.GoalCollects:
		for r := range s.Things {
			t := &s.Things[r]
			if t.Acts == kind.Collectible && t.Doing.By == None && !s.Grounds[t.Map].Template && (with == "" || t.Kind == with) {
				s.Book.Collects = append(s.Book.Collects, Ref(r))
			}
		}
	}
}

const (
	hours         = 24
	minutesOfADay = hours * 60
)

// Minute is the minute of the day after so many ticks of days; −1 where none passes.
func (b *Rulebook) Minute(clock int64) int {
	if b.Day <= 0 {
		return -1
	}
	return int((b.Begins + clock) % b.Day * minutesOfADay / b.Day)
}

// DarkAt is how dark it is at a minute of the day, in hundredths: on a straight line between the parts of the curve.
func (b *Rulebook) DarkAt(minute int) int {
	n := len(b.Dark)
	if n == 0 || minute < 0 {
		return 0
	}
	at := minute * n
	i, part := at/minutesOfADay%n, at%minutesOfADay
	from, to := min(b.Dark[i], 100), min(b.Dark[(i+1)%n], 100)
	return from + (to-from)*part/minutesOfADay
}

// NightFrom is from how dark on lamps shine that do so by night, in hundredths.
const NightFrom = 30

// Days is whether the day passes on a map, stands still there, or is not seen.
func (g *Ground) Days() string { return g.settings().days }

// Music is the mood of a map's music, empty for none, and how many half tones its key lies above C.
func (g *Ground) Music() (mood string, key int) {
	s := g.settings()
	return s.music, s.key
}

// Weather is what the weather is like on a map.
func (g *Ground) Weather() string { return g.settings().weather }

// TimeLimit is after how many ticks a game is lost on a map, MoveLimit after how many moves; 0 is never.
func (g *Ground) TimeLimit() int64 { return g.settings().timeLimit }

// MoveLimit is after how many moves a game is lost on a map; 0 is never.
func (g *Ground) MoveLimit() int32 { return g.settings().moveLimit }

// Watched tells that moves are counted on a map, or that it has limits.
func (g *Ground) Watched() bool { return g.settings().watched }

// CountsMoves tells whether moves are counted on a map.
func (g *Ground) CountsMoves() bool {
	return g.stage.Book.Counts || g.settings().moveLimit > 0 || g.settings().stars == kind.StarsMoves
}

// ByCells tells whether the hero walks from cell to cell on a map.
func (g *Ground) ByCells() bool { return g.stage.Gait(g, None).Cells }

// Eight tells whether it walks aslant as well.
func (g *Ground) Eight() bool { return g.stage.Gait(g, None).Eight }

// Judged tells whether a map has limits or stars of its own.
func (g *Ground) Judged() bool {
	s := g.settings()
	return s.timeLimit > 0 || s.moveLimit > 0 || s.stars != kind.StarsNot
}

// Follows is the map that finishing one starts; None for none.
func (s *Stage) Follows(m Ref) Ref {
	if next := s.Doc.Follows(s.Grounds[m].Map); next != nil {
		return s.MapOf(next.ID)
	}
	return None
}
