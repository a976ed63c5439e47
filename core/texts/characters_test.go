package texts_test

import (
	"azzel/core/texts"
	"testing"
)

func TestCharacters(t *testing.T) {
	all := texts.Characters(story(t))
	if len(all) != 1 || all[0].Name != "keeper" || all[0].Lines != 2 || all[0].Guises != 1 || all[0].On == "" {
		t.Errorf("they are %+v", all)
	}
}
