<script lang="ts">
	import type { Mark } from '$lib/core/draw';
	import { arcPoints } from '$lib/core/paper';
	import { roomForMissing, type Hand } from '$lib/core/hand';
	import { setText } from '$lib/core/render';
	import { getCoverage } from '$lib/ui/fonts.svelte';

	interface Props {
		marks: readonly Mark[];
		hand: Hand;
		/** The language that the page is written in. */
		lang?: string;
	}
	let { marks, hand, lang }: Props = $props();

	const coverage = getCoverage();
	const anchors = { left: 'start', middle: 'middle', right: 'start' } as const;

	/** All strokes as one path: a page has hundreds, and one element redraws fastest. */
	const strokes = $derived(
		marks
			.flatMap((mark) => {
				if (mark.kind === 'line') return [`M${mark.x1} ${mark.y1}L${mark.x2} ${mark.y2}`];
				if (mark.kind !== 'arc') return [];
				const points = arcPoints(mark, mark.part).map(({ x, y }) => `${x} ${y}`);
				return [`M${points.join('L')}${mark.part === 'whole' ? 'Z' : ''}`];
			})
			.join('')
	);
	const tints = $derived(marks.flatMap((mark) => (mark.kind === 'tint' ? [mark] : [])));
	const texts = $derived(
		marks.flatMap((mark) => {
			if (mark.kind !== 'text') return [];
			const words = roomForMissing(mark.text, mark.style, coverage());
			return [{ mark, words, set: setText(mark, hand) }];
		})
	);
</script>

{#each tints as tint, index (index)}
	<rect x={tint.x} y={tint.y} width={tint.w} height={tint.h} style:fill="var(--tint-{tint.tone})" />
{/each}
<path d={strokes} class="fill-none stroke-ink" stroke-width="0.07" stroke-linecap="square" />
{#each texts as { mark, words, set }, index (index)}
	<text
		x={set.x}
		y={set.baseline}
		font-size={set.size}
		transform={mark.turned ? `rotate(-90 ${set.x} ${set.baseline})` : undefined}
		{lang}
		direction={set.anchor === 'right' ? 'rtl' : undefined}
		text-anchor={anchors[set.anchor]}
		class={mark.style === 'lettering' ? 'fill-lettering font-serif' : 'fill-ink font-hand'}
		>{words}</text
	>
{/each}
