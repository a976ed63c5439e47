<script lang="ts">
	// A name that is given anew where it stands: leaving it or Enter keeps what is written, Escape what was.
	let {
		name,
		label,
		class: classes = '',
		named,
		after,
	}: {
		name: string
		label: string
		class?: string
		/** Told what is written in the end, which may be what it was. */
		named: (name: string) => void
		/** Where one goes on when a key has ended it. */
		after?: () => void
	} = $props()
</script>

<!-- svelte-ignore a11y_autofocus -->
<input
	class="field {classes}"
	value={name}
	maxlength="80"
	aria-label={label}
	autofocus
	onblur={(e) => named(e.currentTarget.value)}
	onkeydown={(e) => {
		e.stopPropagation()
		if (e.key === 'Escape') e.currentTarget.value = name
		if (e.key !== 'Enter' && e.key !== 'Escape') return
		e.currentTarget.blur()
		after?.()
	}}
/>
