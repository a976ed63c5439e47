package document

import (
	"regexp"
	"slices"
	"testing"
)

// What the game itself says has a key of its own, and puts in the same in all languages that come with it.
func TestGameWords(t *testing.T) {
	put := regexp.MustCompile(`\{\w+\}`)
	puts := func(says string) []string { return slices.Sorted(slices.Values(put.FindAllString(says, -1))) }
	keys := map[string]bool{}
	for _, w := range GameWords {
		if keys[w.Key] || w.Says == "" {
			t.Errorf("%s is there twice, or says nothing", w.Key)
		}
		keys[w.Key] = true
		for i, in := range w.In {
			if in == "" || !slices.Equal(puts(in), puts(w.Says)) {
				t.Errorf("%s in %s is %q, and puts in other than %q", w.Key, gameLanguages[i], in, w.Says)
			}
		}
	}
}
