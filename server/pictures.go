package server

import (
	"azzel/core/author"
	"azzel/core/cut"
	"azzel/core/document"
	"azzel/demo"
	"bytes"
	"context"
	"errors"
	"fmt"
	"image"
	"image/draw"
	"image/png"

	"github.com/gofiber/fiber/v3"
)

// Taken is a picture that was taken in, with what it may be cut into.
type Taken struct {
	Picture string      `json:"picture"`
	Width   int         `json:"width"`
	Height  int         `json:"height"`
	Number  int         `json:"number"`
	Guesses []cut.Guess `json:"guesses"`
}

// DecodePicture reads a PNG under the limits. Sizes are checked before any
// pixel is decoded; the error is a sentence for people.
func DecodePicture(data []byte) (*image.NRGBA, error) {
	config, err := png.DecodeConfig(bytes.NewReader(data))
	switch {
	case err != nil:
		return nil, errors.New("that is not a PNG picture: choose a file that ends in .png")
	case config.Width < 1 || config.Height < 1:
		return nil, errors.New("that picture has no pixels")
	case config.Width > document.MaxPictureSide || config.Height > document.MaxPictureSide:
		return nil, fmt.Errorf("that picture is %d × %d pixels; the most is %d a side: make it smaller or cut it in parts", config.Width, config.Height, document.MaxPictureSide)
	case config.Width*config.Height > document.MaxPicturePixels:
		return nil, fmt.Errorf("that picture has more than %d million pixels: make it smaller or cut it in parts", document.MaxPicturePixels/1_000_000)
	}
	img, err := png.Decode(bytes.NewReader(data))
	if err != nil {
		return nil, errors.New("that PNG picture is damaged: save it again and choose it once more")
	}
	out := image.NewNRGBA(image.Rect(0, 0, config.Width, config.Height))
	draw.Draw(out, out.Bounds(), img, img.Bounds().Min, draw.Src)
	return out, nil
}

func (s *Server) takePicture(c fiber.Ctx) error {
	img, err := DecodePicture(c.Body())
	if err != nil {
		return bad(err)
	}
	taken, err := s.intake(c.Context(), projectOf(c), img)
	if err != nil {
		return err
	}
	return c.JSON(taken)
}

func (s *Server) intake(ctx context.Context, project string, img *image.NRGBA) (Taken, error) {
	t := Taken{Width: img.Bounds().Dx(), Height: img.Bounds().Dy()}
	var out bytes.Buffer
	if err := png.Encode(&out, img); err != nil {
		return t, fmt.Errorf("normalise a picture: %w", err)
	}
	var err error
	if t.Picture, err = s.store.SavePicture(ctx, out.Bytes(), t.Width, t.Height); err != nil {
		return t, err
	}
	if t.Number, err = s.store.ReserveNumber(ctx, project); err != nil {
		return t, err
	}
	t.Guesses = cut.Guesses(cut.Picture{Width: t.Width, Height: t.Height, Pix: img.Pix})
	return t, nil
}

func (s *Server) picture(c fiber.Ctx) error {
	data, err := s.store.PictureBytes(c.Context(), c.Params("sha"))
	if err != nil {
		return err
	}
	c.Set("Content-Type", "image/png")
	c.Set("Cache-Control", "public, max-age=31536000, immutable")
	return c.Send(data)
}

// recognise finds the tiles of a material on a picture, by the one that shows it all over.
func (s *Server) recognise(c fiber.Ctx) error {
	var ask struct {
		Picture string       `json:"picture"`
		Cut     document.Cut `json:"cut"`
		Full    int          `json:"full"`
		By      string       `json:"by"`
	}
	if err := document.Strict(c.Body(), &ask); err != nil {
		return bad(errors.New("say which tile of which picture shows the material all over"))
	}
	data, err := s.store.PictureBytes(c.Context(), ask.Picture)
	if err != nil {
		return err
	}
	img, err := DecodePicture(data)
	if err != nil {
		return bad(err)
	}
	p := cut.Picture{Width: img.Bounds().Dx(), Height: img.Bounds().Dy(), Pix: img.Pix}
	if err := ask.Cut.Check(p.Width, p.Height); err != nil {
		return bad(err)
	}
	return c.JSON(append([]cut.Marked{}, cut.Recognise(p, ask.Cut, ask.Full, ask.By)...))
}

// number gives a number that cells can call a material or zone by.
func (s *Server) number(c fiber.Ctx) error {
	n, err := s.store.ReserveNumber(c.Context(), projectOf(c))
	if err != nil {
		return err
	}
	return c.JSON(n)
}

// starter takes in the starter set's picture and gives the kit to put into the project.
func (s *Server) starter(c fiber.Ctx) error {
	sheet := demo.Starter()
	taken, err := s.intake(c.Context(), projectOf(c), sheet.Picture)
	if err != nil {
		return err
	}
	kit := author.Kit{Tileset: sheet.Tileset(taken.Number, taken.Picture), Hero: sheet.Hero(taken.Number), Looks: sheet.Looks(taken.Number)}
	return c.JSON(kit)
}
