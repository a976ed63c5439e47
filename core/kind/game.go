package kind

import "slices"

// Keys of the settings of a game as a whole that the core itself asks for.
const (
	GameTitle      = "title"
	GameLine       = "line"
	GameBehind     = "behind"
	GameCredits    = "credits"
	GameGoal       = "goal"
	GameWonWith    = "wonWith"
	GameMoves      = "moves"
	GameDay        = "dayLasts"
	GameBegins     = "dayBegins"
	GameDark       = "dayDark"
	GameNight      = "nightColour"
	GameChoose     = "choose"
	GameSlots      = "slots"
	GameKeeps      = "keepsItself"
	GameShowMoves  = "showMoves"
	GameShowTime   = "showTime"
	GameTextSpeed  = "textSpeed"
	GamePortraits  = "portraits"
	GameShowPlaces = "showPlace"
	GameShowGoals  = "showGoals"
	GameShowLeft   = "showLeft"
)

// What GameGoal and GameMoves can be: by what a game is won, and what counts as a move.
const (
	GoalWins     = "wins"
	GoalGoesOn   = "goesOn"
	GoalCollects = "collects"
	GoalFlag     = "flag"
	MovesCells   = "cells"
	MovesPresses = "presses"
	MovesPushes  = "pushes"
	ChooseNever  = "never"
)

// LeftOff and LeftHit are what GameShowLeft can be beside of cores.
const (
	LeftOff = "off"
	LeftHit = "hit"
)

// corners are where something is shown on the player's screen.
const corners = "off, topLeft=top left, top=top middle, topRight=top right, bottomLeft=bottom left, bottomRight=bottom right"

// DayParts is into how many parts the curve of light divides a day.
const DayParts = 8

// firstDark is how dark it is at midnight, at three, and so on, in hundredths.
var firstDark = []int{70, 65, 25, 0, 0, 0, 20, 60}

// gameGroups put the settings of a game under headings.
var gameGroups = []struct {
	name string
	keys []string
}{
	{"Title", []string{GameTitle, GameLine, GameBehind, GameCredits}},
	{"From beginning to end", []string{GameGoal, GameWonWith, GameChoose, GameMoves, GameSlots, GameKeeps}},
	{"On the screen", []string{"showHearts", "showLives", "showPoints", "showCollected", "showItems", GameShowMoves, GameShowTime, "showClock", "showWaves", GameShowLeft, "showMap", GameShowGoals, "shown", GameShowPlaces, "heartTile", "lostTile", "livesTile", "collectedTile", "movesTile", "pointerTile"}},
	{"What is said", []string{GameTextSpeed, "textPlace", "textSize", "textFont", "textColour", "textPaper", "textNames", "frameTile", GamePortraits}},
	{"Day and night", []string{GameDay, GameBegins, GameDark, GameNight}},
}

// GameGroup is the heading under which a setting of a game stands.
func GameGroup(key string) string {
	for _, g := range gameGroups {
		if slices.Contains(g.keys, key) {
			return g.name
		}
	}
	return ownGroup
}

// GameMatters says whether a setting of a game does anything, given what the others are.
func GameMatters(key string, is func(key string) Datum) bool {
	switch key {
	case GameWonWith:
		by := is(GameGoal).Word()
		return by == GoalCollects || by == GoalFlag
	case GameBegins, GameDark, GameNight, "showClock":
		return is(GameDay).Thousandths() != 0
	}
	return true
}

