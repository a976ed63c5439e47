package author

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/material"
	"errors"
	"slices"
)

// Recut is a tileset cut or pictured otherwise: Match says for each old tile
// which new one it becomes, −1 where there is none.
type Recut struct {
	Picture string       `json:"picture"`
	Width   int          `json:"width"`
	Height  int          `json:"height"`
	Cut     document.Cut `json:"cut"`
	Match   []int        `json:"match"`
}

// Changes is what a recut would do to what is there: cells are counted on all layers of
// tiles, those too that lie outside a map that was made smaller.
type Changes struct {
	// Cells are all that show a tile of the set, Beyond those of them outside their map.
	Cells  int `json:"cells"`
	Beyond int `json:"beyond"`
	// Tiles are old tiles without a match, Used those of them that are painted with,
	// Emptied how many cells that are.
	Tiles   []int `json:"tiles"`
	Used    []int `json:"used"`
	Emptied int   `json:"emptied"`
	// Joined are groups of tiles that are painted with and become one, JoinedCells the
	// cells that show them.
	Joined      [][]int `json:"joined"`
	JoinedCells int     `json:"joinedCells"`
	// Moved are tiles that are painted with and become one of another number, MovedCells
	// the cells that show them.
	Moved      []int `json:"moved"`
	MovedCells int   `json:"movedCells"`
}

// MatchByPlace matches the tiles of an old cut to those of a new one that cover
// most of the same pixels, at least half of the smaller of the two.
func MatchByPlace(old document.Cut, oldW, oldH int, next document.Cut, nextW, nextH int) []int {
	columns, rows := old.Tiles(oldW, oldH)
	others, down := next.Tiles(nextW, nextH)
	begins := next.First()
	out := make([]int, columns*rows)
	for i := range out {
		r := old.Tile(i, columns)
		out[i] = -1
		best := 0
		// only tiles near the same place can cover it
		x0, y0 := (r.X-begins.X)/(next.CellWidth+next.Spacing), (r.Y-begins.Y)/(next.CellHeight+next.Spacing)
		x1, y1 := (r.X+r.W-begins.X)/(next.CellWidth+next.Spacing), (r.Y+r.H-begins.Y)/(next.CellHeight+next.Spacing)
		for y := max(0, y0); y <= min(down-1, y1); y++ {
			for x := max(0, x0); x <= min(others-1, x1); x++ {
				n := next.Tile(y*others+x, others)
				both := r.Intersect(n)
				area := both.W * both.H
				if area > best && 2*area >= min(r.W*r.H, n.W*n.H) {
					best, out[i] = area, y*others+x
				}
			}
		}
	}
	return out
}

// ChangesBy tells what a recut would change.
func ChangesBy(d *document.Document, t *document.Tileset, match []int) Changes {
	out := Changes{Tiles: []int{}, Used: []int{}, Joined: [][]int{}, Moved: []int{}}
	used, most := map[int]int{}, len(match)
	for _, m := range d.MapsInOrder() {
		for _, l := range m.LayersInOrder() {
			if l.Kind != document.LayerTiles {
				continue
			}
			shown := l.Cells.Region(l.Cells.Extent(), func(c cells.Cell) bool { return of(c, t) })
			out.Beyond += beyondOf(m, shown).Count()
			for _, p := range shown.Points() {
				tile := l.Cells.At(p.X, p.Y).Tile()
				used[tile]++
				most = max(most, tile+1)
			}
		}
	}
	becomes := map[int][]int{}
	for tile := range most {
		n := used[tile]
		out.Cells += n
		switch to := matchOf(match, tile); {
		case to < 0:
			if out.Emptied += n; n > 0 {
				out.Used = append(out.Used, tile)
			}
			if tile < len(match) {
				out.Tiles = append(out.Tiles, tile)
			}
		case n > 0:
			becomes[to] = append(becomes[to], tile)
			if to != tile {
				out.Moved, out.MovedCells = append(out.Moved, tile), out.MovedCells+n
			}
		}
	}
	for to := range slices.Max(append(match[:len(match):len(match)], -1)) + 1 {
		if tiles := becomes[to]; len(tiles) > 1 {
			out.Joined = append(out.Joined, tiles)
			for _, tile := range tiles {
				out.JoinedCells += used[tile]
			}
		}
	}
	return out
}

