<script lang="ts">
	import { clockText, moneyText, sumsByWeek, type Tally, type Tracker } from '$lib/core/records';
	import type { MonthShape } from '$lib/core/month';
	import Chart from './Chart.svelte';
	import {
		moneyOption,
		monthsOption,
		numbersOption,
		sharesOption,
		timesOption
	} from './chart-options';
	import { numberWords } from '../words';
	import NumbersTable from './NumbersTable.svelte';
	import MarksGrid from './MarksGrid.svelte';
	import Ribbon from './Ribbon.svelte';
	import { hoursWords, moneyWords, tallyWords } from './tally-words';

	interface Props {
		tracker: Tracker;
		tally: Tally;
		shape: MonthShape;
		/** The same thing a month before, where it was kept. */
		before?: Tally;
		month: string;
		locale: string;
	}
	/** What was kept of one thing: a sentence, the picture that suits it, and its numbers as a table. */
	let { tracker, tally, shape, before, month, locale }: Props = $props();

	const { days } = $derived(shape);
	const words = $derived([
		...tallyWords(tally, locale),
		...moneyWords(tracker.wish.limit, tally, before)
	]);
	const weeks = $derived(
		tally.of === 'rows' && tally.money && tally.money.byDay.size > 0
			? sumsByWeek(tally.money.byDay, shape).map(({ first, last, minor }) => ({
					name: first === last ? String(first) : `${first}–${last}`,
					minor
				}))
			: []
	);
	const label = $derived(`${tracker.name}: ${words.join(' ')}`);
	const file = $derived(`${month} ${tracker.name}`);
	/** Rows of the table behind a chart. */
	const table = $derived.by(
		(): { head: readonly string[]; rows: readonly (readonly string[])[] } | undefined => {
			switch (tally.of) {
				case 'levels':
					return {
						head: ['Day', 'State'],
						rows: [...tally.days]
							.sort(([a], [b]) => a - b)
							.map(([day, level]) => [String(day), tally.levels[level - 1] ?? String(level)])
					};
				case 'times':
					return {
						head: ['Day', 'From', 'To', 'Hours'],
						rows: [...tally.nights]
							.sort(([a], [b]) => a - b)
							.flatMap(([day, spans]) =>
								spans.map(({ from, to }) => [
									String(day),
									clockText(from),
									clockText(to),
									((to - from) / 60).toFixed(1)
								])
							)
					};
				case 'numbers':
					return {
						head: ['Day', ...tally.rows.map(({ item }) => item ?? tracker.name)],
						rows: Array.from({ length: days }, (_, at) => at + 1)
							.map((day) => [
								String(day),
								...tally.rows.map(({ values }) => {
									const found = values.find((value) => value.day === day);
									return found ? String(found.value) : '';
								})
							])
							.filter(([, ...values]) => values.some(Boolean))
					};
				case 'rows':
					return tally.money
						? {
								head: ['For', 'Sum'],
								rows: tally.money.byCategory.map(([name, minor]) => [
									name || 'other',
									moneyText(minor)
								])
							}
						: undefined;
				default:
					return undefined;
			}
		}
	);
</script>

<section
	aria-label={tracker.name}
	class="min-w-0 border-t border-hairline py-4 print:break-inside-avoid {tally.of === 'marks'
		? 'xl:col-span-2'
		: ''}"
>
	<h2 class="text-2xl">
		{tracker.name}
		<span class="font-sans text-sm text-ink-soft">page {tracker.pages.join(', ')}</span>
	</h2>
	{#if words.length === 0}
		<p class="py-1 text-ink-soft">Nothing was kept.</p>
	{:else}
		<ul class="py-1">
			{#each words as sentence (sentence)}<li>{sentence}</li>{/each}
		</ul>
		{#if tally.of === 'marks'}
			<MarksGrid {tally} {days} />
		{:else if tally.of === 'levels'}
			<Ribbon levels={tally.levels} days={tally.days} last={days} {label} />
			<div class="max-w-xl">
				<Chart
					{label}
					name={file}
					height={34 * tally.levels.length + 30}
					option={sharesOption(
						tally.levels,
						tally.levels.map(
							(_, at) => [...tally.days.values()].filter((level) => level === at + 1).length
						)
					)}
					points={tally.levels.map((name, at) => ({
						series: 0,
						at,
						words: `${name}: ${[...tally.days.values()].filter((level) => level === at + 1).length} days`
					}))}
				/>
			</div>
		{:else if tally.of === 'times'}
			<Chart
				{label}
				name={file}
				height={280}
				option={timesOption(tally.nights, days, tally.from?.mean ?? 0)}
				points={[...tally.nights]
					.sort(([a], [b]) => a - b)
					.flatMap(([day, spans]) =>
						spans.map(({ from, to }, at) => ({
							series: 2 * at + 1,
							at: day - 1,
							words: `${day}: ${clockText(from)} to ${clockText(to)}, ${hoursWords(to - from)}`
						}))
					)}
			/>
		{:else if tally.of === 'numbers'}
			{#each tally.rows as { item, values, tally: own } (item)}
				{#if own}
					<Chart
						label={item ? `${item}: ${label}` : label}
						name={item ? `${file} ${item}` : file}
						option={numbersOption(values, days, own.mean, own.weekly)}
						points={values.map(({ day, value }) => ({
							series: 0,
							at: day - 1,
							words: `${day}: ${numberWords(value)}`
						}))}
					/>
				{/if}
			{/each}
		{:else if tally.of === 'rows' && tally.money}
			<div class="max-w-xl">
				<Chart
					{label}
					name={file}
					height={34 * tally.money.byCategory.length + 30}
					option={moneyOption(tally.money)}
					points={tally.money.byCategory.map(([name, minor], at) => ({
						series: 0,
						at,
						words: `${name || 'other'}: ${moneyText(minor)}`
					}))}
				/>
				{#if weeks.length > 0}
					<Chart
						label="{tracker.name} by week: {weeks
							.map(({ name, minor }) => `${name} ${moneyText(minor)}`)
							.join(', ')}."
						name="{file} by week"
						height={200}
						option={monthsOption(
							'bar',
							weeks.map(({ name }) => name),
							[{ name: 'by week', values: weeks.map(({ minor }) => minor / 100) }]
						)}
						points={weeks.map(({ name, minor }, at) => ({
							series: 0,
							at,
							words: `${name}: ${moneyText(minor)}`
						}))}
					/>
				{/if}
			</div>
		{/if}
		{#if table && table.rows.length > 0}
			<NumbersTable head={table.head} rows={table.rows} />
		{/if}
	{/if}
</section>
