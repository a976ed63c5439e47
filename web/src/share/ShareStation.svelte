<script lang="ts">
	import Gamepad2 from '@lucide/svelte/icons/gamepad-2'
	import Table from '@lucide/svelte/icons/table-2'
	import Languages from '@lucide/svelte/icons/languages'
	import PackageOpen from '@lucide/svelte/icons/package-open'
	import PackagePlus from '@lucide/svelte/icons/package-plus'
	import Picture from '@lucide/svelte/icons/image'
	import FileButton from '../controls/FileButton.svelte'
	import { workspace } from '../workspace/workspace.svelte'
	import { bring, saveFolder, savePage, saveZip, takeOver, type Brought } from './exchange'
	import { lately } from './lately.svelte'
	import SaveButton from './SaveButton.svelte'
	import Differences from './Differences.svelte'
	import Translations from './Translations.svelte'
	import Lists from './Lists.svelte'
	import SheetPicture from './SheetPicture.svelte'
	import MapPicture from './MapPicture.svelte'

	// What leaves Azzel, and what comes back from elsewhere.
	const w = workspace()
	const p = w.project
	let reading = $state('')
	let brought = $state.raw<Brought | null>(null)
	let wrong = $state('')
	/** What would change was told of another state of the project than it is in now. */
	const stale = $derived(brought !== null && brought.turn !== p.turn)

	const counts = $derived.by(() => {
		const { head } = p
		const of = (n: number, one: string, more = one + 's') => (n ? [`${n} ${n === 1 ? one : more}`] : [])
		return [
			...of(head.maps.length, 'map'),
			...of(head.tilesets.length, 'tileset'),
			...of(head.materials.length, 'material'),
			...of(head.motifs.length, 'motif'),
			...of(head.rules.length, 'rule'),
		].join(' · ')
	})

	const unknown = $derived(p.head.project.kept?.length ?? 0)

	async function choose(file: File | undefined) {
		if (!file) return
		;[reading, brought, wrong] = [file.name, null, '']
		try {
			brought = await bring(p, file)
		} catch (e) {
			wrong = (e as Error).message
		} finally {
			reading = ''
		}
	}

	function take() {
		if (!brought) return
		try {
			const made = takeOver(p, brought)
			w.notices.say(`The project is as ${brought.name} has it.`, 'done', p.undoOf(made))
			brought = null
		} catch (e) {
			w.notices.wrong(e)
		}
	}
</script>

