// Command openapi writes what the HTTP API does, from the server's list of operations: docs/openapi.json for programs, docs/api.md for
// people.
package main

import (
	"azzel/server"
	"fmt"
	"os"
	"regexp"
	"strconv"
	"strings"

	"github.com/getkin/kin-openapi/openapi3"
)

//go:generate sh -c "cd ../.. && go run ./cmd/openapi"

func main() {
	for name, make := range pages {
		text, err := make()
		if err == nil {
			err = os.WriteFile(name, []byte(text), 0o644)
		}
		if err != nil {
			fmt.Fprintln(os.Stderr, "openapi:", err)
			os.Exit(1)
		}
	}
}

var pages = map[string]func() (string, error){"docs/openapi.json": described, "docs/api.md": told}

var inPath = regexp.MustCompile(`\{(\w+)\}`)

// document is the API as OpenAPI 3.0.
func document() *openapi3.T {
	doc := &openapi3.T{OpenAPI: "3.0.3", Info: &openapi3.Info{Title: "Azzel", Version: strconv.Itoa(server.Format),
		Description: "What pages and the command line ask of a server. Every POST carries the token of the session. What cannot be done is answered with a code and an error, which is one sentence for people."}}
	doc.Paths = openapi3.NewPaths()
	problem := openapi3.NewObjectSchema().WithProperty("code", openapi3.NewStringSchema()).WithProperty("error", openapi3.NewStringSchema()).WithRequired([]string{"code", "error"})
	doc.Components = &openapi3.Components{Schemas: openapi3.Schemas{"Problem": problem.NewRef()}}
	for _, o := range server.Operations() {
		op := &openapi3.Operation{Summary: o.Does, OperationID: name(o), Responses: openapi3.NewResponses()}
		for _, p := range inPath.FindAllStringSubmatch(o.Path, -1) {
			op.AddParameter(openapi3.NewPathParameter(p[1]).WithSchema(openapi3.NewStringSchema()))
		}
		if o.Takes != "" {
			body := openapi3.NewRequestBody().WithDescription(o.Sent).WithRequired(true).WithContent(content(o.Takes))
			op.RequestBody = &openapi3.RequestBodyRef{Value: body}
		}
		answer := openapi3.NewResponse().WithDescription(o.Answer)
		if o.Answer == "" {
			answer = answer.WithDescription("done")
		}
		if o.Gives != "" {
			answer = answer.WithContent(content(o.Gives))
		}
		op.Responses = openapi3.NewResponses(openapi3.WithStatus(o.Status, &openapi3.ResponseRef{Value: answer}),
			openapi3.WithName("default", openapi3.NewResponse().WithDescription("it cannot be done").WithJSONSchemaRef(openapi3.NewSchemaRef("#/components/schemas/Problem", problem))))
		doc.AddOperation(o.Path, o.Method, op)
	}
	return doc
}

// name is what an operation is called, as getProjectsExport.
func name(o server.Operation) string {
	out := strings.ToLower(o.Method)
	for _, part := range strings.FieldsFunc(o.Path, func(r rune) bool { return strings.ContainsRune("/{}-", r) }) {
		if part != "api" {
			out += strings.ToUpper(part[:1]) + part[1:]
		}
	}
	return out
}

func content(media string) openapi3.Content {
	schema := openapi3.NewSchema()
	if media != "application/json" {
		schema = openapi3.NewStringSchema().WithFormat("binary")
	}
	return openapi3.NewContentWithSchema(schema, []string{media})
}

func described() (string, error) {
	raw, err := document().MarshalJSON()
	if err != nil {
		return "", fmt.Errorf("write the API: %w", err)
	}
	return indented(raw)
}

// told is the API as a table.
func told() (string, error) {
	var b strings.Builder
	b.WriteString("# The HTTP API\n\nWhat pages and the command line ask of a server; made by `go generate ./cmd/openapi`, and for programs as [OpenAPI](openapi.json).\n" +
		"A session begins with `GET /api/session`, which gives a cookie; every POST carries the token of the cookie that is named there in the header\n" +
		"`X-Csrf-Token`. What cannot be done is answered with a code and one sentence.\n\n| | what it does | takes | gives |\n| --- | --- | --- | --- |\n")
	for _, o := range server.Operations() {
		fmt.Fprintf(&b, "| `%s %s` | %s | %s | %s |\n", o.Method, o.Path, o.Does, o.Sent, o.Answer)
	}
	return b.String(), nil
}
