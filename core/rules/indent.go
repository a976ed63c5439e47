package rules

import "azzel/core/document"

// Indent is how many levels in a line begins that comes behind a text.
func Indent(text string) int {
	lines := lex(text)
	if len(lines) == 0 {
		return 0
	}
	last := lines[len(lines)-1]
	n := (last.indent + 3) / 4
	slot, within := placeOf(lines)
	if slotWord(last) != "" {
		return n + 1
	}
	if slot == "" {
		return n
	}
	for _, a := range attempts(&document.Document{}, last.tokens, slot, within) {
		if len(a.entry.Holds) > 0 && (a.whole || a.at >= 1 && a.wants.blank != nil) {
			return n + 1
		}
	}
	return n
}