<main class="min-h-0 overflow-y-auto" aria-label="Share">
	<div class="mx-auto grid max-w-[1200px] grid-cols-[repeat(auto-fit,minmax(380px,1fr))] items-start gap-6 p-6">
		<section class="flex flex-col gap-6" aria-labelledby="takes-out">
			<h2 id="takes-out" class="heading">For everybody</h2>
			<article class="cut">
				<div class="flex flex-col items-start gap-3 p-5">
					<h3 class="flex items-center gap-2 text-[15px] font-semibold"><PackageOpen size={18} /> The whole project</h3>
					<p>
						One ZIP of files that people read, programs parse and version control compares: JSON for what is set up, a
						CSV for the cells of each layer, rules as text, pictures as PNG. It comes back just as it left.
					</p>
					<p class="text-dim">{counts || 'Nothing is in it yet.'}</p>
					{#if unknown}
						<p class="text-dim" data-testid="kept">
							{unknown === 1 ? 'One field' : `${unknown} fields`} of its files {unknown === 1 ? 'is' : 'are'} known to other
							programs only: kept, and written again where {unknown === 1 ? 'it' : 'they'} stood.
						</p>
					{/if}
					<div class="flex items-center gap-3">
						<SaveButton main says="Save as a ZIP" save={(leaving) => saveZip(p, w.notices, leaving)} />
						<span class="text-dim">{lately(p, 'export')}</span>
						{#if p.saved !== 'saved'}<span class="text-dim" role="status"
								>What is not saved yet is not in it: wait a moment.</span
							>{/if}
					</div>
				</div>
			</article>
			<article class="cut">
				<div class="flex flex-col items-start gap-3 p-5">
					<h3 class="flex items-center gap-2 text-[15px] font-semibold"><Gamepad2 size={18} /> A page that plays</h3>
					<p>
						One HTML file that anybody plays at a double click: no server, no installing, nothing that it asks for from
						elsewhere. Keys, fingers and gamepads play. Pins and recordings stay with you.
					</p>
					<div class="flex flex-wrap items-center gap-2">
						<SaveButton says="Save the page" save={(leaving) => savePage(p, w.notices, leaving)} />
						<SaveButton
							says="For a web server"
							title="A ZIP of a folder for a web server: there it can be installed, and plays without a network"
							save={(leaving) => saveFolder(p, w.notices, leaving)}
						/>
						<a class="button" href="/api/projects/{p.id}/page" target="_blank" rel="noopener">Try it in a new tab</a>
						<span class="text-dim">{lately(p, 'page')}</span>
					</div>
				</div>
			</article>
			<article class="cut">
				<div class="flex flex-col gap-3 p-5">
					<h3 class="flex items-center gap-2 text-[15px] font-semibold"><Picture size={18} /> A map as a picture</h3>
					<MapPicture />
					<SheetPicture />
				</div>
			</article>
		</section>
		<section class="flex flex-col gap-6" aria-labelledby="comes-in">
			<h2 id="comes-in" class="heading">For those you work with</h2>
			<article class="cut">
				<div
					class="flex flex-col items-start gap-3 p-5"
					role="group"
					aria-label="Bring in a ZIP"
					ondragover={(e) => e.dataTransfer?.types.includes('Files') && (e.preventDefault(), e.stopPropagation())}
					ondrop={(e) => {
						e.preventDefault()
						e.stopPropagation()
						void choose(e.dataTransfer?.files[0])
					}}
				>
					<h3 class="flex items-center gap-2 text-[15px] font-semibold">
						<PackagePlus size={18} /> Over this project
					</h3>
					<p>
						A ZIP of this project that was changed elsewhere, by hand or by a program. You see first what would be
						otherwise; then it is one step, which one undo turns back.
					</p>
					<FileButton
						says={reading ? `Reading ${reading}…` : 'Choose a ZIP…'}
						label="A ZIP of a project"
						accept=".zip,application/zip"
						disabled={!!reading}
						chosen={(file) => void choose(file)}
					/>
					{#if wrong}<p class="border-l-2 border-brick pl-2 text-brick" role="alert">{wrong}</p>{/if}
					{#if brought}
						<div class="flex w-full flex-col gap-3 border-t border-line pt-3" role="status">
							{#if brought.changes.length}
								<p><b>{brought.name}</b> would change this:</p>
								<Differences changes={brought.changes} maps={brought.maps} />
								{#if stale}<p class="border-l-2 border-brick pl-2 text-brick">
										The project has changed since this was looked at: look again, so that nothing of that is lost
										unseen.
									</p>{/if}
								<div class="flex gap-2">
									{#if stale}
										<button class="button button-main" onclick={() => brought && void choose(brought.file)}
											>Look again</button
										>
									{:else}
										<button class="button button-main" onclick={take}>Take it over</button>
									{/if}
									<button class="button" onclick={() => (brought = null)}>Leave it</button>
								</div>
							{:else}
								<p><b>{brought.name}</b> holds just what this project is: there is nothing to bring in.</p>
							{/if}
							{#if brought.kept.length}
								<ul class="flex flex-col gap-1 text-dim" aria-label="Kept">
									{#each brought.kept as told (told)}<li>{told}</li>{/each}
								</ul>
							{/if}
						</div>
					{/if}
				</div>
			</article>
			<p class="text-dim">
				To have it as a project of its own, open <a class="underline" href="/">all projects</a> and bring it in there.
			</p>
			<article class="cut">
				<div class="flex flex-col items-start gap-3 p-5">
					<h3 class="flex items-center gap-2 text-[15px] font-semibold"><Languages size={18} /> For translators</h3>
					<p>
						All that the player reads, as a gettext PO file: with where each text stands, how much room it has, and what
						was changed since. What comes back is one step, and a language that is new comes with it.
					</p>
					<Translations />
				</div>
			</article>
			<article class="cut">
				<div class="flex flex-col items-start gap-3 p-5">
					<h3 class="flex items-center gap-2 text-[15px] font-semibold">
						<Table size={18} /> Lists, rules and the chart
					</h3>
					<p>Parts of the project by themselves: as tables, as text, as a graph or a drawing.</p>
					<Lists />
				</div>
			</article>
		</section>
	</div>
</main>
