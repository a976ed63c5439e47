package author

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/rules"
	"errors"
	"fmt"
	"strings"
)

// Bundle is a rule that is ready made for an entity; once made it is a rule like others.
type Bundle struct {
	Key   string `json:"key"`
	Label string `json:"label"`
	Help  string `json:"help"`
}

// bundle is how one is written: as the text of a rule, in which stand {it} for the entity, {name} for what it is called,
// {flag} for a flag that is made for it, and {door} and {works} for what is on its map.
type bundle struct {
	Bundle
	fits []string // built-in kinds
	flag string   // what the flag is called, before the entity's name
	text string
}

var bundles = []bundle{
	{Bundle{"chest", "A chest that gives something", "Opened once, it gives items and says so"}, []string{kind.Container, kind.Switch}, "",
		"rule \"{name}: what is in it\" once\nwhen\n\t{it} {turns}\nthen\n\tgive the hero 3 coin\n\tsay \"Three coins!\"\n"},
	{Bundle{"shop", "A shop", "Asks whether the hero buys, takes the price and gives the goods"}, []string{kind.Character, kind.Sign}, "",
		"rule \"{name}: shop\"\nwhen\n\tthe hero speaks to {it}\nthen\n\task \"Lamp oil, three coins. Will you have some?\"\n\t\tanswer \"Yes\"\n\t\t\tif all of this is so\n\t\t\t\tthe hero has at least 3 coin\n\t\t\tthen\n\t\t\t\ttake 3 coin from the hero\n\t\t\t\tgive the hero 1 oil\n\t\t\t\tsay \"There you are.\"\n\t\t\totherwise\n\t\t\t\tsay \"Come back with three coins.\"\n\t\tanswer \"No\"\n"},
	{Bundle{"talk", "A talk with a memory", "Says one thing the first time, and another from then on"}, []string{kind.Character, kind.Sign}, "",
		"rule \"{name}: talk\"\nwhen\n\tthe hero speaks to {it}\nif\n\tthis is the first time\nthen\n\tsay \"I have not seen you here before.\"\notherwise\n\tsay \"You again.\"\n"},
	{Bundle{"gift", "Somebody who gives something once", "Speaks, gives an item, and does so no second time"}, []string{kind.Character, kind.Sign}, "Thanked by ",
		"rule \"{name}: gift\"\nwhen\n\tthe hero speaks to {it}\nif\n\t{flag} is not set\nthen\n\tsay \"Take this.\"\n\tgive the hero 1 key\n\tset {flag}\n"},
	{Bundle{"locked", "A door that asks for an item", "Opens when the item is used on it, and says what is missing before"}, []string{kind.Door}, "",
		"rule \"{name}: locked\"\nwhen\n\tthe hero uses key on {it}\nthen\n\topen {it}\n\ttake 1 key from the hero\n"},
	{Bundle{"lever", "A lever for a door", "Opens the door while it is on, and shuts it again"}, []string{kind.Switch}, "",
		"rule \"{name}: lever\"\nwhen\n\t{it} is turned on\n\t{it} is turned off\nif\n\t{it} is on\nthen\n\topen {door}\notherwise\n\tshut {door}\n"},
	{Bundle{"plate", "A plate for a door", "Opens the door as long as somebody stands there"}, []string{kind.Sensor}, "",
		"rule \"{name}: plate\"\nwhen\n\tsomebody comes to {it}\n\teverybody has left {it}\nif\n\tsomebody is at {it}\nthen\n\topen {door}\notherwise\n\tshut {door}\n"},
	{Bundle{"scene", "A scene that plays once", "Says a few lines, one after another, when somebody comes here for the first time"}, []string{kind.Sensor}, "",
		"rule \"{name}: scene\" once\nwhen\n\tsomebody comes to {it}\nthen\n\tsay \"Something has been here.\"\n\twait 1 s\n\tsay \"Better go on.\"\n"},
	{Bundle{"boss", "A door that opens when it is defeated", "Opens the door and says so"}, []string{kind.Walker, kind.Flyer, kind.Shooter}, "",
		"rule \"{name}: defeated\" once\nwhen\n\t{it} is defeated\nthen\n\topen {door}\n\tsay \"Somewhere a door opens.\"\n"},
	{Bundle{"all", "When all of its kind are defeated", "Opens a door when none of them is left"}, []string{kind.Walker, kind.Flyer, kind.Shooter}, "",
		"rule \"{name}: all of its kind\"\nwhen\n\tany {kind} is defeated\nif\n\tat most 0 of {kind} are left\nthen\n\topen {door}\n"},
	{Bundle{"lift", "A switch that calls a lift", "Turns it on, and off again after a while"}, []string{kind.Switch}, "",
		"rule \"{name}: calls the lift\"\nwhen\n\tthe hero uses {it}\nthen\n\tturn on {works}\n\twait 6 s\n\tturn off {works}\n"},
}

