package web

import (
	"bufio"
	"bytes"
	"io/fs"
	"os"
	"path/filepath"
	"regexp"
	"slices"
	"strings"
	"testing"
)

var imported = regexp.MustCompile(`from '(\.[^']+)'`)

// Folders of the interface import in one direction, and no file is too long to be read.
func TestFoldersImportInOneDirection(t *testing.T) {
	arrows := map[string]map[string]string{}
	err := filepath.WalkDir("src", func(path string, d fs.DirEntry, err error) error {
		if err != nil || d.IsDir() || !slices.Contains([]string{".ts", ".svelte"}, filepath.Ext(path)) {
			return err
		}
		text, err := os.ReadFile(path)
		if err != nil {
			return err
		}
		lines := 0
		for s := bufio.NewScanner(bytes.NewReader(text)); s.Scan(); lines++ {
		}
		if lines > 400 && !strings.HasSuffix(path, ".gen.ts") {
			t.Errorf("%s has %d lines", path, lines)
		}
		from := filepath.Dir(path)
		for _, m := range imported.FindAllSubmatch(text, -1) {
			if to := filepath.Dir(filepath.Join(from, string(m[1]))); to != from {
				if arrows[from] == nil {
					arrows[from] = map[string]string{}
				}
				arrows[from][to] = path
			}
		}
		return nil
	})
	if err != nil || len(arrows) < 10 {
		t.Fatalf("%d folders were found, %v", len(arrows), err)
	}
	for folder := range arrows {
		if way := around(arrows, folder, folder, nil); way != nil {
			t.Errorf("%s comes back to itself: %s", folder, strings.Join(way, ", "))
		}
	}
}

// around is the files whose imports lead from a folder to another one, nil when none do.
func around(arrows map[string]map[string]string, from, to string, seen []string) []string {
	for next, by := range arrows[from] {
		if next == to {
			return []string{by}
		}
		if !slices.Contains(seen, next) {
			seen = append(seen, next)
			if way := around(arrows, next, to, seen); way != nil {
				return append([]string{by}, way...)
			}
		}
	}
	return nil
}
