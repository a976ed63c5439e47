// Package check finds what is wrong or suspicious in a project: each finding with its place, how much it matters, and what mends
// it where a press can do that.
package check

import (
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/shade"
	"fmt"
	"slices"
	"strings"
)

// Finding is something that a designer should know of.
type Finding struct {
	// What is the sort, a word of Sorts.
	What string `json:"what"`
	// Of is the type of what it is about, Map its map and ID itself; both are empty for the project.
	Of  string      `json:"of"`
	Map document.ID `json:"map"`
	ID  document.ID `json:"id"`
	// At is a cell of the map, where it is about one.
	At   *grid.Point `json:"at"`
	Text string      `json:"text"`
	// As is how much it matters, one of document.Severities.
	As string `json:"as"`
	// Mend is what a press would do about it, empty for nothing.
	Mend string `json:"mend"`
	// Silenced is why it is not told, if it is.
	Silenced string `json:"silenced"`
	Silent   bool   `json:"silent"`
	// more stands for all that is not told one by one, and is mended by no press.
	more bool
}

// Sort is one sort of findings.
type Sort struct {
	What string `json:"what"`
	Name string `json:"name"`
	// Usual is how much it matters unless the project says otherwise.
	Usual string `json:"usual"`
	// Group is the heading below which it stands.
	Group string `json:"group"`
	mend  string
}

// The sorts that are found here, besides those of chart.
const (
	InWall         = "in a wall"
	DoorInWall     = "door in a wall"
	Outside        = "outside"
	OnEachOther    = "on each other"
	OutOfView      = "out of view"
	UnseenExit     = "unseen exit"
	HardToSee      = "hard to see"
	WrongNumber    = "wrong number"
	Flickers       = "flickers"
	NoGround       = "no ground"
	SpawnHurts     = "spawn hurts"
	NothingSolid   = "nothing solid"
	Unpainted      = "unpainted"
	TilesGone      = "tiles gone"
	EmptyLayer     = "empty layer"
	StarsOrder     = "stars out of order"
	FewMoves       = "fewer moves than stars"
	DiagonalGap    = "diagonal gap"
	Pocket         = "pocket"
	OpenEdge       = "open edge"
	LoneCell       = "lone cell"
	MissingForms   = "missing forms"
	UnevenTeams    = "uneven teams"
	NothingToBuild = "nothing to build on"
	LongWord       = "long word"
	HardToRead     = "hard to read"
	TextRuns       = "text runs on"
	NotSaid        = "not said"
	RuleDraft      = "rule draft"
	RuleGone       = "rule names what is gone"
	RuleEmpty      = "rule does nothing"
	RuleEndless    = "rules without end"
	RuleUndoes     = "rule takes back"
	PlainName      = "plain name"
	FlagUnused     = "flag unused"
	FlagNever      = "flag never set"
	NoGoal         = "no goal"
	// What the proof finds.
	CannotFinish = "cannot be finished"
	Trap         = "stuck for good"
	NeverMap     = "map never come to"
	NeverThing   = "thing never come to"
	NeverGround  = "ground never come to"
	NeverRule    = "rule never runs"
	NeverStep    = "step never runs"
	TightJump    = "tight jump"
	Refuted      = "expectation refuted"
	// OwnCheck is what a check of the designer's own asks for.
	OwnCheck = "own check"
	// Parted is a recording that goes otherwise than it did.
	Parted = "recording goes otherwise"
	// PinGone is a pin from which nobody can go on.
	PinGone = "pin gone"
)

// Groups are the headings of findings.
const (
	groupFinish = "Finishing the game"
	groupWays   = "Ways between maps"
	groupThings = "Things on maps"
	groupMaps   = "Maps and layers"
	groupRules  = "Rules"
	groupTexts  = "Texts"
)

const (
	movesThere = "Move it to the nearest free place"
	takesAway  = "Remove it"
)

