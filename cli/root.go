package cli

import (
	"encoding/json"
	"errors"
	"fmt"
	"io"

	"github.com/spf13/cobra"
)

// The exit codes: all is well, something was found or differs, and the command could not do its work.
const (
	Well  = 0
	Found = 1
	Wrong = 2
)

// errFound ends a command that did its work and found something; what it is was said already.
var errFound = errors.New("something was found")

// Code is the exit code of a command that ended so.
func Code(err error) int {
	switch {
	case err == nil:
		return Well
	case errors.Is(err, errFound):
		return Found
	}
	return Wrong
}

// Quiet reports whether an error was said already.
func Quiet(err error) bool { return errors.Is(err, errFound) }

// Commands are those that work on files.
func Commands() []*cobra.Command {
	return []*cobra.Command{newCommand(), importCommand(), exportCommand(), validateCommand(), checkCommand(), proveCommand(), replayCommand(), rulesCommand(), textsCommand(), renderCommand(), diffCommand(), mergeCommand()}
}

// said writes JSON where that is asked for, else lines.
func said(out io.Writer, asJSON bool, v any, lines []string) error {
	if asJSON {
		enc := json.NewEncoder(out)
		enc.SetEscapeHTML(false)
		enc.SetIndent("", "\t")
		return enc.Encode(v)
	}
	for _, l := range lines {
		if _, err := fmt.Fprintln(out, l); err != nil {
			return err
		}
	}
	return nil
}

// asJSON gives a command the flag for JSON.
func asJSON(c *cobra.Command) *bool {
	return c.Flags().Bool("json", false, "say it as JSON")
}
