// Package play runs a game: 60 fixed steps a second, in whole numbers of 1/256
// pixel, on the stage of the document that is being edited. Its state is plain data
// without pointers, so that it can be kept, compared, resumed and brought to another stage.
package play

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/world"
	"slices"
)

const (
	// TicksPerSecond is the fixed rate of steps.
	TicksPerSecond = world.TicksPerSecond
	// Sub is the fixed-point unit: 256 make a pixel.
	Sub = world.Unit
	// FadeTicks is how long a passage takes to darken, and again to lighten.
	FadeTicks = 12
	// MaxHappenings stops rules that keep waking each other within one tick.
	MaxHappenings = 1000
)

// Input is what is held down in a tick, as bits.
type Input uint16

// The inputs. Use and Jump count when they go down; Roam walks through everything, unhurt,
// while it is held.
const (
	InputUp Input = 1 << iota
	InputRight
	InputDown
	InputLeft
	InputUse
	InputJump
	InputRoam
	// InputSwap leads another hero when it goes down.
	InputSwap
	// InputSlot1 and the three behind it take what is in a quick slot in hand, InputNext the next one.
	InputSlot1
	InputSlot2
	InputSlot3
	InputSlot4
	InputNext
	// InputSkip skips a scene when it goes down.
	InputSkip
	// InputLanguage reads on in the next language when it goes down.
	InputLanguage

	InputSlots = InputSlot1 | InputSlot2 | InputSlot3 | InputSlot4
)

// State is a game being played.
type State struct {
	Tick int64
	Seed int64
	// Clock is how many ticks of days have passed.
	Clock int64
	// Round is what was counted since the hero began on a map.
	Round Round
	Situation
	Bodies []Body
	// Entered are the maps on which the hero has been, ascending: on them is what moves. These
	// lists are never changed, but replaced.
	Entered []world.Ref
	// Touching are the things that the hero touches, ascending.
	Touching []world.Ref
	// Facing are the things within its reach that it looks at, ascending, where rules wait for that; nil is not known yet.
	Facing []world.Ref `json:",omitempty"`
	// Glimpsed are the parts that wait for somebody who sees something, each with who sees it now, ascending; nil is not known yet.
	Glimpsed []glimpse `json:",omitempty"`
	// Timers count down to when something goes back.
	Timers []Timer
	// Worn are the hits that things take still that were hit and have no body.
	Worn []Timer
	// Party are the heroes that are not led, the next one first; Trail is where the one who is has been,
	// the last at the end. They are never changed, but replaced.
	Party []Member
	Trail []Tread
	// Side is the team of the one who is led; empty for none.
	Side string
	// Tallies are how much sources have made, in the order of their numbers.
	Tallies []Tally
	// Blasts are what has just gone off.
	Blasts []Blast
	// Shots are what flies and strikes.
	Shots []Shot
	// Entry is where the hero came onto the map, Back where it comes back to when it is lost.
	Entry, Back Place
	// Cam is the middle of what the player sees.
	Cam Place
	// Known is what was seen of maps on which one does not see everything, Looked and LookedAs
	// from where, and as what was so, that was kept last.
	Known    []Known
	Looked   Place
	LookedAs [2]uint64
	// Inside is the exit that the hero stands in and has to leave before it works.
	Inside world.Ref
	// Leaving is the passage being gone through, Fade the ticks until its end.
	Leaving world.Ref
	// Sent is the thing where a rule sends the hero meanwhile.
	Sent world.Ref
	Fade int16
	// Veil is what is seen meanwhile: an index of document.Transitions.
	Veil uint8
	// Lost tells that the hero comes back once it is dark: as after a fall, or struck out.
	Lost Loss
	// Hand is the item in hand, by its word; empty for none. It is in no hash: it can always be another.
	Hand string
	// Language is what is read in from now on, empty for what the texts are written in.
	Language string
	// Held is the input of the tick before.
	Held Input
	// Roam walks through everything and is not hurt.
	Roam bool
	// Lines are what is being said; the first is shown and waits for Use.
	Lines []Line
	// Chosen is the answer that is given next.
	Chosen int8
	// Threads are the rules that wait, for their line to be read or for some time, oldest first.
	Threads []Thread
	// RunsFor are the rules of kinds that ran for a thing and do so once, in order; never changed, but replaced.
	RunsFor []RunFor
	// Show is what is seen beside the world; nothing that is played reads it.
	Show Show
	// Over tells that the game is won or lost, Ending what is said then.
	Over   Over
	Ending string
	// Away is what was so of things, flags and rules that are not there any more.
	Away []Away
	// Notice tells the designer, not the player, of something that does not work.
	Notice string
}

// Place is where the hero's box lay on a map, in 1/256 map pixels.
type Place struct {
	Map  world.Ref
	X, Y int64
}

// Mode is how a body moves.
type Mode uint8

