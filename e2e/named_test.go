package e2e

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/sample"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// What is made is named at once: the name of a new counter waits to be written, and Enter does not make another one; so does the text of a
// rule that is asked for. The page itself is no text that could be selected.
func TestWhatIsMadeIsWrittenAtOnce(t *testing.T) {
	k := world(t).open()
	k.pressIn("nav button", "Rules")
	k.pressIn("aside button", "New counter")
	must(t, k.page.InsertText("Beaten"))
	k.keys(input.Enter)
	k.stored(func(d *document.Document) error {
		names := ""
		for _, c := range d.CountersByName() {
			names += c.Name + " "
		}
		return want("counters", names, "Beaten ")
	})
	k.with(input.ControlLeft, input.KeyA)
	if s := k.eval(`() => getSelection().toString()`); s != "" {
		t.Errorf("selected is %q", s)
	}
	k.pressIn("main button", "New rule")
	k.pressIn("[data-testid=rule] button", "Write it as text")
	k.see("[data-testid=rule-text]", "")
	within(t, soon, func() error {
		return want("where one writes", k.eval(`() => String(!!document.activeElement.shadowRoot?.activeElement?.matches('.cm-content'))`), "true")
	})
	k.with(input.ControlLeft, input.End)
	k.keys(input.ArrowUp, input.End, input.Enter)
	k.types("add 1 to Beaten")
	k.ruleIs("when\n\ta new game begins\nthen\n\tadd 1 to Beaten\n")
}

// What is held is told by its name of now: also when its tileset got another one meanwhile, or was gone and is back.
func TestWhatIsHeldIsToldByItsNameOfNow(t *testing.T) {
	r := world(t)
	k := r.open()
	k.holdTile(5)
	r.append(edit.Set(edit.Ref{Type: edit.TypeTileset, ID: sample.Coast}, "name", "Shore"))
	k.see("[data-testid=hand]", "tile 5 of Shore")
}
