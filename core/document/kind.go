package document

import (
	"azzel/core/cells"
	"azzel/core/grid"
	"azzel/core/kind"
	"fmt"
	"slices"
	"unicode/utf8"
)

// Kind is a kind of the designer's own as it is stored: only what differs from the
// kind that it behaves as. What is nil is as there.
type Kind struct {
	ID    ID     `json:"id"`
	Name  string `json:"name"`
	Order int    `json:"order"`
	// Of is the built-in kind that it behaves as; empty for one from nothing.
	Of ID `json:"of"`

	Help     *string         `json:"help,omitempty"`
	Category *string         `json:"category,omitempty"`
	Glyph    *string         `json:"glyph,omitempty"`
	Colour   string          `json:"colour,omitempty"`
	Area     *bool           `json:"area,omitempty"`
	Faces    *bool           `json:"faces,omitempty"`
	Resizes  *bool           `json:"resizes,omitempty"`
	Turns    *bool           `json:"turns,omitempty"`
	Tints    *bool           `json:"tints,omitempty"`
	Ways     *bool           `json:"ways,omitempty"`
	Solid    *bool           `json:"solid,omitempty"`
	State    *string         `json:"state,omitempty"`
	W        *int            `json:"w,omitempty"`
	H        *int            `json:"h,omitempty"`
	Body     *grid.Rect      `json:"body,omitempty"`
	AnchorX  *int            `json:"anchorX,omitempty"`
	AnchorY  *int            `json:"anchorY,omitempty"`
	Look     cells.Cell      `json:"look,omitempty"`
	LookOn   cells.Cell      `json:"lookOn,omitempty"`
	Frames   [4][]cells.Cell `json:"frames,omitzero"`
	FrameMs  *int            `json:"frameMs,omitempty"`
	Poses    []kind.Pose     `json:"poses,omitempty"`
	// Guises are other ways in which all of it can be.
	Guises []Guise `json:"guises,omitempty"`
	Across int     `json:"across,omitempty"`
	Down   int     `json:"down,omitempty"`

	MapLeast     int `json:"mapLeast,omitempty"`
	MapMost      int `json:"mapMost,omitempty"`
	ProjectLeast int `json:"projectLeast,omitempty"`
	ProjectMost  int `json:"projectMost,omitempty"`

	Tags   []string `json:"tags"`
	Layers []string `json:"layers"`
	// Settings are its own ones; of one that the kind that it behaves as has too, only
	// the default counts.
	Settings []kind.Setting `json:"settings"`
}

// Limits of kinds.
const (
	MaxKinds    = 1_000
	maxFacing   = 16
	maxBox      = 4096
	maxFrameMs  = 60_000
	maxTiles    = 16 // of a picture, each way
	maxSettings = 64
)

// base is the kind that it behaves as.
func (k *Kind) base() *kind.Kind {
	if b := kind.Find(k.Of); b != nil {
		return b
	}
	return kind.Blank()
}

// Whole is the kind with all that it has of the one that it behaves as.
func (k *Kind) Whole() *kind.Kind {
	out := *k.base()
	out.ID, out.Name, out.Order, out.Of, out.Colour = k.ID, k.Name, k.Order, k.Of, k.Colour
	other(&out.Help, k.Help)
	other(&out.Category, k.Category)
	other(&out.Glyph, k.Glyph)
	other(&out.State, k.State)
	for _, yes := range []struct{ to, from *bool }{{&out.Area, k.Area}, {&out.Faces, k.Faces}, {&out.Resizes, k.Resizes}, {&out.Turns, k.Turns},
		{&out.Tints, k.Tints}, {&out.Ways, k.Ways}, {&out.Solid, k.Solid}} {
		other(yes.to, yes.from)
	}
	for _, n := range []struct{ to, from *int }{{&out.W, k.W}, {&out.H, k.H}, {&out.AnchorX, k.AnchorX}, {&out.AnchorY, k.AnchorY}, {&out.FrameMs, k.FrameMs}} {
		other(n.to, n.from)
	}
	other(&out.Body, k.Body)
	out.Look, out.LookOn, out.Frames, out.Across, out.Down, out.Poses = k.Look, k.LookOn, k.Frames, k.Across, k.Down, k.Poses
	out.Guises = k.Guises
	out.MapLeast, out.MapMost, out.ProjectLeast, out.ProjectMost = k.MapLeast, k.MapMost, k.ProjectLeast, k.ProjectMost
	out.Tags, out.Layers = append([]string{}, k.Tags...), append([]string{}, k.Layers...)
	out.Settings = append([]kind.Setting{}, out.Settings...)
	for _, s := range k.Settings {
		b := kind.Keyed(out.Settings, s.Key)
		if b == nil {
			out.Settings = append(out.Settings, s)
		} else if is, err := b.Is(s.Default); err == nil {
			b.Default = is
		}
	}
	return &out
}

