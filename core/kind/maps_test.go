package kind

import "testing"

// Every setting of maps stands under a heading, and what does nothing is told apart.
func TestMapSettingsInGroups(t *testing.T) {
	named := 0
	for _, g := range mapGroups {
		named += len(g.keys)
	}
	if named != len(OfMaps) {
		t.Errorf("%d settings stand under headings, there are %d", named, len(OfMaps))
	}
	for _, s := range OfMaps {
		if MapGroup(s.Key) == "Your own" {
			t.Errorf("%s stands under no heading", s.Key)
		}
	}
	if MapGroup("tide") != "Your own" {
		t.Error("a setting of one's own stands among those of Azzel")
	}
	values := map[string]Datum{"view": Of(FromAbove), "wind": Of("none"), "sight": "0", "camera": Of("whole")}
	is := func(key string) Datum { return values[key] }
	off := []string{MapGravity, MapJump, "windForce", "sightRemembers", "cameraEnds", "cameraRight", "cameraDown"}
	for _, key := range off {
		if MapMatters(key, is) {
			t.Errorf("%s matters", key)
		}
	}
	values = map[string]Datum{"view": Of(FromSide), "wind": Of("left"), "sight": "3.5", "camera": Of("follows")}
	for _, key := range append(off, MapRun, MapBackground, "tide") {
		if !MapMatters(key, is) {
			t.Errorf("%s does not matter", key)
		}
	}
}
