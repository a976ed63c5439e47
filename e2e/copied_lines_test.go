package e2e

import (
	"azzel/core/document"
	"azzel/core/rules"
	"azzel/core/sample"
	"fmt"
	"strings"
	"testing"
)

// A line of a rule is copied, and pasted behind a line of another one, with all that stands in it.
func TestLinesBetweenRules(t *testing.T) {
	r := world(t)
	k := r.open()
	k.grantClipboard()
	k.press("Rules")
	for _, text := range []string{"when\n\ta new game begins\nthen\n\task \"Well?\"\n\t\tanswer \"Yes\"\n\t\t\tset Lit\n\t\tanswer \"No\"\n", "when\n\tthe hero arrives on Quay\nthen\n\tclear Lit\n\tset Lit\n"} {
		k.eval(`(text) => navigator.clipboard.writeText(text)`, text)
		k.press("Paste a rule")
		k.see("[data-testid=rule]", strings.Fields(text)[1])
	}
	k.menu("[data-line]", "Well?", "Copy this line")
	k.notice("Copied the line")
	k.menu("[data-line]", "clear", "Paste below")
	k.stored(func(d *document.Document) error {
		for _, rule := range d.RulesInOrder() {
			if rule.In(document.SlotWhen)[0].Word == rules.WordArrive {
				if is := rules.Print(d, rule); is != "when\n\tthe hero arrives on Quay\nthen\n\tclear Lit\n\task \"Well?\"\n\t\tanswer \"Yes\"\n\t\t\tset Lit\n\t\tanswer \"No\"\n\tset Lit\n" {
					return fmt.Errorf("the rule is %q", is)
				}
				return nil
			}
		}
		return fmt.Errorf("there is no such rule of %s", sample.Quay)
	})
}
