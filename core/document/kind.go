package document

import (
	"azzel/core/cells"
	"azzel/core/grid"
	"fmt"
	"slices"
	"strings"
	"unicode/utf8"
)

// Kind is what all entities of one kind have in common. Built-in kinds are
// called by a word, those of the designer's own by an id.
type Kind struct {
	ID       ID     `json:"id"`
	Name     string `json:"name"`
	Help     string `json:"help"`
	Category string `json:"category"`
	Order    int    `json:"order"`
	// Of is the built-in kind that an own one behaves as; empty for one from nothing.
	Of ID `json:"of"`
	// Glyph is that of a built-in kind, by its word; Colour is empty for the glyph's own.
	Glyph  string `json:"glyph"`
	Colour string `json:"colour"`
	// Area kinds cover any rectangle of cells, so a dragged box makes one of them.
	Area bool `json:"area"`
	// Faces tells whether a facing can be set; Resizes whether its box can be
	// dragged larger, Turns whether it can be turned and flipped, Tints whether it
	// can be tinted and made fainter.
	Faces   bool `json:"faces"`
	Resizes bool `json:"resizes"`
	Turns   bool `json:"turns"`
	Tints   bool `json:"tints"`
	// Ways kinds have points that something follows.
	Ways bool `json:"ways"`
	// Solid kinds stop the hero with their body.
	Solid bool `json:"solid"`
	// Moves kinds can carry others along, Taken ones are picked up; Veiled ones
	// are shown to the player only where they have a picture.
	Moves  bool `json:"moves"`
	Taken  bool `json:"taken"`
	Veiled bool `json:"veiled"`
	// State names what "on" means for it; empty when it has no state.
	State string `json:"state"`
	// W and H are the box, in map pixels; 0 is a cell.
	W int `json:"w"`
	H int `json:"h"`
	// Body is what of the box stops and is touched, in pixels of it; empty is all.
	Body grid.Rect `json:"body"`
	// AnchorX and AnchorY say, in percent, which point of the box comes to lie on
	// the same point of the cell that it is placed on.
	AnchorX int `json:"anchorX"`
	AnchorY int `json:"anchorY"`
	// Look is the tile that it is drawn as, LookOn while it is on or open.
	Look   cells.Cell `json:"look"`
	LookOn cells.Cell `json:"lookOn"`
	// Frames are pictures by facing, in the order up, right, down, left, the
	// first standing; FrameMs is how long each of the others is shown.
	Frames  [4][]cells.Cell `json:"frames"`
	FrameMs int             `json:"frameMs"`
	// How many there are at least and at most on a map and in the project; 0 is any number.
	MapLeast     int `json:"mapLeast"`
	MapMost      int `json:"mapMost"`
	ProjectLeast int `json:"projectLeast"`
	ProjectMost  int `json:"projectMost"`
	// Tags are words to find and ask it by.
	Tags []string `json:"tags"`
	// Layers are the names of the layers on which it may stand; none is all of entities.
	Layers []string `json:"layers"`
	// Settings are what can be set of each entity, with defaults.
	Settings []Setting `json:"settings"`
}

// Setting is a property with a unit, a range and help.
type Setting struct {
	Property
	Unit string `json:"unit"`
	Help string `json:"help"`
	// Least and Most bound a number; both 0 leave it free.
	Least int `json:"least"`
	Most  int `json:"most"`
	// Handle is how it is dragged on the map: one of the handles, or empty.
	Handle string `json:"handle"`
}

// The handles that a number of cells can be dragged by on the map.
const (
	HandleRound = "round" // a ring around its middle
	HandleAhead = "ahead" // an end in front of it, where it looks
	HandleBoth  = "both"  // an end on each side, along where it looks
	HandleUp    = "up"    // a knob above it that counts by being dragged up and down
)

// Limits of kinds.
const (
	MaxKinds  = 1_000
	maxFacing = 16
	maxBox    = 4096
)

// Fits says what is wrong with a value of the setting; nil when nothing is.
func (s *Setting) Fits(value string) error {
	if err := s.Property.Fits(value); err != nil {
		return err
	}
	if s.Type == PropertyNumber && (s.Least != 0 || s.Most != 0) {
		if n, ok := thousandths(value); !ok || n < int64(s.Least)*1000 || n > int64(s.Most)*1000 {
			return fmt.Errorf("%s is %d to %d%s", s.Name, s.Least, s.Most, spaced(s.Unit))
		}
	}
	return nil
}

