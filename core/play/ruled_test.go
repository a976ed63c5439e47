package play_test

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/sample"
	"math/rand/v2"
	"testing"
)

// ruled adds rules of words drawn by chance about the things of a map, parts standing in others.
func ruled(run *run, r *rand.Rand) *run {
	run.d = apply(run.t, run.d, sample.Drawn()...)
	for range 6 {
		run.d = withRule(run.t, run.d, sample.Draw{On: run.mapID()}.Rule(run.d, r))
	}
	run.g.Enter(stage(run.d))
	return run
}

func rewrite(t *testing.T, d *document.Document, id document.ID, text string) []edit.Primitive {
	t.Helper()
	c, err := author.RewriteRule(d, nil, id, text)
	if err != nil {
		t.Fatal(err)
	}
	return c.Do
}