// Sorts lists all sorts of findings, in the order in which they are told.
var Sorts = []Sort{
	{CannotFinish, "It cannot be finished", document.Stops, groupFinish, ""},
	{Refuted, "An expectation does not hold", document.Stops, groupFinish, ""},
	{Trap, "Somewhere one is stuck for good", document.Matters, groupFinish, ""},
	{Parted, "A recording that goes otherwise now", document.Matters, groupFinish, ""},
	{OwnCheck, "A check of your own", document.Matters, groupFinish, ""},
	{NoGoal, "Nothing finishes the game", document.Noted, groupFinish, ""},
	{NeverMap, "A map that nobody comes to", document.Matters, groupFinish, ""},
	{NeverThing, "Something that nobody comes to", document.Matters, groupFinish, ""},
	{NeverGround, "Ground in view that nobody comes to", document.Noted, groupFinish, ""},
	{NeverRule, "A rule that can never run", document.Matters, groupFinish, ""},
	{NeverStep, "A part of a rule that can never run", document.Matters, groupFinish, ""},
	{TightJump, "A jump that leaves hardly any time", document.Noted, groupFinish, ""},
	{PinGone, "A pin that cannot be gone on from", document.Matters, groupFinish, takesAway},
	{chart.LeadsNot, "An exit that leads nowhere", document.Stops, groupWays, ""},
	{chart.NoWayIn, "A map without a way in", document.Stops, groupWays, ""},
	{chart.NoStart, "A map without a spawn", document.Stops, groupWays, ""},
	{chart.BrokenFrom, "An exit that cannot be reached", document.Stops, groupWays, movesThere},
	{chart.BrokenTo, "An arrival in a wall or in water", document.Stops, groupWays, movesThere},
	{chart.Lost, "A passage that lost an end", document.Stops, groupWays, "Remove the passage"},
	{chart.NoWayOut, "A map without a way out", document.Matters, groupWays, ""},
	{chart.Unused, "An arrival that nothing leads to", document.Noted, groupWays, takesAway},
	{chart.Overlap, "Maps that lie over each other", document.Matters, groupWays, ""},
	{NoGround, "A spawn without ground", document.Stops, groupThings, ""},
	{SpawnHurts, "A spawn in danger", document.Stops, groupThings, movesThere},
	{InWall, "Something in a wall", document.Matters, groupThings, movesThere},
	{DoorInWall, "A door that leads into a wall", document.Matters, groupThings, ""},
	{Outside, "Something outside its map", document.Matters, groupThings, movesThere},
	{OnEachOther, "Things on each other", document.Matters, groupThings, takesAway},
	{WrongNumber, "Too few of a kind, or too many", document.Matters, groupThings, ""},
	{OutOfView, "Something that the camera never shows", document.Noted, groupThings, ""},
	{UnseenExit, "An exit that looks like the ground around it", document.Noted, groupThings, ""},
	{chart.CannotMove, "Something that cannot move", document.Matters, groupThings, movesThere},
	{chart.NoKey, "A key that is nowhere", document.Matters, groupThings, ""},
	{chart.NoPath, "A path without points", document.Matters, groupThings, ""},
	{chart.NoLength, "Something that reaches nothing", document.Matters, groupThings, ""},
	{chart.InCircle, "Things that carry each other", document.Matters, groupThings, ""},
	{chart.NoMakes, "A source that makes nothing", document.Matters, groupThings, ""},
	{chart.NoLane, "A lane without an end", document.Matters, groupThings, ""},
	{chart.NoTime, "A timer without a time", document.Matters, groupThings, ""},
	{StarsOrder, "Stars whose thresholds are out of order", document.Matters, groupMaps, ""},
	{FewMoves, "A limit of moves that stars lie beyond", document.Matters, groupMaps, ""},
	{NothingSolid, "A map where nothing is solid", document.Matters, groupMaps, ""},
	{TilesGone, "Tiles whose tileset is gone", document.Matters, groupMaps, ""},
	{HardToSee, "Ground from which the hero hardly stands out", document.Noted, groupMaps, ""},
	{Flickers, "Something that flickers more than three times a second", document.Matters, groupMaps, ""},
	{Unpainted, "Cells that are not painted", document.Noted, groupMaps, ""},
	{DiagonalGap, "Gaps between walls that meet at a corner", document.Noted, groupMaps, ""},
	{OpenEdge, "A gap in the walls around a map", document.Noted, groupMaps, ""},
	{Pocket, "Ground that is shut in", document.Noted, groupMaps, ""},
	{LoneCell, "A single cell of a material", document.Noted, groupMaps, ""},
	{MissingForms, "A material that lacks forms", document.Noted, groupMaps, ""},
	{UnevenTeams, "Teams with uneven places to begin", document.Matters, groupMaps, ""},
	{NothingToBuild, "Waves, and nothing to build on", document.Noted, groupMaps, ""},
	{EmptyLayer, "A layer with nothing on it", document.Noted, groupMaps, takesAway},
	{RuleDraft, "A rule whose text cannot be read", document.Stops, groupRules, ""},
	{RuleEndless, "Rules that wake each other without end", document.Stops, groupRules, ""},
	{RuleUndoes, "Rules that take back what the other does", document.Matters, groupRules, ""},
	{RuleGone, "A rule that names what was removed", document.Matters, groupRules, ""},
	{RuleEmpty, "A rule that does nothing", document.Noted, groupRules, takesAway},
	{FlagNever, "A flag that is asked for and never set", document.Matters, groupRules, ""},
	{FlagUnused, "A flag that nothing uses", document.Noted, groupRules, takesAway},
	{PlainName, "A rule that names something by a number", document.Noted, groupRules, ""},
	{HardToRead, "Letters that cannot be told from their ground", document.Matters, groupTexts, ""},
	{LongWord, "A word that is longer than a line", document.Matters, groupTexts, ""},
	{NotSaid, "A text that a language lacks", document.Noted, groupTexts, ""},
	{TextRuns, "A text that goes on with another page", document.Noted, groupTexts, ""},
}

var sortOf = func() map[string]*Sort {
	out := map[string]*Sort{}
	for i := range Sorts {
		out[Sorts[i].What] = &Sorts[i]
	}
	return out
}()

// Matters is how much findings of a sort matter in a project.
func Matters(p *document.Project, what string) string {
	for _, c := range p.Checks {
		if c.What == what {
			return c.As
		}
	}
	if s := sortOf[what]; s != nil {
		return s.Usual
	}
	return document.Matters
}

