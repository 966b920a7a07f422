<script lang="ts">
	import { mayStay } from '$lib/core/fit';
	import { pageOf } from '$lib/core/paper';
	import type { MonthDesk } from '../month/month-desk.svelte';
	import type { BlockMove } from './block-move.svelte';
	import MarksPicture from './MarksPicture.svelte';

	/** The part on one page of the block in the hand: as it will be ruled, with what is beside it. */
	let { desk, move, page }: { desk: MonthDesk; move: BlockMove; page: number } = $props();

	const here = $derived(move.surroundings.find((part) => part.page === page));
	const index = $derived(move.surroundings.findIndex((part) => part.page === page));
	const fits = $derived(move.result === undefined || mayStay(move.result));
	const foldSide = $derived(pageOf(desk.plan.notebook, page).side === 'left' ? 'right' : 'left');
	const { gutter } = $derived(desk.plan.notebook);
	const marks = $derived(move.marks[index] ?? []);

	const measures = $derived.by(() => {
		if (!here) return [];
		const { rect, gaps } = here;
		const [midX, midY] = [rect.x + rect.w / 2, rect.y + rect.h / 2];
		const [right, bottom] = [rect.x + rect.w, rect.y + rect.h];
		const all = [
			{
				side: 'left',
				gap: gaps.left,
				x1: rect.x - gaps.left.squares,
				x2: rect.x,
				y1: midY,
				y2: midY
			},
			{
				side: 'right',
				gap: gaps.right,
				x1: right,
				x2: right + gaps.right.squares,
				y1: midY,
				y2: midY
			},
			{ side: 'top', gap: gaps.top, x1: midX, x2: midX, y1: rect.y - gaps.top.squares, y2: rect.y },
			{
				side: 'bottom',
				gap: gaps.bottom,
				x1: midX,
				x2: midX,
				y1: bottom,
				y2: bottom + gaps.bottom.squares
			}
		];
		return all
			.filter(({ gap }) => gap.squares > 0)
			.map((line) => {
				const fold = line.side === foldSide && line.gap.neighbour === undefined;
				// Up to the fold its half counts as well (common practice).
				const text = fold
					? `${line.gap.squares + gutter / 2} to the fold`
					: String(line.gap.squares);
				return { ...line, text };
			});
	});
</script>

{#if here}
	{@const { rect, lines } = here}
	<g class="pointer-events-none">
		<rect x={rect.x} y={rect.y} width={rect.w} height={rect.h} class="fill-paper opacity-80" />
		<g transform="translate({rect.x} {rect.y})">
			<MarksPicture {marks} hand={desk.plan.hand} lang={desk.plan.locale} />
		</g>
		<rect
			x={rect.x}
			y={rect.y}
			width={rect.w}
			height={rect.h}
			class="fill-none {fits ? 'stroke-calm' : 'stroke-caution'}"
			stroke-width="0.3"
			stroke-dasharray={fits ? undefined : '1 0.6'}
		/>
		{#each lines as { axis, at, from, to, what } (`${axis} ${at} ${what}`)}
			<path
				d={axis === 'x' ? `M${at} ${from}V${to}` : `M${from} ${at}H${to}`}
				class="fill-none stroke-calm"
				stroke-width="0.12"
				stroke-dasharray={what === 'middle' ? '0.8 0.3 0.15 0.3' : undefined}
			/>
		{/each}
		{#each measures as { side, text, x1, y1, x2, y2 } (side)}
			{@const across = y1 === y2}
			<path
				d="M{x1} {y1}L{x2} {y2}{across
					? `M${x1} ${y1 - 0.4}v0.8M${x2} ${y1 - 0.4}v0.8`
					: `M${x1 - 0.4} ${y1}h0.8M${x1 - 0.4} ${y2}h0.8`}"
				class="fill-none stroke-rubric"
				stroke-width="0.12"
			/>
			<text
				x={(x1 + x2) / 2 + (across ? 0 : 0.4)}
				y={(y1 + y2) / 2 + (across ? -0.4 : 0.4)}
				font-size="1.2"
				text-anchor={across ? 'middle' : 'start'}
				class="fill-rubric stroke-paper font-sans"
				stroke-width="0.3"
				paint-order="stroke">{text}</text
			>
		{/each}
	</g>
{/if}
