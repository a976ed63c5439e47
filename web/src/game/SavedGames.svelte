<script lang="ts">
	import Trash2 from '@lucide/svelte/icons/trash-2'
	import Plate from './Plate.svelte'
	import { timeOf } from '../play/words'
	import type { Player } from './player.svelte'

	// The places where games are kept: one is gone on with, or the game is kept in it.
	let { player, keeps }: { player: Player; keeps: boolean } = $props()
	const places = $derived([...Array(player.info.slots + 1).keys()].filter((i) => !keeps || i > 0))
	const name = (i: number) => (i ? player.word('place', { n: i }) : player.word('byItself'))
	const when = (at: number) =>
		new Date(at).toLocaleString(player.language || undefined, { dateStyle: 'medium', timeStyle: 'short' })

	function press(i: number) {
		if (keeps) {
			player.keep(i)
			player.back()
		} else player.goOnWith(i)
	}

	/** A kept picture as something that an image shows. */
	function shown(img: HTMLImageElement, base64: string) {
		const url = URL.createObjectURL(
			new Blob([Uint8Array.from(atob(base64), (c) => c.charCodeAt(0))], { type: 'image/jpeg' }),
		)
		img.src = url
		return { destroy: () => URL.revokeObjectURL(url) }
	}
</script>

<Plate heading={player.word(keeps ? 'save' : 'savedGames')} wide>
	<ul class="flex flex-col gap-2">
		{#each places as i (i)}
			{@const save = player.saves[i]}
			{#if save || keeps}
				<li class="flex items-stretch gap-1">
					<button class="button h-16 grow justify-start gap-3 p-1.5 text-left" onclick={() => press(i)}>
						<span class="h-full w-24 shrink-0 bg-night">
							{#if save?.picture}{#key save.at}<img
										use:shown={save.picture}
										class="size-full object-cover"
										alt=""
									/>{/key}{/if}
						</span>
						<span class="flex min-w-0 flex-col">
							<b class="truncate">{save ? save.map : player.word('empty')}</b>
							<span class="truncate text-[12px] text-dim"
								>{name(i)}{#if save}{' · '}{timeOf(save.seconds)}{' · '}{when(save.at)}{/if}</span
							>
						</span>
					</button>
					{#if save && !keeps}
						<button
							class="button w-9 px-0 hover:text-brick"
							aria-label="{player.word('empty')}: {name(i)}"
							onclick={() => player.drop(i)}><Trash2 size={15} /></button
						>
					{/if}
				</li>
			{/if}
		{/each}
	</ul>
	<button class="mx-auto button h-10 min-w-40" onclick={() => player.back()}>{player.word('back')}</button>
</Plate>
