package play

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/world"
	"slices"
)

// Round is what was counted since the hero began on the map that it is to finish: nothing of it is in a hash.
type Round struct {
	// Ticks is how long that was, Moves how many moves were made.
	Ticks int64
	Moves int32
	// Map is where it began.
	Map world.Ref
}

// counting counts a tick, and the moves of it; a game is lost whose time or moves are over. From is the cell in which the
// hero was before.
func (g *Game) counting(m *world.Ground, from cellOf, pressed Input) {
	r := &g.Round
	r.Ticks++
	if g.Over != NotOver {
		return
	}
	if m.CountsMoves() && g.Stage.Book.Moves != kind.MovesPushes {
		moved := pressed&(InputUse|InputJump) != 0
		if g.Stage.Book.Moves == kind.MovesCells {
			to := cellOf{g.Hero().Map, g.HeroCell()}
			moved = to.m == from.m && to != from
		}
		if moved {
			r.Moves++
		}
	}
	if m.Ref != r.Map {
		if m = g.ground(r.Map); m == nil {
			return
		}
	}
	switch limit, moves := m.TimeLimit(), m.MoveLimit(); {
	case limit > 0 && r.Ticks >= limit:
		g.concludes(OverLost, g.Stage.Doc.GameSays(g.Language, "timeOver"))
	case moves > 0 && r.Moves >= moves && g.Over == NotOver:
		g.last = true // what the last move has brought about counts still
	}
}

// cellOf is a cell of a map.
type cellOf struct {
	m world.Ref
	p grid.Point
}

// standing is where the hero is, as far as moves are counted there.
func (g *Game) standing(m *world.Ground) (at cellOf) {
	if m.CountsMoves() {
		at = cellOf{m.Ref, g.HeroCell()}
	}
	return at
}

// judged begins to count anew on a map that is judged by itself.
func (g *Game) judged(m *world.Ground) {
	if m.Ref != g.Round.Map && m.Judged() {
		g.Round = Round{Map: m.Ref}
	}
}

// pushed counts a push of a block as a move, where that is one.
func (g *Game) pushed(m *world.Ground) {
	if m.CountsMoves() && g.Stage.Book.Moves == kind.MovesPushes {
		g.Round.Moves++
	}
}

// outOfMoves loses the game after its last move, if that has not ended it.
func (g *Game) outOfMoves() {
	if g.last && g.Over == NotOver {
		g.concludes(OverLost, g.Stage.Doc.GameSays(g.Language, "movesOver"))
	}
	g.last = false
}

// concludes has the game be over.
func (g *Game) concludes(how Over, says string) {
	g.Over, g.Ending = how, says
	g.tell(map[Over]string{OverWon: rules.WordWin, OverLost: rules.WordLose, OverDone: rules.WordDone}[how], says)
}

// wins finishes the game, or a map that another one follows, when all is collected that is to be, or the flag is set that wins; what
// is said about it is read before.
func (g *Game) wins() {
	b := &g.Stage.Book
	if b.Flag < 0 && len(b.Collects) == 0 || g.Over != NotOver || len(g.Lines) > 0 || g.Lost != NotLost || g.Held() {
		return
	}
	m := g.Ground()
	if m == nil {
		return
	}
	all := b.Flag >= 0 && g.bit(flagSlot(b.Flag))
	if b.Flag < 0 {
		some := false
		all = !slices.ContainsFunc(b.Collects, func(r world.Ref) bool {
			here := !m.Next || g.Stage.Thing(r).Map == m.Ref
			some = some || here
			return here && !g.Is(r, Taken)
		}) && some
	}
	switch {
	case !all:
	case m.Next:
		g.finishes(m)
	default:
		g.concludes(OverWon, "")
	}
}

// reachesGoal has a goal do what no rule does of it.
func (g *Game) reachesGoal(m *world.Ground, r world.Ref) {
	switch h := (happening{on: rules.WordEnter, m: m.Ref, thing: r}); {
	case g.waitedFor(h):
		g.happen(h)
	case m.Next && g.Stage.Book.Flag < 0 && len(g.Stage.Book.Collects) == 0:
		g.finishes(m)
	case g.Stage.Book.GoalWins:
		g.concludes(OverWon, "")
	}
}

