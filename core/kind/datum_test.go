package kind_test

import (
	"azzel/core/kind"
	"encoding/json"
	"strings"
	"testing"
)

var samples = map[string]kind.Setting{
	kind.Text:     {Key: "t", Name: "T", Type: kind.Text},
	kind.Number:   {Key: "n", Name: "N", Type: kind.Number, Least: -5, Most: 50, Unit: "cells"},
	kind.YesNo:    {Key: "y", Name: "Y", Type: kind.YesNo},
	kind.Colour:   {Key: "c", Name: "C", Type: kind.Colour},
	kind.Chosen:   {Key: "h", Name: "H", Type: kind.Chosen, Choices: []kind.Choice{{Key: "atHero", Name: "at the hero"}, {Key: "ahead", Name: "ahead"}}},
	kind.Duration: {Key: "d", Name: "D", Type: kind.Duration, Most: 60_000, Unit: "seconds"},
	kind.Words:    {Key: "w", Name: "W", Type: kind.Words},
	kind.Counts:   {Key: "k", Name: "K", Type: kind.Counts},
	kind.Shares:   {Key: "s", Name: "S", Type: kind.Shares},
	kind.Entity:   {Key: "e", Name: "E", Type: kind.Entity},
}

func TestWhatAPersonWrites(t *testing.T) {
	for _, c := range []struct{ typ, text, want, back string }{
		{kind.Text, " salt & rope ", `"salt \u0026 rope"`, "salt & rope"},
		{kind.Text, strings.Repeat("ä", 501), "", ""},
		{kind.Text, "a\xff", "", ""},
		{kind.Number, "007.500", "7.5", "7.5"},
		{kind.Number, "-0.0", "0", "0"},
		{kind.Number, "-5", "-5", "-5"},
		{kind.Number, "-5.1", "", ""},
		{kind.Number, "50.001", "", ""},
		{kind.Number, "5e1", "", ""},
		{kind.Number, "0x10", "", ""},
		{kind.Number, ".5", "", ""},
		{kind.YesNo, "yes", "true", "yes"},
		{kind.YesNo, "true", "", ""},
		{kind.Colour, "#a0b1c2", `"#a0b1c2"`, "#a0b1c2"},
		{kind.Colour, "#A0B1C2", "", ""},
		{kind.Chosen, "At The Hero", `"atHero"`, "atHero"},
		{kind.Chosen, "atHero", `"atHero"`, "atHero"},
		{kind.Chosen, "behind", "", ""},
		{kind.Duration, "0.5", "500", "0.5"},
		{kind.Duration, "60", "60000", "60"},
		{kind.Duration, "60.001", "", ""},
		{kind.Duration, "-1", "", ""},
		{kind.Words, "rope,  lamp oil ,,", `["rope","lamp oil"]`, "rope, lamp oil"},
		{kind.Words, "", "[]", ""},
		{kind.Words, strings.Repeat("a,", 65), "", ""},
		{kind.Words, strings.Repeat("a", 81), "", ""},
		{kind.Counts, "3, 5,8", "[3,5,8]", "3, 5, 8"},
		{kind.Counts, "3, -5", "", ""},
		{kind.Counts, "3, many", "", ""},
		{kind.Counts, "1000001", "", ""},
		{kind.Shares, "walker 3, shore crab, flyer 0", `[{"odds":3,"of":"walker"},{"odds":1,"of":"shore crab"},{"odds":0,"of":"flyer"}]`, "walker 3, shore crab 1, flyer 0"},
		{kind.Entity, "liftliftlift", `"liftliftlift"`, "liftliftlift"},
	} {
		s := samples[c.typ]
		got, err := s.Read(c.text)
		if string(got) != c.want && (c.want != "" || err == nil) || c.want == "" && err == nil {
			t.Errorf("%s %.20q is %s, %v; wanted %s", c.typ, c.text, got, err, c.want)
			continue
		}
		if c.want == "" {
			if !strings.HasPrefix(err.Error(), s.Name+" is ") {
				t.Errorf("the sentence about %s %.20q is %v", c.typ, c.text, err)
			}
			continue
		}
		if text := s.Text(got); text != c.back {
			t.Errorf("%s %q is written %q", c.typ, c.text, text)
		}
		// what earlier versions stored, all as strings, is read in the same way
		if is, err := s.Is(kind.Of(c.text)); c.typ != kind.Text && c.typ != kind.Entity && (err != nil || is != got) {
			t.Errorf("stored as a string %s %q is %s, %v", c.typ, c.text, is, err)
		}
	}
}

