<script lang="ts">
	import { workspace } from '../workspace/workspace.svelte'

	const w = workspace()
	const m = $derived(w.map)
	const inside = $derived(
		m &&
			w.cell &&
			w.cell.x >= m.bounds.x &&
			w.cell.y >= m.bounds.y &&
			w.cell.x < m.bounds.x + m.bounds.w &&
			w.cell.y < m.bounds.y + m.bounds.h,
	)
	// what lies here, on every layer from the top
	const here = $derived.by(() => {
		void w.project.turn
		if (!m || !w.cell || !inside) return ''
		// a game that stands still tells more of what is pointed at
		if (w.play.frozen && w.play.view && w.pixel) {
			const about = w.play.about(w.pixel)
			if (about) return about
		}
		return w.project
			.ask('under', { map: m.id, active: '', at: w.cell })
			.map((u) => `${u.layer}: ${u.what}`)
			.join(' · ')
	})
	// what is wrong with a way that is pointed at
	const wrong = $derived(
		m && w.over && !w.play.on
			? (w.charting.of(m.id).find((f) => (f.serious || f.idle) && f.entity === w.over)?.text ?? '')
			: '',
	)
	const hint = $derived.by(() => {
		if (w.picking) return 'Press it on the map, or Escape'
		if (w.play.on) return w.hand.holding ? 'The game goes on while you paint' : ''
		if (w.touch)
			return w.hand.holding
				? 'One finger puts down, a rest is the menu, two move the map'
				: 'Two fingers move and zoom the map'
		if (!w.hand.holding) return 'Space and drag moves the view, Ctrl and wheel zooms'
		return w.ghost ? '' : 'Press puts down, secondary button removes, Escape lets go'
	})
</script>

<footer
	id="status"
	class="flex h-[25px] items-center gap-4 border-t border-line bg-chalk px-3 text-[12px] text-dim max-[560px]:gap-2"
	data-testid="status"
>
	{#if w.seeking}
		<input
			class="field h-6 w-32 font-mono"
			placeholder="x, y"
			aria-label="Cell to go to, as x, y"
			{@attach (e: HTMLInputElement) => e.focus()}
			onblur={() => (w.seeking = false)}
			onkeydown={(e) => {
				e.stopPropagation()
				const found = /^\s*(\d+)\s*[,; x]\s*(\d+)\s*$/.exec(e.currentTarget.value)
				if (e.key === 'Enter' && found) w.goToCell(Number(found[1]), Number(found[2]))
				else if (e.key === 'Enter') w.notices.say('A cell is written as two numbers: 12, 5.', 'wrong')
				else if (e.key === 'Escape') w.canvas?.focus()
			}}
		/>
	{:else}
		<button
			class="w-32 shrink-0 text-left font-mono hover:underline max-[560px]:w-24"
			title="Go to a cell"
			onclick={() => (w.seeking = true)}
			>{inside ? `cell ${w.cell!.x - m!.bounds.x}, ${w.cell!.y - m!.bounds.y}` : 'no cell'}</button
		>
	{/if}
	<span class="w-32 shrink-0 font-mono whitespace-nowrap max-[560px]:hidden"
		>{inside && w.pixel ? `pixel ${w.pixel.x}, ${w.pixel.y}` : ''}</span
	>
	<span class="min-w-0 grow truncate text-ink" data-testid="here" title={here}>{here}</span>
	{#if wrong}<span
			class="shrink-0 text-brick max-[560px]:min-w-0 max-[560px]:shrink max-[560px]:truncate"
			data-testid="wrong">{wrong}</span
		>{/if}
	{#if w.ghost}<span class="min-w-0 truncate font-mono text-saffron" data-testid="ghost">{w.ghost}</span>{/if}
	{#if !here}<span class="min-w-0 truncate max-[560px]:hidden">{hint}</span>{/if}
	{#if w.area}<span class="shrink-0 font-mono whitespace-nowrap text-ink" data-testid="area"
			>selected {w.area.bounds.w} × {w.area.bounds.h}{w.area.count !== w.area.bounds.w * w.area.bounds.h
				? `, ${w.area.count} cells`
				: ''}</span
		>
	{:else if w.selected.length > 1}<span class="shrink-0 font-mono whitespace-nowrap text-ink"
			>{w.selected.length} entities selected</span
		>{/if}
	{#if m}<span class="shrink-0 font-mono whitespace-nowrap max-[560px]:hidden">{m.bounds.w} × {m.bounds.h} cells</span
		>{/if}
	<span class="flex shrink-0 items-center">
		<button class="h-6 w-6 hover:bg-well" aria-label="Zoom out" onclick={() => w.view.zoom(-1)}>−</button>
		<span class="w-12 text-center font-mono" data-testid="zoom">{w.view.percent} %</span>
		<button class="h-6 w-6 hover:bg-well" aria-label="Zoom in" onclick={() => w.view.zoom(1)}>+</button>
	</span>
</footer>
