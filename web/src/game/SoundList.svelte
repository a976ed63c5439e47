<script lang="ts">
	import FileButton from '../controls/FileButton.svelte'
	import { send } from '../live/http'
	import { OwnSounds } from '../play/ownSounds'
	import { workspace } from '../workspace/workspace.svelte'
	import SoundCard from './SoundCard.svelte'

	// The sounds that the designer has brought in; all else that is heard Azzel makes itself.
	const w = workspace()
	const p = w.project
	const words = p.ask('soundWords')
	let coming = $state('')

	async function take(all: Iterable<File>) {
		for (const file of all) {
			coming = file.name
			try {
				const is = await send<{ file: string; form: string; lasts: number }>(`/api/projects/${p.id}/sounds`, file)
				if (!(await OwnSounds.decoded(is.file))) {
					w.notices.say(`${file.name} cannot be read by this browser: save it again, as WAV or OGG Vorbis.`, 'wrong')
					continue
				}
				p.try('addSound', { id: '', name: file.name.replace(/\.[^.]+$/, ''), ...is })
			} catch (e) {
				w.notices.wrong(e)
			}
		}
		coming = ''
	}
</script>

<!-- svelte-ignore a11y_no_static_element_interactions -->
<div
	class="flex flex-col gap-2"
	ondragover={(e) => e.dataTransfer?.types.includes('Files') && (e.preventDefault(), e.stopPropagation())}
	ondrop={(e) => {
		e.preventDefault()
		e.stopPropagation()
		void take(e.dataTransfer?.files ?? [])
	}}
>
	{#if !p.head.sounds.length}
		<p class="text-dim">
			Everything is heard already: Azzel makes steps, doors, surf and music itself. Bring in a file, and it is heard in
			the place of what you say: for one kind, on one map, or everywhere.
		</p>
	{/if}
	{#each p.head.sounds as sound (sound.id)}<SoundCard {sound} {words} />{/each}
	<FileButton
		says={coming ? `Reading ${coming}…` : 'Bring in a sound…'}
		label="A sound: WAV, OGG, MP3 or FLAC"
		accept=".wav,.ogg,.oga,.mp3,.flac,audio/*"
		disabled={!!coming}
		chosen={(file) => void take([file])}
	/>
</div>
