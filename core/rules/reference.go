package rules

import (
	"azzel/core/document"
	"fmt"
	"strings"
)

// Reference is the page about the words of rules, as docs/rules.md has it.
func Reference() string {
	var b strings.Builder
	b.WriteString(referenceHead)
	for i, slot := range document.Slots[:3] {
		fmt.Fprintf(&b, "\n## %s\n", []string{"What wakes a rule (*when*)", "What is asked (*if*)", "What is done (*then*, *otherwise*)"}[i])
		heading := ""
		for _, e := range Vocabulary {
			if e.Slot != slot {
				continue
			}
			if e.Group != heading {
				heading = e.Group
				fmt.Fprintf(&b, "\n### %s\n\n| as text | what it is |\n| --- | --- |\n", heading)
			}
			fmt.Fprintf(&b, "| `%s` | %s |\n", e.shape(), e.Label+e.more())
		}
	}
	return b.String()
}

// shape is how a word is written, with what stands in its blanks.
func (e *Entry) shape() string {
	var words []string
	for _, p := range e.pieces {
		if p.blank == "" {
			words = append(words, p.word)
			continue
		}
		b := e.Blank(p.blank)
		words = append(words, map[string]string{BlankEntity: "⟨thing⟩", BlankMap: "⟨map⟩", BlankFlag: "⟨flag⟩", BlankCounter: "⟨counter⟩", BlankKind: "⟨kind⟩", BlankSignal: "⟨signal⟩",
			BlankText: `"⟨line⟩"`, BlankNumber: "⟨number⟩", BlankItem: "⟨item⟩", BlankOwnFlag: "⟨its flag⟩", BlankOwnCounter: "⟨its counter⟩", BlankSound: "⟨sound⟩"}[b.Type])
	}
	return strings.Join(words, " ")
}

// more is what else is to be known of a word.
func (e *Entry) more() (out string) {
	if len(e.Blanks) > 0 && e.Blanks[0].Wants != "" && e.Blanks[0].Wants != "thing" {
		out += " (a " + e.Blanks[0].Wants + ")"
	}
	if e.Within != "" {
		out += "; stands in a question"
	}
	switch len(e.Holds) {
	case 1:
		out += "; other lines stand in it"
	case 2, 3:
		out += "; what is asked stands in it, and below, under `then`"
		if len(e.Holds) == 3 {
			out += " and `otherwise`"
		}
		out += ", what is done"
	}
	return out
}

const referenceHead = `# Rules

A rule says what wakes it, what it asks, and what it does then, or otherwise. It is read and changed as a card and as
text; both are the same rule. This page is made from the words themselves (` + "`core/rules`" + `).

    rule "The ferryman" once
    when
        the hero speaks to Ferryman
    if
        any of these
            the hero has coin
            Debt is below 3
    then
        ask "Shall we cross?"
            answer "Yes"
                send the hero to Landing
            answer "No"
                # He remembers.
                add 1 to Debt
    otherwise
        say "Come back with a coin."

A line is a happening, a condition or an action. What stands farther in stands in the line above. The first line gives
the rule a name, ` + "`once`" + ` lets it run one time in a game, ` + "`off`" + ` lets it rest; ` + "`off`" + ` before a line passes that line over.
` + "`#`" + ` begins a note. Names of one word need no quotes, unless they are words of this page; ` + "`\\n`" + ` in quotes is a new line.

* **⟨thing⟩** is an entity by its name, with ` + "`on ⟨map⟩`" + ` where several have that name. ` + "`any ⟨kind⟩`" + ` in *when* waits for each of a
  kind; the rule is then each one's, and *once* counts for each. ` + "`every ⟨kind⟩`" + ` asks for all of them, and does something to all.
  ` + "`anything tagged ⟨tag⟩` and `everything tagged ⟨tag⟩`" + ` are that for all whose kinds have a tag; ` + "`everything in ⟨thing⟩`" + `
  is all that is in an area now. Of several, those are meant that the word can be about.
  ` + "`it`" + ` is what woke the rule.
* **⟨number⟩** is a whole number, or a counter by its name. Counters go from −1,000,000 to 1,000,000, and stop there.
* What is asked in *if* is read once, when the rule wakes; ` + "`if`" + ` and ` + "`as long as`" + ` among what is done read it when they come to it.
* A rule that waits or asks is not woken again meanwhile. One that takes a thousand steps without waiting is stopped.
* Parts stand in one another at most eight deep, and a rule has at most 400.
`