// Checker finds what is wrong, and looks only at maps again that have changed.
type Checker struct {
	maps map[document.ID]*looked
	d    *document.Document
	// lacks is how many forms materials lack.
	lacks map[*document.Material]int
	// Shades tells how tiles look, nil for not knowing; Known counts what it has come to know, so that it is asked again.
	Shades Shades
	Known  int
	hero   shade.Shade
	asked  int
	// round counts how often it came to look otherwise where the hero is hardly seen.
	round int
}

// looked is what was found on a map alone.
type looked struct {
	of  *document.Map
	out []Finding
	// edges are the cells beyond its walls’ gaps, where another map could lie.
	edges []grid.Point
	// counts are how many of each kind stand on it.
	counts map[string]int
	// hides is where the hero is hardly seen, as it was looked for in a round.
	hides  []Finding
	sought int
}

// Find lists all that is wrong with a project: what matters most first, then by the order of Sorts. What is not looked for is left
// out; what is silenced is told with its reason. More are findings that were computed elsewhere.
func (c *Checker) Find(ch *chart.Chart, more ...Finding) []Finding {
	d := ch.Doc()
	if c.d == nil || !d.Tilesets.Same(c.d.Tilesets) || !d.Zones.Same(c.d.Zones) || !d.Materials.Same(c.d.Materials) || !d.Kinds.Same(c.d.Kinds) || d.Project != c.d.Project {
		c.maps = map[document.ID]*looked{}
	}
	c.d = d
	hero := c.heroShade(d)
	if hero != c.hero || c.asked != c.Known {
		c.hero, c.asked = hero, c.Known
		c.round++
	}
	var all []Finding
	for _, f := range ch.Findings() {
		one := Finding{What: f.What, Of: document.TypeMap, Map: f.Map, ID: f.Map, Text: f.Text}
		switch {
		case f.Entity != "":
			one.Of, one.ID = document.TypeEntity, f.Entity
		case f.Passage != "":
			one.Of, one.ID = document.TypePassage, f.Passage
		}
		all = append(all, one)
	}
	for _, m := range d.MapsInOrder() {
		var solid []bool
		l := c.maps[m.ID]
		if l == nil || l.of != m {
			l = &looked{of: m}
			solid = walls(ch.Solids(), m)
			onMap(d, ch.Solids(), solid, m, func(f Finding) { l.out = append(l.out, f) })
			l.edges = edges(d, ch.Solids(), m)
			l.counts = countKinds(m)
			c.maps[m.ID] = l
		}
		all = append(all, l.out...)
		all = append(all, open(ch, m, l.edges)...)
		if l.sought != c.round {
			if solid == nil && hero.Covers > 0 {
				solid = walls(ch.Solids(), m)
			}
			l.hides, l.sought = c.standsOut(d, solid, m, &hero), c.round
		}
		all = append(all, l.hides...)
	}
	say := func(f Finding) { all = append(all, f) }
	ofRules(d, say)
	ofUndoing(d, say)
	ofOwn(d, say)
	c.ofNumbers(d, say)
	c.ofFlicker(d, say)
	ofTexts(d, say)
	c.ofLooks(d, say)
	all = append(all, more...)
	return sorted(d, all)
}

// open are the gaps in the walls around a map beyond which no other lies.
func open(ch *chart.Chart, m *document.Map, edges []grid.Point) []Finding {
	n, first := 0, grid.Point{}
	for _, p := range edges {
		if o, _, _ := ch.Beyond(m, p); o == nil {
			if n++; n == 1 {
				first = grid.Point{X: min(max(p.X, m.Bounds.X), m.Bounds.X+m.Bounds.W-1), Y: min(max(p.Y, m.Bounds.Y), m.Bounds.Y+m.Bounds.H-1)}
			}
		}
	}
	if n == 0 {
		return nil
	}
	return []Finding{{What: OpenEdge, Of: document.TypeMap, Map: m.ID, ID: m.ID, At: &first, Text: fmt.Sprintf("The walls around %s have a gap where nothing follows: %s at its edge.", m.Name, strings.ToLower(cellsOf(n)))}}
}

func sorted(d *document.Document, all []Finding) []Finding {
	out := []Finding{}
	for _, f := range all {
		if as := Matters(d.Project, f.What); f.As == "" || as == document.Ignored {
			f.As = as // a check of one’s own matters as it says
		}
		if f.As == document.Ignored {
			continue
		}
		if s := sortOf[f.What]; s != nil {
			if !f.more {
				f.Mend = s.mend
			}
		}
		for _, s := range d.Project.Silenced {
			if s.What == f.What && s.Map == f.Map && s.ID == f.ID {
				f.Silent, f.Silenced = true, s.Why
			}
		}
		out = append(out, f)
	}
	place := func(f *Finding) int {
		return 1000*slices.Index(document.Severities, f.As) + slices.IndexFunc(Sorts, func(s Sort) bool { return s.What == f.What })
	}
	slices.SortStableFunc(out, func(a, b Finding) int { return place(&a) - place(&b) })
	return out
}
