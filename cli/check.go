package cli

import (
	"azzel/core/chart"
	"azzel/core/check"
	"azzel/core/document"
	"azzel/core/play"
	"azzel/core/proof"
	"azzel/core/rules"
	"azzel/core/shade"
	"azzel/core/world"
	"fmt"
	"slices"

	"github.com/spf13/cobra"
)

// finding is something that is wrong, as it is told.
type finding struct {
	What    string `json:"what"`
	Map     string `json:"map,omitempty"`
	Thing   string `json:"thing,omitempty"`
	Text    string `json:"text"`
	Serious bool   `json:"serious"`
	// As is how much it matters in the project; Silenced why it is not told there.
	As       string `json:"as"`
	Silenced string `json:"silenced,omitempty"`
	silent   bool
}

// finish is whether the game can be finished.
type finish struct {
	Is    string `json:"is"`
	Steps int    `json:"steps,omitempty"`
	// Fewest tells that there is no walk of fewer steps.
	Fewest bool   `json:"fewest,omitempty"`
	Lucky  bool   `json:"lucky,omitempty"`
	Why    string `json:"why,omitempty"`
}

// effort is how many ticks of play are tried at most, unless said otherwise.
const effort = 3_000_000

func checkCommand() *cobra.Command {
	var most int
	c := &cobra.Command{
		Use:   "check FROM",
		Short: "Find what is wrong with a project, and whether it can be finished",
		Long: "Finds what is wrong with a project: passages that lead nowhere, things in walls, rules that cannot be read. Then it looks for a\n" +
			"walk to the goal, and plays it before it says that there is one. The exit code is 1 where something would stop a player.",
		Example: "  azzel check saltworks/\n  azzel check tide.zip --json | jq '.findings[] | select(.serious)'",
		Args:    cobra.ExactArgs(1),
	}
	c.Flags().IntVar(&most, "effort", effort, "how many ticks of play are tried before it is not decided")
	json := asJSON(c)
	c.RunE = func(c *cobra.Command, args []string) error {
		p, err := Load(args[0])
		if err != nil {
			return err
		}
		can, _, study := proven(p, most, false)
		found, stops := findings(p, study)
		var lines []string
		for _, f := range found {
			mark := "note"
			if f.silent {
				continue
			}
			if f.Serious {
				mark = "stop"
			}
			at := f.Map
			if f.Thing != "" {
				at += ", " + f.Thing
			}
			lines = append(lines, fmt.Sprintf("%s  %s: %s", mark, at, f.Text))
		}
		lines = append(lines, can.sentence())
		if err := said(c.OutOrStdout(), *json, struct {
			Findings []finding `json:"findings"`
			Finish   finish    `json:"finish"`
		}{found, can}, lines); err != nil {
			return err
		}
		if stops || can.Is == string(proof.Cannot) {
			return errFound
		}
		return nil
	}
	return c
}

// findings are what is wrong with a project, and what its proof says; stops tells that something would stop a player.
func findings(p *Project, proven *proof.Study) (all []finding, stops bool) {
	all = []finding{}
	c := check.Checker{Shades: p.shades()}
	for _, f := range c.Find(chart.New(p.Doc, nil), check.Proven(proven)...) {
		one := finding{What: f.What, Text: f.Text, As: f.As, Silenced: f.Silenced, silent: f.Silent, Serious: f.As == document.Stops && !f.Silent}
		if m := p.Doc.Maps.Get(f.Map); m != nil {
			one.Map = m.Name
		}
		if e := p.Doc.Entity(f.Map, f.ID); e != nil && f.Of == document.TypeEntity {
			one.Thing = e.Name
		}
		if r := p.Doc.Rules.Get(f.ID); r != nil && f.Of == document.TypeRule {
			one.Map, one.Thing = "Rules", r.Name
		}
		all, stops = append(all, one), stops || one.Serious
	}
	return all, stops
}

// shades looks at the pictures of a project, each when it is asked for first.
func (p *Project) shades() check.Shades {
	type look struct {
		of    *document.Tileset
		tiles []shade.Shade
	}
	var seen []look
	return func(t *document.Tileset) []shade.Shade {
		for _, l := range seen {
			if l.of == t {
				return l.tiles
			}
		}
		l := look{of: t}
		if t.Width*t.Height <= shade.MaxPixels {
			if tiles, err := shade.Of(p.Pictures[t.Picture], t.Cut); err == nil {
				l.tiles = tiles
			}
		}
		seen = append(seen, l)
		return l.tiles
	}
}

