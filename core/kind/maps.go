package kind

// Keys of the settings of maps that the core itself asks for.
const (
	MapView       = "view"
	MapGravity    = "gravity"
	MapJump       = "jump"
	MapRun        = "run"
	MapBackground = "background"
)

// What MapView can be.
const (
	FromAbove = "above"
	FromSide  = "side"
)

// longestMap is the most cells that a side of a map has.
const longestMap = 2048

// OfMaps lists what can be set of each map; the project sets their defaults.
var OfMaps = settings(
	called("seen", chosen(MapView, FromAbove+"=from above, "+FromSide+"=from the side", "Whether there is a down in which things fall")),
	number(MapGravity, "30", "cells/s²", 0, 500, "How fast falling grows, seen from the side"),
	called("jump height", number(MapJump, "3", "cells", 0, 50, "How high the hero jumps here; else as its kind says")),
	called("run speed", number(MapRun, "5", "cells/s", 1, 50, "How fast the hero goes here; else as its kind says")),
	colour(MapBackground, "#1e2a2e", "What is seen where nothing is painted"),
	called("screen width", number("screenWidth", "0", "cells", 0, longestMap, "What the player sees at once; 0 is the project's")),
	called("screen height", number("screenHeight", "0", "cells", 0, longestMap, "What the player sees at once; 0 is the project's")),
	chosen("camera", "follows=follows the hero, whole=shows all of the map, screens=screen by screen", "How the view moves"),
	called("camera ends", chosen("cameraEnds", "edges=at the map's edges, nowhere", "How far the view goes")),
	called("camera right by", number("cameraRight", "0", "cells", -100, 100, "How far the view is set off from the hero")),
	called("camera down by", number("cameraDown", "0", "cells", -100, 100, "How far the view is set off from the hero")),
	number("darkness", "0", "percent", 0, 100, "How dark it is where no light shines"),
	number("sight", "0", "cells", 0, 200, "How far the hero sees; 0 is everything"),
	called("sight remembers", yesno("sightRemembers", "true", "What was seen once stays on view, dimmed")),
	chosen("air", "plain, water, slowFall=slow fall", "What one moves in"),
	chosen("wind", "none, up, right, down, left", "Where it blows"),
	called("wind force", number("windForce", "3", "cells/s", 0, 50, "How strongly it blows")),
	file("sound", "What is heard all the time"),
	called("when it is entered again", chosen("enteredAgain", "remembers=remembers what happened, afresh=starts afresh", "What becomes of it meanwhile")),
)
