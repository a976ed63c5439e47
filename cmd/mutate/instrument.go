package main

import (
	"bytes"
	"fmt"
	"go/ast"
	"go/parser"
	"go/printer"
	"go/token"
	"io/fs"
	"os"
	"path/filepath"
	"strconv"
	"strings"

	"golang.org/x/tools/go/ast/astutil"
)

// point is a place of the core where a mistake can be made; its id is its index + 1.
type point struct {
	file string
	line int
	what string
}

var swaps = map[token.Token][]token.Token{
	token.EQL: {token.NEQ}, token.NEQ: {token.EQL}, token.LSS: {token.LEQ, token.GEQ}, token.LEQ: {token.LSS}, token.GTR: {token.GEQ, token.LEQ},
	token.GEQ: {token.GTR}, token.LAND: {token.LOR}, token.LOR: {token.LAND},
}

// core is the text of the core's packages with every mistake in it, each made only
// where mistake.Is says so, so that all of them are compiled once.
type core struct {
	fset   *token.FileSet
	points []point
	// without are those that cannot be compiled this way
	without map[int]bool
	texts   map[string]string
}

// instrument gives the files of a folder all mistakes but those that are to be left out.
func instrument(in string, without map[int]bool) (*core, error) {
	c := &core{fset: token.NewFileSet(), without: without, texts: map[string]string{}}
	err := filepath.WalkDir(in, func(path string, d fs.DirEntry, err error) error {
		if err != nil || d.IsDir() || !strings.HasSuffix(path, ".go") || strings.HasSuffix(path, "_test.go") || strings.Contains(path, "/sample/") {
			return err
		}
		was, err := os.ReadFile(path)
		if err != nil || bytes.Contains(was, []byte("\n//go:embed ")) { // which the printed text would lack
			return err
		}
		f, err := parser.ParseFile(c.fset, path, was, parser.SkipObjectResolution)
		if err != nil {
			return err
		}
		before := len(c.points)
		c.file(path, f)
		if len(c.points) == before {
			return nil
		}
		var text bytes.Buffer
		if err := printer.Fprint(&text, c.fset, f); err != nil {
			return err
		}
		head := "package " + f.Name.Name + "\n"
		c.texts[path] = strings.Replace(text.String(), head, head+"\nimport mistake \"azzel/core/mistake\"\n", 1) + "\nvar _ = mistake.Is\n"
		return nil
	})
	return c, err
}

// new notes a place, and says whether a mistake is made there.
func (c *core) new(path string, at token.Pos, format string, args ...any) (id int, ok bool) {
	c.points = append(c.points, point{path, c.fset.Position(at).Line, fmt.Sprintf(format, args...)})
	id = len(c.points)
	return id, !c.without[id]
}

// call is mistake.name(id, args…).
func call(name string, id int, args ...ast.Expr) ast.Expr {
	return &ast.CallExpr{Fun: &ast.SelectorExpr{X: ast.NewIdent("mistake"), Sel: ast.NewIdent(name)},
		Args: append([]ast.Expr{&ast.BasicLit{Kind: token.INT, Value: strconv.Itoa(id)}}, args...)}
}

func isNot(id int) ast.Expr { return &ast.UnaryExpr{Op: token.NOT, X: call("Is", id)} }

func both(x, y ast.Expr) ast.Expr {
	return &ast.BinaryExpr{X: x, Op: token.LAND, Y: &ast.ParenExpr{X: y}}
}

func (c *core) file(path string, f *ast.File) {
	astutil.Apply(f, func(cur *astutil.Cursor) bool {
		switch n := cur.Node().(type) {
		case *ast.GenDecl:
			return n.Tok != token.CONST
		case *ast.ArrayType, *ast.StructType:
			return false
		}
		return true
	}, func(cur *astutil.Cursor) bool {
		switch n := cur.Node().(type) {
		case *ast.BinaryExpr:
			c.binary(path, cur, n)
		case *ast.BasicLit:
			if v, err := strconv.Atoi(n.Value); err == nil && n.Kind == token.INT {
				if id, ok := c.new(path, n.Pos(), "%d became %d", v, v+1); ok {
					cur.Replace(call("Int", id, n))
				}
			}
		case *ast.IfStmt:
			if id, ok := c.new(path, n.Pos(), "a condition never holds"); ok {
				n.Cond = both(isNot(id), n.Cond)
			}
		case *ast.BlockStmt:
			for i, s := range n.List {
				switch s.(type) {
				case *ast.ExprStmt, *ast.IncDecStmt:
					if id, ok := c.new(path, s.Pos(), "a statement is left out"); ok {
						n.List[i] = &ast.IfStmt{Cond: isNot(id), Body: &ast.BlockStmt{List: []ast.Stmt{s}}}
					}
				}
			}
		}
		return true
	})
}

func (c *core) binary(path string, cur *astutil.Cursor, n *ast.BinaryExpr) {
	if n.Op == token.ADD || n.Op == token.SUB {
		if lit, ok := n.X.(*ast.BasicLit); ok && lit.Kind == token.STRING {
			return // text put together
		}
		other, name := token.SUB, "Add"
		if n.Op == token.SUB {
			other, name = token.ADD, "Sub"
		}
		if id, ok := c.new(path, n.OpPos, "%s became %s", n.Op, other); ok {
			cur.Replace(call(name, id, n.X, n.Y))
		}
		return
	}
	var whole, right ast.Expr
	for _, op := range swaps[n.Op] {
		id, ok := c.new(path, n.OpPos, "%s became %s", n.Op, op)
		if !ok {
			continue
		}
		wrong := both(call("Is", id), &ast.BinaryExpr{X: n.X, Op: op, Y: n.Y})
		if whole == nil {
			whole, right = wrong, isNot(id)
			continue
		}
		whole, right = &ast.BinaryExpr{X: whole, Op: token.LOR, Y: wrong}, &ast.BinaryExpr{X: right, Op: token.LAND, Y: isNot(id)}
	}
	if whole != nil {
		cur.Replace(&ast.ParenExpr{X: &ast.BinaryExpr{X: whole, Op: token.LOR,
			Y: both(right, &ast.BinaryExpr{X: n.X, Op: n.Op, Y: n.Y})}})
	}
}

// mistakes is the package that the core asks, in the test binaries alone.
const mistakes = `package mistake

import (
	"fmt"
	"os"
	"strconv"
)

var on, _ = strconv.Atoi(os.Getenv("AZZEL_MISTAKE"))
var watching = os.Getenv("AZZEL_MISTAKES_SEEN") != ""
var seen [1 << 16]bool
var out *os.File

func see(id int) {
	if seen[id] {
		return
	}
	seen[id] = true
	if out == nil {
		out, _ = os.OpenFile(os.Getenv("AZZEL_MISTAKES_SEEN"), os.O_CREATE|os.O_APPEND|os.O_WRONLY, 0o600)
	}
	fmt.Fprintln(out, id)
}

func Is(id int) bool {
	if watching {
		see(id)
	}
	return on == id
}

type number interface {
	~int | ~int8 | ~int16 | ~int32 | ~int64 | ~uint | ~uint8 | ~uint16 | ~uint32 | ~uint64 | ~uintptr
}

func Add[T number](id int, a, b T) T {
	if Is(id) {
		return a - b
	}
	return a + b
}

func Sub[T number](id int, a, b T) T {
	if Is(id) {
		return a + b
	}
	return a - b
}

func Int[T number](id int, v T) T {
	if Is(id) {
		return v + 1
	}
	return v
}
`
