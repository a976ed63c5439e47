package rules

import (
	"azzel/core/document"
	"azzel/core/kind"
	"slices"
)

// actions are what a rule can do.
var actions = concat(document.SlotThen,
	group("The hero", []Entry{
		{Word: WordSend, Also: "teleport transfer move warp go", Label: "send the hero somewhere", Pattern: "[send] the hero to {what}", Blanks: entity("arrival, spawn or checkpoint", stands)},
		{Word: WordGive, Also: "inventory item get receive reward loot add", Label: "give the hero an item", Pattern: "[give] the hero {number} {item}", Blanks: given},
		{Word: WordUseUp, Also: "inventory item remove lose pay cost", Label: "take an item from the hero", Pattern: "[take] {number} {item} from the hero", Blanks: given},
		{Word: WordHeal, Also: "health life restore", Label: "give the hero hearts", Pattern: "[give] the hero {number} hearts", Blanks: amount},
		{Word: WordHarm, Also: "damage hurt wound", Label: "take hearts from the hero", Pattern: "[take] {number} hearts from the hero", Blanks: amount},
		{Word: WordKeep, Also: "checkpoint save respawn", Label: "let the hero come back here", Pattern: "[remember] this place for coming back"},
		{Word: WordPlayAs, Also: "switch change character control lead", Label: "lead another hero", Pattern: "[play on] as {what}", Blanks: entity("hero", acts(kind.Hero))},
	}),
	group("Somebody", []Entry{
		{Word: WordWalk, Also: "step go move cells path actor", Label: "let somebody walk", Pattern: "[walk] {what} {number} cells {way} {blocked} where blocked", Blanks: append(person(alive), amount[0], way, Blank{Key: "blocked", Type: BlankChoice, Of: []string{WaitsThere, StopsThere, PassesThere}})},
		{Word: WordGoTo, Also: "walk path find way go actor", Label: "let somebody find a way somewhere", Pattern: "[lead] {what} to {where}", Blanks: append(person(alive), where)},
		{Word: WordTurn, Also: "face look direction rotate", Label: "turn somebody", Pattern: "[turn] {what} {way}", Blanks: append(person(alive), way)},
		{Word: WordMove, Also: "teleport place put position", Label: "put somebody elsewhere at once", Pattern: "[move] {what} to {where}", Blanks: append(entity("being or block", moves), where)},
		{Word: WordTells, Also: "text message dialogue speak talk portrait name", Label: "let somebody say a line", Pattern: "{what} [says] {text}", Blanks: append(person(anything), Blank{Key: "text", Type: BlankText, First: "Something is said."})},
		{Word: WordThink, Also: "emote bubble balloon icon exclamation", Label: "show a thought above somebody", Pattern: "{what} [thinks] {text}", Blanks: append(person(anything), Blank{Key: "text", Type: BlankText, First: "!"})},
		{Word: WordFollow, Also: "party join companion ally along recruit", Label: "let somebody come along with the hero", Pattern: "[let] {what} come along", Blanks: entity("character or hero", accompanies)},
		{Word: WordPart, Also: "party leave stop companion dismiss", Label: "let somebody not come along any more", Pattern: "[let] {what} stay here", Blanks: entity("character or hero", accompanies)},
		{Word: WordJump, Also: "hop leap surprise", Label: "let somebody jump", Pattern: "{what} [jumps]", Blanks: person(alive)},
		{Word: WordAct, Also: "animation pose play emote", Label: "let somebody act something out", Pattern: "{what} [acts out] {pose} for {number} s", Blanks: append(person(alive), Blank{Key: "pose", Type: BlankChoice, Of: kind.Poses}, amount[0])},
		{Word: WordDefeat, Also: "kill destroy break die enemy", Label: "defeat somebody, break something", Pattern: "[defeat] {what}", Blanks: entity("being or something that breaks", falls)},
	}),
	group("The view and sound", []Entry{
		{Word: WordWatch, Also: "camera pan look focus scroll", Label: "move the view to something", Pattern: "[move the view] to {what} in {number} s", Blanks: append(person(anything), amount...)},
		{Word: WordViewBack, Also: "camera return follow reset", Label: "move the view back to the hero", Pattern: "[move the view] back in {number} s", Blanks: amount},
		{Word: WordShake, Also: "camera earthquake rumble screen", Label: "shake the view", Pattern: "[shake] the view for {number} s", Blanks: amount},
		{Word: WordDarken, Also: "fade out black screen", Label: "let it become dark", Pattern: "[darken] the view in {number} s", Blanks: amount},
		{Word: WordLighten, Also: "fade in screen", Label: "let it become light again", Pattern: "[lighten] the view in {number} s", Blanks: amount},
		{Word: WordTint, Also: "colour light mood weather night screen", Label: "give the view a colour", Pattern: "[tint] the view {tint} in {number} s", Blanks: append([]Blank{{Key: "tint", Type: BlankChoice, Of: Tints}}, amount...)},
		{Word: WordZoom, Also: "camera closer near far scale", Label: "bring the view nearer", Pattern: "[zoom] the view to {percent} percent in {number} s", Blanks: append([]Blank{{Key: "percent", Type: BlankNumber}}, amount...)},
		{Word: WordPicture, Also: "image portrait item found large", Label: "show the picture of something", Pattern: "[picture] {what} for {number} s", Blanks: append(person(anything), amount...)},
		{Word: WordSound, Also: "noise effect audio hear", Label: "play a sound", Pattern: "[sound] {sound}", Blanks: []Blank{{Key: "sound", Type: BlankChoice, Of: Sounds}}},
		{Word: WordBed, Also: "music ambience background audio hear", Label: "let something be heard all the time", Pattern: "[let] {sound} be heard", Blanks: []Blank{{Key: "sound", Type: BlankChoice, Of: kind.Ambience}}},
		{Word: WordHush, Also: "music silence stop audio quiet", Label: "let the map sound as it does", Pattern: "[hush] what is heard"},
		{Word: WordCaption, Also: "title text subtitle banner chapter", Label: "show a caption for a while", Pattern: "[caption] {text} for {number} s", Blanks: append([]Blank{{Key: "text", Type: BlankText, First: "At low tide"}}, amount...)},
	}),
	group("Doors and what works", []Entry{
		{Word: WordOpen, Also: "unlock", Label: "open a door", Pattern: "[open] {what}", Blanks: entity("door", opens)},
		{Word: WordShut, Also: "close lock", Label: "shut a door", Pattern: "[shut] {what}", Blanks: entity("door", opens)},
		{Word: WordTurnOn, Also: "activate start", Label: "turn something on", Pattern: "[turn on] {what}", Blanks: entity(turning, turns)},
		{Word: WordTurnOff, Also: "deactivate stop", Label: "turn something off", Pattern: "[turn off] {what}", Blanks: entity(turning, turns)},
		{Word: WordFlip, Also: "toggle switch change", Label: "flip something", Pattern: "[flip] {what}", Blanks: entity("door, switch or something else that can be on", func(k *kind.Kind) bool { return turns(k) || opens(k) })},
		{Word: WordMake, Also: "spawn create", Label: "let a source make one", Pattern: "[let] {what} make one", Blanks: entity("source", makes)},
	}),
	group("The map", []Entry{
		{Word: WordLay, Also: "alternative freeze flood bridge tiles change show replace", Label: "lay a layer over the map", Pattern: "[lay] layer {what}", Blanks: sheet},
		{Word: WordLift, Also: "alternative melt ebb collapse tiles change hide", Label: "lift a layer off the map", Pattern: "[lift] layer {what}", Blanks: sheet},
	}),
	group("What is there", []Entry{
		{Word: WordShow, Also: "appear reveal visible", Label: "show something", Pattern: "[show] {what}", Blanks: entity("thing", anything)},
		{Word: WordHide, Also: "vanish disappear invisible", Label: "hide something", Pattern: "[hide] {what}", Blanks: entity("thing", anything)},
		{Word: WordBring, Also: "appear spawn add create place", Label: "put something there", Pattern: "[put] {what} there", Blanks: entity("thing", anything)},
		{Word: WordRemove, Also: "delete destroy disappear kill erase", Label: "take something away", Pattern: "[take away] {what}", Blanks: entity("thing", anything)},
		{Word: WordDisguise, Also: "guise state appearance look form transform phase", Label: "put something into a guise", Pattern: "[let] {what} appear {guise}", Blanks: guised("guise")},
		{Word: WordEnable, Also: "allow activate", Label: "enable something", Pattern: "[enable] {what}", Blanks: entity("thing", anything)},
		{Word: WordDisable, Also: "forbid freeze", Label: "disable something", Pattern: "[disable] {what}", Blanks: entity("thing", anything)},
	}),
	group("Something’s own", []Entry{
		{Word: WordOwnSet, Label: "set a flag of its own", Pattern: "[set] {own} of {what}", Blanks: ownFlag},
		{Word: WordOwnClear, Label: "clear a flag of its own", Pattern: "[clear] {own} of {what}", Blanks: ownFlag},
		{Word: WordOwnAdd, Label: "add to a counter of its own", Pattern: "[add] {number} to {own} of {what}", Blanks: counter},
		{Word: WordOwnPut, Label: "give a counter of its own a number", Pattern: "[let] {own} of {what} be {number}", Blanks: counter},
	}),
	group("The story", []Entry{
		{Word: WordSet, Also: "variable true remember", Label: "set a flag", Pattern: "[set] {what}", Blanks: flag},
		{Word: WordClear, Also: "variable false forget reset", Label: "clear a flag", Pattern: "[clear] {what}", Blanks: flag},
		{Word: WordAdd, Also: "variable increase plus score subtract minus", Label: "add to a counter", Pattern: "[add] {number} to {what}", Blanks: tally},
		{Word: WordPut, Also: "variable set assign", Label: "give a counter a number", Pattern: "[let] {what} be {number}", Blanks: tally},
		{Word: WordMultiply, Also: "variable times", Label: "multiply a counter", Pattern: "[multiply] {what} by {number}", Blanks: tally},
		{Word: WordDraw, Also: "variable random dice number luck", Label: "draw a counter by chance", Pattern: "[draw] {what} from {number} to {most}", Blanks: append(slices.Clone(tally), Blank{Key: "most", Type: BlankNumber})},
		{Word: WordSignal, Also: "call broadcast trigger event message rule", Label: "send out a signal", Pattern: "[send out] {signal}", Blanks: signals},
		{Word: WordSay, Also: "text message dialogue speak show", Label: "say a line", Pattern: "[say] {text}", Blanks: []Blank{{Key: "text", Type: BlankText, First: "Something is said."}}},
		{Word: WordWin, Also: "finish complete victory end ending credits", Label: "win the game", Pattern: "[win] the game {text}", Blanks: []Blank{{Key: "text", Type: BlankText, First: "It is done."}}},
		{Word: WordLose, Also: "fail game over end", Label: "lose the game", Pattern: "[lose] the game {text}", Blanks: []Blank{{Key: "text", Type: BlankText, First: "It is too late."}}},
	}),
	group("What comes when", []Entry{
		{Word: WordAsk, Also: "choice question menu dialogue choose", Label: "ask a question", Pattern: "[ask] {text}", Blanks: []Blank{{Key: "text", Type: BlankText, First: "What shall it be?"}}, Holds: []string{document.SlotThen}},
		{Word: WordAnswer, Also: "option choice", Label: "an answer", Pattern: "[answer] {text}", Blanks: []Blank{{Key: "text", Type: BlankText, First: "Yes"}}, Holds: []string{document.SlotThen}, Within: WordAsk},
		{Word: WordWhether, Also: "condition branch else", Label: "only if something is so", Pattern: "[if] all of this is so", Holds: []string{document.SlotIf, document.SlotThen, document.SlotOtherwise}},
		{Word: WordRepeat, Also: "loop times", Label: "do something several times", Pattern: "[repeat] {number} times", Blanks: amount, Holds: []string{document.SlotThen}},
		{Word: WordAsLong, Also: "loop while until", Label: "do something as long as something is so", Pattern: "[as long as] all of this is so", Holds: []string{document.SlotIf, document.SlotThen}},
		{Word: WordWait, Also: "pause delay sleep time", Label: "wait some seconds", Pattern: "[wait] {number} s", Blanks: amount},
		{Word: WordUntil, Also: "pause condition hold", Label: "wait until something is so", Pattern: "[wait until] all of this is so", Holds: asked},
		{Word: WordTogether, Also: "parallel meanwhile simultaneously both", Label: "do several things at the same time", Pattern: "[at the same time]", Holds: []string{document.SlotThen}},
		{Word: WordScene, Also: "cutscene cinematic lock freeze hold hero skip", Label: "play a scene, the hero held", Pattern: "[scene] that {skip} be skipped", Blanks: []Blank{{Key: "skip", Type: BlankChoice, Of: []string{CanSkip, "cannot"}}}, Holds: []string{document.SlotThen}},
		{Word: WordStop, Also: "end exit return break", Label: "leave out the rest", Pattern: "[stop] here"},
		{Word: WordNote, Also: "comment remark", Label: "a note to yourself", Pattern: "[note] {text}", Blanks: []Blank{{Key: "text", Type: BlankText, First: "Why this is so."}}},
	}),
)
