package edit

import (
	"azzel/core/document"
	"bytes"
	"encoding/json"
	"fmt"
	"slices"
	"strconv"
)

// Sent is the edit as a page sends it. An undo that would be too large, of a large
// map that was removed, say, is sent without its steps: the log has them as the
// inverse of the edit that it names.
func (e *Edit) Sent() []byte {
	text := e.Text()
	if len(text) > MaxBytes && e.Label.Of != nil {
		short := *e
		short.Do, short.text = []Primitive{}, nil
		return JSON(&short)
	}
	return text
}

// headRoom is about how many bytes of a primitive's JSON its values are not.
const headRoom = 112

// Text is the edit as JSON in the present format: as it came, where it came so.
func (e *Edit) Text() []byte {
	if e.text != nil {
		return e.text
	}
	short := *e
	short.Do = []Primitive{}
	out := bytes.TrimSuffix(JSON(&short), []byte("]}"))
	room := 2
	for i := range e.Do {
		room += len(e.Do[i].Value) + len(e.Do[i].WasValue) + headRoom
	}
	out = slices.Grow(out, room)
	for i := range e.Do {
		if i > 0 {
			out = append(out, ',')
		}
		out = e.Do[i].appendTo(out)
	}
	return append(out, "]}"...)
}

// appendTo writes a primitive as JSON does, without writing plain values anew.
func (p *Primitive) appendTo(out []byte) []byte {
	if !p.plain {
		return append(out, JSON(p)...)
	}
	if p.Cells != nil || p.Was != nil || p.Content != nil || !letters(p.Field) {
		return append(out, JSON(p)...)
	}
	out = p.Ref.appendTo(append(append(append(out, `{"op":"`...), p.Op...), `","ref":`...))
	if p.Field != "" {
		out = append(append(append(out, `,"field":"`...), p.Field...), '"')
	}
	if p.Value != nil {
		out = append(append(out, `,"value":`...), p.Value...)
	}
	if p.WasValue != nil {
		out = append(append(out, `,"wasValue":`...), p.WasValue...)
	}
	return append(out, '}')
}

// letters reports whether the name of a field is one, and so stands in JSON as it is.
func letters(name string) bool {
	for i := range len(name) {
		if c := name[i] | 0x20; c < 'a' || c > 'z' {
			return false
		}
	}
	return true
}

// appendTo writes a reference as JSON does; types and ids stand there as they are.
func (r *Ref) appendTo(out []byte) []byte {
	out = append(append(append(out, `{"type":"`...), r.Type...), '"')
	for _, part := range [...]struct {
		key string
		id  document.ID
	}{{`,"map":"`, r.Map}, {`,"rule":"`, r.Rule}, {`,"id":"`, r.ID}} {
		if part.id != "" {
			out = append(append(append(out, part.key...), part.id...), '"')
		}
	}
	return append(out, '}')
}

// JSON marshals an object or value of a primitive.
func JSON(v any) json.RawMessage {
	switch v := v.(type) {
	case *document.Entity:
		if text, ok := v.AppendJSON(make([]byte, 0, 256)); ok {
			return text
		}
	case int:
		return strconv.AppendInt(nil, int64(v), 10)
	}
	data, err := json.Marshal(v)
	if err != nil {
		panic(fmt.Sprintf("edit: plain values always marshal: %v", err))
	}
	return data
}
