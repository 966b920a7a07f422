<script lang="ts">
	import type { Outline } from '$lib/core/cuts';
	import type { Plan, Run } from '$lib/core/fit';
	import { marginMm, pageOf } from '$lib/core/paper';
	import PageMarks from './PageMarks.svelte';

	interface Props {
		plan: Plan;
		run: Run;
		page: number;
		/** Left edge of its paper in the picture, in squares. */
		left: number;
		/** What its leaf has lost, in mm from the paper's upper left corner. */
		removed: readonly Outline[];
		/** Whether the page is planned, and its marks are drawn. */
		planned: boolean;
		/** Its marks stay as they are. */
		still: boolean;
		/** Shown paler where it is no part of the run. */
		pale: boolean;
		/** It lies beneath another page, in its shade. */
		beneath: boolean;
		/** Pattern of the dots. */
		dots: string;
	}
	/** One page of paper with its dots and marks, and the holes that are cut into it. */
	let {
		plan,
		run,
		page: number,
		left,
		removed,
		planned,
		still,
		pale,
		beneath,
		dots
	}: Props = $props();
	const id = $props.id();

	const pitch = $derived(plan.notebook.pitchMm);
	const width = $derived(plan.notebook.pageMm.width / pitch);
	const height = $derived(plan.notebook.pageMm.height / pitch);
	const page = $derived(pageOf(plan.notebook, number));
	const margin = $derived(marginMm(plan.notebook, page.side));
	const holes = $derived(
		removed
			.map(
				(outline) => `M${outline.map(({ x, y }) => `${left + x / pitch} ${y / pitch}`).join('L')}Z`
			)
			.join('')
	);
</script>

{#if holes}
	<mask {id} maskUnits="userSpaceOnUse" x={left - 1} y="-1" width={width + 2} height={height + 2}>
		<rect x={left - 1} y="-1" width={width + 2} height={height + 2} class="fill-mask-keep" />
		<path d={holes} class="fill-mask-lose" />
	</mask>
{/if}
<g mask={holes ? `url(#${id})` : undefined}>
	<!-- The paper's shadow on the desk; a filter would be drawn anew with every stroke. -->
	<rect x={left + 0.12} y="0.22" {width} {height} class="fill-shadow" />
	<rect x={left} y="0" {width} {height} class="fill-paper stroke-paper-edge" stroke-width="0.08" />
	<g
		transform="translate({left + margin.x / pitch} {margin.y / pitch})"
		class={pale ? 'opacity-60' : ''}
	>
		<rect x="-0.5" y="-0.5" width={page.columns + 1} height={page.rows + 1} fill="url(#{dots})" />
		{#if planned}<PageMarks {plan} {run} page={number} {still} />{/if}
	</g>
	{#if beneath}<rect x={left} y="0" {width} {height} class="fill-shadow opacity-30" />{/if}
</g>
{#if holes}<path d={holes} class="fill-none stroke-cut-edge" stroke-width="0.14" />{/if}
