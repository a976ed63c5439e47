package kind

// areas do something to whoever is in them.
var areas = []Kind{
	{ID: Sensor, Name: "Sensor area", Help: "Rules notice who comes into it", Area: true, State: "Watching at the start", Veiled: true, Wires: true, Wakes: "enter", Settings: settings(
		chosen("notices", "hero=the hero, beings, blocks, anything", "Whom it notices"))},
	{ID: GroundLine, Name: "Ground line", Help: "Ground drawn freely, as a line or a shape", Ways: true, Veiled: true, Settings: settings(
		yesno("closed", "false", "Whether its last point joins the first: then it is a shape with an inside"),
		chosen("stops", "all=from all sides, above=only from above", "From where it is in the way"),
		colour("colour", "#7a6248", "Its colour; with a picture the inside of a shape is filled with that"),
		number("thickness", "3", "pixels", 0, 64, "How broad its line is drawn"))},
	{ID: Ladder, Name: "Ladder area", Help: "Can be climbed", Area: true, Veiled: true},
	{ID: Water, Name: "Water area", Help: "Is swum in, or drowned in", Area: true, Veiled: true, Settings: settings(
		chosen("does", "swims=lets swim, drowns, slows", "What it does"), chosen("flows", "nowhere, up, right, down, left", "Where it carries one"))},
	{ID: Wind, Name: "Wind area", Help: "Blows along what is in it", Area: true, Faces: true, State: "Blowing at the start", Veiled: true, Settings: settings(
		number("force", "3", "cells/s", 0, 50, "How strongly it blows"))},
}
