<script lang="ts">
	import type { Snippet } from 'svelte';
	import { invalidate } from '$app/navigation';
	import { kindById } from '$lib/core/catalogue';
	import { unreadOf, pagesFor } from '$lib/core/fit';
	import { formById, type Form, type RuleValue, type Span } from '$lib/core/forms';
	import { withRule, type Importance, type Weeks, type Wish } from '$lib/core/wish';
	import { monthName } from '$lib/core/month';
	import { focusOn, hasFocus } from '../focus';
	import Check from '../fields/Check.svelte';
	import Choice from '../fields/Choice.svelte';
	import type { MonthDesk } from './month-desk.svelte';
	import CalendarFile from './CalendarFile.svelte';
	import ContentFields from './ContentFields.svelte';
	import AddField from './AddField.svelte';
	import HostFields from './HostFields.svelte';
	import GoalsInTime from './GoalsInTime.svelte';
	import FormChoice from './FormChoice.svelte';
	import KeepKind from './KeepKind.svelte';
	import PlaceFields from './PlaceFields.svelte';
	import RuleFields from './RuleFields.svelte';
	import WeeksFields from './WeeksFields.svelte';
	import WhatIf from './WhatIf.svelte';

	interface Props {
		desk: MonthDesk;
		wish: Wish;
		host?: Wish;
		/** Where it lies on the opened spread, in figures. */
		position?: Snippet;
	}
	let { desk, wish, host, position }: Props = $props();

	const kind = $derived(kindById(wish.kind));
	const blocks = $derived(desk.run.blocks.filter((block) => block.wish === wish.id));
	const unread = $derived(unreadOf(desk.plan, wish.id, blocks));
	/** Of a set a whole week: a short one is ruled apart. */
	const block = $derived(blocks.find(({ as }) => !as.part?.short) ?? blocks[0]);
	const form = $derived(formById(wish.form ?? block?.form ?? kind?.forms[0] ?? ''));

	const importances: { value: Importance; label: string }[] = [
		{ value: 'must', label: 'must' },
		{ value: 'want', label: 'if possible' },
		{ value: 'spare', label: 'only if there is room' }
	];
	const spans: { value: Span | 'any'; label: string }[] = [
		{ value: 'any', label: 'as fits' },
		{ value: 'page', label: 'one page' },
		{ value: 'spread', label: 'both pages' }
	];
	const often = [
		{ value: 'once', label: 'once' },
		{ value: 'weekly', label: 'every week' }
	] as const;
	/** A page of one's own may come every week, with the dates of its week in the title. */
	const mayRepeat = $derived(!host && !kind?.start.weeks && form?.id === 'composed');
	const everyWeek: Weeks = $derived({
		belong: 'middle-day',
		short: 'own',
		pagesPerWeek: wish.span === 'spread' ? 2 : 1
	});
	/** What follows from the set of weeks, from the title or from the page it lies on. */
	const settled = $derived([
		...(wish.weeks ? ['week', 'page'] : []),
		...(wish.title ? [] : ['titleStyle']),
		...(wish.span === 'page' ? ['split'] : [])
	]);
	// What has just been added is where the hand goes on, unless it went on elsewhere while its pages were looked for.
	$effect(() => {
		if (!desk.entersSettings) return;
		desk.entersSettings = false;
		if (!hasFocus())
			void focusOn('[aria-label="Settings of this wish"] :is(input, textarea, button)');
	});

	/** Who rules a form wants it: from then on the wish keeps to it. */
	function rule(form: Form, name: string, value: RuleValue | undefined) {
		const rules = withRule(wish.rules, form.id, name, value);
		edit(wish.weeks ? { rules } : { rules, form: form.id });
	}

	/** A week's form may need other pages than the set has. */
	function ruleAs(fields: Partial<Wish>) {
		const { weeks } = wish;
		if (!weeks || !fields.form) return edit(fields);
		edit({
			...fields,
			weeks: { ...weeks, pagesPerWeek: pagesFor(fields.form, weeks.pagesPerWeek) }
		});
	}

	const edit = (fields: Partial<Wish>) => desk.edit(wish.id, fields);
