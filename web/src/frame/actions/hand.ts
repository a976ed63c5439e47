import type { Grip } from '../../core/types'
import { shapes } from '../../hand/naming'
import { solidChoice } from '../../canvas/solid'
import type { Workspace } from '../../workspace/workspace.svelte'
import type { Action, Group } from './action'

/** Taking something into the hand, with its picture. */
export function holdAction(w: Workspace, name: string, grip: Omit<Grip, 'shape'>): Action {
	return {
		name: `Hold: ${name}`,
		group: 'Hand',
		shows: { ...grip, shape: 'freehand' },
		when: () => w.map !== undefined,
		run: () => w.holdOnMap(grip),
	}
}

export const handActions: Group = (w, { onMap, editing, inHand }) => {
	const holding = (name: string, grip: Omit<Grip, 'shape'>) => holdAction(w, name, grip)
	/** Only the search asks for it, and only of what is held: that costs a question to the core. */
	const solidity = (): Action[] => {
		const is = w.finderOpen && editing() ? solidChoice(w, w.hand.grip, 'what is held') : undefined
		return is ? [{ name: is.label, group: 'Hand', run: is.run }] : []
	}
	return [
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
		...solidity(),
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
			run: () => w.hand.size(w.hand.breadth + 1),
		},
		{
			name: 'Narrower stroke or thinner rim',
			group: 'Hand',
			keys: ['['],
			canvas: true,
			when: () => editing() && w.hand.holding,
			run: () => w.hand.size(w.hand.breadth - 1),
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
		...w.project.head.materials.map((m) => holding(m.name, { what: 'material', number: m.number })),
		...w.project.head.motifs.map((m) => holding(m.name, { what: 'motif', motif: m.id })),
		...w.project.head.zones.map((z) => ({
			...holding(`zone ${z.name}`, { what: 'zone', number: z.number }),
			run: () => w.holdZone(z.number), // a map without a layer of zones gets one
		})),
		...w.project.head.kinds.map((k) => holding(k.name, { what: 'entity', kind: k.id })),
	]
}
