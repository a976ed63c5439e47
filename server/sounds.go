package server

import (
	"azzel/core/document"
	"bytes"
	"errors"
	"fmt"
	"strings"

	"github.com/gofiber/fiber/v3"
)

// TakenSound is a sound that was taken in: what it is stored by, its form, and how many milliseconds it lasts.
type TakenSound struct {
	File  string `json:"file"`
	Form  string `json:"form"`
	Lasts int    `json:"lasts"`
}

// mimes are what browsers call the forms of sounds.
var mimes = map[string]string{"wav": "audio/wav", "ogg": "audio/ogg", "mp3": "audio/mpeg", "flac": "audio/flac"}

// formOf tells the form of a sound by how its file begins; empty for none that is known.
func formOf(data []byte) string {
	switch {
	case len(data) >= 12 && string(data[:4]) == "RIFF" && string(data[8:12]) == "WAVE":
		return "wav"
	case bytes.HasPrefix(data, []byte("OggS")):
		return "ogg"
	case bytes.HasPrefix(data, []byte("fLaC")):
		return "flac"
	case bytes.HasPrefix(data, []byte("ID3")), len(data) > 1 && data[0] == 0xff && data[1]&0xe0 == 0xe0:
		return "mp3"
	}
	return ""
}

// LookAtSound tells the form of a sound and how many milliseconds it lasts, under the limits. The error is a sentence for people.
func LookAtSound(data []byte) (form string, lasts int, err error) {
	if len(data) > document.MaxSoundBytes {
		return "", 0, fmt.Errorf("that sound has more than %d MB: shorten it, or save it as OGG", document.MaxSoundBytes>>20)
	}
	if form = formOf(data); form == "" {
		return "", 0, errors.New("that is no sound that can be read: choose a WAV, OGG Vorbis, MP3 or FLAC file")
	}
	switch ms := lengthOf(form, data).milliseconds(); {
	case ms == 0:
		return "", 0, fmt.Errorf("that %s file is damaged, or of a sort that cannot be read: save it again", strings.ToUpper(form))
	case ms > document.MaxSoundLasts:
		return "", 0, fmt.Errorf("that sound lasts longer than %d minutes: shorten it", document.MaxSoundLasts/60_000)
	default:
		return form, int(ms), nil
	}
}

func (s *Server) takeSound(c fiber.Ctx) error {
	data := bytes.Clone(c.Body())
	form, lasts, err := LookAtSound(data)
	if err != nil {
		return bad(err)
	}
	sha, err := s.store.SaveSound(c.Context(), data, form, lasts)
	if err != nil {
		return err
	}
	return c.JSON(TakenSound{sha, form, lasts})
}

func (s *Server) sound(c fiber.Ctx) error {
	data, form, err := s.store.SoundFile(c.Context(), c.Params("sha"))
	if err != nil {
		return err
	}
	c.Set("Content-Type", mimes[form])
	c.Set("Cache-Control", "public, max-age=31536000, immutable")
	return c.Send(data)
}
