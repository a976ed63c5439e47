// Of what sounds are made: noise, and what takes the edge off it.

/** Numbers between −1 and 1, the same each time. */
export function noise(seed: number): () => number {
	let s = seed
	return () => {
		s = (Math.imul(s, 1664525) + 1013904223) | 0
		return s / 2 ** 31
	}
}

/** A low pass of one pole: the smaller, the duller. */
export function dull(of: () => number, by: number): () => number {
	let last = 0
	return () => (last += (of() - last) * by)
}

/** Fills a sound's samples, as many a second as is said. */
export type Maker = (out: Float32Array, rate: number) => void
