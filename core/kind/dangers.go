package kind

// dangers hurt.
var dangers = []Kind{
	{ID: Beam, Name: "Beam", Help: "A line that hurts, up to what is solid", Faces: true, State: "On at the start", Settings: settings(
		dragged("length", "12", 500, HandleAhead, "How far it goes at most"), harm,
		called("on for", lasting("onFor", "0", 3600, "0 is always")), called("off for", lasting("offFor", "0", 3600, "How long it pauses")))},
	{ID: Hazard, Name: "Hazard area", Help: "Hurts whoever is in it", Area: true, State: "On at the start", Settings: settings(harm)},
	{ID: Charge, Name: "Charge", Help: "Blows up, and what is near with it", State: "Lit at the start", Settings: settings(
		called("goes off", chosen("goesOff", "use=when it is used, touch=when it is touched, blow=when it is struck, rule=only by a rule or another one", "What lights it")),
		lasting("after", "1500", 60, "How long it burns before it blows up"), dragged("reach", "2", 50, HandleRound, "How far it reaches; walls hold it off"), harm,
		yesno("breaks", "true", "Whether it breaks what a blow breaks"))},
	{ID: Turner, Name: "Turning hazard", Help: "An arm that turns and hurts", State: "On at the start", Moves: true, Settings: settings(
		dragged("arm", "3", 100, HandleRound, "How long its arm is"), called("a turn takes", lasting("turnTakes", "4000", 3600, "How long it takes for one turn")),
		chosen("turns", "right=to the right, left=to the left, toAndFro=to and fro", "Which way"), number("arms", "1", "", 1, 8, "How many arms"), harm)},
}
