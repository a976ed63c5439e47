package e2e

import "testing"

// The station stands in the address: a reload and a link lead to it, and the browser's Back and Forward go from one to the next.
func TestStationsHaveAnAddress(t *testing.T) {
	k := startWith(t, nil).open()
	here := func(station string) {
		t.Helper()
		k.see("nav [aria-current]", station)
	}
	here("Map")
	k.pressIn("nav button", "Check")
	k.see("[data-testid=answer]", "Yes")
	k.reload()
	here("Check")
	k.see("[data-testid=answer]", "Yes")
	k.pressIn("nav button", "Rules")
	here("Rules")
	must(t, k.page.NavigateBack())
	here("Check")
	must(t, k.page.NavigateBack())
	here("Map")
	k.see("[data-testid=map]", "")
	must(t, k.page.NavigateForward())
	here("Check")
	// what the address names that there is not is the map
	k.eval(`() => location.assign('#nowhere')`)
	here("Check")
	k.reload()
	here("Map")
	k.eval(`() => location.assign('#kinds')`)
	here("Kinds")
	k.same()
}
