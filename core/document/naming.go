package document

import (
	"azzel/core/kind"
	"encoding/json"
	"strings"
)

// Named is what a blank names: an object that is one of the project's, all of a kind, or what woke the
// rule. Its type is told by what it says.
func Named(d kind.Datum) (Object, bool) {
	if o, ok := namedPlainly(string(d)); ok {
		return o, true
	}
	var n struct {
		Map     ID   `json:"map"`
		Entity  ID   `json:"entity"`
		Flag    ID   `json:"flag"`
		Counter ID   `json:"counter"`
		Kind    ID   `json:"kind"`
		Layer   ID   `json:"layer"`
		Tag     ID   `json:"tag"`
		Within  ID   `json:"within"`
		Sound   ID   `json:"sound"`
		It      bool `json:"it"`
		Hero    bool `json:"hero"`
		Who     bool `json:"who"`
	}
	if d == "" || d[0] != '{' || json.Unmarshal([]byte(d), &n) != nil {
		return Object{}, false
	}
	switch {
	case n.Flag != "":
		return Object{Type: TypeFlag, ID: n.Flag}, true
	case n.Counter != "":
		return Object{Type: TypeCounter, ID: n.Counter}, true
	case n.Sound != "":
		return Object{Type: TypeSound, ID: n.Sound}, true
	case n.Entity != "":
		return Object{Type: TypeEntity, Map: n.Map, ID: n.Entity}, true
	case n.Layer != "":
		return Object{Type: TypeLayer, Map: n.Map, ID: n.Layer}, true
	case n.Within != "":
		return Object{Type: TypeWithin, Map: n.Map, ID: n.Within}, true
	case n.Tag != "":
		return Object{Type: TypeTag, ID: n.Tag}, true
	case n.Map != "":
		return Object{Type: TypeMap, ID: n.Map}, true
	case n.Kind != "":
		return Object{Type: TypeKind, ID: n.Kind}, true
	case n.It:
		return Object{Type: TypeIt}, true
	case n.Hero:
		return Object{Type: TypeHero}, true
	case n.Who:
		return Object{Type: TypeWho}, true
	}
	return Object{}, false
}

// namedPlainly reads what Naming writes, without a reader of JSON; false for all else.
func namedPlainly(d string) (o Object, ok bool) {
	if len(d) < 2 || d[0] != '{' || d[len(d)-1] != '}' {
		return o, false
	}
	first, second, two := strings.Cut(d[1:len(d)-1], ",")
	key, id, ok := plainField(first)
	if !ok {
		return o, false
	}
	o = Object{Type: key, ID: id}
	if two {
		other, on, ok := plainField(second)
		switch {
		case !ok:
			return o, false
		case key == "map" && other == TypeWithin:
			o = Object{Type: TypeWithin, Map: id, ID: on}
		case other == "map" && (key == TypeEntity || key == TypeLayer):
			o.Map = on
		default:
			return o, false
		}
		return o, true
	}
	switch key {
	case TypeFlag, TypeCounter, TypeMap, TypeKind, TypeSound:
		return o, true
	}
	return o, false
}

// plainField reads a name and an id, each in quotes.
func plainField(text string) (name string, id ID, ok bool) {
	name, value, ok := strings.Cut(text, `":"`)
	if !ok || len(name) < 2 || name[0] != '"' || len(value) < 2 || value[len(value)-1] != '"' {
		return "", "", false
	}
	id = ID(value[:len(value)-1])
	return name[1:], id, id.Valid()
}

// Naming is the value of a blank that names an object.
func Naming(o Object) kind.Datum {
	switch plain := o.ID.Valid(); {
	case plain && (o.Type == TypeEntity || o.Type == TypeLayer || o.Type == TypeWithin) && o.Map.Valid():
		if o.Type == TypeWithin {
			return kind.Datum(`{"map":"` + string(o.Map) + `","within":"` + string(o.ID) + `"}`)
		}
		return kind.Datum(`{"` + o.Type + `":"` + string(o.ID) + `","map":"` + string(o.Map) + `"}`)
	case plain && (o.Type == TypeMap || o.Type == TypeFlag || o.Type == TypeCounter || o.Type == TypeKind || o.Type == TypeSound):
		return kind.Datum(`{"` + o.Type + `":"` + string(o.ID) + `"}`)
	}
	switch o.Type {
	case TypeEntity, TypeLayer, TypeWithin:
		return kind.Of(map[string]ID{"map": o.Map, o.Type: o.ID})
	case TypeMap, TypeFlag, TypeCounter, TypeKind, TypeTag, TypeSound:
		return kind.Of(map[string]ID{o.Type: o.ID})
	case TypeIt, TypeHero, TypeWho:
		return kind.Of(map[string]bool{o.Type: true})
	}
	return ""
}
