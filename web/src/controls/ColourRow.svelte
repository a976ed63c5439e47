<script lang="ts">
	// Colours to choose of, and any other.
	let { title, palette, value = $bindable() }: { title: string; palette: readonly string[]; value: string } = $props()
</script>

<div class="flex items-center gap-1" role="group" aria-label="Colour of {title}">
	<span class="w-20 text-dim">{title}</span>
	{#each palette as c (c)}
		<button
			class="size-7 border-2 {value === c ? 'border-ink' : 'border-transparent'}"
			style:background={c}
			aria-label="{title} {c}"
			aria-pressed={value === c}
			onclick={() => (value = c)}
		></button>
	{/each}
	<input
		type="color"
		class="h-7 w-10"
		aria-label="Any colour for {title}"
		{value}
		oninput={(e) => (value = e.currentTarget.value)}
	/>
</div>
