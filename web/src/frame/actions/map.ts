import { saveMapPicture } from '../../share/mapPicture'
import type { Group } from './action'

export const mapActions: Group = (w, { onMap, editing, area }) => {
	const layer = (step: number) => {
		const layers = w.map!.layers
		const next = layers[layers.findIndex((l) => l.id === w.active) + step]
		if (next) w.hand.work(w.map!.id, next.id)
	}
	return [
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
			name: 'Set up, resize, shift or clear this map…',
			group: 'Map',
			keys: ['Ctrl+E'],
			when: editing,
			run: () => w.openSheet(),
		},
		{ name: 'Exchange tiles…', group: 'Map', when: editing, run: () => w.openSheet('Exchange tiles') },
		{ name: 'Go to a cell…', group: 'Map', keys: ['J'], canvas: true, when: onMap, run: () => (w.seeking = true) },
		{ name: 'Save a picture of this map', group: 'Map', when: onMap, run: () => void saveMapPicture(w, w.map!) },
		{ name: 'Crop the map to the selection', group: 'Map', when: area, run: () => w.areas.cropToArea() },
		{ name: `Delete map ${w.map?.name}`, group: 'Map', when: editing, run: () => w.removeMap(w.map!.id) },
	]
}
