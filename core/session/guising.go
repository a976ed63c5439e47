package session

import (
	"azzel/core/author"
	"azzel/core/document"
)

// wearer is an entity, or a kind, that has guises.
type wearer struct {
	Map    document.ID `json:"map"`
	Entity document.ID `json:"entity"`
	Kind   document.ID `json:"kind"`
}

func (a wearer) at() document.Object {
	if a.Kind != "" {
		return document.Object{Type: document.TypeKind, ID: a.Kind}
	}
	return document.Object{Type: document.TypeEntity, Map: a.Map, ID: a.Entity}
}

// guiseArgs are who has guises, and two of them, 0 being the first; or one.
type guiseArgs struct {
	wearer
	From int `json:"from"`
	To   int `json:"to"`
}

// guiseChange is a guise as it is to be.
type guiseChange struct {
	wearer
	Guise document.Guise `json:"guise"`
}

func init() {
	if !designs {
		return
	}
	register(map[string]method{
		"addGuise": authored(func(d *document.Document, a wearer) (author.Change, error) {
			return author.AddGuise(d, a.at())
		}),
		"changeGuise": authored(func(d *document.Document, a guiseChange) (author.Change, error) {
			return author.ChangeGuise(d, a.at(), a.Guise)
		}),
		"removeGuise": authored(func(d *document.Document, a guiseArgs) (author.Change, error) {
			return author.RemoveGuise(d, a.at(), a.From)
		}),
		"addGuiseWay": authored(func(d *document.Document, a guiseArgs) (author.Change, error) {
			return author.AddGuiseWay(d, a.at(), a.From, a.To)
		}),
		"guiseWays": with(func(s *Session, a wearer) ([]author.GuiseWay, error) {
			return author.GuiseWays(s.doc(), a.at())
		}),
	})
}
