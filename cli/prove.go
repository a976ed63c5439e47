package cli

import (
	"azzel/core/author"
	"azzel/core/chart"
	"azzel/core/check"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/play"
	"azzel/core/proof"
	"azzel/core/world"
	"bytes"
	"encoding/csv"
	"encoding/json"
	"errors"
	"fmt"
	"path/filepath"
	"strconv"
	"strings"

	"github.com/spf13/cobra"
)

// stride is a step of a walk: where the hero came to, or what happened there.
type stride struct {
	Seconds string `json:"seconds"`
	Map     string `json:"map"`
	X       int    `json:"x"`
	Y       int    `json:"y"`
	Is      string `json:"is,omitempty"`
	Name    string `json:"name,omitempty"`
}

func proveCommand() *cobra.Command {
	var most int
	var walkTo, keepIn, findingsTo string
	c := &cobra.Command{
		Use:   "prove FROM",
		Short: "Look for a walk to the goal, and play it",
		Long: "Looks for a walk to the goal, and plays it before it says that there is one. The exit code is 0 only if the game can be finished: 1 if\n" +
			"it cannot, has no goal, or it is not decided. --walk keeps the walk as a CSV, a line for each cell and for what happened; --keep\n" +
			"writes the project with the walk as a recording, a ZIP or a folder; --findings keeps what is wrong, as SARIF or as a CSV.",
		Example: "  azzel prove saltworks/\n  azzel prove tide.zip --walk walk.csv --findings found.sarif\n  azzel prove tide.zip --keep proven.zip --json",
		Args:    cobra.ExactArgs(1),
	}
	c.Flags().IntVar(&most, "effort", effort, "how many ticks of play are tried before it is not decided")
	c.Flags().StringVar(&walkTo, "walk", "", "a CSV of the walk that was found")
	c.Flags().StringVar(&keepIn, "keep", "", "the project with the walk as a recording")
	c.Flags().StringVar(&findingsTo, "findings", "", "what is wrong, as SARIF (.sarif) or CSV (.csv)")
	asJSON := asJSON(c)
	c.RunE = func(c *cobra.Command, args []string) error {
		p, err := Load(args[0])
		if err != nil {
			return err
		}
		can, walk, study := proven(p, most, true)
		all, _ := findings(p, study)
		if err := keptFindings(findingsTo, all); err != nil {
			return err
		}
		answer := struct {
			finish
			Walk    []stride `json:"walk"`
			Stuck   []stuck  `json:"stuck"`
			Jumps   []jump   `json:"jumps"`
			Missing []string `json:"missing"`
			// Together tells that all that is missing would have to be otherwise, not just one of it.
			Together bool `json:"together,omitempty"`
		}{can, []stride{}, stuckIn(study), jumpsOf(study), []string{}, study.Together}
		lines := []string{can.sentence()}
		for i, m := range study.Missing {
			if answer.Missing = append(answer.Missing, m.Text); i > 0 {
				joined := map[bool]string{true: "And: ", false: "Or: "}[study.Together]
				lines = append(lines, joined+m.Text+".")
			}
		}
		for i := range study.Jumps {
			if j := &study.Jumps[i]; j.Slack() <= check.TightTicks {
				lines = append(lines, check.Jumped(study.Stage(), j))
			}
		}
		if len(walk) > 0 {
			recording, err := walked(p.Doc, walk)
			if err != nil {
				return err
			}
			for _, m := range recording.Course {
				name := string(m.Map)
				if of := p.Doc.Maps.Get(m.Map); of != nil {
					name = of.Name
				}
				answer.Walk = append(answer.Walk, stride{fmt.Sprintf("%d.%02d", m.Tick/play.TicksPerSecond, m.Tick%play.TicksPerSecond*100/play.TicksPerSecond), name, m.X, m.Y, m.Is, m.Name})
			}
			if err := keptWalk(walkTo, answer.Walk); err != nil {
				return err
			}
			if err := p.keptIn(keepIn, recording); err != nil {
				return err
			}
		} else if walkTo != "" || keepIn != "" {
			fmt.Fprintln(c.ErrOrStderr(), "There is no walk that could be kept.")
		}
		if err := said(c.OutOrStdout(), *asJSON, answer, lines); err != nil {
			return err
		}
		if can.Is != string(proof.Can) {
			return errFound
		}
		return nil
	}
	return c
}

// proven studies a project, to the end or until it is known whether it can be finished: what is said of that, what is held, tick by
// tick, on the walk, and all that was found out.
func proven(p *Project, most int, whole bool) (finish, []play.Input, *proof.Study) {
	s := proof.NewStudy(world.New(p.Doc, chart.New(p.Doc, nil), nil), nil)
	const bite = 20_000
	for tried := 0; tried < most && !s.Step(min(bite, most-tried)); tried += bite {
		if !whole && s.Answer != nil && s.Answer.Is != proof.Cannot { // else it is found out what is missing
			break
		}
	}
	if a := s.Answer; a != nil {
		return finish{Is: string(a.Is), Steps: a.Steps, Fewest: a.Fewest, Lucky: a.Lucky, Why: a.Why}, a.Walk, s
	}
	return finish{Is: string(proof.Open), Why: fmt.Sprintf("%d ticks were tried and no walk was found", most)}, nil, s
}

