<script lang="ts">
	// What a project is known by: where its game begins. Until there is something to see it is bare cells.
	let { project, edit }: { project: string; edit: number } = $props()
	let nothing = $state(false)
	const id = $props.id()
</script>

<span class="block aspect-8/5 overflow-hidden border-b border-line bg-well">
	{#if nothing}
		<svg class="size-full text-line" aria-hidden="true">
			<pattern {id} width="24" height="24" patternUnits="userSpaceOnUse">
				<path d="M24 0H0V24" fill="none" stroke="currentColor" />
			</pattern>
			<rect width="100%" height="100%" fill="url(#{id})" />
		</svg>
	{:else}
		<img
			class="size-full object-cover [image-rendering:pixelated]"
			src="/api/projects/{project}/cover?edit={edit}"
			alt=""
			loading="lazy"
			draggable="false"
			onerror={() => (nothing = true)}
		/>
	{/if}
</span>
