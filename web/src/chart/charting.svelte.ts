import type { ChartInfo, Finding, ID } from '../core/types'
import type { Project } from '../project/project.svelte'

const empty: ChartInfo = { places: [], seams: [], findings: [] }

/** How the maps hang together, as the core finds it after each change. */
export class Charting {
	info = $state.raw<ChartInfo>(empty)
	private timer = 0

	constructor(private readonly project: Project) {
		this.refresh()
	}

	refresh() {
		this.info = this.project.ask<ChartInfo>('chart')
	}

	/** Refreshes soon, so that a stroke is not held up. */
	later() {
		clearTimeout(this.timer)
		this.timer = window.setTimeout(() => this.refresh(), 120)
	}

	of(map: ID): Finding[] {
		return this.info.findings.filter((f) => f.map === map)
	}
}
