package cells

import (
	"azzel/core/grid"
	"bytes"
	"encoding/json"
	"strings"
	"testing"
)

// What is packed comes back up to exactly the limit; few bytes stay as they are.
func TestPackedComesBack(t *testing.T) {
	for _, n := range []int{0, 1, 95, 96, 97, 4096} {
		raw := bytes.Repeat([]byte("salt"), n)[:n]
		packed := Pack(raw)
		if (packed[0] == 0) != (n < 96) {
			t.Errorf("%d bytes are packed as %d", n, packed[0])
		}
		if n >= 200 && len(packed) > n/4 {
			t.Errorf("%d bytes became %d", n, len(packed))
		}
		back, err := Unpack(packed, n)
		if err != nil || !bytes.Equal(back, raw) {
			t.Errorf("%d bytes came back as %d, %v", n, len(back), err)
		}
		if n < 96 {
			continue
		}
		if _, err := Unpack(packed, n-1); err == nil {
			t.Errorf("%d bytes passed a limit of %d", n, n-1)
		}
	}
	for _, bad := range [][]byte{nil, {2, 1, 2}, {1, 0xff, 0xff}, {1}} {
		if _, err := Unpack(bad, 1000); err == nil {
			t.Errorf("%v was unpacked", bad)
		}
	}
}

// Text that is no patch is refused.
func TestTextThatIsNoPatch(t *testing.T) {
	good, err := json.Marshal(Patch{{CX: 3, CY: -2, Value: TileCell(1, 5)}})
	if err != nil {
		t.Fatal(err)
	}
	var p Patch
	if err := json.Unmarshal(good, &p); err != nil || len(p) != 1 || p[0].CX != 3 || p[0].CY != -2 || p[0].Value != TileCell(1, 5) {
		t.Fatalf("it came back as %+v, %v", p, err)
	}
	for _, bad := range []string{`""`, `"`, `5`, `"!!!"`, `"` + strings.Repeat("A", 40) + `"`, string(good[:len(good)-3]) + `"`} {
		if err := new(Patch).UnmarshalJSON([]byte(bad)); err == nil {
			t.Errorf("%s was taken", bad)
		}
	}
}

// BenchmarkCodec writes a million cells as they are stored, none like the one beside it, and reads them; the baseline is a plain write of
// as many.
func BenchmarkCodec(b *testing.B) {
	bounds := grid.Rect{W: 1024, H: 1024}
	all := &grid.Region{}
	all.AddRect(bounds)
	block := make([]Cell, 35)
	for i := range block {
		block[i] = TileCell(1, 8+i*3%8)
	}
	p, _ := Paint(all, bounds, block, 7, grid.Point{}).Apply(Plane{})
	data := EncodeWhole(p)
	b.Run("write", func(b *testing.B) {
		for b.Loop() {
			EncodeWhole(p)
		}
	})
	b.Run("read", func(b *testing.B) {
		for b.Loop() {
			if Later(data).Empty() {
				b.Fatal("nothing is there")
			}
		}
	})
}
