<script lang="ts">
	// Whether a map is seen from above or from the side.
	let { seen = $bindable(), wide = false }: { seen: string; wide?: boolean } = $props()
	const ways = [
		{ id: 'above', text: 'From above' },
		{ id: 'side', text: 'From the side' },
	]
</script>

<div class="flex {wide ? 'w-full' : ''}" role="radiogroup" aria-label="Seen">
	{#each ways as o (o.id)}
		<button
			type="button"
			class="button rounded-none {wide ? 'min-w-0 grow px-1' : ''} {seen === o.id ? 'bg-well font-semibold' : ''}"
			role="radio"
			aria-checked={seen === o.id}
			onclick={() => (seen = o.id)}>{o.text}</button
		>
	{/each}
</div>
