package document

import (
	"slices"
	"sort"
	"strings"
)

// Document is a whole project.
type Document struct {
	Project   *Project
	Tilesets  Table[Tileset]
	Maps      Table[Map]
	Passages  Table[Passage]
	Rules     Table[Rule]
	Flags     Table[Flag]
	Counters  Table[Counter]
	Wordings  Table[Wording]
	Sounds    Table[Sound]
	Motifs    Table[Motif]
	Placings  Table[Placing]
	Zones     Table[Zone]
	Materials Table[Material]
	// Kinds are the designer's own; Kind finds the built-in ones as well.
	Kinds Table[Kind]
	// Pins and Recordings are kept of games that were played.
	Pins       Table[Pin]
	Recordings Table[Recording]
}

// New is an empty project with a grid of 16×16 pixels.
func New(name string) *Document {
	return &Document{Project: &Project{Name: name, CellWidth: 16, CellHeight: 16, Hero: Hero{Speed: 5}}}
}

// TilesetByNumber finds the tileset that cells call by this number; where two
// were given the same the first id wins.
func (d *Document) TilesetByNumber(number int) *Tileset {
	for _, t := range d.Tilesets.All() {
		if t.Number == number {
			return t
		}
	}
	return nil
}

// MapsInOrder lists the maps as people see them.
func (d *Document) MapsInOrder() []*Map {
	return d.Maps.InOrder(func(m *Map) int { return m.Order })
}

// TilesetsInOrder lists the tilesets as people see them.
func (d *Document) TilesetsInOrder() []*Tileset {
	return d.Tilesets.InOrder(func(t *Tileset) int { return t.Order })
}

// MotifsInOrder lists the motifs as people see them.
func (d *Document) MotifsInOrder() []*Motif {
	return d.Motifs.InOrder(func(m *Motif) int { return m.Order })
}

// ZonesInOrder lists the zones as people see them.
func (d *Document) ZonesInOrder() []*Zone {
	return d.Zones.InOrder(func(z *Zone) int { return z.Order })
}

// ZoneByNumber finds the zone that cells call by this number, nil when there is none.
func (d *Document) ZoneByNumber(number int) *Zone {
	for _, z := range d.Zones.All() {
		if z.Number == number {
			return z
		}
	}
	return nil
}

// RulesInOrder lists the rules in the order in which they run.
func (d *Document) RulesInOrder() []*Rule {
	return d.Rules.InOrder(func(r *Rule) int { return r.Order })
}

// LargestNumber is the largest that cells call a tileset, a material or a zone by; 0 where there are none.
func (d *Document) LargestNumber() (n int) {
	for _, t := range d.Tilesets.All() {
		n = max(n, t.Number)
	}
	for _, m := range d.Materials.All() {
		n = max(n, m.Number)
	}
	for _, z := range d.Zones.All() {
		n = max(n, z.Number)
	}
	return n
}

// FlagsByName lists the flags as people look for them.
func (d *Document) FlagsByName() []*Flag {
	all := d.Flags.All()
	slices.SortStableFunc(all, func(a, b *Flag) int { return strings.Compare(a.Name, b.Name) })
	return all
}

// CountersByName lists the counters as people look for them.
func (d *Document) CountersByName() []*Counter {
	all := d.Counters.All()
	slices.SortStableFunc(all, func(a, b *Counter) int { return strings.Compare(a.Name, b.Name) })
	return all
}

// LayersInOrder lists a map's layers from the bottom to the top.
func (m *Map) LayersInOrder() []*Layer {
	return m.Layers.InOrder(func(l *Layer) int { return l.Order })
}

// Shown reports whether a layer and its group are shown.
func (m *Map) Shown(l *Layer) bool {
	g := m.Layers.Get(l.Group)
	return !l.Hidden && (g == nil || !g.Hidden)
}

// Open reports whether a layer can be worked on: it and its group are shown and unlocked.
func (m *Map) Open(l *Layer) bool {
	g := m.Layers.Get(l.Group)
	return m.Shown(l) && !l.Locked && (g == nil || !g.Locked)
}

// ordered sorts by order; All has sorted by id before, and the sort is stable.
func ordered[T any](all []*T, order func(*T) int) []*T {
	sort.SliceStable(all, func(i, j int) bool { return order(all[i]) < order(all[j]) })
	return all
}

// Entity finds an entity on a map, nil when either is missing.
func (d *Document) Entity(m, id ID) *Entity {
	if where := d.Maps.Get(m); where != nil {
		return where.Entities.Get(id)
	}
	return nil
}

// IsSolid reports whether a tile stops the hero.
func (t *Tileset) IsSolid(tile int) bool {
	_, ok := slices.BinarySearch(t.Solid, tile)
	return ok
}
