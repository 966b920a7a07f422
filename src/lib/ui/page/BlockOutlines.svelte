<script lang="ts">
	import type { Run } from '$lib/core/fit';

	let { run, page, chosen }: { run: Run; page: number; chosen: string | undefined } = $props();
	const rects = $derived(
		run.blocks
			.filter((block) => block.wish === chosen)
			.flatMap((block) => block.pieces.filter((piece) => piece.page === page))
			.map((piece) => piece.rect)
	);
</script>

{#each rects as rect (`${rect.x} ${rect.y}`)}
	<rect
		x={rect.x - 0.4}
		y={rect.y - 0.4}
		width={rect.w + 0.8}
		height={rect.h + 0.8}
		rx="0.4"
		class="fill-calm/5 stroke-calm"
		stroke-width="0.1"
		stroke-dasharray="0.5 0.5"
	/>
{/each}
