<script lang="ts">
	import { kindById } from '$lib/core/catalogue';
	import { formById, type FieldName, type Importance, type Span, type Wish } from '$lib/core/forms';
	import { monthName } from '$lib/core/month';
	import Choice from '../fields/Choice.svelte';
	import NumberField from '../fields/NumberField.svelte';
	import TextField from '../fields/TextField.svelte';
	import { itemsText, parseItems } from './items-text';
	import type { MonthDesk } from './month-desk.svelte';

	let { desk, wish }: { desk: MonthDesk; wish: Wish } = $props();
	const id = $props.id();

	const kind = $derived(kindById(wish.kind));
	const form = $derived(formById(wish.form ?? kind?.forms[0] ?? ''));
	const facts = $derived(desk.run.blocks.find((block) => block.wish === wish.id)?.facts);
	/** What is typed stands as typed while the field has the focus; the wish holds what it means. */
	let typedItems = $state<string>();

	const importances: { value: Importance; label: string }[] = [
		{ value: 'must', label: 'must' },
		{ value: 'want', label: 'want' },
		{ value: 'spare', label: 'if there is room' }
	];
	const spans: { value: Span | 'any'; label: string }[] = [
		{ value: 'any', label: 'as it fits' },
		{ value: 'page', label: 'one page' },
		{ value: 'spread', label: 'over the fold' }
	];

	const edit = (fields: Partial<Wish>) => desk.edit(wish.id, fields);
	const has = (field: FieldName) => form?.fields.includes(field) ?? false;

	function cell(side: 'w' | 'h', value: number | undefined) {
		const other = wish.cell ?? facts?.cell;
		if (value === undefined || !other) return edit({ cell: undefined });
		edit({ cell: { ...other, [side]: value } });
	}
</script>

<div class="flex flex-col gap-3 pb-4 pl-8 pr-2" role="group" aria-label="Settings of this wish">
	{#if has('title')}
		<TextField
			label="Title"
			value={wish.title ?? ''}
			placeholder={wish.kind === 'cover' ? monthName(desk.plan.locale, desk.plan.month) : 'none'}
			onchange={(title) => edit({ title: title || undefined })}
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
				value={wish.text ?? ''}
				oninput={(event) => edit({ text: event.currentTarget.value || undefined })}></textarea>
		</div>
	{/if}
	{#if has('items')}
		<div class="flex flex-col gap-0.5">
			<label for="{id}-items" class="text-sm text-ink-soft"
				>Names, one a line (a shorter form after “ / ”)</label
			>
			<textarea
				id="{id}-items"
				class="field font-hand text-lg leading-snug"
				rows={Math.min(12, Math.max(3, (wish.items?.length ?? 0) + 1))}
				value={typedItems ?? itemsText(wish.items ?? [])}
				oninput={(event) => {
					typedItems = event.currentTarget.value;
					edit({ items: parseItems(typedItems, wish.items ?? []) });
				}}
				onblur={() => (typedItems = undefined)}></textarea>
		</div>
	{/if}
	<div class="flex flex-wrap gap-x-4 gap-y-3">
		{#if form && form.spans.length > 1}
			<Choice
				label="Lies on"
				value={wish.span ?? 'any'}
				options={spans}
				onchange={(span) => edit({ span: span === 'any' ? undefined : span })}
			/>
		{/if}
		{#if has('cell')}
			<NumberField
				label="Cell across"
				value={wish.cell?.w}
				placeholder={facts?.cell ? String(facts.cell.w) : 'auto'}
				least={1}
				most={40}
				unit="squares"
				optional
				onchange={(value) => cell('w', value)}
			/>
			<NumberField
				label="Cell down"
				value={wish.cell?.h}
				placeholder={facts?.cell ? String(facts.cell.h) : 'auto'}
				least={1}
				most={40}
				unit="squares"
				optional
				onchange={(value) => cell('h', value)}
			/>
		{/if}
		{#if has('square')}
			<NumberField
				label="Squares a day"
				value={wish.cell?.w}
				placeholder={facts?.cell ? String(facts.cell.w) : 'auto'}
				least={1}
				most={10}
				optional
				onchange={(value) => edit({ cell: value ? { w: value, h: value } : undefined })}
			/>
		{/if}
		{#if has('split') && wish.span !== 'page'}
			<NumberField
				label="Columns left of the fold"
				value={wish.split}
				placeholder={facts?.split ? String(facts.split[0]) : 'auto'}
				least={1}
				most={6}
				optional
				onchange={(split) => edit({ split })}
			/>
		{/if}
		{#if has('across')}
			<NumberField
				label="Side by side"
				value={wish.across}
				placeholder={facts?.across ? String(facts.across) : 'auto'}
				least={1}
				most={20}
				optional
				onchange={(across) => edit({ across })}
			/>
		{/if}
		{#if has('lineHeight')}
			<NumberField
				label="From line to line"
				value={wish.lineHeight}
				placeholder={facts?.lineHeight ? String(facts.lineHeight) : 'auto'}
				least={1}
				most={20}
				unit="squares"
				optional
				onchange={(lineHeight) => edit({ lineHeight })}
			/>
		{/if}
		{#if has('letter')}
			<NumberField
				label="Letters wide"
				value={wish.letter}
				placeholder={facts?.letter ? String(facts.letter) : 'auto'}
				least={1}
				most={60}
				unit="squares"
				optional
				onchange={(letter) => edit({ letter })}
			/>
		{/if}
		{#if has('gap')}
			<NumberField
				label="Gap"
				value={wish.gap}
				placeholder={facts?.gap ? String(facts.gap) : 'auto'}
				least={1}
				most={20}
				unit="squares"
				optional
				onchange={(gap) => edit({ gap })}
			/>
		{/if}
	</div>
	<Choice
		label="How much it matters"
		value={wish.importance ?? 'want'}
		options={importances}
		onchange={(importance) => edit({ importance })}
	/>
	<div class="flex gap-2">
		<button class="button text-sm" onclick={() => desk.move(wish.id, -1)}>Move up</button>
		<button class="button text-sm" onclick={() => desk.move(wish.id, 1)}>Move down</button>
	</div>
</div>
