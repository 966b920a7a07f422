<script lang="ts">
	import { tick } from 'svelte';
	import { sectionsOf, type Block, type Run } from '$lib/core/fit';
	import { spreadOf, type Rect, type Spread } from '$lib/core/paper';
	import SpreadPicture from '../page/SpreadPicture.svelte';
	import BlockOutlines from '../page/BlockOutlines.svelte';
	import { focusLater, focusWanted } from '../focus';
	import { calm } from '../shell/calm';
	import { blockName } from './block-name';
	import type { MonthDesk } from './month-desk.svelte';
	import { boxesOf, movedBlocks, movingKey, showWay } from './moved';
	import PageBlocks from './PageBlocks.svelte';
	import OpenedSpread from '../page/OpenSpread.svelte';
	import type { OpenSpread } from '../page/open-spread';
	import SpreadMenu from './SpreadMenu.svelte';

	interface Props {
		desk: MonthDesk;
		/** The spread that is opened among the others. */
		opened: OpenSpread | undefined;
	}
	let { desk, opened }: Props = $props();

	const spreads = $derived([
		...new Map(
			desk.run.pages.map((page) => {
				const spread = spreadOf(page.number);
				return [spread.left, spread] as const;
			})
		).values()
	]);
	/** So many spreads are drawn before it is known how many the window shows. */
	const atOnce = 4;
	const sections = $derived(sectionsOf(desk.run));
	const pages = $derived(new Set(desk.run.pages.map(({ number }) => number)));

	/** What lies on each page, found once for all of them: a month has dozens of pages and of blocks. */
	const blocksOn = $derived.by(() => {
		const all: Record<number, { block: Block; rect: Rect }[]> = {};
		for (const block of desk.run.blocks)
			for (const { page, rect } of block.pieces) (all[page] ??= []).push({ block, rect });
		return all;
	});
	const on = (page: number) => (blocksOn[page] ?? []).map(({ block }) => block);
	const artOn = (spread: Spread) =>
		desk.run.art.filter(({ page }) => page === spread.left || page === spread.right);
	const namesOn = (page: number) => on(page).map(blockName);

	/** More than a third of a page is told as what it is. */
	function isLarge(number: number, { w, h }: Rect): boolean {
		const page = desk.run.pages.find((one) => one.number === number);
		return page !== undefined && 3 * w * h > page.columns * page.rows;
	}

	/** The least width of a spread and the space beside it, as the list's classes say; a rem is 106.25 % of 16 px. */
	const rem = 17;
	const gapRem = 1.5;
	const leastRem = 14.5;
	let width = $state(0);
	const columns = $derived(
		Math.max(1, Math.floor((width + gapRem * rem) / ((leastRem + gapRem) * rem)))
	);
	/** The opened one begins its row, so that none of the others leaves a hole before it. */
	const orderOf = (index: number, isOpen: boolean) =>
		isOpen ? 2 * Math.floor(index / columns) * columns - 1 : 2 * index;

	let list = $state<HTMLElement>();
	/** Brought into view once; in another number of columns it stands in another row. */
	let brought = '';
	$effect(() => {
		const wanted = opened ? `${opened.spread.left} ${columns}` : '';
		if (wanted === brought || !list) return;
		brought = wanted;
		const item = list.querySelector(`[data-spread="${opened?.spread.left}"]`);
		// The width is known before what follows from it is in place.
		void tick().then(() => item?.scrollIntoView({ block: 'start' }));
	});
	let before: Run | undefined;
	let starts = new Map<string, DOMRect>();
	$effect.pre(() => {
		const { run } = desk;
		const moved = !before || run === before || calm() ? [] : movedBlocks(before, run);
		starts = list && moved.length > 0 ? boxesOf(list, moved) : new Map();
		before = run;
	});
	$effect(() => {
		// What is to have the focus comes with a run, or with a spread that is opened or closed.
		const shown = [desk.run, opened];
		if (shown.length > 0) focusWanted();
	});
	$effect(() => {
		if (desk.run && list && starts.size > 0) showWay(starts, boxesOf(list, [...starts.keys()]));
	});
</script>

<ol
	bind:this={list}
	bind:clientWidth={width}
	class="grid grid-cols-[repeat(auto-fill,minmax(min(14.5rem,100%),1fr))] gap-x-6 gap-y-4"
>
	{#each spreads as spread, index (spread.left)}
		{@const here = sections.filter(({ first }) => first === spread.left || first === spread.right)}
		{@const isOpen = spread.left === opened?.spread.left}
		<li
			class="group flex scroll-mt-2 flex-col {isOpen ? 'col-span-full' : ''}"
			style:order={opened && orderOf(index, isOpen)}
			data-spread={spread.left}
		>
			{#if isOpen && opened}
				<OpenedSpread {desk} open={opened} />
			{:else}
				<p class="flex min-h-7 items-center justify-between gap-2 text-sm text-ink-soft">
					<span>{here.map(({ name }) => name).join(' · ')}</span>
					<span class="on-hand flex items-center">
						{#each artOn(spread) as { page, rect } (`${page} ${rect.x} ${rect.y}`)}
							<button
								class="button button-quiet min-h-7 px-1 text-sm"
								title="A picture in the free {rect.w} × {rect.h} on page {page}"
								onclick={() => desk.keepForPicture(page, rect)}
								>Picture<span class="sr-only">
									in the free {rect.w} × {rect.h} on page {page}</span
								></button
							>
						{/each}
						<SpreadMenu {desk} {spread} />
					</span>
				</p>
				<a
					href="/months/{desk.id}/pages/{spread.left}"
					class="block focus-visible:outline-offset-4"
					data-sveltekit-noscroll
					data-sveltekit-keepfocus
					onclick={() => {
						desk.chosen = undefined;
						focusLater('[data-open-spread]');
					}}
				>
					<SpreadPicture
						plan={desk.plan}
						run={desk.run}
						{spread}
						waits={index >= atOnce}
						label="Pages {spread.left} and {spread.right}: {[
							...namesOn(spread.left),
							...namesOn(spread.right)
						].join(', ') || 'free'}. Open."
					>
						{#snippet overlay(page)}
							{#each desk.run.art.filter((area) => area.page === page) as { rect } (`${rect.x} ${rect.y}`)}
								<rect
									x={rect.x}
									y={rect.y}
									width={rect.w}
									height={rect.h}
									class="fill-none stroke-calm"
									stroke-width="0.16"
									stroke-dasharray="0.9 0.7"
								/>
								<text
									x={rect.x + rect.w / 2}
									y={rect.y + rect.h / 2 + 0.6}
									font-size="1.7"
									text-anchor="middle"
									class="fill-calm font-sans italic"
									>{isLarge(page, rect) ? `free: ${rect.w} × ${rect.h}` : 'free'}</text
								>
							{/each}
							{#each blocksOn[page] ?? [] as { block, rect }, index (index)}
								<rect
									data-block={movingKey(block)}
									x={rect.x}
									y={rect.y}
									width={rect.w}
									height={rect.h}
									class="fill-none"
								/>
							{/each}
							<BlockOutlines run={desk.run} {page} chosen={desk.chosen} />
						{/snippet}
					</SpreadPicture>
				</a>
				<div class="flex gap-2">
					{#each [spread.left, spread.right] as page (page)}
						{#if pages.has(page)}<PageBlocks {desk} {page} all={on(page)} />{:else}<span
								class="flex-1"
							></span>{/if}
					{/each}
				</div>
			{/if}
		</li>
	{/each}
</ol>
