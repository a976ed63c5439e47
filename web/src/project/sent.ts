import type { Mark } from '../live/connection'

/** What the server says of the state that it sends: its number, its past, and what of it cannot be read. */
export function sentWith({ headers }: Response): { seq: number; born: string; last: Mark; lost: string[] | null } {
	const lost = decodeURIComponent((headers.get('X-Azzel-Lost') ?? '').replaceAll('+', ' '))
	return {
		seq: Number(headers.get('X-Azzel-Seq')),
		born: headers.get('X-Azzel-Born') ?? '',
		last: JSON.parse(headers.get('X-Azzel-Last') ?? '{}') as Mark,
		lost: headers.get('X-Azzel-Broken') ? lost.split('\n') : null,
	}
}
