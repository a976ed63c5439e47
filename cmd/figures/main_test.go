package main

import (
	"os"
	"path/filepath"
	"strings"
	"testing"
	"time"
)

// What a run of the benches prints, of each sort of line one.
const printed = `goos: linux
cpu: Some processor @ 2.50GHz
BenchmarkFillMillion/baseline-write-2         	      20	    500000 ns/op
BenchmarkMergeSolids/baseline-write-2         	      20	    900000 ns/op
BenchmarkRefitMillion/baseline-write-2         	      20	    400000 ns/op
BenchmarkFillMillion/uniform-2                	      20	   1500000 ns/op
BenchmarkPairs-2   	      20	 448746309 ns/op	         16.00 Mpairs/s	         0.9392 ×plain
BenchmarkStoreOneEdit-2   	      20	   1088343 ns/op	         1.500 ms/edit-p95	         2.500 ×plain-insert
BenchmarkStoreOneEdit-2   	      20	   1088343 ns/op	         0.900 ms/edit-p95	         0.2100 ms/plain-insert	         2.100 ×plain-insert
BenchmarkStoreOneEdit-2   	      20	   1088343 ns/op	         0.700 ms/edit-p95	         1.900 ×plain-insert
browser, 10,000 entities on a map
  pan                    100 events, p95 7.20 ms; with their frame p95 8.50 ms (×42.5 plain); frames apart p50 16.70, p95 16.80 ms
  zoom, to the whole map 8 events, p95 0.50 ms; with their frame p95 0.60 ms (×2.5 plain); frames apart p50 16.70, p95 33.40 ms
browser, a project of 1 maps of 64×64: opened in 304 ms; read wholly the core holds 14 MB, scripts 20 MB
browser, a fill of 1024×1024 cells
  filled                 all drawn after 411 ms; longest task 107 ms, 2 above 50 ms
browser, opening 1024×1024 cells of 4 layers
  first picture          after 461 ms; all in view drawn after 1622 ms
browser, all limits at once
  held                   by the server 716 MB; by the core 1123 MB; by scripts 169 MB
`

// Figures of all sorts of lines are found, of several runs the one in the middle, and ratios are made; what was not measured is left out.
func TestFiguresAreReadFromARun(t *testing.T) {
	got := read([]byte(printed)).table(time.Date(2026, 1, 2, 0, 0, 0, 0, time.UTC))
	for _, want := range []string{"2 January 2026", "Some processor", "a plain write of a million cells took 0.50 ms then, and a plain insert 0.21 (", "| An edit stored, committed, p95 | 0.90 ms | 0.86 ms | ≤ 5 |", "beside a plain write | 3.0 × |  | ≤ 3 |",
		"| 10,000 entities: pan | 8.5 ms | 13.6 ms | ≤ 8 |", "| … zoom to all | 0.60 ms | 0.96 ms | ≤ 16 |", "| A small project opened | 304 ms | 486 ms | ≤ 500 |",
		"| Pairs of cell and situation, millions a second | 16.0 | 10.0 | ≥ 10 |", "wholly drawn | 411 ms |", "| … 1024×1024 cells of four layers | 461 ms | 738 ms | ≤ 1500 |", "| … held by the server | 716 MB |  |  |", "| … and by the page | 1123 MB |", "its longest task | 107 ms |"} {
		if !strings.Contains(got, want) {
			t.Errorf("%q is missing in\n%s", want, got)
		}
	}
	if strings.Contains(got, "burst") || strings.Contains(got, "10,000 edits") {
		t.Errorf("what was not measured is told:\n%s", got)
	}
}

// Only what stands between the marks of a page is replaced; a page without them is left alone.
func TestATableIsPutIntoAPage(t *testing.T) {
	dir := t.TempDir()
	run, page := filepath.Join(dir, "2026-03-04-101112.txt"), filepath.Join(dir, "page.md")
	write := func(path, text string) {
		if err := os.WriteFile(path, []byte(text), 0o600); err != nil {
			t.Fatal(err)
		}
	}
	write(run, printed)
	write(page, "before\n"+begins+"\nold\n"+ends+"\nafter\n")
	for range 2 { // a second time changes nothing
		if err := put(run, page); err != nil {
			t.Fatal(err)
		}
	}
	got, err := os.ReadFile(page)
	if err != nil {
		t.Fatal(err)
	}
	if text := string(got); !strings.HasPrefix(text, "before\n"+begins) || !strings.HasSuffix(text, ends+"\nafter\n") || strings.Contains(text, "old") || strings.Count(text, "4 March 2026") != 1 {
		t.Errorf("the page is\n%s", text)
	}
	write(page, "nothing to put it into")
	if err := put(run, page); err == nil {
		t.Error("a page without a place for it takes it")
	}
}
