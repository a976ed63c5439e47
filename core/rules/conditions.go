package rules

import (
	"azzel/core/document"
	"azzel/core/kind"
	"slices"
)

// conditions are what a rule can ask.
var conditions = concat(document.SlotIf,
	group("A flag", []Entry{
		{Word: WordIsSet, Also: "variable true", Label: "a flag is set", Pattern: "{what} [is set]", Blanks: flag},
		{Word: WordIsNotSet, Also: "variable false", Label: "a flag is not set", Pattern: "{what} [is not set]", Blanks: flag},
	}),
	group("A counter", []Entry{
		{Word: WordAtLeast, Also: "variable more greater than number", Label: "a counter is at least", Pattern: "{what} [is at least] {number}", Blanks: tally},
		{Word: WordBelow, Also: "variable less smaller than number", Label: "a counter is below", Pattern: "{what} [is below] {number}", Blanks: tally},
		{Word: WordExactly, Also: "variable equals same number", Label: "a counter is exactly", Pattern: "{what} [is exactly] {number}", Blanks: tally},
	}),
	group("The hero", []Entry{
		{Word: WordHas, Also: "inventory key owns carries", Label: "has an item", Pattern: "the hero [has] {item}", Blanks: had},
		{Word: WordHasMany, Also: "inventory amount enough pay", Label: "has so many of an item", Pattern: "the hero [has at least] {number} {item}", Blanks: []Blank{{Key: "item", Type: BlankItem, Keys: true}, {Key: "number", Type: BlankNumber}}},
		{Word: WordLacks, Also: "inventory without missing", Label: "does not have an item", Pattern: "the hero [does not have] {item}", Blanks: had},
		{Word: WordHearts, Also: "health life", Label: "has so many hearts", Pattern: "the hero [has at least] {number} hearts", Blanks: amount},
		{Word: WordIsOnMap, Also: "room level current", Label: "is on a map", Pattern: "the hero [is on] {what}", Blanks: []Blank{{Key: "what", Type: BlankMap}}},
		{Word: WordIsLed, Also: "current character player controls who", Label: "is one of several heroes", Pattern: "{what} [is led]", Blanks: entity("hero", acts(kind.Hero))},
		{Word: WordAble, Also: "ability skill power jump", Label: "has a jump of its own", Pattern: "the hero [has the] {ability} jump", Blanks: []Blank{{Key: "ability", Type: BlankChoice, Of: Abilities}}},
		{Word: WordCameFrom, Also: "previous last map room entered", Label: "came from a map", Pattern: "the hero [came from] {what}", Blanks: []Blank{{Key: "what", Type: BlankMap}}},
		{Word: WordVisited, Also: "been before", Label: "has been on a map", Pattern: "the hero [has been on] {what}", Blanks: []Blank{{Key: "what", Type: BlankMap}}},
		{Word: WordUnvisited, Also: "first time never", Label: "has not been on a map", Pattern: "the hero [has not been on] {what}", Blanks: []Blank{{Key: "what", Type: BlankMap}}},
	}),
	group("Somebody", []Entry{
		{Word: WordLooks, Also: "facing direction turned", Label: "somebody looks a way", Pattern: "{what} [looks] {way}", Blanks: append(person(alive), way)},
		{Word: WordNear, Also: "distance close range", Label: "somebody is near something", Pattern: "{what} [is within] {number} cells of {where}", Blanks: append(person(anything), amount[0], where)},
		{Word: WordIsOne, Also: "who named somebody same equals it", Label: "somebody is a certain one", Pattern: "{what} [is] {where}", Blanks: append(person(anything), where)},
		{Word: WordIsSort, Also: "who kind type class it", Label: "somebody is of a kind", Pattern: "{what} [is a] {where}", Blanks: append(person(anything), Blank{Key: "where", Type: BlankKind, Wants: "thing"})},
		{Word: WordSpies, Also: "line of sight notices distance guard watches", Label: "somebody has something in sight", Pattern: "{what} [has] {where} in sight", Blanks: append(person(alive), where)},
		{Word: WordSees, Also: "line of sight notices", Label: "somebody sees the hero", Pattern: "{what} [sees the hero]", Blanks: entity("being that sees", sees)},
	}),
	group("Something", []Entry{
		{Word: WordIsOn, Also: "active pressed", Label: "something is on", Pattern: "{what} [is on]", Blanks: entity(turning, turns)},
		{Word: WordIsOff, Also: "inactive released", Label: "something is off", Pattern: "{what} [is off]", Blanks: entity(turning, turns)},
		{Word: WordIsOpen, Label: "a door is open", Pattern: "{what} [is open]", Blanks: entity("door or container", opens)},
		{Word: WordIsShut, Label: "a door is shut", Pattern: "{what} [is shut]", Blanks: entity("door or container", opens)},
		{Word: WordIsThere, Also: "exists alive present", Label: "something is there", Pattern: "{what} [is there]", Blanks: entity("thing", anything)},
		{Word: WordIsAway, Also: "gone taken dead absent", Label: "something is not there", Pattern: "{what} [is not there]", Blanks: entity("thing", anything)},
		{Word: WordLeft, Also: "remaining enemies count", Label: "few of a kind or a tag are left", Pattern: "[at most] {number} of {what} are left", Blanks: leftOver},
		{Word: WordIsGuise, Also: "state appearance form phase", Label: "something is in a guise", Pattern: "{what} [appears] {guise}", Blanks: guised("guise")},
		{Word: WordIsNotGuise, Also: "state appearance form phase", Label: "something is not in a guise", Pattern: "{what} [does not appear] {guise}", Blanks: guised("guise")},
		{Word: WordIsShown, Also: "visible", Label: "something is shown", Pattern: "{what} [is shown]", Blanks: entity("thing", anything)},
		{Word: WordIsHidden, Also: "invisible", Label: "something is hidden", Pattern: "{what} [is hidden]", Blanks: entity("thing", anything)},
	}),
	group("Something’s own", []Entry{
		{Word: WordOwnIsSet, Label: "a flag of its own is set", Pattern: "{own} of {what} [is set]", Blanks: ownFlag},
		{Word: WordOwnIsNotSet, Label: "a flag of its own is not set", Pattern: "{own} of {what} [is not set]", Blanks: ownFlag},
		{Word: WordOwnAtLeast, Label: "a counter of its own is at least", Pattern: "{own} of {what} [is at least] {number}", Blanks: counter},
		{Word: WordOwnBelow, Label: "a counter of its own is below", Pattern: "{own} of {what} [is below] {number}", Blanks: counter},
	}),
	group("A place", []Entry{
		{Word: WordIsMet, Also: "inside standing on", Label: "somebody is at a place", Pattern: "somebody [is at] {what}", Blanks: entity("sensor", acts(kind.Sensor))},
		{Word: WordIsLeft, Also: "empty outside", Label: "nobody is at a place", Pattern: "nobody [is at] {what}", Blanks: entity("sensor", acts(kind.Sensor))},
	}),
	group("The map", []Entry{
		{Word: WordLies, Also: "alternative frozen tide state tiles", Label: "a layer lies there", Pattern: "layer {what} [lies there]", Blanks: sheet},
		{Word: WordLiesNot, Also: "alternative without gone tiles", Label: "a layer does not lie there", Pattern: "layer {what} [does not lie there]", Blanks: sheet},
	}),
	group("By chance, and the first time", []Entry{
		{Word: WordFirst, Also: "once already again memory", Label: "it is the first time", Pattern: "this is [the first time]"},
		{Word: WordBetween, Also: "time clock hour day night morning evening", Label: "it is between two hours of the day", Pattern: "it [is between] the hours {number} and {most}", Blanks: append(slices.Clone(amount), Blank{Key: "most", Type: BlankNumber})},
		{Word: WordChance, Also: "odds random dice probability percent luck", Label: "by chance, as often as you say", Pattern: "[with a chance of] {number} percent", Blanks: amount},
	}),
	group("Several together", []Entry{
		{Word: WordAllOf, Also: "and together", Label: "all of several", Pattern: "[all of these]", Holds: asked},
		{Word: WordAnyOf, Also: "or either", Label: "any of several", Pattern: "[any of these]", Holds: asked},
		{Word: WordNoneOf, Also: "not nor neither", Label: "none of several", Pattern: "[none of these]", Holds: asked},
	}),
)
