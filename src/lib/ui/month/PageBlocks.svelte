<script lang="ts">
	import type { Block } from '$lib/core/fit';
	import { dragHandle, dragHandleZone, type DndEvent } from 'svelte-dnd-action';
	import { calm } from '../shell/calm';
	import { blockKey, blockName } from './block-name';
	import BlockMenu from './BlockMenu.svelte';
	import SixDots from './SixDots.svelte';
	import type { MonthDesk } from './month-desk.svelte';

	/** What stands on one page, by name: to be dragged to another page and place, or sent there from its menu. */
	let { desk, page, all }: { desk: MonthDesk; page: number; all: readonly Block[] } = $props();

	interface Chip {
		readonly id: string;
	}

	const blocks = $derived(all.filter(({ host }) => !host));
	const own = $derived(
		blocks
			.filter(({ pieces }) => pieces[0].page === page)
			.map((block): Chip => ({ id: blockKey(block) }))
	);
	const over = $derived(blocks.filter(({ pieces }) => pieces[0].page !== page));
	let dragged = $state.raw<Chip[]>();
	const shown = $derived(dragged ?? own);
	const byKey = (key: string) => desk.run.blocks.find((block) => blockKey(block) === key);

	function finalize(event: CustomEvent<DndEvent<Chip>>) {
		dragged = undefined;
		const { items, info } = event.detail;
		const block = byKey(info.id);
		if (!block || !items.some(({ id }) => id === info.id)) return;
		if (items.length === own.length && items.every(({ id }, at) => id === own[at]?.id)) return;
		const order = items.flatMap(({ id }) => byKey(id)?.wish ?? []);
		desk.putAmong(block, page, order);
	}
</script>

<div class="min-w-0 flex-1">
	<ul
		aria-label="On page {page}"
		class="min-h-6"
		use:dragHandleZone={{
			items: shown,
			type: 'blocks',
			// A block is held at its right end: where the hand is, is where it is meant to go.
			useCursorForDetection: true,
			flipDurationMs: calm() ? 0 : 150,
			dropTargetStyle: { outline: '2px dashed var(--calm)' },
			autoAriaDisabled: true,
			zoneTabIndex: -1
		}}
		onconsider={(event) => (dragged = event.detail.items)}
		onfinalize={finalize}
	>
		{#each shown as chip (chip.id)}
			{@const block = all.find((own) => blockKey(own) === chip.id) ?? byKey(chip.id)}
			<li class="flex items-start gap-1">
				{#if block}
					<BlockMenu {desk} {block} {page} />
					{#if !block.as.part && !desk.month.drawn?.pages.includes(page)}
						<span
							use:dragHandle
							aria-label="Drag {blockName(block)} on the pages"
							class="on-hand flex min-h-6 w-4 shrink-0 cursor-grab items-center justify-center text-ink-soft"
							><SixDots class="h-3" /></span
						>
					{/if}
				{/if}
			</li>
		{/each}
	</ul>
	{#if over.length > 0 && own.length === 0}<span class="sr-only">over the fold</span>{/if}
</div>
