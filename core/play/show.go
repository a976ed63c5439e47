package play

import (
	"azzel/core/document"
	"azzel/core/rules"
	"azzel/core/world"
	"slices"
)

// Show is what is seen beside the world because rules say so. Nothing that is played reads it, and no pin keeps it.
type Show struct {
	// Moves tells that the view is not the hero's: it goes from From to Watch, None being back to the hero, for All ticks of
	// which Left are left. Own is where it would be otherwise.
	Moves     bool
	Watch     world.Ref
	From, Own Place
	All, Left int32
	// Shake is for how many ticks it shakes.
	Shake int32
	// Dark is how dark it is, of 255, and DarkTo what that becomes by so much a tick.
	Dark, DarkTo, DarkBy int32
	// Tint is the place of its colour in rules.Tints, TintWas the one before, TintLeft of TintAll ticks are left.
	Tint, TintWas     uint8
	TintLeft, TintAll int32
	// Caption is shown for so many ticks.
	Caption     string
	CaptionLeft int32
	// Thoughts are above heads, Acts what somebody looks like doing. The lists are never changed, but replaced.
	Thoughts []Thought
	Acts     []Act
	// Zoom is how near the view is, in hundredths, ZoomWas what it was, ZoomLeft of ZoomAll ticks are left; 0 is 100.
	Zoom, ZoomWas, ZoomLeft, ZoomAll int32
	// Picture is one more than what is shown large for so many ticks; 0 is nothing, −1 the hero.
	Picture     world.Ref
	PictureLeft int32
	// Sound is what was heard last, and Sounds how often something was; Bed is what is heard all the time, empty as the map says.
	Sound, Bed string
	// Plays is the sound of the designer's own that was heard last, empty where that was one of Azzel's.
	Plays document.ID `json:",omitempty"`
	// Weather is what rules let the weather be, empty as the map says.
	Weather string
	Sounds  int64
	// Dim is one more than how dark it is by rules where no light shines, in hundredths; 0 is as the map says.
	Dim int32 `json:",omitempty"`
	// Held tells that a scene held the hero in the tick before.
	Held bool
}

// Thought is what somebody thinks, for so many ticks; None is the hero.
type Thought struct {
	Of   world.Ref
	Text string
	Left int32
}

// Act is what somebody looks like doing, for so many ticks; None is the hero. Who hops goes up and down.
type Act struct {
	Of   world.Ref
	Does string
	Hops bool
	Left int32
}

const (
	// hopTicks is how long somebody is in the air who jumps because a rule says so.
	hopTicks = 24
	// leastZoom and mostZoom are how far and how near the view comes.
	leastZoom, mostZoom = 25, 800
	// thoughtTicks is how long a thought is seen, letterTicks longer for each letter.
	thoughtTicks = 100
	letterTicks  = 4
	// backTicks is how long the view takes to come back from a scene that left it elsewhere.
	backTicks = 30
)

func (g *Game) thinks(r world.Ref, text string) {
	s := &g.Show
	s.Thoughts = slices.DeleteFunc(slices.Clone(s.Thoughts), func(t Thought) bool { return t.Of == r })
	if text != "" {
		s.Thoughts = append(s.Thoughts, Thought{r, text, int32(min(10*TicksPerSecond, thoughtTicks+letterTicks*len(text)))})
	}
}

// shows does to the view what a part says; true where the rule waits for it.
func (g *Game) shows(n *rules.Node, t *Thread) bool {
	s, ticks := &g.Show, g.seconds(n)
	if t.Skips {
		ticks = 0
	}
	switch n.Word {
	case rules.WordWatch:
		r := g.target(n, t.It)
		if n.At.Type == document.TypeHero {
			r = world.None
		} else if r < 0 || g.Stage.Thing(r).Map != g.Hero().Map {
			g.Notice = "The view can be moved only to what is on the hero’s map."
			return false
		}
		g.view(r, int32(ticks))
	case rules.WordViewBack:
		g.view(world.None, int32(ticks))
	case rules.WordShake:
		s.Shake = int32(ticks)
		return false
	case rules.WordDarken, rules.WordLighten:
		if s.DarkTo = 0; n.Word == rules.WordDarken {
			s.DarkTo = 255
		}
		s.DarkBy = 255
		if ticks > 0 {
			s.DarkBy = max(1, 255/int32(min(ticks, 255)))
		} else {
			s.Dark = s.DarkTo
		}
	case rules.WordTint:
		s.TintWas, s.Tint = s.Tint, uint8(max(0, slices.Index(rules.Tints, n.Blank("tint").Word())))
		s.TintAll, s.TintLeft = int32(ticks), int32(ticks)
	case rules.WordDim:
		s.Dim = int32(max(0, min(g.numberOf(n, "percent"), 100))) + 1
		return false
	case rules.WordUndim:
		s.Dim = 0
		return false
	case rules.WordZoom:
		s.ZoomWas, s.Zoom = s.nearness(), int32(max(leastZoom, min(g.numberOf(n, "percent"), mostZoom)))
		s.ZoomAll, s.ZoomLeft = int32(ticks), int32(ticks)
	case rules.WordPicture:
		if s.Picture, s.PictureLeft = g.target(n, t.It)+1, int32(ticks); n.At.Type == document.TypeHero {
			s.Picture = -1
		}
		if ticks == 0 {
			s.Picture = 0
		}
		return false
	case rules.WordSound:
		if !t.Skips {
			s.Sound, s.Plays = n.Blank("sound").Word(), ""
			s.Sounds++
		}
		return false
	case rules.WordPlays:
		if o, ok := document.Named(n.Blank("own")); ok && !t.Skips {
			s.Sound, s.Plays = "", o.ID
			s.Sounds++
		}
		return false
	case rules.WordBed:
		s.Bed = n.Blank("sound").Word()
		return false
	case rules.WordWeather:
		if s.Weather = n.Blank("weather").Word(); s.Weather == rules.Weathers[0] {
			s.Weather = ""
		}
		return false
	case rules.WordHush:
		s.Bed = ""
		return false
	case rules.WordCaption:
		if s.Caption, s.CaptionLeft = g.text(n), int32(ticks); ticks == 0 {
			s.Caption = ""
		}
		return false
	}
	return t.waits(ticks)
}

