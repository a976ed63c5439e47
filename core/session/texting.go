package session

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/texts"
)

type languageArgs struct {
	Language string `json:"language"`
}

func init() {
	if !designs {
		return
	}
	register(map[string]method{
		"texts":      with(func(s *Session, want texts.Wanted) (texts.List, error) { return texts.Find(s.doc(), want), nil }),
		"characters": with(func(s *Session, _ none) ([]texts.Character, error) { return texts.Characters(s.doc()), nil }),
		"wordText": authored(func(d *document.Document, a struct {
			Language string `json:"language"`
			Of       string `json:"of"`
			Says     string `json:"says"`
		}) (author.Change, error) {
			return texts.Word(d, a.Language, a.Of, a.Says)
		}),
		"rewriteText": authored(func(d *document.Document, a struct {
			Of string `json:"of"`
			To string `json:"to"`
		}) (author.Change, error) {
			return texts.Rewrite(d, a.Of, a.To)
		}),
		"takeWording": authored(func(d *document.Document, a struct {
			ID document.ID `json:"id"`
			To string      `json:"to"`
		}) (author.Change, error) {
			return texts.Take(d, a.ID, a.To)
		}),
		"textsAsPO": with(func(s *Session, a languageArgs) (string, error) {
			data, err := texts.PO(s.doc(), a.Language)
			return string(data), err
		}),
		"takePO": authored(func(d *document.Document, a struct {
			Text string `json:"text"`
		}) (author.Change, error) {
			return texts.TakePO(d, []byte(a.Text))
		}),
		"dropWordings": authored(func(d *document.Document, _ struct{}) (author.Change, error) { return texts.Drop(d) }),
		"addLanguage": authored(func(d *document.Document, a languageArgs) (author.Change, error) {
			return texts.AddLanguage(d, a.Language)
		}),
		"writtenIn": authored(func(d *document.Document, a languageArgs) (author.Change, error) {
			return texts.WrittenIn(d, a.Language)
		}),
		"dropLanguage": authored(func(d *document.Document, a languageArgs) (author.Change, error) {
			return texts.DropLanguage(d, a.Language)
		}),
	})
}
