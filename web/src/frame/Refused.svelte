<script lang="ts">
	import { onMount } from 'svelte'
	import type { Notices } from '../project/notices.svelte'

	// A field whose value is refused shows again what holds, and says beside itself why.
	let { notices, left }: { notices: Notices; left: () => void } = $props()
	type Field = HTMLInputElement | HTMLTextAreaElement | HTMLSelectElement

	/** What fields held when they were entered, or since they were last taken. */
	const held = new WeakMap<Field, string | boolean>()
	/** The field whose change is being carried out. */
	let changing: Field | null = null
	let refused = $state.raw<{ field: Field; text: string } | null>(null)
	let at = $state({ x: 0, y: 0 })
	let timer = 0
	let box = $state<HTMLElement>()
	// once it is there, it is as wide as its sentence
	$effect(() => box && place())

	// those of a game are its player's
	const fieldOf = (e: Event) =>
		e.target instanceof Element &&
		e.target.matches('input:not([type=file], [type=search]), textarea, select') &&
		!e.target.closest('[data-testid=game]')
			? (e.target as Field)
			: null
	const ticks = (f: Field): f is HTMLInputElement => f instanceof HTMLInputElement && f.type === 'checkbox'
	const valueOf = (f: Field) => (ticks(f) ? f.checked : f.value)

	function entered(e: Event) {
		const f = fieldOf(e)
		if (f) held.set(f, valueOf(f))
	}

	function begins(e: Event) {
		const f = fieldOf(e)
		changing = f && held.has(f) ? f : null
		if (!f || !changing) return
		// a number that was emptied is no number: nobody is asked
		if (e.type === 'change' && f.type === 'number' && !f.value) {
			f.value = String(held.get(f))
			e.stopPropagation()
		}
		setTimeout(() => {
			if (changing === f) changing = null
			// what was taken is what is put back the next time
			if (f.isConnected && refused?.field !== f) held.set(f, valueOf(f))
			else if (!f.isConnected && refused?.field === f) clear()
		})
	}

	function put(text: string): boolean {
		const f = changing
		if (!f || !f.isConnected) return false
		const was = held.get(f)
		// once the handler is through, since it may write to the field as well
		const back = () => {
			if (ticks(f)) f.checked = was === true
			else f.value = String(was)
		}
		back()
		queueMicrotask(back)
		clear()
		refused = { field: f, text }
		f.setAttribute('aria-invalid', 'true')
		f.setAttribute('aria-errormessage', 'refused')
		place()
		clearTimeout(timer)
		timer = window.setTimeout(clear, 9000)
		return true
	}

	function place() {
		if (!refused) return
		const r = refused.field.getBoundingClientRect()
		if (!refused.field.isConnected || !r.width) return clear()
		const width = box?.offsetWidth ?? 256
		at = { x: Math.max(4, Math.min(r.left, innerWidth - width - 8)), y: r.bottom + 4 }
	}

	/** Escape leaves a field as it was; in a dialog it closes that. */
	function leave(e: KeyboardEvent) {
		clear()
		const f = fieldOf(e)
		if (!f || f.closest('[role=dialog], [role=menu], [data-popover-content]') || !held.has(f)) return
		if (!ticks(f) && f.value !== held.get(f)) {
			f.value = String(held.get(f))
			f.dispatchEvent(new Event('input', { bubbles: true }))
		}
		e.stopPropagation()
		f.blur()
		left()
	}

	function clear() {
		refused?.field.removeAttribute('aria-invalid')
		refused?.field.removeAttribute('aria-errormessage')
		refused = null
	}

	onMount(() => {
		notices.atField = put
		const through = { capture: true }
		document.addEventListener('focusin', entered, through)
		for (const name of ['change', 'blur']) document.addEventListener(name, begins, through)
		document.addEventListener('scroll', place, through)
		return () => {
			notices.atField = null
			clearTimeout(timer)
			document.removeEventListener('focusin', entered, through)
			for (const name of ['change', 'blur']) document.removeEventListener(name, begins, through)
			document.removeEventListener('scroll', place, through)
		}
	})
</script>

<svelte:window
	onresize={place}
	oninputcapture={(e) => refused?.field === e.target && clear()}
	onpointerdowncapture={clear}
	onkeydowncapture={(e) => e.key === 'Escape' && leave(e)}
/>

{#if refused}
	<p
		bind:this={box}
		id="refused"
		role="alert"
		class="pointer-events-none fixed z-50 max-w-64 border-l-2 border-brick bg-chalk px-2 py-1 text-brick outline-1 outline-line"
		style:left="{at.x}px"
		style:top="{at.y}px"
		data-testid="refused"
	>
		{refused.text}
	</p>
{/if}
