<script lang="ts">
	// Any of some words, each a tick.
	let {
		name,
		choices,
		value,
		mixed = false,
		set,
	}: { name: string; choices: string[]; value: string; mixed?: boolean; set: (value: string) => void } = $props()
	const chosen = $derived(mixed ? [] : value.split(', ').filter(Boolean))

	function toggle(word: string, on: boolean) {
		const next = choices.filter((c) => (c === word ? on : chosen.includes(c)))
		set(next.join(', ') || 'nothing')
	}
</script>

<div class="flex flex-wrap gap-x-2.5 gap-y-0.5" role="group" aria-label={name}>
	{#each choices as word (word)}
		<label class="flex items-center gap-1">
			<input
				type="checkbox"
				class="accent-glaze"
				checked={chosen.includes(word)}
				indeterminate={mixed}
				onchange={(e) => toggle(word, e.currentTarget.checked)}
			/>
			{word}
		</label>
	{/each}
</div>
