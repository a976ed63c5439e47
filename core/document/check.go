package document

import (
	"azzel/core/cells"
	"azzel/core/kind"
	"fmt"
	"slices"
	"strings"
	"unicode"
	"unicode/utf8"
)

// Limits, accepted and tested.
const (
	MaxSide      = 2048 // cells a side of a map
	MaxLayers    = 32
	MaxEntities  = 10_000 // a map
	MaxMaps      = 1_000
	MaxTilesets  = cells.MaxTileset
	MaxPassages  = 100_000
	MaxRules     = 10_000
	MaxFlags     = 10_000
	MaxCounters  = 10_000
	MaxName      = 80 // characters
	MaxText      = kind.MaxText
	maxCellPixel = 512
	maxPixel     = 1 << 20
	maxOrder     = 1 << 48
	// MaxPictureSide and MaxPicturePixels limit tileset pictures.
	MaxPictureSide   = 8192
	MaxPicturePixels = 16_000_000
)

// Checked is an object that can tell, in one sentence, what is wrong with it.
type Checked interface{ Check() error }

func checkName(name string) error {
	switch {
	case strings.TrimSpace(name) == "":
		return fmt.Errorf("a name cannot be empty")
	case !utf8.ValidString(name) || utf8.RuneCountInString(name) > MaxName:
		return fmt.Errorf("a name has at most %d characters", MaxName)
	case strings.ContainsFunc(name, hidden):
		return fmt.Errorf("a name is one line of text, without hidden characters")
	}
	return nil
}

// hidden are characters that change how others are shown, or a line's end: controls,
// separators of lines, and those that turn the direction of writing.
func hidden(r rune) bool {
	return unicode.IsControl(r) || r == 0x2028 || r == 0x2029 || r >= 0x202a && r <= 0x202e || r >= 0x2066 && r <= 0x2069 ||
		r == 0x200e || r == 0x200f || r == 0x061c || r == 0xfeff
}

func checkRange(what string, v, low, high int) error {
	if v < low || v > high {
		return fmt.Errorf("%s must be %d to %d", what, low, high)
	}
	return nil
}

func first(errs ...error) error {
	for _, err := range errs {
		if err != nil {
			return err
		}
	}
	return nil
}

func checkID(what string, id ID) error {
	if !id.Valid() {
		return fmt.Errorf("%s has no valid id", what)
	}
	return nil
}

func checkOrder(o int) error { return checkRange("an order", o, -maxOrder, maxOrder) }

func checkCellSize(w, h int) error {
	return first(checkRange("the cell width", w, 1, maxCellPixel), checkRange("the cell height", h, 1, maxCellPixel))
}

// Check finds what is wrong with the project's own fields.
func (p *Project) Check() error {
	if len(p.Looks) > len(kind.All) {
		return fmt.Errorf("each kind has one look")
	}
	for _, l := range p.Looks {
		if kind.Find(ID(l.Kind)) == nil || !l.Look.Valid() || !l.LookOn.Valid() {
			return fmt.Errorf("a kind's look is not a tile")
		}
	}
	if len(p.Pins) > MaxKinds {
		return fmt.Errorf("at most %d kinds are offered first", MaxKinds)
	}
	if err := first(checkFrames(p.Hero.Frames), checkPlainValues(p.MapValues), p.checkGame(), checkKept(p.Kept), checkSettings(p.MapProperties, kind.OfMaps)); err != nil {
		return err
	}
	if p.Screen != (Size{}) {
		if err := p.Screen.check("the screen"); err != nil {
			return err
		}
	}
	if len(p.Presets) > maxPresets || len(p.Plan) > MaxLayers {
		return fmt.Errorf("a project has at most %d sizes and %d layers in its plan", maxPresets, MaxLayers)
	}
	for _, s := range p.Presets {
		if err := first(checkName(s.Name), s.check("a map")); err != nil {
			return err
		}
	}
	for _, l := range p.Plan {
		probe := l.Layer()
		probe.ID = "aaaaaaaaaaaa"
		if l.Kind == LayerPicture || l.Kind == LayerGroup {
			return fmt.Errorf("a plan has layers of tiles, entities and zones")
		}
		if err := probe.Check(); err != nil {
			return err
		}
	}
	return first(checkName(p.Name), p.checkLanguages(), checkCellSize(p.CellWidth, p.CellHeight), checkRange("the hero's speed", p.Hero.Speed, 1, 50))
}

