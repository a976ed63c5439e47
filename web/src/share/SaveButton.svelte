<script lang="ts">
	import type { Leaving } from './exchange'

	// Saves something that may take a while: meanwhile it says how far it is, and a press stops it.
	let {
		says,
		save,
		main = false,
		title = '',
		disabled = false,
	}: {
		says: string
		save: (leaving: Leaving) => Promise<void>
		main?: boolean
		title?: string
		disabled?: boolean
	} = $props()
	let going = $state.raw<AbortController | null>(null)
	let part = $state<number | null>(null)

	async function press() {
		if (going) return going.abort()
		;[going, part] = [new AbortController(), null]
		try {
			await save({ signal: going.signal, told: (is) => (part = is) })
		} finally {
			going = null
		}
	}
</script>

<button
	class="button {main ? 'button-main' : ''}"
	title={going ? 'Stop it: nothing is saved then' : title || undefined}
	{disabled}
	onclick={() => void press()}
	>{going ? `Stop (${part === null ? 'it is put together' : `${Math.round(part * 100)} %`})` : says}</button
>
