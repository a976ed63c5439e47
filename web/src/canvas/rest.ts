/** How long a finger or a pen rests before the menu comes, in milliseconds, and how far it may tremble, in pixels. */
const patience = 500
const tremble = 8

type Touch = Pick<PointerEvent, 'pointerType' | 'button' | 'clientX' | 'clientY'>

/** A finger or pen that rests asks for the menu, as the secondary button of a mouse does. */
export class Rest {
	private timer = 0
	private from = { x: 0, y: 0 }

	constructor(private readonly asked: (at: { clientX: number; clientY: number }) => void) {}

	down(e: Touch) {
		this.end()
		if (e.pointerType === 'mouse' || e.button !== 0) return
		const { clientX, clientY } = e
		this.from = { x: clientX, y: clientY }
		this.timer = window.setTimeout(() => this.asked({ clientX, clientY }), patience)
	}

	move(e: Touch) {
		if (Math.hypot(e.clientX - this.from.x, e.clientY - this.from.y) > tremble) this.end()
	}

	end() {
		clearTimeout(this.timer)
	}
}
