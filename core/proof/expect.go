package proof

import (
	"azzel/core/document"
	"azzel/core/play"
	"azzel/core/rules"
	"azzel/core/world"
	"errors"
	"slices"
	"strings"
)

// What became of an expectation.
const (
	Proven  = "proven"
	Refuted = "refuted"
	Unknown = "not decided"
)

// Verdict is what became of an expectation.
type Verdict struct {
	Is string
	// Walk is one that shows it: that it comes about, or that the game is finished without it.
	Walk []play.Input
	Why  string
}

// Expecting finds out about one expectation, a little at a time.
type Expecting struct {
	st     *world.Stage
	is     string
	asked  []*rules.Node
	search *Search
	may    *May
	out    *Verdict
}

// Asked reads conditions, a line each, as rules ask them.
func Asked(d *document.Document, says string) ([]*rules.Node, error) {
	lines := strings.Split(strings.TrimSpace(says), "\n")
	r, err := rules.Read(d, "when\n\ta new game begins\nif\n\t"+strings.Join(lines, "\n\t")+"\nthen\n\twin the game \"\"\n")
	if err != nil {
		return nil, errors.New(withoutPlace(err.Error()))
	}
	tree := rules.TreeOf(&r)
	if len(tree.If) == 0 {
		return nil, errors.New("say what is to be so, as a rule asks it")
	}
	return tree.If, nil
}

// withoutPlace leaves out where in the text of a rule something is wrong, which is not seen.
func withoutPlace(text string) string {
	if _, rest, ok := strings.Cut(text, "character "); ok {
		if _, says, ok := strings.Cut(rest, ": "); ok {
			return says + " (a name of several words stands in quotes)"
		}
	}
	return text
}

// NewExpecting begins with an expectation.
func NewExpecting(st *world.Stage, e document.Expectation) *Expecting {
	x := &Expecting{st: st, is: e.Is}
	asked, err := Asked(st.Doc, e.Says)
	if err != nil {
		x.out = &Verdict{Is: Unknown, Why: err.Error()}
		return x
	}
	x.asked = asked
	x.search = NewFrom(st, atFirst(st))
	if x.search.may == nil {
		x.out = &Verdict{Is: Unknown, Why: x.search.out.Why}
		return x
	}
	if e.Is == document.ExpectNeeded {
		x.search.skips = x.so
		g, _ := atFirst(st)()
		if f := facts(st); f.forbids(asked) {
			for i := range f.no {
				f.no[i] = true
			}
			for i, c := range st.Counters {
				f.least[i], f.most[i] = int64(c.Start), int64(c.Start)
			}
			x.may = f.fromHere(heroSpot(g))
		}
	} else {
		x.search.wanted = x.so
		x.may = x.search.may
	}
	return x
}

// so reports whether what is asked is so in a game.
func (x *Expecting) so(g *play.Game) bool {
	return !slices.ContainsFunc(x.asked, func(n *rules.Node) bool { return !g.IsSo(n, world.None) })
}

// Step goes on for about so many ticks of play; the verdict is nil until there is one.
func (x *Expecting) Step(budget int) *Verdict {
	if x.out != nil {
		return x.out
	}
	if x.may != nil {
		if !x.may.goOn(budget) {
			return nil
		}
		could := x.may.won || slices.ContainsFunc(x.search.goals, x.may.Reaches)
		if x.is != document.ExpectNeeded {
			could, _ = x.may.could(x.asked, world.None)
		}
		if !could {
			x.out = &Verdict{Is: map[string]string{document.ExpectNever: Proven, document.ExpectSometimes: Refuted, document.ExpectNeeded: Proven}[x.is], Why: "by all that could be"}
			return x.out
		}
		x.may, x.search.bounded = nil, true
	}
	a := x.search.Step(budget)
	switch {
	case a == nil:
	case a.Is == Can && x.is == document.ExpectSometimes:
		x.out = &Verdict{Is: Proven, Walk: a.Walk}
	case a.Is == Can && (x.is == document.ExpectNever || x.without(a.Walk)):
		x.out = &Verdict{Is: Refuted, Walk: a.Walk}
	default:
		x.out = &Verdict{Is: Unknown, Why: a.Why}
	}
	return x.out
}

// without plays a walk, and reports whether what is asked was never so on it.
func (x *Expecting) without(walk []play.Input) bool {
	g, err := atFirst(x.st)()
	if err != nil || x.so(g) {
		return false
	}
	for _, in := range walk {
		if g.Step(in); x.so(g) {
			return false
		}
	}
	return true
}

// forbids has what is asked never be so, where that is one thing that can be kept out of what could be.
func (f *May) forbids(asked []*rules.Node) bool {
	if len(asked) != 1 {
		return false
	}
	switch n := asked[0]; n.Word {
	case rules.WordIsSet:
		f.bareFlag = f.st.FlagOf(n.At.ID) + 1
		return f.bareFlag > 0
	case rules.WordHas:
		f.bareWord = n.Blank("item").Word()
		return f.bareWord != ""
	case rules.WordVisited, rules.WordIsOnMap:
		f.bareMap = f.st.MapOf(n.At.ID) + 1
		return f.bareMap > 0
	case rules.WordIsOpen, rules.WordIsOn:
		if n.At.Type == document.TypeEntity {
			f.bareThing = f.st.ThingOf(n.At.Map, n.At.ID) + 1
		}
		return f.bareThing > 0 && !f.st.Thing(f.bareThing-1).Entity.On
	}
	return false
}

// opens has a thing be open, or on, unless that is taken never to be.
func (f *May) opens(r world.Ref, set func(*bool)) {
	if r != f.bareThing-1 {
		set(&f.opened[r])
	}
}
