package author

import (
	"azzel/core/document"
	"azzel/core/edit"
	"errors"
	"fmt"
)

// AddZone puts a zone behind the others; hatch and colour follow from what it
// is where they are empty.
func AddZone(d *document.Document, z document.Zone) (Change, error) {
	z.ID, z.Order = document.NewID(), orderStep
	for _, o := range d.ZonesInOrder() {
		z.Order = o.Order + orderStep
		if o.Number == z.Number {
			return Change{}, fmt.Errorf("zone number %d is taken: make the zone again", z.Number)
		}
	}
	if z.Properties == nil {
		z.Properties = []document.Property{}
	}
	for _, w := range document.ZoneWords {
		if w.Is == z.Is && z.Hatch == "" {
			z.Hatch = w.Hatch
		}
		if w.Is == z.Is && z.Colour == "" {
			z.Colour = w.Colour
		}
	}
	if err := z.Check(); err != nil {
		return Change{}, err
	}
	c := changed("New zone "+z.Name, edit.Insert(edit.Ref{Type: edit.TypeZone, ID: z.ID}, z))
	c.Made = z.ID
	return c, nil
}

// SetZoneProperties sets what a zone has of the designer's own.
func SetZoneProperties(d *document.Document, id document.ID, all []document.Property) (Change, error) {
	z := d.Zones.Get(id)
	if z == nil {
		return Change{}, errors.New("the zone is no longer there")
	}
	next := *z
	next.Properties = namedProperties(all)
	if err := next.Check(); err != nil {
		return Change{}, err
	}
	return changed("Properties of zone "+z.Name, edit.Set(edit.Ref{Type: edit.TypeZone, ID: id}, "properties", next.Properties)), nil
}
