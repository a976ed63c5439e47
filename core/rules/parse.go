package rules

import (
	"azzel/core/document"
	"azzel/core/kind"
	"errors"
	"fmt"
	"slices"
	"strings"
	"unicode/utf8"
)

// Fault is what is wrong with the text of a rule, and where: lines and characters count from 1.
type Fault struct {
	Line int    `json:"line"`
	From int    `json:"from"`
	To   int    `json:"to"`
	Text string `json:"text"`
}

// Error says it with its place.
func (f Fault) Error() string {
	return fmt.Sprintf("line %d, character %d: %s", f.Line, f.From, f.Text)
}

// Parse reads a rule from text as Print writes it. Its parts have ids that say nothing. Faults are all that could not
// be read; the rule is what could.
func Parse(d *document.Document, text string) (document.Rule, []Fault) {
	return (&Reader{}).Parse(d, text)
}

// Parse reads a rule as Parse does.
func (r *Reader) Parse(d *document.Document, text string) (document.Rule, []Fault) {
	r.of(d)
	p := parser{doc: d, reader: r, lines: r.lex(text)}
	if utf8.RuneCountInString(text) > document.MaxDraft {
		return document.Rule{}, []Fault{{1, 1, 1, fmt.Sprintf("the text of a rule has at most %d characters", document.MaxDraft)}}
	}
	if len(p.lines) == 0 {
		return document.Rule{}, []Fault{{1, 1, 1, "a rule says when, and then what is done"}}
	}
	p.head()
	for p.at < len(p.lines) {
		p.section()
	}
	if len(p.parts) > document.MaxParts {
		p.fault(p.lines[len(p.lines)-1], 0, fmt.Sprintf("a rule has at most %d parts: let another one do the rest", document.MaxParts))
		p.parts = p.parts[:document.MaxParts]
	}
	return p.rule.With(p.parts...), p.faults
}

type parser struct {
	doc    *document.Document
	reader *Reader
	lines  []textLine
	at     int
	rule   document.Rule
	parts  []document.RulePart
	faults []Fault
}

// fault notes what is wrong at a token of a line; behind the last one, at its end.
func (p *parser) fault(l textLine, token int, text string) {
	f := Fault{Line: l.number, From: l.length + 1, To: l.length + 1, Text: text}
	if token < len(l.tokens) {
		f.From, f.To = l.tokens[token].from+1, l.tokens[token].to+1
	}
	p.faults = append(p.faults, f)
}

// head reads what the rule is called, and how often it runs.
func (p *parser) head() {
	l := p.lines[0]
	if !isWord(l, 0, textRule) {
		return
	}
	p.at = 1
	for i, t := range l.tokens[1:] {
		switch {
		case t.is == tokenQuoted && i == 0 && !t.open:
			p.rule.Name = t.text
			named := document.Rule{ID: "abcdefgh2345", Name: t.text}
			if err := named.Check(); t.text != "" && err != nil {
				p.fault(l, i+1, err.Error())
				p.rule.Name = ""
			}
		case isWord(l, i+1, textOnce):
			p.rule.Once = true
		case isWord(l, i+1, textOff):
			p.rule.Off = true
		default:
			p.fault(l, i+1, "behind “rule” stand its name in quotes, “once”, “off”")
			return
		}
	}
}

func isWord(l textLine, at int, word string) bool {
	return at < len(l.tokens) && l.tokens[at].low == strings.ToLower(word)
}

// slotWord is the slot that a line heads by itself; empty for other lines.
func slotWord(l textLine) string {
	if len(l.tokens) == 1 {
		for _, slot := range document.Slots {
			if isWord(l, 0, slot) {
				return slot
			}
		}
	}
	return ""
}

// section reads one of when, if, then and otherwise.
func (p *parser) section() {
	l := p.lines[p.at]
	slot := slotWord(l)
	p.at++
	if slot == "" {
		p.fault(l, 0, "here stands “when”, “if”, “then” or “otherwise” on a line by itself"+p.meant(l))
		return
	}
	p.block(l.indent, slot, "", "", 1)
}

// meant offers a word of slots that looks like what stands there.
func (p *parser) meant(l textLine) string {
	if n := nearest(l.tokens[0].text, document.Slots); n != "" {
		return fmt.Sprintf("; did you mean “%s”?", n)
	}
	return ""
}

