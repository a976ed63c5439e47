package session

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/world"
)

// View is a game as it is drawn. Of one that is played, lists that are left out where they are nil (omitzero) are as they were told last.
type View struct {
	Map document.ID `json:"map"`
	// Place is what the map is called, in the language that is read in.
	Place string `json:"place"`
	// X and Y are the map pixel at the top left of the hero's picture.
	X      int             `json:"x"`
	Y      int             `json:"y"`
	Facing document.Facing `json:"facing"`
	Steps  int32           `json:"steps"`
	// Does is how the hero moves: walks, flies, climbs or swims; Low that it ducks, Unhurt
	// that nothing strikes it for so many ticks.
	Does   string `json:"does"`
	Low    bool   `json:"low"`
	Unhurt int    `json:"unhurt"`
	// Pose is what the hero's pictures show being done, empty for standing and walking, and Beat for how many ticks.
	Pose string `json:"pose"`
	Beat int64  `json:"beat"`
	Tick int64  `json:"tick"`
	// From and To are the ticks that can be gone back to; a view of one before To shows what was.
	From int64 `json:"from"`
	To   int64 `json:"to"`
	// Events happened in the ticks that were just played.
	Events []play.Event `json:"events"`
	// Dark is how dark it is while one goes through a passage, 0 to 255; Veil is one of the
	// transitions, empty for the first, and Coming tells that it lightens again.
	Dark   int    `json:"dark"`
	Veil   string `json:"veil"`
	Coming bool   `json:"coming"`
	Line   string `json:"line"`
	// Answers are what can be answered to it, Chosen the one that is given next.
	Answers []string `json:"answers"`
	Chosen  int      `json:"chosen"`
	Notice  string   `json:"notice"`
	// Speaker is who says it, nil for nobody.
	Speaker *SpeakerView `json:"speaker"`
	Hearts  int          `json:"hearts"`
	Most    int          `json:"most"`
	Lives   int          `json:"lives"`
	// Points are what is left of a turn, of MostPoints; of none the hero does not go by them.
	Points     int  `json:"points"`
	MostPoints int  `json:"mostPoints"`
	Roam       bool `json:"roam"`
	Side       bool `json:"side"`
	// Slots are the items that are carried, the first ones with a key of their own; Hand is the one in hand, empty for none.
	Slots []SlotView `json:"slots,omitzero"`
	Hand  string     `json:"hand"`
	// Language is what is read in, empty for what the texts are written in.
	Language string     `json:"language"`
	Taken    int        `json:"taken"`
	Total    int        `json:"total"`
	Cell     grid.Point `json:"cell"`
	Camera   Camera     `json:"camera"`
	// Darkness is how dark it is where no light shines, in hundredths.
	Darkness int `json:"darkness"`
	// Night is how much of that is of the time of day, which is Minute, −1 where no day passes; NightColour tints it.
	Night       int    `json:"night"`
	Minute      int    `json:"minute"`
	NightColour string `json:"nightColour"`
	// Weather is one of the weathers, empty for none.
	Weather string `json:"weather"`
	// Under is what steps sound like where the hero is, empty for anything. Music is its mood, empty for none, and Key how
	// many half tones its key lies above C.
	Under string `json:"under"`
	Music string `json:"music"`
	Key   int    `json:"key"`
	// Counts is what is counted of the game, Shown the counters on the screen.
	Counts CountsView     `json:"counts"`
	Shown  []ShownCounter `json:"shown,omitzero"`
	// Wave is the wave that is made on the map, from 1, of Waves; 0 of none.
	Wave  int `json:"wave"`
	Waves int `json:"waves"`
	// Tolls are how many hits things take still, where the player sees that.
	Tolls []TollView `json:"tolls,omitzero"`
	// Lights are what shines there.
	Lights []LightView `json:"lights,omitzero"`
	// Seen is what the hero sees and has seen, where it does not see everything.
	Seen *SightView `json:"seen"`
	// Goals are where the player is pointed to, in map pixels; nil where nothing points.
	Goals []grid.Point `json:"goals"`
	// Way is what is left of the way that the hero goes by itself.
	Way []grid.Point `json:"way"`
	// Shows is what leads the hero, where that is not the player: keys held again, or a walk.
	Shows string `json:"shows"`
	// Gone are collectibles taken, On the switches and doors that are on or open.
	Gone []document.ID `json:"gone,omitzero"`
	On   []document.ID `json:"on,omitzero"`
	// Strikes is how far a blow of the hero is, 0 to 1000; 0 is none.
	Strikes int `json:"strikes"`
	// BlowRests is how long it waits until it can strike again, in thousandths; BlowWaits that it waits between two blows.
	BlowRests int  `json:"blowRests"`
	BlowWaits bool `json:"blowWaits"`
	// Moved are the entities that move, where they are now; of a game that is played its frame tells that.
	Moved []Moved `json:"moved"`
	// Named is whose the numbers in the frame are, as far as that was not told yet; Renamed takes back what was told.
	Named   []Named `json:"named"`
	Renamed bool    `json:"renamed"`
	// Led is the hero who is led, empty for one that was placed nowhere; Who is its kind. Party are the
	// others, where they are, the next one first.
	Led   document.ID `json:"led"`
	Who   document.ID `json:"who"`
	Party []Companion `json:"party"`
	// Made are the entities that were made in the game, where they are now.
	Made []MadeView `json:"made"`
	// Blasts are what has just gone off.
	Blasts []BlastView `json:"blasts"`
	// Rays are lines that hurt, Shots the middles of what flies; how broad follows from the cells. Of a game that is played its
	// frame tells both.
	Rays  []RayView    `json:"rays"`
	Shots []grid.Point `json:"shots"`
	// Heard is what the hero hears.
	Heard []HeardView `json:"heard,omitzero"`
	// Emitters give particles, which are drawn from the tick alone.
	Emitters []EmitterView `json:"emitters,omitzero"`
	// Show is what rules let be seen.
	Show ShowView `json:"show"`
	// Guises are the things of the map that are in another guise than their first.
	Guises []GuiseView `json:"guises,omitzero"`
	// Lifted are the layers that do not lie over their maps now, whether rules lifted them or have not laid them.
	Lifted []document.LayerAt `json:"lifted,omitzero"`
	// Looks are the variants that were drawn for entities of this map.
	Looks []drawnLook `json:"looks,omitzero"`
}

