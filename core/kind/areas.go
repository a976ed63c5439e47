package kind

// areas do something to whoever is in them.
var areas = []Kind{
	{ID: Sensor, Name: "Sensor area", Help: "Rules notice who comes into it", Area: true, State: "Watching at the start", Veiled: true, Wires: true, Wakes: "enter", Settings: settings(
		chosen("notices", "hero=the hero, beings, blocks, anything", "Whom it notices"))},
	{ID: Ladder, Name: "Ladder area", Help: "Can be climbed", Area: true, Veiled: true},
	{ID: Water, Name: "Water area", Help: "Is swum in, or drowned in", Area: true, Veiled: true, Settings: settings(
		chosen("does", "swims=lets swim, drowns, slows", "What it does"), chosen("flows", "nowhere, up, right, down, left", "Where it carries one"))},
	{ID: Wind, Name: "Wind area", Help: "Blows along what is in it", Area: true, Faces: true, State: "Blowing at the start", Veiled: true, Settings: settings(
		number("force", "3", "cells/s", 0, 50, "How strongly it blows"))},
}
