package demo

import (
	"azzel/core/author"
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
)

// story are rules of the whole game, as text: crystals are counted wherever they are taken, and the lamp keeper
// gives oil for them.
var story = []string{`rule "Crystals are counted"
when
	the hero takes any Collectible
then
	# What is found anywhere counts with the lamp keeper.
	add 1 to Crystals
`, `rule "Ten crystals" once
when
	Crystals comes to 10
then
	say "Ten crystals! The lamp keeper will be glad of them."
`, `rule "The lamp keeper"
when
	the hero speaks to "Lamp keeper"
then
	ask "What will it be, warden?"
		answer "A pot of lamp oil"
			if all of this is so
				Crystals is at least 3
			then
				add -3 to Crystals
				give the hero 1 oil
				say "Three crystals. Trim it well."
			otherwise
				say "That is three crystals, and you have fewer. Look in the pans."
		answer "What is there to do?"
			if all of this is so
				Beacons is at least 2
			then
				say "The lamp waits. Go on up."
			otherwise
				if all of this is so
					"Yard is open" is set
				then
					say "A pot of oil for each basket: one on the quay, one in the beacon yard. I have oil, you have crystals."
				otherwise
					say "Open the beacon yard, out in the pans. Its wheel is a stiff one."
		answer "Nothing"
`, `rule "A beacon is lit"
when
	any Beacon is turned on
if
	the hero has at least 1 oil
then
	# What burns is not put out again.
	disable it
	take 1 oil from the hero
	add 1 to Beacons
	play "Beacon horn"
	if all of this is so
		Beacons is below 2
	then
		say "The oil takes. The first beacon burns; another stands in the pans, and the third is the lamp itself."
otherwise
	turn off it
	say "The basket is dry. It takes a pot of oil."
`, `rule "The hand bell"
when
	the hero wields bell
then
	sound chime
	caption "It carries far over the flats." for 2 s
`, `rule "Two beacons" once
when
	Beacons comes to 2
then
	enable "The lamp is lit"
	say "Two beacons burn. Now the lamp, up above the shaft."
`, `rule "The lamp waits"
when
	somebody comes to "Foot of the lamp"
if
	Beacons is below 2
then
	"Lamp keeper" says "Not yet, warden. Light the beacons on the quay and in the pans first, or nobody will look this way."
`, `rule "The tide"
when
	"Sluice wheel" is turned on
	"Sluice wheel" is turned off
if
	"Sluice wheel" is on
then
	lift layer "High water"
otherwise
	lay layer "High water"
`, `rule "Hope"
when
	"Lamp keeper" turns from "as it is now" to Hopeful
if
	"Yard is open" is set
`, `rule "Brine first"
when
	"Brine plate" is turned on
then
	let Steps be 1
	sound knock
`, `rule "Then the fire"
when
	"Fire plate" is turned on
if
	Steps is exactly 1
then
	let Steps be 2
	sound knock
otherwise
	let Steps be 0
`, `rule "And last the salt" once
when
	"Salt plate" is turned on
if
	Steps is exactly 2
then
	sound chime
	give the hero 1 oil
	picture "Salt crystal" on "Brine House" for 2 s
	say "Behind the vats a board comes loose: a pot of oil."
otherwise
	let Steps be 0
`, `rule "The end" once
when
	somebody comes to "The lamp is lit"
then
	scene that can be skipped
		"Lamp keeper" thinks "!"
		"Lamp keeper" jumps
		zoom the view to 150 percent in 1 s
		at the same time
			walk the hero 1 cells down stopping where blocked
			lead "Lamp keeper" to the hero
		turn the hero right
		"Lamp keeper" says "You are late, warden. But you are here. Hold the light, I trim the wick." as Hopeful
		at the same time
			tint the view dawn in 2 s
			shake the view for 1 s
			sound horn
		zoom the view to 100 percent in 0 s
		send the hero to Warden
		caption "Before the water returned, the lamp burned" for 4 s
		move the view to "Pan gate" in 3 s
		wait 1 s
		tint the view plain in 1 s
	win the game "The ships saw it from beyond the reef, and turned."
`}

// highWater floods a channel through the pans: what lies over their ground while the sluice is shut counts in its place.
func highWater(d *document.Document, pans *canvas) *document.Document {
	m := d.Maps.Get(pans.m.ID)
	var ground *document.Layer
	for _, l := range m.LayersInOrder() {
		if l.Name == "Ground" {
			ground = l
		}
	}
	l := document.Layer{ID: document.NewID(), Name: "High water", Kind: document.LayerTiles, Order: ground.Order + 1, Opacity: 100, Covers: true}
	ref := edit.Ref{Type: edit.TypeLayer, Map: m.ID, ID: l.ID}
	channel := &grid.Region{}
	channel.AddRect(grid.Rect{X: 26, Y: 0, W: 3, H: 28})
	return do(d, author.Change{Do: []edit.Primitive{edit.Insert(ref, l), {Op: edit.OpCells, Ref: ref,
		Cells: cells.Paint(channel, m.Bounds, []cells.Cell{cells.MaterialCell(seaPaint, 7)}, 1, grid.Point{})}}}, nil)
}

// withStory adds the story's counter and rules.
func withStory(d *document.Document, pans *canvas) *document.Document {
	d = highWater(d, pans)
	for _, name := range []string{"Crystals", "Steps", "Beacons"} {
		c, err := author.AddCounter(name)
		d = do(d, c, err)
	}
	for _, text := range story {
		c, err := author.TextRule(d, text)
		d = do(d, c, err)
	}
	return d
}
