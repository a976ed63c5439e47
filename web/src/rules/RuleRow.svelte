<script lang="ts">
	import Grip from '@lucide/svelte/icons/grip-vertical'
	import Plus from '@lucide/svelte/icons/plus'
	import Context from '../controls/Context.svelte'
	import type { Choice } from '../controls/Menu.svelte'
	import type { RuleLine, ToldRule } from '../core/types'
	import { workspace } from '../workspace/workspace.svelte'
	import type { Arranging } from './arranging.svelte'
	import { offersOf } from './choices'
	import Picker from './Picker.svelte'
	import SaidWord from './SaidWord.svelte'

	// A line of a rule's card: what leads it, its words, and what can be done with it.
	let { rule, line, at, arranging }: { rule: ToldRule; line: RuleLine; at: number; arranging: Arranging } = $props()
	const w = workspace()
	/** It stands in another part, and is led there. */
	const inner = $derived(line.deep > 0 || !!line.parent)
	const holder = $derived(line.part || line.parent)
	const doings = $derived<Choice[]>(
		line.part
			? [
					...(w.play.on && (line.slot === 'then' || line.slot === 'otherwise')
						? [{ label: 'Try it now in the game', run: () => w.play.doNow(rule.id, line.part) }]
						: []),
					{ label: 'Move up', keys: 'Alt+↑', run: () => arranging.move(line, -1) },
					{ label: 'Move down', keys: 'Alt+↓', run: () => arranging.move(line, 1) },
					{ label: 'Copy below', run: () => arranging.copy(line) },
					{ label: 'Copy this line', keys: 'Ctrl+C', run: () => void arranging.copyText(line) },
					{ label: 'Paste below', keys: 'Ctrl+V', run: () => void arranging.paste(line.part) },
					{ label: line.off ? 'Switch on' : 'Switch off', run: () => arranging.off(line) },
					{ label: 'Remove', keys: 'Delete', run: () => arranging.remove(line) },
				]
			: [],
	)
	const landing = $derived(arranging.landing?.line === at ? arranging.landing.where : '')
	let row: HTMLElement

	function key(e: KeyboardEvent) {
		if (e.altKey && (e.key === 'ArrowUp' || e.key === 'ArrowDown')) arranging.move(line, e.key === 'ArrowUp' ? -1 : 1)
		else if (e.key === 'Delete') arranging.remove(line)
		else if ((e.ctrlKey || e.metaKey) && e.key === 'c') void arranging.copyText(line)
		else if ((e.ctrlKey || e.metaKey) && e.key === 'v') void arranging.paste(line.part)
		else return
		e.preventDefault()
		e.stopPropagation()
	}

	/** A press on the grip that drags nothing opens the menu of the line. */
	function menu(e: MouseEvent) {
		const box = (e.currentTarget as HTMLElement).getBoundingClientRect()
		row.dispatchEvent(
			new MouseEvent('contextmenu', { bubbles: true, cancelable: true, clientX: box.left, clientY: box.bottom }),
		)
	}
</script>

<Context choices={() => doings}>
	<div
		bind:this={row}
		class="group/row flex items-start gap-1.5 border-y-2 {landing === 'before'
			? 'border-t-held border-b-transparent'
			: landing === 'after'
				? 'border-t-transparent border-b-held'
				: 'border-transparent'} {landing === 'in' ? 'bg-well' : ''} {arranging.dragged &&
		arranging.dragged === line.part
			? 'opacity-50'
			: ''}"
		data-line={at}
	>
		<span class="hidden w-15 shrink-0 pt-1 text-right text-dim @xs:block" data-testid="lead"
			>{inner ? '' : line.lead}</span
		>
		<div
			class="flex min-w-0 grow flex-wrap items-center gap-x-1 gap-y-0.5 leading-6 {line.off ? 'line-through' : ''}"
			style:padding-left="calc({line.deep} * var(--indent))"
		>
			{#if inner && line.lead}<span class="text-dim">{line.lead}</span>
			{:else if line.lead}<span class="text-dim @xs:hidden">{line.lead}</span>{/if}
			{#each line.words as word, i (i)}<SaidWord {rule} {word} />{/each}
			{#if line.off}<span class="inline-block text-[12px] text-dim">off</span>{/if}
			{#if line.adds}
				<Picker
					offers={() => offersOf(w, rule, holder, line.adds)}
					label="Add {line.adds === 'if' ? 'what is asked' : 'a step'} here"
					class="button-plain h-6 min-h-6 w-6"><Plus size={13} /></Picker
				>
			{/if}
		</div>
		{#if line.part}
			<button
				class="button-plain h-6 min-h-6 w-6 shrink-0 cursor-grab touch-none opacity-70 group-hover/row:opacity-100 focus-visible:opacity-100"
				aria-label="Move or change this line"
				onpointerdown={(e) => e.button === 0 && arranging.drag(e, line)}
				onclick={menu}
				onkeydown={key}
			>
				<Grip size={14} />
			</button>
		{/if}
	</div>
</Context>
