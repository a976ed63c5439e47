package server_test

import (
	"azzel/core/document"
	"azzel/server"
	"bytes"
	"encoding/json"
	"os"
	"slices"
	"strings"
	"testing"
)

// sounds are a bell of a fifth of a second, in each form.
func sounds(t testing.TB) map[string][]byte {
	t.Helper()
	out := map[string][]byte{}
	for _, form := range document.SoundForms {
		data, err := os.ReadFile("testdata/bell." + form)
		if err != nil {
			t.Fatal(err)
		}
		out[form] = data
	}
	return out
}

// Of each form it is known how long a sound lasts; what is cut off or of no form is refused with a sentence.
func TestSoundsAreLookedAt(t *testing.T) {
	for want, data := range sounds(t) {
		form, lasts, err := server.LookAtSound(data)
		if err != nil || form != want || lasts < 190 || lasts > 300 {
			t.Errorf("%s: %s, %d ms, %v", want, form, lasts, err)
		}
		for _, n := range []int{0, 1, 4, 12, 25} {
			if _, _, err := server.LookAtSound(data[:n]); err == nil {
				t.Errorf("%s of %d bytes is a sound", want, n)
			}
		}
	}
	for what, data := range map[string][]byte{
		"no sound":        []byte("salt and water"),
		"more than 8 MB":  make([]byte, document.MaxSoundBytes+1),
		"WAV file is":     []byte("RIFF\x00\x00\x00\x00WAVEfmt \xff\xff\xff\xff"),
		"longer than 10 ": long(sounds(t)["wav"]),
	} {
		if _, _, err := server.LookAtSound(data); err == nil || !strings.Contains(err.Error(), what) {
			t.Errorf("%s: %v", what, err)
		}
	}
}

// long is a WAV that goes on, at a thousandth of its pace.
func long(wav []byte) []byte {
	out := slices.Clone(wav)
	copy(out[24:28], []byte{7, 0, 0, 0})
	return out
}

// Whatever a file holds, nobody falls over it.
func FuzzLookAtSound(f *testing.F) {
	for _, data := range sounds(f) {
		f.Add(data)
		f.Add(data[:len(data)/2])
	}
	f.Fuzz(func(t *testing.T, data []byte) {
		if form, lasts, err := server.LookAtSound(data); err == nil && (lasts < 1 || lasts > document.MaxSoundLasts || !slices.Contains(document.SoundForms, form)) {
			t.Errorf("%s of %d ms", form, lasts)
		}
	})
}

// A sound that was taken in is given as it came, and goes along with its project's files and its page.
func TestSoundsAreTakenIn(t *testing.T) {
	d := newDesk(t)
	d.do("GET", "/api/session", nil)
	id := project
	for form, data := range sounds(t) {
		status, body, _ := d.do("POST", "/api/projects/"+id+"/sounds", data)
		var is server.TakenSound
		if d.must(json.Unmarshal([]byte(body), &is)); status != 200 || is.Form != form {
			t.Fatalf("%s: %d %s", form, status, body)
		}
		status, body, header := d.do("GET", "/api/sounds/"+is.File, nil)
		if status != 200 || !bytes.Equal([]byte(body), data) || !strings.HasPrefix(header.Get("Content-Type"), "audio/") {
			t.Errorf("%s comes back as %d, %s, %d bytes", form, status, header.Get("Content-Type"), len(body))
		}
	}
	if status, body, _ := d.do("POST", "/api/projects/"+id+"/sounds", []byte("salt")); status != 400 || !strings.Contains(body, "no sound that can be read") {
		t.Errorf("no sound: %d %s", status, body)
	}
	if status, _, _ := d.do("GET", "/api/sounds/"+strings.Repeat("0", 64), nil); status != 404 {
		t.Errorf("a sound that there is not: %d", status)
	}
}
