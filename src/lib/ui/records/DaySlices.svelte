<script lang="ts">
	import { subjectKey, type FieldMark } from '$lib/core/draw';
	import { themeOn } from '$lib/core/page';
	import { valueText, type Tracker } from '$lib/core/records';
	import type { MonthDesk } from '../month/month-desk.svelte';
	import { themeStyle } from '../page/theme-style';
	import { howWords } from './field-words';
	import LevelSlice from './LevelSlice.svelte';
	import MarkSlice from './MarkSlice.svelte';
	import type { RecordsDesk } from './records-desk.svelte';
	import ScaleSlice from './ScaleSlice.svelte';
	import SliceFrame from './SliceFrame.svelte';

	interface Props {
		desk: MonthDesk;
		records: RecordsDesk;
		tracker: Tracker;
		/** Its fields of the day. */
		fields: readonly FieldMark[];
		/** Why what was typed into a field cannot be read. */
		faultOf: (about: string) => string | undefined;
		ontyped: (field: FieldMark, text: string) => void;
	}
	/** What one tracker has of a day, as it stands on its page and large enough for a finger. */
	let { desk, records, tracker, fields, faultOf, ontyped }: Props = $props();

	const block = $derived(desk.run.blocks.find(({ wish }) => wish === tracker.wish.id));
	const rules = $derived(block?.as.rules?.[block.form]);
	const done = $derived(rules?.done === undefined ? undefined : String(rules.done));
	const page = $derived(tracker.pages[0] ?? 0);
	const marks = $derived(fields.filter(({ holds }) => holds === 'mark' || holds === 'tick'));
	const others = $derived(fields.filter((field) => !marks.includes(field)));

	const nameIn = ({ about }: FieldMark) =>
		[about.item ?? tracker.name, about.column, about.nth && `no. ${about.nth}`]
			.filter(Boolean)
			.join(', ');
	const valueIn = (field: FieldMark) => records.valueOf(tracker.wish.id, subjectKey(field.about));
	const padFor: Partial<Record<FieldMark['holds'], 'decimal' | 'numeric'>> = {
		number: 'decimal',
		money: 'decimal',
		date: 'numeric'
	};
</script>

<SliceFrame
	name={tracker.name}
	where="page {page}"
	style={themeStyle(themeOn(desk.plan, desk.run, page))}
>
	<div class="flex min-w-0 flex-col gap-2">
		{#if marks.length > 0}
			<div class="flex flex-wrap gap-x-2 gap-y-3">
				{#each marks as field (subjectKey(field.about))}
					<MarkSlice
						{field}
						name={nameIn(field)}
						value={valueIn(field)}
						{done}
						locale={desk.plan.locale}
						onchange={(value) => ontyped(field, value)}
					/>
				{/each}
			</div>
		{/if}
		{#each others as field (subjectKey(field.about))}
			{@const fault = faultOf(subjectKey(field.about))}
			{@const value = valueIn(field)}
			{@const name = nameIn(field)}
			{#if field.holds === 'level'}
				<LevelSlice {field} {name} {value} onchange={(text) => ontyped(field, text)} />
			{:else}
				{#if field.scale}
					<ScaleSlice
						{field}
						scale={field.scale}
						{name}
						{value}
						locale={desk.plan.locale}
						onchange={(text) => ontyped(field, text)}
					/>
				{/if}
				<label class="flex flex-wrap items-center gap-x-3 gap-y-1">
					{#if others.length > 1 || name !== tracker.name}
						<span class="w-36 truncate">{name}</span>
					{:else}
						<span class="sr-only">{name}</span>
					{/if}
					<input
						data-value
						class="field min-h-11 {field.holds === 'text'
							? 'min-w-40 flex-1 font-hand text-lg'
							: 'w-40'}"
						autocomplete="off"
						inputmode={padFor[field.holds]}
						placeholder={howWords(field)}
						value={valueText(field.holds, value, desk.plan.locale)}
						aria-invalid={fault ? 'true' : undefined}
						onchange={(event) => ontyped(field, event.currentTarget.value)}
					/>
				</label>
			{/if}
			{#if fault}<p class="text-sm text-caution" role="alert">{fault}</p>{/if}
		{/each}
	</div>
</SliceFrame>
