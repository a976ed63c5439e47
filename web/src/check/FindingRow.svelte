<script lang="ts">
	import BellOff from '@lucide/svelte/icons/bell-off'
	import Wrench from '@lucide/svelte/icons/wrench'
	import type { CheckFinding } from '../core/types'
	import LayerThumb from '../stack/LayerThumb.svelte'
	import { workspace } from '../workspace/workspace.svelte'
	import { goToFinding, marks, placeOf } from './goTo'

	// A finding with a picture of its place: gone to, mended at a press, or silenced with a reason.
	let { f, pictured, narrow = false }: { f: CheckFinding; pictured: boolean; narrow?: boolean } = $props()
	const w = workspace()
	const seen = $derived(pictured ? placeOf(w, f) : null)
	let silencing = $state(false)
	let why = $state('')

	function mend() {
		const made = w.project.try('mend', { what: f.what, map: f.map, id: f.id, why: '', on: false })
		if (made) w.notices.say(`Mended: ${f.text}`, 'done', w.project.undoOf(made))
	}

	function silence(on: boolean) {
		w.project.try('silence', { what: f.what, map: f.map, id: f.id, why: why.trim(), on })
		;[silencing, why] = [false, '']
	}
</script>

<li class="border-l-2 {marks[f.as] ?? 'border-line'} py-1 pl-2 {f.silent ? 'opacity-60' : ''}" data-testid="finding">
	<div class="flex items-center gap-2 {narrow ? 'flex-wrap' : ''}">
		<button
			class="flex min-w-0 items-center gap-2 text-left hover:underline {narrow ? 'w-full' : 'grow'}"
			onclick={() => goToFinding(w, f)}
		>
			{#if seen}<LayerThumb {...seen} width={72} height={44} />{/if}
			<span class="min-w-0">{f.text}</span>
		</button>
		{#if f.mend && !f.silent}
			<button class="button shrink-0" onclick={mend}><Wrench size={14} /> {f.mend}</button>
		{/if}
		{#if f.silent}
			<button class="button shrink-0" onclick={() => silence(false)}>Tell it again</button>
		{:else}
			<button
				class="button-plain shrink-0"
				aria-label="Silence it: {f.text}"
				title="Not to be told any more, with a reason"
				aria-expanded={silencing}
				onclick={() => ([silencing, why] = [!silencing, ''])}><BellOff size={15} /></button
			>
		{/if}
	</div>
	{#if f.silent && f.silenced}<p class="text-dim">Silenced: {f.silenced}</p>{/if}
	{#if silencing}
		<form
			class="flex gap-2 pt-1"
			onsubmit={(e) => {
				e.preventDefault()
				silence(true)
			}}
		>
			<!-- svelte-ignore a11y_autofocus -->
			<input
				class="field min-w-0 grow"
				aria-label="Why it is all right"
				placeholder="Why it is all right"
				maxlength="500"
				autofocus
				bind:value={why}
			/>
			<button class="button">Silence it</button>
		</form>
	{/if}
</li>
