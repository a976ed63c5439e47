package session

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/figure"
	"encoding/base64"
)

// FigureParts are what there is to choose of for a figure, by their names.
type FigureParts struct {
	Hairs []string `json:"hairs"`
	Coats []string `json:"coats"`
	Tools []string `json:"tools"`
	Sizes []int    `json:"sizes"`
}

// DrawnFigure is the picture of a figure: red, green, blue and opacity, row by row, as base64.
type DrawnFigure struct {
	Width  int    `json:"width"`
	Height int    `json:"height"`
	Pixels string `json:"pixels"`
}

func init() {
	if !designs {
		return
	}
	register(map[string]method{
		"figureParts": with(func(*Session, none) (FigureParts, error) { return FigureParts(figure.All()), nil }),
		"drawFigure": with(func(_ *Session, w figure.Wish) (zero DrawnFigure, err error) {
			s, err := figure.Draw(w)
			if err != nil {
				return zero, err
			}
			return DrawnFigure{s.Width, s.Height, base64.StdEncoding.EncodeToString(s.Pixels)}, nil
		}),
		"drawScenery": with(func(_ *Session, w figure.SceneryWish) (zero DrawnFigure, err error) {
			s, err := figure.DrawScenery(w)
			if err != nil {
				return zero, err
			}
			return DrawnFigure{s.Width, s.Height, base64.StdEncoding.EncodeToString(s.Pixels)}, nil
		}),
		"addScenery": authored(func(d *document.Document, a struct {
			// Number and Picture are of the picture as it was taken in, Size is that of a cell of it.
			Number  int    `json:"number"`
			Picture string `json:"picture"`
			Width   int    `json:"width"`
			Height  int    `json:"height"`
			Size    int    `json:"size"`
			What    string `json:"what"`
			Name    string `json:"name"`
		}) (author.Change, error) {
			t := document.Tileset{Number: a.Number, Picture: a.Picture, Width: a.Width, Height: a.Height, Cut: document.Cut{CellWidth: a.Size, CellHeight: a.Size}}
			return author.AddScenery(d, t, a.What, a.Name)
		}),
		"addFigure": authored(func(d *document.Document, a struct {
			// Number and Picture are of the sheet as it was taken in, Size is that of one picture of it.
			Number  int    `json:"number"`
			Picture string `json:"picture"`
			Width   int    `json:"width"`
			Height  int    `json:"height"`
			Size    int    `json:"size"`
			As      string `json:"as"`
			Name    string `json:"name"`
		}) (author.Change, error) {
			t := document.Tileset{Number: a.Number, Picture: a.Picture, Width: a.Width, Height: a.Height, Cut: document.Cut{CellWidth: a.Size, CellHeight: a.Size}}
			return author.AddFigure(d, t, a.As, a.Name)
		}),
	})
}
