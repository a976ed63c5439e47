package play

import (
	"azzel/core/document"
	"azzel/core/rules"
	"azzel/core/world"
	"slices"
	"strings"
)

// begin asks a rule, for the thing that woke it, and does what it says.
func (g *Game) begin(ref, it, by world.Ref) {
	r := g.Stage.Rules[ref]
	tree := rules.TreeOf(r)
	if !tree.OfKind {
		// whatever woke it, it is one
		if slices.ContainsFunc(g.Threads, func(t Thread) bool { return t.Rule == ref && !t.reads() }) {
			return
		}
	} else if slices.ContainsFunc(g.Threads, func(t Thread) bool { return t.Rule == ref && t.It == it }) {
		return
	}
	if r.Once && g.hasRun(ref, it) {
		return // it is over
	}
	t := Thread{Rule: ref, It: it, By: by}
	g.by = by
	unmet := g.unmet(tree.If, it)
	g.tellRule(ref, unmet)
	switch {
	case unmet != nil && len(tree.Otherwise) == 0:
		return
	case unmet != nil:
		t.Next = tree.Else
	case r.Once:
		g.markRun(ref, it)
	}
	g.goOn(t)
}

// goOn does what a rule does next, until it waits or has ended.
func (g *Game) goOn(t Thread) {
	if g.run(&t) {
		g.Threads = append(g.Threads, t)
	}
}

// maxSteps is how many steps a rule takes at most before it waits.
const maxSteps = 1000

// run does steps until the rule ends or waits; true when it waits.
func (g *Game) run(t *Thread) bool {
	tree := rules.TreeOf(g.Stage.Rules[t.Rule])
	steps := tree.Steps
	for n := 0; int(t.Next) < len(steps) && g.Over == NotOver && (t.Till == 0 || t.Next < t.Till); n++ {
		t.Skips = t.Skips && steps[t.Next].Scene > 0
		if n >= maxSteps {
			g.Notice = "A rule went round without end and was stopped: let it wait in between."
			return false
		}
		s := &steps[t.Next]
		g.by = t.By
		t.Next++
		switch s.Op {
		case rules.OpEnd:
			if tree.Firsts && t.Fork == 0 && t.Next <= tree.Else && !g.hasRun(t.Rule, t.It) {
				g.markRun(t.Rule, t.It)
			}
			return false
		case rules.OpJump:
			t.Next = s.To
		case rules.OpBranch:
			if !g.all(s.Node.If, t.It) {
				t.Next = s.To
			}
		case rules.OpCount:
			if t.Left[s.Deep] = int32(g.number(s.Node)); t.Left[s.Deep] <= 0 {
				t.Next = s.To
			}
		case rules.OpAgain:
			if t.Left[s.Deep]--; t.Left[s.Deep] > 0 {
				t.Next = s.To
			}
		case rules.OpAsk:
			t.Skips = false
			if g.asks(s.Node) {
				return true
			}
		case rules.OpScene:
		case rules.OpUntil:
			if !t.Skips && !g.all(s.Node.If, t.It) {
				t.For, t.Wait = ForSo, 1
				return true
			}
		case rules.OpFork:
			for _, at := range s.Ways {
				one := *t
				one.Next, one.Fork, one.Far = at, t.Next, 0
				g.goOn(one)
			}
			t.Next = s.To
		case rules.OpJoin:
			if g.others(t) {
				t.For, t.Wait = ForAll, 1
				return true
			}
		default:
			if g.do(s.Node, t) {
				return true
			}
		}
	}
	return false
}

