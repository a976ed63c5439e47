import type { Head, Kind } from '../core/types'

/** Kinds under a heading: those that are offered first, the designer's own, then by category. */
export interface Group {
	name: string
	kinds: Kind[]
}

export function groupsOf(head: Head, query: string): Group[] {
	const words = query.toLowerCase().split(/\s+/).filter(Boolean)
	const found = head.kinds.filter((k) => {
		const text = `${k.name} ${k.help} ${k.category} ${(k.tags ?? []).join(' ')}`.toLowerCase()
		return words.every((word) => text.includes(word))
	})
	const pins = head.project.pins ?? []
	const out: Group[] = [
		{ name: 'First', kinds: pins.flatMap((id) => found.filter((k) => k.id === id)) },
		{ name: 'Your own', kinds: found.filter((k) => k.own && !pins.includes(k.id)) },
	]
	for (const c of head.categories) {
		out.push({
			name: c[0].toUpperCase() + c.slice(1),
			kinds: found.filter((k) => !k.own && k.category === c && !pins.includes(k.id)),
		})
	}
	return out.filter((g) => g.kinds.length)
}
