<script lang="ts">
	import { goto, invalidate } from '$app/navigation';
	import { toast } from 'svelte-sonner';
	import type { Plan, Run } from '$lib/core/fit';
	import { addMonths, formatMonth } from '$lib/core/month';
	import {
		carried,
		keptIn,
		review,
		undated,
		verdicts,
		type Proposal,
		type Verdict
	} from '$lib/core/next';
	import { freeAfter } from '$lib/core/paper';
	import type { Entry } from '$lib/core/records';
	import { allWishes, type Wish } from '$lib/core/wish';
	import Check from '../fields/Check.svelte';
	import Select from '../fields/Select.svelte';
	import type { MonthDesk } from '../month/month-desk.svelte';
	import SpreadPicture from '../page/SpreadPicture.svelte';
	import { spreadOf } from '$lib/core/paper';
	import { send, textOf, troubleOf } from '../send';
	import { monthWords } from '../words';
	import { tallyWords } from './tally-words';

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
		lately: readonly Month[];
		next: Planned | undefined;
	}
	/** What the look through the old pages decides: line by line, each change with its sum and what it costs in pages. */
	let { desk, entries, lately, next }: Props = $props();

	let own = $state.raw<Readonly<Record<string, Verdict>>>({});
	/** Proposals that are taken although they are not by themselves, and the other way round. */
	let turned = $state.raw<readonly string[]>([]);
	let trouble = $state<string>();
	let shown = $state<string>();
	let runs = $state.raw<Readonly<Record<string, Run>>>({});
	/** What the next month comes to without any change. */
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
	const proposals = $derived([...found.proposals, ...carried(desk.plan, desk.run, entries)]);
	/** What the next month begins with: its own wishes where it is planned, else these ones without their dates. */
	const base = $derived(
		next?.record.wishes ??
			desk.wishes.map((wish) => undated(wish, desk.plan.month, month, desk.plan.locale))
	);
	const held = $derived(new Set(allWishes(base).map(({ id }) => id)));
	/** What the next month does not hold is brought along first, where it is asked for. */
	const apply = $derived(
		proposals
			.map((proposal) => (held.has(proposal.wish) ? proposal : broughtAlong(proposal)))
			.filter(({ change }) => JSON.stringify(change(base)) !== JSON.stringify(base))
	);
	const isTaken = (proposal: Proposal) => held.has(proposal.wish) !== turned.includes(proposal.id);
	const taken = $derived(apply.filter(isTaken));
	const wishes = $derived(taken.reduce((all, { change }) => change(all), base));
	const plan = $derived<Plan>(
		next?.plan ?? {
			notebook: freeAfter(desk.plan.notebook, desk.run.pages.at(-1)?.number ?? 0),
			month,
			weekStart: desk.plan.weekStart,
			hand: desk.plan.hand,
			locale: desk.plan.locale,
			aim: desk.plan.aim,
			wishes: base,
			...(desk.plan.titles ? { titles: desk.plan.titles } : {}),
			...(desk.plan.theme ? { theme: desk.plan.theme } : {})
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
	$effect(() => {
		if (!baseRun) return;
		const asked = { base, all: wishes, each: apply };
		let gone = false;
		void (async () => {
			const known: Record<string, Run> = {};
			const add = async (name: string, wanted: readonly Wish[]) => {
				const run = gone ? undefined : await planned(wanted);
				if (run && !gone) {
					known[name] = run;
					runs = { ...known };
				}
			};
			await add('all', asked.all);
			for (const { id, change } of asked.each) await add(id, change(asked.base));
		})();
		return () => (gone = true);
	});

	function pagesWords(run: Run | undefined): string {
		const before = baseRun;
		if (!run || !before) return '…';
		const by = run.pagesUsed - before.pagesUsed;
		const lost = run.unplaced.length - before.unplaced.length;
		if (lost > 0) return 'finds no place';
		if (by === 0) return 'no page more';
		return by > 0
			? `${by} ${by === 1 ? 'page' : 'pages'} more`
			: `saves ${-by} ${by === -1 ? 'page' : 'pages'}`;
	}

	/** The spread on which a wish's block stands in a run. */
	function spreadWith(run: Run | undefined, wish: string) {
		const page = run?.blocks.find((block) => block.wish === wish)?.pieces[0].page;
		return page === undefined ? undefined : spreadOf(page);
	}

	async function plant() {
		trouble = undefined;
		const { weekStart, aim, titles, theme } = desk.month;
		const answer = next
			? await send('PUT', `/app/months/${next.record.id}`, contentOf(next, wishes))
			: await send('POST', '/app/months', {
					notebookId: desk.notebookId,
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
					await send('PUT', `/app/months/${before.record.id}`, back);
					await invalidate('horarium:month');
				}
			}
		});
	}

	function contentOf({ record }: Planned, changed: readonly Wish[]) {
		const { id: _, deleted: __, ...content } = { deleted: false, ...record };
		return { ...content, wishes: changed };
	}

	const words: Record<Verdict, string> = {
		keep: 'keep',
		smaller: 'smaller',
		larger: 'larger',
		rest: 'let it rest'
	};
	const options = [
		{ value: 'evidence' as const, label: 'as the records say' },
		...verdicts.map((value) => ({ value, label: words[value] }))
	];
