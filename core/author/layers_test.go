package author_test

import (
	"azzel/core/author"
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/hand"
	"azzel/core/sample"
	"strings"
	"testing"
)

func TestDuplicateAndMergeLayers(t *testing.T) {
	d := sample.World()
	c, err := author.DuplicateLayer(quay(d), sample.Things)
	d = done(t, d, c, err)
	copied := quay(d).Layers.Get(c.Made)
	if copied.Name != "Things 2" || copied.Cells.At(0, 0) != sample.Wall || quay(d).LayersInOrder()[2] != copied {
		t.Errorf("the copy is %+v", copied)
	}
	c, err = author.DuplicateLayer(quay(d), sample.Entities)
	d = done(t, d, c, err)
	if quay(d).Entities.Len() != 10 {
		t.Errorf("%d entities", quay(d).Entities.Len())
	}
	// merging brings everything down; what lies on both is the upper one's
	d = edit.Apply(d, &edit.Edit{Do: []edit.Primitive{sample.Paint(sample.Quay, copied.ID, box(0, 0, 2, 1), cells.TileCell(1, 9))}}).Doc
	c, err = author.MergeDown(quay(d), copied.ID)
	d = done(t, d, c, err)
	things := quay(d).Layers.Get(sample.Things).Cells
	if quay(d).Layers.Get(copied.ID) != nil || things.At(1, 0) != cells.TileCell(1, 9) || things.At(2, 0) != sample.Wall {
		t.Error("the layers are not merged")
	}
	if _, err := author.MergeDown(quay(d), sample.Ground); err == nil || !strings.Contains(err.Error(), "no other layer of tiles") {
		t.Errorf("merged with nothing: %v", err)
	}
	d = edit.Apply(d, &edit.Edit{Do: []edit.Primitive{edit.Set(edit.Ref{Type: edit.TypeLayer, Map: sample.Quay, ID: sample.Ground}, "locked", true)}}).Doc
	if _, err := author.MergeDown(quay(d), sample.Things); err == nil || !strings.Contains(err.Error(), "locked") {
		t.Errorf("merged with a locked layer: %v", err)
	}
}

// A group hides and locks what is in it; deleted it leaves its layers.
func TestGroups(t *testing.T) {
	d := sample.World()
	c, err := author.GroupLayers(quay(d), sample.Things)
	d = done(t, d, c, err)
	group := c.Made
	set := func(field string, v any) *document.Document {
		return edit.Apply(d, &edit.Edit{Do: []edit.Primitive{edit.Set(edit.Ref{Type: edit.TypeLayer, Map: sample.Quay, ID: group}, field, v)}}).Doc
	}
	g := hand.Grip{What: hand.Tiles}
	for _, field := range []string{"hidden", "locked"} {
		if l := hand.Target(sample.World(), quay(set(field, true)), &g, sample.Things); l == nil || l.ID != sample.Ground {
			t.Errorf("%s: the hand works on %+v", field, l)
		}
	}
	if _, err := author.GroupLayers(quay(d), group); err == nil {
		t.Error("a group was put into a group")
	}
	c, err = author.RemoveLayer(d, quay(d), group)
	d = done(t, d, c, err)
	if l := quay(d).Layers.Get(sample.Things); l == nil || l.Group != "" {
		t.Errorf("the layer in the group is %+v", l)
	}
	c, err = author.RemoveLayer(d, quay(d), sample.Entities)
	if d = done(t, d, c, err); quay(d).Entities.Len() != 0 {
		t.Error("entities are left without a layer")
	}
}

// A sheet that is moved away goes behind nearer ones, and before them when it comes back.
func TestMoveSheet(t *testing.T) {
	d := sample.World()
	order := func() string {
		out := ""
		for _, l := range quay(d).LayersInOrder() {
			out += l.Name[:1]
		}
		return out
	}
	move := func(id document.ID, lag int, want string) {
		t.Helper()
		c, err := author.MoveSheet(quay(d), id, lag)
		d = done(t, d, c, err)
		if l := quay(d).Layers.Get(id); order() != want || l.LagX != lag || l.LagY != lag || l.Front != (lag < 0) {
			t.Errorf("the order is %s, wanted %s; %+v", order(), want, l)
		}
	}
	move(sample.Things, 60, "TGE")
	move(sample.Ground, 80, "GTE")
	move(sample.Ground, 0, "TGE")
	move(sample.Ground, -40, "TEG")
	move(sample.Ground, 0, "TEG")
	if c, err := author.MoveSheet(quay(d), sample.Ground, 900); err != nil || string(c.Do[0].Value) != "100" {
		t.Errorf("beyond the end: %v", err)
	}
}

func TestPictureLayers(t *testing.T) {
	d := sample.World()
	sky := document.LayerImage{From: "#203040", To: "#ffeedd", Scale: 100, Stretch: true}
	c, err := author.AddPictureLayer(quay(d), "Sky", sky, "")
	d = done(t, d, c, err)
	if l := quay(d).Layers.Get(c.Made); l.Kind != document.LayerPicture || l.Image.To != "#ffeedd" {
		t.Errorf("%+v", l)
	}
	if again, err := document.Decode(d.Encode()); err != nil || again.Hash() != d.Hash() {
		t.Errorf("a picture is lost when stored: %v", err)
	}
	for name, change := range map[string]func(*document.LayerImage){
		"colour": func(i *document.LayerImage) { i.From = "red" }, "scale": func(i *document.LayerImage) { i.Scale = 0 },
		"drift": func(i *document.LayerImage) { i.DriftX = 1 << 20 }, "picture": func(i *document.LayerImage) { i.Picture = "../x" },
		"size": func(i *document.LayerImage) { i.Picture = strings.Repeat("a", 64) },
	} {
		bad := sky
		change(&bad)
		if _, err := author.AddPictureLayer(quay(d), "Sky", bad, ""); err == nil {
			t.Errorf("a wrong %s was taken", name)
		}
	}
	for _, bad := range []document.Layer{{Kind: "picture"}, {Kind: "tiles", Image: &sky}, {Kind: "tiles", Tint: "blue"}, {Kind: "tiles", LagX: 900}, {Kind: "group", Group: "aaaaaaaaaaaa"}, {Kind: "sound"}} {
		bad.ID, bad.Name = "layerlayerla", "L"
		if bad.Check() == nil {
			t.Errorf("%+v was taken", bad)
		}
	}
}
