package ask_test

import (
	"azzel/core/ask"
	"azzel/core/document"
	"azzel/core/sample"
	"fmt"
	"testing"
)

// A thing is joined to what wakes the rules that change it and to what they do that need it; a flag joins those who set it
// with what comes of it.
func TestLinks(t *testing.T) {
	d := asked(t)
	end := func(id document.ID) document.End { return document.End{Map: sample.Quay, Entity: id} }
	for _, c := range []struct {
		name string
		of   document.Object
		want []ask.Link
	}{
		{"a door", document.Object{Type: document.TypeEntity, Map: sample.Quay, ID: sample.Door}, []ask.Link{{From: end(sample.Switch), To: end(sample.Door)}, {From: end("brasskeybras"), To: end(sample.Door)}}},
		{"a switch", document.Object{Type: document.TypeEntity, Map: sample.Quay, ID: sample.Switch}, []ask.Link{{From: end(sample.Switch), To: end(sample.Door)}}},
		{"a flag", document.Object{Type: document.TypeFlag, ID: sample.Lit}, []ask.Link{{From: end(sample.Switch), To: end(sample.Door)}}},
		{"a flag that nothing sets", document.Object{Type: document.TypeFlag, ID: sample.DrawnFlag}, []ask.Link{}},
		{"nothing", document.Object{Type: document.TypeEntity, Map: sample.Quay, ID: "nothingnothi"}, []ask.Link{}},
	} {
		if got := ask.About(d, c.of, nil).Links; fmt.Sprint(got) != fmt.Sprint(c.want) {
			t.Errorf("%s: %v and not %v", c.name, got, c.want)
		}
	}
}
