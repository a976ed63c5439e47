// Package texts finds all that the player reads, where it stands, and what it is in the languages of a project.
package texts

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/rules"
	"slices"
	"strings"
)

// The sorts of texts.
const (
	Said = "said" // stands in the message box
	Seen = "seen" // an answer, a thought, a caption, an ending
	Name = "name" // what somebody who speaks, or something that one carries, is called
)

// Room is how a text lies in the message box; of what is seen elsewhere there is always room.
type Room struct {
	Pages int `json:"pages"`
	// Over tells that it goes on with another page by itself, Long is a word that is longer than a line.
	Over bool   `json:"over"`
	Long string `json:"long"`
}

// Told is a text, where it stands, and what it is in other languages.
type Told struct {
	Text string `json:"text"`
	// Is is one of the sorts; what is said anywhere counts as said.
	Is    string   `json:"is"`
	Where []string `json:"where"`
	Room  Room     `json:"room"`
	// In is by the project's languages, in their order.
	In []Spoken `json:"in"`
	// Fixed tells that it cannot be changed in the list.
	Fixed bool `json:"fixed"`
	// word is the key of what the game itself says.
	word string
}

// Spoken is what a text is in a language, empty where nobody has said it.
type Spoken struct {
	Says   string `json:"says"`
	Unsure bool   `json:"unsure"`
	Room   Room   `json:"room"`
}

// Lost is a wording of a text that stands nowhere any more.
type Lost struct {
	ID       document.ID `json:"id"`
	Language string      `json:"language"`
	Of       string      `json:"of"`
	Says     string      `json:"says"`
}

// List is all that the player reads.
type List struct {
	// Language is what the texts are written in, Languages what they are said in besides.
	Language  string   `json:"language"`
	Languages []string `json:"languages"`
	Texts     []Told   `json:"texts"`
	// All is how many texts there are, Found how many of them were asked for: Texts are the first of these.
	All   int `json:"all"`
	Found int `json:"found"`
	// Missing is how many texts each language lacks, in the order of the languages; Lacks are the first of these, where there
	// are wordings that stand nowhere any more.
	Missing []int      `json:"missing"`
	Lacks   [][]string `json:"lacks"`
	Lost    []Lost     `json:"lost"`
}

// Wanted is what of the texts is asked for.
type Wanted struct {
	// Words are looked for in texts, in what they are in other languages, and in where they stand.
	Words string `json:"words"`
	// Only is empty for all, a language for what that lacks, or one of the words below.
	Only string `json:"only"`
	// Most is how many are given; 0 is all.
	Most int `json:"most"`
}

// What can be asked for besides all, and what a language lacks.
const (
	OnlyUnsure = "unsure" // changed since they were said in another language
	OnlyTight  = "room"   // for which there is not room in the message box
)

// maxLost is how many wordings that stand nowhere are listed, and how many texts lack each language.
const maxLost = 100

// place is where a text stands, and how it is written there.
type place struct {
	text, is, where string
	// put gives the edit that writes another text there, nil where it cannot be written from here.
	put func(text string) edit.Primitive
	// word is the key of what the game itself says, empty for what the designer wrote.
	word string
}

// Of lists all that the player reads: by maps, then by rules, each text once.
func Of(d *document.Document) List { return Find(d, Wanted{}) }

// Find lists what is asked for of all that the player reads.
func Find(d *document.Document, want Wanted) List {
	p := d.Project
	out := List{Language: p.Language, Languages: append([]string{}, p.Languages...), Texts: []Told{}, Missing: make([]int, len(p.Languages)), Lacks: [][]string{}, Lost: []Lost{}}
	if out.Language == "" {
		out.Language = document.OwnLanguage
	}
	at := map[string]int{}
	for _, q := range places(d) {
		i, has := at[q.text]
		if !has {
			i, at[q.text] = len(out.Texts), len(out.Texts)
			out.Texts = append(out.Texts, Told{word: q.word, Text: q.text, Is: q.is, Where: []string{}, In: []Spoken{}})
		}
		t := &out.Texts[i]
		if t.Fixed = t.Fixed || q.put == nil; q.is == Said {
			t.Is = Said
		}
		if !slices.Contains(t.Where, q.where) {
			t.Where = append(t.Where, q.where)
		}
	}
	for i := range out.Texts {
		t := &out.Texts[i]
		for k, language := range p.Languages {
			var s Spoken
			if w := d.Wording(language, t.Text); w != nil {
				s = Spoken{Says: w.Says, Unsure: w.Unsure}
			} else if t.word != "" {
				s.Says = d.GameComes(language, t.word)
			}
			if s.Says == "" {
				out.Missing[k]++
			}
			t.In = append(t.In, s)
		}
	}
	for _, w := range d.Wordings.All() {
		if _, stands := at[w.Of]; w.Says != "" && (!stands || !slices.Contains(p.Languages, w.Language)) {
			out.Lost = append(out.Lost, Lost{w.ID, w.Language, w.Of, w.Says})
		}
	}
	if len(out.Lost) > 0 {
		out.Lacks = lacks(out.Texts, len(p.Languages))
	}
	out.All = len(out.Texts)
	out.Texts = slices.DeleteFunc(out.Texts, func(t Told) bool { return !want.means(&t, p.Languages) })
	if out.Found = len(out.Texts); want.Most > 0 && out.Found > want.Most {
		out.Texts = out.Texts[:want.Most]
	}
	for i := range out.Texts {
		out.Texts[i].lie()
	}
	return out
}

