package kind

import (
	"fmt"
	"slices"
	"strconv"
	"strings"
	"unicode/utf8"
)

// Read takes what a person wrote as a value of the setting. The error is a sentence.
func (s *Setting) Read(text string) (Datum, error) {
	d, want := s.read(strings.TrimSpace(text))
	if want != "" {
		return "", fmt.Errorf("%s is %s", s.Name, want)
	}
	return d, s.bounds(d)
}

// read gives the value, or what would have been wanted.
func (s *Setting) read(text string) (d Datum, want string) {
	switch s.Type {
	case Number:
		if !decimal(text) {
			return "", "a number, as 12 or 0.5"
		}
		return Datum(plain(text)), ""
	case Duration:
		n, ok := thousandths(text)
		if !ok || n < 0 {
			return "", "a number of seconds, as 2 or 0.5"
		}
		return Of(n), ""
	case Tile:
		n, err := strconv.ParseUint(text, 10, 32)
		if err != nil {
			return "", "a tile"
		}
		return Of(n), ""
	case YesNo:
		if text != "yes" && text != "no" {
			return "", "yes or no"
		}
		return Of(text == "yes"), ""
	case Colour:
		if !rgb.MatchString(text) {
			return "", "a colour, as #a0b1c2"
		}
	case Chosen:
		i := s.choice(text)
		if i < 0 {
			return "", "one of " + s.names()
		}
		return Of(s.Choices[i].Key), ""
	case Words, Counts, Shares:
		return readList(s.Type, text)
	case Several:
		return s.readSeveral(text)
	default:
		if !utf8.ValidString(text) || utf8.RuneCountInString(text) > MaxText {
			return "", fmt.Sprintf("at most %d characters", MaxText)
		}
	}
	return Of(text), ""
}

// choice finds a choice by its key or its name, −1 for none.
func (s *Setting) choice(word string) int {
	i := slices.IndexFunc(s.Choices, func(c Choice) bool { return c.Key == word })
	if i < 0 {
		i = slices.IndexFunc(s.Choices, func(c Choice) bool { return strings.EqualFold(c.Name, word) })
	}
	return i
}

// readSeveral reads some of the choices with commas between, in the order of the choices; “nothing” is none.
func (s *Setting) readSeveral(text string) (d Datum, want string) {
	has := make([]bool, len(s.Choices))
	for _, word := range strings.Split(text, ",") {
		if word = strings.TrimSpace(word); word == "" || word == "nothing" {
			continue
		}
		i := s.choice(word)
		if i < 0 {
			return "", "any of " + s.names() + ", or nothing"
		}
		has[i] = true
	}
	out := []string{}
	for i, c := range s.Choices {
		if has[i] {
			out = append(out, c.Key)
		}
	}
	return Of(out), ""
}

// readList reads what stands between commas.
func readList(typ, text string) (d Datum, want string) {
	words, counts, shares := []string{}, []int{}, []Share{}
	for _, word := range strings.Split(text, ",") {
		if word = strings.TrimSpace(word); word == "" {
			continue
		}
		n, err := strconv.Atoi(word)
		if typ == Counts && (err != nil || n < 0 || n > maxCount) {
			return "", "whole numbers with commas between, as 3, 5, 8"
		}
		share := Share{word, 1}
		if at := strings.LastIndexByte(word, ' '); at > 0 {
			if odds, err := strconv.Atoi(word[at+1:]); err == nil && odds >= 0 && odds <= maxCount {
				share = Share{strings.TrimSpace(word[:at]), odds}
			}
		}
		words, counts, shares = append(words, word), append(counts, n), append(shares, share)
		if len(words) > MaxItems || !utf8.ValidString(word) || utf8.RuneCountInString(word) > maxWord {
			return "", fmt.Sprintf("at most %d words of at most %d characters, with commas between", MaxItems, maxWord)
		}
	}
	switch typ {
	case Counts:
		return Of(counts), ""
	case Shares:
		return Of(shares), ""
	}
	return Of(words), ""
}

// Text is a value as a person writes it.
func (s *Setting) Text(d Datum) string {
	if is, err := s.Is(d); err == nil {
		d = is
	}
	switch s.Type {
	case Number, Tile:
		return string(d)
	case Duration:
		return decimals(d.Thousandths() / 1000)
	case YesNo:
		if d.Yes() {
			return "yes"
		}
		return "no"
	case Words:
		return strings.Join(d.List(), ", ")
	case Counts:
		return strings.Trim(strings.ReplaceAll(string(d), ",", ", "), "[]")
	case Shares:
		var out []string
		for _, share := range d.Shares() {
			out = append(out, fmt.Sprintf("%s %d", share.Of, share.Odds))
		}
		return strings.Join(out, ", ")
	case Several:
		var out []string
		for _, key := range d.List() {
			if i := s.choice(key); i >= 0 {
				out = append(out, s.Choices[i].Name)
			}
		}
		return strings.Join(out, ", ")
	}
	return d.Word()
}

// Is gives a stored value in the setting's type. A string where it is of another type
// is read as what a person wrote: earlier versions stored all values so, and a
// setting whose type was changed keeps what still makes sense.
func (s *Setting) Is(d Datum) (Datum, error) {
	if s.is(d) {
		return d, s.bounds(d)
	}
	var text string
	if !d.as(&text) {
		return "", fmt.Errorf("the value of %s is not of its type", s.Name)
	}
	return s.Read(text)
}

// is reports whether a value is of the setting's type as it stands.
func (s *Setting) is(d Datum) bool {
	switch s.Type {
	case Number:
		return decimal(string(d)) && plain(string(d)) == string(d)
	case Duration:
		n, err := strconv.ParseInt(string(d), 10, 64)
		return err == nil && n >= 0 && n < 1e15
	case Tile:
		n, err := strconv.ParseUint(string(d), 10, 32)
		return err == nil && Of(n) == d
	case YesNo:
		return d == "true" || d == "false"
	case Words:
		var all []string
		return d.as(&all) && all != nil && len(all) <= MaxItems
	case Counts:
		var all []int
		return d.as(&all) && all != nil && len(all) <= MaxItems
	case Shares:
		var all []Share
		return d.as(&all) && all != nil && len(all) <= MaxItems && Of(all) == d
	case Several:
		text := strings.Join(d.List(), ",")
		again, want := s.readSeveral(text)
		return want == "" && again == d
	case Chosen:
		return slices.ContainsFunc(s.Choices, func(c Choice) bool { return Of(c.Key) == d })
	case Colour:
		return rgb.MatchString(d.Word())
	}
	var text string
	return d.as(&text) && utf8.RuneCountInString(text) <= MaxText
}

// Fits says what is wrong with a value of the setting; nil when nothing is.
func (s *Setting) Fits(d Datum) error {
	_, err := s.Is(d)
	return err
}

// bounds finds a number that lies outside its range.
func (s *Setting) bounds(d Datum) error {
	if s.Least == 0 && s.Most == 0 || s.Type != Number && s.Type != Duration {
		return nil
	}
	n, ok := thousandths(string(d))
	if ok && n >= int64(s.Least)*1000 && n <= int64(s.Most)*1000 {
		return nil
	}
	unit := s.Unit
	if unit != "" {
		unit = " " + unit
	}
	if s.Type == Duration {
		return fmt.Errorf("%s is %s to %s%s", s.Name, decimals(int64(s.Least)), decimals(int64(s.Most)), unit)
	}
	return fmt.Errorf("%s is %d to %d%s", s.Name, s.Least, s.Most, unit)
}
