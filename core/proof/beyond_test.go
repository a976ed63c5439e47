package proof_test

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/proof"
	"strings"
	"testing"
)

// Where more than two things are in the way all of them are told, and none that could be left out.
func TestAllThatIsInTheWayIsTold(t *testing.T) {
	tall := "............\n.G..........\n.####.......\n............\n......####..\n............\n............\n.####.......\n............\n............\n......####..\n............\n@...........\n############"
	jump := func(v float64) *document.Document {
		return drawn(tall, fromSide, kind.Value{Key: kind.MapJump, Value: kind.Of(v)})
	}
	for _, c := range []struct {
		name string
		d    *document.Document
		says []string
	}{
		{"three doors and no key", drawn("##########\n#@.K.K.KG#\n##########"), []string{"door 2 asks for “brass”", "door 3 asks for “brass”", "door 4 asks for “brass”"}},
		{"and one that is in nobody's way", drawn("############\n#@.K.K.KG.K#\n####K#######\n####.#######"), []string{"door 2 asks", "door 3 asks", "door 4 asks"}},
		{"a door between, whose lever lies beyond", drawn("###########\n#@.K.D.Ks.#\n#########G#\n###########"), []string{"door 2 asks", "switch 5 lies behind door 3", "door 4 asks"}},
		{"three ledges, each a little too high", jump(2.5), []string{"the jump from 5, 12 to 5, 9 on Drawn is 0.5 cells too high", "to 5, 6 on Drawn is 0.5 cells too high", "to 5, 3 on Drawn is 0.5 cells too high"}},
		{"ten doors", drawn("##############\n#@KKKKKKKKKKG#\n##############"), []string{"door 2", "door 3", "door 4", "door 5", "door 6", "door 7", "door 8", "door 9", "2 more"}},
		{"a goal in the air", drawn("..........\n.......G..\n..........\n..........\n..........\n..........\n@.........\n##########", fromSide, kind.Value{Key: kind.MapJump, Value: kind.Of(3.0)}), []string{"to 7, 1 on Drawn is"}},
		{"one that is much too high", drawn(strings.Replace(tall, "......####..", "............", 1), fromSide), []string{"2 cells too high"}},
	} {
		s := studied(t, c.d)
		var got []string
		for _, m := range s.Missing {
			got = append(got, m.Text)
		}
		if s.Answer.Is != proof.Cannot || s.Together != (len(c.says) > 1) || len(got) != len(c.says) || s.Answer.Why != got[0] {
			t.Errorf("%s: %s, %q, %q; wanted %q", c.name, s.Answer.Is, s.Answer.Why, got, c.says)
			continue
		}
		for i, says := range c.says {
			if !strings.Contains(got[i], says) {
				t.Errorf("%s: %q; wanted %q", c.name, got[i], says)
			}
		}
	}
}
