package e2e

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/sample"
	"fmt"
	"strconv"
	"testing"
)

// What is written on the map beside something can be read as a whole, also where that stands at the edge, below the rulers.
func TestLabelsAreReadToTheirEnds(t *testing.T) {
	r := world(t)
	id := r.place(document.Entity{Kind: kind.Source, Name: "Nest", X: 128, Y: 64, Facing: document.Left, On: true})
	k := r.open()
	written := func() int { // how much of the overlay is in the colour of what is doubtful
		n, _ := strconv.Atoi(k.eval(`() => {
			const c = document.querySelector('[data-testid=map]'), all = c.getContext('2d').getImageData(0, 0, c.width, c.height).data
			let n = 0
			for (let i = 0; i < all.length; i += 4) if (Math.abs(all[i] - 133) + Math.abs(all[i + 1] - 83) + Math.abs(all[i + 2] - 0) < 12) n++
			return n
		}`))
		return n
	}
	k.move(k.at(8, 4))
	k.see("#status", "has nothing to make")
	middle := written()
	if middle < 150 {
		t.Fatalf("of the label %d pixels are seen", middle)
	}
	for _, at := range [][2]int{{0, 4}, {8, 0}, {0, 0}} {
		k.move(k.at(15, 9))
		r.append(edit.Set(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: id}, "x", at[0]*16), edit.Set(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: id}, "y", at[1]*16))
		within(t, soon, func() error {
			k.move(k.at(15, 9))
			k.move(k.at(at[0], at[1]))
			if seen := written(); seen < middle*9/10 {
				return fmt.Errorf("at %v %d of %d pixels of the label are seen", at, seen, middle)
			}
			return nil
		})
	}
}