// lie finds how a text lies in the message box, in each language.
func (t *Told) lie() {
	t.Room = roomFor(t.Is, t.Text)
	for k := range t.In {
		t.In[k].Room = roomFor(t.Is, t.In[k].Says)
	}
}

// means reports whether a text is one of those that are asked for.
func (w *Wanted) means(t *Told, languages []string) bool {
	switch k := slices.Index(languages, w.Only); {
	case k >= 0 && t.In[k].Says != "":
		return false
	case w.Only == OnlyUnsure && !slices.ContainsFunc(t.In, func(s Spoken) bool { return s.Unsure }):
		return false
	case w.Only == OnlyTight:
		tight := func(r Room) bool { return r.Over || r.Long != "" }
		if t.lie(); !tight(t.Room) && !slices.ContainsFunc(t.In, func(s Spoken) bool { return tight(s.Room) }) {
			return false
		}
	}
	if w.Words == "" {
		return true
	}
	said := t.Text + " " + strings.Join(t.Where, " ")
	for _, s := range t.In {
		said += " " + s.Says
	}
	said = strings.ToLower(said)
	return !slices.ContainsFunc(strings.Fields(strings.ToLower(w.Words)), func(word string) bool { return !strings.Contains(said, word) })
}

// lacks are the first texts that each language lacks.
func lacks(all []Told, languages int) [][]string {
	out := make([][]string, languages)
	for k := range out {
		out[k] = []string{}
		for _, t := range all {
			if t.In[k].Says == "" && len(out[k]) < maxLost {
				out[k] = append(out[k], t.Text)
			}
		}
	}
	return out
}

func roomFor(is, text string) Room {
	if is != Said || text == "" {
		return Room{}
	}
	p := play.PagesOf(text)
	return Room{len(p.Pages), p.Over, p.Long}
}

// saysKey is the setting that says what is read of something.
const saysKey = "says"

// places are all places where something stands that the player reads.
func places(d *document.Document) (out []place) {
	add := func(is, text, where string, put func(string) edit.Primitive) {
		if strings.TrimSpace(text) != "" {
			out = append(out, place{text: text, is: is, where: where, put: put})
		}
	}
	speakers := speakersOf(d)
	wears := func(ref edit.Ref, of []document.Guise, where string) {
		for i, in := range of {
			add(Said, in.Says, where+", "+in.Name, func(text string) edit.Primitive {
				all := slices.Clone(of)
				all[i].Says = text
				return edit.Set(ref, "guises", all)
			})
		}
	}
	for _, k := range d.Kinds.All() {
		wears(edit.Ref{Type: edit.TypeKind, ID: k.ID}, k.Guises, "the kind "+k.Name)
		for i, s := range k.Settings {
			if s.Key != saysKey {
				continue
			}
			add(Said, s.Default.Word(), "the kind "+k.Name, func(text string) edit.Primitive {
				all := slices.Clone(k.Settings)
				all[i].Default = kind.Of(text)
				return edit.Set(edit.Ref{Type: edit.TypeKind, ID: k.ID}, "settings", all)
			})
		}
	}
	for _, m := range d.MapsInOrder() {
		for _, e := range document.InRank(m.Entities.All()) {
			ref, where := edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}, e.Name+", "+m.Name
			for i, v := range e.Values {
				if v.Key == saysKey {
					add(Said, v.Value.Word(), where, func(text string) edit.Primitive {
						all := slices.Clone(e.Values)
						all[i].Value = kind.Of(text)
						return edit.Set(ref, "values", all)
					})
				}
			}
			wears(ref, e.Guises, where)
			if acts := d.Acts(e); speakers[e.ID] || acts == kind.Character && d.Value(e, saysKey).Word() != "" || acts == kind.Hero {
				add(Name, e.Name, "a name, "+m.Name, nil)
			}
		}
	}
	for _, p := range d.Passages.All() {
		add(Said, p.Shut, "a passage that is shut", func(text string) edit.Primitive {
			return edit.Set(edit.Ref{Type: edit.TypePassage, ID: p.ID}, "shut", text)
		})
	}
	for _, r := range d.RulesInOrder() {
		for _, p := range r.InOrder() {
			if e := rules.Find(p.Word); e == nil || e.Blank("text") == nil || p.Word == rules.WordNote {
				continue
			}
			where := rules.Clause(d, p)
			if r.Name != "" {
				where = r.Name + ": " + where
			}
			is := Seen
			if p.Word == rules.WordSay || p.Word == rules.WordTells || p.Word == rules.WordTellsAs || p.Word == rules.WordAsk {
				is = Said
			}
			add(is, p.Blank("text").Word(), where, func(text string) edit.Primitive {
				blanks := slices.Clone(p.Blanks)
				for i := range blanks {
					if blanks[i].Key == "text" {
						blanks[i].Value = kind.Of(text)
					}
				}
				return edit.Set(edit.Ref{Type: edit.TypePart, Rule: r.ID, ID: p.ID}, "blanks", blanks)
			})
		}
	}
	for _, word := range rules.Items(d, true) {
		add(Name, word, "an item", nil)
	}
	return append(out, gamePlaces(d)...)
}

// speakersOf are the things that rules let say something.
func speakersOf(d *document.Document) map[document.ID]bool {
	out := map[document.ID]bool{}
	for _, r := range d.RulesInOrder() {
		for _, p := range r.InOrder() {
			if o, ok := document.Named(p.Blank("what")); ok && (p.Word == rules.WordTells || p.Word == rules.WordTellsAs) {
				out[o.ID] = true
			}
		}
	}
	return out
}