func other[T any](to, from *T) {
	if from != nil {
		*to = *from
	}
}

// Lean is a kind as it is stored: what is as in the kind that it behaves as is left
// out. A setting of that kind which is missing stays one.
func Lean(whole *kind.Kind) *Kind {
	k := &Kind{ID: whole.ID, Name: whole.Name, Order: whole.Order, Of: whole.Of, Colour: whole.Colour,
		Look: whole.Look, LookOn: whole.LookOn, Frames: whole.Frames, Poses: whole.Poses, Guises: whole.Guises, Across: whole.Across, Down: whole.Down, MapLeast: whole.MapLeast, MapMost: whole.MapMost,
		ProjectLeast: whole.ProjectLeast, ProjectMost: whole.ProjectMost, Tags: whole.Tags, Layers: whole.Layers}
	b := k.base()
	k.Help, k.Category, k.Glyph, k.State = unlike(whole.Help, b.Help), unlike(whole.Category, b.Category), unlike(whole.Glyph, b.Glyph), unlike(whole.State, b.State)
	k.Area, k.Faces, k.Resizes, k.Turns = unlike(whole.Area, b.Area), unlike(whole.Faces, b.Faces), unlike(whole.Resizes, b.Resizes), unlike(whole.Turns, b.Turns)
	k.Tints, k.Ways, k.Solid = unlike(whole.Tints, b.Tints), unlike(whole.Ways, b.Ways), unlike(whole.Solid, b.Solid)
	k.W, k.H, k.Body, k.FrameMs = unlike(whole.W, b.W), unlike(whole.H, b.H), unlike(whole.Body, b.Body), unlike(whole.FrameMs, b.FrameMs)
	k.AnchorX, k.AnchorY = unlike(whole.AnchorX, b.AnchorX), unlike(whole.AnchorY, b.AnchorY)
	for _, s := range whole.Settings {
		of := kind.Keyed(b.Settings, s.Key)
		switch {
		case of == nil:
			k.Settings = append(k.Settings, s)
		case of.Default != s.Default:
			k.Settings = append(k.Settings, kind.Setting{Key: s.Key, Default: s.Default})
		}
	}
	return k
}

func unlike[T comparable](is, base T) *T {
	if is == base {
		return nil
	}
	return &is
}

// Kind finds a kind by its id, built in or own, with all that it has; nil when there
// is none.
func (d *Document) Kind(id ID) *kind.Kind {
	if k := kind.Find(id); k != nil {
		return k
	}
	if d.Kinds.Len() == 0 {
		return nil
	}
	return wholeKinds(d.Kinds)[id]
}

// wholeKinds are the designer's own kinds with all that they have, made once for a table.
func wholeKinds(t Table[Kind]) map[ID]*kind.Kind {
	return t.Derived(func() any {
		out := map[ID]*kind.Kind{}
		t.Each(func(k *Kind) { out[k.ID] = k.Whole() })
		return out
	}).(map[ID]*kind.Kind)
}

// KindsInOrder lists the built-in kinds and then those of the designer's own.
func (d *Document) KindsInOrder() []*kind.Kind {
	var out []*kind.Kind
	for i := range kind.All {
		out = append(out, &kind.All[i])
	}
	for _, k := range d.Kinds.InOrder(func(k *Kind) int { return k.Order }) {
		out = append(out, d.Kind(k.ID))
	}
	return out
}

// Acts is the word of the built-in kind that an entity behaves as.
func (d *Document) Acts(e *Entity) string {
	if k := d.Kind(ID(e.Kind)); k != nil {
		return k.Acts()
	}
	return ""
}

