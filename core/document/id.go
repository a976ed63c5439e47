// Package document holds a project as a value: its tilesets, maps with their
// layers and entities, passages, rules and flags. A document is never changed;
// package edit makes another one that shares what stayed the same.
package document

import "azzel/core/id"

// ID names an object for good.
type ID = id.ID

// NewID draws an id.
func NewID() ID { return id.New() }
