package document

import (
	"encoding/json"
	"math/rand/v2"
	"reflect"
	"testing"
)

// An entity is written as encoding/json writes it, whatever its fields hold, or not at all.
func TestAnEntityIsWrittenAsJSON(t *testing.T) {
	r := rand.New(rand.NewPCG(5, 1))
	texts := []string{"", "lamp", "Lamp 2", "Ähre", "a\"b", `a\b`, "<i>", "a & b", "line\nline", "\u007f", "bad \xff"}
	written := 0
	for range 4000 {
		var e Entity
		v := reflect.ValueOf(&e).Elem()
		for i := range v.NumField() {
			if r.IntN(3) == 0 {
				continue
			}
			switch f := v.Field(i); f.Kind() {
			case reflect.String:
				f.SetString(texts[max(r.IntN(3), r.IntN(240)-229)])
			case reflect.Int:
				f.SetInt(int64(r.IntN(400) - 200))
			case reflect.Uint8:
				f.SetUint(uint64(max(0, r.IntN(32)-24)))
			case reflect.Uint32:
				f.SetUint(uint64(r.Uint32()))
			case reflect.Bool:
				f.SetBool(true)
			case reflect.Slice:
				if r.IntN(20) == 0 {
					f.Set(reflect.MakeSlice(f.Type(), r.IntN(2), 1))
				}
			default:
				t.Fatalf("nobody knows how to fill %s", v.Type().Field(i).Name)
			}
		}
		want, err := json.Marshal(&e)
		if err != nil {
			t.Fatal(err)
		}
		got, ok := e.AppendJSON([]byte("+"))
		if ok {
			written++
		}
		if ok && string(got) != "+"+string(want) || !ok && string(got) != "+" {
			t.Fatalf("written as\n%s, wanted\n%s", got, want)
		}
	}
	if written < 500 {
		t.Errorf("%d of 4000 were written", written)
	}
}
