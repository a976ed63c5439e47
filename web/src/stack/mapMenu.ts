import type { Choice } from '../controls/Menu.svelte'
import type { MapInfo } from '../core/types'
import type { Workspace } from '../workspace/workspace.svelte'
import { saveMapPicture } from '../share/mapPicture'

/** What can be done with a map, wherever it is listed. */
export function mapMenu(w: Workspace, m: MapInfo, rename?: () => void): Choice[] {
	const shown = (then: () => void) => () => {
		w.show(m.id)
		requestAnimationFrame(then)
	}
	const copy = (passages: boolean) => () => {
		const made = w.project.try('copyMap', { map: m.id, name: '', passages, w: 0, h: 0 })
		if (made?.made) w.notices.say(`${made.text}.`, 'done', w.project.undoOf(made))
	}
	const leads = w.project.head.passages.some((p) => p.from.map === m.id)
	return [
		{ label: 'Open', run: () => w.show(m.id) },
		{ label: 'Play from its start', run: shown(() => w.playing.togglePlay()) },
		...(rename ? [{ label: 'Rename', keys: 'F2', run: rename }] : []),
		{ label: 'Set up, resize, clear…', keys: 'Ctrl+E', run: shown(() => w.openSheet()) },
		{ label: 'Exchange tiles…', run: shown(() => w.openSheet('Exchange tiles')) },
		{ label: 'Copy', run: copy(false) },
		...(leads ? [{ label: 'Copy with its passages', run: copy(true) }] : []),
		{ label: 'Save its picture', hint: 'PNG', run: shown(() => void saveMapPicture(w, m)) },
		{ label: 'Delete', run: () => w.removeMap(m.id) },
	]
}
