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

// drawn is random bytes for some ids to come: in a browser each draw is a call out of the module.
var drawn struct {
	sync.Mutex
	bytes [512]byte
	left  int
}

// New draws an id: 60 random bits.
func New() ID {
	drawn.Lock()
	defer drawn.Unlock()
	if drawn.left == 0 {
		_, _ = rand.Read(drawn.bytes[:]) // crypto/rand.Read never fails
		drawn.left = len(drawn.bytes)
	}
	drawn.left -= 8
	var text [16]byte
	letters.Encode(text[:], drawn.bytes[drawn.left:drawn.left+8])
	return ID(text[:12])
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
