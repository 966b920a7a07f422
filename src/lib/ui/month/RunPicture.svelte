<script lang="ts">
	import { spreadOf } from '$lib/core/paper';
	import SpreadPicture from '../page/SpreadPicture.svelte';
	import BlockOutlines from '../page/BlockOutlines.svelte';
	import type { MonthDesk } from './month-desk.svelte';

	let { desk }: { desk: MonthDesk } = $props();

	const spreads = $derived([
		...new Map(
			desk.run.pages.map((page) => {
				const spread = spreadOf(page.number);
				return [spread.left, spread] as const;
			})
		).values()
	]);

	function titlesOn(page: number) {
		return desk.run.blocks
			.filter((block) => block.pieces.some((piece) => piece.page === page))
			.map((block) => block.wish);
	}
</script>

<ol class="grid grid-cols-[repeat(auto-fill,minmax(min(19rem,100%),1fr))] gap-x-6 gap-y-7">
	{#each spreads as spread (spread.left)}
		<li>
			<a href="/months/{desk.id}/pages/{spread.left}" class="block focus-visible:outline-offset-4">
				<SpreadPicture
					plan={desk.plan}
					run={desk.run}
					{spread}
					label="Pages {spread.left} and {spread.right}: {[
						...titlesOn(spread.left),
						...titlesOn(spread.right)
					].join(', ') || 'free'}. Open on the page desk."
				>
					{#snippet overlay(page)}
						<BlockOutlines run={desk.run} {page} chosen={desk.chosen} />
					{/snippet}
				</SpreadPicture>
			</a>
		</li>
	{/each}
</ol>
