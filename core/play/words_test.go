package play_test

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/rules"
	"azzel/core/sample"
	"azzel/core/world"
	"strings"
	"testing"
)

// reads adds rules written as text, apart by empty lines, and brings the game to them.
func (r *run) reads(texts ...string) *run {
	r.t.Helper()
	for _, text := range texts {
		rule, err := rules.Read(r.d, text)
		if err != nil {
			r.t.Fatalf("%v\n%s", err, text)
		}
		r.d = withRule(r.t, r.d, rule.Copied())
	}
	r.g.Enter(stage(r.d))
	return r
}

// stepping is a map with something of everything that rules speak of: the hero stands on a switch and looks down.
func stepping(t *testing.T, values ...kind.Value) *run {
	t.Helper()
	r := drawn(t, "\n@.........\n..........\n..........\n..........", "hero.lives=3").with(kind.Switch, 0, 0, 1, 1, false, document.Down, values...).
		with(kind.Door, 3, 3, 1, 1, false, document.Down).with(kind.Sensor, 4, 0, 2, 1, true, document.Down).with(kind.Collectible, 2, 0, 1, 1, false, document.Down).
		with(kind.Character, 0, 1, 1, 1, false, document.Down).with(kind.Walker, 8, 3, 1, 1, true, document.Down, value("range", "0"), value("sight", "20")).with(kind.Timer, 9, 0, 1, 1, false, document.Down, value("every", "200"), value("again", "false")).
		with(kind.Source, 9, 3, 1, 1, false, document.Down, value("makes", `[{"of":"walker","odds":1}]`), value("inAll", "1"), value("every", "100")).with(kind.Item, 7, 0, 1, 1, false, document.Down, value("is", `"oil"`)).
		with(kind.Arrival, 6, 2, 1, 1, false, document.Down).with(kind.Sign, 0, 3, 1, 1, false, document.Down)
	r.d = apply(t, r.d, append(sample.Drawn(), edit.Insert(edit.Ref{Type: edit.TypeKind, ID: "jarjarjarjar"}, jar(kind.Sign)),
		edit.Set(edit.Ref{Type: edit.TypeEntity, Map: r.mapID(), ID: r.end(kind.Sign).Entity}, "kind", "jarjarjarjar"))...)
	r.d = apply(t, r.d, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: r.mapID(), ID: r.end(kind.Character).Entity}, "guises", []document.Guise{{Number: 1, Name: "Glad", Look: cells.TileCell(1, 7), Says: "So glad!"}, {Number: 4, Name: "Sad"}}))
	r.g.Enter(stage(r.d))
	return r
}

// uses is a rule that waits for the switch under the hero.
const uses = "when\n\tthe hero uses switch\n"

// block indents lines.
func block(lines string, deep int) string {
	in := strings.Repeat("\t", deep)
	return in + strings.ReplaceAll(strings.TrimRight(lines, "\n"), "\n", "\n"+in) + "\n"
}

// layer is where entities of the map lie.
func (r *run) layer() document.ID { return r.g.Stage.Thing(r.thing(kind.Switch)).Layer }

// take has the hero have what lies somewhere.
func (r *run) take(k string) { r.g.Mark(r.thing(k), play.Taken) }

// leaves takes a thing away.
func (r *run) leaves(k string) { r.g.Mark(r.thing(k), play.Gone) }

