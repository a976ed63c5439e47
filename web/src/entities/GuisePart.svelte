<script lang="ts">
	import Trash2 from '@lucide/svelte/icons/trash-2'
	import Hint from '../controls/Hint.svelte'
	import type { Guise } from '../core/types'
	import GripPicture from '../hand/GripPicture.svelte'
	import { workspace } from '../workspace/workspace.svelte'

	// The guises of an entity, or of all of a kind, as a small diagram: pictures one below the other, joined by arrows that carry
	// what they ask. Each arrow is a rule, and is changed as one. Those that an entity has of its kind are changed at the kind.
	let {
		at,
		kind,
		look,
		own,
		shared = [],
	}: {
		at: { map: string; entity: string; kind: string }
		kind: string
		look: number
		own: Guise[]
		shared?: Guise[]
	} = $props()
	const w = workspace()
	/** How high a guise is shown, and how broad the arrows beside it are, in pixels. */
	const row = 78
	const lane = 44

	const guises = $derived<Guise[]>([{ number: 0, name: 'as it is now', look }, ...own, ...shared])
	const ways = $derived.by(() => {
		void w.project.turn
		return w.project.ask('guiseWays', at)
	})
	const held = $derived(
		w.hand.lately.flatMap((s) => (s.grip.what === 'tiles' && s.grip.cells?.length === 1 ? [s.grip.cells[0]] : []))[0],
	)
	const picture = (cell: number) => ({ what: 'tiles' as const, cells: [cell], width: 1, shape: 'freehand' as const })
	const called = (n: number) => guises.find((g) => g.number === n)?.name ?? 'a guise that was removed'
	const place = (n: number) => guises.findIndex((g) => g.number === n)
	/** The guise of the running game. */
	const now = $derived(w.play.view?.guises.find((g) => g.map === at.map && g.id === at.entity)?.number)

	function change(guise: Guise, to: Partial<Guise>) {
		w.project.try('changeGuise', { ...at, guise: { ...guise, ...to } })
	}

	/** The arrow from one guise to another: out on one side of each, and the farther it goes the farther out. */
	function arrow(from: number, to: number): string {
		const down = to > from
		const [a, b] = [from * row + row / 2 + (down ? 8 : -8), to * row + row / 2 + (down ? -8 : 8)]
		const out = Math.min(lane - 6, 12 + 9 * Math.abs(to - from))
		return `M2 ${a} C ${out} ${a}, ${out} ${b}, 4 ${b}`
	}

	function open(rule: string) {
		w.rule = rule
		if (at.kind) w.open('rules')
		else w.layout.show('rules')
	}

	let from = $state(0)
	let to = $state(0)
	const target = $derived(
		guises.some((g) => g.number === to) && to !== from ? to : guises.find((g) => g.number !== from)?.number,
	)

	function join() {
		if (target === undefined) return
		const made = w.project.try('addGuiseWay', { ...at, from, to: target })
		if (made?.made) open(made.made)
	}
</script>

