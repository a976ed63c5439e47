/** What a page that plays brings along, in elements that run nothing. */
export interface Brought {
	name: string
	/** The project, packed, and its pictures as PNG by their SHA-256; all as base64. */
	state: string
	pictures: Record<string, string>
	/** The files of its sounds, likewise. */
	sounds: Record<string, string>
	/** What is seen until the game is there, as a PNG; empty for nothing. */
	loading: string
}

const bytesOf = (base64: string) => Uint8Array.from(atob(base64), (c) => c.charCodeAt(0))

function textOf(id: string): string {
	const text = document.getElementById(id)?.textContent
	if (!text) throw new Error('This file is cut off: save the page anew.')
	return text
}

const unpacked = (base64: string) =>
	new Response(new Blob([bytesOf(base64)]).stream().pipeThrough(new DecompressionStream('gzip')))

export const brought = () => JSON.parse(textOf('game')) as Brought

export const stateOf = async (b: Brought) => new Uint8Array(await unpacked(b.state).arrayBuffer())

/** The module, as a server would answer with it. */
export const moduleOf = () =>
	new Response(unpacked(textOf('module')).body, { headers: { 'Content-Type': 'application/wasm' } })

export function soundOf(b: Brought, file: string): ArrayBuffer {
	const data = b.sounds[file]
	if (!data) throw new Error('A sound is missing.')
	return bytesOf(data).buffer
}

/** What is seen until the game is there. */
export const loadingOf = (b: Brought) => (b.loading ? new Blob([bytesOf(b.loading)], { type: 'image/png' }) : null)

export function pictureOf(b: Brought, sha: string): Blob {
	const data = b.pictures[sha]
	if (!data) throw new Error('A picture is missing.')
	return new Blob([bytesOf(data)], { type: 'image/png' })
}
