package document

import (
	"bytes"
	"encoding/json"
	"fmt"
	"reflect"
	"strconv"
	"strings"
	"sync"
)

func itoa(n int) string { return strconv.Itoa(n) }

// field finds the struct field with this JSON name; ids and what is stored
// outside the object's own JSON cannot be reached.
func field(obj reflect.Value, name string) (reflect.Value, error) {
	if i, ok := settable(obj.Type())[name]; ok {
		return obj.Field(i), nil
	}
	return reflect.Value{}, fmt.Errorf("there is no field “%.40s” to set", name)
}

// settables are the fields of types that can be set, by type: their numbers by the names that they have in JSON.
var settables sync.Map

func settable(t reflect.Type) map[string]int {
	if known, ok := settables.Load(t); ok {
		return known.(map[string]int)
	}
	out := map[string]int{}
	for i := range t.NumField() {
		tag, _, _ := strings.Cut(t.Field(i).Tag.Get("json"), ",")
		if _, twice := out[tag]; tag != "" && tag != "-" && tag != "id" && !twice {
			out[tag] = i
		}
	}
	settables.Store(t, out)
	return out
}

// FieldNames lists the fields of an object that can be set, by the names that
// they have in JSON, in the order in which they are declared.
func FieldNames[T any](obj *T) []string {
	var out []string
	t := reflect.TypeOf(obj).Elem()
	for i := range t.NumField() {
		if tag, _, _ := strings.Cut(t.Field(i).Tag.Get("json"), ","); tag != "" && tag != "-" && tag != "id" {
			out = append(out, tag)
		}
	}
	return out
}

// Field gives a field of an object as JSON, by the name it has in JSON.
func Field[T any](obj *T, name string) (json.RawMessage, error) {
	f, err := field(reflect.ValueOf(obj).Elem(), name)
	if err != nil {
		return nil, err
	}
	switch f.Kind() { // as json.Marshal, which takes longer
	case reflect.Int:
		return strconv.AppendInt(nil, f.Int(), 10), nil
	case reflect.Bool:
		return strconv.AppendBool(nil, f.Bool()), nil
	}
	return json.Marshal(f.Interface())
}

// whole reads a value that is written as a whole number is by Field.
func whole(value json.RawMessage) (n int64, ok bool) {
	digits := bytes.TrimPrefix(value, []byte("-"))
	if len(digits) == 0 || len(digits) > 15 || digits[0] == '0' && len(value) > 1 {
		return 0, false
	}
	for _, c := range digits {
		if c < '0' || c > '9' {
			return 0, false
		}
		n = n*10 + int64(c-'0')
	}
	if len(digits) < len(value) {
		n = -n
	}
	return n, true
}

// WithField gives a copy of an object with one field changed. The value must be
// of the field's type; whether the copy passes its check is for the caller to ask.
func WithField[T any](obj *T, name string, value json.RawMessage) (*T, error) {
	next := *obj
	f, err := field(reflect.ValueOf(&next).Elem(), name)
	if err != nil {
		return nil, err
	}
	if n, is := whole(value); is && f.Type() == reflect.TypeFor[int]() {
		f.SetInt(n)
		return &next, nil
	}
	f.SetZero() // a decoder would reuse the old value's slices
	read := Strict
	if k := f.Kind(); k == reflect.Int || k == reflect.String || k == reflect.Bool {
		read = json.Unmarshal // as strict, where there are no fields
	}
	if err := read(value, f.Addr().Interface()); err != nil {
		return nil, fmt.Errorf("the value of “%s” is not of its type", name)
	}
	return &next, nil
}

// Strict decodes one JSON value that has no unknown fields and nothing behind it.
func Strict(data []byte, into any) error {
	dec := json.NewDecoder(bytes.NewReader(data))
	dec.DisallowUnknownFields()
	if err := dec.Decode(into); err != nil {
		return err
	}
	if dec.More() {
		return fmt.Errorf("more than one value")
	}
	return nil
}
