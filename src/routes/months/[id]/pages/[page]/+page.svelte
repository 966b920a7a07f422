<script lang="ts">
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { pageOf, paperHints } from '$lib/core/paper';
	import { blockKey, blockName } from '$lib/ui/month/block-name';
	import { getMonthDesk } from '$lib/ui/month/month-desk.svelte';
	import BlockOutlines from '$lib/ui/page/BlockOutlines.svelte';
	import CountingCursor from '$lib/ui/page/CountingCursor.svelte';
	import type { CountedDot } from '$lib/ui/page/nearest-dot';
	import NotInRun from '$lib/ui/page/NotInRun.svelte';
	import { openSpread } from '$lib/ui/page/open-spread';
	import SpreadPicture from '$lib/ui/page/SpreadPicture.svelte';
	import ZoomPane from '$lib/ui/page/ZoomPane.svelte';
	import { isTyping } from '$lib/ui/shell/keys';

	const current = getMonthDesk();
	const desk = $derived(current());
	const open = $derived(openSpread(desk.run, page.params.page));
	let counted = $state<{ page: number; dot: CountedDot }>();

	const blocks = $derived(
		desk.run.blocks
			.filter((block) =>
				block.pieces.some(
					(piece) => piece.page === open?.spread.left || piece.page === open?.spread.right
				)
			)
			.map((block) => {
				const pages = block.pieces.map((piece) => piece.page).join('–');
				return { ...block, key: blockKey(block), name: blockName(block), pages };
			})
	);

	const address = (number: number) => `/months/${desk.id}/pages/${number}`;

	function pressed(event: KeyboardEvent) {
		if (isTyping(event) || event.altKey || event.ctrlKey) return;
		const to =
			event.key === 'ArrowLeft'
				? open?.before
				: event.key === 'ArrowRight'
					? open?.after
					: undefined;
		if (to !== undefined) void goto(address(to), { keepFocus: true });
	}
</script>

<svelte:head><title>Page desk · Horarium</title></svelte:head>
<svelte:window onkeydown={pressed} />

<main id="main" class="flex min-h-0 flex-1 flex-col gap-x-6 px-5 py-3 lg:flex-row">
	{#if open}
		<section aria-label="The open spread" class="flex min-w-0 flex-1 flex-col">
			<div class="flex flex-wrap items-center gap-x-4 gap-y-1 pb-1">
				<h1 class="text-2xl">Pages {open.spread.left} and {open.spread.right}</h1>
				<nav aria-label="Spreads" class="flex gap-1">
					{#if open.before !== undefined}
						<a class="button min-h-8" href={address(open.before)}>← Before</a>
					{/if}
					{#if open.after !== undefined}
						<a class="button min-h-8" href={address(open.after)}>After →</a>
					{/if}
				</nav>
				<p class="ml-auto min-w-72 text-right" aria-live="off">
					{#if counted}
						page {counted.page}, dot
						<strong class="text-rubric">({counted.dot.x}, {counted.dot.y})</strong>,
						{counted.dot.words}
					{:else}
						<span class="text-ink-soft">Point at a dot to count to it.</span>
					{/if}
				</p>
			</div>
			<ZoomPane label="Picture of the spread">
				<SpreadPicture
					plan={desk.plan}
					run={desk.run}
					spread={open.spread}
					ruler
					label="Pages {open.spread.left} and {open.spread.right}, drawn to the dot"
				>
					{#snippet overlay(number)}
						{@const { columns, rows } = pageOf(desk.plan.notebook, number)}
						<BlockOutlines run={desk.run} page={number} chosen={desk.chosen} />
						<CountingCursor
							size={{ w: columns, h: rows }}
							oncount={(dot) => (counted = dot && { page: number, dot })}
						/>
					{/snippet}
				</SpreadPicture>
			</ZoomPane>
		</section>
		<aside aria-label="What is on this spread" class="w-full shrink-0 lg:w-72">
			<h2 class="pb-2 text-xl">On this spread</h2>
			{#if blocks.length === 0}
				<p class="text-ink-soft">Both pages are free.</p>
			{/if}
			<ul class="flex flex-col gap-3">
				{#each blocks as block (block.key)}
					<li>
						<button
							class="w-full border-l-4 px-2 text-left {desk.chosen === block.wish
								? 'border-calm'
								: 'border-transparent hover:border-hairline'}"
							aria-pressed={desk.chosen === block.wish}
							onclick={() => (desk.chosen = desk.chosen === block.wish ? undefined : block.wish)}
						>
							<span class="flex items-baseline justify-between gap-2">
								<span class="font-serif text-lg">{block.name}</span>
								<span class="text-sm text-ink-soft">p. {block.pages}</span>
							</span>
							{#each block.why as sum (sum)}
								<span class="block text-sm text-ink-soft">{sum}</span>
							{/each}
						</button>
					</li>
				{/each}
			</ul>
			{#each paperHints(desk.plan.notebook.paper ?? {}) as hint (hint)}
				<p class="mt-4 border-l-4 border-calm px-2 text-sm">{hint}</p>
			{/each}
			<p class="pt-5">
				<a class="button" href="/months/{desk.id}/guide/{open.page}"
					>Counting guide for page {open.page}</a
				>
			</p>
		</aside>
	{:else}
		<NotInRun {desk} />
	{/if}
</main>
