package server_test

import (
	"azzel/core/edit"
	"azzel/core/sample"
	"azzel/server"
	"bytes"
	"encoding/json"
	"image"
	"image/color"
	"image/draw"
	"image/png"
	"strings"
	"testing"
)

// Projects are renamed by an edit, copied with all that is on them, put away, brought back,
// and deleted for good only by who made them, after they were put away.
func TestProjectsOnTheShelf(t *testing.T) {
	d := newDesk(t)
	d.do("GET", "/api/session", nil)
	at := "/api/projects/" + project
	list := func() (names []string, away int) {
		t.Helper()
		_, body, _ := d.do("GET", "/api/projects", nil)
		var all []struct {
			Name    string
			Removed *string
		}
		d.must(json.Unmarshal([]byte(body), &all))
		for _, p := range all {
			if names = append(names, p.Name); p.Removed != nil {
				away++
			}
		}
		return names, away
	}
	post := func(path, body string, wanted int) string {
		t.Helper()
		status, said, _ := d.do("POST", path, []byte(body))
		if status != wanted {
			t.Errorf("%s %s: %d %s", path, body, status, said)
		}
		return said
	}
	post(at+"/name", `{"name":"Low Tide"}`, 200)
	post(at+"/name", `{"name":"   "}`, 400)
	post(at+"/name", `{"name":"`+strings.Repeat("x", 200)+`"}`, 400)
	post(at+"/name", `["Low Tide"]`, 400)
	before := d.hash()
	var made struct{ ID, Name string }
	d.must(json.Unmarshal([]byte(post(at+"/copy", `{}`, 201)), &made))
	if made.Name != "Low Tide 2" || made.ID == project {
		t.Errorf("the copy is %+v", made)
	}
	// the copy has all of it but the name
	post("/api/projects/"+made.ID+"/name", `{"name":"Low Tide"}`, 200)
	if got := d.hashOf(made.ID); got != before {
		t.Errorf("the copy's state is %s, wanted %s", got, before)
	}
	// numbers that cells call things by go on where they are
	first, second := post(at+"/numbers", "", 200), post("/api/projects/"+made.ID+"/numbers", "", 200)
	if first != second {
		t.Errorf("the copy goes on with number %s, the project with %s", second, first)
	}

	post(at+"/delete", `{}`, 400) // it is not put away
	post(at+"/remove", `{}`, 204)
	if names, away := list(); len(names) != 2 || away != 1 {
		t.Errorf("put away: %v, %d", names, away)
	}
	post(at+"/bring-back", `{}`, 204)
	if _, away := list(); away != 0 {
		t.Error("it is still away")
	}
	post(at+"/remove", `{}`, 204)
	post(at+"/delete", `{}`, 400) // somebody else made it
	post("/api/projects/"+made.ID+"/remove", `{}`, 204)
	post("/api/projects/"+made.ID+"/delete", `{}`, 204)
	post("/api/projects/"+made.ID+"/name", `{"name":"Gone"}`, 404)
	if names, away := list(); len(names) != 1 || away != 1 {
		t.Errorf("deleted: %v, %d", names, away)
	}
}

// A project is drawn for the list, anew only when it has changed; where there is nothing to see, or nothing can be read, there is no
// picture, and other sites are given none.
func TestCoverOfAProject(t *testing.T) {
	d := newDesk(t)
	d.do("GET", "/api/session", nil)
	at := "/api/projects/" + project + "/cover"
	answers := func(wanted int, headers ...string) string {
		t.Helper()
		status, body, header := d.do("GET", at, nil, headers...)
		if status != wanted || wanted == 200 != strings.HasPrefix(body, "\x89PNG") {
			t.Errorf("it answered %d and %d bytes, wanted %d", status, len(body), wanted)
		}
		return header.Get("ETag")
	}
	answers(204) // its tileset has no picture
	img := image.NewNRGBA(image.Rect(0, 0, 128, 128))
	draw.Draw(img, img.Rect, image.NewUniform(color.NRGBA{40, 90, 120, 255}), image.Point{}, draw.Src)
	var data bytes.Buffer
	d.must(png.Encode(&data, img))
	var taken server.Taken
	_, body, _ := d.do("POST", "/api/projects/"+project+"/pictures", data.Bytes())
	d.must(json.Unmarshal([]byte(body), &taken))
	d.append(edit.Set(edit.Ref{Type: edit.TypeTileset, ID: sample.Coast}, "picture", taken.Picture))
	first := answers(200)
	answers(304, "If-None-Match", first)
	d.append(edit.Set(edit.Ref{Type: edit.TypeProject}, "name", "Low Tide"))
	if second := answers(200, "If-None-Match", first); second == first {
		t.Error("it is told to be as it was, after an edit")
	}
	answers(403, "Sec-Fetch-Site", "cross-site")
	d.exec("UPDATE snapshots SET state = 'torn'")
	answers(204)
}
