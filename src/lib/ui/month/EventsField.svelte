<script lang="ts">
	import { tick } from 'svelte';
	import type { PlannedEvent } from '$lib/core/forms';
	import { daysIn, type YearMonth } from '$lib/core/month';
	import { keptText } from '../fields/kept-text';
	import { sameContent } from '$lib/core/wish';
	import {
		emptyRow,
		inOrder,
		meaningOf,
		readRows,
		rowsFromText,
		rowsOf,
		rowsToText,
		type EventRow
	} from './event-rows';
	import { eventLines } from './field-lines';

	interface Props {
		value: readonly PlannedEvent[];
		month: YearMonth;
		locale: string;
		/** Tells these fields from all others: rows that are no event yet are kept under it. */
		name: string;
		onchange: (events: PlannedEvent[]) => void;
	}
	let { value, month, locale, name, onchange }: Props = $props();

	const waiting = $derived(keptText(name));
	const days = $derived(daysIn(month));
	const format = $derived(eventLines(month, locale));
	/** Rows as typed, as long as they say what the wish says; after an undo it is the wish that counts. */
	let typed = $state.raw<readonly EventRow[]>();
	const rows = $derived.by(() => {
		if (typed && sameContent(readRows(typed, days).events, value)) return typed;
		const unfinished = waiting.read();
		return [...rowsOf(value), ...(unfinished === undefined ? [] : rowsFromText(unfinished))];
	});
	let list = $state<HTMLElement>();
	/** Lines of a paste that are no events, as they came. */
	let unread = $state.raw<readonly string[]>([]);

	function write(next: readonly EventRow[]) {
		typed = next;
		const { events, unfinished } = readRows(next, days);
		waiting.keep(unfinished.length > 0 ? rowsToText(unfinished) : undefined);
		if (!sameContent(events, value)) onchange(events);
	}

	function edit(index: number, fields: Partial<EventRow>) {
		write(rows.map((row, at) => (at === index ? { ...row, ...fields } : row)));
	}

	async function add() {
		write([...rows, emptyRow]);
		await tick();
		list?.querySelector<HTMLElement>('li:last-child input')?.focus();
	}

	async function remove(index: number) {
		write(rows.filter((_, at) => at !== index));
		await tick();
		const fields = list?.querySelectorAll<HTMLElement>('li');
		const next = fields?.[Math.min(index, fields.length - 1)]?.querySelector('input');
		(next ?? list?.parentElement?.querySelector('[data-add]'))?.focus();
	}

	/** A pasted list becomes a row for each line; what is no event is shown and not dropped. */
	function paste(event: ClipboardEvent, index: number) {
		const text = event.clipboardData?.getData('text/plain') ?? '';
		const row = rows[index];
		const alone = row !== undefined && meaningOf(row, days).kind === 'empty';
		if (!text.trim().includes('\n') && !alone) return;
		const read = format.read(text.replaceAll('\t', ' '), []);
		if (read.entries.length === 0 && read.unread.length < 2) return;
		event.preventDefault();
		unread = read.unread;
		const before = alone ? rows.filter((_, at) => at !== index) : rows;
		write(inOrder([...before, ...rowsOf(read.entries)]));
	}

	/** Rows come in order when one goes elsewhere, never under the hand. */
	function left(event: FocusEvent) {
		const to = event.relatedTarget;
		if (to instanceof Node && list?.parentElement?.contains(to)) return;
		const kept = rows.filter((row) => meaningOf(row, days).kind !== 'empty');
		write(inOrder(kept));
	}
</script>

<fieldset class="flex min-w-0 flex-col gap-1" onfocusout={left}>
	<legend class="text-sm text-ink-soft">Events: day, time if any, what</legend>
	<ul bind:this={list} class="flex flex-col gap-1">
		{#each rows as row, index (index)}
			{@const meaning = meaningOf(row, days)}
			{@const fault = 'fault' in meaning ? meaning.fault : undefined}
			<li class="flex flex-col">
				<div class="flex gap-1">
					<input
						class="field w-11 text-right"
						inputmode="numeric"
						autocomplete="off"
						maxlength="4"
						aria-label="Day of event {index + 1}"
						aria-invalid={fault ? 'true' : undefined}
						value={row.day}
						oninput={(event) => edit(index, { day: event.currentTarget.value })}
						onpaste={(event) => paste(event, index)}
					/>
					<input
						class="field w-17"
						autocomplete="off"
						maxlength="20"
						placeholder="time"
						aria-label="Time of event {index + 1}"
						value={row.time}
						oninput={(event) => edit(index, { time: event.currentTarget.value })}
					/>
					<input
						class="field min-w-0 flex-1 font-hand text-lg"
						autocomplete="off"
						maxlength="300"
						aria-label="What event {index + 1} is"
						value={row.text}
						oninput={(event) => edit(index, { text: event.currentTarget.value })}
						onpaste={(event) => paste(event, index)}
						onkeydown={(event) => {
							if (event.key !== 'Enter' || index < rows.length - 1) return;
							event.preventDefault();
							void add();
						}}
					/>
					<button
						class="button px-2"
						aria-label="Take event {index + 1} away"
						onclick={() => remove(index)}>×</button
					>
				</div>
				{#if fault}<p class="text-sm text-caution">{fault}</p>{/if}
			</li>
		{/each}
	</ul>
	{#if unread.length > 0}
		<div class="text-sm text-caution" role="status">
			<p>These lines have no day of this month. Write them as “{format.example}”:</p>
			<ul class="pl-4">
				{#each unread as line, index (index)}<li>{line}</li>{/each}
			</ul>
		</div>
	{/if}
	<p class="flex flex-wrap items-center gap-x-3">
		<button class="button text-sm" data-add onclick={add}>Add an event</button>
		<span class="text-sm text-ink-soft">or paste a list, one event per line</span>
	</p>
</fieldset>
