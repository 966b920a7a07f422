<script lang="ts">
	import { monthWords } from '$lib/ui/words';
	import { goto, invalidateAll } from '$app/navigation';
	import { untrack } from 'svelte';
	import { formatMonth, nextToPlan, parseMonth } from '$lib/core/month';
	import { undated, withYearly } from '$lib/core/next';
	import { toast } from 'svelte-sonner';
	import { page } from '$app/state';
	import { anotherBook, bookOptions } from '$lib/ui/notebook/book-options';
	import MonthField from '$lib/ui/fields/MonthField.svelte';
	import Select from '$lib/ui/fields/Select.svelte';
	import KeepAsSet from '$lib/ui/month/KeepAsSet.svelte';
	import YearlyThings from '$lib/ui/month/YearlyThings.svelte';
	import ImportPlan from '$lib/ui/share/ImportPlan.svelte';
	import { send, textOf, troubleOf } from '$lib/ui/send';
	import { deleteWithUndo, setDeleted } from '$lib/ui/undo-toast';
	import Notices from '$lib/ui/shell/Notices.svelte';

	let { data } = $props();

	const today = new Date();
	let month = $state(
		untrack(
			() =>
				askedFor() ??
				formatMonth(
					nextToPlan(
						data.all.flatMap((entry) => parseMonth(entry.month) ?? []),
						{ year: today.getFullYear(), month: today.getMonth() + 1 }
					)
				)
		)
	);
	/** A month that another screen asks for. */
	function askedFor(): string | undefined {
		const asked = page.url.searchParams.get('month') ?? '';
		return parseMonth(asked) && asked;
	}
	let trouble = $state<string>();
	const wanted = $derived(parseMonth(month));

	const beginnings = $derived([
		...data.all
			.map(({ id, month }) => ({ value: id, label: `the wishes of ${monthWords(month)}` }))
			.reverse(),
		...data.sets
			.filter(({ deleted }) => !deleted)
			.map(({ id, name }) => ({ value: id, label: `the set “${name}”` })),
		{ value: 'nothing', label: 'nothing' }
	]);

	function ask(name: 'from' | 'book', value: string) {
		const asked = { ...Object.fromEntries(page.url.searchParams), [name]: value };
		const query = Object.entries(asked).map((one) => one.map(encodeURIComponent).join('='));
		void goto(`?${query.join('&')}`, { replaceState: true, keepFocus: true, noScroll: true });
	}

	function chooseBook(id: string) {
		if (id === anotherBook) void goto(`/notebooks/new?month=${month}`);
		else ask('book', id);
	}

	/** A month's wishes under a name, to begin others with. */
	async function keepAsSet(monthId: string, name: string) {
		const answer = await send('POST', '/app/sets', { monthId, name });
		trouble = answer.kind === 'ok' ? undefined : troubleOf(answer);
		if (answer.kind !== 'ok') return;
		await invalidateAll();
		toast(`Kept as the set “${name}”.`);
	}

	async function plan() {
		if (!data.notebookId || !wanted) return goto('/welcome');
		const { begin } = data;
		const from = begin && parseMonth(begin.month);
		const kept = from ? begin.wishes.map((wish) => undated(wish, from, wanted, data.locale)) : [];
		const answer = await send('POST', '/app/months', {
			notebookId: data.notebookId,
			month,
			weekStart: begin?.weekStart ?? 'monday',
			aim: begin?.aim ?? 'balanced',
			titles: begin?.titles,
			theme: begin?.theme,
			wishes: withYearly(kept, data.yearly, wanted)
		});
		if (answer.kind === 'ok')
			return goto(`/months/${textOf(answer.body, 'id')}`, { invalidateAll: true });
		trouble = troubleOf(answer);
	}
</script>

<svelte:head><title>Months · Horarium</title></svelte:head>

