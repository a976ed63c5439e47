/** What the core has drawn, as a picture. */
export function drawnPicture(of: { width: number; height: number; pixels: string }): OffscreenCanvas {
	const data = new ImageData(
		Uint8ClampedArray.from(atob(of.pixels), (c) => c.charCodeAt(0)),
		of.width,
		of.height,
	)
	const canvas = new OffscreenCanvas(of.width, of.height)
	canvas.getContext('2d')!.putImageData(data, 0, 0)
	return canvas
}
