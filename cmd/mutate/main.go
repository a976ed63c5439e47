// Command mutate makes small mistakes in the core, one at a time, and tells which of
// them no test finds: ./azzel mutate [-n 100] [-seed 1] [-in core/edit]
package main

import (
	"bytes"
	"encoding/json"
	"flag"
	"fmt"
	"go/ast"
	"go/parser"
	"go/printer"
	"go/token"
	"io/fs"
	"math/rand/v2"
	"os"
	"os/exec"
	"path/filepath"
	"strconv"
	"strings"
)

// mistake is one change of a file: do makes it, undo takes it back.
type mistake struct {
	file     string
	line     int
	what     string
	do, undo func()
}

var swaps = map[token.Token][]token.Token{
	token.EQL: {token.NEQ}, token.NEQ: {token.EQL}, token.LSS: {token.LEQ, token.GEQ}, token.LEQ: {token.LSS}, token.GTR: {token.GEQ, token.LEQ},
	token.GEQ: {token.GTR}, token.LAND: {token.LOR}, token.LOR: {token.LAND}, token.ADD: {token.SUB}, token.SUB: {token.ADD},
}

// mistakes lists those that a file can be given.
func mistakes(fset *token.FileSet, name string, f *ast.File) (out []mistake) {
	add := func(at token.Pos, what string, do, undo func()) {
		out = append(out, mistake{name, fset.Position(at).Line, what, do, undo})
	}
	ast.Inspect(f, func(n ast.Node) bool {
		switch n := n.(type) {
		case *ast.BinaryExpr:
			was := n.Op
			if lit, ok := n.X.(*ast.BasicLit); ok && lit.Kind == token.STRING {
				return true // text put together
			}
			for _, op := range swaps[was] {
				add(n.OpPos, fmt.Sprintf("%s became %s", was, op), func() { n.Op = op }, func() { n.Op = was })
			}
		case *ast.BasicLit:
			if v, err := strconv.Atoi(n.Value); err == nil && n.Kind == token.INT {
				was := n.Value
				add(n.Pos(), fmt.Sprintf("%d became %d", v, v+1), func() { n.Value = strconv.Itoa(v + 1) }, func() { n.Value = was })
			}
		case *ast.IfStmt:
			was := n.Cond
			add(n.Pos(), "a condition always holds not", func() { n.Cond = &ast.BinaryExpr{X: ast.NewIdent("false"), Op: token.LAND, Y: &ast.ParenExpr{X: was}} },
				func() { n.Cond = was })
		case *ast.BlockStmt:
			for i, s := range n.List {
				switch s.(type) {
				case *ast.ExprStmt, *ast.IncDecStmt:
					add(s.Pos(), "a statement is left out", func() { n.List[i] = &ast.EmptyStmt{} }, func() { n.List[i] = s })
				}
			}
		}
		return true
	})
	return out
}

func main() {
	n := flag.Int("n", 100, "how many mistakes")
	seed := flag.Uint64("seed", 1, "another one makes others")
	in := flag.String("in", "core", "folder")
	flag.Parse()
	fset := token.NewFileSet()
	files := map[string]*ast.File{}
	var all []mistake
	err := filepath.WalkDir(*in, func(path string, d fs.DirEntry, err error) error {
		if err != nil || d.IsDir() || !strings.HasSuffix(path, ".go") || strings.HasSuffix(path, "_test.go") || strings.Contains(path, "/sample/") {
			return err
		}
		f, err := parser.ParseFile(fset, path, nil, 0)
		if err != nil {
			return err
		}
		files[path] = f
		all = append(all, mistakes(fset, path, f)...)
		return nil
	})
	if err != nil {
		fmt.Fprintln(os.Stderr, "mutate:", err)
		os.Exit(1)
	}
	r := rand.New(rand.NewPCG(*seed, 1))
	r.Shuffle(len(all), func(i, j int) { all[i], all[j] = all[j], all[i] })
	made, found := 0, 0
	for _, m := range all {
		if made == *n {
			break
		}
		switch verdict := try(fset, files[m.file], m); verdict {
		case "":
			continue // it does not compile
		case "found":
			found++
		default:
			fmt.Printf("%s:%d: %s, and no test finds it (%d of %d were found before)\n", m.file, m.line, m.what, found, made)
		}
		made++
	}
	if made > 0 {
		fmt.Printf("%d of %d mistakes were found: %d %%\n", found, made, 100*found/made)
	}
}

// try tests the core with a mistake: "found", "missed", or "" where it does not compile.
func try(fset *token.FileSet, f *ast.File, m mistake) string {
	m.do()
	var text bytes.Buffer
	err := printer.Fprint(&text, fset, f)
	m.undo()
	if err != nil {
		return ""
	}
	dir, err := os.MkdirTemp("", "mutate")
	if err != nil {
		return ""
	}
	defer func() { _ = os.RemoveAll(dir) }()
	changed, overlay := filepath.Join(dir, "changed.go"), filepath.Join(dir, "overlay.json")
	whole, _ := filepath.Abs(m.file) // the folder that this runs in is there
	plan, _ := json.Marshal(map[string]any{"Replace": map[string]string{whole: changed}})
	if os.WriteFile(changed, text.Bytes(), 0o600) != nil || os.WriteFile(overlay, plan, 0o600) != nil {
		return ""
	}
	pkg := "./" + filepath.Dir(m.file)
	if exec.Command("go", "build", "-overlay", overlay, "./core/...").Run() != nil {
		return ""
	}
	for _, tests := range [][]string{{pkg}, {"./core/author", "./core/session", "./core/edit", "./core/replica", "./core/hand", "./core/play", "./core/document"}} {
		args := append([]string{"test", "-overlay", overlay, "-failfast", "-timeout", "120s"}, tests...)
		if exec.Command("go", args...).Run() != nil {
			return "found"
		}
	}
	return "missed"
}