// OfGame lists what can be set of a game as a whole.
var OfGame = settings(
	called("title", written(GameTitle, "What the game is called on its title; else as the project is")),
	called("line below", written(GameLine, "A line below the title")),
	called("picture behind", written(GameBehind, "The map that is seen behind the title; else where the game begins")),
	called("credits", written(GameCredits, "Who made it; a line each")),
	called("is won by", chosen(GameGoal, GoalWins+"=reaching a goal, "+GoalCollects+"=collecting all, "+GoalFlag+"=a flag that is set, "+GoalGoesOn+"=rules alone", "What finishes the game, and a map that another one follows; rules can win it always")),
	called("which", written(GameWonWith, "The flag that wins it; or which kind is to be collected, else whatever can be")),
	called("choosing a map", chosen(GameChoose, "opened=of those that were opened, all=of all that follow each other, "+ChooseNever, "Which maps the title offers, where finishing one starts the next")),
	called("a move is", chosen(GameMoves, MovesCells+"=each cell that is walked, "+MovesPresses+"=each press of use or jump, "+MovesPushes+"=each push of a block", "What is counted as a move")),
	called("places to save", none("none", number(GameSlots, "3", "", 0, 9, "How many games can be kept beside each other"))),
	called("saves by itself", yesno(GameKeeps, "true", "At checkpoints, and where the hero arrives on a map")),
	called("hearts", chosen("showHearts", "topLeft=top left, top=top middle, topRight=top right, bottomLeft=bottom left, bottomRight=bottom right, off", "Where they are shown")),
	called("lives", chosen("showLives", "topLeft=top left, top=top middle, topRight=top right, bottomLeft=bottom left, bottomRight=bottom right, off", "Where they are shown, if they are counted")),
	called("points", chosen("showPoints", "topLeft=top left, top=top middle, topRight=top right, bottomLeft=bottom left, bottomRight=bottom right, off", "Where those of a turn are shown, if the hero goes by them")),
	called("collected", chosen("showCollected", "topLeft=top left, top=top middle, topRight=top right, bottomLeft=bottom left, bottomRight=bottom right, off", "Where it is shown, if there is something to collect")),
	called("items", chosen("showItems", "bottomLeft=bottom left, bottomRight=bottom right, topLeft=top left, topRight=top right, off", "Where what can be taken in hand is shown")),
	called("moves", chosen(GameShowMoves, corners, "Where they are shown")),
	called("time played", chosen(GameShowTime, corners, "Where it is shown")),
	called("time of day", chosen("showClock", "topRight=top right, topLeft=top left, top=top middle, bottomLeft=bottom left, bottomRight=bottom right, off", "Where it is shown, if days pass")),
	called("waves", chosen("showWaves", "top=top middle, topLeft=top left, topRight=top right, bottomLeft=bottom left, bottomRight=bottom right, off", "Where one sees which wave it is, while something makes waves")),
	called("what is left", chosen(GameShowLeft, "cores=of cores, "+LeftHit+"=of whatever was hit, "+LeftOff, "A bar above what takes several hits: how many it takes still")),
	called("small map", chosen("showMap", corners, "Where one sees of the map what the hero has seen")),
	called("points to goals", yesno(GameShowGoals, "false", "At the edge of what is seen: to the goals of the map, else to what leads to one")),
	called("when", chosen("shown", "always, changing=for a while after it changes", "When hearts and what is counted are seen")),
	called("name of the place", yesno(GameShowPlaces, "true", "Shown for a moment as one arrives on a map")),
	called("heart", tile("heartTile", "What a heart is shown as")),
	called("lost heart", tile("lostTile", "What one that is gone is shown as; else nothing is")),
	called("life", tile("livesTile", "What lives are shown with")),
	called("collected thing", tile("collectedTile", "What is collected is shown with this")),
	called("move", tile("movesTile", "What moves are shown with")),
	called("pointer", tile("pointerTile", "What the mouse is shown as in the game")),
	called("letters a second", none("all at once", number(GameTextSpeed, "0", "", 0, 500, "How fast what is said is written"))),
	called("box", chosen("textPlace", "bottom=at the bottom, top=at the top, middle=in the middle", "Where what is said stands")),
	called("size", chosen("textSize", "normal, small, large", "How large the letters are; the player can change it")),
	called("letters", chosen("textFont", "mono=of one width, sans=plain", "What they look like")),
	called("letters' colour", colour("textColour", "#1e2a2e", "What is said")),
	called("box's colour", colour("textPaper", "#fcfaf5", "Behind what is said")),
	called("names' colour", colour("textNames", "#0f6a6c", "Behind who says it")),
	called("frame", tile("frameTile", "The first of nine tiles, three by three on their sheet: corners, edges and the middle")),
	called("who speaks", chosen(GamePortraits, "left=at the left, right=at the right", "On which side of the box")),
	called("a day lasts", none("for ever", Setting{Key: GameDay, Name: GameDay, Type: Duration, Default: "0", Unit: "seconds", Most: 7200_000, Help: "How long the game's day and night take together"})),
	called("begins at", number(GameBegins, "8", "o'clock", 0, 23, "The hour at which a new game begins")),
	called("how dark", Setting{Key: GameDark, Name: GameDark, Type: Counts, Default: Of(firstDark), Help: "From midnight on, every three hours, in percent"}),
	called("night's colour", colour(GameNight, "#141c3a", "What the dark is tinted with")),
)
