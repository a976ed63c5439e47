package server_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/sample"
	"azzel/server"
	"bytes"
	"encoding/json"
	"fmt"
	"image"
	"image/color"
	"image/png"
	"slices"
	"strings"
	"testing"
)

const here = "/api/projects/" + project

// taken brings a picture in.
func (d *desk) taken(w, h int) server.Taken {
	d.Helper()
	var out server.Taken
	_, body, _ := d.do("POST", here+"/pictures", picture(w, h))
	if err := json.Unmarshal([]byte(body), &out); err != nil || out.Picture == "" {
		d.Fatalf("the picture was not taken: %s", body)
	}
	return out
}

// image is a stored picture.
func (d *desk) image(sha string) image.Image {
	d.Helper()
	_, body, _ := d.do("GET", "/api/pictures/"+sha, nil)
	img, err := png.Decode(strings.NewReader(body))
	if err != nil {
		d.Fatal(err)
	}
	return img
}

func rgba(c color.Color) [4]uint32 {
	r, g, b, a := c.RGBA()
	return [4]uint32{r, g, b, a}
}

func TestPicturesAreReshapedGatheredAndLookedAt(t *testing.T) {
	d := newDesk(t)
	d.do("GET", "/api/session", nil)
	a, b := d.taken(64, 48), d.taken(16, 80)
	post := func(path string, ask any, into any) {
		t.Helper()
		status, body, _ := d.do("POST", here+path, edit.JSON(ask))
		if status != 200 || json.Unmarshal([]byte(body), into) != nil {
			t.Fatalf("%s gave %d %s", path, status, body)
		}
	}
	var out server.Taken
	post("/pictures/reshape", map[string]any{"picture": a.Picture, "crop": map[string]int{"x": 16, "y": 0, "w": 32, "h": 48}, "width": 64, "height": 96}, &out)
	if out.Width != 64 || out.Height != 96 || out.Picture == a.Picture {
		t.Errorf("reshaped: %+v", out)
	}
	post("/pictures/gather", map[string]any{"pictures": []string{a.Picture, b.Picture, a.Picture}}, &out)
	if out.Width != 128 || out.Height != 160 || out.Guesses[0].Cut.CellWidth != 64 || out.Guesses[0].Cut.CellHeight != 80 {
		t.Errorf("gathered: %+v", out)
	}
	drawn := a
	is := append(bytes.Repeat([]byte{1, 2, 3, 255}, 3), 0, 0, 0, 0)
	was := append(bytes.Repeat([]byte{1, 2, 3, 255}, 2), make([]byte, 8)...)
	post("/pictures/pixels", map[string]any{"picture": a.Picture, "part": map[string]int{"x": 4, "y": 5, "w": 2, "h": 2}, "was": was, "is": is}, &drawn)
	before, after := d.image(a.Picture), d.image(drawn.Picture)
	for y := range 48 {
		for x := range 64 {
			want := before.At(x, y)
			if x == 4 && y == 6 { // the one that differs from what it was
				want = color.NRGBA{1, 2, 3, 255}
			}
			if r, g, b, a := after.At(x, y).RGBA(); [4]uint32{r, g, b, a} != rgba(want) {
				t.Fatalf("the pixel at %d, %d is %v, wanted %v", x, y, after.At(x, y), want)
			}
		}
	}
	cut := document.Cut{CellWidth: 16, CellHeight: 16}
	sight := map[string]any{"picture": a.Picture, "cut": cut}
	var match []int
	post("/match", map[string]any{"from": sight, "to": sight}, &match)
	if len(match) != 12 || match[11] != 11 {
		t.Errorf("matched with itself: %v", match)
	}
	// of a picture that is missing the tiles are matched by where they lay
	gone := map[string]any{"picture": strings.Repeat("0", 64), "cut": cut, "width": 64, "height": 32}
	post("/match", map[string]any{"from": gone, "to": sight}, &match)
	if !slices.Equal(match, []int{0, 1, 2, 3, 4, 5, 6, 7}) {
		t.Errorf("matched with what is missing: %v", match)
	}
	var found struct {
		By    string
		Tiles []struct{ Tile, Form int }
	}
	post("/recognise", map[string]any{"picture": a.Picture, "cut": cut, "full": 0}, &found)
	if found.By == "" || len(found.Tiles) == 0 || found.Tiles[0].Tile != 0 {
		t.Errorf("recognised: %v", found)
	}
	var pairs [][2]int
	post("/partners", sight, &pairs)
	var first, second int
	post("/numbers", nil, &first)
	post("/numbers", nil, &second)
	if first < 1 || second != first+1 {
		t.Errorf("the numbers %d and %d", first, second)
	}
	bad := func(path, body, sentence string) {
		t.Helper()
		status, got, _ := d.do("POST", here+path, []byte(body))
		if status < 400 || status > 499 || !strings.Contains(got, sentence) {
			t.Errorf("%s with %s gave %d %s", path, body, status, got)
		}
	}
	shape := func(crop string, w, h int) string {
		return fmt.Sprintf(`{"picture":%q,"crop":%s,"width":%d,"height":%d}`, a.Picture, crop, w, h)
	}
	bad("/pictures/reshape", "words", "which part")
	bad("/pictures/reshape", shape(`{"x":60,"y":0,"w":32,"h":48}`, 8, 8), "outside the picture")
	bad("/pictures/reshape", shape(`{"x":0,"y":0,"w":64,"h":48}`, 0, 8), "no pixels")
	bad("/pictures/reshape", shape(`{"x":0,"y":0,"w":64,"h":48}`, 9000, 8), "8192 a side")
	bad("/pictures/pixels", "words", "which part")
	bad("/pictures/pixels", fmt.Sprintf(`{"picture":%q,"part":{"x":63,"y":0,"w":2,"h":1},"was":"","is":""}`, a.Picture), "outside the picture")
	bad("/pictures/pixels", fmt.Sprintf(`{"picture":%q,"part":{"x":0,"y":0,"w":2,"h":1},"was":"","is":""}`, a.Picture), "not as many")
	bad("/pictures/gather", `{"pictures":[]}`, "gathered")
	bad("/pictures/gather", `{"pictures":["none"]}`, "not here")
	bad("/match", `{"from":1}`, "matched")
	bad("/recognise", fmt.Sprintf(`{"picture":%q,"cut":{"cellWidth":0,"cellHeight":16,"margin":0,"spacing":0},"full":0}`, a.Picture), "cell width")
	bad("/partners", `{"picture":"none","cut":{"cellWidth":16,"cellHeight":16,"margin":0,"spacing":0}}`, "not here")
}

