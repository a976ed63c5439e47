package proof_test

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/proof"
	"azzel/core/sample"
	"strings"
	"testing"
)

// Worlds that are easily answered wrongly, with known answers.
func TestHardWorlds(t *testing.T) {
	wrapped := func(d *document.Document) *document.Document {
		return sample.With(d, edit.Set(edit.Ref{Type: edit.TypeMap, ID: d.MapsInOrder()[0].ID}, "sides", []string{"", document.SideWrap, "", document.SideWrap}))
	}
	moves := func(n int) func(*document.Document) *document.Document {
		return func(d *document.Document) *document.Document {
			return sample.With(d, edit.Set(edit.Ref{Type: edit.TypeMap, ID: d.MapsInOrder()[0].ID}, "values", []kind.Value{byCells, fourWays, {Key: kind.MapMoveLimit, Value: kind.Of(n)}}))
		}
	}
	for _, c := range []struct {
		name, rows string
		rules      []string
		change     func(*document.Document) *document.Document
		is         proof.Is
		fewest     int    // 0 is not asked
		why        string // a part of it
		trapped    bool   // one gets stuck for good somewhere
	}{
		{"a key that must not be used first", "###########\n#@k.K.....#\n#...#######\n#.K.......#\n##.########\n##....G####\n###########", nil, nil, proof.Can, 0, "", true},
		{"a block that can only be pushed onto the key", "##########\n#@..b...k#\n#.########\n#.K.....G#\n##########", nil, nil, proof.Cannot, 0, "", false},
		{"a block that is pushed into the only way", "#########\n#@.b....#\n###.#####\n#k..#####\n#...K..G#\n#########", nil, nil, proof.Can, 0, "", false},
		{"a block that is pushed past the way to the key", "##########\n#@.b.....#\n#.##.#####\n#.##.....#\n#.K.#.#.k#\n#G#####..#\n##########", nil, nil, proof.Can, 0, "", false},
		{"a block that lies against the wall", "########\n#@.....#\n#.####D#\n#b#..pG#\n########", nil, nil, proof.Cannot, 0, "stays shut", false},
		{"a block in a corner", "########\n#b.....#\n#.@..p.#\n######D#\n######G#\n########", nil, nil, proof.Cannot, 0, "", false},
		{"a block that can only be pushed before the goal", "#######\n#@b...#\n##.##G#\n##.####\n#######", nil, nil, proof.Cannot, 0, "", false},
		{"a block before a wall", "#######\n#@b#.G#\n#######", nil, nil, proof.Cannot, 0, "no push moves it", false},
		{"two blocks in a row", "########\n#@bb..G#\n########", nil, nil, proof.Cannot, 0, "no push moves it", false},
		{"a way over the wrap", "#######\n.@#.G.#\n#######", nil, nil, proof.Cannot, 0, "", false},
		{"a way over the wrap, open", "#######\n.@#.G..\n#######", nil, wrapped, proof.Can, 3, "", false},
		{"a way over the wrap, and on at once", ".@.......\n########G", nil, wrapped, proof.Can, 2, "", false},
		{"as many moves as it takes", "#######\n#@...G#\n#######", nil, moves(4), proof.Can, 3, "", false},
		{"a move fewer than it takes", "#######\n#@...G#\n#.....#\n#######", nil, moves(3), proof.Cannot, 0, "every situation", false},
		{"a plate that only the hero could hold", "########\n#@..p..#\n####D###\n####G###\n########", nil, nil, proof.Can, 0, "", false},
		{"a plate away from its door", "#########\n#@p.....#\n#######D#\n#######G#\n#########", nil, nil, proof.Cannot, 0, "", false},
		{"taken, though something asks that it was not", "#######\n#@c.s.#\n#...#D#\n#...#G#\n###D###\n#######", []string{"when\n\tthe hero takes \"collectible 2\"\nthen\n\tset Flag", "when\n\tthe hero uses \"switch 3\"\nif\n\tnone of these\n\t\tFlag is set\nthen\n\ttake away \"door 4\""}, nil, proof.Can, 7, "", true},
		{"a scene that shuts one in", "########\n#@.c...#\n######.#\n#G.....#\n########", []string{"when\n\tthe hero takes \"collectible 2\"\nthen\n\tscene that cannot be skipped\n\t\twait 1 s\n\t\tlose the game \"Shut in.\""}, nil, proof.Cannot, 0, "", false},
		{"all of three, one of them shut in by a block", "#########\n#@.c.c..#\n#####.###\n####bc###\n#########", []string{"when\n\tno Collectible is left\nthen\n\twin the game \"All.\""}, nil, proof.Can, 0, "", false},
		{"a counter that is emptied by what fills it", "#######\n#@c.c.#\n#.....#\n#####D#\n#####G#\n#######", []string{"when\n\tthe hero takes any Collectible\nthen\n\tadd 1 to Salt", "when\n\tSalt comes to 3\nthen\n\tlet Salt be 0", "when\n\tSalt comes to 4\nthen\n\ttake away \"door 4\""}, nil, proof.Cannot, 0, "", false},
	} {
		d := drawn(c.rows, byCells, fourWays)
		if c.change != nil {
			d = c.change(d)
		}
		if len(c.rules) > 0 {
			d = sample.With(d, sample.Drawn()...)
		}
		for _, text := range c.rules {
			change, err := author.TextRule(d, text)
			if err != nil {
				t.Fatalf("%s: %v", c.name, err)
			}
			d = sample.With(d, change.Do...)
		}
		s := studied(t, d)
		a := s.Answer
		if a.Is != c.is || !strings.Contains(a.Why, c.why) || c.fewest > 0 && (a.Steps != c.fewest || !a.Fewest) {
			t.Errorf("%s: %s, %q in %d steps (fewest: %t); wanted %s, %q, %d", c.name, a.Is, a.Why, a.Steps, a.Fewest, c.is, c.why, c.fewest)
		}
		if c.trapped != (len(s.Traps) > 0) {
			t.Errorf("%s: there are %d places where one is stuck", c.name, len(s.Traps))
		}
	}
}

