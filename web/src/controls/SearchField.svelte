<script lang="ts">
	import Search from '@lucide/svelte/icons/search'

	// A field that narrows a list as one types; Escape empties it.
	let {
		value = $bindable(''),
		label,
		class: classes = '',
	}: { value?: string; label: string; class?: string } = $props()
</script>

<label class="flex field items-center gap-2 focus-within:border-glaze {classes}">
	<Search size={14} class="shrink-0 text-dim" />
	<input
		class="w-full min-w-0 bg-transparent outline-none placeholder:text-dim"
		type="search"
		placeholder={label}
		aria-label={label}
		bind:value
		onkeydown={(e) => {
			if (e.key !== 'Escape' || !value) return
			e.stopPropagation()
			value = ''
		}}
	/>
</label>
