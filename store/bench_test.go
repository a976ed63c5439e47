package store_test

import (
	"azzel/store"
	"fmt"
	"slices"
	"testing"
	"time"
)

// BenchmarkStoreOneEdit stores edits one after the other, by turns with plain inserts of one row: a thousand, as in a session of work,
// after a few that prepare what the database keeps of both.
func BenchmarkStoreOneEdit(b *testing.B) {
	s, owner := opened(b)
	l := store.NewLog(s)
	defer l.Close()
	n := int64(0)
	insert := func() {
		n++
		if _, err := s.SavePicture(ctx, []byte(fmt.Sprint("row", n)), 1, 1); err != nil {
			b.Fatal(err)
		}
	}
	edit := func() {
		n++
		appended(b, l, owner.ID, someEdit("clientclient", n, rename(fmt.Sprint(n))))
	}
	var plain, stored []time.Duration
	turns := func(of int) {
		plain = append(plain, timed(of, insert)...)
		stored = append(stored, timed(of, edit)...)
	}
	turns(20)
	plain, stored = nil, nil
	b.ResetTimer()
	for range b.N {
		turns(50)
	}
	b.ReportMetric(float64(sum(stored))/float64(sum(plain)), "×plain-insert")
	b.ReportMetric(float64(sum(plain))/float64(len(plain))/1e6, "ms/plain-insert")
	slices.Sort(stored)
	b.ReportMetric(float64(stored[len(stored)*95/100].Microseconds())/1000, "ms/edit-p95")
}

// timed is how long each of n calls took.
func timed(n int, f func()) []time.Duration {
	took := make([]time.Duration, n)
	for i := range took {
		start := time.Now()
		f()
		took[i] = time.Since(start)
	}
	return took
}

func sum(all []time.Duration) (sum time.Duration) {
	for _, d := range all {
		sum += d
	}
	return sum
}
