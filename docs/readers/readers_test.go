// Package readers holds programs that read a project as others would: with a standard library alone.
package readers

import (
	"azzel/cli"
	"bytes"
	"image"
	"image/color"
	"image/png"
	"os"
	"os/exec"
	"path/filepath"
	"strings"
	"testing"

	"github.com/spf13/cobra"
)

func azzel(t *testing.T, args ...string) {
	t.Helper()
	root := &cobra.Command{Use: "azzel"}
	root.AddCommand(cli.Commands()...)
	root.SetArgs(args)
	if err := root.Execute(); err != nil {
		t.Fatal(err)
	}
}

func picture(t *testing.T, path string) image.Image {
	t.Helper()
	data, err := os.ReadFile(path)
	if err != nil {
		t.Fatal(err)
	}
	img, err := png.Decode(bytes.NewReader(data))
	if err != nil {
		t.Fatal(err)
	}
	return img
}

// far reports whether two colours differ by more than what rounding does where something shines through.
func far(a, b color.Color) bool {
	p, q := color.NRGBAModel.Convert(a).(color.NRGBA), color.NRGBAModel.Convert(b).(color.NRGBA)
	apart := func(x, y uint8) bool { return max(x, y)-min(x, y) > 2 }
	return apart(p.R, q.R) || apart(p.G, q.G) || apart(p.B, q.B) || apart(p.A, q.A)
}

// Both readers draw the demo's maps as Azzel does, and list what is on them.
func TestReaders(t *testing.T) {
	dir := t.TempDir()
	at := func(name string) string { return filepath.Join(dir, name) }
	azzel(t, "new", at("demo.zip"), "--demo")
	azzel(t, "export", at("demo.zip"), at("demo"), "--derived")
	azzel(t, "render", at("demo.zip"), "--map", "Quay", "--things=false", "--out", at("want.png"))
	script, err := exec.Command("node", "-e", `
		const ts = require('../../web/node_modules/typescript')
		const text = require('fs').readFileSync('read-ts/read.ts', 'utf8')
		process.stdout.write(ts.transpileModule(text, { compilerOptions: { module: 'ESNext', target: 'ES2022' } }).outputText)`).Output()
	if err != nil || os.WriteFile(at("read.mjs"), script, 0o600) != nil {
		t.Fatal(err)
	}
	want := picture(t, at("want.png"))
	for name, command := range map[string][]string{"Go": {"go", "run", "./read-go"}, "TypeScript": {"node", at("read.mjs")}} {
		out, err := exec.Command(command[0], append(command[1:], at("demo"), "quay", at(name+".png"))...).CombinedOutput()
		if err != nil {
			t.Fatalf("%s: %v\n%s", name, err, out)
		}
		for _, line := range []string{"Quay: 44 × 28 cells, solid in", "exit To the brine house at cell 22, 10", " rules"} {
			if !strings.Contains(string(out), line) {
				t.Errorf("%s does not say %q:\n%s", name, line, out)
			}
		}
		got := picture(t, at(name+".png"))
		if got.Bounds() != want.Bounds() {
			t.Fatalf("%s draws %v", name, got.Bounds())
		}
		for y := range want.Bounds().Dy() {
			for x := range want.Bounds().Dx() {
				if a, b := want.At(x, y), got.At(x, y); far(a, b) {
					t.Fatalf("%s draws pixel %d, %d as %v instead of %v", name, x, y, b, a)
				}
			}
		}
	}
	for _, path := range []string{"read-go/main.go", "read-ts/read.ts"} {
		text, err := os.ReadFile(path)
		if n := strings.Count(string(text), "\n"); err != nil || n >= 200 {
			t.Errorf("%s has %d lines, %v", path, n, err)
		}
	}
}
