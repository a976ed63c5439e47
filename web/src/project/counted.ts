/** A number of things in words. */
export function counted(n: number, what: string): string {
	return n === 1 ? `1 ${what}` : `${n.toLocaleString('en')} ${what}s`
}
