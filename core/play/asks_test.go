package play_test

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/rules"
)

// asks are the conditions: what makes one that is not so at first so, or the other way round.
var asks = map[string]struct {
	asks, makes string
	first       bool
	with        func(r *run)
}{
	rules.WordIsSet:       {"Flag is set", "set Flag", false, nil},
	rules.WordIsNotSet:    {"Flag is not set", "set Flag", true, nil},
	rules.WordAtLeast:     {"Salt is at least 4", "add 2 to Salt", false, nil},
	rules.WordBelow:       {"Salt is below 3", "add 1 to Salt", true, nil},
	rules.WordExactly:     {"Salt is exactly Tide", "let Tide be Salt", false, nil},
	rules.WordHas:         {"the hero has oil", "take away item", false, nil}, // taken before
	rules.WordHasMany:     {"the hero has at least 2 oil", "give the hero Salt oil", false, nil},
	rules.WordLacks:       {"the hero does not have oil", "take away item", true, nil},
	rules.WordHearts:      {"the hero has at least 3 hearts", "take 1 hearts from the hero", true, nil},
	rules.WordVisited:     {"the hero has been on Drawn", "", true, nil},
	rules.WordUnvisited:   {"the hero has not been on Drawn", "", false, nil},
	rules.WordIsOn:        {"timer is on", "turn on timer", false, nil},
	rules.WordIsOff:       {"timer is off", "turn on timer", true, nil},
	rules.WordIsOpen:      {"door is open", "flip door", false, nil},
	rules.WordIsShut:      {"door is shut", "open door", true, nil},
	rules.WordIsThere:     {"item is there", "take away item", true, nil},
	rules.WordIsAway:      {"every Item is not there", "take away every Item", false, nil},
	rules.WordLeft:        {"at most 0 of Item are left", "take away item", false, nil},
	rules.WordIsShown:     {"item is shown", "hide item", true, nil},
	rules.WordIsHidden:    {"item is hidden", "hide item", false, nil},
	rules.WordOwnIsSet:    {"lid of sign is set", "set lid of sign", false, nil},
	rules.WordOwnIsNotSet: {"lid of sign is not set", "set lid of every Jar", true, nil},
	rules.WordOwnAtLeast:  {"fullness of sign is at least 3", "let fullness of sign be 4", false, nil},
	rules.WordOwnBelow:    {"fullness of sign is below 3", "add Salt to fullness of sign", true, nil},
	rules.WordIsMet:       {"somebody is at sensor", "", false, nil},
	rules.WordIsLeft:      {"nobody is at sensor", "", true, nil},
	rules.WordAllOf:       {"all of these\n\tFlag is set\n\tSalt is exactly 2", "set Flag", false, nil},
	rules.WordAnyOf:       {"any of these\n\tFlag is set\n\tSalt is exactly 3", "set Flag", false, nil},
	rules.WordLies:        {"layer Ground lies there", "lift layer Ground", true, nil},
	rules.WordLiesNot:     {"layer Ground does not lie there", "lift layer Ground", false, nil},
	rules.WordIsGuise:     {"character appears Glad", "let character appear Glad", false, nil},
	rules.WordIsNotGuise:  {"character does not appear Sad", "let character appear Sad", true, nil},
	rules.WordIsOnMap:     {"the hero is on Drawn", "", true, nil},
	rules.WordLooks:       {"the hero looks down", "turn the hero left", true, nil},
	rules.WordNear:        {"character is within 2 cells of the hero", "move character to arrival", true, nil},
	rules.WordIsOne:       {"who is the hero", "", true, nil},
	rules.WordIsSort:      {"it is a Switch", "", true, nil},
	rules.WordSpies:       {"walker has item in sight", "take away item", true, nil},
	rules.WordSees:        {"walker sees the hero", "disable walker", true, nil},
	rules.WordIsLed:       {"\"hero\" is led", "play on as \"hero\"", false, func(r *run) { r.with(kind.Hero, 5, 2, 1, 1, false, document.Down) }},
	rules.WordChance:      {"with a chance of Salt percent", "let Salt be 100", false, nil},
	rules.WordBetween:     {"it is between the hours 22 and 3", "set the clock to hour 26", false, day},
	rules.WordFirst:       {"this is the first time", "", true, nil},
	rules.WordAble:        {"the hero has the double jump", "", false, nil},
	rules.WordCameFrom:    {"the hero came from Drawn", "", false, nil},
	rules.WordNoneOf:      {"none of these\n\tFlag is set\n\tany of these\n\t\tSalt is exactly 3", "add 1 to Salt", true, nil},
}
