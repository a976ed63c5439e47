package document

import (
	"strings"
	"testing"
)

// Characters that change how others are shown are kept out of names, and none beside them.
func TestHiddenCharacters(t *testing.T) {
	for _, r := range []rune{0, 0x1f, 0x7f, 0x85, 0x9f, 0x61c, 0x200e, 0x200f, 0x2028, 0x2029, 0x202a, 0x202c, 0x202e, 0x2066, 0x2067, 0x2069, 0xfeff} {
		if checkName("a"+string(r)+"b") == nil {
			t.Errorf("U+%04x was taken", r)
		}
	}
	for _, r := range []rune{' ', 0xa0, 0x61b, 0x61d, 0x200d, 0x2010, 0x2027, 0x202f, 0x2065, 0x206a, 0xfefe, 'ß', '字', 0x1f40c} {
		if err := checkName("a" + string(r) + "b"); err != nil {
			t.Errorf("U+%04x was refused: %v", r, err)
		}
	}
	for name, ok := range map[string]bool{"": false, " \t": false, "x": true, strings.Repeat("ü", MaxName): true, strings.Repeat("ü", MaxName+1): false, "a\xffb": false} {
		if (checkName(name) == nil) != ok {
			t.Errorf("%.20q is taken: %v", name, !ok)
		}
	}
}
