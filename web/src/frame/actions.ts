import { shapes } from '../hand/naming'
import type { Workspace } from '../workspace.svelte'

/** Something that can be done by key or from the finder. */
export interface Action {
	name: string
	group: 'Hand' | 'Map' | 'Entities' | 'Play' | 'Go to' | 'View' | 'Project'
	/** Keys as shown; several mean the same. */
	keys?: string[]
	/** Single keys work only while the canvas has the focus. */
	canvas?: boolean
	/** Works now; absent means always. */
	when?: () => boolean
	run: () => void
}

/** Every action of the page. The key handler, the finder and the key sheet all read this list. */
export function actions(w: Workspace): Action[] {
	const onMap = () => w.station === 'map' && w.map !== undefined
	const editing = () => onMap() && !w.play.on
	const selected = () => editing() && w.selected.length > 0
	const layer = (step: number) => {
		const layers = w.map!.layers
		const next = layers[layers.findIndex((l) => l.id === w.active) + step]
		if (next) w.hand.work(w.map!.id, next.id)
	}
	const list: Action[] = [
		{ name: 'Undo', group: 'Project', keys: ['Ctrl+Z'], run: () => void w.project.undo() },
		{ name: 'Redo', group: 'Project', keys: ['Ctrl+Shift+Z', 'Ctrl+Y'], run: () => void w.project.undo('redo') },
		{ name: 'Search everything', group: 'View', keys: ['Ctrl+K'], run: () => (w.finderOpen = true) },
		{ name: 'Show the keys that work here', group: 'View', keys: ['?'], run: () => (w.keysOpen = true) },
		...shapes.map((s): Action => ({
			name: `Shape: ${s.id}`,
			group: 'Hand',
			keys: [s.key],
			canvas: true,
			when: onMap,
			run: () => w.hand.shape(s.id),
		})),
		{
			name: 'Hold the eraser',
			group: 'Hand',
			keys: ['X'],
			canvas: true,
			when: onMap,
			run: () => w.hold({ what: 'eraser' }),
		},
		{
			name: 'Pick up what is under the pointer',
			group: 'Hand',
			keys: ['I'],
			canvas: true,
			when: onMap,
			run: () => w.pickUp(),
		},
		{
			name: 'Turn what is held to the right',
			group: 'Hand',
			keys: ['R'],
			canvas: true,
			when: () => onMap() && w.hand.holding,
			run: () => w.hand.turn(1),
		},
		{
			name: 'Turn what is held to the left',
			group: 'Hand',
			keys: ['Shift+R'],
			canvas: true,
			when: () => onMap() && w.hand.holding,
			run: () => w.hand.turn(-1),
		},
		{
			name: 'Mirror what is held',
			group: 'Hand',
			keys: ['M'],
			canvas: true,
			when: () => onMap() && w.hand.holding,
			run: () => w.hand.mirror(),
		},
		{
			name: 'Let go of what is held',
			group: 'Hand',
			keys: ['Esc'],
			when: () => w.hand.holding,
			run: () => w.hand.letGo(),
		},
		...Array.from({ length: 10 }, (_, i): Action => ({
			name: `Hold slot ${(i + 1) % 10} of the tray`,
			group: 'Hand',
			keys: [String((i + 1) % 10)],
			canvas: true,
			when: onMap,
			run: () => w.holdSlot(i),
		})),
		...Array.from({ length: 5 }, (_, i): Action => ({
			name: `Keep what is held in slot ${i + 1}`,
			group: 'Hand',
			keys: [`Shift+${i + 1}`],
			canvas: true,
			when: () => onMap() && w.hand.holding,
			run: () => w.hand.keep(i, w.target?.id ?? ''),
		})),
		...w.project.head.kinds.map((k): Action => ({
			name: `Hold: ${k.name}`,
			group: 'Hand',
			when: onMap,
			run: () => w.hold({ what: 'entity', kind: k.id }),
		})),
		{ name: 'Work on the layer above', group: 'Map', keys: ['PageUp'], canvas: true, when: onMap, run: () => layer(1) },
		{
			name: 'Work on the layer below',
			group: 'Map',
			keys: ['PageDown'],
			canvas: true,
			when: onMap,
			run: () => layer(-1),
		},
		{
			name: 'Show or hide the grid',
			group: 'View',
			keys: ['G'],
			canvas: true,
			when: onMap,
			run: () => (w.grid = !w.grid),
		},
		{ name: 'Zoom in', group: 'View', keys: ['+', '='], canvas: true, when: onMap, run: () => w.view.zoom(1) },
		{ name: 'Zoom out', group: 'View', keys: ['-'], canvas: true, when: onMap, run: () => w.view.zoom(-1) },
		{
			name: 'Show the whole map',
			group: 'View',
			keys: ['Home'],
			canvas: true,
			when: onMap,
			run: () => w.view.fit(w.map!, 16),
		},
		{
			name: 'Copy the selected entities',
			group: 'Entities',
			keys: ['Ctrl+C'],
			canvas: true,
			when: selected,
			run: () => void w.copySelected(),
		},
		{
			name: 'Duplicate the selected entities',
			group: 'Entities',
			keys: ['Ctrl+D'],
			canvas: true,
			when: selected,
			run: () => w.duplicateSelected(),
		},
		{
			name: 'Delete the selected entities',
			group: 'Entities',
			keys: ['Del', 'Backspace'],
			canvas: true,
			when: selected,
			run: () => w.removeSelected(),
		},
		{
			name: 'Choose where the selected exit leads',
			group: 'Entities',
			when: () => selected() && w.selection[0]?.kind === 'exit',
			run: () => (w.joining = { map: w.map!.id, entity: w.selected[0] }),
		},
		{
			name: 'Play, or go back to the map',
			group: 'Play',
			keys: ['P'],
			canvas: true,
			when: onMap,
			run: () => w.togglePlay(),
		},
		{
			name: 'Play from the cell under the pointer',
			group: 'Play',
			keys: ['Shift+P'],
			canvas: true,
			when: onMap,
			run: () => w.togglePlay(w.cell),
		},
		{ name: 'Fold or open the stack', group: 'View', keys: ['Ctrl+['], run: () => (w.stackOpen = !w.stackOpen) },
		{ name: 'Fold or open the cabinet', group: 'View', keys: ['Ctrl+]'], run: () => (w.cabinetOpen = !w.cabinetOpen) },
		{ name: 'Theme: Plaster, light', group: 'View', run: () => w.setTheme('plaster') },
		{ name: 'Theme: Kiln, dark', group: 'View', run: () => w.setTheme('kiln') },
		{ name: 'Map', group: 'Go to', run: () => w.open('map') },
		{ name: 'Tilesets', group: 'Go to', run: () => w.open('tilesets') },
		{ name: 'Rules', group: 'Go to', run: () => w.open('rules') },
		{ name: 'All projects', group: 'Go to', run: () => location.assign('/') },
	]
	list.push({ name: `Delete map ${w.map?.name}`, group: 'Map', when: editing, run: () => w.removeMap(w.map!.id) })
	for (const m of w.project.head.maps) list.push({ name: `Map ${m.name}`, group: 'Go to', run: () => w.show(m.id) })
	return list
}

