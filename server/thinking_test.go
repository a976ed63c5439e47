package server_test

import (
	"azzel/core/cells"
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/proof"
	"azzel/core/sample"
	"azzel/core/world"
	"azzel/e2e/database"
	"azzel/server"
	"azzel/store"
	"bytes"
	"encoding/json"
	"fmt"
	"image"
	"image/png"
	"strings"
	"sync"
	"testing"
)

// append stores an edit of a project.
func (d *desk) append(do ...edit.Primitive) {
	d.Helper()
	l := store.NewLog(d.store)
	defer l.Close()
	e := &edit.Edit{V: edit.Version, Mark: edit.Mark{Client: document.NewID(), Number: 1}, Label: edit.Label{Kind: edit.Do, Text: "Test"}, Do: do}
	somebody, _, err := d.store.NewPerson(ctx, "Somebody")
	d.must(err)
	d.must((<-l.Append(project, somebody.ID, e)).Err)
}

func (d *desk) think(method, args string) (int, string) {
	d.Helper()
	status, body, _ := d.do("POST", "/api/projects/"+project+"/think", []byte(fmt.Sprintf(`{"method":%q,"args":%s}`, method, args)))
	return status, body
}

// studied is all that the server finds out, asked as long as it goes on.
func (d *desk) studied() (body string, asked int) {
	d.Helper()
	for asked = 1; asked < 5000; asked++ {
		status, body := d.think("study", `{"from":"","ticks":8000}`)
		if status != 200 {
			d.Fatalf("study: %d %s", status, body)
		}
		if strings.Contains(body, `"done":true`) {
			return body, asked
		}
	}
	d.Fatal("it comes to no end")
	return "", 0
}

// The server finds out whether a project can be finished, as a page does, a part at a time; what is known of a project with the same hash is
// answered at once, by another server too; and after an edit it is found out anew.
func TestTheServerThinks(t *testing.T) {
	d := newDesk(t)
	d.do("GET", "/api/session", nil)
	goal := document.Entity{ID: "goalgoalgoal", Layer: sample.Entities, Kind: kind.Goal, Name: "Goal", Facing: document.Down, X: 256, Y: 96, W: 16, H: 16}
	d.append(edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: goal.ID}, goal))
	first, _ := d.studied()
	var found struct {
		Is    string
		Steps int
	}
	d.must(json.Unmarshal([]byte(first), &found))
	doc := sample.With(sample.World(), edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: goal.ID}, goal))
	study := proof.NewStudy(world.New(doc, chart.New(doc, nil), nil), nil)
	for !study.Step(8000) {
	}
	if found.Is != string(proof.Can) || found.Steps != study.Answer.Steps {
		t.Fatalf("the server says %+v, and the core %+v", found, study.Answer)
	}
	_, walk := d.think("walk", `{"from":"","trap":0,"expectation":""}`)
	_, checks := d.think("checks", `{}`)
	if !strings.Contains(walk, `"keys":[`) || !strings.Contains(checks, `"findings":[`) {
		t.Errorf("the walk is %.200s, what is wrong %.200s", walk, checks)
	}
	d.base = d.serve(database.Open(t, d.dsn))
	d.do("GET", "/api/session", nil)
	again, asked := d.studied()
	if _, is := d.think("walk", `{"from":"","trap":0,"expectation":""}`); asked != 1 || again != first || is != walk {
		t.Errorf("another server was asked %d times, and answers %.200s, with the walk %.100s", asked, again, is)
	}
	if _, is := d.think("checks", `{}`); is != checks {
		t.Errorf("another server finds %.300s", is)
	}
	back := server.OfEdition("another ")
	d.base = d.serve(database.Open(t, d.dsn))
	d.do("GET", "/api/session", nil)
	if _, asked := d.studied(); asked == 1 {
		t.Error("what another edition found out is told")
	}
	back()
	d.append(edit.Remove(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: goal.ID}))
	if body, _ := d.studied(); !strings.Contains(body, `"is":"nothing"`) {
		t.Errorf("after the goal is gone: %.200s", body)
	}
	for _, c := range []struct {
		method, args string
		status       int
	}{{"set", `{}`, 400}, {"undo", `{}`, 400}, {"", `{}`, 400}, {"study", `{"from":7}`, 400}, {"reach", `{"map":"gonegonegone"}`, 400}, {"foresee", `{"would":{"v":0}}`, 200}} {
		if status, body := d.think(c.method, c.args); status != c.status {
			t.Errorf("%s %s: %d %s", c.method, c.args, status, body)
		}
	}
	if status, _, _ := d.do("POST", "/api/projects/gonegonegone/think", []byte(`{"method":"study","args":{"from":"","ticks":1}}`)); status != 404 {
		t.Errorf("a project that is not there: %d", status)
	}
}

