// Package cli has what Azzel does on the command line without a server and a database: projects as files, made, checked,
// compared, merged and drawn.
package cli

import (
	"azzel/core/document"
	"azzel/core/format"
	"azzel/server"
	"bytes"
	"errors"
	"fmt"
	"io"
	"io/fs"
	"net/http"
	"net/url"
	"os"
	"path/filepath"
	"strings"
	"time"
)

// Project is a project that was read from files, with its pictures by their SHA-256.
type Project struct {
	Doc      *document.Document
	Pictures map[string][]byte
}

// picture gives the PNG of a picture.
func (p *Project) picture(sha string) ([]byte, error) {
	if data := p.Pictures[sha]; data != nil {
		return data, nil
	}
	return nil, errors.New("the picture is missing")
}

// files are those of the project.
func (p *Project) files() ([]format.File, error) { return format.Write(p.Doc, p.picture) }

// hidden are what version control and others keep beside a project; they are passed over.
func hidden(name string) bool { return strings.HasPrefix(name, ".") }

// Load reads a project: a ZIP, the folder that one was unpacked to, “-” for a ZIP from standard input, or the address of a
// project on a running server, as http://127.0.0.1:7420/p/….
func Load(from string) (*Project, error) {
	files, err := filesAt(from)
	if err != nil {
		return nil, err
	}
	in := server.NewIntake()
	doc, err := format.Read(files, in)
	if err != nil {
		return nil, fmt.Errorf("%s: %w", from, err)
	}
	return &Project{doc, in.Bytes}, nil
}

func filesAt(from string) ([]format.File, error) {
	if strings.HasPrefix(from, "http://") || strings.HasPrefix(from, "https://") {
		data, err := fetched(from)
		if err != nil {
			return nil, err
		}
		return format.Unpack(data)
	}
	if from == "-" {
		data, err := io.ReadAll(io.LimitReader(os.Stdin, format.MaxUnpacked))
		if err != nil {
			return nil, fmt.Errorf("read standard input: %w", err)
		}
		return format.Unpack(data)
	}
	info, err := os.Stat(from)
	if err != nil {
		return nil, fmt.Errorf("there is no project at %s: name a ZIP or a folder", from)
	}
	if info.IsDir() {
		return inFolder(from)
	}
	if info.Size() > format.MaxUnpacked {
		return nil, fmt.Errorf("%s is larger than a project can be", from)
	}
	data, err := os.ReadFile(from)
	if err != nil {
		return nil, fmt.Errorf("read %s: %w", from, err)
	}
	files, err := format.Unpack(data)
	if err != nil {
		return nil, fmt.Errorf("%s: %w", from, err)
	}
	return files, nil
}

// inFolder reads the files of a folder.
func inFolder(folder string) (files []format.File, err error) {
	left := int64(format.MaxUnpacked)
	err = filepath.WalkDir(folder, func(path string, d fs.DirEntry, err error) error {
		if err != nil {
			return err
		}
		name, err := filepath.Rel(folder, path)
		if err != nil || name == "." {
			return err
		}
		if hidden(d.Name()) {
			if d.IsDir() {
				return fs.SkipDir
			}
			return nil
		}
		if !d.Type().IsRegular() {
			return nil
		}
		info, err := d.Info()
		if err != nil {
			return err
		}
		if left -= info.Size(); info.Size() > format.MaxFile || left < 0 || len(files) >= format.MaxFiles {
			return fmt.Errorf("%s holds more than a project can", folder)
		}
		data, err := os.ReadFile(path)
		files = append(files, format.File{Path: filepath.ToSlash(name), Data: data})
		return err
	})
	return files, err
}

// Save writes a project, and more files beside it: as a ZIP where the name ends so, to standard output for “-”, else as a folder, whose files that the
// project has no more are taken away.
func (p *Project) Save(to string, more ...format.File) error {
	files, err := p.files()
	if err != nil {
		return err
	}
	files = append(files, more...)
	if to != "-" && !strings.EqualFold(filepath.Ext(to), ".zip") {
		return intoFolder(to, files)
	}
	data, err := format.Pack(files)
	if err != nil {
		return err
	}
	if to == "-" {
		_, err = os.Stdout.Write(data)
		return err
	}
	return written(to, data)
}

// put writes data to a file, or to standard output for “-”.
func put(out io.Writer, to string, data []byte) error {
	if to == "-" {
		_, err := out.Write(data)
		return err
	}
	return written(to, data)
}

// written puts a file into its place at once, or not at all.
func written(path string, data []byte) error {
	if err := os.MkdirAll(filepath.Dir(path), 0o755); err != nil {
		return fmt.Errorf("make a folder: %w", err)
	}
	part := path + ".part"
	if err := os.WriteFile(part, data, 0o644); err != nil {
		return fmt.Errorf("write %s: %w", path, err)
	}
	if err := os.Rename(part, path); err != nil {
		return fmt.Errorf("write %s: %w", path, err)
	}
	return nil
}

// owned are the folders in which files that a project has no more are taken away.
var owned = []string{"derived", "kinds", "maps", "materials", "motifs", "pins", "recordings", "rules", "schemas", "sounds", "texts", "tilesets"}

func intoFolder(folder string, files []format.File) error {
	if all, err := os.ReadDir(folder); err == nil && len(all) > 0 {
		if _, err := os.Stat(filepath.Join(folder, "project.json")); err != nil {
			return fmt.Errorf("%s holds something else than a project: name a new folder, or one with a project.json", folder)
		}
	}
	keep := map[string]bool{}
	for _, f := range files {
		path := filepath.Join(folder, filepath.FromSlash(f.Path))
		keep[path] = true
		if old, err := os.ReadFile(path); err == nil && bytes.Equal(old, f.Data) {
			continue
		}
		if err := written(path, f.Data); err != nil {
			return err
		}
	}
	for _, dir := range owned {
		err := filepath.WalkDir(filepath.Join(folder, dir), func(path string, d fs.DirEntry, err error) error {
			switch {
			case errors.Is(err, fs.ErrNotExist):
				return nil
			case err != nil || d.IsDir() || keep[path] || hidden(d.Name()):
				return err
			}
			return os.Remove(path)
		})
		if err != nil {
			return fmt.Errorf("tidy %s: %w", folder, err)
		}
	}
	return nil
}

// client asks a running server.
type client struct {
	base  string
	http  *http.Client
	token string
}

// at is the server of a project's address, and the project's id; empty for the server alone.
func at(address string) (*client, string, error) {
	u, err := url.Parse(address)
	if err != nil || u.Host == "" {
		return nil, "", fmt.Errorf("%s is no address: copy it from the browser, as http://127.0.0.1:7420/p/…", address)
	}
	id, _ := strings.CutPrefix(strings.TrimSuffix(u.Path, "/"), "/p/")
	c := &client{base: u.Scheme + "://" + u.Host, http: &http.Client{Timeout: 2 * time.Minute, Jar: newJar()}}
	return c, id, c.greet()
}

func fetched(address string) ([]byte, error) {
	c, id, err := at(address)
	if err != nil {
		return nil, err
	}
	if id == "" {
		return nil, fmt.Errorf("%s names no project: copy the address of one, as …/p/saltworkslow", address)
	}
	return c.ask("GET", "/api/projects/"+id+"/export", nil)
}
