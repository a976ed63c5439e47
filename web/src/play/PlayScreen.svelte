<script lang="ts">
	import Languages from '@lucide/svelte/icons/languages'
	import { untrack } from 'svelte'
	import Hud from './Hud.svelte'
	import GripPicture from '../hand/GripPicture.svelte'
	import { gripOf } from '../hand/looks'
	import { gameKeys, keyWord } from '../workspace/gameKeys.svelte'
	import { keys } from '../controls/keys.svelte'
	import PlayPointer from './PlayPointer.svelte'
	import PlayPad from './PlayPad.svelte'
	import Spoken from './Spoken.svelte'
	import { workspace } from '../workspace/workspace.svelte'

	// What the player sees above the map: what is counted, what is being said, how the game ended.
	/** It is a page that only plays: nothing leads back to a map, and what the game itself says is told by it. */
	let { alone = false, letters = '' }: { alone?: boolean; letters?: string } = $props()
	const w = workspace()
	const words: Record<string, string> = {
		'': 'Playing',
		again: 'The same keys again on',
		walk: 'The walk that was found, on',
		recording: 'A recording, on',
	}
	const view = $derived(w.play.view)
	const walks = $derived((['up', 'left', 'down', 'right'] as const).map((i) => keyWord(gameKeys.of(i)[0])).join(''))
	const own = $derived(w.project.head.project.language || 'en')
	// each tick of a game brings a view: what is asked of the module depends on the words alone that it needs of that
	const language = $derived(view?.language ?? '')
	const info = $derived.by(() => {
		void w.project.head
		return w.project.ask('gameInfo', { language })
	})
	const next = $derived.by(() => {
		for (const c of info.courses) {
			const i = c.maps.findIndex((m) => m.id === view?.map)
			if (i >= 0 && c.maps[i + 1]) return c.maps[i + 1].name
		}
		return ''
	})
	const over = $derived(
		view?.show.over === 'done'
			? info.words.finished.replace('{name}', view.place)
			: view?.show.over === 'won'
				? info.words.won
				: info.words.lost,
	)

	/** The place that one has just come to. */
	let arrived = $state('')
	$effect(() => {
		const id = view?.map
		if (!id || !alone) return
		untrack(() => {
			arrived = info.is.showPlace === 'true' ? (view?.place ?? '') : ''
		})
		const timer = setTimeout(() => (arrived = ''), 2600)
		return () => clearTimeout(timer)
	})

	// what is edited while the game stands still is seen at once
	$effect(() => {
		void w.project.turn
		untrack(() => w.play.refresh())
	})
</script>

