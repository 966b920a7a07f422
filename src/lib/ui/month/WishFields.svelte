<script lang="ts">
	import type { Plan } from '$lib/core/fit';
	import type { Facts, FieldName, Form, Marking, Span, TitleStyle, Wish } from '$lib/core/forms';
	import Choice from '../fields/Choice.svelte';
	import LinesField from '../fields/LinesField.svelte';
	import NumberField from '../fields/NumberField.svelte';
	import TextField from '../fields/TextField.svelte';
	import EventsField from './EventsField.svelte';
	import { columnLines, goalLines, itemLines, nameLines } from './field-lines';
	import { numberParameters } from './form-fields';

	interface Props {
		wish: Wish;
		form: Form;
		/** What the form has chosen by itself. */
		facts: Facts | undefined;
		/** Stands in the title field where there is no title. */
		untitled?: string;
		/** Whose month it is, and the language of its pages. */
		plan: Pick<Plan, 'month' | 'locale'>;
		/** Tells this wish from those of other months. */
		name: string;
		onchange: (fields: Partial<Wish>) => void;
	}
	let { wish, form, facts, untitled = 'none', plan, name: own, onchange }: Props = $props();
	const id = $props.id();

	const markings: { value: Marking; label: string }[] = [
		{ value: 'fill', label: 'filling what was done' },
		{ value: 'circle', label: 'circling the date' },
		{ value: 'cross', label: 'crossing what was missed' },
		{ value: 'leave', label: 'leaving it empty' },
		{ value: 'fill-and-cross', label: 'filling and crossing' }
	];
	const titleStyles: { value: TitleStyle | 'any'; label: string }[] = [
		{ value: 'any', label: 'as it fits' },
		{ value: 'lettered', label: 'drawn, 4 rows' },
		{ value: 'written', label: 'written, 1 row' }
	];
	const spans: { value: Span | 'any'; label: string }[] = [
		{ value: 'any', label: 'as it fits' },
		{ value: 'page', label: 'one page' },
		{ value: 'spread', label: 'over the fold' }
	];
	const shapes = $derived(
		form.id === 'week-columns'
			? ([
					{ value: 'square', label: '4 + 3 and a spare' },
					{ value: 'over-fold', label: 'one over the fold' }
				] as const)
			: ([
					{ value: 'square', label: 'squares' },
					{ value: 'hexagon', label: 'hexagons' }
				] as const)
	);
	const numbers = $derived(
		numberParameters.filter(
			({ name }) =>
				has(name) &&
				!(name === 'split' && wish.span === 'page') &&
				!(wish.weeks && (name === 'week' || name === 'across'))
		)
	);
	const shape = $derived(
		wish.shape === 'hexagon' || wish.shape === 'over-fold' ? wish.shape : 'square'
	);

	function has(field: FieldName): boolean {
		return form.fields.includes(field);
	}

	function cell(side: 'w' | 'h', value: number | undefined) {
		const other = wish.cell ?? facts?.cell;
		onchange({ cell: value === undefined || !other ? undefined : { ...other, [side]: value } });
	}
</script>

