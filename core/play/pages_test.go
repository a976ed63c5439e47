package play_test

import (
	"azzel/core/play"
	"strings"
	"testing"
)

func TestPagesFoldIntoTheBox(t *testing.T) {
	for _, c := range []struct {
		text  string
		pages int
		over  bool
		long  string
	}{
		{"", 0, false, ""},
		{"Low tide.", 1, false, ""},
		{"First page.\n\nSecond page.", 2, false, ""},
		{strings.Repeat("salt ", 60), 3, true, ""},
		{strings.Repeat("x", 90), 1, false, strings.Repeat("x", 90)},
		{"one\ntwo\nthree\nfour", 2, true, ""},
	} {
		got := play.PagesOf(c.text)
		long := got.Long != ""
		if len(got.Pages) != c.pages || got.Over != c.over || long != (c.long != "") {
			t.Errorf("%.20q: %d pages, over %v, long %q", c.text, len(got.Pages), got.Over, got.Long)
		}
		for _, page := range got.Pages {
			if len(page) > play.MessageRows {
				t.Errorf("%.20q: a page of %d lines", c.text, len(page))
			}
			for _, line := range page {
				if n := len([]rune(line)); n > play.MessageColumns {
					t.Errorf("%.20q: a line of %d", c.text, n)
				}
			}
		}
		again := play.PagesOf(got.Broken)
		if again.Over || len(again.Pages) != len(got.Pages) {
			t.Errorf("%.20q: broken it has %d pages, over %v", c.text, len(again.Pages), again.Over)
		}
	}
}

func FuzzPages(f *testing.F) {
	f.Add("Low tide. Three beacons to light.\n\nGo.")
	f.Add("ß\x00" + strings.Repeat("æ", 200))
	f.Fuzz(func(t *testing.T, text string) {
		for _, page := range play.PagesOf(text).Pages {
			if len(page) == 0 || len(page) > play.MessageRows {
				t.Fatalf("a page of %d lines", len(page))
			}
		}
	})
}
