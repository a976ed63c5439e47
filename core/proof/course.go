package proof

import (
	"azzel/core/document"
	"azzel/core/play"
	"azzel/core/world"
)

// course is the search for the walk through maps that follow each other: nothing is carried from one to the next, so that the fewest
// steps of each come to the fewest of all.
type course struct {
	st     *world.Stage
	maps   []document.ID
	steps  *Steps
	keys   []play.Input
	fewest bool
	tried  int
}

// onWard is what is held between two maps: what is said at the end is read, and the next one has come.
var onWard = append([]play.Input{0, play.InputUse}, make([]play.Input, 60)...)

// newCourse begins with the maps that follow from the one on which a game begins; nil where none does.
func newCourse(st *world.Stage, m world.Ref) *course {
	for _, all := range st.Doc.Courses() {
		for i, o := range all {
			if st.MapOf(o.ID) == m && i < len(all)-1 {
				c := &course{st: st, fewest: true}
				for _, o := range all[i:] {
					c.maps = append(c.maps, o.ID)
				}
				return c
			}
		}
	}
	return nil
}

// step goes on for about so many ticks of play; true when all maps were gone through, or one has no walk.
func (c *course) step(budget int) bool {
	if c.steps == nil {
		c.steps = NewPar(c.st, c.maps[0])
	}
	over := c.steps.Step(budget)
	found := c.steps.Found
	if !over && (found == nil || !found.Fewest) {
		return false
	}
	c.tried += c.steps.Situations()
	if found == nil {
		return true
	}
	c.keys, c.fewest = append(c.keys, found.Walk...), c.fewest && found.Fewest
	c.steps, c.maps = nil, c.maps[1:]
	if len(c.maps) == 0 {
		return true
	}
	c.keys = append(c.keys, onWard...)
	return false
}

// answer is the whole walk, played from the beginning; nil where there is none.
func (c *course) answer(start func() (*play.Game, error)) *Answer {
	if len(c.maps) > 0 {
		return nil
	}
	a, ok := ReplayFrom(c.st, start, c.keys)
	if !ok {
		return nil
	}
	a.Fewest = c.fewest
	return a
}