// does are the actions, and what is so after one that was not before.
var does = map[string]struct {
	does string
	so   func(r *run) bool
}{
	rules.WordSend:     {"send the hero to arrival", func(r *run) bool { r.hold(0, 90); return r.cell().X == 6 }},
	rules.WordGive:     {"give the hero 3 oil\ngive the hero -5 oil", func(r *run) bool { return r.g.Amount("oil") == 3 && r.g.Carried()[0].Amount == 3 }},
	rules.WordUseUp:    {"give the hero 3 oil\ntake 2 oil from the hero\ntake 2 coin from the hero\ngive the hero 1 coin", func(r *run) bool { return r.g.Amount("oil") == 1 && r.g.Amount("coin") == 1 }},
	rules.WordLives:    {"give the hero 2 lives", func(r *run) bool { return r.g.Count(play.Lives) == 5 }},
	rules.WordHeal:     {"take 2 hearts from the hero\ngive the hero 1 hearts", func(r *run) bool { return r.g.Count(play.Hearts) == 2 }},
	rules.WordHarm:     {"take 3 hearts from the hero", func(r *run) bool { r.hold(0, 60); return r.g.Count(play.Lives) == 2 }},
	rules.WordKeep:     {"remember this place for coming back", func(r *run) bool { return r.g.Back.X != r.g.Entry.X }},
	rules.WordOpen:     {"open door", func(r *run) bool { return r.g.On(r.thing(kind.Door)) }},
	rules.WordShut:     {"open door\nshut door\nopen every Door", func(r *run) bool { return r.g.On(r.thing(kind.Door)) }},
	rules.WordTurnOn:   {"turn on timer", func(r *run) bool { return r.g.On(r.thing(kind.Timer)) }},
	rules.WordTurnOff:  {"turn off it", func(r *run) bool { return !r.g.On(r.thing(kind.Switch)) }},
	rules.WordFlip:     {"flip door", func(r *run) bool { return r.g.On(r.thing(kind.Door)) }},
	rules.WordMake:     {"let source make one", func(r *run) bool { made := r.made(kind.Source); return len(made) > 0 && r.g.There(made[0]) }},
	rules.WordShow:     {"hide item\nshow item\nhide door", func(r *run) bool { return r.g.Shown(r.thing(kind.Item)) && !r.g.Shown(r.thing(kind.Door)) }},
	rules.WordHide:     {"hide item", func(r *run) bool { return !r.g.Shown(r.thing(kind.Item)) }},
	rules.WordBring:    {"take away item\nput item there\ntake away door", func(r *run) bool { return r.g.There(r.thing(kind.Item)) && !r.g.There(r.thing(kind.Door)) }},
	rules.WordRemove:   {"take away item", func(r *run) bool { return !r.g.There(r.thing(kind.Item)) }},
	rules.WordEnable:   {"disable item\nenable item\ndisable door", func(r *run) bool { return !r.g.Disabled(r.thing(kind.Item)) && r.g.Disabled(r.thing(kind.Door)) }},
	rules.WordDisable:  {"disable item", func(r *run) bool { return r.g.Disabled(r.thing(kind.Item)) }},
	rules.WordOwnSet:   {"set lid of sign", func(r *run) bool { return r.own("lid") == 1 }},
	rules.WordOwnClear: {"set lid of sign\nclear lid of sign\nset Flag", func(r *run) bool { return r.own("lid") == 0 && r.g.Flag(sample.DrawnFlag) }},
	rules.WordOwnAdd:   {"add 2 to fullness of sign", func(r *run) bool { return r.own("full") == 3 }},
	rules.WordOwnPut:   {"let fullness of every Jar be 4", func(r *run) bool { return r.own("full") == 4 }},
	rules.WordSet:      {"set Flag", func(r *run) bool { return r.g.Flag(sample.DrawnFlag) }},
	rules.WordClear:    {"set Flag\nset Lit\nclear Flag", func(r *run) bool { return !r.g.Flag(sample.DrawnFlag) && r.g.Flag(sample.Lit) }},
	rules.WordAdd:      {"add Salt to Salt", func(r *run) bool { return r.g.Counter(sample.DrawnCounter) == 4 }},
	rules.WordPut:      {"let Salt be -7", func(r *run) bool { return r.g.Counter(sample.DrawnCounter) == -7 }},
	rules.WordMultiply: {"multiply Salt by 1000000\nmultiply Salt by 1000000", func(r *run) bool { return r.g.Counter(sample.DrawnCounter) == document.MaxNumber }},
	rules.WordSignal:   {"send out bell", func(r *run) bool { return r.g.Flag(sample.Lit) }},                                                  // a rule waits for it
	rules.WordCall:     {"send out bell with Salt", func(r *run) bool { return r.g.Flag(sample.Lit) && r.g.Counter(sample.DrawnOther) == 2 }}, // a rule waits for it
	rules.WordPace: {"walk on at 300 percent of the usual pace\nwalk character 2 cells right waiting where blocked\nset Flag", func(r *run) bool {
		r.hold(0, 6)
		r.g = r.again().g
		r.hold(0, 12)
		return r.g.Flag(sample.DrawnFlag) && r.g.Where(r.thing(kind.Character)).Left == 32*play.Sub
	}},
	rules.WordSay: {"say \"Mind the tide.\"\nset Flag", func(r *run) bool {
		return len(r.g.Lines) == 1 && r.g.Lines[0].Text == "Mind the tide." && !r.g.Flag(sample.DrawnFlag)
	}},
	rules.WordAsk:     {"ask \"Shall it?\"\n\tanswer \"No\"\n\t\tset Lit\n\tanswer \"Yes\"\n\t\tset Flag", answered},
	rules.WordAnswer:  {"ask \"\"\n\tanswer \"No\"\n\tanswer \"Yes\"\n\t\tset Flag\nadd 1 to Salt", func(r *run) bool { return answered(r) && r.g.Counter(sample.DrawnCounter) == 3 }},
	rules.WordWhether: {"if all of this is so\n\tFlag is set\nthen\n\tset Lit\notherwise\n\tset Flag", func(r *run) bool { return r.g.Flag(sample.DrawnFlag) && !r.g.Flag(sample.Lit) }},
	rules.WordRepeat:  {"repeat 3 times\n\trepeat 2 times\n\t\tadd 1 to Salt\nrepeat 0 times\n\tadd 100 to Salt", func(r *run) bool { return r.g.Counter(sample.DrawnCounter) == 8 }},
	rules.WordAsLong:  {"as long as all of this is so\n\tSalt is below 20\nthen\n\tadd 3 to Salt", func(r *run) bool { return r.g.Counter(sample.DrawnCounter) == 20 }},
	rules.WordWait: {"wait 1 s\nset Flag", func(r *run) bool {
		r.hold(0, 50)
		early := r.g.Flag(sample.DrawnFlag)
		r.hold(0, 15)
		return !early && r.g.Flag(sample.DrawnFlag)
	}},
	rules.WordStop: {"set Flag\nstop here\nclear Flag", func(r *run) bool { return r.g.Flag(sample.DrawnFlag) }},
	rules.WordWalk: {"walk character 2 cells right waiting where blocked\nset Flag", func(r *run) bool {
		early := r.g.Flag(sample.DrawnFlag)
		r.hold(0, 90)
		return !early && r.g.Flag(sample.DrawnFlag) && r.g.Where(r.thing(kind.Character)).Left == 32*play.Sub
	}},
	rules.WordGoTo: {"lead character to arrival\nset Flag", func(r *run) bool {
		r.hold(0, 400)
		at := r.g.Where(r.thing(kind.Character))
		return r.g.Flag(sample.DrawnFlag) && at.Left == 96*play.Sub && at.Top == 32*play.Sub
	}},
	rules.WordLift:     {"lift layer Ground", func(r *run) bool { return len(r.g.Turned()) == 1 }},
	rules.WordLay:      {"lift layer Ground\nlay layer Ground\nset Flag", func(r *run) bool { return len(r.g.Turned()) == 0 && r.g.Flag(sample.DrawnFlag) }},
	rules.WordDisguise: {"let every Character appear Glad\nlet item appear \"as it is now\"", func(r *run) bool { in := r.g.Appears(r.thing(kind.Character)); return in != nil && in.Name == "Glad" }},
	rules.WordTells: {"character says \"Mind the tide.\"\nset Flag", func(r *run) bool {
		return len(r.g.Lines) == 1 && r.g.Lines[0].Text == "Mind the tide." && r.g.Lines[0].By == r.thing(kind.Character)+1 && !r.g.Flag(sample.DrawnFlag) && r.again().g.Lines[0].By == r.g.Lines[0].By
	}},
	rules.WordTellsAs: {"character says \"Mind the tide.\" as Glad\nset Flag", func(r *run) bool {
		l := append(r.g.Lines, play.Line{})[0]
		return l.Text == "Mind the tide." && l.By == r.thing(kind.Character)+1 && l.As == 2 && r.again().g.Lines[0].As == 2 && r.g.Appears(r.thing(kind.Character)) == nil
	}},
	rules.WordFollow: {"let character come along", func(r *run) bool {
		r.hold(play.InputRight, 120)
		at := r.g.Where(r.thing(kind.Character))
		return at.Left > 48*play.Sub
	}},
	rules.WordPart: {"let character come along\nlet character stay here\nset Flag", func(r *run) bool {
		r.hold(play.InputRight, 120)
		return r.g.Flag(sample.DrawnFlag) && r.g.Where(r.thing(kind.Character)).Left == 0
	}},
	rules.WordJump: {"character jumps\nthe hero jumps", func(r *run) bool {
		r.hold(0, 12)
		up := r.g.Hop(r.hero())
		r.hold(0, 20)
		return up > 11*play.Sub && up <= 12*play.Sub && r.g.Hop(r.hero()) == 0 && len(r.g.Show.Acts) == 0
	}},
	rules.WordAct: {"character acts out sees for 1 s", func(r *run) bool {
		is := r.g.Show.Acts
		r.hold(0, 61)
		return len(is) == 1 && is[0].Does == kind.Sees && len(r.g.Show.Acts) == 0
	}},
	rules.WordZoom: {"zoom the view to 200 percent in 1 s\nset Flag", func(r *run) bool {
		r.hold(0, 30)
		half := r.g.Show.Nearness()
		r.hold(0, 35)
		return half > 140 && half < 160 && r.g.Show.Nearness() == 200 && r.g.Flag(sample.DrawnFlag)
	}},
	rules.WordPicture: {"picture item for 1 s", func(r *run) bool {
		is := r.g.Show.Picture
		r.hold(0, 61)
		return is == r.thing(kind.Item)+1 && r.g.Show.Picture == 0
	}},
	rules.WordPlays: {"sound chime\nplay Gong", func(r *run) bool {
		return r.g.Show.Plays == sample.DrawnSound && r.g.Show.Sound == "" && r.g.Show.Sounds == 2
	}},
	rules.WordSound:   {"sound chime\nsound thud", func(r *run) bool { return r.g.Show.Sound == "thud" && r.g.Show.Sounds == 2 }},
	rules.WordBed:     {"let surf be heard", func(r *run) bool { return len(r.g.Heard()) == 1 && r.g.Heard()[0].Plays == "surf" }},
	rules.WordWeather: {"change the weather to snow", func(r *run) bool { return r.g.Weather() == "snow" }},
	rules.WordIsHour:  {"set the clock to hour 17", func(r *run) bool { return r.g.Minute()/60 == 17 }},
	rules.WordSave:    {"keep the game as it is now", func(r *run) bool { return r.toldOf("save") }},
	rules.WordFinish:  {"finish this map", func(r *run) bool { return r.g.Over == play.OverWon }},
	rules.WordHush:    {"let surf be heard\nhush what is heard\nset Flag", func(r *run) bool { return len(r.g.Heard()) == 0 && r.g.Flag(sample.DrawnFlag) }},
	rules.WordTurn:    {"turn the hero left", func(r *run) bool { return r.hero().Look() == document.Left }},
	rules.WordMove:    {"move character to arrival", func(r *run) bool { return r.g.Where(r.thing(kind.Character)).Left == 96*play.Sub }},
	rules.WordHit:     {"strike walker", func(r *run) bool { return !r.g.There(r.called("walker")) }},
	rules.WordFace:    {"turn the hero toward sign", func(r *run) bool { return r.hero().Look() == document.Down }},
	rules.WordMend:    {"strike breakable\nheal breakable\nstrike breakable\nset Flag", func(r *run) bool { return r.g.There(r.called("breakable")) && r.g.Flag(sample.DrawnFlag) }},
	rules.WordDim:     {"let it be 70 percent dark", func(r *run) bool { return r.g.Darkness() == 70 }},
	rules.WordUndim:   {"let it be 70 percent dark\nlet it be as dark as the map says\nset Flag", func(r *run) bool { return r.g.Darkness() == 0 && r.g.Flag(sample.DrawnFlag) }},
	rules.WordDefeat:  {"defeat walker", func(r *run) bool { return !r.g.There(r.called("walker")) }},
	rules.WordPlayAs:  {"play on as \"hero\"", func(r *run) bool { return r.hero().Of == r.thing(kind.Hero) }},
	rules.WordThink: {"character thinks \"Tide?\"", func(r *run) bool {
		seen := len(r.g.Show.Thoughts) == 1 && r.g.Show.Thoughts[0] == play.Thought{Of: r.thing(kind.Character), Text: "Tide?", Left: r.g.Show.Thoughts[0].Left}
		r.hold(0, 200)
		return seen && len(r.g.Show.Thoughts) == 0
	}},
	rules.WordWatch: {"move the view to door in 1 s\nset Flag", func(r *run) bool {
		r.hold(0, 30)
		half := r.g.Cam
		r.hold(0, 40)
		return r.g.Flag(sample.DrawnFlag) && r.g.Cam.X == 56*play.Sub && r.g.Cam.Y == 56*play.Sub && half.X != r.g.Cam.X
	}},
	rules.WordViewBack: {"move the view to door in 0 s\nmove the view back in 1 s\nset Flag", func(r *run) bool {
		r.hold(0, 30)
		away := r.g.Show.Moves
		r.hold(0, 40)
		return away && !r.g.Show.Moves && r.g.Flag(sample.DrawnFlag)
	}},
	rules.WordShake:  {"shake the view for 1 s", func(r *run) bool { is := r.g.Show.Shake > 0; r.hold(0, 61); return is && r.g.Show.Shake == 0 }},
	rules.WordDarken: {"darken the view in 1 s", func(r *run) bool { r.hold(0, 70); return r.g.Show.Dark == 255 }},
	rules.WordLighten: {"darken the view in 0 s\nlighten the view in 1 s\nset Flag", func(r *run) bool {
		r.hold(0, 20)
		dark := r.g.Show.Dark
		r.hold(0, 60)
		return dark > 100 && dark < 255 && r.g.Show.Dark == 0
	}},
	rules.WordTint: {"tint the view dusk in 0 s", func(r *run) bool { return rules.Tints[r.g.Show.Tint] == "dusk" }},
	rules.WordCaption: {"caption \"Low tide\" for 1 s", func(r *run) bool {
		is := r.g.Show.Caption
		r.hold(0, 61)
		return is == "Low tide" && r.g.Show.Caption == ""
	}},
	rules.WordDraw: {"draw Salt from 5 to 7", func(r *run) bool { is := r.g.Counter(sample.DrawnCounter); return is >= 5 && is <= 7 }},
	rules.WordWin:  {"win the game \"Done.\"", func(r *run) bool { return r.g.Over == play.OverWon && r.g.Ending == "Done." }},
	rules.WordLose: {"set Flag\nlose the game \"Late.\"", func(r *run) bool {
		lost := r.g.Over == play.OverLost && r.g.Ending == "Late."
		r.hold(play.InputRight, 10)
		stands := r.g.Over == play.OverLost
		r.press(play.InputUse) // and begins anew
		return lost && stands && r.g.Over == play.NotOver && !r.g.Flag(sample.DrawnFlag)
	}},
	rules.WordScene: {"scene that can be skipped\n\twait 5 s\n\tset Flag", func(r *run) bool {
		held := r.g.Held()
		r.hold(play.InputDown, 10)
		still := r.g.Held() && r.cell().Y == 0 && !r.g.Flag(sample.DrawnFlag)
		r.press(play.InputSkip)
		return held && still && !r.g.Held() && r.g.Flag(sample.DrawnFlag)
	}},
	rules.WordTogether: {"at the same time\n\twait 1 s\n\twait 2 s\nset Flag", func(r *run) bool {
		r.hold(0, 90)
		early := r.g.Flag(sample.DrawnFlag)
		r.hold(0, 45)
		return !early && r.g.Flag(sample.DrawnFlag)
	}},
	rules.WordUntil: {"wait until all of this is so\n\tSalt is exactly 5\nset Flag", func(r *run) bool {
		r.hold(0, 20)
		early := r.g.Flag(sample.DrawnFlag) || len(r.g.Threads) != 1
		r.reads(uses + "then\n\tlet Salt be 5").press(play.InputUse)
		return !early && r.g.Flag(sample.DrawnFlag)
	}},
	rules.WordNote: {"# what follows\nset Flag", func(r *run) bool { return r.g.Flag(sample.DrawnFlag) && len(r.g.Lines) == 0 }},
}

