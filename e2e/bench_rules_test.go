package e2e

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/rules"
	"azzel/core/sample"
	"encoding/json"
	"fmt"
	"os"
	"strings"
	"testing"
	"time"
)

// TestBrowserBenchRules prints what rules take in the page's module, beside the same natively: the text of a rule of 200 steps
// among 2,000 rules, and what a change of one costs until all of them are told again.
func TestBrowserBenchRules(t *testing.T) {
	if os.Getenv("AZZEL_BENCH") == "" {
		t.Skip("only in ./azzel bench")
	}
	d := edit.Apply(sample.World(), &edit.Edit{Do: sample.Drawn()}).Doc
	add := func(text string) document.ID {
		c, err := author.TextRule(d, text)
		must(t, err)
		d = edit.Apply(d, &edit.Edit{Do: c.Do}).Doc
		return c.Made
	}
	for n := range 2000 {
		add(fmt.Sprintf("when\n\tsignal bell%d comes\nif\n\tSalt is at least %d\nthen\n\topen Door\n", n, n))
	}
	// steps are 200 of which hardly any two are alike
	steps := func(n int) string {
		var b strings.Builder
		b.WriteString("when\n\tthe hero uses Switch\nthen\n")
		for i := range 50 {
			fmt.Fprintf(&b, "\topen Door\n\tadd %d to Salt\n\tsay \"Mind tide %d.\"\n\twait %d s\n", n+i, n+i, n+i+1)
		}
		return b.String()
	}
	long := add(steps(0))
	text := rules.Print(d, d.Rules.Get(long))
	k := world(t).open()
	native := k.twins(d)
	k.eval(`() => other.call('headChange', '{}').ok ? '' : 'not told'`)
	_, err := native.Call("headChange", json.RawMessage("{}"))
	must(t, err)
	fmt.Println("browser, a rule of 200 steps among 2,000")
	for _, c := range []struct {
		name, method string
		args         func(n int) any
		times        int
	}{
		{"written as text", "ruleText", func(int) any { return map[string]any{"rule": long} }, 50},
		{"read at first", "readText", func(n int) any { return map[string]any{"text": steps(50 * (n + 1))} }, 30},
		{"read while written", "readText", func(n int) any { return map[string]any{"text": text + fmt.Sprintf("\twait %d s\n", n+2)} }, 50},
		{"completed at its end", "completions", func(int) any { return map[string]any{"text": text + "\top", "line": 204, "at": 4} }, 50},
		{"rewritten by its text", "rewriteRule", func(n int) any {
			return map[string]any{"rule": long, "text": text + fmt.Sprintf("\twait %d s\n", n+2)}
		}, 20},
		{"changed, and told again", "changeRule", func(n int) any { return rules.Wish{Rule: long, Once: &[]bool{n%2 == 0}[0]} }, 20},
	} {
		var all []string
		for n := range c.times {
			raw, err := json.Marshal(c.args(n))
			must(t, err)
			all = append(all, string(raw))
		}
		start := time.Now()
		for _, raw := range all {
			if _, err := native.Call(c.method, json.RawMessage(raw)); err != nil {
				t.Fatalf("%s: %v", c.method, err)
			}
			if c.method == "changeRule" {
				_, err := native.Call("headChange", json.RawMessage("{}"))
				must(t, err)
			}
		}
		plain := float64(time.Since(start).Microseconds()) / 1000 / float64(c.times)
		list, err := json.Marshal(all)
		must(t, err)
		spent := k.eval(`(m, list) => {
			const all = JSON.parse(list)
			const from = performance.now()
			for (const a of all) {
				const r = other.call(m, a)
				if (r.error !== undefined) return r.error
				if (m === 'changeRule') other.call('headChange', '{}')
			}
			return String((performance.now() - from) / all.length)
		}`, c.method, string(list))
		var module float64
		if _, err := fmt.Sscan(spent, &module); err != nil {
			t.Fatalf("%s: %s", c.method, spent)
		}
		fmt.Printf("  %-22s %.2f ms in the module, ×%.1f native\n", c.name, module, module/max(plain, 0.001))
	}
}
