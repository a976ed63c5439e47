package store_test

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/sample"
	"azzel/store"
	"fmt"
	"runtime"
	"slices"
	"sync"
	"testing"
	"time"
)

// stroke is an edit as a designer makes it: a few cells.
func stroke(client document.ID, n int64) *edit.Edit {
	r := &grid.Region{}
	r.AddRect(grid.Rect{X: int(n) % 15, Y: int(n/15) % 10, W: 4, H: 1})
	return someEdit(client, n, sample.Paint(sample.Quay, sample.Ground, r, []cells.Cell{sample.Floor, sample.Wall}[n%2]))
}

func clientName(i int) document.ID { return document.ID(fmt.Sprintf("client%06d", i)) }

// BenchmarkFiftyDesigners prints how long edits take that 50 pages make together, 1,000 in a second, each waiting for none of its own,
// and beside that how long one takes alone.
func BenchmarkFiftyDesigners(b *testing.B) {
	const designers, each = 50, 40 // two seconds
	s, owner := opened(b)
	l := store.NewLog(s)
	defer l.Close()
	var alone []time.Duration
	for n := range int64(200) {
		from := time.Now()
		appended(b, l, owner.ID, stroke("clientclient", n+1))
		alone = append(alone, time.Since(from))
	}
	took := make([]time.Duration, designers*each)
	var all sync.WaitGroup
	begun := time.Now()
	for d := range designers {
		all.Go(func() {
			for n := range each {
				time.Sleep(time.Until(begun.Add(time.Duration(n)*50*time.Millisecond + time.Duration(d)*time.Millisecond)))
				from := time.Now()
				answer := l.Append(project, owner.ID, stroke(clientName(d), int64(n+1)))
				all.Go(func() {
					if a := <-answer; a.Err != nil {
						b.Error(a.Err)
					}
					took[d*each+n] = time.Since(from)
				})
			}
		})
	}
	all.Wait()
	slices.Sort(took)
	slices.Sort(alone)
	ms := func(d time.Duration) float64 { return float64(d.Microseconds()) / 1000 }
	b.ReportMetric(ms(took[len(took)/2]), "ms/edit-p50")
	b.ReportMetric(ms(took[len(took)*95/100]), "ms/edit-p95")
	b.ReportMetric(ms(alone[len(alone)*95/100]), "ms/alone-p95")
	b.ReportMetric(float64(took[len(took)*95/100])/float64(alone[len(alone)*95/100]), "×alone")
}

// BenchmarkBurst prints how long 10,000 edits take that come at once, as from a page that was away, beside as many rows inserted plainly,
// and what the log holds in memory afterwards.
func BenchmarkBurst(b *testing.B) {
	const edits = 10_000
	s, owner := opened(b)
	l := store.NewLog(s)
	defer l.Close()
	from := time.Now()
	for n := range 500 {
		if _, err := s.SavePicture(ctx, []byte(fmt.Sprint("row", n)), 1, 1); err != nil {
			b.Fatal(err)
		}
	}
	plain := time.Since(from) * edits / 500
	all := make([]*edit.Edit, edits)
	for n := range all {
		all[n] = stroke("clientclient", int64(n+1))
	}
	answers := make([]<-chan store.Answer, edits)
	from = time.Now()
	for n, e := range all {
		answers[n] = l.Append(project, owner.ID, e)
	}
	for _, answer := range answers {
		if a := <-answer; a.Err != nil {
			b.Fatal(a.Err)
		}
	}
	took := time.Since(from)
	runtime.GC()
	var m runtime.MemStats
	runtime.ReadMemStats(&m)
	b.ReportMetric(took.Seconds(), "s/10000")
	b.ReportMetric(float64(took)/float64(plain), "×plain-inserts")
	b.ReportMetric(float64(m.HeapAlloc)/(1<<20), "MB-heap")
}
