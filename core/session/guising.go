package session

import (
	"azzel/core/author"
	"azzel/core/document"
	"errors"
)

// guiseArgs are an entity and two of its guises, 0 being the first; or one.
type guiseArgs struct {
	Map    document.ID `json:"map"`
	Entity document.ID `json:"entity"`
	From   int         `json:"from"`
	To     int         `json:"to"`
}

func (a guiseArgs) at() document.End { return document.End{Map: a.Map, Entity: a.Entity} }

func init() {
	register(map[string]method{
		"addGuise": authored(func(d *document.Document, a document.End) (author.Change, error) {
			return onMap(d, a.Map, func(m *document.Map) (author.Change, error) { return author.AddGuise(m, a.Entity) })
		}),
		"removeGuise": authored(func(d *document.Document, a guiseArgs) (author.Change, error) {
			return author.RemoveGuise(d, a.at(), a.From)
		}),
		"addGuiseWay": authored(func(d *document.Document, a guiseArgs) (author.Change, error) {
			return author.AddGuiseWay(d, a.at(), a.From, a.To)
		}),
		"guiseWays": with(func(s *Session, a document.End) ([]author.GuiseWay, error) {
			if s.doc().Entity(a.Map, a.Entity) == nil {
				return nil, errors.New("the entity is no longer there")
			}
			return author.GuiseWays(s.doc(), a), nil
		}),
	})
}
