<script lang="ts">
	import { lately } from './lately.svelte'
	import { workspace } from '../workspace/workspace.svelte'
	import { saveAs } from './exchange'

	// Parts of the project by themselves.
	const w = workspace()
	const forms: { form: string; name: string; end: string; is: string }[] = [
		{ form: 'maps', name: 'Maps', end: '.csv', is: 'as a table' },
		{ form: 'entities', name: 'Entities', end: '.csv', is: 'as a table' },
		{ form: 'passages', name: 'Passages and seams', end: '.csv', is: 'as a table' },
		{ form: 'flags', name: 'Flags', end: '.csv', is: 'as a table' },
		{ form: 'counters', name: 'Counters', end: '.csv', is: 'as a table' },
		{ form: 'texts', name: 'Texts', end: '.csv', is: 'as a table' },
		{ form: 'findings', name: 'Findings', end: '.csv', is: 'as a table' },
		{ form: 'rules', name: 'Rules', end: '.txt', is: 'as text' },
		{ form: 'graphml', name: 'Chart, as a graph', end: '.graphml', is: 'as GraphML' },
		{ form: 'svg', name: 'Chart, as a drawing', end: '.svg', is: 'as SVG' },
	]
	let chosen = $state('entities')
	let busy = $state(false)
	const form = $derived(forms.find((f) => f.form === chosen) ?? forms[0])
	const ends: Record<string, string> = { '.csv': 'CSV', '.txt': 'text', '.graphml': 'GraphML', '.svg': 'SVG' }

	async function save() {
		busy = true
		await saveAs(w.project, w.notices, `export/${form.form}`, ` ${form.form}${form.end}`, form.is)
		busy = false
	}
</script>

<div class="flex flex-wrap items-end gap-2">
	<label class="flex flex-col gap-1">
		<span class="text-dim">What</span>
		<select class="field w-52" bind:value={chosen}>
			{#each forms as f (f.form)}<option value={f.form}>{f.name}</option>{/each}
		</select>
	</label>
	<button class="button" disabled={busy} onclick={() => void save()}>Save as {ends[form.end]}</button>
	<span class="leading-7 text-dim">{lately(w.project, `export/${form.form}`)}</span>
</div>
