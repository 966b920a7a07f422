<script lang="ts">
	import { subjectKey, type FieldMark } from '$lib/core/draw';
	import { isKeptOn } from '$lib/core/forms';
	import { monthShape } from '$lib/core/month';
	import { typedInto, valueText, type Tracker } from '$lib/core/records';
	import type { MonthDesk } from '../month/month-desk.svelte';
	import { dateWords, howWords } from './field-words';
	import type { RecordsDesk } from './records-desk.svelte';

	interface Props {
		desk: MonthDesk;
		records: RecordsDesk;
		trackers: readonly Tracker[];
		day: number;
		onday: (day: number) => void;
	}
	/** All that one day holds, from the top to the end by Enter. */
	let { desk, records, trackers, day, onday }: Props = $props();

	let faults = $state.raw<Readonly<Record<string, string>>>({});
	const shape = $derived(monthShape(desk.plan.month, desk.plan.weekStart));
	const week = $derived(Math.floor((shape.lead + day - 1) / 7) + 1);
	const isKept = ({ wish }: Tracker, name: string | undefined) =>
		wish.items?.every((item) => item.name !== name || isKeptOn(item, day)) ?? true;
	const groups = $derived(
		trackers.flatMap((tracker) => {
			const fields = tracker.fields.filter(
				({ about }) =>
					(about.day === day || (about.day === undefined && about.week === week)) &&
					isKept(tracker, about.item)
			);
			return fields.length > 0 ? [{ tracker, fields }] : [];
		})
	);

	function typed(wish: string, field: FieldMark, text: string) {
		const key = `${wish} ${subjectKey(field.about)}`;
		const read = typedInto(wish, field, text, records.known, {
			locale: desk.plan.locale,
			days: shape.days
		});
		const others = Object.fromEntries(Object.entries(faults).filter(([name]) => name !== key));
		faults = read.ok ? others : { ...others, [key]: read.says };
		if (read.ok) records.change(read.changes);
	}

	function pressed(event: KeyboardEvent) {
		if (event.key !== 'Enter' || !(event.currentTarget instanceof HTMLElement)) return;
		event.preventDefault();
		const inputs = [...event.currentTarget.querySelectorAll<HTMLInputElement>('input[data-value]')];
		const next = inputs[inputs.findIndex((input) => input === event.target) + 1];
		if (next) next.focus();
		else if (event.target instanceof HTMLElement) event.target.blur();
	}

	const nameIn = ({ about }: FieldMark, tracker: Tracker) =>
		[about.item ?? tracker.name, about.column, about.nth && `no. ${about.nth}`]
			.filter(Boolean)
			.join(', ');
</script>

<div class="flex flex-wrap items-center gap-3 py-2">
	<button class="button" disabled={day <= 1} onclick={() => onday(day - 1)}>← Day before</button>
	<h2 class="min-w-48 text-center text-xl">{dateWords(day, shape)}</h2>
	<button class="button" disabled={day >= shape.days} onclick={() => onday(day + 1)}
		>Day after →</button
	>
</div>
{#if groups.length === 0}
	<p class="py-6 text-ink-soft">No page of this month asks for anything by the day.</p>
{/if}
<!-- svelte-ignore a11y_no_static_element_interactions -->
<div class="grid max-w-4xl gap-x-10 gap-y-4 md:grid-cols-2" onkeydown={pressed}>
	{#each groups as { tracker, fields } (tracker.wish.id)}
		<section aria-label={tracker.name}>
			<h3 class="border-b border-hairline pb-0.5 text-lg">{tracker.name}</h3>
			{#if fields.length > 1 && fields[0]}
				<p class="text-sm text-ink-soft">{howWords(fields[0])}</p>
			{/if}
			{#each fields as field (subjectKey(field.about))}
				{@const about = subjectKey(field.about)}
				{@const fault = faults[`${tracker.wish.id} ${about}`]}
				<label class="flex items-center gap-3 py-0.5">
					{#if fields.length === 1 && field.about.item === undefined}
						<span class="sr-only">{nameIn(field, tracker)}</span>
						<span class="min-w-0 flex-1 text-sm text-ink-soft" aria-hidden="true"
							>{howWords(field)}</span
						>
					{:else}
						<span class="min-w-0 flex-1 truncate">{nameIn(field, tracker)}</span>
					{/if}
					<input
						data-value
						class="field {field.holds === 'text' ? 'w-56' : 'w-28'}"
						autocomplete="off"
						value={valueText(
							field.holds,
							records.valueOf(tracker.wish.id, about),
							desk.plan.locale
						)}
						aria-invalid={fault ? 'true' : undefined}
						onchange={(event) => typed(tracker.wish.id, field, event.currentTarget.value)}
					/>
				</label>
				{#if fault}<p class="text-sm text-caution" role="alert">{fault}</p>{/if}
			{/each}
		</section>
	{/each}
</div>
