package cells

import (
	"azzel/core/grid"
	"bufio"
	"bytes"
	"compress/flate"
	"encoding/base64"
	"encoding/binary"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"math/bits"
	"sync"
)

// Limits of a patch and of a plane, which keeps what former bounds of its map
// held. A map of 2,048×2,048 cells has 4,096 chunks, and one more row and column
// where its frame does not start on a chunk. Logs that are stored rely on them.
const (
	MaxChunks   = 4 * 65 * 65
	maxPosition = 1 << 20
	maxEncoded  = MaxChunks * (chunkArea*6 + 256)
)

var errPatch = errors.New("the cells of this edit cannot be read")

const (
	flagMask   = 1
	flagValues = 2
)

// Encode writes a patch as bytes: for each chunk its position, its mask unless
// it is full, and its values as one value or as palette and runs.
func (p Patch) Encode() []byte {
	var b []byte
	b = binary.AppendUvarint(b, uint64(len(p)))
	for i := range p {
		c := &p[i]
		b = binary.AppendVarint(b, int64(c.CX))
		b = binary.AppendVarint(b, int64(c.CY))
		var flags byte
		if c.Mask != nil {
			flags |= flagMask
		}
		if c.Cells != nil {
			flags |= flagValues
		}
		b = append(b, flags)
		if c.Mask != nil {
			for _, row := range c.Mask {
				b = binary.LittleEndian.AppendUint32(b, row)
			}
		}
		if c.Cells == nil {
			b = binary.AppendUvarint(b, uint64(c.Value))
			continue
		}
		b = appendRuns(b, c.Cells)
	}
	return b
}

func appendRuns(b []byte, cells []Cell) []byte {
	p := palette{cells: make([]Cell, 0, fewValues)}
	runs := make([]byte, 0, 2*len(cells))
	for i := 0; i < len(cells); {
		n := 1
		for i+n < len(cells) && cells[i+n] == cells[i] {
			n++
		}
		k := p.place(cells[i])
		if n|k < 0x80 {
			runs = append(runs, byte(n), byte(k))
		} else {
			runs = binary.AppendUvarint(binary.AppendUvarint(runs, uint64(n)), uint64(k))
		}
		i += n
	}
	b = binary.AppendUvarint(b, uint64(len(p.cells)))
	for _, v := range p.cells {
		b = binary.AppendUvarint(b, uint64(v))
	}
	return append(b, runs...)
}

// fewValues is how many values are looked for one by one, which is faster than a map.
const fewValues = 24

// palette is the values of some cells in the order in which they come.
type palette struct {
	cells  []Cell
	places map[Cell]int // of those behind the first few
}

func (p *palette) place(v Cell) int {
	for i, c := range p.cells[:min(len(p.cells), fewValues)] {
		if c == v {
			return i
		}
	}
	if i, ok := p.places[v]; ok {
		return i
	}
	p.cells = append(p.cells, v)
	i := len(p.cells) - 1
	if i >= fewValues {
		if p.places == nil {
			p.places = map[Cell]int{}
		}
		p.places[v] = i
	}
	return i
}

// DecodePatch reads what Encode writes. It accepts only sorted chunks, marked
// cells and valid values, and never more than MaxChunks chunks.
func DecodePatch(data []byte) (Patch, error) {
	r := reader{data: data}
	n := r.uvarint()
	if r.bad || n > MaxChunks {
		return nil, errPatch
	}
	out := make(Patch, 0, min(int(n), len(data)))
	for range int(n) {
		c, ok := r.chunk()
		if !ok {
			return nil, errPatch
		}
		if k := len(out); k > 0 && (out[k-1].CY > c.CY || out[k-1].CY == c.CY && out[k-1].CX >= c.CX) {
			return nil, errPatch
		}
		out = append(out, c)
	}
	if len(r.data) != 0 {
		return nil, errPatch
	}
	return out, nil
}

type reader struct {
	data []byte
	bad  bool
}

func (r *reader) uvarint() uint64 {
	v, n := binary.Uvarint(r.data)
	if n <= 0 {
		r.bad = true
		return 0
	}
	r.data = r.data[n:]
	return v
}

func (r *reader) varint() int {
	v, n := binary.Varint(r.data)
	if n <= 0 || v > maxPosition || v < -maxPosition {
		r.bad = true
		return 0
	}
	r.data = r.data[n:]
	return int(v)
}

func (r *reader) cell() Cell {
	v := r.uvarint()
	if v > 1<<32-1 || !Cell(v).Valid() {
		r.bad = true
	}
	return Cell(v)
}

