package e2e

import (
	"azzel/core/document"
	"fmt"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// seen tells of all maps, by their names, whether they are seen from the side.
func seen(d *document.Document) string {
	out := ""
	for _, m := range d.MapsInOrder() {
		out += fmt.Sprintf("%s %v; ", m.Name, d.FromSide(m))
	}
	return out
}

// search types into the search over everything.
func (k *tab) search(text string) {
	k.Helper()
	k.with(input.ControlLeft, input.KeyK)
	// another sheet that is just closing may have fields as well
	k.focusIn("input[aria-controls=found]")
	must(k.T, k.page.InsertText(text))
}

// focusIn waits until something has the focus.
func (k *tab) focusIn(selector string) {
	k.Helper()
	within(k.T, soon, func() error {
		if k.eval(`(s) => document.activeElement.matches(s)`, selector) != "true" {
			return fmt.Errorf("%s has not the focus, but %s", selector, k.focused())
		}
		return nil
	})
}

// A game seen from the side begins so with its first map, and the next one is seen as the one that one comes from.
func TestMapsSeenFromTheSideAreMadeSo(t *testing.T) {
	r := startWith(t, document.New("Empty"))
	k := r.open()
	are := func(want string) {
		t.Helper()
		k.stored(func(d *document.Document) error {
			if got := seen(d); got != want {
				return fmt.Errorf("the maps are %q, not %q", got, want)
			}
			return nil
		})
	}
	k.pressIn("main [role=radio]", "From the side")
	k.press("Make the first map")
	must(t, want("by how much the page is higher than its window", k.eval(`() => String(document.documentElement.scrollHeight - innerHeight)`), "0"))
	are("Map 1 true; ")
	k.press("New map")
	k.see("[aria-label=Seen] [aria-checked=true]", "From the side")
	k.press("Make the map")
	are("Map 1 true; Map 2 true; ")
	k.press("New map")
	k.pressIn("[aria-label=Seen] [role=radio]", "From above")
	k.press("Make the map")
	are("Map 1 true; Map 2 true; Map 3 false; ")
	// it is found by what it is about, and set beside the map
	k.search("side")
	k.see("[role=option]", "seen, on Map 3…")
	k.keys(input.Enter)
	k.see("[role=dialog]", "Map 3")
	k.focusIn("[data-setting=view] select")
	k.option("[role=dialog] [data-setting=view] select", "from the side")
	are("Map 1 true; Map 2 true; Map 3 true; ")
	// what has its place in a part that is folded is shown there as well
	k.press("Close")
	k.search("blows")
	k.see("[role=option]", "wind, on Map 3…")
	k.keys(input.Enter)
	k.focusIn("[data-setting=wind] select")
	k.accessible("map sheet")
	// so is what is set of a layer and of each of a kind
	k.press("Close")
	k.search("parallax entities")
	k.see("[role=option]", "Settings of layer Entities…")
	k.keys(input.Enter)
	k.see("[role=dialog][aria-label='Settings of layer Entities']", "Parallax")
	k.keys(input.Escape)
	k.search("spring throws")
	k.see("[role=option]", "Settings of each Spring…")
	k.keys(input.Enter)
	k.see("main", "Spring")
	k.see("nav [aria-current=page]", "Kinds")
	// and of the game
	k.search("credits")
	k.keys(input.Enter)
	k.focusIn("main[aria-label=Game] [data-setting=credits] textarea")
}
