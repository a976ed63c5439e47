<script lang="ts">
	import Dices from '@lucide/svelte/icons/dices'
	import { Popover } from 'bits-ui'
	import type { Scatter } from '../core/types'
	import Hint from '../controls/Hint.svelte'
	import { workspace } from '../workspace/workspace.svelte'
	import GripPicture from './GripPicture.svelte'

	// The word "scatter" of the hand sentence: odds are set where they are held.
	const w = workspace()
	const { hand } = w
	const grip = $derived(hand.grip)
	const on = $derived(grip.scatter !== undefined)
	const choices = $derived.by(() => {
		void w.project.turn
		if (grip.what !== 'tiles') return []
		return w.project.ask('choices', { grip })
	})
	const odds = $derived(grip.scatter?.odds?.length === choices.length ? grip.scatter.odds : choices.map((c) => c.odds))
	const nothing = $derived(grip.scatter?.nothing ?? 0)
	const sum = $derived(odds.reduce((a, b) => a + b, 0) + (grip.what === 'entity' ? 1 : 0) + nothing)
	const percent = (n: number) => (sum ? `${Math.round((100 * n) / sum)} %` : '–')

	const change = (to: Scatter) => hand.scatter({ ...hand.grip.scatter, ...to })
	const whole = (e: { currentTarget: HTMLInputElement }) =>
		Math.max(0, Math.min(10000, Math.trunc(e.currentTarget.valueAsNumber) || 0))
</script>

<Popover.Root>
	<Popover.Trigger class="word" aria-label="Scatter: {on ? 'on' : 'off'}">{on ? 'on' : 'off'}</Popover.Trigger>
	<Popover.Portal>
		<Popover.Content
			class="z-60 max-h-[70vh] w-[300px] overflow-y-auto border border-dim bg-chalk p-3 outline-none"
			side="top"
			align="start"
			sideOffset={6}
			role="dialog"
			aria-label="Odds of the scatter"
			trapFocus={false}
			interactOutsideBehavior="ignore"
		>
			<div class="flex flex-col gap-2" role="group" aria-label="Scatter">
				<label class="flex items-center gap-2 font-semibold">
					<input
						type="checkbox"
						class="accent-glaze"
						checked={on}
						onchange={(e) => hand.scatter(e.currentTarget.checked ? {} : undefined)}
					/>
					Draw one of what is held for each cell
				</label>
				{#if on}
					{#each choices as c, i (c.cell)}
						<label class="flex items-center gap-2">
							<GripPicture grip={{ what: 'tiles', cells: [c.cell], width: 1, shape: 'freehand' }} size={24} />
							<input
								class="field w-20 font-mono"
								type="number"
								min="0"
								max="10000"
								value={odds[i]}
								aria-label="Odds of tile {c.cell & 0xffff}"
								oninput={(e) => change({ odds: odds.with(i, whole(e)) })}
							/>
							<span class="grow text-right font-mono">{percent(odds[i])}</span>
							<span class="w-16 text-right font-mono text-dim">{w.drawn[i] ?? ''}</span>
						</label>
					{/each}
					<label class="flex items-center gap-2 border-t border-line pt-2">
						<span class="w-6 text-center text-dim" aria-hidden="true">∅</span>
						<input
							class="field w-20 font-mono"
							type="number"
							min="0"
							max="10000"
							value={nothing}
							aria-label="Odds of nothing"
							oninput={(e) => change({ nothing: whole(e) })}
						/>
						<span class="grow text-right font-mono">{percent(nothing)}</span>
						<span class="w-16 text-right font-mono text-dim">{w.drawn[choices.length] ?? ''}</span>
					</label>
					<p class="text-[12px] text-dim">
						∅ leaves a cell as it is. The last column counts what the ghost on the map would put down.
					</p>
					{#if grip.what === 'tiles'}
						<label class="flex items-center gap-2">
							<input
								type="checkbox"
								class="accent-glaze"
								checked={grip.scatter?.apart ?? false}
								onchange={(e) => change({ apart: e.currentTarget.checked })}
							/>
							Never the same beside itself
						</label>
					{/if}
					<Hint label="Draw again" keys="N" class="button" onclick={() => hand.drawAgain()}>
						<Dices size={15} /> Draw again
					</Hint>
				{/if}
			</div>
		</Popover.Content>
	</Popover.Portal>
</Popover.Root>
