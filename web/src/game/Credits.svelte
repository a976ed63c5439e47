<script lang="ts">
	import Plate from './Plate.svelte'
	import type { Player } from './player.svelte'

	let { player }: { player: Player } = $props()
</script>

<Plate heading={player.word('credits')} wide>
	<p class="text-center text-[15px] leading-relaxed whitespace-pre-line" data-testid="credits">{player.info.credits}</p>
	<button class="mx-auto button h-10 min-w-40" onclick={() => player.back()}>{player.word('back')}</button>
</Plate>
