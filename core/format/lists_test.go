package format_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/format"
	"azzel/core/sample"
	"bytes"
	"encoding/csv"
	"encoding/xml"
	"errors"
	"fmt"
	"io"
	"strings"
	"testing"
)

// Every form can be read by what reads such files, whatever things are called.
func TestForms(t *testing.T) {
	odd := `<Quay> & "Pier", =1+1`
	d := sample.With(sample.Full(), edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "name", odd), edit.Set(edit.Ref{Type: edit.TypeFlag, ID: sample.Lit}, "name", "=cmd()"))
	for _, f := range format.Forms {
		data, end, err := format.In(d, f.Form)
		if err != nil || end != f.End || len(data) == 0 {
			t.Fatalf("%s: %d bytes, %v", f.Form, len(data), err)
		}
		switch end {
		case ".csv":
			rows, err := csv.NewReader(bytes.NewReader(data)).ReadAll()
			if err != nil || len(rows) < 2 && f.Form != "findings" {
				t.Errorf("%s: %d rows, %v", f.Form, len(rows), err)
			}
		case ".txt":
			if !strings.Contains(string(data), "when\n") {
				t.Errorf("the rules are\n%s", data)
			}
		default:
			for dec := xml.NewDecoder(bytes.NewReader(data)); ; {
				if _, err := dec.Token(); errors.Is(err, io.EOF) {
					break
				} else if err != nil {
					t.Fatalf("%s: %v\n%s", f.Form, err, data)
				}
			}
		}
	}
	flags, _, _ := format.In(d, "flags")
	if !strings.Contains(string(flags), "'=cmd()") {
		t.Errorf("a spreadsheet would run it:\n%s", flags)
	}
	if _, _, err := format.In(d, "xls"); err == nil || !strings.Contains(err.Error(), "graphml") {
		t.Errorf("an unknown form: %v", err)
	}
}

// The graph of the chart has a node for each map and an edge for each way, between maps that it has.
func TestGraph(t *testing.T) {
	for name, d := range map[string]*document.Document{"all": sample.Full(), "many": sample.Maps(40, 90), "none": document.New("Empty")} {
		var g struct {
			Graph struct {
				Nodes []struct {
					ID   string `xml:"id,attr"`
					Data []struct {
						Key  string `xml:"key,attr"`
						Text string `xml:",chardata"`
					} `xml:"data"`
				} `xml:"node"`
				Edges []struct {
					Source string `xml:"source,attr"`
					Target string `xml:"target,attr"`
				} `xml:"edge"`
			} `xml:"graph"`
		}
		if err := xml.Unmarshal(format.GraphML(d), &g); err != nil {
			t.Fatal(err)
		}
		known := map[string]bool{}
		for _, n := range g.Graph.Nodes {
			known[n.ID] = true
			if len(n.Data) != 5 {
				t.Errorf("%s: a node says %v", name, n.Data)
			}
		}
		if len(g.Graph.Nodes) != d.Maps.Len() || len(g.Graph.Edges) < d.Passages.Len() {
			t.Errorf("%s: %d nodes, %d edges", name, len(g.Graph.Nodes), len(g.Graph.Edges))
		}
		for _, e := range g.Graph.Edges {
			if !known[e.Source] || !known[e.Target] {
				t.Errorf("%s: an edge leads from %s to %s", name, e.Source, e.Target)
			}
		}
		if boxes := strings.Count(string(format.SVG(d)), "<rect"); boxes != d.Maps.Len() {
			t.Errorf("%s: %s", name, fmt.Sprint(boxes))
		}
	}
}