</script>

<div class="flex flex-col gap-3 pb-4" role="group" aria-label="Settings of this wish">
	<section class="flex flex-col gap-3" aria-label="Layout">
		{#if mayRepeat}
			<Choice
				label="How often"
				value={wish.weeks ? 'weekly' : 'once'}
				options={often}
				onchange={(how) => edit({ weeks: how === 'weekly' ? everyWeek : undefined })}
			/>
		{/if}
		{#if wish.weeks}<WeeksFields {desk} {wish} weeks={wish.weeks} />{/if}
		<FormChoice {wish} {form} onchange={ruleAs} />
		{#if form}
			<RuleFields
				{form}
				rules={wish.rules?.[form.id] ?? {}}
				facts={block?.facts}
				without={settled}
				onchange={(name, value) => rule(form, name, value)}
			/>
		{/if}
		<WhatIf {desk} {wish} />
	</section>
	{#if form && form.content.length > 0}
		<section class="flex flex-col gap-3 border-t border-hairline pt-2" aria-label="What it holds">
			<ContentFields
				content={wish}
				{form}
				rules={wish.rules?.[form.id] ?? {}}
				plan={desk.plan}
				name="{desk.id} {wish.id}"
				untitled={wish.kind === 'cover' ? monthName(desk.plan.locale, desk.plan.month) : 'none'}
				onchange={edit}
			/>
			{#each unread as { field, says } (field)}
				<p class="bg-caution-ground px-2 py-1 text-sm">
					{says[0]?.toUpperCase()}{says.slice(1)}.
				</p>
			{/each}
			{#if form.content.includes('goals')}
				<GoalsInTime {desk} {wish} />
			{/if}
			{#if form.content.includes('events')}
				<CalendarFile {desk} {wish} />
			{/if}
		</section>
	{/if}
	{#if form?.rooms}<AddField {desk} host={wish} />{/if}
	<details class="border-t border-hairline pt-2">
		<summary class="cursor-pointer">Place and priority</summary>
		<div class="flex flex-wrap gap-x-4 gap-y-3 pt-2">
			{#if !wish.weeks && form && form.spans.length > 1 && !host}
				<Choice
					label="Pages"
					value={wish.span ?? 'any'}
					options={spans}
					onchange={(span) => edit({ span: span === 'any' ? undefined : span })}
				/>
			{/if}
			{#if !wish.weeks && !host}<PlaceFields {desk} {wish} />{/if}
			{#if !wish.weeks}<HostFields {desk} {wish} {host} />{/if}
			<Choice
				label="Priority"
				value={wish.importance ?? 'want'}
				options={importances}
				onchange={(importance) => edit({ importance })}
			/>
		</div>
		{@render position?.()}
	</details>
	<details class="border-t border-hairline pt-2">
		<summary class="cursor-pointer">More</summary>
		<div class="flex flex-col items-start gap-3 pt-2">
			<Check
				label="Printed and pasted in, not drawn"
				checked={wish.pasted ?? false}
				onchange={(pasted) => edit({ pasted: pasted || undefined })}
			/>
			<KeepKind {wish} onkeep={() => invalidate('horarium:month')} />
			<div class="flex flex-wrap gap-2">
				<button class="button text-sm" onclick={() => desk.move(wish.id, -1)}>Move up</button>
				<button class="button text-sm" onclick={() => desk.move(wish.id, 1)}>Move down</button>
				<button class="button text-sm" onclick={() => desk.duplicate(wish.id)}>Duplicate</button>
				<button class="button text-sm" onclick={() => desk.remove(wish.id)}>Remove</button>
			</div>
		</div>
	</details>
</div>
