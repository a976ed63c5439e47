package server

import (
	"azzel/core/author"
	"azzel/core/cut"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/demo"
	"azzel/store"
	"bytes"
	"context"
	"errors"
	"fmt"
	"image"
	"image/color"
	"image/draw"
	_ "image/gif"  // read by DecodePicture
	_ "image/jpeg" // read by DecodePicture
	"image/png"
	"strings"

	"github.com/gofiber/fiber/v3"
	_ "golang.org/x/image/bmp" // read by DecodePicture
	xdraw "golang.org/x/image/draw"
	_ "golang.org/x/image/webp" // read by DecodePicture
)

// Taken is a picture that was taken in, with what it may be cut into.
type Taken struct {
	Picture string      `json:"picture"`
	Width   int         `json:"width"`
	Height  int         `json:"height"`
	Number  int         `json:"number"`
	Guesses []cut.Guess `json:"guesses"`
}

// DecodePicture reads a PNG, WebP, GIF (its first picture), JPEG or BMP under
// the limits. Sizes are checked before any pixel is decoded; the error is a
// sentence for people.
func DecodePicture(data []byte) (*image.NRGBA, error) {
	config, format, err := image.DecodeConfig(bytes.NewReader(data))
	if err != nil {
		return nil, errors.New("that is not a picture: choose a PNG, WebP, GIF, JPEG or BMP file")
	}
	if err := checkSize(config.Width, config.Height); err != nil {
		return nil, err
	}
	switch config.ColorModel {
	case color.NRGBA64Model, color.RGBA64Model, color.Gray16Model:
		// these take twice the room, and half of it is thrown away
		if config.Width*config.Height > document.MaxPicturePixels/2 {
			return nil, errors.New("that picture has 16 bits a colour and is too large: save it with 8")
		}
	}
	img, _, err := image.Decode(bytes.NewReader(data))
	if err != nil {
		return nil, fmt.Errorf("that %s picture is damaged: save it again and choose it once more", strings.ToUpper(format))
	}
	switch whole := image.Rect(0, 0, config.Width, config.Height); p := img.(type) {
	case *image.NRGBA:
		if p.Rect == whole {
			return p, nil
		}
	case *image.RGBA:
		if p.Rect == whole && p.Opaque() {
			return &image.NRGBA{Pix: p.Pix, Stride: p.Stride, Rect: p.Rect}, nil
		}
	}
	out := image.NewNRGBA(image.Rect(0, 0, config.Width, config.Height))
	draw.Draw(out, img.Bounds(), img, img.Bounds().Min, draw.Src) // a GIF's first picture may be smaller
	return out, nil
}

func checkSize(w, h int) error {
	switch {
	case w < 1 || h < 1:
		return errors.New("that picture has no pixels")
	case w > document.MaxPictureSide || h > document.MaxPictureSide:
		return fmt.Errorf("that picture is %d × %d pixels; the most is %d a side: make it smaller or cut it in parts", w, h, document.MaxPictureSide)
	case w*h > document.MaxPicturePixels:
		return fmt.Errorf("that picture has more than %d million pixels: make it smaller or cut it in parts", document.MaxPicturePixels/1_000_000)
	}
	return nil
}

