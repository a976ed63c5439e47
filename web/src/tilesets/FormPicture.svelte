<script lang="ts">
	import type { Cover } from '../core/types'
	import { partAt } from './marks'

	// A form of a material as nine small squares, with how it is filled.
	let { cover }: { cover: Cover } = $props()
	const words = { has: 'has a tile', turned: 'by turning a tile', composed: 'of quarters', lacks: 'no tile: a gap' }
</script>

<span
	class="inline-grid size-6 grid-cols-3 grid-rows-3 gap-px border p-px {cover.how === 'lacks'
		? 'border-2 border-brick'
		: cover.how === 'has'
			? 'border-sage'
			: 'border-dashed border-dim'}"
	title={words[cover.how]}
	role="img"
	aria-label="Form {cover.form}: {words[cover.how]}"
>
	{#each partAt as [x, y], i (i)}
		<span class={i === 8 || cover.form & (1 << i) ? 'bg-glaze' : ''} style:grid-column={x + 1} style:grid-row={y + 1}
		></span>
	{/each}
</span>
