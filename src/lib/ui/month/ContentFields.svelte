<script lang="ts">
	import type { Plan } from '$lib/core/fit';
	import type { Content, ContentName, Form, Rules } from '$lib/core/forms';
	import NumberField from '../fields/NumberField.svelte';
	import LinesField from '../fields/LinesField.svelte';
	import TextField from '../fields/TextField.svelte';
	import EventsField from './EventsField.svelte';
	import { columnLines, goalLines, itemLines, nameLines } from './field-lines';

	interface Props {
		content: Content;
		form: Form;
		/** How the form is ruled. */
		rules: Rules;
		/** Stands in the title field where there is no title. */
		untitled?: string;
		/** Whose month it is, and the language of its pages. */
		plan: Pick<Plan, 'month' | 'locale'>;
		/** Tells this wish from those of other months. */
		name: string;
		onchange: (content: Partial<Content>) => void;
	}
	/** What people write of a wish: it is shared by all forms that it may take. */
	let { content, form, rules, untitled = 'none', plan, name: own, onchange }: Props = $props();
	const id = $props.id();

	const idle = $derived(form.idle?.(rules) ?? []);
	const has = (name: ContentName) => form.content.includes(name) && !idle.includes(name);
</script>

{#if has('title')}
	<TextField
		label="Title"
		value={content.title ?? ''}
		placeholder={untitled}
		onchange={(title) => onchange({ title: title || undefined })}
	/>
{/if}
{#if has('text')}
	<div class="flex flex-col gap-0.5">
		<label for="{id}-text" class="text-sm text-ink-soft">Words</label>
		<textarea
			id="{id}-text"
			class="field font-hand text-lg leading-snug"
			rows="3"
			maxlength="20000"
			value={content.text ?? ''}
			oninput={(event) => onchange({ text: event.currentTarget.value || undefined })}></textarea>
	</div>
{/if}
{#if has('unit')}
	<TextField
		label="Unit"
		value={content.unit ?? ''}
		placeholder="none"
		most={20}
		onchange={(unit) => onchange({ unit: unit || undefined })}
	/>
{/if}
{#if has('items')}
	<LinesField
		label="Names, one per line"
		help="Short form: “Feed the dough / Dough”. Rhythm: “Stretch (3 a week)”. From a day on: “Water (daily, from 12)”. Until a day: “(until 20)”. A group: “# health”. A sign for narrow grids comes after a second “ / ”."
		name="{own} items"
		value={content.items ?? []}
		format={itemLines}
		onchange={(items) => onchange({ items })}
	/>
{/if}
{#if has('note')}
	<TextField
		label="Note under the tracker"
		value={content.note ?? ''}
		placeholder="nothing"
		most={1000}
		onchange={(note) => onchange({ note: note || undefined })}
	/>
{/if}
{#if has('columns')}
	<LinesField
		label={form.columnsAre ?? 'Columns, one per line'}
		name="{own} columns"
		help={form.columnsAre
			? undefined
			: 'Name and width in squares: “Item 6”; or name and the longest value: “Price = 1,250.00”. ¤ becomes your currency.'}
		value={content.columns ?? []}
		format={columnLines}
		onchange={(columns) => onchange({ columns })}
	/>
{/if}
{#if has('columns') && content.columns?.some(({ name }) => name.includes('¤'))}
	<NumberField
		label="Monthly limit"
		optional
		value={content.limit}
		placeholder="no limit"
		least={1}
		most={10_000_000}
		onchange={(limit) => onchange({ limit })}
	/>
{/if}
{#if has('parts')}
	<LinesField
		label="{form.partsAre ?? 'Parts'}, one per line"
		name="{own} parts"
		value={content.parts ?? []}
		format={nameLines}
		onchange={(parts) => onchange({ parts })}
	/>
{/if}
{#if has('levels')}
	<LinesField
		label="Colours of the key, 2 to 6, one per line"
		name="{own} levels"
		value={content.levels ?? []}
		format={nameLines}
		most={6}
		onchange={(levels) => onchange({ levels })}
	/>
{/if}
{#if has('goals')}
	<LinesField
		label="Goals, one per line"
		help="Name, then from–to, slack as +3, what it takes as 10 h."
		name="{own} goals"
		value={content.goals ?? []}
		format={goalLines}
		onchange={(goals) => onchange({ goals })}
	/>
{/if}
{#if has('events')}
	<EventsField
		value={content.events ?? []}
		month={plan.month}
		locale={plan.locale}
		name="{own} events"
		onchange={(events) => onchange({ events })}
	/>
{/if}
