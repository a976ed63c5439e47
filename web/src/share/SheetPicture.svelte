<script lang="ts">
	import { Pictures } from '../draw/pictures'
	import { workspace } from '../workspace/workspace.svelte'
	import { fileName, keep, saveAs } from './exchange'

	// The sheet of a tileset as the PNG that it is, or with all that was set up; and a motif with what it is made of.
	const w = workspace()
	let chosen = $state('')
	const sets = $derived(w.project.head.tilesets)
	const t = $derived(sets.find((o) => o.id === chosen) ?? sets[0])

	let motifId = $state('')
	const motifs = $derived(w.project.head.motifs)
	const motif = $derived(motifs.find((o) => o.id === motifId) ?? motifs[0])

	async function save() {
		try {
			keep(await Pictures.source(t.picture), `${fileName(t.name)}.png`)
			w.notices.say(`The sheet of ${t.name} is saved, ${t.width} × ${t.height} pixels.`, 'done')
		} catch (e) {
			w.notices.wrong(e)
		}
	}
</script>

{#if t}
	<div class="flex flex-wrap items-end gap-3 border-t border-line pt-3">
		<label class="flex flex-col gap-1">
			<span class="text-dim">Tileset</span>
			<select class="field w-44" value={t.id} onchange={(e) => (chosen = e.currentTarget.value)}>
				{#each sets as o (o.id)}<option value={o.id}>{o.name}</option>{/each}
			</select>
		</label>
		<button class="button" onclick={() => void save()}>Save its sheet</button>
		<button
			class="button"
			title="A ZIP of the sheet and all that was set up on it: solid parts, materials, zones, animation, odds, tags"
			onclick={() => void saveAs(w.project, w.notices, `export/tileset/${t.id}`, '.zip', 'with its set-up', t.name)}
			>With its set-up</button
		>
		<span class="font-mono text-[12px] leading-7 text-dim">{t.width} × {t.height}</span>
	</div>
{/if}
{#if motif}
	<div class="flex flex-wrap items-end gap-3 border-t border-line pt-3">
		<label class="flex flex-col gap-1">
			<span class="text-dim">Motif</span>
			<select class="field w-44" value={motif.id} onchange={(e) => (motifId = e.currentTarget.value)}>
				{#each motifs as o (o.id)}<option value={o.id}>{o.name}</option>{/each}
			</select>
		</label>
		<button
			class="button"
			title="A ZIP of the motif, with the tilesets, materials and kinds that are in it"
			onclick={() => void saveAs(w.project, w.notices, `export/motif/${motif.id}`, '.zip', 'by itself', motif.name)}
			>Save the motif</button
		>
	</div>
{/if}
