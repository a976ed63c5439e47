package merge_test

import (
	"azzel/core/edit"
	"azzel/core/merge"
	"azzel/core/sample"
	"fmt"
)

// Two people rename one map, and one of them another one: both is in the result, but for the name that both gave.
func ExampleThree() {
	base := sample.World()
	name := func(id, to string) edit.Primitive {
		ref := edit.Ref{Type: edit.TypeMap, ID: sample.Quay}
		if id == "pans" {
			ref.ID = sample.Pans
		}
		return edit.Set(ref, "name", to)
	}
	ours := sample.With(base, name("quay", "Old quay"))
	theirs := sample.With(base, name("quay", "New quay"), name("pans", "Salt pans"))
	both, conflicts, err := merge.Three(base, ours, theirs)
	if err != nil {
		fmt.Println(err)
		return
	}
	fmt.Println(both.Maps.Get(sample.Quay).Name+",", both.Maps.Get(sample.Pans).Name)
	for _, c := range conflicts {
		fmt.Println(c.Text)
	}
	// Output:
	// Old quay, Salt pans
	// Old quay, name: we set it otherwise
}
