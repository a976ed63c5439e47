package document

import (
	"errors"
	"fmt"
	"slices"
	"unicode/utf8"
)

// GivenItem is how many of an item rules gave, less what they took.
type GivenItem struct {
	Item   string `json:"item"`
	Amount int    `json:"amount"`
}

// CounterSo is what a counter is.
type CounterSo struct {
	ID ID  `json:"id"`
	Is int `json:"is"`
}

// DrawnSo is how often a part of a rule asked chance.
type DrawnSo struct {
	Part  ID  `json:"part"`
	Times int `json:"times"`
}

// LayerAt is a layer of a map.
type LayerAt struct {
	Map   ID `json:"map"`
	Layer ID `json:"layer"`
}

// Ends are how a game ends.
var Ends = []string{"won", "lost", "done"}

// Waits are what a rule waits for, besides time and its line: somebody who walks, something to be so, others that it began.
var Waits = []string{"", "walk", "so", "all"}

// SpentFor is a rule of a kind that ran once for an entity.
type SpentFor struct {
	Rule ID  `json:"rule"`
	For  End `json:"for"`
}

// RuleWait is a rule that has begun, and the part that comes next; empty for none.
type RuleWait struct {
	Rule ID `json:"rule"`
	Next ID `json:"next,omitempty"`
	// Ticks are left of waiting; 0 waits for a line to be read.
	Ticks int `json:"ticks,omitempty"`
	// Op is which step of the part it is, where it has several; It is what woke the rule.
	Op int  `json:"op,omitempty"`
	It *End `json:"it,omitempty"`
	// By is who did what woke it; nil is the hero.
	By *End `json:"by,omitempty"`
	// Left is how often is still to be done what is repeated, by how deep that stands.
	Left []int `json:"left,omitempty"`
	// For is one of Waits: then Next is the part at which it waits. Far is how far somebody walks still, in 1/256 map pixels.
	For string `json:"for,omitempty"`
	Far int64  `json:"far,omitempty"`
	// Pace is how fast those walk who do because of it, in hundredths; 0 is as usual.
	Pace int `json:"pace,omitempty"`
	// Fork is the part that began it at the same time as others.
	Fork ID `json:"fork,omitempty"`
}

// checkRules finds what is wrong with what a moment keeps of rules.
func (m *Moment) checkRules() error {
	for _, c := range m.Counters {
		if err := first(checkID("a counter", c.ID), checkRange("a counter", c.Is, -MaxNumber, MaxNumber)); err != nil {
			return err
		}
	}
	for _, o := range m.Given {
		if err := first(checkName(o.Item), checkRange("how many of an item", o.Amount, -MaxNumber, MaxNumber)); err != nil {
			return err
		}
	}
	for _, s := range m.Spent {
		if err := first(checkID("a rule", s.Rule), checkID("a thing's map", s.For.Map), checkID("a thing", s.For.Entity)); err != nil {
			return err
		}
	}
	for _, o := range m.Drawn {
		if err := first(checkID("a part of a rule", o.Part), checkRange("how often chance was asked", o.Times, 0, 1<<30)); err != nil {
			return err
		}
	}
	for _, o := range m.Sheets {
		if err := first(checkID("a layer's map", o.Map), checkID("a layer", o.Layer)); err != nil {
			return err
		}
	}
	if m.Over != "" && !slices.Contains(Ends, m.Over) || utf8.RuneCountInString(m.Ending) > MaxText {
		return errors.New("a game has not ended so")
	}
	for _, w := range m.Waits {
		if !slices.Contains(Waits, w.For) {
			return fmt.Errorf("a rule does not wait for “%.40s”", w.For)
		}
		if err := first(checkRange("how far somebody walks", int(w.Far), 0, maxSpot), checkRange("how long a rule waits", w.Ticks, 0, 1<<20), checkRange("how fast somebody walks", w.Pace, 0, 1000), checkRange("a step", w.Op, 0, 1<<4), checkRange("what is repeated", len(w.Left), 0, MaxDeep+1)); err != nil {
			return err
		}
		for _, n := range w.Left {
			if err := checkRange("how often", n, 0, MaxNumber); err != nil {
				return err
			}
		}
	}
	return nil
}
