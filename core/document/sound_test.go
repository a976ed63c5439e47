package document_test

import (
	"azzel/core/document"
	"azzel/core/kind"
	"strings"
	"testing"
)

// Of the sounds that are heard as something, those are heard that are meant most closely: of the kind, of what it is made from, on the map.
func TestWhatIsHeard(t *testing.T) {
	d := document.New("Low Tide")
	chest := document.Kind{ID: "chestchestch", Name: "Sea chest", Of: kind.Collectible}
	d.Kinds = d.Kinds.With(chest.ID, &chest)
	for name, as := range map[string][]document.Hearing{
		"Any":          {{When: "take"}},
		"Any too":      {{When: "take"}},
		"On the quay":  {{When: "take", Map: "quayquayquay"}},
		"Collectibles": {{When: "take", Kind: kind.Collectible}},
		"Sea chests":   {{When: "take", Kind: chest.ID}},
		"Step":         {{When: "step sand"}, {When: "open"}},
	} {
		s := document.Sound{ID: document.ID((strings.ToLower(strings.ReplaceAll(name, " ", "")) + "aaaaaaaaaaaa")[:12]), Name: name, File: strings.Repeat("5", 64), Form: "ogg", Lasts: 3000, As: as}
		if err := s.Check(); err != nil {
			t.Fatalf("%s: %v", name, err)
		}
		d.Sounds = d.Sounds.With(s.ID, &s)
	}
	for _, c := range []struct {
		when     string
		kind, on document.ID
		want     string
	}{
		{"take", "", "", "Any, Any too"},
		{"take", kind.Door, "panspanspans", "Any, Any too"},
		{"take", kind.Door, "quayquayquay", "On the quay"},
		{"take", kind.Collectible, "quayquayquay", "Collectibles"},
		{"take", chest.ID, "quayquayquay", "Sea chests"},
		{"open", "gonegonegone", "", "Step"},
		{"jump", "", "", ""},
	} {
		var names []string
		for _, s := range d.HeardAs(c.when, c.kind, c.on) {
			names = append(names, s.Name)
		}
		if got := strings.Join(names, ", "); got != c.want {
			t.Errorf("%s of %s on %s: %s, want %s", c.when, c.kind, c.on, got, c.want)
		}
	}
}

// What is wrong with a sound is one sentence.
func TestSoundsAreChecked(t *testing.T) {
	good := document.Sound{ID: "bellbellbell", Name: "Bell", File: strings.Repeat("5", 64), Form: "ogg", Lasts: 3000}
	for want, change := range map[string]func(*document.Sound){
		"no form of a sound":            func(s *document.Sound) { s.Form = "exe" },
		"begins before it ends":         func(s *document.Sound) { s.From = 3000 },
		"begins before it ends, within": func(s *document.Sound) { s.To = 3001 },
		"nothing is heard as “tide”":    func(s *document.Sound) { s.As = []document.Hearing{{When: "tide"}} },
		"heard as the same twice":       func(s *document.Sound) { s.As = []document.Hearing{{When: "take"}, {When: "take"}} },
		"no valid id":                   func(s *document.Sound) { s.As = []document.Hearing{{When: "take", Map: "x"}} },
		"how long a sound is":           func(s *document.Sound) { s.Lasts = document.MaxSoundLasts + 1 },
		"how loud a sound is":           func(s *document.Sound) { s.Loud = 201 },
		"a name cannot be empty":        func(s *document.Sound) { s.Name = "" },
		"a sound is heard as 32 things": func(s *document.Sound) { s.As = make([]document.Hearing, 33) },
	} {
		s := good
		change(&s)
		if err := s.Check(); err == nil || !strings.Contains(err.Error(), want) {
			t.Errorf("%s: %v", want, err)
		}
	}
}
