package format_test

import (
	"azzel/core/format"
	"azzel/core/sample"
	"azzel/core/upcast"
	"fmt"
	"os"
	"path/filepath"
	"strings"
	"testing"
)

// Projects as earlier versions wrote them are read for ever. One of the present format is written, when that is released, by
// AZZEL_GOLDEN=1 go test ./core/format -run TestGoldenFiles.
func TestGoldenFiles(t *testing.T) {
	now := fmt.Sprintf("testdata/format-%d.zip", upcast.Format)
	d := sample.Full()
	if os.Getenv("AZZEL_GOLDEN") != "" {
		_, files, _ := written(t, d)
		data, err := format.Pack(files)
		if err != nil {
			t.Fatal(err)
		}
		if err := os.WriteFile(now, data, 0o644); err != nil {
			t.Fatal(err)
		}
	}
	all, err := filepath.Glob("testdata/format-*.zip")
	if err != nil || len(all) == 0 || !strings.Contains(strings.Join(all, " "), now) {
		t.Fatalf("the present format has no golden project: %v, %v", all, err)
	}
	_, _, take := pictured(d)
	for _, path := range all {
		data, err := os.ReadFile(path)
		if err != nil {
			t.Fatal(err)
		}
		files, err := format.Unpack(data)
		if err != nil {
			t.Fatal(err)
		}
		got, err := format.Read(files, pictures(take))
		if err != nil {
			t.Errorf("%s: %v", path, err)
			continue
		}
		if got.Maps.Len() == 0 || got.Rules.Len() == 0 || got.Pins.Len() == 0 || got.Recordings.Len() == 0 || got.Motifs.Len() == 0 {
			t.Errorf("%s lacks something that it had", path)
		}
	}
}
