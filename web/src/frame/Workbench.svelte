<script lang="ts">
	import ChevronsRight from '@lucide/svelte/icons/chevrons-right'
	import { Tooltip } from 'bits-ui'
	import Cabinet from '../cabinet/Cabinet.svelte'
	import GameStation from '../game/GameStation.svelte'
	import ChartStation from '../chart/ChartStation.svelte'
	import CheckStation from '../check/CheckStation.svelte'
	import Shown from '../check/Shown.svelte'
	import KindBeside from '../kinds/KindBeside.svelte'
	import KindsStation from '../kinds/KindsStation.svelte'
	import MiniMap, { miniMapHigh } from '../canvas/MiniMap.svelte'
	import MapCanvas from '../canvas/MapCanvas.svelte'
	import HandSentence from '../hand/HandSentence.svelte'
	import Tray from '../hand/Tray.svelte'
	import JoinDialog from '../passages/JoinDialog.svelte'
	import LookThrough from '../passages/LookThrough.svelte'
	import BeginSheet from '../play/BeginSheet.svelte'
	import AskPanel from '../rules/AskPanel.svelte'
	import PlayScreen from '../play/PlayScreen.svelte'
	import TimeBar from '../play/TimeBar.svelte'
	import ShareStation from '../share/ShareStation.svelte'
	import RulesStation from '../rules/RulesStation.svelte'
	import DepthView from '../stack/DepthView.svelte'
	import MapSheet from '../stack/MapSheet.svelte'
	import SeenChoice from '../controls/SeenChoice.svelte'
	import Stack from '../stack/Stack.svelte'
	import { Intake } from '../tilesets/intake.svelte'
	import StarterOffer from '../tilesets/StarterOffer.svelte'
	import VersionsStation from '../versions/VersionsStation.svelte'
	import TilesetsStation from '../tilesets/TilesetsStation.svelte'
	import type { Panel } from '../workspace/layout.svelte'
	import { giveWorkspace, type Workspace } from '../workspace/workspace.svelte'
	import { visited } from '../controls/regions'
	import { keepAddress } from './address.svelte'
	import { forMap, grabKey, runKey, typing } from './actions'
	import Finder from './Finder.svelte'
	import Hint from '../controls/Hint.svelte'
	import KeySheet from './KeySheet.svelte'
	import NoticeList from './NoticeList.svelte'
	import Refused from './Refused.svelte'
	import Rail from './Rail.svelte'
	import StateBar from './StateBar.svelte'
	import StatusLine from './StatusLine.svelte'
	import Strip from './Strip.svelte'

	let { w }: { w: Workspace } = $props()
	// svelte-ignore state_referenced_locally
	giveWorkspace(w)
	// svelte-ignore state_referenced_locally
	const intake = new Intake(w)
	// svelte-ignore state_referenced_locally
	keepAddress(w)
	let dropping = $state(false)
	let byMiddle = false
	const files = (e: DragEvent) => e.dataTransfer?.types.includes('Files') ?? false
	const wide = (p: Panel) => (w.layout.isOpen(p) ? `${w.layout.width(p)}px` : 'auto')
	const columns = $derived(`${wide('stack')} minmax(0, 1fr) ${wide('cabinet')}`)

	$effect(() => {
		document.title = `${w.map?.name ?? 'Azzel'} · ${w.project.head.project.name}`
	})

	// ways are checked again after every change
	$effect(() => {
		void w.project.turn
		w.charting.later()
		w.proving.later()
	})

	/** How high all of it is that lies below the map, in pixels. */
	let foot = $state(0)
	/** Whether the small map is seen. */
	const small = $derived(!!w.map && w.layout.minimap && !w.play.on && w.beyondView)

	let seen = $state('above')
	function firstMap() {
		const made = w.project.try('newMap', { name: 'Map 1', w: 40, h: 28, seen })
		if (made?.made) w.show(made.made)
	}
</script>

<svelte:window
	onkeydown={(e) => runKey(w, e)}
	onkeydowncapture={(e) => {
		byMiddle = false
		grabKey(w, e)
	}}
	onkeyup={(e) => grabKey(w, e)}
	onfocusin={(e) => {
		visited(e)
		// a number is replaced by what is typed; after the press that gave the focus has placed its caret
		const field = e.target
		if (field instanceof HTMLInputElement && field.type === 'number')
			setTimeout(() => document.activeElement === field && field.select())
	}}
	onblur={() => w.canvas?.grab(false)}
	onpointerdowncapture={(e) => {
		byMiddle = e.button === 1
		w.touch = e.pointerType === 'touch'
	}}
	onmouseupcapture={(e) => e.button === 1 && e.preventDefault()}
	onpaste={(e) => {
		// where the middle button pastes, it has moved the view here
		if (byMiddle && !typing(e.target)) return e.preventDefault()
		if (e.clipboardData?.files.length) {
			e.preventDefault()
			return void intake.bring(e.clipboardData.files)
		}
		if (forMap(w, e.target) && w.station === 'map') w.clipboard.pasteText(e.clipboardData?.getData('text/plain') ?? '')
	}}
	ondragover={(e) => {
		if (!files(e)) return
		e.preventDefault()
		dropping = true
	}}
	ondragleave={(e) => e.relatedTarget === null && (dropping = false)}
	ondrop={(e) => {
		if (!files(e)) return
		e.preventDefault()
		dropping = false
		void intake.bring(e.dataTransfer?.files)
	}}
