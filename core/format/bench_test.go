package format_test

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/format"
	"azzel/core/sample"
	"testing"
	"time"
)

// plainly is the baseline: what it costs to encode the same project as it is stored.
func plainly(d *document.Document) time.Duration {
	start := time.Now()
	_ = d.Encode()
	return time.Since(start)
}

// BenchmarkProject writes, packs, unpacks and reads a project of 1,000 maps, and compares two of them.
func BenchmarkProject(b *testing.B) {
	d, picture, take := pictured(sample.Maps(998, 2994))
	files, err := format.Write(d, picture)
	if err != nil {
		b.Fatal(err)
	}
	packed, err := format.Pack(files)
	if err != nil {
		b.Fatal(err)
	}
	base := plainly(d)
	report := func(b *testing.B, took time.Duration) {
		each := took / time.Duration(b.N)
		b.ReportMetric(float64(each.Microseconds())/1000, "ms")
		b.ReportMetric(float64(each)/float64(base), "×encoding")
	}
	for name, do := range map[string]func() error{
		"export": func() error {
			files, err := format.Write(d, picture)
			if err == nil {
				_, err = format.Pack(files)
			}
			return err
		},
		"import": func() error {
			files, err := format.Unpack(packed)
			if err == nil {
				_, err = format.Read(files, pictures(take))
			}
			return err
		},
		"diff": func() error {
			_, err := author.Compare(d, sample.Maps(998, 2994))
			return err
		},
	} {
		b.Run(name, func(b *testing.B) {
			start := time.Now()
			for range b.N {
				if err := do(); err != nil {
					b.Fatal(err)
				}
			}
			report(b, time.Since(start))
		})
	}
}
