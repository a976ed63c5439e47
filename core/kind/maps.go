package kind

import (
	"slices"
	"strings"
)

// Keys of the settings of maps that the core itself asks for.
const (
	MapView       = "view"
	MapGravity    = "gravity"
	MapJump       = "jump"
	MapRun        = "run"
	MapBackground = "background"

	MapWalking      = "walking"
	MapWays         = "ways"
	MapAir          = "air"
	MapWind         = "wind"
	MapWindForce    = "windForce"
	MapEnteredAgain = "enteredAgain"
	MapCamera       = "camera"
	MapDarkness     = "darkness"
	MapSight        = "sight"
	MapFreeAcross   = "cameraFreeAcross"
	MapFreeDown     = "cameraFreeDown"
	MapRemembers    = "sightRemembers"
	MapSound        = "sound"
	NoSound         = "none"
	MapMusic        = "music"
	MapKey          = "key"
	MapDays         = "days"
	MapWeather      = "weather"
	MapTimeLimit    = "timeLimit"
	MapMoveLimit    = "moveLimit"
	MapStars        = "stars"
	MapTwoStars     = "twoStars"
	MapThreeStars   = "threeStars"
)

// What MapView can be.
const (
	FromAbove = "above"
	FromSide  = "side"
)

// What MapWalking, MapWays, MapAir, MapEnteredAgain and MapCamera can be.
const (
	WalksFree     = "free"
	WalksCells    = "cells"
	WalksTurns    = "turns"
	EightWays     = "eight"
	AirWater      = "water"
	AirSlowFall   = "slowFall"
	Afresh        = "afresh"
	CameraFollows = "follows"
	CameraWhole   = "whole"
	CameraScreens = "screens"
	DaysPass      = "pass"
	DaysStand     = "stand"
	DaysInside    = "inside"
)

// What earns stars.
const (
	StarsNot       = "nothing"
	StarsMoves     = "moves"
	StarsTime      = "time"
	StarsTries     = "tries"
	StarsCollected = "collected"
)

// Keys are those that music can be in, half tones from C on.
var Keys = []string{"C", "D flat", "D", "E flat", "E", "F", "G flat", "G", "A flat", "A", "B flat", "B"}

// Weathers are what the weather can be on a map.
var Weathers = []string{"none", "rain", "snow", "fog", "heat"}

// longestMap is the most cells that a side of a map has.
const longestMap = 2048

// mapGroups puts the settings of maps under headings; what is in none is the designer's own.
var mapGroups = []struct {
	name string
	keys []string
}{
	{"Moving", []string{MapView, MapWalking, MapWays, MapGravity, MapJump, MapRun, MapAir, MapWind, MapWindForce}},
	{"Seen and heard", []string{MapBackground, MapDarkness, MapSight, MapRemembers, MapSound, MapMusic, MapKey, MapDays, MapWeather}},
	{"Camera", []string{"screenWidth", "screenHeight", "camera", MapFreeAcross, MapFreeDown, "cameraEnds", "cameraRight", "cameraDown"}},
	{"Over time", []string{"enteredAgain"}},
	{"Finishing it", []string{MapTimeLimit, MapMoveLimit, MapStars, MapTwoStars, MapThreeStars}},
}

// MapGroup is the heading under which a setting of maps stands.
func MapGroup(key string) string {
	for _, g := range mapGroups {
		if slices.Contains(g.keys, key) {
			return g.name
		}
	}
	return "Your own"
}

// MapMatters says whether a setting of maps does anything, given what the others are.
func MapMatters(key string, is func(key string) Datum) bool {
	word := func(key string) string { return is(key).Word() }
	switch key {
	case MapGravity, MapJump:
		return word(MapView) == FromSide
	case MapWalking, MapWays:
		return word(MapView) != FromSide
	case MapWindForce:
		return word(MapWind) != "none"
	case MapRemembers:
		return is(MapSight).Thousandths() != 0
	case MapKey:
		return word(MapMusic) != NoSound
	case MapTwoStars, MapThreeStars:
		return word(MapStars) != StarsNot
	case "cameraEnds":
		return word("camera") != "whole"
	case "cameraRight", "cameraDown", MapFreeAcross, MapFreeDown:
		return word("camera") == "follows"
	}
	return true
}

