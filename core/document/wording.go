package document

import (
	"fmt"
	"regexp"
	"slices"
	"unicode/utf8"
)

// Wording is what a text that the player reads is in another language.
type Wording struct {
	ID ID `json:"id"`
	// Language is the language that it is in, Of the text that it is of, as it stands in the project.
	Language string `json:"language"`
	Of       string `json:"of"`
	Says     string `json:"says"`
	// Unsure tells that the text was changed since.
	Unsure bool `json:"unsure,omitempty"`
}

// OwnLanguage is what the texts of a project are written in where it says nothing else.
const OwnLanguage = "en"

// Limits of languages and of what is said in them.
const (
	MaxLanguages = 24
	MaxWordings  = 100_000
)

// language is what languages are called by (BCP 47: a language, and perhaps a script, a region and variants).
var language = regexp.MustCompile(`^[a-z]{2,3}(-[A-Za-z0-9]{2,8}){0,3}$`)

// CheckLanguage finds what is wrong with what a language is called by.
func CheckLanguage(tag string) error {
	if !language.MatchString(tag) {
		return fmt.Errorf("“%.40s” is no language: give its short name, as de or pt-BR", tag)
	}
	return nil
}

// Check finds what is wrong with a wording.
func (w *Wording) Check() error {
	if n := max(utf8.RuneCountInString(w.Of), utf8.RuneCountInString(w.Says)); w.Of == "" || n > MaxText {
		return fmt.Errorf("a text has 1 to %d characters", MaxText)
	}
	return first(checkID("the wording", w.ID), CheckLanguage(w.Language))
}

func (p *Project) checkLanguages() error {
	all := slices.Clone(p.Languages)
	if p.Language != "" {
		all = append(all, p.Language)
	}
	for i, tag := range all {
		if err := CheckLanguage(tag); err != nil {
			return err
		}
		if slices.Contains(all[:i], tag) {
			return fmt.Errorf("the project has the language %s already", tag)
		}
	}
	return checkRange("how many languages there are", len(p.Languages), 0, MaxLanguages)
}

// inLanguage is a text in a language.
type inLanguage struct{ language, of string }

// Wording is what a text is in a language, nil where nobody has said it yet. Of two the one with the higher id counts.
func (d *Document) Wording(language, of string) *Wording {
	all := d.Wordings.Derived(func() any {
		out := map[inLanguage]*Wording{}
		for _, w := range d.Wordings.All() {
			out[inLanguage{w.Language, w.Of}] = w
		}
		return out
	}).(map[inLanguage]*Wording)
	return all[inLanguage{language, of}]
}

// Says is a text in a language; as it stands where it is not said in that.
func (d *Document) Says(language, text string) string {
	if language == "" || text == "" {
		return text
	}
	if w := d.Wording(language, text); w != nil && w.Says != "" {
		return w.Says
	}
	return text
}