<main id="main" class="mx-auto w-full max-w-5xl flex-1 px-5 py-6">
	<h1 class="pb-4 text-3xl">Months</h1>
	<div class="flex flex-wrap items-end gap-3 border-y border-hairline bg-sheet px-4 py-3">
		<MonthField label="Plan another month" value={month} onchange={(next) => (month = next)} />
		<button class="button button-main" disabled={!wanted} onclick={plan}>
			Plan {wanted ? monthWords(wanted) : 'it'}
		</button>
		{#if data.notebookId}
			<Select
				label="In the book"
				value={data.notebookId}
				options={bookOptions(data.notebooks)}
				onchange={chooseBook}
			/>
			<Select
				label="It starts with"
				value={data.from}
				options={beginnings}
				onchange={(from) => ask('from', from)}
			/>
		{/if}
	</div>
	{#if trouble}<p role="alert" class="mt-3 bg-caution-ground px-3 py-2">{trouble}</p>{/if}
	{#if data.all.length === 0}
		<p class="py-4">No month is planned yet.</p>
	{/if}
	<ul>
		{#each data.all as entry (entry.id)}
			<li class="group flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-hairline py-4">
				<a
					href="/months/{entry.id}"
					class="flex min-w-0 flex-1 flex-wrap items-center gap-x-6 gap-y-2"
				>
					<span class="w-44">
						<span class="block font-serif text-xl">{monthWords(entry.month)}</span>
						<span class="text-ink-soft">{entry.notebook}</span>
					</span>
					<span class="flex h-24 min-w-0 gap-1 overflow-hidden" aria-hidden="true">
						{#await data.strips then strips}
							{#each strips[entry.id] ?? [] as page (page)}
								<img
									class="aspect-[0.7] h-full bg-print object-cover object-top"
									loading="lazy"
									src="/app/months/{entry.id}/plan.svg?page={page}"
									alt=""
								/>
							{/each}
						{/await}
					</span>
				</a>
				<KeepAsSet month={monthWords(entry.month)} onkeep={(name) => keepAsSet(entry.id, name)} />
				<button
					class="button button-quiet"
					aria-label="Delete {monthWords(entry.month)}"
					onclick={() =>
						deleteWithUndo(`/app/months/${entry.id}`, monthWords(entry.month), invalidateAll)}
					>Delete</button
				>
			</li>
		{/each}
	</ul>
	{#if data.sets.some(({ deleted }) => !deleted)}
		<h2 class="pt-8 pb-2 text-xl">Sets to begin with</h2>
		<ul>
			{#each data.sets.filter(({ deleted }) => !deleted) as { id, name } (id)}
				<li class="flex items-center gap-4 border-b border-hairline py-2">
					<span class="flex-1 font-serif text-lg">{name}</span>
					<button
						class="button button-quiet"
						aria-label="Delete the set {name}"
						onclick={() => deleteWithUndo(`/app/sets/${id}`, name, invalidateAll)}>Delete</button
					>
				</li>
			{/each}
		</ul>
	{/if}
	{#if data.notebookId}<YearlyThings yearly={data.yearly} />{/if}
	{#if data.deleted.length > 0}
		<h2 class="pt-8 pb-2 text-xl">Deleted</h2>
		<ul>
			{#each data.deleted as entry (entry.id)}
				<li class="flex items-center gap-4 py-1">
					<span class="text-ink-soft">{monthWords(entry.month)}</span>
					<button
						class="button min-h-8"
						aria-label="Bring back {monthWords(entry.month)}"
						onclick={() => setDeleted(`/app/months/${entry.id}`, false, invalidateAll)}
						>Bring back</button
					>
				</li>
			{/each}
		</ul>
	{/if}
	{#if data.setAside.length > 0}
		<h2 class="pt-8 pb-2 text-xl">Set aside</h2>
		<p>These cannot be read. They stay in the database as they are; everything else works.</p>
		<ul class="list-disc pl-5">
			{#each data.setAside as { what, id, name, reason } (id)}
				<li>
					The {what} “{what === 'month' ? monthWords(name) : name}”: {reason}.
				</li>
			{/each}
		</ul>
	{/if}
	<div class="pt-8">
		<ImportPlan notebooks={data.notebooks} />
	</div>
</main>
<Notices />
