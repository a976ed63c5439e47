package proof

import (
	"fmt"
	"slices"
)

// beyond takes what is in the way to be none, and what is in the way behind it, until a goal is reached; then what could be left out of
// that is: none of what remains can.
type beyond struct {
	s *Search
	// lesser keeps to jumps that lack less than that; 0 takes everything.
	lesser int64
	given  []obstacle
	rounds int
	// cutting counts down what was not tried to be left out yet, −1 while the goal is not reached.
	cutting int
	reached bool
	with    *May
}

const (
	// maxRounds is how often it is looked beyond at the most, maxGiven how much is taken to be none.
	maxRounds = 24
	maxGiven  = 200
	// maxMissing is how much of it is told.
	maxMissing = 8
)

// step computes once what could be; true when nothing is left to be tried.
func (b *beyond) step() bool {
	if b.cutting >= 0 {
		if b.cutting--; b.cutting < 0 {
			return true
		}
		fewer := slices.Delete(slices.Clone(b.given), b.cutting, b.cutting+1)
		if f, reaches := b.s.without(fewer...); reaches {
			b.given, b.with = fewer, f
		}
		return false
	}
	f, reaches := b.s.without(b.given...)
	if reaches {
		b.reached, b.with, b.cutting = true, f, len(b.given)
		return false
	}
	more := b.next(f)
	b.given = append(b.given, more...)
	b.rounds++
	return len(more) == 0 || b.rounds > maxRounds || len(b.given) > maxGiven
}

// next is what is in the way then: all but jumps, or of these the one that lacks least.
func (b *beyond) next(f *May) (out []obstacle) {
	var jump *shortJump
	for _, o := range f.obstacles(b.given) {
		switch j := o.jump; {
		case j == nil && b.lesser == 0:
			out = append(out, o)
		case j != nil && jump == nil && (b.lesser == 0 || j.lacks() < b.lesser):
			jump = j // they come in that order
		}
	}
	if len(out) == 0 && jump != nil {
		out = append(out, obstacle{door: -1, way: -1, jump: jump})
	}
	return out
}

// missing is what is told of it.
func (b *beyond) missing() (out []Missing) {
	for _, o := range b.given[:min(len(b.given), maxMissing)] {
		out = append(out, b.s.missing(o, b.with))
	}
	if more := len(b.given) - len(out); more > 0 {
		out = append(out, Missing{Thing: -1, Map: -1, Text: fmt.Sprintf("%d more things are in the way", more)})
	}
	return out
}

// lesser looks for jumps that lack less than the one of which a goal is reached; nil where there is something else in the way.
func (l *lacking) lesser() *beyond {
	least := int64(0)
	for _, o := range l.all {
		switch {
		case !slices.ContainsFunc(l.out, func(m Missing) bool { return m.of == o }):
		case o.jump == nil:
			return nil
		case least == 0 || o.jump.lacks() < least:
			least = o.jump.lacks()
		}
	}
	return &beyond{s: l.s, lesser: least, cutting: -1}
}
