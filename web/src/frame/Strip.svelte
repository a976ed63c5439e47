<script lang="ts">
	import Check from '@lucide/svelte/icons/check'
	import CloudOff from '@lucide/svelte/icons/cloud-off'
	import ChevronDown from '@lucide/svelte/icons/chevron-down'
	import Keyboard from '@lucide/svelte/icons/keyboard'
	import Moon from '@lucide/svelte/icons/moon'
	import Play from '@lucide/svelte/icons/play'
	import Redo2 from '@lucide/svelte/icons/redo-2'
	import Search from '@lucide/svelte/icons/search'
	import Square from '@lucide/svelte/icons/square'
	import Sun from '@lucide/svelte/icons/sun'
	import Undo2 from '@lucide/svelte/icons/undo-2'
	import Upload from '@lucide/svelte/icons/upload'
	import { counted } from '../project/counted'
	import { workspace } from '../workspace/workspace.svelte'
	import NameField from '../controls/NameField.svelte'
	import Hint from '../controls/Hint.svelte'
	import ProofState from './ProofState.svelte'

	const w = workspace()
	const p = w.project
	const where = $derived(
		w.station === 'map'
			? (w.map?.name ?? 'no map yet')
			: {
					chart: 'Chart',
					tilesets: 'Tilesets',
					kinds: 'Kinds',
					rules: 'Rules',
					game: 'Game',
					check: 'Check',
					versions: 'Versions',
					share: 'Share',
				}[w.station],
	)
	let naming = $state(false)

	// "Saving" is only said when it takes a while, so that it does not flicker with every press
	let slow = $state(false)
	$effect(() => {
		if (p.saved !== 'saving') {
			slow = false
			return
		}
		const timer = setTimeout(() => (slow = true), 400)
		return () => clearTimeout(timer)
	})

	function rename(name: string) {
		naming = false
		if (name !== p.head.project.name)
			p.try('set', { ref: { type: 'project' }, field: 'name', value: name, text: 'Renamed the project' })
	}
</script>

<header
	class="flex min-h-10 items-center gap-2 border-b border-line bg-chalk pr-2 max-[560px]:gap-0.5 max-[560px]:pr-0"
>
	<a
		href="/"
		class="flex h-10 w-16 shrink-0 items-center justify-center border-r border-line hover:bg-well"
		aria-label="All projects"
	>
		<img src="/icon.svg" alt="" width="22" height="22" />
	</a>
	<div class="flex min-w-0 items-baseline gap-1.5 pl-1">
		{#if naming}
			<NameField name={p.head.project.name} label="Name of the project" class="w-56" named={rename} />
		{:else}
			<button
				class="truncate font-semibold hover:underline max-[560px]:hidden"
				title="Rename the project"
				onclick={() => (naming = true)}
			>
				{p.head.project.name}
			</button>
		{/if}
		<span class="text-dim max-[560px]:hidden">›</span>
		<h1 class="max-w-48 shrink-0 truncate max-[560px]:max-w-24 max-[560px]:shrink">{where}</h1>
	</div>
	<div
		class="flex min-w-20 shrink-0 items-center gap-1.5 pl-2 max-[1000px]:min-w-0"
		role="status"
		data-testid="saved"
		data-state={p.saved}
	>
		{#if p.saved === 'saved' || (p.saved === 'saving' && !slow)}
			<Check size={15} class="text-sage" />
			<span class="text-sage max-[560px]:sr-only">{p.saved === 'saved' ? 'Saved' : 'Saving'}</span>
		{:else if p.saved === 'saving'}
			<Upload size={15} class="text-saffron" />
			<span class="text-saffron">Saving {counted(p.waiting, 'edit')}…</span>
		{:else if p.saved === 'full'}
			<CloudOff size={15} class="text-brick" />
			<span class="font-semibold text-brick" title={p.trouble}>No room: {p.waiting} kept here</span>
		{:else if p.saved === 'parted'}
			<CloudOff size={15} class="text-brick" />
			<span class="font-semibold text-brick">Not saved any more</span>
		{:else if p.saved === 'broken'}
			<CloudOff size={15} class="text-brick" />
			<span class="font-semibold text-brick">Only to look at</span>
		{:else if p.saved === 'kept'}
			<CloudOff size={15} class="text-brick" />
			<span class="font-semibold text-brick">{counted(p.waiting, 'edit')} kept here</span>
		{:else}
			<CloudOff size={15} class="text-brick" />
			<span class="text-brick">Server away: edits are kept here</span>
		{/if}
	</div>
	<ProofState />
	<span class="grow"></span>
	<Hint
		label={p.canUndo ? `Undo: ${p.canUndo}` : 'Nothing to undo'}
		keys="Ctrl+Z"
		class="button-plain"
		disabled={!p.canUndo}
		onclick={() => void p.undo()}
	>
		<Undo2 size={17} />
	</Hint>
	<Hint
		label={p.canRedo ? `Redo: ${p.canRedo}` : 'Nothing to redo'}
		keys="Ctrl+Shift+Z"
		class="button-plain"
		disabled={!p.canRedo}
		onclick={() => void p.undo('redo')}
	>
		<Redo2 size={17} />
	</Hint>
	{#if p.people.length > 1}
		<span
			class="border-l border-line pl-2 text-cobalt"
			data-testid="people"
			title={p.people.map((o) => o.name).join(', ')}
		>
			{p.people.length} here
		</span>
	{/if}
	<button class="button w-56 shrink-0 justify-start text-dim max-[1100px]:w-auto" onclick={() => (w.finderOpen = true)}>
		<Search size={14} />
		<span class="grow text-left max-[1100px]:sr-only">Search everything</span>
		<span class="key max-[1100px]:hidden">Ctrl+K</span>
	</button>
	<Hint label="Keys that work here" keys="?" class="button-plain max-[560px]:hidden" onclick={() => (w.keysOpen = true)}
		><Keyboard size={17} /></Hint
	>
	<Hint
		label={w.theme === 'kiln' ? 'Light theme, Plaster' : 'Dark theme, Kiln'}
		class="button-plain max-[560px]:hidden"
		onclick={() => w.setTheme(w.theme === 'kiln' ? 'plaster' : 'kiln')}
	>
		{#if w.theme === 'kiln'}<Sun size={17} />{:else}<Moon size={17} />{/if}
	</Hint>
	<button
		class="button w-24 shrink-0 button-main max-[1000px]:w-auto"
		disabled={!w.map}
		onclick={() => w.playing.togglePlay()}
	>
		{#if w.play.on}<Square size={14} /> Stop{:else}<Play size={14} /> Play{/if}
		<span class="key max-[1000px]:hidden">P</span>
	</button>
	<Hint
		label="Begin otherwise: through a passage, from a pin, with flags set"
		keys="Ctrl+P"
		class="-ml-1.5 button w-7 shrink-0 px-0"
		disabled={!w.map}
		onclick={() => (w.beginOpen = true)}><ChevronDown size={15} /></Hint
	>
</header>
