package play

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/world"
	"fmt"
	"slices"
	"strings"
)

// About says what lies at a map pixel in the game: the hero with its numbers and why it stands
// still, or the uppermost thing and how it is; empty where there is nothing.
func (g *Game) About(x, y int) string {
	m := g.Ground()
	if m == nil {
		return ""
	}
	at := world.Box{Left: int64(x) * Sub, Top: int64(y) * Sub, Right: int64(x+1) * Sub, Bottom: int64(y+1) * Sub}
	if meets(g.extent(g.Hero()), at) {
		return g.aboutHero(m)
	}
	out := ""
	for _, r := range g.touched(m, at) {
		out = g.AboutThing(r)
	}
	return out
}

func (g *Game) aboutHero(m *world.Ground) string {
	b, w := g.Hero(), g.gait()
	does := [...]string{Walking: "walks", Airborne: "is in the air", Climbing: "climbs", Swimming: "swims"}[b.Mode]
	parts := []string{"The hero " + does, fmt.Sprintf("%d of %d hearts", g.Count(Hearts), w.Hearts)}
	cw, ch := m.Cell()
	tenths := func(v, cell int64) string {
		n := v * TicksPerSecond * 10 / cell
		return fmt.Sprintf("%d.%d", abs(n)/10, abs(n)%10)
	}
	if b.VX != 0 || b.VY != 0 {
		parts = append(parts, fmt.Sprintf("%s cells/s across, %s %s", tenths(b.VX, cw), tenths(b.VY, ch), map[bool]string{true: "up", false: "down"}[b.VY < 0]))
	} else if m.Side {
		parts = append(parts, fmt.Sprintf("jumps %s cells/s", tenths(w.Jump, ch)))
	}
	switch {
	case len(g.Lines) > 0:
		parts = append(parts, "waits until what is said is read")
	case g.Leaving >= 0 || g.Sent >= 0:
		parts = append(parts, "goes through a passage")
	case b.Push > 0:
		parts = append(parts, "is thrown back")
	case b.Blink > 0:
		parts = append(parts, fmt.Sprintf("unhurt for %d.%d s", int(b.Blink)/60, int(b.Blink)%60/6))
	case g.blockedAt(b, b.X, b.Y):
		parts = append(parts, "stands in something solid")
	}
	return strings.Join(parts, ", ")
}

// AboutThing says what a thing is, how it is, and why it stands still.
func (g *Game) AboutThing(r world.Ref) string {
	t := g.Stage.Thing(r)
	is := t.Acts
	if k := g.Stage.Doc.Kind(document.ID(t.Entity.Kind)); k != nil {
		is = strings.ToLower(k.Name)
	}
	out := fmt.Sprintf("%s: %s", t.Name, is)
	on := g.On(r)
	switch {
	case t.Acts == kind.Door && on:
		out += ", open"
	case t.Acts == kind.Door:
		out += ", shut"
		if by := g.openedBy(r); by != "" {
			return out + " until " + by
		}
		out += ", and nothing opens it"
	case t.Acts == kind.Switch, t.Area != nil && !t.Area.Always, t.Light != nil:
		out += map[bool]string{true: ", on", false: ", off"}[on]
	case t.Acts == kind.Platform, t.Acts == kind.Beam, t.Acts == kind.Turner, t.Acts == kind.Shooter, t.Acts == kind.Conveyor:
		out += map[bool]string{true: ", on", false: ", off"}[on]
	case t.Acts == kind.Timer || t.Acts == kind.Source || t.Acts == kind.LaneEntry || t.Acts == kind.Charge || t.Acts == kind.Fan:
		out += g.aboutTimed(r, t, on)
	case t.Acts == kind.Sound && on:
		out += ", " + t.Doing.Plays + " is heard"
	case t.Acts == kind.Sound:
		out += ", silent"
	case t.Acts == kind.Core:
		out += fmt.Sprintf(", takes %d more", g.hitsLeft(r, t))
	case t.Acts == kind.Container && on:
		out += ", open"
	case (t.Acts == kind.Checkpoint || t.Acts == kind.Goal) && g.Is(r, Reached):
		out += ", reached"
	}
	out += g.aboutOwn(r, t)
	if !g.Shown(r) {
		out += ", hidden"
	}
	if g.Disabled(r) {
		return out + ", disabled"
	}
	if b := g.bodyOf(r); b != nil {
		out += g.aboutBody(b, t)
	}
	return out
}

