<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus'
	import Trash2 from '@lucide/svelte/icons/trash-2'
	import { DropdownMenu } from 'bits-ui'
	import type { ToldRule } from '../core/types'
	import MessageFit from '../entities/MessageFit.svelte'
	import Hint from '../frame/Hint.svelte'
	import Menu from '../frame/Menu.svelte'
	import { workspace } from '../workspace.svelte'
	import { RuleChoices } from './choices'

	let { rule }: { rule: ToldRule } = $props()
	const w = workspace()
	const choices = $derived(new RuleChoices(w, rule))
	let writing = $state('')
	let draft = $state('')
	let card: HTMLElement

	const stepOf = (slot: string) => slot.split('.')[1]
	const textOf = (slot: string) => (rule.then ?? []).find((s) => s.id === stepOf(slot))?.text ?? ''

	$effect(() => {
		if (w.rule === rule.id) card.scrollIntoView({ block: 'nearest' })
	})

	function write(slot: string, text: string) {
		writing = ''
		if (text !== textOf(slot)) choices.setText(stepOf(slot), text)
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
			{#if !word.slot}
				<span class="text-dim">{word.text.replace(/^, ?/, '')}</span>
			{:else if word.slot.endsWith('.text')}
				{#if writing === word.slot}
					<!-- svelte-ignore a11y_autofocus -->
					<textarea
						class="field h-16 w-full resize-y py-1"
						value={textOf(word.slot)}
						maxlength="500"
						aria-label="Line that is said"
						autofocus
						oninput={(e) => (draft = e.currentTarget.value)}
						onblur={(e) => write(word.slot!, e.currentTarget.value)}
						onkeydown={(e) => {
							e.stopPropagation()
							if (e.key === 'Escape') writing = ''
							if (e.key === 'Enter' && !e.shiftKey) e.currentTarget.blur()
						}}></textarea>
					<MessageFit text={draft} change={(text) => write(word.slot!, text)} />
				{:else}
					<button
						class="word text-left [--glaze:var(--cobalt)]"
						onclick={() => ([writing, draft] = [word.slot!, textOf(word.slot!)])}>{word.text}</button
					>
				{/if}
			{:else}
				<Menu choices={choices.of(word.slot)} side="bottom">
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
		<button class="button-plain w-auto gap-1 px-1.5" onclick={() => choices.addCondition()}
			><Plus size={13} /> If</button
		>
		<Menu choices={choices.add()} side="bottom">
			{#snippet trigger()}
				<DropdownMenu.Trigger class="button-plain w-auto gap-1 px-1.5"><Plus size={13} /> Then</DropdownMenu.Trigger>
			{/snippet}
		</Menu>
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