func (s Size) check(what string) error {
	return first(checkRange("the width of "+what, s.W, 1, MaxSide), checkRange("the height of "+what, s.H, 1, MaxSide))
}

// maxPresets limits the sizes that a project offers.
const maxPresets = 40

// Check finds what is wrong with a tileset.
func (t *Tileset) Check() error {
	if err := first(checkID("the tileset", t.ID), checkName(t.Name), checkOrder(t.Order),
		checkRange("the tileset number", t.Number, 1, cells.MaxTileset),
		checkRange("the picture's width", t.Width, 1, MaxPictureSide),
		checkRange("the picture's height", t.Height, 1, MaxPictureSide),
		t.Cut.Check(t.Width, t.Height)); err != nil {
		return err
	}
	if err := checkPicture(t.Picture); err != nil {
		return err
	}
	last := -1
	for _, s := range t.Solid {
		if s <= last || s > cells.MaxTile {
			return fmt.Errorf("the solid tiles must be listed once each, ascending")
		}
		last = s
	}
	return t.checkInfos()
}

// Check finds what is wrong with a map's own fields.
func (m *Map) Check() error {
	if m.Grid != GridSquare && m.Grid != GridDiamond {
		return fmt.Errorf("there is no grid called “%.40s”", m.Grid)
	}
	if err := m.checkMore(); err != nil {
		return err
	}
	return first(checkID("the map", m.ID), checkName(m.Name), checkOrder(m.Order), checkCellSize(m.CellWidth, m.CellHeight),
		checkRange("a map's width", m.Bounds.W, 1, MaxSide), checkRange("a map's height", m.Bounds.H, 1, MaxSide),
		checkRange("a map's left side", m.Bounds.X, -MaxSide*16, MaxSide*16), checkRange("a map's top", m.Bounds.Y, -MaxSide*16, MaxSide*16))
}

// Check finds what is wrong with a layer's own fields.
func (l *Layer) Check() error {
	switch l.Kind {
	case LayerTiles, LayerEntities, LayerZones, LayerGroup:
		if l.Image != nil {
			return fmt.Errorf("only a layer of a picture shows one")
		}
	case LayerPicture:
		if l.Image == nil {
			return fmt.Errorf("a layer of a picture needs a picture or a gradient")
		}
		if err := l.Image.check(); err != nil {
			return err
		}
	default:
		return fmt.Errorf("a layer holds tiles, entities, zones, a picture or other layers")
	}
	if l.Tint != "" {
		if err := checkColour(l.Tint); err != nil {
			return err
		}
	}
	if l.Group != "" && (!l.Group.Valid() || l.Group == l.ID || l.Kind == LayerGroup) {
		return fmt.Errorf("a layer belongs to a group, and groups to none")
	}
	return first(checkID("the layer", l.ID), checkName(l.Name), checkOrder(l.Order), checkRange("opacity", l.Opacity, 0, 100),
		checkRange("the offset to the right", l.OffsetX, -maxPixel, maxPixel), checkRange("the offset down", l.OffsetY, -maxPixel, maxPixel),
		checkRange("how far the layer goes with the camera", l.LagX, -maxLag, maxLag), checkRange("how far the layer goes with the camera", l.LagY, -maxLag, maxLag))
}

// maxLag limits how far a layer goes with the camera, in percent.
const maxLag = 400

