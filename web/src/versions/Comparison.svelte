<script lang="ts">
	import Undo2 from '@lucide/svelte/icons/undo-2'
	import Differences from '../share/Differences.svelte'
	import { workspace } from '../workspace/workspace.svelte'
	import { compared, type Compared, type Version } from './named'
	import { whenOf } from './when'

	/** How long nothing is changed before it is looked at anew, in milliseconds: each time both are read. */
	const quiet = 1000

	// What differs from a version to the project as it is, or to another version.
	let { all, of, head }: { all: Version[]; of: Version; head: number } = $props()
	const w = workspace()
	const p = w.project
	/** The id of what it is compared with; empty for the project as it is. */
	let beside = $state('')
	const other = $derived(all.find((v) => v.id === beside && v.id !== of.id))
	const to = $derived(other?.seq ?? head)
	let told = $state.raw<Compared | null>(null)
	let wrong = $state('')
	let busy = $state(false)

	// the earlier one comes first, whichever was chosen
	const [from, until] = $derived(of.seq <= to ? [of.seq, to] : [to, of.seq])
	const both = $derived(`${of.id} ${other?.id}`)
	/** Which two were told of; while one goes on working, what was told of them stays until it is known anew. */
	let toldOf = ''
	$effect(() => {
		const stop = new AbortController()
		const [a, b, these] = [from, until, both]
		if (toldOf !== these) [told, wrong] = [null, '']
		const timer = setTimeout(
			() => {
				compared(p, a, b, stop.signal)
					.then((c) => ([told, wrong, toldOf] = [c, '', these]))
					.catch((e: Error) => stop.signal.aborted || ([told, wrong] = [null, e.message]))
			},
			toldOf === these ? quiet : 0,
		)
		return () => {
			clearTimeout(timer)
			stop.abort()
		}
	})

	/** Going back would change nothing. */
	const alike = $derived(of.seq === head || (!other && told?.changes.length === 0))
	const now = $derived(other?.name ?? 'now')
	const words = $derived<[string, string]>(of.seq <= to ? [of.name, now] : [now, of.name])

	async function goBack() {
		busy = true
		const made = await p.jump(of.seq, `Back to ${of.name}`)
		if (made) w.notices.say(`The project is as ${of.name} was.`, 'done', p.undoOf(made))
		busy = false
	}
</script>

<section class="min-h-0 overflow-y-auto p-6" aria-labelledby="compared" data-testid="comparison">
	<div class="mx-auto flex max-w-[860px] flex-col gap-4">
		<div class="flex flex-wrap items-start gap-3">
			<div class="min-w-0 grow">
				<h2 id="compared" class="truncate text-[17px] font-semibold">{of.name}</h2>
				<p class="text-dim">As it was at {whenOf(of.at)}, named by {of.by}</p>
			</div>
			<button class="button button-main" disabled={busy || alike} onclick={() => void goBack()}>
				<Undo2 size={15} /> Go back to it
			</button>
		</div>
		<label class="flex items-center gap-2">
			What differs from it to
			<select class="field" bind:value={beside}>
				<option value="">the project as it is now</option>
				{#each all.filter((v) => v.id !== of.id) as v (v.id)}<option value={v.id}>{v.name}</option>{/each}
			</select>
		</label>
		<div class="border-t border-line pt-4" aria-live="polite" aria-busy={!told && !wrong}>
			{#if wrong}
				<p class="border-l-2 border-brick pl-2 text-brick" role="alert">{wrong}</p>
			{:else if !told}
				<p class="text-dim">Both are looked at…</p>
			{:else if !told.changes.length}
				<p class="text-dim">Nothing differs.</p>
			{:else}
				<Differences changes={told.changes} maps={told.maps} {words} whole />
			{/if}
		</div>
		<p class="text-[12px] text-dim">
			Going back is a step of its own, which one undo turns back: nothing is taken out of the history.
		</p>
	</div>
</section>
