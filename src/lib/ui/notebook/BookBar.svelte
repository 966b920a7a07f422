<script lang="ts">
	import type { Notebook } from '$lib/core/paper';
	import { monthWords } from '../words';
	import { lastPage, segmentsOf } from './book-segments';

	interface Props {
		notebook: Notebook;
		months: readonly {
			readonly id: string;
			readonly month: string;
			readonly pages: readonly number[];
			readonly drawn: readonly number[];
		}[];
		/** Pages of the longest book: all bars are on one ruler. */
		longest: number;
	}
	/** A book as long as it has pages: what stands in it, and what is free, a stripe for every two pages. */
	let { notebook, months, longest }: Props = $props();

	const last = $derived(lastPage(notebook));
	const segments = $derived(segmentsOf(notebook, months));
	const share = (pages: number) => `${(100 * pages) / last}%`;
	/** Numbers below the bar, so far apart that they do not touch. */
	const apart = $derived(longest > 130 ? 40 : 20);
	const marks = $derived(
		Array.from({ length: Math.ceil(last / apart) }, (_, at) => 1 + at * apart)
	);
	const isDrawn = ({ pages, drawn }: Props['months'][number]) =>
		pages.length > 0 && pages.every((page) => drawn.includes(page));
</script>

<div style:width="{(100 * last) / longest}%" class="min-w-40">
	<ol
		aria-label="{notebook.name}, pages 1 to {last}"
		class="flex h-12 border border-ink bg-field bg-[repeating-linear-gradient(90deg,var(--paper-edge)_0_1px,transparent_1px_var(--stripe))]"
		style:--stripe={share(2)}
	>
		{#each segments as { first, last: to, what } (first)}
			{@const month = typeof what === 'number' ? months[what] : undefined}
			{@const words = first === to ? `page ${first}` : `pages ${first} to ${to}`}
			<li
				style:width={share(to - first + 1)}
				class="overflow-hidden border-ink not-first:border-l {month
					? isDrawn(month)
						? 'bg-calm text-field'
						: 'bg-chosen'
					: what === 'out'
						? 'bg-hairline/60'
						: ''}"
			>
				{#if month}
					<a
						href="/months/{month.id}"
						class="block h-full overflow-hidden px-1.5 py-1 text-sm whitespace-nowrap hover:underline"
						title="{monthWords(month.month)}, {words}"
						><span aria-hidden="true">{monthWords(month.month).slice(0, 3)}, {to - first + 1}</span
						><span class="sr-only">{monthWords(month.month)}, {words}</span></a
					>
				{:else}
					<span
						class="block px-1.5 py-1 text-sm whitespace-nowrap {what === 'free' ? 'sr-only' : ''}"
						>{what === 'free' ? `free, ${words}` : to - first > 10 ? 'kept out' : ''}</span
					>
				{/if}
			</li>
		{/each}
	</ol>
	<p class="relative h-5 text-sm text-rubric" aria-hidden="true">
		{#each marks as page (page)}
			<span class="absolute -translate-x-1/2 first:translate-x-0" style:left={share(page - 1)}
				>{page}</span
			>
		{/each}
	</p>
</div>
