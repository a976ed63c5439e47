package format

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"errors"
	"strings"
)

// changedText is what a rule is to say that somebody rewrote as text.
type changedText struct {
	rule document.ID
	file string
	text string
}

// rule reads a rule. Its parts are as its JSON says, unless the text beside it is another one than it was when both were
// written: then it says what the text says.
func (r *reader) rule(o object, file string) error {
	of, ok := o["rule"].(object)
	if !ok {
		return errors.New("it has no “rule”")
	}
	was, _ := o["textIs"].(string)
	delete(o, "textIs")
	parts, _ := o["parts"].([]any)
	if err := distinct(parts, "parts"); err != nil {
		return err
	}
	path := strings.TrimSuffix(file, ".json") + ".txt"
	if data, there := r.files[path]; there {
		// an editor may have given the lines other ends
		text := strings.ReplaceAll(string(data), "\r\n", "\n")
		if fingerprint(text) != was {
			id, _ := of["id"].(string)
			r.texts = append(r.texts, changedText{document.ID(id), path, text})
		}
	}
	return r.add("rules", o, of, file)
}

// reword has rules say what their texts were changed to.
func (r *reader) reword(d *document.Document) (*document.Document, error) {
	for _, t := range r.texts {
		c, err := author.RewriteRule(d, nil, t.rule, t.text)
		if err != nil {
			return nil, &Fault{t.file, err}
		}
		if len(c.Do) > 0 {
			d = edit.Apply(d, &edit.Edit{Do: c.Do}).Doc
		}
	}
	return d, nil
}
