// Package publish makes the page that plays: one HTML file with the game, the module and all that they need, which asks for
// nothing from anywhere.
package publish

import (
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/world"
	"azzel/picture"
	"azzel/web"
	"bytes"
	"compress/gzip"
	"crypto/sha256"
	"encoding/base64"
	"encoding/json"
	"errors"
	"fmt"
	"html"
	"image/png"
	"io"
	"strings"
)

// ErrNotBuilt says that the interface is missing in this program.
var ErrNotBuilt = errors.New("the page that plays has not been built: run ./azzel demo once")

// styleAttribute is the one style attribute that is allowed, by its hash: “display: contents;”.
const styleAttribute = "'unsafe-hashes' 'sha256-iaOezIDcQIoxCULa6FBKKuLUu09R7kG+Mlu+JVfU3Rw='"

// game is what the page reads of its own file.
type game struct {
	Name     string            `json:"name"`
	State    string            `json:"state"`
	Pictures map[string]string `json:"pictures"`
	Sounds   map[string]string `json:"sounds"`
	// Loading is what is seen until the game is there, as a small PNG.
	Loading string `json:"loading"`
}

// Page makes the file; stored gives the PNG of a picture, or the file of a sound, by its SHA-256. Pins and recordings are the designer's and left out.
func Page(d *document.Document, stored func(sha string) ([]byte, error)) ([]byte, error) {
	return pageOf(d, stored, false)
}

// pageOf makes the file; one of several has a manifest and a worker beside it.
func pageOf(d *document.Document, stored func(sha string) ([]byte, error), several bool) ([]byte, error) {
	script, err := built("page/page.js")
	if err != nil {
		return nil, err
	}
	style, err := built("page/page.css")
	if err != nil {
		return nil, err
	}
	starter, err := built("wasm_exec.js")
	if err != nil {
		return nil, err
	}
	module, err := web.Dist.ReadFile("dist/play.wasm.gz")
	if err != nil {
		return nil, ErrNotBuilt
	}
	own := *d
	own.Pins, own.Recordings = document.Table[document.Pin]{}, document.Table[document.Recording]{}
	state, err := packed(own.Encode())
	if err != nil {
		return nil, err
	}
	g := game{d.Project.Name, base64.StdEncoding.EncodeToString(state), map[string]string{}, map[string]string{}, loading(d, stored)}
	for _, sha := range pictures(d) {
		data, err := stored(sha)
		if err != nil {
			return nil, fmt.Errorf("a picture of the game: %w", err)
		}
		g.Pictures[sha] = base64.StdEncoding.EncodeToString(data)
	}
	for _, o := range d.Sounds.All() {
		if len(o.As) == 0 {
			continue // it is never heard
		}
		data, err := stored(o.File)
		if err != nil {
			return nil, fmt.Errorf("a sound of the game: %w", err)
		}
		g.Sounds[o.File] = base64.StdEncoding.EncodeToString(data)
	}
	data, err := json.Marshal(g) // “<” is escaped in it
	if err != nil {
		return nil, fmt.Errorf("write the game: %w", err)
	}
	return assembled(d.Project.Name, script, style, starter, data, module, several), nil
}

// loadingSide is how large the picture is that is seen until the game is there.
const loadingSide = 320

// loading is the map behind the title as a small picture; empty where there is none.
func loading(d *document.Document, stored func(sha string) ([]byte, error)) string {
	m := d.Maps.Get(document.ID(d.GameValue(kind.GameBehind).Word()))
	if m == nil {
		g, err := play.Start(world.New(d, chart.New(d, nil), nil), "", 1)
		if err != nil {
			return ""
		}
		m = g.Ground().Map
	}
	img, err := picture.Source{Doc: d, Picture: stored}.Small(m, loadingSide)
	var out bytes.Buffer
	if err != nil || png.Encode(&out, img) != nil {
		return "" // it is only not seen
	}
	return base64.StdEncoding.EncodeToString(out.Bytes())
}

// pictures are those that a project shows, each once.
func pictures(d *document.Document) (out []string) {
	seen := map[string]bool{"": true}
	add := func(sha string) {
		if !seen[sha] {
			seen[sha] = true
			out = append(out, sha)
		}
	}
	for _, t := range d.Tilesets.All() {
		add(t.Picture)
	}
	for _, m := range d.Maps.All() {
		for _, l := range m.Layers.All() {
			if l.Image != nil {
				add(l.Image.Picture)
			}
		}
	}
	return out
}

func assembled(name, script, style, starter string, data, module []byte, several bool) []byte {
	starter, script = inert(starter), inert(script)
	policy := "default-src 'none'; script-src " + hashOf(starter) + " " + hashOf(script) + " 'wasm-unsafe-eval'; style-src " + hashOf(style) + "; style-src-attr " + styleAttribute +
		"; font-src data:; media-src data: blob:; base-uri 'none'; form-action 'none'"
	links := ""
	if several {
		policy += "; img-src 'self' data: blob:; manifest-src 'self'; worker-src 'self'"
		links = "<link rel=\"manifest\" href=\"manifest.webmanifest\">\n<link rel=\"icon\" href=\"icon-192.png\">\n<meta name=\"theme-color\" content=\"" + glaze + "\">\n"
	} else {
		policy += "; img-src data: blob:"
	}
	var out bytes.Buffer
	out.WriteString("<!doctype html>\n<html lang=\"en\" data-theme=\"plaster\">\n<head>\n<meta charset=\"utf-8\">\n")
	fmt.Fprintf(&out, "<meta http-equiv=\"Content-Security-Policy\" content=\"%s\">\n", html.EscapeString(policy))
	fmt.Fprintf(&out, "<meta name=\"viewport\" content=\"width=device-width, initial-scale=1, viewport-fit=cover\">\n<title>%s</title>\n%s", html.EscapeString(name), links)
	fmt.Fprintf(&out, "<style>%s</style>\n</head>\n<body>\n<div id=\"app\"></div>\n", style)
	fmt.Fprintf(&out, "<script type=\"application/json\" id=\"game\">%s</script>\n", data)
	out.WriteString("<script type=\"text/plain\" id=\"module\">")
	out.WriteString(base64.StdEncoding.EncodeToString(module))
	fmt.Fprintf(&out, "</script>\n<script>%s</script>\n<script>%s</script>\n</body>\n</html>\n", starter, script)
	return out.Bytes()
}

// inert keeps a script from ending where a text in it looks like its end.
func inert(script string) string {
	return strings.NewReplacer("</script", `<\/script`, "<!--", `<\!--`).Replace(script)
}

func hashOf(text string) string {
	sum := sha256.Sum256([]byte(text))
	return "'sha256-" + base64.StdEncoding.EncodeToString(sum[:]) + "'"
}

// built is a file of the interface, which the build has packed.
func built(name string) (string, error) {
	data, err := web.Dist.ReadFile("dist/" + name + ".gz")
	if err != nil {
		return "", ErrNotBuilt
	}
	r, err := gzip.NewReader(bytes.NewReader(data))
	if err != nil {
		return "", fmt.Errorf("read %s: %w", name, err)
	}
	text, err := io.ReadAll(r)
	if err != nil {
		return "", fmt.Errorf("read %s: %w", name, err)
	}
	return string(text), nil
}

func packed(data []byte) ([]byte, error) {
	var out bytes.Buffer
	w, err := gzip.NewWriterLevel(&out, gzip.BestCompression)
	if err == nil {
		_, err = w.Write(data)
	}
	if err == nil {
		err = w.Close()
	}
	if err != nil {
		return nil, fmt.Errorf("pack the game: %w", err)
	}
	return out.Bytes(), nil
}
