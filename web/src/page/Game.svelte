<script lang="ts">
	import GameFrame from '../game/GameFrame.svelte'
	import NoticeList from '../frame/NoticeList.svelte'
	import { giveWorkspace, type Workspace } from '../workspace/workspace.svelte'

	// A game alone: from its title to its end, and nothing else.
	let { w }: { w: Workspace } = $props()
	// svelte-ignore state_referenced_locally
	giveWorkspace(w)
	const title = $derived.by(() => {
		void w.project.head
		return w.project.ask('gameInfo', { language: '' }).title
	})
	/** Games of one place are told apart by their first map, which keeps its id when all else is called otherwise. */
	// svelte-ignore state_referenced_locally
	const key = w.project.head.maps[0]?.id ?? 'empty'

	$effect(() => {
		document.title = title
	})
</script>

<svelte:window onpointerdowncapture={(e) => (w.touch = e.pointerType === 'touch')} />

<main class="h-full" aria-label={title}>
	<GameFrame {key} grabs />
	<NoticeList notices={w.notices} />
</main>
