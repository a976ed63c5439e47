<script lang="ts">
	import Context from '../controls/Context.svelte'
	import { roving } from '../controls/roving'
	import { read } from '../live/http'
	import { workspace } from '../workspace/workspace.svelte'
	import { nameVersion } from '../versions/named'
	import { whenOf } from '../versions/when'
	import HistoryPicture from './HistoryPicture.svelte'

	interface Event {
		seq: number
		person: string
		name: string
		kind: 'do' | 'undo' | 'redo'
		text: string
		at: string
	}

	/** Milliseconds after which the same is done anew rather than again. */
	const pause = 10 * 60_000

	// What was done, the latest first; one can jump to any of it.
	const w = workspace()
	let events = $state.raw<Event[]>([])
	let more = $state(true)
	let busy = $state(false)

	const fetchBefore = (seq: number) => read<Event[]>(`/api/projects/${w.project.id}/events/${seq}`)

	// what is new comes on top while the list is open
	$effect(() => {
		void [w.project.waiting, w.project.turn]
		if (w.project.waiting) return
		const timer = setTimeout(() => {
			fetchBefore(w.project.seq + 1)
				.then((fresh) => {
					const last = fresh[fresh.length - 1]?.seq ?? 0
					events = [...fresh, ...events.filter((e) => e.seq < last)]
					if (fresh.length < 100) more = events.length > fresh.length
				})
				.catch(() => {}) // the server is away; the list stays as it is
		}, 150)
		return () => clearTimeout(timer)
	})

	/** Lines that were unfolded, by the number of the last of their edits. */
	let unfolded = $state.raw(new Set<number>())

	/** What one person did again and again is one line, which leads back to the last of it until it is unfolded. */
	const lines = $derived.by(() => {
		const out: { last: Event; times: number; of: number }[] = []
		for (const e of events) {
			const line = out.at(-1)
			const again =
				line &&
				line.last.text === e.text &&
				line.last.kind === e.kind &&
				line.last.person === e.person &&
				Date.parse(line.last.at) - Date.parse(e.at) < pause
			if (again && !unfolded.has(line.of)) line.times++
			else out.push({ last: e, times: 1, of: again ? line.of : e.seq })
		}
		return out
	})

	async function older() {
		busy = true
		try {
			const found = await fetchBefore(events[events.length - 1]?.seq ?? 1)
			events = [...events, ...found]
			more = found.length === 100
		} catch (e) {
			w.notices.wrong(e)
		}
		busy = false
	}

	async function jump(e: Event) {
		busy = true
		await w.project.jump(e.seq, `Back to “${e.text}”`.slice(0, 190))
		busy = false
	}

	/** Makes a version of a step, called as it is until it is named. */
	async function name(e: Event) {
		try {
			await nameVersion(w.project, e.text.slice(0, 80) || 'A step', e.seq)
			const help = { label: 'See versions', run: () => w.open('versions') }
			w.notices.say(`“${e.text}” is a version now, to be named and compared.`, 'done', help)
		} catch (wrong) {
			w.notices.wrong(wrong)
		}
	}

	const menu = (e: Event, last: boolean) => [
		...(last ? [] : [{ label: 'Back to this', run: () => void jump(e) }]),
		{ label: 'Make a version of it', run: () => void name(e) },
	]

	const words = { do: '', undo: 'undid: ', redo: 'did again: ' }
</script>

<div class="flex flex-col" data-testid="history">
	<p class="px-3 py-2 text-[12px] text-dim">
		A press brings everything back to how it was then, as a step of its own: nothing is taken out of the history.
	</p>
	<ol class="flex flex-col" aria-label="History, the latest first" {@attach roving}>
		{#each lines as { last: e, times, of }, i (e.seq)}
			<li class="relative">
				<Context choices={() => menu(e, i === 0)}>
					<button
						class="flex w-full items-center gap-2 border-b border-line px-2 py-1 text-left hover:bg-well {i === 0
							? 'bg-chalk font-semibold'
							: ''}"
						disabled={busy || i === 0}
						onclick={() => void jump(e)}
					>
						<HistoryPicture seq={e.seq} />
						<span class="min-w-0 grow leading-tight">
							<span class="block truncate {times > 1 ? 'pr-16' : ''}">{words[e.kind]}{e.text}</span>
							<span class="block truncate text-[11px] font-normal text-dim">{e.name} · {whenOf(e.at)}</span>
						</span>
					</button>
				</Context>
				{#if times > 1}
					<button
						class="absolute top-1 right-2 min-h-6 text-[12px] text-glaze underline"
						aria-label="Show each of {times} times {e.text}"
						onclick={() => (unfolded = new Set([...unfolded, of]))}>{times} times</button
					>
				{/if}
			</li>
		{/each}
	</ol>
	{#if more && events.length >= 100}
		<button class="m-2 button" disabled={busy} onclick={() => void older()}>Show older ones</button>
	{/if}
</div>
