<script lang="ts">
	import { parseMonth, daysIn } from '$lib/core/month';
	import { moneyText, yearTally, type KeptRecords } from '$lib/core/records';
	import { monthWords } from '../words';
	import Chart from './Chart.svelte';
	import NumbersTable from './NumbersTable.svelte';
	import { monthsOption } from './chart-options';
	import { percent } from './tally-words';

	/** A year of what was kept, month by month. */
	let { months, year }: { months: readonly KeptRecords[]; year: string } = $props();

	const tally = $derived(yearTally(months));
	const names = $derived(tally.months.map((month) => monthWords(month).split(' ')[0] ?? month));
	const rates = $derived(
		[...tally.rates].map(([name, byMonth]) => ({
			name,
			values: tally.months.map((month) => {
				const rate = byMonth.get(month);
				return rate === undefined ? null : Math.round(100 * rate);
			})
		}))
	);
	const money = $derived(
		[...tally.money].map(([name, byMonth]) => ({
			name: name || 'other',
			values: tally.months.map((month) => (byMonth.get(month) ?? 0) / 100)
		}))
	);
	const pages = $derived(tally.months.map((month) => tally.pages.get(month) ?? 0));
	const daysOf = (month: string) => {
		const parsed = parseMonth(month);
		return parsed ? daysIn(parsed) : 31;
	};
	const pointsOf = (
		rows: readonly { readonly name: string; readonly values: readonly (number | null)[] }[],
		words: (value: number) => string
	) =>
		rows.flatMap(({ name, values }, series) =>
			values.flatMap((value, at) =>
				value === null ? [] : [{ series, at, words: `${name}, ${names[at]}: ${words(value)}` }]
			)
		);
	const kept = $derived([...tally.levels.days.values()].some((days) => days.size > 0));
</script>

{#if kept}
	<section aria-label="States of each day" class="border-t border-hairline py-4">
		<h2 class="text-2xl">Each day of {year}</h2>
		<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
		<div class="relative overflow-x-auto" role="group" aria-label="States by day" tabindex="0">
			<table class="mt-2 border-collapse text-sm">
				<tbody>
					{#each tally.months as month, row (month)}
						<tr>
							<th scope="row" class="pr-3 text-right font-normal">{names[row]}</th>
							{#each Array.from({ length: daysOf(month) }, (_, at) => at + 1) as day (day)}
								{@const level = tally.levels.days.get(month)?.get(day)}
								<td
									class="size-6 border border-hairline text-center font-serif"
									style:background={level === undefined ? undefined : `var(--tint-level-${level})`}
									>{level ?? ''}</td
								>
							{/each}
						</tr>
					{/each}
				</tbody>
			</table>
		</div>
		<p class="text-sm text-ink-soft">
			{tally.levels.names.map((name, at) => `${at + 1} ${name}`).join(', ')}
		</p>
	</section>
{/if}
{#if rates.length > 0}
	<section aria-label="Habits by month" class="border-t border-hairline py-4">
		<h2 class="text-2xl">Habits by month</h2>
		<p class="py-1">
			{rates
				.map(({ name, values }) => {
					const known = values.filter((value) => value !== null);
					return `${name} ${known.map((value) => percent(value / 100)).join(', ')}`;
				})
				.join('; ')}.
		</p>
		<Chart
			label="Habits met, of those due, by month"
			name="{year} habits"
			option={monthsOption('line', names, rates, ' %')}
			points={pointsOf(rates, (value) => `${value} %`)}
		/>
		<NumbersTable
			head={['Habit', ...names]}
			rows={rates.map(({ name, values }) => [
				name,
				...values.map((value) => (value === null ? '' : `${value} %`))
			])}
		/>
	</section>
{/if}
{#if money.length > 0}
	<section aria-label="Money by month" class="border-t border-hairline py-4">
		<h2 class="text-2xl">Money by month</h2>
		<p class="py-1">
			{[...tally.money]
				.map(
					([name, byMonth]) =>
						`${name || 'other'} ${moneyText([...byMonth.values()].reduce((sum, minor) => sum + minor, 0))}`
				)
				.join('; ')}.
		</p>
		<Chart
			label="Money by category and month"
			name="{year} money"
			option={monthsOption('bar', names, money)}
			points={pointsOf(money, (value) => value.toFixed(2))}
		/>
		<NumbersTable
			head={['For', ...names]}
			rows={money.map(({ name, values }) => [name, ...values.map((value) => value.toFixed(2))])}
		/>
	</section>
{/if}
{#if pages.some((count) => count > 0)}
	<section aria-label="Pages by month" class="border-t border-hairline py-4">
		<h2 class="text-2xl">Pages drawn</h2>
		<p class="py-1">{names.map((name, at) => `${name} ${pages[at]}`).join(', ')}.</p>
		<Chart
			label="Pages drawn by month"
			name="{year} pages"
			height={200}
			option={monthsOption('bar', names, [{ name: 'pages', values: pages }])}
			points={pointsOf([{ name: 'pages', values: pages }], String)}
		/>
	</section>
{/if}
{#if months.every(({ entries }) => entries.length === 0)}
	<p class="py-6 text-ink-soft">Nothing was filled in during {year} yet.</p>
{/if}
