package figure

import (
	"slices"
	"strings"
	"testing"
)

// Everything of a landscape is as large as is wanted and fills its place, with nothing around it that is seen through half; the
// same wish is the same picture, another seed or colour another one.
func TestScenery(t *testing.T) {
	for _, what := range Scenery {
		for _, size := range []int{16, 32} {
			for wide := 2; wide <= MaxScenery; wide += 3 {
				for tall := 2; tall <= MaxScenery; tall += 3 {
					w := SceneryWish{What: what, Wide: wide, Tall: tall, Colour: "#b7553a", Second: "#e9dfcb", Size: size, Seed: 1}
					s, err := DrawScenery(w)
					if err != nil || s.Width != wide*size || s.Height != tall*size || len(s.Pixels) != 4*s.Width*s.Height {
						t.Fatalf("%+v: %d × %d, %v", w, s.Width, s.Height, err)
					}
					filled := 0
					for i := 3; i < len(s.Pixels); i += 4 {
						if s.Pixels[i] == 255 {
							filled++
						}
					}
					if filled*10 < 4*s.Width*s.Height {
						t.Errorf("%+v: only %d of %d pixels are filled", w, filled, s.Width*s.Height)
					}
					again, _ := DrawScenery(w)
					other := w
					other.Seed = 2
					second, _ := DrawScenery(other)
					other = w
					other.Colour = "#3f6f7c"
					third, _ := DrawScenery(other)
					if !slices.Equal(s.Pixels, again.Pixels) || slices.Equal(s.Pixels, second.Pixels) || slices.Equal(s.Pixels, third.Pixels) {
						t.Errorf("%+v: the same wish is another picture, or another wish the same", w)
					}
				}
			}
		}
	}
	good := SceneryWish{What: House, Wide: 3, Tall: 2, Colour: "#b7553a", Second: "#e9dfcb", Size: 16}
	for want, change := range map[string]func(*SceneryWish){
		"there is no “boat”": func(w *SceneryWish) { w.What = "boat" },
		"1 to 8 cells":       func(w *SceneryWish) { w.Wide = 9 },
		"a house at least 2": func(w *SceneryWish) { w.Tall = 1 },
		"is no colour":       func(w *SceneryWish) { w.Second = "red" },
		"of 20 pixels":       func(w *SceneryWish) { w.Size = 20 },
	} {
		w := good
		change(&w)
		if _, err := DrawScenery(w); err == nil || !strings.Contains(err.Error(), want) {
			t.Errorf("%s: %v", want, err)
		}
	}
}
