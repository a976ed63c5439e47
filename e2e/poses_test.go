package e2e

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/sample"
	"fmt"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// What is on shows one picture after the other wherever it is drawn in a game: by itself, sorted among what stands before and
// behind it, and in the Kinds station.
func TestPicturesOfWhatIsOnGoOn(t *testing.T) {
	tile := func(n int) cells.Cell { return sample.Floor + cells.Cell(n) }
	own := *kind.Find(kind.Light)
	own.ID, own.Of, own.Name, own.Order = "lanternownla", kind.Light, "Lantern", 10
	both := []cells.Cell{tile(20), tile(33)}
	own.Look, own.Poses = tile(7), []kind.Pose{{Does: kind.IsOn, Ms: 100, Frames: [4][]cells.Cell{both, both, both, both}}}
	for _, sorted := range []bool{false, true} {
		t.Run(fmt.Sprint("sorted ", sorted), func(t *testing.T) {
			r := world(t).pictured()
			r.append(edit.Insert(edit.Ref{Type: edit.TypeKind, ID: own.ID}, document.Lean(&own)),
				edit.Set(edit.Ref{Type: edit.TypeLayer, Map: sample.Quay, ID: sample.Things}, "foot", sorted),
				edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: "lamplamplamp"}, document.Entity{ID: "lamplamplamp", Layer: sample.Entities, Kind: string(own.ID), Name: "Lamp",
					On: true, Facing: document.Down, X: 6 * 16, Y: 5 * 16, W: 16, H: 16, Rank: 40}))
			k := r.open()
			k.focusMap()
			k.keys(input.KeyP)
			k.see("[data-testid=playing]", "Playing Quay")
			for _, n := range []int{20, 33, 20} {
				k.showsTile(6, 5, n)
			}
			k.keys(input.KeyP)
			if sorted {
				return
			}
			k.pressIn("nav button", "Kinds")
			k.pressIn("aside button", "Lantern")
			k.see("[data-testid=stage]", "")
			// it is dark there, so that its pictures have other colours; nothing else moves
			must(t, want("the stage changes", k.eval(`() => new Promise((done) => {
				const c = document.querySelector('[data-testid=stage]')
				const now = () => c.getContext('2d').getImageData(0, 0, c.width, c.height).data
				const first = now()
				let frames = 240
				const next = () => {
					const is = now()
					let other = 0
					for (let i = 0; i < is.length; i += 4) if (is[i] !== first[i] || is[i + 1] !== first[i + 1]) other++
					if (other > 50 || !--frames) done(String(other > 50))
					else requestAnimationFrame(next)
				}
				next()
			})`), "true"))
		})
	}
}
