package e2e

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/sample"
	"testing"
)

// A hero that is a piece of the ground is told of in Check, which looks at the pictures; once it looks otherwise it is told of no more.
func TestAHeroThatIsHardToSee(t *testing.T) {
	r := world(t)
	like := func(tile int) {
		r.append(edit.Set(edit.Ref{Type: edit.TypeProject}, "hero", document.Hero{Frames: [4][]cells.Cell{{}, {}, {cells.TileCell(1, tile)}, {}}, Speed: 5}))
	}
	like(sample.Floor.Tile())
	k := r.open()
	k.pressIn("nav button", "Check")
	k.see("[data-testid=finding]", "The hero hardly stands out from 180 cells of Quay")
	like(sample.Floor.Tile() + 3)
	within(t, soon, func() error {
		return want("told still", k.eval(`() => [...document.querySelectorAll('[data-testid=finding]')].some((f) => f.innerText.includes('hardly stands out'))`), "false")
	})
}
