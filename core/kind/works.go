package kind

var (
	waves = listed("waves", Counts, "How many in each wave, as 3, 5, 8; the next one comes when nothing of it is left")
	makes = shared("makes", "odds", "Kinds and how often each comes beside the others, as walker 3, flyer 1")
)

// works are used, opened, pushed, ridden and broken.
var works = []Kind{
	{ID: Switch, Name: "Switch", Help: "Used by the hero; rules follow it", State: "On at the start", Wires: true, Wakes: "use", Settings: settings(
		called("worked by", chosen("workedBy", "use, step=stepping on it, weight=weight on it, blow=a blow", "What works it")),
		called("goes back", chosen("goesBack", "never, whenLeft=when left, afterAWhile=after a while", "When it goes back by itself")),
		lasting("after", "3000", 3600, "The while after which it goes back"),
		number("weighs", "1", "", 1, 999, "How much weight holds it down; the hero and beings weigh 1"))},
	{ID: Door, Name: "Door", Help: "Stops the hero until it is opened", Area: true, State: "Open at the start", Opens: true, Leads: MayLead, Settings: settings(
		written("needs", "The key that opens it"), called("closes again", yesno("closesAgain", "false", "Whether it falls shut behind the hero")))},
	{ID: Platform, Name: "Moving platform", Help: "Carries what stands on it", Area: true, Faces: true, Moves: true, State: "Moving at the start", Settings: settings(
		dragged("range", "4", 500, HandleAhead, "How far it goes"), speed, lasting("pause", "500", 3600, "How long it waits at its ends"), along)},
	{ID: Conveyor, Name: "Conveyor", Help: "Pushes along what stands on it", Area: true, Faces: true, State: "Going at the start", Settings: settings(speed)},
	{ID: Fan, Name: "Fan", Help: "Blows ahead of it, up to what is solid", Faces: true, State: "Blowing at the start", Settings: settings(
		dragged("reach", "6", 200, HandleAhead, "How far it blows"), number("force", "6", "cells/s", 0, 50, "How strongly it blows"))},
	{ID: Spring, Name: "Spring", Help: "Throws up what steps on it", Faces: true, Settings: settings(dragged("height", "5", 200, HandleAhead, "How far it throws"))},
	{ID: Block, Name: "Push-block", Help: "Pushed a cell at a time", Solid: true, Moves: true, Settings: settings(
		number("weight", "1", "", 1, 99, "What it counts on a switch"), yesno("falls", "true", "Whether it falls into what hurts, seen from above, and fills it"),
		called("in water", chosen("inWater", "sinks=sinks and can be walked over, floats, stays=stays as it is", "What becomes of it in water")))},
	{ID: Breakable, Name: "Breakable", Help: "Gives way to what breaks it", Area: true, Solid: true, Settings: settings(
		health, called("broken by", several("brokenBy", "blow=a blow, blast=a blast, shot=a shot, fall=what falls on it", "What breaks it; nothing is only by a rule", "blow", "blast")),
		called("struck with", written("by", "The item that a blow needs; empty is none")), number("heavy", "1", "", 1, 99, "What weighs less and falls on it breaks nothing"), written("leaves", "What it leaves behind"))},
	{ID: Faller, Name: "Falling block", Help: "Falls once it is stepped on", Area: true, Solid: true, Moves: true, Settings: settings(
		lasting("after", "500", 60, "How long it still holds"), called("comes back after", lasting("comesBackAfter", "0", 3600, "0 is never")))},
	{ID: Timer, Name: "Timer", Help: "Something that rules wait for", State: "Going at the start", Veiled: true, Wires: true, Wakes: "rings", Settings: settings(
		every, yesno("again", "true", "Whether it begins anew"))},
	{ID: Source, Name: "Source", Help: "Makes entities from a list", State: "Going at the start", Faces: true, Veiled: true, Wires: true, Wakes: "ends", Settings: settings(
		makes, every, called("at once", counted("atOnce", 500, "At most that many are there at a time")),
		called("in all", none("no end", number("inAll", "0", "", 0, 9999, "How many it makes"))), waves)},
	{ID: Path, Name: "Path", Help: "A way that movers go along", Ways: true, Veiled: true, Settings: settings(
		chosen("goes", "thereAndBack=there and back, round, once", "What comes after its end"),
		number("speed", "3", "cells/s", 0, 50, "How fast one goes along it"), lasting("pause", "0", 3600, "How long one waits at each point"))},
}
