<script lang="ts">
	import CircleHelp from '@lucide/svelte/icons/circle-question-mark'
	import FlagOff from '@lucide/svelte/icons/flag-off'
	import FlagTriangleRight from '@lucide/svelte/icons/flag-triangle-right'
	import LoaderCircle from '@lucide/svelte/icons/loader-circle'
	import type { CourseMark } from '../core/types'
	import { counted } from '../project/counted'
	import { workspace } from '../workspace/workspace.svelte'
	import Frontier from './Frontier.svelte'
	import { showRule } from './goTo'
	import { happening, sentence, toldOf } from './told'

	// Whether the game can be finished, with the walk, what is missing, and where one is stuck for good.
	const w = workspace()
	const { checking } = w.proving
	const s = $derived(checking.study)
	const beginnings = $derived((void w.project.turn, w.project.ask('studiedFrom', {})))
	const happens = $derived(s?.walk.filter(happening) ?? [])
	let all = $state(false)
	const time = (seconds: number) => `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`
	const mapName = (id: string) => w.project.map(id)?.name ?? ''

	function onMap(c: { map: string; x: number; y: number }) {
		checking.walk = true
		checking.later(0)
		w.show(c.map)
		w.open('map')
		w.goToCell(c.x, c.y)
	}

	function watch(args: { from?: string; trap?: number }) {
		w.open('map')
		w.playing.showWalk({ from: checking.from, ...args })
	}

	async function keep() {
		const walk = await w.proving.walk({ from: checking.from })
		const made = walk && w.project.try('keepWalk', walk)
		if (made)
			w.notices.say(
				'The walk is kept as a recording: it is played through again after every change.',
				'done',
				w.project.undoOf(made),
			)
	}

	/** What is to be done first, where there is nothing to look for yet. */
	const next = $derived.by(() => {
		if (!w.project.head.maps.length) return { name: 'Make a map', run: () => w.open('map') }
		const kind = s?.wants || 'goal'
		if (kind === 'game') return { name: 'Say what wins it', run: () => w.open('game') }
		return { name: `Hold a ${kind}`, run: () => w.holdOnMap({ what: 'entity', kind }) }
	})

	const cell = (c: CourseMark) => {
		const b = w.project.map(c.map)?.bounds
		return { map: c.map, x: c.x - (b?.x ?? 0), y: c.y - (b?.y ?? 0) }
	}
</script>

