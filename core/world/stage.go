// Package world compiles what play needs of one version of a document: things, flags and
// rules by dense numbers, the ground of each map, how a hero moves there. A stage is never
// changed; the next version's takes over what no edit has touched.
package world

import (
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/rules"
	"slices"
	"strings"
)

// Ref is the number of a map, thing, flag, rule or passage on a stage.
type Ref int32

// None is the number of nothing.
const None Ref = -1

// Stage is one version of the document as it is played.
type Stage struct {
	Doc   *document.Document
	Chart *chart.Chart
	// Grounds are the maps in the project's order, Things the entities of all of them, by
	// map and by rank.
	Grounds []*Ground
	Things  []Thing
	// Owned is how many flags and counters things have of their own.
	Owned int
	// Heroes are the things that can be led, Guised those that have guises, Holding those from which a hero can have something,
	// Collectibles what is collected, Goals what finishes a game; all ascending.
	Heroes, Guised, Holding, Collectibles, Goals []Ref
	// turnings are what goes over into other guises, once turned.
	turnings []Turning
	turned   bool
	// Flags are in the order of their ids, Rules in theirs, Ways are the passages by id.
	Flags []document.ID
	// Counters are in the order of their ids.
	Counters []*document.Counter
	// Given are the items that rules give or take, ascending.
	Given []string
	Rules []*document.Rule
	// Dice are the parts of rules that ask chance, in the order of the rules and theirs.
	Dice []Die
	// Rounds are after how many seconds something happens again and again, ascending; Sights tells that rules wait for
	// somebody to see the hero.
	Rounds []int64
	// Looks tells that they wait for what the hero looks at.
	Sights, Looks bool
	// Glimpses are the parts of rules that wait for somebody who comes to see something, or does not any more.
	Glimpses []*rules.Node
	// Book is what holds of the game as a whole.
	Book Rulebook
	// AsksFrom tells that rules ask from which map the hero came.
	AsksFrom bool
	// Sheets are the layers that rules lay and lift.
	Sheets []Sheet
	Ways   []*document.Passage

	// closed is of each map whether it ends at all sides, once that was asked.
	closed []closing

	maps, flags, rules map[document.ID]Ref
	counters           map[document.ID]Ref
	dice               map[document.ID]Ref
	laid               map[document.Object]bool
	things             map[document.End]Ref
	ways               map[document.ID]Ref
	from               map[document.End]Ref
	gaits              map[gaitKey]*Gait
	atHome             []*Gait      // of each thing on its own map, once asked for
	kinds              []*kind.Kind // of each thing, once asked for
	lastGait           *Gait
	carries            map[Ref][]string // what heroes begin with, as far as somebody asked
	moves              []document.ID    // the maps on which rules move the hero, once that is known
	movesKnown         bool
	lastKey            gaitKey
	// hero is the kind that walks where nobody was placed.
	hero document.ID
}

// Thing is an entity as play sees it.
type Thing struct {
	*document.Entity
	// Map is the map that it stands on at first.
	Map Ref
	// Acts is the built-in kind that it behaves as.
	Acts string
	// Solid things are in the way; doors are while they are shut.
	Solid bool
	// Body is what is touched of it.
	Body Box
	// Light is what it shines with, Area what it does to whoever is in it; nil for nothing.
	Light *Light
	Area  *Area
	// Doing is what it does by itself.
	Doing Doing
	// Guises are other ways in which it can be: its own, and those of its kind.
	Guises []document.Guise
	// Own are the flags and counters of its own, of which the first is the one of number OwnFrom.
	Own     []Own
	OwnFrom int
}

// Plain reports whether a thing is there from the beginning as it is drawn while one designs: nothing of it has to be told of until
// something becomes of it.
func (t *Thing) Plain() bool {
	return !t.Absent && !t.Unseen && !t.On && t.Doing.By < 0 && len(t.Guises) == 0 && len(t.Variants) == 0
}

// Box is a box between two corners, in 1/256 map pixels.
type Box = document.Extent

// Unit is how many parts a pixel has.
const Unit = document.Unit

// TicksPerSecond is the fixed rate of play.
const TicksPerSecond = 60

