package rules

import (
	"azzel/core/document"
	"strings"
	"unicode"
	"unicode/utf8"
)

// tokenKind is what a token of a rule's text is.
type tokenKind uint8

const (
	tokenWord   tokenKind = iota // a plain word, or one of signs
	tokenQuoted                  // something in quotes
	tokenNumber
	tokenID   // @ and what stands for something that has no name any more
	tokenNote // # and the rest of the line
)

// token is a piece of a line of a rule's text.
type token struct {
	is   tokenKind
	text string // without quotes, with what is escaped as it is meant
	low  string // of a word, in small letters
	// from and to are where it stands in the line, in characters.
	from, to int
	// open tells that the quotes are not closed.
	open bool
}

// textLine is a line of a rule's text.
type textLine struct {
	number int // from 1
	indent int // in columns; a tab goes to the next fourth
	tokens []token
	length int // in characters
	// text is what stands in it.
	text string
}

// lex cuts a text into lines and tokens, leaving out empty lines. It never fails: what is wrong is found where it is
// read.
func lex(text string) []textLine { return (&Reader{}).lex(text) }

// lineOf cuts a line.
func lineOf(raw string) textLine {
	l := textLine{length: utf8.RuneCountInString(raw), text: strings.TrimSpace(raw)}
	at, chars := 0, []rune(raw)
	for at < len(chars) && unicode.IsSpace(chars[at]) {
		if chars[at] == '\t' {
			l.indent += 4 - l.indent%4
		} else {
			l.indent++
		}
		at++
	}
	l.tokens = tokensOf(chars, at)
	return l
}

func tokensOf(chars []rune, at int) (out []token) {
	if at < len(chars) {
		out = make([]token, 0, 6)
	}
	for at < len(chars) {
		from := at
		switch c := chars[at]; {
		case unicode.IsSpace(c):
			at++
			continue
		case c == '#':
			out = append(out, token{is: tokenNote, text: strings.TrimSpace(string(chars[at+1:])), from: from, to: len(chars)})
			return out
		case c == '"' || c == '“' || c == '”':
			t := quoted(chars, at)
			out, at = append(out, t), t.to
		default:
			for at < len(chars) && !unicode.IsSpace(chars[at]) && chars[at] != '"' && chars[at] != '“' && chars[at] != '”' {
				at++
			}
			t := token{is: tokenWord, text: string(chars[from:at]), from: from, to: at}
			switch {
			case c == '@':
				t.is, t.text = tokenID, t.text[1:]
			case isNumber(t.text):
				t.is = tokenNumber
			default:
				t.low = strings.ToLower(t.text)
			}
			out = append(out, t)
		}
	}
	return out
}

func isNumber(text string) bool {
	digits := strings.TrimLeft(text, "-−")
	return digits != "" && len(text)-len(digits) <= len("−") && strings.Trim(digits, "0123456789") == ""
}

// quoted reads what stands in quotes: \n is a new line, and any other character behind a \ is itself.
func quoted(chars []rune, at int) token {
	t := token{is: tokenQuoted, from: at, open: true}
	ends := chars[at]
	if ends == '“' {
		ends = '”'
	}
	var b strings.Builder
	for at++; at < len(chars); at++ {
		switch c := chars[at]; {
		case c == '\\' && at+1 < len(chars):
			if at++; chars[at] == 'n' {
				b.WriteByte('\n')
			} else {
				b.WriteRune(chars[at])
			}
		case c == ends:
			t.open, t.to, t.text = false, at+1, b.String()
			return t
		default:
			b.WriteRune(c)
		}
	}
	t.to, t.text = at, b.String()
	return t
}

// quote writes a text in quotes.
func quote(text string) string {
	return `"` + strings.NewReplacer(`\`, `\\`, `"`, `\"`, "\n", `\n`, "\r", "").Replace(text) + `"`
}

// named writes a name as it can be read again: in quotes where it could be taken for something else.
func named(name string) string {
	for i, c := range name {
		if !unicode.IsLetter(c) && (i == 0 || !unicode.IsDigit(c) && c != '-' && c != '’') {
			return quote(name)
		}
	}
	if name == "" || reserved[strings.ToLower(name)] {
		return quote(name)
	}
	return name
}

// The words of the text form that are no words of the vocabulary.
const (
	textRule  = "rule"
	textOnce  = "once"
	textOff   = "off"
	textAny   = "any"
	textEvery = "every"
	textWho   = "who"
	// all that have a tag, or are in an area
	textAnything   = "anything"
	textEverything = "everything"
	textTagged     = "tagged"
	textThing      = "thing"
	textIn         = "in"
	textIt         = "it"
	textOn         = "on"
	textHero       = "the hero"
)

// reserved are all words that mean something in the text of a rule.
var reserved = func() map[string]bool {
	out := map[string]bool{textRule: true, textOnce: true, textOff: true, textAny: true, textEvery: true, textWho: true, textAnything: true, textEverything: true, textIt: true, textOn: true}
	for _, slot := range document.Slots {
		out[slot] = true
	}
	for _, e := range Vocabulary {
		for _, p := range e.pieces {
			if p.blank == "" {
				out[strings.ToLower(p.word)] = true
			}
		}
	}
	return out
}()

// piece is a word of a pattern, or a blank.
type piece struct{ word, low, blank string }

// patternOf cuts a pattern into its words and blanks.
func patternOf(pattern string) (out []piece) {
	for _, f := range strings.Fields(strings.NewReplacer("[", "", "]", "").Replace(pattern)) {
		if strings.HasPrefix(f, "{") {
			out = append(out, piece{blank: strings.Trim(f, "{}")})
		} else {
			out = append(out, piece{word: f, low: strings.ToLower(f)})
		}
	}
	return out
}
