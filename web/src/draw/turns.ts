/** How long small pictures wait for one another, in milliseconds: the page has most of the time for itself. */
const pause = 16

const waiting: (() => boolean)[] = []
let timer: ReturnType<typeof setTimeout> | undefined

function next() {
	timer = undefined
	const draw = waiting.shift()
	try {
		if (draw && !draw()) waiting.push(draw)
	} finally {
		if (waiting.length) timer ??= setTimeout(next, pause)
	}
}

/**
 * Has a small picture drawn when it is its turn, some of it at a time until `draw` says that it is whole: many of them
 * together take no more than one. Gives what calls it off.
 */
export function inTurn(draw: () => boolean): () => void {
	waiting.push(draw)
	timer ??= setTimeout(next, pause)
	return () => {
		const i = waiting.indexOf(draw)
		if (i >= 0) waiting.splice(i, 1)
	}
}
