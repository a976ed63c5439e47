<script lang="ts">
	import Play from '@lucide/svelte/icons/play'
	import Trash2 from '@lucide/svelte/icons/trash-2'
	import type { Follows, ID, Pin, Recording } from '../core/types'
	import Context from '../controls/Context.svelte'
	import Hint from '../controls/Hint.svelte'
	import { seconds } from '../play/events'
	import { workspace } from '../workspace/workspace.svelte'

	let { wanted = '' }: { wanted?: string } = $props()
	const w = workspace()
	const { moments } = w
	/** A pin or a recording, as both are listed. */
	interface Kept {
		type: 'pin' | 'recording'
		id: ID
		name: string
		note: string
		map: ID
		length: string
		run: () => void
	}
	const ofPin = (p: Pin): Kept => ({
		type: 'pin',
		id: p.id,
		name: p.name,
		note: p.note,
		map: p.at.map,
		length: seconds(p.tick),
		run: () => moments.resume(p.id),
	})
	const ofRecording = (r: Recording): Kept => ({
		type: 'recording',
		id: r.id,
		name: r.name,
		note: r.note,
		map: r.map,
		length: seconds(r.ticks),
		run: () => moments.watch(r.id),
	})
	const fits = (k: Kept) => `${k.name} ${k.note}`.toLowerCase().includes(wanted)
	const pins = $derived(w.project.head.pins.map(ofPin).filter(fits))
	const recordings = $derived(w.project.head.recordings.map(ofRecording).filter(fits))
	const mapName = (id: ID) => w.project.map(id)?.name ?? 'a removed map'

	// how recordings go is looked at again after every change
	$effect(() => {
		void w.project.turn
		return moments.follow()
	})

	/** Where a recording goes otherwise, in words. */
	function parting(f: Follows): string {
		const p = f.parts!
		const now = p.is ? (p.is.is ? `“${p.is.name || p.is.is}” happens` : 'the hero goes another way') : ''
		const was = p.was?.is ? `“${p.was.name || p.was.is}” does not happen` : 'the hero does not go on'
		return `${now || was} at ${seconds(p.tick)} on ${mapName(p.map)}`
	}
</script>

{#snippet line(k: Kept)}
	<li class="group border-b border-line px-2 py-1.5">
		<Context
			choices={() => [
				{ label: k.type === 'pin' ? 'Go on from here' : 'Watch', run: k.run },
				{ label: `Show ${mapName(k.map)}`, run: () => w.project.map(k.map) && w.show(k.map) },
				{ label: 'Delete', run: () => moments.remove(k) },
			]}
		>
			<div class="flex items-center gap-1">
				<Hint
					label={k.type === 'pin' ? `Go on from ${k.name}` : `Watch ${k.name}`}
					class="button w-8 shrink-0"
					onclick={k.run}><Play size={14} /></Hint
				>
				<input
					class="field min-w-0 grow truncate field-plain font-semibold"
					value={k.name}
					maxlength="80"
					aria-label="Name of {k.name}"
					onchange={(e) => moments.change(k, 'name', e.currentTarget.value)}
					onkeydown={(e) => {
						if (e.key === 'Escape') e.currentTarget.value = k.name
						if (e.key === 'Enter' || e.key === 'Escape') e.currentTarget.blur()
					}}
				/>
				<Hint label="Delete {k.name}" class="button-plain w-6 hover:text-brick" onclick={() => moments.remove(k)}
					><Trash2 size={13} /></Hint
				>
			</div>
			<p class="text-[12px] text-dim">{mapName(k.map)}, {k.length}</p>
			<textarea
				class="field w-full resize-none field-plain text-[12px]"
				rows={k.note ? Math.min(4, Math.ceil(k.note.length / 30)) : 1}
				placeholder="Note"
				maxlength="2000"
				aria-label="Note of {k.name}"
				value={k.note}
				onchange={(e) => moments.change(k, 'note', e.currentTarget.value)}></textarea>
			{#if k.type === 'recording'}
				{@const f = moments.follows[k.id]}
				<p class="text-[12px]" role="status" data-testid="follows">
					{#if !f?.done}<span class="text-dim">played through on the project as it is…</span>
					{:else if f.why}<span class="text-brick">{f.why}</span>
					{:else if f.parts}
						<span class="text-brick">Goes otherwise now: {parting(f)}.</span>
						<button class="underline" onclick={() => moments.watchParting(k.id)}>See it</button>
					{:else}<span class="text-sage">Goes as it did.</span>{/if}
				</p>
			{/if}
		</Context>
	</li>
{/snippet}

{#if pins.length}
	<h3 class="px-2 pt-2 heading">Pins</h3>
	<ul aria-label="Pins">
		{#each pins as k (k.id)}{@render line(k)}{/each}
	</ul>
{/if}
{#if recordings.length}
	<h3 class="px-2 pt-3 heading">Recordings</h3>
	<ul aria-label="Recordings">
		{#each recordings as k (k.id)}{@render line(k)}{/each}
	</ul>
{/if}
{#if !wanted}
	<div class="flex flex-col gap-2 p-3">
		{#if !pins.length}
			<p>
				A pin keeps a moment of a game with a note: press <span class="key">N</span> while you play, and go on from there
				whenever you like, on the project as it is then.
			</p>
		{/if}
		{#if !recordings.length}
			<p class="text-dim">
				A game that is kept as a recording is played through again after every change, and tells where it first goes
				otherwise.
			</p>
		{/if}
		<button class="button {pins.length ? '' : 'button-main'}" disabled={!w.map} onclick={() => (w.beginOpen = true)}
			>Begin a game…</button
		>
	</div>
{/if}
