/** What pictures of a kind can show being done, as it is said. */
export const poseWords: Record<string, string> = {
	jumps: 'jumps',
	falls: 'falls',
	climbs: 'climbs',
	swims: 'swims',
	ducks: 'ducks',
	strikes: 'strikes',
	hurt: 'is hurt',
	sees: 'sees the hero',
	on: 'is on, or open',
}
