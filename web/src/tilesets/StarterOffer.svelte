<script lang="ts">
	import type { Args } from '../core/module'
	import { send } from '../live/http'
	import { workspace } from '../workspace/workspace.svelte'

	const w = workspace()
	let busy = $state(false)

	async function take() {
		busy = true
		try {
			const kit = await send<Args<'setStarter'>>(`/api/projects/${w.project.id}/starter`, '')
			w.project.make('setStarter', kit)
			w.notices.say('The starter set is in the cabinet: ground, water, walls, a hero and a few things.', 'done')
		} catch (e) {
			w.notices.wrong(e)
		}
		busy = false
	}
</script>

<button class="button" disabled={busy} onclick={take}>{busy ? 'Bringing it in…' : 'Use the starter set'}</button>