// New makes the stage of a document, with its chart; before, where it is not nil, is that of
// an earlier version.
func New(d *document.Document, c *chart.Chart, before *Stage) *Stage {
	s := &Stage{Doc: d, Chart: c, gaits: map[gaitKey]*Gait{}, hero: d.HeroKind()}
	s.takeMaps(before)
	s.takeRules(before)
	s.takeRulebook(before)
	s.takeSheets()
	s.takeSorts(before)
	return s
}

// takeSorts lists things of some sorts, so that nobody goes over all of them in a tick.
func (s *Stage) takeSorts(before *Stage) {
	if before != nil && len(s.Things) > 0 && len(before.Things) == len(s.Things) && &before.Things[0] == &s.Things[0] {
		s.Heroes, s.Guised, s.Holding, s.Collectibles, s.Goals = before.Heroes, before.Guised, before.Holding, before.Collectibles, before.Goals
		return
	}
	for r := range s.Things {
		if len(s.Things[r].Guises) > 0 {
			s.Guised = append(s.Guised, Ref(r))
		}
		switch s.Things[r].Acts {
		case kind.Hero:
			s.Heroes = append(s.Heroes, Ref(r))
		case kind.Collectible:
			s.Collectibles = append(s.Collectibles, Ref(r))
		case kind.Goal:
			s.Goals = append(s.Goals, Ref(r))
		case kind.Key, kind.Item, kind.Breakable, kind.Walker, kind.Flyer, kind.Shooter, kind.Container:
			s.Holding = append(s.Holding, Ref(r))
		}
	}
}

// As is the same stage for a hero of another kind.
func (s *Stage) As(hero document.ID) *Stage {
	out := *s
	out.hero, out.gaits, out.lastGait, out.carries = hero, map[gaitKey]*Gait{}, nil, nil
	out.atHome, out.kinds = nil, nil
	return &out
}

// takeMaps numbers maps and things.
func (s *Stage) takeMaps(before *Stage) {
	d := s.Doc
	maps := d.MapsInOrder()
	same := before != nil && len(before.Grounds) == len(maps) && before.Doc.Kinds.Same(d.Kinds)
	looks := before != nil && before.Doc.Tilesets.Same(d.Tilesets) && before.Doc.Zones.Same(d.Zones) && before.Doc.Materials.Same(d.Materials)
	for i, m := range maps {
		same = same && before.Grounds[i].ID == m.ID && before.Grounds[i].Map.Entities.Same(m.Entities) &&
			before.Grounds[i].CellWidth == m.CellWidth && before.Grounds[i].CellHeight == m.CellHeight
		g := newGround(s, m, Ref(i))
		if looks && i < len(before.Grounds) {
			g.takeBlocks(before.Grounds[i])
		}
		s.Grounds = append(s.Grounds, g)
	}
	if same {
		s.Things, s.things, s.maps, s.Owned = before.Things, before.things, before.maps, before.Owned
		for i, g := range before.Grounds {
			s.Grounds[i].takeThings(g)
			if looks && s.Grounds[i].Map == g.Map {
				s.Grounds[i].open = g.open
			}
		}
		return
	}
	c := compiler{Stage: s, bare: map[bareKey]conduct{}}
	many := 0
	if before != nil {
		many = len(before.things)
		if before.Doc.Kinds.Same(d.Kinds) {
			c.before = before
		}
	}
	s.maps, s.things, s.Things = map[document.ID]Ref{}, make(map[document.End]Ref, many), make([]Thing, 0, many)
	for i, m := range maps {
		g := s.Grounds[i]
		s.maps[m.ID], g.First = Ref(i), Ref(len(s.Things))
		for _, e := range document.InRank(m.Entities.All()) {
			s.things[document.End{Map: m.ID, Entity: e.ID}] = Ref(len(s.Things))
			s.Things = append(s.Things, c.thing(m, e, Ref(i)))
		}
		g.After = Ref(len(s.Things))
		c.takeMade(g)
		g.After = Ref(len(s.Things))
		s.takeCarriers(g)
	}
	s.takeOwn()
}

