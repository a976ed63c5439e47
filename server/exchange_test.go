package server_test

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/format"
	"azzel/demo"
	"azzel/server"
	"bytes"
	"encoding/json"
	"slices"
	"strings"
	"testing"
)

// exported is a project as it leaves the server.
func (d *desk) exported(id string) ([]byte, []format.File) {
	d.Helper()
	status, body, header := d.do("GET", "/api/projects/"+id+"/export", nil)
	if status != 200 || header.Get("Content-Type") != "application/zip" || !strings.Contains(header.Get("Content-Disposition"), "attachment") {
		d.Fatalf("exporting: %d %v %.200s", status, header, body)
	}
	files, err := format.Unpack([]byte(body))
	d.must(err)
	return []byte(body), files
}

// The demo leaves as a ZIP and comes back with the same hash, as a project of its own and over itself, and the same ZIP is made
// of it again.
func TestProjectsComeAndGo(t *testing.T) {
	d := newDesk(t)
	d.must(demo.Load(ctx, d.store, false))
	d.do("GET", "/api/session", nil)
	id := string(demo.ProjectID)
	packed, files := d.exported(id)
	if again, _ := d.exported(id); !bytes.Equal(again, packed) {
		t.Error("the same project makes another ZIP")
	}
	status, body, _ := d.do("POST", "/api/projects/import", packed)
	var made struct{ ID, Name string }
	if d.must(json.Unmarshal([]byte(body), &made)); status != 201 || made.Name == "The Saltworks at Low Tide" {
		t.Fatalf("importing: %d %+v", status, made)
	}
	d.do("POST", "/api/projects/"+made.ID+"/name", []byte(`{"name":"The Saltworks at Low Tide"}`))
	if is := d.hashOf(made.ID); is[len(is)-64:] != d.hashOf(id)[1:] {
		t.Error("what comes back is another project")
	}
	bring := func(files []format.File) (out struct {
		Changes []author.Differing
		State   []byte
		Maps    []server.Beside
		Kept    []string
	}) {
		t.Helper()
		packed, err := format.Pack(files)
		d.must(err)
		status, body, _ := d.do("POST", "/api/projects/"+id+"/bring-in", packed)
		if status != 200 {
			t.Fatalf("bringing in: %d %.300s", status, body)
		}
		d.must(json.Unmarshal([]byte(body), &out))
		return out
	}
	if got := bring(files); len(got.Changes) != 0 {
		t.Errorf("it differs from itself: %+v", got.Changes)
	}
	foreign := slices.Clone(files)
	at := slices.IndexFunc(foreign, func(f format.File) bool { return f.Path == "project.json" })
	foreign[at].Data = bytes.Replace(foreign[at].Data, []byte("{"), []byte(`{"x-build": 7,`), 1)
	if got := bring(foreign); len(got.Kept) != 1 || !strings.Contains(got.Kept[0], "“x-build” of project") || len(got.Changes) != 1 {
		t.Errorf("a field that nothing knows: %q %+v", got.Kept, got.Changes)
	}
	for form, want := range map[string]string{"graphml": "<graphml", "svg": "<svg", "entities": "Shore crab", "rules": "when"} {
		status, body, header := d.do("GET", "/api/projects/"+id+"/export/"+form, nil)
		if status != 200 || !strings.Contains(body, want) || !strings.Contains(header.Get("Content-Disposition"), form) {
			t.Errorf("%s: %d %.200s", form, status, body)
		}
	}
	doc, err := format.Read(files, server.NewIntake())
	d.must(err)
	m, set, motif := doc.MapsInOrder()[0], doc.TilesetsInOrder()[0], doc.MotifsInOrder()[0]
	if status, body, header := d.do("GET", "/api/projects/"+id+"/layered/"+string(m.ID), nil); status != 200 || !strings.Contains(body[:60], "image/openraster") || !strings.Contains(header.Get("Content-Disposition"), m.Name+".ora") {
		t.Errorf("a map in layers: %d %.100s", status, body)
	}
	for path, want := range map[string]func(*document.Document) bool{
		"tileset/" + string(set.ID): func(d *document.Document) bool {
			is := d.Tilesets.Get(set.ID)
			return is != nil && len(is.Infos) == len(set.Infos) && d.Maps.Len() == 0 && d.Materials.Len() == doc.Materials.Len()
		},
		"motif/" + string(motif.ID): func(d *document.Document) bool {
			is := d.Motifs.Get(motif.ID)
			return is != nil && len(is.Parts) == len(motif.Parts) && d.Tilesets.Len() > 0 && d.Rules.Len() == 0
		},
	} {
		status, body, _ := d.do("GET", "/api/projects/"+id+"/export/"+path, nil)
		files, err := format.Unpack([]byte(body))
		if status != 200 || err != nil {
			t.Fatalf("%s: %d %v", path, status, err)
		}
		is, err := format.Read(files, server.NewIntake())
		if err != nil || !want(is) {
			t.Errorf("%s comes back otherwise: %v", path, err)
		}
	}
	for _, wrong := range []string{"layered/gonegonegone", "export/tileset/gonegonegone", "export/motif/gonegonegone", "export/rule/gonegonegone"} {
		if status, _, _ := d.do("GET", "/api/projects/"+id+"/"+wrong, nil); status != 400 {
			t.Errorf("%s: %d", wrong, status)
		}
	}
	if status, _, _ := d.do("GET", "/api/projects/"+id+"/export/xls", nil); status != 400 {
		t.Errorf("an unknown form: %d", status)
	}
	i := slices.IndexFunc(files, func(f format.File) bool { return f.Path == "maps/quay/ground.csv" })
	line, rest, _ := strings.Cut(string(files[i].Data), "\n")
	files[i].Data = []byte("1:1 mirrored" + line[strings.IndexByte(line, ','):] + "\n" + rest)
	got := bring(files)
	if len(got.Changes) != 1 || got.Changes[0].Said() != "Quay: 1 cell" {
		t.Errorf("one cell is told as %+v", got.Changes)
	}
	if len(got.Maps) != 1 || got.Maps[0].Name != "Quay" || !bytes.HasPrefix(got.Maps[0].Before, []byte("\x89PNG")) || bytes.Equal(got.Maps[0].Before, got.Maps[0].After) {
		t.Errorf("%d maps are shown", len(got.Maps))
	}
	if doc, err := document.Decode(got.State); err != nil || doc.Hash() == d.hashOf(id)[1:] {
		t.Errorf("the state is the old one, %v", err)
	}
	before := d.count("SELECT count(*) FROM projects")
	for want, data := range map[string][]byte{"no ZIP": []byte("salt"), "cut off": packed[:len(packed)-300], "is missing": pack(t, format.File{Path: "maps/quay.json", Data: []byte("{}")}),
		"a picture": pack(t, slices.Insert(slices.Clone(files), 0, format.File{})[1:]...)} {
		if want == "a picture" {
			all := slices.Clone(files)
			k := slices.IndexFunc(all, func(f format.File) bool { return strings.HasSuffix(f.Path, ".png") })
			all[k].Data = []byte("no picture")
			data = pack(t, all...)
		}
		if status, body, _ := d.do("POST", "/api/projects/import", data); status != 400 || !strings.Contains(body, want) {
			t.Errorf("%s: %d %s", want, status, body)
		}
	}
	if after := d.count("SELECT count(*) FROM projects"); after != before {
		t.Error("a project was made of what cannot be read")
	}
}

func pack(t *testing.T, files ...format.File) []byte {
	t.Helper()
	data, err := format.Pack(files)
	if err != nil {
		t.Fatal(err)
	}
	return data
}
