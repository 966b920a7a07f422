<script lang="ts">
	import type { Block } from '$lib/core/fit';
	import { blockKey, blockName } from '../month/block-name';
	import type { MonthDesk } from '../month/month-desk.svelte';
	import { arrowStep } from './arrows';
	import type { BlockMove, Moving } from './block-move.svelte';
	import { grips, wholeBlock, type Grip } from './grip';
	import { holdTouch } from './hold-touch';

	/** The blocks of one page as things to take hold of: by mouse, by touch, by keyboard. */
	let { desk, move, page }: { desk: MonthDesk; move: BlockMove; page: number } = $props();

	/** Side of the area in squares that takes a handle, and how long and how far outside its mark is. */
	const reach = 1.8;
	const arm = 1.3;
	const outside = 0.35;

	/** The mark of a handle, outside the block so that nothing in it is covered. */
	function markAt({ x: across, y: down }: Grip, x: number, y: number): string {
		const [cx, cy] = [x + across * outside, y + down * outside];
		if (across === 0) return `M${cx - arm} ${cy}H${cx + arm}`;
		if (down === 0) return `M${cx} ${cy - arm}V${cy + arm}`;
		return `M${cx - across * arm} ${cy}H${cx}V${cy - down * arm}`;
	}

	const here = $derived(
		desk.run.blocks.flatMap((block) => {
			const piece = block.pieces.find((piece) => piece.page === page);
			if (!piece) return [];
			const { rect } = piece;
			const name = `${blockName(block)} on page ${page}, ${rect.w} × ${rect.h} squares from dot ${rect.x}, ${rect.y}`;
			return [{ block, rect, key: blockKey(block), name, can: move.can(block) }];
		})
	);
	const bySize: Grip = { x: 1, y: 1 };

	/** Where the pointer took hold, and of what. */
	let held = $state.raw<{ from: Moving; grip: Grip; at: DOMPoint }>();

	function placeOf(event: PointerEvent & { currentTarget: SVGGraphicsElement }) {
		const matrix = event.currentTarget.getScreenCTM()?.inverse();
		return matrix && new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
	}

	function took(
		event: PointerEvent & { currentTarget: SVGGraphicsElement },
		block: Block,
		grip: Grip
	) {
		if (event.button !== 0) return;
		// The first tap of a finger chooses; until then it scrolls the page.
		if (event.pointerType === 'touch' && desk.chosen !== block.wish) return;
		const at = placeOf(event);
		if (!at || !move.can(block)) return;
		event.currentTarget.setPointerCapture(event.pointerId);
		const [{ page, rect }] = block.pieces;
		held = { from: { block, page, rect }, grip, at };
	}

	function pulls(event: PointerEvent & { currentTarget: SVGGraphicsElement }) {
		const at = held && placeOf(event);
		if (!held || !at) return;
		const by = { x: Math.round(at.x - held.at.x), y: Math.round(at.y - held.at.y) };
		if (!move.moving && by.x === 0 && by.y === 0) return;
		if (!move.moving) move.take(held.from.block);
		move.pull(held.from, held.grip, by);
	}

	function lets() {
		if (held && move.moving && !move.drop()) move.giveUp();
		held = undefined;
	}

	function pressed(event: KeyboardEvent, block: Block) {
		if (event.altKey || event.ctrlKey || event.metaKey) return;
		const by = arrowStep(event);
		if (by) {
			if (!move.can(block)) return event.preventDefault();
			if (move.moving?.block !== block) move.take(block);
			move.step(event.shiftKey ? bySize : wholeBlock, by);
		} else if (event.key === 'Enter' || event.key === ' ') {
			if (move.moving) move.drop();
			else desk.chosen = desk.chosen === block.wish ? undefined : block.wish;
		} else if (event.key === 'Escape') {
			move.giveUp();
		} else return;
		event.preventDefault();
		event.stopPropagation();
	}

	function left() {
		if (!held && move.moving && !move.drop()) move.giveUp();
	}
</script>

{#each here as { block, rect, key, name, can } (key)}
	{@const chosen = desk.chosen === block.wish}
	<rect
		x={rect.x}
		y={rect.y}
		width={rect.w}
		height={rect.h}
		class="fill-transparent {move.moving ? 'outline-none' : 'svg-focus'} {can
			? 'cursor-grab'
			: ''} {chosen && can ? 'touch-none' : ''}"
		role="button"
		tabindex="0"
		aria-pressed={chosen}
		aria-label={name}
		aria-describedby={can ? 'moving-help' : 'staying-help'}
		{@attach holdTouch(() => can && desk.chosen === block.wish)}
		onclick={() => (desk.chosen = block.wish)}
		onpointerdown={(event) => took(event, block, wholeBlock)}
		onpointermove={pulls}
		onpointerup={lets}
		onpointercancel={lets}
		onkeydown={(event) => pressed(event, block)}
		onblur={left}
	/>
{/each}
{#each here as { block, rect, key, can } (key)}
	{#if can && desk.chosen === block.wish && (!move.moving || held)}
		{#each grips as grip (`${grip.x} ${grip.y}`)}
			{@const x = rect.x + ((grip.x + 1) / 2) * rect.w}
			{@const y = rect.y + ((grip.y + 1) / 2) * rect.h}
			{#if block.room.span === 'page' || grip.x === 0}
				<g
					role="presentation"
					{@attach holdTouch(() => true)}
					class="touch-none {grip.x === 0
						? 'cursor-ns-resize'
						: grip.y === 0
							? 'cursor-ew-resize'
							: grip.x === grip.y
								? 'cursor-nwse-resize'
								: 'cursor-nesw-resize'}"
					onpointerdown={(event) => took(event, block, grip)}
					onpointermove={pulls}
					onpointerup={lets}
					onpointercancel={lets}
				>
					<rect
						x={x - reach / 2}
						y={y - reach / 2}
						width={reach}
						height={reach}
						class="fill-transparent"
					/>
					<!-- Marks as a pencil makes them: angles at the corners, short strokes at the edges. -->
					<path
						d={markAt(grip, x, y)}
						class="fill-none stroke-calm {move.moving ? 'opacity-0' : ''}"
						stroke-width="0.42"
						stroke-linecap="round"
						stroke-linejoin="round"
					/>
				</g>
			{/if}
		{/each}
	{/if}
{/each}
