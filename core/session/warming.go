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
	register(map[string]method{"warm": with(func(s *Session, _ none) (Warmth, error) {
		if s.warming == nil {
			s.warming = newWarming()
		}
		left, err := s.warming.goOn(warmAtOnce)
		if left == 0 || err != nil {
			s.warming = nil
		}
		return Warmth{left}, err
	})})
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

// Warmth is how much is left to be made ready.
type Warmth struct {
	Left int `json:"left"`
}

// warmAtOnce is how much of it is done at once, so that what is asked meanwhile need not wait for all of it.
const warmAtOnce = 4

// warmCrowds is how often a map is filled with entities, and warmMoves how often one is put elsewhere: as often as the browser wants
// something to be done until it makes its best code of it.
const (
	warmCrowds = 8
	warmMoves  = 24
)

// toWarm is what warm does, in order; after each edit the page asks what differs, and is told that it was stored.
var toWarm = func() (all [][2]string) {
	first, more := `{"x":4,"y":4}`, `{"x":5,"y":4},{"x":6,"y":5}`
	for range 2 {
		all = append(all, [2]string{"newMap", `{"name":"Warm","w":50,"h":40}`})
	}
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
	for range warmCrowds {
		press(warmThings, first)
		all = append(all, [2]string{"under", `{"map":"M","active":"","at":{"x":6,"y":6}}`}, [2]string{"undo", "{}"})
	}
	for x := range warmMoves {
		at := fmt.Sprintf(`"map":"M","at":{"x":%d,"y":0}`, 2000+x*40)
		all = append(all, [2]string{"snapped", "{" + at + `,"within":8}`}, [2]string{"placeMaps", `{"maps":[{` + at + `}],"within":0}`})
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

// warming does what presses ask for first, a little at a time, on a project of its own that nobody sees. A browser makes ready each part of the module when it is
// first used, for all threads that have the module: what one of them did here costs the others nothing more.
type warming struct {
	s *Session
	// beside is what a worker has of it, which is fed the same edits.
	beside   *Session
	m, layer document.ID
	// next is the number of the call that comes next, seq that of the last edit.
	next, seq int
}

func newWarming() *warming {
	const client = "warmwarmwarm"
	of := func() *Session { return &Session{replica: replica.New(client, client, document.New("Warm"), 0)} }
	return &warming{s: of(), beside: of()}
}

// goOn makes so many of the calls that are left, and tells how many there are still.
func (w *warming) goOn(calls int) (left int, err error) {
	for ; calls > 0 && w.next < len(toWarm); calls-- {
		c := toWarm[w.next]
		w.next++
		if err := w.call(c[0], c[1]); err != nil {
			return 0, fmt.Errorf("%s: %w", c[0], err)
		}
	}
	return len(toWarm) - w.next, nil
}

func (w *warming) call(name, args string) error {
	out, err := w.s.Call(name, json.RawMessage(strings.NewReplacer(`"M"`, `"`+string(w.m)+`"`, `"L"`, `"`+string(w.layer)+`"`).Replace(args)))
	if err != nil {
		return err
	}
	sent := w.s.Sent()
	if sent == nil {
		return idle(name, out)
	}
	var made Outcome
	if err := json.Unmarshal(out, &made); err != nil {
		return err
	}
	if name == "newMap" && w.m == "" {
		w.m = made.Made
		w.layer = w.s.doc().Maps.Get(w.m).LayersInOrder()[0].ID
	}
	w.seq++
	if _, err := w.beside.Call("adopt", fmt.Appendf(nil, `{"edits":[%s]}`, sent)); err != nil {
		return fmt.Errorf("beside: %w", err)
	}
	return w.stored(*made.Edit)
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

// stored asks what a page asks after an edit, and tells both that it was stored.
func (w *warming) stored(mark edit.Mark) error {
	rows, err := json.Marshal(map[string]any{"rows": []replica.Row{{Seq: int64(w.seq), Person: mark.Client, Mark: mark}}})
	if err != nil {
		return err
	}
	for _, c := range [][2]string{{"headChange", ""}, {"entityChange", `{"map":"` + string(w.m) + `"}`}, {"chartChange", ""}, {"receive", string(rows)}} {
		if _, err := w.s.Call(c[0], json.RawMessage(c[1])); err != nil {
			return fmt.Errorf("%s: %w", c[0], err)
		}
	}
	_, err = w.beside.Call("receive", rows)
	return err
}
