package demo

import (
	"azzel/core/author"
	"azzel/core/document"
	"bytes"
	"crypto/sha256"
	"encoding/binary"
	"encoding/hex"
	"math"
)

// The demo's own sound: the horn that answers from the sea when a beacon takes.
const (
	hornName = "Beacon horn"
	// HornForm is the form of its file, HornLasts how long it is in milliseconds.
	HornForm  = "wav"
	HornLasts = 1800
	hornRate  = 11_025
)

// Horn is the file of the demo's own sound, made by code: two low notes that swell and go over into each other, as WAV of one
// channel with 16 bits a sample.
func Horn() []byte {
	n := hornRate * HornLasts / 1000
	data := make([]int16, n)
	phase := 0.0
	for i := range data {
		t := float64(i) / hornRate
		pitch := 146.8 // D3, and then the fifth below
		if t > 0.7 {
			pitch = 98
		}
		phase += 2 * math.Pi * pitch / hornRate
		swell := math.Min(1, t/0.18) * math.Min(1, (HornLasts/1000.0-t)/0.5)
		tone := math.Sin(phase) + 0.45*math.Sin(2*phase) + 0.2*math.Sin(3*phase)*swell + 0.04*math.Sin(5.02*phase)
		data[i] = int16(14_000 * swell * tone / 1.7)
	}
	var out bytes.Buffer
	put := func(all ...any) {
		for _, v := range all {
			if text, ok := v.(string); ok {
				out.WriteString(text)
			} else if err := binary.Write(&out, binary.LittleEndian, v); err != nil {
				panic(err) // numbers can always be written into memory
			}
		}
	}
	size := uint32(2 * n)
	put("RIFF", 36+size, "WAVEfmt ", uint32(16), uint16(1), uint16(1), uint32(hornRate), uint32(2*hornRate), uint16(2), uint16(16), "data", size, data)
	return out.Bytes()
}

// withHorn gives the demo its own sound; its file is stored beside the demo's picture.
func withHorn(d *document.Document) *document.Document {
	sum := sha256.Sum256(Horn())
	c, err := author.AddSound(d, document.Sound{Name: hornName, File: hex.EncodeToString(sum[:]), Form: HornForm, Lasts: HornLasts, Loud: 90})
	return do(d, c, err)
}
