package store_test

import (
	"azzel/store"
	"fmt"
	"testing"
	"time"
)

// BenchmarkStoreOneEdit stores edits one after the other, beside a plain insert of one row.
func BenchmarkStoreOneEdit(b *testing.B) {
	s, owner := opened(b)
	l := store.NewLog(s)
	defer l.Close()
	plain := timed(b, func(i int) {
		if _, err := s.SavePicture(ctx, []byte(fmt.Sprint("row", i)), 1, 1); err != nil {
			b.Fatal(err)
		}
	})
	n := int64(0)
	b.ResetTimer()
	stored := timed(b, func(int) {
		n++
		appended(b, l, owner.ID, someEdit("clientclient", n, rename(fmt.Sprint(n))))
	})
	b.ReportMetric(float64(stored)/float64(plain), "×plain-insert")
	b.ReportMetric(float64(stored.Microseconds())/1000, "ms/edit")
}

func timed(b *testing.B, f func(i int)) time.Duration {
	start := time.Now()
	for i := range b.N {
		f(i)
	}
	return time.Since(start) / time.Duration(b.N)
}
