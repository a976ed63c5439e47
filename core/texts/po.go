package texts

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/play"
	"errors"
	"fmt"
	"slices"
	"strings"
	"unicode/utf8"
)

// MaxPO is how large a file of translations is at most, in bytes.
const MaxPO = 16 << 20

// PO is all that the player reads, with what it is in a language, as a gettext PO file (GNU gettext manual, “The Format of PO
// Files”): translators' programs take it. Comments say where each text stands and how much room it has; what was changed since
// it was translated is fuzzy.
func PO(d *document.Document, language string) ([]byte, error) {
	in := slices.Index(d.Project.Languages, language)
	if in < 0 {
		return nil, fmt.Errorf("the project has no language %.40s", language)
	}
	var out strings.Builder
	head := fmt.Sprintf("Project-Id-Version: %s\nLanguage: %s\nMIME-Version: 1.0\nContent-Type: text/plain; charset=UTF-8\nContent-Transfer-Encoding: 8bit\nX-Generator: Azzel\n",
		strings.ReplaceAll(d.Project.Name, "\n", " "), language)
	quoted(&out, "msgid", "")
	quoted(&out, "msgstr", head)
	for _, t := range Of(d).Texts {
		out.WriteByte('\n')
		for _, w := range t.Where {
			fmt.Fprintf(&out, "#. %s\n", w)
		}
		if t.Is == Said {
			fmt.Fprintf(&out, "#. In the message box: %d columns, %d lines a page; %s here.\n", play.MessageColumns, play.MessageRows, paged(t.Room.Pages))
		}
		is := t.In[in]
		if is.Unsure {
			out.WriteString("#, fuzzy\n")
		}
		quoted(&out, "msgid", t.Text)
		quoted(&out, "msgstr", is.Says)
	}
	return []byte(out.String()), nil
}

func paged(n int) string {
	if n == 1 {
		return "one page"
	}
	return fmt.Sprintf("%d pages", n)
}

