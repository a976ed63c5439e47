package play

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/world"
	"slices"
)

// follows reports whether a hero goes along with the one who is led.
func (g *Game) follows(r world.Ref) bool {
	t := g.Stage.Thing(r)
	if t == nil {
		return false
	}
	switch is, _ := g.Own(r, document.FollowKey); is {
	case document.Follows:
		return true
	case document.FollowsNot:
		return false
	}
	return t.Doing.Along || t.Acts == kind.Character && t.Doing.Habit == world.GoesAlong
}

// accompanies has somebody go along with the hero from now on, or stay where he is.
func (g *Game) accompanies(r world.Ref, along bool) {
	t := g.Stage.Thing(r)
	if t == nil || t.Acts != kind.Character && t.Acts != kind.Hero || g.follows(r) == along {
		return
	}
	for _, now := range g.Companions() {
		if i := slices.IndexFunc(g.Party, func(m Member) bool { return m.Of == r }); i >= 0 && now.Of == r {
			g.Party = slices.Clone(g.Party)
			g.Party[i].Place, g.Party[i].Facing = now.Place, now.Facing
		}
	}
	g.setOwn(r, document.FollowKey, map[bool]int64{true: document.Follows, false: document.FollowsNot}[along])
	g.tell(map[bool]string{true: rules.WordFollow, false: rules.WordPart}[along], t.Name)
}

// habit is what a character does by itself now: a rule can have it come along, or stay.
func (g *Game) habit(b *Body, t *world.Thing) world.Habit {
	switch is := t.Doing.Habit; {
	case t.Acts != kind.Character:
		return is
	case g.follows(b.Of):
		return world.GoesAlong
	case is == world.GoesAlong:
		return world.Stands
	default:
		return is
	}
}
