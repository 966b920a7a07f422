<script lang="ts">
	import type { Dot, Size } from '$lib/core/paper';
	import { nearestDot, type CountedDot } from './nearest-dot';

	interface Props {
		size: Size;
		oncount: (dot: CountedDot | undefined) => void;
	}
	let { size, oncount }: Props = $props();
	let dot = $state.raw<Dot>();

	function moved(event: PointerEvent & { currentTarget: SVGRectElement }) {
		const matrix = event.currentTarget.getScreenCTM()?.inverse();
		if (!matrix) return;
		const place = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
		const counted = nearestDot(place, size);
		dot = counted;
		oncount(counted);
	}

	function left() {
		dot = undefined;
		oncount(undefined);
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
<rect
	x="-0.5"
	y="-0.5"
	width={size.w + 1}
	height={size.h + 1}
	class="fill-transparent"
	role="presentation"
	onpointermove={moved}
	onpointerleave={left}
/>
