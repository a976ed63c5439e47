package rules_test

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/rules"
	"azzel/core/sample"
	"fmt"
	"strings"
	"testing"
)

// manyRules is the sample with 2,000 rules, of which three wait for the switch.
func manyRules(b *testing.B) *document.Document {
	b.Helper()
	d := edit.Apply(sample.World(), &edit.Edit{Do: sample.Drawn()}).Doc
	for n := range 2000 {
		text := fmt.Sprintf("when\n\tsignal bell%d comes\nif\n\tSalt is at least %d\nthen\n\topen Door\n", n, n)
		if n%800 == 0 {
			text = "when\n\tthe hero uses Switch\nthen\n\topen Door\n"
		}
		c, err := author.TextRule(d, text)
		if err != nil {
			b.Fatal(err)
		}
		d = edit.Apply(d, &edit.Edit{Do: c.Do}).Doc
	}
	return d
}

// long is the text of a rule of 200 steps.
func long() string {
	var b strings.Builder
	b.WriteString("when\n\tthe hero uses Switch\nthen\n")
	for n := range 50 { // hardly two alike
		fmt.Fprintf(&b, "\topen Door\n\tadd %d to Salt\n\tsay \"Mind tide %d.\"\n\twait %d s\n", n, n, n+1)
	}
	return b.String()
}

// BenchmarkWaiting finds the rules of a happening among 2,000, beside going through all of them.
func BenchmarkWaiting(b *testing.B) {
	d := manyRules(b)
	h := rules.Happening{Word: rules.WordUse, At: document.Object{Type: document.TypeEntity, Map: sample.Quay, ID: sample.Switch}, Kind: "switch"}
	rules.Waiting(d, h) // which makes the index
	b.Run("found", func(b *testing.B) {
		for b.Loop() {
			if len(rules.Waiting(d, h)) != 3 {
				b.Fatal("not three")
			}
		}
	})
	b.Run("plain", func(b *testing.B) {
		for b.Loop() {
			n := 0
			for _, r := range d.Rules.All() {
				for _, w := range rules.TreeOf(r).When {
					if w.Word == h.Word && w.At == h.At {
						n++
					}
				}
			}
			if n != 3 {
				b.Fatal("not three")
			}
		}
	})
}

// BenchmarkText reads and writes a rule of 200 steps, and completes a line at its end.
func BenchmarkText(b *testing.B) {
	d := edit.Apply(sample.World(), &edit.Edit{Do: sample.Drawn()}).Doc
	text := long()
	r, faults := rules.Parse(d, text)
	if len(faults) > 0 {
		b.Fatal(faults)
	}
	b.Run("write", func(b *testing.B) {
		for b.Loop() {
			rules.Print(d, &r)
		}
	})
	b.Run("read", func(b *testing.B) {
		for b.Loop() {
			rules.Parse(d, text)
		}
	})
	b.Run("card", func(b *testing.B) {
		for b.Loop() {
			rules.Lines(d, &r)
		}
	})
	b.Run("complete", func(b *testing.B) {
		for b.Loop() {
			rules.Complete(d, text+"\top", 203, 4)
		}
	})
}
