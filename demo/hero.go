package demo

import "image/color"

var heroColours = map[byte]color.NRGBA{
	'o': night, 'y': coat, 'Y': coatHi, 'd': coatLo, 's': skin, 'b': woodDark, 'g': glow, 'i': iron, 'w': salt,
}

// The apprentice wears the same in red.
var apprenticeColours = map[byte]color.NRGBA{
	'o': night, 'y': clay, 'Y': clayHi, 'd': clayLo, 's': skin, 'b': woodDark, 'g': glow, 'i': iron, 'w': salt,
}

// The warden in an oilskin with a lantern, without legs.
var heroBody = map[string][]string{
	"down": {
		"................",
		".....oooooo.....",
		"....oYYYyyyo....",
		"...oYYyyyyddo...",
		"...oYysssssdo...",
		"...oyosossodo...",
		"....osssssso....",
		"....oosssooo....",
		"...oYYyyyyddo...",
		"..oYYyyyyyyddo..",
		"..oYyyyoyyyddoi.",
		"..osoyyoyyydosi.",
		"...ooyyoyyydoogo",
		"....oyyyyyddo.og",
	},
	"up": {
		"................",
		".....oooooo.....",
		"....oYYYyyyo....",
		"...oYYYyyyddo...",
		"...oYYyyyyddo...",
		"...oYyyyyyddo...",
		"....oyyyyddo....",
		"....ooddddoo....",
		"...oYYyyyyddo...",
		"..oYYyyyyyyddo..",
		".ioYyyyyyyyddo..",
		".isoyyyyyyydso..",
		"ogooyyyyyyydoo..",
		"go..oyyyyyddo...",
	},
	"right": {
		"................",
		".....oooooo.....",
		"....oYYyyyyo....",
		"...oYYyyyyydo...",
		"...oYyyyssso....",
		"...oyyysosso....",
		"....oydsssso....",
		".....oodsso.....",
		"....oYYyydo.....",
		"...oYYyyyddo....",
		"...oYyyyysoii...",
		"...oyyyydoo.i...",
		"...oyyyyddo.gg..",
		"....oyyyddo.gg..",
	},
}

var heroLegs = map[string][][]string{
	"front": {
		{"....obbo.obbo...", "....oooo.oooo..."},
		{"....obbo.oooo...", "....oooo........"},
		{"....oooo.obbo...", ".........oooo..."},
	},
	"side": {
		{".....obbbo......", ".....ooooo......"},
		{"....obboobbo....", "....oo....ooo..."},
		{".....oobbo......", "......oooo......"},
	},
}

// heroFrames draws standing and two steps, by facing: up, right, down, left.
func heroFrames(colours map[byte]color.NRGBA) (out [4][3]pic) {
	for i, facing := range []string{"up", "right", "down", "right"} {
		legs := heroLegs["front"]
		if facing == "right" {
			legs = heroLegs["side"]
		}
		for f := range 3 {
			var p pic
			p.shadow(4, 14, 8)
			p.letters(colours, append(append([]string{}, heroBody[facing]...), legs[f]...)...)
			if i == 3 {
				p = p.mirrored()
			}
			out[i][f] = p
		}
	}
	return
}
