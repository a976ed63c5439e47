package server_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/sample"
	"azzel/e2e/database"
	"azzel/server"
	"azzel/store"
	"bytes"
	"context"
	"encoding/json"
	"fmt"
	"hash/crc32"
	"image"
	"image/png"
	"io"
	"net"
	"net/http"
	"net/http/cookiejar"
	"net/url"
	"strings"
	"testing"

	"github.com/jackc/pgx/v5"
)

const project = "projectproje"

var ctx = context.Background()

// desk is a server on a database with the sample world, and a designer's browser.
type desk struct {
	*testing.T
	dsn    string
	store  *store.Store
	base   string
	client *http.Client
}

func newDesk(t *testing.T) *desk {
	t.Helper()
	return newDeskOf(t, sample.World())
}

// newDeskOf is one with another project.
func newDeskOf(t *testing.T, doc *document.Document) *desk {
	t.Helper()
	d := &desk{T: t, dsn: database.Fresh(t)}
	d.store = database.Open(t, d.dsn)
	owner, _, err := d.store.NewPerson(ctx, "Owner")
	d.must(err)
	_, err = d.store.NewProject(ctx, project, doc, owner.ID)
	d.must(err)
	d.base = d.serve(d.store)
	d.client = browser(t)
	return d
}

func (d *desk) serve(st *store.Store) string {
	d.Helper()
	l, err := net.Listen("tcp", "127.0.0.1:0")
	d.must(err)
	s := server.New(st)
	go func() { _ = s.Serve(l) }()
	d.Cleanup(func() { _ = s.Close() })
	return "http://" + l.Addr().String()
}

func browser(t *testing.T) *http.Client {
	t.Helper()
	jar, err := cookiejar.New(nil)
	if err != nil {
		t.Fatal(err)
	}
	return &http.Client{Jar: jar}
}

func (d *desk) must(err error) {
	d.Helper()
	if err != nil {
		d.Fatal(err)
	}
}

// do asks the server as the page would, with its token.
func (d *desk) do(method, path string, body []byte, headers ...string) (int, string, http.Header) {
	d.Helper()
	request, err := http.NewRequest(method, d.base+path, bytes.NewReader(body))
	d.must(err)
	if method != http.MethodGet {
		at, err := url.Parse(d.base)
		d.must(err)
		for _, c := range d.client.Jar.Cookies(at) {
			if strings.HasPrefix(c.Name, "azzel_csrf") {
				request.Header.Set("X-Csrf-Token", c.Value)
			}
		}
	}
	for i := 0; i < len(headers); i += 2 {
		if headers[i] == "Host" {
			request.Host = headers[i+1]
		}
		request.Header.Set(headers[i], headers[i+1])
	}
	answer, err := d.client.Do(request)
	d.must(err)
	defer answer.Body.Close()
	data, err := io.ReadAll(answer.Body)
	d.must(err)
	return answer.StatusCode, string(data), answer.Header
}

func (d *desk) hash() string { d.Helper(); return d.hashOf(project) }

// hashOf is the number of a project's last edit and the hash of its state.
func (d *desk) hashOf(project string) string {
	d.Helper()
	l := store.NewLog(d.store)
	defer l.Close()
	doc, seq, err := l.State(ctx, project)
	d.must(err)
	return fmt.Sprint(seq, doc.Hash())
}

func picture(w, h int) []byte {
	var out bytes.Buffer
	if err := png.Encode(&out, image.NewNRGBA(image.Rect(0, 0, w, h))); err != nil {
		panic(err) // a buffer takes everything
	}
	return out.Bytes()
}

// claims is a PNG whose header says another size than it has.
func claims(w, h uint32) []byte {
	data := picture(4, 4)
	for i, v := range []uint32{w, h} {
		data[16+i*4], data[17+i*4], data[18+i*4], data[19+i*4] = byte(v>>24), byte(v>>16), byte(v>>8), byte(v)
	}
	sum := crc32.ChecksumIEEE(data[12:29])
	copy(data[29:33], []byte{byte(sum >> 24), byte(sum >> 16), byte(sum >> 8), byte(sum)})
	return data
}

