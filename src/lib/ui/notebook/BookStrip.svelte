<script lang="ts">
	import { plannablePages, type Notebook } from '$lib/core/paper';
	import { monthWords } from '../words';

	interface Month {
		readonly month: string;
		readonly pages: readonly number[];
		readonly drawn: readonly number[];
	}
	/** The whole book at a glance, page by page as it lies: what is planned, drawn, free, and what is kept out of it. */
	let { notebook, months }: { notebook: Notebook; months: readonly Month[] } = $props();

	const free = $derived(plannablePages(notebook).map(({ number }) => number));
	const last = $derived(
		notebook.totalPages ?? Math.max(...notebook.freePages.map(({ last }) => last))
	);
	/** Leaves of a closed book, seen from its edge: page 1 alone, then spreads. */
	const spreads = $derived(
		Array.from({ length: Math.floor(last / 2) + 1 }, (_, at) =>
			[2 * at, 2 * at + 1].filter((page) => page >= 1 && page <= last)
		)
	);
	const monthOf = (page: number) => months.findIndex(({ pages }) => pages.includes(page));
	const short = (month: string) => monthWords(month).slice(0, 3);

	function lookOf(page: number): string {
		const at = monthOf(page);
		if (at >= 0)
			return months[at]?.drawn.includes(page) ? 'border-calm bg-calm' : 'border-calm bg-chosen';
		return free.includes(page) ? 'border-hairline bg-field' : 'border-hairline bg-desk opacity-60';
	}
</script>

<figure
	aria-label="The book page by page: {months
		.map(
			({ month, pages, drawn }) =>
				`${monthWords(month)} ${pages.length} pages, ${drawn.length} of them drawn`
		)
		.join('; ')}"
>
	<div class="flex flex-wrap gap-x-1 gap-y-3" aria-hidden="true">
		{#each spreads as pages, at (at)}
			<span class="relative flex pt-4">
				{#each pages as page (page)}
					{@const month = monthOf(page)}
					{#if month >= 0 && months[month]?.pages[0] === page}
						<span class="absolute top-0 text-xs leading-none whitespace-nowrap"
							>{short(months[month].month)}</span
						>
					{/if}
					<span class="h-4 w-2.5 border {lookOf(page)}"></span>
				{/each}
			</span>
		{/each}
	</div>
	<figcaption class="pt-1 text-sm text-ink-soft">
		A square a page, spread by spread: filled is drawn, tinted is planned, white is free, grey is
		kept out.
	</figcaption>
</figure>