// answered gives the second answer.
func answered(r *run) bool {
	asked := len(r.g.Lines) == 1 && len(r.g.Lines[0].Answers) == 2
	r.press(play.InputDown)
	still := len(r.g.Lines) == 1
	r.press(play.InputUse)
	return asked && still && len(r.g.Lines) == 0 && r.g.Flag(sample.DrawnFlag) && !r.g.Flag(sample.Lit)
}

// called is the first thing that has a name.
func (r *run) called(name string) world.Ref {
	for i := range r.g.Stage.Things {
		if r.g.Stage.Things[i].Name == name {
			return world.Ref(i)
		}
	}
	return world.None
}

// own is what the sign has of its own.
func (r *run) own(key string) int32 {
	is, _ := r.g.Own(r.thing(kind.Sign), key)
	return is
}

// Every word of the vocabulary does what it says: one without a test here is told.
func TestEveryWord(t *testing.T) {
	for _, e := range rules.Vocabulary {
		switch e.Slot {
		case document.SlotWhen:
			c, ok := happens[e.Word]
			if !ok {
				t.Errorf("no test brings about “%s”", e.Word)
				continue
			}
			r := stepping(t)
			if c.with != nil {
				c.with(r)
			}
			r.reads("when\n\t" + c.when + "\nthen\n\tadd 1 to Tide")
			if e.Word != rules.WordBegins && r.g.Counter(sample.DrawnOther) != 0 {
				t.Errorf("“%s” wakes its rule before it happens", e.Word)
			}
			if c.do(r); r.g.Counter(sample.DrawnOther) != 1 {
				t.Errorf("“%s” wakes its rule %d times", e.Word, r.g.Counter(sample.DrawnOther))
			}
		case document.SlotIf:
			c, ok := asks[e.Word]
			if !ok {
				t.Errorf("no test asks “%s”", e.Word)
				continue
			}
			for _, after := range []bool{false, true} {
				then, want := "then\n", c.first
				if after {
					then, want = then+block(c.makes, 1), !c.first
				}
				r := stepping(t)
				if c.with != nil {
					c.with(r)
				}
				r.reads(uses + then + "\tif all of this is so\n" + block(c.asks, 2) + "\tthen\n\t\tset Lit\n")
				if after && (e.Word == rules.WordHas || e.Word == rules.WordLacks) {
					r.take(kind.Item)
					r = r.reads() // it is had, and then not
					want = c.first
				}
				switch {
				case after && (e.Word == rules.WordFirst || e.Word == rules.WordAble || e.Word == rules.WordCameFrom || e.Word == rules.WordIsOne || e.Word == rules.WordIsSort):
					continue // TestFirstTimes, TestCameFrom, TestWhoItIs
				case after && e.Word == rules.WordIsOnMap, after && c.makes == "" && e.Word == rules.WordVisited, after && c.makes == "" && e.Word == rules.WordUnvisited:
					continue // where one is one has been
				case after && c.makes == "":
					r.hold(play.InputRight, 70)
					r.hero().X, r.hero().Y = 64*play.Sub, 0
					r.with(kind.Switch, 4, 0, 1, 1, false, document.Down)
					r.reads("when\n\tany Switch is turned on\nif\n" + block(c.asks, 1) + "then\n\tset Lit\n")
				}
				if r.press(play.InputUse); r.g.Flag(sample.Lit) != want {
					t.Errorf("“%s”, after what changes it %t, is %t", e.Word, after, !want)
				}
			}
		default:
			c, ok := does[e.Word]
			if !ok {
				t.Errorf("no test does “%s”", e.Word)
				continue
			}
			r := stepping(t)
			if e.Word == rules.WordPlayAs {
				r.with(kind.Hero, 5, 2, 1, 1, false, document.Down)
			}
			if e.Word == rules.WordMend {
				r.with(kind.Breakable, 5, 3, 1, 1, false, document.Down, value("health", "2"))
			}
			if e.Word == rules.WordIsHour {
				day(r)
			}
			if e.Word == rules.WordSignal {
				r.reads("when\n\tsignal bell comes\nthen\n\tset Lit")
			}
			if e.Word == rules.WordCall {
				r.reads("when\n\tsignal bell brings a number for Tide\nthen\n\tset Lit")
			}
			r.hold(play.InputRight, 4)
			r.hold(0, 1)
			r.reads(uses + "then\n" + block(c.does, 1))
			if e.Word != rules.WordHeal && e.Word != rules.WordKeep && !strings.Contains(c.does, "set Flag\nclear") && c.so(clone(r)) && e.Word != rules.WordTurnOff {
				t.Errorf("what “%s” does is so before", e.Word)
			}
			if r.press(play.InputUse); !c.so(r) {
				t.Errorf("“%s” does not do what it says", e.Word)
			}
		}
	}
}
