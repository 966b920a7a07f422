<script lang="ts">
	import type { Snippet } from 'svelte';
	import type { Dot, Size } from '$lib/core/paper';
	import { arrowStep } from './arrows';
	import { nearestDot, type CountedDot } from './nearest-dot';

	interface Props {
		size: Size;
		label: string;
		oncount: (dot: CountedDot | undefined, byKey: boolean) => void;
		/** What lies on the page and is pointed at as well. */
		children?: Snippet;
	}
	/** Counts to the dot that is pointed at, or to which the arrow keys have led. */
	let { size, label, oncount, children }: Props = $props();
	let surface = $state<SVGRectElement>();
	let dot = $state.raw<Dot>();

	function count(place: Dot | undefined, byKey: boolean) {
		const counted = place && nearestDot(place, size);
		dot = counted;
		oncount(counted, byKey);
	}

	function moved(event: PointerEvent) {
		const matrix = surface?.getScreenCTM()?.inverse();
		if (matrix) count(new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix), false);
	}

	function pressed(event: KeyboardEvent) {
		const by = arrowStep(event);
		if (!by) return;
		event.preventDefault();
		event.stopPropagation();
		const far = event.shiftKey ? 5 : 1;
		const from = dot ?? { x: 0, y: 0 };
		count(dot ? { x: from.x + far * by.x, y: from.y + far * by.y } : from, true);
	}
</script>

{#if dot}
	<path
		d="M0 {dot.y}H{size.w}M{dot.x} 0V{size.h}"
		class="fill-none stroke-rubric"
		stroke-width="0.09"
		stroke-dasharray="0.3 0.3"
	/>
	<circle cx={dot.x} cy={dot.y} r="0.28" class="fill-rubric" />
{/if}
<g role="presentation" onpointermove={moved} onpointerleave={() => count(undefined, false)}>
	<!-- Arrow keys lead the cursor over the dots, so the page takes the focus like a slider. -->
	<!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_noninteractive_element_interactions -->
	<rect
		bind:this={surface}
		x="-0.5"
		y="-0.5"
		width={size.w + 1}
		height={size.h + 1}
		class="svg-focus fill-transparent"
		role="application"
		aria-label={label}
		tabindex="0"
		onkeydown={pressed}
		onblur={() => count(undefined, false)}
	/>
	{@render children?.()}
</g>