func spaced(unit string) string {
	if unit == "" {
		return ""
	}
	return " " + unit
}

// thousandths reads a decimal number in thousandths; more places are cut off.
func thousandths(value string) (int64, bool) {
	if !decimal.MatchString(value) {
		return 0, false
	}
	whole, part, _ := strings.Cut(strings.TrimPrefix(value, "-"), ".")
	if len(whole) > 12 {
		return 0, false
	}
	var n int64
	for _, c := range whole + (part + "000")[:3] {
		n = n*10 + int64(c-'0')
	}
	if strings.HasPrefix(value, "-") {
		n = -n
	}
	return n, true
}

// Acts is the word of the built-in kind that a kind behaves as, empty for none.
func (k *Kind) Acts() string {
	if k.BuiltIn() {
		return string(k.ID)
	}
	return string(k.Of)
}

// BuiltIn reports whether the kind comes with Azzel.
func (k *Kind) BuiltIn() bool { return builtIn(k.ID) != nil }

// Setting finds a setting by its name, nil when there is none.
func (k *Kind) Setting(name string) *Setting {
	for i := range k.Settings {
		if k.Settings[i].Name == name {
			return &k.Settings[i]
		}
	}
	return nil
}

// Box is the size of a new entity of the kind, in map pixels.
func (k *Kind) Box(m *Map) (w, h int) {
	w, h = k.W, k.H
	if w == 0 {
		w = m.CellWidth
	}
	if h == 0 {
		h = m.CellHeight
	}
	return w, h
}

func builtIn(id ID) *Kind {
	for i := range Kinds {
		if Kinds[i].ID == id {
			return &Kinds[i]
		}
	}
	return nil
}

// Kind finds a kind by its id, built in or own; nil when there is none.
func (d *Document) Kind(id ID) *Kind {
	if k := builtIn(id); k != nil {
		return k
	}
	return d.Kinds.Get(id)
}

// KindsInOrder lists the built-in kinds and then those of the designer's own.
func (d *Document) KindsInOrder() []*Kind {
	var out []*Kind
	for i := range Kinds {
		out = append(out, &Kinds[i])
	}
	return append(out, ordered(d.Kinds.All(), func(k *Kind) int { return k.Order })...)
}

// Acts is the word of the built-in kind that an entity behaves as.
func (d *Document) Acts(e *Entity) string {
	if k := d.Kind(ID(e.Kind)); k != nil {
		return k.Acts()
	}
	return ""
}

// Moves reports whether an entity can carry others along; nil does not.
func (d *Document) Moves(e *Entity) bool {
	if e == nil {
		return false
	}
	k := d.Kind(ID(e.Kind))
	return k != nil && k.Moves
}

// Value is what a setting of an entity is: its own value, or the kind's default
// where it has none or one that does not fit.
func (d *Document) Value(e *Entity, name string) string {
	k := d.Kind(ID(e.Kind))
	if k == nil {
		return ""
	}
	s := k.Setting(name)
	if s == nil {
		return ""
	}
	for _, v := range e.Values {
		if v.Name == name && s.Fits(v.Value) == nil {
			return v.Value
		}
	}
	return s.Default
}

// Body is what of an entity stops and is touched, in map pixels: what its kind
// says, as far as it lies in the entity's box, or all of the box.
func (d *Document) Body(e *Entity) grid.Rect {
	box := grid.Rect{X: e.X, Y: e.Y, W: e.W, H: e.H}
	k := d.Kind(ID(e.Kind))
	if k == nil || k.Body == (grid.Rect{}) {
		return box
	}
	if b := (grid.Rect{X: e.X + k.Body.X, Y: e.Y + k.Body.Y, W: k.Body.W, H: k.Body.H}).Intersect(box); !b.Empty() {
		return b
	}
	return box
}

// TypeOf is the type of a setting of an entity, empty when its kind has none of this name.
func (d *Document) TypeOf(e *Entity, name string) string {
	if k := d.Kind(ID(e.Kind)); k != nil {
		if s := k.Setting(name); s != nil {
			return s.Type
		}
	}
	return ""
}

// Thousandths is a setting that is a number, in thousandths; 0 where it is none.
func (d *Document) Thousandths(e *Entity, name string) int64 {
	n, _ := thousandths(d.Value(e, name))
	return n
}

