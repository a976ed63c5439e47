package check

import (
	"azzel/core/document"
	"azzel/core/texts"
	"fmt"
	"strings"
)

// maxTexts is how many texts of a sort are told one by one.
const maxTexts = 30

// ofTexts finds what is wrong with what the player reads.
func ofTexts(d *document.Document, say func(Finding)) {
	list := texts.Of(d)
	told := map[string]int{}
	text := func(what, format string, args ...any) {
		if told[what]++; told[what] <= maxTexts {
			say(Finding{What: what, Of: document.TypeWording, Text: fmt.Sprintf(format, args...)})
		}
	}
	for _, t := range list.Texts {
		where := ""
		if len(t.Where) > 0 {
			where = " (" + t.Where[0] + ")"
		}
		if t.Room.Long != "" {
			text(LongWord, "“%s” is longer than a line of the message box%s.", t.Room.Long, where)
		}
		if t.Room.Over {
			text(TextRuns, "“%s” goes on with another page%s.", shortened(t.Text), where)
		}
		for k, s := range t.In {
			if s.Room.Long != "" {
				text(LongWord, "“%s” is longer than a line of the message box, in %s.", s.Room.Long, list.Languages[k])
			}
		}
	}
	for k, n := range list.Missing {
		if n > 0 {
			say(Finding{What: NotSaid, Of: document.TypeWording, ID: "", Text: fmt.Sprintf("The language “%s” lacks %s.", list.Languages[k], textsOf(n))})
		}
	}
}

func textsOf(n int) string {
	if n == 1 {
		return "one text"
	}
	return fmt.Sprintf("%d texts", n)
}

func shortened(text string) string {
	text = strings.ReplaceAll(text, "\n", " ")
	if r := []rune(text); len(r) > 48 {
		return string(r[:46]) + "…"
	}
	return text
}