func TestStoredValues(t *testing.T) {
	for _, c := range []struct {
		typ  string
		d    kind.Datum
		fits bool
	}{
		{kind.Text, "7", false}, {kind.Number, "7", true}, {kind.Number, "7.50", false}, {kind.Number, "70", false}, {kind.Number, "[]", false},
		{kind.Number, "", false}, {kind.Duration, "60000", true}, {kind.Duration, "60001", false}, {kind.Duration, "0.5", false}, {kind.Duration, "-1", false},
		{kind.YesNo, "false", true}, {kind.YesNo, "0", false}, {kind.Colour, `"#00ff00"`, true}, {kind.Colour, "null", false},
		{kind.Chosen, `"ahead"`, true}, {kind.Chosen, `["ahead"]`, false}, {kind.Words, `["a"]`, true}, {kind.Words, `[1]`, false}, {kind.Words, `{}`, false},
		{kind.Counts, `[1,2]`, true}, {kind.Counts, `[1.5]`, false}, {kind.Shares, `[{"odds":1,"of":"a"}]`, true}, {kind.Shares, `[{"odds":1,"of":"a","x":2}]`, false},
	} {
		s := samples[c.typ]
		if err := s.Fits(c.d); (err == nil) != c.fits {
			t.Errorf("%s %s: %v", c.typ, c.d, err)
		}
	}
}

func TestParts(t *testing.T) {
	if d := kind.Datum(`["a","b"]`); len(d.List()) != 2 || d.Word() != "" || d.Counts() != nil || d.Thousandths() != 0 {
		t.Error("a list is not read as one")
	}
	if d := kind.Datum("-2.0625"); d.Thousandths() != -2062 || d.Yes() {
		t.Errorf("a number is %d thousandths", d.Thousandths())
	}
	if got := kind.Datum(`[3,5]`).Counts(); len(got) != 2 || got[1] != 5 {
		t.Errorf("counts are %v", got)
	}
	for _, bad := range []kind.Setting{{Type: "tune"}, {Type: kind.Number, Default: "1", Least: 3, Most: 2}, {Type: kind.Number, Default: "9", Least: 1, Most: 3},
		{Type: kind.Chosen, Default: `"a"`}, {Type: kind.Text, Default: `""`, Choices: []kind.Choice{{Key: "a", Name: "a"}}}, {Type: kind.Number, Default: "1", Handle: "knob"},
		{Type: kind.Chosen, Default: `"a"`, Choices: []kind.Choice{{Key: "a", Name: "a"}, {Key: "a", Name: "b"}}},
		{Type: kind.Chosen, Default: `"a"`, Choices: []kind.Choice{{Key: "a", Name: "a"}, {Key: "b", Name: "a"}}}} {
		if bad.Check() == nil {
			t.Errorf("%+v passes", bad)
		}
	}
}

// Whatever is stored as a value is read to one canonical form, or refused, and what
// fits a setting is written and read again as the same.
func FuzzDatum(f *testing.F) {
	for _, seed := range []string{`"a"`, `7`, `-0.50`, `[1,2]`, `["a, b"]`, `{"b":1,"a":"<"}`, `null`, `true`, `"yes"`, `[{"of":"x 2","odds":1}]`, `1e3`, `"\ud800"`} {
		f.Add([]byte(seed))
	}
	f.Fuzz(func(t *testing.T, data []byte) {
		var d kind.Datum
		if json.Unmarshal(data, &d) != nil {
			return
		}
		out, err := json.Marshal(d)
		if err != nil {
			t.Fatalf("%s cannot be written: %v", d, err)
		}
		var again kind.Datum
		if err := json.Unmarshal(out, &again); err != nil || again != d {
			t.Fatalf("%s becomes %s, %v", d, again, err)
		}
		for typ, s := range samples {
			is, err := s.Is(d)
			if err != nil {
				continue
			}
			if twice, err := s.Is(is); err != nil || twice != is {
				t.Fatalf("as %s %s is %s and then %s, %v", typ, d, is, twice, err)
			}
			if s.Text(is) != s.Text(d) {
				t.Fatalf("as %s %s is written %q and %q", typ, d, s.Text(is), s.Text(d))
			}
		}
	})
}

// Values that are written and read in a short way are what the encoder and the reader of decimals make of them.
func TestShortWays(t *testing.T) {
	for _, text := range []string{"", "Door", "a<b", "a&b>", "é", "\"", "a\\b", "\n", " ", "“"} {
		raw, err := json.Marshal(text)
		if err != nil {
			t.Fatal(err)
		}
		if got := kind.Of(text); string(got) != string(raw) || got.Word() != text {
			t.Errorf("%q is written %s, and read again as %q", text, got, got.Word())
		}
	}
	for text, want := range map[string]int64{"0": 0, "7": 7000, "-7": -7000, "007": 7000, "-0": 0, "999999999": 999999999000, "1234567890": 1234567890000, "1.5": 1500, "-": 0, "1e3": 0, "--1": 0, "+1": 0, "": 0, ".5": 0, "5.": 0, "1.2.3": 0, "-.5": 0, "0.123456789": 123, "0.1234567890": 0, "1\n": 0, "1234567890123456": 0, "٣": 0} {
		if got := kind.Datum(text).Thousandths(); got != want {
			t.Errorf("%s is %d thousandths, wanted %d", text, got, want)
		}
	}
	if kind.Of(-3) != "-3" || kind.Of(int64(-3)) != kind.Of(-3) || kind.Of(true) != "true" {
		t.Error("numbers are written otherwise")
	}
}
