<script lang="ts">
	import type { Cut, Taken } from '../core/types'
	import { words } from './cutWords'
	import CutPicture from './CutPicture.svelte'
	import HeroSize from './HeroSize.svelte'
	import type { Intake } from './intake.svelte'
	import RecutChanges from './RecutChanges.svelte'
	import ReshapePanel from './ReshapePanel.svelte'

	// How a picture that is brought in, or cut anew, is cut into tiles.
	let { intake, taken: t }: { intake: Intake; taken: Taken } = $props()
	const told = $derived(intake.told)
	const fields: { key: keyof Cut; label: string }[] = [
		{ key: 'cellWidth', label: 'Cell width' },
		{ key: 'cellHeight', label: 'Cell height' },
		{ key: 'margin', label: 'Margin' },
		{ key: 'spacing', label: 'Spacing' },
		{ key: 'left', label: 'More at the left' },
		{ key: 'top', label: 'More at the top' },
	]

	const same = (a: Cut, b: Cut) => fields.every((f) => (a[f.key] ?? 0) === (b[f.key] ?? 0))

	function unused(right: number, bottom: number): string {
		const parts = []
		if (right) parts.push(`${right} px at the right`)
		if (bottom) parts.push(`${bottom} px at the bottom`)
		return `This cut leaves ${parts.join(' and ')} of the picture unused.`
	}
</script>

<form
	class="flex flex-col gap-3"
	novalidate
	onsubmit={(e) => {
		e.preventDefault()
		intake.accept()
	}}
>
	{#if intake.target}
		<p><b>{intake.target.name}</b> is painted with. Cut it anew: what becomes of its tiles is shown first.</p>
	{:else}
		<label class="flex flex-col gap-1">
			<span class="heading">Name</span>
			<input class="field" maxlength="80" bind:value={intake.name} />
		</label>
	{/if}
	{#if t.guesses?.length}
		<div class="flex flex-col gap-1" role="group" aria-label="Guessed cuts">
			<span class="heading">Guessed from the picture</span>
			<div class="grid grid-cols-2 gap-1.5">
				{#each t.guesses as g (words(g.cut))}
					{@const on = same(g.cut, intake.cut)}
					<button
						type="button"
						class="flex min-w-0 flex-col items-start gap-0.5 border-2 p-1 text-left leading-tight hover:border-glaze {on
							? 'border-glaze bg-chalk'
							: 'border-line'}"
						aria-pressed={on}
						onclick={() => intake.choose(g.cut)}
					>
						<CutPicture picture={t.picture} width={t.width} height={t.height} cut={g.cut} />
						<span class="font-mono {on ? 'font-semibold' : ''}">{words(g.cut)}</span>
						<span class="text-[12px] text-dim">{g.why}</span>
						{#if g.sure}<span class="text-[12px] text-sage">nothing else comes near</span>{/if}
						{#if g.over > 5}<span class="text-[12px] text-brick">leaves {g.over} % over</span>{/if}
					</button>
				{/each}
			</div>
		</div>
	{/if}
	<p class="text-[12px] text-dim">Or drag one tile out on the picture: it sets all six.</p>
	<div class="grid grid-cols-2 gap-2">
		{#each fields as f (f.key)}
			<label class="flex flex-col gap-0.5">
				<span class="text-[12px] text-dim">{f.label}</span>
				<input
					class="field font-mono"
					type="number"
					min="0"
					value={intake.cut[f.key] ?? 0}
					oninput={(e) => intake.change({ [f.key]: Math.trunc(e.currentTarget.valueAsNumber) || 0 })}
				/>
			</label>
		{/each}
	</div>
	<div aria-live="polite" data-testid="cut-told">
		{#if typeof told === 'string'}
			<p class="border-l-2 border-brick pl-2 text-brick">{told}</p>
		{:else}
			<p>{told.columns} × {told.rows} = <b>{told.columns * told.rows} tiles</b></p>
			{#if told.right || told.bottom}
				<p class="mt-1 border-l-2 border-brick pl-2 text-brick">{unused(told.right, told.bottom)}</p>
			{/if}
		{/if}
	</div>
	{#if typeof told !== 'string'}<HeroSize picture={t.picture} cut={intake.cut} />{/if}
	<ReshapePanel {intake} />
	{#if intake.waiting.length}
		<div class="flex flex-col gap-1 border-t border-line pt-2" role="group" aria-label="Gather">
			<span class="heading">Or all {intake.waiting.length + 1} pictures as one tileset</span>
			<div class="flex gap-1">
				<input
					class="field grow"
					maxlength="80"
					placeholder="Its name"
					aria-label="Name of what is gathered"
					bind:value={intake.gathered}
				/>
				<button type="button" class="button" disabled={intake.busy} onclick={() => void intake.gather()}>Gather</button>
			</div>
		</div>
	{/if}
	{#if intake.target && intake.plan && typeof told !== 'string'}
		<RecutChanges
			target={intake.target}
			picture={t.picture}
			cut={intake.cut}
			columns={told.columns}
			width={t.width}
			height={t.height}
			match={intake.plan.match}
			changes={intake.plan.changes}
		/>
	{/if}
	<!-- what it is all for stays in view, however much there is to choose -->
	<div class="sticky -bottom-3 -mx-3 flex gap-2 border-t border-line bg-plaster px-3 py-2">
		<button class="button grow button-main" disabled={typeof told === 'string' || intake.busy}
			>{intake.target ? (intake.plan ? 'Cut it anew' : 'Show what changes') : 'Use this cut'}</button
		>
		<button type="button" class="button" onclick={() => intake.leave()}>Leave it</button>
	</div>
</form>
