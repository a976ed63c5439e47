<script lang="ts">
	import Star from '@lucide/svelte/icons/star'

	let { n, says, size = 18 }: { n: number; says: string; size?: number } = $props()
</script>

<span class="flex text-saffron" role="img" aria-label={says} title={says}>
	{#each [1, 2, 3] as i (i)}<Star {size} fill={i <= n ? 'currentColor' : 'none'} aria-hidden="true" />{/each}
</span>
