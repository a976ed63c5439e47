<script lang="ts">
	import Dices from '@lucide/svelte/icons/dices'
	import { Dialog } from 'bits-ui'
	import type { FigureWish, Taken } from '../core/types'
	import ColourRow from '../controls/ColourRow.svelte'
	import { drawnPicture } from '../draw/drawn'
	import { send } from '../live/http'
	import { workspace } from '../workspace/workspace.svelte'

	// A figure out of parts and colours, seen walking all four ways: it becomes a tileset and a kind.
	let { open = $bindable(false), made }: { open: boolean; made: (kind: string) => void } = $props()
	const w = workspace()
	const parts = w.project.ask('figureParts')
	const palette = {
		skin: ['#f1cba4', '#e8b48c', '#c98d62', '#9a6242', '#6b4330', '#a9b7a0'],
		hairColour: ['#4a3024', '#8a5a34', '#d8a548', '#b7553a', '#9aa09d', '#33505a'],
		coatColour: ['#e3a52f', '#b7553a', '#2f7d8b', '#677c3e', '#7a4d7c', '#6b7378'],
		legColour: ['#4a3024', '#3a4650', '#5c4a36', '#33505a', '#6b7378', '#863a2c'],
		toolColour: ['#ffe9a3', '#d9d3c3', '#9c6b43', '#9fd7e6', '#b7553a', '#86994c'],
	}
	type Colour = keyof typeof palette
	const names: [Colour, string][] = [
		['skin', 'skin'],
		['hairColour', 'hair or hat'],
		['coatColour', 'coat'],
		['legColour', 'legs'],
		['toolColour', 'in hand'],
	]
	const pick = <T,>(all: readonly T[]): T => all[Math.floor(Math.random() * all.length)]
	const any = (size: number): FigureWish => ({
		hair: pick(parts.hairs),
		coat: pick(parts.coats),
		tool: pick(parts.tools),
		skin: pick(palette.skin.slice(0, 5)),
		hairColour: pick(palette.hairColour),
		coatColour: pick(palette.coatColour),
		legColour: pick(palette.legColour),
		toolColour: pick(palette.toolColour),
		size,
	})
	let wish = $state<FigureWish>({ ...any(16), hair: 'hood', coat: 'coat', tool: 'lantern' })
	let name = $state('')
	let as = $state('hero')
	let busy = $state(false)
	const kinds = [
		['hero', 'the hero'],
		['character', 'somebody to speak to'],
		['walker', 'an enemy that walks'],
	] as const

	const sheet = $derived(drawnPicture(w.project.ask('drawFigure', $state.snapshot(wish))))

	let shown = $state<HTMLCanvasElement>()
	$effect(() => {
		if (!shown) return
		const ctx = shown.getContext('2d')!
		const { size } = wish
		const all = sheet
		let frame = 0
		const draw = (now: number) => {
			frame = requestAnimationFrame(draw)
			ctx.imageSmoothingEnabled = false
			ctx.clearRect(0, 0, shown!.width, shown!.height)
			const step = w.animated ? [0, 1, 0, 2][Math.floor(now / 170) % 4] : 0
			for (const [i, row] of [2, 3, 0, 1].entries())
				ctx.drawImage(all, step * size, row * size, size, size, i * 96, 0, 96, 96)
		}
		frame = requestAnimationFrame(draw)
		return () => cancelAnimationFrame(frame)
	})

	async function make() {
		busy = true
		try {
			const file = await sheet.convertToBlob({ type: 'image/png' })
			const taken = await send<Taken>(`/api/projects/${w.project.id}/pictures`, new File([file], 'figure.png'))
			const called = name.trim() || (as === 'hero' ? 'Hero' : as === 'walker' ? 'Enemy' : 'Somebody')
			const { number, picture, width, height } = taken
			const done = w.project.make('addFigure', { number, picture, width, height, size: wish.size, as, name: called })
			open = false
			w.notices.say(`${called} is a kind now, with a tileset of its own.`, 'done', w.project.undoOf(done))
			if (done.made) made(done.made)
		} catch (e) {
			w.notices.wrong(e)
		}
		busy = false
	}
</script>

<Dialog.Root bind:open>
	<Dialog.Portal>
		<Dialog.Overlay class="fixed inset-0 z-40 bg-[#0b1011]/55" />
		<Dialog.Content
			class="cut fixed top-1/2 left-1/2 z-50 flex max-h-[92vh] w-[min(720px,94vw)] -translate-x-1/2 -translate-y-1/2 flex-col outline-none"
			preventScroll={false}
		>
			<div class="flex flex-col gap-4 overflow-y-auto p-6">
				<div class="flex items-center gap-3">
					<Dialog.Title class="grow text-[19px] font-semibold">A figure</Dialog.Title>
					<button class="button" onclick={() => (wish = any(wish.size))}><Dices size={15} /> Another one</button>
				</div>
				<Dialog.Description class="text-dim"
					>Choose its parts and colours. It becomes a tileset that looks four ways and walks, and a kind that uses it.</Dialog.Description
				>
				<canvas
					bind:this={shown}
					width="384"
					height="96"
					class="self-center border border-line bg-sheet"
					aria-hidden="true"
				></canvas>
				{#each [['Head', 'hair', parts.hairs], ['Clothes', 'coat', parts.coats], ['In hand', 'tool', parts.tools]] as const as [title, key, all] (key)}
					<div class="flex flex-wrap items-center gap-1" role="group" aria-label={title}>
						<span class="w-20 text-dim">{title}</span>
						{#each all as o (o)}
							<button
								class="button {wish[key] === o ? 'button-main' : ''}"
								aria-pressed={wish[key] === o}
								onclick={() => (wish[key] = o)}>{o}</button
							>
						{/each}
					</div>
				{/each}
				<div class="flex flex-col gap-1">
					{#each names as [key, title] (key)}
						<ColourRow {title} palette={palette[key]} bind:value={wish[key]} />
					{/each}
				</div>
				<div class="flex flex-wrap items-end gap-3 border-t border-line pt-4">
					<label class="flex min-w-40 grow flex-col gap-0.5"
						><span class="text-dim">called</span><input
							class="field h-9"
							maxlength="80"
							placeholder="Warden"
							bind:value={name}
						/></label
					>
					<label class="flex flex-col gap-0.5"
						><span class="text-dim">is</span><select class="field h-9" bind:value={as}
							>{#each kinds as [key, title] (key)}<option value={key}>{title}</option>{/each}</select
						></label
					>
					<label class="flex flex-col gap-0.5"
						><span class="text-dim">size</span><select class="field h-9" bind:value={wish.size}
							>{#each parts.sizes as s (s)}<option value={s}>{s} × {s} pixels</option>{/each}</select
						></label
					>
					<button class="button h-9 button-main" disabled={busy} onclick={() => void make()}
						>{busy ? 'Making it…' : 'Make it'}</button
					>
				</div>
			</div>
		</Dialog.Content>
	</Dialog.Portal>
</Dialog.Root>