// Camera is what the player sees of a map, in map pixels: its middle and its size, 0 where
// that is not set; all of it, or no more than there is.
type Camera struct {
	X     int  `json:"x"`
	Y     int  `json:"y"`
	W     int  `json:"w"`
	H     int  `json:"h"`
	Whole bool `json:"whole"`
	Ends  bool `json:"ends"`
}

// GuiseView is the number of the guise that a thing is in.
type GuiseView struct {
	Map    document.ID `json:"map"`
	ID     document.ID `json:"id"`
	Number int         `json:"number"`
}

// SpeakerView is somebody who says something: what it is called, and how it looks.
type SpeakerView struct {
	Name string      `json:"name"`
	Kind document.ID `json:"kind"`
	Look cells.Cell  `json:"look"`
}

// lookOf is how a thing looks now, or in one more than the number of a guise; nil for nothing.
func lookOf(g *play.Game, r world.Ref, as int32) *SpeakerView {
	t := g.Stage.Thing(r)
	if t == nil {
		return nil
	}
	out := &SpeakerView{g.Stage.Doc.Says(g.Language, t.Name), document.ID(t.Kind), t.Look}
	in := g.Appears(r)
	if as > 0 {
		in = document.GuiseIn(t.Guises, int(as)-1)
	}
	if in != nil && in.Look != 0 {
		out.Look = in.Look
	}
	return out
}

// SightView is the cells that the hero sees now, and those that it has seen.
type SightView struct {
	Now   []grid.Span `json:"now"`
	Known []grid.Span `json:"known"`
}

// view is a game of it as it is drawn, as far as that was not told: the one that is played, or one of before.
func (p *playing) view(g *play.Game, told []play.Event) View {
	v := p.wholeView(g, told)
	if p.framed != nil {
		p.framed.since(&v)
	}
	return v
}

