package kind

import "azzel/core/cells"

// Pose is how a kind looks while it does something other than standing and walking: pictures by facing, in the order up,
// right, down, left, shown one after the other.
type Pose struct {
	// Does is one of Poses.
	Does   string          `json:"does"`
	Frames [4][]cells.Cell `json:"frames"`
	// Ms is how long each picture is shown.
	Ms int `json:"ms"`
}

// The poses.
const (
	Jumps   = "jumps"
	Falls   = "falls"
	Climbs  = "climbs"
	Swims   = "swims"
	Ducks   = "ducks"
	Strikes = "strikes"
	Hurt    = "hurt"
	Sees    = "sees"
	IsOn    = "on"
)

// Poses lists what a kind can have pictures of, in the order in which they are offered.
var Poses = []string{Jumps, Falls, Climbs, Swims, Ducks, Strikes, Hurt, Sees, IsOn}

// Pose finds the pictures of what something does, nil where the kind has none.
func (k *Kind) Pose(does string) *Pose {
	for i := range k.Poses {
		if k.Poses[i].Does == does {
			return &k.Poses[i]
		}
	}
	return nil
}
