// Package id has the ids of objects.
package id

import (
	"crypto/rand"
	"encoding/base32"
	"sync"
)

// ID names an object for good: 12 characters, a–z and 2–7. It is drawn at
// random by whoever makes the object, so that nobody has to ask for one.
type ID string

var letters = base32.NewEncoding("abcdefghijklmnopqrstuvwxyz234567")

// drawn is ids to come, one text of several: in a browser each draw of random bytes is a call out of the module, and each text
// of its own takes room.
var drawn struct {
	sync.Mutex
	ids string
}

// many is how many ids are drawn at a time.
const many = 64

// New draws an id: 60 random bits.
func New() ID {
	drawn.Lock()
	defer drawn.Unlock()
	if drawn.ids == "" {
		var bytes [many * 8]byte
		_, _ = rand.Read(bytes[:]) // crypto/rand.Read never fails
		all := make([]byte, 0, many*12)
		for i := range many {
			var text [16]byte
			letters.Encode(text[:], bytes[i*8:i*8+8])
			all = append(all, text[:12]...)
		}
		drawn.ids = string(all)
	}
	next := ID(drawn.ids[:12])
	drawn.ids = drawn.ids[12:]
	return next
}

// Valid reports whether id has the form of an id.
func (id ID) Valid() bool {
	if len(id) != 12 {
		return false
	}
	for _, c := range []byte(id) {
		if (c < 'a' || c > 'z') && (c < '2' || c > '7') {
			return false
		}
	}
	return true
}
