import type { Facing } from '../core/types'

/** How the edge of a map on a side is called, as the core calls it. */
export const edgeOf = (side: Facing) => `${{ up: 'top', right: 'right', down: 'bottom', left: 'left' }[side]} edge`
