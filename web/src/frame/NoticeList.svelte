<script lang="ts">
	import X from '@lucide/svelte/icons/x'
	import type { Notices } from '../project/notices.svelte'

	/** They lie so many pixels above the lower edge, so that they cover nothing to press. */
	let { notices, above = 116 }: { notices: Notices; above?: number } = $props()
	$effect(() => {
		document.documentElement.toggleAttribute('data-noticed', notices.shown.length > 0)
	})
	const edge = { plain: 'bg-glaze', wrong: 'bg-brick', done: 'bg-sage' }
</script>

<div
	class="pointer-events-none fixed left-1/2 z-50 flex -translate-x-1/2 flex-col items-center gap-2"
	style:bottom="{above + 12}px"
	role="log"
	aria-live="polite"
	aria-label="Notices"
>
	{#each notices.shown as n (n.id)}
		<div class="pointer-events-auto cut max-w-[640px]" data-testid="notice" data-tone={n.tone}>
			<div class="flex min-h-9 items-center gap-3 pr-3">
				<span class="w-1 self-stretch {edge[n.tone]}"></span>
				<span class="py-1.5">{n.text}</span>
				{#if n.help}
					<button
						class="button"
						onclick={() => {
							n.help!.run()
							notices.drop(n.id)
						}}>{n.help.label}</button
					>
				{/if}
				<button class="button-plain" aria-label="Close this notice" onclick={() => notices.drop(n.id)}
					><X size={14} /></button
				>
			</div>
		</div>
	{/each}
</div>