func (f finish) sentence() string {
	switch proof.Is(f.Is) {
	case proof.Can:
		if f.Lucky {
			return fmt.Sprintf("It can be finished with luck, in at most %d steps.", f.Steps)
		}
		if f.Fewest {
			return fmt.Sprintf("It can be finished, in %d steps and no fewer.", f.Steps)
		}
		return fmt.Sprintf("It can be finished, in at most %d steps.", f.Steps)
	case proof.Cannot:
		return "It cannot be finished: " + f.Why + "."
	case proof.Nothing:
		return "There is no goal yet."
	}
	return "It is not decided whether it can be finished: " + f.Why + "."
}

// played is what became of a recording.
type played struct {
	Name string `json:"name"`
	Same bool   `json:"same"`
	// Tick is where it first goes otherwise; Why says what cannot be played at all.
	Tick int    `json:"tick,omitempty"`
	Why  string `json:"why,omitempty"`
}

func replayCommand() *cobra.Command {
	c := &cobra.Command{
		Use:   "replay FROM [NAME …]",
		Short: "Play recordings again, and tell whether they go as they did",
		Long: "Plays the recordings that are kept with a project again, all or those that are named. The exit code is 1 where one goes\n" +
			"otherwise than it did.",
		Example: "  azzel replay saltworks/\n  azzel replay tide.zip \"West first\" --json",
		Args:    cobra.MinimumNArgs(1),
	}
	json := asJSON(c)
	c.RunE = func(c *cobra.Command, args []string) error {
		p, err := Load(args[0])
		if err != nil {
			return err
		}
		all, err := p.replayed(args[1:])
		if err != nil {
			return err
		}
		ok := true
		var lines []string
		for _, r := range all {
			ok = ok && r.Same
			switch {
			case r.Same:
				lines = append(lines, r.Name+": as it was")
			case r.Why != "":
				lines = append(lines, r.Name+": "+r.Why)
			default:
				lines = append(lines, fmt.Sprintf("%s: otherwise after %.1f s", r.Name, float64(r.Tick)/play.TicksPerSecond))
			}
		}
		if len(all) == 0 {
			lines = append(lines, "The project keeps no recordings.")
		}
		if err := said(c.OutOrStdout(), *json, all, lines); err != nil {
			return err
		}
		if !ok {
			return errFound
		}
		return nil
	}
	return c
}

// replayed plays recordings again: all where none is named.
func (p *Project) replayed(named []string) ([]played, error) {
	st := world.New(p.Doc, chart.New(p.Doc, nil), nil)
	out := []played{}
	known := map[string]bool{}
	for _, r := range p.Doc.RecordingsInOrder() {
		known[r.Name] = true
		if len(named) > 0 && !slices.Contains(named, r.Name) {
			continue
		}
		f, err := play.Follow(st, r)
		if err != nil {
			out = append(out, played{Name: r.Name, Why: err.Error()})
			continue
		}
		for {
			done, parting := f.Step(10_000)
			if !done {
				continue
			}
			one := played{Name: r.Name, Same: parting == nil}
			if parting != nil {
				one.Tick = parting.Tick
			}
			out = append(out, one)
			break
		}
	}
	for _, n := range named {
		if !known[n] {
			return nil, fmt.Errorf("there is no recording called %s", n)
		}
	}
	return out, nil
}

func rulesCommand() *cobra.Command {
	c := &cobra.Command{
		Use:     "rules FROM",
		Short:   "Print the rules of a project as text",
		Long:    "Prints the rules of a project as text, in their order. The exit code is 1 where one is kept that cannot be read yet.",
		Example: "  azzel rules saltworks/\n  azzel rules tide.zip | grep -n lantern",
		Args:    cobra.ExactArgs(1),
	}
	json := asJSON(c)
	c.RunE = func(c *cobra.Command, args []string) error {
		p, err := Load(args[0])
		if err != nil {
			return err
		}
		type text struct {
			ID    string `json:"id"`
			Name  string `json:"name,omitempty"`
			Text  string `json:"text"`
			Draft string `json:"draft,omitempty"`
		}
		all := []text{}
		var lines []string
		drafts := false
		for _, r := range p.Doc.RulesInOrder() {
			one := text{string(r.ID), r.Name, rules.Print(p.Doc, r), r.Draft}
			all, drafts = append(all, one), drafts || r.Draft != ""
			lines = append(lines, one.Text)
		}
		if err := said(c.OutOrStdout(), *json, all, lines); err != nil {
			return err
		}
		if drafts {
			return errFound
		}
		return nil
	}
	return c
}
