package document

import (
	"azzel/core/kind"
	"fmt"
	"slices"
	"strings"
	"unicode/utf8"
)

// MapSettingsOf lists the built-in settings of maps and then the project's own.
func (p *Project) MapSettingsOf() []kind.Setting {
	return append(slices.Clone(kind.OfMaps), p.MapProperties...)
}

func (p *Project) mapSetting(key string) *kind.Setting {
	if s := kind.Keyed(kind.OfMaps, key); s != nil {
		return s
	}
	return kind.Keyed(p.MapProperties, key)
}

// MapValue is what a setting of a map is: its own value, the project's, or the
// default; empty where maps have no such setting.
func (d *Document) MapValue(m *Map, key string) kind.Datum {
	s := d.Project.mapSetting(key)
	if s == nil {
		return ""
	}
	return valued(s, slices.Concat(m.Values, d.Project.MapValues))
}

// FromSide reports whether a map is seen from the side.
func (d *Document) FromSide(m *Map) bool {
	return d.MapValue(m, kind.MapView).Word() == kind.FromSide
}

// checkPlainValues finds values that are too long or set twice, whatever they are of.
func checkPlainValues(values []kind.Value) error {
	if len(values) > maxSettings {
		return fmt.Errorf("at most %d values are possible", maxSettings)
	}
	for i, v := range values {
		if err := checkName(v.Key); err != nil {
			return err
		}
		if len(v.Value) > kind.MaxDatum {
			return fmt.Errorf("the value of %s is too long", v.Key)
		}
		if slices.ContainsFunc(values[:i], func(o kind.Value) bool { return o.Key == v.Key }) {
			return fmt.Errorf("%s is set twice", v.Key)
		}
	}
	return nil
}

// checkSettings finds what is wrong with settings of the designer's own. Of those
// that base has as well only the default counts.
func checkSettings(own, base []kind.Setting) error {
	if len(own) > maxSettings {
		return fmt.Errorf("at most %d settings are possible", maxSettings)
	}
	names := map[string]bool{}
	for i := range own {
		s := &own[i]
		if err := checkName(s.Key); err != nil {
			return err
		}
		if slices.ContainsFunc(own[:i], func(o kind.Setting) bool { return o.Key == s.Key }) {
			return fmt.Errorf("there are two settings called %s: give one another name", s.Name)
		}
		if b := kind.Keyed(base, s.Key); b != nil {
			if err := b.Fits(s.Default); err != nil {
				return err
			}
			continue
		}
		if name := strings.ToLower(s.Name); names[name] || slices.ContainsFunc(base, func(b kind.Setting) bool { return strings.EqualFold(b.Name, s.Name) }) {
			return fmt.Errorf("there are two settings called %s: give one another name", s.Name)
		} else {
			names[name] = true
		}
		if utf8.RuneCountInString(s.Help) > MaxText || utf8.RuneCountInString(s.Unit) > MaxName {
			return fmt.Errorf("the help of %s has at most %d characters", s.Name, MaxText)
		}
		for _, c := range s.Choices {
			if err := first(checkName(c.Key), checkName(c.Name)); err != nil {
				return err
			}
		}
		if err := first(checkName(s.Name), s.Check()); err != nil {
			return err
		}
	}
	return nil
}
