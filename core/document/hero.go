package document

import "azzel/core/kind"

// The keys by which a kind of hero says how it moves; a map can say otherwise.
const (
	HeroSpeed = "speed" // in cells a second
	HeroJump  = "jump"  // in cells
)

// onMaps are the settings of maps that go before those of the hero.
var onMaps = map[string]string{HeroSpeed: kind.MapRun, HeroJump: kind.MapJump}

// HeroKind is the kind that walks where no hero was placed: the first of the
// designer's own that behaves as one, or the built-in one.
func (d *Document) HeroKind() ID {
	for _, k := range d.KindsInOrder() {
		if k.Of == kind.Hero {
			return ID(k.ID)
		}
	}
	return kind.Hero
}

// HeroValue is how a hero moves on a map: as the map says, or all maps, where one was
// told to; else as the hero itself (who is nil where only its kind is known), or its kind.
func (d *Document) HeroValue(m *Map, who *Entity, of ID, key string) kind.Datum {
	if on := onMaps[key]; m != nil && (keyed(m.Values, on) || keyed(d.Project.MapValues, on)) {
		return d.MapValue(m, on)
	}
	if who == nil {
		who = &Entity{Kind: string(of)}
	}
	if v := d.Value(who, key); v != "" {
		return v
	}
	return d.Value(&Entity{Kind: kind.Hero}, key)
}

func keyed(values []kind.Value, key string) bool {
	for _, v := range values {
		if v.Key == key {
			return true
		}
	}
	return false
}

// HeroShown is what a setting of maps that goes before the hero's is while no map sets
// it; not ok for all others.
func (d *Document) HeroShown(mapKey string) (v kind.Datum, ok bool) {
	for _, key := range []string{HeroSpeed, HeroJump} {
		if onMaps[key] == mapKey {
			return d.HeroValue(nil, nil, d.HeroKind(), key), true
		}
	}
	return "", false
}
