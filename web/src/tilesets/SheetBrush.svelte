<script lang="ts">
	import type { Facing } from '../core/types'
	import Hint from '../frame/Hint.svelte'
	import { workspace } from '../workspace.svelte'
	import { sameMark, type SheetMark } from './sheetMarks'

	// What is painted over the sheet.
	let { mark = $bindable() }: { mark: SheetMark } = $props()
	const w = workspace()
	const sides: { side: Facing; help: string }[] = [
		{ side: 'up', help: 'nobody comes in from above' },
		{ side: 'right', help: 'nobody comes in from the right' },
		{ side: 'down', help: 'nobody comes in from below' },
		{ side: 'left', help: 'nobody comes in from the left' },
	]
	const look = (m: SheetMark) =>
		`flex h-8 items-center justify-center border px-1 hover:border-glaze ${
			sameMark(m, mark) ? 'border-held bg-chalk outline-2 -outline-offset-2 outline-held' : 'border-line'
		}`
</script>

<section class="flex flex-col gap-1.5" aria-label="Painted over the sheet">
	<h3 class="heading">Paint over the sheet with</h3>
	<div class="flex gap-1">
		<button
			class="{look({ kind: 'solid' })} grow"
			aria-pressed={mark.kind === 'solid'}
			onclick={() => (mark = { kind: 'solid' })}>solid</button
		>
		{#each w.project.head.grounds as is (is)}
			<button
				class="{look({ kind: 'is', is })} grow"
				aria-pressed={sameMark(mark, { kind: 'is', is })}
				onclick={() => (mark = { kind: 'is', is })}>{is}</button
			>
		{/each}
	</div>
	<div class="grid grid-cols-8 gap-1" aria-label="Solid parts">
		{#each w.project.head.parts as p (p.name)}
			<Hint
				label="Solid in part: {p.name}, {p.help}"
				class={look({ kind: 'part', part: p.name })}
				onclick={() => (mark = { kind: 'part', part: p.name })}
			>
				<svg viewBox="-0.2 -0.2 2.4 2.4" class="size-5" aria-hidden="true">
					<rect width="2" height="2" class="fill-none stroke-dim" stroke-width="0.12" />
					<polygon points={p.area.map((q) => `${q.x},${q.y}`).join(' ')} class="fill-brick" />
				</svg>
			</Hint>
		{/each}
	</div>
	<div class="grid grid-cols-4 gap-1" aria-label="One-way">
		{#each sides as s, i (s.side)}
			<Hint
				label="One-way: {s.help}"
				class={look({ kind: 'oneWay', side: s.side })}
				onclick={() => (mark = { kind: 'oneWay', side: s.side })}
			>
				<svg viewBox="-1.2 -1.2 2.4 2.4" class="size-5" aria-hidden="true">
					<g transform="rotate({i * 90})" class="fill-none stroke-cobalt" stroke-width="0.25">
						<path d="M-1 -0.85H1M-0.4 0.5L0 0L0.4 0.5" />
					</g>
				</svg>
			</Hint>
		{/each}
	</div>
	<p class="text-[12px] text-dim">Paint again, or with the secondary button, to clear.</p>
</section>
