<script lang="ts">
	import { Pictures } from '../draw/pictures'
	import { workspace } from '../workspace/workspace.svelte'
	import { fileName, keep } from './exchange'

	// The sheet of a tileset as the PNG that it is.
	const w = workspace()
	let chosen = $state('')
	const sets = $derived(w.project.head.tilesets)
	const t = $derived(sets.find((o) => o.id === chosen) ?? sets[0])

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
		<span class="font-mono text-[12px] leading-7 text-dim">{t.width} × {t.height}</span>
	</div>
{/if}
