<script lang="ts">
	import { mergeMarks } from '$lib/core/draw';
	import type { Layout } from '$lib/core/forms';
	import type { Hand } from '$lib/core/hand';
	import DotPattern from './DotPattern.svelte';
	import MarksPicture from './MarksPicture.svelte';

	interface Props {
		layout: Layout;
		hand: Hand;
		label: string;
		/** A picture among others, of one height. */
		small?: boolean;
	}
	/** A form drawn by itself on dotted paper; over a spread its two parts with the fold between. */
	let { layout, hand, label, small = false }: Props = $props();
	const id = $props.id();

	const { room } = $derived(layout);
	const sizes = $derived(room.span === 'page' ? [room] : [room.left, room.right]);
	const width = $derived(sizes.reduce((sum, { w }) => sum + w + 1, 1));
	const height = $derived(Math.max(...sizes.map(({ h }) => h)) + 2);
	const parts = $derived(
		layout.marks().map((marks, index) => ({
			marks: mergeMarks(marks),
			x: index === 0 ? 0 : (sizes[0]?.w ?? 0) + 1
		}))
	);
</script>

<svg
	viewBox="-1 -1 {width} {height}"
	class="block {small ? 'h-36 w-full' : 'h-auto max-h-[60dvh] w-full'}"
	role="img"
	aria-label={label}
>
	<defs>
		<DotPattern id="{id}-dots" />
	</defs>
	<rect x="-1" y="-1" {width} {height} class="fill-paper" />
	<rect x="-0.5" y="-0.5" width={width - 1} height={height - 1} fill="url(#{id}-dots)" />
	{#each parts as { marks, x }, index (index)}
		<g transform="translate({x} 0)"><MarksPicture {marks} {hand} /></g>
	{/each}
</svg>
