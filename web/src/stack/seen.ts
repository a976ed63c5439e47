import type { MapInfo } from '../core/types'
import type { Workspace } from '../workspace/workspace.svelte'

/** Where a map is seen from (above, side), or without one all that do not differ. */
export const seenFrom = (w: Workspace, m: MapInfo | undefined) =>
	w.project.ask('mapDetails', { map: m?.id ?? '' }).find((d) => d.key === 'view')?.value ?? 'above'
