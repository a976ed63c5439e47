package proof_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/proof"
	"azzel/core/sample"
	"slices"
	"testing"
)

// Turn by turn, and by points, worlds are finished as well: the walk waits for the turns of the world.
func TestTurnByTurn(t *testing.T) {
	turns := kind.Value{Key: kind.MapWalking, Value: kind.Of(kind.WalksTurns)}
	for _, points := range []string{"0", "1", "3"} {
		d := drawn("########\n#s@D..G#\n########", turns)
		k := *kind.Find(kind.Hero)
		k.ID, k.Of, k.Name = "ownheroownhe", kind.Hero, "Warden"
		k.Settings = slices.Clone(k.Settings)
		kind.Keyed(k.Settings, kind.HeroPoints).Default = kind.Datum(points)
		d = sample.With(d, edit.Insert(edit.Ref{Type: edit.TypeKind, ID: k.ID}, document.Lean(&k)))
		st, a := answerOf(d)
		if a.Is != proof.Can {
			t.Fatalf("by %s points: %s, %s", points, a.Is, a.Why)
		}
		if _, ok := proof.Replay(st, a.Walk); !ok {
			t.Errorf("by %s points its walk does not play", points)
		}
	}
}
