import type { Group } from './action'

export const entitiesActions: Group = (w, { onMap, editing, selected }) => [
	{
		name: 'Select all of the same kind',
		group: 'Entities',
		keys: ['Ctrl+Shift+K'],
		when: selected,
		run: () => w.chosen.selectAlike('kind'),
	},
	{
		name: 'Ask what changes it and who needs it',
		group: 'Entities',
		keys: ['A'],
		canvas: true,
		when: () => w.station === 'map' && w.selected.length === 1 && !w.play.on,
		run: () => (w.asking = { type: 'entity', map: w.mapId, id: w.selected[0] }),
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
		run: () => (w.layout.listing = !w.layout.listing),
	},
	{
		name: 'Choose where the selected exit leads',
		group: 'Entities',
		when: () => selected() && w.leads(w.selection[0]),
		run: () => (w.joining = { map: w.map!.id, entity: w.selected[0] }),
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
]
