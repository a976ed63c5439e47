// Package core_test checks what holds for all of the core.
package core_test

import (
	"go/ast"
	"go/importer"
	"go/parser"
	"go/token"
	"go/types"
	"os"
	"strings"
	"testing"
)

// exact are the packages whose results must be the same everywhere: no floats,
// and no walk over a map, whose order differs from run to run.
var exact = []string{"chart", "grid", "chance", "cells", "material", "document", "edit", "replica", "hand", "author", "rules", "play"}

func TestNoFloatsAndNoMapRanges(t *testing.T) {
	fset := token.NewFileSet()
	imp := importer.ForCompiler(fset, "source", nil)
	for _, name := range exact {
		var files []*ast.File
		entries, err := os.ReadDir(name)
		if err != nil {
			t.Fatal(err)
		}
		for _, e := range entries {
			if strings.HasSuffix(e.Name(), ".go") && !strings.HasSuffix(e.Name(), "_test.go") {
				f, err := parser.ParseFile(fset, name+"/"+e.Name(), nil, 0)
				if err != nil {
					t.Fatal(err)
				}
				files = append(files, f)
			}
		}
		info := &types.Info{Types: map[ast.Expr]types.TypeAndValue{}}
		if _, err := (&types.Config{Importer: imp}).Check("azzel/core/"+name, fset, files, info); err != nil {
			t.Fatal(err)
		}
		for expr, tv := range info.Types {
			if b, ok := tv.Type.Underlying().(*types.Basic); ok && b.Info()&types.IsFloat != 0 {
				t.Errorf("%s: a float", fset.Position(expr.Pos()))
			}
		}
		for _, f := range files {
			ast.Inspect(f, func(n ast.Node) bool {
				if r, ok := n.(*ast.RangeStmt); ok {
					if _, isMap := info.Types[r.X].Type.Underlying().(*types.Map); isMap {
						t.Errorf("%s: a walk over a map", fset.Position(r.Pos()))
					}
				}
				return true
			})
		}
	}
}

// The core is the rules of the job and nothing else: no server, store, network or browser.
func TestCoreImports(t *testing.T) {
	fset := token.NewFileSet()
	for _, name := range append([]string{"cut"}, exact...) {
		pkgs, err := parser.ParseDir(fset, name, nil, parser.ImportsOnly)
		if err != nil {
			t.Fatal(err)
		}
		for _, pkg := range pkgs {
			for path, f := range pkg.Files {
				if strings.HasSuffix(path, "_test.go") {
					continue
				}
				for _, i := range f.Imports {
					p := strings.Trim(i.Path.Value, `"`)
					if strings.Contains(p, ".") || strings.HasPrefix(p, "net") || p == "os" || p == "syscall/js" ||
						strings.HasPrefix(p, "azzel/") && !strings.HasPrefix(p, "azzel/core/") {
						t.Errorf("%s imports %s", path, p)
					}
				}
			}
		}
	}
}
