package main

import (
	"encoding/json"
	"errors"
	"fmt"
	"os"
	"os/exec"
	"path/filepath"
	"regexp"
	"strconv"
	"strings"
)

var (
	complaint = regexp.MustCompile(`(?m)^[^:\s]*/(core_[^:\s]+\.go)\.txt:(\d+):`)
	called    = regexp.MustCompile(`mistake\.(\w+)\((\d+)`)
)

// build writes the core with its mistakes beside dir's binaries, and leaves out those
// that do not compile until the rest does.
func build(in, dir string) (*core, string, error) {
	without := map[int]bool{}
	for {
		c, err := instrument(in, without)
		if err != nil {
			return nil, "", err
		}
		overlay, err := c.write(dir)
		if err != nil {
			return nil, "", err
		}
		said, err := exec.Command("go", "build", "-gcflags=azzel/core/...=-e", "-overlay", overlay, "./core/...").CombinedOutput()
		if err == nil {
			return c, overlay, nil
		}
		dropped := 0
		for _, m := range complaint.FindAllStringSubmatch(string(said), -1) {
			line, _ := strconv.Atoi(m[2])
			dropped += c.drop(strings.ReplaceAll(m[1], "_", "/"), line)
		}
		if dropped == 0 {
			return nil, "", fmt.Errorf("the core with mistakes does not compile: %s", said)
		}
	}
}

// drop leaves out what makes the compiler complain about a place of a file: the nearest
// numbers and sums, whose type may be another, or whatever is there.
func (c *core) drop(path string, line int) (n int) {
	lines := strings.Split(c.texts[path], "\n")
	if line > len(lines) {
		return 0
	}
	text := lines[line-1]
	for _, kinds := range []string{"Int", "Add Sub", "Is"} {
		for _, m := range called.FindAllStringSubmatch(text, -1) {
			id, _ := strconv.Atoi(m[2])
			if strings.Contains(kinds, m[1]) && !c.without[id] {
				c.without[id] = true
				n++
			}
		}
		if n > 0 {
			return n
		}
	}
	return n
}

// write puts the files and the package they ask where the compiler finds them.
func (c *core) write(dir string) (overlay string, err error) {
	replace := map[string]string{}
	put := func(path, text string) {
		whole, wrong := filepath.Abs(path)
		at := filepath.Join(dir, strings.ReplaceAll(path, "/", "_")+".txt")
		replace[whole] = at
		err = errors.Join(err, wrong, os.WriteFile(at, []byte(text), 0o600))
	}
	put("core/mistake/mistake.go", mistakes)
	for path, text := range c.texts {
		put(path, text)
	}
	plan, wrong := json.Marshal(map[string]any{"Replace": replace})
	overlay = filepath.Join(dir, "overlay.json")
	return overlay, errors.Join(err, wrong, os.WriteFile(overlay, plan, 0o600))
}
