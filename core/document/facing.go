package document

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
	switch f {
	case Up:
		return 0
	case Right:
		return 1
	case Down:
		return 2
	case Left:
		return 3
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

// Edge is how the edge of a map on this side is called.
func (f Facing) Edge() string {
	switch f {
	case Up:
		return "top edge"
	case Down:
		return "bottom edge"
	}
	return string(f) + " edge"
}
