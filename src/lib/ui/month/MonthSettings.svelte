<script lang="ts">
	import {
		firstYear,
		formatMonth,
		lastYear,
		monthName,
		monthShape,
		weekdayNames,
		type WeekStart
	} from '$lib/core/month';
	import Choice from '../fields/Choice.svelte';
	import NumberField from '../fields/NumberField.svelte';
	import type { MonthDesk } from './month-desk.svelte';

	let { desk }: { desk: MonthDesk } = $props();
	const id = $props.id();

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
		<div class="flex flex-col gap-0.5">
			<label for="{id}-month" class="text-sm text-ink-soft">Month</label>
			<select
				id="{id}-month"
				class="field"
				value={month.month}
				onchange={(event) =>
					desk.change({
						month: formatMonth({ ...month, month: Number(event.currentTarget.value) })
					})}
			>
				{#each { length: 12 }, index (index)}
					<option value={index + 1}
						>{monthName(desk.plan.locale, { year: month.year, month: index + 1 })}</option
					>
				{/each}
			</select>
		</div>
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
	</div>
</details>
