package cli

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/merge"
	"azzel/picture"
	"crypto/sha256"
	"encoding/hex"
	"errors"
	"fmt"
	"path/filepath"

	"github.com/spf13/cobra"
)

func shaOf(data []byte) string {
	sum := sha256.Sum256(data)
	return hex.EncodeToString(sum[:])
}

func diffCommand() *cobra.Command {
	var pictures string
	c := &cobra.Command{
		Use:   "diff FROM TO",
		Short: "Tell in what two projects differ",
		Long: "Tells in what two states of a project differ, by thing: which maps, how many cells and things of each, which rules. With\n" +
			"--pictures each map that changed is drawn as it was and as it is. The exit code is 1 where they differ.",
		Example: "  azzel diff before.zip after/\n  azzel diff saltworks/ http://127.0.0.1:7420/p/saltworkslow --pictures changed/",
		Args:    cobra.ExactArgs(2),
	}
	c.Flags().StringVar(&pictures, "pictures", "", "a folder for pictures of the maps that changed")
	json := asJSON(c)
	c.RunE = func(c *cobra.Command, args []string) error {
		from, err := Load(args[0])
		if err != nil {
			return err
		}
		to, err := Load(args[1])
		if err != nil {
			return err
		}
		all, err := author.Compare(from.Doc, to.Doc)
		if err != nil {
			return err
		}
		lines := make([]string, len(all))
		for i, d := range all {
			lines[i] = d.What + "  " + d.Said()
		}
		if len(all) == 0 {
			lines = []string{"They are the same."}
		}
		if err := said(c.OutOrStdout(), *json, all, lines); err != nil {
			return err
		}
		if pictures != "" {
			if err := drawnBeside(from, to, pictures); err != nil {
				return err
			}
		}
		if len(all) > 0 {
			return errFound
		}
		return nil
	}
	return c
}

// drawnBeside draws the maps that differ, as they were and as they are.
func drawnBeside(from, to *Project, folder string) error {
	draw := func(p *Project, id document.ID, as string) error {
		m := p.Doc.Maps.Get(id)
		if m == nil {
			return nil
		}
		return p.render(m, picture.Look{Scale: 1, Things: true}, filepath.Join(folder, m.Name+" "+as+".png"))
	}
	both := map[document.ID]bool{}
	for _, p := range []*Project{from, to} {
		for _, m := range p.Doc.Maps.All() {
			both[m.ID] = true
		}
	}
	for id := range both {
		if hashOfMap(from.Doc, id) == hashOfMap(to.Doc, id) {
			continue
		}
		if err := errors.Join(draw(from, id, "before"), draw(to, id, "after")); err != nil {
			return err
		}
	}
	return nil
}

// hashOfMap tells maps apart that differ in anything; it is empty for one that is not there.
func hashOfMap(d *document.Document, id document.ID) string {
	m := d.Maps.Get(id)
	if m == nil {
		return ""
	}
	alone := document.New("One map")
	alone.Maps = alone.Maps.With(id, m)
	return alone.Hash()
}

func mergeCommand() *cobra.Command {
	var out string
	c := &cobra.Command{
		Use:   "merge BASE OURS THEIRS",
		Short: "Bring together what two people made of one project",
		Long: "Brings together what two people made of one project, thing by thing and cell by cell. Where both changed the same, ours\n" +
			"stays and what was theirs is told; the exit code is 1 then. Without --out the result takes the place of OURS.",
		Example: "  azzel merge base.zip mine/ hers.zip --out together.zip\n  azzel merge base/ mine/ hers/ --json",
		Args:    cobra.ExactArgs(3),
	}
	c.Flags().StringVar(&out, "out", "", "where the result goes: a ZIP where it ends so, else a folder")
	json := asJSON(c)
	c.RunE = func(c *cobra.Command, args []string) error {
		var all [3]*Project
		for i, from := range args {
			var err error
			if all[i], err = Load(from); err != nil {
				return err
			}
		}
		base, ours, theirs := all[0], all[1], all[2]
		doc, conflicts, err := merge.Three(base.Doc, ours.Doc, theirs.Doc)
		if err != nil {
			return err
		}
		p := &Project{doc, ours.Pictures}
		for sha, data := range theirs.Pictures {
			p.Pictures[sha] = data
		}
		if out == "" {
			out = args[1]
		}
		if err := p.Save(out); err != nil {
			return err
		}
		lines := make([]string, len(conflicts))
		for i, k := range conflicts {
			lines[i] = "both changed  " + k.Text
		}
		if len(lines) == 0 {
			lines = []string{"All of both is in it."}
		}
		if err := said(c.OutOrStdout(), *json, conflicts, lines); err != nil {
			return err
		}
		if len(conflicts) > 0 {
			fmt.Fprintln(c.ErrOrStderr(), "What was ours stays; look at what is listed.")
			return errFound
		}
		return nil
	}
	return c
}
