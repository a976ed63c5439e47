package sample

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/material"
	"azzel/core/rules"
	"slices"
)

// Full is World with something of everything on it.
func Full() *document.Document {
	d := World()
	quay := d.Maps.Get(Quay)
	area := func(r grid.Rect) *grid.Region {
		out := &grid.Region{}
		out.AddRect(r)
		return out
	}
	tile := func(n int) cells.Cell { return cells.TileCell(1, n) }
	pane := func(r grid.Rect, c cells.Cell) cells.Patch {
		return cells.Paint(area(r), r, []cells.Cell{c}, 1, grid.Point{})
	}
	mat := document.Material{ID: "seaseaseasea", Name: "Sea", Number: 9, Is: "water", By: material.ByCorners, Turns: true, Composes: true}
	for i, form := range []material.Form{0, 0b1000100, 0b10001, 0b11111111, 0b1010101, 0b11111} {
		mat.Tiles = append(mat.Tiles, material.Tile{Cell: tile(20 + i), Form: form, Odds: 1 + i%2})
	}
	own := *kind.Find(kind.Door)
	own.ID, own.Of, own.Name, own.Order = "gategategate", kind.Door, "Gate", 5
	own.Settings = append(slices.Clone(own.Settings), kind.Setting{Key: "turns", Name: "turns", Type: kind.Number, Default: "2", Most: 9, Varies: true})
	own.Poses = []kind.Pose{{Does: kind.IsOn, Frames: [4][]cells.Cell{2: {tile(6), tile(7)}}, Ms: 120}}
	own.Guises = []document.Guise{{Number: kind.KindGuises, Name: "Worn", Look: tile(8), Says: "It has seen better days."}}
	rule := rules.Of(rules.Use(Quay, Switch), rules.IsNotSet(Lit), rules.Open(Quay, Door), rules.Say("Open."))
	rule.ID, rule.Order = "rulerulerule", 10
	layers := []document.Layer{
		{ID: "zoneslayerzo", Name: "Zones", Kind: document.LayerZones, Order: 40, Opacity: 100},
		{ID: "overheadover", Name: "Overhead", Kind: document.LayerTiles, Order: 50, Opacity: 80, Front: true, Group: "groupgroupgr"},
		{ID: "groupgroupgr", Name: "Roofs", Kind: document.LayerGroup, Order: 60, Opacity: 100},
		{ID: "skyskyskysky", Name: "Sky", Kind: document.LayerPicture, Order: 70, Opacity: 50, Image: &document.LayerImage{From: "#102030", To: "#405060", Scale: 100}},
		{ID: "lockedlocked", Name: "Shut", Kind: document.LayerTiles, Order: 80, Opacity: 100, Locked: true},
		{ID: "iceiceiceice", Name: "Ice", Kind: document.LayerTiles, Order: 90, Opacity: 100, Absent: true, Covers: true},
	}
	entities := []document.Entity{
		{ID: "arrivearrive", Kind: kind.Arrival, Name: "Landing", X: 48, Y: 128},
		{ID: "pathpathpath", Kind: kind.Path, Name: "Round", X: 80, Y: 96, Points: []grid.Point{{X: 0, Y: 0}, {X: 64, Y: 0}, {X: 64, Y: 32}}},
		{ID: "liftliftlift", Kind: kind.Platform, Name: "Lift", X: 208, Y: 96, W: 32},
		{ID: "crabcrabcrab", Kind: kind.Character, Name: "Keeper", X: 208, Y: 64, Group: "Staff", Carrier: "liftliftlift", Guises: []document.Guise{{Number: 2, Name: "Glad", Look: tile(9), Says: "Light!"}}},
		{ID: "gateentityga", Kind: "gategategate", Name: "Gate", X: 224, Y: 128, H: 32, Group: "Staff"},
		{ID: "pilepilepile", Kind: kind.Collectible, Name: "Pearl 2", X: 64, Y: 32, Values: []kind.Value{{Key: "amount", Value: kind.Of("3")}}},
	}
	do := []edit.Primitive{
		edit.Insert(edit.Ref{Type: edit.TypeZone, ID: "zonezonezone"}, document.Zone{ID: "zonezonezone", Name: "Marsh", Number: 7, Is: document.ZoneWater, Hatch: "waves", Colour: "#2f6f8f"}),
		edit.Insert(edit.Ref{Type: edit.TypeMaterial, ID: mat.ID}, mat),
		edit.Insert(edit.Ref{Type: edit.TypeKind, ID: own.ID}, document.Lean(&own)),
		edit.Set(edit.Ref{Type: edit.TypeTileset, ID: Coast}, "infos", []document.TileInfo{
			{Tile: 2, Odds: 3, Partner: 3, Part: "upper half", Tags: []string{"edge"}}, {Tile: 4, Odds: 1, Partner: -1, OneWay: document.Up},
			{Tile: 5, Odds: 1, Partner: -1, Frames: []document.Frame{{Tile: 5, Ms: 200}, {Tile: 6, Ms: 100}}}}),
	}
	town := *d.Tilesets.Get(Coast)
	town.ID, town.Name, town.Number, town.Order, town.Height, town.Width, town.Solid, town.Infos = "townstownsto", "Town", 31, 9, 32, 48, nil, nil
	do = append(do, edit.Insert(edit.Ref{Type: edit.TypeTileset, ID: town.ID}, town))
	for i := range layers {
		do = append(do, edit.Insert(edit.Ref{Type: edit.TypeLayer, Map: quay.ID, ID: layers[i].ID}, layers[i]))
	}
	for i, e := range entities {
		e.Layer, e.Facing, e.W, e.H, e.Rank = Entities, document.Right, max(16, e.W), max(16, e.H), 10+i
		do = append(do, edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: quay.ID, ID: e.ID}, e))
	}
	do = append(do,
		Paint(quay.ID, "zoneslayerzo", area(grid.Rect{X: 12, Y: 8, W: 4, H: 2}), cells.TileCell(7, 0)),
		Paint(quay.ID, "overheadover", area(grid.Rect{X: 8, Y: 3, W: 3, H: 2}), tile(2)|cells.MirrorX),
		Paint(quay.ID, Ground, area(grid.Rect{X: 3, Y: 6, W: 4, H: 3}), cells.MaterialCell(9, 3)),
		Paint(quay.ID, Things, area(grid.Rect{X: 14, Y: 3, W: 2, H: 2}), tile(4)),
		Paint(quay.ID, "iceiceiceice", area(grid.Rect{X: 5, Y: 8, W: 4, H: 2}), tile(3)),
		Paint(Pans, Things, area(grid.Rect{X: 4, Y: 4, W: 3, H: 1}), tile(5)),
		edit.Insert(edit.Ref{Type: edit.TypePassage, ID: "passpasspass"}, document.Passage{ID: "passpasspass", From: document.End{Map: quay.ID, Entity: Exit}, To: document.End{Map: quay.ID, Entity: "arrivearrive"},
			If: []document.Gate{{Asks: document.GateFlag, Flag: Lit}}, Shut: "It is shut."}),
		edit.Insert(edit.Ref{Type: edit.TypeMotif, ID: "motifmotifmo"}, document.Motif{ID: "motifmotifmo", Name: "House", W: 3, H: 2, CellWidth: 16, CellHeight: 16,
			Parts:    []document.MotifPart{{Layer: "Things", Kind: document.LayerTiles, Cells: pane(grid.Rect{W: 3, H: 2}, tile(3))}},
			Entities: []*document.Entity{{Kind: kind.Sign, Name: "Board", X: 16, Y: 16, W: 16, H: 16, Facing: document.Down, Layer: Entities}},
			Rules: []document.MotifRule{{Name: "Read", Once: true, Parts: []document.RulePart{
				{ID: "readreadread", Slot: document.SlotWhen, Word: rules.WordSpeak, Blanks: []kind.Value{{Key: "what", Value: document.Naming(document.Object{Type: document.TypeEntity, Map: document.MotifMap, ID: document.MotifEntity(0)})}}},
				{ID: "thenthenthen", Slot: document.SlotThen, Word: rules.WordSet, Blanks: []kind.Value{{Key: "what", Value: document.Naming(document.Object{Type: document.TypeFlag, ID: Lit})}}}}}}}),
		edit.Set(edit.Ref{Type: edit.TypeMap, ID: Pans}, "bounds", grid.Rect{X: -2, Y: 1, W: 18, H: 10}),
	)
	at := document.Moment{Tick: 90, Seed: 4, Hearts: 2, Flags: []document.ID{Lit}, Things: []document.ThingSo{{Map: Quay, ID: Pearl, Is: []string{"taken"}}, {Map: Quay, ID: "gateentityga", Is: []string{}, Own: []document.OwnSo{{Key: "turns", Is: 5}}}},
		Hand: "oil", Side: "salt",
		Hero: document.Figure{Spot: document.Spot{Map: Quay, X: 12 << 12, Y: 5 << 12}, Facing: document.Left}}
	at.Sheets, at.Drawn = []document.LayerAt{{Map: Quay, Layer: "iceiceiceice"}}, []document.DrawnSo{{Part: "deepchancede", Times: 2}}
	at.Waits = []document.RuleWait{{Rule: "sceneruletid", Next: "scenewalksce", Ticks: 400, For: "walk", Far: 900}}
	at.Entry, at.Back = at.Hero.Spot, at.Hero.Spot
	do = append(do,
		edit.Insert(edit.Ref{Type: edit.TypePin, ID: "pinpinpinpin"}, document.Pin{ID: "pinpinpinpin", Name: "Lit", Note: "With the pearl.", Order: 10, At: document.PinPlace{Map: Quay, X: 198, Y: 86}, Moment: at}),
		edit.Insert(edit.Ref{Type: edit.TypeRecording, ID: "keptkeptkept"}, document.Recording{ID: "keptkeptkept", Name: "West", Order: 10, Row: 3, Start: at,
			Keys: []document.HeldFor{{Held: 8, Ticks: 30}, {Ticks: 10}}, Course: []document.CourseMark{{Map: Quay, X: 12, Y: 5}, {Tick: 40, Map: Quay, X: 10, Y: 5}}}))
	do = append(do, edit.Insert(edit.Ref{Type: edit.TypeCounter, ID: "saltsaltsalt"}, document.Counter{ID: "saltsaltsalt", Name: "Salt", Start: 2}), inserted(rule), inserted(deepRule()), inserted(sceneRule()),
		edit.Set(edit.Ref{Type: edit.TypeProject}, "languages", []string{"de", "fr"}), edit.Insert(edit.Ref{Type: edit.TypeWording, ID: "wordingwordi"}, document.Wording{ID: "wordingwordi", Language: "de", Of: "The gate is open.", Says: "Das Tor ist offen."}))
	do = append(do, gameSteps()...)
	res := edit.Apply(d, &edit.Edit{Do: do})
	if len(res.Dropped) > 0 {
		panic(res.Dropped[0])
	}
	return res.Doc
}

