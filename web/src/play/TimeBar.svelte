<script lang="ts">
	import Ghost from '@lucide/svelte/icons/ghost'
	import Hand from '@lucide/svelte/icons/hand'
	import Footprints from '@lucide/svelte/icons/footprints'
	import Film from '@lucide/svelte/icons/film'
	import Pin from '@lucide/svelte/icons/pin'
	import Archive from '@lucide/svelte/icons/archive'
	import Redo from '@lucide/svelte/icons/redo-dot'
	import Snowflake from '@lucide/svelte/icons/snowflake'
	import SoundTick from './SoundTick.svelte'
	import Hint from '../controls/Hint.svelte'
	import { keys } from '../controls/keys.svelte'
	import { speeds } from '../workspace/play.svelte'
	import { saveMoving } from '../share/moving'
	import { workspace } from '../workspace/workspace.svelte'
	import { marks, seconds, told } from './events'

	// The time of the game: frozen, stepped, pulled back, gone on from.
	const w = workspace()
	const { play } = w
	const view = $derived(play.view)
	/** From where to where the bar goes: in a game that goes on it is moved ten times a second, since each time the browser lays it out anew. */
	const inTenths = (tick: number) => (play.frozen ? tick : tick - (tick % 6))
	const from = $derived(inTenths(view?.from ?? 0))
	const end = $derived(inTenths(view?.to ?? 0))
	const tick = $derived(play.behind ?? end)
	const roams = $derived(!!view?.roam)
	const spots = $derived(view ? marks(play.events, from, end) : [])
	const words = (speed: number) => (speed < 1 ? `1⁄${1 / speed}` : `${speed}`) + ' ×'

	const back = () => w.canvas?.focus()
	/** How much of a moving picture is drawn; null while none is. */
	let moving = $state<number | null>(null)
	let stopped = false

	async function film() {
		if (moving !== null) return void (stopped = true)
		if (!w.canvas) return
		;[moving, stopped] = [0, false]
		try {
			await saveMoving(w, w.canvas.picture(), (part) => {
				moving = part
				return !stopped
			})
		} catch (e) {
			w.notices.wrong(e)
		} finally {
			moving = null
			back()
		}
	}
	const noted = $derived(w.project.head.pins.find((p) => p.id === w.moments.noting?.id))
</script>

{#if view && noted}
	<form
		class="pointer-events-auto flex items-center gap-2 border-t-2 border-held bg-chalk px-3 py-2 text-ink"
		aria-label="Note of {noted.name}"
		onsubmit={(e) => {
			e.preventDefault()
			w.moments.noted()
		}}
	>
		<Pin size={15} />
		<span class="shrink-0 font-semibold">Pinned: {noted.name}</span>
		<input
			class="field grow"
			placeholder="A note for later, or nothing"
			aria-label="Note"
			maxlength="2000"
			{@attach (field) => field.focus()}
			onchange={(e) => w.moments.change({ type: 'pin', ...noted }, 'note', e.currentTarget.value)}
			onkeydown={(e) => e.stopPropagation()}
			onblur={() => document.hasFocus() && w.moments.noted()}
		/>
		<button class="button button-main">{w.moments.noting?.goOn ? 'Go on' : 'Done'}</button>
	</form>
{/if}

{#if view}
	<section
		class="pointer-events-auto flex min-h-12 flex-wrap items-center gap-2 border-y-2 border-held bg-chalk px-3 py-1 text-ink"
		aria-label="Time"
		data-region
		data-testid="time"
	>
		<Hint
			label={play.frozen ? (play.behind === null ? 'Go on' : 'Go on from here') : 'Freeze'}
			keys={keys.now('T')}
			class="button w-36 {play.frozen ? 'button-main' : ''}"
			onclick={() => (play.freeze(), back())}
		>
			{#if play.frozen}<Footprints size={15} />{play.behind === null ? 'Go on' : 'Go on from here'}{:else}<Snowflake
					size={15}
				/>Freeze{/if}
		</Hint>
		<Hint label="One step of 1/60 s" keys={keys.now('U')} class="button" onclick={() => play.stepOn()}>Step</Hint>
		<select
			class="field w-16"
			aria-label="How fast it goes"
			value={play.speed}
			onchange={(e) => {
				play.speed = Number(e.currentTarget.value)
				back()
			}}
		>
			{#each speeds as s (s)}<option value={s}>{words(s)}</option>{/each}
		</select>
		<div class="relative h-10 min-w-40 grow">
			<div class="pointer-events-none absolute inset-x-2 top-0 z-10">
				{#each spots as s (s.at)}
					<button
						class="group pointer-events-auto absolute top-0 flex h-6 w-3 -translate-x-1/2 justify-center"
						style:left="{s.at}%"
						tabindex="-1"
						title="{seconds(s.events[0].tick)}: {s.events.slice(0, 8).map(told).join(', ')}"
						aria-label="{seconds(s.events[0].tick)}: {s.events.slice(0, 8).map(told).join(', ')}"
						onpointerenter={() => (play.pointed = s.events[0])}
						onpointerleave={() => (play.pointed = null)}
						onclick={() => play.lookAt(s.events[0].tick)}
						><span class="mt-1 h-3.5 w-1.5 bg-cobalt group-hover:bg-held"></span></button
					>
				{/each}
			</div>
			<input
				class="absolute inset-x-0 bottom-0 w-full accent-glaze"
				type="range"
				min={from}
				max={end}
				value={tick}
				aria-label="Pull the game back"
				aria-valuetext="{seconds(end - tick)} ago"
				oninput={(e) => play.lookAt(e.currentTarget.valueAsNumber)}
			/>
		</div>
		<span class="w-24 text-right font-mono text-[12px] tabular-nums" data-testid="clock"
			>{play.behind === null ? seconds(view.tick) : `−${seconds(end - tick)}`}</span
		>
		<Hint
			label="Pin this moment, with a note"
			keys={keys.now('N')}
			class="button w-9 px-0"
			onclick={() => w.moments.pin()}><Pin size={15} /></Hint
		>
		<Hint label="Keep the game as a recording" class="button w-9 px-0" onclick={() => (w.moments.keep(), back())}
			><Archive size={15} /></Hint
		>
		<Hint
			label={moving === null ? 'Save the last seconds as a moving picture (GIF)' : 'Stop saving the moving picture'}
			class="button w-9 px-0 {moving === null ? '' : 'border-held'}"
			onclick={() => void film()}
			>{#if moving === null}<Film size={15} />{:else}<span class="font-mono text-[11px] tabular-nums"
					>{Math.round(moving * 100)}%</span
				>{/if}</Hint
		>
		<Hint
			label="The same keys again from here, on the map as it is now"
			keys={keys.now('V')}
			class="button"
			onclick={() => (play.again(), back())}><Redo size={15} />Again from here</Hint
		>
		<Hint
			label={roams ? 'Roam no more: walk as the hero does' : 'Roam: unhurt, through walls'}
			keys={keys.now('Z')}
			class="button {roams ? 'border-held text-held' : ''}"
			expanded={roams}
			onclick={() => (play.roam(), back())}><Ghost size={15} />Roam</Hint
		>
		<SoundTick done={back} />
		{#if w.layout.folded}
			<Hint label="Edit while it plays: the panels come back" class="button" onclick={() => (w.layout.folded = false)}
				><Hand size={15} />Edit</Hint
			>
		{/if}
	</section>
{/if}