// nearness is how near the view is now, in hundredths.
func (s *Show) nearness() int32 {
	is, was := max(s.Zoom, 0), max(s.ZoomWas, 0)
	if is == 0 {
		is = 100
	}
	if was == 0 {
		was = 100
	}
	if s.ZoomLeft == 0 {
		return is
	}
	return is + (was-is)*s.ZoomLeft/s.ZoomAll
}

// Nearness is how near the view is now, in hundredths.
func (s *Show) Nearness() int { return int(s.nearness()) }

// shown has somebody look as if doing something.
func (g *Game) shown(a Act) {
	s := &g.Show
	s.Acts = slices.DeleteFunc(slices.Clone(s.Acts), func(o Act) bool { return o.Of == a.Of })
	if a.Left > 0 {
		s.Acts = append(s.Acts, a)
	}
}

// acting is what a body looks like doing because a rule says so; nil for nothing.
func (g *Game) acting(b *Body) *Act {
	of := b.Of
	if b == &g.Bodies[0] {
		of = world.None
	}
	for i := range g.Show.Acts {
		if g.Show.Acts[i].Of == of {
			return &g.Show.Acts[i]
		}
	}
	return nil
}

// Hop is how far a body is above where it stands, because a rule has it jump, in 1/256 map pixels.
func (g *Game) Hop(b *Body) int64 {
	a := g.acting(b)
	if a == nil || !a.Hops {
		return 0
	}
	_, h := g.ground(b.Map).Cell()
	up := int64(hopTicks - a.Left)
	return h * 3 / 4 * 4 * up * (hopTicks - up) / (hopTicks * hopTicks)
}

// view moves the view from where it is to something, or back.
func (g *Game) view(to world.Ref, ticks int32) {
	s := &g.Show
	if !s.Moves {
		s.Own = g.Cam
	}
	s.Moves, s.Watch, s.From, s.All, s.Left = true, to, g.Cam, ticks, ticks
}

// showOn goes on with what is seen for a tick. What a scene left otherwise comes back when it ends.
func (g *Game) showOn() {
	s := &g.Show
	if held := g.Held(); held != s.Held {
		if s.Held = held; !held {
			if s.Moves && s.Watch >= 0 {
				g.view(world.None, backTicks)
			}
			s.DarkTo, s.DarkBy = 0, 255/backTicks
			if s.nearness() != 100 {
				s.ZoomWas, s.Zoom, s.ZoomAll, s.ZoomLeft = s.nearness(), 100, backTicks, backTicks
			}
		}
	}
	s.Shake, s.TintLeft = max(0, s.Shake-1), max(0, s.TintLeft-1)
	if s.Dark != s.DarkTo {
		s.Dark = int32(toward(int64(s.Dark), int64(s.DarkTo), int64(s.DarkBy)))
	}
	if s.CaptionLeft > 0 {
		if s.CaptionLeft--; s.CaptionLeft == 0 {
			s.Caption = ""
		}
	}
	if len(s.Thoughts) > 0 {
		s.Thoughts = slices.Clone(s.Thoughts)
		for i := range s.Thoughts {
			s.Thoughts[i].Left--
		}
		s.Thoughts = slices.DeleteFunc(s.Thoughts, func(t Thought) bool { return t.Left <= 0 })
	}
	if len(s.Acts) > 0 {
		s.Acts = slices.Clone(s.Acts)
		for i := range s.Acts {
			s.Acts[i].Left--
		}
		s.Acts = slices.DeleteFunc(s.Acts, func(a Act) bool { return a.Left <= 0 })
	}
	s.ZoomLeft = max(0, s.ZoomLeft-1)
	if s.PictureLeft > 0 {
		if s.PictureLeft--; s.PictureLeft == 0 {
			s.Picture = 0
		}
	}
	s.Left = max(0, s.Left-1)
	if s.Moves && s.Watch < 0 && s.Left == 0 {
		s.Moves = false
	}
}

// enter brings what is seen to the next stage.
func (s *Show) enter(was, next *world.Stage) {
	if s.Watch >= 0 {
		s.Watch = movedThing(was, next, s.Watch)
	}
	// what is of somebody goes with him, the hero's stays
	stays := func(of *world.Ref) bool {
		if *of >= 0 {
			*of = movedThing(was, next, *of)
			return *of >= 0
		}
		return true
	}
	s.Thoughts = slices.DeleteFunc(slices.Clone(s.Thoughts), func(t Thought) bool { of := t.Of; return !stays(&of) })
	for i := range s.Thoughts {
		stays(&s.Thoughts[i].Of)
	}
	s.Acts = slices.DeleteFunc(slices.Clone(s.Acts), func(a Act) bool { of := a.Of; return !stays(&of) })
	for i := range s.Acts {
		stays(&s.Acts[i].Of)
	}
	if s.Picture > 0 {
		s.Picture = movedThing(was, next, s.Picture-1) + 1
	}
	s.From.Map, s.Own.Map = movedMap(was, next, s.From.Map), movedMap(was, next, s.Own.Map)
}