// Bundles lists the rules that are ready made for an entity.
func Bundles(d *document.Document, at document.End) []Bundle {
	out := []Bundle{}
	e := d.Entity(at.Map, at.Entity)
	if e == nil {
		return out
	}
	for _, b := range bundles {
		if b.fitsKind(d.Acts(e)) {
			out = append(out, b.Bundle)
		}
	}
	return out
}

func (b *bundle) fitsKind(acts string) bool {
	for _, k := range b.fits {
		if k == acts {
			return true
		}
	}
	return false
}

// MakeBundle makes a rule that is ready made for an entity.
func MakeBundle(d *document.Document, at document.End, key string) (Change, error) {
	e := d.Entity(at.Map, at.Entity)
	if e == nil {
		return Change{}, errors.New("it is no longer there")
	}
	for _, b := range bundles {
		if b.Key == key && b.fitsKind(d.Acts(e)) {
			return b.make(d, at, e)
		}
	}
	return Change{}, fmt.Errorf("nothing of that sort is ready made for %s", e.Name)
}

func (b *bundle) make(d *document.Document, at document.End, e *document.Entity) (Change, error) {
	var first []edit.Primitive
	put := map[string]string{"{it}": rules.NameOf(d, document.Object{Type: document.TypeEntity, Map: at.Map, ID: at.Entity}), "{name}": strings.NewReplacer(`"`, `\"`, `\`, `\\`).Replace(e.Name)}
	put["{turns}"] = "is opened"
	if d.Acts(e) == kind.Switch {
		put["{turns}"] = "is turned on"
	}
	if k := d.Kind(document.ID(e.Kind)); k != nil {
		put["{kind}"] = rules.NameOf(d, document.Object{Type: document.TypeKind, ID: k.ID})
	}
	if b.flag != "" {
		made, err := AddFlag(shortened(b.flag + e.Name))
		if err != nil {
			return Change{}, err
		}
		first = made.Do
		d = edit.Apply(d, &edit.Edit{Do: first}).Doc
		put["{flag}"] = rules.NameOf(d, document.Object{Type: document.TypeFlag, ID: made.Made})
	}
	for _, needed := range [][3]string{{"{door}", rules.WordOpen, "door"}, {"{works}", rules.WordTurnOn, "platform"}} {
		if !strings.Contains(b.text, needed[0]) {
			continue
		}
		o, ok := document.Named(rules.First(d, rules.Find(needed[1]).Blank("what"), "", at.Map))
		if !ok {
			return Change{}, fmt.Errorf("there is no %s for it yet: place one on a map first", needed[2])
		}
		put[needed[0]] = rules.NameOf(d, o)
	}
	text := b.text
	for _, blank := range []string{"{it}", "{turns}", "{kind}", "{flag}", "{door}", "{works}", "{name}"} {
		text = strings.ReplaceAll(text, blank, put[blank])
	}
	c, err := TextRule(d, text)
	if err != nil {
		return Change{}, err
	}
	c.Do = append(first, c.Do...)
	c.Label.Text = "New rule: " + b.Label
	return c, nil
}

// shortened is a name as long as one can be.
func shortened(name string) string {
	if all := []rune(name); len(all) > document.MaxName {
		return string(all[:document.MaxName])
	}
	return name
}
