package session

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/rules"
	"slices"
)

// ToldRule is a rule as it is read.
type ToldRule struct {
	*document.Rule
	// Place is the map that it is about, empty for none; Names and Maps are the entities
	// and the maps of which it speaks.
	Place    document.ID   `json:"place"`
	Names    []document.ID `json:"names"`
	Maps     []document.ID `json:"maps"`
	Sentence []rules.Said  `json:"sentence"`
}

func ruleTold(d *document.Document, r *document.Rule) ToldRule {
	told := ToldRule{r, rules.Place(r), []document.ID{}, []document.ID{}, rules.Sentence(d, r)}
	for _, p := range r.InOrder() {
		for _, b := range p.Blanks {
			if o, ok := document.Named(b.Value); ok {
				told.mention(o)
			}
		}
	}
	return told
}

// mention adds what a blank of the rule names.
func (r *ToldRule) mention(o document.Object) {
	m := o.Map
	switch o.Type {
	case document.TypeEntity:
		r.Names = append(r.Names, o.ID)
	case document.TypeMap:
		m = o.ID
	default:
		return
	}
	if !slices.Contains(r.Maps, m) {
		r.Maps = append(r.Maps, m)
	}
}

// sameRule reports whether of a rule the same would be told again.
func sameRule(old *document.Rule, was ToldRule, now *document.Rule, is ToldRule) bool {
	return old == now && slices.Equal(was.Sentence, is.Sentence)
}

func init() {
	register(map[string]method{
		"startRule":  authored(author.StartRule),
		"changeRule": authored(author.ChangeRule),
		"ruleChoices": with(func(s *Session, a struct {
			Rule  document.ID `json:"rule"`
			Part  document.ID `json:"part"`
			Blank string      `json:"blank"`
		}) ([]rules.Choice, error) {
			r := s.doc().Rules.Get(a.Rule)
			if r == nil {
				return []rules.Choice{}, nil
			}
			return rules.Choices(s.doc(), r, a.Part, a.Blank), nil
		}),
		"wire": authored(func(d *document.Document, a struct {
			From document.End `json:"from"`
			To   document.End `json:"to"`
		}) (author.Change, error) {
			return author.Wire(d, a.From, a.To)
		}),
		"addFlag": authored(func(_ *document.Document, a struct {
			Name string `json:"name"`
		}) (author.Change, error) {
			return author.AddFlag(a.Name)
		}),
	})
}
