<script lang="ts">
	import type { Intake } from './intake.svelte'

	// A part of the picture, and another size, before it is cut.
	let { intake }: { intake: Intake } = $props()
	const t = $derived(intake.taken!)
	let crop = $state({ x: 0, y: 0, w: 0, h: 0 })
	const part = $derived({ x: crop.x, y: crop.y, w: crop.w || t.width - crop.x, h: crop.h || t.height - crop.y })
	const cropped = $derived(part.x > 0 || part.y > 0 || part.w !== t.width || part.h !== t.height)
	const whole = (e: { currentTarget: HTMLInputElement }) => Math.max(0, Math.trunc(e.currentTarget.valueAsNumber) || 0)
	let size = $state('')

	function scale(by: number) {
		void intake.reshape({ x: 0, y: 0, w: t.width, h: t.height }, Math.round(t.width * by), Math.round(t.height * by))
	}

	function sized() {
		const found = /^(\d+)\s*[x×* ]\s*(\d+)$/.exec(size.trim())
		if (found) void intake.reshape({ x: 0, y: 0, w: t.width, h: t.height }, Number(found[1]), Number(found[2]))
	}
</script>

<details>
	<summary class="cursor-pointer heading">Crop or scale the picture ({t.width} × {t.height})</summary>
	<div class="flex flex-col gap-2 pt-2">
		<div class="grid grid-cols-4 gap-1">
			{#each [['x', 'left'], ['y', 'top'], ['w', 'width'], ['h', 'height']] as const as [key, label] (key)}
				<label class="flex flex-col text-[12px] text-dim"
					>{label}
					<input
						class="field w-full font-mono"
						type="number"
						min="0"
						aria-label="Crop: {label}"
						value={part[key]}
						oninput={(e) => (crop[key] = whole(e))}
					/>
				</label>
			{/each}
		</div>
		<button
			type="button"
			class="button"
			disabled={!cropped || intake.busy}
			onclick={() => {
				void intake.reshape(part, part.w, part.h)
				crop = { x: 0, y: 0, w: 0, h: 0 }
			}}>Crop to this part</button
		>
		<div class="flex gap-1">
			{#each [2, 3, 4] as n (n)}
				<button type="button" class="button grow px-1" disabled={intake.busy} onclick={() => scale(n)}>× {n}</button>
			{/each}
			{#each [2, 3, 4] as n (n)}
				<button
					type="button"
					class="button grow px-1"
					disabled={intake.busy || t.width % n > 0 || t.height % n > 0}
					onclick={() => scale(1 / n)}>÷ {n}</button
				>
			{/each}
		</div>
		<div class="flex gap-1">
			<input
				class="field w-full font-mono"
				placeholder="or a size, as 256 × 128"
				aria-label="Size in pixels"
				bind:value={size}
			/>
			<button type="button" class="button" disabled={intake.busy} onclick={sized}>Scale</button>
		</div>
	</div>
</details>
