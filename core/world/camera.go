package world

import (
	"azzel/core/document"
	"azzel/core/kind"
)

// Lens is how the view of a player moves on a map, in 1/256 pixels.
type Lens struct {
	// Whole shows all of the map, Screens one screen after another; without either the view follows the hero.
	Whole, Screens bool
	// W and H are what the player sees at once; 0 is not set.
	W, H int64
	// DX and DY set the view off from the hero; Ends keeps it on the map.
	DX, DY int64
	Ends   bool
	// FreeX and FreeY are how far the hero goes from the middle before the view does.
	FreeX, FreeY int64
}

// What is seen screen by screen where nobody said how large a screen is, in cells.
const (
	usualWidth  = 20
	usualHeight = 12
)

// LensOf is the camera of a map.
func LensOf(d *document.Document, m *document.Map) Lens {
	number := func(key string) int64 { return d.MapValue(m, key).Thousandths() }
	w, h := int64(m.CellWidth)*Unit, int64(m.CellHeight)*Unit
	mode := d.MapValue(m, kind.MapCamera).Word()
	out := Lens{Whole: mode == kind.CameraWhole, Screens: mode == kind.CameraScreens, DX: number("cameraRight") * w / 1000, DY: number("cameraDown") * h / 1000,
		FreeX: number(kind.MapFreeAcross) * w / 1000, FreeY: number(kind.MapFreeDown) * h / 1000,
		Ends: d.MapValue(m, "cameraEnds").Word() != "nowhere"}
	across, down := number("screenWidth")/1000, number("screenHeight")/1000
	if across == 0 {
		across = int64(d.Project.Screen.W)
	}
	if down == 0 {
		down = int64(d.Project.Screen.H)
	}
	if out.Screens && across*down == 0 {
		across, down = usualWidth, usualHeight
	}
	if across*down != 0 {
		out.W, out.H = across*w, down*h
	}
	return out
}
