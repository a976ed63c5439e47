package document_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/sample"
	"strings"
	"testing"
)

// What is wrong with a pin is said in a sentence; at its limits it is taken.
func TestPinCheck(t *testing.T) {
	for _, c := range []struct {
		what   string
		change func(*document.Pin)
		want   string
	}{
		{"as it is", func(*document.Pin) {}, ""},
		{"no id", func(p *document.Pin) { p.ID = "x" }, "id"},
		{"no name", func(p *document.Pin) { p.Name = " " }, "empty"},
		{"the longest note", func(p *document.Pin) { p.Note = strings.Repeat("é", document.MaxText) }, ""},
		{"a counter", func(p *document.Pin) { p.Moment.Counters = []document.CounterSo{{ID: someID, Is: -document.MaxNumber}} }, ""},
		{"a counter too small", func(p *document.Pin) {
			p.Moment.Counters = []document.CounterSo{{ID: someID, Is: -document.MaxNumber - 1}}
		}, "a counter"},
		{"a counter without an id", func(p *document.Pin) { p.Moment.Counters = []document.CounterSo{{ID: "salt"}} }, "a counter"},
		{"a rule that ran for nothing", func(p *document.Pin) { p.Moment.Spent = []document.SpentFor{{Rule: someID}} }, "a thing"},
		{"an item", func(p *document.Pin) { p.Moment.Given = []document.GivenItem{{Item: "oil", Amount: -3}} }, ""},
		{"an item without a name", func(p *document.Pin) { p.Moment.Given = []document.GivenItem{{Amount: 3}} }, "name"},
		{"nine repeats", func(p *document.Pin) { p.Moment.Waits = []document.RuleWait{{Rule: someID, Left: make([]int, 9)}} }, ""},
		{"ten repeats", func(p *document.Pin) { p.Moment.Waits = []document.RuleWait{{Rule: someID, Left: make([]int, 10)}} }, "repeated"},
		{"a repeat too often", func(p *document.Pin) { p.Moment.Waits = []document.RuleWait{{Rule: someID, Left: []int{-1}}} }, "how often"},
		{"eight answers", func(p *document.Pin) { p.Moment.Lines = []document.SpokenLine{{Text: "?", Answers: make([]string, 8)}} }, ""},
		{"nine answers", func(p *document.Pin) { p.Moment.Lines = []document.SpokenLine{{Text: "?", Answers: make([]string, 9)}} }, "answers"},
		{"an answer that there is not", func(p *document.Pin) { p.Moment.Chosen = 9 }, "an answer"},
		{"a longer note", func(p *document.Pin) { p.Note = strings.Repeat("é", document.MaxText+1) }, "note"},
		{"no map", func(p *document.Pin) { p.At.Map = "" }, "map"},
		{"far away", func(p *document.Pin) { p.At.X = 1<<30 + 1 }, "where a pin is"},
		{"before the beginning", func(p *document.Pin) { p.Moment.Tick = -1 }, "when it was"},
		{"no facing", func(p *document.Pin) { p.Moment.Hero.Facing = "north" }, "looks"},
		{"no way of moving", func(p *document.Pin) { p.Moment.Hero.Mode = "rolls" }, "moves"},
		{"swims", func(p *document.Pin) { p.Moment.Hero.Mode = "swims" }, ""},
		{"all keys", func(p *document.Pin) { p.Moment.Held = 127 }, ""},
		{"a key too many", func(p *document.Pin) { p.Moment.Held = 1 << len(document.Keys) }, "held"},
		{"a negative while", func(p *document.Pin) { p.Moment.Hero.Push = -1 }, "while"},
		{"a long while", func(p *document.Pin) { p.Moment.Hero.Blink = 1<<14 + 1 }, "while"},
		{"too fast", func(p *document.Pin) { p.Moment.Hero.VY = -1 << 41 }, "fast"},
		{"a wrong loss", func(p *document.Pin) { p.Moment.Lost = "sunk" }, "loss"},
		{"a wrong flag", func(p *document.Pin) { p.Moment.Flags = []document.ID{"A B"} }, "so"},
		{"a wrong thing", func(p *document.Pin) { p.Moment.Things[0].Is = []string{"blue"} }, "thing"},
		{"nothing of a thing", func(p *document.Pin) { p.Moment.Things[0].ID = "" }, "thing"},
		{"too long a line", func(p *document.Pin) {
			p.Moment.Lines = []document.SpokenLine{{Text: strings.Repeat("a", document.MaxText+1)}}
		}, "said"},
		{"too many lines", func(p *document.Pin) { p.Moment.Lines = make([]document.SpokenLine, 1001) }, "said"},
		{"what was seen", func(p *document.Pin) {
			p.Moment.Known = []document.Known{{Map: sample.Quay, Box: grid.Rect{W: 20, H: 12}, Bits: make([]byte, 30)}}
		}, ""},
		{"less than was seen", func(p *document.Pin) {
			p.Moment.Known = []document.Known{{Map: sample.Quay, Box: grid.Rect{W: 20, H: 12}, Bits: make([]byte, 29)}}
		}, "seen"},
		{"no place to come back to", func(p *document.Pin) { p.Moment.Back.Map = "" }, "comes back"},
		{"far out", func(p *document.Pin) { p.Moment.Entry.Y = 1<<40 + 1 }, "came in"},
	} {
		p := *sample.Full().Pins.Get("pinpinpinpin")
		p.Moment.Things = append([]document.ThingSo{}, p.Moment.Things...)
		c.change(&p)
		err := p.Check()
		if (err == nil) != (c.want == "") || err != nil && !strings.Contains(err.Error(), c.want) {
			t.Errorf("%s: %v", c.what, err)
		}
	}
}