func (r *reader) chunk() (ChunkPatch, bool) {
	c := ChunkPatch{CX: r.varint(), CY: r.varint()}
	if r.bad || len(r.data) == 0 {
		return c, false
	}
	flags := r.data[0]
	r.data = r.data[1:]
	if flags > flagMask|flagValues {
		return c, false
	}
	if flags&flagMask != 0 {
		if len(r.data) < 4*side {
			return c, false
		}
		c.Mask = new(grid.Mask)
		for y := range c.Mask {
			c.Mask[y] = binary.LittleEndian.Uint32(r.data[4*y:])
		}
		r.data = r.data[4*side:]
		if *c.Mask == (grid.Mask{}) {
			return c, false
		}
	}
	if flags&flagValues == 0 {
		c.Value = r.cell()
		return c, !r.bad
	}
	size := c.count()
	colours := r.uvarint()
	if r.bad || colours == 0 || colours > uint64(size) {
		return c, false
	}
	palette := make([]Cell, colours)
	for i := range palette {
		palette[i] = r.cell()
	}
	c.Cells = make([]Cell, size)
	for at := 0; at < size && !r.bad; {
		if d := r.data; len(d) >= 2 && d[0] == 1 && d[1] < 0x80 && uint64(d[1]) < colours { // a single cell
			c.Cells[at] = palette[d[1]]
			r.data = d[2:]
			at++
			continue
		}
		n, k := r.uvarint(), r.uvarint()
		if n == 0 || n > uint64(size-at) || k >= colours {
			return c, false
		}
		v := palette[k]
		for end := at + int(n); at < end; at++ {
			c.Cells[at] = v
		}
	}
	return c, !r.bad
}

var deflaters = sync.Pool{New: func() any {
	w, err := flate.NewWriter(io.Discard, flate.BestSpeed)
	if err != nil {
		panic(err) // the level is a constant
	}
	return w
}}

// Pack deflates bytes unless they are few; the first byte says which.
func Pack(raw []byte) []byte {
	if len(raw) < 96 {
		return append([]byte{0}, raw...)
	}
	var out bytes.Buffer
	out.WriteByte(1)
	w := deflaters.Get().(*flate.Writer)
	w.Reset(&out)
	_, _ = w.Write(raw) // a bytes.Buffer takes everything
	_ = w.Close()
	deflaters.Put(w)
	return out.Bytes()
}

// Unpack reads what Pack writes, up to limit bytes.
func Unpack(packed []byte, limit int) ([]byte, error) {
	if len(packed) == 0 || packed[0] > 1 {
		return nil, errPatch
	}
	if packed[0] == 0 {
		return packed[1:], nil
	}
	r := flate.NewReader(bytes.NewReader(packed[1:]))
	raw, err := io.ReadAll(io.LimitReader(r, int64(limit)+1))
	if err != nil {
		return nil, fmt.Errorf("unpack: %w", err)
	}
	if len(raw) > limit {
		return nil, errPatch
	}
	return raw, nil
}

// MarshalJSON writes a patch as base64 of its packed bytes.
func (p Patch) MarshalJSON() ([]byte, error) {
	return json.Marshal(base64.StdEncoding.EncodeToString(Pack(p.Encode())))
}

// UnmarshalJSON reads what MarshalJSON writes.
func (p *Patch) UnmarshalJSON(data []byte) error {
	// base64 needs no escapes, so the text stands between the quotes as it is
	if len(data) < 2 || data[0] != '"' || data[len(data)-1] != '"' {
		return errPatch
	}
	raw, err := io.ReadAll(io.LimitReader(unpacking(data[1:len(data)-1]), maxEncoded+1))
	if err != nil || len(raw) > maxEncoded {
		return errPatch
	}
	*p, err = DecodePatch(raw)
	return err
}

// unpacking reads a patch's encoding from the text that it has in JSON.
func unpacking(text []byte) io.Reader {
	packed := bufio.NewReader(base64.NewDecoder(base64.StdEncoding, bytes.NewReader(text)))
	switch deflated, err := packed.ReadByte(); {
	case err != nil || deflated > 1:
		return bytes.NewReader(nil)
	case deflated == 1:
		return flate.NewReader(packed)
	}
	return packed
}

// Weight is how many cells the text of a patch would hold in memory one by one.
// It keeps nothing of it; counting ends with what is wrong or goes beyond most.
func Weight(text string, most int) (int, error) {
	w := weigher{r: bufio.NewReader(unpacking([]byte(text))), most: most}
	chunks := w.number()
	if chunks > MaxChunks {
		return 0, errPatch
	}
	for range int(chunks) {
		if w.chunk(); w.bad {
			return 0, errPatch
		}
		if w.n > most {
			break
		}
	}
	if w.bad {
		return 0, errPatch
	}
	return w.n, nil
}

type weigher struct {
	r       *bufio.Reader
	n, most int
	bad     bool
}

func (w *weigher) number() uint64 {
	v, err := binary.ReadUvarint(w.r)
	w.bad = w.bad || err != nil
	return v
}

func (w *weigher) chunk() {
	w.number()
	w.number()
	flags, err := w.r.ReadByte()
	size := chunkArea
	if err == nil && flags&flagMask != 0 {
		var m [4 * side]byte
		_, err = io.ReadFull(w.r, m[:])
		size = 0
		for _, b := range m {
			size += bits.OnesCount8(b)
		}
	}
	w.bad = w.bad || err != nil
	w.n += 64 // what a chunk takes besides its cells
	if flags&flagValues == 0 {
		w.number()
		return
	}
	w.n += size
	colours := w.number()
	if colours > uint64(size) {
		w.bad = true
	}
	for range min(colours, chunkArea) {
		w.number()
	}
	for left := uint64(size); left > 0 && !w.bad; {
		run := w.number()
		w.number()
		if run == 0 || run > left {
			w.bad = true
			return
		}
		left -= run
	}
}
