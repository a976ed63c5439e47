let context: AudioContext | undefined

/** The page's one way to the loudspeakers, opened when something is first heard. */
export function sounding(): AudioContext {
	if (context) return context
	const c = (context = new AudioContext())
	// where the browser lets nothing be heard before the next press, it begins with that
	const on = () => void c.resume()
	if (c.state === 'suspended') for (const what of ['pointerdown', 'keydown']) addEventListener(what, on, { once: true })
	return c
}

/**
 * Calls back once it is open: at once where it is, else as soon as the page has nothing else to do. To open it can take a quarter
 * of a second, and a game is seen before it is heard.
 */
export function whenSounding(f: () => void) {
	if (context) return f()
	const open = () => (sounding(), f())
	if ('requestIdleCallback' in globalThis) requestIdleCallback(open, { timeout: 600 })
	else setTimeout(open, 200)
}
