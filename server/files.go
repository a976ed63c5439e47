package server

import (
	"azzel/web"
	"bytes"
	"compress/gzip"
	"crypto/sha256"
	"fmt"
	"io"
	"io/fs"
	"mime"
	"path"
	"strings"

	"github.com/gofiber/fiber/v3"
)

// file is one of the interface's files, as it is kept.
type file struct {
	data    []byte
	gzipped bool
	// small is the same in Brotli, nil where there is none.
	small []byte
	kind  string
	etag  string
}

// serveFiles serves the built interface from the binary. Files were gzipped by the build, the module is there in Brotli as well; names with a
// hash are kept by browsers for good.
func serveFiles() fiber.Handler {
	files, small := map[string]file{}, map[string][]byte{}
	root, err := fs.Sub(web.Dist, "dist")
	if err != nil {
		panic(err) // the folder is embedded
	}
	_ = fs.WalkDir(root, ".", func(name string, d fs.DirEntry, err error) error {
		if err != nil || d.IsDir() {
			return err
		}
		data, err := fs.ReadFile(root, name)
		if err != nil {
			return err
		}
		if plain, is := strings.CutSuffix(name, ".br"); is {
			small["/"+plain] = data
			return nil
		}
		plain, gzipped := strings.CutSuffix(name, ".gz")
		kind := mime.TypeByExtension(path.Ext(plain))
		switch path.Ext(plain) {
		case ".wasm":
			kind = "application/wasm"
		case ".js":
			kind = "text/javascript; charset=utf-8"
		}
		files["/"+plain] = file{data, gzipped, nil, kind, fmt.Sprintf(`"%x"`, sha256.Sum256(data))}
		return nil
	})
	for name, data := range small {
		f := files[name]
		f.small = data
		files[name] = f
	}
	return func(c fiber.Ctx) error {
		name := string([]byte(c.Path()))
		f, ok := files[name]
		if !ok && (name == "/" || strings.HasPrefix(name, "/p/")) {
			name = "/index.html"
			f, ok = files[name]
			if !ok {
				return &problem{fiber.StatusNotFound, codeGone, "The interface has not been built: run ./azzel demo."}
			}
		}
		if !ok {
			return fiber.ErrNotFound
		}
		if f.kind != "" {
			c.Set("Content-Type", f.kind)
		}
		if strings.HasPrefix(name, "/assets/") {
			c.Set("Cache-Control", "public, max-age=31536000, immutable")
		} else {
			c.Set("Cache-Control", "no-cache")
		}
		c.Set("Vary", "Accept-Encoding")
		c.Set("ETag", f.etag)
		if c.Get("If-None-Match") == f.etag {
			return c.SendStatus(fiber.StatusNotModified)
		}
		if !f.gzipped {
			return c.Send(f.data)
		}
		if f.small != nil && strings.Contains(c.Get("Accept-Encoding"), "br") {
			c.Set("Content-Encoding", "br")
			return c.Send(f.small)
		}
		if strings.Contains(c.Get("Accept-Encoding"), "gzip") {
			c.Set("Content-Encoding", "gzip")
			return c.Send(f.data)
		}
		zr, err := gzip.NewReader(bytes.NewReader(f.data))
		if err != nil {
			return err
		}
		data, err := io.ReadAll(zr)
		if err != nil {
			return err
		}
		return c.Send(data)
	}
}
