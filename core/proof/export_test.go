package proof

// GoOn adds what follows, for so many cells.
func (f *May) GoOn(cells int) bool { return f.goOn(cells) }

// Made is how many situations were come to.
func (s *Search) Made() int { return s.made }
