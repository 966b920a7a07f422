<script lang="ts">
	import { formById } from '$lib/core/forms';
	import type { Weeks, Wish } from '$lib/core/wish';
	import { kindById } from '$lib/core/catalogue';
	import { monthShape, weeklySet, type ShortWeek, type WeekBelonging } from '$lib/core/month';
	import Choice from '../fields/Choice.svelte';
	import type { MonthDesk } from './month-desk.svelte';
	import Select from '../fields/Select.svelte';

	let { desk, wish, weeks }: { desk: MonthDesk; wish: Wish; weeks: Weeks } = $props();

	const month = $derived(monthShape(desk.plan.month, desk.month.weekStart));
	const set = $derived(weeklySet(month, weeks.belong, weeks.short));
	const edit = (fields: Partial<Weeks>) => desk.edit(wish.id, { weeks: { ...weeks, ...fields } });

	/** The effect of each choice, in pages. */
	function pagesFor(fields: Partial<Weeks>): string {
		const { belong, short, pagesPerWeek } = { ...weeks, ...fields };
		const count = weeklySet(month, belong, short).reduce(
			(sum, week) => sum + (week.short ? 1 : pagesPerWeek),
			0
		);
		return `${count} p.`;
	}

	const belongings: { value: WeekBelonging; label: string }[] = $derived(
		(
			[
				['touching', 'with any day in the month'],
				['first-day', 'that begin in it'],
				['middle-day', 'whose middle day lies in it']
			] as const
		).map(([value, label]) => ({ value, label: `${label} · ${pagesFor({ belong: value })}` }))
	);
	const shorts: { value: ShortWeek; label: string }[] = $derived(
		(
			[
				['own', 'one page of its own'],
				['fold', 'folded into its neighbour'],
				['skip', 'left out']
			] as const
		).map(([value, label]) => ({ value, label: `${label} · ${pagesFor({ short: value })}` }))
	);
	const counts = $derived(
		([1, 2, 4] as const).map((count) => ({
			value: String(count),
			label: `${count} · ${pagesFor({ pagesPerWeek: count })}`
		}))
	);
	const forms = $derived(
		(kindById(wish.kind)?.forms ?? []).flatMap((form) => formById(form) ?? [])
	);

	function setCount(text: string) {
		const count = ([1, 2, 4] as const).find((value) => String(value) === text);
		if (count) desk.edit(wish.id, { weeks: { ...weeks, pagesPerWeek: count }, form: undefined });
	}

	function setForm(week: number, form: string) {
		const others = (weeks.forms ?? []).filter((other) => other.week !== week);
		edit({ forms: form ? [...others, { week, form }] : others });
	}
</script>

<Choice
	label="Weeks"
	value={weeks.belong}
	options={belongings}
	rows
	onchange={(belong) => edit({ belong })}
/>
<Choice
	label="A week with three days or fewer in the month"
	value={weeks.short}
	options={shorts}
	rows
	onchange={(short) => edit({ short })}
/>
<Choice
	label="Pages a week"
	value={String(weeks.pagesPerWeek)}
	options={counts}
	onchange={setCount}
/>
<details>
	<summary class="cursor-pointer underline decoration-hairline underline-offset-4"
		>Another form for single weeks</summary
	>
	<ul class="flex flex-col gap-1 pt-2">
		{#each set as { week, days } (week)}
			<li>
				<Select
					label="Week {week}, {days} {days === 1 ? 'day' : 'days'}"
					beside
					value={weeks.forms?.find((other) => other.week === week)?.form ?? ''}
					options={[
						{ value: '', label: 'like the others' },
						...forms.map(({ id, name }) => ({ value: id, label: name }))
					]}
					onchange={(form) => setForm(week, form)}
				/>
			</li>
		{/each}
	</ul>
</details>
