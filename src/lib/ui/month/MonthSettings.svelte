<script lang="ts">
	import {
		firstYear,
		formatMonth,
		lastYear,
		monthNames,
		monthShape,
		weekdayNames,
		type WeekStart
	} from '$lib/core/month';
	import type { Titles } from '$lib/core/fit';
	import Choice from '../fields/Choice.svelte';
	import NumberField from '../fields/NumberField.svelte';
	import type { MonthDesk } from './month-desk.svelte';
	import Select from '../fields/Select.svelte';

	let { desk }: { desk: MonthDesk } = $props();

	const titles: { value: Titles; label: string }[] = [
		{ value: 'lettered', label: 'drawn letter by letter' },
		{ value: 'side', label: 'drawn down the side' },
		{ value: 'written', label: 'written on a row' },
		{ value: 'none', label: 'left out' }
	];
	const month = $derived(desk.plan.month);
	const shape = $derived(monthShape(month, desk.plan.weekStart));
	const starts = $derived(
		(['monday', 'sunday', 'saturday'] satisfies WeekStart[]).map((value) => ({
			value,
			label: weekdayNames(desk.plan.locale, value, 'long')[0] ?? value
		}))
	);
</script>

<details class="border-b border-hairline py-2">
	<summary class="cursor-pointer">
		<span class="text-ink-soft">
			{shape.days} days in {shape.weeks} weeks, {shape.lead}
			{shape.lead === 1 ? 'cell' : 'cells'} empty before the 1st
		</span>
		<span class="underline decoration-hairline underline-offset-4">Change</span>
	</summary>
	<div class="flex flex-wrap gap-x-4 gap-y-3 pt-3 pb-2">
		<Select
			label="Month"
			value={String(month.month)}
			options={monthNames(desk.plan.locale).map((label, index) => ({
				value: String(index + 1),
				label
			}))}
			onchange={(number) =>
				desk.change({ month: formatMonth({ ...month, month: Number(number) }) })}
		/>
		<NumberField
			label="Year"
			value={month.year}
			least={firstYear}
			most={lastYear}
			onchange={(year) =>
				year !== undefined && desk.change({ month: formatMonth({ ...month, year }) }, 'year')}
		/>
		<Choice
			label="Week starts on"
			value={desk.month.weekStart}
			options={starts}
			onchange={(weekStart) => desk.change({ weekStart })}
		/>
		<Choice
			label="Titles are"
			value={desk.month.titles ?? 'lettered'}
			options={titles}
			onchange={(titles) => desk.change({ titles: titles === 'lettered' ? undefined : titles })}
		/>
	</div>
</details>
