package upcast

import (
	_ "embed"
	"encoding/json"
	"strings"
)

// Format 2 calls settings by keys and not by the words that are shown, keeps of an own
// kind only its own settings, and makes of what a rule says parts of their own.
// Values stay the strings that they were: such are read as what a person wrote.
var format2 = change{whole: whole2, field: field2, step: step2, head: head2}

//go:embed settings-1.jsonl
var copied1 string

// copied are the settings of built-in kinds as format 1 copied them into own kinds.
var copied = copies()

func copies() map[string]bool {
	out := map[string]bool{}
	for _, line := range strings.Split(strings.TrimSpace(copied1), "\n") {
		out[canonical(line)] = true
	}
	return out
}

// canonical is JSON with its keys sorted.
func canonical(text string) string {
	var v any
	if read([]byte(text), &v) != nil {
		return ""
	}
	out, err := json.Marshal(v)
	if err != nil {
		return ""
	}
	return string(out)
}

// keys are those of settings of kinds that were called otherwise, and of maps.
var keys2 = map[string]string{
	"counts as": "countsAs", "used up": "usedUp", "a second": "perSecond", "shot speed": "shotSpeed", "worked by": "workedBy",
	"goes back": "goesBack", "closes again": "closesAgain", "comes back after": "comesBackAfter", "at once": "atOnce", "in all": "inAll",
	"on for": "onFor", "off for": "offFor", "a turn takes": "turnTakes",
}

var mapKeys2 = map[string]string{
	"seen": "view", "jump height": "jump", "run speed": "run", "screen width": "screenWidth", "screen height": "screenHeight",
	"camera ends": "cameraEnds", "camera right by": "cameraRight", "camera down by": "cameraDown", "sight remembers": "sightRemembers",
	"wind force": "windForce", "when it is entered again": "enteredAgain",
}

// choices2 are the keys of words that could be chosen, by the setting's key.
var choices2 = map[string]map[string]string{
	"seeing":   {"goes on": "goesOn"},
	"does":     {"looks around": "looksAround", "lets swim": "swims"},
	"aims":     {"at the hero": "atHero", "all around": "allAround"},
	"workedBy": {"stepping on it": "step", "weight on it": "weight", "a blow": "blow"},
	"goesBack": {"when left": "whenLeft", "after a while": "afterAWhile"},
	"goes":     {"there and back": "thereAndBack"},
	"turns":    {"to the right": "right", "to the left": "left", "to and fro": "toAndFro"},
	"notices":  {"the hero": "hero"},
}

var mapChoices2 = map[string]map[string]string{
	"view":         {"from above": "above", "from the side": "side"},
	"camera":       {"follows the hero": "follows", "shows all of the map": "whole", "screen by screen": "screens"},
	"cameraEnds":   {"at the map's edges": "edges"},
	"air":          {"slow fall": "slowFall"},
	"enteredAgain": {"remembers what happened": "remembers", "starts afresh": "afresh"},
}

func renamed(keys map[string]string, name string) string {
	if key, ok := keys[name]; ok {
		return key
	}
	return name
}

// values2 calls values by keys.
func values2(list any, keys map[string]string, choices map[string]map[string]string) {
	all, _ := list.([]any)
	for _, one := range all {
		o, ok := one.(object)
		if !ok {
			continue
		}
		name, _ := o["name"].(string)
		word, _ := o["value"].(string)
		delete(o, "name")
		o["key"] = renamed(keys, name)
		o["value"] = renamed(choices[renamed(keys, name)], word)
	}
}

// settings2 leaves out what was copied from a built-in kind, and gives the rest keys.
func settings2(list any, keys map[string]string, choices map[string]map[string]string) any {
	all, _ := list.([]any)
	out := []any{}
	for _, one := range all {
		o, ok := one.(object)
		if !ok {
			continue
		}
		if text, err := json.Marshal(o); err == nil && copied[string(text)] {
			continue
		}
		name, _ := o["name"].(string)
		key := renamed(keys, name)
		o["key"] = key
		word, _ := o["default"].(string)
		o["default"] = renamed(choices[key], word)
		var words []any
		for _, c := range list2(o["choices"]) {
			word, _ := c.(string)
			words = append(words, object{"key": renamed(choices[key], word), "name": word})
		}
		delete(o, "choices")
		if words != nil {
			o["choices"] = words
		}
		out = append(out, o)
	}
	return out
}

