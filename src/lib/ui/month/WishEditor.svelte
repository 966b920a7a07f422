<script lang="ts">
	import { kindById } from '$lib/core/catalogue';
	import { formById, type Importance, type Wish } from '$lib/core/forms';
	import { monthName } from '$lib/core/month';
	import Choice from '../fields/Choice.svelte';
	import type { MonthDesk } from './month-desk.svelte';
	import CalendarFile from './CalendarFile.svelte';
	import FormChoice from './FormChoice.svelte';
	import PlaceFields from './PlaceFields.svelte';
	import WeeksFields from './WeeksFields.svelte';
	import WhatIf from './WhatIf.svelte';
	import WishFields from './WishFields.svelte';

	let { desk, wish }: { desk: MonthDesk; wish: Wish } = $props();

	const kind = $derived(kindById(wish.kind));
	const block = $derived(desk.run.blocks.find((block) => block.wish === wish.id));
	const form = $derived(formById(wish.form ?? block?.form ?? kind?.forms[0] ?? ''));

	const importances: { value: Importance; label: string }[] = [
		{ value: 'must', label: 'must' },
		{ value: 'want', label: 'want' },
		{ value: 'spare', label: 'if there is room' }
	];
	const edit = (fields: Partial<Wish>) => desk.edit(wish.id, fields);
</script>

<div class="flex flex-col gap-3 pr-2 pb-4 pl-8" role="group" aria-label="Settings of this wish">
	<FormChoice {wish} {form} onchange={edit} />
	{#if form}
		<WishFields
			{wish}
			{form}
			facts={block?.facts}
			plan={desk.plan}
			name="{desk.id} {wish.id}"
			untitled={wish.kind === 'cover' ? monthName(desk.plan.locale, desk.plan.month) : 'none'}
			onchange={edit}
		/>
	{/if}
	{#if wish.weeks}
		<WeeksFields {desk} {wish} weeks={wish.weeks} />
	{/if}
	{#if form?.fields.includes('events')}
		<CalendarFile {desk} {wish} />
	{/if}
	<Choice
		label="How much it matters"
		value={wish.importance ?? 'want'}
		options={importances}
		onchange={(importance) => edit({ importance })}
	/>
	{#if !wish.weeks}<PlaceFields {desk} {wish} />{/if}
	<WhatIf {desk} {wish} />
	<div class="flex gap-2">
		<button class="button text-sm" onclick={() => desk.move(wish.id, -1)}>Move up</button>
		<button class="button text-sm" onclick={() => desk.move(wish.id, 1)}>Move down</button>
	</div>
</div>