// matchOf is what a tile becomes; −1 is nothing.
func matchOf(match []int, tile int) int {
	if tile < 0 || tile >= len(match) {
		return -1
	}
	return match[tile]
}

func of(c cells.Cell, t *document.Tileset) bool {
	return c != 0 && !c.IsMaterial() && c.Tileset() == t.Number
}

// RecutTileset cuts or pictures a tileset otherwise and brings everything that
// shows its tiles along: maps, materials, motifs, looks and what is set up for
// tiles. What has no match is emptied.
func RecutTileset(d *document.Document, t *document.Tileset, r Recut) (Change, error) {
	next := *t
	next.Picture, next.Width, next.Height, next.Cut = r.Picture, r.Width, r.Height, r.Cut
	if err := r.Cut.Check(r.Width, r.Height); err != nil {
		return Change{}, err
	}
	columns, rows := r.Cut.Tiles(r.Width, r.Height)
	for _, to := range r.Match {
		if to >= columns*rows {
			return Change{}, errors.New("a tile is matched to one that the new cut does not have")
		}
	}
	m := matcher{t, r.Match}
	next.Solid, next.Infos = m.tiles(t.Solid), m.infos(t.Infos)
	if err := next.Check(); err != nil {
		return Change{}, err
	}
	ref := edit.Ref{Type: edit.TypeTileset, ID: t.ID}
	// taken out and put back whole, since cut, size and tiles only hold together
	c := changed("Recut "+t.Name, edit.Remove(ref), edit.Insert(ref, next))
	if r.Picture != t.Picture {
		c.Label.Text = "Another picture for " + t.Name
	}
	if !m.moves() {
		return c, nil
	}
	for _, where := range d.MapsInOrder() {
		c.Do = append(c.Do, m.mapCells(where)...)
	}
	c.Do = append(c.Do, m.others(d)...)
	return c, nil
}

// matcher brings cells of a tileset to their matches.
type matcher struct {
	t     *document.Tileset
	match []int
}

func (m *matcher) moves() bool {
	for i, to := range m.match {
		if i != to {
			return true
		}
	}
	return false
}

func (m *matcher) cell(c cells.Cell) cells.Cell {
	if !of(c, m.t) {
		return c
	}
	if to := matchOf(m.match, c.Tile()); to >= 0 {
		return c&cells.TurnBits | cells.TileCell(c.Tileset(), to)
	}
	return 0
}

func (m *matcher) tiles(all []int) []int {
	out := []int{}
	for _, i := range all {
		if to := matchOf(m.match, i); to >= 0 {
			out = append(out, to)
		}
	}
	slices.Sort(out)
	return slices.Compact(out)
}

func (m *matcher) infos(all []document.TileInfo) []document.TileInfo {
	out := []document.TileInfo{}
	for _, i := range all {
		if i.Tile = matchOf(m.match, i.Tile); i.Tile < 0 {
			continue
		}
		i.Partner = matchOf(m.match, i.Partner)
		frames := []document.Frame{}
		for _, f := range i.Frames {
			if f.Tile = matchOf(m.match, f.Tile); f.Tile >= 0 {
				frames = append(frames, f)
			}
		}
		if len(frames) < 2 {
			frames = []document.Frame{}
		}
		if i.Frames = frames; i.Part == document.PartOwn {
			i.Part, i.Own = "", nil // its corners are pixels of the old cut
		}
		out = append(out, i)
	}
	slices.SortFunc(out, func(a, b document.TileInfo) int { return a.Tile - b.Tile })
	return slices.CompactFunc(out, func(a, b document.TileInfo) bool { return a.Tile == b.Tile })
}