func someEdit(client document.ID, number int64, do ...edit.Primitive) []byte {
	return edit.JSON(&edit.Edit{V: edit.Version, Mark: edit.Mark{Client: client, Number: number},
		Label: edit.Label{Kind: edit.Do, Text: "Test"}, Do: do})
}

func TestFirstVisit(t *testing.T) {
	d := newDesk(t)
	status, body, _ := d.do("GET", "/api/session", nil)
	var session struct {
		Person, Name string
		Format       int
	}
	d.must(json.Unmarshal([]byte(body), &session))
	if status != 200 || session.Person == "" || session.Format != server.Format {
		t.Errorf("the session is %d %s", status, body)
	}
	// the same browser stays the same person, another is another
	_, again, _ := d.do("GET", "/api/session", nil)
	other := &desk{T: t, base: d.base, client: browser(t)}
	_, stranger, _ := other.do("GET", "/api/session", nil)
	if again != body || stranger == body {
		t.Errorf("the session became %s, a stranger's is %s", again, stranger)
	}

	status, body, _ = d.do("POST", "/api/projects", []byte(`{"name":"  Lantern Cove "}`))
	var made struct{ ID, Name string }
	d.must(json.Unmarshal([]byte(body), &made))
	if status != 201 || made.Name != "Lantern Cove" {
		t.Fatalf("a new project gave %d %s", status, body)
	}
	_, body, _ = d.do("GET", "/api/projects", nil)
	if !strings.Contains(body, "Lantern Cove") || !strings.Contains(body, "Sample") {
		t.Errorf("the projects are %s", body)
	}
	status, body, header := d.do("GET", "/api/projects/"+made.ID+"/state", nil)
	doc, err := document.Decode([]byte(body))
	if status != 200 || err != nil || doc.Project.Name != "Lantern Cove" || header.Get("X-Azzel-Seq") != "0" {
		t.Errorf("its state is %d, %v", status, err)
	}
	_, body, _ = d.do("GET", "/api/projects/"+made.ID+"/history/0", nil)
	if body != `{"redo":[],"undo":[]}` {
		t.Errorf("its history is %s", body)
	}

	status, body, _ = d.do("POST", "/api/projects/"+made.ID+"/starter", nil)
	if status != 200 || !strings.Contains(body, `"hero"`) {
		t.Errorf("the starter set gave %d %.80s", status, body)
	}
}

func TestPictureIsTakenInAndGivenBack(t *testing.T) {
	d := newDesk(t)
	d.do("GET", "/api/session", nil)
	status, body, _ := d.do("POST", "/api/projects/"+project+"/pictures", picture(64, 48))
	var taken server.Taken
	d.must(json.Unmarshal([]byte(body), &taken))
	if status != 200 || taken.Width != 64 || taken.Height != 48 || taken.Number != 2 || len(taken.Guesses) == 0 {
		t.Fatalf("taken in as %d %s", status, body)
	}
	status, body, header := d.do("GET", "/api/pictures/"+taken.Picture, nil)
	if status != 200 || header.Get("Content-Type") != "image/png" {
		t.Errorf("it came back as %d %s", status, header.Get("Content-Type"))
	}
	if img, err := png.Decode(strings.NewReader(body)); err != nil || img.Bounds().Dx() != 64 {
		t.Errorf("it came back as %v, %v", img, err)
	}
}

