package document_test

import (
	"azzel/core/document"
	"strings"
	"testing"
)

func TestPropertyValuesFitTheirTypes(t *testing.T) {
	choice := []string{"dry", "wet"}
	for _, c := range []struct {
		kind string
		good []string
		bad  []string
	}{
		{document.PropertyText, []string{"", "a word", "<b>"}, []string{strings.Repeat("x", 501), "\xff"}},
		{document.PropertyNumber, []string{"0", "-12", "3.25"}, []string{"", "1e9", "--1", "1.", "ten"}},
		{document.PropertyYesNo, []string{"yes", "no"}, []string{"true", ""}},
		{document.PropertyColour, []string{"#00ff7f"}, []string{"red", "#FFF"}},
		{document.PropertyChoice, choice, []string{"damp", ""}},
		{document.PropertyFile, []string{"wave.ogg"}, nil},
		{document.PropertyEntity, []string{"Sluice wheel"}, nil},
	} {
		p := document.Property{Name: "P", Type: c.kind}
		if c.kind == document.PropertyChoice {
			p.Choices = choice
		}
		for _, v := range c.good {
			if err := p.Fits(v); err != nil {
				t.Errorf("%s does not take %q: %v", c.kind, v, err)
			}
		}
		for _, v := range c.bad {
			if p.Fits(v) == nil {
				t.Errorf("%s takes %q", c.kind, v)
			}
		}
	}
	zone := document.Zone{ID: "zonezonezone", Name: "Bog", Number: 3, Is: "own", Hatch: "dots", Colour: "#102030"}
	for name, props := range map[string][]document.Property{
		"twice":      {{Name: "A", Type: "text"}, {Name: "a", Type: "text"}},
		"no name":    {{Type: "text"}},
		"no type":    {{Name: "A", Type: "sound"}},
		"no choices": {{Name: "A", Type: "choice"}},
		"default":    {{Name: "A", Type: "number", Default: "x"}},
		"too many":   make([]document.Property, 65),
	} {
		zone.Properties = props
		if zone.Check() == nil {
			t.Errorf("%s was taken", name)
		}
	}
	zone.Properties = []document.Property{{Name: "Depth", Type: "number", Default: "2"}}
	if err := zone.Check(); err != nil {
		t.Error(err)
	}
}
