package world

import (
	"azzel/core/document"
	"azzel/core/rules"
	"slices"
)

// Die is a part of a rule that asks chance. What it draws follows from where it stands, and never from its id.
type Die struct {
	Part document.ID
	// Rule is the place of its rule, Order its own among the parts that ask chance there.
	Rule, Order int
}

// longestRound is after how many seconds something happens again at the most.
const longestRound = 3600

// Round is after how many seconds something happens again that a rule wants so: at least one, an hour at the most.
func Round(seconds int64) int64 { return max(1, min(seconds, longestRound)) }

// takeDice finds what of rules asks chance, and what they wait for that is looked for in every tick.
func (s *Stage) takeDice() {
	s.dice = map[document.ID]Ref{}
	for _, r := range s.Rules {
		n := 0
		for _, p := range r.InOrder() {
			switch p.Word {
			case rules.WordChance, rules.WordDraw:
				s.dice[p.ID] = Ref(len(s.Dice))
				s.Dice = append(s.Dice, Die{p.ID, r.Order, n})
				n++
			case rules.WordSpots, rules.WordLosesSight:
				s.Sights = true
			case rules.WordLooksAt:
				s.Looks = true
			case rules.WordCameFrom:
				s.AsksFrom = true
			}
		}
		if r.Off {
			continue
		}
		for _, n := range rules.TreeOf(r).When {
			if n.Word == rules.WordGlimpses || n.Word == rules.WordMisses {
				s.Glimpses = append(s.Glimpses, n)
			}
			if seconds := Round(n.Number); n.Word == rules.WordEvery && !slices.Contains(s.Rounds, seconds) {
				s.Rounds = append(s.Rounds, seconds)
			}
		}
	}
	slices.Sort(s.Rounds)
}
