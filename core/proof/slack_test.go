package proof_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/proof"
	"azzel/core/sample"
	"strings"
	"testing"
)

// A jump over a wide gap leaves little time to begin it, one over a narrow gap much; whoever begins it as much sooner or later comes
// across, and a tick more does not.
func TestJumpsHaveSlack(t *testing.T) {
	gap := func(n int) string {
		air := strings.Repeat(".", n)
		return strings.Join([]string{strings.Repeat(".", n+18), strings.Repeat(".", n+18), strings.Repeat(".", n+18), strings.Repeat(".", n+18), "@......." + air + ".........G",
			strings.Repeat("#", 8) + air + strings.Repeat("#", 10), strings.Repeat("#", 8) + air + strings.Repeat("#", 10), strings.Repeat("#", 8) + air + strings.Repeat("#", 10)}, "\n")
	}
	falls := []kind.Value{fromSide}
	last := 1000
	for _, n := range []int{2, 4, 5} {
		s := studied(t, fallsOut(drawn(gap(n), falls...)))
		if s.Answer.Is != proof.Can || len(s.Jumps) == 0 {
			t.Errorf("over %d cells: %s, with %d jumps", n, s.Answer.Is, len(s.Jumps))
			continue
		}
		tight := s.Jumps[0]
		for _, j := range s.Jumps {
			if j.Slack() < tight.Slack() {
				tight = j
			}
		}
		if tight.Slack() > last || tight.Slack() < 1 {
			t.Errorf("over %d cells the tightest jump leaves %d ticks, over fewer %d", n, tight.Slack(), last)
		}
		last = tight.Slack()
		t.Logf("over %d cells: %+v", n, s.Jumps)
	}
	if last > 12 {
		t.Errorf("over the widest gap %d ticks are left", last)
	}
}

// fallsOut has whoever falls below a map's lower edge fall out of it.
func fallsOut(d *document.Document) *document.Document {
	return sample.With(d, edit.Set(edit.Ref{Type: edit.TypeMap, ID: d.MapsInOrder()[0].ID}, "sides", []string{"", "", document.SideFall, ""}))
}
