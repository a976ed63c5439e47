package check

import (
	"azzel/core/chart"
	"azzel/core/document"
	"slices"
)

// OnChart are the findings that are drawn on the chart and on maps, each as serious as the project says: without those that are silenced, and
// sorts that are not looked for.
func OnChart(p *document.Project, all []chart.Finding) []chart.Finding {
	out := []chart.Finding{}
	for _, f := range all {
		as, id := Matters(p, f.What), f.Map
		switch {
		case f.Entity != "":
			id = f.Entity
		case f.Passage != "":
			id = f.Passage
		}
		if as == document.Ignored || slices.ContainsFunc(p.Silenced, func(s document.Silence) bool { return s.What == f.What && s.Map == f.Map && s.ID == id }) {
			continue
		}
		f.Serious = as == document.Stops
		out = append(out, f)
	}
	return out
}
