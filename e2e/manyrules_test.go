package e2e

import (
	"azzel/core/author"
	"azzel/core/edit"
	"azzel/core/sample"
	"errors"
	"fmt"
	"testing"

	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
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
	k.pressIn("[role=dialog] [role=option]", "This is line 377.")
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

// The one menu of all rows opens by a finger that rests on one, and by keys; it is gone through by keys, and its row has the focus again.
func TestMenuOfARowByFingersAndKeys(t *testing.T) {
	d := sample.World()
	c, err := author.TextRule(d, "when\n\ta new game begins\nthen\n\tsay \"One.\"\n\tsay \"Two.\"\n")
	must(t, err)
	k := startWith(t, sample.With(d, c.Do...)).open()
	k.pressIn("nav button", "Rules")
	k.see("[data-testid=rule]", "Two.")
	k.eval(`() => document.querySelectorAll('[aria-label="Move or change this line"]')[2].focus()`)
	k.keys(input.Enter)
	k.see("[role=menu]", "Move up")
	k.keys(input.ArrowDown, input.ArrowDown, input.Home, input.Enter)
	k.gone("[role=menu]")
	says := func(first string) {
		t.Helper()
		within(t, soon, func() error {
			return contains(k.eval(`() => document.querySelectorAll('[data-line]')[1].innerText`), first)
		})
	}
	says("Two.")
	within(t, soon, func() error {
		return want("the focus", k.eval(`() => document.activeElement.ariaLabel`), "Move or change this line")
	})
	k.fingers()
	box := k.box("[data-line='1'] [data-testid=lead]")
	on := proto.NewPoint(box.X+box.Width/2, box.Y+box.Height/2)
	k.touch(start, on)
	k.see("[role=menu]", "Move down")
	k.touch(end)
	k.pressIn("[role=menuitem]", "Move down")
	says("One.")
}
