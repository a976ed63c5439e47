<script lang="ts">
	import MessageFit from './MessageFit.svelte'

	// Text that players read, written beside the real message box: what does not
	// fit on a page is told at once, and can be broken where the pages end.
	let { value, mixed = false, change }: { value: string; mixed?: boolean; change: (text: string) => void } = $props()
	let writing = $state('')
	let focused = $state(false)
	const text = $derived(focused ? writing : value)

	function breakTo(broken: string) {
		writing = broken
		change(writing)
	}

	function leave() {
		focused = false
		if (writing.trim() !== value) change(writing.trim())
	}
</script>

<div class="flex min-w-0 grow flex-col gap-1.5">
	<textarea
		class="field h-16 w-full resize-y py-1"
		aria-label="says"
		maxlength="500"
		placeholder={mixed ? 'differs' : 'What the player reads'}
		value={text}
		onfocus={() => ([writing, focused] = [value, true])}
		oninput={(e) => (writing = e.currentTarget.value)}
		onblur={leave}
		onkeydown={(e) => {
			e.stopPropagation()
			if (e.key === 'Escape') {
				writing = value
				e.currentTarget.blur()
			}
		}}></textarea>
	<MessageFit {text} change={breakTo} />
</div>
