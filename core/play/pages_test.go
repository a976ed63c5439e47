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

// Lines end where the script allows it, spaced or not, and nowhere else; wide characters take two columns.
func TestLinesEndWhereTheyMay(t *testing.T) {
	for _, c := range []struct{ text, want string }{
		{"The tide is coming in; light all of the three beacons at once", "The tide is coming in; light all of/the three beacons at once"},
		{"潮が満ちてくる。三つの灯台に火をともせ、夜番よ。", "潮が満ちてくる。三つの灯台に火をとも/せ、夜番よ。"},
		{"ابتعد عن الشاطئ قبل أن يعود الماء إلى الرصيف", "ابتعد عن الشاطئ قبل أن يعود الماء إلى/الرصيف"},
		{"Die Flut kommt in genau zwei Stunden\u00a0!", "Die Flut kommt in genau zwei Stunden\u00a0!"},
		{"Half of the crystals belongs to the lamp-keeper", "Half of the crystals belongs to the/lamp-keeper"},
		{"Nobody has seen an old warden of lamp-house", "Nobody has seen an old warden of lamp-/house"},
	} {
		got := play.PagesOf(c.text)
		if is := strings.Join(got.Pages[0], "/"); is != c.want {
			t.Errorf("%s\nis folded as\n%s\nnot\n%s", c.text, is, c.want)
		}
		if got.Broken != c.text {
			t.Errorf("of %q becomes %q", c.text, got.Broken)
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

// Scripts without spaces that want a dictionary end their lines where a zero-width space says that they may, which is not seen.
func TestLinesEndAtZeroWidthSpaces(t *testing.T) {
	words := strings.Repeat("ทะเล\u200b", 30)
	p := play.PagesOf(words)
	if p.Long != "" || len(p.Pages) == 0 || len(p.Pages[0]) < 2 {
		t.Errorf("with marks it is %+v", p)
	}
	if p := play.PagesOf(strings.Repeat("ทะเล", 30)); p.Long == "" {
		t.Error("without them it is not told that a word is longer than a line")
	}
}
