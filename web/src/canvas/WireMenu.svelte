<script lang="ts">
	import { DropdownMenu } from 'bits-ui'
	import { workspace } from '../workspace/workspace.svelte'
	import { middle } from '../draw/frames'
	import { boxOf } from '../draw/areas'

	// What a wire can do where it was let go; Escape lets go of it.
	const w = workspace()
	let anchor: HTMLElement | null = $state(null)
	const offered = $derived(w.wiring.offered)
	const at = $derived.by(() => {
		const e = offered && w.project.entity(offered.to.map, offered.to.entity)
		return e ? middle(boxOf(w.view, e)) : { x: 0, y: 0 }
	})
	const name = $derived(offered ? w.project.entity(offered.from.map, offered.from.entity)?.name : '')
</script>

<span
	bind:this={anchor}
	class="pointer-events-none absolute size-0"
	style:left="{at.x / devicePixelRatio}px"
	style:top="{at.y / devicePixelRatio}px"
></span>
<DropdownMenu.Root
	bind:open={
		() => offered !== null,
		(on) => {
			if (!on) w.wiring.offered = null
		}
	}
>
	<DropdownMenu.Portal>
		<DropdownMenu.Content
			class="menu-list"
			customAnchor={anchor}
			side="right"
			align="start"
			sideOffset={12}
			preventScroll={false}
			onCloseAutoFocus={(e) => {
				e.preventDefault()
				w.canvas?.focus()
			}}
			aria-label="What {name} does"
			data-testid="wire-menu"
		>
			{#each offered?.choices ?? [] as c, i (c.word + c.how)}
				{#if c.when !== offered?.choices[i - 1]?.when}
					<div class="menu-heading">{i ? '' : name} {c.when}</div>
				{/if}
				<DropdownMenu.Item
					class="menu-item"
					onSelect={() => w.wiring.make(c)}
					textValue={c.label}
					aria-label="{c.label} {c.when}"
				>
					<span class="grow">{c.label}</span>
				</DropdownMenu.Item>
			{/each}
		</DropdownMenu.Content>
	</DropdownMenu.Portal>
</DropdownMenu.Root>
