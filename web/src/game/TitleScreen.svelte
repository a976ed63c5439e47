<script lang="ts">
	import { gameKeys, keyWord } from '../workspace/gameKeys.svelte'
	import { workspace } from '../workspace/workspace.svelte'
	import { arrows, begin } from './presses'
	import type { Player } from './player.svelte'

	// The title: what the game is called, and all that one begins with.
	let { player }: { player: Player } = $props()
	const w = workspace()
	const walks = $derived((['up', 'left', 'down', 'right'] as const).map((i) => keyWord(gameKeys.of(i)[0])))
	const chooses = $derived(player.info.courses.length > 0 && player.info.is.choose !== 'never')
	const newest = $derived(player.saves[player.newest])
	let plate: HTMLDivElement

	$effect(() => begin(plate))
</script>

<div class="absolute inset-0">
	<!-- svelte-ignore a11y_no_static_element_interactions -->
	<div class="absolute inset-0 flex overflow-y-auto p-4 sm:p-10" onkeydown={(e) => arrows(e, plate)}>
		<div bind:this={plate} data-plate class="cut my-auto w-[21rem] max-w-full">
			<div class="flex flex-col items-stretch gap-1.5 p-6">
				<h1 class="text-[32px] leading-[1.05] font-semibold text-balance">{player.info.title}</h1>
				{#if player.info.line}<p class="text-[15px] text-pretty text-dim">{player.info.line}</p>{/if}
				<span class="h-2"></span>
				{#if newest}
					<button
						class="button h-10 justify-between button-main text-[15px]"
						onclick={() => player.goOnWith(player.newest)}
						><span>{player.word('continue')}</span><span class="truncate text-[12px] opacity-80">{newest.map}</span
						></button
					>
				{/if}
				<button
					class="button h-10 justify-start text-[15px] {newest ? '' : 'button-main'}"
					onclick={() => player.begin()}>{player.word('newGame')}</button
				>
				{#if chooses}<button class="button h-10 justify-start text-[15px]" onclick={() => player.open('maps')}
						>{player.word('chooseMap')}</button
					>{/if}
				{#if newest}<button class="button h-10 justify-start text-[15px]" onclick={() => player.open('saves')}
						>{player.word('savedGames')}</button
					>{/if}
				<button class="button h-10 justify-start text-[15px]" onclick={() => player.open('settings')}
					>{player.word('settings')}</button
				>
				{#if player.info.credits}<button
						class="button h-10 justify-start text-[15px]"
						onclick={() => player.open('credits')}>{player.word('credits')}</button
					>{/if}
				<p class="flex flex-wrap items-center gap-x-1.5 gap-y-1 pt-2 text-dim">
					{#if w.touch}
						{player.word('touch')}
					{:else}
						{#each walks as k (k)}<span class="key">{k}</span>{/each}
						{player.word('walk')}
						<span class="key">{keyWord(gameKeys.of('use')[0])}</span>
						{player.word('use')}
						{#if player.info.sides}<span class="key">{keyWord(gameKeys.of('jump')[0])}</span>
							{player.word('jump')}{/if}
						<span class="key">Esc</span>
						{player.word('pause')}
					{/if}
				</p>
			</div>
		</div>
	</div>
</div>
