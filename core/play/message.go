package play

import (
	"strings"
	"unicode/utf8"
)

// The message box holds so many lines of so many characters.
const (
	MessageColumns = 38
	MessageRows    = 3
)

// Pages are a text as the message box shows it, page by page.
type Pages struct {
	Pages [][]string `json:"pages"`
	// Over tells that the text does not fit on the pages that its author began
	// with empty lines, so that it goes on with others by itself.
	Over bool `json:"over"`
	// Long is a word that is longer than a line and is cut.
	Long string `json:"long"`
	// Broken is the text with empty lines where the pages end.
	Broken  string `json:"broken"`
	Columns int    `json:"columns"`
	Rows    int    `json:"rows"`
}

// PagesOf folds a text into the message box: lines end between words, an empty
// line begins a new page.
func PagesOf(text string) Pages {
	out := Pages{Pages: [][]string{}, Columns: MessageColumns, Rows: MessageRows}
	for _, part := range strings.Split(strings.ReplaceAll(text, "\r", ""), "\n\n") {
		var lines []string
		for _, line := range strings.Split(part, "\n") {
			lines = append(lines, out.fold(line)...)
		}
		for len(lines) > MessageRows {
			out.Over = true
			at := pageEnd(lines)
			out.Pages = append(out.Pages, lines[:at])
			lines = lines[at:]
		}
		if len(lines) > 0 {
			out.Pages = append(out.Pages, lines)
		}
	}
	var all []string
	for _, p := range out.Pages {
		all = append(all, strings.Join(p, " "))
	}
	out.Broken = strings.Join(all, "\n\n")
	return out
}

// pageEnd is after the last line of a full page that ends a sentence, else after
// the last one.
func pageEnd(lines []string) int {
	for n := MessageRows; n > 1; n-- {
		if last := lines[n-1]; strings.HasSuffix(last, ".") || strings.HasSuffix(last, "!") || strings.HasSuffix(last, "?") {
			return n
		}
	}
	return MessageRows
}

func (p *Pages) fold(line string) []string {
	var out []string
	now := ""
	for _, word := range strings.Fields(line) {
		for utf8.RuneCountInString(word) > MessageColumns {
			p.Long = word
			r := []rune(word)
			if now != "" {
				out, now = append(out, now), ""
			}
			out, word = append(out, string(r[:MessageColumns])), string(r[MessageColumns:])
		}
		switch n := utf8.RuneCountInString(now) + 1 + utf8.RuneCountInString(word); {
		case now == "":
			now = word
		case n > MessageColumns:
			out, now = append(out, now), word
		default:
			now += " " + word
		}
	}
	if now != "" {
		out = append(out, now)
	}
	return out
}
