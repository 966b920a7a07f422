<script lang="ts">
	import { goto, invalidate } from '$app/navigation';
	import { toast } from 'svelte-sonner';
	import type { Plan, Run } from '$lib/core/fit';
	import { addMonths, formatMonth } from '$lib/core/month';
	import {
		beginnings,
		calendarProposals,
		carried,
		effectOf,
		keptIn,
		nextPlan,
		placeable,
		review,
		undated,
		withYearly,
		type Proposal,
		type Verdict,
		type Yearly
	} from '$lib/core/next';
	import type { Notebook } from '$lib/core/paper';
	import type { Entry } from '$lib/core/records';
	import { allWishes, type Wish } from '$lib/core/wish';
	import type { MonthDesk } from '../month/month-desk.svelte';
	import Select from '../fields/Select.svelte';
	import { anotherBook, bookOptions } from '../notebook/book-options';
	import { send, textOf, troubleOf } from '../send';
	import { monthWords } from '../words';
	import LineByLine from './LineByLine.svelte';
	import ProposalRow from './ProposalRow.svelte';
	import type { RecordsDesk } from './records-desk.svelte';
	import WrittenReview from './WrittenReview.svelte';

	interface Month {
		readonly plan: Plan;
		readonly run: Run;
		readonly entries: readonly Entry[];
	}
	/** What is planned already of the month that comes next. */
	interface Planned {
		readonly record: {
			readonly id: string;
			readonly revision: number;
			readonly notebookId: string;
			readonly month: string;
			readonly wishes: readonly Wish[];
		};
		readonly plan: Plan;
	}
	interface Props {
		desk: MonthDesk;
		entries: readonly Entry[];
		records: RecordsDesk;
		lately: readonly Month[];
		next: Planned | undefined;
		yearly: readonly Yearly[];
		/** Books with what is free in them. */
		books: readonly { readonly id: string; readonly notebook: Notebook }[];
	}
	/** What the look through the old pages decides: line by line, each change with its sum and what it costs in pages. */
	let { desk, records, entries, lately, next, yearly, books }: Props = $props();

	/** The book that it is planned in, where that is another one than this month's. */
	let otherBook = $state<string>();
	const book = $derived(books.find(({ id }) => id === otherBook));

	let own = $state.raw<Readonly<Record<string, Verdict>>>({});
	/** Proposals that are taken although they are not by themselves, and the other way round. */
	let turned = $state.raw<readonly string[]>([]);
	let trouble = $state<string>();
	let runs = $state.raw<Readonly<Record<string, Run>>>({});
	/** What the next month comes to with all that is ticked. */
	let allRun = $state.raw<Run>();
	/** What it comes to without any change. */
	let baseRun = $state.raw<Run>();

	/** How large things are in the next month as it stands. */
	const sizes = $derived(
		new Map(baseRun?.blocks.map(({ wish, pieces: [{ rect }] }) => [wish, { w: rect.w, h: rect.h }]))
	);
	const last = $derived(keptIn(desk.plan, desk.run, entries));
	const month = $derived(addMonths(desk.plan.month, 1));
	const title = $derived(monthWords(month));
	const found = $derived(
		review(
			[last, ...lately.map(({ plan, run, entries }) => keptIn(plan, run, entries))],
			month,
			own,
			sizes
		)
	);
	const proposals = $derived([
		...found.proposals,
		...calendarProposals(desk.plan, desk.run),
		...carried(desk.plan, desk.run, entries)
	]);
	const begins = $derived(beginnings(desk.plan, desk.run, entries));
	/** What the next month begins with: its own wishes where it is planned, else these ones without their dates. */
	const base = $derived(
		next?.record.wishes ??
			withYearly(
				desk.wishes.map((wish) => undated(wish, desk.plan.month, month, desk.plan.locale)),
				yearly,
				month
			)
	);
	const held = $derived(new Set(allWishes(base).map(({ id }) => id)));
	/** What the next month does not hold is brought along first, where it is asked for. */
	const apply = $derived(
		proposals
			.map((proposal) => (held.has(proposal.wish) ? proposal : broughtAlong(proposal)))
			.filter(({ change }) => JSON.stringify(change(base)) !== JSON.stringify(base))
	);
	/** Those that cost nothing its place, one after the other; all of them until that is known. */
	let safe = $state.raw<readonly string[]>();
	const isTaken = ({ id, wish, leavesOut = false }: Proposal) =>
		(held.has(wish) && !leavesOut && (safe?.includes(id) ?? true)) !== turned.includes(id);
	/** With what they come to once that is worked out; those of which nothing would be drawn are none. */
	const offered = $derived(
		apply.flatMap((proposal): Proposal[] => {
			const run = runs[proposal.id];
			const effect = run && baseRun && effectOf(proposal, baseRun, run);
			if (!effect) return [proposal];
			return effect.what === undefined ? [] : [{ ...proposal, what: effect.what }];
		})
	);
	const taken = $derived(offered.filter(isTaken));
	const wishes = $derived(taken.reduce((all, { change }) => change(all), base));
	const plan = $derived<Plan>(
		next?.plan ?? {
			...nextPlan(desk.plan, desk.run),
			...(book ? { notebook: book.notebook } : {}),
			wishes: base
		}
	);

	function broughtAlong(proposal: Proposal): Proposal {
		const wish = desk.wishes.find(({ id }) => id === proposal.wish);
		if (!wish) return proposal;
		const along = undated(wish, desk.plan.month, month, desk.plan.locale);
		return {
			...proposal,
			what: `${proposal.what}; it is not in ${title} yet`,
			change: (wishes) => proposal.change([...wishes, along])
		};
	}

	/** What the month comes to with some wishes; worked out once for each. */
	async function planned(wanted: readonly Wish[]): Promise<Run | undefined> {
		return desk.runOf({ ...plan, wishes: wanted });
	}
	$effect(() => {
		if (!desk.opened) return;
		const asked = base;
		let gone = false;
		void planned(asked).then((run) => {
			if (run && !gone) baseRun = run;
		});
		return () => (gone = true);
	});
	/** What each of them alone comes to, one after the other; those that are ticked change nothing of it. */
	$effect(() => {
		if (!baseRun) return;
		const asked = { base, each: apply };
		let gone = false;
		void (async () => {
			for (const { id, change } of asked.each) {
				const run = gone ? undefined : await planned(change(asked.base));
				if (run && !gone) runs = { ...runs, [id]: run };
			}
		})();
		return () => (gone = true);
	});
	$effect(() => {
		if (!baseRun) return;
		let gone = false;
		const wanted = apply.filter(({ wish }) => held.has(wish));
		const lost = async (changed: readonly Wish[]) =>
			gone ? undefined : (await planned(changed))?.unplaced.length;
		void placeable(base, wanted, lost).then((ids) => {
			if (ids && !gone) safe = ids;
		});
		return () => (gone = true);
	});
	$effect(() => {
		if (!baseRun) return;
		let gone = false;
		void planned(wishes).then((run) => {
			if (run && !gone) allRun = run;
		});
		return () => (gone = true);
	});

	function chooseBook(id: string) {
		if (id === anotherBook) void goto(`/notebooks/new?month=${formatMonth(month)}`);
		else otherBook = id === desk.notebookId ? undefined : id;
	}

	async function plant() {
		trouble = undefined;
		const { weekStart, aim, titles, theme } = desk.month;
		const answer = next
			? await send('PUT', `/app/months/${next.record.id}`, contentOf(next, wishes))
			: await send('POST', '/app/months', {
					notebookId: book?.id ?? desk.notebookId,
					month: formatMonth(month),
					weekStart,
					aim,
					titles,
					theme,
					wishes
				});
		if (answer.kind !== 'ok') {
			trouble = troubleOf(answer);
			return;
		}
		if (!next) return goto(`/months/${textOf(answer.body, 'id')}`, { invalidateAll: true });
		const before = next;
		// The month as it is now needs none of them any more.
		const count = taken.length;
		await invalidate('horarium:month');
		toast(`${title} has ${count === 1 ? 'one change' : `${count} changes`} now.`, {
			action: {
				label: 'Undo',
				onClick: async () => {
					const revision = before.record.revision + 1;
					const back = { ...contentOf(before, before.record.wishes), revision };
					const undone = await send('PUT', `/app/months/${before.record.id}`, back);
					if (undone.kind !== 'ok') trouble = troubleOf(undone);
					await invalidate('horarium:month');
				}
			}
		});
	}

	function contentOf({ record }: Planned, changed: readonly Wish[]) {
		const { id: _, deleted: __, ...content } = { deleted: false, ...record };
		return { ...content, wishes: changed };
	}