{#if has('title')}
	<TextField
		label="Title"
		value={wish.title ?? ''}
		placeholder={untitled}
		onchange={(title) => onchange({ title: title || undefined })}
	/>
	{#if wish.title && has('titleStyle')}
		<Choice
			label="The title is"
			value={wish.titleStyle ?? 'any'}
			options={titleStyles}
			onchange={(style) => onchange({ titleStyle: style === 'any' ? undefined : style })}
		/>
	{/if}
{/if}
{#if has('text')}
	<div class="flex flex-col gap-0.5">
		<label for="{id}-text" class="text-sm text-ink-soft">Words</label>
		<textarea
			id="{id}-text"
			class="field font-hand text-lg leading-snug"
			rows="3"
			maxlength="20000"
			value={wish.text ?? ''}
			oninput={(event) => onchange({ text: event.currentTarget.value || undefined })}></textarea>
	</div>
{/if}
{#if has('items')}
	<LinesField
		label="Names, one a line (a shorter form after “ / ”, a sign after another, a rhythm as “(3 a week)”, a group as “# health”)"
		name="{own} items"
		value={wish.items ?? []}
		format={itemLines}
		onchange={(items) => onchange({ items })}
	/>
{/if}
{#if has('note')}
	<TextField
		label="What counts as done (written below)"
		value={wish.note ?? ''}
		placeholder="nothing"
		most={1000}
		onchange={(note) => onchange({ note: note || undefined })}
	/>
	<div class="flex flex-wrap gap-4">
		<label class="flex flex-col gap-0.5">
			<span class="text-sm text-ink-soft">Marked by</span>
			<select
				class="field"
				value={wish.marking ?? ''}
				onchange={(event) => {
					const marking = markings.find(({ value }) => value === event.currentTarget.value);
					onchange({ marking: marking?.value });
				}}
			>
				<option value="">not said on the page</option>
				{#each markings as { value, label } (value)}<option {value}>{label}</option>{/each}
			</select>
		</label>
		<label class="flex items-center gap-2 self-end pb-1.5">
			<input
				type="checkbox"
				checked={wish.showGoals ?? false}
				onchange={(event) => onchange({ showGoals: event.currentTarget.checked || undefined })}
			/>
			goals beside the names
		</label>
	</div>
{/if}
{#if has('columns')}
	<LinesField
		label="Columns, one a line: “Item 6” squares wide, or “Item = the longest value”; ¤ becomes your currency"
		name="{own} columns"
		value={wish.columns ?? []}
		format={columnLines}
		onchange={(columns) => onchange({ columns })}
	/>
{/if}
{#if has('parts')}
	<LinesField
		label="Parts, one a line"
		name="{own} parts"
		value={wish.parts ?? []}
		format={nameLines}
		onchange={(parts) => onchange({ parts })}
	/>
{/if}
{#if has('levels')}
	<LinesField
		label="Key: 4 to 6 names, one a line"
		name="{own} levels"
		value={wish.levels ?? []}
		format={nameLines}
		least={4}
		onchange={(levels) =>
			levels.length <= 6 && onchange({ levels: levels.length < 4 ? undefined : levels })}
	/>
{/if}
{#if has('goals')}
	<LinesField
		label="Goals, one a line: name, from–to, slack as +3"
		name="{own} goals"
		value={wish.goals ?? []}
		format={goalLines}
		onchange={(goals) => onchange({ goals })}
	/>
{/if}
{#if has('events')}
	<EventsField
		value={wish.events ?? []}
		month={plan.month}
		locale={plan.locale}
		name="{own} events"
		onchange={(events) => onchange({ events })}
	/>
{/if}
<div class="flex flex-wrap gap-x-4 gap-y-3">
	{#if form.spans.length > 1 && !wish.weeks}
		<Choice
			label="Lies on"
			value={wish.span ?? 'any'}
			options={spans}
			onchange={(span) => onchange({ span: span === 'any' ? undefined : span })}
		/>
	{/if}
	{#if has('shape')}
		<Choice
			label="Shape"
			value={shape}
			options={shapes}
			onchange={(shape) => onchange({ shape })}
		/>
	{/if}
	{#if has('cell')}
		{#each [['w', 'Cell across'], ['h', 'Cell down']] as const as [side, label] (side)}
			<NumberField
				{label}
				value={wish.cell?.[side]}
				placeholder={facts?.cell ? String(facts.cell[side]) : 'auto'}
				least={1}
				most={40}
				unit="squares"
				optional
				onchange={(value) => cell(side, value)}
			/>
		{/each}
	{/if}
	{#each numbers as { name, label, least, most, unit, value, chosen, set } (name)}
		<NumberField
			{label}
			value={value(wish)}
			placeholder={String((facts && chosen(facts)) ?? 'auto')}
			{least}
			{most}
			{unit}
			optional
			onchange={(number) => onchange(set(number))}
		/>
	{/each}
</div>
