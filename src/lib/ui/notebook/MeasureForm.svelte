<script lang="ts">
	import { contradictions, geometryOf, mm } from '$lib/core/paper';
	import NumberField from '../fields/NumberField.svelte';
	import { measuresOf } from './measures';
	import type { NotebookKeeper } from '../keeping/notebook-keeper.svelte';
	import NotebookPicture from './NotebookPicture.svelte';

	let { keeper }: { keeper: NotebookKeeper } = $props();

	const notebook = $derived(keeper.notebook);
	const measures = $derived(measuresOf(notebook));
	const found = $derived(contradictions(notebook));
	const geometry = $derived(geometryOf(notebook));
	/** The measure whose field has the focus is shown strongest. */
	let active = $state('A');
</script>

<div class="grid gap-8 lg:grid-cols-[26rem_1fr]">
	<div class="flex flex-col gap-4">
		<p>
			Open the book flat in the middle. Count squares, not dots, and lay a ruler with millimetres
			where the letters stand in the picture.
		</p>
		<div class="flex flex-wrap gap-x-5 gap-y-3">
			<NumberField
				label="Page width"
				onfault={(wrong) => keeper.mark('Page width', wrong)}
				value={notebook.pageMm.width}
				least={20}
				most={1000}
				whole={false}
				unit="mm"
				onchange={(width) => width && keeper.change({ pageMm: { ...notebook.pageMm, width } })}
			/>
			<NumberField
				label="Page height"
				onfault={(wrong) => keeper.mark('Page height', wrong)}
				value={notebook.pageMm.height}
				least={20}
				most={1000}
				whole={false}
				unit="mm"
				onchange={(height) => height && keeper.change({ pageMm: { ...notebook.pageMm, height } })}
			/>
			<NumberField
				label="Squares across"
				onfault={(wrong) => keeper.mark('Squares across', wrong)}
				value={notebook.columns}
				least={1}
				most={200}
				onchange={(columns) => columns && keeper.change({ columns })}
			/>
			<NumberField
				label="Squares down"
				onfault={(wrong) => keeper.mark('Squares down', wrong)}
				value={notebook.rows}
				least={1}
				most={300}
				onchange={(rows) => rows && keeper.change({ rows })}
			/>
		</div>
		<ol class="flex flex-col gap-2">
			{#each measures as measure (measure.letter)}
				<li class="flex items-end gap-3" onfocusin={() => (active = measure.letter)}>
					<span
						class="w-6 pb-1 text-center font-serif text-xl {active === measure.letter
							? 'text-rubric'
							: ''}">{measure.letter}</span
					>
					<NumberField
						label={measure.label}
						value={measure.value}
						least={measure.least}
						most={measure.most}
						whole={false}
						unit="mm"
						placeholder="not yet"
						optional={measure.optional}
						onfault={(wrong) => keeper.mark(measure.letter, wrong)}
						onchange={(value) => keeper.change(measure.set(value))}
					/>
				</li>
			{/each}
		</ol>
	</div>
	<div class="flex min-w-0 flex-col gap-4">
		<NotebookPicture {notebook}>
			{#snippet overlay(page)}
				{#each measures.filter((measure) => (measure.page === 'left') === (page % 2 === 0)) as measure (measure.letter)}
					{@const strong = measure.letter === active}
					<line
						x1={measure.from.x}
						y1={measure.from.y}
						x2={measure.to.x}
						y2={measure.to.y}
						class={strong ? 'stroke-rubric' : 'stroke-ink'}
						stroke-width={strong ? 0.3 : 0.16}
					/>
					<circle
						cx={measure.tag.x}
						cy={measure.tag.y}
						r="1"
						class="fill-paper {strong ? 'stroke-rubric' : 'stroke-ink'}"
						stroke-width="0.1"
					/>
					<text
						x={measure.tag.x}
						y={measure.tag.y + 0.45}
						font-size="1.3"
						text-anchor="middle"
						class="font-serif {strong ? 'fill-rubric' : 'fill-ink'}">{measure.letter}</text
					>
				{/each}
			{/snippet}
		</NotebookPicture>
		{#each found as { severity, message }, index (index)}
			<p role="status" class="border-l-4 border-caution bg-caution-ground px-3 py-2">
				<strong
					>{severity === 'impossible' ? 'That cannot be.' : 'Measured twice, two answers.'}</strong
				>
				{message}
			</p>
		{/each}
		<dl class="grid grid-cols-[auto_1fr] gap-x-5 gap-y-1">
			<dt>From dot to dot</dt>
			<dd><strong class="text-rubric">{mm(notebook.pitchMm)}</strong></dd>
			<dt>Gutter</dt>
			<dd>
				<strong class="text-rubric">{mm(geometry.gutterMm)}</strong>, that is {Math.round(
					geometry.gutterSquares * 100
				) / 100} squares; across the fold it is counted as
				<span class="inline-block align-middle"
					><NumberField
						label="squares of the fold"
						value={notebook.gutter}
						least={0}
						most={20}
						onchange={(gutter) => gutter !== undefined && keeper.change({ gutter })}
					/></span
				>
			</dd>
			<dt>Front against back of a leaf</dt>
			<dd>
				<strong class="text-rubric">{mm(geometry.registerMm.x)}</strong> across,
				<strong class="text-rubric">{mm(geometry.registerMm.y)}</strong> down
			</dd>
		</dl>
	</div>
</div>
