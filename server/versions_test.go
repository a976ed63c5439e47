package server_test

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/sample"
	"azzel/server"
	"azzel/store"
	"encoding/json"
	"fmt"
	"strings"
	"testing"
)

// Moments of a project are named, listed with who and when, renamed, compared map by map and forgotten.
func TestVersions(t *testing.T) {
	d := newDesk(t)
	d.do("GET", "/api/session", nil)
	at := "/api/projects/" + project
	ask := func(method, path, body string, wanted int) string {
		t.Helper()
		status, said, _ := d.do(method, at+path, []byte(body))
		if status != wanted {
			t.Errorf("%s %s %s: %d %s, wanted %d", method, path, body, status, said, wanted)
		}
		return said
	}
	list := func() (all []store.NamedVersion) {
		t.Helper()
		d.must(json.Unmarshal([]byte(ask("GET", "/versions", "", 200)), &all))
		return all
	}
	if said := ask("GET", "/versions", "", 200); said != "[]" {
		t.Errorf("at first there are %s", said)
	}
	ask("POST", "/versions", `{"name":" At first ","seq":0}`, 201)
	painted := &grid.Region{}
	painted.AddRect(grid.Rect{X: 1, Y: 1, W: 3, H: 2})
	ask("POST", "/edits", string(someEdit("clientclient", 1, sample.Paint(sample.Quay, sample.Ground, painted, sample.Wall))), 200)
	ask("POST", "/edits", string(name("clientclient", 2, "Low Tide")), 200)
	ask("POST", "/versions", `{"name":"Walled","seq":1}`, 201)
	ask("POST", "/versions", `{"name":"Walled, renamed","seq":2}`, 201)
	all := list()
	var told []string
	for _, v := range all {
		told = append(told, fmt.Sprintf("%s %d", v.Name, v.Seq))
		if v.By == "" || v.At.IsZero() || len(v.ID) != 12 {
			t.Errorf("told of a version is %+v", v)
		}
	}
	if got := strings.Join(told, " | "); got != "Walled, renamed 2 | Walled 1 | At first 0" {
		t.Fatalf("the versions are %s", got)
	}

	differ := func(from, to int) (c server.Compared) {
		t.Helper()
		d.must(json.Unmarshal([]byte(ask("GET", fmt.Sprintf("/compare/%d/%d", from, to), "", 200)), &c))
		return c
	}
	quay := func(c author.Differing) bool { return c.What == edit.TypeMap && c.How == "changed" && c.Cells == 6 }
	if c := differ(0, 1); len(c.Changes) != 1 || !quay(c.Changes[0]) {
		t.Errorf("painting differs by %+v", c.Changes)
	}
	if c := differ(1, 2); len(c.Changes) != 1 || c.Changes[0].What != document.TypeProject || len(c.Maps) != 0 {
		t.Errorf("the name differs by %+v", c.Changes)
	}
	if c := differ(2, 2); len(c.Changes) != 0 {
		t.Errorf("what is the same differs by %+v", c.Changes)
	}

	ask("POST", "/versions/"+all[2].ID+"/name", `{"name":"The beginning"}`, 204)
	ask("POST", "/versions/"+all[1].ID+"/remove", `{}`, 204)
	if left := list(); len(left) != 2 || left[1].Name != "The beginning" {
		t.Errorf("left are %+v", left)
	}

	// what is wrong is refused, and changes nothing
	for _, c := range []struct {
		method, path, body string
		wanted             int
	}{
		{"POST", "/versions", `{"name":"  ","seq":0}`, 400},
		{"POST", "/versions", `{"name":"` + strings.Repeat("é", 81) + `","seq":0}`, 400},
		{"POST", "/versions", `{"name":"Later","seq":3}`, 400},
		{"POST", "/versions", `{"name":"Before","seq":-1}`, 400},
		{"POST", "/versions", `["Now"]`, 400},
		{"POST", "/versions/" + all[1].ID + "/name", `{"name":"Gone"}`, 404},
		{"POST", "/versions/" + all[1].ID + "/remove", `{}`, 404},
		{"POST", "/versions/" + all[0].ID + "/name", `{"name":""}`, 400},
		{"GET", "/compare/0/9", "", 404},
		{"GET", "/compare/-1/0", "", 400},
		{"GET", "/compare/x/0", "", 400},
	} {
		ask(c.method, c.path, c.body, c.wanted)
	}
	var copied struct{ ID string }
	d.must(json.Unmarshal([]byte(ask("POST", "/copy", `{}`, 201)), &copied))
	if status, _, _ := d.do("POST", "/api/projects/"+copied.ID+"/versions/"+all[0].ID+"/remove", []byte(`{}`)); status != 404 {
		t.Errorf("a version of another project is forgotten: %d", status)
	}
	ask("POST", "/versions", `{"name":"`+strings.Repeat("é", 80)+`","seq":2}`, 201)
	if n := len(list()); n != 3 {
		t.Errorf("there are %d versions", n)
	}
}

// No more than so many moments have names; with the project they go.
func TestVersionsAreNotWithoutEnd(t *testing.T) {
	d := newDesk(t)
	d.do("GET", "/api/session", nil)
	at := "/api/projects/" + project
	d.exec(fmt.Sprintf("INSERT INTO versions (id, project_id, seq, name, person_id) SELECT 'v' || n, '%s', 0, 'Version', (SELECT id FROM people LIMIT 1) FROM generate_series(1, %d) n", project, store.MaxVersions))
	if status, said, _ := d.do("POST", at+"/versions", []byte(`{"name":"One more","seq":0}`)); status != 400 || !strings.Contains(said, "500") {
		t.Errorf("one more: %d %s", status, said)
	}
	d.do("POST", at+"/versions/v7/remove", []byte(`{}`))
	if status, said, _ := d.do("POST", at+"/versions", []byte(`{"name":"One more","seq":0}`)); status != 201 {
		t.Errorf("one more where there is room: %d %s", status, said)
	}
	d.must(d.store.RemoveProject(ctx, project))
	if n := d.count("SELECT count(*) FROM versions"); n != 0 {
		t.Errorf("%d versions are left of a project that is gone", n)
	}
}

// Who only looks at a project sees its versions, and names none.
func TestWhoLooksNamesNoVersions(t *testing.T) {
	d := newDesk(t)
	d.do("GET", "/api/session", nil)
	at := "/api/projects/" + project
	d.do("GET", at+"/versions", nil)
	d.exec("UPDATE members SET role = 'viewer'")
	if status, _, _ := d.do("GET", at+"/versions", nil); status != 200 {
		t.Errorf("looking: %d", status)
	}
	if status, _, _ := d.do("POST", at+"/versions", []byte(`{"name":"Mine","seq":0}`)); status != 403 {
		t.Errorf("naming: %d", status)
	}
}
