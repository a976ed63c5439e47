package figure

// The parts of figures, as rows of letters of 16 by 16 pixels: o is the outline, s and S the skin, h, H and l the hair or hat,
// c, C and d the coat, b and B the legs, t and T the tool. A part that faces left is one that faces right, turned round.

// facing rows: of a part by where the figure looks.
type facings struct{ down, up, right []string }

// at shifts rows down by so many.
func at(row int, rows ...string) []string {
	out := make([]string, row, row+len(rows))
	for i := range out {
		out[i] = blank
	}
	return append(out, rows...)
}

const blank = "................"

var head = facings{
	down: at(1, ".....oooooo.....", "....osssssso....", "....osssssso....", "....osossoso....", "....osssssSo....", ".....osSSso.....", "......oooo......"),
	up:   at(1, ".....oooooo.....", "....osssssso....", "....osssssSo....", "....osssssSo....", "....ossssSSo....", ".....osSSso.....", "......oooo......"),
	right: at(1, ".....oooooo.....", "....osssssso....", "....osssssso....", "....ossssoso....", "....oSsssssso...", ".....oSssso.....",
		"......oooo......"),
}

// Hairs are what can be on a head, by their names.
var hairs = []struct {
	name string
	facings
}{
	{"short hair", facings{
		down:  at(0, ".....oooooo.....", "....oHHhhhho....", "...oHHhhhhhlo...", "...ohhsssshlo..."),
		up:    at(0, ".....oooooo.....", "....oHHhhhho....", "...oHHhhhhhlo...", "...ohhhhhhllo...", "....ohhhhllo....", "....ohhhhllo....", ".....ollllo....."),
		right: at(0, ".....oooooo.....", "....oHHhhhho....", "...oHHhhhhhho...", "...ohhhhhsso....", "...ohhl.........", "....ol.........."),
	}},
	{"long hair", facings{
		down: at(0, ".....oooooo.....", "....oHHhhhho....", "...oHHhhhhhlo...", "...ohhsssshlo...", "...oh......lo...", "...oh......lo...", "...ohh....llo...", "...ohho..ollo...", "....oh....lo...."),
		up: at(0, ".....oooooo.....", "....oHHhhhho....", "...oHHhhhhhlo...", "...ohhhhhhllo...", "...ohhhhhhllo...", "...ohhhhhhllo...", "...ohhhhhhllo...", "...ohhhhhhllo...",
			"....ohhhhllo....", ".....oooooo....."),
		right: at(0, ".....oooooo.....", "....oHHhhhho....", "...oHHhhhhhho...", "...ohhhhhsso....", "...ohhl.........", "...ohhl.........", "...ohhlo........", "....ohlo........", ".....oo........."),
	}},
	{"hood", facings{
		down: at(0, ".....oooooo.....", "....oHHhhhho....", "...oHHhhhhhlo...", "...oHhsssshlo...", "...oh......lo...", "...oh......lo...", "....ohh..llo....", "....oohhhloo...."),
		up: at(0, ".....oooooo.....", "....oHHhhhho....", "...oHHhhhhhlo...", "...oHhhhhhllo...", "...oHhhhhhllo...", "...ohhhhhhllo...", "....ohhhhllo....",
			"....oolllloo...."),
		right: at(0, ".....oooooo.....", "....oHHhhhho....", "...oHHhhhhhho...", "...oHhhhhsso....", "...ohhhl........", "...ohhhl........", "....ohhlo.......", ".....ohlo......."),
	}},
	{"cap", facings{
		down:  at(0, ".....oooooo.....", "....oHHhhhho....", "...oHHhhhhhlo...", "..ollllllllllo.."),
		up:    at(0, ".....oooooo.....", "....oHHhhhho....", "...oHHhhhhhlo...", "..ollllllllllo..", "...oooooooooo..."),
		right: at(0, ".....oooooo.....", "....oHHhhhho....", "...oHHhhhhhlo...", "...ollllllllllo."),
	}},
	{"bare", facings{}},
}

