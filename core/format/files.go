// Package format writes a project as a tree of files that people and programs read and version control compares: JSON,
// CSV, PNG and plain text; and reads it again without losing anything.
package format

import (
	"azzel/core/document"
	"bytes"
	"cmp"
	"encoding/json"
	"errors"
	"fmt"
	"slices"
	"strings"
	"unicode"
	"unicode/utf8"
)

// File is one file of a project; the path is relative, with slashes.
type File struct {
	Path string
	Data []byte
}

// Fault is something wrong with a file. Error is a sentence that names it.
type Fault struct {
	Path string
	Err  error
}

func (f *Fault) Error() string { return f.Path + ": " + f.Err.Error() }

// Unwrap gives what is wrong.
func (f *Fault) Unwrap() error { return f.Err }

// sorted puts files in the order of their paths.
func sorted(files []File) []File {
	slices.SortFunc(files, func(a, b File) int { return cmp.Compare(a.Path, b.Path) })
	return files
}

// paths gives files names that nothing else has, made of what their things are called.
type paths map[string]bool

// longest is how many characters of a name go into that of a file.
const longest = 40

// take is a path in a folder after a name, without its end. Of two that would be called the same the later has its id behind
// it, which stays so whatever comes or goes.
func (p paths) take(folder, name string, id document.ID) string {
	var word strings.Builder
	for _, r := range strings.ToLower(name) {
		if unicode.IsLetter(r) || unicode.IsDigit(r) {
			word.WriteRune(r)
		} else if s := word.String(); s != "" && !strings.HasSuffix(s, "-") {
			word.WriteByte('-')
		}
	}
	runes := []rune(strings.TrimRight(word.String(), "-"))
	path := folder + cmp.Or(strings.TrimRight(string(runes[:min(len(runes), longest)]), "-"), "unnamed")
	if p[path] || slices.Contains(reserved, path[strings.LastIndexByte(path, '/')+1:]) {
		path += "-" + string(id)
	}
	p[path] = true
	return path
}

// object is JSON as it is, by names.
type object = map[string]any

// plain reads JSON into objects, lists and plain values; numbers stay as they are written. An error names the line.
func plain(data []byte) (object, error) {
	data = bytes.TrimPrefix(data, mark)
	if !utf8.Valid(data) {
		return nil, errors.New("it is not in UTF-8: save it so")
	}
	dec := json.NewDecoder(bytes.NewReader(data))
	dec.UseNumber()
	var out object
	err := dec.Decode(&out)
	if err == nil {
		err = repeated(data)
	}
	if err == nil && dec.More() {
		err = errors.New("there is something behind the end")
	}
	var syntax *json.SyntaxError
	switch {
	case errors.As(err, &syntax):
		return nil, fmt.Errorf("line %d: %s", 1+bytes.Count(data[:min(int(syntax.Offset), len(data))], []byte("\n")), syntax.Error())
	case err != nil:
		return nil, fmt.Errorf("line %d: %w", 1+bytes.Count(data[:min(int(dec.InputOffset()), len(data))], []byte("\n")), err)
	case out == nil:
		return nil, errors.New("it holds nothing")
	}
	return out, nil
}

// repeated refuses an object that has two fields of one name: of them only one would be read.
func repeated(data []byte) error {
	dec := json.NewDecoder(bytes.NewReader(data))
	type level struct {
		object, value bool // value tells that the next text is no name
		seen          map[string]bool
	}
	var in []*level
	for {
		token, err := dec.Token()
		if err != nil {
			return nil // it was read before
		}
		top := func() *level {
			if len(in) == 0 {
				return &level{}
			}
			return in[len(in)-1]
		}
		switch t := token.(type) {
		case json.Delim:
			switch t {
			case '{', '[':
				top().value = false
				in = append(in, &level{object: t == '{', seen: map[string]bool{}})
			default:
				in = in[:len(in)-1]
			}
			continue
		case string:
			if l := top(); l.object && !l.value {
				if l.seen[t] {
					return fmt.Errorf("“%.40s” stands there twice", t)
				}
				l.seen[t], l.value = true, true
				continue
			}
		}
		top().value = false
	}
}

// written is JSON that people read: a field a line, by name, indented by a tab.
func written(v any) []byte {
	var out bytes.Buffer
	enc := json.NewEncoder(&out)
	enc.SetEscapeHTML(false)
	enc.SetIndent("", "\t")
	if err := enc.Encode(v); err != nil {
		panic(fmt.Sprintf("format: plain values always marshal: %v", err))
	}
	return out.Bytes()
}