// oneAtATime lets one picture be worked on after the other: each may take as much
// memory as the largest that is allowed.
func (s *Server) oneAtATime(c fiber.Ctx) error {
	s.decoding.Lock()
	defer s.decoding.Unlock()
	return c.Next()
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

// storedPicture reads a picture that was taken in before.
func (s *Server) storedPicture(ctx context.Context, sha string) (cut.Picture, *image.NRGBA, error) {
	data, err := s.store.PictureBytes(ctx, sha)
	if err != nil {
		return cut.Picture{}, nil, err
	}
	img, err := DecodePicture(data)
	if err != nil {
		return cut.Picture{}, nil, fmt.Errorf("%w: it cannot be read, %w", store.ErrNotFound, err) // as good as missing
	}
	return cut.Picture{Width: img.Bounds().Dx(), Height: img.Bounds().Dy(), Pix: img.Pix}, img, nil
}

// sight is a picture with a cut, as tiles are seen on it.
type sight struct {
	Picture string       `json:"picture"`
	Cut     document.Cut `json:"cut"`
}

func (s *Server) look(ctx context.Context, a sight) (cut.Picture, error) {
	p, _, err := s.storedPicture(ctx, a.Picture)
	if err != nil {
		return p, err
	}
	if err := a.Cut.Check(p.Width, p.Height); err != nil {
		return p, bad(err)
	}
	return p, nil
}

// recognise finds the tiles of a material on a picture, by the one that shows it all over.
func (s *Server) recognise(c fiber.Ctx) error {
	var ask struct {
		sight
		Full int `json:"full"`
	}
	if err := document.Strict(c.Body(), &ask); err != nil {
		return bad(errors.New("say which tile of which picture shows the material all over"))
	}
	p, err := s.look(c.Context(), ask.sight)
	if err != nil {
		return err
	}
	by, tiles := cut.RecogniseBest(p, ask.Cut, ask.Full)
	return c.JSON(fiber.Map{"by": by, "tiles": append([]cut.Marked{}, tiles...)})
}

// match finds which tile of another cut or picture each tile becomes.
func (s *Server) match(c fiber.Ctx) error {
	var ask struct {
		From struct {
			sight
			// Width and Height are what is known of a picture that is missing itself.
			Width  int `json:"width"`
			Height int `json:"height"`
		} `json:"from"`
		To sight `json:"to"`
	}
	if err := document.Strict(c.Body(), &ask); err != nil {
		return bad(errors.New("say which picture and cut is matched to which"))
	}
	to, err := s.look(c.Context(), ask.To)
	if err != nil {
		return err
	}
	from, err := s.look(c.Context(), ask.From.sight)
	if errors.Is(err, store.ErrNotFound) && ask.From.Cut.Check(ask.From.Width, ask.From.Height) == nil {
		// what it showed is gone: each tile is taken to lie where it lay
		return c.JSON(author.MatchByPlace(ask.From.Cut, ask.From.Width, ask.From.Height, ask.To.Cut, to.Width, to.Height))
	}
	if err != nil {
		return err
	}
	return c.JSON(cut.Match(from, ask.From.Cut, to, ask.To.Cut))
}

// partners finds the tiles that are mirror images of each other.
func (s *Server) partners(c fiber.Ctx) error {
	var ask sight
	if err := document.Strict(c.Body(), &ask); err != nil {
		return bad(errors.New("say which picture and cut is looked at"))
	}
	p, err := s.look(c.Context(), ask)
	if err != nil {
		return err
	}
	return c.JSON(append([][2]int{}, cut.Partners(p, ask.Cut)...))
}

// reshape makes another picture of one that was taken in: a part of it, at
// another size, by the nearest pixel.
func (s *Server) reshape(c fiber.Ctx) error {
	var ask struct {
		Picture string    `json:"picture"`
		Crop    grid.Rect `json:"crop"`
		Width   int       `json:"width"`
		Height  int       `json:"height"`
	}
	if err := document.Strict(c.Body(), &ask); err != nil {
		return bad(errors.New("say which part of the picture is wanted, and how large"))
	}
	_, img, err := s.storedPicture(c.Context(), ask.Picture)
	if err != nil {
		return err
	}
	b := img.Bounds()
	if in := ask.Crop.Intersect(grid.Rect{W: b.Dx(), H: b.Dy()}); ask.Crop.Empty() || in != ask.Crop {
		return bad(fmt.Errorf("that part lies outside the picture, which is %d × %d pixels", b.Dx(), b.Dy()))
	}
	if err := checkSize(ask.Width, ask.Height); err != nil {
		return bad(err)
	}
	part := image.Rect(ask.Crop.X, ask.Crop.Y, ask.Crop.X+ask.Crop.W, ask.Crop.Y+ask.Crop.H)
	out := image.NewNRGBA(image.Rect(0, 0, ask.Width, ask.Height))
	xdraw.NearestNeighbor.Scale(out, out.Bounds(), img, part, xdraw.Src, nil)
	taken, err := s.intake(c.Context(), projectOf(c), out)
	if err != nil {
		return err
	}
	return c.JSON(taken)
}

// maxGathered limits the pictures that are gathered into one.
const maxGathered = 400

// gather puts single pictures together on one sheet: each in a cell as large as
// the largest, in its middle and standing on its bottom edge.
func (s *Server) gather(c fiber.Ctx) error {
	var ask struct {
		Pictures []string `json:"pictures"`
	}
	if err := document.Strict(c.Body(), &ask); err != nil || len(ask.Pictures) == 0 || len(ask.Pictures) > maxGathered {
		return bad(fmt.Errorf("1 to %d pictures can be gathered", maxGathered))
	}
	sizes, err := s.store.PictureSizes(c.Context(), ask.Pictures)
	if err != nil {
		return err
	}
	w, h, largest := 1, 1, 0
	for _, size := range sizes {
		w, h, largest = max(w, size[0]), max(h, size[1]), max(largest, size[0]*size[1])
	}
	columns := 1
	for columns*columns < len(ask.Pictures) {
		columns++
	}
	rows := (len(ask.Pictures) + columns - 1) / columns
	if err := checkSize(columns*w, rows*h); err != nil {
		return bad(err)
	}
	if columns*w*rows*h+largest > document.MaxPicturePixels {
		return bad(errors.New("together these pictures are too large for one sheet: gather fewer of them"))
	}
	out := image.NewNRGBA(image.Rect(0, 0, columns*w, rows*h))
	for i, sha := range ask.Pictures {
		// one at a time: only the sheet and one picture are in memory
		_, img, err := s.storedPicture(c.Context(), sha)
		if err != nil {
			return err
		}
		b := img.Bounds()
		at := image.Pt(i%columns*w+(w-b.Dx())/2, i/columns*h+h-b.Dy())
		draw.Draw(out, b.Add(at), img, b.Min, draw.Src)
	}
	taken, err := s.intake(c.Context(), projectOf(c), out)
	if err != nil {
		return err
	}
	taken.Guesses = append([]cut.Guess{{Cut: document.Cut{CellWidth: w, CellHeight: h}, Why: "a cell for each picture"}}, taken.Guesses...)
	return c.JSON(taken)
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
	kit := author.Kit{Tileset: sheet.Tileset(taken.Number, taken.Picture), Hero: sheet.Hero(taken.Number), Looks: sheet.Looks(taken.Number),
		Materials: sheet.Materials(taken.Number, 0)}
	for i := range kit.Materials {
		if kit.Materials[i].Number, err = s.store.ReserveNumber(c.Context(), projectOf(c)); err != nil {
			return err
		}
	}
	return c.JSON(kit)
}
