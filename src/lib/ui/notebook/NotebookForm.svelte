<script lang="ts">
	import { checked, lastPage, notebookSchema } from '$lib/core/formats';
	import { mostSquares, presets, type Notebook, type NotebookPreset } from '$lib/core/paper';
	import NumberField from '../fields/NumberField.svelte';
	import TextField from '../fields/TextField.svelte';
	import NotebookPicture from './NotebookPicture.svelte';

	interface Props {
		notebook: Notebook;
		/** Whether the range of free pages is asked for here. */
		withPages?: boolean;
		/** Whether the empty notebook is shown beside. */
		pictured?: boolean;
		onchange: (notebook: Notebook) => void;
	}
	let { notebook, withPages = true, pictured = true, onchange }: Props = $props();

	const checkedNotebook = $derived(checked(notebookSchema, notebook));
	const faults = $derived(
		new Map(
			checkedNotebook.ok ? [] : checkedNotebook.faults.map((fault) => [fault.path, fault.message])
		)
	);
	const range = $derived(notebook.freePages[0] ?? { first: 1, last: 1 });
	const across = $derived(mostSquares(notebook.pageMm.width, notebook.pitchMm));
	const down = $derived(mostSquares(notebook.pageMm.height, notebook.pitchMm));

	const fault = (path: string) => faults.get(path);
	const change = (part: Partial<Notebook>) => onchange({ ...notebook, ...part });

	function isPreset(preset: NotebookPreset['paper']) {
		return (
			preset.pageMm.width === notebook.pageMm.width &&
			preset.pageMm.height === notebook.pageMm.height &&
			preset.pitchMm === notebook.pitchMm &&
			preset.columns === notebook.columns &&
			preset.rows === notebook.rows
		);
	}
</script>

<div class={pictured ? 'grid gap-8 md:grid-cols-[minmax(22rem,30rem)_1fr]' : ''}>
	<div class="flex flex-col gap-4">
		<TextField
			label="What you call it"
			value={notebook.name}
			fault={fault('name')}
			onchange={(name) => change({ name })}
		/>
		<fieldset class="flex flex-wrap gap-2">
			<legend class="pb-1 text-sm text-ink-soft">Start from a usual size</legend>
			{#each presets as { id, paper } (id)}
				<button
					type="button"
					class="button flex-col items-start gap-0 py-1.5 aria-pressed:border-calm aria-pressed:bg-chosen"
					aria-pressed={isPreset(paper)}
					onclick={() =>
						change({
							pageMm: paper.pageMm,
							pitchMm: paper.pitchMm,
							columns: paper.columns,
							rows: paper.rows
						})}
				>
					<span class="font-serif text-lg leading-tight">{paper.name}</span>
					<span class="text-sm"
						>{paper.pageMm.width} × {paper.pageMm.height} mm, {paper.columns} × {paper.rows} squares</span
					>
				</button>
			{/each}
		</fieldset>
		<div class="flex flex-wrap gap-x-5 gap-y-3">
			<NumberField
				label="Page width"
				value={notebook.pageMm.width}
				least={20}
				most={1000}
				whole={false}
				unit="mm"
				fault={fault('pageMm.width')}
				onchange={(width) => width && change({ pageMm: { ...notebook.pageMm, width } })}
			/>
			<NumberField
				label="Page height"
				value={notebook.pageMm.height}
				least={20}
				most={1000}
				whole={false}
				unit="mm"
				fault={fault('pageMm.height')}
				onchange={(height) => height && change({ pageMm: { ...notebook.pageMm, height } })}
			/>
			<NumberField
				label="From dot to dot"
				value={notebook.pitchMm}
				least={1}
				most={50}
				whole={false}
				unit="mm"
				fault={fault('pitchMm')}
				onchange={(pitchMm) => pitchMm && change({ pitchMm })}
			/>
		</div>
		<div class="flex flex-wrap gap-x-5 gap-y-3">
			<NumberField
				label="Squares across"
				value={notebook.columns}
				least={1}
				most={200}
				fault={fault('columns')}
				onchange={(columns) => columns && change({ columns })}
			/>
			<NumberField
				label="Squares down"
				value={notebook.rows}
				least={1}
				most={300}
				fault={fault('rows')}
				onchange={(rows) => rows && change({ rows })}
			/>
			<p class="self-end pb-1.5 text-sm text-ink-soft">
				This page holds up to {across} × {down}. Count squares, not dots: {notebook.columns} squares touch
				{notebook.columns + 1} dots.
			</p>
		</div>
		{#if withPages}
			<div class="flex flex-wrap gap-x-5 gap-y-3">
				<NumberField
					label="First free page"
					value={range.first}
					least={1}
					most={lastPage}
					fault={fault('freePages[0].first')}
					onchange={(first) =>
						first && change({ freePages: [{ ...range, first }, ...notebook.freePages.slice(1)] })}
				/>
				<NumberField
					label="Last free page"
					value={range.last}
					least={1}
					most={lastPage}
					fault={fault('freePages[0].last')}
					onchange={(last) =>
						last && change({ freePages: [{ ...range, last }, ...notebook.freePages.slice(1)] })}
				/>
				<p class="self-end pb-1.5 text-sm text-ink-soft">Odd pages are right-hand pages.</p>
			</div>
		{/if}
	</div>
	{#if pictured}<div class="min-w-0"><NotebookPicture {notebook} /></div>{/if}
</div>
