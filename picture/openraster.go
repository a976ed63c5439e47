package picture

import (
	"archive/zip"
	"azzel/core/document"
	"encoding/xml"
	"errors"
	"fmt"
	"image"
	"image/png"
	"io"
	"slices"
	"strconv"
)

// stackXML is the list of layers of an OpenRaster file, the uppermost first. (OpenRaster 0.0.6, freedesktop.org.)
type stackXML struct {
	XMLName xml.Name `xml:"image"`
	Version string   `xml:"version,attr"`
	W       int      `xml:"w,attr"`
	H       int      `xml:"h,attr"`
	Stack   struct {
		Layers []layerXML `xml:"layer"`
	} `xml:"stack"`
}

type layerXML struct {
	Name       string `xml:"name,attr"`
	Src        string `xml:"src,attr"`
	X          int    `xml:"x,attr"`
	Y          int    `xml:"y,attr"`
	Opacity    string `xml:"opacity,attr"`
	Visibility string `xml:"visibility,attr"`
}

// thumbnail is how large the preview of a layered picture is at most.
const thumbnail = 256

// Layered writes a map as a layered picture, OpenRaster: each layer of tiles and things as a PNG of its own, with its name, how faint
// it is and whether it is shown.
func (s Source) Layered(to io.Writer, m *document.Map) error {
	t := s.painter(m)
	w, h := t.size()
	all := slices.DeleteFunc(m.LayersInOrder(), func(l *document.Layer) bool {
		return l.Kind != document.LayerTiles && l.Kind != document.LayerEntities
	})
	if w*h > MaxWhole {
		return errors.New("that map is too large for a layered picture: crop a copy of it first")
	}
	z := zip.NewWriter(to)
	kept, err := z.CreateHeader(&zip.FileHeader{Name: "mimetype", Method: zip.Store})
	if err != nil {
		return fmt.Errorf("write a layered picture: %w", err)
	}
	if _, err := io.WriteString(kept, "image/openraster"); err != nil {
		return fmt.Errorf("write a layered picture: %w", err)
	}
	save := func(name string, img image.Image) error {
		on, err := z.Create(name)
		if err == nil {
			err = (&png.Encoder{CompressionLevel: png.BestSpeed}).Encode(on, img)
		}
		if err != nil {
			return fmt.Errorf("write a layered picture: %w", err)
		}
		return nil
	}
	list := stackXML{Version: "0.0.6", W: w, H: h}
	for i, l := range slices.Backward(all) {
		on := image.NewNRGBA(image.Rect(0, 0, w, h))
		t.on = plain{on}
		own := *l
		own.Opacity, own.Group = 100, ""
		t.layers([]*document.Layer{&own}, true)
		src := fmt.Sprintf("data/layer%d.png", i+1)
		if err := save(src, on); err != nil {
			return err
		}
		list.Stack.Layers = append(list.Stack.Layers, layerXML{Name: l.Name, Src: src, Opacity: strconv.FormatFloat(float64(t.faint(l))/100, 'f', 2, 64),
			Visibility: map[bool]string{true: "visible", false: "hidden"}[m.Shown(l)]})
	}
	merged, err := s.Whole(m, Look{Scale: 1, Things: true})
	if err != nil {
		return err
	}
	small, err := s.Small(m, thumbnail)
	if err != nil {
		return err
	}
	if err := errors.Join(save("mergedimage.png", merged), save("Thumbnails/thumbnail.png", small)); err != nil {
		return err
	}
	on, err := z.Create("stack.xml")
	if err != nil {
		return fmt.Errorf("write a layered picture: %w", err)
	}
	text, err := xml.MarshalIndent(list, "", "  ")
	if err == nil {
		_, err = io.WriteString(on, xml.Header+string(text)+"\n")
	}
	if err == nil {
		err = z.Close()
	}
	if err != nil {
		return fmt.Errorf("write a layered picture: %w", err)
	}
	return nil
}
