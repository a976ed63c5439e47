package format

import (
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/grid"
	"encoding/xml"
	"fmt"
	"strings"
)

// GraphML is the chart of a project as GraphML (graphml.graphdrawing.org, version 1.1): a node for each map, with its place and
// size in pixels, and an edge for each passage and each open seam.
func GraphML(d *document.Document) []byte {
	var out strings.Builder
	out.WriteString(xml.Header)
	out.WriteString("<graphml xmlns=\"http://graphml.graphdrawing.org/xmlns\">\n")
	for _, k := range []struct{ id, of, is string }{{"name", "node", "string"}, {"x", "node", "int"}, {"y", "node", "int"}, {"width", "node", "int"}, {"height", "node", "int"}, {"kind", "edge", "string"}, {"from", "edge", "string"}, {"to", "edge", "string"}} {
		id := k.of + "-" + k.id
		fmt.Fprintf(&out, "\t<key id=\"%s\" for=\"%s\" attr.name=\"%s\" attr.type=\"%s\"/>\n", id, k.of, k.id, k.is)
	}
	fmt.Fprintf(&out, "\t<graph id=\"chart\" edgedefault=\"directed\">\n")
	c := chart.New(d, nil)
	data := func(of, key, value string) string {
		return fmt.Sprintf("<data key=\"%s-%s\">%s</data>", of, key, escaped(value))
	}
	for _, m := range d.MapsInOrder() {
		r := c.Place(m.ID)
		fmt.Fprintf(&out, "\t\t<node id=\"%s\">%s%s%s%s%s</node>\n", m.ID, data("node", "name", m.Name), data("node", "x", fmt.Sprint(r.X)), data("node", "y", fmt.Sprint(r.Y)),
			data("node", "width", fmt.Sprint(r.W)), data("node", "height", fmt.Sprint(r.H)))
	}
	for _, l := range links(d, c) {
		fmt.Fprintf(&out, "\t\t<edge id=\"%s\" source=\"%s\" target=\"%s\">%s%s%s</edge>\n", l.id, l.from, l.to, data("edge", "kind", l.kind), data("edge", "from", l.begins), data("edge", "to", l.ends))
	}
	out.WriteString("\t</graph>\n</graphml>\n")
	return []byte(out.String())
}

// link is a way from one map to another.
type link struct {
	id, kind     string
	from, to     document.ID
	begins, ends string
	// a and b are where it begins and ends on the chart, in pixels.
	a, b grid.Point
}

// links are the passages and the seams over which one goes, as far as both of their maps are there.
func links(d *document.Document, c *chart.Chart) (out []link) {
	for _, p := range d.Passages.All() {
		from, to := d.Maps.Get(p.From.Map), d.Maps.Get(p.To.Map)
		if from == nil || to == nil {
			continue
		}
		l := link{id: string(p.ID), kind: "passage", from: from.ID, to: to.ID}
		l.begins, l.a = endOn(d, c, from, p.From)
		l.ends, l.b = endOn(d, c, to, p.To)
		out = append(out, l)
	}
	for _, s := range c.Seams() {
		if s.Closed || s.Why != "" {
			continue
		}
		a, b := c.Place(s.A), c.Place(s.B)
		both := a.Intersect(grid.Rect{X: b.X - 1, Y: b.Y - 1, W: b.W + 2, H: b.H + 2})
		at := grid.Point{X: both.X + both.W/2, Y: both.Y + both.H/2}
		out = append(out, link{id: "seam-" + string(s.A) + "-" + string(s.B), kind: "seam", from: s.A, to: s.B, a: at, b: at})
	}
	return out
}

// endOn is how an end of a passage is called, and where its middle lies on the chart.
func endOn(d *document.Document, c *chart.Chart, m *document.Map, end document.End) (string, grid.Point) {
	at := c.Place(m.ID)
	middle := grid.Point{X: at.X + at.W/2, Y: at.Y + at.H/2}
	if box, ok := chart.EndBox(d, m, end); ok {
		middle = grid.Point{X: at.X + (2*(box.X-m.Bounds.X)+box.W)*m.CellWidth/2, Y: at.Y + (2*(box.Y-m.Bounds.Y)+box.H)*m.CellHeight/2}
	}
	if e := m.Entities.Get(end.Entity); e != nil {
		return e.Name, middle
	}
	return "", middle
}

func escaped(text string) string {
	var out strings.Builder
	if err := xml.EscapeText(&out, []byte(text)); err != nil {
		return ""
	}
	return out.String()
}

// SVG is the chart as a drawing: maps at true scale with their names, passages as arrows between their ends, seams as strokes.
func SVG(d *document.Document) []byte {
	c := chart.New(d, nil)
	box := grid.Rect{}
	for i, m := range d.MapsInOrder() {
		if r := c.Place(m.ID); i == 0 {
			box = r
		} else {
			box = box.Union(r)
		}
	}
	const pad = 48
	var out strings.Builder
	out.WriteString(xml.Header)
	fmt.Fprintf(&out, "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"%d %d %d %d\" font-family=\"sans-serif\" font-size=\"24\">\n", box.X-pad, box.Y-pad, box.W+2*pad, box.H+2*pad)
	fmt.Fprintf(&out, "<title>%s</title>\n", escaped(d.Project.Name))
	out.WriteString("<defs><marker id=\"to\" viewBox=\"0 0 8 8\" refX=\"7\" refY=\"4\" markerWidth=\"6\" markerHeight=\"6\" orient=\"auto\"><path d=\"M0 0L8 4L0 8z\" fill=\"#33509e\"/></marker></defs>\n")
	for _, m := range d.MapsInOrder() {
		r := c.Place(m.ID)
		fmt.Fprintf(&out, "<rect x=\"%d\" y=\"%d\" width=\"%d\" height=\"%d\" fill=\"#fcfaf5\" stroke=\"#1e2a2e\" stroke-width=\"3\"/>\n", r.X, r.Y, r.W, r.H)
		fmt.Fprintf(&out, "<text x=\"%d\" y=\"%d\" fill=\"#1e2a2e\">%s</text>\n", r.X+12, r.Y+34, escaped(m.Name))
	}
	for _, l := range links(d, c) {
		if l.kind == "seam" {
			fmt.Fprintf(&out, "<circle cx=\"%d\" cy=\"%d\" r=\"9\" fill=\"#3d693b\"/>\n", l.a.X, l.a.Y)
			continue
		}
		fmt.Fprintf(&out, "<line x1=\"%d\" y1=\"%d\" x2=\"%d\" y2=\"%d\" stroke=\"#33509e\" stroke-width=\"3\" marker-end=\"url(#to)\"/>\n", l.a.X, l.a.Y, l.b.X, l.b.Y)
	}
	out.WriteString("</svg>\n")
	return []byte(out.String())
}