</script>

<section aria-label="What {title} should hold" class="py-2">
	<p class="pb-3">
		{next
			? `${title} is planned already; what is ticked changes it.`
			: `${title} begins with the pages of this month, without their dates; what is ticked changes them.`}
	</p>
	{#if apply.length === 0}
		<p class="py-2 text-ink-soft">Nothing needs to change, as far as the records say.</p>
	{/if}
	<ul class="flex flex-col">
		{#each apply as proposal (proposal.id)}
			<li class="border-t border-hairline py-2">
				<div class="flex flex-wrap items-baseline gap-x-4">
					<span class="font-serif text-xl">
						<Check
							label={proposal.what}
							checked={isTaken(proposal)}
							onchange={() =>
								(turned = turned.includes(proposal.id)
									? turned.filter((id) => id !== proposal.id)
									: [...turned, proposal.id])}
						/>
					</span>
					<span class="ml-auto text-sm whitespace-nowrap text-ink-soft"
						>{pagesWords(runs[proposal.id])}</span
					>
				</div>
				<p class="pl-7 text-ink-soft">{proposal.why}</p>
				<p class="pl-7 text-sm">
					<button
						class="underline decoration-hairline underline-offset-4 hover:decoration-ink"
						aria-expanded={shown === proposal.id}
						onclick={() => (shown = shown === proposal.id ? undefined : proposal.id)}
						>Before and after</button
					>
				</p>
				{#if shown === proposal.id}
					<div class="grid gap-6 py-2 pl-7 md:grid-cols-2">
						{#each [{ name: 'Before', run: baseRun, of: base }, { name: 'After', run: runs[proposal.id], of: proposal.change(base) }] as { name, run, of } (name)}
							{@const spread = spreadWith(run, proposal.wish)}
							<figure>
								<figcaption class="text-sm text-ink-soft">{name}</figcaption>
								{#if run && spread}
									<SpreadPicture
										plan={{ ...plan, wishes: of }}
										{run}
										{spread}
										label="{name}: pages {spread.left} and {spread.right}"
									/>
								{:else}
									<p class="py-2">{run ? 'It is not there.' : 'It is being drawn …'}</p>
								{/if}
							</figure>
						{/each}
					</div>
				{/if}
			</li>
		{/each}
	</ul>
	<p class="flex flex-wrap items-center gap-4 border-t border-hairline py-4">
		<button
			class="button button-main"
			disabled={next !== undefined && taken.length === 0}
			onclick={plant}>{next ? `Change ${title} so` : `Plan ${title} so`}</button
		>
		{#if next}<a class="button" href="/months/{next.record.id}">Open {title}</a>{/if}
		<span role="status" class="text-ink-soft">
			{#if runs.all}
				{runs.all.pagesUsed} pages{baseRun && baseRun.pagesUsed !== runs.all.pagesUsed
					? ` instead of ${baseRun.pagesUsed}`
					: ''}{runs.all.unplaced.length > 0
					? `; ${runs.all.unplaced.length} of its wishes find no place`
					: '; everything fits'}.
			{:else}
				Pages are being counted …
			{/if}
		</span>
	</p>
	{#if trouble}<p role="alert" class="bg-caution-ground px-3 py-2">{trouble}</p>{/if}
	<h2 class="pt-4 pb-1 text-xl">Line by line</h2>
	<p class="pb-2 text-sm text-ink-soft">
		What you say goes before what the records say; letting something rest is as good as keeping it.
	</p>
	{#each last as { tracker, tally } (tracker.wish.id)}
		{@const why = found.unchanged.find(({ wish }) => wish === tracker.wish.id)?.why}
		<div class="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-hairline py-1.5">
			<Select
				label={tracker.name}
				beside
				value={own[tracker.wish.id] ?? 'evidence'}
				{options}
				onchange={(value) => {
					const others = Object.fromEntries(
						Object.entries(own).filter(([id]) => id !== tracker.wish.id)
					);
					own = value === 'evidence' ? others : { ...others, [tracker.wish.id]: value };
				}}
			/>
			<span class="min-w-0 flex-1 basis-56 text-sm text-ink-soft"
				>{tallyWords(tally, desk.plan.locale)[0] ?? 'Nothing was kept.'}
				{why ?? ''}</span
			>
		</div>
	{/each}
</section>
