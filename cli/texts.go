package cli

import (
	"azzel/core/edit"
	"azzel/core/texts"
	"errors"
	"fmt"
	"os"

	"github.com/spf13/cobra"
)

func textsCommand() *cobra.Command {
	var language, take string
	c := &cobra.Command{
		Use:   "texts FROM",
		Short: "Give what the player reads to translators, and take it back",
		Long: "Prints what the player reads, with what it is in a language, as a gettext PO file. With --take a translated file is taken\n" +
			"over into the project, in the language that its head names.",
		Example: "  azzel texts saltworks/ --language de > de.po\n  azzel texts saltworks/ --take de.po",
		Args:    cobra.ExactArgs(1),
		RunE: func(c *cobra.Command, args []string) error {
			p, err := Load(args[0])
			if err != nil {
				return err
			}
			if take != "" {
				return p.taken(c, take, args[0])
			}
			if language == "" {
				return errors.New("name the language: --language de")
			}
			data, err := texts.PO(p.Doc, language)
			if err != nil {
				return err
			}
			_, err = c.OutOrStdout().Write(data)
			return err
		},
	}
	c.Flags().StringVar(&language, "language", "", "the language, as de or pt-BR")
	c.Flags().StringVar(&take, "take", "", "a translated PO file to be taken over")
	c.MarkFlagsMutuallyExclusive("language", "take")
	return c
}

// taken takes over a translated file, and writes the project to where it came from.
func (p *Project) taken(c *cobra.Command, file, to string) error {
	data, err := os.ReadFile(file)
	if err != nil {
		return fmt.Errorf("%s cannot be read", file)
	}
	change, err := texts.TakePO(p.Doc, data)
	if err != nil {
		return fmt.Errorf("%s: %w", file, err)
	}
	p.Doc = edit.Apply(p.Doc, &edit.Edit{Do: change.Do}).Doc
	if err := p.Save(to); err != nil {
		return err
	}
	_, err = fmt.Fprintln(c.OutOrStdout(), change.Label.Text+".")
	return err
}
