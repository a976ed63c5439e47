package server

import (
	"azzel/store"
	"strings"
)

// Routes are the methods and paths that a server answers, but for what only passes requests on.
func Routes(st *store.Store) (out [][2]string) {
	s := New(st)
	defer s.Close()
	for _, r := range s.app.GetRoutes(true) {
		if r.Method != "HEAD" && !strings.HasSuffix(r.Path, "*") && strings.Count(r.Path, "/") > 1 {
			out = append(out, [2]string{r.Method, strings.TrimSuffix(r.Path, "/")})
		}
	}
	return out
}

// OfEdition has answers be those of another edition, until what it gives is called.
func OfEdition(name string) (back func()) {
	now := edition
	edition = func() string { return name }
	return func() { edition = now }
}
