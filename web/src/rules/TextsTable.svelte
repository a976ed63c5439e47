<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus'
	import X from '@lucide/svelte/icons/x'
	import Hint from '../controls/Hint.svelte'
	import SearchField from '../controls/SearchField.svelte'
	import { counted } from '../project/counted'
	import { languageName } from './languages'
	import { workspace } from '../workspace/workspace.svelte'
	import TextCell from './TextCell.svelte'

	// All that the player reads, a column a language, each checked against the message box while it is written.
	const w = workspace()
	/** Rows that are shown at once. */
	const page = 100
	let wanted = $state('')
	let only = $state('all')
	let tag = $state('')
	let most = $state(page)
	const list = $derived.by(() => {
		void w.project.turn
		return w.project.ask('texts', { words: wanted, only: only === 'all' ? '' : only, most })
	})

	/** Short names that are offered while one types; any other can be written. */
	const usual = 'ar cs da de el en es fi fr he hi hu id it ja ko nb nl pl pt pt-BR ro ru sv th tr uk vi zh-Hans zh-Hant'

	function name(as: 'addLanguage' | 'writtenIn') {
		// what is refused is put back, and told
		if (tag.trim()) w.project.try(as, { language: tag })
		tag = ''
	}
</script>

<section aria-label="Texts" data-testid="texts">
	<div class="mb-3 flex flex-wrap items-center gap-2">
		<SearchField bind:value={wanted} label="Find a text" class="w-44" />
		<label class="flex items-center gap-2 text-dim"
			>Show
			<select class="field" bind:value={only} aria-label="Which texts are shown">
				<option value="all">all of {list.all}</option>
				{#each list.languages as l, i (l)}<option value={l}>not in {languageName(l)} yet ({list.missing[i]})</option
					>{/each}
				<option value="unsure">changed since</option>
				<option value="room">short of room</option>
			</select></label
		>
		<span class="grow"></span>
		<form
			class="flex items-center gap-1"
			onsubmit={(e) => {
				e.preventDefault()
				name('addLanguage')
			}}
		>
			<input
				class="field w-32"
				bind:value={tag}
				maxlength="24"
				placeholder="de, pt-BR …"
				list="usual-languages"
				aria-label="Short name of a language"
			/>
			<datalist id="usual-languages">
				{#each usual.split(' ') as l (l)}<option value={l}>{languageName(l)}</option>{/each}
			</datalist>
			<button class="button"><Plus size={15} /> Add a language</button>
			<button type="button" class="button" disabled={!tag.trim()} onclick={() => name('writtenIn')}
				>Texts are written in it</button
			>
		</form>
	</div>
	<div class="overflow-x-auto">
		<table class="w-full table-fixed border-collapse text-left" style:min-width="{(list.languages.length + 1) * 200}px">
			<thead>
				<tr class="border-b border-line">
					<th class="py-1 pr-3 font-semibold">{languageName(list.language)}</th>
					{#each list.languages as l, i (l)}
						<th class="py-1 pr-3 font-semibold">
							<span class="flex items-center gap-2"
								>{languageName(l)}
								<span class="font-normal text-dim">{list.missing[i] ? `${list.missing[i]} missing` : 'complete'}</span
								><span class="grow"></span>
								<Hint
									label="Not in {languageName(l)} any more; what is said in it is kept"
									class="button-plain"
									onclick={() => w.project.try('dropLanguage', { language: l })}><X size={14} /></Hint
								></span
							>
						</th>
					{/each}
				</tr>
			</thead>
			<tbody>
				{#each list.texts as t (t.text)}
					<tr class="border-b border-line/60 align-top [contain-intrinsic-size:auto_64px] [content-visibility:auto]">
						<td class="py-2 pr-3">
							<TextCell
								text={t.text}
								room={t.room}
								is={t.is}
								label="Text"
								fixed={t.fixed}
								keep={(to) => !!w.project.try('rewriteText', { of: t.text, to })}
							/>
							<p class="mt-0.5 truncate text-[12px] text-dim" title={t.where.join('\n')}>
								{t.where[0]}{t.where.length > 1 ? `, and ${counted(t.where.length - 1, 'more place')}` : ''}
							</p>
						</td>
						{#each list.languages as l, i (l)}
							{@const said = t.in[i]}
							<td class="py-2 pr-3">
								<TextCell
									text={said.says}
									room={said.room}
									is={t.is}
									label="“{t.text}” in {languageName(l)}"
									unsure={said.unsure}
									keep={(to) => !!w.project.try('wordText', { language: l, of: t.text, says: to })}
								/>
							</td>
						{/each}
					</tr>
				{/each}
			</tbody>
		</table>
	</div>
	{#if !list.all}
		<p class="mt-3 text-dim">Nothing is read yet: give a sign something to say, or a rule the step “say a line”.</p>
	{:else if !list.found}
		<p class="mt-3 text-dim">No text is like that.</p>
	{:else if list.found > most}
		<button class="mt-3 button" onclick={() => (most += page)}>Show {Math.min(page, list.found - most)} more</button>
	{/if}
	{#if list.lost.length}
		<div class="mt-6" data-testid="lost">
			<div class="mb-1 flex items-center gap-3">
				<h3 class="heading">Of texts that stand nowhere any more</h3>
				<button class="button" onclick={() => w.project.try('dropWordings')}>Remove them</button>
			</div>
			<ul class="flex flex-col gap-1">
				{#each list.lost.slice(0, page) as l (l.id)}
					<li class="flex items-baseline gap-2">
						<span class="key">{l.language}</span>
						<span class="min-w-0 truncate">{l.says}</span>
						<span class="min-w-0 truncate text-dim">was “{l.of}”</span>
						<select
							class="ml-auto field"
							aria-label="Take “{l.says}” over for another text"
							value=""
							onchange={(e) => w.project.try('takeWording', { id: l.id, to: e.currentTarget.value })}
						>
							<option value="">take it over for …</option>
							{#each list.lacks[list.languages.indexOf(l.language)] ?? [] as text (text)}<option value={text}
									>{text.slice(0, 60)}</option
								>{/each}
						</select>
					</li>
				{/each}
			</ul>
		</div>
	{/if}
</section>
