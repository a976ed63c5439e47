package demo

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/texts"
)

// german is the story in a second language, as far as it is told in it: what is said, and what that is.
var german = [][2]string{
	{"Lamp keeper", "Lampenwärter"},
	{"oil", "Öl"},
	{"bell", "Glocke"},
	{"It carries far over the flats.", "Das trägt weit über das Watt."},
	{Name, "Die Saline bei Niedrigwasser"},
	{"A night on a salt island", "Eine Nacht auf einer Salzinsel"},
	{"Words, maps and pictures\nby the makers of Azzel\n\nDrawn by code, tile by tile,\nin one palette", "Worte, Karten und Bilder\nvon denen, die Azzel machen\n\nVon Programmen gezeichnet,\nin einer Palette"},
	{"Crystals", "Kristalle"},
	{"Quay", "Kai"},
	{"Pans", "Pfannen"},
	{"Brine House", "Siedehaus"},
	{"Pump Shaft", "Pumpenschacht"},
	{"Lamp Room", "Lampenstube"},
	{"Tide Yard", "Gezeitenhof"},
	{"Yard Gallery", "Hofgalerie"},
	{"One Crate", "Eine Kiste"},
	{"Two Crates", "Zwei Kisten"},
	{"Round the Corner", "Um die Ecke"},
	{"Low tide. Three beacons to light before the water is back.", "Niedrigwasser. Drei Feuer sind zu entzünden, ehe die Flut kommt."},
	{"Somewhere east a gate grinds open.", "Irgendwo im Osten knirscht ein Tor."},
	{"It will not turn any further.", "Weiter dreht es sich nicht."},
	{"A clear crystal. The lamp keeper pays for these.", "Ein klarer Kristall. Dafür zahlt der Lampenwärter."},
	{"The pans. Keep to the dykes when the water comes.", "Die Pfannen. Bleib auf den Dämmen, wenn das Wasser kommt."},
	{"The brine house. Warm, and it smells of the sea.", "Das Siedehaus. Warm, und es riecht nach Meer."},
	{"The beacon yard stands open.", "Der Feuerhof steht offen."},
	{"You are late, warden. The water is already at the second step. Give me the crystals, and hold the lantern while I trim the wick.", "Spät kommst du, Wächter. Das Wasser steht schon an der zweiten Stufe. Gib mir die Kristalle, und halt die Laterne, ich richte den Docht."},
	{"The yard stands open? Then there is a chance yet, warden. Up with you.", "Der Hof steht offen? Dann ist noch nichts verloren, Wächter. Hinauf mit dir."},
	{"Ten crystals! The lamp keeper will be glad of them.", "Zehn Kristalle! Die nimmt der Lampenwärter gern."},
	{"What will it be, warden?", "Was darf es sein, Wächter?"},
	{"A pot of lamp oil", "Ein Topf Lampenöl"},
	{"What is there to do?", "Was ist zu tun?"},
	{"Nothing", "Nichts"},
	{"Three crystals. Trim it well.", "Drei Kristalle. Gib gut darauf acht."},
	{"That is three crystals, and you have fewer. Look in the pans.", "Das macht drei, und so viele hast du nicht. Sieh in den Pfannen nach."},
	{"The lamp waits. Go on up.", "Die Lampe wartet. Geh nur hinauf."},
	{"Open the beacon yard, out in the pans. Its wheel is a stiff one.", "Öffne den Feuerhof, draußen in den Pfannen. Sein Rad geht schwer."},
	{"A pot of oil for each basket: one on the quay, one in the beacon yard. I have oil, you have crystals.", "Ein Topf Öl für jeden Korb: einer steht am Kai, einer im Feuerhof. Ich habe Öl, du hast Kristalle."},
	{"The oil takes. The first beacon burns; another stands in the pans, and the third is the lamp itself.", "Das Öl fängt. Das erste Feuer brennt; ein zweites steht in den Pfannen, das dritte ist die Lampe selbst."},
	{"The basket is dry. It takes a pot of oil.", "Der Korb ist trocken. Er braucht einen Topf Öl."},
	{"Two beacons burn. Now the lamp, up above the shaft.", "Zwei Feuer brennen. Nun die Lampe, oben über dem Schacht."},
	{"Not yet, warden. Light the beacons on the quay and in the pans first, or nobody will look this way.", "Noch nicht, Wächter. Entzünde erst die Feuer am Kai und in den Pfannen, sonst schaut niemand her."},
	{"First the brine, then the fire, and last the salt. So it was always done.", "Erst die Sole, dann das Feuer, zuletzt das Salz. So war es immer."},
	{"Behind the vats a board comes loose: a pot of oil.", "Hinter den Bottichen löst sich ein Brett: ein Topf Öl."},
	{"You are late, warden. But you are here. Hold the light, I trim the wick.", "Spät kommst du, Wächter. Aber du bist da. Halt das Licht, ich richte den Docht."},
	{"Before the water returned, the lamp burned", "Ehe das Wasser kam, brannte die Lampe"},
	{"The ships saw it from beyond the reef, and turned.", "Die Schiffe sahen es von jenseits des Riffs und drehten bei."},
}

// inGerman says the story in German.
func inGerman(d *document.Document) *document.Document {
	c, err := texts.AddLanguage(d, "de")
	d = do(d, c, err)
	var all author.Change
	for _, w := range german {
		c, err := texts.Word(d, "de", w[0], w[1])
		if err != nil {
			do(d, c, err)
		}
		all.Do = append(all.Do, c.Do...)
	}
	return do(d, all, nil)
}
