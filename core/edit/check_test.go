package edit_test

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/sample"
	"strings"
	"testing"
)

// What is malformed in an edit is found, each thing by itself, and nothing else is.
func TestWhatIsMalformed(t *testing.T) {
	rename := edit.Set(edit.Ref{Type: edit.TypeProject}, "name", "N")
	dot := &grid.Region{}
	dot.Add(grid.Point{X: 1, Y: 1})
	paint := sample.Paint(sample.Quay, sample.Ground, dot, sample.Wall)
	other := sample.Paint(sample.Quay, sample.Ground, dot, sample.Floor)
	layer := edit.Ref{Type: edit.TypeLayer, Map: sample.Quay, ID: sample.Ground}
	rule := edit.Ref{Type: edit.TypeRule, ID: "rulerulerule"}
	part := &document.RulePart{ID: "partpartpart", Slot: document.SlotThen, Word: "say", Blanks: []kind.Value{{Key: "text", Value: kind.Of("Hi")}}}
	turning := edit.Label{Kind: edit.Undo, Of: &edit.Mark{Client: client, Number: 1}}
	for name, c := range map[string]struct {
		change func(e *edit.Edit)
		fine   bool
	}{
		"as it is":           {func(*edit.Edit) {}, true},
		"format":             {func(e *edit.Edit) { e.V++ }, false},
		"sender":             {func(e *edit.Edit) { e.Client = "me" }, false},
		"number":             {func(e *edit.Edit) { e.Number = 0 }, false},
		"nothing to do":      {func(e *edit.Edit) { e.Do = nil }, false},
		"nothing undone":     {func(e *edit.Edit) { e.Do, e.Label = nil, turning }, true},
		"most steps":         {func(e *edit.Edit) { e.Do = many(rename, edit.MaxPrimitives) }, true},
		"too many steps":     {func(e *edit.Edit) { e.Do = many(rename, edit.MaxPrimitives+1) }, false},
		"label":              {func(e *edit.Edit) { e.Label.Kind = "dream" }, false},
		"undo of nothing":    {func(e *edit.Edit) { e.Label.Kind = edit.Undo }, false},
		"redo of nothing":    {func(e *edit.Edit) { e.Label.Kind = edit.Redo }, false},
		"redo":               {func(e *edit.Edit) { e.Label = turning; e.Label.Kind = edit.Redo }, true},
		"do of something":    {func(e *edit.Edit) { e.Label.Of = turning.Of }, false},
		"undo of nobody":     {func(e *edit.Edit) { e.Label = turning; e.Label.Of = &edit.Mark{Client: "me", Number: 1} }, false},
		"undo of number 0":   {func(e *edit.Edit) { e.Label = turning; e.Label.Of = &edit.Mark{Client: client} }, false},
		"longest label":      {func(e *edit.Edit) { e.Label.Text = strings.Repeat("ä", 200) }, true},
		"label too long":     {func(e *edit.Edit) { e.Label.Text = strings.Repeat("ä", 201) }, false},
		"longest tool":       {func(e *edit.Edit) { e.Label.Tool = strings.Repeat("x", 40) }, true},
		"tool too long":      {func(e *edit.Edit) { e.Label.Tool = strings.Repeat("x", 41) }, false},
		"no type":            {func(e *edit.Edit) { e.Do[0].Ref.Type = "dream" }, false},
		"no step":            {func(e *edit.Edit) { e.Do[0].Op = "dream" }, false},
		"project removed":    {func(e *edit.Edit) { e.Do[0].Op = edit.OpRemove }, false},
		"no field":           {func(e *edit.Edit) { e.Do[0].Field = "" }, false},
		"no value":           {func(e *edit.Edit) { e.Do[0].Value = nil }, false},
		"back to nothing":    {func(e *edit.Edit) { e.Do[0].Op = edit.OpSetBack }, false},
		"back":               {func(e *edit.Edit) { e.Do[0].Op, e.Do[0].WasValue = edit.OpSetBack, e.Do[0].Value }, true},
		"cells":              {func(e *edit.Edit) { e.Do[0] = paint }, true},
		"no cells":           {func(e *edit.Edit) { e.Do[0] = paint; e.Do[0].Cells = nil }, false},
		"cells of an entity": {func(e *edit.Edit) { e.Do[0] = paint; e.Do[0].Ref.Type = edit.TypeEntity }, false},
		"cells back":         {func(e *edit.Edit) { e.Do[0] = paint; e.Do[0].Op, e.Do[0].Was = edit.OpCellsBack, other.Cells }, true},
		"other cells back":   {func(e *edit.Edit) { e.Do[0] = paint; e.Do[0].Op, e.Do[0].Was = edit.OpCellsBack, cells.Patch{} }, false},
		"layer without map":  {func(e *edit.Edit) { e.Do[0] = edit.Remove(edit.Ref{Type: edit.TypeLayer, ID: sample.Ground}) }, false},
		"layer of no map":    {func(e *edit.Edit) { e.Do[0] = edit.Remove(edit.Ref{Type: edit.TypeLayer, Map: "m", ID: sample.Ground}) }, false},
		"map of a map": {func(e *edit.Edit) {
			e.Do[0] = edit.Remove(edit.Ref{Type: edit.TypeMap, Map: sample.Quay, ID: sample.Quay})
		}, false},
		"no id":           {func(e *edit.Edit) { e.Do[0] = edit.Remove(edit.Ref{Type: edit.TypeFlag, ID: "flag"}) }, false},
		"insert nothing":  {func(e *edit.Edit) { e.Do[0] = edit.Primitive{Op: edit.OpInsert, Ref: rule} }, false},
		"back of nothing": {func(e *edit.Edit) { e.Do[0] = edit.Primitive{Op: edit.OpInsertBack, Ref: rule} }, false},
		"part": {func(e *edit.Edit) {
			e.Do[0] = edit.Insert(edit.Ref{Type: edit.TypePart, Rule: rule.ID, ID: part.ID}, part)
		}, true},
		"part without rule": {func(e *edit.Edit) { e.Do[0] = edit.Insert(edit.Ref{Type: edit.TypePart, ID: part.ID}, part) }, false},
		"part of no rule":   {func(e *edit.Edit) { e.Do[0] = edit.Insert(edit.Ref{Type: edit.TypePart, Rule: "r", ID: part.ID}, part) }, false},
		"rule of a flag": {func(e *edit.Edit) {
			e.Do[0] = edit.Remove(edit.Ref{Type: edit.TypeFlag, Rule: rule.ID, ID: sample.Lit})
		}, false},
		"rule with parts":    {func(e *edit.Edit) { e.Do[0] = holding(rule, document.Content{Parts: []*document.RulePart{part}}) }, true},
		"rule with no parts": {func(e *edit.Edit) { e.Do[0] = holding(rule, document.Content{}) }, false},
		"part that lacks":    {func(e *edit.Edit) { e.Do[0] = holding(rule, document.Content{Parts: []*document.RulePart{nil}}) }, false},
		"too many parts": {func(e *edit.Edit) {
			e.Do[0] = holding(rule, document.Content{Parts: repeated(part, document.MaxParts+1)})
		}, false},
		"layer with parts": {func(e *edit.Edit) { e.Do[0] = holding(layer, document.Content{Parts: []*document.RulePart{part}}) }, false},
		"rule with entities": {func(e *edit.Edit) {
			e.Do[0] = holding(rule, document.Content{Parts: []*document.RulePart{part}, Entities: []*document.Entity{{}}})
		}, false},
		"flag with content": {func(e *edit.Edit) {
			e.Do[0] = holding(edit.Ref{Type: edit.TypeFlag, ID: sample.Lit}, document.Content{})
		}, false},
		"removed with":        {func(e *edit.Edit) { e.Do[0] = holding(layer, document.Content{}); e.Do[0].Op = edit.OpRemove }, false},
		"layer with contents": {func(e *edit.Edit) { e.Do[0] = holding(layer, document.Content{}) }, true},
	} {
		e := made(1, rename)
		c.change(e)
		if err := e.Check(); (err == nil) != c.fine {
			t.Errorf("%s: %v", name, err)
		}
	}
}

