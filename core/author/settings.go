package author

import (
	"azzel/core/document"
	"azzel/core/edit"
	"errors"
	"fmt"
	"slices"
	"strings"
)

// SetSetting gives a setting of entities a value; nil puts back what their
// kinds say. Those of kinds without the setting are left as they are.
func SetSetting(d *document.Document, m *document.Map, ids []document.ID, name string, value *string) (Change, error) {
	all, err := found(m, ids)
	if err != nil {
		return Change{}, err
	}
	c := changed(fmt.Sprintf("Set %s of %s", name, called(all)))
	if value == nil {
		c = changed(fmt.Sprintf("Put back %s of %s", name, called(all)))
	}
	any := false
	for _, e := range all {
		k := d.Kind(document.ID(e.Kind))
		if k == nil || k.Setting(name) == nil {
			continue
		}
		any = true
		s := k.Setting(name)
		if value != nil {
			if err := s.Fits(*value); err != nil {
				return Change{}, err
			}
			if s.Type == document.PropertyEntity && *value != "" && (m.Entities.Get(document.ID(*value)) == nil || document.ID(*value) == e.ID) {
				return Change{}, fmt.Errorf("%s is another entity of this map", name)
			}
		}
		next, same := withValue(e.Values, name, value, s.Default)
		if !same {
			c.Do = append(c.Do, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}, "values", next))
		}
	}
	switch {
	case !any:
		return Change{}, fmt.Errorf("nothing that is selected has a setting called “%.40s”", name)
	case len(c.Do) == 0:
		return Change{}, errors.New("it is like that already")
	}
	return c, nil
}

// withValue is a list of values with one of them set; what equals the default
// is left out. It reports whether nothing changes.
func withValue(values []document.Value, name string, value *string, def string) (next []document.Value, same bool) {
	next = slices.DeleteFunc(slices.Clone(values), func(v document.Value) bool { return v.Name == name })
	if value != nil && *value != def {
		next = append(next, document.Value{Name: name, Value: *value})
	}
	slices.SortFunc(next, func(a, b document.Value) int { return strings.Compare(a.Name, b.Name) })
	if next == nil {
		next = []document.Value{}
	}
	return next, slices.Equal(next, values)
}

// SetMapSetting gives a setting of a map a value, or puts back the project's;
// without a map it sets what all maps have that do not differ.
func SetMapSetting(d *document.Document, m *document.Map, name string, value *string) (Change, error) {
	all := d.Project.MapSettingsOf()
	i := slices.IndexFunc(all, func(s document.Setting) bool { return s.Name == name })
	if i < 0 {
		return Change{}, fmt.Errorf("maps have no setting called “%.40s”", name)
	}
	if value != nil {
		if err := all[i].Fits(*value); err != nil {
			return Change{}, err
		}
	}
	if m == nil {
		next, same := withValue(d.Project.MapValues, name, value, all[i].Default)
		if same {
			return Change{}, errors.New("it is like that already")
		}
		return changed(fmt.Sprintf("Set %s of all maps", name), edit.Set(edit.Ref{Type: edit.TypeProject}, "mapValues", next)), nil
	}
	project, _ := withValue(d.Project.MapValues, name, nil, "")
	def := all[i].Default
	if len(project) < len(d.Project.MapValues) {
		def = d.MapValue(&document.Map{}, name)
	}
	next, same := withValue(m.Values, name, value, def)
	if same {
		return Change{}, errors.New("it is like that already")
	}
	return changed(fmt.Sprintf("Set %s of %s", name, m.Name), edit.Set(edit.Ref{Type: edit.TypeMap, ID: m.ID}, "values", next)), nil
}

// entityFields are what SetField can set of several entities at once.
var entityFields = []string{"facing", "on", "absent", "unseen", "locked", "hidden", "group", "tint", "faint", "carrier", "layer", "look", "lookOn", "variants", "name"}

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
