<script lang="ts">
	import { Dialog } from 'bits-ui'
	import { type GameInput, gameInputs, gameKeys, keyWord } from '../workspace/gameKeys.svelte'
	import { keys, named } from '../controls/keys.svelte'
	import { workspace } from '../workspace/workspace.svelte'
	import { actions } from './actions'

	// The keys that work here and now, and what the mouse does.
	const w = workspace()
	const order = ['Hand', 'Selection', 'Map', 'Entities', 'Play', 'View', 'Project'] as const
	interface Line {
		what: string
		/** The keys, and whether another can be given. */
		keys: Cap[]
	}
	/** A key as it is shown: what it is by default or, of the game, which of its input it is; and whether another can be given. */
	interface Cap {
		usual: string
		own: boolean
		now?: string
		game?: { input: GameInput; n: number }
	}
	const fixed = (list: string[][]): Line[] =>
		list.map(([k, what]) => ({ what, keys: k.split(' / ').map((usual) => ({ usual, own: false })) }))
	const groups = $derived.by(() => {
		if (!w.keysOpen) return []
		const now = actions(w).filter(
			(a) => a.keys && (a.when?.() ?? true) && !/^(Hold|Keep what is held in) slot/.test(a.name),
		)
		return order.map((g) => ({
			name: g as string,
			lines: now
				.filter((a) => a.group === g)
				.map((a): Line => ({ what: a.name, keys: a.keys!.map((usual) => ({ usual, own: keys.canChange(usual) })) })),
		}))
	})
	/** The key that gets another one with the next press. */
	let changing = $state.raw<Cap | null>(null)
	const same = (a: Cap | null, b: Cap) => a?.usual === b.usual && a.game?.input === b.game?.input
	let told = $state('')

	function take(e: KeyboardEvent) {
		if (!changing) return
		const next = named(e)
		if (['Shift', 'Control', 'Alt', 'Meta', 'Ctrl+Control', 'Ctrl+Meta', 'Tab'].includes(next)) return
		e.preventDefault()
		e.stopPropagation()
		told = ''
		if (next !== 'Esc') {
			const { game, usual } = changing
			const done = game ? gameKeys.change(game.input, game.n, e.code) : keys.change(usual, next)
			if (!done) told = `${next} keeps what it does: choose another key.`
		}
		if (!told) changing = null
	}

	const canvas = fixed([
		['Arrows', 'Move the cell cursor (Shift: by 8)'],
		['Enter', 'Put down at the cursor; lines and boxes begin and end'],
		['Del', 'Remove at the cursor, with the same shape'],
		['Alt+Arrows', 'Move what is selected'],
		['Shift+drag', 'Square boxes, round ovals, straight lines'],
		['Alt+press', 'Pick up what is there'],
		['1 – 0', 'Hold a slot of the tray (Shift+1 – 5 keeps)'],
		['Space+drag', 'Move the view; so does the middle button'],
		['Ctrl+wheel', 'Zoom at the pointer'],
		['Esc', 'Cancel the press, close, let go'],
	])
	const playing = $derived<Line[]>([
		...gameInputs.map(({ input, name }) => ({
			what: name,
			keys: gameKeys.of(input).map((code, n) => ({ usual: code, now: keyWord(code), own: true, game: { input, n } })),
		})),
		...fixed([
			[
				'Gamepad',
				'The stick walks, the lower button jumps, those beside it use, the upper leads another hero, the shoulders take items in hand',
			],
			['Press', 'Walk there by the shortest way, seen from above'],
			['P / Esc', 'Back to the map'],
		]),
	])
</script>

<Dialog.Root bind:open={w.keysOpen} onOpenChange={() => ([changing, told] = [null, ''])}>
	<Dialog.Portal>
		<Dialog.Overlay class="fixed inset-0 z-40 bg-[#0b1011]/55" />
		<Dialog.Content
			class="cut fixed top-1/2 left-1/2 z-50 flex max-h-[86vh] w-[min(860px,92vw)] -translate-x-1/2 -translate-y-1/2 flex-col outline-none"
			preventScroll={false}
			onkeydown={take}
			onEscapeKeydown={(e) => changing && e.preventDefault()}
		>
			<div class="min-h-0 overflow-y-auto p-5">
				<Dialog.Title class="text-[16px] font-semibold">Keys that work here</Dialog.Title>
				<Dialog.Description class="text-dim">
					{w.keysAnywhere
						? 'Single keys work wherever nothing is typed and no menu is open.'
						: 'Single keys work while the map has the focus.'}
				</Dialog.Description>
				<p class="text-dim">Press a filled key to give the action another one; what had that one takes the old.</p>
				<p class="min-h-5 text-brick" role="alert">{told}</p>
				<label class="mb-3 flex items-center gap-2">
					<input
						type="checkbox"
						class="accent-glaze"
						checked={!w.keysAnywhere}
						onchange={(e) => w.setKeys(!e.currentTarget.checked)}
					/>
					single keys only on the map
				</label>
				<div class="columns-2 gap-8">
					{#each [w.play.on ? { name: 'In the game', lines: playing } : { name: 'On the map', lines: canvas }, ...groups] as g (g.name)}
						{#if g.lines.length}
							<section class="mb-4 break-inside-avoid">
								<h3 class="mb-1 heading">{g.name}</h3>
								<dl>
									{#each g.lines as l (l.what)}
										<div class="flex items-baseline gap-3 py-0.5">
											<dt class="w-36 shrink-0">
												{#each l.keys as k (k.usual)}
													{#if k.own}
														<button
															class="mr-1 inline-block min-h-6 min-w-6 key {same(changing, k)
																? 'bg-held text-[#1e2a2e]'
																: !k.game && keys.isOwn(k.usual)
																	? 'bg-well text-glaze'
																	: 'bg-well hover:text-glaze'}"
															aria-label="Key {k.now ?? keys.now(k.usual)} of {l.what}: press to change it"
															title={!k.game && keys.isOwn(k.usual)
																? `By default ${k.usual}`
																: 'Press to give it another key'}
															onclick={() => ([changing, told] = [k, ''])}
															>{same(changing, k) ? 'press a key…' : (k.now ?? keys.now(k.usual))}</button
														>
													{:else}
														<span class="mr-1 inline-block key">{k.usual}</span>
													{/if}
												{/each}
											</dt>
											<dd>{l.what}</dd>
										</div>
									{/each}
								</dl>
							</section>
						{/if}
					{/each}
				</div>
				<div class="flex gap-2">
					<Dialog.Close class="button">Close</Dialog.Close>
					{#if keys.changed || gameKeys.changed}
						<button class="button" onclick={() => (keys.reset(), gameKeys.reset())}
							>All keys as they were at first</button
						>
					{/if}
				</div>
			</div>
		</Dialog.Content>
	</Dialog.Portal>
</Dialog.Root>
