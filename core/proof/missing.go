package proof

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/world"
	"fmt"
	"slices"
)

// Missing is something without which a game cannot be finished: if it were otherwise, it could.
type Missing struct {
	// Thing is a door that stays shut, or what a way begins at; None for nothing in particular.
	Thing world.Ref
	Text  string
	// Rule is the one that asks for it, nil for none.
	Rule *document.Rule
	// Map and At are where it is otherwise, None for nowhere.
	Map world.Ref
	At  grid.Point
	of  obstacle
}

// maxPairs is how many pairs of what is in the way are tried together.
const maxPairs = 64

// obstacle is a door that stays shut, a way that asks for what is not had, a jump that falls short, or what rules never bring about.
type obstacle struct {
	door, way world.Ref
	jump      *shortJump
	wish      *wish
}

// lacking looks for what would have to be otherwise, an obstacle at a time: each at the frontier of what could be is taken to be none,
// alone and then in pairs, and what could be is computed anew; where that is not enough, all of them, and what lies beyond.
type lacking struct {
	s      *Search
	all    []obstacle
	tried  int
	out    []Missing
	beyond *beyond
	// together tells that all of them would have to be otherwise, not just one.
	together bool
}

func (s *Search) lacking() *lacking { return &lacking{s: s, all: s.may.obstacles(nil)} }

// obstacles are those at the frontier of what could be that are not among some.
func (f *May) obstacles(but []obstacle) (out []obstacle) {
	add := func(o obstacle) {
		if !slices.Contains(but, o) && !slices.Contains(out, o) {
			out = append(out, o)
		}
	}
	for r := range f.st.Things {
		if len(f.shut[world.Ref(r)]) > 0 && f.st.Things[r].Acts == kind.Door {
			add(obstacle{door: world.Ref(r), way: world.None})
		}
	}
	for _, g := range f.gates {
		if g.way >= 0 {
			add(obstacle{door: world.None, way: g.way})
		}
	}
	for _, j := range f.short() {
		add(obstacle{door: world.None, way: world.None, jump: &j})
	}
	for _, w := range f.wishes() {
		add(obstacle{door: world.None, way: world.None, wish: &w})
	}
	return out
}

// step tries the next; true when all were tried, or enough was found.
func (l *lacking) step() bool {
	n, s := len(l.all), l.s
	if l.beyond != nil {
		if !l.beyond.step() {
			return false
		}
		if l.beyond.reached {
			l.out, l.together = l.beyond.missing(), true
		}
		return true
	}
	if l.tried < n {
		o := l.all[l.tried]
		if f, reaches := s.without(o); reaches {
			l.out = append(l.out, s.missing(o, f))
		}
		l.tried++
		return false
	}
	if len(l.out) > 0 { // of jumps, several that lack little say more than one that lacks much
		if l.beyond = l.lesser(); l.beyond != nil {
			return false
		}
		return true
	}
	pair := l.tried - n
	if pair >= maxPairs {
		l.beyond = &beyond{s: s, cutting: -1}
		return false
	}
	for i := range l.all {
		if rest := n - 1 - i; pair >= rest {
			pair -= rest
			continue
		}
		a, b := l.all[i], l.all[i+1+pair]
		if f, reaches := s.without(a, b); reaches {
			l.out, l.together = []Missing{s.missing(a, f), s.missing(b, f)}, true
			return true
		}
		l.tried++
		return false
	}
	l.beyond = &beyond{s: s, cutting: -1}
	return false
}

// missing says that of an obstacle; with is what could be if it were none.
func (s *Search) missing(o obstacle, with *May) Missing {
	if j := o.jump; j != nil {
		return Missing{Thing: world.None, Text: j.text(s.st), Map: j.m, At: j.from, of: o}
	}
	if o.wish != nil {
		return Missing{Thing: o.wish.thing, Text: o.wish.text, Rule: o.wish.rule, Map: world.None, of: o}
	}
	return Missing{Thing: s.thingOf(o), Text: s.why(o, with), Map: world.None, of: o}
}

