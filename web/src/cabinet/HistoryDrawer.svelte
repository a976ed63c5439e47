<script lang="ts">
	import { read } from '../live/http'
	import { workspace } from '../workspace/workspace.svelte'
	import HistoryPicture from './HistoryPicture.svelte'

	interface Event {
		seq: number
		person: string
		name: string
		kind: 'do' | 'undo' | 'redo'
		text: string
		at: string
	}

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

	const words = { do: '', undo: 'undid: ', redo: 'did again: ' }
	const when = (at: string) =>
		new Date(at).toLocaleTimeString('en', { hour: '2-digit', minute: '2-digit', hour12: false })
</script>

<div class="flex flex-col" data-testid="history">
	<p class="px-3 py-2 text-[12px] text-dim">
		A press brings everything back to how it was then, as a step of its own: nothing is taken out of the history.
	</p>
	<ol class="flex flex-col" aria-label="History, the latest first">
		{#each events as e, i (e.seq)}
			<li>
				<button
					class="flex w-full items-center gap-2 border-b border-line px-2 py-1 text-left hover:bg-well {i === 0
						? 'bg-chalk font-semibold'
						: ''}"
					disabled={busy || i === 0}
					onclick={() => void jump(e)}
				>
					<HistoryPicture seq={e.seq} />
					<span class="min-w-0 grow leading-tight">
						<span class="block truncate">{words[e.kind]}{e.text}</span>
						<span class="block truncate text-[11px] font-normal text-dim">{e.name} · {when(e.at)}</span>
					</span>
				</button>
			</li>
		{/each}
	</ol>
	{#if more && events.length >= 100}
		<button class="m-2 button" disabled={busy} onclick={() => void older()}>Show older ones</button>
	{/if}
</div>