// Check finds what is wrong with a kind of the designer's own.
func (k *Kind) Check() error {
	if k.BuiltIn() {
		return fmt.Errorf("%s is built in: make a kind of your own from it", k.Name)
	}
	if k.Of != "" && builtIn(k.Of) == nil {
		return fmt.Errorf("there is no built-in kind called “%.40s”", k.Of)
	}
	if k.Glyph != "" && builtIn(ID(k.Glyph)) == nil {
		return fmt.Errorf("there is no glyph called “%.40s”", k.Glyph)
	}
	if k.Colour != "" {
		if err := checkColour(k.Colour); err != nil {
			return err
		}
	}
	if utf8.RuneCountInString(k.Help) > MaxText || utf8.RuneCountInString(k.State) > MaxName {
		return fmt.Errorf("the help of a kind has at most %d characters", MaxText)
	}
	if len(k.Category) > 0 {
		if err := checkName(k.Category); err != nil {
			return err
		}
	}
	b := k.Body
	if b != (grid.Rect{}) && (b.W < 1 || b.H < 1 || b.X < 0 || b.Y < 0 || b.X+b.W > maxBox || b.Y+b.H > maxBox) {
		return fmt.Errorf("the body of a kind lies inside its box")
	}
	if k.W > 0 && k.H > 0 && (b.X+b.W > k.W || b.Y+b.H > k.H) {
		return fmt.Errorf("the body of a kind lies inside its box of %d × %d pixels", k.W, k.H)
	}
	if err := first(checkID("the kind", k.ID), checkName(k.Name), checkOrder(k.Order),
		checkRange("the box's width", k.W, 0, maxBox), checkRange("the box's height", k.H, 0, maxBox),
		checkRange("the anchor", k.AnchorX, 0, 100), checkRange("the anchor", k.AnchorY, 0, 100),
		checkRange("how long a frame is shown", k.FrameMs, 0, maxFrameMs),
		checkCount("on a map", k.MapLeast, k.MapMost, MaxEntities), checkCount("in the project", k.ProjectLeast, k.ProjectMost, MaxProjectEntities),
		checkWords("tags", k.Tags), checkWords("layers", k.Layers)); err != nil {
		return err
	}
	if !k.Look.Valid() || !k.LookOn.Valid() {
		return fmt.Errorf("a kind's look is not a tile")
	}
	if err := checkFrames(k.Frames); err != nil {
		return err
	}
	return checkSettings(k.Settings)
}

const (
	maxFrameMs = 60_000
)

func checkCount(where string, least, most, limit int) error {
	if least < 0 || most < 0 || least > limit || most > limit || most > 0 && least > most {
		return fmt.Errorf("how many there are %s is 0 to %d, at least no more than at most", where, limit)
	}
	return nil
}

func checkWords(what string, all []string) error {
	if len(all) > MaxChoices {
		return fmt.Errorf("at most %d %s are possible", MaxChoices, what)
	}
	for i, w := range all {
		if err := checkName(w); err != nil {
			return err
		}
		if slices.Contains(all[:i], w) {
			return fmt.Errorf("%s stands twice among the %s", w, what)
		}
	}
	return nil
}

func checkFrames(all [4][]cells.Cell) error {
	for _, frames := range all {
		if len(frames) > maxFacing {
			return fmt.Errorf("a facing has at most %d pictures", maxFacing)
		}
		for _, c := range frames {
			if !c.Valid() {
				return fmt.Errorf("one of its pictures is not a tile")
			}
		}
	}
	return nil
}

func checkSettings(all []Setting) error {
	plain := make([]Property, len(all))
	for i := range all {
		s := &all[i]
		plain[i] = s.Property
		if utf8.RuneCountInString(s.Help) > MaxText || utf8.RuneCountInString(s.Unit) > MaxName {
			return fmt.Errorf("the help of %s has at most %d characters", s.Name, MaxText)
		}
		if s.Least > s.Most {
			return fmt.Errorf("the range of %s ends before it begins", s.Name)
		}
		if s.Handle != "" && s.Handle != HandleRound && s.Handle != HandleAhead && s.Handle != HandleBoth && s.Handle != HandleUp {
			return fmt.Errorf("there is no handle called “%.40s”", s.Handle)
		}
	}
	if err := checkProperties(plain); err != nil {
		return err
	}
	for i := range all {
		if err := all[i].Fits(all[i].Default); err != nil {
			return err
		}
	}
	return nil
}