func (p *playing) wholeView(g *play.Game, told []play.Event) View {
	b := g.Hero()
	v := View{Facing: b.Look(), Steps: b.Steps, Does: document.Modes[b.Mode], Low: b.Flags&play.Ducked != 0, Unhurt: int(b.Blink),
		Tick: g.Tick, From: p.record.From(), To: p.record.To(), Events: toldOf(g.Stage.Doc, told), Notice: g.Notice, Dark: dark(g.State),
		Hearts: int(g.Count(play.Hearts)), Lives: int(g.Count(play.Lives)), Roam: p.roam && g == p.game || g != p.game && g.Roam, Way: append([]grid.Point{}, p.way...), Shows: p.shows(),
		Lights: []LightView{}, Gone: []document.ID{}, On: []document.ID{}, Looks: []drawnLook{}, Hand: g.Hand, Language: g.Language, Slots: slotsOf(g),
		Answers: []string{}, Moved: []Moved{}, Named: []Named{}, Party: []Companion{}, Made: []MadeView{}, Blasts: []BlastView{}, Rays: []RayView{}, Shots: []grid.Point{}, Emitters: []EmitterView{}, Heard: heardOf(g), Minute: -1, Shown: []ShownCounter{}, Show: ShowView{Thoughts: []ThoughtView{}, Zoom: 100}, Lifted: []document.LayerAt{}, Guises: []GuiseView{}, Tolls: []TollView{}}
	if len(g.Lines) > 0 {
		v.Speaker = lookOf(g, g.Lines[0].By-1, g.Lines[0].As)
		v.Line, v.Answers, v.Chosen = g.Lines[0].Text, append(v.Answers, g.Lines[0].Answers...), int(g.Chosen)
	}
	if v.Dark > 0 && g.Veil > 0 {
		v.Veil = document.Transitions[g.Veil]
	}
	v.Pose, v.Beat = g.Pose(b)
	v.Coming = g.Leaving < 0 && g.Sent < 0 && g.Lost == play.NotLost
	st := g.Stage
	v.Total = len(st.Collectibles)
	for _, r := range st.Collectibles {
		if g.Is(r, play.Taken) {
			v.Taken++
		}
	}
	m := g.Ground()
	if m == nil {
		return v
	}
	v.Show, v.Lifted = showOf(g), append(v.Lifted, g.Lifted()...)
	v.Map, v.Side, v.Cell, v.Most = m.ID, m.Side, g.HeroCell(), int(st.Gait(m, b.Of).Hearts)
	v.X, v.Y = g.Picture()
	lens := m.Lens()
	v.Camera = Camera{int(g.Cam.X / play.Sub), int(g.Cam.Y / play.Sub), int(lens.W / play.Sub), int(lens.H / play.Sub), lens.Whole, lens.Ends}
	v.Night, v.Minute, v.NightColour = g.Night(), g.Minute(), st.Book.Night
	v.Darkness = g.Darkness()
	if w := g.Weather(); w != kind.Weathers[0] {
		v.Weather = w
	}
	v.Music, v.Key = m.Music()
	v.Place = st.Doc.Says(g.Language, m.Name)
	v.Counts, v.Shown = countsOf(g), shownOf(g)
	v.Wave, v.Waves = g.Wave(m)
	v.tolls(g, m)
	v.Points, v.MostPoints = int(g.Count(play.Points)), g.ByPoints()
	if st.Doc.GameValue(kind.GameShowGoals).Yes() {
		v.Goals = g.Goals()
	}
	if now, known, ok := g.Sight(); ok {
		v.Seen = &SightView{now.Spans(), known.Spans()}
	}
	v.Strikes = int(g.Striking()) * 1000 / play.BlowTicks
	v.BlowRests, v.BlowWaits = g.Blow()
	for _, r := range st.Guised {
		end := st.End(r)
		v.Guises = append(v.Guises, GuiseView{end.Map, end.Entity, g.Guise(r)})
	}
	v.dangers(g, m, p.framed != nil)
	v.party(g)
	if p.framed != nil {
		p.framed.take(g, &v)
	}
	for _, m := range inSight(st, m) {
		if p.framed == nil {
			v.bodies(g, m)
		}
		v.things(g, m)
	}
	return v
}

func dark(g *play.State) int {
	if g.Leaving >= 0 || g.Sent >= 0 || g.Lost != play.NotLost {
		return 255 * int(play.FadeTicks-g.Fade) / play.FadeTicks
	}
	return 255 * int(g.Fade) / play.FadeTicks
}
