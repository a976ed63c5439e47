<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus'
	import X from '@lucide/svelte/icons/x'
	import type { Property } from '../core/types'
	import { workspace } from '../workspace/workspace.svelte'
	import PropertyField from './PropertyField.svelte'

	// Properties of the designer's own, each with its type and the value that holds where none is set.
	let {
		properties,
		title,
		change,
		types,
		word = 'property',
	}: {
		properties: Property[]
		title: string
		change: (properties: Property[]) => void
		/** What they can be; the types of properties by themselves. */
		types?: string[]
		/** What one of them is called. */
		word?: string
	} = $props()
	const w = workspace()
	const first: Record<string, string> = { number: '0', duration: '0', 'yes/no': 'no', colour: '#ffffff' }

	const put = (i: number, to: Partial<Property>) => change(properties.map((p, k) => (k === i ? { ...p, ...to } : p)))

	// the core names what is new
	const add = () => change([...properties, { name: '', type: 'text', default: '', choices: [] }])

	function retype(i: number, type: string) {
		const choices = type === 'choice' ? ['first', 'second'] : []
		put(i, { type, choices, default: choices[0] ?? first[type] ?? '' })
	}

	function rechoose(i: number, text: string) {
		const choices = text
			.split(',')
			.map((s) => s.trim())
			.filter((s) => s)
		const now = properties[i].default
		put(i, { choices, default: choices.includes(now) ? now : (choices[0] ?? '') })
	}
</script>

<details open={properties.length > 0}>
	<summary class="cursor-pointer heading">{title}{properties.length ? ` (${properties.length})` : ''}</summary>
	<div class="flex flex-col gap-1.5 pt-1.5" role="group" aria-label={title}>
		{#each properties as p, i (i)}
			<div class="flex flex-col gap-1 border-l-2 border-line pl-2">
				<div class="flex gap-1">
					{#key p.name}
						<input
							class="field min-w-0 grow"
							value={p.name}
							maxlength="80"
							aria-label="Name of {word} {i + 1}"
							onchange={(e) => put(i, { name: e.currentTarget.value })}
						/>
					{/key}
					<select
						class="field w-20"
						value={p.type}
						aria-label="Type of {p.name}"
						onchange={(e) => retype(i, e.currentTarget.value)}
					>
						{#each types ?? w.project.head.propertyTypes as type (type)}<option value={type}>{type}</option>{/each}
					</select>
					<button
						class="button-plain hover:text-brick"
						aria-label="Take {word} {p.name} away"
						onclick={() => change(properties.filter((_, k) => k !== i))}><X size={14} /></button
					>
				</div>
				{#if p.type === 'choice'}
					{#key p.choices?.join()}
						<input
							class="field"
							value={p.choices?.join(', ')}
							aria-label="Choices of {p.name}"
							onchange={(e) => rechoose(i, e.currentTarget.value)}
						/>
					{/key}
				{/if}
				<PropertyField
					property={p}
					value={p.default}
					label="Value of {p.name}"
					change={(v) => put(i, { default: v })}
				/>
			</div>
		{/each}
		<button class="button self-start" onclick={add}><Plus size={14} /> Add a {word}</button>
	</div>
</details>
