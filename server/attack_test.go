package server_test

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/sample"
	"azzel/store"
	"bytes"
	"compress/gzip"
	"encoding/json"
	"fmt"
	"net/http"
	"os"
	"strconv"
	"strings"
	"testing"

	"github.com/jackc/pgx/v5"
)

func (d *desk) exec(sql string) {
	d.Helper()
	conn, err := pgx.Connect(ctx, d.dsn)
	d.must(err)
	defer conn.Close(ctx)
	_, err = conn.Exec(ctx, sql)
	d.must(err)
}

func (d *desk) count(sql string) (n int) {
	d.Helper()
	conn, err := pgx.Connect(ctx, d.dsn)
	d.must(err)
	defer conn.Close(ctx)
	d.must(conn.QueryRow(ctx, sql).Scan(&n))
	return n
}

func name(client document.ID, number int64, name string) []byte {
	return someEdit(client, number, edit.Set(edit.Ref{Type: edit.TypeProject}, "name", name))
}

// stranger is another browser on the same server.
func (d *desk) stranger() *desk {
	d.Helper()
	other := *d
	other.client = browser(d.T)
	other.do("GET", "/api/session", nil)
	return &other
}

// What another site's page asks for is refused, makes nobody, and leaves the
// designer's cookie alone.
func TestForeignSitesGetNothing(t *testing.T) {
	d := newDesk(t)
	before := d.count("SELECT count(*) FROM people")
	for _, site := range []string{"cross-site", "same-site"} {
		for _, path := range []string{"/api/session", "/api/projects", "/api/projects/" + project + "/state", "/live/" + project} {
			status, body, header := d.do("GET", path, nil, "Sec-Fetch-Site", site)
			if status != 403 || header.Get("Set-Cookie") != "" {
				t.Errorf("%s from a %s page gave %d %s, cookie %q", path, site, status, body, header.Get("Set-Cookie"))
			}
		}
	}
	for _, path := range []string{"/api/projects", "/api/projects/" + project + "/state", "/api/nothing", "/live/" + project} {
		status, _, header := d.do("GET", path, nil)
		if status != 401 || strings.Contains(header.Get("Set-Cookie"), "person") {
			t.Errorf("%s without a session gave %d, cookie %q", path, status, header.Get("Set-Cookie"))
		}
	}
	if after := d.count("SELECT count(*) FROM people"); after != before {
		t.Errorf("refused requests made %d people", after-before)
	}
	_, _, header := d.do("GET", "/api/session", nil, "Sec-Fetch-Site", "same-origin")
	cookies := strings.Join(header.Values("Set-Cookie"), "\n")
	if !strings.Contains(cookies, "azzel_person_"+d.store.Name()+"=") || !strings.Contains(cookies, "SameSite=Strict") || header.Get("Cache-Control") != "no-store" {
		t.Errorf("the session gave %q, %q", cookies, header.Get("Cache-Control"))
	}
}

// A mark bears a page's name, and a page is one person's: nobody can take the
// numbers that somebody else's next edits will have.
func TestMarksCannotBeForged(t *testing.T) {
	d := newDesk(t)
	d.do("GET", "/api/session", nil)
	mine := d.dialAs("clientmineaa", 0)
	mine.hear("people") // from here on the name is mine
	other := d.stranger()
	status, body, _ := other.do("POST", "/api/projects/"+project+"/edits", name("clientmineaa", 1, "Forged"))
	if status != 403 || !strings.Contains(body, `"owner"`) {
		t.Errorf("a forged edit gave %d %s", status, body)
	}
	k := other.dialAs("clientmineaa", 0)
	if m := k.hear("sorry"); !strings.Contains(m.Why, "somebody else") {
		t.Errorf("a forged hello was answered with %q", m.Why)
	}
	theirs := other.dialAs("clientother2", 0)
	theirs.say(map[string]any{"t": "edit", "edit": json.RawMessage(name("clientmineaa", 1, "Forged"))})
	if m := theirs.hear("refused"); !strings.Contains(m.Why, "somebody else") {
		t.Errorf("a forged edit over the socket was refused with %q", m.Why)
	}
	mine.say(map[string]any{"t": "edit", "edit": json.RawMessage(name("clientmineaa", 1, "Mine"))})
	if rows := mine.hear("rows").Rows; len(rows) != 1 || rows[0].Mark.Number != 1 {
		t.Errorf("my own edit came back as %v", rows)
	}
	p, err := d.store.Project(ctx, project)
	d.must(err)
	if p.Name != "Mine" {
		t.Errorf("the project is called %q", p.Name)
	}
}

