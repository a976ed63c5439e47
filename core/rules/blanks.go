package rules

import (
	"azzel/core/document"
	"azzel/core/kind"
	"slices"
)

// had is the blank for what the hero can have.
var had = []Blank{{Key: "item", Type: BlankItem, Keys: true}}

// tally are the blanks for a counter and a number, amount that for a number.
var (
	tally  = []Blank{{Key: "what", Type: BlankCounter}, {Key: "number", Type: BlankNumber}}
	amount = []Blank{{Key: "number", Type: BlankNumber}}
)

// given are the blanks for an item that is given or taken, and how many of it.
var given = []Blank{{Key: "item", Type: BlankItem, Keys: true, Free: true, First: "coin"}, {Key: "number", Type: BlankNumber}}

// leftOver are the blanks for a kind, and how many of it.
var leftOver = []Blank{{Key: "what", Type: BlankKind, Wants: "thing", Tags: true}, {Key: "number", Type: BlankNumber}}

// signals is the blank for a signal.
var signals = []Blank{{Key: "signal", Type: BlankSignal, First: "tide"}}

// What somebody does who walks and is blocked; that a scene can be skipped; and the colours of a view.
const (
	WaitsThere  = "waiting"
	StopsThere  = "stopping"
	PassesThere = "passing"
	CanSkip     = "can"
)

// Tints are the colours that the view can take on, the first none.
var Tints = []string{"plain", "dusk", "night", "dawn", "storm", "ember", "deep"}

// Weathers are what rules can let the weather be: what it is on the map anyway, or another.
var Weathers = append([]string{"usual"}, kind.Weathers...)

// Sounds are what is heard once, Abilities the jumps that a hero can have.
var (
	Sounds    = []string{"chime", "knock", "splash", "rumble", "creak", "horn", "sparkle", "thud"}
	Abilities = []string{"double", "wall"}
)

// way and where are the blanks for a direction, and for something to go to.
var (
	way   = Blank{Key: "way", Type: BlankChoice, Of: []string{"up", "right", "down", "left"}}
	where = Blank{Key: "where", Type: BlankEntity, Wants: "thing", Fits: anything, Hero: true}
)

// person is the blank for the hero, or somebody of kinds that fit.
func person(fits func(*kind.Kind) bool) []Blank {
	b := entity("hero or somebody", fits)
	b[0].Hero = true
	return b
}

// asked is where conditions stand in others.
var asked = []string{document.SlotIf}

// guised are the blanks for something that has guises, and for some of them.
func guised(keys ...string) []Blank {
	out := entity("thing that has guises", anything)
	out[0].Wears, out[0].Lack = true, "select something on a map and give it one under Details"
	for _, key := range keys {
		out = append(out, Blank{Key: key, Type: BlankGuise})
	}
	return out
}

// sheet is the blank for a layer of a map.
var sheet = []Blank{{Key: "what", Type: BlankLayer}}

// flag is the blank for a flag.
var flag = []Blank{{Key: "what", Type: BlankFlag}}

// ownFlag and counter are the blanks for what something has of its own.
var (
	ownFlag = owning("flag", kind.YesNo, Blank{Key: "own", Type: BlankOwnFlag})
	counter = owning("counter", kind.Number, Blank{Key: "own", Type: BlankOwnCounter}, Blank{Key: "number", Type: BlankNumber})
)

// turning is what can be on or off, as people call it.
const turning = "switch or something else that can be on"

// group gives entries the heading under which they are offered, concat their slot.
func group(heading string, all []Entry) []Entry {
	for i := range all {
		all[i].Group = heading
	}
	return all
}

func concat(slot string, groups ...[]Entry) []Entry {
	all := slices.Concat(groups...)
	for i := range all {
		all[i].Slot, all[i].pieces = slot, patternOf(all[i].Pattern)
	}
	return all
}

// entity is the blank for an entity of kinds that fit.
func entity(wants string, fits func(*kind.Kind) bool) []Blank {
	return []Blank{{Key: "what", Type: BlankEntity, Wants: wants, Fits: fits}}
}

func acts(word string) func(*kind.Kind) bool {
	return func(k *kind.Kind) bool { return k.Acts() == word }
}

func anything(k *kind.Kind) bool { return k.Wired }
func opens(k *kind.Kind) bool    { return k.Acts() == kind.Door || k.Acts() == kind.Container }
func turns(k *kind.Kind) bool {
	return k.State != "" && !opens(k) && k.Acts() != kind.Checkpoint
}
func stands(k *kind.Kind) bool {
	return slices.Contains([]string{kind.Arrival, kind.Spawn, kind.Checkpoint}, k.Acts())
}
func speaks(k *kind.Kind) bool { return k.Acts() == kind.Character || k.Acts() == kind.Sign }
func makes(k *kind.Kind) bool  { return k.Acts() == kind.Source || k.Acts() == kind.LaneEntry }
func falls(k *kind.Kind) bool {
	return slices.Contains([]string{kind.Walker, kind.Flyer, kind.Shooter, kind.Breakable, kind.Charge}, k.Acts())
}

// accompanies are those who go along with the hero when a rule says so.
func accompanies(k *kind.Kind) bool { return k.Acts() == kind.Character || k.Acts() == kind.Hero }

func alive(k *kind.Kind) bool {
	return slices.Contains([]string{kind.Walker, kind.Flyer, kind.Character}, k.Acts())
}
func moves(k *kind.Kind) bool   { return alive(k) || k.Acts() == kind.Block }
func settles(k *kind.Kind) bool { return k.Acts() == kind.Block || k.Acts() == kind.Faller }
func sees(k *kind.Kind) bool    { return k.Setting("sight") != nil && alive(k) }
func alongPath(k *kind.Kind) bool {
	return k.Setting("path") != nil
}

func wakes(word string) func(*kind.Kind) bool {
	return func(k *kind.Kind) bool { return k.Wakes == word }
}