<section class="cut" aria-labelledby="can-it">
	<div class="flex flex-col gap-3 p-5">
		<h2 id="can-it" class="heading">Can it be finished?</h2>
		{#if beginnings.length > 1}
			<label class="flex items-center gap-2">
				<span class="text-dim">Beginning</span>
				<select
					class="field min-w-0 grow"
					value={checking.from}
					onchange={(e) => checking.begin(e.currentTarget.value)}
				>
					{#each beginnings as b (b.id)}<option value={b.id}>{b.name}</option>{/each}
				</select>
			</label>
		{/if}
		<div data-testid="answer" role="status">
			{#if !s?.is || (s.is === 'open' && !s.done)}
				<p class="flex items-center gap-2 text-[17px] text-dim">
					<LoaderCircle size={18} class="animate-spin" /> Looking for a walk…
				</p>
				{#if s?.tried}<p class="pt-1 text-dim">{counted(s.tried, 'situation')} so far.</p>{/if}
			{:else if s.is === 'can'}
				<p class="flex items-start gap-2 text-[19px] leading-tight font-semibold text-sage">
					<FlagTriangleRight size={20} class="mt-0.5 shrink-0" />
					Yes{s.lucky ? ', with luck' : ''}: in {s.fewest ? '' : 'at most '}{counted(s.steps, 'step')}
				</p>
				<p class="pt-1 text-dim">
					{s.fewest ? 'There is no shorter walk.' : 'This walk was found and played; there may be a shorter one.'}
					{s.jumps.length ? `It jumps ${counted(s.jumps.length, 'time')}.` : ''}
					{s.moves && s.moves !== s.steps ? `It makes ${counted(s.moves, 'move')}.` : ''} It takes {time(s.seconds)} to play.
				</p>
			{:else if s.is === 'cannot'}
				<p class="flex items-start gap-2 text-[19px] leading-tight font-semibold text-brick">
					<FlagOff size={20} class="mt-0.5 shrink-0" /> No, it cannot be finished
				</p>
			{:else if s.is === 'nothing'}
				<p class="text-[17px]">{sentence(s.why)}</p>
				<p class="pt-1 text-dim">
					Put down a spawn and what finishes the game, and how to come from one to the other is looked for at once. What
					finishes it is chosen under Game.
				</p>
				<button class="mt-2 button button-main" onclick={next.run}>{next.name}</button>
			{:else}
				<p class="flex items-start gap-2 text-[19px] leading-tight font-semibold">
					<CircleHelp size={20} class="mt-0.5 shrink-0" /> Not decided
				</p>
				<p class="pt-1">{sentence(s.why)}</p>
				<p class="pt-1 text-dim">
					Nothing shows that it is impossible, and {counted(s.tried, 'situation')} led to no goal. Play it once and keep the
					recording, or make it simpler: fewer things that move by themselves, smaller maps.
				</p>
			{/if}
		</div>
		{#if s?.is === 'can'}
			<div class="flex flex-wrap gap-2">
				<button class="button button-main" onclick={() => watch({ trap: 0 })}>Watch the walk</button>
				<button class="button" disabled={!s.walk.length} onclick={() => onMap(cell(s.walk[0]))}
					>Show it on the map</button
				>
				<button class="button" onclick={keep}>Keep as a recording</button>
			</div>
			{#if s.jumps.length}
				<ul class="flex flex-col gap-1" aria-label="Jumps that leave the least time" data-testid="jumps">
					{#each s.jumps.slice(0, s.jumps[0].tight ? 3 : 1) as j, i (i)}
						<li class="border-l-2 {j.tight ? 'border-brick' : 'border-line'} pl-2">
							<button class="text-left hover:underline" onclick={() => onMap(j)}>{j.text}</button>
						</li>
					{/each}
				</ul>
			{/if}
			{#if happens.length}
				<ol class="flex flex-col" aria-label="What happens on the walk" data-testid="course">
					{#each all ? happens : happens.slice(0, 8) as c, i (i)}
						<li>
							<button
								class="flex w-full items-baseline gap-2 px-1 py-0.5 text-left hover:bg-well"
								onclick={() => onMap(cell(c))}
							>
								<span class="w-5 shrink-0 text-right font-mono text-[12px] text-sage">{i + 1}</span>
								<span class="grow">{toldOf(c)}</span>
								<span class="shrink-0 text-[12px] text-dim">{mapName(c.map)} {time(Math.floor(c.tick / 60))}</span>
							</button>
						</li>
					{/each}
				</ol>
				{#if happens.length > 8}
					<button class="self-start text-glaze hover:underline" onclick={() => (all = !all)}
						>{all ? 'Show fewer' : `Show all ${happens.length}`}</button
					>
				{/if}
			{/if}
		{/if}
		{#if s?.missing.length}
			<ul class="flex flex-col gap-1" aria-label="What stands in the way" data-testid="missing">
				{#each s.missing as m, i (i)}
					<li class="border-l-2 border-brick pl-2">
						{#if m.entity}<button
								class="text-left hover:underline"
								onclick={() => (w.open('map'), w.goTo(m.map, m.entity))}>{sentence(m.text)}</button
							>
						{:else if m.rule}
							<button class="text-left hover:underline" onclick={() => showRule(w, m.rule)}>{sentence(m.text)}</button>
						{:else if m.at}
							<button class="text-left hover:underline" onclick={() => onMap({ map: m.map, ...m.at! })}
								>{sentence(m.text)}</button
							>
						{:else}{sentence(m.text)}{/if}
					</li>
				{/each}
			</ul>
			{#if s.missing.length > 1}<p class="text-dim">
					{s.together
						? 'Only if all of these were otherwise it could be finished; none of them can be left out.'
						: 'Were any of these otherwise, it could be finished.'}
				</p>{/if}
		{/if}
		{#if s && (s.is === 'cannot' || s.is === 'open')}
			<Frontier />
		{/if}
		{#if s && s.is === 'can'}
			<div class="flex flex-col gap-1 border-t border-line pt-3" data-testid="traps">
				<h3 class="font-semibold">Stuck for good</h3>
				{#each s.traps as t, i (i)}
					<div class="flex items-start gap-2 border-l-2 {t.sure ? 'border-brick' : 'border-line'} pl-2">
						<button class="grow text-left hover:underline" onclick={() => ((checking.trap = i), onMap(t))}
							>{t.text}</button
						>
						<button class="button shrink-0" onclick={() => watch({ trap: i + 1 })}>Watch</button>
					</div>
				{:else}
					<p class="text-dim">
						{s.all
							? 'Every situation was gone through: one can always go on.'
							: s.done
								? `None was found among ${counted(s.tried, 'situation')}. There may be others.`
								: `Looking… ${counted(s.tried, 'situation')} so far.`}
					</p>
				{/each}
				{#if s.traps.length && !s.done}<p class="text-dim">Looking for more…</p>{/if}
			</div>
		{/if}
	</div>
</section>
