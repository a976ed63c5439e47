import type { Mark } from '../live/connection'

/** Draws an id, of which there is no other. */
export const newID = () =>
	Array.from(crypto.getRandomValues(new Uint8Array(12)), (b) => 'abcdefghijklmnopqrstuvwxyz234567'[b & 31]).join('')

/** An edit's mark as one word. */
export const keyOf = (m: Mark) => `${m.client}:${m.number}`
