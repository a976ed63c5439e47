package author_test

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/sample"
	"fmt"
	"math/rand/v2"
	"testing"
)

// dangling finds what refers to something that is not there.
func dangling(d *document.Document) []string {
	var out []string
	for _, p := range d.Passages.All() {
		if d.Entity(p.From.Map, p.From.Entity) == nil || d.Entity(p.To.Map, p.To.Entity) == nil {
			out = append(out, "passage "+string(p.ID))
		}
	}
	for _, m := range d.Maps.All() {
		for _, e := range m.Entities.All() {
			if e.Carrier != "" && m.Entities.Get(e.Carrier) == nil {
				out = append(out, "carrier of "+e.Name)
			}
			for _, v := range e.Values {
				if s := d.Setting(e, v.Key); s != nil && s.Type == kind.Entity && m.Entities.Get(document.ID(v.Value.Word())) == nil {
					out = append(out, v.Key+" of "+e.Name)
				}
			}
			if d.Kind(document.ID(e.Kind)) == nil {
				out = append(out, "kind of "+e.Name)
			}
		}
	}
	return out
}

// References survive renaming, moving, resizing, removing and undo, in any order.
func TestReferencesSurvive(t *testing.T) {
	r := rand.New(rand.NewPCG(5, 9))
	for range 25 {
		d := sample.World()
		c, err := author.Join(d, author.Way{From: document.End{Map: sample.Quay, Entity: sample.Exit}, To: sample.Pans, At: grid.Point{X: 4, Y: 4}, Facing: document.Right, Back: true})
		d = apply(t, d, c, err)
		d, path := stand(t, d, kind.Path, "Path", 48, 64)
		d, lift := stand(t, d, kind.Platform, "Lift", 64, 64)
		d, key := stand(t, d, "key", "Key", 64, 48)
		for _, set := range []func() (author.Change, error){
			func() (author.Change, error) {
				return author.SetSetting(d, d.Maps.Get(sample.Quay), []document.ID{lift}, "path", say(string(path)))
			},
			func() (author.Change, error) {
				return author.SetField(d, d.Maps.Get(sample.Quay), []document.ID{key}, "carrier", lift)
			},
		} {
			c, err := set()
			d = apply(t, d, c, err)
		}
		type done struct {
			revert []edit.Primitive
			before string
		}
		var undo []done
		for n := range 40 {
			var c author.Change
			var err error
			maps := d.MapsInOrder()
			m := maps[r.IntN(len(maps))]
			all := m.Entities.All()
			pick := func() []document.ID {
				if len(all) == 0 {
					return nil
				}
				return []document.ID{all[r.IntN(len(all))].ID}
			}
			switch r.IntN(9) {
			case 0:
				c, err = author.SetField(d, m, pick(), "name", fmt.Sprint("Name ", n))
			case 1:
				c, err = author.MoveEntities(m, pick(), r.IntN(64)-32, r.IntN(64)-32)
			case 2:
				c, err = author.Resize(m, grid.Rect{X: -r.IntN(3), Y: 0, W: 18 + r.IntN(8), H: 10 + r.IntN(6)})
			case 3:
				c, err = author.RemoveEntities(d, m, pick())
			case 4:
				c, err = author.CopyMap(d, m, "", grid.Point{}, true)
			case 5:
				if len(maps) > 1 {
					c = author.RemoveMap(d, m)
				}
			case 6:
				c, err = author.AddKind(d, kind.Platform, "")
			case 7:
				if own := d.Kinds.All(); len(own) > 0 {
					c, err = author.RemoveKind(d, own[0].ID)
				}
			default:
				if len(undo) > 0 {
					last := undo[len(undo)-1]
					undo = undo[:len(undo)-1]
					d = edit.Apply(d, &edit.Edit{Do: last.revert}).Doc
					if d.Hash() != last.before {
						t.Fatal("undone it is not as it was before")
					}
				}
			}
			if err != nil || len(c.Do) == 0 {
				continue
			}
			res := edit.Apply(d, &edit.Edit{Do: c.Do})
			if len(res.Dropped) > 0 {
				t.Fatal(res.Dropped)
			}
			undo = append(undo, done{res.Revert, d.Hash()})
			d = res.Doc
			if lost := dangling(d); len(lost) > 0 {
				t.Fatalf("after “%s” nothing is at the end of %v", c.Label.Text, lost)
			}
		}
	}
}
