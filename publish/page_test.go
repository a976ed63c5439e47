package publish_test

import (
	"azzel/core/edit"
	"azzel/core/sample"
	"azzel/publish"
	"bytes"
	"crypto/sha256"
	"encoding/base64"
	"encoding/json"
	"errors"
	"fmt"
	"image/png"
	"regexp"
	"strings"
	"testing"
)

// Nothing that a designer writes becomes part of the page's markup, and its policy lets in just the scripts that it has.
func TestPageHoldsNothingForeign(t *testing.T) {
	evil := `</script><script>alert(1)</script><!-- "tide" & 'salt'`
	d := sample.With(sample.Full(), edit.Set(edit.Ref{Type: edit.TypeProject}, "name", evil))
	page, err := publish.Page(d, func(string) ([]byte, error) { return []byte("png"), nil })
	if errors.Is(err, publish.ErrNotBuilt) {
		t.Skip("the interface has not been built")
	}
	if err != nil {
		t.Fatal(err)
	}
	text := string(page)
	if strings.Contains(text, "alert(1)</script>") || strings.Count(text, "<script") != 4 {
		t.Error("a name is part of the markup")
	}
	// until the game is there the map behind its title is seen; sounds that are heard go along
	var game struct {
		Loading string
		Sounds  map[string]string
	}
	_, rest, _ := strings.Cut(text, `id="game">`)
	data, _, _ := strings.Cut(rest, "</script>")
	if err := json.Unmarshal([]byte(data), &game); err != nil || len(game.Sounds) != 1 {
		t.Errorf("the game brings %d sounds, %v", len(game.Sounds), err)
	}
	if small, err := base64.StdEncoding.DecodeString(game.Loading); err != nil {
		t.Error(err)
	} else if img, err := png.DecodeConfig(bytes.NewReader(small)); err != nil || max(img.Width, img.Height) > 320 {
		t.Errorf("what is seen meanwhile is %d × %d, %v", img.Width, img.Height, err)
	}
	policy := regexp.MustCompile(`Content-Security-Policy" content="([^"]+)"`).FindStringSubmatch(text)[1]
	for _, m := range regexp.MustCompile(`(?s)<script>(.*?)</script>`).FindAllStringSubmatch(text, -1) {
		sum := sha256.Sum256([]byte(m[1]))
		if !strings.Contains(policy, base64.StdEncoding.EncodeToString(sum[:])) {
			t.Error("a script of the page is not let in by its policy")
		}
	}
	for _, m := range regexp.MustCompile(`(?:src|href)="?([a-z]+:|/)`).FindAllString(text[:strings.Index(text, "<style>")], -1) {
		t.Errorf("the page asks for something: %s", m)
	}
	if strings.Contains(policy, "unsafe-inline") || strings.Contains(policy, "http") || strings.Contains(policy, "*") {
		t.Errorf("the policy lets in too much: %s", policy)
	}
	if _, err := publish.Page(d, func(string) ([]byte, error) { return nil, errors.New("it is gone") }); err == nil || !strings.Contains(err.Error(), "a picture of the game") {
		t.Errorf("without a picture: %v", err)
	}
}

// The page for a web server is described with icons of the sizes that are asked for, and another page is kept by another name.
func TestFolder(t *testing.T) {
	make := func(name string) map[string]string {
		d := sample.With(sample.Full(), edit.Set(edit.Ref{Type: edit.TypeProject}, "name", name))
		files, err := publish.Folder(d, func(string) ([]byte, error) { return []byte("png"), nil })
		if errors.Is(err, publish.ErrNotBuilt) {
			t.Skip("the interface has not been built")
		}
		if err != nil {
			t.Fatal(err)
		}
		out := map[string]string{}
		for _, f := range files {
			out[f.Path] = string(f.Data)
		}
		return out
	}
	files, others := make("Low tide"), make("High tide")
	var m struct {
		Name  string
		Start string `json:"start_url"`
		Icons []struct{ Src, Sizes string }
	}
	if err := json.Unmarshal([]byte(files["manifest.webmanifest"]), &m); err != nil || m.Name != "Low tide" || m.Start != "./" || len(m.Icons) != 2 {
		t.Errorf("it is described as %+v, %v", m, err)
	}
	for _, i := range m.Icons {
		img, err := png.DecodeConfig(strings.NewReader(files[i.Src]))
		if err != nil || i.Sizes != fmt.Sprintf("%dx%d", img.Width, img.Height) {
			t.Errorf("the icon %s is %d wide, %v", i.Src, img.Width, err)
		}
	}
	if strings.Contains(files["worker.js"], "VERSION") || files["worker.js"] == others["worker.js"] {
		t.Error("the next page is kept as this one")
	}
	if !strings.Contains(files["index.html"], `rel="manifest"`) {
		t.Error("the page does not name its description")
	}
}
