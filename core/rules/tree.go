package rules

import (
	"azzel/core/document"
	"azzel/core/kind"
)

// Node is a part of a rule with what stands in it.
type Node struct {
	*document.RulePart
	// At is what its blank “what” names, To what its blank “where” does.
	At, To document.Object
	// If, Then and Otherwise are the parts that stand in it, in their order.
	If, Then, Otherwise []*Node
	// Rule is the rule that it is a part of.
	Rule document.ID
	// Who tells that it names who did what woke the rule.
	Who bool
	// Fits tells of a part that names several things which kinds of them it takes; nil takes all.
	Fits func(*kind.Kind) bool
	// Number is what its blank “number” says; By is the counter that says it instead.
	Number int64
	By     document.ID
}

// Tree is a rule as its parts stand in one another, without those that are off, and its steps.
type Tree struct {
	When, If, Then, Otherwise []*Node
	// Steps are what is done, one after another; what is done otherwise begins at Else.
	Steps []Step
	Else  int32
	// OfKind tells that it is a rule of a kind: that it runs, once or always, for each that wakes it. Firsts tells that it asks
	// whether this is the first time.
	OfKind, Firsts bool
}

// Op is what a step does besides what its word says.
type Op uint8

// The operations of steps.
const (
	OpDo     Op = iota // what its word says
	OpBranch           // goes on at To where not all that its part asks is so
	OpJump             // goes on at To
	OpCount            // begins to count: so often as its part says, goes on at To where that is none
	OpAgain            // goes back to To until that is enough
	OpAsk              // asks, and goes on at the answer's place in Ways, or at To where it has none
	OpEnd              // ends the rule, or one of several things that are done at the same time
	OpScene            // begins a scene
	OpUntil            // waits until all that its part asks is so
	OpFork             // does what begins at Ways at the same time, and goes on at To
	OpJoin             // waits until all that was begun so is done
)

// Step is one step of a rule.
type Step struct {
	Op   Op
	Node *Node
	To   int32
	// Deep is in how many counts it stands.
	Deep int8
	// Ways are where it goes on by answer, or where the several things begin.
	Ways []int32
	// Scene is the place, counted from 1, of the step that began the scene in which it is done, the outermost; 0 is none.
	Scene int32
}

// ID is that of the part that a step is of; empty for the end of all.
func (s *Step) ID() document.ID {
	if s.Node == nil {
		return ""
	}
	return s.Node.ID
}

// TreeOf gives the parts of a rule as they stand in one another. It is made once for a rule.
func TreeOf(r *document.Rule) *Tree {
	return r.Parts.Derived(func() any {
		t := &Tree{}
		under := map[document.ID][]*document.RulePart{}
		for _, p := range r.Parts.All() {
			under[p.Parent] = append(under[p.Parent], p)
		}
		root := grow(under, nil, 0)
		t.If, t.Then, t.Otherwise = root.If, root.Then, root.Otherwise
		for _, p := range r.In(document.SlotWhen) {
			if !p.Off {
				n := node(p)
				t.When = append(t.When, n)
				t.OfKind = t.OfKind || n.At.Type == document.TypeKind || n.At.Type == document.TypeTag
			}
		}
		for _, all := range [][]*Node{t.If, t.Then, t.Otherwise} {
			Each(all, func(n *Node) { n.Rule, t.Firsts = r.ID, t.Firsts || n.Word == WordFirst })
		}
		t.lay(t.Then, 0, 0)
		t.Steps = append(t.Steps, Step{Op: OpEnd})
		t.Else = int32(len(t.Steps))
		t.lay(t.Otherwise, 0, 0)
		t.Steps = append(t.Steps, Step{Op: OpEnd})
		return t
	}).(*Tree)
}

func node(p *document.RulePart) *Node {
	n := &Node{RulePart: p}
	n.At, _ = document.Named(p.Blank("what"))
	n.To, _ = document.Named(p.Blank("where"))
	n.Who = n.At.Type == document.TypeWho || n.To.Type == document.TypeWho
	if e := Find(p.Word); e != nil && (n.At.Several() || n.Who) {
		if b := e.Blank("what"); b != nil {
			n.Fits = b.Fits
		}
	}
	if number := p.Blank("number"); number != "" {
		if by, ok := document.Named(number); ok {
			n.By = by.ID
		} else {
			n.Number = number.Thousandths() / 1000
		}
	}
	return n
}

