// Command read-go is an example of a program that reads a project: with the standard library alone it draws a map and lists what
// is solid on it, where its exits are and which rules the project has. The project is the folder that a ZIP was unpacked to.
//
//	go run ./docs/readers/read-go saltworks/ quay quay.png
package main

import (
	"bytes"
	"encoding/csv"
	"encoding/json"
	"errors"
	"fmt"
	"image"
	"image/draw"
	"image/png"
	"log"
	"os"
	"path/filepath"
	"sort"
	"strconv"
	"strings"
)

type rect struct{ X, Y, W, H int }
type mapFile struct {
	Map struct {
		Name                  string
		Bounds                rect
		CellWidth, CellHeight int
	}
	Layers []struct {
		Name, Kind     string
		Order, Opacity int
		Hidden, Absent bool
		Cells          *struct {
			File string
			X, Y int
		}
	}
	Entities []struct {
		Name, Kind string
		X, Y       int
	}
}

type tilesetFile struct {
	Tileset struct {
		Number  int
		Picture string
		Cut     struct{ CellWidth, CellHeight, Margin, Spacing, Left, Top int }
	}
}

// sheet is a tileset with its picture.
type sheet struct {
	tilesetFile
	img image.Image
}

func main() {
	if len(os.Args) != 4 {
		log.Fatal("say what to read: read-go FOLDER MAP PICTURE")
	}
	if err := read(os.Args[1], os.Args[2], os.Args[3]); err != nil {
		log.Fatal(err)
	}
}

func read(folder, name, picture string) error {
	var m mapFile
	if err := parse(filepath.Join(folder, "maps", name+".json"), &m); err != nil {
		return err
	}
	img, err := drawn(folder, name, &m)
	if err != nil {
		return err
	}
	var out bytes.Buffer
	if err = errors.Join(png.Encode(&out, img), os.WriteFile(picture, out.Bytes(), 0o644)); err != nil {
		return err
	}
	var solids struct{ Cells []rect }
	if err := parse(filepath.Join(folder, "derived", name, "solids.json"), &solids); err != nil {
		return err
	}
	fmt.Printf("%s: %d × %d cells, solid in %d rectangles\n", m.Map.Name, m.Map.Bounds.W, m.Map.Bounds.H, len(solids.Cells))
	for _, e := range m.Entities {
		if e.Kind == "exit" {
			fmt.Printf("exit %s at cell %d, %d\n", e.Name, e.X/m.Map.CellWidth, e.Y/m.Map.CellHeight)
		}
	}
	rules, _ := filepath.Glob(filepath.Join(folder, "rules", "*.txt"))
	fmt.Printf("%d rules\n", len(rules))
	return nil
}

func parse(path string, into any) error {
	data, err := os.ReadFile(path)
	if err != nil {
		return err
	}
	return json.Unmarshal(data, into)
}

// sheets are the tilesets by their numbers.
func sheets(folder string) (map[int]*sheet, error) {
	out := map[int]*sheet{}
	files, _ := filepath.Glob(filepath.Join(folder, "tilesets", "*.json"))
	for _, path := range files {
		var s sheet
		if err := parse(path, &s.tilesetFile); err != nil {
			return nil, err
		}
		data, err := os.ReadFile(filepath.Join(folder, "tilesets", s.Tileset.Picture))
		if err != nil {
			return nil, err
		}
		if s.img, err = png.Decode(bytes.NewReader(data)); err != nil {
			return nil, err
		}
		out[s.Tileset.Number] = &s
	}
	return out, nil
}

// drawn draws the layers of tiles from the bottom up; those with materials as they are fitted.
func drawn(folder, name string, m *mapFile) (image.Image, error) {
	all, err := sheets(folder)
	if err != nil {
		return nil, err
	}
	w, h := m.Map.CellWidth, m.Map.CellHeight
	on := image.NewNRGBA(image.Rect(0, 0, m.Map.Bounds.W*w, m.Map.Bounds.H*h))
	sort.SliceStable(m.Layers, func(i, k int) bool { return m.Layers[i].Order < m.Layers[k].Order })
	for _, l := range m.Layers {
		if l.Kind != "tiles" || l.Hidden || l.Absent || l.Cells == nil {
			continue
		}
		path, x0, y0 := filepath.Join(folder, "maps", l.Cells.File), l.Cells.X, l.Cells.Y
		fitted := filepath.Join(folder, "derived", l.Cells.File)
		if _, err := os.Stat(fitted); err == nil {
			path, x0, y0 = fitted, 0, 0
		}
		data, err := os.ReadFile(path)
		if err != nil {
			return nil, err
		}
		rows, err := csv.NewReader(bytes.NewReader(data)).ReadAll()
		if err != nil {
			return nil, err
		}
		for y, row := range rows {
			for x, text := range row {
				quarters := strings.Split(text, "+") // one tile, or a quarter of each of four
				for i, cell := range quarters {
					put(on, all, cell, (x+x0)*w, (y+y0)*h, i, len(quarters) == 4)
				}
			}
		}
	}
	return on, nil
}

// put draws a cell as “3:17 mirrored turned 90”, or the i-th quarter of it, at a place in pixels.
func put(on *image.NRGBA, all map[int]*sheet, cell string, px, py, i int, quarter bool) {
	place, how, _ := strings.Cut(cell, " ")
	number, tile, ok := strings.Cut(place, ":")
	n, _ := strconv.Atoi(number)
	id, _ := strconv.Atoi(tile)
	_, degrees, _ := strings.Cut(how, "turned ")
	turns, _ := strconv.Atoi(degrees)
	s := all[n]
	if !ok || s == nil {
		return
	}
	cut := s.Tileset.Cut
	columns := (s.img.Bounds().Dx() - 2*cut.Margin - cut.Left + cut.Spacing) / (cut.CellWidth + cut.Spacing)
	from := image.Pt(cut.Margin+cut.Left+id%columns*(cut.CellWidth+cut.Spacing), cut.Margin+cut.Top+id/columns*(cut.CellHeight+cut.Spacing))
	w, h := cut.CellWidth, cut.CellHeight
	one := image.NewNRGBA(image.Rect(0, 0, w, h))
	for y := range h {
		for x := range w {
			// where it comes from: turned back first, then mirrored
			sx, sy := x, y
			for range turns / 90 {
				sx, sy = sy, h-1-sx
			}
			if strings.HasPrefix(how, "mirrored") {
				sx = w - 1 - sx
			}
			one.Set(x, y, s.img.At(from.X+sx, from.Y+sy))
		}
	}
	part := one.Bounds()
	if quarter {
		part = image.Rect(0, 0, w/2, h/2).Add(image.Pt(i%2*w/2, i/2*h/2))
	}
	draw.Draw(on, part.Add(image.Pt(px, py)), one, part.Min, draw.Over)
}
