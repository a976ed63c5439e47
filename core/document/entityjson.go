package document

import "strconv"

// plain reports whether a text stands in JSON as it is.
func plain(text string) bool {
	for i := range len(text) {
		if c := text[i]; c < ' ' || c > '~' || c == '"' || c == '\\' || c == '<' || c == '>' || c == '&' {
			return false
		}
	}
	return true
}

// EntityRoom is about how many bytes AppendJSON appends.
const EntityRoom = 192

// AppendJSON appends an entity as encoding/json writes it. It is not ok, and nothing is appended, where the entity is more than plain words and
// numbers: then encoding/json has to be asked, which takes some ten times as long.
func (e *Entity) AppendJSON(out []byte) (text []byte, ok bool) {
	if len(e.Values)+len(e.Points)+len(e.Variants)+len(e.Guises) > 0 || e.Turn != 0 {
		return out, false
	}
	for _, s := range [...]string{string(e.ID), string(e.Layer), e.Kind, e.Name, string(e.Facing), e.Group, e.Tint, string(e.Carrier), e.Memory} {
		if !plain(s) {
			return out, false
		}
	}
	word := func(before, value string) { out = append(append(append(out, before...), value...), '"') }
	number := func(before string, value int64) { out = strconv.AppendInt(append(out, before...), value, 10) }
	yes := func(value bool, then string) {
		if value {
			out = append(out, then...)
		}
	}
	word(`{"id":"`, string(e.ID))
	word(`,"layer":"`, string(e.Layer))
	word(`,"kind":"`, e.Kind)
	word(`,"name":"`, e.Name)
	number(`,"x":`, int64(e.X))
	number(`,"y":`, int64(e.Y))
	number(`,"w":`, int64(e.W))
	number(`,"h":`, int64(e.H))
	word(`,"facing":"`, string(e.Facing))
	number(`,"look":`, int64(e.Look))
	number(`,"lookOn":`, int64(e.LookOn))
	out = strconv.AppendBool(append(out, `,"on":`...), e.On)
	yes(e.Absent, `,"absent":true`)
	yes(e.Unseen, `,"unseen":true`)
	yes(e.Disabled, `,"disabled":true`)
	if e.Order != 0 {
		number(`,"order":`, int64(e.Order))
	}
	if e.Rank != 0 {
		number(`,"rank":`, int64(e.Rank))
	}
	yes(e.Locked, `,"locked":true`)
	yes(e.Hidden, `,"hidden":true`)
	if e.Group != "" {
		word(`,"group":"`, e.Group)
	}
	if e.Tint != "" {
		word(`,"tint":"`, e.Tint)
	}
	if e.Faint != 0 {
		number(`,"faint":`, int64(e.Faint))
	}
	if e.Carrier != "" {
		word(`,"carrier":"`, string(e.Carrier))
	}
	if e.Memory != "" {
		word(`,"memory":"`, e.Memory)
	}
	return append(out, '}'), true
}
