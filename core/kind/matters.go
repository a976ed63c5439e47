package kind

import (
	"azzel/core/id"
	"slices"
)

// groups put the settings of built-in kinds under headings; what is in none is what it does, and what
// the designer added is their own.
var groups = []struct {
	name string
	keys []string
}{
	{"Moving", []string{"speed", "jump", HeroStarts, HeroStops, HeroAir, HeroFall, HeroGrace, HeroEarly, HeroPoints, HeroMeanwhile, "range", "roams", "does", "rests", "strolls", "pause", "path", "falls", "inWater", "goes", "height"}},
	{"Seeing", []string{"sight", "seeing"}},
	{"Fighting", []string{HeroHealth, HeroBlink, HeroLives, HeroBlow, HeroBlowWith, HeroBlowRests, "harm", "defeatedBy", "brokenBy", "by", "heavy", "breaks"}},
	{"Over time", []string{"every", "again", "after", "comesBackAfter", "goesBack", "closesAgain", "onFor", "offFor", "turnTakes", "waves", "atOnce", "inAll"}},
	{"Having", []string{"carries", HeroAbilities, "needs", "opens", "usedUp", "readyAfter", "is", "amount", "countsAs", "holds", "leaves", "takes"}},
}

// Groups are the headings of settings of kinds in the order in which they stand.
func Groups() []string {
	out := []string{ownGroup, doing}
	for _, g := range groups {
		out = append(out, g.name)
	}
	return append(out[1:], out[0])
}

const (
	doing    = "What it does"
	ownGroup = "Your own"
)

// Group is the heading under which a setting of the kind stands.
func (k *Kind) Group(key string) string {
	if of := Find(id.ID(k.Acts())); of == nil || of.Setting(key) == nil {
		return ownGroup
	}
	for _, g := range groups {
		if slices.Contains(g.keys, key) {
			return g.name
		}
	}
	return doing
}

// Matters says whether a setting of the kind does anything, given what the others are.
func (k *Kind) Matters(key string, is func(key string) Datum) bool {
	word := func(key string) string { return is(key).Word() }
	some := func(key string) bool { return is(key).Thousandths() != 0 }
	acts := k.Acts()
	// who goes along a path has its pace from there
	if along := k.Setting("path") != nil && word("path") != ""; along && (key == "range" || key == "speed" || key == "roams" || key == "does" || key == "rests" || key == "strolls") {
		return false
	}
	switch {
	case key == "seeing":
		return some("sight")
	case key == "sight" && acts == Shooter:
		return word("aims") == "atHero"
	case key == "roams":
		return word("does") == "wanders" || word("does") == "flees"
	case key == "rests" || key == "strolls":
		return word("does") == "wanders"
	case key == "speed" && acts == Character:
		return word("does") == "wanders" || word("does") == "follows" || word("does") == "flees"
	case key == "after" && acts == Switch:
		return word("goesBack") == "afterAWhile"
	case key == "by" && acts == Breakable:
		return slices.Contains(is("brokenBy").List(), "blow")
	case key == "heavy":
		return slices.Contains(is("brokenBy").List(), "fall")
	case key == "weighs":
		return word("workedBy") == "weight"
	case key == "offFor":
		return some("onFor")
	case key == HeroBlowWith, key == HeroBlowRests:
		return word(HeroBlow) == BlowAhead
	case acts == Source && (key == "atOnce" || key == "inAll"):
		return len(is("waves").Counts()) == 0
	case key == "speed" && (acts == Walker || acts == Flyer):
		return some("range") || word("seeing") == "follows" || word("seeing") == "flees"
	}
	return true
}