<div class="flex" data-testid="guises">
	<ol class="min-w-0 grow" aria-label="Guises">
		{#each guises as g (g.number)}
			<li
				class="flex h-[78px] flex-col justify-center gap-1 border border-b-0 px-1 last:border-b {now === g.number
					? 'border-held bg-chalk outline-2 -outline-offset-2 outline-held'
					: 'border-line'}"
			>
				<div class="flex items-center gap-1">
					<span class="flex size-7 shrink-0 items-center justify-center border border-line">
						{#if g.look}<GripPicture grip={picture(g.look)} size={24} />{:else}<GripPicture
								grip={{ what: 'entity', kind, shape: 'freehand' }}
								size={22}
							/>{/if}
					</span>
					{#if g.number === 0}
						<span class="min-w-0 grow truncate">as it is now</span>
					{:else if !own.includes(g)}
						<span class="min-w-0 grow truncate font-semibold">{g.name}</span>
					{:else}
						<input
							class="field h-7 min-w-0 grow font-semibold"
							aria-label="Name of the guise"
							maxlength="80"
							value={g.name}
							onchange={(e) => change(g, { name: e.currentTarget.value })}
						/>
						<Hint
							label="Remove the guise {g.name}"
							class="button-plain hover:text-brick"
							onclick={() => w.project.try('removeGuise', { ...at, from: g.number, to: 0 })}><Trash2 size={14} /></Hint
						>
					{/if}
				</div>
				{#if g.number !== 0 && !own.includes(g)}
					<button
						class="truncate text-left text-[12px] text-dim underline"
						onclick={() => {
							w.kindId = kind
							w.open('kinds')
						}}>of all {w.project.kind(kind)?.name}{g.says ? `: “${g.says}”` : ''}</button
					>
				{:else if g.number !== 0}
					<div class="flex items-center gap-1">
						<input
							class="field h-7 min-w-0 grow"
							aria-label="What {g.name} says"
							placeholder="says the same"
							value={g.says ?? ''}
							onchange={(e) => change(g, { says: e.currentTarget.value })}
						/>
						{#if held !== undefined && held !== g.look}
							<button
								class="button h-7 shrink-0 px-1"
								title="{g.name} looks like the tile held last"
								aria-label="{g.name} looks like the tile held last"
								onclick={() => change(g, { look: held })}><GripPicture grip={picture(held)} size={18} /></button
							>
						{/if}
					</div>
				{/if}
			</li>
		{/each}
	</ol>
	{#if ways.length}
		<svg class="shrink-0 text-cobalt" width={lane} height={guises.length * row} aria-hidden="true">
			<defs>
				<marker
					id="guise-tip"
					viewBox="0 0 8 8"
					refX="6"
					refY="4"
					markerWidth="7"
					markerHeight="7"
					orient="auto-start-reverse"
				>
					<path d="M0 0 L8 4 L0 8 Z" fill="currentColor" />
				</marker>
			</defs>
			{#each ways as way (way.rule + way.from)}
				{#if place(way.from) >= 0 && place(way.to) >= 0}
					<path
						d={arrow(place(way.from), place(way.to))}
						fill="none"
						stroke="currentColor"
						stroke-width="2"
						marker-end="url(#guise-tip)"
					/>
				{/if}
			{/each}
		</svg>
	{/if}
</div>
{#if ways.length}
	<ul class="flex flex-col gap-1" aria-label="Ways between the guises">
		{#each ways as way (way.rule + way.from)}
			<li>
				<button class="w-full border-l-2 border-cobalt pl-2 text-left hover:bg-chalk" onclick={() => open(way.rule)}>
					<b>{called(way.from)} → {called(way.to)}</b>
					{way.if?.length ? `if ${way.if.join(' and ')}` : 'at once'}{way.does ? ', and does more' : ''}
				</button>
			</li>
		{/each}
	</ul>
{/if}
<div class="flex flex-col gap-1">
	<button class="button h-7 self-start" onclick={() => w.project.try('addGuise', at)}>Add a guise</button>
	{#if guises.length > 1}
		<span class="flex items-center gap-1" role="group" aria-label="Join two guises">
			<select class="field h-7 w-0 min-w-0 grow truncate pr-5 pl-1" aria-label="The way leads from" bind:value={from}>
				{#each guises as g (g.number)}<option value={g.number}>{g.name}</option>{/each}
			</select>
			→
			<select
				class="field h-7 w-0 min-w-0 grow truncate pr-5 pl-1"
				aria-label="The way leads to"
				value={target}
				onchange={(e) => (to = Number(e.currentTarget.value))}
			>
				{#each guises.filter((g) => g.number !== from) as g (g.number)}<option value={g.number}>{g.name}</option>{/each}
			</select>
			<button class="button h-7 shrink-0" onclick={join}>Join</button>
		</span>
	{:else}
		<span class="text-[12px] text-dim">another way it looks, and what it says then, once something is so</span>
	{/if}
</div>
