package play

import (
	"strings"
	"unicode"

	"github.com/rivo/uniseg"
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
			if n := len(lines); n > 0 { // it ended there by itself
				lines[n-1] = strings.TrimRight(lines[n-1], " ") + " "
			}
			lines = append(lines, out.fold(line)...)
		}
		for len(lines) > MessageRows {
			out.Over = true
			at := pageEnd(lines)
			out.page(lines[:at])
			lines = lines[at:]
		}
		if len(lines) > 0 {
			out.page(lines)
		}
	}
	return out
}

// page adds a page of lines.
func (p *Pages) page(lines []string) {
	if len(p.Pages) > 0 {
		p.Broken += "\n\n"
	}
	p.Broken += strings.TrimRight(strings.Join(lines, ""), " ")
	shown := make([]string, len(lines))
	for i, l := range lines {
		shown[i] = strings.TrimRight(l, " ")
	}
	p.Pages = append(p.Pages, shown)
}

// pageEnd is after the last line of a full page that ends a sentence, else after
// the last one.
func pageEnd(lines []string) int {
	for n := MessageRows; n > 1; n-- {
		if last := strings.TrimRight(lines[n-1], " "); strings.HasSuffix(last, ".") || strings.HasSuffix(last, "!") || strings.HasSuffix(last, "?") || strings.HasSuffix(last, "。") {
			return n
		}
	}
	return MessageRows
}

// spaces are those between words; a space that does not break holds what it stands between together.
func spaces(r rune) bool { return unicode.IsSpace(r) && r != '\u00a0' && r != '\u202f' }

// fold breaks a line where lines may end by the Unicode line breaking algorithm (UAX #14), which knows scripts without spaces; what is
// twice as wide takes two columns. Lines that end with a space had one there.
func (p *Pages) fold(line string) (out []string) {
	rest := strings.Join(strings.FieldsFunc(line, spaces), " ")
	now, state := "", -1
	for rest != "" {
		var word string
		word, rest, _, state = uniseg.FirstLineSegmentInString(rest, state)
		if now != "" && uniseg.StringWidth(strings.TrimRight(now+word, " ")) > MessageColumns {
			out, now = append(out, now), ""
		}
		if uniseg.StringWidth(strings.TrimRight(word, " ")) > MessageColumns {
			p.Long = strings.TrimRight(word, " ")
			var cut []string
			cut, word = narrow(word)
			out = append(out, cut...)
		}
		now += word
	}
	if now != "" {
		out = append(out, now)
	}
	return out
}

// narrow cuts what is wider than a line between its characters; the rest is not.
func narrow(word string) (out []string, rest string) {
	now, wide, state := "", 0, -1
	for word != "" {
		var one string
		var w int
		one, word, w, state = uniseg.FirstGraphemeClusterInString(word, state)
		if one != " " && wide+w > MessageColumns {
			out, now, wide = append(out, now), "", 0
		}
		now, wide = now+one, wide+w
	}
	return out, now
}
