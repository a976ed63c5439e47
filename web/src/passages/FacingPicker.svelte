<script lang="ts">
	import ArrowDown from '@lucide/svelte/icons/arrow-down'
	import ArrowLeft from '@lucide/svelte/icons/arrow-left'
	import ArrowRight from '@lucide/svelte/icons/arrow-right'
	import ArrowUp from '@lucide/svelte/icons/arrow-up'
	import { ToggleGroup } from 'bits-ui'
	import type { Facing } from '../core/types'

	let { value, change }: { value: Facing | undefined; change: (f: Facing) => void } = $props()
	const ways = [
		{ id: 'up', icon: ArrowUp },
		{ id: 'right', icon: ArrowRight },
		{ id: 'down', icon: ArrowDown },
		{ id: 'left', icon: ArrowLeft },
	] as const
</script>

<div class="flex items-center gap-2">
	<span class="text-dim">Looks</span>
	<ToggleGroup.Root
		type="single"
		bind:value={() => value ?? '', (f) => f && change(f as Facing)}
		class="flex border border-line"
		aria-label="Facing"
	>
		{#each ways as way (way.id)}
			<ToggleGroup.Item
				value={way.id}
				aria-label={way.id}
				class="flex size-7 items-center justify-center text-dim hover:bg-well data-[state=on]:bg-glaze data-[state=on]:text-on-glaze"
			>
				<way.icon size={15} />
			</ToggleGroup.Item>
		{/each}
	</ToggleGroup.Root>
	<span>{value ?? 'differs'}</span>
</div>
