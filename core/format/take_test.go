package format_test

import (
	"azzel/core/format"
	"azzel/core/sample"
	"slices"
	"testing"
)

// Files are called after their things; what comes or goes changes no other's name.
func TestFilesKeepTheirNames(t *testing.T) {
	paths := func(files []format.File) (out []string) {
		for _, f := range files {
			out = append(out, f.Path)
		}
		return out
	}
	d := sample.Full()
	_, files, _ := written(t, d)
	before := paths(files)
	for _, want := range []string{"project.json", "maps/quay.json", "maps/quay/ground.csv", "tilesets/coast.json", "tilesets/coast.png", "texts/de.json"} {
		if !slices.Contains(before, want) {
			t.Errorf("%s is missing of %v", want, before)
		}
	}
	for _, r := range d.Rules.All() {
		next := *d
		next.Rules = d.Rules.Without(r.ID)
		_, files, _ := written(t, &next)
		after := paths(files)
		for _, p := range after {
			if !slices.Contains(before, p) {
				t.Errorf("without a rule there is a file %s", p)
			}
		}
		if len(after) != len(before)-2 {
			t.Errorf("%d files are left of %d", len(after), len(before))
		}
	}
}
