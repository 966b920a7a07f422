<script lang="ts">
	import { SvelteMap } from 'svelte/reactivity';
	import { subjectKey, type FieldMark } from '$lib/core/draw';
	import {
		pastedCells,
		typedInto,
		valueText,
		type Change,
		type LineFault,
		type Reading,
		type Sheet
	} from '$lib/core/records';
	import type { RecordsDesk } from './records-desk.svelte';

	interface Props {
		sheet: Sheet;
		wish: string;
		name: string;
		records: RecordsDesk;
		reading: Reading;
	}
	/** Lines of several columns, typed cell by cell or pasted; what cannot be read stays as it was typed. */
	let { sheet, wish, name, records, reading }: Props = $props();

	/** What was typed and cannot be read, by cell. */
	const unread = new SvelteMap<string, { readonly text: string; readonly says: string }>();
	/** What of the last paste found no cell. */
	let outside = $state.raw<readonly LineFault[]>([]);

	const keyAt = (row: number, column: number) => `${row} ${column}`;

	/** Reads a text into a cell; what can be read becomes a change. */
	function read(row: number, column: number, field: FieldMark, text: string): readonly Change[] {
		const typed = typedInto(wish, field, text, records.known, reading);
		if (typed.ok) unread.delete(keyAt(row, column));
		else unread.set(keyAt(row, column), { text, says: typed.says });
		return typed.ok ? typed.changes : [];
	}

	function pasted(event: ClipboardEvent, row: number, column: number) {
		const cells = pastedCells(event.clipboardData?.getData('text/plain') ?? '');
		if (cells.length === 1 && cells[0]?.length === 1) return;
		event.preventDefault();
		const faults: LineFault[] = [];
		const changes = cells.flatMap((texts, down) =>
			texts.flatMap((text, right): readonly Change[] => {
				const field = sheet.rows[row + down]?.cells[column + right];
				if (field) return read(row + down, column + right, field, text);
				if (text.trim() !== '')
					faults.push({ line: down + 1, says: `there is no cell for “${text.slice(0, 40)}”` });
				return [];
			})
		);
		outside = faults;
		records.change(changes);
	}

	/** Enter goes on below. */
	function pressed(event: KeyboardEvent, row: number, column: number) {
		if (event.key !== 'Enter' || !(event.currentTarget instanceof HTMLElement)) return;
		event.preventDefault();
		const table = event.currentTarget.closest('table');
		const step = event.shiftKey ? -1 : 1;
		const next = table?.querySelector<HTMLInputElement>(`[data-cell="${row + step} ${column}"]`);
		if (next) next.focus();
		else event.currentTarget.blur();
	}

	/** Columns share the width as they do on the page. */
	const widths = $derived(
		sheet.columns.map((_, at) => Math.max(1, ...sheet.rows.map(({ cells }) => cells[at]?.w ?? 0)))
	);
	const widthOf = (at: number) =>
		`${Math.round((100 * (widths[at] ?? 1)) / widths.reduce((sum, width) => sum + width, 0))}%`;
	const shown = (field: FieldMark) =>
		valueText(field.holds, records.valueOf(wish, subjectKey(field.about)), reading.locale);
	const faults = $derived([
		...[...unread].map(([key, { text, says }]) => {
			const [row = 0, column = 0] = key.split(' ').map(Number);
			return `${sheet.rows[row]?.name}, ${sheet.columns[column]}: “${text.slice(0, 40)}”: ${says}`;
		}),
		...outside.map(({ line, says }) => `pasted line ${line}: ${says}`)
	]);
</script>

<p class="pt-3 pb-1 text-sm text-ink-soft">
	Tab goes to the next column, Enter to the next line. Lines can be pasted into any cell, with tabs,
	semicolons or commas between their columns.
</p>
<div class="max-h-[32rem] overflow-auto">
	<table class="w-full border-collapse text-sm">
		<thead>
			<tr>
				<th scope="col" class="sticky top-0 bg-desk px-1 text-left font-normal text-ink-soft"
					><span class="sr-only">{name}</span></th
				>
				{#each sheet.columns as column, at (column)}
					<th
						scope="col"
						style:width={widthOf(at)}
						class="sticky top-0 bg-desk px-1 text-left font-normal text-ink-soft"
						>{column}{#if column === ''}<span class="sr-only">words</span>{/if}</th
					>
				{/each}
			</tr>
		</thead>
		<tbody>
			{#each sheet.rows as row, down (row.name)}
				<tr>
					<th scope="row" class="pr-2 text-right font-serif font-normal text-rubric">{row.name}</th>
					{#each row.cells as field, right (right)}
						<td class="p-0">
							{#if field}
								{@const wrong = unread.get(keyAt(down, right))}
								<input
									class="field w-full min-w-16"
									autocomplete="off"
									data-cell={keyAt(down, right)}
									aria-label="{row.name}, {sheet.columns[right]}"
									aria-invalid={wrong ? 'true' : undefined}
									value={wrong?.text ?? shown(field)}
									onpaste={(event) => pasted(event, down, right)}
									onkeydown={(event) => pressed(event, down, right)}
									onchange={(event) =>
										records.change(read(down, right, field, event.currentTarget.value))}
								/>
							{/if}
						</td>
					{/each}
				</tr>
			{/each}
		</tbody>
	</table>
</div>
{#if faults.length > 0}
	<ul class="border-l-4 border-caution bg-caution-ground px-3 py-2 text-sm" role="alert">
		{#each faults.slice(0, 8) as fault (fault)}<li>{fault}</li>{/each}
		{#if faults.length > 8}<li>and {faults.length - 8} more</li>{/if}
	</ul>
{/if}
