package format_test

import (
	"azzel/core/document"
	"azzel/core/format"
	"errors"
	"fmt"
)

// A project becomes files, and files a project again.
func Example() {
	d := document.New("Low Tide")
	files, err := format.Write(d, func(string) ([]byte, error) { return nil, errors.New("it has no pictures") })
	if err != nil {
		fmt.Println(err)
		return
	}
	for _, f := range files {
		if f.Path == "project.json" {
			fmt.Println(f.Path, len(f.Data) > 0)
		}
	}
	again, err := format.Read(files, none{})
	fmt.Println(again.Project.Name, again.Hash() == d.Hash(), err)
	// Output:
	// project.json true
	// Low Tide true <nil>
}

// What is wrong with files is a sentence that names the one.
func ExampleRead() {
	_, err := format.Read([]format.File{{Path: "project.json", Data: []byte("{\n\t\"azzel\": 9,,\n}")}}, nil)
	fmt.Println(err)
	// Output: project.json: line 2: invalid character ',' looking for beginning of object key string
}

// none takes in nothing.
type none struct{}

func (none) Picture([]byte) (format.Picture, error) { return format.Picture{}, nil }
func (none) Sound([]byte) (format.SoundFile, error) { return format.SoundFile{}, nil }
