package author

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"errors"
	"fmt"
	"slices"
	"strings"
)

// SetSetting gives a setting of entities, by its key, a value as a person writes it;
// nil puts back what their kinds say. Those of kinds without the setting are left as
// they are.
func SetSetting(d *document.Document, m *document.Map, ids []document.ID, key string, text *string) (Change, error) {
	all, err := found(m, ids)
	if err != nil {
		return Change{}, err
	}
	c, name := Change{}, ""
	for _, e := range all {
		s := d.Setting(e, key)
		if s == nil {
			continue
		}
		name = s.Name
		value, err := written(d, m, e, s, text)
		if err != nil {
			return Change{}, err
		}
		next, same := withValue(e.Values, key, value, s.Default)
		if !same {
			c.Do = append(c.Do, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}, "values", next))
		}
	}
	did := "Set"
	if text == nil {
		did = "Put back"
	}
	c.Label = changed(fmt.Sprintf("%s %s of %s", did, name, called(all))).Label
	switch {
	case name == "":
		return Change{}, fmt.Errorf("nothing that is selected has a setting called “%.40s”", key)
	case len(c.Do) == 0:
		return Change{}, errors.New("it is like that already")
	}
	return c, nil
}

// written reads what a person wrote for a setting of an entity; nil is nothing.
func written(d *document.Document, m *document.Map, e *document.Entity, s *kind.Setting, text *string) (kind.Datum, error) {
	if text == nil {
		return "", nil
	}
	value, err := s.Read(*text)
	if err != nil {
		return "", err
	}
	switch o := document.ID(value.Word()); {
	case s.Type == kind.Entity && o != "" && (m.Entities.Get(o) == nil || o == e.ID):
		return "", fmt.Errorf("%s is another entity of this map", s.Name)
	case s.Type == kind.Shares:
		return sharesOf(d, value)
	}
	return value, nil
}

// sharesOf names the kinds of a list as they are stored: by word or id.
func sharesOf(d *document.Document, value kind.Datum) (kind.Datum, error) {
	all := value.Shares()
	for i, share := range all {
		k := d.Kind(document.ID(share.Of))
		for _, o := range d.KindsInOrder() {
			if k == nil && strings.EqualFold(o.Name, share.Of) {
				k = o
			}
		}
		if k == nil {
			return "", fmt.Errorf("there is no kind called “%.40s”", share.Of)
		}
		all[i].Of = string(k.ID)
	}
	return kind.Of(all), nil
}

// withValue is a list of values with one of them set, or with an empty one taken out;
// what equals the default is left out. It reports whether nothing changes.
func withValue(values []kind.Value, key string, value, def kind.Datum) (next []kind.Value, same bool) {
	next = slices.DeleteFunc(slices.Clone(values), func(v kind.Value) bool { return v.Key == key })
	if value != "" && value != def {
		next = append(next, kind.Value{Key: key, Value: value})
	}
	slices.SortFunc(next, func(a, b kind.Value) int { return strings.Compare(a.Key, b.Key) })
	if next == nil {
		next = []kind.Value{}
	}
	return next, slices.Equal(next, values)
}

// SetMapSetting gives a setting of a map, by its key, a value as a person writes it, or
// puts back the project's; without a map it sets what all maps have that do not differ.
func SetMapSetting(d *document.Document, m *document.Map, key string, text *string) (Change, error) {
	s := kind.Keyed(d.Project.MapSettingsOf(), key)
	if s == nil {
		return Change{}, fmt.Errorf("maps have no setting called “%.40s”", key)
	}
	var value kind.Datum
	if text != nil {
		var err error
		if value, err = s.Read(*text); err != nil {
			return Change{}, err
		}
	}
	if m == nil {
		next, same := withValue(d.Project.MapValues, key, value, s.Default)
		if same {
			return Change{}, errors.New("it is like that already")
		}
		return changed(fmt.Sprintf("Set %s of all maps", s.Name), edit.Set(edit.Ref{Type: edit.TypeProject}, "mapValues", next)), nil
	}
	next, same := withValue(m.Values, key, value, d.MapValue(&document.Map{}, key))
	if same {
		return Change{}, errors.New("it is like that already")
	}
	return changed(fmt.Sprintf("Set %s of %s", s.Name, m.Name), edit.Set(edit.Ref{Type: edit.TypeMap, ID: m.ID}, "values", next)), nil
}

// entityFields are what SetField can set of several entities at once.
var entityFields = []string{"facing", "on", "absent", "unseen", "disabled", "locked", "hidden", "group", "tint", "faint", "carrier", "layer", "look", "lookOn", "variants", "guises", "memory", "name"}

// SetField sets one field of entities.
func SetField(d *document.Document, m *document.Map, ids []document.ID, field string, value any) (Change, error) {
	all, err := found(m, ids)
	if err != nil {
		return Change{}, err
	}
	if !slices.Contains(entityFields, field) {
		return Change{}, fmt.Errorf("there is no field “%.40s” to set", field)
	}
	raw := edit.JSON(value)
	c := changed(fmt.Sprintf("Changed %s", called(all)))
	if field == "name" {
		c = changed("Renamed " + called(all))
	}
	for _, e := range all {
		next, err := document.WithField(e, field, raw)
		if err == nil {
			err = next.Check()
		}
		if err != nil {
			return Change{}, err
		}
		if c := m.Entities.Get(next.Carrier); field == "carrier" && next.Carrier != "" && !d.Moves(c) {
			return Change{}, errors.New("an entity travels along with something that moves: a platform, a being, a block")
		}
		if field == "carrier" && carried(m, next) {
			return Change{}, fmt.Errorf("%s would travel along with itself", e.Name)
		}
		was, err := document.Field(e, field)
		if err != nil {
			return Change{}, fmt.Errorf("compare a field: %w", err)
		}
		if is, err := document.Field(next, field); err == nil && string(is) != string(was) {
			c.Do = append(c.Do, edit.Primitive{Op: edit.OpSet, Ref: edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}, Field: field, Value: raw})
		}
	}
	if len(c.Do) == 0 {
		return Change{}, errors.New("it is like that already")
	}
	return c, nil
}

// carried reports whether following carriers from an entity leads back to it.
func carried(m *document.Map, e *document.Entity) bool {
	at := m.Entities.Get(e.Carrier)
	for range document.MaxEntities {
		if at == nil {
			return false
		}
		if at.ID == e.ID {
			return true
		}
		at = m.Entities.Get(at.Carrier)
	}
	return true
}