// The modes.
const (
	Walking Mode = iota
	Airborne
	Climbing
	Swimming
)

// Body is what moves. The first of a state is the hero's.
type Body struct {
	// Of is the thing that it is of; None is a hero that was placed nowhere.
	Of  world.Ref
	Map world.Ref
	// X and Y are the top-left corner of its box, in 1/256 map pixels; VX and VY how far it
	// goes in a tick.
	X, Y, VX, VY int64
	// GoalX and GoalY are where a step from cell to cell ends.
	GoalX, GoalY int64
	Facing       uint8
	Mode         Mode
	// Steps counts ticks of moving without a stop, for the picture.
	Steps int32
	// Grace, Early, Blink and Push are ticks that are left: of jumping after an edge, of a
	// jump pressed before the ground, of being unhurt, of being thrown back.
	Grace, Early, Blink, Push int16
	// Flags are what it is doing, as bits.
	Flags BodyFlags
	// Way is in which direction it goes to and fro, Next the point of its path that it goes to.
	Way  int8
	Next int16
	// Timer is how long it waits, Drawn how often chance decided for it, Hearts how many hits it
	// takes still.
	Timer, Drawn, Hearts int32
}

// Timer is how many ticks are left until a thing goes back to what it was.
type Timer struct {
	Of   world.Ref
	Left int32
}

// BodyFlags are bits of a body.
type BodyFlags uint8

// What a body can be doing.
const (
	// Rising is a jump that is cut short when its key is let go.
	Rising BodyFlags = 1 << iota
	// Doubled has jumped in the air since it stood.
	Doubled
	// Ducked is half as high.
	Ducked
	// Stepping is on its way from one cell to the next.
	Stepping
	// Thrown flies over what hurts.
	Thrown
	// Sunk lies in what it fills, and is walked over.
	Sunk
)

// Look is the facing as documents call it.
func (b *Body) Look() document.Facing { return document.Facings[b.Facing&3] }

func (b *Body) turn(f document.Facing) { b.Facing = uint8(max(0, f.Index())) }

// Line is a page of what is said.
type Line struct {
	Text string
	// Resumes tells that the rule that said it goes on once it is read.
	Resumes bool
	// Answers are what can be answered; nothing where it is not asked.
	Answers []string
	// By is the thing that says it, counted from 1; 0 is nobody. As is one more than the guise as in which it looks, 0 as it
	// does now.
	By world.Ref
	As int32
}

// Thread is a rule that has begun: the number of the step that comes next.
type Thread struct {
	Rule world.Ref
	Next int32
	// It is the thing that woke it, None for none; By is one more than who did that, 0 is the hero.
	It, By world.Ref
	// Left is how often is still to be done what is repeated, by how deep that stands in others.
	Left [document.MaxDeep + 1]int32
	// Wait is how many ticks are left of waiting, For what it waits for.
	Wait int32
	For  Waits
	// Fork is the place, counted from 1, of the step that began it beside others; 0 is none.
	Fork int32
	// Far is how far somebody walks still, in 1/256 map pixels; of one who finds a way, 1 while he is on his way to the next
	// cell.
	Far int64
	// Pace is how fast those walk who do because of it, in hundredths; 0 is as usual.
	Pace int32 `json:",omitempty"`
	// Skips tells that the rest of the scene is skipped.
	Skips bool
	// Till is the place of the step at which it ends, where only a part of a rule is tried; 0 is its end.
	Till int32
}

// Waits is what a rule waits for.
type Waits uint8

// What rules wait for.
const (
	ForTime Waits = iota // for some ticks, or for its line to be read where there are none left
	ForWalk              // for somebody who walks
	ForSo                // for something to be so
	ForAll               // for what was begun at the same time
)

// Over is how a game has ended.
type Over uint8

// How a game ends.
const (
	NotOver Over = iota
	OverWon
	OverLost
	OverDone // the map is finished, another one follows
)

// Hero is the hero's body.
func (s *State) Hero() *Body { return &s.Bodies[0] }

// clone is a state of its own.
func (s *State) clone() *State {
	out := *s
	out.Bits, out.Counts = slices.Clone(s.Bits), slices.Clone(s.Counts)
	out.Bodies, out.Lines = slices.Clone(s.Bodies), slices.Clone(s.Lines)
	out.Known = slices.Clone(s.Known) // their bits are never changed
	out.Threads, out.Away = slices.Clone(s.Threads), slices.Clone(s.Away)
	return &out
}

