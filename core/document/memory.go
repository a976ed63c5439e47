package document

// How long what becomes of an entity in a game stays so.
const (
	// AsItsMap is for as long as its map remembers, or until one comes there again where that starts afresh.
	AsItsMap = ""
	// Remembered is for all of the game, whatever its map says.
	Remembered = "kept"
	// UntilLeft is until one comes to its map again.
	UntilLeft = "left"
	// UntilLost is until the hero comes back after a loss.
	UntilLost = "lost"
)

// Memories lists them in the order in which they are offered.
var Memories = []string{AsItsMap, Remembered, UntilLeft, UntilLost}
