<script lang="ts">
	import TriangleAlert from '@lucide/svelte/icons/triangle-alert'
	import { counted } from '../project/counted'
	import { workspace } from '../workspace/workspace.svelte'

	// What stands between this page and the project as the server has it, and what can be done.
	const w = workspace()
	const p = w.project
	const unsent = $derived(p.parted ? p.waiting : p.leftovers.length)

	function earlier() {
		w.open('map')
		w.layout.show('history')
	}

	function save() {
		const link = document.createElement('a')
		link.href = URL.createObjectURL(p.unsentFile())
		link.download = `${p.head.project.name} – unsent edits.json`
		link.click()
		URL.revokeObjectURL(link.href)
	}
</script>

{#if p.parted || p.lost || p.leftovers.length || p.saved === 'full'}
	<div
		class="flex min-h-9 items-center gap-2 border-b border-line bg-well px-3 py-1"
		role="alert"
		data-testid="state-bar"
	>
		<TriangleAlert size={16} class="shrink-0 text-brick" />
		{#if p.parted}
			<span class="min-w-0 grow">
				{p.parted} What this page shows is the former one.
				{#if unsent}{counted(unsent, 'edit')} of it {unsent === 1 ? 'is' : 'are'} not in the project.{/if}
			</span>
			{#if unsent}<button class="button" onclick={save}>Save {unsent === 1 ? 'it' : 'them'} as a file</button>{/if}
			<button class="button button-main" onclick={() => location.reload()}>Open it as it is now</button>
		{:else if p.lost}
			<span class="min-w-0 grow" title={p.lost.join('\n')}>
				Some of this project cannot be read ({p.lost[0]}{p.lost.length > 1 ? `, and ${p.lost.length - 1} more` : ''}),
				so it can only be looked at. Choose an earlier state in the history to go on from.
			</span>
			<button class="button button-main" onclick={earlier}>Earlier states</button>
		{:else if p.leftovers.length}
			<span class="min-w-0 grow">
				{counted(unsent, 'edit')} kept in this browser {unsent === 1 ? 'belongs' : 'belong'} to a former state of this project.
			</span>
			<button class="button" onclick={save}>Save as a file</button>
			<button class="button" onclick={() => void p.dropLeftovers()}>Let go of {unsent === 1 ? 'it' : 'them'}</button>
			<button class="button" onclick={() => void p.takeLeftovers()}>Do {unsent === 1 ? 'it' : 'them'} here</button>
		{:else}
			<span class="min-w-0 grow">{p.trouble}</span>
		{/if}
	</div>
{/if}
