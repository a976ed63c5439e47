package format_test

import (
	"azzel/core/format"
	"azzel/core/sample"
	"slices"
	"strings"
	"testing"
)

// FuzzRead puts any bytes into the place of a file of a project: it is read or refused, never more than that, and what is read
// can be written again.
func FuzzRead(f *testing.F) {
	d, picture, take := pictured(sample.Full())
	files, err := format.Write(d, picture)
	if err != nil {
		f.Fatal(err)
	}
	for i, file := range files {
		f.Add(i, file.Data)
		f.Add(i, file.Data[:len(file.Data)/2])
	}
	f.Add(0, []byte(`{"azzel":1,"project":null}`))
	f.Add(3, []byte("~1:300,,1:2 turned 90\n"))
	f.Fuzz(func(t *testing.T, i int, data []byte) {
		if i < 0 || i >= len(files) {
			t.Skip()
		}
		all := slices.Clone(files)
		all[i].Data = data
		got, err := format.Read(all, pictures(take))
		if err != nil {
			return
		}
		known := func(sha string) ([]byte, error) {
			if data, err := picture(sha); err == nil {
				return data, nil
			}
			return data, nil // the picture that was put there
		}
		if _, err := format.Write(got, known); err != nil {
			t.Error(err)
		}
	})
}

// FuzzUnpack takes any bytes for an archive.
func FuzzUnpack(f *testing.F) {
	_, files, _ := written(&testing.T{}, sample.World())
	packed, err := format.Pack(files)
	if err != nil {
		f.Fatal(err)
	}
	f.Add(packed)
	f.Add(packed[:len(packed)/2])
	around, err := format.Pack([]format.File{{Path: "game/project.json", Data: []byte("{}")}, {Path: "game/notes.txt", Data: []byte("salt")}})
	if err != nil {
		f.Fatal(err)
	}
	f.Add(around)
	f.Fuzz(func(_ *testing.T, data []byte) {
		_, _ = format.Unpack(data)
	})
}

// What a ZIP must not hold is refused, and a folder around a project is left out.
func TestArchives(t *testing.T) {
	pack := func(files ...format.File) []byte {
		data, err := format.Pack(files)
		if err != nil {
			t.Fatal(err)
		}
		return data
	}
	got, err := format.Unpack(pack(format.File{Path: "game/project.json", Data: []byte("{}")}, format.File{Path: "other/x.txt"}))
	if err != nil || len(got) != 1 || got[0].Path != "project.json" {
		t.Errorf("a folder around it: %v, %v", got, err)
	}
	for _, name := range []string{"../project.json", "/project.json", "a/../../b", `c:\x`, "a/./b", "maps/con.json", "aux"} {
		if _, err := format.Unpack(pack(format.File{Path: name})); err == nil {
			t.Errorf("%s is taken", name)
		}
	}
	for _, twice := range [][2]string{{"maps/a.json", "maps/A.json"}} {
		if _, err := format.Unpack(pack(format.File{Path: twice[0]}, format.File{Path: twice[1]})); err == nil || !strings.Contains(err.Error(), "one file on many machines") {
			t.Errorf("%v: %v", twice, err)
		}
	}
	locked := pack(format.File{Path: "project.json", Data: []byte("{}")})
	for i := range len(locked) - 4 { // the flag of each header
		if string(locked[i:i+4]) == "PK\x01\x02" {
			locked[i+8] |= 1
		}
	}
	if _, err := format.Unpack(locked); err == nil || !strings.Contains(err.Error(), "password") {
		t.Errorf("locked: %v", err)
	}
	large := pack(format.File{Path: "project.json", Data: make([]byte, format.MaxFile+1)})
	if _, err := format.Unpack(large); err == nil || len(large) > 1<<20 {
		t.Errorf("%d bytes that become more than a file may hold are taken: %v", len(large), err)
	}
	if _, err := format.Unpack(large[:len(large)-10]); err == nil {
		t.Error("what is cut off is taken")
	}
}
