package e2e

import (
	"azzel/core/document"
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
