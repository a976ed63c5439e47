package rules

import "strings"

// Mark is a piece of a text and what it is: a heading, a word, a name, a text, a number, a note.
type Mark struct {
	Line int    `json:"line"`
	From int    `json:"from"`
	To   int    `json:"to"`
	Is   string `json:"is"`
}

// lineWords are the words behind which a line of text stands, and no name.
var lineWords = func() map[string]bool {
	out := map[string]bool{}
	for _, e := range Vocabulary {
		pieces := e.pieces
		for i, p := range pieces {
			if b := e.Blank(p.blank); b != nil && b.Type == BlankText && i > 0 {
				out[strings.ToLower(pieces[i-1].word)] = true
			}
		}
	}
	return out
}()

// Marks are the pieces of a text as it is shown in colours; lines and characters count from 1.
func (r *Reader) Marks(text string) []Mark {
	lines := r.lex(text)
	out := make([]Mark, 0, 5*len(lines))
	for _, l := range lines {
		for i, t := range l.tokens {
			is := "name"
			switch t.is {
			case tokenNumber:
				is = "number"
			case tokenNote:
				is = "note"
			}
			if t.is == tokenWord && reserved[t.low] {
				is = "word"
				if len(l.tokens) == 1 && slotWord(l) != "" || i == 0 && t.low == textRule {
					is = "heading"
				}
			}
			if t.is == tokenQuoted && i > 0 && lineWords[l.tokens[i-1].low] {
				is = "text"
			}
			out = append(out, Mark{l.number, t.from + 1, t.to + 1, is})
		}
	}
	return out
}
