package proof_test

import (
	"azzel/core/chart"
	"azzel/core/proof"
	"azzel/core/sample"
	"azzel/core/world"
	"fmt"
)

// Whether a game can be finished is looked for a little at a time.
func Example() {
	d := sample.World()
	search := proof.New(world.New(d, chart.New(d, nil), nil))
	for range 100 {
		if a := search.Step(10_000); a != nil {
			fmt.Println(a.Is)
			return
		}
	}
	fmt.Println("not decided")
	// Output: nothing
}
