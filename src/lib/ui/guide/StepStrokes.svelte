<script lang="ts">
	import type { Step } from '$lib/core/guide';

	let { step }: { step: Step } = $props();

	const strokes = $derived.by(() => {
		if (step.kind !== 'rule') return [];
		const { from, to, repeat } = step;
		return Array.from({ length: 1 + (repeat?.times ?? 0) }, (_, index) => {
			const by = index * (repeat?.every ?? 0);
			const [dx, dy] = repeat?.direction === 'right' ? [by, 0] : [0, by];
			return { x1: from.x + dx, y1: from.y + dy, x2: to.x + dx, y2: to.y + dy };
		});
	});
	const at = $derived(step.kind === 'rule' ? step.from : step.at);
</script>

{#each strokes as stroke (`${stroke.x1} ${stroke.y1}`)}
	<line {...stroke} class="stroke-calm" stroke-width="0.32" stroke-linecap="round" opacity="0.75" />
{/each}
{#if step.kind === 'tint'}
	<rect
		x={at.x}
		y={at.y}
		width={step.size.w}
		height={step.size.h}
		class="fill-none stroke-calm"
		stroke-width="0.3"
	/>
{/if}
<circle cx={at.x} cy={at.y} r="0.45" class="fill-rubric" />
