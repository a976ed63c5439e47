package sample_test

import (
	"azzel/core/document"
	"azzel/core/sample"
	"testing"
)

// What is said to be at all limits is, and every part of it is accepted.
func TestLimitsAreReached(t *testing.T) {
	d := sample.Limits()
	size := d.Size()
	if d.Maps.Len() != document.MaxMaps || size.Entities != document.MaxProjectEntities || size.Mixed*1024 < 63_900_000 {
		t.Errorf("%d maps hold %+v", d.Maps.Len(), size)
	}
	large := d.Maps.Get(sample.Large)
	if large.Layers.Len() != document.MaxLayers || large.Entities.Len() != document.MaxEntities || large.Bounds.W != document.MaxSide || large.Bounds.H != document.MaxSide {
		t.Errorf("the large map has %d layers and %d entities on %v", large.Layers.Len(), large.Entities.Len(), large.Bounds)
	}
	if d.MapsInOrder()[0] != large {
		t.Error("it is not the first")
	}
	for _, m := range d.MapsInOrder() {
		if err := m.Check(); err != nil {
			t.Fatalf("%s: %v", m.Name, err)
		}
		for _, e := range m.Entities.All() {
			if err := e.Check(); err != nil {
				t.Fatalf("%s on %s: %v", e.Name, m.Name, err)
			}
		}
	}
}
