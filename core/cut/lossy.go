package cut

import "slices"

// A picture that was kept with losses is noisy near edges, in colour more than in brightness: what is as bright as its ground, so nearly, is ground.
const (
	// brightnessOff is by how much of 255 the brightness of ground may be off.
	brightnessOff = 40
	// leastGround is how much of a picture its ground is at least, in percent.
	leastGround = 5
)

// brightness is that of a pixel, of 255 (ITU-R BT.601, in whole numbers).
func brightness(pix []byte, i int) int {
	return (299*int(pix[i]) + 587*int(pix[i+1]) + 114*int(pix[i+2])) / 1000
}

// cleared is a picture that was kept with losses in shades of grey, its ground in one of them; ok tells that it is such a one: it is opaque, its
// corners are nearly alike, and much that is nearly as they are is not so exactly.
func cleared(p Picture) (out Picture, ok bool) {
	last := p.Width - 1
	var corners []int
	for _, at := range []int{0, last, (p.Height - 1) * p.Width, p.Height*p.Width - 1} {
		corners = append(corners, brightness(p.Pix, at*4))
	}
	slices.Sort(corners)
	ground := corners[1]
	if corners[2]-corners[0] > brightnessOff/2 && corners[3]-corners[1] > brightnessOff/2 {
		return out, false
	}
	out = Picture{p.Width, p.Height, make([]byte, len(p.Pix))}
	exact, near := 0, 0
	for i := 0; i < len(p.Pix); i += 4 {
		if p.Pix[i+3] < 255 {
			return out, false
		}
		b := brightness(p.Pix, i)
		switch off := max(b-ground, ground-b); {
		case off == 0:
			exact++
			near++
		case off <= brightnessOff:
			b = ground
			near++
		}
		out.Pix[i], out.Pix[i+1], out.Pix[i+2], out.Pix[i+3] = byte(b), byte(b), byte(b), 255
	}
	return out, near*100 >= leastGround*p.Width*p.Height && exact*10 < near*9
}
