<script lang="ts">
	import X from '@lucide/svelte/icons/x'
	import type { Kind, Setting } from '../core/types'
	import { whole, words } from './fields'
	import SharesField from '../entities/SharesField.svelte'
	import SeveralWords from '../entities/SeveralWords.svelte'
	import Scrub from './Scrub.svelte'
	import type { Would } from './trial.svelte'
	import { workspace } from '../workspace/workspace.svelte'

	// What can be set of each entity of a kind: what the kind that it behaves as gives,
	// of which the default can be another one, and what is its own.
	// While a number is dragged, `drag` is told what it would be.
	let {
		k,
		own,
		put,
		drag,
	}: { k: Kind; own: boolean; put: (to: Partial<Kind>) => void; drag: (would: Would | null) => void } = $props()
	const w = workspace()
	const types = $derived(w.project.head.settingTypes)
	const first: Record<string, string> = { number: '0', duration: '0', 'yes/no': 'no', colour: '#ffffff' }
	const settings = $derived(k.settings)
	/** The settings that come with the kind by their headings, then those that are the designer's own, each with its place. */
	const groups = $derived.by(() => {
		const out: { name: string; all: { s: Setting; i: number }[] }[] = []
		for (const name of w.project.head.settingGroups) {
			const all = settings.map((s, i) => ({ s, i })).filter((o) => o.s.group === name)
			if (all.length) out.push({ name, all })
		}
		return out
	})
	const idle = $derived(settings.filter((s) => s.idle))
	let showsIdle = $state(false)
	const setting = (i: number, to: Partial<Setting>) =>
		put({ settings: settings.map((s, n) => (n === i ? { ...s, ...to } : s)) })

	/** Takes what was written; what is refused shows as it is. */
	function write(e: { currentTarget: HTMLInputElement }, i: number, field: 'name' | 'default') {
		const input = e.currentTarget
		setting(i, { [field]: input.value.trim() })
		queueMicrotask(() => (input.value = settings[i]?.[field] ?? ''))
	}

	/** Adds a setting; one that varies is a flag or a counter of each entity's own. */
	function addSetting(type = 'text', varies = false) {
		// the core names what is new
		const s: Setting = {
			key: '',
			name: '',
			type,
			default: first[type] ?? '',
			choices: [],
			unit: '',
			help: '',
			least: 0,
			most: 0,
			handle: '',
			group: '',
			idle: false,
			varies,
			given: false,
		}
		put({ settings: [...settings, s] })
	}

	function retype(i: number, type: string) {
		const choices = type === 'choice' ? ['first', 'second'] : []
		setting(i, {
			type,
			choices,
			default: choices[0] ?? first[type] ?? '',
			least: 0,
			most: 0,
			handle: '',
			varies: false,
		})
	}
</script>