/** The name of the key that went down, as actions write it. */
function named(e: KeyboardEvent): string {
	const digit = /^(?:Digit|Numpad)(\d)$/.exec(e.code)
	let key = digit
		? digit[1]
		: e.key.length === 1
			? e.key.toUpperCase()
			: ({ Delete: 'Del', Escape: 'Esc' }[e.key] ?? e.key)
	const shifted = e.shiftKey && (digit !== null || /^[A-Z]$/.test(key))
	if (shifted) key = `Shift+${key}`
	return e.ctrlKey || e.metaKey ? `Ctrl+${key}` : key
}

const typing = (t: EventTarget | null) =>
	t instanceof Element && t.matches('input:not([type=checkbox], [type=range]), textarea, select, [contenteditable]')

/** Runs the action of a key; true when there was one. */
export function runKey(w: Workspace, e: KeyboardEvent): boolean {
	if (e.defaultPrevented || e.altKey || w.joining || w.finderOpen || w.keysOpen) return false
	const key = named(e)
	const inCanvas = e.target instanceof Element && e.target.matches('[data-testid=map]')
	if (typing(e.target) && key !== 'Ctrl+K') return false
	if (key === 'Esc') {
		w.escape()
		return true
	}
	const found = actions(w).find((a) => a.keys?.includes(key) && (!a.canvas || inCanvas) && (a.when?.() ?? true))
	if (!found) return false
	e.preventDefault()
	found.run()
	return true
}
