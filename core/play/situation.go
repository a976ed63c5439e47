package play

import (
	"azzel/core/cells"
	"azzel/core/chance"
	"azzel/core/document"
	"azzel/core/rules"
	"azzel/core/world"
)

// Situation is what logic can see and what outlasts a moment: bits of flags, rules and
// things by their numbers on the stage, and counts. Its hash follows every change.
type Situation struct {
	Bits   []uint64
	Counts []int32
	Hash   [2]uint64
}

// Bit is something that is so of a thing.
type Bit int

// What can be so of a thing, as document.Sos calls it. Switched and Opened are against what it is at first.
const (
	Switched Bit = iota // not in its first state
	Opened              // opened by a rule
	Taken               // a collectible that the hero has
	Gone                // taken away
	Reached             // a checkpoint or a goal where the hero has been
	Spent               // a key that was used up
	Brought             // against what it is at first: there, or not
	Veiled              // against what it is at first: shown, or not
	Disabled            // against what it is at first: disabled, or not
	bitsOfThing
)

// The counts; those of things follow them, then those of counters, and of items that rules give.
const (
	Hearts   = iota // of the hero
	Lives           // that are left, where they are counted
	Points          // that are left of a turn, where the hero goes by them
	Turn            // ticks that the world still moves between two turns
	CameFrom        // one more than the map on which the hero was before, where rules ask that; 0 is none
	countsOfAll
)

// room makes the slices as large as a stage asks.
func (s *Situation) room(st *world.Stage) {
	n := len(st.Flags) + len(st.Rules) + len(st.Things)*int(bitsOfThing) + len(st.Sheets)
	s.Bits, s.Counts, s.Hash = make([]uint64, (n+63)/64), make([]int32, countsOfAll+st.Owned+len(st.Counters)+len(st.Given)+len(st.Dice)), [2]uint64{}
	s.firstOwn(st, 0, world.Ref(len(st.Things)))
	s.firstCounters(st)
}

func flagSlot(f world.Ref) int                  { return int(f) }
func ruleSlot(st *world.Stage, r world.Ref) int { return len(st.Flags) + int(r) }
func thingSlot(st *world.Stage, t world.Ref, b Bit) int {
	return len(st.Flags) + len(st.Rules) + int(t)*int(bitsOfThing) + int(b)
}

func sheetSlot(st *world.Stage, n int) int {
	return len(st.Flags) + len(st.Rules) + len(st.Things)*int(bitsOfThing) + n
}

func (s *Situation) bit(slot int) bool { return s.Bits[slot>>6]>>(slot&63)&1 != 0 }

func (s *Situation) set(slot int, is bool) {
	if s.bit(slot) == is {
		return
	}
	s.Bits[slot>>6] ^= 1 << (slot & 63)
	s.toggle(uint64(slot))
}

// toggle takes a slot into the hash, or out of it (Zobrist, 1970, with computed keys).
func (s *Situation) toggle(key uint64) {
	s.Hash[0] ^= mix(key + 0x9e3779b97f4a7c15)
	s.Hash[1] ^= mix(key ^ 0xd1b54a32d192ed03)
}

// Count is one of the counts.
func (s *Situation) Count(k int) int32 { return s.Counts[k] }

func (s *Situation) setCount(k int, v int32) {
	key := func(v int32) uint64 { return 1<<63 | uint64(k)<<32 | uint64(uint32(v)) }
	s.toggle(key(s.Counts[k]))
	s.Counts[k] = v
	s.toggle(key(v))
}

// mix is the finaliser of SplitMix64 (Steele, Lea, Flood, OOPSLA 2014).
func mix(z uint64) uint64 {
	z = (z ^ z>>30) * 0xbf58476d1ce4e5b9
	z = (z ^ z>>27) * 0x94d049bb133111eb
	return z ^ z>>31
}

// Is reports whether something is so of a thing; of nothing it is not.
func (g *Game) Is(t world.Ref, b Bit) bool { return t >= 0 && g.bit(thingSlot(g.Stage, t, b)) }

// Untouched reports whether nothing became of a thing: all of its bits are as at first.
func (g *Game) Untouched(t world.Ref) bool {
	at := thingSlot(g.Stage, t, 0)
	word := g.Bits[at>>6] >> (at & 63)
	if n := 64 - at&63; n < int(bitsOfThing) {
		word |= g.Bits[at>>6+1] << n
	}
	return word&(1<<bitsOfThing-1) == 0
}

func (g *Game) setThing(t world.Ref, b Bit, is bool) {
	if t >= 0 {
		g.set(thingSlot(g.Stage, t, b), is)
	}
}

// Flag reports whether a flag is set.
func (g *Game) Flag(id document.ID) bool {
	f := g.Stage.FlagOf(id)
	return f >= 0 && g.bit(flagSlot(f))
}

func (g *Game) setFlag(id document.ID, is bool) {
	if f := g.Stage.FlagOf(id); f >= 0 && g.bit(flagSlot(f)) != is {
		g.set(flagSlot(f), is)
		word := map[bool]string{true: rules.WordGetsSet, false: rules.WordGetsBare}[is]
		g.happen(happening{on: word, thing: world.None, of: document.Object{Type: document.TypeFlag, ID: id}})
	}
}

// Look is the variant that the game's seed draws for a thing, 0 for its own look; there is
// false where that is not being there. It follows from its rank and map, never from its id.
func (g *Game) Look(r world.Ref) (look cells.Cell, there bool) {
	t := &g.Stage.Things[r]
	if len(t.Variants) == 0 {
		return 0, true
	}
	odds := make([]int, len(t.Variants))
	for k, v := range t.Variants {
		odds[k] = v.Odds
	}
	k := chance.Pick(chance.At(g.Seed, t.Rank, g.Stage.Grounds[t.Map].Order, 0), odds)
	if k < 0 {
		return 0, true
	}
	return t.Variants[k].Look, t.Variants[k].Look != 0
}
