package demo

import (
	"azzel/core/author"
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/rules"
)

// Name is the demo project's.
const Name = "The Saltworks at Low Tide"

// Project builds the demo; picture names the stored picture of Coast.
func Project(s *Sheet, picture string) *document.Document {
	d := document.New(Name)
	c, err := author.AddTileset(d, s.Tileset(number, picture))
	d = do(d, c, err)
	project := edit.Ref{Type: edit.TypeProject}
	d = do(d, author.Change{Do: []edit.Primitive{edit.Set(project, "hero", s.Hero(number)), edit.Set(project, "looks", s.Looks(number))}}, nil)

	for _, m := range s.Materials(number, seaPaint) {
		c, err := author.AddMaterial(d, m)
		d = do(d, c, err)
	}
	for _, k := range ownKinds(s) {
		d = do(d, author.Change{Do: []edit.Primitive{edit.Insert(edit.Ref{Type: edit.TypeKind, ID: k.ID}, k)}}, nil)
	}
	q, p, b, shaft, lamp := quay(s), pans(s), brineHouse(s), pumpShaft(s), lampRoom(s)
	yard, gal := tideYard(s), gallery(s)
	d = q.add(d, "Quay")
	d = p.add(d, "Pans")
	d = b.add(d, "Brine House")
	d = shaft.add(d, "Pump Shaft")
	d = lamp.add(d, "Lamp Room")
	d = yard.add(d, "Tide Yard")
	d = gal.add(d, "Yard Gallery")
	// the Quay and the Pans touch; the others lie where their ways are short
	places := map[document.ID]grid.Point{q.m.ID: {}, p.m.ID: {X: q.w * side, Y: side}, b.m.ID: {X: 10 * side, Y: (q.h + 3) * side},
		shaft.m.ID: {X: 38 * side, Y: (q.h + 3) * side}, lamp.m.ID: {X: 64 * side, Y: (q.h + 12) * side},
		yard.m.ID: {X: 92 * side, Y: 0}, gal.m.ID: {X: 92 * side, Y: (yard.h + 3) * side}}
	c, err = author.PlaceMaps(chart.New(d, nil), places, 0)
	d = do(d, c, err)
	for _, set := range []struct {
		c           *canvas
		name, value string
	}{{shaft, kind.MapView, kind.FromSide}, {gal, kind.MapView, kind.FromSide}, {shaft, "darkness", "55"}, {b, "darkness", "20"}, {lamp, "camera", "whole"}} {
		c, err := author.SetMapSetting(d, d.Maps.Get(set.c.m.ID), set.name, &set.value)
		d = do(d, c, err)
	}
	d = motif(d, q, "Warden’s house", grid.Rect{X: 19, Y: 6, W: 7, H: 4})
	d = motif(d, q, "Crates", grid.Rect{X: 27, Y: 11, W: 3, H: 2})
	c, err = author.Join(d, author.Way{From: end(q, "To the brine house"), To: b.m.ID, At: grid.Point{X: 8, Y: 12}, Facing: document.Up, Back: true})
	d = do(d, c, err)
	c, err = author.Join(d, author.Way{From: end(b, "Hatch"), To: shaft.m.ID, At: grid.Point{X: 5, Y: 5}, Facing: document.Down})
	d = do(d, c, err)
	c, err = author.Join(d, author.Way{From: end(shaft, "Out by the hatch"), To: b.m.ID, At: grid.Point{X: 18, Y: 10}, Facing: document.Down})
	d = do(d, c, err)
	c, err = author.Join(d, author.Way{From: end(shaft, "Up to the lamp"), To: lamp.m.ID, At: grid.Point{X: 5, Y: 7}, Facing: document.Right, Back: true})
	d = do(d, c, err)
	c, err = author.Join(d, author.Way{From: end(q, "To the tide yard"), To: yard.m.ID, At: grid.Point{X: 15, Y: 7}, Facing: document.Down, Back: true})
	d = do(d, c, err)
	c, err = author.Join(d, author.Way{From: end(yard, "To the gallery"), To: gal.m.ID, At: grid.Point{X: 3, Y: 10}, Facing: document.Right, Back: true})
	d = do(d, c, err)
	c, err = author.Join(d, author.Way{From: end(q, "To the pans"), To: p.m.ID, At: grid.Point{X: 1, Y: 13}, Facing: document.Right, Back: true})
	d = do(d, c, err)

	var open, crystal, lit = document.NewID(), document.NewID(), document.NewID()
	var flags author.Change
	for _, f := range []document.Flag{{ID: open, Name: "Pans are open"}, {ID: crystal, Name: "Crystal seen"}, {ID: lit, Name: "Yard is open"}} {
		flags.Do = append(flags.Do, edit.Insert(edit.Ref{Type: edit.TypeFlag, ID: f.ID}, f))
	}
	d = do(d, flags, nil)
	opens := func(c *canvas, door string) document.RulePart {
		e := end(c, door)
		return rules.Open(e.Map, e.Entity)
	}
	used := func(c *canvas, name string) document.RulePart {
		e := end(c, name)
		return rules.Use(e.Map, e.Entity)
	}
	at := func(word string, c *canvas, name string) document.RulePart {
		e := end(c, name)
		return rules.Part(word, document.Naming(document.Object{Type: document.TypeEntity, Map: e.Map, ID: e.Entity}))
	}
	once := func(parts ...document.RulePart) document.Rule {
		r := rules.Of(parts...)
		r.Once = true
		return r
	}
	for _, r := range append([]document.Rule{
		rules.Of(at(rules.WordTurnsOn, yard, "Weigh plate"), opens(yard, "Weigh gate")),
		rules.Of(at(rules.WordTurnsOff, yard, "Weigh plate"), at(rules.WordShut, yard, "Weigh gate")),
		rules.Of(at(rules.WordRings, yard, "Night bell"), at(rules.WordFlip, yard, "Bell gate")),
		rules.Of(used(yard, "Bellows wheel"), at(rules.WordFlip, yard, "Bellows")),
		once(rules.Arrive(q.m.ID), rules.Say("Low tide. Three beacons to light before the water is back.")),
		rules.Of(used(q, "Sluice wheel"), rules.IsNotSet(open), opens(q, "Pan gate"), rules.Set(open), rules.Say("Somewhere east a gate grinds open.")),
		rules.Of(used(q, "Sluice wheel"), rules.IsSet(open), rules.Say("It will not turn any further.")),
		once(rules.Take(q.m.ID, end(q, "Salt crystal").Entity), rules.Set(crystal), rules.Say("A clear crystal. The lamp keeper pays for these.")),
		once(rules.Arrive(p.m.ID), rules.Say("The pans. Keep to the dykes when the water comes.")),
		once(rules.Arrive(b.m.ID), rules.Say("The brine house. Warm, and it smells of the sea.")),
		once(used(p, "Yard wheel"), opens(p, "Beacon gate"), rules.Set(lit), rules.Say("The beacon yard stands open.")),
	}, eastRules(yard)...) {
		c, err := author.AddRule(d, r)
		d = do(d, c, err)
	}
	return inGerman(withGame(withStory(withHorn(d), p), s, []*canvas{q, p}, b, shaft, lamp))
}

// motif keeps what stands on a map, above its ground, as a motif.
func motif(d *document.Document, c *canvas, name string, at grid.Rect) *document.Document {
	ground := *c.m
	for _, l := range c.m.LayersInOrder() {
		if l.Name == "Ground" {
			ground.Layers = ground.Layers.Without(l.ID)
		}
	}
	region := &grid.Region{}
	region.AddRect(at)
	change, err := author.KeepMotif(d, name, author.Area{Map: &ground, Region: region})
	return do(d, change, err)
}

func end(c *canvas, name string) document.End {
	for _, e := range c.m.Entities.All() {
		if e.Name == name {
			return document.End{Map: c.m.ID, Entity: e.ID}
		}
	}
	panic("demo: no entity called " + name)
}
