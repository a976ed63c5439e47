<script lang="ts">
	import Ellipsis from '@lucide/svelte/icons/ellipsis'
	import Plus from '@lucide/svelte/icons/plus'
	import Text from '@lucide/svelte/icons/text-initial'
	import Hint from '../controls/Hint.svelte'
	import { contextMenu } from '../controls/contextMenu.svelte'
	import type { Choice } from '../controls/Menu.svelte'
	import type { ToldRule } from '../core/types'
	import { workspace } from '../workspace/workspace.svelte'
	import { Arranging } from './arranging.svelte'
	import { offersOf } from './choices'
	import Picker from './Picker.svelte'
	import RuleRow from './RuleRow.svelte'
	import { unstored } from './unstored'

	let { rule }: { rule: ToldRule } = $props()
	const w = workspace()
	/** A card of more lines is folded at first. */
	const few = 14
	let naming = $state(false)
	let asText = $state(false)
	/** Somebody pressed for the text. */
	let asked = $state(false)
	let whole = $state(false)
	let card: HTMLElement
	const arranging = new Arranging(w, () => rule)
	const shown = $derived(whole || rule.lines.length <= few ? rule.lines : rule.lines.slice(0, few - 4))
	const slots = $derived([
		{ slot: 'when', label: 'When' },
		{ slot: 'if', label: 'If' },
		{ slot: 'then', label: 'Then' },
		...(rule.asks ? [{ slot: 'otherwise', label: 'Otherwise' }] : []),
	])
	/** When it was asked last in the game that is played, and what became of it. */
	const last = $derived(
		w.play.view ? w.play.events.findLast((e) => e.rule === rule.id && e.tick <= w.play.view!.tick) : undefined,
	)
	const change = (wish: object) => w.project.try('changeRule', { rule: rule.id, ...wish })
	const doings = $derived<Choice[]>([
		...(w.play.on ? [{ label: 'Try it now in the game', run: () => w.play.doNow(rule.id, '') }] : []),
		{ label: rule.name ? 'Rename' : 'Give it a name', run: () => (naming = true) },
		{ label: rule.off ? 'Switch on' : 'Switch off', run: () => change({ off: !rule.off }) },
		{ label: 'Copy below', run: () => change({ copy: true }) },
		{
			label: 'Copy as text',
			run: () =>
				void navigator.clipboard
					.writeText(w.project.ask('ruleText', { rule: rule.id }))
					.then(() => w.notices.say('Copied the rule as text: paste it under Rules, here or in another project.'))
					.catch(() => w.notices.say('The browser did not let it be copied.', 'wrong')),
		},
		{ label: 'Paste lines', run: () => void arranging.paste('') },
		{ label: 'Delete', run: remove },
	])

	// a draft is not overlooked
	$effect(() => {
		if (rule.draft || unstored.of(rule.id) !== null) asText = true
	})

	$effect(() => {
		if (w.rule === rule.id) card.scrollIntoView({ block: 'nearest' })
	})

	const ago = (tick: number) => `${((w.play.view!.tick - tick) / 60).toFixed(1)} s ago`

	function remove() {
		w.project.try('remove', { ref: { type: 'rule', id: rule.id }, text: 'Deleted a rule' })
	}

	function rename(name: string) {
		if (naming && name.trim() !== (rule.name ?? '')) change({ name })
		naming = false
	}
</script>

<article
	bind:this={card}
	class="@container cut min-w-0 shrink-0 {asText ? 'col-span-2' : ''} {w.rule === rule.id
		? '[--face:var(--well)]'
		: ''}"
	aria-label={rule.name ? `Rule ${rule.name}` : 'Rule'}
	aria-current={w.rule === rule.id ? 'true' : undefined}
	data-testid="rule"
>
	<div class={asText ? '@2xl:grid @2xl:grid-cols-2' : ''}>
		<div class="min-w-0">
			{#if naming || rule.name || rule.off}
				<div class="flex items-center gap-2 px-2.5 pt-2 pr-5">
					{#if naming}
						<!-- svelte-ignore a11y_autofocus -->
						<input
							class="field grow"
							value={rule.name ?? ''}
							maxlength="80"
							aria-label="Name of the rule"
							autofocus
							onblur={(e) => rename(e.currentTarget.value)}
							onkeydown={(e) => {
								e.stopPropagation()
								if (e.key === 'Escape') naming = false
								if (e.key === 'Enter') e.currentTarget.blur()
							}}
						/>
					{:else if rule.name}
						<h3 class="min-w-0 grow truncate font-semibold">{rule.name}</h3>
					{/if}
					{#if rule.off}<span class="text-[12px] text-saffron">switched off</span>{/if}
				</div>
			{/if}
			<div
				class="py-1.5 pr-1.5 pl-2 [--indent:10px] @xs:pl-0 @xs:[--indent:20px] {rule.off ? 'opacity-75' : ''}"
				data-lines
			>
				{#each shown as line, i (line.part || `${line.parent} ${line.slot}`)}
					<RuleRow {rule} {line} at={i} {arranging} />
				{/each}
				{#if rule.lines.length > few}
					<button class="ml-18 button-plain w-auto px-1.5 text-dim" onclick={() => (whole = !whole)}>
						{whole ? 'Fold' : `${rule.lines.length - shown.length} more lines`}
					</button>
				{/if}
			</div>
			{#if last && w.play.view}
				<p class="px-3 pb-1 text-[12px] {last.is === 'asked' ? 'text-brick' : 'text-sage'}" data-testid="last">
					{last.is === 'asked'
						? `Asked ${ago(last.tick)}, but not: ${last.why ?? 'what it asks for'}`
						: `Ran ${ago(last.tick)}`}
				</p>
			{/if}
			<div class="flex flex-wrap items-center gap-1 px-2 pb-2">
				{#each slots as s (s.slot)}
					<Picker offers={() => offersOf(w, rule, '', s.slot)} label="" class="button-plain w-auto gap-1 px-1.5"
						><Plus size={13} /> {s.label}</Picker
					>
				{/each}
				<Picker offers={() => offersOf(w, rule, '', 'once')} label="" class="ml-1 word [--glaze:var(--cobalt)]"
					>{rule.once ? 'once' : 'each time'}</Picker
				>
				<span class="grow"></span>
				<Hint
					label={asText ? 'Show it as a card' : 'Write it as text'}
					class="button-plain"
					expanded={asText}
					onclick={() => (asked = asText = !asText)}
				>
					<Text size={15} />
				</Hint>
				<button
					class="button-plain"
					aria-label="More about this rule"
					aria-haspopup="menu"
					onclick={(e) => contextMenu.below(() => doings, e.currentTarget)}><Ellipsis size={15} /></button
				>
			</div>
		</div>
		{#if rule.after}<p class="px-2 pb-1 text-[12px] text-dim" data-testid="after">Afterwards {rule.after}.</p>{/if}
		{#if asText}
			{#await import('./RuleText.svelte') then { default: RuleText }}
				<RuleText {rule} {asked} />
			{/await}
		{/if}
	</div>
</article>