// finishes has the hero have finished a map: with what follows the game goes on anew, and without it is won.
func (g *Game) finishes(m *world.Ground) {
	if g.finishing {
		return
	}
	g.finishing = true
	g.happen(happening{on: rules.WordDone, m: m.Ref, thing: world.None})
	g.settle()
	g.finishing = false
	switch {
	case g.Over != NotOver:
	case g.Stage.Follows(m.Ref) >= 0:
		g.concludes(OverDone, "")
	default:
		g.concludes(OverWon, "")
	}
}

// onward begins on the map that follows the one that was finished.
func (g *Game) onward() {
	next := g.Stage.Ground(g.Stage.Follows(g.Hero().Map))
	if next == nil {
		g.anew()
		return
	}
	g.beginsAnew(next.ID)
}

// Result is what was reached on a map.
type Result struct {
	Moves   int   `json:"moves"`
	Seconds int   `json:"seconds"`
	Tries   int   `json:"tries"`
	Taken   int   `json:"taken"`
	Total   int   `json:"total"`
	Stars   int   `json:"stars"`
	Score   int   `json:"score"`
	Ticks   int64 `json:"ticks"`
}

// Reached is what the hero has reached on the map where it is, or in the game where that is not judged by itself, after so many tries: one star for finishing it, more by what
// the map says. Score is what that goes by, the more the better.
func (g *Game) Reached(tries int) Result {
	m := g.Ground()
	out := Result{Moves: int(g.Round.Moves), Seconds: int((g.Round.Ticks + TicksPerSecond - 1) / TicksPerSecond), Tries: max(1, tries), Ticks: g.Round.Ticks}
	if m == nil {
		return out
	}
	// a map that is judged by itself has its own things, a game over several maps all
	first, after := m.First, m.After
	if !m.Judged() && g.Stage.Follows(m.Ref) == world.None {
		first, after = 0, world.Ref(len(g.Stage.Things))
	}
	for r := first; r < after; r++ {
		if g.Stage.Thing(r).Acts == kind.Collectible {
			out.Total++
			if g.Is(r, Taken) {
				out.Taken++
			}
		}
	}
	out.rate(g.Stage.Doc, m.Map)
	return out
}

// rate gives stars by what a map says.
func (r *Result) rate(d *document.Document, m *document.Map) {
	whole := func(key string) int { return int(d.MapValue(m, key).Thousandths() / 1000) }
	two, three := whole(kind.MapTwoStars), whole(kind.MapThreeStars)
	r.Stars = 1
	switch d.MapValue(m, kind.MapStars).Word() {
	case kind.StarsMoves:
		r.Score = -r.Moves
	case kind.StarsTime:
		r.Score = -r.Seconds
	case kind.StarsTries:
		r.Score = -r.Tries
	case kind.StarsCollected:
		r.Score = r.Taken
		r.Stars += starsFor(r.Taken >= two, r.Taken >= three)
		return
	default:
		r.Stars = 0
		return
	}
	r.Stars += starsFor(-r.Score <= two, -r.Score <= three)
}

// starsFor are those besides the first: thresholds that are out of order give what the harder one asks.
func starsFor(two, three bool) int {
	switch {
	case two && three:
		return 2
	case two:
		return 1
	}
	return 0
}

// roundSo is what was counted, by ids; nil where its map is gone, or nothing was counted yet.
func (g *Game) roundSo() *document.RoundSo {
	m, r := g.Stage.Ground(g.Round.Map), g.Round
	if m == nil || r.Ticks == 0 {
		return nil
	}
	return &document.RoundSo{Map: m.ID, Ticks: r.Ticks, Moves: int(r.Moves)}
}

// resumeRound goes on counting.
func (s *State) resumeRound(st *world.Stage, at document.Moment) {
	s.Round = Round{Map: s.Bodies[0].Map}
	if r := at.Round; r != nil && st.MapOf(r.Map) >= 0 {
		s.Round = Round{Map: st.MapOf(r.Map), Ticks: r.Ticks, Moves: int32(r.Moves)}
	}
}
