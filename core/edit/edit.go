// Package edit changes documents. An edit is a list of primitives from a small
// closed set; applying it gives a new document and the primitives that turn it
// back. What the designer meant travels only as a label.
package edit

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/upcast"
	"encoding/json"
	"errors"
	"fmt"
	"unicode/utf8"
)

// Version is the format that edits are written in; Decode and Read bring older
// ones to it.
const Version = upcast.Format

// Limits of one edit as bytes and in primitives.
const (
	MaxBytes      = 8 << 20
	MaxPrimitives = 20_000
)

// Mark names an edit in a project: who sent it and that sender's own count.
type Mark struct {
	Client document.ID `json:"client"`
	Number int64       `json:"number"`
}

// Edit is one undoable change.
type Edit struct {
	V     int         `json:"v"`
	Mark              // client and number stand in the edit itself
	Label Label       `json:"label"`
	Do    []Primitive `json:"do"`
	text  []byte
}

// Kinds of edit for the history.
const (
	Do   = "do"
	Undo = "undo"
	Redo = "redo"
)

// Label is what people and the history read; applying never looks at it.
type Label struct {
	// Kind is do, undo or redo; Of is the edit that an undo or redo turns back.
	Kind string `json:"kind"`
	Of   *Mark  `json:"of,omitempty"`
	// Text says what was done, in a few words.
	Text string `json:"text"`
	Tool string `json:"tool,omitempty"`
	Seed int64  `json:"seed,omitempty"`
}

// maxLabel is the most characters that a label has.
const maxLabel = 200

// Shortened is a text that is not too long for a label.
func Shortened(text string) string {
	if r := []rune(text); len(r) > maxLabel {
		return string(r[:maxLabel-1]) + "…"
	}
	return text
}

// The primitives. Those that end in Back are compare-and-restore: they write
// only where the present value is still the one that was written before.
const (
	OpCells      = "cells"      // write Cells on the layer Ref
	OpSet        = "set"        // set Field of Ref to Value
	OpInsert     = "insert"     // insert Value, with Content or Cells
	OpRemove     = "remove"     // remove Ref and all it holds
	OpCellsBack  = "cellsBack"  // where Ref still holds Was, write Cells
	OpSetBack    = "setBack"    // if Field of Ref is still WasValue, set it to Value
	OpInsertBack = "insertBack" // if Ref is still WasValue and holds no more than Content, remove it
)

// Types of object that a Ref can name.
const (
	TypeProject   = document.TypeProject
	TypeTileset   = document.TypeTileset
	TypeMap       = document.TypeMap
	TypeLayer     = document.TypeLayer
	TypeEntity    = document.TypeEntity
	TypePassage   = document.TypePassage
	TypePlacing   = document.TypePlacing
	TypePin       = document.TypePin
	TypeRecording = document.TypeRecording
	TypeRule      = document.TypeRule
	TypePart      = document.TypePart
	TypeFlag      = document.TypeFlag
	TypeCounter   = document.TypeCounter
	TypeWording   = document.TypeWording
	TypeSound     = document.TypeSound
	TypeMotif     = document.TypeMotif
	TypeZone      = document.TypeZone
	TypeMaterial  = document.TypeMaterial
	TypeKind      = document.TypeKind
)

// Ref names an object. Map is given for layers and entities only, Rule for parts of
// rules; the project has no ID.
type Ref struct {
	Type string      `json:"type"`
	Map  document.ID `json:"map,omitempty"`
	Rule document.ID `json:"rule,omitempty"`
	ID   document.ID `json:"id,omitempty"`
}

// Primitive is one step of an edit; which fields it uses depends on Op.
type Primitive struct {
	Op       string            `json:"op"`
	Ref      Ref               `json:"ref"`
	Field    string            `json:"field,omitempty"`
	Value    json.RawMessage   `json:"value,omitempty"`
	WasValue json.RawMessage   `json:"wasValue,omitempty"`
	Cells    cells.Patch       `json:"cells,omitempty"`
	Was      cells.Patch       `json:"was,omitempty"`
	Content  *document.Content `json:"content,omitempty"`
	// plain tells that its values were written by JSON, and need not be looked at to be written again; made is what Value was written from, where
	// reading it would give just that.
	plain bool
	made  *document.Entity
}

// Decode takes in an edit that somebody sent: it is small enough, whatever it is
// written as, and well formed. The error is a sentence for people.
func Decode(data []byte) (*Edit, error) {
	if len(data) > MaxBytes {
		return nil, fmt.Errorf("this edit is larger than %d MB: do it in smaller parts", MaxBytes>>20)
	}
	if _, err := weigh(data); err != nil {
		return nil, err
	}
	e, err := Read(data)
	if err != nil {
		return nil, err
	}
	return e, e.Check()
}

var errRead = errors.New("this edit cannot be read: reload the page and do it again")

// Read reads an edit that was taken in before. It is not checked, so that what
// is checked today never changes what a project was.
func Read(data []byte) (*Edit, error) {
	data, err := upcast.Edit(data)
	if errors.Is(err, upcast.ErrFormat) {
		return nil, fmt.Errorf("this edit was made with another version of Azzel, and this one reads the formats 1 to %d: reload the page", Version)
	}
	if err != nil {
		return nil, errRead
	}
	var e Edit
	if err := document.Strict(data, &e); err != nil {
		return nil, errRead
	}
	e.text = data
	return &e, nil
}

