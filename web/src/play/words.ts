/** A word of the game with what its braces stand for. */
export const putIn = (text: string | undefined, put: Record<string, string | number>): string =>
	(text ?? '').replace(/\{(\w+)\}/g, (all, name: string) => String(put[name] ?? all))

/** Seconds as minutes and seconds. */
export const timeOf = (seconds: number): string =>
	`${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`