</script>

<section aria-label="What {title} should hold" class="py-2">
	<p class="pb-3">
		{next
			? `${title} is planned already; what is ticked changes it.`
			: `${title} begins with the pages of this month, without their dates; what is ticked changes them.`}
	</p>
	{#if offered.length === 0}
		<p class="py-2 text-ink-soft">Nothing needs to change, as far as the records say.</p>
	{/if}
	<ul class="flex flex-col">
		{#each offered as proposal (proposal.id)}
			<ProposalRow
				{proposal}
				taken={isTaken(proposal)}
				onturn={() =>
					(turned = turned.includes(proposal.id)
						? turned.filter((id) => id !== proposal.id)
						: [...turned, proposal.id])}
				before={{ plan: { ...plan, wishes: base }, run: baseRun }}
				after={{ plan: { ...plan, wishes: proposal.change(base) }, run: runs[proposal.id] }}
			/>
		{/each}
	</ul>
	<p class="flex flex-wrap items-center gap-4 border-t border-hairline py-4">
		<button
			class="button button-main"
			disabled={next !== undefined && taken.length === 0}
			onclick={plant}>{next ? `Change ${title}` : `Plan ${title} with these changes`}</button
		>
		{#if !next}
			<Select
				label="In the book"
				value={book?.id ?? desk.notebookId}
				options={bookOptions(books)}
				onchange={chooseBook}
			/>
		{/if}
		{#if next}<a class="button" href="/months/{next.record.id}">Open {title}</a>{/if}
		<span role="status" class="text-ink-soft">
			{#if allRun}
				{allRun.pagesUsed} pages{baseRun && baseRun.pagesUsed !== allRun.pagesUsed
					? ` instead of ${baseRun.pagesUsed}`
					: ''}{allRun.unplaced.length > 0
					? `; ${allRun.unplaced.length} of its wishes find no place`
					: '; everything fits'}.
			{:else}
				Pages are being counted …
			{/if}
		</span>
	</p>
	{#if trouble}<p role="alert" class="bg-caution-ground px-3 py-2">{trouble}</p>{/if}
	{#if begins.length > 0}
		<h2 class="pt-2 pb-1 text-xl">First of all</h2>
		<ul class="pb-2">
			{#each begins as { name, value } (name)}
				<li>{name} begins with {value}, the last of {monthWords(desk.plan.month)}.</li>
			{/each}
		</ul>
	{/if}
	<LineByLine
		{records}
		kept={last}
		unchanged={found.unchanged}
		locale={desk.plan.locale}
		verdicts={own}
		onverdict={(wish, verdict) => {
			const others = Object.entries(own).filter(([id]) => id !== wish);
			own = Object.fromEntries(verdict ? [...others, [wish, verdict]] : others);
		}}
	/>
	<WrittenReview {records} title={monthWords(desk.plan.month)} />
</section>