// do does one step of a rule for what woke it; true when the rule waits then.
func (g *Game) do(n *rules.Node, t *Thread) (waits bool) {
	it := t.It
	n = g.meant(n)
	switch n.Word {
	case rules.WordWait:
		// a rule that waits for no time goes on in the next tick
		return t.waits(max(1, g.seconds(n)))
	case rules.WordWalk, rules.WordGoTo:
		return g.sets(n, t)
	case rules.WordTurn, rules.WordFace, rules.WordMove, rules.WordThink, rules.WordHit, rules.WordDefeat, rules.WordMend, rules.WordJump, rules.WordAct:
		g.acted(n, it)
	case rules.WordFollow, rules.WordPart:
		g.eachOf(n, it, func(r world.Ref) { g.accompanies(r, n.Word == rules.WordFollow) })
	case rules.WordZoom, rules.WordPicture, rules.WordSound, rules.WordPlays, rules.WordBed, rules.WordHush, rules.WordWeather,
		rules.WordWatch, rules.WordViewBack, rules.WordDarken, rules.WordLighten, rules.WordTint, rules.WordDim, rules.WordUndim, rules.WordShake, rules.WordCaption:
		return g.shows(n, t)
	case rules.WordDisguise:
		g.eachOf(n, it, func(r world.Ref) { g.disguises(r, world.GuiseNamed(n, "guise")) })
	case rules.WordLay, rules.WordLift:
		g.lays(n.Word, n.At, n.Word == rules.WordLay)
	case rules.WordPlayAs:
		g.playAs(g.target(n, it))
	case rules.WordDraw:
		from, most := g.number(n), g.numberOf(n, "most")
		g.setCounter(n.At.ID, min(from, most)+g.roll(n.ID, abs(most-from)+1))
	case rules.WordWin, rules.WordLose:
		g.concludes(map[bool]Over{true: OverWon, false: OverLost}[n.Word == rules.WordWin], g.text(n))
	case rules.WordFinish:
		if m := g.Ground(); m != nil {
			g.finishes(m)
		}
	case rules.WordSave:
		g.tell(rules.WordSave, "")
	case rules.WordIsHour:
		g.setsClock(g.number(n))
	case rules.WordSet, rules.WordClear:
		g.setFlag(n.At.ID, n.Word == rules.WordSet)
	case rules.WordAdd:
		g.setCounter(n.At.ID, g.Counter(n.At.ID)+g.number(n))
	case rules.WordPut:
		g.setCounter(n.At.ID, g.number(n))
	case rules.WordMultiply:
		g.setCounter(n.At.ID, g.Counter(n.At.ID)*g.number(n))
	case rules.WordSignal:
		g.happen(happening{on: rules.WordHears, thing: world.None, word: n.Blank("signal").Word()})
	case rules.WordCall:
		word := n.Blank("signal").Word()
		g.happen(happening{on: rules.WordHears, thing: world.None, word: word})
		g.happen(happening{on: rules.WordBrings, thing: world.None, word: word, number: g.number(n)})
	case rules.WordPace:
		t.Pace = int32(max(10, min(g.numberOf(n, "percent"), 1000)))
	case rules.WordGive:
		g.give(n.Blank("item").Word(), max(0, g.number(n)))
	case rules.WordUseUp:
		g.give(n.Blank("item").Word(), min(0, -g.number(n)))
	case rules.WordHeal:
		g.setCount(Hearts, int32(max(0, min(int64(g.Count(Hearts))+g.number(n), int64(g.gait().Hearts)))))
	case rules.WordLives:
		g.setCount(Lives, int32(max(0, min(int64(g.Count(Lives))+g.number(n), document.MaxNumber))))
	case rules.WordHarm:
		if harm := g.number(n); harm > 0 && g.Lost == NotLost {
			g.loseHearts(int32(harm))
		}
	case rules.WordKeep:
		g.Back = Place{g.Hero().Map, g.Hero().X, g.Hero().Y}
	case rules.WordSend:
		if g.send(g.target(n, it)); g.Sent >= 0 {
			t.Wait = 1 // what follows comes there
			return true
		}
	case rules.WordSay:
		return !t.Skips && g.says(g.text(n), true, world.None)
	case rules.WordTells:
		return !t.Skips && g.says(g.text(n), true, g.target(n, it))
	case rules.WordTellsAs:
		from := len(g.Lines)
		waits := !t.Skips && g.says(g.text(n), true, g.target(n, it))
		for i := range g.Lines[from:] {
			g.Lines[from+i].As = int32(world.GuiseNamed(n, "guise")) + 1
		}
		return waits
	default:
		g.changes(n, it)
	}
	return false
}

