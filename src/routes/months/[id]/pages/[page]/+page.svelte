<script lang="ts">
	import { monthWords } from '$lib/ui/words';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { kindOf } from '$lib/core/fit';
	import { pageOf, paperHints } from '$lib/core/paper';
	import { blockKey, blockName } from '$lib/ui/month/block-name';
	import { CutDraft } from '$lib/ui/cuts/cut-draft.svelte';
	import CutHandles from '$lib/ui/cuts/CutHandles.svelte';
	import CutPanel from '$lib/ui/cuts/CutPanel.svelte';
	import InView from '$lib/ui/cuts/InView.svelte';
	import { getMonthDesk } from '$lib/ui/month/month-desk.svelte';
	import { BlockMove } from '$lib/ui/page/block-move.svelte';
	import BlockHandles from '$lib/ui/page/BlockHandles.svelte';
	import BlockOutlines from '$lib/ui/page/BlockOutlines.svelte';
	import CountingCursor from '$lib/ui/page/CountingCursor.svelte';
	import MovedOthers from '$lib/ui/month/MovedOthers.svelte';
	import MissingLetters from '$lib/ui/page/MissingLetters.svelte';
	import MovedBlock from '$lib/ui/page/MovedBlock.svelte';
	import MoveWords from '$lib/ui/page/MoveWords.svelte';
	import type { CountedDot } from '$lib/ui/page/nearest-dot';
	import NotInRun from '$lib/ui/page/NotInRun.svelte';
	import { openSpread } from '$lib/ui/page/open-spread';
	import PlaceOfBlock from '$lib/ui/page/PlaceOfBlock.svelte';
	import SpreadPicture from '$lib/ui/page/SpreadPicture.svelte';
	import { swipes } from '$lib/ui/page/swipe';
	import ZoomPane from '$lib/ui/page/ZoomPane.svelte';
	import { isTyping } from '$lib/ui/shell/keys';

	const current = getMonthDesk();
	const desk = $derived(current());
	const open = $derived(openSpread(desk.run, page.params.page));
	const move = $derived(new BlockMove(desk));
	const draft = $derived(new CutDraft(desk));
	let counted = $state<{ page: number; dot: CountedDot; byKey: boolean }>();

	const blocks = $derived(
		desk.run.blocks
			.filter((block) =>
				block.pieces.some(
					(piece) => piece.page === open?.spread.left || piece.page === open?.spread.right
				)
			)
			.map((block) => {
				const pages = block.pieces.map((piece) => piece.page).join('–');
				return {
					block,
					wish: block.wish,
					why: block.why,
					key: blockKey(block),
					name: blockName(block),
					pages
				};
			})
	);

	const unplaced = $derived(
		[...new Set(desk.run.unplaced.map(({ wish }) => wish))]
			.map((id) => desk.wishes.find((wish) => wish.id === id))
			.flatMap((wish) => (wish ? [wish.title || kindOf(wish).name] : []))
			.join(', ')
	);

	const title = $derived(monthWords(desk.plan.month));
	const address = (number: number) => `/months/${desk.id}/pages/${number}`;

	function pressed(event: KeyboardEvent) {
		if (isTyping(event) || event.altKey || event.ctrlKey) return;
		if (event.key === 'ArrowLeft') turn('before');
		else if (event.key === 'ArrowRight') turn('after');
	}

	function turn(way: 'before' | 'after') {
		const to = open?.[way];
		if (to !== undefined && !move.moving) void goto(address(to), { keepFocus: true });
	}
</script>

<svelte:head
	><title
		>{open ? `Pages ${open.spread.left} and ${open.spread.right}` : 'Page desk'} · {title} · Horarium</title
	></svelte:head
>
<svelte:window onkeydown={pressed} />