// stuck is where one is stuck for good.
type stuck struct {
	Map   string `json:"map"`
	X     int    `json:"x"`
	Y     int    `json:"y"`
	Steps int    `json:"steps"`
	Sure  bool   `json:"sure"`
}

func stuckIn(s *proof.Study) []stuck {
	out := []stuck{}
	for _, t := range s.Traps {
		m := s.Stage().Grounds[t.Map]
		out = append(out, stuck{m.Name, t.At.X - m.Bounds.X, t.At.Y - m.Bounds.Y, t.Steps, t.Sure})
	}
	return out
}

// jump is one of the walk, and how many ticks there are to begin it in.
type jump struct {
	Map   string `json:"map"`
	X     int    `json:"x"`
	Y     int    `json:"y"`
	Ticks int    `json:"ticks"`
}

func jumpsOf(s *proof.Study) []jump {
	out := []jump{}
	for i := range s.Jumps {
		j := &s.Jumps[i]
		m := s.Stage().Grounds[j.Map]
		out = append(out, jump{m.Name, j.At.X - m.Bounds.X, j.At.Y - m.Bounds.Y, j.Slack()})
	}
	return out
}

// walked plays a walk, as a recording of it.
func walked(d *document.Document, walk []play.Input) (document.Recording, error) {
	g, err := play.Start(world.New(d, chart.New(d, nil), nil), "", proof.Seed)
	if err != nil {
		return document.Recording{}, fmt.Errorf("play the walk: %w", err)
	}
	r := play.NewRecord(g)
	for _, in := range walk {
		r.Step(g, in)
	}
	out := r.Whole()
	out.Name = "The walk that was found"
	return out, nil
}

// keptIn writes the project with a recording; to nowhere does nothing.
func (p *Project) keptIn(to string, r document.Recording) error {
	if to == "" {
		return nil
	}
	c, err := author.AddRecording(p.Doc, r)
	if err != nil {
		return fmt.Errorf("keep the walk: %w", err)
	}
	with := &Project{edit.Apply(p.Doc, &edit.Edit{Do: c.Do}).Doc, p.Pictures}
	return with.Save(to)
}

func keptWalk(to string, all []stride) error {
	if to == "" {
		return nil
	}
	rows := [][]string{{"seconds", "map", "x", "y", "what", "name"}}
	for _, s := range all {
		rows = append(rows, []string{s.Seconds, s.Map, strconv.Itoa(s.X), strconv.Itoa(s.Y), s.Is, s.Name})
	}
	return table(to, rows)
}

func table(to string, rows [][]string) error {
	var out bytes.Buffer
	w := csv.NewWriter(&out)
	if err := w.WriteAll(rows); err != nil {
		return fmt.Errorf("write %s: %w", to, err)
	}
	return written(to, out.Bytes())
}

// keptFindings writes what is wrong as a CSV, or as SARIF (OASIS, 2.1.0), which other programs show beside the files.
func keptFindings(to string, all []finding) error {
	switch strings.ToLower(filepath.Ext(to)) {
	case "":
		if to == "" {
			return nil
		}
	case ".csv":
		rows := [][]string{{"what", "map", "thing", "text", "serious"}}
		for _, f := range all {
			rows = append(rows, []string{f.What, f.Map, f.Thing, f.Text, strconv.FormatBool(f.Serious)})
		}
		return table(to, rows)
	case ".sarif":
		data, err := json.MarshalIndent(sarif(all), "", "\t")
		if err != nil {
			return fmt.Errorf("write %s: %w", to, err)
		}
		return written(to, append(data, '\n'))
	}
	return errors.New("findings are kept as .sarif or as .csv")
}

type object = map[string]any

func sarif(all []finding) object {
	results := []object{}
	for _, f := range all {
		level := map[string]string{document.Stops: "error", document.Matters: "warning", document.Noted: "note"}[f.As]
		names := []object{{"name": f.Map, "kind": "module"}}
		if f.Thing != "" {
			names = append(names, object{"name": f.Thing, "kind": "object"})
		}
		one := object{"ruleId": f.What, "level": level, "message": object{"text": f.Text}, "locations": []object{{"logicalLocations": names}}}
		if f.silent {
			one["suppressions"] = []object{{"kind": "external", "justification": f.Silenced}}
		}
		results = append(results, one)
	}
	return object{"version": "2.1.0",
		"runs": []object{{"tool": object{"driver": object{"name": "Azzel"}}, "results": results}}}
}
