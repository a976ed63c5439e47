package format

import (
	"embed"
	"fmt"
)

//go:generate sh -c "cd ../.. && go run ./cmd/schemas"

// schemaFolder holds the JSON Schemas (2020-12) of the files, which each of them names.
const schemaFolder = "schemas/"

//go:embed schemas/*.json
var schemaFiles embed.FS

// schemas are the schemas as files of a project.
func schemas() []File {
	all, err := schemaFiles.ReadDir("schemas")
	if err != nil {
		panic(fmt.Sprintf("format: the schemas are part of the program: %v", err))
	}
	var out []File
	for _, f := range all {
		data, err := schemaFiles.ReadFile(schemaFolder + f.Name())
		if err != nil {
			panic(fmt.Sprintf("format: the schemas are part of the program: %v", err))
		}
		out = append(out, File{schemaFolder + f.Name(), data})
	}
	return out
}
