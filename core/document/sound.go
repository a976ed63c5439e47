package document

import (
	"azzel/core/kind"
	"errors"
	"fmt"
	"slices"
	"strings"
)

// Sound is a sound of the designer's own: a file, the part of it that is heard, and what it is heard as.
type Sound struct {
	ID   ID     `json:"id"`
	Name string `json:"name"`
	// File is the SHA-256 of the stored file, Form what it is, Lasts how long it is in milliseconds.
	File  string `json:"file"`
	Form  string `json:"form"`
	Lasts int    `json:"lasts"`
	// From and To are the part of it that is heard, in milliseconds; a To of 0 is its end.
	From int `json:"from,omitempty"`
	To   int `json:"to,omitempty"`
	// Loud is how loud it is in hundredths; 0 is 100.
	Loud int `json:"loud,omitempty"`
	// As is what it is heard as; of several sounds that are heard as the same one after the other is.
	As []Hearing `json:"as,omitempty"`
}

// Hearing is what a sound is heard as: of a kind and of those made from it, on a map; of all and everywhere where that is empty.
type Hearing struct {
	// When is one of SoundWords.
	When string `json:"when"`
	Kind ID     `json:"kind,omitempty"`
	Map  ID     `json:"map,omitempty"`
}

// Limits of sounds of the designer's own.
const (
	MaxSounds     = 200
	MaxSoundBytes = 8 << 20
	MaxSoundLasts = 10 * 60 * 1000
	MaxHearings   = 32
	MaxLoud       = 200
)

// SoundForms are the forms of files of sounds.
var SoundForms = []string{"wav", "ogg", "mp3", "flac"}

// The words of what is heard all the time.
const (
	SoundAround = "around" // what a map sounds like, whatever that is
	SoundMusic  = "music"  // the music of a map, whatever its mood is
)

// SoundWord is something that is heard: by itself, because a rule says so, or all the time.
type SoundWord struct {
	Word  string `json:"word"`
	Name  string `json:"name"`
	Group string `json:"group"`
	// OfKind says that it may differ by the kind of what it is heard of.
	OfKind bool `json:"ofKind"`
}

// SoundWords lists all that a sound can be heard as.
var SoundWords = soundWords()

func soundWords() (out []SoundWord) {
	for _, g := range []struct {
		group  string
		ofKind bool
		words  [][2]string
	}{
		{"Of a thing", true, [][2]string{{"take", "something is taken"}, {"open", "something opens"}, {"close", "something shuts"}, {"locked", "something stays shut"}, {"switch", "something is switched"},
			{"strike", "something is struck"}, {"defeat", "somebody is defeated"}, {"push", "something is pushed"}, {"crash", "something falls or gives way"}, {"spring", "a spring throws"},
			{"blast", "something goes off"}, {"checkpoint", "a checkpoint is reached"}, {"goal", "a goal is reached"}}},
		{"Of the hero", false, [][2]string{{"jump", "jumps"}, {"land", "lands"}, {"splash", "falls into water"}, {"swing", "strikes out"}, {"shot", "a shot"}, {"hurt", "is hurt"}, {"back", "comes back"}, {"arrive", "arrives on a map"}}},
		{"Steps", false, [][2]string{{"step plain", "on plain ground"}, {"step wood", "on wood"}, {"step grass", "on grass"}, {"step sand", "on sand"}, {"step stone", "on stone"}, {"step water", "in water"}}},
		{"Of the game", false, [][2]string{{"message", "something is said"}, {"choose", "another answer"}, {"win", "the game is won"}, {"lose", "the game is lost"}}},
		{"All the time", true, [][2]string{{SoundMusic, "the music"}, {SoundAround, "the surroundings"}, {"surf", "surf"}, {"wind", "wind"}, {"drips", "drips"}, {"hum", "hum"}, {"fire", "fire"}, {"insects", "insects"}}},
		{"When a rule says so", false, [][2]string{{"chime", "chime"}, {"knock", "knock"}, {"rumble", "rumble"}, {"creak", "creak"}, {"horn", "horn"}, {"sparkle", "sparkle"}, {"thud", "thud"}}},
	} {
		for _, w := range g.words {
			out = append(out, SoundWord{w[0], w[1], g.group, g.ofKind})
		}
	}
	return out
}

// Check finds what is wrong with a sound.
func (s *Sound) Check() error {
	if len(s.As) > MaxHearings {
		return fmt.Errorf("a sound is heard as %d things at most", MaxHearings)
	}
	for i, h := range s.As {
		switch {
		case !slices.ContainsFunc(SoundWords, func(w SoundWord) bool { return w.Word == h.When }):
			return fmt.Errorf("nothing is heard as “%.40s”", h.When)
		case h.Kind != "" && !h.Kind.Valid() && kind.Find(h.Kind) == nil, h.Map != "" && !h.Map.Valid():
			return errors.New("what a sound is heard of has no valid id")
		case slices.Contains(s.As[:i], h):
			return errors.New("a sound is heard as the same twice")
		}
	}
	if !slices.Contains(SoundForms, s.Form) {
		return fmt.Errorf("“%.20s” is no form of a sound", s.Form)
	}
	end := s.To
	if end == 0 {
		end = s.Lasts
	}
	if s.From < 0 || s.From >= end || end > s.Lasts {
		return errors.New("the part of a sound that is heard begins before it ends, within the sound")
	}
	return first(checkID("the sound", s.ID), checkName(s.Name), checkPicture(s.File),
		checkRange("how long a sound is", s.Lasts, 1, MaxSoundLasts), checkRange("how loud a sound is", s.Loud, 0, MaxLoud))
}

// SoundsByName lists the sounds as people look for them.
func (d *Document) SoundsByName() []*Sound {
	all := d.Sounds.All()
	slices.SortStableFunc(all, func(a, b *Sound) int { return strings.Compare(a.Name, b.Name) })
	return all
}

// HeardAs are the sounds that are heard as something, of a kind and on a map: those that are meant most closely, the kind
// before the map.
func (d *Document) HeardAs(when string, of, on ID) (out []*Sound) {
	if d.Sounds.Len() == 0 {
		return nil
	}
	closest := 1
	for _, s := range d.SoundsByName() {
		best := 0
		for _, h := range s.As {
			if h.When == when && (h.Map == "" || h.Map == on) {
				best = max(best, d.near(h, of))
			}
		}
		switch {
		case best < closest:
		case best > closest:
			closest, out = best, []*Sound{s}
		default:
			out = append(out, s)
		}
	}
	return out
}

// near is how closely a kind is meant, and that a map is; 0 where it is not meant.
func (d *Document) near(h Hearing, of ID) int {
	near := 1
	if h.Map != "" {
		near++
	}
	switch own := d.Kinds.Get(of); {
	case h.Kind == "":
		return near
	case h.Kind == of:
		return near + 4
	case own != nil && h.Kind == own.Of:
		return near + 2
	}
	return 0
}
