<script lang="ts">
	import { mayStay, type Block } from '$lib/core/fit';
	import { pageOf } from '$lib/core/paper';
	import { wishById } from '$lib/core/wish';
	import NumberField from '../fields/NumberField.svelte';
	import type { MonthDesk } from '../month/month-desk.svelte';
	import { blockName } from '../month/block-name';
	import type { BlockMove } from './block-move.svelte';

	/** Place and size of the chosen block in figures, and how it lets itself be moved. */
	let { desk, move, block }: { desk: MonthDesk; move: BlockMove; block: Block } = $props();

	const [piece] = $derived(block.pieces);
	const grid = $derived(pageOf(desk.plan.notebook, piece.page));
	const over = $derived(block.room.span === 'spread');
	const wish = $derived(wishById(desk.wishes, block.wish));
	const pin = $derived(wish?.pin ?? wish?.spot);
	let refused = $state<string>();

	const nameOf = (wish: string) => {
		const other = desk.run.blocks.find((block) => block.wish === wish);
		return other ? blockName(other) : wish;
	};

	function set(part: Partial<typeof piece.rect>) {
		move.take(block);
		move.put(piece.page, { ...piece.rect, ...part });
		const { result } = move;
		refused = undefined;
		if (result && !mayStay(result)) {
			refused = result.faults.some(({ kind }) => kind === 'off-page')
				? `That would reach over the page of ${grid.columns} × ${grid.rows} squares.`
				: faultWords(result.faults);
			move.giveUp();
		} else move.drop(`place ${block.wish} ${Object.keys(part).join()}`);
	}

	function faultWords(faults: NonNullable<typeof move.result>['faults']): string {
		return faults
			.flatMap((fault) => {
				if (fault.kind === 'too-small') return [fault.reason];
				if (fault.kind === 'over' && fault.held) return [`${nameOf(fault.wish)} stays there.`];
				if (fault.kind === 'cut-away') return ['The leaf is cut or glued there.'];
				return fault.kind === 'not-free' ? [`Page ${fault.page} is not free.`] : [];
			})
			.join(' ');
	}
</script>

{#if move.can(block)}
	<div class="grid grid-cols-2 gap-x-3 gap-y-1 px-2 pt-1">
		{#if !over}
			<NumberField
				label="From the left"
				value={piece.rect.x}
				least={0}
				most={grid.columns - 1}
				onchange={(x = 0) => set({ x })}
			/>
		{/if}
		<NumberField
			label="From the top"
			value={piece.rect.y}
			least={0}
			most={grid.rows - 1}
			onchange={(y = 0) => set({ y })}
		/>
		{#if !over}
			<NumberField
				label="Wide"
				value={piece.rect.w}
				least={1}
				most={grid.columns}
				onchange={(w = 1) => set({ w })}
			/>
		{/if}
		<NumberField
			label="High"
			value={piece.rect.h}
			least={1}
			most={grid.rows}
			onchange={(h = 1) => set({ h })}
		/>
	</div>
	{#if refused}<p class="px-2 pt-1 text-sm text-caution" role="alert">{refused}</p>{/if}
	<p class="px-2 pt-2">
		{#if pin}
			<button class="button min-h-8" onclick={() => desk.pin(block, 'free')}>Let it move</button>
		{:else}
			<button class="button min-h-8" onclick={() => desk.pin(block, 'here')}>Keep it here</button>
		{/if}
	</p>
{:else}
	<p class="px-2 pt-1 text-sm text-ink-soft">
		{desk.month.drawn?.pages.includes(piece.page)
			? 'It is drawn in the book already.'
			: 'Weekly pages move as a set, in the list of the month.'}
	</p>
{/if}
