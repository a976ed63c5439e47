<script lang="ts">
	import { Command, Dialog } from 'bits-ui'
	import GripPicture from '../hand/GripPicture.svelte'
	import { holdAction } from './actions/hand'
	import { keys } from '../controls/keys.svelte'
	import { workspace } from '../workspace/workspace.svelte'
	import { actions } from './actions'
	import { type Found, settings } from './settings'

	// One search over everything: what can be done and held, maps, tilesets, entities, rules.
	const w = workspace()
	const most = 60
	let query = $state('')

	const all = $derived.by(() => {
		if (!w.finderOpen) return []
		const out: Found[] = actions(w)
			.filter((a) => (a.when?.() ?? true) && a.name !== 'Search everything')
			.map((a) => ({ name: a.name, group: a.group, keys: a.keys && keys.now(a.keys[0]), run: a.run, shows: a.shows }))
		for (const t of w.project.head.tilesets) {
			out.push({
				name: `Tiles of ${t.name}`,
				group: 'Go to',
				run: () => ((w.tilesetId = t.id), w.layout.show('tiles')),
			})
		}
		if (!w.play.on) out.push(...settings(w))
		for (const m of w.project.head.maps) {
			for (const e of w.project.entities(m.id))
				out.push({ name: `${e.name} on ${m.name}`, group: 'Entities', run: () => w.goTo(m.id, e.id) })
		}
		for (const r of w.project.head.rules) {
			const text = r.sentence
				.map((s) => s.text)
				.join(' ')
				.replaceAll(' ,', ',')
			out.push({ name: text, group: 'Rules', run: () => ((w.rule = r.id), w.layout.show('rules')) })
		}
		return out
	})

	/** Each word has to be found; the shortest names come first, and never more than can be read. */
	const found = $derived.by(() => {
		const cell = /^(\d+)\s*[,; x]\s*(\d+)$/.exec(query.trim())
		if (cell) {
			const [x, y] = [Number(cell[1]), Number(cell[2])]
			return [{ name: `Go to cell ${x}, ${y}`, group: 'Go to', run: () => w.goToCell(x, y) } as Found]
		}
		const words = query.toLowerCase().split(/\s+/).filter(Boolean)
		const hits = all.filter((f) =>
			words.every((word) => `${f.group} ${f.name} ${f.says ?? ''} ${f.also ?? ''}`.toLowerCase().includes(word)),
		)
		if (!words.length) return hits.slice(0, most)
		hits.sort((a, b) => rank(a, words[0]) - rank(b, words[0]) || a.name.length - b.name.length)
		return [...hits.slice(0, most), ...tiles(words)]
	})

	/** Tiles come last, and few of them unless tiles are asked for: there are a great many. */
	function tiles(words: string[]): Found[] {
		const wanted = words.filter((word) => !'hold:'.startsWith(word))
		if (!w.map || !wanted.length) return []
		const some = wanted.some((word) => 'tiles'.startsWith(word)) ? 30 : 6
		return w.project
			.ask('findTiles', { words: wanted })
			.slice(0, some)
			.map((t) => ({ ...holdAction(w, t.name, { what: 'tiles', cells: [t.cell], width: 1 }), keys: undefined }))
	}

	const rank = (f: Found, word: string) => (f.name.toLowerCase().startsWith(word) ? 0 : 1)

	function run(f: Found) {
		w.finderOpen = false
		query = ''
		// after the dialog has given back the focus
		setTimeout(() => {
			if (w.station === 'map') w.canvas?.focus()
			f.run()
		})
	}
</script>

<Dialog.Root bind:open={w.finderOpen} onOpenChange={() => (query = '')}>
	<Dialog.Portal>
		<Dialog.Overlay class="fixed inset-0 z-40 bg-[#0b1011]/55" />
		<Dialog.Content
			class="cut fixed top-24 left-1/2 z-50 w-[min(620px,92vw)] -translate-x-1/2 outline-none"
			preventScroll={false}
			onCloseAutoFocus={(e) => {
				e.preventDefault()
				w.canvas?.focus()
			}}
		>
			<Dialog.Title class="sr-only">Search everything</Dialog.Title>
			<Dialog.Description class="sr-only"
				>Type to find an action, a map, a setting, a tileset, an entity or a rule.</Dialog.Description
			>
			<Command.Root shouldFilter={false} label="Search everything">
				<Command.Input
					class="h-12 w-full bg-transparent px-4 text-[16px] outline-none placeholder:text-dim"
					placeholder="What do you want to do, or find?"
					aria-controls="found"
					bind:value={query}
				/>
				<Command.List
					class="max-h-[400px] overflow-y-auto border-t border-line p-1"
					id="found"
					tabindex={0}
					aria-label="Found"
				>
					{#each found as f, i (i + f.name)}
						<Command.Item
							value="{i} {f.name}"
							class="flex min-h-8 items-center gap-3 px-3 data-[selected]:bg-glaze data-[selected]:text-on-glaze"
							onSelect={() => run(f)}
						>
							<span class="w-16 shrink-0 text-[12px] opacity-80">{f.group}</span>
							{#if f.shows}<GripPicture grip={f.shows} size={22} />{/if}
							<span class="min-w-0 grow truncate"
								>{f.name}{#if f.says}<span class="pl-2 text-[12px] opacity-80">{f.says}</span>{/if}</span
							>
							{#if f.keys}<span class="key">{f.keys}</span>{/if}
						</Command.Item>
					{:else}
						<p class="px-3 py-4 text-dim">
							Nothing is called that. Try the name of a map, an entity, a shape, a setting or an action.
						</p>
					{/each}
				</Command.List>
			</Command.Root>
		</Dialog.Content>
	</Dialog.Portal>
</Dialog.Root>
