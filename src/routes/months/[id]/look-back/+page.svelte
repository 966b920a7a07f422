<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import { page } from '$app/state';
	import { keptIn } from '$lib/core/next';
	import { blocksOn } from '$lib/core/page';
	import { monthShape, formatMonth } from '$lib/core/month';
	import {
		cashOf,
		measuredIn,
		moneyText,
		surprisesOf,
		tallyOf,
		together,
		trackersOf,
		type Tally,
		type Tracker
	} from '$lib/core/records';
	import Choice from '$lib/ui/fields/Choice.svelte';
	import { getMonthDesk } from '$lib/ui/month/month-desk.svelte';
	import { blockName } from '$lib/ui/month/block-name';
	import PhotographRow from '$lib/ui/records/PhotographRow.svelte';
	import { followChoice } from '$lib/ui/records/colour-mode.svelte';
	import {
		leastWords,
		surpriseWords,
		togetherWords,
		totalWords
	} from '$lib/ui/records/tally-words';
	import { openedRecords } from '$lib/ui/records/records-desk.svelte';
	import NextMonth from '$lib/ui/records/NextMonth.svelte';
	import Notices from '$lib/ui/shell/Notices.svelte';
	import { tintStyle } from '$lib/ui/page/theme-style';
	import TallyView from '$lib/ui/records/TallyView.svelte';
	import YearView from '$lib/ui/records/YearView.svelte';
	import { monthWords } from '$lib/ui/words';

	let { data } = $props();
	const current = getMonthDesk();
	const desk = $derived(current());
	let over = $state<'month' | 'year' | 'next'>(
		untrack(() => (page.url.searchParams.get('over') === 'next' ? 'next' : 'month'))
	);
	let asked = $state(false);
	const opened = openedRecords(
		() => desk.id,
		() => data.entries
	);
	const records = $derived(opened());
	const entries = $derived([...records.known.values()]);

	onMount(followChoice);

	const shape = $derived(monthShape(desk.plan.month, desk.plan.weekStart));
	const month = $derived(formatMonth(desk.plan.month));
	const title = $derived(monthWords(desk.plan.month));
	/** A month that is kept only to some day is due until then. */
	const until = $derived(
		Math.max(0, ...entries.map(({ about }) => Number(/(?:^|&)day=(\d+)/.exec(about)?.[1] ?? 0)))
	);
	const kept = $derived(
		trackersOf(desk.plan, desk.run).flatMap((tracker): { tracker: Tracker; tally: Tally }[] => {
			const tally = tallyOf(tracker, entries, {
				month: shape,
				hand: desk.plan.hand,
				until: until || shape.days
			});
			return tally ? [{ tracker, tally }] : [];
		})
	);
	/** The same things in the month before. */
	const before = $derived.by((): ReadonlyMap<string, Tally> => {
		const [last] = data.lately;
		return new Map(
			last
				? keptIn(last.plan, last.run, last.entries).map(({ tracker, tally }) => [
						tracker.wish.id,
						tally
					])
				: []
		);
	});
	const filled = $derived(new Set(entries.map(({ wish }) => wish)));
	const shown = $derived(kept.filter(({ tracker }) => filled.has(tracker.wish.id)));
	const cash = $derived(cashOf(shown));
	const empty = $derived(kept.filter(({ tracker }) => !filled.has(tracker.wish.id)));
	const mostSurprises = 2;
	const surprises = $derived(
		surprisesOf(
			shown.map(({ tracker, tally }) => ({
				name: tracker.name,
				now: tally,
				before: before.get(tracker.wish.id)
			}))
		)
	);
	const lastMonth = $derived(data.lately[0] ? monthWords(data.lately[0].plan.month) : '');
	/** Pages on which a month's totals are gathered. */
	const reviews = $derived(
		kept.filter(({ tracker }) => ['month-review', 'cash-page'].includes(tracker.wish.kind))
	);
	const totals = $derived(
		shown.flatMap(({ tracker, tally }) => {
			const [first] = tracker.pages;
			return totalWords(tracker.name, tally, desk.plan.locale).map((words) => ({ first, words }));
		})
	);
	const pairs = $derived.by(() => {
		if (!asked) return undefined;
		const habits = shown.flatMap(({ tally }) =>
			tally.of === 'marks'
				? tally.rows.map(({ item: { name, begins, ends }, days }) => ({ name, days, begins, ends }))
				: []
		);
		return together(habits, measures);
	});
	const measures = $derived(shown.flatMap(({ tracker, tally }) => measuredIn(tracker.name, tally)));
	/** States are steps from one to the next in the key. */
	const unitOf = (name: string) => {
		const measure = measures.find((one) => one.name === name);
		return measure?.levels ? 'steps of the key' : measure?.unit;
	};
	const sensitive = $derived(
		shown.some(({ tally }) => ['levels', 'times', 'numbers', 'rows'].includes(tally.of))
	);
</script>

<svelte:head><title>Look back on {title} · Horarium</title></svelte:head>

