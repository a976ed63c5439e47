<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus'
	import Trash2 from '@lucide/svelte/icons/trash-2'
	import { DropdownMenu } from 'bits-ui'
	import type { Said, ToldRule } from '../core/types'
	import MessageFit from '../entities/MessageFit.svelte'
	import Hint from '../controls/Hint.svelte'
	import Menu from '../controls/Menu.svelte'
	import { workspace } from '../workspace/workspace.svelte'
	import { choicesOf } from './choices'

	let { rule }: { rule: ToldRule } = $props()
	const w = workspace()
	let writing = $state('')
	let draft = $state('')
	let card: HTMLElement

	const nameOf = (word: Said) => `${word.part} ${word.blank}`
	/** The choices as they are when a menu opens. */
	const offered = (part: string, blank: string) => {
		void w.project.turn
		return choicesOf(w, rule, { part, blank })
	}

	$effect(() => {
		if (w.rule === rule.id) card.scrollIntoView({ block: 'nearest' })
	})

	function write(word: Said, text: string) {
		const wish = { rule: rule.id, part: word.part, blank: word.blank, text }
		// what is refused stays to be set right
		if (text !== (word.written ?? '') && !w.project.try('changeRule', wish) && word.number) return
		writing = ''
	}
</script>

<article
	bind:this={card}
	class="cut shrink-0 {w.rule === rule.id ? '[--face:var(--well)]' : ''}"
	aria-label="Rule"
	data-testid="rule"
>
	<p class="flex flex-wrap items-center gap-x-1 gap-y-0.5 p-2.5 pr-4 leading-6">
		{#each rule.sentence as word, i (i)}
			{#if !word.part && !word.blank}
				<span class="text-dim">{word.text.replace(/^, ?/, '')}</span>
			{:else if word.writes}
				{#if writing === nameOf(word) && word.number}
					<!-- svelte-ignore a11y_autofocus -->
					<input
						class="field w-20 font-mono"
						value={word.written ?? ''}
						inputmode="numeric"
						aria-label="Number"
						autofocus
						onfocus={(e) => e.currentTarget.select()}
						onblur={(e) => writing && write(word, e.currentTarget.value)}
						onkeydown={(e) => {
							e.stopPropagation()
							if (e.key === 'Escape') writing = ''
							if (e.key === 'Enter') e.currentTarget.blur()
						}}
					/>
				{:else if writing === nameOf(word)}
					<!-- svelte-ignore a11y_autofocus -->
					<textarea
						class="field h-16 w-full resize-y py-1"
						value={word.written ?? ''}
						maxlength="500"
						aria-label="Line that is said"
						autofocus
						oninput={(e) => (draft = e.currentTarget.value)}
						onblur={(e) => write(word, e.currentTarget.value)}
						onkeydown={(e) => {
							e.stopPropagation()
							if (e.key === 'Escape') writing = ''
							if (e.key === 'Enter' && !e.shiftKey) e.currentTarget.blur()
						}}></textarea>
					<MessageFit text={draft} change={(text) => write(word, text)} />
				{:else}
					<button
						class="word text-left [--glaze:var(--cobalt)]"
						onclick={() => ([writing, draft] = [nameOf(word), word.written ?? ''])}>{word.text}</button
					>
				{/if}
			{:else}
				<Menu choices={offered(word.part ?? '', word.blank ?? '')} side="bottom">
					{#snippet trigger()}
						<DropdownMenu.Trigger
							class="word text-left {word.missing ? 'border-brick text-brick' : '[--glaze:var(--cobalt)]'}"
						>
							{word.text}
						</DropdownMenu.Trigger>
					{/snippet}
				</Menu>
			{/if}
		{/each}
	</p>
	<div class="flex items-center gap-1 px-2 pb-2">
		<Menu choices={offered('', 'if')} side="bottom">
			{#snippet trigger()}
				<DropdownMenu.Trigger class="button-plain w-auto gap-1 px-1.5"><Plus size={13} /> If</DropdownMenu.Trigger>
			{/snippet}
		</Menu>
		<Menu choices={offered('', 'then')} side="bottom">
			{#snippet trigger()}
				<DropdownMenu.Trigger class="button-plain w-auto gap-1 px-1.5"><Plus size={13} /> Then</DropdownMenu.Trigger>
			{/snippet}
		</Menu>
		{#if rule.asks}
			<Menu choices={offered('', 'otherwise')} side="bottom">
				{#snippet trigger()}
					<DropdownMenu.Trigger class="button-plain w-auto gap-1 px-1.5"
						><Plus size={13} /> Otherwise</DropdownMenu.Trigger
					>
				{/snippet}
			</Menu>
		{/if}
		<span class="grow"></span>
		<Hint
			label="Delete this rule"
			class="button-plain hover:text-brick"
			onclick={() => w.project.try('remove', { ref: { type: 'rule', id: rule.id }, text: 'Deleted a rule' })}
		>
			<Trash2 size={15} />
		</Hint>
	</div>
</article>
