package rules

import (
	"azzel/core/document"
	"azzel/core/kind"
	"slices"
)

// happenings are what can wake a rule.
var happenings = concat(document.SlotWhen,
	group("The hero", []Entry{
		{Word: WordUse, Also: "press pull lever button interact action", Label: "uses a switch", Pattern: "the hero [uses] {what}", Blanks: entity("switch", wakes(WordUse))},
		{Word: WordUseOn, Also: "apply with key combine", Label: "uses an item on something", Pattern: "the hero [uses] {item} on {what}",
			Blanks: append(entity("thing", anything), Blank{Key: "item", Type: BlankItem})},
		{Word: WordWields, Also: "uses item ability skill power tool cast", Label: "uses an item where it stands", Pattern: "the hero [wields] {item}", Blanks: []Blank{{Key: "item", Type: BlankItem}}},
		{Word: WordTake, Also: "pick up collect get grab", Label: "takes a collectible", Pattern: "the hero [takes] {what}", Blanks: entity("collectible", wakes(WordTake))},
		{Word: WordSpeak, Also: "talk chat npc dialogue", Label: "speaks to somebody, or reads a sign", Pattern: "the hero [speaks to] {what}", Blanks: entity("character or sign", speaks)},
		{Word: WordHurt, Also: "damage hit wounded", Label: "loses hearts", Pattern: "the hero [loses hearts]"},
		{Word: WordLosesLife, Also: "dies death game over", Label: "loses the last heart", Pattern: "the hero [loses a life]"},
		{Word: WordComesBack, Also: "respawn checkpoint again", Label: "comes back after a loss", Pattern: "the hero [comes back]"},
		{Word: WordTouch, Also: "collide bump contact against steps stands on rides", Label: "comes against something", Pattern: "the hero [touches] {what}", Blanks: entity("thing", anything)},
		{Word: WordPush, Also: "shove crate move", Label: "pushes a block", Pattern: "the hero [pushes] {what}", Blanks: entity("block", acts(kind.Block))},
		{Word: WordStrike, Also: "hit attack sword fight", Label: "strikes something", Pattern: "the hero [strikes] {what}", Blanks: entity("being or something that breaks", falls)},
		{Word: WordLooksAt, Also: "sees faces stands before notices examine", Label: "comes to look at something within reach", Pattern: "the hero [looks at] {what}", Blanks: entity("thing", anything)},
		{Word: WordGain, Also: "inventory receive loot get", Label: "comes to have an item", Pattern: "the hero [gains] {item}", Blanks: had},
		{Word: WordArrive, Also: "enter room level scene loads", Label: "arrives on a map", Pattern: "the hero [arrives on] {what}", Blanks: []Blank{{Key: "what", Type: BlankMap}}},
		{Word: WordDone, Also: "complete level stage clear goal", Label: "finishes a map", Pattern: "the hero [finishes] {what}", Blanks: []Blank{{Key: "what", Type: BlankMap}}},
		{Word: WordGoes, Also: "exit room level scene goes away", Label: "leaves a map", Pattern: "the hero [leaves] {what}", Blanks: []Blank{{Key: "what", Type: BlankMap}}},
	}),
	group("Somebody", []Entry{
		{Word: WordEnter, Also: "touch step on trigger zone", Label: "comes to a place", Pattern: "somebody [comes to] {what}", Blanks: entity("sensor, checkpoint or goal", wakes(WordEnter))},
		{Word: WordLeave, Also: "exit step off", Label: "has left a place", Pattern: "everybody [has left] {what}", Blanks: entity("sensor", acts(kind.Sensor))},
		{Word: WordFalls, Also: "dies killed destroyed death", Label: "is defeated or broken", Pattern: "{what} [is defeated]", Blanks: entity("being or something that breaks", falls)},
		{Word: WordSpots, Also: "notices discovers line of sight guard", Label: "comes to see the hero", Pattern: "{what} [sees the hero]", Blanks: entity("being that sees", sees)},
		{Word: WordLosesSight, Also: "escapes hides stealth", Label: "loses sight of the hero", Pattern: "{what} [loses sight of the hero]", Blanks: entity("being that sees", sees)},
		{Word: WordGlimpses, Also: "notices discovers line of sight guard watches", Label: "comes to see something", Pattern: "{what} [comes to see] {where}", Blanks: append(entity("being or character", alive), where)},
		{Word: WordMisses, Also: "loses sight escapes hides out of view", Label: "does not see something any more", Pattern: "{what} [sees no more of] {where}", Blanks: append(entity("being or character", alive), where)},
		{Word: WordNoneLeft, Also: "all gone cleared defeated last enemies", Label: "the last of a kind or a tag is gone", Pattern: "no {what} [is left]", Blanks: leftOver[:1]},
	}),
	group("Something", []Entry{
		{Word: WordTurnsOn, Also: "activated pressed", Label: "is turned on", Pattern: "{what} [is turned on]", Blanks: entity(turning, turns)},
		{Word: WordTurnsOff, Also: "deactivated released", Label: "is turned off", Pattern: "{what} [is turned off]", Blanks: entity(turning, turns)},
		{Word: WordOpens, Also: "unlocked", Label: "is opened", Pattern: "{what} [is opened]", Blanks: entity("door or container", opens)},
		{Word: WordShuts, Also: "closes locked", Label: "is shut", Pattern: "{what} [is shut]", Blanks: entity("door or container", opens)},
		{Word: WordReaches, Also: "variable equals", Label: "has a counter that reaches a number", Pattern: "{own} of {what} [reaches] {number}", Blanks: counter},
		{Word: WordTurnsInto, Also: "guise state becomes changes appearance page form phase", Label: "goes over from one guise to another", Pattern: "{what} [turns] from {from} to {guise}", Blanks: guised("from", "guise")},
		{Word: WordPoint, Also: "path waypoint platform arrives stop", Label: "comes to a point of its path", Pattern: "{what} [comes to point] {number}", Blanks: append(entity("thing that goes along a path", alongPath), amount...)},
		{Word: WordDrops, Also: "block drops tumbles gives way", Label: "begins to fall, as a block", Pattern: "{what} [begins to fall]", Blanks: entity("block", settles)},
		{Word: WordRests, Also: "settles lands stops block falls", Label: "comes to rest, as a block", Pattern: "{what} [comes to rest]", Blanks: entity("block", settles)},
		{Word: WordRings, Also: "time over timer elapsed delay", Label: "rings, as a timer does", Pattern: "{what} [rings]", Blanks: entity("timer", acts(kind.Timer))},
		{Word: WordEnds, Also: "wave cleared all gone", Label: "has nothing left, as a source", Pattern: "{what} [has nothing left]", Blanks: entity("source", makes)},
	}),
	group("The story", []Entry{
		{Word: WordBegins, Also: "start load intro", Label: "a new game begins", Pattern: "a new game [begins]"},
		{Word: WordLoads, Also: "resume restore continue saved", Label: "a kept game is gone on with", Pattern: "a kept game [is gone on with]"},
		{Word: WordHour, Also: "time clock day night morning evening dawn dusk", Label: "it becomes an hour of the day", Pattern: "the hour {number} [strikes]", Blanks: amount},
		{Word: WordEvery, Also: "timer interval repeat clock loop", Label: "some seconds have passed again", Pattern: "[every] {number} s", Blanks: amount},
		{Word: WordGetsSet, Also: "variable true switch", Label: "a flag is set", Pattern: "{what} [becomes set]", Blanks: flag},
		{Word: WordGetsBare, Also: "variable false reset", Label: "a flag is cleared", Pattern: "{what} [becomes cleared]", Blanks: flag},
		{Word: WordCounts, Also: "variable score number equals", Label: "a counter reaches a number", Pattern: "{what} [comes to] {number}", Blanks: tally},
		{Word: WordHears, Also: "message broadcast event", Label: "a signal comes", Pattern: "signal {signal} [comes]", Blanks: signals},
		{Word: WordBrings, Also: "message broadcast event call parameter number argument", Label: "a signal brings a number", Pattern: "signal {signal} [brings] a number for {into}", Blanks: append(slices.Clone(signals), Blank{Key: "into", Type: BlankCounter})},
	}),
)
