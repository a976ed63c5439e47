<script lang="ts">
	import CircleHelp from '@lucide/svelte/icons/circle-question-mark'
	import FlagOff from '@lucide/svelte/icons/flag-off'
	import FlagTriangleRight from '@lucide/svelte/icons/flag-triangle-right'
	import Hint from '../controls/Hint.svelte'
	import { counted } from '../project/counted'
	import { workspace } from '../workspace/workspace.svelte'

	// Whether the game can be finished, as it stands now.
	const w = workspace()
	const { proving } = w
	const answer = $derived(proving.answer)

	const says = $derived(
		answer
			? `can be finished${answer.lucky ? ' with luck' : ''}${answer.fewest ? ' in' : ', at most'} ${counted(answer.steps, 'step')}`
			: '',
	)

	/** One line, or two small ones on an upright tablet. */
	const words =
		'truncate max-[1000px]:line-clamp-2 max-[1000px]:text-left max-[1000px]:text-[12px] max-[1000px]:leading-tight max-[1000px]:whitespace-normal max-[560px]:sr-only'

	function go() {
		if (answer?.is === 'can') w.playing.showWalk()
		else if (answer?.entity) w.goTo(answer.map, answer.entity)
		else w.open('check')
	}
</script>

{#if answer && answer.is !== 'nothing'}
	<div class="flex min-w-0 shrink-[4] items-center max-[1000px]:max-w-34" role="status" data-testid="proof">
		{#if answer.is === 'can'}
			<Hint
				label="{says}: see the walk that was played to the goal"
				class="flex h-7 min-w-0 items-center gap-1.5 px-1.5 hover:bg-well disabled:hover:bg-transparent max-[1000px]:h-9 {proving.busy
					? 'text-dim'
					: 'text-sage'}"
				disabled={proving.busy || !w.map}
				onclick={go}
			>
				<FlagTriangleRight size={15} class="shrink-0" />
				<span class={words}>{says}</span>
			</Hint>
		{:else if answer.is === 'cannot'}
			<Hint
				label="cannot: {answer.why}. Show it"
				class="flex h-7 min-w-0 items-center gap-1.5 px-1.5 hover:bg-well disabled:hover:bg-transparent max-[1000px]:h-9 {proving.busy
					? 'text-dim'
					: 'text-brick'}"
				onclick={go}
			>
				<FlagOff size={15} class="shrink-0" />
				<span class={words}>cannot: {answer.why}</span>
			</Hint>
		{:else}
			<Hint
				label="Not decided: {answer.why}. See what was tried"
				class="flex h-7 min-w-0 items-center gap-1.5 px-1.5 text-dim hover:bg-well max-[1000px]:h-9"
				onclick={() => w.open('check')}
			>
				<CircleHelp size={15} class="shrink-0" />
				<span class={words}>not decided: {answer.why}</span>
			</Hint>
		{/if}
		{#if proving.checking.refuted}
			<button class="shrink-0 px-1.5 font-semibold text-brick hover:underline" onclick={() => w.open('check')}
				>{counted(proving.checking.refuted, 'expectation')} refuted</button
			>
		{/if}
	</div>
{:else if !answer && proving.busy && w.project.head.maps.length}
	<div class="flex min-w-0 shrink-[4] items-center px-1.5 text-dim" role="status">
		<span class="truncate">looking for a walk…</span>
	</div>
{/if}