<main id="main" class="flex min-h-0 flex-1 flex-col gap-x-6 px-5 py-3 lg:flex-row">
	{#if open}
		<section
			aria-label="The open spread"
			class="flex min-w-0 flex-1 flex-col"
			data-leafed
			{@attach swipes(turn)}
		>
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
				<button class="button min-h-8" onclick={() => desk.undo()} disabled={!desk.canUndo}
					>Undo</button
				>
				<button class="button min-h-8" onclick={() => desk.redo()} disabled={!desk.canRedo}
					>Redo</button
				>
				<a
					class="button min-h-8"
					href="/app/months/{desk.id}/plan.pdf?page={open.page}"
					target="_blank"
					rel="noopener"
					data-sveltekit-reload>Print page {open.page}</a
				>
			</div>
			<ZoomPane label="Picture of the spread">
				{#snippet beside()}
					<p
						class="ml-auto min-w-0 flex-1 basis-72 text-right leading-tight"
						aria-live={move.moving || counted?.byKey ? 'polite' : 'off'}
					>
						{#if move.moving}
							<MoveWords {desk} {move} moving={move.moving} />
						{:else if counted}
							page {counted.page}, dot
							<strong class="text-rubric">({counted.dot.x}, {counted.dot.y})</strong>,
							{counted.dot.words}
						{:else}
							<span class="text-ink-soft">Point at a dot to count to it.</span>
						{/if}
					</p>
				{/snippet}
				<SpreadPicture
					plan={draft.plan}
					run={move.rest}
					spread={open.spread}
					ruler
					live
					label="Pages {open.spread.left} and {open.spread.right}, drawn to the dot"
				>
					{#snippet overlay(number)}
						{@const { columns, rows } = pageOf(desk.plan.notebook, number)}
						<InView plan={draft.plan} page={number} />
						<BlockOutlines run={move.rest} page={number} chosen={desk.chosen} />
						<CountingCursor
							size={{ w: columns, h: rows }}
							label="Dots of page {number}: arrow keys lead the counting cursor"
							oncount={(dot, byKey) => (counted = dot && { page: number, dot, byKey })}
						>
							<BlockHandles {desk} {move} page={number} />
						</CountingCursor>
						<MovedBlock {desk} {move} page={number} />
						<CutHandles {draft} notebook={desk.plan.notebook} page={number} />
					{/snippet}
				</SpreadPicture>
			</ZoomPane>
		</section>
		<aside aria-label="What is on this spread" class="w-full shrink-0 lg:w-72">
			<h2 class="pb-2 text-xl">On this spread</h2>
			<p id="moving-help" class="pb-2 text-sm text-ink-soft">
				Drag a block, or its handles. By keyboard: arrows move it, Shift and arrows size it, Enter
				leaves it there, Esc puts it back.
			</p>
			<p id="staying-help" class="sr-only">It cannot be moved by itself.</p>
			{#if desk.run.unplaced.length > 0}
				<p class="mb-2 border-l-4 border-caution px-2 text-sm" role="status">
					No place is left for {unplaced}.
					<a class="underline" href="/months/{desk.id}">See what would help</a>
				</p>
			{/if}
			<MovedOthers {desk} />
			<MissingLetters
				plan={desk.plan}
				run={desk.run}
				pages={[open.spread.left, open.spread.right].flatMap((number) => number ?? [])}
			/>
			{#if blocks.length === 0}
				<p class="text-ink-soft">Both pages are free.</p>
			{/if}
			<ul class="flex flex-col gap-3">
				{#each blocks as { block, wish, why, key, name, pages } (key)}
					<li>
						<button
							class="w-full border-l-4 px-2 text-left {desk.chosen === wish
								? 'border-calm'
								: 'border-transparent hover:border-hairline'}"
							aria-pressed={desk.chosen === wish}
							onclick={() => (desk.chosen = desk.chosen === wish ? undefined : wish)}
						>
							<span class="flex items-baseline justify-between gap-2">
								<span class="font-serif text-lg">{name}</span>
								<span class="text-sm text-ink-soft">p. {pages}</span>
							</span>
							{#each why as sum, index (index)}
								<span class="block text-sm text-ink-soft">{sum}</span>
							{/each}
						</button>
						{#if desk.chosen === wish}<PlaceOfBlock {desk} {move} {block} />{/if}
					</li>
				{/each}
			</ul>
			{#each paperHints(desk.plan.notebook.paper ?? {}) as hint (hint)}
				<p class="mt-4 border-l-4 border-calm px-2 text-sm">{hint}</p>
			{/each}
			<CutPanel {desk} {draft} front={open.spread.right} />
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
