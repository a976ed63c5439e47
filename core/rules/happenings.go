package rules

import (
	"azzel/core/document"
	"azzel/core/kind"
)

// happenings are what can wake a rule.
var happenings = concat(document.SlotWhen,
	group("The hero", []Entry{
		{Word: WordUse, Also: "press pull lever button interact action", Label: "uses a switch", Pattern: "the hero [uses] {what}", Blanks: entity("switch", wakes(WordUse))},
		{Word: WordUseOn, Also: "apply with key combine", Label: "uses an item on something", Pattern: "the hero [uses] {item} on {what}",
			Blanks: append(entity("thing", anything), Blank{Key: "item", Type: BlankItem})},
		{Word: WordTake, Also: "pick up collect get grab", Label: "takes a collectible", Pattern: "the hero [takes] {what}", Blanks: entity("collectible", wakes(WordTake))},
		{Word: WordSpeak, Also: "talk chat npc dialogue", Label: "speaks to somebody, or reads a sign", Pattern: "the hero [speaks to] {what}", Blanks: entity("character or sign", speaks)},
		{Word: WordHurt, Also: "damage hit wounded", Label: "loses hearts", Pattern: "the hero [loses hearts]"},
		{Word: WordArrive, Also: "enter room level scene loads", Label: "arrives on a map", Pattern: "the hero [arrives on] {what}", Blanks: []Blank{{Key: "what", Type: BlankMap}}},
	}),
	group("Somebody", []Entry{
		{Word: WordEnter, Also: "touch step on trigger zone", Label: "comes to a place", Pattern: "somebody [comes to] {what}", Blanks: entity("sensor, checkpoint or goal", wakes(WordEnter))},
		{Word: WordLeave, Also: "exit step off", Label: "has left a place", Pattern: "everybody [has left] {what}", Blanks: entity("sensor", acts(kind.Sensor))},
		{Word: WordFalls, Also: "dies killed destroyed death", Label: "is defeated or broken", Pattern: "{what} [is defeated]", Blanks: entity("being or something that breaks", falls)},
	}),
	group("Something", []Entry{
		{Word: WordTurnsOn, Also: "activated pressed", Label: "is turned on", Pattern: "{what} [is turned on]", Blanks: entity(turning, turns)},
		{Word: WordTurnsOff, Also: "deactivated released", Label: "is turned off", Pattern: "{what} [is turned off]", Blanks: entity(turning, turns)},
		{Word: WordOpens, Also: "unlocked", Label: "is opened", Pattern: "{what} [is opened]", Blanks: entity("door or container", opens)},
		{Word: WordShuts, Also: "closes locked", Label: "is shut", Pattern: "{what} [is shut]", Blanks: entity("door or container", opens)},
		{Word: WordReaches, Also: "variable equals", Label: "has a counter that reaches a number", Pattern: "{own} of {what} [reaches] {number}", Blanks: counter},
		{Word: WordRings, Also: "time over timer elapsed delay", Label: "rings, as a timer does", Pattern: "{what} [rings]", Blanks: entity("timer", acts(kind.Timer))},
		{Word: WordEnds, Also: "wave cleared all gone", Label: "has nothing left, as a source", Pattern: "{what} [has nothing left]", Blanks: entity("source", makes)},
	}),
	group("The story", []Entry{
		{Word: WordBegins, Also: "start load intro", Label: "a new game begins", Pattern: "a new game [begins]"},
		{Word: WordGetsSet, Also: "variable true switch", Label: "a flag is set", Pattern: "{what} [becomes set]", Blanks: flag},
		{Word: WordGetsBare, Also: "variable false reset", Label: "a flag is cleared", Pattern: "{what} [becomes cleared]", Blanks: flag},
		{Word: WordCounts, Also: "variable score number equals", Label: "a counter reaches a number", Pattern: "{what} [comes to] {number}", Blanks: tally},
		{Word: WordHears, Also: "message broadcast event", Label: "a signal comes", Pattern: "signal {signal} [comes]", Blanks: signals},
	}),
)
