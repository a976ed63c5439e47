package server

import (
	"bytes"
	"encoding/binary"
)

// How long a sound lasts is read from what its file says of itself. Nothing is decoded: decoders make room for what a file says
// that it holds, and a page decodes it anyway before it is taken.

// samples are how many there are at a rate a second; a rate of 0 is none that is known.
type samples struct{ count, rate int64 }

func (s samples) milliseconds() int64 {
	if s.rate < 1 || s.count < 1 || s.count > 1<<40 {
		return 0
	}
	return max(1, s.count*1000/s.rate)
}

// lengthOf reads how long a sound of a form is.
func lengthOf(form string, data []byte) samples {
	switch form {
	case "wav":
		return wavLength(data)
	case "ogg":
		return oggLength(data)
	case "flac":
		return flacLength(data)
	}
	return mp3Length(data)
}

// wavLength goes through the chunks of a RIFF file: the rate and the bytes of a second are in “fmt ”, the samples in “data”.
func wavLength(data []byte) (out samples) {
	var block int64
	for at := 12; at+8 <= len(data); {
		size := int64(binary.LittleEndian.Uint32(data[at+4:]))
		body := data[at+8:]
		switch name := string(data[at : at+4]); {
		case name == "fmt " && size >= 16 && len(body) >= 16:
			out.rate, block = int64(binary.LittleEndian.Uint32(body[4:])), int64(binary.LittleEndian.Uint16(body[12:]))
		case name == "data" && block > 0:
			out.count = min(size, int64(len(body))) / block
			return out
		}
		if size > int64(len(body)) {
			break
		}
		at += 8 + int(size+size&1)
	}
	return samples{}
}

// oggLength takes the rate from the first packet of a Vorbis stream (Vorbis I, 4.2.2), and the samples from where the last page
// of Ogg says that it ends (RFC 3533, 6).
func oggLength(data []byte) (out samples) {
	head := bytes.Index(data[:min(len(data), 256)], []byte("\x01vorbis"))
	last := bytes.LastIndex(data, []byte("OggS"))
	if head < 0 || head+16 > len(data) || last+14 > len(data) {
		return out
	}
	return samples{int64(binary.LittleEndian.Uint64(data[last+6:])), int64(binary.LittleEndian.Uint32(data[head+12:]))}
}

// flacLength reads the first block of what a FLAC file says of itself (RFC 9639, 8.2): 20 bits of the rate, 36 of the samples.
func flacLength(data []byte) (out samples) {
	if len(data) < 26 || data[4]&0x7f != 0 {
		return out
	}
	n := binary.BigEndian.Uint64(data[18:])
	return samples{int64(n & (1<<36 - 1)), int64(n >> 44)}
}

// Rates of MPEG audio, layer III (ISO 11172-3, 2.4.2.3): thousands of bits a second of version 1 and of the later ones, and samples a second.
var (
	mp3Bits  = [2][16]int64{{0, 32, 40, 48, 56, 64, 80, 96, 112, 128, 160, 192, 224, 256, 320, 0}, {0, 8, 16, 24, 32, 40, 48, 56, 64, 80, 96, 112, 128, 144, 160, 0}}
	mp3Rates = [4]int64{44100, 48000, 32000, 0}
)

// mp3Length counts the frames of an MP3, behind what tags say in front of them.
func mp3Length(data []byte) (out samples) {
	at := 0
	if bytes.HasPrefix(data, []byte("ID3")) && len(data) > 10 {
		at = 10 + int(data[6]&0x7f)<<21 + int(data[7]&0x7f)<<14 + int(data[8]&0x7f)<<7 + int(data[9]&0x7f)
	}
	for at >= 0 && at+4 <= len(data) {
		h := binary.BigEndian.Uint32(data[at:])
		version, layer := h>>19&3, h>>17&3
		rate := mp3Rates[h>>10&3]
		// 3 is version 1, 2 is version 2 of half the rates, 0 is 2.5 of a quarter; a layer of 1 is III
		if h>>21 != 0x7ff || version == 1 || layer != 1 || rate == 0 {
			break
		}
		later, each := 1, int64(576)
		switch version {
		case 3:
			later, each = 0, 1152
		case 2:
			rate /= 2
		default:
			rate /= 4
		}
		bits := mp3Bits[later][h>>12&15]
		if bits == 0 {
			break
		}
		if at += int(each/8*bits*1000/rate + int64(h>>9&1)); at > len(data) {
			break // cut off
		}
		out.rate = rate
		out.count += each
	}
	return out
}
