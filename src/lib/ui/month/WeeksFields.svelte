<script lang="ts">
	import { formById } from '$lib/core/forms';
	import type { Weeks, Wish } from '$lib/core/wish';
	import { kindById } from '$lib/core/catalogue';
	import { pagesFor as pagesOfForm, weeksOf } from '$lib/core/fit';
	import {
		dayRange,
		monthShape,
		weeklySet,
		type ShortWeek,
		type WeekBelonging
	} from '$lib/core/month';
	import Check from '../fields/Check.svelte';
	import Choice from '../fields/Choice.svelte';
	import type { MonthDesk } from './month-desk.svelte';
	import Select from '../fields/Select.svelte';

	let { desk, wish, weeks }: { desk: MonthDesk; wish: Wish; weeks: Weeks } = $props();

	const month = $derived(monthShape(desk.plan.month, desk.month.weekStart));
	/** All weeks of the rule, those that an earlier month shows among them. */
	const set = $derived(weeklySet(month, weeks.belong, weeks.short));
	const planned = $derived(weeksOf(desk.plan, wish, weeks));
	const shown = $derived(new Set(desk.plan.earlierWeeks));
	const edit = (fields: Partial<Weeks>) => desk.edit(wish.id, { weeks: { ...weeks, ...fields } });

	/** The effect of each choice, in pages. */
	function pagesFor(fields: Partial<Weeks>): string {
		const changed = { ...weeks, ...fields };
		const count = weeksOf(desk.plan, wish, changed).reduce(
			(sum, week) => sum + (week.short ? 1 : changed.pagesPerWeek),
			0
		);
		return `${count} p.`;
	}

	const belongings: { value: WeekBelonging; label: string }[] = $derived(
		(
			[
				['touching', 'with any day in this month'],
				['first-day', 'that begin in this month'],
				['middle-day', 'mostly in this month']
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
	/** Only days come in halves. */
	const mostPages = $derived(kindById(wish.kind)?.start.weeks ? 4 : 2);
	const counts = $derived(
		([1, 2, 4] as const)
			.filter((count) => count <= mostPages)
			.map((count) => ({
				value: String(count),
				label: `${count} · ${pagesFor({ pagesPerWeek: count })}`
			}))
	);
	/** Forms that a single week may have: those that take as many pages as it has. */
	const formsFor = (pages: Weeks['pagesPerWeek']) =>
		(kindById(wish.kind)?.forms ?? []).flatMap((id) => {
			const form = formById(id);
			return form && pagesOfForm(id, pages) === pages ? [form] : [];
		});
	const rangeOf = (week: number) =>
		dayRange(
			desk.plan.locale,
			desk.plan.month,
			7 * (week - 1) - month.lead + 1,
			7 * week - month.lead
		);

	/** Chosen weeks are kept only where they are not all of them. */
	function choose(week: number, on: boolean) {
		const all = set.filter(({ first }) => !shown.has(first)).map(({ week }) => week);
		const chosen = all.filter((other) =>
			other === week ? on : (weeks.only?.includes(other) ?? true)
		);
		edit({ only: chosen.length === all.length ? undefined : chosen });
	}

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
{#if weeks.belong === 'touching'}
	<Choice
		label="A week with three days or fewer in the month"
		value={weeks.short}
		options={shorts}
		rows
		onchange={(short) => edit({ short })}
	/>
{/if}
<Choice
	label="Pages a week"
	value={String(weeks.pagesPerWeek)}
	options={counts}
	onchange={setCount}
/>
<details>
	<summary class="cursor-pointer underline decoration-hairline underline-offset-4"
		>Single weeks: {planned.length} of {set.length} are planned</summary
	>
	<ul class="flex flex-col gap-2 pt-2">
		{#each set as { week, days, first, short } (week)}
			{@const forms = formsFor(short ? 1 : weeks.pagesPerWeek)}
			{@const on = planned.some((other) => other.week === week)}
			<li class="flex flex-wrap items-end justify-between gap-x-3">
				{#if shown.has(first)}
					<p class="text-ink-soft">{rangeOf(week)}: the month before shows it already</p>
				{:else}
					<Check
						label={days === 7
							? rangeOf(week)
							: `${rangeOf(week)}, ${days} ${days === 1 ? 'day' : 'days'} in the month`}
						checked={on}
						onchange={(checked) => choose(week, checked)}
					/>
					{#if on && forms.length > 1}
						<Select
							label="{rangeOf(week)} ruled"
							beside
							value={weeks.forms?.find((other) => other.week === week)?.form ?? ''}
							options={[
								{ value: '', label: 'like the others' },
								...forms.map(({ id, name }) => ({ value: id, label: name }))
							]}
							onchange={(form) => setForm(week, form)}
						/>
					{/if}
				{/if}
			</li>
		{/each}
	</ul>
</details>
