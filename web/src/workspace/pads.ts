/** How far a stick has to lean before it counts. */
const dead = 0.4

/** The inputs that a gamepad holds down, by the layout that browsers call standard. */
export function padInputs(pad: Pick<Gamepad, 'axes' | 'buttons'>): number {
	const [x, y] = [pad.axes[0] ?? 0, pad.axes[1] ?? 0]
	const down = (i: number) => pad.buttons[i]?.pressed ?? false
	let bits = 0
	if (y < -dead || down(12)) bits |= 1
	if (x > dead || down(15)) bits |= 2
	if (y > dead || down(13)) bits |= 4
	if (x < -dead || down(14)) bits |= 8
	if (down(1) || down(2)) bits |= 16
	if (down(3)) bits |= 128
	if (down(0)) bits |= 32
	if (down(4) || down(5)) bits |= 4096
	if (down(9)) bits |= 8192
	return bits
}
