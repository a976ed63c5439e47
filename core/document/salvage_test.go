package document_test

import (
	"azzel/core/document"
	"azzel/core/sample"
	"bytes"
	"encoding/binary"
	"strings"
	"testing"
)

// spoiled is the sample's state with one text exchanged for another in its head.
func spoiled(t *testing.T, from, to string) []byte {
	t.Helper()
	data := sample.World().Encode()
	line, rest, _ := bytes.Cut(data, []byte("\n"))
	n, k := binary.Uvarint(rest)
	head := bytes.Replace(rest[k:k+int(n)], []byte(from), []byte(to), 1)
	if bytes.Equal(head, rest[k:k+int(n)]) {
		t.Fatalf("the head has no %s", from)
	}
	out := append(append([]byte{}, line...), '\n')
	out = binary.AppendUvarint(out, uint64(len(head)))
	return append(append(out, head...), rest[k+int(n):]...)
}

// Of a state that is damaged all is read that can be, and what cannot is said.
func TestSalvage(t *testing.T) {
	whole := sample.World()
	for _, c := range []struct {
		name, from, to, lost string
		maps, things         int
	}{
		{"an entity", `"kind":"door"`, `"kind":12345`, "an entity of Quay", 2, 4},
		{"a flag", `"name":"Lit"`, `"name":"   "`, "a flag", 2, 5},
		{"the project", `"cellWidth":16`, `"cellWidth":"x"`, "the project's own settings", 2, 5},
		{"a map", `"name":"Quay"`, `"name":[]`, "a map", 1, 0},
	} {
		data := spoiled(t, c.from, c.to)
		if _, err := document.Decode(data); err == nil && c.name != "a flag" {
			t.Errorf("%s: what is damaged was read as whole", c.name)
		}
		d, lost, err := document.Salvage(data)
		if err != nil || len(lost) != 1 || !strings.Contains(lost[0], c.lost) {
			t.Errorf("%s: lost %q, %v", c.name, lost, err)
			continue
		}
		things := 0
		if m := d.Maps.Get(sample.Quay); m != nil {
			things = m.Entities.Len()
		}
		if d.Maps.Len() != c.maps || things != c.things {
			t.Errorf("%s: %d maps and %d entities are left", c.name, d.Maps.Len(), things)
		}
		if pans := d.Maps.Get(sample.Pans); pans == nil || pans.Layers.Get(sample.Ground).Cells.At(3, 3) != sample.Floor {
			t.Errorf("%s: the Pans are not as they were", c.name)
		}
	}
	// cells that are cut off leave their layers empty, and the rest as it was
	data := whole.Encode()
	d, lost, err := document.Salvage(data[:len(data)-10])
	if err != nil || len(lost) == 0 || d.Maps.Len() != 2 {
		t.Errorf("cut off: lost %q, %v", lost, err)
	}
	if d, lost, err := document.Salvage(data); err != nil || len(lost) != 0 || d.Hash() != whole.Hash() {
		t.Errorf("what is whole: lost %q, %v", lost, err)
	}
	for _, bad := range []string{"", "azzel state", "azzel state 1\n", "azzel state 99\n\x02{}", "azzel state 1\n\x02[]"} {
		if _, _, err := document.Salvage([]byte(bad)); err == nil {
			t.Errorf("%q was read", bad)
		}
	}
}

// Whatever is stored, reading it never panics, and what is read can be written.
func FuzzState(f *testing.F) {
	f.Add(sample.World().Encode())
	f.Add(sample.Maps(2, 2).Encode())
	f.Add([]byte("azzel state 1\n\x02{}"))
	f.Fuzz(func(t *testing.T, data []byte) {
		if d, err := document.Decode(data); err == nil {
			if again, err := document.Decode(d.Encode()); err != nil || again.Hash() != d.Hash() {
				t.Errorf("what was read cannot be read again: %v", err)
			}
		}
		if d, _, err := document.Salvage(data); err == nil {
			if _, err := document.Decode(d.Encode()); err != nil {
				t.Errorf("what was saved of it cannot be read: %v", err)
			}
		}
	})
}
