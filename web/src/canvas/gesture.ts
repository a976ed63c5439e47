import type { Point } from '../core/types'
import type { Doing } from './overlay'

/** The keys that are held, and the cell that the pointer is over. */
export interface Moved {
	at: Point
	cell: Point
	shift: boolean
	ctrl: boolean
}

/** What the pointer does from a press to its release. It never changes: moving gives another one. */
export interface Gesture {
	readonly what: string
	move(to: Moved): Gesture
	/** The pointer was let go. */
	up(): void
	/** It is given up, and nothing of it stays. */
	cancel?(): void
	/** What is drawn of it above the map. */
	shows?(): Partial<Doing>
}

/** Nothing is done. */
export const idle: Gesture = { what: 'nothing', move: () => idle, up: () => {} }