func inserted(r document.Rule) edit.Primitive {
	p := edit.Insert(edit.Ref{Type: edit.TypeRule, ID: r.ID}, r)
	p.Content = &document.Content{Parts: r.Parts.All()}
	return p
}

// sceneRule is a scene, begun by chance as somebody goes over into another guise.
func sceneRule() document.Rule {
	part := func(id, parent document.ID, slot, word string, blanks ...kind.Value) document.RulePart {
		return document.RulePart{ID: id, Parent: parent, Slot: slot, Word: word, Blanks: blanks}
	}
	blank := func(key string, value kind.Datum) kind.Value { return kind.Value{Key: key, Value: value} }
	keeper := document.Naming(document.Object{Type: document.TypeEntity, Map: Quay, ID: "crabcrabcrab"})
	hero := document.Naming(document.Object{Type: document.TypeHero})
	r := rules.Of(part("sceneturnsce", "", document.SlotWhen, rules.WordTurnsInto, blank("what", keeper), blank("from", `"0"`), blank("guise", `"2"`)),
		part("deepchancede", "", document.SlotIf, rules.WordChance, blank("number", "50")),
		part("scenescenesc", "", document.SlotThen, rules.WordScene, blank("skip", `"can"`)),
		part("scenewalksce", "scenescenesc", document.SlotThen, rules.WordWalk, blank("what", hero), blank("number", "2"), blank("way", `"left"`), blank("blocked", `"stopping"`)),
		part("scenelayscen", "scenescenesc", document.SlotThen, rules.WordLay, blank("what", document.Naming(document.Object{Type: document.TypeLayer, Map: Quay, ID: "iceiceiceice"}))),
		part("scenetellsce", "scenescenesc", document.SlotThen, rules.WordTells, blank("what", keeper), blank("text", `"Light!"`)))
	r.ID, r.Order, r.Name = "sceneruletid", 30, "Light"
	return r
}

