package cells

import "sync/atomic"

// later is a plane whose cells are read when they are first asked for. Who gives
// one is trusted: what cannot be read is empty.
type later struct {
	raw   atomic.Pointer[[]byte] // nil once it was read
	plane atomic.Pointer[Plane]
}

// Later is the plane that a patch, encoded, writes over an empty one. It keeps the
// bytes and reads them when a cell is first asked for.
func Later(encoded []byte) Plane {
	if len(encoded) == 0 || encoded[0] == 0 {
		return Plane{} // a patch of no chunks
	}
	l := &later{}
	l.raw.Store(&encoded)
	return Plane{later: l}
}

// Read reports whether the plane's cells have been read.
func (p Plane) Read() bool { return p.later == nil || p.later.plane.Load() != nil }

// Unread is how many bytes of it have not been read yet.
func (p Plane) Unread() int {
	if p.later != nil {
		if raw := p.later.raw.Load(); raw != nil {
			return len(*raw)
		}
	}
	return 0
}

// read is the plane with its cells read.
func (p Plane) read() Plane {
	if p.later == nil {
		return p
	}
	if plane := p.later.plane.Load(); plane != nil {
		return *plane
	}
	var out Plane
	if raw := p.later.raw.Load(); raw != nil {
		if patch, err := DecodePatch(*raw); err == nil {
			out = patch.alone()
		}
	}
	if p.later.plane.CompareAndSwap(nil, &out) {
		p.later.raw.Store(nil)
	}
	return *p.later.plane.Load()
}

// EncodeWhole writes a plane as the patch that writes all of it over an empty one. A
// plane that was not read yet is what it came as.
func EncodeWhole(p Plane) []byte {
	if p.later != nil {
		if raw := p.later.raw.Load(); raw != nil {
			return *raw
		}
	}
	return WholePatch(p).Encode()
}
