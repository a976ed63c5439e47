package cli

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/format"
	"azzel/demo"
	"azzel/publish"
	"bytes"
	"encoding/json"
	"errors"
	"fmt"
	"image"
	"image/png"
	"os"
	"path/filepath"
	"strings"

	"github.com/spf13/cobra"
)

func newCommand() *cobra.Command {
	var fromDemo, starter bool
	var name string
	c := &cobra.Command{
		Use:   "new FILE",
		Short: "Make a new project",
		Long:  "Makes a new project: empty, with the starter set, or as the demo. FILE is a ZIP where it ends so, else a folder.",
		Example: "  azzel new tide.zip\n  azzel new tide/ --starter --name \"Low Tide\"\n" +
			"  azzel new saltworks/ --demo",
		Args: cobra.ExactArgs(1),
		RunE: func(c *cobra.Command, args []string) error {
			if _, err := os.Stat(args[0]); err == nil {
				return fmt.Errorf("%s is there already: choose another name", args[0])
			}
			p, err := fresh(name, fromDemo, starter)
			if err != nil {
				return err
			}
			return p.Save(args[0])
		},
	}
	c.Flags().BoolVar(&fromDemo, "demo", false, "as the demo project")
	c.Flags().BoolVar(&starter, "starter", false, "with the starter set of tiles, a hero and a few things")
	c.Flags().StringVar(&name, "name", "", "what it is called")
	c.MarkFlagsMutuallyExclusive("demo", "starter")
	return c
}

// fresh is a new project.
func fresh(name string, fromDemo, starter bool) (*Project, error) {
	p := &Project{Doc: document.New("New project"), Pictures: map[string][]byte{}}
	switch {
	case fromDemo:
		sheet := demo.Coast()
		sha, err := p.take(sheet.Picture)
		if err != nil {
			return nil, err
		}
		p.Doc = demo.Project(sheet, sha)
		p.Pictures[shaOf(demo.Horn())] = demo.Horn()
	case starter:
		sheet := demo.Starter()
		sha, err := p.take(sheet.Picture)
		if err != nil {
			return nil, err
		}
		kit := author.Kit{Tileset: sheet.Tileset(1, sha), Hero: sheet.Hero(1), Looks: sheet.Looks(1), Materials: sheet.Materials(1, 0)}
		for i := range kit.Materials {
			kit.Materials[i].Number = 2 + i
		}
		made, err := author.Starter(p.Doc, kit)
		if err != nil {
			return nil, err
		}
		p.Doc = edit.Apply(p.Doc, &edit.Edit{Do: made.Do}).Doc
	}
	if name != "" {
		p.Doc = edit.Apply(p.Doc, &edit.Edit{Do: []edit.Primitive{edit.Set(edit.Ref{Type: edit.TypeProject}, "name", name)}}).Doc
	}
	return p, p.Doc.Project.Check()
}

// take keeps a picture with the project; its SHA-256.
func (p *Project) take(img image.Image) (string, error) {
	var out bytes.Buffer
	if err := png.Encode(&out, img); err != nil {
		return "", fmt.Errorf("draw a picture: %w", err)
	}
	sha := shaOf(out.Bytes())
	p.Pictures[sha] = out.Bytes()
	return sha, nil
}