func TestHeadersAndFiles(t *testing.T) {
	d := newDesk(t)
	status, _, header := d.do("GET", "/", nil, "Accept-Encoding", "gzip")
	if status == 404 {
		t.Skip("the interface is not built")
	}
	policy := header.Get("Content-Security-Policy")
	for _, part := range []string{"default-src 'none'", "script-src 'self' 'wasm-unsafe-eval';", "style-src 'self';", "frame-ancestors 'none'"} {
		if !strings.Contains(policy, part) {
			t.Errorf("the content policy lacks %q: %s", part, policy)
		}
	}
	if strings.Contains(policy, "'unsafe-inline'") || strings.Contains(policy, "'unsafe-eval'") {
		t.Errorf("the content policy is loose: %s", policy)
	}
	if header.Get("X-Content-Type-Options") != "nosniff" || header.Get("Content-Encoding") != "gzip" || header.Get("Vary") == "" {
		t.Errorf("the headers are %v", header)
	}
	if status, _, _ := d.do("GET", "/", nil, "If-None-Match", header.Get("ETag")); status != 304 {
		t.Errorf("what the browser has is sent again: %d", status)
	}
	if _, body, h := d.do("GET", "/p/"+project, nil, "Accept-Encoding", "identity"); !strings.Contains(body, "<html") || h.Get("Content-Encoding") != "" {
		t.Errorf("without gzip the page is %.60s", body)
	}
	if _, _, h := d.do("GET", "/azzel.wasm", nil); h.Get("Content-Type") != "application/wasm" {
		t.Errorf("the module is sent as %s", h.Get("Content-Type"))
	}
	_, plain, _ := d.do("GET", "/azzel.wasm", nil, "Accept-Encoding", "identity")
	if _, small, h := d.do("GET", "/azzel.wasm", nil, "Accept-Encoding", "gzip, br"); h.Get("Content-Encoding") != "br" || len(small) > 3<<20 || len(plain) < 3*len(small) {
		t.Errorf("of %d bytes the module is sent in %d, as %q", len(plain), len(small), h.Get("Content-Encoding"))
	}
	if status, _, _ := d.do("GET", "/assets/none.js", nil); status != 404 {
		t.Errorf("a file that is not there gives %d", status)
	}
}

// Everything that is wrong gets a 4xx with a sentence, and nothing is stored.
func TestBadRequests(t *testing.T) {
	d := newDesk(t)
	d.do("GET", "/api/session", nil)
	before := d.hash()
	const here = "/api/projects/" + project
	good := someEdit("clientclient", 1, edit.Set(edit.Ref{Type: edit.TypeProject}, "name", "X"))
	for _, c := range []struct {
		name, method, path string
		body               []byte
		headers            []string
		status             int
		sentence           string
	}{
		{"no token", "POST", here + "/edits", good, []string{"X-Csrf-Token", ""}, 403, "reload"},
		{"a wrong token", "POST", here + "/edits", good, []string{"X-Csrf-Token", "x"}, 403, "reload"},
		{"another name for this machine", "GET", "/api/session", nil, []string{"Host", "elsewhere.test"}, 421, "does not answer to this name"},
		{"an unknown project", "GET", "/api/projects/nothinghere2/state", nil, nil, 404, "not here"},
		{"an edit for an unknown project", "POST", "/api/projects/nothinghere2/edits", good, nil, 404, "not here"},
		{"an unknown picture", "GET", "/api/pictures/none", nil, nil, 404, "not here"},
		{"an unknown address", "GET", "/api/nothing", nil, nil, 404, "nothing at this address"},
		{"a history of nothing", "GET", here + "/history/last", nil, nil, 400, "number of an edit"},
		{"a revert of nothing", "GET", here + "/edits/-1/revert", nil, nil, 400, "number of an edit"},
		{"a revert that is not there", "GET", here + "/edits/99/revert", nil, nil, 404, "not here"},
		{"a project without a name", "POST", "/api/projects", []byte(`{}`), nil, 400, "name"},
		{"a project with a long name", "POST", "/api/projects", []byte(`{"name":"` + strings.Repeat("x", 81) + `"}`), nil, 400, "80"},
		{"no edit", "POST", here + "/edits", []byte("{"), nil, 400, "edit"},
		{"an edit of another format", "POST", here + "/edits", []byte(`{"v":99}`), nil, 400, "another version"},
		{"an unknown primitive", "POST", here + "/edits", []byte(strings.Replace(string(good), `"op":"set"`, `"op":"explode"`, 1)), nil, 400, ""},
		{"a huge edit", "POST", here + "/edits", bytes.Repeat([]byte(" "), 9<<20), nil, 400, "MB"},
		{"no list of marks", "POST", here + "/edits/stored", []byte(`{"all":true}`), nil, 400, "Ask after"},
		{"no picture", "POST", here + "/pictures", []byte("words"), nil, 400, "not a picture"},
		{"an empty picture", "POST", here + "/pictures", nil, nil, 400, "not a picture"},
		{"a picture of 0×0", "POST", here + "/pictures", claims(0, 0), nil, 400, "PNG"},
		{"a picture of 20,000×20,000", "POST", here + "/pictures", claims(20000, 20000), nil, 400, "20000 × 20000"},
		{"a picture of too many pixels", "POST", here + "/pictures", claims(8000, 8000), nil, 400, "million pixels"},
		{"a picture that is cut off", "POST", here + "/pictures", picture(64, 64)[:50], nil, 400, "damaged"},
		{"a picture that claims more than it has", "POST", here + "/pictures", claims(3000, 3000), nil, 400, "damaged"},
		{"no socket", "GET", "/live/" + project, nil, []string{"Origin", d.base}, 426, "live socket"},
	} {
		status, body, _ := d.do(c.method, c.path, c.body, c.headers...)
		var said struct{ Error string }
		if err := json.Unmarshal([]byte(body), &said); err != nil || status != c.status || !strings.Contains(said.Error, c.sentence) ||
			!strings.HasSuffix(said.Error, ".") {
			t.Errorf("%s: %d %s, wanted %d and %q", c.name, status, body, c.status, c.sentence)
		}
	}
	if after := d.hash(); after != before {
		t.Error("a bad request changed the project")
	}
	if _, body, _ := d.do("GET", "/api/projects", nil); strings.Count(body, `"id"`) != 1 {
		t.Errorf("a bad request made a project: %s", body)
	}
}

