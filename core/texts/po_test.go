package texts_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/texts"
	"os/exec"
	"strings"
	"testing"
)

// What is written as a PO file is read as it was; gettext's own tools take it, where they are.
func TestPOComesBack(t *testing.T) {
	d := story(t)
	d = did(t, d, must(texts.AddLanguage(d, "nds")), nil)
	list := texts.Of(d)
	said := map[string]string{}
	odd := []string{"Een\nTwee", `Mit "Gänsefüßchen" un \ Strich`, "  ruimte  ", "Tab\there"}
	for i, told := range list.Texts {
		if i < len(odd) {
			said[told.Text] = odd[i]
			d = did(t, d, must(texts.Word(d, "nds", told.Text, odd[i])), nil)
		}
	}
	unsure := d.Wording("nds", list.Texts[0].Text)
	d = edit.Apply(d, &edit.Edit{Do: []edit.Primitive{edit.Set(edit.Ref{Type: edit.TypeWording, ID: unsure.ID}, "unsure", true)}}).Doc
	data, err := texts.PO(d, "nds")
	if err != nil {
		t.Fatal(err)
	}
	language, all, err := texts.ReadPO(data)
	if err != nil || language != "nds" || len(all) != len(said) {
		t.Fatalf("%s, %d of %d, %v\n%s", language, len(all), len(said), err, data)
	}
	for _, e := range all {
		if said[e.Of] != e.Says || e.Fuzzy != (e.Of == unsure.Of) {
			t.Errorf("%q is %q, fuzzy %t", e.Of, e.Says, e.Fuzzy)
		}
	}
	if _, err := texts.TakePO(d, data); err == nil || !strings.Contains(err.Error(), "so already") {
		t.Errorf("taken over itself: %v", err)
	}
	if tool, err := exec.LookPath("msgfmt"); err == nil {
		check := exec.Command(tool, "--check", "--output-file=/dev/null", "-")
		check.Stdin = strings.NewReader(string(data))
		if out, err := check.CombinedOutput(); err != nil {
			t.Errorf("msgfmt: %s\n%s", out, data)
		}
	}
	if _, err := texts.PO(d, "sv"); err == nil {
		t.Error("a language that there is not is written")
	}
}

// must is a change that can be made.
func must[T any](c T, err error) T {
	if err != nil {
		panic(err)
	}
	return c
}

// A translator's file comes in as one change: new texts, those that are otherwise, the language itself; what stands nowhere is
// counted.
func TestTakePO(t *testing.T) {
	d := story(t)
	one := texts.Of(d).Texts[0].Text
	file := "\ufeffmsgid \"\"\r\nmsgstr \"\"\r\n\"Language: nds\\n\"\r\n\r\n#: somewhere\r\n#, fuzzy\r\nmsgid " + quote(one) + "\r\nmsgstr \"\"\r\n\"Moin \"\r\n\"\\\"du\\\"\"\r\n\r\nmsgid \"Nowhere\"\r\nmsgstr \"Narms\"\r\n#~ msgid \"old\"\r\n#~ msgstr \"oolt\"\r\n"
	c, err := texts.TakePO(d, []byte(file))
	if err != nil {
		t.Fatal(err)
	}
	if c.Label.Text != "Took over 1 text in nds; 1 text of the file stands nowhere" {
		t.Errorf("it is called %s", c.Label.Text)
	}
	now := edit.Apply(d, &edit.Edit{Do: c.Do}).Doc
	if w := now.Wording("nds", one); w == nil || w.Says != `Moin "du"` || !w.Unsure || now.Wording("nds", "Nowhere") != nil {
		t.Errorf("it says %+v", w)
	}
	for name, wrong := range map[string]struct{ file, says string }{
		"nothing":          {"", "no PO file"},
		"a picture":        {"\xff\xd8\xff", "UTF-8"},
		"no language":      {"msgid \"a\"\nmsgstr \"b\"\n", "which language"},
		"no quote":         {"msgid \"a\nmsgstr \"b\"\n", "line 1: a text stands in quotes"},
		"a quote within":   {"msgid \"a\"b\"\n", "line 1: a quote within"},
		"a word":           {"msgid \"\"\nmsgstr \"\"\nmessage \"x\"\n", "line 3: “message”"},
		"a loose text":     {"\"x\"\n", "line 1: a text stands here"},
		"all of it is old": {"msgid \"\"\nmsgstr \"Language: de\\n\"\n\nmsgid \"Nowhere\"\nmsgstr \"x\"\n", "none of its 1 texts"},
		"too long":         {"msgid \"\"\nmsgstr \"Language: de\\n\"\n\nmsgid " + quote(one) + "\nmsgstr \"" + strings.Repeat("x", document.MaxText+1) + "\"\n", "line 4: a text has at most"},
		"an odd language":  {"msgid \"\"\nmsgstr \"Language: Plattdeutsch\\n\"\n\nmsgid " + quote(one) + "\nmsgstr \"x\"\n", "no language"},
	} {
		if _, err := texts.TakePO(d, []byte(wrong.file)); err == nil || !strings.Contains(err.Error(), wrong.says) {
			t.Errorf("%s: %v", name, err)
		}
	}
}

func quote(text string) string {
	return `"` + strings.NewReplacer(`"`, `\"`, "\n", `\n`).Replace(text) + `"`
}

// FuzzPO takes any bytes for a translator's file.
func FuzzPO(f *testing.F) {
	f.Add([]byte("msgid \"\"\nmsgstr \"Language: de\\n\"\n\n#, fuzzy\nmsgid \"a\"\nmsgstr \"\"\n\"b\\n\"\n"))
	f.Add([]byte("msgctxt \"x\"\nmsgid \"a\"\nmsgid_plural \"as\"\nmsgstr[0] \"b\"\nmsgstr[1] \"c\"\n"))
	f.Add([]byte("\"\\"))
	f.Fuzz(func(t *testing.T, data []byte) {
		if _, all, err := texts.ReadPO(data); err == nil {
			for _, e := range all {
				if e.Of == "" || e.Says == "" || e.Line < 1 {
					t.Errorf("an entry %+v", e)
				}
			}
		}
	})
}
