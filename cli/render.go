package cli

import (
	"azzel/core/document"
	"azzel/picture"
	"bufio"
	"fmt"
	"io"
	"os"
	"path/filepath"
	"slices"
	"strings"

	"github.com/spf13/cobra"
)

func renderCommand() *cobra.Command {
	var name, out string
	look := picture.Look{}
	c := &cobra.Command{
		Use:   "render FROM",
		Short: "Draw maps as pictures",
		Long: "Draws maps as PNG: the tiles and materials of the layers that are shown, from the bottom up, and what stands on them and has a\n" +
			"picture. Pictures and gradients behind a map, glyphs and lights are left out. A name that ends with .ora gives a layered picture,\n" +
			"OpenRaster, of all layers of tiles and things.",
		Example: "  azzel render saltworks/ --out pictures/\n  azzel render tide.zip --map Quay --scale 2 --out quay.png\n  azzel render tide.zip --map Quay --layer Ground --layer Things --out ground.png\n  azzel render tide.zip --map Quay --out quay.ora",
		Args:    cobra.ExactArgs(1),
		RunE: func(c *cobra.Command, args []string) error {
			p, err := Load(args[0])
			if err != nil {
				return err
			}
			if name == "" {
				for _, m := range p.Doc.MapsInOrder() {
					if err := p.render(m, look, filepath.Join(out, m.Name+".png")); err != nil {
						return err
					}
				}
				return nil
			}
			i := slices.IndexFunc(p.Doc.MapsInOrder(), func(m *document.Map) bool { return m.Name == name })
			if i < 0 {
				return fmt.Errorf("there is no map called %s", name)
			}
			return p.render(p.Doc.MapsInOrder()[i], look, out)
		},
	}
	c.Flags().StringVar(&name, "map", "", "the map; all of them without it")
	c.Flags().StringVar(&out, "out", "", "the picture, or a folder for those of all maps")
	c.Flags().IntVar(&look.Scale, "scale", 1, "how many pixels one pixel of the map becomes")
	c.Flags().BoolVar(&look.Things, "things", true, "with what stands there")
	c.Flags().StringArrayVar(&look.Layers, "layer", nil, "a layer that is drawn; more of them can be named")
	_ = c.MarkFlagRequired("out")
	return c
}

// drawn are the maps of a project as pictures.
func (p *Project) drawn() picture.Source { return picture.Source{Doc: p.Doc, Picture: p.picture} }

func (p *Project) render(m *document.Map, look picture.Look, to string) error {
	err := writing(to, func(w io.Writer) error {
		if strings.HasSuffix(strings.ToLower(to), ".ora") {
			return p.drawn().Layered(w, m)
		}
		return p.drawn().PNG(w, m, look)
	})
	if err != nil {
		return fmt.Errorf("%s: %w", m.Name, err)
	}
	return nil
}

// writing makes a file piece by piece; it is there once all of it is.
func writing(path string, write func(io.Writer) error) (err error) {
	if err := os.MkdirAll(filepath.Dir(path), 0o755); err != nil {
		return fmt.Errorf("make a folder: %w", err)
	}
	part := path + ".part"
	f, err := os.Create(part)
	if err != nil {
		return fmt.Errorf("write %s: %w", path, err)
	}
	to := bufio.NewWriterSize(f, 1<<20)
	if err = write(to); err == nil {
		err = to.Flush()
	}
	if shut := f.Close(); err == nil {
		err = shut
	}
	if err == nil {
		err = os.Rename(part, path)
	}
	if err != nil {
		_ = os.Remove(part)
	}
	return err
}
