package format

import (
	"archive/zip"
	"bytes"
	"errors"
	"fmt"
	"io"
	"slices"
	"strings"
)

// Limits of an archive.
const (
	MaxFiles = 20_000
	// MaxFile and MaxFiles limit what files hold when they are unpacked, in bytes: one, and all.
	MaxFile     = 96 << 20
	MaxUnpacked = 384 << 20
	longestPath = 240
)

// Pack puts files into a ZIP, in their order; the same files always make the same bytes.
func Pack(files []File) ([]byte, error) {
	var out bytes.Buffer
	z := zip.NewWriter(&out)
	for _, f := range files {
		h := &zip.FileHeader{Name: f.Path, Method: zip.Deflate}
		if strings.HasSuffix(f.Path, ".png") {
			h.Method = zip.Store // packed already
		}
		w, err := z.CreateHeader(h)
		if err == nil {
			_, err = w.Write(f.Data)
		}
		if err != nil {
			return nil, fmt.Errorf("pack %s: %w", f.Path, err)
		}
	}
	if err := z.Close(); err != nil {
		return nil, fmt.Errorf("pack a project: %w", err)
	}
	return out.Bytes(), nil
}

// Unpack takes the files out of a ZIP. A folder around all of them, as some programs make it, is left out. Sizes are checked
// before, and while, anything is unpacked.
func Unpack(data []byte) ([]File, error) {
	z, err := zip.NewReader(bytes.NewReader(data), int64(len(data)))
	if err != nil {
		return nil, errors.New("that is no ZIP, or it is cut off: choose the ZIP of a project")
	}
	if len(z.File) > MaxFiles {
		return nil, fmt.Errorf("that ZIP holds more than %d files", MaxFiles)
	}
	var files []File
	small := map[string]string{}
	left := uint64(MaxUnpacked)
	for _, f := range z.File {
		if strings.HasSuffix(f.Name, "/") {
			continue
		}
		if err := checkPath(f.Name); err != nil {
			return nil, err
		}
		if f.Flags&1 != 0 {
			return nil, fmt.Errorf("%.80s is locked with a password: make the ZIP anew without one", f.Name)
		}
		if other, same := small[strings.ToLower(f.Name)]; same {
			return nil, fmt.Errorf("%.80s and %.80s would be one file on many machines: give one another name", other, f.Name)
		}
		small[strings.ToLower(f.Name)] = f.Name
		if f.UncompressedSize64 > min(MaxFile, left) {
			return nil, tooLarge(f.Name)
		}
		content, err := unpacked(f, int64(min(MaxFile, left)))
		if err != nil {
			return nil, err
		}
		left -= uint64(len(content))
		files = append(files, File{f.Name, content})
	}
	return sorted(within(files)), nil
}

func tooLarge(name string) error {
	return fmt.Errorf("%.80s: that is larger than a project can be (a file %d MB, all %d MB)", name, MaxFile>>20, MaxUnpacked>>20)
}

func unpacked(f *zip.File, most int64) ([]byte, error) {
	r, err := f.Open()
	if err != nil {
		return nil, fmt.Errorf("%.80s cannot be unpacked: make the ZIP anew", f.Name)
	}
	defer r.Close()
	content, err := io.ReadAll(io.LimitReader(r, most+1))
	switch {
	case err != nil:
		return nil, fmt.Errorf("%.80s cannot be unpacked: make the ZIP anew", f.Name)
	case int64(len(content)) > most:
		return nil, tooLarge(f.Name)
	}
	return content, nil
}

// reserved are names that no file can have on some machines.
var reserved = []string{"con", "prn", "aux", "nul", "com1", "com2", "com3", "com4", "lpt1", "lpt2", "lpt3"}

// checkPath refuses what would lie outside of a project's folder.
func checkPath(name string) error {
	bad := name == "" || len(name) > longestPath || strings.HasPrefix(name, "/") || strings.ContainsAny(name, "\\:\x00")
	for _, step := range strings.Split(name, "/") {
		base, _, _ := strings.Cut(strings.ToLower(step), ".")
		bad = bad || step == ".." || step == "." || slices.Contains(reserved, base)
	}
	if bad {
		return fmt.Errorf("“%.80s” is no name of a file of a project", name)
	}
	return nil
}

// within leaves out a folder that all files lie in.
func within(files []File) []File {
	for _, f := range files {
		if f.Path == projectFile {
			return files
		}
	}
	for _, f := range files {
		if dir, ok := strings.CutSuffix(f.Path, "/"+projectFile); ok && !strings.Contains(dir, "/") {
			var out []File
			for _, g := range files {
				if rest, in := strings.CutPrefix(g.Path, dir+"/"); in {
					out = append(out, File{rest, g.Data})
				}
			}
			return out
		}
	}
	return files
}
