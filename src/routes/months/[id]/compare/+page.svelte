<script lang="ts">
	import { monthWords } from '$lib/ui/words';
	import { planOf, summaryOf, type Plan, type Run } from '$lib/core/fit';
	import { addMonths, formatMonth, parseMonth } from '$lib/core/month';
	import { plannablePages, presets, spreadOf, type Notebook, type Spread } from '$lib/core/paper';
	import { compareLines } from '$lib/ui/month/compare-lines';
	import { getMonthDesk } from '$lib/ui/month/month-desk.svelte';
	import MonthField from '$lib/ui/fields/MonthField.svelte';
	import Select from '$lib/ui/fields/Select.svelte';
	import SpreadPicture from '$lib/ui/page/SpreadPicture.svelte';

	let { data } = $props();
	const current = getMonthDesk();
	const desk = $derived(current());

	/** Pages of a new notebook that are counted on (common practice: about 190 to 250). */
	const newPages = 200;

	/** Where else the wishes could go: this book as it is, other kept ones, and the usual new ones. */
	const books = $derived<{ id: string; name: string; notebook: Notebook }[]>([
		{ id: 'this', name: desk.plan.notebook.name, notebook: desk.plan.notebook },
		...data.notebooks
			.filter(({ id }) => id !== desk.notebookId)
			.map(({ id, notebook }) => ({ id, name: notebook.name, notebook })),
		...presets.map(({ id, paper }) => ({
			id: `new ${id}`,
			name: `${paper.name}, new`,
			notebook: { ...paper, freePages: [{ first: 2, last: newPages }] }
		}))
	]);
	let book = $state<string>();
	let month = $state<string>();
	const chosenBook = $derived(
		books.find(({ id }) => id === book) ??
			books.find(({ notebook }) => notebook.columns !== desk.plan.notebook.columns) ??
			books[0]
	);
	const chosenMonth = $derived(month ?? formatMonth(desk.plan.month));

	interface Column {
		readonly plan: Plan;
		readonly run: Run | 'waiting' | 'failed';
	}
	let columns = $state.raw<readonly Column[]>([]);
	let asked: readonly Plan[] = [];

	const plans = $derived.by((): Plan[] => {
		const wishes = desk.wishes.map((wish) => ({ ...wish, pin: undefined }));
		const { locale, hand, aim } = desk.plan;
		const kept = {
			month: formatMonth(desk.plan.month),
			weekStart: desk.month.weekStart,
			aim,
			wishes
		};
		const own = planOf(kept, desk.plan.notebook, { locale, hand });
		if (!chosenBook || !parseMonth(chosenMonth)) return [own];
		return [own, planOf({ ...kept, month: chosenMonth }, chosenBook.notebook, { locale, hand })];
	});

	$effect(() => {
		const wanted = plans;
		if (!desk.opened) return;
		asked = wanted;
		columns = wanted.map((plan) => ({ plan, run: 'waiting' }));
		for (const [index, plan] of wanted.entries())
			void desk.runOf(plan)?.then(
				(run) => settle(wanted, index, run ?? 'failed'),
				() => settle(wanted, index, 'failed')
			);
	});

	function settle(wanted: readonly Plan[], index: number, run: Column['run']) {
		if (asked !== wanted) return;
		columns = columns.map((column, at) => (at === index ? { ...column, run } : column));
	}

	const spreadsOf = (run: Run): Spread[] => [
		...new Map(
			run.pages.map(({ number }) => [spreadOf(number).left, spreadOf(number)] as const)
		).values()
	];

	const rows = $derived(
		compareLines(
			columns.map(({ plan, run }) =>
				typeof run === 'string'
					? undefined
					: { summary: summaryOf(run), free: plannablePages(plan.notebook).length }
			)
		)
	);
</script>

<svelte:head><title>Compare · {monthWords(desk.plan.month)} · Horarium</title></svelte:head>

<main id="main" class="mx-auto w-full max-w-6xl flex-1 px-5 py-6">
	<h1 class="pb-1 text-3xl">The same wishes elsewhere</h1>
	<p class="max-w-2xl pb-4">
		See what these {desk.wishes.length} wishes come to in another book or another month, before you buy
		the one or begin the other. Nothing is changed here; what is pinned to a page may move.
	</p>
	<div class="flex flex-wrap items-end gap-4 border-y border-hairline bg-sheet px-4 py-3">
		<Select
			label="Notebook"
			value={chosenBook?.id ?? ''}
			options={books.map(({ id, name }) => ({ value: id, label: name }))}
			onchange={(id) => (book = id)}
		/>
		<MonthField label="Month" value={chosenMonth} onchange={(next) => (month = next)} />
		<button
			class="button"
			onclick={() =>
				(month = formatMonth(addMonths(parseMonth(chosenMonth) ?? desk.plan.month, 1)))}
			>Next month</button
		>
	</div>
	<table class="mt-5 w-full table-fixed border-collapse">
		<thead>
			<tr class="border-b border-ink-soft text-left align-bottom">
				<td class="w-20 sm:w-40"></td>
				{#each columns as { plan }, index (index)}
					<th scope="col" class="py-2 pr-4 font-serif text-lg font-medium">
						{monthWords(plan.month)}
						<span class="block font-sans text-sm text-ink-soft"
							>{index === 0 ? desk.plan.notebook.name : chosenBook?.name}, {plan.notebook.columns} × {plan
								.notebook.rows} squares</span
						>
					</th>
				{/each}
			</tr>
		</thead>
		<tbody>
			<tr class="border-b border-hairline align-top">
				<th scope="row" class="py-3 pr-4 text-left font-normal text-ink-soft">Its pages</th>
				{#each columns as { plan, run }, index (index)}
					<td class="py-3 pr-4">
						{#if typeof run !== 'string'}
							<ul class="flex flex-wrap gap-2">
								{#each spreadsOf(run) as spread (spread.left)}
									<li style:width="min(100%, {plan.notebook.pageMm.width / 1.25}px)">
										<SpreadPicture
											{plan}
											{run}
											{spread}
											label="Pages {spread.left} and {spread.right}"
										/>
									</li>
								{/each}
							</ul>
						{/if}
					</td>
				{/each}
			</tr>
			{#each rows as { label, values, counted } (label)}
				<tr class="border-b border-hairline">
					<th scope="row" class="py-2 pr-4 text-left font-normal text-ink-soft">{label}</th>
					{#each values as value, index (index)}
						<td class="py-2 pr-4 {counted ? 'font-serif text-xl text-rubric' : ''}"
							>{value ?? (columns[index]?.run === 'failed' ? 'not worked out' : '…')}</td
						>
					{/each}
				</tr>
			{/each}
		</tbody>
	</table>
	<p class="pt-5"><a class="button" href="/months/{desk.id}">Back to the month</a></p>
</main>
