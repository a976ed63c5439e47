import type { Grip } from '../core/types'
import type { Choice } from '../controls/Menu.svelte'
import type { Workspace } from '../workspace/workspace.svelte'
import { mannerOf, mirrors, nameOf, shapes } from './naming'

/** What the hand sentence says, word by word, and what each word can become. */
export class Sentence {
	constructor(private readonly w: Workspace) {}

	grip = $derived.by(() => this.w.hand.grip)
	kind = $derived.by(() => this.w.project.head.kinds.find((k) => k.id === this.grip.kind))
	area = $derived.by(() => this.grip.what === 'entity' && this.kind?.area)
	name = $derived.by(() => nameOf(this.w.project, this.grip))
	target = $derived.by(() => this.w.target)
	turns = $derived.by(
		() => ['tiles', 'motif'].includes(this.grip.what) || (this.grip.what === 'entity' && this.kind?.faces),
	)
	scatters = $derived.by(() => this.grip.what === 'tiles' || (this.grip.what === 'entity' && !this.area))
	repeats = $derived.by(
		() => this.grip.what === 'motif' || (this.grip.what === 'tiles' && (this.grip.cells?.length ?? 0) > 1),
	)
	manner = $derived.by(() => mannerOf(this.grip))
	mirror = $derived.by(() => (this.w.map ? this.w.hand.mirrorOf(this.w.map).mode : ''))

	things = $derived.by(() => {
		const out: Choice[] = [
			{ label: 'nothing: select and move', keys: 'Esc', run: () => this.w.hand.letGo() },
			{ label: 'the eraser', keys: 'X', run: () => this.w.hold({ what: 'eraser' }) },
		]
		for (const [heading, list] of [
			[
				'Motifs',
				this.w.project.head.motifs.map((m) => ({
					label: m.name,
					run: () => this.w.hold({ what: 'motif', motif: m.id }),
				})),
			],
			[
				'Materials',
				this.w.project.head.materials.map((m) => ({
					label: m.name,
					hint: m.is,
					run: () => this.w.hold({ what: 'material', number: m.number }),
				})),
			],
			[
				'Zones',
				this.w.project.head.zones.map((z) => ({
					label: z.name,
					hint: z.is,
					run: () => this.w.hold({ what: 'zone', number: z.number }),
				})),
			],
			[
				'Entities',
				this.w.project.head.kinds.map((k) => ({
					label: k.name.toLowerCase(),
					run: () => this.w.hold({ what: 'entity', kind: k.id }),
				})),
			],
		] as [string, Choice[]][]) {
			if (list.length) out.push({ heading }, ...list)
		}
		out.push({ heading: 'Tiles' })
		out.push({ label: 'a tile from the cabinet…', run: () => this.w.layout.show('tiles') })
		return out
	})

	ways = $derived.by<Choice[]>(() =>
		shapes.map((s) => ({
			label: s.id,
			hint: s.help,
			keys: s.key,
			chosen: s.id === this.grip.shape,
			run: () => this.w.hand.shape(s.id),
		})),
	)

	manners = $derived.by(() => {
		const size = this.w.hand.breadth
		const sizes = (what: string): Choice[] => [
			{ label: `1 ${what} more`, keys: ']', run: () => this.w.hand.size(size + 1) },
			{ label: `1 ${what} less`, keys: '[', run: () => this.w.hand.size(size - 1) },
			...[1, 2, 3, 5, 9].map((n) => ({ label: `${n} ${what}`, chosen: n === size, run: () => this.w.hand.size(n) })),
		]
		switch (this.grip.shape) {
			case 'fill':
				return [
					{ label: 'over sides only', chosen: !this.grip.corners, run: () => this.w.hand.manner({ corners: false }) },
					{ label: 'over corners too', chosen: this.grip.corners, run: () => this.w.hand.manner({ corners: true }) },
					{ heading: 'The same is what' },
					{ label: 'this layer holds', chosen: !this.grip.shown, run: () => this.w.hand.manner({ shown: false }) },
					{
						label: 'all layers show together',
						chosen: this.grip.shown,
						run: () => this.w.hand.manner({ shown: true }),
					},
				]
			case 'rim':
				return [
					...sizes('deep'),
					{ heading: 'Outline of' },
					{ label: 'a box', chosen: !this.grip.oval, run: () => this.w.hand.manner({ oval: false }) },
					{ label: 'an oval', chosen: this.grip.oval, run: () => this.w.hand.manner({ oval: true }) },
				]
			default:
				return [
					...sizes('broad'),
					{ heading: 'Tip' },
					{ label: 'square', chosen: !this.grip.round, run: () => this.w.hand.manner({ round: false }) },
					{ label: 'round', chosen: this.grip.round, run: () => this.w.hand.manner({ round: true }) },
				]
		}
	})

