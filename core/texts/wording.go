package texts

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"errors"
	"fmt"
	"slices"
	"strings"
	"unicode/utf8"
)

func changed(text string, do ...edit.Primitive) author.Change {
	return author.Change{Do: do, Label: edit.Label{Text: edit.Shortened(text)}}
}

// Word says what a text is in a language; empty takes that back.
func Word(d *document.Document, language, of, says string) (author.Change, error) {
	switch {
	case !slices.Contains(d.Project.Languages, language):
		return author.Change{}, fmt.Errorf("the project has no language %.40s", language)
	case utf8.RuneCountInString(says) > document.MaxText:
		return author.Change{}, fmt.Errorf("a text has at most %d characters", document.MaxText)
	}
	label := fmt.Sprintf("“%s” in %s", shortened(of), language)
	w := d.Wording(language, of)
	switch {
	case w == nil && says == "":
		return author.Change{}, errors.New("that is not said yet")
	case w == nil:
		id := document.NewID()
		return changed(label, edit.Insert(edit.Ref{Type: edit.TypeWording, ID: id}, document.Wording{ID: id, Language: language, Of: of, Says: says})), nil
	}
	ref := edit.Ref{Type: edit.TypeWording, ID: w.ID}
	if says == "" {
		return changed(label, edit.Remove(ref)), nil
	}
	c := changed(label)
	if w.Says != says {
		c.Do = append(c.Do, edit.Set(ref, "says", says))
	}
	if w.Unsure {
		c.Do = append(c.Do, edit.Set(ref, "unsure", false))
	}
	if len(c.Do) == 0 {
		return author.Change{}, errors.New("it is said so already")
	}
	return c, nil
}

// Rewrite writes a text otherwise wherever it stands. What it was in other languages goes along, and is marked to be looked at.
func Rewrite(d *document.Document, of, to string) (author.Change, error) {
	switch to = strings.TrimRight(to, " \t\n"); {
	case strings.TrimSpace(to) == "":
		return author.Change{}, errors.New("remove the step or the thing that says it, so that nothing is read")
	case utf8.RuneCountInString(to) > document.MaxText:
		return author.Change{}, fmt.Errorf("a text has at most %d characters", document.MaxText)
	case to == of:
		return author.Change{}, errors.New("it stands so already")
	}
	c := changed(fmt.Sprintf("Wrote “%s” as “%s”", shortened(of), shortened(to)))
	stays := false
	fields := map[edit.Ref]bool{}
	for _, p := range places(d) {
		switch {
		case p.text != of:
		case p.put == nil:
			stays = true
		default:
			do := p.put(to)
			if fields[do.Ref] { // two guises of one thing say the same: the later is written by hand
				stays = true
				continue
			}
			fields[do.Ref] = true
			c.Do = append(c.Do, do)
		}
	}
	if len(c.Do) == 0 {
		return author.Change{}, errors.New("that text stands nowhere any more")
	}
	for _, language := range d.Project.Languages {
		w := d.Wording(language, of)
		if w == nil || w.Says == "" || stays || d.Wording(language, to) != nil {
			continue
		}
		ref := edit.Ref{Type: edit.TypeWording, ID: w.ID}
		c.Do = append(c.Do, edit.Set(ref, "of", to), edit.Set(ref, "unsure", true))
	}
	return c, nil
}

// Take has a wording of a text that stands nowhere any more be that of another one, to be looked at.
func Take(d *document.Document, id document.ID, to string) (author.Change, error) {
	w := d.Wordings.Get(id)
	if w == nil {
		return author.Change{}, errors.New("that wording is no longer there")
	}
	if now := d.Wording(w.Language, to); now != nil && now.Says != "" {
		return author.Change{}, fmt.Errorf("“%s” is said in %s already", shortened(to), w.Language)
	}
	ref := edit.Ref{Type: edit.TypeWording, ID: id}
	return changed(fmt.Sprintf("Took over “%s”", shortened(w.Says)), edit.Set(ref, "of", to), edit.Set(ref, "unsure", true)), nil
}

// Drop removes all wordings of texts that stand nowhere any more.
func Drop(d *document.Document) (author.Change, error) {
	c := changed("Removed wordings that nothing needs")
	for _, l := range Of(d).Lost {
		c.Do = append(c.Do, edit.Remove(edit.Ref{Type: edit.TypeWording, ID: l.ID}))
	}
	if len(c.Do) == 0 {
		return author.Change{}, errors.New("every wording is needed")
	}
	return c, nil
}

// tagged is what a language is called by, as it is written: its first part small.
func tagged(tag string) string {
	first, rest, more := strings.Cut(strings.TrimSpace(tag), "-")
	if more {
		return strings.ToLower(first) + "-" + rest
	}
	return strings.ToLower(first)
}

// WrittenIn says in which language the texts are written.
func WrittenIn(d *document.Document, tag string) (author.Change, error) {
	tag = tagged(tag)
	switch err := document.CheckLanguage(tag); {
	case err != nil:
		return author.Change{}, err
	case slices.Contains(d.Project.Languages, tag):
		return author.Change{}, fmt.Errorf("the texts are said in %s beside what is written: remove that language first", tag)
	case tag == d.Project.Language || tag == document.OwnLanguage && d.Project.Language == "":
		return author.Change{}, errors.New("the texts are written in that already")
	}
	return changed("The texts are written in "+tag, edit.Set(edit.Ref{Type: edit.TypeProject}, "language", tag)), nil
}

// AddLanguage has the project be read in another language as well.
func AddLanguage(d *document.Document, tag string) (author.Change, error) {
	tag = tagged(tag)
	own := d.Project.Language
	if own == "" {
		own = document.OwnLanguage
	}
	switch err := document.CheckLanguage(tag); {
	case err != nil:
		return author.Change{}, err
	case tag == own || slices.Contains(d.Project.Languages, tag):
		return author.Change{}, fmt.Errorf("the project has the language %s already", tag)
	case len(d.Project.Languages) >= document.MaxLanguages:
		return author.Change{}, fmt.Errorf("a project is said in at most %d languages", document.MaxLanguages)
	}
	return changed("Added the language "+tag, edit.Set(edit.Ref{Type: edit.TypeProject}, "languages", append(slices.Clone(d.Project.Languages), tag))), nil
}

// DropLanguage has the project not be read in a language any more; what was said in it is kept, for when it comes back.
func DropLanguage(d *document.Document, tag string) (author.Change, error) {
	if !slices.Contains(d.Project.Languages, tag) {
		return author.Change{}, fmt.Errorf("the project has no language %.40s", tag)
	}
	rest := slices.DeleteFunc(slices.Clone(d.Project.Languages), func(o string) bool { return o == tag })
	return changed("Removed the language "+tag, edit.Set(edit.Ref{Type: edit.TypeProject}, "languages", rest)), nil
}

// shortened is a text for labels.
func shortened(text string) string {
	text = strings.Join(strings.Fields(text), " ")
	if r := []rune(text); len(r) > 28 {
		return string(r[:27]) + "…"
	}
	return text
}