// A 2 GB upload is refused from its announced length, long before it is there.
func TestHugeUpload(t *testing.T) {
	d := newDesk(t)
	d.do("GET", "/api/session", nil)
	conn, err := net.Dial("tcp", strings.TrimPrefix(d.base, "http://"))
	d.must(err)
	defer conn.Close()
	_, err = fmt.Fprintf(conn, "POST /api/projects/%s/pictures HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Length: 2147483648\r\n\r\nstart", project)
	d.must(err)
	answer := make([]byte, 4096)
	n, err := conn.Read(answer)
	d.must(err)
	if !strings.HasPrefix(string(answer[:n]), "HTTP/1.1 413") || !strings.Contains(string(answer[:n]), "larger than") {
		t.Errorf("the answer is %.300s", answer[:n])
	}
}

func TestViewerChangesNothing(t *testing.T) {
	d := newDesk(t)
	d.do("GET", "/api/session", nil)
	d.do("GET", "/api/projects/"+project+"/state", nil)
	conn, err := pgx.Connect(ctx, d.dsn)
	d.must(err)
	defer conn.Close(ctx)
	_, err = conn.Exec(ctx, "UPDATE members SET role = 'viewer'")
	d.must(err)
	before := d.hash()
	edited := someEdit("clientclient", 1, edit.Set(edit.Ref{Type: edit.TypeProject}, "name", "X"))
	status, body, _ := d.do("POST", "/api/projects/"+project+"/edits", edited)
	if status != 403 || !strings.Contains(body, "not change it") {
		t.Errorf("an edit by a viewer gave %d %s", status, body)
	}
	k := d.dial()
	k.say(map[string]any{"t": "edit", "edit": json.RawMessage(edited)})
	if m := k.hear("refused"); !strings.Contains(m.Why, "not change it") {
		t.Errorf("over the socket it was refused with %q", m.Why)
	}
	if d.hash() != before {
		t.Error("a viewer changed the project")
	}
}

func FuzzDecodePicture(f *testing.F) {
	f.Add(picture(4, 4))
	f.Add(claims(20000, 20000))
	f.Add(claims(0, 0))
	f.Add(picture(64, 64)[:60])
	f.Add([]byte("\x89PNG\r\n\x1a\n"))
	f.Fuzz(func(t *testing.T, data []byte) {
		img, err := server.DecodePicture(data)
		if err == nil && (img.Bounds().Dx() < 1 || img.Bounds().Dx() > document.MaxPictureSide || img.Bounds().Dy() > document.MaxPictureSide) {
			t.Errorf("taken in with %v", img.Bounds())
		}
	})
}