// grow makes the node of a part, nil for the rule itself, with all that stands in it.
func grow(under map[document.ID][]*document.RulePart, p *document.RulePart, deep int) *Node {
	n, id := &Node{}, document.ID("")
	if p != nil {
		n, id = node(p), p.ID
	}
	if deep > document.MaxDeep {
		return n
	}
	for _, slot := range []struct {
		name string
		to   *[]*Node
	}{{document.SlotIf, &n.If}, {document.SlotThen, &n.Then}, {document.SlotOtherwise, &n.Otherwise}} {
		for _, q := range document.PartsInOrder(under[id], slot.name) {
			if !q.Off {
				*slot.to = append(*slot.to, grow(under, q, deep+1))
			}
		}
	}
	return n
}

// lay writes steps behind those that there are: in so many counts, and in a scene.
func (t *Tree) lay(all []*Node, deep int8, scene int32) {
	add := func(s Step) int {
		s.Scene = scene
		t.Steps = append(t.Steps, s)
		return len(t.Steps) - 1
	}
	here := func() int32 { return int32(len(t.Steps)) }
	for _, n := range all {
		switch n.Word {
		case WordWhether:
			branch := add(Step{Op: OpBranch, Node: n})
			t.lay(n.Then, deep, scene)
			if len(n.Otherwise) > 0 {
				jump := add(Step{Op: OpJump, Node: n})
				t.Steps[branch].To = here()
				t.lay(n.Otherwise, deep, scene)
				t.Steps[jump].To = here()
			} else {
				t.Steps[branch].To = here()
			}
		case WordAsLong:
			branch := add(Step{Op: OpBranch, Node: n})
			t.lay(n.Then, deep, scene)
			add(Step{Op: OpJump, Node: n, To: int32(branch)})
			t.Steps[branch].To = here()
		case WordRepeat:
			count := add(Step{Op: OpCount, Node: n, Deep: deep})
			t.lay(n.Then, deep+1, scene)
			add(Step{Op: OpAgain, Node: n, Deep: deep, To: int32(count) + 1})
			t.Steps[count].To = here()
		case WordAsk:
			ask := add(Step{Op: OpAsk, Node: n})
			var jumps []int
			for _, a := range n.Then {
				if a.Word == WordAnswer && len(t.Steps[ask].Ways) < document.MaxAnswers {
					t.Steps[ask].Ways = append(t.Steps[ask].Ways, here())
					t.lay(a.Then, deep, scene)
					jumps = append(jumps, add(Step{Op: OpJump, Node: a}))
				}
			}
			for _, j := range append(jumps, ask) {
				t.Steps[j].To = here()
			}
		case WordStop:
			add(Step{Op: OpEnd, Node: n})
		case WordUntil:
			add(Step{Op: OpUntil, Node: n})
		case WordScene:
			begins := add(Step{Op: OpScene, Node: n})
			within := scene
			if within == 0 {
				within = int32(begins) + 1
			}
			t.Steps[begins].Scene = within
			t.lay(n.Then, deep, within)
		case WordTogether:
			fork := add(Step{Op: OpFork, Node: n})
			for i := range n.Then {
				t.Steps[fork].Ways = append(t.Steps[fork].Ways, here())
				t.lay(n.Then[i:i+1], deep, scene)
				add(Step{Op: OpEnd, Node: n.Then[i]})
			}
			t.Steps[fork].To = here()
			add(Step{Op: OpJoin, Node: n})
		case WordNote, WordAnswer:
		default:
			add(Step{Op: OpDo, Node: n})
		}
	}
}

// Answers are the answers of a part that asks.
func (n *Node) Answers() (out []string) {
	for _, a := range n.Then {
		if a.Word == WordAnswer && len(out) < document.MaxAnswers {
			out = append(out, a.Blank("text").Word())
		}
	}
	return out
}

// At finds the first step of a part, or the end of what is done where it has none.
func (t *Tree) At(part document.ID) int32 {
	for i, s := range t.Steps {
		if s.ID() == part && part != "" {
			return int32(i)
		}
	}
	return t.Else - 1
}

// Each calls f with nodes and all that stands in them.
func Each(all []*Node, f func(*Node)) {
	for _, n := range all {
		f(n)
		Each(n.If, f)
		Each(n.Then, f)
		Each(n.Otherwise, f)
	}
}
