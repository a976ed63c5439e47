package document

import (
	"azzel/core/cells"
	"azzel/core/upcast"
	"bytes"
	"crypto/sha256"
	"encoding/binary"
	"encoding/hex"
	"encoding/json"
	"errors"
	"fmt"
	"slices"
	"strconv"
	"strings"
)

// Content is all that a map holds, or one of its layers, in a form that can be
// stored and put back: objects as JSON, cells as encoded patches.
type Content struct {
	Layers   []LayerContent `json:"layers"`
	Entities []*Entity      `json:"entities"`
	// Parts are those of a rule.
	Parts []*RulePart `json:"parts,omitempty"`
}

// LayerContent is a layer with its cells.
type LayerContent struct {
	Layer *Layer      `json:"layer"`
	Cells cells.Patch `json:"cells"`
}

// ContentOf takes what a map holds.
func ContentOf(m *Map) *Content {
	c := &Content{Entities: m.Entities.All()}
	for _, l := range m.Layers.All() {
		c.Layers = append(c.Layers, LayerContent{l, cells.WholePatch(l.Cells)})
	}
	return c
}

// Whole reports whether nothing in a content is missing, and no more in it than a map takes.
func (c *Content) Whole() bool {
	return len(c.Layers) <= MaxLayers && len(c.Entities) <= MaxEntities && len(c.Parts) <= MaxParts &&
		!slices.Contains(c.Entities, nil) && !slices.Contains(c.Parts, nil) &&
		!slices.ContainsFunc(c.Layers, func(l LayerContent) bool { return l.Layer == nil })
}

// Check finds what is wrong with a content that is whole.
func (c *Content) Check() error {
	for _, l := range c.Layers {
		if err := l.Layer.Check(); err != nil {
			return err
		}
	}
	for _, e := range c.Entities {
		if err := e.Check(); err != nil {
			return err
		}
	}
	for _, p := range c.Parts {
		if err := p.Check(); err != nil {
			return err
		}
	}
	return nil
}

// Fill gives the map with the content put into it.
func (c *Content) Fill(m Map) *Map {
	for _, l := range c.Layers {
		layer := *l.Layer
		layer.Cells, _ = l.Cells.Apply(cells.Plane{})
		m.Layers = m.Layers.With(layer.ID, &layer)
	}
	for _, e := range c.Entities {
		m.Entities = m.Entities.With(e.ID, e)
	}
	return &m
}

// magic is what a stored state begins with, before its format and a line's end.
const magic = "azzel state "

type stateHead struct {
	Project    *Project     `json:"project"`
	Tilesets   []*Tileset   `json:"tilesets"`
	Maps       []stateMap   `json:"maps"`
	Passages   []*Passage   `json:"passages"`
	Rules      []stateRule  `json:"rules"`
	Flags      []*Flag      `json:"flags"`
	Counters   []*Counter   `json:"counters,omitempty"`
	Wordings   []*Wording   `json:"wordings,omitempty"`
	Sounds     []*Sound     `json:"sounds,omitempty"`
	Motifs     []*Motif     `json:"motifs"`
	Zones      []*Zone      `json:"zones"`
	Materials  []*Material  `json:"materials"`
	Kinds      []*Kind      `json:"kinds,omitempty"`
	Placings   []*Placing   `json:"placings,omitempty"`
	Pins       []*Pin       `json:"pins,omitempty"`
	Recordings []*Recording `json:"recordings,omitempty"`
}

type stateMap struct {
	Map      *Map            `json:"map"`
	Layers   []*storedLayer  `json:"layers"`
	Entities []*storedEntity `json:"entities"`
}

type stateRule struct {
	Rule  *Rule       `json:"rule"`
	Parts []*RulePart `json:"parts"`
}

func (sr stateRule) decode() (*Rule, error) {
	if sr.Rule == nil {
		return nil, errState
	}
	return sr.Rule, fillTable(&sr.Rule.Parts, sr.Parts, func(o *RulePart) ID { return o.ID })
}

// Head is all that a document holds but its cells, as JSON: objects sorted by id, layers in the order in which Encode writes
// their cells.
func (d *Document) Head() []byte {
	head := stateHead{Project: d.Project, Tilesets: d.Tilesets.All(), Passages: d.Passages.All(), Rules: []stateRule{}, Flags: d.Flags.All(), Counters: d.Counters.All(), Wordings: d.Wordings.All(), Sounds: d.Sounds.All(),
		Motifs: d.Motifs.All(), Zones: d.Zones.All(), Materials: d.Materials.All(), Kinds: d.Kinds.All(), Placings: d.Placings.All(), Pins: d.Pins.All(), Recordings: d.Recordings.All(), Maps: []stateMap{}}
	for _, r := range d.Rules.All() {
		head.Rules = append(head.Rules, stateRule{r, r.Parts.All()})
	}
	for _, m := range d.Maps.All() {
		head.Maps = append(head.Maps, stateMap{m, storedLayers(m.Layers.All()), storedEntities(m.Entities.All())})
	}
	data, err := json.Marshal(head)
	if err != nil {
		panic(fmt.Sprintf("document: plain structs always marshal: %v", err))
	}
	return data
}

// Encode writes the document in its one canonical form: a JSON head with all
// objects sorted by id, then the cells of each layer in the same order.
func (d *Document) Encode() []byte {
	var planes [][]byte
	for _, m := range d.Maps.All() {
		for _, l := range m.Layers.All() {
			planes = append(planes, cells.EncodeWhole(l.Cells))
		}
	}
	return state(d.Head(), upcast.Format, planes)
}

// Join reads a head as some format has it, with the cells of its layers as cells.EncodeWhole writes them.
func Join(head []byte, format int, planes [][]byte) (*Document, error) {
	return Decode(state(head, format, planes))
}

