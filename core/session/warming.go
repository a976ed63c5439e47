package session

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/replica"
	"encoding/json"
	"fmt"
	"strings"
)

func init() {
	if !designs {
		return
	}
	register(map[string]method{"warm": with(func(*Session, none) (none, error) { _, err := warmed(); return none{}, err })})
}

// Presses that warm makes on the first of its maps, M being that and L its layer of tiles.
const (
	warmPress  = `{"map":"M","active":"L","mirror":{},"grip":{%s},"gesture":{"way":[%s]}}`
	warmLedOn  = `{"map":"M","active":"L","mirror":{},"grip":{%s},"gesture":{"way":[%s]},"of":1,"after":1}`
	warmTiles  = `"what":"tiles","shape":"%s","cells":[65537],"width":1`
	warmEraser = `"what":"eraser","shape":"%s"`
	warmThings = `"what":"entity","shape":"fill","kind":"sign"`
	warmThing  = `"what":"entity","shape":"freehand","kind":"%s"`
)

// warming is what warm does, in order; after each edit the page asks what differs, and is told that it was stored.
var warming = func() (all [][2]string) {
	first, more := `{"x":4,"y":4}`, `{"x":5,"y":4},{"x":6,"y":5}`
	all = append(all, [2]string{"head", ""}, [2]string{"chart", ""},
		[2]string{"addTileset", `{"name":"Warm","number":1,"picture":"` + strings.Repeat("0", 64) + `","width":64,"height":32,"cut":{"cellWidth":16,"cellHeight":16}}`})
	press := func(grip, way string) {
		args := fmt.Sprintf(warmPress, grip, way)
		all = append(all, [2]string{"preview", args}, [2]string{"press", args})
	}
	freehand := fmt.Sprintf(warmTiles, "freehand")
	all = append(all, [2]string{"preview", fmt.Sprintf(warmPress, freehand, first)}, [2]string{"preview", fmt.Sprintf(warmLedOn, freehand, more)})
	press(freehand, first+","+more)
	press(fmt.Sprintf(warmTiles, "box"), first+","+more)
	press(fmt.Sprintf(warmTiles, "line"), first+","+more)
	press(fmt.Sprintf(warmTiles, "fill"), `{"x":40,"y":30}`)
	press(fmt.Sprintf(warmEraser, "box"), first+","+more)
	for range 2 {
		press(warmThings, first)
		all = append(all, [2]string{"undo", "{}"})
	}
	for x := range 4 {
		all = append(all, [2]string{"placeMaps", fmt.Sprintf(`{"maps":[{"map":"M","at":{"x":%d,"y":0}}],"within":0}`, 2000+x*400)})
	}
	for i, k := range warmKinds {
		press(fmt.Sprintf(warmThing, k), fmt.Sprintf(`{"x":%d,"y":%d}`, 6+i%6*6, 4+i/6*6))
	}
	all = append(all, [2]string{"playAt", `{"map":"M","active":"L","at":{"x":3,"y":20},"seed":1}`})
	for range 60 {
		for _, held := range []string{"0", "1", "2", "4", "8"} {
			all = append(all, [2]string{"step", `{"input":` + held + `,"ticks":2}`})
		}
	}
	return append(all, [2]string{"back", `{"tick":500}`}, [2]string{"look", ""}, [2]string{"stop", ""})
}()

// warmKinds are what goes about, shines, shoots and can be met while a game is played for nobody.
var warmKinds = []string{kind.Walker, kind.Flyer, kind.Character, kind.Platform, kind.Block, kind.Shooter, kind.Turner, kind.Light, kind.Switch, kind.Door}

// warmed is a session that did what presses ask for first, on a project of its own that nobody sees. A browser makes ready each part of the module when it is
// first used, for all threads that have the module: what one of them did here costs the others nothing more.
func warmed() (*Session, error) {
	const client = "warmwarmwarm"
	s := &Session{replica: replica.New(client, client, document.New("Warm"), 0)}
	var m, layer document.ID
	seq := 0
	call := func(name, args string) error {
		out, err := s.Call(name, json.RawMessage(strings.NewReplacer(`"M"`, `"`+string(m)+`"`, `"L"`, `"`+string(layer)+`"`).Replace(args)))
		if err != nil {
			return fmt.Errorf("%s: %w", name, err)
		}
		if s.Sent() == nil {
			return idle(name, out)
		}
		var made Outcome
		if err := json.Unmarshal(out, &made); err != nil {
			return err
		}
		if name == "newMap" && m == "" {
			m = made.Made
			layer = s.doc().Maps.Get(m).LayersInOrder()[0].ID
		}
		seq++
		return stored(s, seq, *made.Edit, m)
	}
	for range 2 {
		if err := call("newMap", `{"name":"Warm","w":50,"h":40}`); err != nil {
			return nil, err
		}
	}
	for _, c := range warming {
		if err := call(c[0], c[1]); err != nil {
			return nil, err
		}
	}
	return s, nil
}

// idle is an error where a ghost does nothing.
func idle(name string, out json.RawMessage) error {
	if name != "preview" {
		return nil
	}
	var g Ghost
	if err := json.Unmarshal(out, &g); err != nil {
		return err
	}
	if g.Lost || g.Refusal != "" {
		return fmt.Errorf("the ghost does nothing: %s", g.Refusal)
	}
	return nil
}

// stored asks what a page asks after an edit, and tells that it was stored.
func stored(s *Session, seq int, mark edit.Mark, m document.ID) error {
	rows, err := json.Marshal(map[string]any{"rows": []replica.Row{{Seq: int64(seq), Person: mark.Client, Mark: mark}}})
	if err != nil {
		return err
	}
	for _, c := range [][2]string{{"headChange", ""}, {"entityChange", `{"map":"` + string(m) + `"}`}, {"chartChange", ""}, {"receive", string(rows)}} {
		if _, err := s.Call(c[0], json.RawMessage(c[1])); err != nil {
			return fmt.Errorf("%s: %w", c[0], err)
		}
	}
	return nil
}