{#if view}
	<div
		class="@container pointer-events-none absolute inset-0 flex flex-col {alone ? '' : 'border-4 border-held'} {w.play
			.frozen && !alone
			? 'border-dashed'
			: ''}"
		data-testid="playing"
	>
		<div class="relative min-h-0 grow">
			<Hud
				words={info.words}
				is={info.is}
				first={alone && !w.project.head.project.languages?.length ? undefined : first}
				low={w.touch}
				keys={alone || w.touch ? '' : view.side || view.party.length ? 'many' : 'few'}
			/>
			{#if arrived}
				<div class="absolute inset-x-0 top-[12%] flex justify-center" data-testid="place">
					<p class="bg-ink/85 px-6 py-2 text-[17px] font-semibold text-plaster">{arrived}</p>
				</div>
			{/if}
			{#if view.show.caption}
				<div class="absolute inset-x-0 top-1/5 flex justify-center" role="status" data-testid="caption">
					<p class="max-w-[32rem] bg-ink px-6 py-3 text-center text-[18px] font-semibold text-plaster">
						{view.show.caption}
					</p>
				</div>
			{/if}
			{#if view.show.picture}
				<div class="absolute inset-x-0 top-1/4 flex justify-center" data-testid="shown">
					<figure class="cut flex flex-col items-center gap-2 px-8 py-6">
						<GripPicture grip={gripOf(view.show.picture)} size={96} />
						<figcaption class="text-[15px] font-semibold">{view.show.picture.name}</figcaption>
					</figure>
				</div>
			{/if}
			{#if view.show.over && !alone}
				<div
					class="pointer-events-auto cut absolute top-1/3 left-1/2 flex w-[30rem] max-w-[90%] -translate-x-1/2 flex-col items-center gap-4 px-8 py-7"
					role="status"
					data-testid="over"
				>
					<h2 class="text-center text-[26px] leading-tight font-semibold text-balance">{over}</h2>
					{#if view.show.ending}<p class="text-center text-[16px] whitespace-pre-line">
							{view.show.ending}
						</p>{/if}
					<button class="button button-main" onclick={() => w.play.press(16)}
						>{view.show.over === 'done' && next ? info.words.onward.replace('{name}', next) : 'Begin again'}
						<span class="key">{keyWord(gameKeys.of('use')[0])}</span></button
					>
				</div>
			{/if}
			{#if Number(info.is.pointerTile) && !w.touch}<PlayPointer cell={Number(info.is.pointerTile)} />{/if}
			{#if view.line || view.answers.length}<Spoken is={info.is} {letters} />{/if}
			{#if w.touch}
				<PlayPad
					jumps={view.side}
					swaps={view.party.length > 0}
					skips={view.show.skips}
					ends={view.mostPoints > 0}
					words={alone ? info.words : {}}
				/>
				{#if !alone}<button
						class="pointer-events-auto absolute top-3 right-3 bg-ink px-3 py-1.5 text-plaster"
						onclick={() => w.playing.stopPlay()}>Back to the map</button
					>{/if}
			{:else if alone}
				{#if view.show.skips || view.mostPoints > 0}
					<button
						class="pointer-events-auto absolute right-3 bottom-3 flex items-center gap-2 bg-ink px-3 py-1.5 text-plaster hover:text-held"
						onclick={() => w.play.press(8192)}
						><span class="key">{keyWord(gameKeys.of('skip')[0])}</span>
						{view.show.skips ? info.words.skip : info.words.endTurn}</button
					>
				{/if}
			{:else}
				<div class="absolute top-3 right-3 flex items-center gap-2 bg-ink px-3 py-1.5 text-plaster">
					{#if view.show.held}
						<b>A scene</b>
						{#if view.show.skips}<button
								class="pointer-events-auto flex items-center gap-2 hover:text-held"
								onclick={() => w.play.press(8192)}
								><span class="key">{keyWord(gameKeys.of('skip')[0])}</span> skip it</button
							>{/if}
					{:else}
						<span class="flex gap-2 @max-4xl:hidden"><span class="key">{walks}</span> walk</span>
						{#if view.mostPoints > 0}<button
								class="pointer-events-auto flex items-center gap-2 hover:text-held"
								onclick={() => w.play.press(8192)}
								><span class="key">{keyWord(gameKeys.of('skip')[0])}</span> end the turn</button
							>{/if}
					{/if}
					<span class="flex gap-2 @max-4xl:hidden">
						{#if view.side}<span class="key">{keyWord(gameKeys.of('jump')[0])}</span> jump{/if}
						{#if view.party.length}<span class="key">{keyWord(gameKeys.of('swap')[0])}</span>
							lead {view.party[0].name}{/if}
						<span class="key">{keyWord(gameKeys.of('use')[0])}</span> use
					</span>
					<span class="flex gap-2 {view.show.held ? '@max-4xl:hidden' : ''}">
						<span class="key">{keys.now('P')}</span> back to the map
					</span>
				</div>
			{/if}
		</div>
	</div>
{/if}

{#snippet first()}
	{#if view}
		{#if !alone}<b>{w.play.frozen ? 'Frozen on' : words[view.shows]} {w.map?.name}</b>{/if}
		{#if w.project.head.project.languages?.length}
			<button
				class="pointer-events-auto flex items-center gap-1 hover:text-held"
				data-testid="language"
				aria-label="Read in {view.language || own}: press for the next language"
				onclick={() => w.play.press(16384)}><Languages size={14} />{view.language || own}</button
			>
		{/if}
		{#if !alone && w.play.events.some((e) => e.is === 'goal' && e.tick <= view.tick)}<b data-testid="goal"
				>Goal reached</b
			>{/if}
	{/if}
{/snippet}
