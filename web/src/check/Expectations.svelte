<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus'
	import type { ExpectationInfo } from '../core/types'
	import { tick } from 'svelte'
	import { workspace } from '../workspace/workspace.svelte'

	// What the designer expects of the game, in the words of rules' conditions: proven, refuted with a walk, or not decided.
	const w = workspace()
	const { checking } = w.proving
	const ways = [
		{ is: 'never', name: 'Never' },
		{ is: 'can', name: 'Possible' },
		{ is: 'needed', name: 'Needed to finish' },
	]
	let editing = $state<{ id: string; is: string; says: string } | null>(null)
	let wrong = $state('')
	let begin = $state<HTMLButtonElement>()
	const marks: Record<string, string> = { proven: 'text-sage', refuted: 'text-brick', 'not decided': 'text-dim' }
	const spoken = (e: ExpectationInfo) => e.spoken[0].toUpperCase() + e.spoken.slice(1)

	function keep(e: SubmitEvent) {
		e.preventDefault()
		if (!editing) return
		try {
			w.project.make('expect', { ...editing })
			leave()
			checking.later(0)
		} catch (error) {
			wrong = (error as Error).message
		}
	}

	/** Closes the field; the keys are where it was opened. */
	async function leave() {
		;[editing, wrong] = [null, '']
		await tick()
		begin?.focus()
	}

	function watch(e: ExpectationInfo) {
		w.open('map')
		w.playing.showWalk({ from: '', trap: 0, expectation: e.id })
	}
</script>

<section class="cut" aria-labelledby="expected">
	<div class="flex flex-col gap-3 p-5">
		<h2 id="expected" class="heading">Expected</h2>
		{#each checking.expectations as e (e.id)}
			<article class="flex flex-col gap-1 border-l-2 border-line pl-2" data-testid="expectation">
				<p>{spoken(e)}.</p>
				<p class="flex flex-wrap items-center gap-2">
					<span class="font-semibold {marks[e.verdict] ?? 'text-dim'}">{e.verdict || 'looking…'}</span>
					{#if e.why}<span class="text-dim">{e.why}</span>{/if}
					{#if e.walks}<button class="button" onclick={() => watch(e)}>Watch</button>{/if}
					<button class="button" onclick={() => ((editing = { id: e.id, is: e.is, says: e.says }), (wrong = ''))}
						>Change</button
					>
					<button
						class="button"
						onclick={() => {
							const made = w.project.try('expect', { id: e.id, is: e.is, says: '' })
							checking.later(0)
							if (made) w.notices.say('The expectation is removed.', 'done', w.project.undoOf(made))
						}}>Remove</button
					>
				</p>
			</article>
		{:else}
			{#if !editing}<p class="text-dim">
					Say what is to be so of the game, as a rule asks it: “the hero is on Lamp Room” never before the second
					beacon, an item that is needed. It is proven, or refuted with a walk, again after every change.
				</p>{/if}
		{/each}
		{#if editing}
			<form class="flex flex-col gap-2" onsubmit={keep}>
				<div class="flex gap-1" role="radiogroup" aria-label="How it is meant">
					{#each ways as way (way.is)}
						<button
							type="button"
							class="button {editing.is === way.is ? 'border-glaze font-semibold' : ''}"
							role="radio"
							aria-checked={editing.is === way.is}
							onclick={() => editing && (editing.is = way.is)}>{way.name}</button
						>
					{/each}
				</div>
				<label class="flex flex-col gap-1">
					<span class="text-dim">Conditions, a line each</span>
					<textarea
						class="field h-20 py-1 font-mono"
						spellcheck="false"
						bind:value={editing.says}
						{@attach (field) => field.focus()}
						placeholder={'the hero is on "Lamp Room"\nBeacons is below 2'}></textarea>
				</label>
				{#if wrong}<p class="text-brick" role="alert">{wrong}</p>{/if}
				<div class="flex gap-2">
					<button class="button button-main">Keep it</button>
					<button type="button" class="button" onclick={leave}>Cancel</button>
				</div>
			</form>
		{:else}
			<button
				class="button self-start"
				bind:this={begin}
				onclick={() => ((editing = { id: '', is: 'never', says: '' }), (wrong = ''))}
				><Plus size={15} /> New expectation</button
			>
		{/if}
	</div>
</section>
