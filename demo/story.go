package demo

import (
	"azzel/core/author"
	"azzel/core/document"
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
				"Yard is open" is set
			then
				say "The lamp waits. Go on up."
			otherwise
				say "Open the beacon yard, out in the pans. Its wheel is a stiff one."
		answer "Nothing"
`}

// withStory adds the story's counter and rules.
func withStory(d *document.Document) *document.Document {
	c, err := author.AddCounter("Crystals")
	d = do(d, c, err)
	for _, text := range story {
		c, err := author.TextRule(d, text)
		d = do(d, c, err)
	}
	return d
}
