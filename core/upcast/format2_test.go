package upcast

import (
	"encoding/json"
	"testing"
)

// What format 1 wrote, and what it is now.
func TestFormat2(t *testing.T) {
	for _, c := range []struct{ name, was, want string }{
		{"a rule that is inserted", `{"op":"insert","ref":{"type":"rule","id":"r"},"value":{"id":"r","order":7,"when":{"on":"use","map":"m","entity":"e"},"if":[{"id":"a","flag":"f","is":true},{"id":"b","flag":"f","is":false}],"then":[{"id":"c","do":"open","map":"m","entity":"d"},{"id":"d","do":"set","flag":"f","to":true},{"id":"e","do":"set","flag":"f"},{"id":"f","do":"say","text":"Hi"}],"once":true,"note":"n"}}`,
			`{"content":{"entities":null,"layers":null,"parts":[` +
				`{"blanks":[{"key":"what","value":{"entity":"e","map":"m"}}],"id":"r","order":65536,"slot":"when","word":"use"},` +
				`{"blanks":[{"key":"what","value":{"flag":"f"}}],"id":"a","order":65536,"slot":"if","word":"isSet"},` +
				`{"blanks":[{"key":"what","value":{"flag":"f"}}],"id":"b","order":131072,"slot":"if","word":"isNotSet"},` +
				`{"blanks":[{"key":"what","value":{"entity":"d","map":"m"}}],"id":"c","order":65536,"slot":"then","word":"open"},` +
				`{"blanks":[{"key":"what","value":{"flag":"f"}}],"id":"d","order":131072,"slot":"then","word":"set"},` +
				`{"blanks":[{"key":"what","value":{"flag":"f"}}],"id":"e","order":196608,"slot":"then","word":"clear"},` +
				`{"blanks":[{"key":"text","value":"Hi"}],"id":"f","order":262144,"slot":"then","word":"say"}]},` +
				`"op":"insert","ref":{"id":"r","type":"rule"},"value":{"id":"r","note":"n","once":true,"order":7}}`},
		{"the happening of a rule", `{"op":"setBack","ref":{"type":"rule","id":"r"},"field":"when","value":{"on":"arrive","map":"m","entity":""},"wasValue":{"on":"take","map":"m","entity":"e"}}`,
			`{"field":"when","op":"setBack","ref":{"id":"r","type":"rule"},"value":[{"blanks":[{"key":"what","value":{"map":"m"}}],"id":"r","order":65536,"slot":"when","word":"arrive"}],` +
				`"wasValue":[{"blanks":[{"key":"what","value":{"entity":"e","map":"m"}}],"id":"r","order":65536,"slot":"when","word":"take"}]}`},
		{"no steps", `{"op":"set","ref":{"type":"rule","id":"r"},"field":"then","value":null}`, `{"field":"then","op":"set","ref":{"id":"r","type":"rule"},"value":[]}`},
		{"values of an entity", `{"op":"set","ref":{"type":"entity"},"field":"values","value":[{"name":"worked by","value":"a blow"},{"name":"after","value":"0.5"},{"name":"own","value":"x"}]}`,
			`{"field":"values","op":"set","ref":{"type":"entity"},"value":[{"key":"workedBy","value":"blow"},{"key":"after","value":"0.5"},{"key":"own","value":"x"}]}`},
		{"values of a map", `{"op":"insert","ref":{"type":"map"},"value":{"values":[{"name":"seen","value":"from the side"},{"name":"jump height","value":"4"}]}}`,
			`{"op":"insert","ref":{"type":"map"},"value":{"values":[{"key":"view","value":"side"},{"key":"jump","value":"4"}]}}`},
		{"a motif", `{"op":"insert","ref":{"type":"motif"},"value":{"entities":[{"values":[{"name":"used up","value":"yes"}]}]}}`,
			`{"op":"insert","ref":{"type":"motif"},"value":{"entities":[{"values":[{"key":"usedUp","value":"yes"}]}]}}`},
		{"settings of all maps", `{"op":"set","ref":{"type":"project"},"field":"mapProperties","value":[{"name":"mood","type":"choice","default":"dim","choices":["dim","dark"],"unit":"","help":"","least":0,"most":0,"handle":""}]}`,
			`{"field":"mapProperties","op":"set","ref":{"type":"project"},"value":[{"choices":[{"key":"dim","name":"dim"},{"key":"dark","name":"dark"}],"default":"dim","handle":"","help":"","key":"mood","least":0,"most":0,"name":"mood","type":"choice","unit":""}]}`},
		{"a name of all", `{"op":"set","ref":{"type":"project"},"field":"name","value":"Salt"}`, `{"field":"name","op":"set","ref":{"type":"project"},"value":"Salt"}`},
		// of an own kind's settings those that were copied from a built-in one go
		{"an own kind", `{"op":"insert","ref":{"type":"kind"},"value":{"id":"k","of":"switch","moves":false,"taken":false,"veiled":true,"solid":true,"settings":[` +
			`{"name":"worked by","type":"choice","default":"use","choices":["use","stepping on it","weight on it","a blow"],"unit":"","help":"What works it","least":0,"most":0,"handle":""},` +
			`{"name":"goes back","type":"choice","default":"after a while","choices":["never","when left","after a while"],"unit":"","help":"When it goes back by itself","least":0,"most":0,"handle":""}]}}`,
			`{"op":"insert","ref":{"type":"kind"},"value":{"id":"k","of":"switch","settings":[` +
				`{"choices":[{"key":"never","name":"never"},{"key":"whenLeft","name":"when left"},{"key":"afterAWhile","name":"after a while"}],"default":"afterAWhile","handle":"","help":"When it goes back by itself","key":"goesBack","least":0,"most":0,"name":"goes back","type":"choice","unit":""}],"solid":true}}`},
		{"a kind's look", `{"op":"set","ref":{"type":"kind"},"field":"solid","value":true}`, `{"field":"solid","op":"set","ref":{"type":"kind"},"value":true}`},
	} {
		got, err := Steps([]byte("["+c.was+"]"), 1)
		if err != nil {
			t.Errorf("%s: %v", c.name, err)
			continue
		}
		var all []json.RawMessage
		if err := json.Unmarshal(got, &all); err != nil || string(all[0]) != c.want {
			t.Errorf("%s became\n%s, wanted\n%s", c.name, all[0], c.want)
		}
	}
	got, err := Head([]byte(`{"rules":[{"id":"r","order":1,"when":{"on":"arrive","map":"m","entity":""},"if":[],"then":[],"once":false,"note":""}]}`), 1)
	const want = `{"rules":[{"parts":[{"blanks":[{"key":"what","value":{"map":"m"}}],"id":"r","order":65536,"slot":"when","word":"arrive"}],"rule":{"id":"r","note":"","once":false,"order":1}}]}`
	if err != nil || string(got) != want {
		t.Errorf("a state became\n%s, %v", got, err)
	}
}

// No JSON that calls itself format 1 is more than an upcaster takes.
func FuzzFormat2(f *testing.F) {
	f.Add([]byte(`[{"op":"insert","ref":{"type":"rule","id":"r"},"value":{"when":7,"if":[7],"then":{"a":1}}}]`))
	f.Add([]byte(`[{"op":"set","ref":{"type":"rule"},"field":"then","value":[{"do":7,"text":[]}]},{"ref":7},7,{"op":"set","ref":{"type":"kind"},"field":"settings","value":[7,{"choices":7}]}]`))
	f.Add([]byte(`[{"ref":{"type":"motif"},"value":{"entities":[7,{"values":{}}]}},{"ref":{"type":"entity"},"value":{"values":[7,{"name":7}]}}]`))
	f.Fuzz(func(t *testing.T, data []byte) {
		if out, err := Steps(data, 1); err == nil && !json.Valid(out) {
			t.Errorf("%s became %s", data, out)
		}
		if out, err := Head(data, 1); err == nil && !json.Valid(out) {
			t.Errorf("%s became %s", data, out)
		}
	})
}
