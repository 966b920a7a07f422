<script lang="ts">
	import { lastPage } from '$lib/core/formats';
	import type { PageException, PageRange, PageState } from '$lib/core/paper';
	import Choice from '../fields/Choice.svelte';
	import NumberField from '../fields/NumberField.svelte';
	import type { NotebookKeeper } from '../keeping/notebook-keeper.svelte';
	import Select from '../fields/Select.svelte';

	let { keeper }: { keeper: NotebookKeeper } = $props();

	const notebook = $derived(keeper.notebook);
	const exceptions = $derived(notebook.pages ?? []);
	const faults = $derived(new Map(keeper.faults.map(({ path, message }) => [path, message])));

	type Tried = 'unknown' | 'yes' | 'no';
	const tried: { value: Tried; label: string }[] = [
		{ value: 'unknown', label: 'not tried' },
		{ value: 'yes', label: 'yes' },
		{ value: 'no', label: 'no' }
	];
	const states: { value: PageState; label: string }[] = [
		{ value: 'free', label: 'narrower' },
		{ value: 'spoilt', label: 'spoilt' },
		{ value: 'reserved', label: 'reserved' },
		{ value: 'drawn', label: 'drawn on' }
	];

	const triedOf = (bears: boolean | undefined): Tried =>
		bears === undefined ? 'unknown' : bears ? 'yes' : 'no';
	const bearsOf = (value: Tried) => (value === 'unknown' ? undefined : value === 'yes');

	function setRange(index: number, part: Partial<PageRange>) {
		keeper.change({
			freePages: notebook.freePages.map((range, at) =>
				at === index ? { ...range, ...part } : range
			)
		});
	}

	function addRange() {
		const last = notebook.freePages.at(-1)?.last ?? 0;
		keeper.change({ freePages: [...notebook.freePages, { first: last + 2, last: last + 11 }] });
	}

	function setPage(index: number, part: Partial<PageException>) {
		keeper.change({
			pages: exceptions.map((page, at) => (at === index ? { ...page, ...part } : page))
		});
	}

	function setState(index: number, state: PageState) {
		setPage(
			index,
			state === 'free'
				? { state: undefined, columns: Math.max(1, notebook.columns - 2) }
				: { state, columns: undefined }
		);
	}
</script>

<div class="flex flex-col gap-5">
	<h2 class="text-2xl">Pages of the book</h2>
	<NumberField
		label="Pages in the whole book"
		value={notebook.totalPages}
		least={1}
		most={lastPage}
		optional
		placeholder="unknown"
		onchange={(totalPages) => keeper.change({ totalPages })}
	/>
	<fieldset class="flex flex-col gap-2">
		<legend class="pb-1 text-sm text-ink-soft">Free pages</legend>
		{#each notebook.freePages as range, index (index)}
			<div class="flex flex-wrap items-end gap-3">
				<NumberField
					label="from page"
					value={range.first}
					least={1}
					most={lastPage}
					fault={faults.get(`freePages[${index}].first`)}
					onchange={(first) => first && setRange(index, { first })}
				/>
				<NumberField
					label="to page"
					value={range.last}
					least={1}
					most={lastPage}
					fault={faults.get(`freePages[${index}].last`)}
					onchange={(last) => last && setRange(index, { last })}
				/>
				{#if notebook.freePages.length > 1}
					<button
						class="button button-quiet"
						aria-label="Remove pages {range.first} to {range.last}"
						onclick={() =>
							keeper.change({ freePages: notebook.freePages.filter((_, at) => at !== index) })}
						>Remove</button
					>
				{/if}
			</div>
		{/each}
		<button class="button self-start text-sm" onclick={addRange}>More free pages</button>
	</fieldset>
	<fieldset class="flex flex-col gap-2">
		<legend class="pb-1 text-sm text-ink-soft">Pages that differ from the rest</legend>
		{#each exceptions as page, index (index)}
			<div class="flex flex-wrap items-end gap-3">
				<NumberField
					label="page"
					value={page.number}
					least={1}
					most={lastPage}
					onchange={(number) => number && setPage(index, { number })}
				/>
				<Select
					label="is"
					value={page.state ?? 'free'}
					options={states}
					onchange={(state) => setState(index, state)}
				/>
				{#if page.state === undefined}
					<NumberField
						label="squares across"
						value={page.columns ?? notebook.columns}
						least={1}
						most={notebook.columns}
						onchange={(columns) => columns && setPage(index, { columns })}
					/>
				{/if}
				<button
					class="button button-quiet"
					aria-label="Page {page.number} is like the rest"
					onclick={() => keeper.change({ pages: exceptions.filter((_, at) => at !== index) })}
					>Remove</button
				>
			</div>
		{/each}
		<button
			class="button self-start text-sm"
			onclick={() =>
				keeper.change({
					pages: [...exceptions, { number: notebook.freePages[0]?.first ?? 1, state: 'spoilt' }]
				})}>Add a page</button
		>
	</fieldset>
	<fieldset class="flex flex-wrap gap-4">
		<legend class="pb-1 text-sm text-ink-soft">Index at the front</legend>
		<NumberField
			label="lines it has"
			value={notebook.index?.lines}
			least={0}
			most={1000}
			optional
			onchange={(lines) =>
				keeper.change({
					index: lines === undefined ? undefined : { used: 0, ...notebook.index, lines }
				})}
		/>
		{#if notebook.index}
			<NumberField
				label="lines written on"
				value={notebook.index.used}
				least={0}
				most={1000}
				onchange={(used) =>
					used !== undefined &&
					notebook.index &&
					keeper.change({ index: { ...notebook.index, used } })}
			/>
		{/if}
	</fieldset>
	<fieldset class="flex flex-wrap gap-4">
		<legend class="pb-1 text-sm text-ink-soft">Paper</legend>
		<NumberField
			label="weight"
			value={notebook.paper?.weight}
			least={20}
			most={600}
			unit="g/m²"
			optional
			onchange={(weight) => keeper.change({ paper: { ...notebook.paper, weight } })}
		/>
		<Choice
			label="takes light paint"
			value={triedOf(notebook.paper?.bearsPaint)}
			options={tried}
			onchange={(value) =>
				keeper.change({ paper: { ...notebook.paper, bearsPaint: bearsOf(value) } })}
		/>
		<Choice
			label="takes alcohol ink"
			value={triedOf(notebook.paper?.bearsAlcoholInk)}
			options={tried}
			onchange={(value) =>
				keeper.change({ paper: { ...notebook.paper, bearsAlcoholInk: bearsOf(value) } })}
		/>
	</fieldset>
</div>
