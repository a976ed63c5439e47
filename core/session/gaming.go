package session

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/upcast"
	"encoding/json"
	"errors"
	"slices"
)

// gameDetails lists the settings of the game as a whole that do something.
func (s *Session) gameDetails(none) ([]Detail, error) {
	d, out := s.doc(), []Detail{}
	for i := range kind.OfGame {
		set := &kind.OfGame[i]
		differs := slices.ContainsFunc(d.Project.GameValues, func(v kind.Value) bool { return v.Key == set.Key })
		if !differs && !kind.GameMatters(set.Key, d.GameValue) {
			continue
		}
		o := detailOf(set, set.Text(d.GameValue(set.Key)))
		o.Differs, o.Group = differs, kind.GameGroup(set.Key)
		out = append(out, o)
	}
	return out, nil
}

// OwnWord is something that the game itself says, and what it is by itself.
type OwnWord struct {
	Key  string `json:"key"`
	Says string `json:"says"`
	// Differs tells that the designer said it otherwise.
	Differs bool `json:"differs"`
}

func (s *Session) gameWords(none) ([]OwnWord, error) {
	d, out := s.doc(), []OwnWord{}
	for _, w := range document.GameWords {
		differs := slices.ContainsFunc(d.Project.Words, func(o document.WordChange) bool { return o.Key == w.Key })
		out = append(out, OwnWord{w.Key, d.GameSays("", w.Key), differs})
	}
	return out, nil
}

// Course is maps that follow each other, finishing one starting the next.
type Course struct {
	Maps []CourseMap `json:"maps"`
}

// CourseMap is one of them, and for what it gives stars, empty for nothing.
type CourseMap struct {
	ID    document.ID `json:"id"`
	Name  string      `json:"name"`
	Stars string      `json:"stars"`
}

// GameInfo is what is around the maps of a game: of its title, in a language.
type GameInfo struct {
	Title   string `json:"title"`
	Line    string `json:"line"`
	Credits string `json:"credits"`
	// Behind is the map that is seen behind the title; empty where there is none.
	Behind    document.ID `json:"behind"`
	Languages []string    `json:"languages"`
	// Language is what the texts are written in.
	Language string `json:"language"`
	// Words are what the game itself says, by their keys; Is the other settings, by theirs, as they are stored.
	Words   map[string]string `json:"words"`
	Is      map[string]string `json:"is"`
	Courses []Course          `json:"courses"`
	Slots   int               `json:"slots"`
	// Sides tells that some map is seen from the side, Heroes that several can be led: so what keys do.
	Sides  bool `json:"sides"`
	Heroes bool `json:"heroes"`
}

// gameInfo tells what is around the maps, in a language; empty is what the texts are written in.
func (s *Session) gameInfo(a struct {
	Language string `json:"language"`
}) (GameInfo, error) {
	d := s.doc()
	text := func(key string) string { return d.Says(a.Language, d.GameValue(key).Word()) }
	out := GameInfo{Title: d.Says(a.Language, d.GameTitle()), Line: text(kind.GameLine), Credits: text(kind.GameCredits), Languages: append([]string{}, d.Project.Languages...),
		Language: d.Project.Language, Words: map[string]string{}, Is: map[string]string{}, Courses: []Course{}, Slots: int(d.GameValue(kind.GameSlots).Thousandths() / 1000)}
	if out.Language == "" {
		out.Language = document.OwnLanguage
	}
	for _, w := range document.GameWords {
		out.Words[w.Key] = d.GameSays(a.Language, w.Key)
	}
	for i := range kind.OfGame {
		switch set := &kind.OfGame[i]; set.Type {
		case kind.Chosen, kind.Colour:
			out.Is[set.Key] = d.GameValue(set.Key).Word()
		case kind.Number, kind.YesNo, kind.Tile:
			out.Is[set.Key] = string(d.GameValue(set.Key))
		}
	}
	for _, c := range d.Courses() {
		one := Course{}
		for _, m := range c {
			one.Maps = append(one.Maps, CourseMap{m.ID, d.Says(a.Language, m.Name), d.MapValue(m, kind.MapStars).Word()})
		}
		out.Courses = append(out.Courses, one)
	}
	st := s.stage()
	if at := document.ID(d.GameValue(kind.GameBehind).Word()); d.Maps.Get(at) != nil {
		out.Behind = at
	} else if g, err := play.Start(st, "", 1); err == nil {
		out.Behind = g.Ground().ID
	} else if all := d.MapsInOrder(); len(all) > 0 {
		out.Behind = all[0].ID // where nobody can begin yet
	}
	out.Heroes = len(st.Heroes) > 1
	for _, m := range st.Grounds {
		out.Sides = out.Sides || m.Side && !m.Template
	}
	return out, nil
}

