package demo

import (
	"azzel/core/chart"
	"azzel/core/edit"
	"azzel/core/play"
	"azzel/core/proof"
	"azzel/core/sample"
	"azzel/core/world"
	"strings"
	"testing"
	"time"
)

// BenchmarkSave keeps a game of the demo as it is at its end, beside as many bytes that are only written; how large it is, is told.
func BenchmarkSave(b *testing.B) {
	d := Project(Coast(), strings.Repeat("0", 64))
	st := world.New(d, chart.New(d, nil), nil)
	s := proof.New(st)
	var a *proof.Answer
	for a == nil {
		a = s.Step(10_000)
	}
	g, err := play.Start(st, "", proof.Seed)
	if err != nil {
		b.Fatal(err)
	}
	for _, in := range a.Walk {
		g.Step(in)
	}
	kept := edit.JSON(g.Moment())
	text := strings.Repeat("x", len(kept))
	b.Run("bytes", func(b *testing.B) {
		for b.Loop() {
			edit.JSON(text)
		}
	})
	b.Run("kept", func(b *testing.B) {
		for b.Loop() {
			edit.JSON(g.Moment())
		}
		b.ReportMetric(float64(len(kept))/1024, "KB")
	})
	b.Run("gone-on", func(b *testing.B) {
		for b.Loop() {
			if _, _, err := play.Load(st, g.Moment()); err != nil {
				b.Fatal(err)
			}
		}
	})
}

// BenchmarkProof proves that the demo can be finished, beside playing the walk that is found.
func BenchmarkProof(b *testing.B) {
	d := Project(Coast(), strings.Repeat("0", 64))
	st := world.New(d, chart.New(d, nil), nil)
	find := func() *proof.Answer {
		s := proof.New(st)
		for {
			if a := s.Step(10_000); a != nil {
				return a
			}
		}
	}
	walk := find().Walk
	b.Run("walk", func(b *testing.B) {
		for b.Loop() {
			proof.Replay(st, walk)
		}
	})
	b.Run("proven", func(b *testing.B) {
		for b.Loop() {
			find()
		}
	})
	// without a way back out of the brine house, and one pot of oil less
	for _, m := range d.MapsInOrder() {
		for _, e := range m.Entities.All() {
			if m.Name == "Brine House" && e.Name == "Exit" || m.Name == "Quay" && e.Name == "Pot of oil" {
				d = sample.With(d, edit.Remove(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}))
			}
		}
	}
	st = world.New(d, chart.New(d, nil), nil)
	b.Run("undecided", func(b *testing.B) {
		took := time.Duration(0)
		for range min(b.N, 1) {
			from := time.Now()
			find()
			took += time.Since(from)
		}
		b.ReportMetric(took.Seconds(), "s/undecided")
	})
}
