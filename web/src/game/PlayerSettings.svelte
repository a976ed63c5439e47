<script lang="ts">
	import { type GameInput, gameKeys, keyWord } from '../workspace/gameKeys.svelte'
	import { languageName } from '../rules/languages'
	import Plate from './Plate.svelte'
	import type { Player } from './player.svelte'

	// What the player wants otherwise: language, how loud, letters, motion, keys.
	let { player }: { player: Player } = $props()
	const languages = $derived([player.info.language, ...player.info.languages])
	const volumes = ['music', 'surroundings', 'sounds'] as const
	const sizes = ['small', 'normal', 'large'] as const
	const shown = $derived<GameInput[]>([
		'up',
		'left',
		'down',
		'right',
		'use',
		...(player.info.sides ? (['jump'] as const) : []),
		...(player.info.heroes ? (['swap'] as const) : []),
		'next',
		'skip',
	])
	let waits = $state('')

	function take(e: KeyboardEvent, input: GameInput) {
		if (waits !== input) return
		e.preventDefault()
		e.stopPropagation()
		if (e.code === 'Escape' || gameKeys.change(input, 0, e.code)) waits = ''
	}
</script>

<Plate heading={player.word('settings')} wide>
	<div class="flex flex-col gap-3">
		{#if languages.length > 1}
			<label class="grid grid-cols-[11rem_1fr] items-center gap-2"
				>{player.word('language')}
				<select
					class="field h-9"
					value={player.language || player.info.language}
					onchange={(e) =>
						player.want({ language: e.currentTarget.value === player.info.language ? '' : e.currentTarget.value })}
				>
					{#each languages as tag (tag)}<option value={tag} lang={tag}>{languageName(tag, tag)}</option>{/each}
				</select>
			</label>
		{/if}
		{#each volumes as v (v)}
			<label class="grid grid-cols-[11rem_1fr_2rem] items-center gap-2"
				>{player.word(v)}
				<input
					type="range"
					class="accent-glaze"
					min="0"
					max="10"
					value={player.wants[v]}
					oninput={(e) => player.want({ [v]: e.currentTarget.valueAsNumber })}
				/>
				<span class="text-right font-mono">{player.wants[v]}</span></label
			>
		{/each}
		<label class="grid grid-cols-[11rem_1fr] items-center gap-2"
			>{player.word('letters')}
			<select
				class="field h-9"
				value={player.wants.letters || player.info.is.textSize}
				onchange={(e) => player.want({ letters: e.currentTarget.value as (typeof sizes)[number] })}
			>
				{#each sizes as s (s)}<option value={s}>{player.word(s)}</option>{/each}
			</select>
		</label>
		<label class="flex items-center gap-2"
			><input
				type="checkbox"
				class="accent-glaze"
				checked={player.wants.lessMotion}
				onchange={(e) => player.want({ lessMotion: e.currentTarget.checked })}
			/>{player.word('lessMotion')}</label
		>
		<label class="flex items-center gap-2"
			><input
				type="checkbox"
				class="accent-glaze"
				checked={player.wants.noFlicker}
				onchange={(e) => player.want({ noFlicker: e.currentTarget.checked })}
			/>{player.word('noFlicker')}</label
		>
		<section aria-label={player.word('keys')}>
			<h2 class="mb-1 font-semibold">{player.word('keys')}</h2>
			<ul class="grid grid-cols-[repeat(auto-fill,minmax(13rem,1fr))] gap-x-6 gap-y-1">
				{#each shown as input (input)}
					{@const name = input === 'next' ? player.word('next') : player.word(input)}
					<li class="flex items-center justify-between gap-2">
						{name}
						<button
							class="button min-w-16"
							aria-label="{name}: {keyWord(gameKeys.of(input)[0])}"
							onclick={() => (waits = waits === input ? '' : input)}
							onkeydown={(e) => take(e, input)}
							onblur={() => (waits = '')}
							>{waits === input ? player.word('press') : keyWord(gameKeys.of(input)[0])}</button
						>
					</li>
				{/each}
			</ul>
		</section>
	</div>
	<button class="mx-auto button h-10 min-w-40" onclick={() => player.back()}>{player.word('back')}</button>
</Plate>
