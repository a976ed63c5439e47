package check

import (
	"azzel/core/document"
	"azzel/core/kind"
	"fmt"
)

// flashes is how many times a second something may change at the most without harm (WCAG 2.2, 2.3.1).
const flashes = 3

// flash is how much lighter and darker something becomes that flashes, in ten-thousandths of the light of white (WCAG 2.2, general flash).
const flash = 1000

// ofFlicker finds tiles whose pictures repeat more than three times a second, and are not about equally light.
func (c *Checker) ofFlicker(d *document.Document, say func(Finding)) {
	for _, s := range d.TilesetsInOrder() {
		n, first, most := 0, 0, 0
		for _, i := range s.Infos {
			if often := often(frameTime(i.Frames)); often > flashes*10 && c.flashing(s, i.Frames) {
				if n++; n == 1 {
					first = i.Tile
				}
				most = max(most, often)
			}
		}
		if n > 0 {
			tiles := fmt.Sprintf("Tile %d of %s repeats", first, s.Name)
			if n > 1 {
				tiles = fmt.Sprintf("%d tiles of %s repeat", n, s.Name)
			}
			say(Finding{What: Flickers, Of: document.TypeTileset, ID: s.ID, Text: fmt.Sprintf("%s up to %d.%d times a second: more than three flashes a second can make people ill.", tiles, most/10, most%10)})
		}
	}
}

// flashing reports whether frames of a tileset differ in how light they are, or it is not known.
func (c *Checker) flashing(t *document.Tileset, frames []document.Frame) bool {
	if c.Shades == nil {
		return true
	}
	all, least, most := c.Shades(t), 10_000, 0
	for _, f := range frames {
		if f.Tile >= len(all) {
			return true
		}
		least, most = min(least, all[f.Tile].Light*all[f.Tile].Covers/100), max(most, all[f.Tile].Light*all[f.Tile].Covers/100)
	}
	return most-least >= flash
}

// blinks finds what goes on and off as often on a map.
func blinks(d *document.Document, m *document.Map, of func(what string, e *document.Entity, text string, args ...any)) {
	for _, e := range m.Entities.All() {
		if d.Acts(e) != kind.Beam {
			continue
		}
		ms := func(key string) int { return int(d.Value(e, key).Thousandths() / 1000) }
		if on, off := ms("onFor"), ms("offFor"); on > 0 && off > 0 && often(on+off) > flashes*10 {
			of(Flickers, e, "%s on %s goes on and off %d.%d times a second: more than three flashes a second can make people ill.", e.Name, m.Name, often(on+off)/10, often(on+off)%10)
		}
	}
}

// frameTime is how many milliseconds frames take until they repeat.
func frameTime(frames []document.Frame) (ms int) {
	for _, f := range frames {
		ms += f.Ms
	}
	return ms
}

// often is how many tenths of a time a second something comes that takes so many milliseconds.
func often(ms int) int {
	if ms <= 0 {
		return 0
	}
	return 10_000 / ms
}