func many(p edit.Primitive, n int) (out []edit.Primitive) {
	for range n {
		out = append(out, p)
	}
	return out
}

func repeated[T any](o T, n int) (out []T) {
	for range n {
		out = append(out, o)
	}
	return out
}

func holding(ref edit.Ref, c document.Content) edit.Primitive {
	p := edit.Insert(ref, map[string]document.ID{"id": ref.ID})
	p.Content = &c
	return p
}

// What an edit wrote is verified, parts of rules by the words that there are.
func TestPartsAreVerified(t *testing.T) {
	d := sample.World()
	rule := document.Rule{ID: "rulerulerule"}
	ref := edit.Ref{Type: edit.TypeRule, ID: rule.ID}
	d = edit.Apply(d, made(1, edit.Insert(ref, rule))).Doc
	say := document.RulePart{ID: "partpartpart", Slot: document.SlotThen, Word: "say", Blanks: []kind.Value{{Key: "text", Value: kind.Of("Hi")}}}
	dance := say
	dance.Word = "dance"
	elsewhere := say
	elsewhere.Slot = "someday"
	at := edit.Ref{Type: edit.TypePart, Rule: rule.ID, ID: say.ID}
	for name, c := range map[string]struct {
		p    edit.Primitive
		fine bool
	}{
		"inserted":       {edit.Insert(at, say), true},
		"no such word":   {edit.Insert(at, dance), false},
		"no such place":  {edit.Insert(at, elsewhere), false},
		"a slot":         {edit.Set(ref, "then", []document.RulePart{say}), true},
		"a slot's word":  {edit.Set(ref, "then", []document.RulePart{dance}), false},
		"another's slot": {edit.Set(ref, "if", []document.RulePart{say}), false},
		"with the rule":  {holding(edit.Ref{Type: edit.TypeRule, ID: "rulerulerul2"}, document.Content{Parts: []*document.RulePart{&say}}), true},
		"wrong with it":  {holding(edit.Ref{Type: edit.TypeRule, ID: "rulerulerul2"}, document.Content{Parts: []*document.RulePart{&dance}}), false},
	} {
		e := made(2, c.p)
		res := edit.Apply(d, e)
		if err := edit.Verify(e, res); (err == nil && len(res.Dropped) == 0) != c.fine {
			t.Errorf("%s: %v, %v", name, err, res.Dropped)
		}
	}
	// a rule that is inserted with its parts is taken back with them, unless it was changed
	whole := made(3, holding(edit.Ref{Type: edit.TypeRule, ID: "rulerulerul2"}, document.Content{Parts: []*document.RulePart{&say}}))
	res := edit.Apply(d, whole)
	if back := edit.Apply(res.Doc, made(4, res.Revert...)); back.Doc.Hash() != d.Hash() || back.Restored != 1 {
		t.Error("a rule with its parts is not taken back")
	}
	more := edit.Apply(res.Doc, made(5, edit.Set(edit.Ref{Type: edit.TypePart, Rule: "rulerulerul2", ID: say.ID}, "order", 7))).Doc
	if back := edit.Apply(more, made(6, res.Revert...)); back.Doc.Hash() != more.Hash() || back.Kept != 1 {
		t.Error("a rule is taken back although a part of it was changed since")
	}
}
