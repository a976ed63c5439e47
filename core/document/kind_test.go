package document_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"reflect"
	"testing"
)

// An own kind stores only what differs from the one that it behaves as, and has the rest.
func TestOwnKindsStoreWhatDiffers(t *testing.T) {
	for i := range kind.All {
		own := kind.All[i]
		own.Of, own.ID, own.Name = own.ID, document.NewID(), "Mine"
		lean := document.Lean(&own)
		want := document.Kind{ID: own.ID, Name: "Mine", Of: own.Of, Tags: []string{}, Layers: []string{}}
		if !reflect.DeepEqual(*lean, want) {
			t.Errorf("one like %s stores %s", own.Of, edit.JSON(lean))
		}
		if whole := lean.Whole(); !reflect.DeepEqual(*whole, own) {
			t.Errorf("one like %s became\n%s, wanted\n%s", own.Of, edit.JSON(whole), edit.JSON(own))
		}
		if err := lean.Check(); err != nil {
			t.Errorf("%s: %v", own.Of, err)
		}
	}
	own := *kind.Find(kind.Door)
	own.ID, own.Of, own.Name, own.Solid, own.Area, own.W, own.Help, own.MapMost = "gategategate", kind.Door, "Gate", true, false, 12, "Shuts", 3
	own.Settings = append([]kind.Setting{}, own.Settings...)
	own.Settings[0].Default = kind.Of("brass")
	own.Settings = append(own.Settings, kind.Setting{Key: "creaks", Name: "creaks", Type: kind.YesNo, Default: "true"})
	lean := document.Lean(&own)
	if lean.Faces != nil || lean.State != nil || *lean.Area || !*lean.Solid || len(lean.Settings) != 2 || lean.Settings[0].Name != "" {
		t.Errorf("it stores %s", edit.JSON(lean))
	}
	if whole := lean.Whole(); !reflect.DeepEqual(*whole, own) {
		t.Errorf("it became\n%s, wanted\n%s", edit.JSON(whole), edit.JSON(own))
	}
	// a default that does not fit any more, and one that the kind has lost, do not hold
	lean.Settings[0].Default = "7"
	if s := lean.Whole().Setting("needs"); s.Default != `""` {
		t.Errorf("a default that does not fit is %s", s.Default)
	}
	// what is set is another kind's: it is one of its own then
	lean.Of = kind.Sign
	if whole := lean.Whole(); whole.Setting("says") == nil || whole.State != "" || !whole.Solid || whole.W != 12 {
		t.Errorf("of a sign it is %s", edit.JSON(whole))
	}
}