var poEscapes = strings.NewReplacer(`\`, `\\`, `"`, `\"`, "\n", `\n`, "\t", `\t`, "\r", `\r`)

// quoted writes a keyword with a text, a line of the text a line.
func quoted(out *strings.Builder, keyword, text string) {
	out.WriteString(keyword)
	lines := strings.SplitAfter(text, "\n")
	if len(lines) > 1 && lines[len(lines)-1] == "" {
		lines = lines[:len(lines)-1]
	}
	if len(lines) > 1 {
		out.WriteString(" \"\"\n")
	} else {
		out.WriteByte(' ')
	}
	for _, l := range lines {
		out.WriteString(`"` + poEscapes.Replace(l) + "\"\n")
	}
}

// Translated is an entry of a PO file.
type Translated struct {
	Of, Says string
	// Fuzzy entries are to be looked at again; Line is where it begins.
	Fuzzy bool
	Line  int
}

// ReadPO reads a PO file: its language, as its head says, and its entries that are translated. What is wrong is told with its
// line.
func ReadPO(data []byte) (language string, all []Translated, err error) {
	if len(data) > MaxPO {
		return "", nil, fmt.Errorf("that file is larger than %d MB", MaxPO>>20)
	}
	text := strings.TrimPrefix(string(data), "\ufeff")
	if !utf8.ValidString(text) {
		return "", nil, errors.New("that file is not in UTF-8: save it so in the translator's program")
	}
	r := poReader{}
	for i, line := range strings.Split(strings.ReplaceAll(text, "\r\n", "\n"), "\n") {
		if err := r.line(i+1, strings.TrimSpace(line)); err != nil {
			return "", nil, fmt.Errorf("line %d: %w", i+1, err)
		}
	}
	r.end()
	if len(r.all) == 0 && r.head == "" {
		return "", nil, errors.New("that is no PO file: it has no entries")
	}
	for _, l := range strings.Split(r.head, "\n") {
		if tag, is := strings.CutPrefix(l, "Language:"); is {
			language = strings.ReplaceAll(strings.TrimSpace(tag), "_", "-")
		}
	}
	return language, r.all, nil
}

// poReader takes a PO file line by line.
type poReader struct {
	now  Translated
	in   *string // what strings are added to
	any  bool
	seen string
	head string
	all  []Translated
}

func (r *poReader) line(n int, line string) error {
	switch {
	case strings.HasPrefix(line, "#~"), line == "":
		return nil
	case strings.HasPrefix(line, "#"):
		if r.seen == "msgstr" {
			r.end()
		}
		if strings.HasPrefix(line, "#,") && strings.Contains(line, "fuzzy") {
			r.now.Fuzzy = true
		}
		return nil
	case strings.HasPrefix(line, `"`):
		if r.in == nil {
			return errors.New("a text stands here without msgid or msgstr before it")
		}
		return r.add(line)
	}
	word, rest, _ := strings.Cut(line, " ")
	other := ""
	switch word {
	case "msgctxt":
		if r.seen == "msgstr" {
			r.end()
		}
		r.in = &other
	case "msgid":
		if r.seen == "msgstr" {
			r.end()
		}
		r.in, r.now.Line, r.any = &r.now.Of, n, true
	case "msgid_plural":
		r.in = &other
	case "msgstr", "msgstr[0]":
		r.in, word = &r.now.Says, "msgstr"
	default:
		if strings.HasPrefix(word, "msgstr[") {
			r.in, word = &other, "msgstr"
			break
		}
		return fmt.Errorf("“%.40s” is nothing that a PO file has", word)
	}
	r.seen = word
	return r.add(strings.TrimSpace(rest))
}

// add takes a text in quotes.
func (r *poReader) add(quotes string) error {
	if len(quotes) < 2 || quotes[0] != '"' || quotes[len(quotes)-1] != '"' {
		return errors.New("a text stands in quotes, and one is missing here")
	}
	inner := quotes[1 : len(quotes)-1]
	var out strings.Builder
	for i := 0; i < len(inner); i++ {
		switch {
		case inner[i] == '"':
			return errors.New(`a quote within a text is written as \"`)
		case inner[i] != '\\':
			out.WriteByte(inner[i])
			continue
		case i+1 == len(inner):
			return errors.New("a text stands in quotes, and one is missing here")
		}
		i++
		switch c := inner[i]; c {
		case 'n':
			out.WriteByte('\n')
		case 't':
			out.WriteByte('\t')
		case 'r':
		case '"', '\\':
			out.WriteByte(c)
		default:
			return fmt.Errorf(`“\%c” is no character`, c)
		}
	}
	*r.in += out.String()
	return nil
}

// end takes an entry over.
func (r *poReader) end() {
	switch {
	case !r.any:
	case r.now.Of == "":
		r.head = r.now.Says
	case r.now.Says != "":
		r.all = append(r.all, r.now)
	}
	r.now, r.in, r.any, r.seen = Translated{}, nil, false, ""
}

// TakePO takes over what a PO file says, as one change: in the language that its head names, which the project gets where it has
// it not. Entries of texts that stand nowhere are passed over and counted.
func TakePO(d *document.Document, data []byte) (author.Change, error) {
	language, all, err := ReadPO(data)
	if err != nil {
		return author.Change{}, err
	}
	if language == "" {
		return author.Change{}, errors.New("the file does not say which language it is: its head needs a line “Language: de”")
	}
	c := changed("")
	if !slices.Contains(d.Project.Languages, language) {
		added, err := AddLanguage(d, language)
		if err != nil {
			return author.Change{}, err
		}
		c.Do = append(c.Do, added.Do...)
		d = edit.Apply(d, &edit.Edit{Do: added.Do}).Doc
	}
	stands, comes := map[string]bool{}, map[string]string{}
	for _, t := range Of(d).Texts {
		stands[t.Text] = true
		if t.word != "" {
			comes[t.Text] = d.GameComes(language, t.word)
		}
	}
	taken, strange := 0, 0
	for _, t := range all {
		w := d.Wording(language, t.Of)
		switch {
		case !stands[t.Of]:
			strange++
			continue
		case utf8.RuneCountInString(t.Says) > document.MaxText:
			return author.Change{}, fmt.Errorf("line %d: a text has at most %d characters", t.Line, document.MaxText)
		case w != nil && w.Says == t.Says && w.Unsure == t.Fuzzy, w == nil && t.Says == comes[t.Of] && t.Says != "":
			continue
		case w == nil:
			id := document.NewID()
			c.Do = append(c.Do, edit.Insert(edit.Ref{Type: edit.TypeWording, ID: id}, document.Wording{ID: id, Language: language, Of: t.Of, Says: t.Says, Unsure: t.Fuzzy}))
		default:
			ref := edit.Ref{Type: edit.TypeWording, ID: w.ID}
			c.Do = append(c.Do, edit.Set(ref, "says", t.Says), edit.Set(ref, "unsure", t.Fuzzy))
		}
		taken++
	}
	if taken == 0 {
		if strange > 0 {
			return author.Change{}, fmt.Errorf("none of its %d texts stands in this project", strange)
		}
		return author.Change{}, errors.New("everything that it says is so already")
	}
	c.Label.Text = fmt.Sprintf("Took over %s in %s", counted(taken), language)
	switch {
	case strange == 1:
		c.Label.Text += "; 1 text of the file stands nowhere"
	case strange > 1:
		c.Label.Text += fmt.Sprintf("; %d texts of the file stand nowhere", strange)
	}
	return c, nil
}

func counted(n int) string {
	if n == 1 {
		return "1 text"
	}
	return fmt.Sprintf("%d texts", n)
}
