package replica

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"fmt"
	"strings"
)

// ToolHere marks edits that TurnBackHere made; it does not turn those back.
const ToolHere = "here"

// TurnBackHere turns back this person's latest change on a map inside a region, of its
// cells and of the entities that lie or lay there, and nothing else; the label says how
// many. Called again it goes on to earlier ones.
func (r *Replica) TurnBackHere(m document.ID, region *grid.Region) (*edit.Edit, edit.Result, error) {
	for i := len(r.undo) - 1; i >= 0; i-- {
		step := r.undo[i]
		if step.Tool == ToolHere {
			continue
		}
		if step.Revert == nil && step.Seq > 0 {
			return nil, edit.Result{}, Fetch{step.Seq}
		}
		// what was painted over since, or turned back before, does not count
		do := cellsIn(step.Revert, m, region)
		painted := 0
		if len(do) > 0 {
			painted = r.probe(do).Restored
		}
		moved, entities := r.entitiesIn(step.Revert, m, region)
		if painted == 0 && entities == 0 {
			continue
		}
		text := edit.Shortened("Turned back " + amounts(painted, entities) + " here: " + step.Text)
		return r.make(append(do, moved...), edit.Label{Kind: edit.Do, Text: text, Tool: ToolHere})
	}
	return nil, edit.Result{}, ErrNothing
}

// probe tries primitives on the present document.
func (r *Replica) probe(do []edit.Primitive) edit.Result {
	return edit.Apply(r.Current, &edit.Edit{Do: do})
}

func amounts(painted, entities int) string {
	var parts []string
	for _, p := range []struct {
		n         int
		one, many string
	}{{painted, "1 cell", "%d cells"}, {entities, "1 entity", "%d entities"}} {
		switch p.n {
		case 0:
		case 1:
			parts = append(parts, p.one)
		default:
			parts = append(parts, fmt.Sprintf(p.many, p.n))
		}
	}
	return strings.Join(parts, " and ")
}

// cellsIn leaves of a way back the cells of a map that lie in a region.
func cellsIn(revert []edit.Primitive, m document.ID, region *grid.Region) []edit.Primitive {
	var out []edit.Primitive
	for _, p := range revert {
		if p.Op != edit.OpCellsBack || p.Ref.Map != m {
			continue
		}
		cut := p.Cells.Region()
		cut.Intersect(region)
		if cut.Empty() {
			continue
		}
		was, _ := p.Was.Apply(cells.Plane{})
		to, _ := p.Cells.Apply(cells.Plane{})
		part := func(plane cells.Plane) cells.Patch {
			return cells.PaintEach(cut, cut.Bounds(), func(x, y int) (cells.Cell, bool) { return plane.At(x, y), true })
		}
		p.Was, p.Cells = part(was), part(to)
		out = append(out, p)
	}
	return out
}

// entitiesIn leaves of a way back what concerns entities of a map that lie in a region, or
// would lie there then, with how many they are.
func (r *Replica) entitiesIn(revert []edit.Primitive, m document.ID, region *grid.Region) (do []edit.Primitive, n int) {
	var ids []document.ID
	of := map[document.ID][]edit.Primitive{}
	for _, p := range revert {
		if p.Ref.Type == edit.TypeEntity && p.Ref.Map == m {
			if of[p.Ref.ID] == nil {
				ids = append(ids, p.Ref.ID)
			}
			of[p.Ref.ID] = append(of[p.Ref.ID], p)
		}
	}
	for _, id := range ids {
		now := r.Current
		probe := r.probe(of[id])
		then := probe.Doc
		if probe.Restored == 0 || !lies(now, m, now.Entity(m, id), region) && !lies(then, m, then.Entity(m, id), region) {
			continue
		}
		do = append(do, of[id]...)
		n++
	}
	return do, n
}

// lies says whether any cell that an entity covers is in a region.
func lies(d *document.Document, m document.ID, e *document.Entity, region *grid.Region) bool {
	on := d.Maps.Get(m)
	if e == nil || on == nil {
		return false
	}
	part := &grid.Region{}
	part.AddRect(e.Box(on))
	part.Intersect(region)
	return !part.Empty()
}
