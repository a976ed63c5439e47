package publish

import (
	"azzel/core/document"
	"azzel/core/format"
	"azzel/picture"
	"bytes"
	"crypto/sha256"
	_ "embed"
	"encoding/hex"
	"encoding/json"
	"fmt"
	"image/png"
	"strings"
)

//go:embed worker.js
var worker string

// iconSizes are those that browsers ask for before they install a page, in pixels.
var iconSizes = []int{192, 512}

// Colours of the page before it is drawn.
const (
	plaster = "#f4efe6"
	glaze   = "#0f6a6c"
)

// manifest describes the page to a browser that installs it. (Web Application Manifest, W3C.)
type manifest struct {
	Name       string `json:"name"`
	ShortName  string `json:"short_name"`
	Start      string `json:"start_url"`
	Scope      string `json:"scope"`
	Display    string `json:"display"`
	Background string `json:"background_color"`
	Theme      string `json:"theme_color"`
	Icons      []icon `json:"icons"`
}

type icon struct {
	Src   string `json:"src"`
	Sizes string `json:"sizes"`
	Type  string `json:"type"`
}

// Folder makes the files of the page that plays as they are put on a web server: there it can be installed, and plays without a
// network from then on. The page alone is the same as Page.
func Folder(d *document.Document, bytesOf func(sha string) ([]byte, error)) ([]format.File, error) {
	page, err := pageOf(d, bytesOf, true)
	if err != nil {
		return nil, err
	}
	name := d.Project.Name
	m := manifest{Name: name, ShortName: name, Start: "./", Scope: "./", Display: "fullscreen", Background: plaster, Theme: glaze}
	files := []format.File{{Path: "index.html", Data: page}}
	for _, size := range iconSizes {
		path := fmt.Sprintf("icon-%d.png", size)
		var out bytes.Buffer
		if err := png.Encode(&out, picture.Source{Doc: d, Picture: bytesOf}.Icon(size, glaze)); err != nil {
			return nil, fmt.Errorf("draw an icon: %w", err)
		}
		files = append(files, format.File{Path: path, Data: out.Bytes()})
		m.Icons = append(m.Icons, icon{path, fmt.Sprintf("%dx%d", size, size), "image/png"})
	}
	text, err := json.MarshalIndent(m, "", "\t")
	if err != nil {
		return nil, fmt.Errorf("describe the page: %w", err)
	}
	sum := sha256.New()
	for _, f := range files {
		sum.Write(f.Data)
	}
	return append(files, format.File{Path: "manifest.webmanifest", Data: text},
		format.File{Path: "worker.js", Data: []byte(strings.Replace(worker, "VERSION", hex.EncodeToString(sum.Sum(nil)[:8]), 1))}), nil
}
