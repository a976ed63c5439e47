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
	Place document.ID `json:"place"`
	// Asks tells that it asks for something, so that something can be done otherwise.
	Asks     bool          `json:"asks"`
	Names    []document.ID `json:"names"`
	Maps     []document.ID `json:"maps"`
	Sentence []rules.Said  `json:"sentence"`
}

func ruleTold(d *document.Document, r *document.Rule) ToldRule {
	told := ToldRule{r, rules.Place(r), len(r.In(document.SlotIf)) > 0, []document.ID{}, []document.ID{}, rules.Sentence(d, r)}
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
		"unwire": authored(func(d *document.Document, a struct {
			Rule document.ID  `json:"rule"`
			From document.End `json:"from"`
			To   document.End `json:"to"`
		}) (author.Change, error) {
			return author.Unwire(d, a.Rule, a.From, a.To)
		}),
		"wireChoices": with(func(s *Session, a struct {
			From document.End `json:"from"`
			To   document.End `json:"to"`
		}) ([]author.WireChoice, error) {
			return author.WireChoices(s.doc(), a.From, a.To)
		}),
		"wire": authored(func(d *document.Document, a struct {
			From document.End `json:"from"`
			To   document.End `json:"to"`
			Word string       `json:"word"`
			How  string       `json:"how"`
		}) (author.Change, error) {
			return author.Wire(d, a.From, a.To, a.Word, a.How)
		}),
		"addFlag": authored(func(_ *document.Document, a struct {
			Name string `json:"name"`
		}) (author.Change, error) {
			return author.AddFlag(a.Name)
		}),
	})
}
