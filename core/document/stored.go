package document

import (
	"azzel/core/cells"
	"azzel/core/grid"
	"azzel/core/kind"
)

// What follows is how layers and entities are written in a stored state: as elsewhere,
// but without what is nought, because there are many of them.

type storedLayer struct {
	ID      ID          `json:"id"`
	Name    string      `json:"name"`
	Order   int         `json:"order,omitempty"`
	Kind    string      `json:"kind"`
	Hidden  bool        `json:"hidden,omitempty"`
	Locked  bool        `json:"locked,omitempty"`
	Opacity int         `json:"opacity"`
	Front   bool        `json:"front,omitempty"`
	Foot    bool        `json:"foot,omitempty"`
	Absent  bool        `json:"absent,omitempty"`
	Covers  bool        `json:"covers,omitempty"`
	Group   ID          `json:"group,omitempty"`
	Tint    string      `json:"tint,omitempty"`
	OffsetX int         `json:"offsetX,omitempty"`
	OffsetY int         `json:"offsetY,omitempty"`
	LagX    int         `json:"lagX,omitempty"`
	LagY    int         `json:"lagY,omitempty"`
	Image   *LayerImage `json:"image,omitempty"`

	Cells cells.Plane `json:"-"`
}

type storedEntity struct {
	ID       ID           `json:"id"`
	Layer    ID           `json:"layer"`
	Kind     string       `json:"kind"`
	Name     string       `json:"name"`
	X        int          `json:"x"`
	Y        int          `json:"y"`
	W        int          `json:"w"`
	H        int          `json:"h"`
	Facing   Facing       `json:"facing"`
	Look     cells.Cell   `json:"look,omitempty"`
	LookOn   cells.Cell   `json:"lookOn,omitempty"`
	On       bool         `json:"on,omitempty"`
	Absent   bool         `json:"absent,omitempty"`
	Unseen   bool         `json:"unseen,omitempty"`
	Disabled bool         `json:"disabled,omitempty"`
	Values   []kind.Value `json:"values,omitempty"`
	Order    int          `json:"order,omitempty"`
	Rank     int          `json:"rank,omitempty"`
	Locked   bool         `json:"locked,omitempty"`
	Hidden   bool         `json:"hidden,omitempty"`
	Group    string       `json:"group,omitempty"`
	Turn     grid.Turn    `json:"turn,omitempty"`
	Tint     string       `json:"tint,omitempty"`
	Faint    int          `json:"faint,omitempty"`
	Points   []grid.Point `json:"points,omitempty"`
	Carrier  ID           `json:"carrier,omitempty"`
	Variants []Variant    `json:"variants,omitempty"`
	Memory   string       `json:"memory,omitempty"`
	Guises   []Guise      `json:"guises,omitempty"`
}

func storedLayers(all []*Layer) []*storedLayer {
	out := make([]*storedLayer, len(all))
	for i, l := range all {
		out[i] = (*storedLayer)(l)
	}
	return out
}

func storedEntities(all []*Entity) []*storedEntity {
	out := make([]*storedEntity, len(all))
	for i, e := range all {
		out[i] = (*storedEntity)(e)
	}
	return out
}