// deepRule is a rule of a kind whose parts stand in one another, with a name, a part that is off and a draft.
func deepRule() document.Rule {
	salt := document.Naming(document.Object{Type: document.TypeCounter, ID: "saltsaltsalt"})
	counted := func(word string, n int) document.RulePart {
		p := rules.Part(word, salt)
		p.Blanks = append(p.Blanks, kind.Value{Key: "number", Value: kind.Of(n)})
		return p
	}
	part := func(id, parent document.ID, p document.RulePart) document.RulePart {
		p.ID, p.Parent = id, parent
		return p
	}
	off := part("deepoffdeepo", "deepnodeepno", counted(rules.WordPut, 0))
	off.Off = true
	r := rules.Of(part("deepwhendeep", "", rules.Part(rules.WordTurnsOn, document.Naming(document.Object{Type: document.TypeKind, ID: kind.Switch}))),
		part("deepifdeepif", "", counted(rules.WordAtLeast, 3)), part("deepaskdeepa", "", rules.Part(rules.WordAsk, `"Tip it out?"`)),
		part("deepyesdeepy", "deepaskdeepa", rules.Part(rules.WordAnswer, `"Yes"`)), part("deephidedeep", "deepyesdeepy", rules.Part(rules.WordHide, document.Naming(document.Object{Type: document.TypeIt}))),
		part("deepnodeepno", "deepaskdeepa", rules.Part(rules.WordAnswer, `"No"`)), off)
	r.ID, r.Order, r.Name, r.Once, r.Draft = "deepruledeep", 20, "Brine", true, "when\n\tthe hero dan"
	return r
}
