package e2e

import (
	"encoding/json"
	"os"

	"github.com/go-rod/rod/lib/proto"
)

// axe brings axe-core into the page: the policy lets no script in from a page, but the browser's own debugger may add one.
func (k *tab) axe() {
	k.Helper()
	axe, err := os.ReadFile("../web/node_modules/axe-core/axe.min.js")
	must(k.T, err)
	_, err = proto.RuntimeEvaluate{Expression: string(axe)}.Call(k.page)
	must(k.T, err)
}

// accessible tells what axe-core finds wrong with what is shown.
func (k *tab) accessible(view string) {
	k.Helper()
	k.accessibleIn("html", view)
}

// accessibleIn is the same for a part of it, as what lies before all else.
func (k *tab) accessibleIn(part, view string) {
	k.Helper()
	if k.eval(`() => typeof axe`) == "undefined" {
		k.axe()
	}
	raw := k.eval(`async (part) => {
		// a tooltip comes and goes with the pointer, and what it says its button says as well
		const tips = '[data-bits-floating-content-wrapper]:has([data-tooltip-content])'
		// what is wrong in the one theme is so in the other, but for its colours
		const dark = document.documentElement.dataset.theme === 'kiln'
		const runOnly = dark ? { type: 'rule', values: ['color-contrast'] } : ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice']
		const found = await axe.run({ include: document.querySelector(part), exclude: tips }, { runOnly })
		return JSON.stringify(found.violations.map((v) => v.id + ': ' + v.help + ' in ' + v.nodes.map((n) => n.html.slice(0, 160) + ' ' + (n.any[0]?.message ?? '')).join(' and ')))
	}`, part)
	var found []string
	must(k.T, json.Unmarshal([]byte(raw), &found))
	for _, f := range found {
		k.Errorf("%s in %s: %s", view, k.attribute("html", "data-theme"), f)
	}
}
