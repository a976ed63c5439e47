package document

import "azzel/core/kind"

// Types of object that something else can name.
const (
	TypeProject   = "project"
	TypeTileset   = "tileset"
	TypeMap       = "map"
	TypeLayer     = "layer"
	TypeEntity    = "entity"
	TypePassage   = "passage"
	TypeRule      = "rule"
	TypePart      = "part" // of a rule
	TypeFlag      = "flag"
	TypeCounter   = "counter"
	TypeMotif     = "motif"
	TypeZone      = "zone"
	TypeMaterial  = "material"
	TypeKind      = "kind"
	TypePlacing   = "placing"
	TypePin       = "pin"
	TypeRecording = "recording"
	TypeWording   = "wording"
	TypeSound     = "sound"
)

// Object names an object by its type and id; Map is that of an entity.
type Object struct {
	Type string
	Map  ID
	ID   ID
}

// How one object names another.
const (
	AsFrom    = "from"    // a passage begins at it
	AsTo      = "to"      // a passage leads to it
	AsGate    = "gate"    // a passage or a seam asks for it
	AsSeam    = "seam"    // a map decides about its seam to it
	AsWhen    = "when"    // a rule waits for it
	AsIf      = "if"      // a rule asks for it
	AsThen    = "then"    // a rule does something with it
	AsCarrier = "carrier" // an entity travels along with it
	AsSetting = "setting" // a setting of an entity names it
	AsKind    = "kind"    // an entity is of it
	AsPinned  = "pinned"  // the project offers it first
	AsMotif   = "motif"   // a placing is of it
	AsOn      = "on"      // a placing lies on it: a map, a layer
	AsPlaced  = "placed"  // a placing put it down
	AsHeard   = "heard"   // a sound is heard of it, or on it
	AsWins    = "wins"    // the game is won by it
)

// Reference is one place where an object names another. All of them are told here
// and nowhere else: what removes, copies, checks and lists goes by it.
type Reference struct {
	By Object
	As string
	To Object
	// Setting is the key of the setting, or of the blank of a rule's part.
	Setting string
}

// References calls f with every reference of the project, in an order that depends
// on nothing but the project.
func (d *Document) References(f func(Reference)) {
	for _, pin := range d.Project.Pins {
		f(Reference{By: Object{Type: TypeProject}, As: AsPinned, To: Object{Type: TypeKind, ID: pin}})
	}
	if with := ID(d.GameValue(kind.GameWonWith).Word()); with != "" {
		to := TypeKind
		if d.GameValue(kind.GameGoal).Word() == kind.GoalFlag {
			to = TypeFlag
		}
		f(Reference{By: Object{Type: TypeProject}, As: AsWins, To: Object{Type: to, ID: with}})
	}
	for _, p := range d.Passages.All() {
		p.references(f)
	}
	for _, r := range d.RulesInOrder() {
		r.references(f)
	}
	for _, p := range d.Placings.All() {
		by := Object{Type: TypePlacing, ID: p.ID}
		f(Reference{By: by, As: AsMotif, To: Object{Type: TypeMotif, ID: p.Motif}})
		f(Reference{By: by, As: AsOn, To: Object{Type: TypeMap, ID: p.Map}})
		for _, id := range p.Layers {
			f(Reference{By: by, As: AsOn, To: Object{Type: TypeLayer, Map: p.Map, ID: id}})
		}
		for _, id := range p.Entities {
			f(Reference{By: by, As: AsPlaced, To: Object{Type: TypeEntity, Map: p.Map, ID: id}})
		}
	}
	for _, s := range d.Sounds.All() {
		by := Object{Type: TypeSound, ID: s.ID}
		for _, h := range s.As {
			if h.Kind.Valid() {
				f(Reference{By: by, As: AsHeard, To: Object{Type: TypeKind, ID: h.Kind}})
			}
			if h.Map != "" {
				f(Reference{By: by, As: AsHeard, To: Object{Type: TypeMap, ID: h.Map}})
			}
		}
	}
	for _, m := range d.Maps.All() {
		by := Object{Type: TypeMap, ID: m.ID}
		for _, s := range m.Seams {
			f(Reference{By: by, As: AsSeam, To: Object{Type: TypeMap, ID: s.With}})
			gateReferences(by, s.If, f)
		}
		m.Entities.Each(func(e *Entity) { d.entityReferences(m, e, f) })
	}
}

func (p *Passage) references(f func(Reference)) {
	by := Object{Type: TypePassage, ID: p.ID}
	f(Reference{By: by, As: AsFrom, To: p.From.object()})
	f(Reference{By: by, As: AsTo, To: p.To.object()})
	gateReferences(by, p.If, f)
}

// object is what an end of a passage names: an entity, or a map by its side.
func (e End) object() Object {
	if e.Entity == "" {
		return Object{Type: TypeMap, ID: e.Map}
	}
	return Object{Type: TypeEntity, Map: e.Map, ID: e.Entity}
}

func gateReferences(by Object, all []Gate, f func(Reference)) {
	for _, g := range all {
		to := Object{Type: TypeEntity, Map: g.Map, ID: g.Entity}
		switch g.Asks {
		case GateFlag:
			to = Object{Type: TypeFlag, ID: g.Flag}
		case GateCount:
			to = Object{Type: TypeKind, ID: g.Kind}
		}
		f(Reference{By: by, As: AsGate, To: to})
	}
}

func (d *Document) entityReferences(m *Map, e *Entity, f func(Reference)) {
	by := Object{Type: TypeEntity, Map: m.ID, ID: e.ID}
	f(Reference{By: by, As: AsKind, To: Object{Type: TypeKind, ID: ID(e.Kind)}})
	if e.Carrier != "" {
		f(Reference{By: by, As: AsCarrier, To: Object{Type: TypeEntity, Map: m.ID, ID: e.Carrier}})
	}
	for _, v := range e.Values {
		d.valueReferences(m, e, v, func(to Object) { f(Reference{By: by, As: AsSetting, To: to, Setting: v.Key}) })
	}
}

// valueReferences calls f with what a setting of an entity names: an entity of its
// map, or kinds.
func (d *Document) valueReferences(m *Map, e *Entity, v kind.Value, f func(Object)) {
	s := d.Setting(e, v.Key)
	if s == nil {
		return
	}
	is, err := s.Is(v.Value)
	switch {
	case err != nil:
	case s.Type == kind.Entity && is.Word() != "":
		f(Object{Type: TypeEntity, Map: m.ID, ID: ID(is.Word())})
	case s.Type == kind.Shares:
		for _, share := range is.Shares() {
			f(Object{Type: TypeKind, ID: ID(share.Of)})
		}
	}
}

// Lies reports whether an object is a map, or an entity that stands on it.
func (o Object) Lies(m ID) bool { return o.Type == TypeMap && o.ID == m || o.Map == m && m != "" }
