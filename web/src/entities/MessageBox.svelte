<script lang="ts">
	// The message box of the game: what the player reads, folded by the core. A
	// small one is as large as its place lets all columns be seen.
	import BoxFrame from './BoxFrame.svelte'
	import type { ID } from '../core/types'
	import GripPicture from '../hand/GripPicture.svelte'
	import { gripOf } from '../hand/looks'
	import { gameKeys, keyWord } from '../workspace/gameKeys.svelte'

	let {
		text,
		columns = 38,
		small = false,
		speaker = null,
		written = Infinity,
		is = {},
		letters = '',
		keyed = true,
	}: {
		text: string
		columns?: number
		small?: boolean
		/** Who says it. */
		speaker?: { name: string; kind: ID; look: number } | null
		/** How many letters are written so far: the rest keeps its room. */
		written?: number
		/** How the designer wants it: the settings of the game, by their keys. */
		is?: Record<string, string>
		/** How large the player wants the letters: small, normal or large. */
		letters?: string
		/** It is read on by a key, which is shown. */
		keyed?: boolean
	} = $props()
	const sizes: Record<string, string> = {
		small: 'text-[min(13px,3cqw)]',
		normal: 'text-[min(16px,3.3cqw)]',
		large: 'text-[min(21px,3.8cqw)]',
	}
	const size = $derived(sizes[letters || is.textSize] ?? sizes.normal)

	/** The first of the nine tiles of its frame; 0 is a plate of one colour. */
	const frame = $derived(small ? 0 : Number(is.frameTile) || 0)

	/** Black or white, whichever is read on a colour. */
	function readOn(colour: string | undefined): string {
		const n = parseInt(colour?.slice(1) || '0f6a6c', 16)
		return ((n >> 16) & 255) * 0.3 + ((n >> 8) & 255) * 0.59 + (n & 255) * 0.11 > 140 ? '#1e2a2e' : '#fcfaf5'
	}
</script>

<div class={small ? '@container' : ''}>
	{#if speaker}
		<div
			class="relative z-10 -mb-1 flex w-fit items-center gap-2 bg-ink py-1 text-plaster {is.portraits === 'right'
				? 'mr-3 ml-auto flex-row-reverse pr-1 pl-3'
				: 'ml-3 pr-3 pl-1'}"
			style:background={is.textNames}
			style:color={is.textNames && readOn(is.textNames)}
			data-testid="speaker"
		>
			<GripPicture grip={gripOf(speaker)} size={32} />
			<b class="text-[15px]">{speaker.name}</b>
		</div>
	{/if}
	<div
		class="{frame ? 'relative' : 'cut'} {small ? 'text-[min(12px,calc((100cqw-20px)/23))]' : ''}"
		style:--face={is.textPaper}
		style:color={is.textColour}
	>
		{#if frame}<BoxFrame cell={frame} />{/if}
		<div class="relative {small ? 'px-2 py-2' : `flex items-end gap-2 px-5 py-4 ${size}`}">
			<p
				class="min-h-[3.9em] leading-[1.3] whitespace-pre {is.textFont === 'sans' ? '' : 'font-mono'}"
				dir="auto"
				style:width="{columns}ch"
			>
				{#if written < text.length}<span class="sr-only">{text}</span><span aria-hidden="true"
						>{text.slice(0, written)}<span class="invisible">{text.slice(written)}</span></span
					>{:else}{text}{/if}
			</p>
			{#if keyed}<span class="key opacity-80 {small ? 'absolute right-1 bottom-1' : ''}"
					>{keyWord(gameKeys.of('use')[0])}</span
				>{/if}
		</div>
	</div>
</div>