func state(data []byte, format int, planes [][]byte) []byte {
	out := fmt.Appendf(nil, "%s%d\n", magic, format)
	out = binary.AppendUvarint(out, uint64(len(data)))
	out = append(out, data...)
	for _, p := range planes {
		out = binary.AppendUvarint(out, uint64(len(p)))
		out = append(out, p...)
	}
	return out
}

// Hash is the SHA-256 of Encode, in hexadecimal: equal for equal documents.
func (d *Document) Hash() string {
	sum := sha256.Sum256(d.Encode())
	return hex.EncodeToString(sum[:])
}

var errState = errors.New("the stored project cannot be read")

// Decode reads what Encode writes, now or in an earlier version. Objects are not
// checked: what was stored once can be read, whatever is checked today.
func Decode(data []byte) (*Document, error) { return decode(data, false) }

// DecodeLater is Decode, but cells are read when they are first asked for, so that a
// project of many maps is there at once. It is for what a server that read it sends.
// The bytes are kept and must not change.
func DecodeLater(data []byte) (*Document, error) { return decode(data, true) }

func decode(data []byte, later bool) (*Document, error) {
	raw, parts, err := opened(data)
	if err != nil {
		return nil, err
	}
	var head stateHead
	if err := Strict(raw, &head); err != nil {
		return nil, fmt.Errorf("%w: %w", errState, err)
	}
	if head.Project == nil {
		return nil, errState
	}
	d := &Document{Project: head.Project}
	var maps []*Map
	for _, sm := range head.Maps {
		m, err := decodeMap(sm, parts, later)
		if err != nil {
			return nil, err
		}
		maps = append(maps, m)
	}
	d.Maps = TableOf(maps, func(o *Map) ID { return o.ID })
	if len(parts.left) != 0 {
		return nil, errState
	}
	for _, sr := range head.Rules {
		r, err := sr.decode()
		if err != nil {
			return nil, err
		}
		d.Rules = d.Rules.With(r.ID, r)
	}
	return d, first(
		fillTable(&d.Tilesets, head.Tilesets, func(o *Tileset) ID { return o.ID }),
		fillTable(&d.Passages, head.Passages, func(o *Passage) ID { return o.ID }),
		fillTable(&d.Flags, head.Flags, func(o *Flag) ID { return o.ID }),
		fillTable(&d.Counters, head.Counters, func(o *Counter) ID { return o.ID }),
		fillTable(&d.Wordings, head.Wordings, func(o *Wording) ID { return o.ID }),
		fillTable(&d.Sounds, head.Sounds, func(o *Sound) ID { return o.ID }),
		fillTable(&d.Motifs, head.Motifs, func(o *Motif) ID { return o.ID }),
		fillTable(&d.Zones, head.Zones, func(o *Zone) ID { return o.ID }),
		fillTable(&d.Materials, head.Materials, func(o *Material) ID { return o.ID }),
		fillTable(&d.Kinds, head.Kinds, func(o *Kind) ID { return o.ID }),
		fillTable(&d.Placings, head.Placings, func(o *Placing) ID { return o.ID }),
		fillTable(&d.Pins, head.Pins, func(o *Pin) ID { return o.ID }),
		fillTable(&d.Recordings, head.Recordings, func(o *Recording) ID { return o.ID }))
}

// parts are the pieces of a stored state, each with its length before it.
type parts struct{ left []byte }

func (p *parts) next() ([]byte, error) {
	n, k := binary.Uvarint(p.left)
	if k <= 0 || n > uint64(len(p.left)-k) {
		return nil, errState
	}
	out := p.left[k : k+int(n)]
	p.left = p.left[k+int(n):]
	return out, nil
}

// opened gives the head of a stored state in the present format, and the cells behind it.
func opened(data []byte) (head []byte, cells *parts, err error) {
	line, rest, _ := bytes.Cut(data, []byte("\n"))
	number, ok := strings.CutPrefix(string(line[:min(len(line), 64)]), magic)
	format, err := strconv.Atoi(number)
	if !ok || err != nil {
		return nil, nil, errState
	}
	cells = &parts{rest}
	if head, err = cells.next(); err != nil {
		return nil, nil, err
	}
	if head, err = upcast.Head(head, format); err != nil {
		return nil, nil, fmt.Errorf("%w: %w", errState, err)
	}
	return head, cells, nil
}

func fillTable[T any](t *Table[T], all []*T, id func(*T) ID) error {
	if slices.Contains(all, nil) {
		return errState
	}
	*t = TableOf(all, id)
	return nil
}

func decodeMap(sm stateMap, parts *parts, later bool) (*Map, error) {
	if sm.Map == nil {
		return nil, errState
	}
	for _, l := range sm.Layers {
		raw, err := parts.next()
		if err != nil {
			return nil, err
		}
		if l == nil {
			return nil, errState
		}
		if later {
			l.Cells = cells.Later(raw)
			continue
		}
		p, err := cells.DecodePatch(raw)
		if err != nil {
			return nil, err
		}
		l.Cells, _ = p.Apply(cells.Plane{})
	}
	m := *sm.Map
	layers := make([]*Layer, 0, len(sm.Layers))
	for _, l := range sm.Layers {
		layers = append(layers, (*Layer)(l))
	}
	m.Layers = TableOf(layers, func(o *Layer) ID { return o.ID })
	entities := make([]*Entity, 0, len(sm.Entities))
	for _, e := range sm.Entities {
		if e == nil {
			return nil, errState
		}
		entities = append(entities, (*Entity)(e))
	}
	m.Entities = TableOf(entities, func(o *Entity) ID { return o.ID })
	return &m, nil
}
