package session

import (
	"azzel/core/document"
	"azzel/core/grid"
)

type none struct{}

type mapArgs struct {
	Map document.ID `json:"map"`
}

type entitiesArgs struct {
	Map document.ID   `json:"map"`
	IDs []document.ID `json:"ids"`
	DX  int           `json:"dx"`
	DY  int           `json:"dy"`
}

type pointArgs struct {
	Map    document.ID `json:"map"`
	Active document.ID `json:"active"`
	At     grid.Point  `json:"at"`
}
