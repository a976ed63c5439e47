<script lang="ts">
	import { gameInputs } from '../workspace/gameKeys.svelte'
	import { workspace } from '../workspace/workspace.svelte'
	import Plate from './Plate.svelte'
	import Stars from './Stars.svelte'
	import { timeOf } from '../play/words'
	import type { Player } from './player.svelte'

	// How a game or a map has ended, with what was reached, and where to go from there.
	let { player, over }: { player: Player; over: string } = $props()
	const w = workspace()
	const view = $derived(w.play.view)
	const name = $derived(view?.place ?? '')
	const heading = $derived(
		over === 'done' ? player.word('finished', { name }) : over === 'won' ? player.word('won') : player.word('lost'),
	)
	const follows = $derived.by(() => {
		for (const c of player.info.courses) {
			const i = c.maps.findIndex((m) => m.id === view?.map)
			if (i >= 0 && c.maps[i + 1]) return c.maps[i + 1].name
		}
		return ''
	})
	const r = $derived(player.result)
	const best = $derived(view ? player.progress[view.map]?.best : null)
	const use = gameInputs.find((g) => g.input === 'use')!.bit
	const counts = $derived(player.info.is.showMoves !== 'off' || (r?.moves ?? 0) > 0)

	function onward() {
		w.canvas?.focus()
		w.play.press(use)
	}

	/** The end of the game leads to who made it. */
	function leave() {
		// once the game is left, nothing is over any more
		const won = over === 'won'
		player.toTitle()
		if (won && player.info.credits) player.open('credits')
	}
</script>

<Plate {heading}>
	<div class="flex flex-col items-center gap-2" role="status" data-testid="over">
		{#if over !== 'lost' && r && r.stars > 0}
			<Stars n={r.stars} says={player.word('stars', { n: r.stars })} size={34} />
			{#if player.better}<b class="text-sage">{player.word('better')}</b>{/if}
		{/if}
		{#if view?.show.ending}<p class="text-center text-[16px] whitespace-pre-line">{view.show.ending}</p>{/if}
		{#if r}
			<p class="text-center text-dim">
				{timeOf(r.seconds)}{#if counts}{' · '}{player.word('moves', {
						n: r.moves,
					})}{/if}{#if r.total}{' · '}{player.word('collected', {
						n: r.taken,
						all: r.total,
					})}{/if}{#if r.tries > 1}{' · '}{player.word('tries', { n: r.tries })}{/if}
			</p>
			{#if best && over !== 'lost' && best.stars > 0 && best.stars !== r.stars}
				<p class="text-[12px] text-dim">{player.word('best', { what: player.word('stars', { n: best.stars }) })}</p>
			{/if}
		{/if}
	</div>
	{#if over === 'done' && follows}
		<button class="button h-10 button-main" onclick={onward}>{player.word('onward', { name: follows })}</button>
		<button class="button h-10" onclick={() => player.again()}>{player.word('again')}</button>
	{:else}
		<button class="button h-10 button-main" onclick={() => player.again()}>{player.word('again')}</button>
	{/if}
	<button class="button h-10" onclick={leave}
		>{over === 'won' && player.info.credits ? player.word('theEnd') : player.word('toTitle')}</button
	>
</Plate>
