<script lang="ts">
	import { frontOf } from '$lib/core/cuts';
	import { marginMm, pageOf, type Dot, type Notebook } from '$lib/core/paper';
	import { arrowStep } from '../page/arrows';
	import { holdTouch } from '../page/hold-touch';
	import type { CutDraft } from './cut-draft.svelte';
	import { cutHandles, type CutHandle } from './cut-handles';

	/** The edges and corners of the cut that is being made, to be pulled on either side of its leaf. */
	let { draft, notebook, page }: { draft: CutDraft; notebook: Notebook; page: number } = $props();

	const front = $derived(frontOf(page));
	const grid = $derived(pageOf(notebook, front));
	const handles = $derived(draft.cut ? cutHandles(draft.cut, front, grid) : []);
	let held = $state<number>();

	/** From squares of the front to squares of this page, and back: a leaf's back is its mirror image. */
	function turned({ x, y }: Dot): Dot {
		if (page === front) return { x, y };
		const [left, right] = [marginMm(notebook, 'left'), marginMm(notebook, 'right')];
		const here = notebook.pageMm.width - (right.x + x * notebook.pitchMm);
		return {
			x: (here - left.x) / notebook.pitchMm,
			y: y + (right.y - left.y) / notebook.pitchMm
		};
	}

	function turnedBack({ x, y }: Dot): Dot {
		if (page === front) return { x, y };
		const [left, right] = [marginMm(notebook, 'left'), marginMm(notebook, 'right')];
		const there = notebook.pageMm.width - (left.x + x * notebook.pitchMm);
		return {
			x: (there - right.x) / notebook.pitchMm,
			y: y + (left.y - right.y) / notebook.pitchMm
		};
	}

	function pulls(event: PointerEvent & { currentTarget: SVGGElement }, handle: CutHandle) {
		const matrix = held === undefined ? null : event.currentTarget.getScreenCTM()?.inverse();
		if (!matrix) return;
		const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
		draft.set(handle.to(turnedBack({ x, y })));
	}

	function pressed(event: KeyboardEvent, handle: CutHandle) {
		const by = arrowStep(event);
		if (!by) return;
		event.preventDefault();
		event.stopPropagation();
		const at = turned(handle);
		draft.set(handle.to(turnedBack({ x: at.x + by.x, y: at.y + by.y })));
	}
</script>

{#each handles as handle, index (handle.name)}
	{@const at = turned(handle)}
	<g
		role="slider"
		tabindex="0"
		aria-label="{handle.name} on page {page}"
		aria-valuenow={handle.way === 'down' ? handle.y : handle.x}
		aria-valuetext={handle.way === 'both'
			? `column ${handle.x}, row ${handle.y} of the front`
			: `${handle.way === 'down' ? 'row' : 'column'} ${handle.way === 'down' ? handle.y : handle.x} of the front`}
		aria-orientation={handle.way === 'down' ? 'vertical' : 'horizontal'}
		class="svg-focus touch-none {handle.way === 'across'
			? 'cursor-ew-resize'
			: handle.way === 'down'
				? 'cursor-ns-resize'
				: 'cursor-move'}"
		onpointerdown={(event) => {
			event.currentTarget.setPointerCapture(event.pointerId);
			held = index;
		}}
		onpointermove={(event) => pulls(event, handle)}
		onpointerup={() => (held = undefined)}
		onpointercancel={() => (held = undefined)}
		onkeydown={(event) => pressed(event, handle)}
		{@attach holdTouch(() => true)}
	>
		<circle cx={at.x} cy={at.y} r="1.2" class="fill-transparent" />
		<circle cx={at.x} cy={at.y} r="0.55" class="fill-paper stroke-rubric" stroke-width="0.2" />
	</g>
{/each}