<main id="main" class="mx-auto w-full max-w-7xl min-w-0 flex-1 px-5 py-4">
	<div class="flex flex-wrap items-center gap-x-6 gap-y-2 pb-3">
		<h1 class="text-3xl">
			{over === 'next' ? `After ${title}` : `Look back on ${over === 'month' ? title : data.year}`}
		</h1>
		<span class="print:hidden">
			<Choice
				label="Over"
				value={over}
				options={[
					{ value: 'month', label: 'the month' },
					{ value: 'year', label: `the year ${data.year}` },
					{ value: 'next', label: 'what comes next' }
				]}
				onchange={(chosen) => (over = chosen)}
			/>
		</span>
		<button class="button ml-auto print:hidden" onclick={() => print()}>Print</button>
	</div>
	{#if over === 'next'}
		<NextMonth
			{desk}
			{records}
			{entries}
			lately={data.lately}
			next={data.next}
			yearly={data.yearly}
			books={data.books}
		/>
	{:else if over === 'year'}
		<YearView months={data.months} year={data.year} />
	{:else if shown.length === 0}
		<p class="max-w-lg py-8 text-lg">
			Nothing of {title} is filled in yet.
			<a class="underline" href="/months/{desk.id}/keep">Keep</a> is where that is done, and then this
			page tells what the month was like.
		</p>
	{:else}
		{#if surprises.length > 0}
			<section aria-label="What surprised" class="pb-4">
				{#each surprises.slice(0, mostSurprises) as surprise (surprise.name)}
					<p class="max-w-3xl font-serif text-2xl leading-snug">
						{surpriseWords(surprise, lastMonth)}
					</p>
				{/each}
			</section>
		{/if}
		<div style={tintStyle(desk.plan.theme)} class="grid gap-x-10 xl:grid-cols-2">
			{#each shown as { tracker, tally } (tracker.wish.id)}
				<TallyView
					{tracker}
					{tally}
					{shape}
					before={before.get(tracker.wish.id)}
					{month}
					locale={desk.plan.locale}
				/>
			{/each}
		</div>
		{#if cash}
			<section aria-label="In and out" class="border-t border-hairline py-4">
				<h2 class="text-2xl">In and out</h2>
				<p class="py-1">
					{moneyText(cash.income)} came in, {moneyText(cash.spending)} went out:
					<span class="font-serif text-rubric">{moneyText(cash.left)}</span>
					{cash.left >= 0
						? 'is carried over, the first line of next month’s income'
						: 'is missing, and carried over as next month’s first line'}.
				</p>
			</section>
		{/if}
		{#if reviews.length > 0}
			<section aria-label="To copy onto paper" class="border-t border-hairline py-4">
				<h2 class="text-2xl">To copy onto paper</h2>
				<p class="py-1 text-ink-soft">
					Each total goes beside its own tracker; for {reviews
						.map(({ tracker }) => `“${tracker.name}” on page ${tracker.pages.join(', ')}`)
						.join(' and ')} in short:
				</p>
				<ul class="columns-2 gap-10">
					{#each totals as { first, words }, at (at)}
						<li><span class="inline-block w-10 font-serif text-rubric">{first}</span>{words}</li>
					{/each}
				</ul>
			</section>
		{/if}
		<details class="border-t border-hairline py-4 print:hidden" bind:open={asked}>
			<summary class="cursor-pointer font-serif text-2xl">What went together</summary>
			{#if pairs}
				{#if pairs.looked === 0}
					<p class="py-1">
						That takes eight days with something and eight days without, beside a number for each.
					</p>
				{:else}
					{#if pairs.told.length === 0}
						<p class="py-1">
							Of {pairs.looked} pairs that were looked at none differs by more than chance does.
						</p>
					{:else}
						<ul class="py-1">
							{#each pairs.told as one, at (at)}
								<li>{togetherWords(one)}</li>
							{/each}
						</ul>
						<p class="text-sm text-ink-soft">{pairs.looked} pairs were looked at.</p>
					{/if}
					<p class="text-sm text-ink-soft">{leastWords(pairs.least, unitOf)}</p>
				{/if}
			{/if}
		</details>
		{#if empty.length > 0}
			<p class="border-t border-hairline py-4 text-ink-soft">
				Nothing was filled in under {empty.map(({ tracker }) => tracker.name).join(', ')}.
			</p>
		{/if}
	{/if}
	{#if over === 'month' && data.photographs.length > 0}
		<PhotographRow
			photographs={data.photographs}
			locale={desk.plan.locale}
			nameOf={({ page }) =>
				blocksOn(desk.run, page)
					.filter(({ host }) => !host)
					.map(blockName)
					.join(', ')}
		/>
	{/if}
	{#if sensitive}
		<p class="max-w-3xl border-t border-hairline pt-3 text-sm text-ink-soft">
			Records of mood, sleep and weight are for noticing patterns: they are no diagnosis, and
			records of spending are no advice on money. If something here worries you, talk to a doctor; a
			tracker that makes one anxious may be dropped.
		</p>
	{/if}
</main>
<Notices />