// without computes what could be if obstacles were none, and whether the goal could be reached then.
func (s *Search) without(all ...obstacle) (*May, bool) {
	g, err := s.start()
	if err != nil {
		return nil, false
	}
	f := facts(s.st)
	f.unlocked, f.free = make([]bool, len(s.st.Things)), make([]bool, len(s.st.Ways))
	for _, o := range all {
		if o.door >= 0 {
			f.unlocked[o.door] = true
		}
		if o.way >= 0 {
			f.free[o.way] = true
		}
	}
	for i := range f.no {
		f.no[i] = true
	}
	for i, c := range s.st.Counters {
		f.least[i], f.most[i] = int64(c.Start), int64(c.Start)
	}
	for _, o := range all {
		if o.wish != nil {
			o.wish.grant(f)
		}
	}
	f.fromHere(heroSpot(g))
	for todo := all; ; {
		for !f.goOn(1 << 20) {
		}
		// a jump is only made from where it begins
		left := slices.DeleteFunc(slices.Clone(todo), func(o obstacle) bool { return o.jump == nil || f.makes(o.jump) })
		if len(left) == len(todo) || !slices.ContainsFunc(todo, func(o obstacle) bool { return o.jump != nil }) {
			break
		}
		todo = left
	}
	return f, s.reaches(f)
}

// makes has a jump lead on that falls short; false where it does not begin where one could be.
func (f *May) makes(j *shortJump) bool {
	if !f.reached[j.m].has(j.from) {
		return false
	}
	if l := f.leaps[j.m]; l != nil {
		b := f.st.Grounds[j.m].Bounds
		if n := l.Of[(j.to.Y-b.Y)*b.W+j.to.X-b.X]; n > 0 { // also where it reaches over its edge
			l.run[n-1] = true
			f.queue = append(f.queue, spot{m: j.m, p: j.to, part: onFloor})
			return true
		}
	}
	f.enter(spot{m: j.m, p: j.to})
	return true
}

func (s *Search) thingOf(o obstacle) world.Ref {
	if o.door >= 0 {
		return o.door
	}
	from := s.st.Ways[o.way].From
	return s.st.ThingOf(from.Map, from.Entity)
}

// why says of an obstacle what would be needed, and where that is; with is what could be if it were none.
func (s *Search) why(o obstacle, with *May) string {
	if o.door < 0 {
		name := "a way over an edge"
		if t := s.st.Thing(s.thingOf(o)); t != nil {
			name = t.Name
		}
		for _, a := range s.st.Ways[o.way].If {
			if a.Asks != document.GateItem || a.Not {
				continue
			}
			if r := s.st.ThingOf(a.Map, a.Entity); r >= 0 && !s.may.taken[r] && with.taken[r] {
				return fmt.Sprintf("%s asks for %s, which lies behind it", name, s.st.Thing(r).Name)
			}
		}
		return name + " asks for what cannot be had"
	}
	door := s.st.Thing(o.door)
	if word := door.Doing.Needs; word != "" {
		key := world.None
		for r := range s.st.Things {
			t := &s.st.Things[r]
			if (t.Acts == kind.Key || t.Acts == kind.Item) && t.Doing.Word == word || t.Acts == kind.Container && slices.Contains(t.Doing.Holds, word) {
				key = world.Ref(r)
				if with.near(t, 1) {
					break
				}
			}
		}
		switch {
		case key < 0:
			return fmt.Sprintf("%s asks for “%s”, and there is nothing that opens it", door.Name, word)
		case with.near(s.st.Thing(key), 1):
			return fmt.Sprintf("%s lies behind %s, which it opens", s.st.Thing(key).Name, door.Name)
		}
		return fmt.Sprintf("%s opens %s, and cannot be reached", s.st.Thing(key).Name, door.Name)
	}
	opened := false
	end := s.st.End(o.door)
	for _, r := range s.st.Rules {
		tree, opens := rules.TreeOf(r), false
		for _, all := range [][]*rules.Node{tree.Then, tree.Otherwise} {
			rules.Each(all, func(n *rules.Node) {
				is := n.At.Map == end.Map && n.At.ID == end.Entity
				opens = opens || is && (n.Word == rules.WordOpen || n.Word == rules.WordFlip || n.Word == rules.WordRemove || n.Word == rules.WordTurnOn)
			})
		}
		if !opens || r.Off {
			continue
		}
		opened = true
		for _, n := range tree.When {
			r := s.st.ThingOf(n.At.Map, n.At.ID)
			if n.At.Type != document.TypeEntity || r < 0 || s.may.near(s.st.Thing(r), 1) {
				continue
			}
			if t := s.st.Thing(r); with.near(t, 1) {
				return fmt.Sprintf("%s lies behind %s, which it opens", t.Name, door.Name)
			}
			return fmt.Sprintf("%s opens %s, and cannot be reached", s.st.Thing(r).Name, door.Name)
		}
	}
	if opened {
		return door.Name + " stays shut: what its rules ask for never comes about"
	}
	return door.Name + " stays shut: nothing opens it"
}
