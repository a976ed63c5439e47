import type { Passage } from '../core/types'
import type { Workspace } from '../workspace/workspace.svelte'

/** Removes a passage; its ends stay. */
export function removePassage(w: Workspace, p: Passage) {
	const name = (map: string) => w.project.map(map)?.name ?? 'a removed map'
	const text = `Removed the passage from ${name(p.from.map)} to ${name(p.to.map)}`
	const made = w.project.try('remove', { ref: { type: 'passage', id: p.id }, text })
	if (made) w.notices.say(`${text}.`, 'plain', w.project.undoOf(made))
}