// What breaks a rule of the document is refused with the reason and never stored,
// whichever way it comes.
func TestWrongEditsAreNotStored(t *testing.T) {
	d := newDesk(t)
	d.do("GET", "/api/session", nil)
	k := d.dialAs("clientclient", 0)
	for i, c := range []struct {
		do   edit.Primitive
		want string
	}{
		{edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "name", "a\u202eb"), "hidden characters"},
		{edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "bounds", map[string]int{"w": 1 << 30, "h": 1 << 30}), "2048"},
		{edit.Insert(edit.Ref{Type: edit.TypeFlag, ID: "flagflagflag"}, document.Flag{ID: "flagflagflag"}), "empty"},
	} {
		raw := someEdit("clientclient", int64(i+1), c.do)
		k.say(map[string]any{"t": "edit", "edit": json.RawMessage(raw)})
		if m := k.hear("refused"); m.Mark.Number != int64(i+1) || !strings.Contains(m.Why, c.want) {
			t.Errorf("edit %d was refused with %q", i+1, m.Why)
		}
		if status, body, _ := d.do("POST", "/api/projects/"+project+"/edits", raw); status != 422 || !strings.Contains(body, c.want) {
			t.Errorf("edit %d by POST gave %d %s", i+1, status, body)
		}
	}
	// many refusals at once all arrive, though the page reads none meanwhile
	const many = 1500
	for i := range many {
		k.say(map[string]any{"t": "edit", "edit": json.RawMessage(someEdit("clientclient", int64(100+i), edit.Set(edit.Ref{Type: edit.TypeProject}, "name", "")))})
	}
	for range many {
		k.hear("refused")
	}
	if n := d.count("SELECT count(*) FROM edits"); n != 0 {
		t.Errorf("%d wrong edits are stored", n)
	}
}

// A project that was made anew, or put back from a backup, is another one: a page
// that was open on the former is told, and nothing of it is mixed in.
func TestPartedPages(t *testing.T) {
	d := newDesk(t)
	d.do("GET", "/api/session", nil)
	k := d.dialAs("clientclient", 0)
	for n := range int64(4) {
		k.say(map[string]any{"t": "edit", "edit": json.RawMessage(name("clientclient", n+1, fmt.Sprint("Name ", n)))})
		k.hear("rows")
	}
	hello := d.hello("clientclient", 4)
	parted := func(what, want string) {
		t.Helper()
		conn, _, err := d.connect(d.base)
		d.must(err)
		defer conn.Close()
		again := &wire{d, conn}
		again.say(hello)
		if m := again.hear("parted"); !strings.Contains(m.Why, want) {
			t.Errorf("%s: the page was told %q", what, m.Why)
		}
	}
	// a backup is put back: the log is shorter, then grows past the page's number by other edits
	d.exec("DELETE FROM edits WHERE seq > 2; UPDATE projects SET head = 2")
	parted("shorter", "earlier state")
	again := d.stranger()
	l := store.NewLog(d.store)
	t.Cleanup(l.Close)
	owner, _, err := again.store.NewPerson(ctx, "Other")
	d.must(err)
	for n := range int64(3) {
		e, err := edit.Decode(name("clientother2", n+1, "Other"))
		d.must(err)
		d.must((<-l.Append(project, owner.ID, e)).Err)
	}
	parted("grown again", "earlier state")
	d.must(d.store.RemoveProject(ctx, project))
	_, err = d.store.NewProject(ctx, project, sample.World(), owner.ID)
	d.must(err)
	parted("made anew", "its beginning")
	if doc, seq, err := l.State(ctx, project); err != nil || doc.Project.Name != "Sample" || seq != 0 {
		t.Errorf("the log goes on with %q after %d edits, %v", doc.Project.Name, seq, err)
	}
}