// block reads the lines that stand farther in than one column, as parts of a slot.
func (p *parser) block(indent int, slot string, parent document.ID, within string, deep int) {
	first := -1
	for p.at < len(p.lines) && p.lines[p.at].indent > indent {
		l := p.lines[p.at]
		if first < 0 {
			first = l.indent
		}
		if l.indent != first {
			p.fault(l, 0, "this line stands neither in the one above nor beside it: begin it where that begins, or farther in")
		}
		p.at++
		p.line(l, slot, parent, within, deep)
	}
}

// line reads a part, with what stands in it.
func (p *parser) line(l textLine, slot string, parent document.ID, within string, deep int) {
	part, e := p.part(l, slot, within)
	if e == nil {
		p.skip(l.indent)
		return
	}
	if deep > document.MaxDeep {
		p.fault(l, 0, fmt.Sprintf("parts stand in one another at most %d deep: let another rule do the rest, by a signal", document.MaxDeep))
		p.skip(l.indent)
		return
	}
	part.ID, part.Parent, part.Order = partID(len(p.parts)), parent, (len(p.parts)+1)*orderStep
	p.parts = append(p.parts, part)
	in := ""
	if e.Word == WordAsk {
		in = WordAsk
	}
	for i, slot := range e.Holds {
		if i > 0 {
			if p.at >= len(p.lines) || p.lines[p.at].indent != l.indent || slotWord(p.lines[p.at]) != slot {
				if slot == document.SlotThen {
					p.fault(l, len(l.tokens), fmt.Sprintf("below what is asked stands “%s”, as far in as this line, and below that what is done", slot))
				}
				continue
			}
			p.at++
		}
		p.block(l.indent, slot, part.ID, in, deep+1)
	}
	if e.Word == WordAsk {
		n := 0
		for _, q := range p.parts {
			if q.Parent == part.ID {
				n++
			}
		}
		if n > document.MaxAnswers {
			p.fault(l, 0, fmt.Sprintf("a question has at most %d answers", document.MaxAnswers))
		}
	}
	if len(e.Holds) == 0 && p.at < len(p.lines) && p.lines[p.at].indent > l.indent {
		p.fault(p.lines[p.at], 0, "nothing can stand in the line above: begin this one where that begins")
		p.skip(l.indent)
	}
}

// skip passes over lines that stand farther in.
func (p *parser) skip(indent int) {
	for p.at < len(p.lines) && p.lines[p.at].indent > indent {
		p.at++
	}
}

// part reads a line as one of the words of a slot; nil where it cannot.
func (p *parser) part(l textLine, slot, within string) (document.RulePart, *Entry) {
	key := lineKey{l.text, slot, within}
	if was, ok := p.reader.parts[key]; ok {
		was.part.Blanks = slices.Clone(was.part.Blanks)
		return was.part, was.entry
	}
	part, e := p.partOf(l, slot, within)
	if e != nil {
		p.reader.keep(key, part, e)
	}
	return part, e
}

func (p *parser) partOf(l textLine, slot, within string) (document.RulePart, *Entry) {
	part := document.RulePart{Slot: slot}
	if isWord(l, 0, textOff) && len(l.tokens) > 1 {
		part.Off = true
		l.tokens = l.tokens[1:]
	}
	if l.tokens[0].is == tokenNote {
		if slot != document.SlotThen && slot != document.SlotOtherwise || within != "" {
			p.fault(l, 0, "a note stands among what is done")
			return part, nil
		}
		part.Word, part.Blanks = WordNote, []kind.Value{{Key: "text", Value: kind.Of(l.tokens[0].text)}}
		e := Find(WordNote)
		return part, p.checked(l, part, e)
	}
	all := attempts(p.doc, l.tokens, slot, within)
	best := all[0]
	for _, a := range all[1:] {
		if better(a, best) {
			best = a
		}
	}
	switch {
	case best.whole && best.unknown == "":
		part.Word, part.Blanks = best.entry.Word, best.blanks
		return part, p.checked(l, part, best.entry)
	case best.whole:
		p.fault(l, best.badly, unknownText(p.doc, best))
	default:
		p.fault(l, max(0, best.at), p.wanted(l, all, best))
	}
	return part, nil
}