func (i *LayerImage) check() error {
	if i.Picture == "" {
		if err := first(checkColour(i.From), checkColour(i.To)); err != nil {
			return err
		}
	} else if err := first(checkPicture(i.Picture), checkRange("the picture's width", i.Width, 1, MaxPictureSide),
		checkRange("the picture's height", i.Height, 1, MaxPictureSide)); err != nil {
		return err
	}
	return first(checkRange("the picture's x", i.X, -maxPixel, maxPixel), checkRange("the picture's y", i.Y, -maxPixel, maxPixel),
		checkRange("the picture's size in percent", i.Scale, 1, 3200), checkRange("the drift", i.DriftX, -4000, 4000), checkRange("the drift", i.DriftY, -4000, 4000))
}

func checkPicture(sha string) error {
	if len(sha) != 64 || strings.Trim(sha, "0123456789abcdef") != "" {
		return fmt.Errorf("that is no stored picture")
	}
	return nil
}

// Check finds what is wrong with an entity.
func (e *Entity) Check() error {
	if kind.Find(ID(e.Kind)) == nil && !ID(e.Kind).Valid() {
		return fmt.Errorf("there is no kind of entity called “%.40s”", e.Kind)
	}
	if e.Facing.Index() < 0 {
		return fmt.Errorf("a facing is up, right, down or left")
	}
	if !e.Look.Valid() || !e.LookOn.Valid() {
		return fmt.Errorf("an entity's look is not a tile")
	}
	if err := e.checkMore(); err != nil {
		return err
	}
	return first(checkID("the entity", e.ID), checkID("the entity's layer", e.Layer), checkName(e.Name),
		checkRange("x", e.X, -maxPixel*16, maxPixel*16), checkRange("y", e.Y, -maxPixel*16, maxPixel*16),
		checkRange("the width", e.W, 1, maxPixel), checkRange("the height", e.H, 1, maxPixel))
}

func (e *Entity) checkMore() error {
	if len(e.Values) > maxSettings || len(e.Points) > MaxPoints || len(e.Variants) > MaxVariants {
		return fmt.Errorf("an entity has at most %d values, %d points and %d variants", maxSettings, MaxPoints, MaxVariants)
	}
	if err := first(checkPlainValues(e.Values), checkGuises(e.Guises)); err != nil {
		return err
	}
	for _, p := range e.Points {
		if err := first(checkRange("x", p.X, -maxPixel*16, maxPixel*16), checkRange("y", p.Y, -maxPixel*16, maxPixel*16)); err != nil {
			return err
		}
	}
	if !slices.Contains(Memories, e.Memory) {
		return fmt.Errorf("an entity is not remembered “%.40s”", e.Memory)
	}
	for _, v := range e.Variants {
		if !v.Look.Valid() || v.Odds < 0 || v.Odds > MaxOdds {
			return fmt.Errorf("a variant is a tile with odds of 0 to %d", MaxOdds)
		}
	}
	if e.Tint != "" {
		if err := checkColour(e.Tint); err != nil {
			return err
		}
	}
	if e.Group != "" {
		if err := checkName(e.Group); err != nil {
			return err
		}
	}
	if e.Carrier != "" && (!e.Carrier.Valid() || e.Carrier == e.ID) {
		return fmt.Errorf("an entity travels along with another one")
	}
	if !e.Turn.Valid() {
		return fmt.Errorf("an entity is turned by quarters")
	}
	return first(checkOrder(e.Order), checkOrder(e.Rank), checkRange("how faint it is, in percent,", e.Faint, 0, 100))
}

// Check finds what is wrong with a flag.
func (f *Flag) Check() error { return first(checkID("the flag", f.ID), checkName(f.Name)) }

// Check finds what is wrong with a counter.
func (c *Counter) Check() error {
	return first(checkID("the counter", c.ID), checkName(c.Name), checkRange("what a counter starts with", c.Start, -MaxNumber, MaxNumber), checkWord("where a counter is shown", c.Shown, corners))
}