	// what was held before can go inside, as long as it is painted
	insides = $derived.by(() => {
		const out: Choice[] = [
			{ label: 'left as it is', chosen: !this.grip.inside, run: () => this.w.hand.inside(undefined) },
			{ label: 'emptied', run: () => this.w.hand.inside({ what: 'eraser', shape: 'box' }) },
			{ heading: 'Filled with what is in the tray' },
		]
		for (const slot of this.w.hand.tray) {
			if (slot && ['tiles', 'material'].includes(slot.grip.what))
				out.push({ label: nameOf(this.w.project, slot.grip), run: () => this.w.hand.inside(slot.grip) })
		}
		return out
	})
	insideOf = (g: Grip | undefined) =>
		!g ? 'left as it is' : g.what === 'eraser' ? 'emptied' : nameOf(this.w.project, g)

	layers = $derived.by<Choice[]>(() =>
		[...(this.w.map?.layers ?? [])].reverse().map((l) => ({
			label: l.name,
			hint: l.kind,
			chosen: l.id === this.w.active,
			run: () => this.w.hand.work(this.w.map!.id, l.id),
		})),
	)

	readonly quarters: Choice[] = [
		{ label: 'a quarter to the right', keys: 'R', run: () => this.w.hand.turn(1) },
		{ label: 'a quarter to the left', keys: 'Shift+R', run: () => this.w.hand.turn(-1) },
		{ label: 'flipped left–right', keys: 'M', run: () => this.w.hand.flip() },
	]

	readonly aligned: Choice[] = [
		{ label: 'where the stroke began', run: () => this.w.hand.manner({ aligned: false }) },
		{ label: 'the map’s corner', run: () => this.w.hand.manner({ aligned: true }) },
	]

	readonly over: Choice[] = [
		{ label: 'on top of others', run: () => this.w.hand.manner({ replace: false }) },
		{ label: 'in place of others', hint: 'what lies under it goes', run: () => this.w.hand.manner({ replace: true }) },
	]

	reflections = $derived.by<Choice[]>(() =>
		mirrors.map((m) => ({
			label: m.label,
			hint: m.hint,
			chosen: m.mode === this.mirror,
			run: () => this.w.hand.mirror(this.w.map!, { mode: m.mode }),
		})),
	)

	readonly whats: Choice[] = [
		{ label: 'entities', run: () => this.w.hand.pick({ what: 'entities' }) },
		{ label: 'cells of this layer', run: () => this.w.hand.pick({ what: 'layer' }) },
		{ label: 'cells of all layers, with entities', run: () => this.w.hand.pick({ what: 'all' }) },
	]
	readonly bys: Choice[] = [
		{ label: 'box', hint: 'between two corners', run: () => this.w.hand.pick({ by: 'box' }) },
		{ label: 'connected area', hint: 'of the same', run: () => this.w.hand.pick({ by: 'area' }) },
		{ label: 'same tile', hint: 'wherever it lies', run: () => this.w.hand.pick({ by: 'same' }) },
	]
	readonly whatNames = { entities: 'entities', layer: 'cells of this layer', all: 'cells of all layers' }
	readonly byNames = { box: 'box', area: 'connected area', same: 'same tile' }
}