// aboutTimed says when something comes next to a thing.
func (g *Game) aboutTimed(r world.Ref, t *world.Thing, on bool) string {
	if !on {
		return ", off"
	}
	out := ", on"
	if len(t.Doing.Makes) == 0 && (t.Acts == kind.Source || t.Acts == kind.LaneEntry) {
		return out + ", and has nothing to make"
	}
	if n := len(t.Doing.Waves); n > 0 {
		out += fmt.Sprintf(", wave %d of %d", min(int(g.tallyOf(r).Wave)+1, n), n)
	}
	if i, has := timerAt(g.Timers, r); has && g.Timers[i].Left > 1 {
		out += fmt.Sprintf(", next in %d.%d s", g.Timers[i].Left/60, g.Timers[i].Left%60/6)
	}
	return out
}

// hitsLeft is how many hits a thing without a body takes still.
func (g *Game) hitsLeft(r world.Ref, t *world.Thing) int32 {
	for _, o := range g.Worn {
		if o.Of == r {
			return o.Left
		}
	}
	return t.Doing.Health
}

// aboutBody says what somebody that moves does, and why it stands still.
func (g *Game) aboutBody(b *Body, t *world.Thing) string {
	m, d := g.ground(b.Map), &t.Doing
	out := ""
	if t.Acts == kind.Walker || t.Acts == kind.Flyer {
		out = fmt.Sprintf(", takes %d more hits", b.Hearts)
		if b.Hearts == 1 {
			out = ", takes one more hit"
		}
	}
	switch {
	case d.Carrier >= 0:
		return out + ", goes along with " + g.Stage.Thing(d.Carrier).Name
	case d.Way != nil && b.Timer > 0:
		return out + fmt.Sprintf(", rests for %d.%d s", b.Timer/60, b.Timer%60/6)
	case d.Way != nil:
		return out + fmt.Sprintf(", goes to point %d of its path", b.Next+1)
	case t.Acts == kind.Platform && b.Timer > 0 && g.On(b.Of):
		return out + fmt.Sprintf(", rests for %d.%d s", b.Timer/60, b.Timer%60/6)
	case g.sees(m, b, d):
		return out + map[world.Seeing]string{world.Follows: ", sees the hero and follows", world.Flees: ", sees the hero and flees", world.Halts: ", sees the hero and stands still"}[d.Seeing]
	case (t.Acts == kind.Walker || t.Acts == kind.Flyer) && (d.SpeedX == 0 || d.RangeX == 0):
		return out + ", stands still: its speed or its range is 0"
	}
	return out
}

// openedBy is the first of the rules that open a door, without what it does.
func (g *Game) openedBy(r world.Ref) string {
	end := g.Stage.End(r)
	for _, rule := range g.Stage.Rules {
		tree, opens := rules.TreeOf(rule), false
		rules.Each(slices.Concat(tree.Then, tree.Otherwise), func(n *rules.Node) {
			opens = opens || (n.Word == rules.WordOpen || n.Word == rules.WordFlip) && n.At.Map == end.Map && n.At.ID == end.Entity
		})
		if !opens || rule.Off {
			continue
		}
		for _, when := range tree.When {
			if g.Stage.ThingOf(when.At.Map, when.At.ID) >= 0 || g.Stage.MapOf(when.At.ID) >= 0 {
				return rules.Clause(g.Stage.Doc, when.RulePart)
			}
		}
	}
	return ""
}
