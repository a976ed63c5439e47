// Package core_test checks what holds for all of the core.
package core_test

import (
	"go/ast"
	"go/build"
	"go/importer"
	"go/parser"
	"go/token"
	"go/types"
	"io/fs"
	"path/filepath"
	"slices"
	"strings"
	"testing"
)

// allowed are the packages outside the core that it may import. What is not here
// could make a result differ from one machine to another, or is no part of the job.
var allowed = []string{"archive/zip", "bufio", "bytes", "cmp", "compress/flate", "container/heap", "crypto/rand", "crypto/sha256", "embed", "encoding/base32", "encoding/base64",
	"encoding/binary", "encoding/csv", "encoding/hex", "encoding/json", "encoding/xml", "errors", "fmt", "hash/fnv", "image", "image/color", "image/png", "io", "maps", "math/bits", "path", "reflect", "regexp", "slices", "sort",
	"strconv", "strings", "sync", "sync/atomic", "unicode", "unicode/utf8",
	// where lines of text may end, by tables
	"github.com/rivo/uniseg"}

// loose are the packages whose results never reach a document, an edit, play or a
// proof: they may count with floats. cut looks at pictures and makes guesses that a
// designer takes or not; sample makes documents for tests.
var loose = []string{"cut", "sample"}

// walks are where a walk over a map, or over an iterator of one, does not matter for
// the result: by package and function.
var walks = map[string]string{
	"session.Signatures": "sorts the names",
	"format.names":       "sorts the names",
}

// packages finds the core's packages by their folders.
func packages(t *testing.T) []string {
	t.Helper()
	var out []string
	err := filepath.WalkDir(".", func(path string, d fs.DirEntry, err error) error {
		if err != nil || !d.IsDir() || path == "." || d.Name() == "testdata" {
			return err
		}
		if p, err := build.ImportDir(path, 0); err == nil && len(p.GoFiles) > 0 {
			out = append(out, path)
		}
		return nil
	})
	if err != nil || len(out) < 15 {
		t.Fatalf("found %v, %v", out, err)
	}
	return out
}

type source struct {
	files []*ast.File
	info  *types.Info
}

func checked(t *testing.T, fset *token.FileSet, imp types.Importer, name string) source {
	t.Helper()
	p, err := build.ImportDir(name, 0)
	if err != nil {
		t.Fatal(err)
	}
	s := source{info: &types.Info{Types: map[ast.Expr]types.TypeAndValue{}}}
	for _, file := range p.GoFiles {
		f, err := parser.ParseFile(fset, filepath.Join(name, file), nil, 0)
		if err != nil {
			t.Fatal(err)
		}
		s.files = append(s.files, f)
	}
	if _, err := (&types.Config{Importer: imp}).Check("azzel/core/"+name, fset, s.files, s.info); err != nil {
		t.Fatal(err)
	}
	return s
}

// overMap reports whether a value walks in the order of a map: a map itself, or
// what the package maps makes of one.
func overMap(info *types.Info, e ast.Expr) bool {
	if tv := info.Types[e]; tv.Type != nil {
		if _, ok := tv.Type.Underlying().(*types.Map); ok {
			return true
		}
	}
	call, ok := e.(*ast.CallExpr)
	return ok && ofMaps(call)
}

// ofMaps reports whether a call gives an iterator of the package maps.
func ofMaps(call *ast.CallExpr) bool {
	of, ok := call.Fun.(*ast.SelectorExpr)
	if !ok {
		return false
	}
	pkg, ok := of.X.(*ast.Ident)
	return ok && pkg.Name == "maps" && slices.Contains([]string{"All", "Keys", "Values"}, of.Sel.Name)
}

// No floats, no walk over a map, whose order differs from run to run, and nothing
// that runs beside something else.
func TestDeterministic(t *testing.T) {
	fset := token.NewFileSet()
	imp := importer.ForCompiler(fset, "source", nil)
	used := map[string]bool{}
	for _, name := range packages(t) {
		if slices.Contains(loose, name) {
			continue
		}
		s := checked(t, fset, imp, name)
		for expr, tv := range s.info.Types {
			if b, ok := tv.Type.Underlying().(*types.Basic); ok && b.Info()&(types.IsFloat|types.IsComplex) != 0 {
				t.Errorf("%s: a float", fset.Position(expr.Pos()))
			}
		}
		for _, f := range s.files {
			for _, d := range f.Decls {
				in := ""
				if fn, ok := d.(*ast.FuncDecl); ok {
					in = name + "." + fn.Name.Name
				}
				ast.Inspect(d, func(n ast.Node) bool {
					at := func() string { return fset.Position(n.Pos()).String() }
					switch n := n.(type) {
					case *ast.RangeStmt:
						if overMap(s.info, n.X) && walks[in] == "" {
							t.Errorf("%s: a walk over a map", at())
						}
					case *ast.CallExpr:
						if ofMaps(n) {
							if used[in] = true; walks[in] == "" {
								t.Errorf("%s: a walk over a map, by maps.%s", at(), n.Fun.(*ast.SelectorExpr).Sel.Name)
							}
						}
					case *ast.GoStmt:
						t.Errorf("%s: something runs beside the rest", at())
					case *ast.SelectStmt, *ast.SendStmt:
						t.Errorf("%s: something waits for another", at())
					}
					return true
				})
			}
		}
	}
	for in := range walks {
		if !used[in] {
			t.Errorf("%s has no walk over a map any more: take it off the list", in)
		}
	}
}

// The core is the rules of the job and nothing else.
func TestCoreImports(t *testing.T) {
	seen := map[string]bool{}
	for _, name := range packages(t) {
		p, err := build.ImportDir(name, 0)
		if err != nil {
			t.Fatal(err)
		}
		for _, i := range p.Imports {
			seen[i] = true
			random := name == "sample" && i == "math/rand/v2"
			if !strings.HasPrefix(i, "azzel/core/") && !slices.Contains(allowed, i) && !random {
				t.Errorf("%s imports %s", name, i)
			}
		}
	}
	for _, i := range allowed {
		if !seen[i] {
			t.Errorf("nothing imports %s any more: take it off the list", i)
		}
	}
}

// What the tests above find, they find.
func TestFindsWhatDiffers(t *testing.T) {
	fset := token.NewFileSet()
	f, err := parser.ParseFile(fset, "x.go", `package x
import "maps"
func f(m map[int]int, s []int) {
	for range m {}
	for range maps.Keys(m) {}
	for range s {}
}`, 0)
	if err != nil {
		t.Fatal(err)
	}
	info := &types.Info{Types: map[ast.Expr]types.TypeAndValue{}}
	if _, err := (&types.Config{Importer: importer.ForCompiler(fset, "source", nil)}).Check("x", fset, []*ast.File{f}, info); err != nil {
		t.Fatal(err)
	}
	found := 0
	ast.Inspect(f, func(n ast.Node) bool {
		if r, ok := n.(*ast.RangeStmt); ok && overMap(info, r.X) {
			found++
		}
		return true
	})
	if found != 2 {
		t.Errorf("%d of 2 walks were found", found)
	}
}
