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
	Asks  bool          `json:"asks"`
	Names []document.ID `json:"names"`
	Maps  []document.ID `json:"maps"`
	// Kinds are those of which it concerns all.
	Kinds    []document.ID `json:"kinds"`
	Sentence []rules.Said  `json:"sentence"`
	// After is what will be so of what it does when one comes there again; empty for nothing.
	After string `json:"after"`
	// Lines are those of its card.
	Lines []rules.Line `json:"lines"`
	// speaks is what of others is named in it.
	speaks speaks
}

func ruleTold(d *document.Document, r *document.Rule) ToldRule {
	told := ToldRule{r, rules.Place(r), len(r.In(document.SlotIf)) > 0, []document.ID{}, []document.ID{}, []document.ID{}, rules.Sentence(d, r), rules.After(d, r), rules.Lines(d, r), speaks{}}
	for _, p := range r.InOrder() {
		for _, b := range p.Blanks {
			told.speaks.add(b)
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
	case document.TypeEntity, document.TypeWithin:
		r.Names = append(r.Names, o.ID)
	case document.TypeMap:
		m = o.ID
	case document.TypeKind:
		r.Kinds = append(r.Kinds, o.ID)
		return
	default:
		return
	}
	if !slices.Contains(r.Maps, m) {
		r.Maps = append(r.Maps, m)
	}
}

// sameRule reports whether of a rule the same would be told again.
func sameRule(old *document.Rule, was ToldRule, now *document.Rule, is ToldRule) bool {
	return old == now && was.After == is.After && slices.Equal(was.Sentence, is.Sentence) && slices.EqualFunc(was.Lines, is.Lines, func(a, b rules.Line) bool { return slices.Equal(a.Words, b.Words) })
}

// ReadText is what a text says of a rule: what is wrong with it, and its pieces as they are coloured.
type ReadText struct {
	Faults []rules.Fault `json:"faults"`
	Marks  []rules.Mark  `json:"marks"`
}

type ruleTextArgs struct {
	Rule document.ID `json:"rule"`
	Text string      `json:"text"`
}

func init() {
	if !designs {
		return
	}
	register(map[string]method{
		"ruleWords": with(func(s *Session, a struct {
			What string `json:"what"`
		}) ([]author.UsedWord, error) {
			return author.UsedWords(s.doc(), a.What), nil
		}),
		"renameWord": authored(func(d *document.Document, a struct {
			What string `json:"what"`
			From string `json:"from"`
			To   string `json:"to"`
		}) (author.Change, error) {
			return author.RenameWord(d, a.What, a.From, a.To)
		}),
		"partText": with(func(s *Session, a struct {
			Rule document.ID `json:"rule"`
			Part document.ID `json:"part"`
		}) (string, error) {
			return author.PartText(s.doc(), a.Rule, a.Part)
		}),
		"pasteParts": authored(func(d *document.Document, a struct {
			Rule   document.ID `json:"rule"`
			Behind document.ID `json:"behind"`
			Text   string      `json:"text"`
		}) (author.Change, error) {
			return author.PasteParts(d, a.Rule, a.Behind, a.Text)
		}),
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
		"ruleText": with(func(s *Session, a struct {
			Rule document.ID `json:"rule"`
		}) (string, error) {
			r := s.doc().Rules.Get(a.Rule)
			if r == nil {
				return "", nil
			}
			return rules.Print(s.doc(), r), nil
		}),
		"readText": with(func(s *Session, a struct {
			Text string `json:"text"`
		}) (ReadText, error) {
			_, faults := s.reader.Parse(s.doc(), a.Text)
			return ReadText{append([]rules.Fault{}, faults...), s.reader.Marks(a.Text)}, nil
		}),
		"textIndent": with(func(_ *Session, a struct {
			Text string `json:"text"`
		}) (int, error) {
			return rules.Indent(a.Text), nil
		}),
		"completions": with(func(s *Session, a struct {
			Text string `json:"text"`
			Line int    `json:"line"`
			At   int    `json:"at"`
		}) ([]rules.Completion, error) {
			return rules.Complete(s.doc(), a.Text, a.Line, a.At), nil
		}),
		"rewriteRule": with(func(s *Session, a ruleTextArgs) (Outcome, error) {
			c, err := author.RewriteRule(s.doc(), s.texts[a.Rule], a.Rule, a.Text)
			if err != nil {
				return Outcome{}, err
			}
			delete(s.texts, a.Rule)
			return s.make(c.Do, c.Label)
		}),
		// holdText remembers a rule as it is, when somebody begins to write its text
		"holdText": with(func(s *Session, a struct {
			Rule document.ID `json:"rule"`
		}) (bool, error) {
			if s.texts == nil {
				s.texts = map[document.ID]*document.Rule{}
			}
			s.texts[a.Rule] = s.doc().Rules.Get(a.Rule)
			return true, nil
		}),
		"draftRule": authored(func(d *document.Document, a ruleTextArgs) (author.Change, error) {
			return author.DraftRule(d, a.Rule, a.Text)
		}),
		"textRule": authored(func(d *document.Document, a struct {
			Text string `json:"text"`
		}) (author.Change, error) {
			return author.TextRule(d, a.Text)
		}),
		"bundles": with(func(s *Session, at document.End) ([]author.Bundle, error) {
			return author.Bundles(s.doc(), at), nil
		}),
		"makeBundle": authored(func(d *document.Document, a struct {
			Map    document.ID `json:"map"`
			Entity document.ID `json:"entity"`
			Key    string      `json:"key"`
		}) (author.Change, error) {
			return author.MakeBundle(d, document.End{Map: a.Map, Entity: a.Entity}, a.Key)
		}),
		"addCounter": authored(func(_ *document.Document, a struct {
			Name string `json:"name"`
		}) (author.Change, error) {
			return author.AddCounter(a.Name)
		}),
		"addFlag": authored(func(_ *document.Document, a struct {
			Name string `json:"name"`
		}) (author.Change, error) {
			return author.AddFlag(a.Name)
		}),
	})
}
