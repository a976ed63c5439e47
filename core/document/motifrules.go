package document

import (
	"azzel/core/kind"
	"fmt"
	"slices"
)

// MotifRule is a rule that waits for entities of a motif. What it names of the motif it names on MotifMap, by MotifEntity; all
// else stays what it is.
type MotifRule struct {
	Name  string     `json:"name,omitempty"`
	Note  string     `json:"note,omitempty"`
	Once  bool       `json:"once,omitempty"`
	Off   bool       `json:"off,omitempty"`
	Parts []RulePart `json:"parts"`
}

// MotifMap stands for the map that a motif will lie on.
const MotifMap = ID("placedplaced")

// MaxMotifRules limits the rules of a motif.
const MaxMotifRules = 200

// MotifEntity stands for the entity of a motif with a number.
func MotifEntity(n int) ID {
	const digits = "abcdefghijklmnopqrstuvwxyz234567"
	id := []byte("entityaaaaaa")
	for i := len(id) - 1; n > 0 && i >= 6; i-- {
		id[i] = digits[n%32]
		n /= 32
	}
	return ID(id)
}

// KeptRule is a rule as a motif keeps it.
func KeptRule(r *Rule) MotifRule {
	out := MotifRule{Name: r.Name, Note: r.Note, Once: r.Once, Off: r.Off, Parts: []RulePart{}}
	for _, p := range r.InOrder() {
		out.Parts = append(out.Parts, *p)
	}
	return out
}

// On is the rule for a motif that was put down: on a map, where its entities, in their order, have these ids. It and its parts
// get ids of their own.
func (k MotifRule) On(m ID, entities []ID) Rule {
	ids := map[ID]ID{}
	for i, id := range entities {
		ids[MotifEntity(i)] = id
	}
	parts := make([]*RulePart, len(k.Parts))
	for i := range k.Parts {
		parts[i] = &k.Parts[i]
	}
	own := CopiedParts(parts)
	for i := range own {
		own[i].Blanks = slices.Clone(own[i].Blanks)
		for b, v := range own[i].Blanks {
			o, ok := Named(v.Value)
			if to, here := ids[o.ID]; ok && o.Map == MotifMap && here {
				o.Map, o.ID = m, to
				own[i].Blanks[b] = kind.Value{Key: v.Key, Value: Naming(o)}
			}
		}
	}
	return Rule{ID: NewID(), Name: k.Name, Note: k.Note, Once: k.Once, Off: k.Off}.With(own...)
}

func (k *MotifRule) check() error {
	if len(k.Parts) > MaxParts {
		return fmt.Errorf("a rule has at most %d parts", MaxParts)
	}
	r := Rule{ID: MotifMap, Name: k.Name, Note: k.Note}.With(k.Parts...)
	if err := r.Check(); err != nil {
		return err
	}
	for i := range k.Parts {
		if err := k.Parts[i].Check(); err != nil {
			return err
		}
	}
	return nil
}
