// Package id has the ids of objects.
package id

import (
	"crypto/rand"
	"encoding/base32"
	"strings"
)

// ID names an object for good: 12 characters, a–z and 2–7. It is drawn at
// random by whoever makes the object, so that nobody has to ask for one.
type ID string

// New draws an id: 60 random bits.
func New() ID {
	var b [8]byte
	_, _ = rand.Read(b[:]) // crypto/rand.Read never fails
	return ID(strings.ToLower(base32.StdEncoding.EncodeToString(b[:]))[:12])
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
