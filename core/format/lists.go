package format

import (
	"azzel/core/chart"
	"azzel/core/check"
	"azzel/core/document"
	"azzel/core/rules"
	"azzel/core/texts"
	"bytes"
	"encoding/csv"
	"fmt"
	"strconv"
	"strings"
)

// Forms are the forms in which a part of a project leaves by itself, with the end of the file that it becomes.
var Forms = []struct {
	Form, End string
	of        func(d *document.Document) []byte
}{
	{"graphml", ".graphml", GraphML}, {"svg", ".svg", SVG}, {"rules", ".txt", rulesText},
	{"maps", ".csv", listOf(mapRows)}, {"entities", ".csv", listOf(entityRows)}, {"passages", ".csv", listOf(passageRows)}, {"flags", ".csv", listOf(flagRows)},
	{"counters", ".csv", listOf(counterRows)}, {"texts", ".csv", listOf(textRows)}, {"findings", ".csv", listOf(findingRows)},
}

// In gives a project in one of the forms, and the end of the file.
func In(d *document.Document, form string) (data []byte, end string, err error) {
	for _, f := range Forms {
		if f.Form == form {
			return f.of(d), f.End, nil
		}
	}
	var known []string
	for _, f := range Forms {
		known = append(known, f.Form)
	}
	return nil, "", fmt.Errorf("“%.40s” is no form: choose one of %s", form, strings.Join(known, ", "))
}

// rulesText is all rules as text, in their order.
func rulesText(d *document.Document) []byte {
	var all []string
	for _, r := range d.RulesInOrder() {
		all = append(all, rules.Print(d, r))
	}
	return []byte(strings.Join(all, "\n"))
}

// listOf makes a table of rows, the first of which names the columns. Fields that a spreadsheet would take for a formula
// have an apostrophe before them.
func listOf(rows func(d *document.Document) [][]string) func(d *document.Document) []byte {
	return func(d *document.Document) []byte {
		var out bytes.Buffer
		w := csv.NewWriter(&out)
		w.UseCRLF = true
		for _, row := range rows(d) {
			for i, field := range row {
				if _, err := strconv.Atoi(field); err != nil && field != "" && strings.ContainsRune("=+-@\t\r", rune(field[0])) {
					row[i] = "'" + field
				}
			}
			if err := w.Write(row); err != nil {
				return nil // a buffer takes everything
			}
		}
		w.Flush()
		return out.Bytes()
	}
}

func mapRows(d *document.Document) [][]string {
	c := chart.New(d, nil)
	out := [][]string{{"name", "folder", "width", "height", "cell width", "cell height", "layers", "entities", "chart x", "chart y"}}
	for _, m := range d.MapsInOrder() {
		at := c.Place(m.ID)
		out = append(out, numbered([]string{m.Name, m.Folder}, m.Bounds.W, m.Bounds.H, m.CellWidth, m.CellHeight, m.Layers.Len(), m.Entities.Len(), at.X, at.Y))
	}
	return out
}

// numbered is a row of texts and numbers.
func numbered(row []string, numbers ...int) []string {
	for _, n := range numbers {
		row = append(row, strconv.Itoa(n))
	}
	return row
}

func entityRows(d *document.Document) [][]string {
	out := [][]string{{"map", "layer", "name", "kind", "cell x", "cell y", "pixel x", "pixel y", "width", "height"}}
	for _, m := range d.MapsInOrder() {
		for _, e := range document.InRank(m.Entities.All()) {
			k, layer := e.Kind, ""
			if of := d.Kind(document.ID(e.Kind)); of != nil {
				k = of.Name
			}
			if l := m.Layers.Get(e.Layer); l != nil {
				layer = l.Name
			}
			at := e.Box(m)
			x, y := e.X-m.Bounds.X*m.CellWidth, e.Y-m.Bounds.Y*m.CellHeight
			out = append(out, numbered([]string{m.Name, layer, e.Name, k}, at.X-m.Bounds.X, at.Y-m.Bounds.Y, x, y, e.W, e.H))
		}
	}
	return out
}

func passageRows(d *document.Document) [][]string {
	out := [][]string{{"from map", "from", "to map", "to", "kind"}}
	for _, l := range links(d, chart.New(d, nil)) {
		out = append(out, []string{d.Maps.Get(l.from).Name, l.begins, d.Maps.Get(l.to).Name, l.ends, l.kind})
	}
	return out
}

func flagRows(d *document.Document) [][]string {
	out, uses := [][]string{{"name", "uses"}}, d.FlagUses()
	for _, f := range d.FlagsByName() {
		out = append(out, numbered([]string{f.Name}, len(uses[f.ID])))
	}
	return out
}

func counterRows(d *document.Document) [][]string {
	out, uses := [][]string{{"name", "begins as", "uses"}}, d.FlagUses()
	for _, c := range d.CountersByName() {
		out = append(out, numbered([]string{c.Name}, int(c.Start), len(uses[c.ID])))
	}
	return out
}

func textRows(d *document.Document) [][]string {
	list := texts.Of(d)
	out := [][]string{append([]string{"text", "where", list.Language + " pages"}, list.Languages...)}
	for _, t := range list.Texts {
		row := numbered([]string{t.Text, strings.Join(t.Where, "; ")}, t.Room.Pages)
		for _, in := range t.In {
			row = append(row, in.Says)
		}
		out = append(out, row)
	}
	return out
}

func findingRows(d *document.Document) [][]string {
	var c check.Checker
	return rowsOf(d, c.Find(chart.New(d, nil)))
}

// Findings is a table of findings, as a CSV: what was found by looking at the project alone, or by proof and pictures as well.
func Findings(d *document.Document, found []check.Finding) []byte {
	return listOf(func(d *document.Document) [][]string { return rowsOf(d, found) })(d)
}

func rowsOf(d *document.Document, found []check.Finding) [][]string {
	out := [][]string{{"map", "thing", "what", "serious"}}
	for _, f := range found {
		if f.Silent {
			continue
		}
		row := []string{"", "", f.Text, strconv.FormatBool(f.As == document.Stops)}
		if m := d.Maps.Get(f.Map); m != nil {
			row[0] = m.Name
		}
		if e := d.Entity(f.Map, f.ID); e != nil && f.Of == document.TypeEntity {
			row[1] = e.Name
		}
		out = append(out, row)
	}
	return out
}
