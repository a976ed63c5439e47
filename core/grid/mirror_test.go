package grid

import "testing"

// Turning and turning back changes nothing, and a turn of a block is what its
// cells do one by one.
func TestTurns(t *testing.T) {
	for turn := Turn(0); turn < 8; turn++ {
		w, h := 5, 3
		tw, th := turn.Size(w, h)
		seen := map[Point]bool{}
		for y := range h {
			for x := range w {
				r := turn.Rect(Rect{x, y, 1, 1}, w, h)
				if r.X < 0 || r.Y < 0 || r.X >= tw || r.Y >= th || seen[Point{r.X, r.Y}] {
					t.Fatalf("turn %d brings %d,%d to %v", turn, x, y, r)
				}
				seen[Point{r.X, r.Y}] = true
				if back := turn.Inverse().Rect(r, tw, th); back != (Rect{x, y, 1, 1}) {
					t.Fatalf("turn %d brings %d,%d back to %v", turn, x, y, back)
				}
			}
		}
		if r := turn.Rect(Rect{1, 1, 3, 2}, w, h); r.W*r.H != 6 || turn.Inverse().Rect(r, tw, th) != (Rect{1, 1, 3, 2}) {
			t.Errorf("turn %d brings a rectangle to %v", turn, r)
		}
	}
}

// About any line or point, the images together with what they come from are
// closed: an image of an image is there already.
func TestMirrorsAreClosed(t *testing.T) {
	for _, mode := range []string{MirrorLeftRight, MirrorUpDown, MirrorBoth, MirrorQuarters, ""} {
		for x := -3; x < 4; x++ {
			for y := -3; y < 4; y++ {
				m := Mirror{mode, x, y}
				start := &Region{}
				start.AddRect(Rect{2, 3, 4, 2})
				start.Add(Point{-5, 1})
				all := start.Clone()
				for _, turn := range m.Images() {
					image := m.Region(start, turn)
					if image.Count() != start.Count() {
						t.Fatalf("%v: an image has %d cells", m, image.Count())
					}
					all.Union(image)
				}
				for _, turn := range m.Images() {
					again := m.Region(all, turn)
					again.Subtract(all)
					if !again.Empty() {
						t.Fatalf("%v: the images are not closed", m)
					}
				}
			}
		}
	}
	m := Mirror{MirrorLeftRight, 20, 0}
	if got := m.Point(Point{3, 7}, LeftRight); got != (Point{16, 7}) {
		t.Errorf("the image of 3,7 about the line before cell 10 is %v", got)
	}
	m = Mirror{MirrorUpDown, 0, 9}
	if got := m.Point(Point{3, 4}, UpDown); got != (Point{3, 4}) {
		t.Errorf("a cell on the line goes to %v", got)
	}
}

func TestThenIsOneTurnAfterTheOther(t *testing.T) {
	for a := Turn(0); a < 8; a++ {
		for b := Turn(0); b < 8; b++ {
			w, h := a.Size(5, 3)
			want := b.Rect(a.Rect(Rect{X: 1, Y: 2, W: 1, H: 1}, 5, 3), w, h)
			if got := a.Then(b).Rect(Rect{X: 1, Y: 2, W: 1, H: 1}, 5, 3); got != want {
				t.Errorf("%d then %d gives %v, wanted %v", a, b, got, want)
			}
		}
		if a.Then(a.Inverse()) != Same {
			t.Errorf("%d and back is %d", a, a.Then(a.Inverse()))
		}
	}
}