// The history names who did what, and every state of it can be had again.
func TestEventsAndEarlierStates(t *testing.T) {
	d := newDesk(t)
	d.do("GET", "/api/session", nil)
	start := fmt.Sprint(0, sample.World().Hash())
	var hashes []string
	for i := range 3 {
		e := edit.Edit{V: edit.Version, Mark: edit.Mark{Client: "clientclient", Number: int64(i + 1)}, Label: edit.Label{Kind: edit.Do, Text: fmt.Sprintf("Step %d", i)},
			Do: []edit.Primitive{edit.Set(edit.Ref{Type: edit.TypeProject}, "name", fmt.Sprintf("Name %d", i))}}
		if status, body, _ := d.do("POST", here+"/edits", edit.JSON(e)); status != 200 {
			t.Fatalf("an edit gave %d %s", status, body)
		}
		hashes = append(hashes, d.hash())
	}
	var events []struct {
		Seq        int64
		Name, Text string
	}
	_, body, _ := d.do("GET", here+"/events/99", nil)
	if err := json.Unmarshal([]byte(body), &events); err != nil || len(events) != 3 || events[0].Text != "Step 2" || events[2].Seq != 1 || events[0].Name == "" {
		t.Errorf("the history is %s", body)
	}
	_, body, _ = d.do("GET", here+"/events/2", nil)
	if err := json.Unmarshal([]byte(body), &events); err != nil || len(events) != 1 || events[0].Text != "Step 0" {
		t.Errorf("before edit 2 there is %s", body)
	}
	for seq, want := range []string{start, hashes[0], hashes[1], hashes[2]} {
		_, body, _ := d.do("GET", fmt.Sprintf("%s/state/%d", here, seq), nil)
		doc, err := document.Decode([]byte(body))
		if err != nil || fmt.Sprint(seq, doc.Hash()) != want {
			t.Errorf("after edit %d the state is another; %v", seq, err)
		}
	}
	var sketch edit.Sketch
	_, body, _ = d.do("GET", here+"/edits/2/sketch", nil)
	if err := json.Unmarshal([]byte(body), &sketch); err != nil || sketch.About != edit.TypeProject {
		t.Errorf("the sketch of an edit is %s", body)
	}
	for path, want := range map[string]int{"/edits/9/sketch": 404, "/edits/x/sketch": 400, "/state/9": 404, "/state/-1": 400, "/state/x": 400, "/events/x": 400} {
		if status, body, _ := d.do("GET", here+path, nil); status != want {
			t.Errorf("%s gave %d %s", path, status, body)
		}
	}
}
