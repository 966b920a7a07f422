<script lang="ts">
	import { goto } from '$app/navigation';
	import { pageOf, paperHints } from '$lib/core/paper';
	import { blockKey, blockName } from '../month/block-name';
	import { CutDraft } from '../cuts/cut-draft.svelte';
	import CutHandles from '../cuts/CutHandles.svelte';
	import CutPanel from '../cuts/CutPanel.svelte';
	import InView from '../cuts/InView.svelte';
	import { focusOn } from '../focus';
	import type { MonthDesk } from '../month/month-desk.svelte';
	import WishPanel from '../month/WishPanel.svelte';
	import { isTyping } from '../shell/keys';
	import { BlockMove } from './block-move.svelte';
	import BlockHandles from './BlockHandles.svelte';
	import BlockOutlines from './BlockOutlines.svelte';
	import CountingCursor from './CountingCursor.svelte';
	import MissingLetters from './MissingLetters.svelte';
	import MovedBlock from './MovedBlock.svelte';
	import MoveWords from './MoveWords.svelte';
	import type { CountedDot } from './nearest-dot';
	import type { OpenSpread } from './open-spread';
	import PlaceOfBlock from './PlaceOfBlock.svelte';
	import SpreadPicture from './SpreadPicture.svelte';
	import { swipes } from './swipe';
	import ZoomPane from './ZoomPane.svelte';

	/** A spread opened within the run: its blocks are moved and sized here, and what is chosen is changed beside it. */
	let { desk, open }: { desk: MonthDesk; open: OpenSpread } = $props();

	const move = $derived(new BlockMove(desk));
	const draft = $derived(new CutDraft(desk));
	let counted = $state<{ page: number; dot: CountedDot; byKey: boolean }>();

	const { left, right } = $derived(open.spread);
	const blocks = $derived(
		desk.run.blocks.filter((block) =>
			block.pieces.some(({ page }) => page === left || page === right)
		)
	);
	const chosen = $derived(blocks.filter(({ wish }) => wish === desk.chosen));
	const address = (number: number) => `/months/${desk.id}/pages/${number}`;

	function pressed(event: KeyboardEvent) {
		if (isTyping(event) || event.altKey || event.ctrlKey) return;
		if (event.key === 'ArrowLeft') turn('before');
		else if (event.key === 'ArrowRight') turn('after');
		else if (event.key === 'Escape' && !event.defaultPrevented && !move.moving && !draft.cut)
			close();
	}

	function turn(way: 'before' | 'after') {
		const to = open[way];
		if (to === undefined || move.moving) return;
		desk.chosen = undefined;
		void goto(address(to), { keepFocus: true, noScroll: true, replaceState: true });
	}

	function close() {
		desk.chosen = undefined;
		void goto(`/months/${desk.id}`, { keepFocus: true, noScroll: true });
		void focusOn(`[data-spread="${left}"] a`);
	}
</script>

<svelte:window onkeydown={pressed} />

<section
	aria-label="The opened spread"
	class="flex flex-col gap-x-6 gap-y-3 border-y-2 border-calm py-3 xl:flex-row"
	tabindex="-1"
	data-open-spread
	data-leafed
	{@attach swipes(turn)}
>
	<!-- What is changed stays in view beside its choices, however long these are. -->
	<div class="flex min-w-0 flex-1 flex-col xl:sticky xl:top-0 xl:self-start">
		<div class="flex flex-wrap items-center gap-x-3 gap-y-1 pb-1">
			<h2 class="text-xl">Pages {left} and {right}</h2>
			<span class="flex gap-1">
				<button
					class="button min-h-8"
					disabled={open.before === undefined}
					aria-label="Spread before"
					onclick={() => turn('before')}>←</button
				>
				<button
					class="button min-h-8"
					disabled={open.after === undefined}
					aria-label="Spread after"
					onclick={() => turn('after')}>→</button
				>
			</span>
			<button class="button ml-auto min-h-8" onclick={close}>Close</button>
		</div>
		<ZoomPane label="Picture of the spread">
			{#snippet beside()}
				<p
					class="ml-auto min-w-0 flex-1 basis-60 text-right leading-tight"
					aria-live={move.moving || counted?.byKey ? 'polite' : 'off'}
				>
					{#if move.moving}
						<MoveWords {desk} {move} moving={move.moving} />
					{:else if counted}
						page {counted.page}, dot
						<strong class="text-rubric">({counted.dot.x}, {counted.dot.y})</strong>,
						{counted.dot.words}
					{:else}
						<span class="text-ink-soft">Click a dot to see its count.</span>
					{/if}
				</p>
			{/snippet}
			<SpreadPicture
				plan={draft.plan}
				run={move.rest}
				spread={open.spread}
				ruler
				live
				label="Pages {left} and {right}, drawn to the dot"
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
		<p class="flex flex-wrap gap-2 pt-2">
			<a class="button min-h-8" href="/months/{desk.id}/guide/{open.page}">Draw page {open.page}</a>
			<a
				class="button min-h-8"
				href="/app/months/{desk.id}/plan.pdf?page={open.page}"
				target="_blank"
				rel="noopener"
				data-sveltekit-reload>Print page {open.page}</a
			>
		</p>
	</div>
	<div class="w-full shrink-0 xl:w-80">
		<p id="moving-help" class="sr-only">
			Drag a block, or its handles. By keyboard: arrows move it, Shift and arrows size it, Enter
			leaves it there, Esc puts it back.
		</p>
		<p id="staying-help" class="sr-only">It moves with its week.</p>
		{#if chosen.length > 0}
			<WishPanel {desk}>
				{#snippet position()}
					{#each chosen as block (blockKey(block))}
						<PlaceOfBlock {desk} {move} {block} />
					{/each}
				{/snippet}
			</WishPanel>
		{:else}
			<section aria-label="What is on this spread">
				<p class="pb-2 text-sm text-ink-soft">
					{blocks.length === 0
						? 'Both pages are free.'
						: 'Drag a block or its handles to move and size it; click it to change it.'}
				</p>
				<MissingLetters plan={desk.plan} run={desk.run} pages={[left, right]} />
				<ul class="flex flex-col">
					{#each blocks as block (blockKey(block))}
						<li class="border-b border-hairline">
							<button
								class="flex min-h-9 w-full items-baseline justify-between gap-2 px-1 py-1 text-left hover:bg-chosen"
								onclick={() => (desk.chosen = block.wish)}
							>
								<span class="font-serif text-lg">{blockName(block)}</span>
								<span class="text-sm text-ink-soft"
									>p. {block.pieces.map(({ page }) => page).join('–')}</span
								>
							</button>
						</li>
					{/each}
				</ul>
				{#each paperHints(desk.plan.notebook.paper ?? {}) as hint (hint)}
					<p class="mt-4 border-l-4 border-calm px-2 text-sm">{hint}</p>
				{/each}
			</section>
		{/if}
		<CutPanel {desk} {draft} front={right} />
	</div>
</section>
