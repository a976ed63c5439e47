package kind_test

import (
	"azzel/core/id"
	"azzel/core/kind"
	"testing"
)

// Ready-made kinds are of kinds that there are, and what they set fits, differs and matters.
func TestVariants(t *testing.T) {
	some := 0
	for i := range kind.All {
		k := &kind.All[i]
		names := map[string]bool{}
		if len(k.Settings) > 0 && len(kind.Variants(string(k.ID))) == 0 {
			t.Errorf("nothing is ready-made of a %s", k.Name)
		}
		for _, v := range kind.Variants(string(k.ID)) {
			some++
			is := map[string]kind.Datum{}
			for _, s := range k.Settings {
				is[s.Key] = s.Default
			}
			for _, o := range v.Values {
				is[o.Key] = o.Value
			}
			for _, o := range v.Values {
				s := k.Setting(o.Key)
				switch {
				case s == nil:
					t.Errorf("%s sets %s, which a %s has not", v.Name, o.Key, k.Name)
				case s.Fits(o.Value) != nil:
					t.Errorf("%s sets %s: %v", v.Name, o.Key, s.Fits(o.Value))
				case s.Default == o.Value:
					t.Errorf("%s sets %s to what it is", v.Name, o.Key)
				case !k.Matters(o.Key, func(key string) kind.Datum { return is[key] }):
					t.Errorf("%s sets %s, which does nothing then", v.Name, o.Key)
				}
			}
			if names[v.Name] || v.Name == "" || v.Help == "" || len(v.Values) == 0 {
				t.Errorf("%s of %s", v.Name, k.Name)
			}
			names[v.Name] = true
		}
	}
	if some < 30 {
		t.Errorf("there are %d ready-made kinds", some)
	}
	if kind.Variants("ghost") != nil || kind.Find(id.ID("ghost")) != nil {
		t.Error("there is a ghost")
	}
}
