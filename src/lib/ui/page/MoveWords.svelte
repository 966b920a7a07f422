<script lang="ts">
	import { mayStay, type PlaceFault } from '$lib/core/fit';
	import { blockName } from '../month/block-name';
	import type { MonthDesk } from '../month/month-desk.svelte';
	import type { BlockMove, Moving } from './block-move.svelte';

	/** What is to be said of the block in the hand: where it is, how it is ruled, what gives way. */
	let { desk, move, moving }: { desk: MonthDesk; move: BlockMove; moving: Moving } = $props();

	const { rect } = $derived(moving);
	const faults = $derived(move.result?.faults ?? []);
	const nameOf = (wish: string) => {
		const other = desk.run.blocks.find((block) => block.wish === wish);
		return other ? blockName(other) : wish;
	};
	const home = $derived(faults.find((fault) => fault.kind === 'into'));
	const names = (held: boolean) =>
		faults
			.flatMap((fault) => (fault.kind === 'over' && fault.held === held ? [fault.wish] : []))
			.map(nameOf)
			.join(', ');
	const hard = (fault: PlaceFault) => {
		if (fault.kind === 'off-page') return 'over the edge of the page';
		if (fault.kind === 'cut-away') return 'where the leaf is cut or glued';
		if (fault.kind === 'not-free') return `page ${fault.page} is not free`;
		return fault.kind === 'too-small' ? fault.reason : '';
	};
	const against = $derived(
		[...faults.map(hard), names(true) && `${names(true)} stays there`].filter(Boolean).join('; ')
	);
	const cell = $derived(move.result?.choice?.facts.cell);
	const stays = $derived(move.result !== undefined && mayStay(move.result));
</script>

<strong class="font-medium">{blockName(moving.block)}</strong>
from <strong class="text-rubric">({rect.x}, {rect.y})</strong>,
<strong class="text-rubric">{rect.w} × {rect.h}</strong>{#if cell}, cells
	<strong class="text-rubric">{cell.w} × {cell.h}</strong>{/if}
{#if home && stays}<span class="text-calm">· goes into {nameOf(home.wish)}</span>{/if}
{#if !stays}<span class="text-caution">· {against}</span>
{:else if names(false)}<span class="text-calm"
		>· {names(false)} {names(false).includes(', ') ? 'give' : 'gives'} way</span
	>{/if}
