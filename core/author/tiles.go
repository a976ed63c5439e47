package author

import (
	"azzel/core/document"
	"azzel/core/edit"
	"errors"
	"fmt"
	"slices"
)

// TileMark is what is set up for tiles; fields that are nil stay as they are.
type TileMark struct {
	Solid   *bool             `json:"solid,omitempty"`
	Odds    *int              `json:"odds,omitempty"`
	Partner *int              `json:"partner,omitempty"`
	Part    *string           `json:"part,omitempty"`
	OneWay  *document.Facing  `json:"oneWay,omitempty"`
	Is      *string           `json:"is,omitempty"`
	Zone    *document.ID      `json:"zone,omitempty"`
	Tags    *[]string         `json:"tags,omitempty"`
	Frames  *[]document.Frame `json:"frames,omitempty"`
	// Tag is given beside the tags that a tile has, Untag taken away.
	Tag   *string `json:"tag,omitempty"`
	Untag *string `json:"untag,omitempty"`
	// Value is given to one of the tileset's own properties, Reset names one that goes back to its default.
	Value *document.Value `json:"value,omitempty"`
	Reset *string         `json:"reset,omitempty"`
	// Own is the outlines of a solid part of its own; it sets Part with it.
	Own *document.Outlines `json:"own,omitempty"`
}

// MarkTiles sets up tiles of a tileset. A tile that gets a solid part is not
// solid all over any more, and the other way round.
func MarkTiles(t *document.Tileset, tiles []int, mark TileMark) (Change, error) {
	columns, rows := t.Cut.Tiles(t.Width, t.Height)
	if len(tiles) == 0 {
		return Change{}, errors.New("no tile was pointed at")
	}
	next := *t
	next.Infos = slices.Clone(t.Infos)
	solid := map[int]bool{}
	for _, s := range t.Solid {
		solid[s] = true
	}
	for _, tile := range tiles {
		if tile < 0 || tile >= columns*rows {
			return Change{}, errors.New("that tile is not in the tileset")
		}
		i, ok := slices.BinarySearchFunc(next.Infos, tile, func(o document.TileInfo, tile int) int { return o.Tile - tile })
		info := document.NewTileInfo(tile)
		if ok {
			info = next.Infos[i]
		}
		if mark.Solid != nil {
			solid[tile] = *mark.Solid
			info.Part = ""
		}
		if mark.Part != nil && *mark.Part != "" || mark.Own != nil {
			solid[tile] = false
		}
		mark.put(&info, t.Properties)
		switch {
		case info.Bare() && ok:
			next.Infos = slices.Delete(next.Infos, i, i+1)
		case info.Bare():
		case ok:
			next.Infos[i] = info
		default:
			next.Infos = slices.Insert(next.Infos, i, info)
		}
	}
	next.Solid = []int{}
	for s := range columns * rows {
		if solid[s] {
			next.Solid = append(next.Solid, s)
		}
	}
	if err := next.Check(); err != nil {
		return Change{}, err
	}
	c := changed(fmt.Sprintf("Set up %d tiles of %s", len(tiles), t.Name))
	if len(tiles) == 1 {
		c = changed(fmt.Sprintf("Set up tile %d of %s", tiles[0], t.Name))
	}
	ref := edit.Ref{Type: edit.TypeTileset, ID: t.ID}
	if !slices.Equal(next.Solid, t.Solid) {
		c.Do = append(c.Do, edit.Set(ref, "solid", next.Solid))
	}
	if string(edit.JSON(next.Infos)) != string(edit.JSON(t.Infos)) {
		c.Do = append(c.Do, edit.Set(ref, "infos", next.Infos))
	}
	if len(c.Do) == 0 {
		return Change{}, errors.New("the tiles are like that already")
	}
	return c, nil
}

// SetPartners gives tiles the tiles that show them flipped left–right.
func SetPartners(t *document.Tileset, pairs [][2]int) (Change, error) {
	next := *t
	for _, pair := range pairs {
		c, err := MarkTiles(&next, pair[:1], TileMark{Partner: &pair[1]})
		if err != nil {
			continue // it has this partner already
		}
		for _, p := range c.Do {
			changed, err := document.WithField(&next, p.Field, p.Value)
			if err != nil {
				return Change{}, err
			}
			next = *changed
		}
	}
	if string(edit.JSON(next.Infos)) == string(edit.JSON(t.Infos)) {
		return Change{}, errors.New("every tile that is the mirror image of another knows it already")
	}
	return changed("Mirrored partners in "+t.Name, edit.Set(edit.Ref{Type: edit.TypeTileset, ID: t.ID}, "infos", next.Infos)), nil
}

func (m *TileMark) put(i *document.TileInfo, properties []document.Property) {
	set(&i.Odds, m.Odds)
	set(&i.Partner, m.Partner)
	set(&i.Part, m.Part)
	set(&i.OneWay, m.OneWay)
	set(&i.Is, m.Is)
	set(&i.Zone, m.Zone)
	set(&i.Tags, m.Tags)
	set(&i.Frames, m.Frames)
	if m.Tag != nil && !slices.Contains(i.Tags, *m.Tag) {
		i.Tags = append(slices.Clone(i.Tags), *m.Tag)
	}
	if m.Untag != nil {
		i.Tags = slices.DeleteFunc(slices.Clone(i.Tags), func(tag string) bool { return tag == *m.Untag })
	}
	if m.Value != nil {
		i.Values = without(i.Values, m.Value.Name)
		if !slices.ContainsFunc(properties, func(p document.Property) bool { return p.Name == m.Value.Name && p.Default == m.Value.Value }) {
			i.Values = append(i.Values, *m.Value)
		}
	}
	if m.Reset != nil {
		i.Values = without(i.Values, *m.Reset)
	}
	if m.Own != nil {
		i.Part, i.Own = document.PartOwn, *m.Own
	}
	if i.Part != document.PartOwn {
		i.Own = nil
	}
	if i.Tags == nil {
		i.Tags = []string{}
	}
	if i.Values == nil {
		i.Values = []document.Value{}
	}
	if i.Frames == nil {
		i.Frames = []document.Frame{}
	}
}

func without(values []document.Value, name string) []document.Value {
	return slices.DeleteFunc(slices.Clone(values), func(v document.Value) bool { return v.Name == name })
}

// SetProperties says which properties the tiles of a tileset have. Values of
// those that are gone, or do not fit any more, go with them.
func SetProperties(t *document.Tileset, all []document.Property) (Change, error) {
	next := *t
	all = namedProperties(all)
	next.Properties, next.Infos = all, []document.TileInfo{}
	for _, i := range t.Infos {
		i.Values = slices.DeleteFunc(slices.Clone(i.Values), func(v document.Value) bool {
			k := slices.IndexFunc(all, func(p document.Property) bool { return p.Name == v.Name })
			return k < 0 || all[k].Fits(v.Value) != nil
		})
		if !i.Bare() {
			next.Infos = append(next.Infos, i)
		}
	}
	if err := next.Check(); err != nil {
		return Change{}, err
	}
	ref := edit.Ref{Type: edit.TypeTileset, ID: t.ID}
	// values without a property and properties without a value hold by themselves
	bare := []document.TileInfo{}
	return changed("Properties of the tiles of "+t.Name, edit.Set(ref, "infos", bare), edit.Set(ref, "properties", all), edit.Set(ref, "infos", next.Infos)), nil
}

func set[T any](to *T, from *T) {
	if from != nil {
		*to = *from
	}
}