// Game is a state on a stage.
type Game struct {
	Stage *world.Stage
	*State
	queue []happening
	// last tells that the last move was made.
	last bool
	// finishing tells that rules are told that a map is finished.
	finishing bool
	// Told is what happened in the tick, for the bar.
	Told []Event
	// lively are the bodies of the map, around where they are, as of a tick.
	lively   []int
	around   buckets
	livelyOf world.Ref
	livelyAt int64
	rays     []Ray // as they were asked for last
	// rest are the rules whose turn to wait comes later in the tick; asking tells that conditions are only looked at.
	rest   []Thread
	asking bool
	// streams are where fans blow on a map, as of a tick.
	streams   []stream
	streamsOf world.Ref
	streamsAt int64
	// timersAt and talliesAt are the ticks of which the lists are this game's own, and can be changed.
	timersAt, talliesAt, bumpAt int64
	bump                        Place // where the hero would stand that was kept from going on in the tick bumpAt, from cell to cell
	// by is one more than who did what woke the rule that is gone on with; 0 is the hero.
	by world.Ref
	// doer is one more than who does what happens to things at the moment; 0 is the hero.
	doer world.Ref
	// stood is one more than the map on which the hero was when the tick began.
	stood world.Ref
	// passes is what is let through at the moment: what one is carried by.
	passes world.Ref
	// saw is what was seen last, and from where.
	saw struct {
		seeing
		region *grid.Region
	}
}

// Clone is a game of its own on the same stage.
func (g *Game) Clone() *Game { return gameOf(g.Stage, g.clone()) }

func gameOf(st *world.Stage, s *State) *Game {
	return &Game{Stage: st, State: s, livelyOf: world.None, streamsOf: world.None, passes: world.None, timersAt: -1, talliesAt: -1, bumpAt: -1}
}

// Ground is the map that the hero is on; nil when it was removed.
func (g *Game) Ground() *world.Ground { return g.ground(g.Hero().Map) }

// HeroCell is the cell under the middle of the hero's box.
func (g *Game) HeroCell() grid.Point {
	m := g.Ground()
	if m == nil {
		return grid.Point{}
	}
	box := g.extent(g.Hero())
	return m.CellAt((box.Left+box.Right)/2, (box.Top+box.Bottom)/2)
}

// Middle is the map pixel in the middle of the hero's box.
func (g *Game) Middle() (x, y int) {
	box := g.extent(g.Hero())
	return grid.FloorDiv(int(box.Left+box.Right)/2, Sub), grid.FloorDiv(int(box.Top+box.Bottom)/2, Sub)
}

// Picture is the map pixel at the top left of the hero's picture, which is a
// cell large: the box stands in the middle of its lower side.
func (g *Game) Picture() (x, y int) {
	m := g.Ground()
	if m == nil {
		return 0, 0
	}
	return pictureIn(m, g.extent(g.Hero()))
}

// PictureOf is Picture of a hero who is not led.
func (g *Game) PictureOf(c Member) (x, y int) {
	m := g.ground(c.Map)
	return pictureIn(m, boxAt(g.Stage.Gait(m, c.Of), 0, c.X, c.Y))
}

// Place is the top left of the hero's picture, in 1/256 map pixels.
func (g *Game) Place() (x, y int64) { return placeIn(g.Ground(), g.extent(g.Hero())) }

// PlaceOf is Place of a hero who is not led.
func (g *Game) PlaceOf(c Member) (x, y int64) {
	m := g.ground(c.Map)
	return placeIn(m, boxAt(g.Stage.Gait(m, c.Of), 0, c.X, c.Y))
}

func placeIn(m *world.Ground, box world.Box) (x, y int64) {
	return box.Left - int64((m.CellWidth-int((box.Right-box.Left)/Sub))/2)*Sub, box.Bottom - int64(m.CellHeight)*Sub
}

func pictureIn(m *world.Ground, box world.Box) (x, y int) {
	left, bottom := grid.FloorDiv(int(box.Left)+Sub/2, Sub), grid.FloorDiv(int(box.Bottom)+Sub/2, Sub)
	return left - (m.CellWidth-int((box.Right-box.Left)/Sub))/2, bottom - m.CellHeight
}

// gait is how the hero moves where it is.
func (g *Game) gait() *world.Gait { b := &g.Bodies[0]; return g.Stage.GaitOn(b.Map, b.Of) }

// extent is the box of a body.
func (g *Game) extent(b *Body) world.Box {
	if b.Of >= 0 && b != &g.Bodies[0] {
		t := &g.Stage.Things[b.Of].Body
		return world.Box{Left: b.X, Top: b.Y, Right: b.X + t.Right - t.Left, Bottom: b.Y + t.Bottom - t.Top}
	}
	return boxAt(g.Stage.GaitOn(b.Map, b.Of), b.Flags, b.X, b.Y)
}

func boxAt(w *world.Gait, flags BodyFlags, x, y int64) world.Box {
	if flags&Ducked != 0 {
		return world.Box{Left: x, Top: y + w.H - w.Low, Right: x + w.W, Bottom: y + w.H}
	}
	return world.Box{Left: x, Top: y, Right: x + w.W, Bottom: y + w.H}
}