// Word is what an item or a key is called by in rules and by what asks for it: an item that nobody gave a word is called
// as its kind is.
func (d *Document) Word(e *Entity) string {
	if d.Acts(e) == kind.Key {
		return d.Value(e, "opens").Word()
	}
	if word := d.Value(e, "is").Word(); word != "" {
		return word
	}
	if k := d.Kind(ID(e.Kind)); k != nil {
		return k.Name
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

// Setting is a setting of an entity by its key, nil when its kind has none of it.
func (d *Document) Setting(e *Entity, key string) *kind.Setting {
	if k := d.Kind(ID(e.Kind)); k != nil {
		return k.Setting(key)
	}
	return nil
}

// Value is what a setting of an entity is: its own value, or the kind's default
// where it has none or one that does not fit; empty where its kind has no such setting.
func (d *Document) Value(e *Entity, key string) kind.Datum {
	s := d.Setting(e, key)
	if s == nil {
		return ""
	}
	return valued(s, e.Values)
}

// valued is what a setting is where these values differ.
func valued(s *kind.Setting, values []kind.Value) kind.Datum {
	for _, v := range values {
		if v.Key != s.Key {
			continue
		}
		if is, err := s.Is(v.Value); err == nil {
			return is
		}
	}
	if is, err := s.Is(s.Default); err == nil {
		return is
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

// Check finds what is wrong with a kind of the designer's own.
func (k *Kind) Check() error {
	if kind.Find(k.ID) != nil {
		return fmt.Errorf("%s is built in: make a kind of your own from it", k.Name)
	}
	if k.Of != "" && kind.Find(k.Of) == nil {
		return fmt.Errorf("there is no built-in kind called “%.40s”", k.Of)
	}
	w := k.Whole()
	if w.Glyph != "" && kind.Find(ID(w.Glyph)) == nil {
		return fmt.Errorf("there is no glyph called “%.40s”", w.Glyph)
	}
	if k.Colour != "" {
		if err := checkColour(k.Colour); err != nil {
			return err
		}
	}
	if utf8.RuneCountInString(w.Help) > MaxText || utf8.RuneCountInString(w.State) > MaxName {
		return fmt.Errorf("the help of a kind has at most %d characters", MaxText)
	}
	if len(w.Category) > 0 {
		if err := checkName(w.Category); err != nil {
			return err
		}
	}
	b := w.Body
	if b != (grid.Rect{}) && (b.W < 1 || b.H < 1 || b.X < 0 || b.Y < 0 || b.X+b.W > maxBox || b.Y+b.H > maxBox) {
		return fmt.Errorf("the body of a kind lies inside its box")
	}
	if w.W > 0 && w.H > 0 && (b.X+b.W > w.W || b.Y+b.H > w.H) {
		return fmt.Errorf("the body of a kind lies inside its box of %d × %d pixels", w.W, w.H)
	}
	if err := first(checkID("the kind", k.ID), checkName(k.Name), checkOrder(k.Order),
		checkRange("the box's width", w.W, 0, maxBox), checkRange("the box's height", w.H, 0, maxBox),
		checkRange("the anchor", w.AnchorX, 0, 100), checkRange("the anchor", w.AnchorY, 0, 100),
		checkRange("how long a frame is shown", w.FrameMs, 0, maxFrameMs),
		checkRange("how many tiles a picture is across", w.Across, 0, maxTiles), checkRange("how many tiles a picture is down", w.Down, 0, maxTiles),
		checkCount("on a map", k.MapLeast, k.MapMost, MaxEntities), checkCount("in the project", k.ProjectLeast, k.ProjectMost, MaxProjectEntities),
		checkWords("tags", k.Tags), checkWords("layers", k.Layers)); err != nil {
		return err
	}
	if !k.Look.Valid() || !k.LookOn.Valid() {
		return fmt.Errorf("a kind's look is not a tile")
	}
	return first(checkFrames(k.Frames), checkPoses(k.Poses), checkGuises(k.Guises), checkSettings(k.Settings, k.base().Settings))
}

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

func checkPoses(all []kind.Pose) error {
	for i, p := range all {
		if !slices.Contains(kind.Poses, p.Does) || slices.ContainsFunc(all[:i], func(o kind.Pose) bool { return o.Does == p.Does }) {
			return fmt.Errorf("a kind has pictures once of each of what it does, and not of “%.40s”", p.Does)
		}
		if err := first(checkFrames(p.Frames), checkRange("how long a picture is shown", p.Ms, 1, maxFrameMs)); err != nil {
			return err
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
