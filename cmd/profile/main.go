// Command profile merges CPU profiles into the one that the compiler reads (default.pgo), without the paths of the machine
// on which they were taken.
package main

import (
	"fmt"
	"os"

	"github.com/google/pprof/profile"
)

func main() {
	if len(os.Args) < 3 {
		fmt.Fprintln(os.Stderr, "say where it goes and what it is made of: profile OUT PROFILE …")
		os.Exit(2)
	}
	if err := merge(os.Args[1], os.Args[2:]); err != nil {
		fmt.Fprintln(os.Stderr, "profile:", err)
		os.Exit(1)
	}
}

func merge(out string, from []string) error {
	var all []*profile.Profile
	for _, name := range from {
		f, err := os.Open(name)
		if err != nil {
			return err
		}
		p, err := profile.Parse(f)
		f.Close()
		if err != nil {
			return fmt.Errorf("reading %s: %w", name, err)
		}
		// the path of a binary that is gone, and its build, tell nothing
		p.Mapping = nil
		for _, l := range p.Location {
			l.Mapping = nil
		}
		all = append(all, p)
	}
	merged, err := profile.Merge(all)
	if err != nil {
		return fmt.Errorf("merging: %w", err)
	}
	f, err := os.Create(out)
	if err != nil {
		return err
	}
	if err := merged.Write(f); err != nil {
		f.Close()
		return fmt.Errorf("writing %s: %w", out, err)
	}
	return f.Close()
}
