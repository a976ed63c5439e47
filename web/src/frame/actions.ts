import { shapes } from '../hand/naming'
import type { Workspace } from '../workspace/workspace.svelte'

/** Something that can be done by key or from the finder. */
export interface Action {
	name: string
	group: 'Hand' | 'Selection' | 'Map' | 'Entities' | 'Play' | 'Go to' | 'View' | 'Project'
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
	const area = () => editing() && w.area !== null
	const inHand = () => onMap() && (w.hand.holding || (w.area !== null && !w.play.on))
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
			name: 'Hold the tile as a decoration, placed freely',
			group: 'Hand',
			keys: ['D'],
			canvas: true,
			when: () => editing() && w.hand.grip.what === 'tiles',
			run: () =>
				w.hold({ what: 'entity', kind: 'decoration', look: w.hand.grip.cells?.find((c) => c) ?? 0, shape: 'freehand' }),
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
			name: 'Turn what is held or selected to the right',
			group: 'Hand',
			keys: ['R'],
			canvas: true,
			when: inHand,
			run: () => (w.hand.holding ? w.hand.turn(1) : w.areas.turnArea(1)),
		},
		{
			name: 'Turn what is held or selected to the left',
			group: 'Hand',
			keys: ['Shift+R'],
			canvas: true,
			when: inHand,
			run: () => (w.hand.holding ? w.hand.turn(-1) : w.areas.turnArea(3)),
		},
		{
			name: 'Flip what is held or selected left–right',
			group: 'Hand',
			keys: ['M'],
			canvas: true,
			when: inHand,
			run: () => (w.hand.holding ? w.hand.flip() : w.areas.turnArea(4)),
		},
		{
			name: 'Mirror what is put down: next way',
			group: 'Hand',
			keys: ['Y'],
			canvas: true,
			when: editing,
			run: () => w.hand.nextMirror(w.map!),
		},
		{
			name: 'Scatter what is held, or not',
			group: 'Hand',
			keys: ['S'],
			canvas: true,
			when: () => editing() && ['tiles', 'entity'].includes(w.hand.grip.what),
			run: () => w.hand.scatter(w.hand.grip.scatter ? undefined : {}),
		},
		{
			name: 'Draw the scatter again',
			group: 'Hand',
			keys: ['N'],
			canvas: true,
			when: () => editing() && w.hand.grip.scatter !== undefined,
			run: () => w.hand.drawAgain(),
		},
		{
			name: 'Broader stroke or deeper rim',
			group: 'Hand',
			keys: [']'],
			canvas: true,
			when: () => editing() && w.hand.holding,
			run: () => w.hand.size((w.hand.grip.size ?? 1) + 1),
		},
		{
			name: 'Narrower stroke or thinner rim',
			group: 'Hand',
			keys: ['['],
			canvas: true,
			when: () => editing() && w.hand.holding,
			run: () => w.hand.size((w.hand.grip.size ?? 1) - 1),
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
		...w.project.head.materials.map((m): Action => ({
			name: `Hold: ${m.name}`,
			group: 'Hand',
			when: onMap,
			run: () => w.hold({ what: 'material', number: m.number }),
		})),
		...w.project.head.motifs.map((m): Action => ({
			name: `Hold: ${m.name}`,
			group: 'Hand',
			when: onMap,
			run: () => w.hold({ what: 'motif', motif: m.id }),
		})),
		...w.project.head.zones.map((z): Action => ({
			name: `Hold: zone ${z.name}`,
			group: 'Hand',
			when: onMap,
			run: () => w.holdZone(z.number),
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
		{
			name: 'Show or hide what is solid',
			group: 'View',
			keys: ['K'],
			canvas: true,
			when: onMap,
			run: () => (w.solids = !w.solids),
		},
		{ name: 'Let animated tiles move, or stand', group: 'View', when: onMap, run: () => (w.animated = !w.animated) },
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
			name: 'Select all cells',
			group: 'Selection',
			keys: ['Ctrl+A'],
			canvas: true,
			when: editing,
			run: () => w.areas.selectAll(),
		},
		{
			name: 'Select the cells that are not selected',
			group: 'Selection',
			keys: ['Ctrl+I'],
			canvas: true,
			when: area,
			run: () => w.areas.selectAll(true),
		},
		{
			name: 'Drop the selection of cells',
			group: 'Selection',
			keys: ['Ctrl+Shift+A'],
			canvas: true,
			when: area,
			run: () => w.areas.dropArea(),
		},
		...(['entities', 'layer', 'all'] as const).map((what): Action => ({
			name: `Empty hand selects ${{ entities: 'entities', layer: 'cells of this layer', all: 'cells of all layers' }[what]}`,
			group: 'Selection',
			when: editing,
			run: () => [w.hand.letGo(), w.hand.pick({ what })],
		})),
		{
			name: 'Select something else with an empty hand: entities, cells, all',
			group: 'Selection',
			keys: ['C'],
			canvas: true,
			when: () => editing() && !w.hand.holding,
			run: () =>
				w.hand.pick({ what: ({ entities: 'layer', layer: 'all', all: 'entities' } as const)[w.hand.picks.what] }),
		},
		{
			name: 'Select cells by box, connected area or same tile: next way',
			group: 'Selection',
			keys: ['Shift+C'],
			canvas: true,
			when: () => editing() && !w.hand.holding && w.hand.picks.what !== 'entities',
			run: () => w.hand.pick({ by: ({ box: 'area', area: 'same', same: 'box' } as const)[w.hand.picks.by] }),
		},
		{
			name: 'Copy what is selected',
			group: 'Selection',
			keys: ['Ctrl+C'],
			canvas: true,
			when: () => selected() || area(),
			run: () => void (w.selected.length ? w.clipboard.copySelected() : w.clipboard.copyArea()),
		},
		{
			name: 'Cut what is selected',
			group: 'Selection',
			keys: ['Ctrl+X'],
			canvas: true,
			when: () => selected() || area(),
			run: () => void w.clipboard.cut(),
		},
		{
			name: 'Duplicate the selected entities, or hold a copy of the selected cells',
			group: 'Selection',
			keys: ['Ctrl+D'],
			canvas: true,
			when: () => selected() || area(),
			run: () => (w.selected.length ? w.chosen.duplicateSelected() : w.areas.holdArea()),
		},
		{
			name: 'Delete what is selected',
			group: 'Selection',
			keys: ['Del', 'Backspace'],
			canvas: true,
			when: () => selected() || area(),
			run: () => (w.selected.length ? w.chosen.removeSelected() : w.areas.emptyArea()),
		},
		{
			name: 'Fill the selection with what is held',
			group: 'Selection',
			keys: ['Shift+F'],
			canvas: true,
			when: () => area() && w.hand.holding,
			run: () => w.areas.fillArea(),
		},
		{
			name: 'Flip what is selected up–down',
			group: 'Selection',
			keys: ['Shift+M'],
			canvas: true,
			when: () => area() && !w.hand.holding,
			run: () => w.areas.turnArea(6),
		},
		{
			name: 'Keep the selection as a motif',
			group: 'Selection',
			keys: ['Ctrl+M'],
			canvas: true,
			when: area,
			run: () => w.areas.makeMotif(),
		},
		{
			name: 'Select all of the same kind',
			group: 'Entities',
			keys: ['Ctrl+Shift+K'],
			when: selected,
			run: () => w.chosen.selectAlike('kind'),
		},
		{ name: 'Select all with the same tag', group: 'Entities', when: selected, run: () => w.chosen.selectAlike('tag') },
		{
			name: 'Group what is selected',
			group: 'Entities',
			keys: ['Ctrl+G'],
			canvas: true,
			when: () => selected() && w.selected.length > 1,
			run: () => w.chosen.changeEntities('group', 'Group'),
		},
		{
			name: 'Ungroup what is selected',
			group: 'Entities',
			when: selected,
			run: () => w.chosen.changeEntities('group', ''),
		},
		{
			name: 'To the front',
			group: 'Entities',
			keys: ['Shift+PageUp'],
			canvas: true,
			when: selected,
			run: () => w.chosen.changeEntities('toFront', true),
		},
		{
			name: 'To the back',
			group: 'Entities',
			keys: ['Shift+PageDown'],
			canvas: true,
			when: selected,
			run: () => w.chosen.changeEntities('toFront', false),
		},
		{
			name: 'Turn what is selected to the right',
			group: 'Entities',
			when: selected,
			run: () => w.chosen.changeEntities('turnEntities', 1),
		},
		{
			name: 'Flip what is selected left–right',
			group: 'Entities',
			when: selected,
			run: () => w.chosen.changeEntities('turnEntities', 4),
		},
		{
			name: 'Show the entities of the map as a list, or the stack',
			group: 'Entities',
			when: onMap,
			run: () => (w.listing = !w.listing),
		},
		{
			name: 'Choose where the selected exit leads',
			group: 'Entities',
			when: () => selected() && w.leads(w.selection[0]),
			run: () => (w.joining = { map: w.map!.id, entity: w.selected[0] }),
		},
		{
			name: 'Play, or go back to the map',
			group: 'Play',
			keys: ['P'],
			canvas: true,
			when: onMap,
			run: () => w.playing.togglePlay(),
		},
		{
			name: 'Play from the cell under the pointer',
			group: 'Play',
			keys: ['Shift+P'],
			canvas: true,
			when: onMap,
			run: () => w.playing.togglePlay(w.cell),
		},
		{ name: 'Fold or open the stack', group: 'View', keys: ['Ctrl+['], run: () => (w.stackOpen = !w.stackOpen) },
		{ name: 'Fold or open the cabinet', group: 'View', keys: ['Ctrl+]'], run: () => (w.cabinetOpen = !w.cabinetOpen) },
		{ name: 'Theme: Plaster, light', group: 'View', run: () => w.setTheme('plaster') },
		{ name: 'Theme: Kiln, dark', group: 'View', run: () => w.setTheme('kiln') },
		{ name: 'Chart', group: 'Go to', run: () => w.open('chart') },
		{ name: 'Map', group: 'Go to', run: () => w.open('map') },
		{ name: 'Tilesets', group: 'Go to', run: () => w.open('tilesets') },
		{ name: 'Kinds', group: 'Go to', run: () => w.open('kinds') },
		{ name: 'Rules', group: 'Go to', run: () => w.open('rules') },
		{ name: 'All projects', group: 'Go to', run: () => location.assign('/') },
	]
	list.push(
		{
			name: 'Size, shift, exchange or clear this map…',
			group: 'Map',
			keys: ['Ctrl+E'],
			when: editing,
			run: () => (w.sheetOpen = true),
		},
		{
			name: 'Turn back here: undo inside the selection',
			group: 'Selection',
			keys: ['Ctrl+B'],
			canvas: true,
			when: area,
			run: () => w.areas.turnBackHere(),
		},
		{ name: 'Show or hide the minimap', group: 'View', when: onMap, run: () => (w.minimap = !w.minimap) },
		{ name: 'Show or hide the rulers', group: 'View', when: onMap, run: () => (w.rulers = !w.rulers) },
		{
			name: 'History',
			group: 'Go to',
			keys: ['Ctrl+H'],
			when: onMap,
			run: () => ((w.cabinetOpen = true), (w.drawer = 'history')),
		},
		{
			name: `Snap dragged entities: ${['every pixel', 'whole cells', 'half cells', '', 'quarter cells'][w.snap]}, next`,
			group: 'Entities',
			keys: ['Shift+G'],
			canvas: true,
			when: editing,
			run: () => {
				w.snap = ({ 1: 2, 2: 4, 4: 0, 0: 1 } as Record<number, number>)[w.snap]
				w.notices.say(
					`Dragged entities snap to ${['every pixel', 'whole cells', 'half cells', '', 'quarter cells'][w.snap]}.`,
				)
			},
		},
		{ name: 'Crop the map to the selection', group: 'Map', when: area, run: () => w.areas.cropToArea() },
		{ name: 'Show or hide the screen', group: 'View', when: onMap, run: () => (w.screen = !w.screen) },
	)
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