// Pointers are passed on as often as they can be seen, and only where a map may be.
func TestPointersAreBounded(t *testing.T) {
	d := newDesk(t)
	d.do("GET", "/api/session", nil)
	k := d.dialAs("clientclient", 0)
	watcher := d.stranger().dialAs("clientother2", 0)
	watcher.hear("people")
	k.say(map[string]any{"t": "pointer", "map": sample.Quay, "x": 1 << 30, "y": 0})
	k.say(map[string]any{"t": "pointer", "map": "../../etc", "x": 1, "y": 1})
	for i := range 400 {
		k.say(map[string]any{"t": "pointer", "map": sample.Quay, "x": i, "y": 7})
	}
	k.say(map[string]any{"t": "edit", "edit": json.RawMessage(name("clientclient", 1, "After"))})
	passed := 0
	for {
		m, err := watcher.next()
		d.must(err)
		if m.T == "rows" {
			break
		}
		if m.T == "pointer" {
			if passed++; m.Y != 7 || m.X > 400 {
				t.Errorf("a pointer at %d,%d was passed on", m.X, m.Y)
			}
		}
	}
	if passed == 0 || passed > 200 {
		t.Errorf("of 400 pointers at once %d were passed on", passed)
	}
}

// While the disk is full nothing is lost and nothing is said to be saved.
func TestFullDisk(t *testing.T) {
	d := newDesk(t)
	d.do("GET", "/api/session", nil)
	d.exec(`CREATE FUNCTION full_disk() RETURNS trigger AS $$ BEGIN RAISE EXCEPTION 'could not extend file' USING ERRCODE = '53100'; END $$ LANGUAGE plpgsql;
		CREATE TRIGGER full_disk BEFORE INSERT ON edits EXECUTE FUNCTION full_disk()`)
	k := d.dialAs("clientclient", 0)
	raw := name("clientclient", 1, "Kept")
	k.say(map[string]any{"t": "edit", "edit": json.RawMessage(raw)})
	if m := k.hear("trouble"); !strings.Contains(m.Why, "disk is full") {
		t.Errorf("the page was told %q", m.Why)
	}
	if status, body, _ := d.do("POST", "/api/projects/"+project+"/edits", raw); status != 507 || !strings.Contains(body, "disk is full") {
		t.Errorf("by POST it was told %d %s", status, body)
	}
	d.exec("DROP TRIGGER full_disk ON edits")
	k.say(map[string]any{"t": "edit", "edit": json.RawMessage(raw)})
	if rows := k.hear("rows").Rows; len(rows) != 1 {
		t.Errorf("with room again the edit came back as %v", rows)
	}
}

// A project that cannot be read any more is sent as far as it can be, and can go
// back to an earlier state.
func TestUnreadableProject(t *testing.T) {
	d := newDesk(t)
	d.do("GET", "/api/session", nil)
	k := d.dialAs("clientclient", 0)
	for n := range int64(3) {
		k.say(map[string]any{"t": "edit", "edit": json.RawMessage(name("clientclient", n+1, fmt.Sprint("Name ", n+1)))})
		k.hear("rows")
	}
	if status, body, _ := d.do("POST", "/api/projects/"+project+"/restore/1", nil); status != 409 {
		t.Errorf("a project that can be read was put back: %d %s", status, body)
	}
	d.exec(`UPDATE edits SET edit = 'gibberish' WHERE seq = 2`)
	other := d.stranger()
	other.base = d.serve(d.store) // a server that has not read it yet
	other.do("GET", "/api/session", nil)
	status, body, header := other.do("GET", "/api/projects/"+project+"/state", nil)
	doc, err := document.Decode([]byte(body))
	if status != 200 || err != nil || doc.Project.Name != "Name 3" || header.Get("X-Azzel-Broken") == "" || !strings.Contains(header.Get("X-Azzel-Lost"), "edit+2") {
		t.Fatalf("it was sent as %d, %v, lost %q", status, err, header.Get("X-Azzel-Lost"))
	}
	if status, body, _ := other.do("POST", "/api/projects/"+project+"/restore/1", nil); status != 200 {
		t.Fatalf("it was not put back: %d %s", status, body)
	}
	status, body, header = other.do("GET", "/api/projects/"+project+"/state", nil)
	doc, err = document.Decode([]byte(body))
	if status != 200 || err != nil || doc.Project.Name != "Name 1" || header.Get("X-Azzel-Broken") != "" || header.Get("X-Azzel-Seq") != "3" {
		t.Errorf("put back it is %d, %v, %v", status, err, header)
	}
}

