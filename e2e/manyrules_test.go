package e2e

import (
	"azzel/core/author"
	"azzel/core/edit"
	"azzel/core/sample"
	"errors"
	"fmt"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// Of hundreds of rules only those are made that one comes near to: by scrolling, by looking for one, by going to one.
func TestHundredsOfRules(t *testing.T) {
	d := sample.World()
	var do []edit.Primitive
	for i := range 400 {
		c, err := author.TextRule(d, fmt.Sprintf("when\n\ta new game begins\nthen\n\tsay \"This is line %d.\"\n", i))
		must(t, err)
		do = append(do, c.Do...)
	}
	k := startWith(t, sample.With(d, do...)).open()
	k.pressIn("nav button", "Rules")
	k.see("[data-testid=rule]", "This is line")
	there := func() string { return k.eval(`() => document.querySelectorAll('[data-testid=rule]').length`) }
	if n := there(); len(n) > 2 {
		t.Errorf("%s cards are made at once", n)
	}
	within(t, 3*soon, func() error {
		k.eval(`() => document.querySelector('main[aria-label=Rules]').scrollTo(0, 1e9)`)
		if n := there(); n != "400" {
			return fmt.Errorf("at the end there are %s cards", n)
		}
		return nil
	})
	k.reload()
	k.with(input.ControlLeft, input.KeyK)
	k.write("[role=dialog] input", "line 377")
	k.press("This is line 377.")
	within(t, soon, func() error {
		if k.eval(`() => [...document.querySelectorAll('[data-testid=rule]')].some((e) => {
			const r = e.getBoundingClientRect()
			return e.innerText.includes('line 377.') && r.top >= 0 && r.bottom <= innerHeight
		})`) != "true" {
			return errors.New("the rule that was gone to is not in view")
		}
		return nil
	})
}