// Coats are what a figure wears. What reaches the ground hides the legs.
var coats = []struct {
	name string
	facings
	long bool
}{
	{"coat", facings{
		down:  at(8, "....oCCcccdo....", "...oCCccccddo...", "..oCocccccdodo..", "..ocoCccccdoco..", "..osoCccccdoso..", "...ooccccddoo..."),
		up:    at(8, "....oCCcccdo....", "...oCCccccddo...", "..oCocccccdodo..", "..ocoCccccdoco..", "..osocccccdoso..", "...ooccccddoo..."),
		right: at(8, "....oCcccdo.....", "....oCccccdo....", "....occoccdo....", "....occoccdo....", "....occosodo....", "....occccddo...."),
	}, false},
	{"tunic", facings{
		down:  at(8, "....oCCcccdo....", "...oCCccccddo...", "..oCocccccdodo..", "..osoooooooso...", "....obbbbbBo....", "....obbbbbBo...."),
		up:    at(8, "....oCCcccdo....", "...oCCccccddo...", "..oCocccccdodo..", "..osoooooooso...", "....obbbbbBo....", "....obbbbbBo...."),
		right: at(8, "....oCcccdo.....", "....oCccccdo....", "....occoccdo....", "....oooosoo.....", "....obbbbBo.....", "....obbbbBo....."),
	}, false},
	{"robe", facings{
		down:  at(8, "....oCCcccdo....", "...oCCccccddo...", "..oCoCccccdodo..", "..osoCccccdoso..", "...oCCccccddo...", "..oCCccccccddo..", "..occccccccddo..", "...oooooooooo..."),
		up:    at(8, "....oCCcccdo....", "...oCCccccddo...", "..oCoCccccdodo..", "..osoccccddoso..", "...oCCccccddo...", "..oCCccccccddo..", "..occccccccddo..", "...oooooooooo..."),
		right: at(8, "....oCcccdo.....", "....oCccccdo....", "....occoccdo....", "....occosodo....", "...oCccccccdo...", "...oCccccccddo..", "...occccccccdo..", "...oooooooooo..."),
	}, true},
}

// tools are what a figure carries in its right hand.
var tools = []struct {
	name string
	facings
}{
	{"nothing", facings{}},
	{"staff", facings{
		down:  at(4, ".............T..", ".............t..", ".............t..", ".............t..", ".............t..", ".............t..", ".............t..", ".............t..", ".............t..", ".............t..", ".............t.."),
		up:    at(4, "..T.............", "..t.............", "..t.............", "..t.............", "..t.............", "..t.............", "..t.............", "..t.............", "..t.............", "..t.............", "..t............."),
		right: at(4, "...........T....", "...........t....", "...........t....", "...........t....", "...........t....", "...........t....", "...........t....", "...........t....", "...........t....", "...........t....", "...........t...."),
	}},
	{"lantern", facings{
		down:  at(11, ".............oo.", "............oTTo", "............oTTo", ".............oo."),
		up:    at(11, ".oo.............", "oTTo............", "oTTo............", ".oo............."),
		right: at(11, "...........oo...", "..........oTTo..", "..........oTTo..", "...........oo..."),
	}},
	{"blade", facings{
		down:  at(5, "..............T.", "..............T.", ".............TT.", ".............T..", ".............T..", "............ttt.", ".............t.."),
		up:    at(5, ".T..............", ".T..............", ".TT.............", "..T.............", "..T.............", ".ttt............", "..t............."),
		right: at(6, ".............T..", ".............T..", "............TT..", "............T...", "...........ttt..", "............t..."),
	}},
	{"basket", facings{
		down:  at(10, "...........oooo.", "..........otTtTo", "..........oTtTto", "...........oooo."),
		up:    at(10, ".oooo...........", "oTtTto..........", "otTtTo..........", ".oooo..........."),
		right: at(10, ".........oooo...", "........otTtTo..", "........oTtTto..", ".........oooo..."),
	}},
}

// legs are two rows, standing and in two steps, seen from before or behind and from the side.
var legs = struct{ front, side [3][]string }{
	front: [3][]string{at(14, "....obBooBbo....", "....oooooooo...."), at(14, "....obBo.ooo....", "....oooo........"), at(14, "....ooo.oBbo....", "........oooo....")},
	side:  [3][]string{at(14, ".....obbBo......", ".....ooooo......"), at(14, "....obbooBBo....", "....oooo.ooo...."), at(14, "......obBo......", "......oooo......")},
}