// OfMaps lists what can be set of each map; the project sets their defaults.
var OfMaps = settings(
	called("seen", chosen(MapView, FromAbove+"=from above, "+FromSide+"=from the side", "Whether there is a down in which things fall")),
	chosen(MapWalking, WalksFree+"=freely, "+WalksCells+"=cell by cell, "+WalksTurns+"=turn by turn", "How the hero goes, seen from above; turn by turn the world moves when the hero does"),
	called("directions", chosen(MapWays, EightWays+", four", "Whether one goes to the corners as well")),
	number(MapGravity, "30", "cells/s²", 0, 500, "How fast falling grows, seen from the side"),
	called("jump height", number(MapJump, "3", "cells", 0, 50, "How high the hero jumps here; else as its kind says")),
	called("run speed", number(MapRun, "5", "cells/s", 1, 50, "How fast the hero goes here; else as its kind says")),
	colour(MapBackground, "#1e2a2e", "What is seen where nothing is painted"),
	called("screen width", none("as the project", number("screenWidth", "0", "cells", 0, longestMap, "What the player sees at once"))),
	called("screen height", none("as the project", number("screenHeight", "0", "cells", 0, longestMap, "What the player sees at once"))),
	chosen(MapCamera, "follows=follows the hero, whole=shows all of the map, screens=screen by screen", "How the view moves"),
	called("camera free across", number(MapFreeAcross, "0", "cells", 0, 100, "How far the hero goes to either side before the view does")),
	called("camera free down", number(MapFreeDown, "0", "cells", 0, 100, "How far the hero goes up and down before the view does")),
	called("camera ends", chosen("cameraEnds", "edges=at the map's edges, nowhere", "How far the view goes")),
	called("camera right by", number("cameraRight", "0", "cells", -100, 100, "How far the view is set off from the hero")),
	called("camera down by", number("cameraDown", "0", "cells", -100, 100, "How far the view is set off from the hero")),
	none("none", number(MapDarkness, "0", "percent", 0, 100, "How dark it is where no light shines")),
	none("everything", number(MapSight, "0", "cells", 0, 200, "How far the hero sees")),
	called("sight remembers", yesno(MapRemembers, "true", "What was seen once stays on view, dimmed")),
	chosen(MapAir, "plain, water, slowFall=slow fall", "What one moves in"),
	chosen(MapWind, "none, up, right, down, left", "Where it blows"),
	called("wind force", number(MapWindForce, "3", "cells/s", 0, 50, "How strongly it blows")),
	chosen(MapSound, "none, "+ambience, "What is heard all over it"),
	chosen(MapMusic, "none, calm, bright, dark, tense, quick", "Played by Azzel, in this mood; more of it when the hero is in danger"),
	chosen(MapKey, strings.Join(Keys, ", "), "In which the music is"),
	called("when it is entered again", chosen(MapEnteredAgain, "remembers=remembers what happened, afresh=starts afresh", "What becomes of it meanwhile")),
	called("day and night", chosen(MapDays, DaysPass+"=pass, "+DaysStand+"=stand still, "+DaysInside+"=are not seen", "Where a day of the game has a length")),
	chosen(MapWeather, strings.Join(Weathers, ", "), "What it is like there"),
	called("time for it", none("without end", Setting{Key: MapTimeLimit, Name: MapTimeLimit, Type: Duration, Default: "0", Unit: "seconds", Most: 7200_000, Help: "The game is lost when it is over"})),
	called("moves for it", none("without end", number(MapMoveLimit, "0", "", 0, 100_000, "The game is lost when they are used up"))),
	called("stars for", chosen(MapStars, StarsNot+"=nothing, "+StarsMoves+"=few moves, "+StarsTime+"=little time, "+StarsTries+"=few tries, "+StarsCollected+"=what was collected", "One is for finishing it")),
	called("two stars", number(MapTwoStars, "0", "", 0, 100_000, "At the most so many moves, seconds, tries; at least so many collected")),
	called("three stars", number(MapThreeStars, "0", "", 0, 100_000, "At the most so many moves, seconds, tries; at least so many collected")),
)
