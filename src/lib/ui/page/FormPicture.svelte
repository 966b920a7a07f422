<script lang="ts">
	import { mergeMarks } from '$lib/core/draw';
	import type { Layout } from '$lib/core/forms';
	import type { Hand } from '$lib/core/hand';
	import MarksPicture from './MarksPicture.svelte';

	/** A form drawn by itself on dotted paper; of a spread, its left part. */
	let { layout, hand, label }: { layout: Layout; hand: Hand; label: string } = $props();
	const id = $props.id();

	const size = $derived(layout.room.span === 'page' ? layout.room : layout.room.left);
	const marks = $derived(mergeMarks(layout.marks()[0] ?? []));
</script>

<svg
	viewBox="-1 -1 {size.w + 2} {size.h + 2}"
	class="block h-auto max-h-[60dvh] w-full"
	role="img"
	aria-label={label}
>
	<defs>
		<pattern id="{id}-dots" width="1" height="1" x="-0.5" y="-0.5" patternUnits="userSpaceOnUse">
			<circle cx="0.5" cy="0.5" r="0.075" class="fill-dot" />
		</pattern>
	</defs>
	<rect x="-1" y="-1" width={size.w + 2} height={size.h + 2} class="fill-paper" />
	<rect x="-0.5" y="-0.5" width={size.w + 1} height={size.h + 1} fill="url(#{id}-dots)" />
	<MarksPicture {marks} {hand} />
</svg>
