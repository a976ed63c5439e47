<script lang="ts">
	import Plate from './Plate.svelte'
	import type { Player } from './player.svelte'

	let { player }: { player: Player } = $props()
</script>

<Plate heading={player.word('paused')}>
	<button class="button h-10 button-main" onclick={() => player.goOn()}>{player.word('goOn')}</button>
	<button class="button h-10" onclick={() => player.again()}>{player.word('again')}</button>
	{#if player.info.slots > 0}
		<button class="button h-10" onclick={() => player.open('keep')}>{player.word('save')}</button>
	{/if}
	<button class="button h-10" onclick={() => player.open('settings')}>{player.word('settings')}</button>
	<button class="button h-10" onclick={() => player.toTitle()}>{player.word('toTitle')}</button>
</Plate>
