<script lang="ts">
	import { monthWords, numberWords } from '$lib/ui/words';
	import BookStrip from './BookStrip.svelte';
	import { addMonths, formatMonth, parseMonth } from '$lib/core/month';
	import type { Moving } from '$lib/core/next';
	import { forecast, geometryOf, indexAfter, mm, paperHints, type Notebook } from '$lib/core/paper';

	interface Props {
		id: string;
		notebook: Notebook;
		planned: readonly {
			readonly id: string;
			readonly month: string;
			readonly pages: number;
			readonly first?: number;
			readonly last?: number;
			readonly titles: number;
			readonly inRun: readonly number[];
			readonly drawn: readonly number[];
			/** Entries that were filled in. */
			readonly kept: number;
		}[];
		/** Free pages after the planned months. */
		left: number;
		/** What a new book takes over of the last month. */
		along: readonly Moving[];
	}
	let { id, notebook, planned, left, along }: Props = $props();

	const latest = $derived(planned.at(-1));
	const outlook = $derived.by(() => {
		const month = latest && parseMonth(latest.month);
		return (
			month &&
			forecast(
				planned.map(({ pages }) => pages),
				left,
				month
			)
		);
	});
	/** The last month that is planned in it. */
	const after = $derived((latest && parseMonth(latest.month)) ?? { year: 2000, month: 1 });
	const titles = $derived(planned.reduce((sum, month) => sum + month.titles, 0));
	const index = $derived(notebook.index && indexAfter(notebook.index, latest?.titles ?? 0));
	const hints = $derived(paperHints(notebook.paper ?? {}));
	const geometry = $derived(geometryOf(notebook));
	const round = (value: number) => Math.round(value * 10) / 10;
</script>

<div class="flex flex-col gap-4">
	<h2 class="text-2xl">What that means</h2>
	{#if planned.length === 0}
		<p>No month is planned in this book yet.</p>
		<p><a class="button" href="/months?book={id}">Plan a month in it</a></p>
	{:else}
		<table class="w-full text-left">
			<caption class="pb-1 text-left text-sm text-ink-soft">Months in this book</caption>
			<thead class="text-sm text-ink-soft">
				<tr
					><th class="font-normal">Month</th><th class="font-normal">Pages</th><th
						class="font-normal">Drawn</th
					><th class="font-normal">Filled in</th><th class="font-normal">Lines in the index</th></tr
				>
			</thead>
			<tbody>
				{#each planned as month (month.id)}
					<tr class="border-t border-hairline">
						<td class="py-1"
							><a class="underline decoration-hairline underline-offset-4" href="/months/{month.id}"
								>{monthWords(month.month)}</a
							></td
						>
						<td>{month.pages > 0 ? `${month.first}–${month.last} (${month.pages})` : 'none'}</td>
						<td>{month.drawn.length === 0 ? 'none' : `${month.drawn.length} pages`}</td>
						<td>{month.kept === 0 ? 'nothing' : numberWords(month.kept)}</td>
						<td>{month.titles}</td>
					</tr>
				{/each}
			</tbody>
		</table>
	{/if}
	<BookStrip
		{notebook}
		months={planned.map(({ month, inRun, drawn }) => ({ month, pages: inRun, drawn }))}
	/>
	{#if outlook}
		<p>
			<strong class="font-serif text-xl text-rubric">{round(outlook.pagesPerMonth)}</strong> pages a
			month so far and <strong class="font-serif text-xl text-rubric">{left}</strong> left:
			{outlook.monthsLeft === 0
				? 'not enough for another month like these.'
				: outlook.monthsLeft === 1
					? 'one more month like these fits.'
					: `${outlook.monthsLeft} more months like these fit.`}
			The book is full in {monthWords(outlook.fullIn)}: have the next one at hand by the end of {monthWords(
				addMonths(outlook.fullIn, -1)
			)}.
		</p>
		<p class="flex flex-wrap gap-3">
			{#if outlook.monthsLeft > 0}<a class="button" href="/months?book={id}"
					>Plan another month in it</a
				>{/if}
			<a class="button" href="/notebooks/new?month={formatMonth(addMonths(after, 1))}"
				>Begin the next book with {monthWords(addMonths(after, 1))}</a
			>
		</p>
		{#if along.length > 0}
			<details>
				<summary class="cursor-pointer font-serif text-lg">What moves into the next book</summary>
				<ul class="list-disc pt-1 pl-6">
					{#each along as { name, pages, takes }, at (at)}
						<li>{name} (page {pages.join(', ')}): {takes}.</li>
					{/each}
				</ul>
			</details>
		{/if}
	{/if}
	{#if notebook.index && index}
		<p>
			Index: {notebook.index.used} of {notebook.index.lines} lines are written on; {latest
				? monthWords(latest.month)
				: 'the next month'} needs {latest?.titles ?? 0}, all months planned here {titles}.
		</p>
		{#if index.warning}
			<p class="border-l-4 border-caution bg-caution-ground px-3 py-2">{index.warning}</p>
		{/if}
	{/if}
	<p>
		From the last dot of a left page to the first of a right page: {mm(geometry.gutterMm)}, or {Math.round(
			geometry.gutterSquares * 100
		) / 100} squares.
		{#if geometry.registerMm.x !== 0 || geometry.registerMm.y !== 0}
			Front and back of a leaf are {mm(Math.abs(geometry.registerMm.x))} across and {mm(
				Math.abs(geometry.registerMm.y)
			)} down out of register: measure cuts from the paper’s edge.
		{/if}
	</p>
	{#each hints as hint (hint)}
		<p class="border-l-4 border-calm px-3">{hint}</p>
	{/each}
</div>
