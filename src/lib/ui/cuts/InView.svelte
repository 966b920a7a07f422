<script lang="ts">
	import { alwaysSeen } from '$lib/core/cuts';
	import { cutsOf, type Plan } from '$lib/core/fit';

	/** What of a page stays in view through the cuts of all leaves that lie on it. */
	let { plan, page }: { plan: Plan; page: number } = $props();
	const rects = $derived(alwaysSeen(plan.notebook, cutsOf(plan), page));
</script>

{#each rects as { x, y, w, h } (`${x} ${y}`)}
	<rect
		{x}
		{y}
		width={w}
		height={h}
		class="fill-none stroke-calm"
		stroke-width="0.16"
		stroke-dasharray="0.9 0.5"
	/>
	{#if w >= 7 && h >= 2}
		<text
			x={x + w / 2}
			y={y + h - 0.5}
			font-size="1"
			text-anchor="middle"
			class="fill-calm stroke-paper font-sans"
			stroke-width="0.3"
			paint-order="stroke">visible through the cut</text
		>
	{/if}
{/each}
