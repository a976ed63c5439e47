package kind

import (
	"bytes"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"regexp"
	"strconv"
	"strings"
	"unicode/utf8"
)

// Datum is a value as JSON, in one canonical form, so that equal values are equal
// texts. The empty one is no value.
type Datum string

// Value is what a setting is, by its key.
type Value struct {
	Key   string `json:"key"`
	Value Datum  `json:"value"`
}

// Share is one of several kinds, by its word or id, with its odds.
type Share struct {
	Of   string `json:"of"`
	Odds int    `json:"odds"`
}

// Limits of values.
const (
	MaxText  = 500 // characters
	MaxItems = 64  // of a list
	maxWord  = 80  // characters of one of them
	maxCount = 1_000_000
	// MaxDatum limits a value as JSON, in bytes.
	MaxDatum = 16_384
)

// Of is a plain value as a datum.
func Of(v any) Datum {
	switch v := v.(type) {
	case string:
		if asItIs(v) && !strings.ContainsAny(v, "<>&") {
			return Datum(`"` + v + `"`)
		}
	case int64:
		return Datum(strconv.FormatInt(v, 10))
	case int:
		return Datum(strconv.Itoa(v))
	}
	var out bytes.Buffer
	enc := json.NewEncoder(&out)
	if err := enc.Encode(v); err != nil {
		panic(fmt.Sprintf("kind: plain values always marshal: %v", err))
	}
	text := bytes.TrimSpace(out.Bytes())
	if bytes.IndexByte(text, '{') >= 0 {
		// names stand in one order, whatever the type they were declared in
		if is, err := canonical(text); err == nil {
			return is
		}
	}
	return Datum(text)
}

// canonical reads any JSON value, and writes it with its names in order.
func canonical(data []byte) (Datum, error) {
	dec := json.NewDecoder(bytes.NewReader(data))
	dec.UseNumber()
	var v any
	if err := dec.Decode(&v); err != nil {
		return "", fmt.Errorf("read a value: %w", err)
	}
	if _, err := dec.Token(); !errors.Is(err, io.EOF) {
		return "", errors.New("a value has something behind it")
	}
	out, err := json.Marshal(v)
	return Datum(out), err
}

// MarshalJSON gives the value itself.
func (d Datum) MarshalJSON() ([]byte, error) {
	if d == "" {
		return []byte("null"), nil
	}
	return []byte(d), nil
}

// UnmarshalJSON takes any value, in its canonical form.
func (d *Datum) UnmarshalJSON(data []byte) error {
	is, err := canonical(data)
	if *d = is; is == "null" {
		*d = ""
	}
	return err
}

// as reads the datum into a plain value of its type.
func (d Datum) as(v any) bool { return d != "" && json.Unmarshal([]byte(d), v) == nil }

// read is the datum as a plain value of a type, and nothing where it is of another.
func read[T any](d Datum) (out T) {
	if !d.as(&out) {
		var none T
		return none
	}
	return out
}

// Word is a value that is a string; empty when it is none.
func (d Datum) Word() string {
	if n := len(d) - 1; n > 0 && d[0] == '"' && d[n] == '"' && asItIs(string(d[1:n])) {
		return string(d[1:n])
	}
	return read[string](d)
}

// asItIs reports whether a text stands in JSON as it is.
func asItIs(s string) bool {
	for i := range len(s) {
		if c := s[i]; c < ' ' || c >= utf8.RuneSelf || c == '"' || c == '\\' {
			return false
		}
	}
	return true
}

// Yes reports whether the value is true.
func (d Datum) Yes() bool { return d == "true" }

// List is a value that is a list of strings.
func (d Datum) List() []string { return read[[]string](d) }

// Counts is a value that is a list of whole numbers.
func (d Datum) Counts() []int { return read[[]int](d) }

// Shares is a value that is a list of kinds with odds.
func (d Datum) Shares() []Share { return read[[]Share](d) }

// Thousandths is a value that is a number, in thousandths; more places are cut off.
func (d Datum) Thousandths() int64 {
	if n, ok := small(string(d)); ok {
		return n * 1000
	}
	n, _ := thousandths(string(d))
	return n
}

// small reads a whole number of a few digits, as most are.
func small(text string) (n int64, ok bool) {
	digits := strings.TrimPrefix(text, "-")
	if len(digits) == 0 || len(digits) > 9 {
		return 0, false
	}
	for i := range len(digits) {
		if digits[i] < '0' || digits[i] > '9' {
			return 0, false
		}
		n = n*10 + int64(digits[i]-'0')
	}
	if len(digits) < len(text) {
		n = -n
	}
	return n, true
}

var rgb = regexp.MustCompile(`^#[0-9a-f]{6}$`)

// decimal reports whether a text is a number of up to 15 digits, and up to nine behind a point. It is asked of every setting of everything.
func decimal(text string) bool {
	whole, part, pointed := strings.Cut(strings.TrimPrefix(text, "-"), ".")
	return digits(whole, 15) && (!pointed || digits(part, 9))
}

func digits(text string, most int) bool {
	for i := range len(text) {
		if text[i] < '0' || text[i] > '9' {
			return false
		}
	}
	return len(text) > 0 && len(text) <= most
}

// thousandths reads a decimal number in thousandths; more places are cut off.
func thousandths(text string) (int64, bool) {
	if !decimal(text) {
		return 0, false
	}
	whole, part, _ := strings.Cut(strings.TrimPrefix(text, "-"), ".")
	if len(whole) > 12 {
		return 0, false
	}
	var n int64
	for _, c := range whole + (part + "000")[:3] {
		n = n*10 + int64(c-'0')
	}
	if strings.HasPrefix(text, "-") {
		n = -n
	}
	return n, true
}

// Thousandths is a number, given in thousandths, as a value.
func Thousandths(n int64) Datum { return Datum(decimals(n)) }

// plain is a decimal number without noughts that say nothing.
func plain(text string) string {
	sign := ""
	if strings.HasPrefix(text, "-") {
		sign, text = "-", text[1:]
	}
	whole, part, _ := strings.Cut(text, ".")
	if whole = strings.TrimLeft(whole, "0"); whole == "" {
		whole = "0"
	}
	if part = strings.TrimRight(part, "0"); part != "" {
		whole += "." + part
	}
	if whole == "0" {
		return whole
	}
	return sign + whole
}

// decimals writes thousandths as a decimal number.
func decimals(n int64) string {
	sign := ""
	if n < 0 {
		sign, n = "-", -n
	}
	return plain(fmt.Sprintf("%s%d.%03d", sign, n/1000, n%1000))
}
