package server

import (
	"azzel/core/format"
	"bytes"
	"crypto/sha256"
	"encoding/hex"
	"fmt"
	"image/png"
)

// Intake keeps what came with the files of a project until it is known that all else is right: what each is, and its bytes as they
// are stored, by their SHA-256.
type Intake struct {
	Bytes    map[string][]byte
	Pictures map[string]format.Picture
	Sounds   map[string]format.SoundFile
}

// NewIntake has nothing yet.
func NewIntake() *Intake {
	return &Intake{map[string][]byte{}, map[string]format.Picture{}, map[string]format.SoundFile{}}
}

// Picture decodes a picture under the limits and keeps it as it is stored.
func (in *Intake) Picture(data []byte) (format.Picture, error) {
	img, err := DecodePicture(data)
	if err != nil {
		return format.Picture{}, err
	}
	var out bytes.Buffer
	if err := png.Encode(&out, img); err != nil {
		return format.Picture{}, fmt.Errorf("normalise a picture: %w", err)
	}
	p := format.Picture{SHA: in.keep(out.Bytes()), Width: img.Bounds().Dx(), Height: img.Bounds().Dy()}
	in.Pictures[p.SHA] = p
	return p, nil
}

// Sound looks at a sound under the limits and keeps it as it is.
func (in *Intake) Sound(data []byte) (format.SoundFile, error) {
	form, lasts, err := LookAtSound(data)
	if err != nil {
		return format.SoundFile{}, err
	}
	o := format.SoundFile{SHA: in.keep(data), Form: form, Lasts: lasts}
	in.Sounds[o.SHA] = o
	return o, nil
}

func (in *Intake) keep(data []byte) string {
	sum := sha256.Sum256(data)
	sha := hex.EncodeToString(sum[:])
	in.Bytes[sha] = data
	return sha
}
