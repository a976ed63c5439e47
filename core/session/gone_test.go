package session_test

import (
	"azzel/core/document"
	"azzel/core/sample"
	"azzel/core/session"
	"encoding/json"
	"reflect"
	"slices"
	"testing"
)

// What is asked about a map that is gone is refused with a sentence, whatever it is, and
// changes nothing.
func TestAMapThatIsGone(t *testing.T) {
	// these look at what there is, and find nothing
	fine := []string{"ask", "beginnings", "bundles", "play", "sketch", "snapped", "warning"}
	asked := 0
	for _, m := range session.Signatures() {
		of := m.Args
		if of.Kind() != reflect.Struct {
			continue
		}
		field, ok := of.FieldByName("Map")
		if !ok || field.Type != reflect.TypeFor[document.ID]() {
			continue
		}
		args := reflect.New(of).Elem()
		args.FieldByName("Map").SetString("gonegonegone")
		s := open(t)
		before := s.Hash()
		raw, err := json.Marshal(args.Interface())
		if err != nil {
			t.Fatal(err)
		}
		_, err = s.Call(m.Name, raw)
		if err == nil && !slices.Contains(fine, m.Name) || err != nil && err.Error() == "" {
			t.Errorf("%s answers as if the map were there, %v", m.Name, err)
		}
		if s.Hash() != before {
			t.Errorf("%s changed something", m.Name)
		}
		asked++
	}
	if asked < 20 {
		t.Errorf("only %d methods were asked", asked)
	}
}

func TestMapUses(t *testing.T) {
	s := open(t)
	call[session.Outcome](t, s, "startRule", document.End{Map: sample.Pans})
	if got := call[[]document.Use](t, s, "mapUses", args{"map": sample.Pans}); len(got) != 1 || got[0].What != "rule" {
		t.Errorf("the Pans are used by %+v", got)
	}
}
