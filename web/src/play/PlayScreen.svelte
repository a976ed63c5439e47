<script lang="ts">
	import Heart from '@lucide/svelte/icons/heart'
	import Languages from '@lucide/svelte/icons/languages'
	import { untrack } from 'svelte'
	import MessageBox from '../entities/MessageBox.svelte'
	import GripPicture from '../hand/GripPicture.svelte'
	import { gripOf } from '../hand/looks'
	import { gameKeys, keyWord } from '../workspace/gameKeys.svelte'
	import { keys } from '../controls/keys.svelte'
	import QuickSlots from './QuickSlots.svelte'
	import PlayPad from './PlayPad.svelte'
	import { workspace } from '../workspace/workspace.svelte'

	// What the player sees above the map: hearts, the count, what is being said.
	/** It is a page that only plays: nothing leads back to a map. */
	let { alone = false }: { alone?: boolean } = $props()
	const w = workspace()
	const words: Record<string, string> = {
		'': 'Playing',
		again: 'The same keys again on',
		walk: 'The walk that was found, on',
		recording: 'A recording, on',
	}
	const view = $derived(w.play.view)
	const walks = $derived((['up', 'left', 'down', 'right'] as const).map((i) => keyWord(gameKeys.of(i)[0])).join(''))
	const hearts = $derived(view ? Array.from({ length: Math.min(view.most, 12) }, (_, i) => i < view.hearts) : [])

	// what is edited while the game stands still is seen at once
	$effect(() => {
		void w.project.turn
		untrack(() => w.play.refresh())
	})
</script>

{#if view}
	<div
		class="pointer-events-none absolute inset-0 flex flex-col {alone ? '' : 'border-4 border-held'} {w.play.frozen &&
		!alone
			? 'border-dashed'
			: ''}"
		data-testid="playing"
	>
		<div class="relative min-h-0 grow">
			<div class="absolute top-3 left-3 flex items-center gap-3 bg-ink px-3 py-1.5 text-plaster">
				<b>{alone ? '' : w.play.frozen ? 'Frozen on' : words[view.shows]} {w.map?.name}</b>
				<span class="flex items-center" data-testid="hearts">
					<span class="sr-only">{view.hearts} of {view.most} hearts</span>
					{#each hearts as full, i (i)}<Heart size={14} fill={full ? 'currentColor' : 'none'} />{/each}
					{#if view.most > 12}<span class="ml-1 font-mono">{view.hearts}</span>{/if}
				</span>
				{#if w.project.head.project.languages?.length}
					<button
						class="pointer-events-auto flex items-center gap-1 hover:text-held"
						data-testid="language"
						aria-label="Read in {view.language || w.project.head.project.language || 'en'}: press for the next language"
						onclick={() => w.play.press(16384)}
						><Languages size={14} />{view.language || w.project.head.project.language || 'en'}</button
					>
				{/if}
				{#if view.total}<span data-testid="count">{view.taken} of {view.total} collected</span>{/if}
				{#if w.play.events.some((e) => e.is === 'goal' && e.tick <= view.tick)}<b data-testid="goal">Goal reached</b
					>{/if}
			</div>
			<QuickSlots />
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
			{#if view.show.over}
				<div
					class="pointer-events-auto cut absolute top-1/3 left-1/2 flex w-[30rem] max-w-[90%] -translate-x-1/2 flex-col items-center gap-4 px-8 py-7"
					role="status"
					data-testid="over"
				>
					<h2 class="text-[26px] font-semibold">{view.show.over === 'won' ? 'The game is won' : 'The game is lost'}</h2>
					{#if view.show.ending}<p class="text-center text-[16px] whitespace-pre-line">
							{view.show.ending}
						</p>{/if}
					<button class="button button-main" onclick={() => w.play.press(16)}
						>Begin again <span class="key">{keyWord(gameKeys.of('use')[0])}</span></button
					>
				</div>
			{/if}
			{#if view.line || view.answers.length}
				<div
					class="absolute left-1/2 w-max max-w-full -translate-x-1/2 {w.touch ? 'bottom-52' : 'bottom-4'}"
					role="status"
					data-testid="line"
				>
					<MessageBox text={view.line} speaker={view.speaker} />
					{#if view.answers.length}
						<ul class="pointer-events-auto mt-1 flex flex-col bg-ink p-1 text-plaster" aria-label="Answers">
							{#each view.answers as answer, i (i)}
								<li>
									<button
										class="flex min-h-8 w-full items-center gap-2 px-2 text-left {i === view.chosen
											? 'bg-plaster font-semibold text-ink'
											: ''}"
										aria-current={i === view.chosen}
										onclick={() => w.play.answer(i)}>{answer}</button
									>
								</li>
							{/each}
						</ul>
					{/if}
				</div>
			{/if}
			{#if w.touch}
				<PlayPad jumps={view.side} swaps={view.party.length > 0} skips={view.show.skips} />
				{#if !alone}<button
						class="pointer-events-auto absolute top-3 right-3 bg-ink px-3 py-1.5 text-plaster"
						onclick={() => w.playing.stopPlay()}>Back to the map</button
					>{/if}
			{:else}
				<div
					class="absolute right-3 flex items-center gap-2 bg-ink px-3 py-1.5 text-plaster {alone ? 'top-12' : 'top-3'}"
				>
					{#if view.show.held}
						<b>A scene</b>
						{#if view.show.skips}<button
								class="pointer-events-auto flex items-center gap-2 hover:text-held"
								onclick={() => w.play.press(8192)}
								><span class="key">{keyWord(gameKeys.of('skip')[0])}</span> skip it</button
							>{/if}
					{:else}
						<span class="key">{walks}</span> walk
					{/if}
					{#if view.side}<span class="key">{keyWord(gameKeys.of('jump')[0])}</span> jump{/if}
					{#if view.party.length}<span class="key">{keyWord(gameKeys.of('swap')[0])}</span>
						lead {view.party[0].name}{/if}
					<span class="key">{keyWord(gameKeys.of('use')[0])}</span> use
					{#if alone}<span class="key">Esc</span> pause{:else}<span class="key">{keys.now('P')}</span> back to the map{/if}
				</div>
			{/if}
		</div>
	</div>
{/if}
