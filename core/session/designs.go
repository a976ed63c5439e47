//go:build !page

package session

// designs tells that this module changes projects; the one of the page that plays only plays them, and what changes them is left out of it.
const designs = true
