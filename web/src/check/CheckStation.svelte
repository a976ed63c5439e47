<script lang="ts">
	import { untrack } from 'svelte'
	import { workspace } from '../workspace/workspace.svelte'
	import Answer from './Answer.svelte'
	import Expectations from './Expectations.svelte'
	import Findings from './Findings.svelte'
	import Par from './Par.svelte'

	// Can it be finished, in how few steps, where does one get stuck, and what is wrong.
	const w = workspace()
	$effect(() => w.proving.checking.look())
	// recordings are played through again, and those that go otherwise are told
	$effect(() => {
		void [w.project.turn, w.project.head.recordings]
		return untrack(() => w.moments.follow())
	})
	$effect(() => {
		void w.moments.follows
		untrack(() => w.proving.checking.again())
	})
</script>

<main class="min-h-0 overflow-y-auto" aria-label="Check">
	<div class="mx-auto grid max-w-[1320px] grid-cols-[minmax(340px,400px)_minmax(0,1fr)] items-start gap-6 p-5">
		<div class="flex flex-col gap-5">
			<Answer />
			<Expectations />
			<Par />
		</div>
		<Findings />
	</div>
</main>
