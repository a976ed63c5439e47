<script lang="ts">
	import FileButton from '../controls/FileButton.svelte'
	import { languageName } from '../rules/languages'
	import { workspace } from '../workspace/workspace.svelte'
	import { fileName, keep } from './exchange'
	import { lately, left } from './lately.svelte'

	// What the player reads, as the files that translators' programs take.
	const w = workspace()
	const languages = $derived(w.project.head.project.languages ?? [])
	let chosen = $state('')
	const language = $derived(languages.includes(chosen) ? chosen : (languages[0] ?? ''))
	let wrong = $state('')

	function save() {
		const text = w.project.ask('textsAsPO', { language })
		keep(
			new Blob([text], { type: 'text/x-gettext-translation' }),
			`${fileName(w.project.head.project.name)} ${language}.po`,
		)
		left(w.project, `texts/${language}`)
	}

	async function take(file: File) {
		wrong = ''
		try {
			const made = w.project.make('takePO', { text: await file.text() })
			w.notices.say(`${made.text}.`, 'done', w.project.undoOf(made))
		} catch (e) {
			wrong = (e as Error).message
		}
	}
</script>

<div class="flex flex-wrap items-end gap-2">
	{#if languages.length}
		<label class="flex flex-col gap-1">
			<span class="text-dim">Language</span>
			<select class="field w-44" value={language} onchange={(e) => (chosen = e.currentTarget.value)}>
				{#each languages as l (l)}<option value={l}>{languageName(l)}</option>{/each}
			</select>
		</label>
		<button class="button" onclick={save}>Save as PO</button>
		{#if lately(w.project, `texts/${language}`)}
			<span class="leading-7 text-dim">{lately(w.project, `texts/${language}`)}</span>
		{/if}
	{/if}
	<FileButton
		says="Bring in a PO…"
		label="A translated file"
		accept=".po,.pot,text/x-gettext-translation"
		chosen={(file) => void take(file)}
	/>
</div>
{#if wrong}<p class="border-l-2 border-brick pl-2 text-brick" role="alert">{wrong}</p>{/if}
