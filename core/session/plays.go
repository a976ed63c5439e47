//go:build page

package session

const designs = false
