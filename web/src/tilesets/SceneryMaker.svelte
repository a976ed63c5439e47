<script lang="ts">
	import Dices from '@lucide/svelte/icons/dices'
	import { Dialog } from 'bits-ui'
	import ColourRow from '../controls/ColourRow.svelte'
	import type { SceneryWish } from '../core/contract.gen'
	import type { ID, Taken } from '../core/types'
	import { drawnPicture } from '../draw/drawn'
	import { send } from '../live/http'
	import { workspace } from '../workspace/workspace.svelte'

	// A house, a tree or a rock by its size and colours: it becomes a tileset, solid where one cannot pass, and a motif.
	let { open = $bindable(false), made }: { open: boolean; made: (motif: ID) => void } = $props()
	const w = workspace()
	const sorts = {
		house: {
			name: 'a house',
			size: [4, 3],
			first: ['roof', ['#b7553a', '#6b7378', '#3f6f7c', '#8a5a34', '#d8a548', '#5a6b3c']],
			second: ['wall', ['#e9dfcb', '#c9b89a', '#a9b7a0', '#d9a58a', '#8fa3ad', '#9c6b43']],
		},
		tree: {
			name: 'a tree',
			size: [2, 3],
			first: ['leaves', ['#677c3e', '#3f6b4a', '#86994c', '#b7553a', '#d8a548', '#7a9aa0']],
			second: ['trunk', ['#6b4330', '#4a3024', '#8a5a34', '#9aa09d', '#5c4a36', '#d9d3c3']],
		},
		rock: {
			name: 'a rock',
			size: [2, 2],
			first: ['stone', ['#8a8f8c', '#6b7378', '#a99a83', '#7a5f52', '#55636e', '#c9b89a']],
			second: ['moss', ['#677c3e', '#86994c', '#3f6b4a', '#8a8f8c', '#d8a548', '#2f7d8b']],
		},
	} as const
	type Sort = keyof typeof sorts
	const all = Object.keys(sorts) as Sort[]
	const begun = (what: Sort, size: number): SceneryWish => ({
		what,
		wide: sorts[what].size[0],
		tall: sorts[what].size[1],
		colour: sorts[what].first[1][0],
		second: sorts[what].second[1][0],
		size,
		seed: 1,
	})
	let wish = $state<SceneryWish>(begun('house', 16))
	let name = $state('')
	let busy = $state(false)
	const sort = $derived(sorts[wish.what as Sort])
	const least = $derived(wish.what === 'house' ? 2 : 1)

	const picture = $derived(drawnPicture(w.project.ask('drawScenery', $state.snapshot(wish))))
	let shown = $state<HTMLCanvasElement>()
	$effect(() => {
		if (!shown) return
		const ctx = shown.getContext('2d')!
		const { width, height } = shown
		const by = Math.max(1, Math.floor(Math.min((width - 16) / picture.width, (height - 16) / picture.height)))
		ctx.imageSmoothingEnabled = false
		ctx.clearRect(0, 0, width, height)
		const [pw, ph] = [picture.width * by, picture.height * by]
		ctx.drawImage(picture, Math.round((width - pw) / 2), Math.round((height - ph) / 2), pw, ph)
	})

	async function make() {
		busy = true
		try {
			const file = await picture.convertToBlob({ type: 'image/png' })
			const taken = await send<Taken>(`/api/projects/${w.project.id}/pictures`, new File([file], 'scenery.png'))
			const called = name.trim() || wish.what[0].toUpperCase() + wish.what.slice(1)
			const { number, picture: sha, width, height } = taken
			const done = w.project.make('addScenery', {
				number,
				picture: sha,
				width,
				height,
				size: wish.size,
				what: wish.what,
				name: called,
			})
			open = false
			w.notices.say(`${called} is a motif now, with a tileset of its own.`, 'done', w.project.undoOf(done))
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
			class="cut fixed top-1/2 left-1/2 z-50 flex max-h-[92vh] w-[min(640px,94vw)] -translate-x-1/2 -translate-y-1/2 flex-col outline-none"
			preventScroll={false}
		>
			<div class="flex flex-col gap-4 overflow-y-auto p-6">
				<div class="flex items-center gap-3">
					<Dialog.Title class="grow text-[19px] font-semibold">A house, a tree, a rock</Dialog.Title>
					<button class="button" onclick={() => wish.seed++}><Dices size={15} /> Another one</button>
				</div>
				<Dialog.Description class="text-dim"
					>It becomes a tileset, solid where one cannot pass, and a motif that puts all of it down at once; each pixel
					can be changed afterwards.</Dialog.Description
				>
				<canvas
					bind:this={shown}
					width="560"
					height="240"
					class="max-w-full self-center border border-line bg-sheet"
					aria-hidden="true"
				></canvas>
				<div class="flex flex-wrap items-center gap-1" role="group" aria-label="What it is">
					<span class="w-20 text-dim">is</span>
					{#each all as o (o)}
						<button
							class="button {wish.what === o ? 'button-main' : ''}"
							aria-pressed={wish.what === o}
							onclick={() => (wish = begun(o, wish.size))}>{sorts[o].name}</button
						>
					{/each}
				</div>
				<div class="flex flex-col gap-1">
					<ColourRow title={sort.first[0]} palette={sort.first[1]} bind:value={wish.colour} />
					<ColourRow title={sort.second[0]} palette={sort.second[1]} bind:value={wish.second} />
				</div>
				<div class="flex flex-wrap items-center gap-x-6 gap-y-2">
					{#each [['wide', 'wide'], ['tall', 'tall']] as const as [key, title] (key)}
						<label class="flex items-center gap-2"
							><span class="text-dim">{title}</span><input
								type="range"
								class="w-32 accent-glaze"
								min={least}
								max="8"
								bind:value={wish[key]}
							/><span class="w-14 tabular-nums">{wish[key]} {wish[key] === 1 ? 'cell' : 'cells'}</span></label
						>
					{/each}
				</div>
				<div class="flex flex-wrap items-end gap-3 border-t border-line pt-4">
					<label class="flex min-w-40 grow flex-col gap-0.5"
						><span class="text-dim">called</span><input
							class="field h-9"
							maxlength="76"
							placeholder={wish.what === 'house' ? 'Boat house' : wish.what === 'tree' ? 'Dune pine' : 'Tide stone'}
							bind:value={name}
						/></label
					>
					<label class="flex flex-col gap-0.5"
						><span class="text-dim">cells of</span><select class="field h-9" bind:value={wish.size}
							>{#each [16, 32] as s (s)}<option value={s}>{s} × {s} pixels</option>{/each}</select
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
