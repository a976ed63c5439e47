/** Bytes as the core takes them in an argument. */
export function base64(bytes: Uint8Array | Uint8ClampedArray): string {
	let out = ''
	for (let i = 0; i < bytes.length; i += 8192) out += String.fromCharCode(...bytes.subarray(i, i + 8192))
	return btoa(out)
}
