<script lang="ts">
	import Clock from '@lucide/svelte/icons/clock-3'
	import Flag from '@lucide/svelte/icons/flag'
	import Footprints from '@lucide/svelte/icons/footprints'
	import Gem from '@lucide/svelte/icons/gem'
	import Heart from '@lucide/svelte/icons/heart'
	import Hourglass from '@lucide/svelte/icons/hourglass'
	import Zap from '@lucide/svelte/icons/zap'
	import UserPlus from '@lucide/svelte/icons/user-plus'
	import type { Snippet } from 'svelte'
	import QuickSlots from './QuickSlots.svelte'
	import { workspace } from '../workspace/workspace.svelte'
	import TileIcon from './TileIcon.svelte'
	import SmallMap from './SmallMap.svelte'
	import { putIn, timeOf } from './words'

	// What is counted, in the corners of the player's screen, where the designer wants it.
	let {
		words,
		is,
		first,
		low = false,
		keys = '',
	}: {
		words: Record<string, string>
		is: Record<string, string>
		first?: Snippet
		/** The lower edge is the pad's. */
		low?: boolean
		/** How many keys are told beside it, as far as there is room. */
		keys?: '' | 'few' | 'many'
	} = $props()
	const w = workspace()
	const view = $derived(w.play.view)
	const most = 12
	const hearts = $derived(view ? Array.from({ length: Math.min(view.most, most) }, (_, i) => i < view.hearts) : [])
	const corners = ['topLeft', 'top', 'topRight', 'bottomLeft', 'bottomRight'] as const
	const besideKeys = { '': '', few: '@4xl:max-w-[calc(100%-20rem)]', many: '@4xl:max-w-[calc(100%-30rem)]' }
	const places: Record<(typeof corners)[number], string> = $derived({
		topLeft: `top-3 left-3 max-w-[calc(100%-12rem)] items-start ${besideKeys[keys]}`,
		top: 'top-3 left-1/2 -translate-x-1/2 items-center',
		topRight: 'right-3 items-end',
		bottomLeft: 'bottom-3 left-3 items-start',
		bottomRight: 'right-3 bottom-3 items-end',
	})
	const at = (corner: string) => (low ? corner.replace('bottom', 'top') : corner)
	const where = (key: string, corner: string) => at(is[key] ?? 'off') === corner

	/** What is counted now, as one text: when that changes it is seen for a while. */
	const counted = $derived(
		view
			? [
					view.hearts,
					view.lives,
					view.taken,
					view.points,
					view.wave,
					view.counts.moves,
					...view.shown.map((c) => c.is),
				].join(' ')
			: '',
	)
	let fresh = $state(true)
	$effect(() => {
		void counted
		fresh = true
		const timer = setTimeout(() => (fresh = false), 2500)
		return () => clearTimeout(timer)
	})
	const seen = $derived(is.shown !== 'changing' || fresh || w.play.frozen)
	const minute = (m: number) => `${Math.floor(m / 60)}:${String(m % 60).padStart(2, '0')}`
</script>

