<script lang="ts">
	import { strokesFrom, tickedBy, type Step } from '$lib/core/guide';

	import { arcPoints } from '$lib/core/paper';

	/** A step on the drawing of its page, with the dot that one counts from, but where it is quiet. */
	let { step, quiet = false }: { step: Step; quiet?: boolean } = $props();

	const strokes = $derived(
		step.kind !== 'rule'
			? []
			: strokesFrom(step).map(({ begin, end }) => ({
					x1: begin.x,
					y1: begin.y,
					x2: end.x,
					y2: end.y
				}))
	);
	const ticks = $derived(step.kind === 'tick' ? tickedBy(step) : []);
	const reference = $derived(step.kind === 'tick' ? step.reference : step.begin.reference);
	const at = $derived(step.kind === 'tick' ? ticks.at(-1) : step.begin.at);
</script>

{#each strokes as stroke (`${stroke.x1} ${stroke.y1}`)}
	<line {...stroke} class="stroke-calm" stroke-width="0.32" stroke-linecap="round" opacity="0.75" />
{/each}
{#each ticks as { x, y } (`${x} ${y}`)}
	<circle cx={x} cy={y} r="0.4" class="fill-calm" />
{/each}
{#if step.kind === 'compass'}
	<path
		d="M{arcPoints({ ...step.begin.at, radius: step.end.at.x - step.begin.at.x }, step.part)
			.map(({ x, y }) => `${x} ${y}`)
			.join('L')}"
		class="fill-none stroke-calm"
		stroke-width="0.32"
		opacity="0.75"
	/>
{:else if step.kind === 'tint'}
	{#each strokesFrom(step) as { begin, end } (`${begin.x} ${begin.y}`)}
		<rect
			x={begin.x}
			y={begin.y}
			width={end.x - begin.x}
			height={end.y - begin.y}
			class="fill-none stroke-calm"
			stroke-width="0.3"
		/>
	{/each}
{:else if step.kind === 'write'}
	{#each step.texts as { at }, index (index)}
		<circle cx={at.x} cy={at.y} r="0.35" class="fill-calm" />
	{/each}
{/if}
{#if !quiet}
	<circle
		cx={reference.x}
		cy={reference.y}
		r="0.6"
		class="fill-none stroke-rubric"
		stroke-width="0.18"
	/>
	{#if at}
		<path
			d="M{reference.x} {reference.y}H{at.x}V{at.y}"
			class="fill-none stroke-rubric"
			stroke-width="0.14"
			stroke-dasharray="0.4 0.4"
		/>
		<circle cx={at.x} cy={at.y} r="0.45" class="fill-rubric" />
	{/if}
{/if}
