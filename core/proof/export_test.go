package proof

// GoOn adds what follows, for so many cells.
func (f *May) GoOn(cells int) bool { return f.goOn(cells) }

// Made is how many situations were come to.
func (s *Search) Made() int { return s.made }

// Played begins anew with all ways being played, over plain ground too.
func (s *Steps) Played() *Steps {
	s.even = false
	s.begin()
	return s
}

// Even reports whether ways over plain ground are not played.
func (s *Steps) Even() bool { return s.even }