// Kept is a game that the player keeps.
type Kept struct {
	// Data is all of it, to be given to loadGame.
	Data string `json:"data"`
	// Map is what the map is called on which the hero is, Seconds for how long was played.
	Map     string `json:"map"`
	Seconds int    `json:"seconds"`
}

// saved is a kept game as it is written: with the format of its moment.
type saved struct {
	V      int             `json:"v"`
	Moment json.RawMessage `json:"moment"`
}

// MaxSave bounds a kept game, in bytes.
const MaxSave = 8 << 20

// keepGame gives the game as it is, to be gone on with.
func (s *Session) keepGame(none) (zero Kept, err error) {
	p, err := s.current()
	if err != nil {
		return zero, err
	}
	if why := p.game.Keepable(); why != "" {
		return zero, errors.New(why)
	}
	m := p.game.Moment()
	return Kept{string(edit.JSON(saved{edit.Version, edit.JSON(m)})), s.doc().Says(p.game.Language, p.game.Ground().Name), int(m.Tick / play.TicksPerSecond)}, nil
}

// Loaded is a kept game that is gone on with, and how many things are not in it any more.
type Loaded struct {
	View View `json:"view"`
	Gone int  `json:"gone"`
}

// errCutOff is what is said of a kept game that cannot be read.
var errCutOff = errors.New("it is cut off, or of another game")

func (s *Session) loadGame(a struct {
	Data string `json:"data"`
}) (zero Loaded, err error) {
	m, err := momentOf(a.Data)
	if err != nil {
		return zero, err
	}
	g, gone, err := play.Load(s.stage(), m)
	if err != nil {
		return zero, err
	}
	v, err := s.begin(g, nil)
	return Loaded{v, gone}, err
}

// momentOf reads a kept game, of this version or an earlier one, as the moment of a pin is read.
func momentOf(data string) (zero document.Moment, err error) {
	var k saved
	if len(data) > MaxSave || json.Unmarshal([]byte(data), &k) != nil || len(k.Moment) == 0 {
		return zero, errCutOff
	}
	step := []any{map[string]any{"op": edit.OpInsert, "ref": edit.Ref{Type: edit.TypePin, ID: "aaaaaaaaaaaa"}, "value": map[string]any{"moment": k.Moment}}}
	raw, err := upcast.Steps(edit.JSON(step), k.V)
	if err != nil {
		return zero, err
	}
	var all []struct {
		Value document.Pin `json:"value"`
	}
	if json.Unmarshal(raw, &all) != nil || len(all) != 1 {
		return zero, errCutOff
	}
	m := all[0].Value.Moment
	if m.Check() != nil {
		return zero, errCutOff
	}
	return m, nil
}

// reached is what the hero has reached on the map where it is, after so many tries.
func (s *Session) reached(a struct {
	Tries int `json:"tries"`
}) (zero play.Result, err error) {
	p, err := s.current()
	if err != nil {
		return zero, err
	}
	return p.game.Reached(a.Tries), nil
}

// read has the game be read in a language from now on.
func (s *Session) read(a struct {
	Language string `json:"language"`
}) (zero View, err error) {
	p, err := s.current()
	if err != nil {
		return zero, err
	}
	p.game.Reads(a.Language)
	return p.view(p.game, nil), nil
}

func init() {
	register(map[string]method{
		"gameInfo": with((*Session).gameInfo),
		"keepGame": with((*Session).keepGame),
		"loadGame": with((*Session).loadGame),
		"reached":  with((*Session).reached),
		"read":     with((*Session).read),
	})
	if !designs {
		return
	}
	register(map[string]method{
		"gameDetails": with((*Session).gameDetails),
		"gameWords":   with((*Session).gameWords),
		"setGame": authored(func(d *document.Document, a settingArgs) (author.Change, error) {
			return author.SetGame(d, a.Key, a.Value)
		}),
		"setGameWord": authored(func(d *document.Document, a struct {
			Key  string `json:"key"`
			Says string `json:"says"`
		}) (author.Change, error) {
			return author.SetGameWord(d, a.Key, a.Says)
		}),
		"showCounter": authored(func(d *document.Document, a struct {
			ID    document.ID `json:"id"`
			Where string      `json:"where"`
		}) (author.Change, error) {
			return author.ShowCounter(d, a.ID, a.Where)
		}),
	})
}