// meant is a part as it is meant now: where it names who did what woke the rule, he is named.
func (g *Game) meant(n *rules.Node) *rules.Node {
	if !n.Who {
		return n
	}
	who := document.Object{Type: document.TypeHero}
	if g.by > 0 {
		end := g.Stage.End(g.by - 1)
		who = document.Object{Type: document.TypeEntity, Map: end.Map, ID: end.Entity}
	}
	out := *n
	for _, o := range []*document.Object{&out.At, &out.To} {
		if o.Type == document.TypeWho {
			*o = who
		}
	}
	return &out
}

// target is the one thing that a part names: what woke the rule, or an entity; the first of a kind.
func (g *Game) target(n *rules.Node, it world.Ref) world.Ref {
	switch n.At.Type {
	case document.TypeIt:
		return it
	case document.TypeHero:
		return g.Hero().Of
	case document.TypeKind, document.TypeTag, document.TypeWithin:
		for _, r := range g.several(n) {
			return r
		}
		return world.None
	}
	return g.Stage.ThingOf(n.At.Map, n.At.ID)
}

// changes does to what a part names what its word says: to all of a kind.
func (g *Game) changes(n *rules.Node, it world.Ref) {
	g.eachOf(n, it, func(r world.Ref) {
		if !g.change(n.Word, r) {
			g.changeOwn(n, r)
		}
	})
}

// says shows a text page by page, as said by a thing or by nobody; a rule goes on when the last one was read. It
// reports whether there is anything to read.
func (g *Game) says(text string, rule bool, by world.Ref) bool {
	all := PagesOf(text).Pages
	for i, page := range all {
		g.Lines = append(g.Lines, Line{Text: strings.Join(page, "\n"), Resumes: rule && i == len(all)-1, By: by + 1})
	}
	return len(all) > 0
}

// asks shows a question, page by page, the answers with the last one; false where there is nothing to answer.
func (g *Game) asks(n *rules.Node) bool {
	answers := g.answers(n)
	if len(answers) == 0 {
		return g.says(g.text(n), true, world.None)
	}
	if !g.says(g.text(n), true, world.None) {
		g.Lines = append(g.Lines, Line{Resumes: true})
	}
	g.Lines[len(g.Lines)-1].Answers = answers
	return true
}

// answer moves to another answer of what is asked, or gives one; false while it is still asked.
func (g *Game) answer(pressed Input) bool {
	n := int8(len(g.Lines[0].Answers))
	g.Chosen = min(g.Chosen, n-1)
	switch {
	case pressed&(InputUp|InputLeft) != 0:
		g.Chosen = (g.Chosen + n - 1) % n
	case pressed&(InputDown|InputRight) != 0:
		g.Chosen = (g.Chosen + 1) % n
	}
	return pressed&(InputUse|InputJump) != 0
}

// read takes away the line that has been read, and goes on with the rule that said it.
func (g *Game) read() {
	line := g.Lines[0]
	if g.Lines = g.Lines[1:]; line.Resumes {
		g.resume(len(line.Answers) > 0)
	}
	g.Chosen = 0
}

// resume goes on with the rule whose line has been read: lines and waiting
// rules stand in the same order.
func (g *Game) resume(answered bool) {
	i := slices.IndexFunc(g.Threads, Thread.reads)
	if i < 0 {
		return
	}
	t := g.Threads[i]
	g.Threads = slices.Delete(slices.Clone(g.Threads), i, i+1)
	if s := t.asking(g.Stage); answered && s != nil {
		if t.Next = s.To; int(g.Chosen) < len(s.Ways) {
			t.Next = s.Ways[g.Chosen]
		}
	}
	g.goOn(t)
}

// askAnew shows the answers as they are now, after an edit.
func (g *Game) askAnew() {
	reading := slices.DeleteFunc(slices.Clone(g.Threads), func(t Thread) bool { return !t.reads() })
	for i := range g.Lines {
		if !g.Lines[i].Resumes || len(reading) == 0 {
			continue
		}
		if s := reading[0].asking(g.Stage); s != nil && len(g.Lines[i].Answers) > 0 {
			g.Lines[i].Answers = g.answers(s.Node)
		}
		reading = reading[1:]
	}
	if len(g.Lines) > 0 {
		g.Chosen = max(0, min(g.Chosen, int8(len(g.Lines[0].Answers))-1))
	}
}
