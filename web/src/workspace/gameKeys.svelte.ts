const store = 'azzel.keys.game'

/** What a player can hold down, with the bits of the play engine and the physical keys that do it at first. */
export const gameInputs = [
	{ input: 'up', name: 'Up, and climb', bit: 1, usual: ['ArrowUp', 'KeyW'] },
	{ input: 'right', name: 'Right', bit: 2, usual: ['ArrowRight', 'KeyD'] },
	{ input: 'down', name: 'Down, duck and drop', bit: 4, usual: ['ArrowDown', 'KeyS'] },
	{ input: 'left', name: 'Left', bit: 8, usual: ['ArrowLeft', 'KeyA'] },
	{ input: 'use', name: 'Use, and read on', bit: 16, usual: ['KeyE', 'Enter'] },
	{ input: 'swap', name: 'Lead another hero', bit: 128, usual: ['KeyX'] },
	{ input: 'next', name: 'Next item in hand', bit: 4096, usual: ['KeyC'] },
	{ input: 'slot1', name: 'First item in hand, or away', bit: 256, usual: ['Digit1'] },
	{ input: 'slot2', name: 'Second item in hand, or away', bit: 512, usual: ['Digit2'] },
	{ input: 'slot3', name: 'Third item in hand, or away', bit: 1024, usual: ['Digit3'] },
	{ input: 'slot4', name: 'Fourth item in hand, or away', bit: 2048, usual: ['Digit4'] },
	{ input: 'skip', name: 'Skip a scene', bit: 8192, usual: ['Backspace'] },
	{ input: 'language', name: 'Read on in the next language', bit: 16384, usual: ['KeyL'] },
	{ input: 'jump', name: 'Jump, seen from the side; else use', bit: 32, usual: ['Space'] },
] as const

export type GameInput = (typeof gameInputs)[number]['input']

/** Keys that one leaves and finds help by. */
const fixed = /^(Escape|Tab|F\d+|Meta.*|Control.*|Alt.*)$/

const words: Record<string, string> = { ArrowUp: '↑', ArrowRight: '→', ArrowDown: '↓', ArrowLeft: '←' }

/** A physical key as it is called. */
export const keyWord = (code: string) =>
	words[code] ?? code.replace(/^(Key|Digit)/, '').replace(/([a-z])([A-Z])/g, '$1 $2')

/** The keys of the game as its player wants them. */
class GameKeys {
	private own = $state.raw<Partial<Record<GameInput, string[]>>>({})
	private readonly bits = $derived(
		new Map(gameInputs.flatMap((g) => this.of(g.input).map((code) => [code, g.bit] as [string, number]))),
	)

	constructor() {
		try {
			const kept: unknown = JSON.parse(localStorage.getItem(store) ?? '{}')
			if (!kept || typeof kept !== 'object') return
			for (const { input, usual } of gameInputs) {
				const codes = (kept as Record<string, unknown>)[input]
				if (Array.isArray(codes) && codes.length === usual.length && codes.every((c) => typeof c === 'string'))
					this.own = { ...this.own, [input]: codes as string[] }
			}
		} catch {
			// what cannot be read is as it was at first
		}
	}

	/** The physical keys that do something. */
	of(input: GameInput): readonly string[] {
		return this.own[input] ?? gameInputs.find((g) => g.input === input)!.usual
	}

	/** The bit that a physical key holds down; 0 for none. */
	bit = (code: string): number => this.bits.get(code) ?? 0

	get changed(): boolean {
		return Object.keys(this.own).length > 0
	}

	/** Gives the nth key of an input another one; where that did something else the two change places. */
	change(input: GameInput, n: number, code: string): boolean {
		if (fixed.test(code)) return false
		const before = this.of(input)[n]
		const next: Partial<Record<GameInput, string[]>> = { ...this.own }
		for (const g of gameInputs) {
			const codes = this.of(g.input).map((c, k) => (g.input === input && k === n ? code : c === code ? before : c))
			if (codes.some((c, k) => c !== g.usual[k])) next[g.input] = codes
			else delete next[g.input]
		}
		this.own = next
		localStorage.setItem(store, JSON.stringify(next))
		return true
	}

	reset() {
		this.own = {}
		localStorage.removeItem(store)
	}
}

export const gameKeys = new GameKeys()
