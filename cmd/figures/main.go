// Command figures puts what a run of ./azzel bench measured into the README's table, with the date and the machine.
package main

import (
	"bufio"
	"bytes"
	"fmt"
	"os"
	"path/filepath"
	"regexp"
	"runtime"
	"slices"
	"strconv"
	"strings"
	"time"
)

// Where the table stands in a page.
const (
	begins = "<!-- figures: made by ./azzel bench -->"
	ends   = "<!-- figures end -->"
)

func main() {
	if len(os.Args) != 3 {
		fmt.Fprintln(os.Stderr, "say which run, and which page: figures .azzel/bench/FILE README.md")
		os.Exit(2)
	}
	if err := put(os.Args[1], os.Args[2]); err != nil {
		fmt.Fprintln(os.Stderr, "figures:", err)
		os.Exit(1)
	}
}

// put replaces the table of a page by that of a run.
func put(run, page string) error {
	raw, err := os.ReadFile(run)
	if err != nil {
		return fmt.Errorf("read the run: %w", err)
	}
	text, err := os.ReadFile(page)
	if err != nil {
		return fmt.Errorf("read the page: %w", err)
	}
	from, to := bytes.Index(text, []byte(begins)), bytes.Index(text, []byte(ends))
	if from < 0 || to < from {
		return fmt.Errorf("%s has no place for the table: %s", filepath.Base(page), begins)
	}
	day := time.Now()
	if at, err := time.Parse("2006-01-02-150405", strings.TrimSuffix(filepath.Base(run), ".txt")); err == nil {
		day = at
	}
	m := read(raw)
	out := append([]byte{}, text[:from]...)
	out = fmt.Appendf(out, "%s\n%s\n", begins, m.table(day))
	return os.WriteFile(page, append(out, text[to:]...), 0o644)
}

// measured is what a run printed: figures of Go's benches by name and unit, those of the browser by heading, line and number.
type measured struct {
	of      map[string][]float64
	machine string
}

var (
	bench   = regexp.MustCompile(`^Benchmark([\w/-]+?)(?:-\d+)?\s+\d+\s+(.*)$`)
	heading = regexp.MustCompile(`^(?:browser|server), ([^:(]+)`)
	line    = regexp.MustCompile(`^  (\S.{21}) (.*)$`)
	figure  = regexp.MustCompile(`([a-z][a-z0-9 ]*?) (-?[\d.]+) (?:ms|MB)`)
	opened  = regexp.MustCompile(`^browser, (a project of \d+ maps).*opened in (\d+) ms`)
)

// read takes a run apart; of figures that were measured several times all are kept.
func read(raw []byte) measured {
	m := measured{of: map[string][]float64{}}
	add := func(key, value string) {
		if v, err := strconv.ParseFloat(value, 64); err == nil {
			m.of[key] = append(m.of[key], v)
		}
	}
	under := ""
	lines := bufio.NewScanner(bytes.NewReader(raw))
	for lines.Scan() {
		text := lines.Text()
		if cpu, is := strings.CutPrefix(text, "cpu: "); is {
			m.machine = cpu
		}
		if is := opened.FindStringSubmatch(text); is != nil {
			add(is[1], is[2])
		} else if is := heading.FindStringSubmatch(text); is != nil {
			under = strings.TrimSpace(is[1])
		} else if is := bench.FindStringSubmatch(text); is != nil {
			parts := strings.Fields(is[2])
			for i := 0; i+1 < len(parts); i += 2 {
				add(is[1]+" "+parts[i+1], parts[i])
			}
		} else if is := line.FindStringSubmatch(text); is != nil && under != "" {
			named, label := map[string]bool{}, strings.TrimSpace(is[1])
			for _, part := range strings.Split(is[2], "; ") {
				key := under + " | " + label + " | "
				if f := figure.FindStringSubmatch(part); f == nil {
					if ms, is := strings.CutSuffix(part, " ms"); is {
						add(key, ms)
					}
				} else if key += f[1]; !named[key] {
					named[key] = true
					add(key, f[2])
				}
			}
		}
	}
	return m
}

// median is the one in the middle of what was measured of a figure.
func (m measured) median(key string) (float64, bool) { return middle(m.of[key]) }

func middle(all []float64) (float64, bool) {
	if len(all) == 0 {
		return 0, false
	}
	sorted := slices.Sorted(slices.Values(all))
	return sorted[len(sorted)/2], true
}

// table is that of all figures that the run has.
func (m measured) table(day time.Time) string {
	var b strings.Builder
	write, insert := m.paces()
	fmt.Fprintf(&b, "Measured on %s, %d cores of %s, everything on one machine%s:\n\n", day.Format("2 January 2006"), runtime.NumCPU(), m.machine, paceTold(write, insert))
	b.WriteString("| | measured | at that pace | wanted |\n|---|---:|---:|---:|\n")
	for _, r := range rows {
		v, known := m.median(r.key)
		if !known {
			continue
		}
		if r.over != "" {
			to, known := m.median(r.over)
			if !known || to == 0 {
				continue
			}
			v /= to
		}
		v *= r.times()
		paced := ""
		if by := r.pace(write, insert); by != 0 && r.wanted != "" {
			paced = told(v*by, r.unit)
		}
		fmt.Fprintf(&b, "| %s | %s | %s | %s |\n", r.name, told(v, r.unit), paced, r.wanted)
	}
	return b.String()
}

// told is a figure with its unit, in as many digits as say something.
func told(v float64, unit string) string {
	return strings.TrimSpace(strconv.FormatFloat(v, 'f', digits(v), 64) + " " + unit)
}

// What a plain write of a million cells took, and a plain insert, where the measures were set, in milliseconds.
const writeThere, insertThere = 0.8, 0.2

// paces is what a plain write of a million cells, which is measured at several moments, and a plain insert took in a run, in milliseconds; 0 where
// they were not measured.
func (m measured) paces() (write, insert float64) {
	var writes []float64
	for _, bench := range []string{"FillMillion", "MergeSolids", "RefitMillion"} {
		writes = append(writes, m.of[bench+"/baseline-write ns/op"]...)
	}
	write, _ = middle(writes)
	insert, _ = m.median("StoreOneEdit ms/plain-insert")
	return write / 1e6, insert
}

// paceTold says how fast the machine was just then, which others may use as well, beside the one on which the measures were set.
func paceTold(write, insert float64) string {
	if write == 0 || insert == 0 {
		return ""
	}
	return fmt.Sprintf(", on which a plain write of a million cells took %.2f ms then, and a plain insert %.2f (%.1f and %.1f where the measures were set: what the figures would be there stands beside them)", write, insert, writeThere, insertThere)
}

// digits is how many digits of a figure say something.
func digits(v float64) int {
	switch {
	case v >= 20:
		return 0
	case v >= 2:
		return 1
	}
	return 2
}