{#if view}
	{@const cores = view.tolls.filter((t) => t.name)}
	{#if cores.length}
		<ul class="sr-only" data-testid="tolls">
			{#each cores as t (t.id)}<li>{putIn(words.stillTakes, { what: t.name ?? '', n: t.left, all: t.all })}</li>{/each}
		</ul>
	{/if}
	{#each corners as corner (corner)}
		{@const heartsHere = where('showHearts', corner) && view.most > 0}
		{@const livesHere = where('showLives', corner) && view.lives > 0}
		{@const pointsHere = where('showPoints', corner) && view.mostPoints > 0}
		{@const takenHere = where('showCollected', corner) && view.total > 0}
		{@const movesHere = where('showMoves', corner) || (view.counts.movesLeft >= 0 && corner === 'top')}
		{@const timeHere = where('showTime', corner) || (view.counts.secondsLeft >= 0 && corner === 'top')}
		{@const waveHere = where('showWaves', corner) && view.waves > 0}
		{@const clockHere = where('showClock', corner) && view.minute >= 0}
		{@const counters = view.shown.filter((c) => at(c.where) === corner)}
		<div
			class="absolute flex flex-col gap-1 {places[corner]} {corner === 'topRight' ? (low ? 'top-18' : 'top-14') : ''}"
			data-corner={corner}
		>
			{#if (first && corner === 'topLeft') || (seen && (heartsHere || livesHere || pointsHere || takenHere || movesHere || timeHere || waveHere || clockHere || counters.length))}
				<div class="flex flex-wrap items-center gap-x-3 gap-y-1 bg-ink px-3 py-1.5 text-plaster">
					{#if first && corner === 'topLeft'}{@render first()}{/if}
					{#if seen}
						{#if heartsHere}
							<span class="flex items-center" data-testid="hearts">
								<span class="sr-only">{putIn(words.hearts, { n: view.hearts, all: view.most })}</span>
								{#each hearts as full, i (i)}
									{#if full || Number(is.lostTile) || !Number(is.heartTile)}<TileIcon
											cell={full ? is.heartTile : is.lostTile}
											><Heart size={14} fill={full ? 'currentColor' : 'none'} /></TileIcon
										>{/if}
								{/each}
								{#if view.most > most}<span class="ml-1 font-mono">{view.hearts}</span>{/if}
							</span>
						{/if}
						{#if livesHere}
							<span class="flex items-center gap-1" data-testid="lives" title={putIn(words.lives, { n: view.lives })}
								><TileIcon cell={is.livesTile}><UserPlus size={14} aria-hidden="true" /></TileIcon><span class="sr-only"
									>{putIn(words.lives, { n: view.lives })}</span
								><span aria-hidden="true">{view.lives}</span></span
							>
						{/if}
						{#if pointsHere}<span class="flex items-center gap-1" data-testid="points"
								><Zap size={13} aria-hidden="true" />{putIn(words.points, {
									n: view.points,
									all: view.mostPoints,
								})}</span
							>{/if}
						{#if takenHere}<span class="flex items-center gap-1" data-testid="count"
								><TileIcon cell={is.collectedTile}><Gem size={13} aria-hidden="true" /></TileIcon>{putIn(
									words.collected,
									{ n: view.taken, all: view.total },
								)}</span
							>{/if}
						{#each counters as c (c.id)}<span data-testid="counter">{c.name} <b>{c.is}</b></span>{/each}
						{#if movesHere}<span
								class="flex items-center gap-1 {view.counts.movesLeft >= 0 && view.counts.movesLeft < 4
									? 'font-semibold text-held'
									: ''}"
								data-testid="moves"
								><TileIcon cell={is.movesTile}><Footprints size={13} aria-hidden="true" /></TileIcon>{view.counts
									.movesLeft >= 0
									? putIn(words.movesLeft, { n: view.counts.movesLeft })
									: putIn(words.moves, { n: view.counts.moves })}</span
							>{/if}
						{#if timeHere}<span
								class="flex items-center gap-1 {view.counts.secondsLeft >= 0 && view.counts.secondsLeft < 11
									? 'font-semibold text-held'
									: ''}"
								data-testid="time"
								><Hourglass size={13} aria-hidden="true" />{timeOf(
									view.counts.secondsLeft >= 0 ? view.counts.secondsLeft : view.counts.seconds,
								)}</span
							>{/if}
						{#if waveHere}<span class="flex items-center gap-1" data-testid="wave"
								><Flag size={13} aria-hidden="true" />{putIn(words.wave, { n: view.wave, all: view.waves })}</span
							>{/if}
						{#if clockHere}<span class="flex items-center gap-1" data-testid="clock"
								><Clock size={13} aria-hidden="true" />{minute(view.minute)}</span
							>{/if}
					{/if}
				</div>
			{/if}
			{#if where('showItems', corner)}<QuickSlots {words} />{/if}
			{#if where('showMap', corner)}<SmallMap />{/if}
		</div>
	{/each}
{/if}