// checked gives the entry of a part in which nothing is wrong.
func (p *parser) checked(l textLine, part document.RulePart, e *Entry) *Entry {
	if e.Within != "" {
		part.Parent = "x"
	}
	if err := Check(&part); err != nil {
		p.fault(l, 0, err.Error())
		return nil
	}
	return e
}

// attempts are how far a line is understood as each word that could stand in a slot.
func attempts(d *document.Document, tokens []token, slot, within string) []attempt {
	of := slot
	if slot == document.SlotOtherwise {
		of = document.SlotThen
	}
	m := matcher{doc: d, tokens: tokens}
	first := ""
	if len(tokens) > 0 {
		first = tokens[0].low
	}
	for _, begin := range []string{first, ""} {
		for _, e := range openings[opening{of, within, begin}] {
			if m.says(e) {
				if a := m.match(e, slot); a.whole && a.unknown == "" {
					return []attempt{a} // it can be nothing else
				}
			}
		}
	}
	out := make([]attempt, 0, len(Vocabulary))
	for i := range Vocabulary {
		if e := &Vocabulary[i]; e.Slot == of && e.Within == within {
			out = append(out, m.match(e, slot))
		}
	}
	return out
}

// wanted says what was to come where a line is not understood any more.
func (p *parser) wanted(l textLine, all []attempt, best attempt) string {
	var words, what []string
	for _, a := range all {
		if a.at != best.at || a.whole {
			continue
		}
		text := "“" + a.wants.word + "”"
		if a.wants.word == "" && a.wants.blank == nil {
			text = "the end of the line"
		} else if a.wants.blank != nil {
			text = a.wants.blank.called()
		} else {
			words = append(words, a.wants.word)
		}
		if !slices.Contains(what, text) {
			what = append(what, text)
		}
	}
	if len(what) > 8 {
		what = append(what[:8], "…")
	}
	text := "here stands " + strings.Join(what, ", ")
	if best.at < len(l.tokens) {
		if n := nearest(l.tokens[max(0, best.at)].text, words); n != "" {
			text += fmt.Sprintf("; did you mean “%s”?", n)
		}
	}
	return text
}

// called is how people call what fills a blank.
func (b *Blank) called() string {
	switch b.Type {
	case BlankEntity:
		return "a " + b.Wants
	case BlankText:
		return "a line in quotes"
	case BlankChoice:
		return strings.Join(b.Of, " or ")
	case BlankOwnFlag:
		return "a flag of its own"
	case BlankOwnCounter:
		return "a counter of its own"
	case BlankGuise:
		return "a guise of it"
	}
	return "a " + b.Type
}

// unknownText says that nothing is called so, and what is called nearly so.
func unknownText(d *document.Document, a attempt) string {
	text := fmt.Sprintf("there is nothing called “%s”", a.unknown)
	switch n := nearest(a.unknown, namesOf(d)); {
	case n == a.unknown:
		text = fmt.Sprintf("nothing that fits here is called “%s”", n)
	case n != "":
		text += fmt.Sprintf("; did you mean “%s”?", n)
	}
	return text
}

// namesOf are the names that rules can say.
func namesOf(d *document.Document) (out []string) {
	for _, m := range d.MapsInOrder() {
		out = append(out, m.Name)
		m.Entities.Each(func(e *document.Entity) { out = append(out, e.Name) })
	}
	d.Flags.Each(func(f *document.Flag) { out = append(out, f.Name) })
	d.Counters.Each(func(c *document.Counter) { out = append(out, c.Name) })
	for _, k := range d.KindsInOrder() {
		out = append(out, k.Name)
	}
	return out
}

// partID is an id for a part that is read, by its number.
func partID(n int) document.ID {
	const digits = "abcdefghijklmnop"
	out := []byte("partpartaaaa")
	for i := len(out) - 1; n > 0; i-- {
		out[i] = digits[n%16]
		n /= 16
	}
	return document.ID(out)
}

// errNotRead is told where the text of a rule cannot be read.
var errNotRead = errors.New("the text of the rule cannot be read")

// Read is Parse for a text in which nothing may be wrong.
func Read(d *document.Document, text string) (document.Rule, error) {
	r, faults := Parse(d, text)
	if len(faults) > 0 {
		return r, fmt.Errorf("%w: %w", errNotRead, faults[0])
	}
	return r, nil
}
