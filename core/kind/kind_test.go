package kind_test

import (
	"azzel/core/kind"
	"bytes"
	"encoding/json"
	"os"
	"slices"
	"strings"
	"testing"
)

// Settings of built-in kinds and of maps hold to their own form, each is called by a
// key of one word, and what is read of a default gives it back.
func TestSettingsAreSound(t *testing.T) {
	all := map[string][]kind.Setting{"maps": kind.OfMaps}
	for _, k := range kind.All {
		all[string(k.ID)] = k.Settings
	}
	for of, settings := range all {
		seen := map[string]bool{}
		for _, s := range settings {
			if seen[s.Key] || strings.ContainsAny(s.Key, " -") || s.Name == "" || s.Help == "" {
				t.Errorf("%s of %s is there twice, or lacks a name or help", s.Key, of)
			}
			seen[s.Key] = true
			if err := s.Check(); err != nil {
				t.Errorf("%s of %s: %v", s.Key, of, err)
			}
			if back, err := s.Read(s.Text(s.Default)); err != nil || back != s.Default {
				t.Errorf("%s of %s is %s by default, and read again %s, %v", s.Key, of, s.Default, back, err)
			}
			if is, err := s.Is(s.Default); err != nil || is != s.Default {
				t.Errorf("the default of %s of %s is %s in its canonical form, %v", s.Key, of, is, err)
			}
		}
	}
}

func TestFamilies(t *testing.T) {
	if len(kind.All) < 40 {
		t.Errorf("%d kinds", len(kind.All))
	}
	for _, c := range []struct {
		word string
		want func(*kind.Kind) bool
	}{
		{kind.Door, func(k *kind.Kind) bool {
			return k.Wired && k.Opens && k.Resizes && k.Leads == kind.MayLead && k.Category == "works"
		}},
		{kind.Switch, func(k *kind.Kind) bool { return k.Wires && k.Wakes == "use" && k.Wired && !k.Veiled }},
		{kind.Exit, func(k *kind.Kind) bool { return k.Leads == kind.LeadsOn && k.Veiled && k.Glyph == "exit" }},
		{kind.Collectible, func(k *kind.Kind) bool { return k.Taken && k.Counted && k.Wakes == "take" }},
		{"key", func(k *kind.Kind) bool { return k.Taken && !k.Counted && k.Wakes == "take" }},
		{kind.Sensor, func(k *kind.Kind) bool { return k.Area && k.Veiled && k.Wakes == "enter" && k.Wires }},
		{"walker", func(k *kind.Kind) bool { return k.Moves && k.Faces && k.FrameMs == 150 && k.AnchorY == 100 }},
		{kind.Spawn, func(k *kind.Kind) bool { return k.Met && k.Heroic && !k.Wired }},
	} {
		if k := kind.Find("ghost"); k != nil {
			t.Error("there is a ghost")
		}
		if k := kind.Find(kind.All[0].ID); k != &kind.All[0] {
			t.Error("a kind is not found as it stands")
		}
		if i := slices.IndexFunc(kind.All, func(k kind.Kind) bool { return string(k.ID) == c.word }); i < 0 || !c.want(&kind.All[i]) {
			t.Errorf("%s is not what it should be", c.word)
		}
	}
	if w, h := kind.Blank().Box(16, 24); w != 16 || h != 24 {
		t.Errorf("a box is %d × %d", w, h)
	}
	if w, h := (&kind.Kind{W: 5, H: 7}).Box(16, 24); w != 5 || h != 7 {
		t.Errorf("a box of its own is %d × %d", w, h)
	}
}

// What is released is written down: keys are what projects are stored by. A change is
// meant when the file is made anew, with AZZEL_GOLDEN=1.
func TestReleasedKinds(t *testing.T) {
	const path = "testdata/kinds.json"
	got, err := json.MarshalIndent(map[string]any{"kinds": kind.All, "maps": kind.OfMaps}, "", " ")
	if err != nil {
		t.Fatal(err)
	}
	got = append(got, '\n')
	if os.Getenv("AZZEL_GOLDEN") != "" {
		if err := os.WriteFile(path, got, 0o644); err != nil {
			t.Fatal(err)
		}
	}
	want, err := os.ReadFile(path)
	if err != nil {
		t.Fatal(err)
	}
	if !bytes.Equal(got, want) {
		lines, now := strings.Split(string(want), "\n"), strings.Split(string(got), "\n")
		for i := range min(len(lines), len(now)) {
			if lines[i] != now[i] {
				t.Fatalf("line %d of %s says %s, and now it is %s", i+1, path, lines[i], now[i])
			}
		}
		t.Fatalf("%s has %d lines, and now there are %d", path, len(lines), len(now))
	}
}
