<script lang="ts">
	import Monitor from '@lucide/svelte/icons/monitor'
	import Smartphone from '@lucide/svelte/icons/smartphone'
	import type { Detail } from '../core/types'
	import SettingRow from '../entities/SettingRow.svelte'
	import EntityPart from '../entities/EntityPart.svelte'
	import { workspace } from '../workspace/workspace.svelte'
	import CourseList from './CourseList.svelte'
	import DayCurve from './DayCurve.svelte'
	import GameFrame from './GameFrame.svelte'
	import NamedRow from './NamedRow.svelte'
	import GameWordList from './GameWordList.svelte'
	import SoundList from './SoundList.svelte'
	import ScreenCounters from './ScreenCounters.svelte'

	// What is around the maps, set at the left, and the game itself beside it, from its title on.
	const w = workspace()
	const details = $derived.by(() => {
		void w.project.head
		return w.project.ask('gameDetails')
	})
	const groups = $derived([...new Set(details.map((d) => d.group))])
	let phone = $state(false)
	const byFlag = $derived(details.find((d) => d.key === 'goal')?.value === 'flag')
	/** What the game can be won with. */
	const winning = $derived(byFlag ? w.project.head.flags : w.project.head.kinds.filter((k) => k.counted))
	const maps = $derived(w.project.head.maps.filter((m) => !m.template))

	const set = (d: Detail, value: string | null) => w.project.try('setGame', { key: d.key, value })
	/** Settings that are written in their own way. */
	const long = ['credits', 'line', 'title']
</script>

<main class="grid min-h-0 grid-cols-[minmax(320px,380px)_minmax(0,1fr)]" aria-label="Game">
	<div class="flex min-h-0 flex-col gap-1 overflow-y-auto border-r border-line bg-plaster p-3" data-region>
		<h1 class="text-[17px] font-semibold">Game</h1>
		<p class="mb-1 text-dim">What is around the maps: it is all there by itself, and can be otherwise.</p>
		{#each groups as group (group)}
			<EntityPart title={group} open>
				{#each details.filter((d) => d.group === group) as d (d.key)}<div class="contents" data-setting={d.key}>
						{#if d.key === 'behind'}
							<NamedRow detail={d} all={maps} none="where the game begins" set={(id) => set(d, id)} />
						{:else if d.key === 'wonWith'}
							<NamedRow
								detail={d}
								all={winning}
								none={byFlag ? 'none chosen yet' : 'whatever there is'}
								set={(id) => set(d, id)}
							/>
						{:else if long.includes(d.key)}
							<label class="flex flex-col gap-0.5" title={d.help}>
								<span class="leading-tight {d.differs ? 'font-semibold' : 'text-dim'}">{d.name}</span>
								{#key d.value}
									<textarea
										class="field h-auto w-full resize-y py-1 leading-snug"
										rows={d.key === 'credits' ? 4 : 1}
										maxlength={d.key === 'title' ? 80 : 2000}
										placeholder={d.key === 'title' ? w.project.head.project.name : ''}
										onkeydown={(e) => {
											e.stopPropagation()
											if (e.key === 'Escape') e.currentTarget.value = d.value
											if (e.key === 'Escape' || (e.key === 'Enter' && d.key !== 'credits')) {
												e.preventDefault()
												e.currentTarget.blur()
											}
										}}
										onblur={(e) => e.currentTarget.value !== d.value && set(d, e.currentTarget.value || null)}
										>{d.value}</textarea
									>
								{/key}
							</label>
						{:else if d.key === 'dayDark'}
							<DayCurve detail={d} set={(value) => set(d, value)} />
						{:else}
							<SettingRow detail={d} set={(value) => set(d, value)} reset={() => set(d, null)} />
						{/if}
					</div>
				{/each}
				{#if group === 'From beginning to end'}<CourseList />{/if}
				{#if group === 'On the screen'}<ScreenCounters />{/if}
			</EntityPart>
		{/each}
		<EntityPart title="Sounds" open>
			<SoundList />
		</EntityPart>
		<EntityPart title="What the game itself says">
			<GameWordList />
		</EntityPart>
	</div>
	<div class="flex min-h-0 min-w-0 flex-col bg-well">
		<div class="flex items-center gap-2 border-b border-line px-3 py-1.5">
			<b>As it is played</b>
			<span class="min-w-0 grow truncate text-dim">Press in it, and its keys are the player’s.</span>
			<div class="flex" role="group" aria-label="Size of the screen">
				<button class="button {phone ? '' : 'button-main'}" aria-pressed={!phone} onclick={() => (phone = false)}
					><Monitor size={15} /> Screen</button
				>
				<button class="button {phone ? 'button-main' : ''}" aria-pressed={phone} onclick={() => (phone = true)}
					><Smartphone size={15} /> Phone</button
				>
			</div>
		</div>
		<div class="flex min-h-0 grow items-center justify-center p-3">
			<div
				class="min-h-0 min-w-0 border border-line {phone
					? 'h-full max-h-[700px] w-[340px]'
					: 'aspect-[4/3] max-h-full w-full'}"
			>
				{#key phone}<GameFrame key={w.project.id} />{/key}
			</div>
		</div>
	</div>
</main>