/>

<Tooltip.Provider delayDuration={500}>
	<div class="grid h-full grid-cols-[64px_minmax(0,1fr)] grid-rows-[auto_minmax(0,1fr)]">
		<div class="col-span-2">
			<Strip />
			<StateBar />
		</div>
		<Rail />
		{#if w.station === 'map'}
			<div class="flex min-h-0 flex-col">
				<div class="grid min-h-0 grow" style:grid-template-columns={columns}>
					{#if w.layout.isOpen('stack')}
						<Stack />
					{:else}
						<div class="border-r border-line">
							<Hint
								label="Open the stack"
								keys="Ctrl+["
								side="right"
								class="button-plain"
								onclick={() => w.layout.toggle('stack')}><ChevronsRight size={16} /></Hint
							>
						</div>
					{/if}
					<main class="relative min-h-0 min-w-0" aria-label="Map">
						{#if w.map}
							<MapCanvas />
							<PlayScreen />
							<Shown />
							<AskPanel />
							{#if small}<MiniMap />{/if}
							{#if w.depth && !w.play.on}<DepthView />{/if}
							{#if w.kindBeside && !w.play.on}<KindBeside />{/if}
							{#if w.looking && !w.play.on}<LookThrough />{/if}
							{#if !w.project.head.tilesets.length}
								<div class="cut absolute top-6 left-1/2 w-[min(420px,100%-24px)] -translate-x-1/2">
									<div class="flex flex-col gap-3 p-5">
										<p><b>{w.map.name}</b> is empty, and there are no tiles to paint it with yet.</p>
										<div class="flex flex-wrap gap-2">
											<button class="button button-main" onclick={() => w.open('tilesets', 'picture')}
												>Bring in a picture…</button
											>
											<StarterOffer />
										</div>
									</div>
								</div>
							{/if}
						{:else}
							<div class="flex h-full items-center justify-center bg-well">
								<div class="cut w-[min(420px,100%-24px)]">
									<div class="flex flex-col items-start gap-3 p-6">
										<h2 class="text-[17px] font-semibold">A game begins with a map</h2>
										<p class="text-dim">
											It starts with four layers: ground, things on it, entities, and what stands before the hero.
										</p>
										<SeenChoice bind:seen wide />
										<button class="button button-main" onclick={firstMap}>Make the first map</button>
									</div>
								</div>
							</div>
						{/if}
					</main>
					<Cabinet />
				</div>
				<div bind:clientHeight={foot}>
					<TimeBar />
					{#if w.hand.holding || !w.layout.folded}
						<section class="flex flex-col gap-0.5 border-t border-line bg-plaster pt-1" aria-label="Hand" data-region>
							<HandSentence />
							<Tray />
						</section>
					{/if}
					<StatusLine />
				</div>
			</div>
		{:else}
			<!-- in a small window a station is as broad as it has to be, and is moved to and fro -->
			<div class="grid min-h-0 min-w-0 grid-cols-[minmax(0,1fr)] grid-rows-[minmax(0,1fr)] max-[720px]:overflow-x-auto">
				<div class="grid min-h-0 min-w-0 grid-cols-[minmax(0,1fr)] grid-rows-[minmax(0,1fr)] max-[720px]:min-w-[760px]">
					{#if w.station === 'tilesets'}
						<TilesetsStation {intake} />
					{:else if w.station === 'kinds'}
						<KindsStation />
					{:else if w.station === 'chart'}
						<ChartStation />
					{:else if w.station === 'game'}
						<GameStation />
					{:else if w.station === 'check'}
						<CheckStation />
					{:else if w.station === 'versions'}
						<VersionsStation />
					{:else if w.station === 'share'}
						<ShareStation />
					{:else}
						<RulesStation />
					{/if}
				</div>
			</div>
		{/if}
	</div>
	{#if w.joining}<JoinDialog />{/if}
	<MapSheet />
	<Finder />
	<KeySheet />
	<BeginSheet />
	<NoticeList notices={w.notices} above={w.station === 'map' ? foot + (small ? miniMapHigh : 0) : undefined} />
	<Refused notices={w.notices} left={() => w.canvas?.focus()} />
	{#if dropping}
		<div
			class="pointer-events-none fixed inset-0 z-70 flex items-center justify-center border-4 border-dashed border-glaze bg-plaster/80"
		>
			<p class="text-[20px] font-semibold">Drop pictures to make tilesets of them</p>
		</div>
	{/if}
</Tooltip.Provider>
