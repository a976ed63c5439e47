package kind

// dangers hurt.
var dangers = []Kind{
	{ID: Beam, Name: "Beam", Help: "A line that hurts, up to what is solid", Faces: true, State: "On at the start", Settings: settings(
		dragged("length", "12", 500, HandleAhead, "How far it goes at most"), harm,
		called("on for", lasting("onFor", "0", 3600, "0 is always")), called("off for", lasting("offFor", "0", 3600, "How long it pauses")))},
	{ID: Hazard, Name: "Hazard area", Help: "Hurts whoever is in it", Area: true, State: "On at the start", Settings: settings(harm)},
	{ID: Turner, Name: "Turning hazard", Help: "An arm that turns and hurts", State: "On at the start", Moves: true, Settings: settings(
		dragged("arm", "3", 100, HandleRound, "How long its arm is"), called("a turn takes", lasting("turnTakes", "4000", 3600, "How long it takes for one turn")),
		chosen("turns", "right=to the right, left=to the left, toAndFro=to and fro", "Which way"), number("arms", "1", "", 1, 8, "How many arms"), harm)},
}
