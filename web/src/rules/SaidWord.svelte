<script lang="ts">
	import type { ID, Said, ToldRule } from '../core/types'
	import MessageFit from '../entities/MessageFit.svelte'
	import { workspace } from '../workspace/workspace.svelte'
	import Picker from './Picker.svelte'
	import { offersOf } from './choices'

	// A word of a rule: plain, pressed to choose another one, or written.
	let { rule, word }: { rule: ToldRule; word: Said } = $props()
	const w = workspace()
	let writing = $state(false)
	let draft = $state('')
	const list = $props.id()
	/** What was written of that sort before, or is there: it can be another. */
	const known = $derived(writing && !word.line ? offersOf(w, rule, (word.part ?? '') as ID, word.blank ?? '') : [])

	function write(text: string) {
		if (!writing) return
		const wish = { rule: rule.id, part: word.part, blank: word.blank, text }
		// what is refused stays to be set right
		if (text !== (word.written ?? '') && !w.project.try('changeRule', wish) && word.number) return
		writing = false
	}

	function key(e: KeyboardEvent & { currentTarget: HTMLElement }) {
		e.stopPropagation()
		if (e.key === 'Escape') writing = false
		if (e.key === 'Enter' && !e.shiftKey) e.currentTarget.blur()
	}
</script>

{#if !word.part && !word.blank}
	<span class="text-dim">{word.text}</span>
{:else if word.writes && writing && !word.line}
	<!-- svelte-ignore a11y_autofocus -->
	<input
		class="field w-28 font-mono"
		value={word.written ?? ''}
		inputmode={word.number ? 'numeric' : 'text'}
		{list}
		maxlength="80"
		aria-label={word.number ? 'Number, or a counter' : 'Word'}
		autofocus
		onfocus={(e) => e.currentTarget.select()}
		onblur={(e) => write(e.currentTarget.value)}
		onkeydown={key}
	/>
	<datalist id={list}>
		{#each known as o (o.label)}<option value={o.label}></option>{/each}
	</datalist>
{:else if word.writes && writing}
	<!-- svelte-ignore a11y_autofocus -->
	<textarea
		class="field h-16 w-full resize-y py-1"
		value={word.written ?? ''}
		maxlength="500"
		aria-label={word.read ? 'Line that is said' : 'Note'}
		autofocus
		oninput={(e) => (draft = e.currentTarget.value)}
		onblur={(e) => write(e.currentTarget.value)}
		onkeydown={key}></textarea>
	{#if word.read}<MessageFit text={draft} change={(text) => write(text)} />{/if}
{:else if word.writes}
	<button
		class="word text-left {word.missing ? 'border-brick text-brick' : '[--glaze:var(--cobalt)]'}"
		onclick={() => ([writing, draft] = [true, word.written ?? ''])}>{word.text}</button
	>
{:else}
	<Picker
		offers={() => offersOf(w, rule, (word.part ?? '') as ID, word.blank ?? '')}
		label=""
		class="word text-left {word.missing ? 'border-brick text-brick' : '[--glaze:var(--cobalt)]'}">{word.text}</Picker
	>
{/if}