<!-- what holds where an entity differs in nothing -->
{#snippet standard(s: Setting, i: number)}
	{#if s.type === 'shares'}
		<SharesField name="Default of {s.name}" unit={s.unit} value={s.default} set={(to) => setting(i, { default: to })} />
	{:else if s.type === 'entity'}
		<span class="text-dim">chosen on the map</span>
	{:else if s.type === 'several'}
		<SeveralWords
			name="Default of {s.name}"
			choices={s.choices}
			value={s.default}
			set={(to) => setting(i, { default: to })}
		/>
	{:else if s.type === 'choice' || s.type === 'yes/no'}
		<select
			class="field w-full"
			value={s.default}
			aria-label="Default of {s.name}"
			onchange={(e) => setting(i, { default: e.currentTarget.value })}
		>
			{#each s.type === 'choice' ? s.choices : ['yes', 'no'] as c (c)}<option value={c}>{c}</option>{/each}
		</select>
	{:else}
		{#key s.default}<input
				class="field w-full font-mono"
				value={s.default}
				placeholder="default"
				aria-label="Default of {s.name}"
				onchange={(e) => write(e, i, 'default')}
			/>{/key}
		{#if s.type === 'number' || s.type === 'duration'}
			<Scrub
				name={s.name}
				value={s.default}
				least={s.least}
				most={s.most}
				step={s.type === 'duration' || s.handle ? 0.1 : 1}
				drag={(text) => drag(text === null ? null : { key: s.key, text })}
				done={(text) => setting(i, { default: text })}
			/>
		{/if}
	{/if}
{/snippet}

{#snippet row(s: Setting, i: number)}
	{#if own && s.given}
		<div class="flex items-center gap-2 pl-2" title={s.help}>
			<span class="w-32 shrink-0">{s.name}</span>
			<span class="flex {['several', 'shares'].includes(s.type) ? 'w-80' : 'w-44'} shrink-0 items-center gap-1"
				>{@render standard(s, i)}</span
			>
			<span class="min-w-0 grow truncate text-dim">{[s.unit, s.help].filter(Boolean).join(' · ')}</span>
		</div>
	{:else if own}
		{@render ownRow(s, i)}
	{:else}
		<div class="flex items-baseline gap-3 pl-2">
			<span class="w-32 shrink-0">{s.name}</span>
			<span class="w-28 shrink-0 font-mono text-[12px] break-words">{s.default || '—'} {s.unit}</span>
			<span class="text-dim">{s.help}{s.type === 'choice' ? `: ${s.choices.join(', ')}` : ''}</span>
		</div>
	{/if}
{/snippet}

{#snippet ownRow(s: Setting, i: number)}
	<div class="grid grid-cols-[1fr_96px_1fr_80px_28px] items-center gap-1.5 border-l-2 border-line pl-2">
		{#key s.name}<input
				class="field"
				value={s.name}
				maxlength="80"
				aria-label="Name of setting {i + 1}"
				onchange={(e) => write(e, i, 'name')}
			/>{/key}
		<select
			class="field"
			value={s.type}
			aria-label="Type of {s.name}"
			onchange={(e) => retype(i, e.currentTarget.value)}
		>
			{#each types as t (t)}<option value={t}>{t}</option>{/each}
		</select>
		<span class="flex min-w-0 items-center gap-1">{@render standard(s, i)}</span>
		<input
			class="field"
			value={s.unit}
			placeholder="unit"
			aria-label="Unit of {s.name}"
			onchange={(e) => setting(i, { unit: e.currentTarget.value })}
		/>
		<button
			class="button-plain hover:text-brick"
			aria-label="Take setting {s.name} away"
			onclick={() => put({ settings: settings.filter((_, n) => n !== i) })}><X size={14} /></button
		>
		<input
			class="col-span-2 field"
			value={s.help}
			placeholder="what it is for"
			aria-label="Help of {s.name}"
			onchange={(e) => setting(i, { help: e.currentTarget.value })}
		/>
		{#if s.type === 'choice'}
			{#key s.choices.join()}<input
					class="col-span-2 field"
					value={s.choices.join(', ')}
					aria-label="Choices of {s.name}"
					onchange={(e) => {
						const choices = words(e.currentTarget.value)
						setting(i, { choices, default: choices.includes(s.default) ? s.default : (choices[0] ?? '') })
					}}
				/>{/key}
		{:else if s.type === 'number' || s.type === 'duration'}
			<span class="col-span-2 flex items-center gap-1 text-[12px] text-dim"
				>from
				<input
					class="field w-16 font-mono"
					type="number"
					aria-label="Least {s.name}"
					value={s.least}
					onchange={(e) => setting(i, { least: whole(e), most: Math.max(whole(e), s.most) })}
				/>
				to
				<input
					class="field w-16 font-mono"
					type="number"
					aria-label="Most {s.name}"
					value={s.most}
					onchange={(e) => setting(i, { most: whole(e) })}
				/>
				<select
					class="field w-24"
					aria-label="Handle of {s.name}"
					value={s.handle}
					onchange={(e) => setting(i, { handle: e.currentTarget.value as Setting['handle'] })}
				>
					<option value="">no handle</option>
					<option value="round">ring around</option>
					<option value="ahead">end ahead</option>
					<option value="both">both sides</option>
					<option value="up">knob that counts</option>
				</select>
			</span>
		{/if}
		{#if s.type === 'number' || s.type === 'yes/no'}
			<label class="col-span-4 flex min-h-6 items-center gap-1.5"
				><input
					type="checkbox"
					class="accent-glaze"
					checked={s.varies}
					onchange={(e) => setting(i, { varies: e.currentTarget.checked })}
				/>
				changes in play: {s.type === 'number' ? 'a counter' : 'a flag'} of each {k.name.toLowerCase()}’s own</label
			>
		{/if}
	</div>
{/snippet}

<div class="flex flex-col gap-2" role="group" aria-label="Settings">
	<h3 class="heading">Settings of each {k.name.toLowerCase()}</h3>
	{#if !settings.length}<p class="text-dim">None: all of them are alike.</p>{/if}
	{#each groups as g (g.name)}
		{@const all = g.all.filter((o) => showsIdle || !o.s.idle)}
		{#if all.length}
			<div class="flex flex-col gap-1 border-l-2 border-line pl-1" role="group" aria-label={g.name}>
				<h4 class="pl-1 text-[12px] font-semibold text-dim">{g.name}</h4>
				{#each all as o (o.s.key || o.i)}{@render row(o.s, o.i)}{/each}
			</div>
		{/if}
	{/each}
	<div class="flex flex-wrap items-center gap-2">
		{#if own}
			<button class="button" onclick={() => addSetting()}>Add a setting</button>
			<button class="button" onclick={() => addSetting('number', true)}>Add a counter</button>
			<button class="button" onclick={() => addSetting('yes/no', true)}>Add a flag</button>
		{/if}
		{#if idle.length}
			<button class="button" aria-pressed={showsIdle} onclick={() => (showsIdle = !showsIdle)}
				>{showsIdle ? 'Leave out' : 'Show'}
				{idle.length} that {idle.length === 1 ? 'does' : 'do'} nothing as the others are</button
			>
		{/if}
	</div>
</div>
