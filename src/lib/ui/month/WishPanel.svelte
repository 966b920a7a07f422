<script lang="ts">
	import type { Snippet } from 'svelte';
	import { hostOf, wishById } from '$lib/core/wish';
	import { nameOf } from './block-name';
	import type { MonthDesk } from './month-desk.svelte';

	interface Props {
		desk: MonthDesk;
		/** Below the sums: where it lies on the opened spread. */
		position?: Snippet;
	}
	/** The chosen wish: its sums, and everything that can be said about it. */
	let { desk, position }: Props = $props();

	const wish = $derived(desk.chosen === undefined ? undefined : wishById(desk.wishes, desk.chosen));
	const blocks = $derived(desk.run.blocks.filter((block) => block.wish === wish?.id));
	/** A whole week says how a set is ruled; a short one has its own ways. */
	const block = $derived(blocks.find(({ as }) => !as.part?.short) ?? blocks[0]);
	const weeks = $derived(new Set(blocks.map(({ as }) => as.part?.week)).size);
	const pages = $derived(new Set(blocks.flatMap(({ pieces }) => pieces.map(({ page }) => page))));
</script>

{#if wish}
	<section aria-label="The chosen wish" class="flex flex-col gap-2">
		<div class="flex items-baseline justify-between gap-2">
			<h2 class="font-serif text-2xl">{nameOf(wish)}</h2>
			<button
				class="button button-quiet min-h-8"
				aria-label="Close {nameOf(wish)}"
				onclick={() => (desk.chosen = undefined)}>✕</button
			>
		</div>
		{#if wish.weeks}
			<p class="text-sm text-ink-soft">
				{weeks}
				{weeks === 1 ? 'week' : 'weeks'} on {pages.size} pages
			</p>
		{/if}
		{#each block?.why ?? [] as sum, index (index)}
			<p class="text-sm text-ink-soft">{sum}</p>
		{/each}
		<!-- Loaded when first opened: the month is read far more often than a wish is changed. -->
		{#await import('./WishEditor.svelte') then { default: WishEditor }}
			{#key wish.id}
				<WishEditor {desk} {wish} host={hostOf(desk.wishes, wish.id)} {position} />
			{/key}
		{:catch}
			<p role="alert" class="pb-2 text-sm text-caution">
				Horarium is not answering, so this cannot be changed at the moment. Close it and try again.
			</p>
		{/await}
	</section>
{/if}