// What became of expectations is kept as well: another server tells it at once, with the walk that refutes one, and that it does not hold is
// among what is wrong.
func TestTheServerKnowsWhatIsExpected(t *testing.T) {
	d := newDesk(t)
	d.do("GET", "/api/session", nil)
	goal := document.Entity{ID: "goalgoalgoal", Layer: sample.Entities, Kind: kind.Goal, Name: "Goal", Facing: document.Down, X: 256, Y: 96, W: 16, H: 16}
	d.append(edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: goal.ID}, goal),
		edit.Set(edit.Ref{Type: edit.TypeProject}, "expectations", []document.Expectation{{ID: "neverneverne", Is: document.ExpectNever, Says: "Switch is on"}, {ID: "possiblyposs", Is: document.ExpectSometimes, Says: "Switch is on"}}))
	all := func() (body string, asked int) {
		d.Helper()
		for asked = 1; asked < 5000; asked++ {
			if _, body = d.think("expectations", `{"ticks":8000}`); !strings.Contains(body, `"verdict":""`) {
				return body, asked
			}
		}
		d.Fatal("it comes to no end")
		return
	}
	d.studied()
	first, _ := all()
	if !strings.Contains(first, `"refuted"`) || !strings.Contains(first, `"proven"`) {
		t.Fatalf("it says %s", first)
	}
	d.studied()
	_, walk := d.think("walk", `{"from":"","trap":0,"expectation":"neverneverne"}`)
	_, wrong := d.think("checks", `{}`)
	if !strings.Contains(walk, `"keys":[`) || !strings.Contains(wrong, "What is expected does not hold") {
		t.Errorf("the walk is %.200s, and what is wrong %.300s", walk, wrong)
	}
	d.base = d.serve(database.Open(t, d.dsn))
	d.do("GET", "/api/session", nil)
	if again, asked := all(); asked != 1 || again != first {
		t.Errorf("another server was asked %d times and says %s", asked, again)
	}
	if _, is := d.think("walk", `{"from":"","trap":0,"expectation":"neverneverne"}`); is != walk {
		t.Errorf("its walk is %.200s", is)
	}
	if _, is := d.think("checks", `{}`); is != wrong {
		t.Errorf("another server finds %.300s", is)
	}
}

// The server looks at pictures by itself: that the hero is of the ground's colour is found, and nobody can show it other pictures.
func TestTheServerSeesPictures(t *testing.T) {
	d := newDesk(t)
	d.do("GET", "/api/session", nil)
	img := image.NewGray(image.Rect(0, 0, 128, 128))
	for i := range img.Pix {
		img.Pix[i] = 120
	}
	var out bytes.Buffer
	d.must(png.Encode(&out, img))
	sha, err := d.store.SavePicture(ctx, out.Bytes(), 128, 128)
	d.must(err)
	d.append(edit.Set(edit.Ref{Type: edit.TypeTileset, ID: sample.Coast}, "picture", sha),
		edit.Set(edit.Ref{Type: edit.TypeProject}, "hero", document.Hero{Frames: [4][]cells.Cell{{}, {}, {cells.TileCell(1, 30)}, {}}, Speed: 5}))
	if status, body := d.think("unseen", `{}`); status != 200 || body != "[]" {
		t.Errorf("it asks for %d %s", status, body)
	}
	if status, body := d.think("checks", `{}`); status != 200 || !strings.Contains(body, "hardly stands out from 180 cells of Quay") {
		t.Errorf("it finds %d %.400s", status, body)
	}
	if status, _ := d.think("seen", fmt.Sprintf(`{"picture":%q,"png":""}`, sha)); status != 400 {
		t.Errorf("it is shown a picture: %d", status)
	}
}

// Many may ask at once: each is answered.
func TestManyAskTheServer(t *testing.T) {
	d := newDesk(t)
	d.do("GET", "/api/session", nil)
	var all sync.WaitGroup
	for i := range 12 {
		all.Go(func() {
			method, args, _ := strings.Cut([]string{`study {"from":"","ticks":500}`, `checks {}`, `prove {"ticks":500}`, `expectations {"ticks":500}`}[i%4], " ")
			if status, body := d.think(method, args); status != 200 {
				t.Errorf("%s: %d %s", method, status, body)
			}
		})
	}
	all.Wait()
}
