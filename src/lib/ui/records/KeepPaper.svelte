<script lang="ts">
	import { monthShape } from '$lib/core/month';
	import {
		fromCsv,
		readRow,
		readSheet,
		rowText,
		sheetOf,
		sheetText,
		signRows,
		type BankKnown,
		type LineFault,
		type SignRow,
		type Tracker
	} from '$lib/core/records';
	import BandDays from './BandDays.svelte';
	import BankStatement from './BankStatement.svelte';
	import SheetTable from './SheetTable.svelte';
	import type { MonthDesk } from '../month/month-desk.svelte';
	import { howWords } from './field-words';
	import type { RecordsDesk } from './records-desk.svelte';

	interface Props {
		desk: MonthDesk;
		records: RecordsDesk;
		tracker: Tracker;
		trackers: readonly Tracker[];
		bank: BankKnown;
		/** Address of a band. */
		band: string;
	}
	/** One tracker copied from paper in one go: a sign a day, or lines as a spreadsheet has them. */
	let { desk, records, tracker, trackers, bank, band }: Props = $props();
	const id = $props.id();

	const wish = $derived(tracker.wish.id);
	const shape = $derived(monthShape(desk.plan.month, desk.plan.weekStart));
	const reading = $derived({ locale: desk.plan.locale, days: shape.days });
	const rows = $derived(signRows(tracker));
	const sheet = $derived(sheetOf(tracker));
	const ruler = $derived(
		Array.from({ length: shape.days }, (_, at) =>
			(at + 1) % 5 === 0 ? String((at + 1) % 10) : '·'
		).join('')
	);
	let faults = $state.raw<Readonly<Record<string, string>>>({});
	let lines = $state.raw<readonly LineFault[]>([]);
	/** What stands in the sheet's field and cannot be read yet. */
	let unread = $state<string>();
	let file = $state.raw<string>();

	function signs(row: SignRow, text: string) {
		const { changes, fault } = readRow(wish, row, text, records.known, reading);
		const name = row.item ?? '';
		const others = Object.fromEntries(Object.entries(faults).filter(([item]) => item !== name));
		faults = fault ? { ...others, [name]: fault } : others;
		records.change(changes);
	}

	function typedSheet(text: string) {
		const { changes, faults: found } = readSheet(wish, sheet, text, records.known, reading);
		lines = found;
		unread = found.length > 0 ? text : undefined;
		if (found.length === 0) records.change(changes);
	}

	async function took(files: FileList | null) {
		const [one] = files ?? [];
		if (!one) return;
		const { entries, faults: found } = fromCsv(await one.text(), wish);
		lines = found;
		file = `${entries.length} entries taken from ${one.name}${found.length > 0 ? `, ${found.length} lines not` : ''}.`;
		records.change(entries.filter(({ about, value }) => records.valueOf(wish, about) !== value));
	}
</script>

<section aria-label={tracker.name} class="max-w-3xl min-w-0">
	<h2 class="pb-1 text-2xl">{tracker.name}</h2>
	{#if rows.length > 0}
		<p class="pb-2 text-sm text-ink-soft">
			One sign per day, starting on the 1st: {rows[0]?.fields[0]
				? howWords(rows[0].fields[0])
				: ''}, . nothing.
		</p>
		<div class="overflow-x-auto">
			<div class="min-w-[42rem]">
				<p class="pl-44 font-mono text-lg tracking-[0.2em] text-rubric" aria-hidden="true">
					{ruler}
				</p>
				{#each rows as row (row.item)}
					{@const fault = faults[row.item ?? '']}
					<label class="flex items-center gap-3 py-0.5">
						<span class="w-40 truncate text-right">{row.item ?? tracker.name}</span>
						<input
							class="field flex-1 font-mono text-lg tracking-[0.2em]"
							autocomplete="off"
							spellcheck="false"
							value={rowText(wish, row, records.known)}
							aria-invalid={fault ? 'true' : undefined}
							onchange={(event) => signs(row, event.currentTarget.value)}
						/>
					</label>
					{#if fault}<p class="pl-44 text-sm text-caution" role="alert">{fault}</p>{/if}
				{/each}
			</div>
		</div>
	{/if}
	{#if sheet.rows.length > 0 && sheet.columns.length > 1}
		<SheetTable {sheet} {wish} name={tracker.name} {records} {reading} />
	{:else if sheet.rows.length > 0}
		<label class="block pt-3" for="{id}-sheet">
			<span class="text-sm text-ink-soft">
				A line each ({sheet.rows[0]?.name} to {sheet.rows.at(-1)?.name}); lines of a spreadsheet can
				be pasted.
			</span>
		</label>
		<textarea
			id="{id}-sheet"
			class="field w-full font-mono"
			rows={Math.min(18, Math.max(4, sheet.rows.length))}
			spellcheck="false"
			value={unread ?? sheetText(wish, sheet, records.known, desk.plan.locale)}
			aria-invalid={lines.length > 0 ? 'true' : undefined}
			onchange={(event) => typedSheet(event.currentTarget.value)}></textarea>
	{/if}
	{#if lines.length > 0}
		<ul class="border-l-4 border-caution bg-caution-ground px-3 py-2 text-sm" role="alert">
			{#each lines.slice(0, 8) as { line, says } (line + says)}<li>line {line}: {says}</li>{/each}
			{#if lines.length > 8}<li>and {lines.length - 8} more</li>{/if}
		</ul>
	{/if}
	<p class="flex flex-wrap items-center gap-3 pt-3 text-sm">
		<a class="button" href="/app/months/{desk.id}/records?wish={encodeURIComponent(wish)}" download
			>Save as CSV</a
		>
		<label class="flex items-center gap-2">
			Take in a CSV file
			<input
				class="max-w-full"
				type="file"
				accept=".csv,text/csv"
				onchange={(event) => took(event.currentTarget.files)}
			/>
		</label>
		{#if file}<span role="status">{file}</span>{/if}
	</p>
	{#if tracker.fields.some(({ about, holds }) => about.day !== undefined && (holds === 'times' || holds === 'number'))}
		<BandDays {desk} {records} {tracker} address={band} />
	{/if}
	{#if tracker.fields.some(({ holds }) => holds === 'money')}
		<BankStatement {desk} {records} {tracker} {trackers} {bank} />
	{/if}
</section>
