/** Does something once the next frame has been seen, so that it holds up neither; gives what calls it off. */
export function afterFrame(then: () => void): () => void {
	let later: ReturnType<typeof setTimeout> | undefined
	const frame = requestAnimationFrame(() => (later = setTimeout(then)))
	return () => {
		cancelAnimationFrame(frame)
		clearTimeout(later)
	}
}