// A recording is as long as half an hour and no longer, and what is in it is in order.
func TestRecordingCheck(t *testing.T) {
	for _, c := range []struct {
		what   string
		change func(*document.Recording)
		want   string
	}{
		{"as it is", func(*document.Recording) {}, ""},
		{"the longest", func(r *document.Recording) { r.Keys = []document.HeldFor{{Held: 1, Ticks: document.MaxRecorded}} }, ""},
		{"longer", func(r *document.Recording) {
			r.Keys = []document.HeldFor{{Held: 1, Ticks: document.MaxRecorded}, {Ticks: 1}}
		}, "30 minutes"},
		{"for no time", func(r *document.Recording) { r.Keys[0].Ticks = 0 }, "how long"},
		{"a key too many", func(r *document.Recording) { r.Keys[0].Held = 1 << len(document.Keys) }, "held"},
		{"begins wrong", func(r *document.Recording) { r.Start.Hearts = -1 }, "hearts"},
		{"happened nowhere", func(r *document.Recording) { r.Course[0].Map = "" }, "where"},
		{"happened before", func(r *document.Recording) { r.Course[0].Tick = -1 }, "when"},
		{"happened far away", func(r *document.Recording) { r.Course[0].X = -1<<30 - 1 }, "where"},
		{"happened at length", func(r *document.Recording) { r.Course[0].Name = strings.Repeat("a", 641) }, "what happened"},
		{"no name", func(r *document.Recording) { r.Name = "" }, "empty"},
	} {
		r := *sample.Full().Recordings.Get("keptkeptkept")
		r.Keys, r.Course = append([]document.HeldFor{}, r.Keys...), append([]document.CourseMark{}, r.Course...)
		c.change(&r)
		err := r.Check()
		if (err == nil) != (c.want == "") || err != nil && !strings.Contains(err.Error(), c.want) {
			t.Errorf("%s: %v", c.what, err)
		}
	}
}

// Whoever shows the head is told when any of its tables differs.
func TestEveryTableIsTold(t *testing.T) {
	full := sample.Full()
	for _, ref := range []edit.Ref{{Type: edit.TypePin, ID: "pinpinpinpin"}, {Type: edit.TypeRecording, ID: "keptkeptkept"}, {Type: edit.TypeZone, ID: "zonezonezone"},
		{Type: edit.TypeFlag, ID: sample.Lit}, {Type: edit.TypeMotif, ID: "motifmotifmo"}, {Type: edit.TypeKind, ID: "gategategate"}, {Type: edit.TypeRule, ID: "rulerulerule"},
		{Type: edit.TypeMaterial, ID: "seaseaseasea"}, {Type: edit.TypeTileset, ID: sample.Coast}, {Type: edit.TypePassage, ID: "passpasspass"}, {Type: edit.TypeMap, ID: sample.Pans}} {
		if without := sample.With(full, edit.Remove(ref)); !document.Diff(full, without).Head {
			t.Errorf("without its %s the head is said to be the same", ref.Type)
		}
	}
	if document.Diff(full, full).Head {
		t.Error("the same project differs")
	}
}
