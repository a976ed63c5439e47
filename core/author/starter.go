package author

import (
	"azzel/core/document"
	"azzel/core/edit"
)

// Kit is a tileset that comes with a hero and with looks for the kinds.
type Kit struct {
	Tileset document.Tileset    `json:"tileset"`
	Hero    document.Hero       `json:"hero"`
	Looks   []document.KindLook `json:"looks"`
	// Materials are made of the tileset's tiles.
	Materials []document.Material `json:"materials"`
}

// Starter puts a kit into a project: its tileset, its hero, its looks, its
// cell size, and a first map where there is none.
func Starter(d *document.Document, k Kit) (Change, error) {
	c, err := AddTileset(d, k.Tileset)
	if err != nil {
		return Change{}, err
	}
	project := edit.Ref{Type: edit.TypeProject}
	c.Do = append(c.Do, edit.Set(project, "hero", k.Hero), edit.Set(project, "looks", k.Looks),
		edit.Set(project, "cellWidth", k.Tileset.Cut.CellWidth), edit.Set(project, "cellHeight", k.Tileset.Cut.CellHeight))
	for i, m := range k.Materials {
		made, err := AddMaterial(d, m)
		if err != nil {
			return Change{}, err
		}
		m.ID, m.Order = made.Made, (i+1)*orderStep
		c.Do = append(c.Do, edit.Insert(edit.Ref{Type: edit.TypeMaterial, ID: m.ID}, m))
	}
	c.Label.Text = "Starter set"
	if d.Maps.Len() == 0 {
		m, err := NewMap(d, "First map", 40, 24)
		if err != nil {
			return Change{}, err
		}
		c.Do = append(c.Do, m.Do...)
	}
	return c, nil
}