func (m *matcher) mapCells(where *document.Map) []edit.Primitive {
	var do []edit.Primitive
	for _, l := range where.LayersInOrder() {
		if l.Kind != document.LayerTiles {
			continue
		}
		hit := l.Cells.Region(l.Cells.Extent(), func(c cells.Cell) bool { return m.cell(c) != c })
		do = append(do, putEverywhere(where, l, hit, func(x, y int) cells.Cell { return m.cell(l.Cells.At(x, y)) })...)
	}
	for _, e := range where.Entities.All() {
		ref := edit.Ref{Type: edit.TypeEntity, Map: where.ID, ID: e.ID}
		if look := m.cell(e.Look); look != e.Look {
			do = append(do, edit.Set(ref, "look", look))
		}
		if look := m.cell(e.LookOn); look != e.LookOn {
			do = append(do, edit.Set(ref, "lookOn", look))
		}
		do = append(do, m.guises(ref, e.Guises)...)
	}
	return do
}

// guises lets guises look as in the new cut.
func (m *matcher) guises(of edit.Ref, all []document.Guise) []edit.Primitive {
	next := slices.Clone(all)
	for i := range next {
		next[i].Look = m.cell(next[i].Look)
	}
	if slices.Equal(next, all) {
		return nil
	}
	return []edit.Primitive{edit.Set(of, "guises", next)}
}

// frames are pictures by facing in the new cut, without those that are gone.
func (m *matcher) frames(all [4][]cells.Cell) (out [4][]cells.Cell) {
	for i, frames := range all {
		for _, f := range frames {
			if f = m.cell(f); f != 0 {
				out[i] = append(out[i], f)
			}
		}
	}
	return out
}

// others are the project's looks and hero, kinds, materials and motifs.
func (m *matcher) others(d *document.Document) []edit.Primitive {
	var do []edit.Primitive
	looks := slices.Clone(d.Project.Looks)
	for i := range looks {
		looks[i].Look, looks[i].LookOn = m.cell(looks[i].Look), m.cell(looks[i].LookOn)
	}
	hero := d.Project.Hero
	hero.Frames = m.frames(hero.Frames)
	project := edit.Ref{Type: edit.TypeProject}
	if !slices.Equal(looks, d.Project.Looks) {
		do = append(do, edit.Set(project, "looks", looks))
	}
	if string(edit.JSON(hero)) != string(edit.JSON(d.Project.Hero)) {
		do = append(do, edit.Set(project, "hero", hero))
	}
	d.Kinds.Each(func(k *document.Kind) {
		ref := edit.Ref{Type: edit.TypeKind, ID: k.ID}
		if look := m.cell(k.Look); look != k.Look {
			do = append(do, edit.Set(ref, "look", look))
		}
		if look := m.cell(k.LookOn); look != k.LookOn {
			do = append(do, edit.Set(ref, "lookOn", look))
		}
		if frames := m.frames(k.Frames); string(edit.JSON(frames)) != string(edit.JSON(k.Frames)) {
			do = append(do, edit.Set(ref, "frames", frames))
		}
		poses := slices.Clone(k.Poses)
		for i := range poses {
			poses[i].Frames = m.frames(poses[i].Frames)
		}
		if string(edit.JSON(poses)) != string(edit.JSON(k.Poses)) {
			do = append(do, edit.Set(ref, "poses", poses))
		}
		do = append(do, m.guises(ref, k.Guises)...)
	})
	for _, o := range d.MaterialsInOrder() {
		next := slices.Clone(o.Tiles)
		for i := range next {
			next[i].Cell = m.cell(next[i].Cell)
		}
		next = slices.DeleteFunc(next, func(t material.Tile) bool { return t.Cell == 0 })
		if !slices.Equal(next, o.Tiles) {
			do = append(do, edit.Set(edit.Ref{Type: edit.TypeMaterial, ID: o.ID}, "tiles", next))
		}
	}
	for _, o := range d.MotifsInOrder() {
		parts := slices.Clone(o.Parts)
		for i, p := range parts {
			plane, _ := p.Cells.Apply(cells.Plane{})
			region := p.Cells.Region()
			parts[i].Cells = cells.PaintEach(region, region.Bounds(), func(x, y int) (cells.Cell, bool) {
				c := plane.At(x, y)
				if p.Kind == document.LayerTiles {
					c = m.cell(c)
				}
				return c, true
			})
		}
		if string(edit.JSON(parts)) != string(edit.JSON(o.Parts)) {
			do = append(do, edit.Set(edit.Ref{Type: edit.TypeMotif, ID: o.ID}, "parts", parts))
		}
	}
	return do
}
