<script lang="ts">
	import type { EditorView } from '@codemirror/view'
	import { untrack } from 'svelte'
	import type { Fault, ToldRule } from '../core/types'
	import { workspace } from '../workspace/workspace.svelte'
	import { ruleEditor, putText } from './ruleEditor'
	import { unstored } from './unstored'

	// A rule as text: what can be read is the rule at once, what cannot is kept as a draft.
	// Whoever asked for it writes at once.
	let { rule, asked }: { rule: ToldRule; asked: boolean } = $props()
	const w = workspace()
	let place: HTMLElement
	let view: EditorView | undefined
	let faults = $state<Fault[]>([])
	let written = false
	/** The text as the rule said it last: what is other than this comes from elsewhere. */
	let stored = ''
	let timer = 0
	/** The text of the rule when one began to write. */
	let begun = ''

	const asIs = () => rule.draft || w.project.ask('ruleText', { rule: rule.id })

	$effect(() => {
		const left = untrack(() => unstored.of(rule.id))
		const opened = untrack(() => ruleEditor(place, left ?? asIs(), w.project, { changed, left: store }))
		view = opened
		if (untrack(() => asked)) opened.focus()
		faults = untrack(() => w.project.ask('readText', { text: opened.state.doc.toString() }).faults)
		if (left !== null) {
			written = true
			untrack(store)
		}
		return () => {
			store()
			opened.destroy()
			view = undefined
		}
	})

	// what is changed elsewhere is seen here, also under one's hands where nothing is being written
	$effect(() => {
		void rule
		untrack(() => {
			const now = asIs()
			if (view && !written && (!view.hasFocus || now !== stored)) putText(view, now)
			stored = now
		})
	})

	function changed(_: string, read: { faults: Fault[] }) {
		faults = read.faults
		if (!view?.hasFocus) return
		if (!written) {
			w.project.ask('holdText', { rule: rule.id })
			begun = asIs()
		}
		written = true
		unstored.keep(rule.id, view.state.doc.toString())
		clearTimeout(timer)
		timer = setTimeout(store, 700)
	}

	/** Stores what was written: as the rule, or as a draft where it cannot be read. */
	function store() {
		clearTimeout(timer)
		if (!written || !view || !w.project.head.rules.some((r) => r.id === rule.id)) return
		const text = view.state.doc.toString()
		const { faults } = w.project.ask('readText', { text })
		const was = w.project.ask('ruleText', { rule: rule.id })
		if (faults.length) {
			if (text !== (rule.draft ?? '')) w.project.try('draftRule', { rule: rule.id, text })
		} else if (text !== was || rule.draft) w.project.try('rewriteRule', { rule: rule.id, text })
		written = false
		unstored.forget(rule.id)
		stored = asIs()
		// what others changed meanwhile stays, and is seen
		if (!faults.length && (!view.hasFocus || was !== begun)) putText(view, asIs())
	}

	function forget() {
		written = false
		unstored.forget(rule.id)
		w.project.try('draftRule', { rule: rule.id, text: '' })
		faults = []
		if (view) putText(view, w.project.ask('ruleText', { rule: rule.id }))
	}
</script>

<div class="mx-px mb-px min-w-0 border-t border-line @2xl:mt-8 @2xl:border-t-0 @2xl:border-l" data-testid="rule-text">
	<div bind:this={place} class="max-h-[640px] overflow-y-auto"></div>
	{#if faults.length}
		<ul class="px-2.5 pt-1 text-[12px] text-brick" aria-label="What cannot be read">
			{#each faults.slice(0, 3) as f, i (i)}<li><b>Line {f.line}:</b> {f.text}</li>{/each}
			{#if faults.length > 3}<li>and {faults.length - 3} more</li>{/if}
		</ul>
	{/if}
	{#if rule.draft}
		<div class="flex items-center gap-2 px-2.5 py-1 text-[12px] text-dim">
			<p class="grow">Kept as a draft until it can be read. Until then the rule is as the card says.</p>
			<button class="button shrink-0" onclick={forget}>Throw the draft away</button>
		</div>
	{/if}
</div>
