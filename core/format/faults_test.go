package format_test

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/format"
	"azzel/core/grid"
	"azzel/core/sample"
	"slices"
	"strings"
	"testing"
)

// cell paints one cell of the first layer of tiles of a map.
func cell(d *document.Document, x, y int) edit.Primitive {
	m := d.Maps.Get(sample.Quay)
	for _, l := range m.LayersInOrder() {
		if l.Kind == document.LayerTiles {
			region := &grid.Region{}
			region.Add(grid.Point{X: x, Y: y})
			return sample.Paint(m.ID, l.ID, region, cells.TileCell(1, 5).Turned(grid.Turn(1)))
		}
	}
	panic("the sample has a layer of tiles")
}

// What is wrong with files is one sentence that names the file, and the line where it can.
func TestFaults(t *testing.T) {
	d := sample.With(sample.Full(), cell(sample.Full(), 2, 2))
	replace := func(end, old, by string) func(t *testing.T, files []format.File) []format.File {
		return func(t *testing.T, files []format.File) []format.File {
			f := find(t, files, end)
			if !strings.Contains(string(f.Data), old) {
				t.Fatalf("%s has no %q:\n%.600s", f.Path, old, f.Data)
			}
			f.Data = []byte(strings.Replace(string(f.Data), old, by, 1))
			return files
		}
	}
	without := func(end string) func(t *testing.T, files []format.File) []format.File {
		return func(t *testing.T, files []format.File) []format.File {
			f := find(t, files, end).Path
			return slices.DeleteFunc(files, func(g format.File) bool { return g.Path == f })
		}
	}
	for name, c := range map[string]struct {
		change func(t *testing.T, files []format.File) []format.File
		want   string
	}{
		"no project":      {without("project.json"), "project.json: it is missing"},
		"no picture":      {without("tilesets/coast.png"), "tilesets/coast.json: the file “coast.png” that it names is missing"},
		"no cells":        {without("maps/quay/ground.csv"), "maps/quay.json: the file “quay/ground.csv” that it names is missing"},
		"a newer version": {replace("project.json", `"azzel": `, `"azzel": 9`), "project.json: a newer version of Azzel wrote this"},
		"no version":      {replace("project.json", `"azzel": `, `"azzels": `), "project.json: “azzel” says nothing"},
		"cut off": {func(t *testing.T, files []format.File) []format.File {
			f := find(t, files, "maps/quay.json")
			f.Data = f.Data[:9]
			return files
		}, "line 1"},
		"a comma too many": {replace("maps/quay.json", "\"name\": \"Quay\"", "\"name\": \"Quay\",,"), "maps/quay.json: line "},
		"no cell":          {replace("maps/quay/ground.csv", "1:5 turned 90", "1:5 turned 91"), "maps/quay/ground.csv: line "},
		"a line too short": {replace("maps/quay/ground.csv", ",\n", "\n"), "maps/quay/ground.csv: line "},
		"an unknown field": {replace("maps/quay.json", "\"name\": \"Quay\"", "\"naem\": \"Quay\""), "maps/quay.json: a name cannot be empty, and “naem” is nothing that is known here"},
		"a wrong type":     {replace("maps/quay.json", "\"name\": \"Quay\"", "\"name\": 7"), "maps/quay.json: “name” cannot be a number"},
		"an empty name":    {replace("maps/quay.json", "\"name\": \"Quay\"", "\"name\": \"\""), "maps/quay.json: a name cannot be empty"},
		"two of one name":  {replace("maps/quay.json", "\"name\": \"Quay\"", "\"name\": \"Pans\""), ": two are called Pans"},
		"two of one id": {func(t *testing.T, files []format.File) []format.File {
			f := find(t, files, "maps/quay.json")
			return append(files, format.File{Path: "maps/twice.json", Data: f.Data})
		}, "maps/twice.json: the id"},
		"an unknown word":        {replace("light.json", "\"word\": \"", "\"word\": \"un"), "rules/light.json: "},
		"a field twice":          {replace("maps/quay.json", "\"name\": \"Quay\"", "\"name\": \"Quay\", \"name\": \"Pier\""), "maps/quay.json: line "},
		"no UTF-8":               {replace("maps/quay.json", "Quay", "Qu\xe4i"), "maps/quay.json: it is not in UTF-8"},
		"a number of 400 digits": {replace("maps/quay.json", "\"cellWidth\": 16", "\"cellWidth\": "+strings.Repeat("9", 400)), "maps/quay.json: "},
		"10,000 deep":            {replace("maps/quay.json", "\"name\": \"Quay\"", "\"name\": "+strings.Repeat("[", 10_001)+strings.Repeat("]", 10_001)), "maps/quay.json: line "},
		"a path out of there":    {replace("maps/quay.json", "quay/ground.csv", "../../ground.csv"), "maps/quay.json: the file"},
	} {
		t.Run(name, func(t *testing.T) {
			_, files, take := written(t, d)
			for i := range files {
				files[i].Data = slices.Clone(files[i].Data)
			}
			_, err := format.Read(c.change(t, files), pictures(take))
			if err == nil || !strings.Contains(err.Error(), c.want) {
				t.Fatalf("got %v, want %s", err, c.want)
			}
			if strings.Contains(err.Error(), "\n") {
				t.Errorf("more than a sentence: %v", err)
			}
		})
	}
}

// Other ends of lines and a byte order mark change nothing.
func TestFilesOfOtherPrograms(t *testing.T) {
	d := sample.With(sample.Full(), cell(sample.Full(), 2, 2))
	d, files, take := written(t, d)
	for i := range files {
		if strings.HasSuffix(files[i].Path, ".png") || strings.HasSuffix(files[i].Path, ".ogg") {
			continue
		}
		files[i].Data = []byte(strings.ReplaceAll(string(files[i].Data), "\n", "\r\n"))
		if !strings.HasSuffix(files[i].Path, ".txt") {
			files[i].Data = append([]byte("\ufeff"), files[i].Data...)
		}
	}
	got, err := format.Read(files, pictures(take))
	if err != nil || got.Hash() != d.Hash() {
		t.Errorf("it is read otherwise: %v", err)
	}
}
