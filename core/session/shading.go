package session

import (
	"azzel/core/document"
	"azzel/core/shade"
	"encoding/base64"
	"errors"
	"fmt"
	"slices"
)

// shading is how the tiles of a tileset look, as its picture was cut.
type shading struct {
	of    document.ID
	as    string
	tiles []shade.Shade
}

// maxUnseen is how many pictures are asked for at once.
const maxUnseen = 16

func drawnAs(t *document.Tileset) string { return fmt.Sprint(t.Picture, t.Cut) }

// shadesOf are how the tiles of a tileset look; nil where its picture was not seen yet.
func (s *Session) shadesOf(t *document.Tileset) []shade.Shade {
	for i := range s.shades {
		if k := &s.shades[i]; k.of == t.ID && k.as == drawnAs(t) {
			return k.tiles
		}
	}
	return nil
}

// shadeNow has a tileset look as a PNG of its picture does; one that cannot be read looks like nothing.
func (s *Session) shadeNow(t *document.Tileset, png []byte) {
	tiles, err := shade.Of(png, t.Cut)
	if err != nil {
		tiles = []shade.Shade{}
	}
	s.shades = slices.DeleteFunc(s.shades, func(k shading) bool { return k.of == t.ID })
	s.shades = append(s.shades, shading{t.ID, drawnAs(t), tiles})
	s.checker.Known++
}

// unseen lists pictures of tilesets that were not seen yet as they are cut, and that are not too large to be looked at.
func (s *Session) unseen(none) ([]string, error) {
	out := []string{}
	for _, t := range s.doc().TilesetsInOrder() {
		known := slices.ContainsFunc(s.shades, func(k shading) bool { return k.of == t.ID && k.as == drawnAs(t) })
		if !known && t.Width*t.Height <= shade.MaxPixels && len(out) < maxUnseen && !slices.Contains(out, t.Picture) {
			out = append(out, t.Picture)
		}
	}
	return out, nil
}

// seen looks at a picture, so that what is hard to see can be found.
func (s *Session) seen(a struct {
	Picture string `json:"picture"`
	// PNG is the picture, in base64.
	PNG string `json:"png"`
}) (none, error) {
	png, err := base64.StdEncoding.DecodeString(a.PNG)
	if err != nil {
		return none{}, errors.New("a picture cannot be read: reload the page")
	}
	for _, t := range s.doc().TilesetsInOrder() {
		if t.Picture == a.Picture {
			s.shadeNow(t, png)
		}
	}
	return none{}, nil
}

// See looks at pictures that were not seen yet, where they are at hand.
func (s *Session) See(picture func(sha string) ([]byte, error)) {
	for _, t := range s.doc().TilesetsInOrder() {
		if s.shadesOf(t) != nil || t.Width*t.Height > shade.MaxPixels {
			continue
		}
		if data, err := picture(t.Picture); err == nil {
			s.shadeNow(t, data)
		}
	}
}

func init() {
	if !designs {
		return
	}
	register(map[string]method{"unseen": with((*Session).unseen), "seen": with((*Session).seen)})
}
