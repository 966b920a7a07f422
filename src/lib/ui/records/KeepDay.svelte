<script lang="ts">
	import { subjectKey, subjectOf, type FieldMark } from '$lib/core/draw';
	import { isKeptOn } from '$lib/core/forms';
	import { monthShape } from '$lib/core/month';
	import { sheetOf, typedInto, type Tracker } from '$lib/core/records';
	import { hostOf, type Wish } from '$lib/core/wish';
	import { nameOf } from '../month/block-name';
	import type { MonthDesk } from '../month/month-desk.svelte';
	import { swipes } from '../page/swipe';
	import DaySlices from './DaySlices.svelte';
	import MarksTogether from './MarksTogether.svelte';
	import MonthOfDays from './MonthOfDays.svelte';
	import SheetTable from './SheetTable.svelte';
	import SliceFrame from './SliceFrame.svelte';
	import type { RecordsDesk } from './records-desk.svelte';

	interface Props {
		desk: MonthDesk;
		records: RecordsDesk;
		trackers: readonly Tracker[];
		day: number;
		onday: (day: number) => void;
	}
	/** All that one day holds, slice by slice, from the top to the end. */
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

	interface Single {
		readonly key: string;
		readonly tracker: Tracker;
		readonly fields: readonly FieldMark[];
	}
	interface Together {
		readonly key: string;
		readonly name: string;
		readonly host: Wish;
		readonly parts: readonly { readonly tracker: Tracker; readonly field: FieldMark }[];
	}
	/** Single cells to mark that stand on one page of one's own are shown side by side. */
	const slices = $derived(
		groups.reduce<(Single | Together)[]>((done, { tracker, fields }) => {
			const key = tracker.wish.id;
			const [field, ...others] = fields;
			const host = hostOf(desk.wishes, key);
			const isCell = field && others.length === 0 && ['mark', 'tick'].includes(field.holds);
			if (!host || !isCell) return [...done, { key, tracker, fields }];
			const last = done.at(-1);
			const part = { tracker, field };
			if (last && 'host' in last && last.host === host)
				return [...done.slice(0, -1), { ...last, parts: [...last.parts, part] }];
			return [...done, { key, name: nameOf(host), host, parts: [part] }];
		}, [])
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

	/** Of what is kept line by line: the last line that is written on, and the next one. */
	const tables = $derived(
		trackers.flatMap((tracker) => {
			if (tracker.fields.some(({ about }) => about.day !== undefined)) return [];
			const sheet = sheetOf(tracker);
			if (!tracker.fields.some(({ about }) => about.row !== undefined) || sheet.columns.length < 2)
				return [];
			const isWritten = ({ cells }: (typeof sheet.rows)[number]) =>
				cells.some(
					(field) => field && records.valueOf(tracker.wish.id, subjectKey(field.about)) !== ''
				);
			const last = sheet.rows.findLastIndex(isWritten);
			const rows = sheet.rows.slice(Math.max(0, last), last + 2);
			return rows.length > 0 ? [{ tracker, sheet: { ...sheet, rows } }] : [];
		})
	);
	/** Days of which something is kept. */
	const filled = $derived(
		new Set([...records.known.values()].flatMap(({ about }) => subjectOf(about)?.day ?? []))
	);
	const longDate = $derived(
		new Date(Date.UTC(shape.year, shape.month - 1, day)).toLocaleDateString('en-GB', {
			weekday: 'long',
			day: 'numeric',
			month: 'long',
			timeZone: 'UTC'
		})
	);

	function leafed(way: 'before' | 'after') {
		const to = way === 'before' ? day - 1 : day + 1;
		if (to >= 1 && to <= shape.days) onday(to);
	}
</script>

<div class="grid gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,1fr)_16rem]">
	<div class="min-w-0">
		<div class="flex flex-wrap items-center gap-3 py-2">
			<button
				class="button min-h-11 min-w-11"
				aria-label="Day before"
				disabled={day <= 1}
				onclick={() => onday(day - 1)}>←</button
			>
			<h2 class="text-3xl">{longDate}</h2>
			<button
				class="button min-h-11 min-w-11"
				aria-label="Day after"
				disabled={day >= shape.days}
				onclick={() => onday(day + 1)}>→</button
			>
		</div>
		{#if groups.length === 0}
			<p class="py-6 text-ink-soft">No page of this month asks for anything by the day.</p>
		{/if}
		<!-- svelte-ignore a11y_no_static_element_interactions -->
		<div onkeydown={pressed} {@attach swipes(leafed)}>
			{#each slices as slice (slice.key)}
				{#if 'parts' in slice}
					<MarksTogether {desk} {records} name={slice.name} parts={slice.parts} ontyped={typed} />
				{:else}
					{@const { tracker, fields } = slice}
					<DaySlices
						{desk}
						{records}
						{tracker}
						{fields}
						faultOf={(about) => faults[`${tracker.wish.id} ${about}`]}
						ontyped={(field, text) => typed(tracker.wish.id, field, text)}
					/>
				{/if}
			{/each}
			{#each tables as { tracker, sheet } (tracker.wish.id)}
				<SliceFrame name={tracker.name} where="page {tracker.pages.join(', ')}, its next line">
					<SheetTable
						{sheet}
						wish={tracker.wish.id}
						name={tracker.name}
						{records}
						reading={{ locale: desk.plan.locale, days: shape.days }}
					/>
				</SliceFrame>
			{/each}
		</div>
	</div>
	<MonthOfDays {shape} {day} {filled} {onday} />
</div>
