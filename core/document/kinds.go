package document

// The kinds of entity.
const (
	KindSpawn       = "spawn"
	KindArrival     = "arrival"
	KindExit        = "exit"
	KindCollectible = "collectible"
	KindSwitch      = "switch"
	KindDoor        = "door"
	KindDecoration  = "decoration"
)

// Kind is what all entities of one kind have in common.
type Kind struct {
	ID   string `json:"id"`
	Name string `json:"name"`
	// Help says in one line what it is for.
	Help string `json:"help"`
	// Area kinds cover any rectangle of cells, so a dragged box makes one of them.
	Area bool `json:"area"`
	// Faces tells whether a facing can be set.
	Faces bool `json:"faces"`
	// State names what "on" means for it; empty when it has no state.
	State string `json:"state"`
}

// Kinds lists the kinds in the order in which they are offered.
var Kinds = []Kind{
	{ID: KindSpawn, Name: "Spawn", Help: "Where the hero begins", Faces: true},
	{ID: KindExit, Name: "Exit", Help: "Leads to a place on another map", Area: true},
	{ID: KindArrival, Name: "Arrival", Help: "Where a passage sets the hero down", Faces: true},
	{ID: KindCollectible, Name: "Collectible", Help: "Taken and counted when touched"},
	{ID: KindSwitch, Name: "Switch", Help: "Used by the hero; rules follow it", State: "On at the start"},
	{ID: KindDoor, Name: "Door", Help: "Stops the hero until it is opened", Area: true, State: "Open at the start"},
	{ID: KindDecoration, Name: "Decoration", Help: "A tile placed freely, in nobody's way"},
}

// KindOf finds a kind by id, nil when there is none.
func KindOf(id string) *Kind {
	for i := range Kinds {
		if Kinds[i].ID == id {
			return &Kinds[i]
		}
	}
	return nil
}

// Facing is one of the four ways to look.
type Facing string

// The facings, in the order of Hero.Frames.
const (
	Up    Facing = "up"
	Right Facing = "right"
	Down  Facing = "down"
	Left  Facing = "left"
)

// Facings lists the facings in order; each is a quarter turn clockwise from the one before.
var Facings = [4]Facing{Up, Right, Down, Left}

// Index is the facing's place in Facings, -1 when it is none of them.
func (f Facing) Index() int {
	for i, g := range Facings {
		if f == g {
			return i
		}
	}
	return -1
}

// Step is the direction as a step of one cell.
func (f Facing) Step() (dx, dy int) {
	switch f {
	case Up:
		return 0, -1
	case Right:
		return 1, 0
	case Left:
		return -1, 0
	}
	return 0, 1
}

// Opposite is the facing half a turn away.
func (f Facing) Opposite() Facing {
	if i := f.Index(); i >= 0 {
		return Facings[(i+2)%4]
	}
	return Down
}