// ReadSteps reads primitives, as the inverse of an edit of this format is stored.
func ReadSteps(data []byte, format int) ([]Primitive, error) {
	data, err := upcast.Steps(data, format)
	if err != nil {
		return nil, err
	}
	var out []Primitive
	return out, document.Strict(data, &out)
}

// Check finds what is malformed in an edit, whatever document it is for.
func (e *Edit) Check() error {
	switch {
	case e.V != Version:
		return fmt.Errorf("this edit has format %d, wanted %d", e.V, Version)
	case !e.Client.Valid() || e.Number < 1:
		return errors.New("this edit does not say who sent it")
	case len(e.Do) == 0 && e.Label.Kind == Do || len(e.Do) > MaxPrimitives:
		return fmt.Errorf("an edit has 1 to %d steps", MaxPrimitives)
	case e.Label.Kind != Do && e.Label.Kind != Undo && e.Label.Kind != Redo:
		return errors.New("this edit's label has no kind")
	case (e.Label.Kind == Do) != (e.Label.Of == nil):
		return errors.New("an undo names the edit that it turns back")
	case utf8.RuneCountInString(e.Label.Text) > maxLabel || len(e.Label.Tool) > 40:
		return errors.New("this edit's label is too long")
	case e.Label.Of != nil && (!e.Label.Of.Client.Valid() || e.Label.Of.Number < 1):
		return errors.New("an undo names the edit that it turns back")
	}
	for i := range e.Do {
		if err := e.Do[i].check(); err != nil {
			return err
		}
	}
	return nil
}

func (p *Primitive) check() error {
	inMap := p.Ref.Type == TypeLayer || p.Ref.Type == TypeEntity
	switch p.Ref.Type {
	case TypeProject:
		if p.Op != OpSet && p.Op != OpSetBack {
			return errors.New("the project can only be changed field by field")
		}
	case TypeTileset, TypeMap, TypeLayer, TypeEntity, TypePassage, TypeRule, TypePart, TypeFlag, TypeCounter, TypeMotif, TypeZone, TypeMaterial, TypeKind, TypePlacing, TypePin, TypeRecording, TypeWording, TypeSound:
		if !p.Ref.ID.Valid() {
			return fmt.Errorf("the id of a %s is not valid", p.Ref.Type)
		}
	default:
		return fmt.Errorf("there is no type of object called “%.40s”", p.Ref.Type)
	}
	if inMap != (p.Ref.Map != "") || inMap && !p.Ref.Map.Valid() {
		return fmt.Errorf("a %s is named with its map only if it stands on one", p.Ref.Type)
	}
	if (p.Ref.Type == TypePart) != (p.Ref.Rule != "") || p.Ref.Rule != "" && !p.Ref.Rule.Valid() {
		return errors.New("a part is named with its rule, and nothing else is")
	}
	switch p.Op {
	case OpCells, OpCellsBack:
		if p.Ref.Type != TypeLayer || len(p.Cells) == 0 {
			return errors.New("cells are written on a layer")
		}
		if p.Op == OpCellsBack && !cells.SameCells(p.Was, p.Cells) {
			return errors.New("an undo of cells names other cells than it writes")
		}
	case OpSet, OpSetBack:
		if p.Field == "" || len(p.Value) == 0 || p.Op == OpSetBack && len(p.WasValue) == 0 {
			return errors.New("a field is set with its name and value")
		}
	case OpInsert:
		if len(p.Value) == 0 {
			return errors.New("an object is inserted with its fields")
		}
	case OpRemove:
	case OpInsertBack:
		if len(p.WasValue) == 0 {
			return errors.New("an undo of an insertion names what was inserted")
		}
	default:
		return fmt.Errorf("there is no step called “%.40s”", p.Op)
	}
	return p.checkContent()
}

func (p *Primitive) checkContent() error {
	switch c := p.Content; {
	case c == nil:
		return nil
	case p.Op != OpInsert && p.Op != OpInsertBack, p.Ref.Type != TypeMap && p.Ref.Type != TypeLayer && p.Ref.Type != TypeRule:
		return errors.New("only maps, layers and rules hold others")
	case (p.Ref.Type == TypeRule) != (len(c.Parts) > 0) || p.Ref.Type == TypeRule && len(c.Layers)+len(c.Entities) > 0:
		return errors.New("a rule holds parts, and nothing else does")
	case !c.Whole():
		return fmt.Errorf("a map has at most %d layers and %d entities, a rule %d parts, and none of them is missing",
			document.MaxLayers, document.MaxEntities, document.MaxParts)
	}
	return nil
}

// Set is the primitive that sets a field.
func Set(ref Ref, field string, value any) Primitive {
	return Primitive{Op: OpSet, Ref: ref, Field: field, Value: JSON(value), plain: true}
}

// InsertRule is the primitive that puts a rule with its parts in.
func InsertRule(r document.Rule) Primitive {
	p := Insert(Ref{Type: TypeRule, ID: r.ID}, r)
	if r.Parts.Len() > 0 {
		p.Content = &document.Content{Parts: r.Parts.All()}
	}
	return p
}

// Insert is the primitive that inserts an object; its id must be that of ref.
func Insert(ref Ref, object any) Primitive {
	switch e := object.(type) {
	case document.Entity:
		return insertEntity(ref, e)
	case *document.Entity:
		return insertEntity(ref, *e)
	}
	return Primitive{Op: OpInsert, Ref: ref, Value: JSON(object), plain: true}
}

// Remove is the primitive that removes an object.
func Remove(ref Ref) Primitive { return Primitive{Op: OpRemove, Ref: ref} }