// takeRules numbers flags, rules and passages.
func (s *Stage) takeRules(before *Stage) {
	d := s.Doc
	if before != nil && before.Doc.Flags.Same(d.Flags) && before.Doc.Counters.Same(d.Counters) && before.Doc.Rules.Same(d.Rules) && before.Doc.Passages.Same(d.Passages) {
		s.Flags, s.flags, s.Rules, s.rules = before.Flags, before.flags, before.Rules, before.rules
		s.Counters, s.counters, s.Given = before.Counters, before.counters, before.Given
		s.Ways, s.ways, s.from = before.Ways, before.ways, before.from
		s.Dice, s.dice, s.Rounds, s.Sights, s.Looks, s.Glimpses, s.AsksFrom = before.Dice, before.dice, before.Rounds, before.Sights, before.Looks, before.Glimpses, before.AsksFrom
		s.laid = before.laid
		return
	}
	s.flags, s.rules, s.ways, s.from = map[document.ID]Ref{}, map[document.ID]Ref{}, map[document.ID]Ref{}, map[document.End]Ref{}
	for _, f := range d.Flags.All() {
		s.flags[f.ID] = Ref(len(s.Flags))
		s.Flags = append(s.Flags, f.ID)
	}
	s.Counters, s.counters = d.Counters.All(), map[document.ID]Ref{}
	for i, c := range s.Counters {
		s.counters[c.ID] = Ref(i)
	}
	for _, r := range d.RulesInOrder() {
		s.rules[r.ID] = Ref(len(s.Rules))
		r.Parts.Each(func(p *document.RulePart) {
			if word := p.Blank("item").Word(); p.Word == rules.WordGive || p.Word == rules.WordUseUp {
				if i, has := slices.BinarySearch(s.Given, word); !has {
					s.Given = slices.Insert(s.Given, i, word)
				}
			}
		})
		s.Rules = append(s.Rules, r)
	}
	s.takeDice()
	s.Ways = d.Passages.All()
	slices.SortFunc(s.Ways, func(a, b *document.Passage) int { return strings.Compare(string(a.ID), string(b.ID)) })
	for i, p := range s.Ways {
		s.ways[p.ID] = Ref(i)
		if _, ok := s.from[p.From]; !ok {
			s.from[p.From] = Ref(i)
		}
	}
}

func numbered[K comparable](in map[K]Ref, key K) Ref {
	if r, ok := in[key]; ok {
		return r
	}
	return None
}

// MapOf, ThingOf, FlagOf, RuleOf and WayOf give the number of what an id names, None where there is nothing.
func (s *Stage) MapOf(id document.ID) Ref { return numbered(s.maps, id) }

// ThingOf is the number of an entity.
func (s *Stage) ThingOf(m, e document.ID) Ref {
	return numbered(s.things, document.End{Map: m, Entity: e})
}

// FlagOf is the number of a flag.
func (s *Stage) FlagOf(id document.ID) Ref { return numbered(s.flags, id) }

// CounterOf is the number of a counter.
func (s *Stage) CounterOf(id document.ID) Ref { return numbered(s.counters, id) }

// DieOf is the number of a part of a rule that asks chance.
func (s *Stage) DieOf(id document.ID) Ref { return numbered(s.dice, id) }

// RuleOf is the number of a rule.
func (s *Stage) RuleOf(id document.ID) Ref { return numbered(s.rules, id) }

// WayOf is the number of a passage.
func (s *Stage) WayOf(id document.ID) Ref { return numbered(s.ways, id) }

// WayFrom is the passage that begins at an end, None where none does.
func (s *Stage) WayFrom(end document.End) Ref { return numbered(s.from, end) }

// Ground is a map by its number, nil for None.
func (s *Stage) Ground(r Ref) *Ground {
	if r < 0 || int(r) >= len(s.Grounds) {
		return nil
	}
	return s.Grounds[r]
}

// Takes reports whether a part of a rule can be about a thing, by its kind.
func (s *Stage) Takes(n *rules.Node, r Ref) bool {
	if n.Fits == nil {
		return true
	}
	k := s.Doc.Kind(document.ID(s.Things[r].Kind))
	return k != nil && n.Fits(k)
}

// Thing is an entity by its number, nil for None.
func (s *Stage) Thing(r Ref) *Thing {
	if r < 0 || int(r) >= len(s.Things) {
		return nil
	}
	return &s.Things[r]
}

// End names a thing as passages do; of None nothing.
func (s *Stage) End(r Ref) document.End {
	t := s.Thing(r)
	if t == nil {
		return document.End{}
	}
	return document.End{Map: s.Grounds[t.Map].ID, Entity: t.ID}
}