// peak is the most memory, in bytes, that a process has taken since it was measured last.
func peak(t *testing.T, pid int) int {
	t.Helper()
	text, err := os.ReadFile(fmt.Sprintf("/proc/%d/status", pid))
	if err != nil {
		t.Fatal(err)
	}
	_, rest, _ := strings.Cut(string(text), "VmHWM:")
	kb, err := strconv.Atoi(strings.Fields(rest)[0])
	if err != nil {
		t.Fatal(err)
	}
	if err := os.WriteFile(fmt.Sprintf("/proc/%d/clear_refs", pid), []byte("5"), 0o644); err != nil {
		t.Skip("this machine does not let a process's peak be measured")
	}
	return kb << 10
}

// No request takes more than 64 MB, whatever it is made of. The process may not use
// more than that for its heap, so what it takes beyond is what it holds at once.
func TestNoRequestTakesTheMachine(t *testing.T) {
	d := newDesk(t)
	binary, listen := built(t)
	t.Setenv("GOMEMLIMIT", "90MiB")
	t.Setenv("GOGC", "20")
	server := process(t, binary, d.dsn, listen)
	d.base = "http://" + listen
	d.do("GET", "/api/session", nil)
	here := "/api/projects/" + project
	d.do("GET", here+"/state", nil)
	idle := peak(t, server.Process.Pid)

	var zipped bytes.Buffer
	w := gzip.NewWriter(&zipped)
	block := bytes.Repeat([]byte(" "), 1<<20)
	for range 600 {
		_, _ = w.Write(block)
	}
	_ = w.Close()
	repeat := func(field, item string, n int) []byte {
		return []byte(`{"v":` + strconv.Itoa(edit.Version) + `,"client":"clientclient","number":1,"label":{"kind":"do","text":""},"do":[{"op":"insert","ref":{"type":"map","id":"aaaaaaaaaaaa"},"value":{},"content":{"` +
			field + `":[` + strings.Repeat(item+",", n) + item + `]}}]}`)
	}
	for _, c := range []struct {
		name, path string
		body       []byte
		headers    []string
		status     int
	}{
		{"gzip", here + "/edits", zipped.Bytes(), []string{"Content-Encoding", "gzip"}, 415},
		{"entities", here + "/edits", repeat("entities", "{}", 2_500_000), nil, 400},
		{"layers", here + "/edits", repeat("layers", "{}", 2_500_000), nil, 400},
		{"patches", here + "/edits", heavyEdit(60, 400), nil, 400},
		{"a huge picture", here + "/pictures", claims(8000, 8000), nil, 400},
		{"marks", here + "/edits/stored", []byte("[" + strings.Repeat("{},", 2_000_000) + "{}]"), nil, 413},
		{"gather", here + "/pictures/gather", []byte(`{"pictures":["` + strings.Repeat(`x","`, 2_000_000) + `x"]}`), nil, 413},
	} {
		status, body, _ := d.do("POST", c.path, c.body, c.headers...)
		if status != c.status {
			t.Errorf("%s (%d bytes) gave %d %.200s", c.name, len(c.body), status, body)
		}
		more := peak(t, server.Process.Pid) - idle
		t.Logf("%s took %d MB", c.name, more>>20)
		if more > 64<<20 {
			t.Errorf("%s (%d bytes) took %d MB", c.name, len(c.body), more>>20)
		}
	}
	if status, _, _ := d.do("GET", here+"/state", nil); status != http.StatusOK {
		t.Error("the server does not answer any more")
	}
}

func heavyPatch(chunks int) (p cells.Patch) {
	values := make([]cells.Cell, 1024)
	for i := range values {
		values[i] = cells.TileCell(1, i&1)
	}
	for i := range chunks {
		p = append(p, cells.ChunkPatch{CX: i % 128, CY: i / 128, Cells: values})
	}
	return p
}

// heavyEdit is many patches of chunks of two values each, which deflate to nearly nothing.
func heavyEdit(patches, chunks int) []byte {
	one := edit.JSON(edit.Primitive{Op: edit.OpCells, Ref: edit.Ref{Type: edit.TypeLayer, Map: sample.Quay, ID: sample.Ground}, Cells: heavyPatch(chunks)})
	return []byte(`{"v":` + strconv.Itoa(edit.Version) + `,"client":"clientclient","number":1,"label":{"kind":"do","text":""},"do":[` +
		strings.Repeat(string(one)+",", patches-1) + string(one) + `]}`)
}
