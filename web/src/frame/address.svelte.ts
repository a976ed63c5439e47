import { type Station, stations, type Workspace } from '../workspace/workspace.svelte'

/** The station that the address names; none where it names something else. */
function named(): Station | undefined {
	const word = location.hash.slice(1)
	return word ? stations.find((s) => s === word) : 'map'
}

/** The station stands in the page's address: a reload, a link and the browser's own Back lead to it. */
export function keepAddress(w: Workspace) {
	const go = () => {
		const station = named()
		if (station && station !== w.station) w.open(station)
	}
	go()
	$effect(() => {
		if (w.station !== named()) history.pushState(null, '', w.station === 'map' ? location.pathname : `#${w.station}`)
	})
	$effect(() => {
		addEventListener('popstate', go)
		return () => removeEventListener('popstate', go)
	})
}