// A block that nothing holds is a step as well, seen from the side: where it lies tells situations apart.
func TestABlockAsAStep(t *testing.T) {
	for _, c := range []struct {
		rows string
		is   proof.Is
	}{
		{"..........\n.........G\n.........#\n.........#\n.........#\n@..b.....#\n##########", proof.Can},
		{"..........\n.........G\n.........#\n.........#\n.........#\n.........#\n@..b.....#\n##########", proof.Open},
	} {
		st, a := answerOf(drawn(c.rows, fromSide))
		if a.Is != c.is {
			t.Errorf("%s\n%s, %q", c.rows, a.Is, a.Why)
		}
		if a.Is == proof.Can {
			if _, ok := proof.Replay(st, a.Walk); !ok {
				t.Error("its walk does not play")
			}
		}
	}
}

// Another hero or team is led on where the first cannot go, from above and from the side; where those who wait stand tells situations apart.
func TestAnotherHeroIsLed(t *testing.T) {
	const gap, walls = "................\n................\n@..............G\n##............##\n##............##\n##............##", "##############\n@..p.##....D.G\n##############"
	for _, c := range []struct {
		name string
		d    *document.Document
	}{
		{"a hero beyond a gap", put(drawn(gap, fromSide), kind.Hero, 14, 2, 1, 1, document.Down)},
		{"a team beyond a gap", put(drawn(gap, fromSide), kind.Spawn, 14, 2, 1, 1, document.Down, `team="other"`)},
		{"one holds the door for the other, from above", put(drawn(walls), kind.Hero, 7, 1, 1, 1, document.Down)},
		{"one holds the door for the other, from the side", put(drawn(walls, fromSide), kind.Hero, 7, 1, 1, 1, document.Down)},
	} {
		st, a := answerOf(c.d)
		if a.Is != proof.Can {
			t.Errorf("%s: %s, %q", c.name, a.Is, a.Why)
		} else if _, ok := proof.Replay(st, a.Walk); !ok {
			t.Errorf("%s: its walk does not play", c.name)
		}
	}
}
