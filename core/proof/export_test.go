package proof

// GoOn adds what follows, for so many cells.
func (f *May) GoOn(cells int) bool { return f.goOn(cells) }
