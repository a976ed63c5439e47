package edit

import (
	"azzel/core/document"
	"azzel/core/rules"
	"errors"
)

// Verify finds what is wrong with what an edit wrote, as applying it gave res. It
// is asked once, before an edit is taken up or put into the log, and never when
// the log is replayed. The error is a sentence for people.
func Verify(e *Edit, res Result) error {
	w := working{doc: *res.Doc, tables: map[Ref]objects{}}
	for _, ref := range res.Touched {
		if ref.Type == TypeProject {
			if err := w.doc.Project.Check(); err != nil {
				return err
			}
			continue
		}
		if t := w.objects(ref); t != nil {
			if err := t.check(ref.ID); err != nil {
				return err
			}
			if err := checkParts(res.Doc, ref); err != nil {
				return err
			}
		}
	}
	for i := range e.Do {
		if c := e.Do[i].Content; c != nil {
			if err := c.Check(); err != nil {
				return err
			}
			for _, p := range c.Parts {
				if err := rules.Check(p); err != nil {
					return err
				}
			}
		}
	}
	return nil
}

// checkParts finds what is wrong with the part of a rule that was written, or with all
// parts of a rule.
func checkParts(d *document.Document, ref Ref) error {
	switch ref.Type {
	case TypePart:
		if p := d.Rules.Get(ref.Rule).Parts.Get(ref.ID); p != nil {
			return rules.Check(p)
		}
	case TypeMotif:
		if m := d.Motifs.Get(ref.ID); m != nil {
			for i := range m.Rules {
				for k := range m.Rules[i].Parts {
					if err := rules.Check(&m.Rules[i].Parts[k]); err != nil {
						return err
					}
				}
			}
		}
	case TypeRule:
		if r := d.Rules.Get(ref.ID); r != nil {
			for _, p := range r.Parts.All() {
				if err := first(p.Check(), rules.Check(p)); err != nil {
					return err
				}
			}
		}
	}
	return nil
}

func first(errs ...error) error {
	for _, err := range errs {
		if err != nil {
			return err
		}
	}
	return nil
}

// Fits finds whether a project has become larger than can be kept. Only who holds
// all of its maps can tell: it is asked before an edit is put into the log.
func Fits(res Result) error {
	if !res.Grown {
		return nil
	}
	size := res.Doc.Size()
	switch {
	case size.Mixed > document.MaxProjectMixed || size.Chunks > document.MaxProjectChunks:
		return errors.New("the project holds more cells than can be kept: remove a map, or layers that are not needed, first")
	case size.Entities > document.MaxProjectEntities:
		return errors.New("a project has at most 200,000 entities: remove some first")
	}
	return nil
}
