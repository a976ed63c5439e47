package main

import (
	"cmp"
	"context"
	"fmt"
	"os"
	"os/exec"
	"path/filepath"
	"slices"
	"strconv"
	"strings"
	"time"
)

// binary is the tests of one package, compiled with all mistakes.
type binary struct {
	pkg, file string
	took      time.Duration
	sees      map[int]bool
}

type testSet []*binary

// testsOf compiles the tests of the core's packages, and runs each once to see which
// mistakes it would meet.
func testsOf(dir, overlay string) (testSet, error) {
	listed, err := exec.Command("go", "list", "-f", "{{if .TestGoFiles}}{{.Dir}}{{else if .XTestGoFiles}}{{.Dir}}{{end}}", "./core/...").Output()
	if err != nil {
		return nil, fmt.Errorf("list the core's packages: %w", err)
	}
	here, err := os.Getwd()
	if err != nil {
		return nil, err
	}
	var out testSet
	for _, whole := range strings.Fields(string(listed)) {
		pkg, err := filepath.Rel(here, whole)
		if err != nil || pkg == "core" { // that one reads the sources
			continue
		}
		b := &binary{pkg: pkg, file: filepath.Join(dir, strings.ReplaceAll(pkg, "/", "_")+".test"), sees: map[int]bool{}}
		if said, err := exec.Command("go", "test", "-c", "-vet=off", "-overlay", overlay, "-o", b.file, "./"+pkg).CombinedOutput(); err != nil {
			return nil, fmt.Errorf("compile the tests of %s: %w\n%s", pkg, err, said)
		}
		seen, begun := b.file+".seen", time.Now()
		if !b.passes(10*time.Minute, "AZZEL_MISTAKES_SEEN="+seen) {
			return nil, fmt.Errorf("the tests of %s fail without a mistake", pkg)
		}
		b.took = time.Since(begun)
		text, err := os.ReadFile(seen)
		if err != nil {
			return nil, err
		}
		for _, word := range strings.Fields(string(text)) {
			id, _ := strconv.Atoi(word)
			b.sees[id] = true
		}
		out = append(out, b)
	}
	slices.SortFunc(out, func(a, b *binary) int { return cmp.Compare(a.took, b.took) })
	return out, nil
}

// find tells whether a test fails when a mistake is made, those of its own package first.
func (t testSet) find(id int, file string) bool {
	own := func(b *binary) bool { return b.pkg == filepath.Dir(file) }
	for _, first := range []bool{true, false} {
		for _, b := range t {
			if own(b) == first && b.sees[id] && !b.passes(3*b.took+10*time.Second, "AZZEL_MISTAKE="+strconv.Itoa(id)) {
				return true
			}
		}
	}
	return false
}

func (b *binary) passes(within time.Duration, env string) bool {
	ctx, cancel := context.WithTimeout(context.Background(), within)
	defer cancel()
	// a mistake may ask for all memory there is
	cmd := exec.CommandContext(ctx, "sh", "-c", `ulimit -v 8000000; exec "$0" -test.failfast`, b.file)
	cmd.Dir, cmd.Env = b.pkg, append(os.Environ(), env)
	return cmd.Run() == nil
}
