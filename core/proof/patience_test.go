package proof_test

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/proof"
	"azzel/core/sample"
	"fmt"
	"slices"
	"strings"
	"testing"
)

// put puts one more thing that is on onto the drawn map, its place and size in cells.
func put(d *document.Document, k string, x, y, w, h int, f document.Facing, values ...string) *document.Document {
	m := d.MapsInOrder()[0]
	layer := slices.IndexFunc(m.LayersInOrder(), func(l *document.Layer) bool { return l.Kind == document.LayerEntities })
	e := document.Entity{ID: document.NewID(), Layer: m.LayersInOrder()[layer].ID, Kind: k, Name: fmt.Sprint(k, " ", m.NextRank()), Facing: f, On: true,
		X: x * m.CellWidth, Y: y * m.CellHeight, W: w * m.CellWidth, H: h * m.CellHeight, Rank: m.NextRank()}
	for _, v := range values {
		key, is, _ := strings.Cut(v, "=")
		e.Values = append(e.Values, kind.Value{Key: key, Value: kind.Datum(is)})
	}
	return sample.With(d, edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}, e))
}

// frail has the hero jump a cell high, stand one hit, and come back once; sturdy has it stand many.
func frail(d *document.Document) *document.Document {
	return hero(d, "1", kind.HeroHealth, kind.HeroLives, document.HeroJump)
}

func sturdy(d *document.Document) *document.Document { return hero(d, "999", kind.HeroHealth) }

// hero has a hero of its own kind, some of whose settings are otherwise.
func hero(d *document.Document, is kind.Datum, keys ...string) *document.Document {
	k := *kind.Find(kind.Hero)
	k.ID, k.Of, k.Name = "ownheroownhe", kind.Hero, "Warden"
	k.Settings = slices.Clone(k.Settings)
	for _, key := range keys {
		kind.Keyed(k.Settings, key).Default = is
	}
	return sample.With(d, edit.Insert(edit.Ref{Type: edit.TypeKind, ID: k.ID}, document.Lean(&k)))
}

// Where it matters when somebody goes, the hero waits: for what carries it, for what comes and goes, for who guards the way, for what rings.
func TestWaitingForWhatMoves(t *testing.T) {
	for _, c := range []struct {
		name string
		d    *document.Document
		is   proof.Is
	}{
		{"a slow platform, from under a roof", put(drawn("####................\n####................\n####................\n@..................G\n#.................##\n#.................##\n#.................##", fromSide),
			kind.Platform, 14, 4, 2, 1, document.Left, "range=13", "speed=1"), proof.Can},
		{"who walks in the only way and cannot be struck, with a recess", put(drawn("################\n@..............G\n########.#######"),
			kind.Walker, 8, 1, 1, 1, document.Left, "range=7", "defeatedBy=[]"), proof.Can},
		{"an arm that turns the way that one goes", put(drawn("################\n@......#.......G\n######...#######\n######...#######"),
			kind.Turner, 7, 2, 1, 1, document.Left, "arm=2", `turns="left"`), proof.Can},
		{"arms that leave nothing free", put(drawn("################\n@......#.......G\n######...#######\n######...#######"),
			kind.Turner, 7, 2, 1, 1, document.Left, "arm=4", "arms=8"), proof.Open},
		{"carried over what hurts, seen from above", put(drawn("################\n@..^^^^^^^^^...G\n################"),
			kind.Platform, 10, 1, 2, 1, document.Left, "range=7"), proof.Can},
		{"shots and a beam", put(put(drawn("####.####.#####\n@............G.\n###############"),
			kind.Shooter, 14, 1, 1, 1, document.Left, "every=2000"), kind.Beam, 11, 0, 1, 1, document.Down, "onFor=2500", "offFor=700"), proof.Can},
		{"a door that is open for a second when it rings", ruled(put(drawn("################\n@......D.......G\n################"), kind.Timer, 0, 0, 1, 1, document.Down, "every=5000"),
			"when\n\t\"timer 4\" rings\nthen\n\topen \"door 2\"\n\twait 1 s\n\tshut \"door 2\""), proof.Can},
	} {
		st, a := answerOf(frail(c.d))
		if a.Is != c.is {
			t.Errorf("%s: %s, %q; wanted %s", c.name, a.Is, a.Why, c.is)
			continue
		}
		if a.Is != proof.Can {
			continue
		}
		if _, ok := proof.Replay(st, a.Walk); !ok {
			t.Errorf("%s: its walk does not play", c.name)
		}
	}
}

// ruled adds a rule that is written as text.
func ruled(d *document.Document, text string) *document.Document {
	change, err := author.TextRule(d, text)
	if err != nil {
		panic(err)
	}
	return sample.With(d, change.Do...)
}