func list2(v any) []any {
	all, _ := v.([]any)
	return all
}

func whole2(typ string, o object) {
	switch typ {
	case "entity":
		values2(o["values"], keys2, choices2)
	case "map":
		values2(o["values"], mapKeys2, mapChoices2)
	case "motif":
		for _, e := range list2(o["entities"]) {
			if e, ok := e.(object); ok {
				whole2("entity", e)
			}
		}
	case "project":
		values2(o["mapValues"], mapKeys2, mapChoices2)
		if list, ok := o["mapProperties"]; ok {
			o["mapProperties"] = settings2(list, mapKeys2, mapChoices2)
		}
	case "kind":
		delete(o, "moves")
		delete(o, "taken")
		delete(o, "veiled")
		o["settings"] = settings2(o["settings"], keys2, choices2)
	}
}

func field2(typ, name string, value any) (string, any) {
	o := object{name: value}
	if typ == "kind" && name != "settings" {
		return name, value
	}
	whole2(typ, o)
	return name, o[name]
}

// step2 makes of a rule that is inserted the rule and its parts.
func step2(p object) {
	if ref, _ := p["ref"].(object); ref["type"] != "rule" {
		return
	}
	ref := p["ref"].(object)
	if field, ok := p["field"].(string); ok {
		for _, key := range []string{"value", "wasValue"} {
			if v, there := p[key]; there {
				p[key] = slot2(field, v, ref["id"])
			}
		}
		return
	}
	for _, key := range []string{"value", "wasValue"} {
		if o, ok := p[key].(object); ok {
			p["content"] = object{"layers": nil, "entities": nil, "parts": parts2(o)}
		}
	}
}

// parts2 takes out of a rule what it says.
func parts2(rule object) []any {
	var out []any
	for _, slot := range []string{"when", "if", "then"} {
		if parts, ok := slot2(slot, rule[slot], rule["id"]).([]any); ok {
			out = append(out, parts...)
		}
		delete(rule, slot)
	}
	return out
}

// slot2 makes parts of what stands in a slot; other fields stay. The happening, which
// had no id, gets that of its rule.
func slot2(slot string, value, id any) any {
	switch slot {
	case "when":
		w, _ := value.(object)
		named := object{"map": w["map"]}
		if e, ok := w["entity"].(string); ok && e != "" {
			named["entity"] = e
		}
		return []any{part2(id, slot, 1, w["on"], "what", named)}
	case "if", "then":
		out := []any{}
		for i, one := range list2(value) {
			if o, ok := one.(object); ok {
				out = append(out, said2(slot, i+1, o))
			}
		}
		return out
	}
	return value
}

func said2(slot string, place int, o object) any {
	flag := object{"flag": o["flag"]}
	switch {
	case slot == "if" && o["is"] == true:
		return part2(o["id"], slot, place, "isSet", "what", flag)
	case slot == "if":
		return part2(o["id"], slot, place, "isNotSet", "what", flag)
	case o["do"] == "set" && o["to"] == true:
		return part2(o["id"], slot, place, "set", "what", flag)
	case o["do"] == "set":
		return part2(o["id"], slot, place, "clear", "what", flag)
	case o["do"] == "say":
		text, _ := o["text"].(string)
		return part2(o["id"], slot, place, "say", "text", text)
	}
	return part2(o["id"], slot, place, o["do"], "what", object{"map": o["map"], "entity": o["entity"]})
}

func part2(id any, slot string, place int, word any, key string, value any) any {
	return object{"id": id, "slot": slot, "order": place << 16, "word": word, "blanks": []any{object{"key": key, "value": value}}}
}

func head2(h object) {
	var out []any
	for _, one := range list2(h["rules"]) {
		if o, ok := one.(object); ok {
			parts := parts2(o)
			out = append(out, object{"rule": o, "parts": parts})
		}
	}
	h["rules"] = out
}
