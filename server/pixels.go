package server

import (
	"azzel/core/document"
	"azzel/core/grid"
	"errors"
	"fmt"
	"image"
	"image/color"
	"image/draw"

	"github.com/gofiber/fiber/v3"
)

// maxDrawn is how large a part of a picture can be drawn otherwise at once, a side.
const maxDrawn = 512

// pixels takes in a picture of which a part is drawn otherwise: only pixels that differ from what they were are written, so
// that all others stay just what they are.
func (s *Server) pixels(c fiber.Ctx) error {
	var ask struct {
		Picture string    `json:"picture"`
		Part    grid.Rect `json:"part"`
		// Was and Is are red, green, blue and opacity, row by row.
		Was []byte `json:"was"`
		Is  []byte `json:"is"`
	}
	if err := document.Strict(c.Body(), &ask); err != nil {
		return bad(errors.New("say which part of the picture is drawn otherwise, and how"))
	}
	_, img, err := s.storedPicture(c.Context(), ask.Picture)
	if err != nil {
		return err
	}
	b := img.Bounds()
	if ask.Part.Empty() || ask.Part.Intersect(grid.Rect{W: b.Dx(), H: b.Dy()}) != ask.Part || ask.Part.W > maxDrawn || ask.Part.H > maxDrawn {
		return bad(fmt.Errorf("that part lies outside the picture, or is larger than %d pixels a side", maxDrawn))
	}
	if n := 4 * ask.Part.W * ask.Part.H; len(ask.Was) != n || len(ask.Is) != n {
		return bad(errors.New("the pixels are not as many as the part has"))
	}
	out := image.NewNRGBA(image.Rect(0, 0, b.Dx(), b.Dy()))
	draw.Draw(out, out.Bounds(), img, b.Min, draw.Src)
	for i := 0; i < len(ask.Is); i += 4 {
		if [4]byte(ask.Is[i:]) != [4]byte(ask.Was[i:]) {
			x, y := ask.Part.X+i/4%ask.Part.W, ask.Part.Y+i/4/ask.Part.W
			out.SetNRGBA(x, y, color.NRGBA{R: ask.Is[i], G: ask.Is[i+1], B: ask.Is[i+2], A: ask.Is[i+3]})
		}
	}
	taken, err := s.intake(c.Context(), projectOf(c), out)
	if err != nil {
		return err
	}
	return c.JSON(taken)
}