func exportCommand() *cobra.Command {
	var derived, page bool
	var as string
	c := &cobra.Command{
		Use:   "export FROM TO",
		Short: "Write a project as a ZIP or as a folder",
		Long: "Writes a project as a ZIP or as a folder. FROM is a ZIP, a folder, the address of a project on a running server, or - for a\n" +
			"ZIP from standard input. TO is a ZIP where it ends so, - for standard output, else a folder: the files of it that stay the\n" +
			"same are left alone, and those of things that are gone are taken away.",
		Example: "  azzel export http://127.0.0.1:7420/p/saltworkslow saltworks/\n  azzel export saltworks/ saltworks.zip --derived\n  azzel export saltworks/ saltworks.html --page\n  azzel export saltworks/ public/ --page\n  azzel export tide.zip - | wc -c",
		Args:    cobra.ExactArgs(2),
		RunE: func(c *cobra.Command, args []string) error {
			p, err := Load(args[0])
			if err != nil {
				return err
			}
			if as != "" {
				data, _, err := format.In(p.Doc, as)
				if err != nil {
					return err
				}
				return put(c.OutOrStdout(), args[1], data)
			}
			if page && args[1] != "-" && !strings.HasSuffix(strings.ToLower(args[1]), ".html") {
				files, err := publish.Folder(p.Doc, p.picture)
				if err != nil {
					return err
				}
				for _, f := range files {
					if err := written(filepath.Join(args[1], f.Path), f.Data); err != nil {
						return err
					}
				}
				return nil
			}
			if page {
				data, err := publish.Page(p.Doc, p.picture)
				if err != nil {
					return err
				}
				return put(c.OutOrStdout(), args[1], data)
			}
			if derived {
				return p.Save(args[1], format.Derived(p.Doc)...)
			}
			return p.Save(args[1])
		},
	}
	c.Flags().BoolVar(&page, "page", false, "as a page that plays: one HTML file, at a double click; a folder for a web server where TO has no .html")
	c.Flags().BoolVar(&derived, "derived", false, "with what follows from it: what is solid, and materials as tiles")
	c.Flags().StringVar(&as, "as", "", "a part of it by itself: graphml, svg, rules; or as a CSV: maps, entities, passages, flags, counters, texts, findings")
	c.MarkFlagsMutuallyExclusive("page", "derived", "as")
	return c
}

func importCommand() *cobra.Command {
	return &cobra.Command{
		Use:     "import FROM SERVER",
		Short:   "Make a project on a running server of a ZIP or a folder",
		Example: "  azzel import saltworks/ http://127.0.0.1:7420",
		Args:    cobra.ExactArgs(2),
		RunE: func(c *cobra.Command, args []string) error {
			p, err := Load(args[0])
			if err != nil {
				return err
			}
			files, err := p.files()
			if err != nil {
				return err
			}
			data, err := format.Pack(files)
			if err != nil {
				return err
			}
			server, _, err := at(args[1])
			if err != nil {
				return err
			}
			answer, err := server.ask("POST", "/api/projects/import", data)
			if err != nil {
				return err
			}
			var made struct{ ID, Name string }
			if err := json.Unmarshal(answer, &made); err != nil {
				return fmt.Errorf("read what the server said: %w", err)
			}
			lines := append([]string{fmt.Sprintf("%s is at %s/p/%s", made.Name, server.base, made.ID)}, p.Doc.Project.ToldKept()...)
			_, err = fmt.Fprintln(c.OutOrStdout(), strings.Join(lines, "\n"))
			return err
		},
	}
}

func validateCommand() *cobra.Command {
	c := &cobra.Command{
		Use:     "validate FROM",
		Short:   "Tell whether files are a project that can be read",
		Long:    "Tells whether files are a project that can be read: exit code 0 if they are, 1 with a sentence that names the file if not.",
		Example: "  azzel validate saltworks/\n  azzel validate tide.zip --json",
		Args:    cobra.ExactArgs(1),
	}
	json := asJSON(c)
	c.RunE = func(c *cobra.Command, args []string) error {
		type answer struct {
			Valid bool   `json:"valid"`
			File  string `json:"file,omitempty"`
			Why   string `json:"why,omitempty"`
			Hash  string `json:"hash,omitempty"`
			// Kept tells which fields nothing here knows.
			Kept []string `json:"kept,omitempty"`
		}
		p, err := Load(args[0])
		if err == nil {
			hash := p.Doc.Hash()
			kept := p.Doc.Project.ToldKept()
			return said(c.OutOrStdout(), *json, answer{Valid: true, Hash: hash, Kept: kept}, append([]string{fmt.Sprintf("%s is a project (%s).", args[0], hash[:12])}, kept...))
		}
		a := answer{Why: err.Error()}
		var fault *format.Fault
		if errors.As(err, &fault) {
			a.File, a.Why = fault.Path, fault.Err.Error()
		}
		if err := said(c.OutOrStdout(), *json, a, []string{err.Error()}); err != nil {
			return err
		}
		return errFound
	}
	return c
}
