// Command mutate makes small mistakes in the core, one at a time, and tells which of
// them no test finds: ./azzel mutate [-n 100] [-seed 1] [-in core/edit] [-j 2]
package main

import (
	"flag"
	"fmt"
	"math/rand/v2"
	"os"
	"runtime"
	"strings"
	"sync"
)

func main() {
	n := flag.Int("n", 200, "how many mistakes")
	seed := flag.Uint64("seed", 1, "another one makes others")
	in := flag.String("in", "core", "folder")
	at := flag.Int("j", runtime.NumCPU(), "how many at once")
	flag.Parse()
	if err := run(*n, *seed, *in, *at); err != nil {
		fmt.Fprintln(os.Stderr, "mutate:", err)
		os.Exit(1)
	}
}

func run(n int, seed uint64, in string, at int) error {
	dir, err := os.MkdirTemp("", "mutate")
	if err != nil {
		return err
	}
	defer func() { _ = os.RemoveAll(dir) }()
	fmt.Println("compiling …")
	c, overlay, err := build("core", dir)
	if err != nil {
		return err
	}
	tests, err := testsOf(dir, overlay)
	if err != nil {
		return err
	}
	var ids []int
	for i, p := range c.points {
		if !c.without[i+1] && strings.HasPrefix(p.file, in) {
			ids = append(ids, i+1)
		}
	}
	fmt.Printf("%d of %d mistakes can be made\n", len(ids), len(c.points))
	r := rand.New(rand.NewPCG(seed, 1))
	r.Shuffle(len(ids), func(i, j int) { ids[i], ids[j] = ids[j], ids[i] })
	ids = ids[:min(n, len(ids))]

	var all sync.Mutex
	made, found, next := 0, 0, make(chan int)
	var workers sync.WaitGroup
	for range at {
		workers.Go(func() {
			for id := range next {
				ok := tests.find(id, c.points[id-1].file)
				all.Lock()
				made++
				if p := c.points[id-1]; ok {
					found++
				} else {
					fmt.Printf("%s:%d: %s, and no test finds it (%d of %d were found)\n", p.file, p.line, p.what, found, made)
				}
				all.Unlock()
			}
		})
	}
	for _, id := range ids {
		next <- id
	}
	close(next)
	workers.Wait()
	if made > 0 {
		fmt.Printf("%d of %d mistakes were found: %d %%\n", found, made, 100*found/made)
	}
	return nil
}
