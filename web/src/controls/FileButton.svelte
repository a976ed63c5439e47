<script lang="ts">
	// A button that has a file chosen.
	let {
		says,
		label,
		accept,
		class: looks = 'button',
		disabled = false,
		chosen,
	}: {
		says: string
		/** What the file is. */
		label: string
		accept: string
		class?: string
		disabled?: boolean
		chosen: (file: File) => void
	} = $props()
	let chooser: HTMLInputElement
</script>

<button type="button" class={looks} {disabled} onclick={() => chooser.click()}>{says}</button>
<input
	bind:this={chooser}
	type="file"
	class="hidden"
	{accept}
	aria-label={label}
	onchange={(e) => {
		const file = e.currentTarget.files?.[0]
		if (file) chosen(file)
		e.currentTarget.value = '' // the same one can be chosen again
	}}
/>
