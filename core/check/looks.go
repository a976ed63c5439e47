package check

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/material"
	"azzel/core/shade"
	"fmt"
	"slices"
	"strconv"
)

// ofLooks finds what cannot be read, and materials that lack forms.
func (c *Checker) ofLooks(d *document.Document, say func(Finding)) {
	letters, paper := d.GameValue("textColour").Word(), d.GameValue("textPaper").Word()
	if ratio := contrast(letters, paper); ratio < 450 {
		say(Finding{What: HardToRead, Of: document.TypeProject, Text: fmt.Sprintf("What is said can hardly be read: %s on %s has a contrast of %d.%d to 1, and 4.5 is wanted.", letters, paper, ratio/100, ratio/10%10)})
	}
	for _, m := range d.MaterialsInOrder() {
		lacks, known := c.lacks[m]
		if !known {
			for _, o := range material.Covers(m.Set()) {
				if o.How == material.Lacks {
					lacks++
				}
			}
			if c.lacks == nil || len(c.lacks) > 1000 {
				c.lacks = map[*document.Material]int{}
			}
			c.lacks[m] = lacks
		}
		if all := len(material.Keys(m.By)); lacks > 0 && len(m.Tiles) > 0 {
			say(Finding{What: MissingForms, Of: document.TypeMaterial, ID: m.ID, Text: fmt.Sprintf("%s lacks %d of its %d forms: where they are wanted nothing is seen.", m.Name, lacks, all)})
		}
	}
}

// luminance is how bright a colour is, #rrggbb, in ten-thousandths; 0 for what is no colour.
func luminance(rgb string) int {
	if len(rgb) != 7 {
		return 0
	}
	v, err := strconv.ParseUint(rgb[1:], 16, 32)
	if err != nil {
		return 0
	}
	return shade.Luminance(uint8(v>>16), uint8(v>>8), uint8(v))
}

// contrast is the ratio of two colours' light, in hundredths (WCAG 2.2).
func contrast(a, b string) int {
	x, y := luminance(a)+500, luminance(b)+500
	return 100 * max(x, y) / min(x, y)
}

// ofTeams finds what is uneven between teams of a map, and waves against which nothing can be built.
func ofTeams(d *document.Document, m *document.Map, say func(what, text string, args ...any)) {
	var teams []string
	var begins []int
	plots, entries := 0, 0
	for _, e := range m.Entities.All() {
		switch d.Acts(e) {
		case kind.Spawn, kind.Hero:
			team := d.Value(e, "team").Word()
			if team == "" {
				continue
			}
			i := slices.Index(teams, team)
			if i < 0 {
				i, teams, begins = len(teams), append(teams, team), append(begins, 0)
			}
			begins[i]++
		case kind.Plot:
			plots++
		case kind.LaneEntry:
			entries++
		}
	}
	if len(begins) == 0 {
		begins = []int{0}
	}
	if least, most := slices.Min(begins), slices.Max(begins); least < most {
		say(UnevenTeams, "On %s one team has %d places to begin, and another %d.", m.Name, most, least)
	}
	if entries > 0 && plots == 0 {
		say(NothingToBuild, "Waves come along lanes of %s, and there is no place to build on.", m.Name)
	}
}
