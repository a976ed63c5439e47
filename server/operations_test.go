package server_test

import (
	"azzel/demo"
	"azzel/server"
	"mime"
	"slices"
	"strings"
	"testing"
)

// Every route of the API is an operation that is described, and every operation a route; those that only give something are
// asked, and give what is said.
func TestOperations(t *testing.T) {
	d := newDesk(t)
	d.must(demo.Load(ctx, d.store, false))
	d.do("GET", "/api/session", nil)
	var routes, told []string
	for _, r := range server.Routes(d.store) {
		path := r[1]
		for strings.Contains(path, ":") {
			from := strings.Index(path, ":")
			to := len(path)
			if i := strings.Index(path[from:], "/"); i >= 0 {
				to = from + i
			}
			path = path[:from] + "{" + path[from+1:to] + "}" + path[to:]
		}
		if strings.HasPrefix(path, "/api/") || strings.HasPrefix(path, "/live/") {
			routes = append(routes, r[0]+" "+path)
		}
	}
	for _, o := range server.Operations() {
		told = append(told, o.Method+" "+o.Path)
	}
	slices.Sort(routes)
	slices.Sort(told)
	if !slices.Equal(routes, told) {
		for _, r := range routes {
			if !slices.Contains(told, r) {
				t.Errorf("%s is not described", r)
			}
		}
		for _, o := range told {
			if !slices.Contains(routes, o) {
				t.Errorf("%s is no route", o)
			}
		}
	}
	doc := demo.Project(demo.Coast(), strings.Repeat("0", 64))
	put := strings.NewReplacer("{project}", string(demo.ProjectID), "{form}", "entities", "{seq}", "0", "{to}", "0", "{what}/{id}", "tileset/"+string(doc.TilesetsInOrder()[0].ID), "{map}", string(doc.MapsInOrder()[0].ID))
	for _, o := range server.Operations() {
		if o.Method != "GET" || o.Gives == "" || strings.Contains(o.Path, "{sha}") || strings.Contains(o.Path, "{what}") || strings.Contains(o.Path, "{map}") || strings.Contains(o.Path, "/edits/") {
			continue
		}
		status, body, header := d.do("GET", put.Replace(o.Path), nil)
		media, _, _ := mime.ParseMediaType(header.Get("Content-Type"))
		if status == 400 && strings.Contains(body, "has not been built") {
			continue
		}
		if status != o.Status || o.Gives != "*/*" && media != o.Gives {
			t.Errorf("GET %s: %d %s, wanted %d %s", o.Path, status, media, o.Status, o.Gives)
		}
	}
}
