<script lang="ts">
	import { stepOf, usual, type Cut } from '$lib/core/cuts';
	import Choice from '../fields/Choice.svelte';
	import NumberField from '../fields/NumberField.svelte';
	import Check from '../fields/Check.svelte';

	interface Props {
		cut: Cut;
		page: { readonly rows: number };
		onchange: (cut: Cut) => void;
	}
	/** The measures of a cut in figures. */
	let { cut, page, onchange }: Props = $props();

	const hasAmount = $derived(['strip', 'top', 'bottom', 'corner'].includes(cut.kind));
	const inSteps = $derived(cut.kind === 'tab' || cut.kind === 'waterfall');
	const amount = $derived(
		cut.amount ??
			(cut.kind === 'strip'
				? usual.strip
				: cut.kind === 'corner'
					? usual.corner
					: Math.floor(page.rows / 3))
	);
	const tab = $derived(cut.size ?? usual.tab);
</script>

<div class="grid grid-cols-2 gap-x-3 gap-y-1">
	<NumberField
		label="From front page"
		value={cut.leaves.first}
		least={1}
		most={2000}
		onchange={(first = 1) => onchange({ ...cut, leaves: { ...cut.leaves, first } })}
	/>
	<NumberField
		label="To front page"
		value={cut.leaves.last}
		least={1}
		most={2000}
		onchange={(last = 1) => onchange({ ...cut, leaves: { ...cut.leaves, last } })}
	/>
	{#if hasAmount}
		<NumberField
			label={cut.kind === 'corner' ? 'Radius' : 'Squares off'}
			value={amount}
			least={1}
			most={300}
			onchange={(value) => onchange({ ...cut, amount: value })}
		/>
	{/if}
	{#if cut.kind === 'tab'}
		<NumberField
			label="Tab, wide"
			value={tab.w}
			least={1}
			most={100}
			onchange={(w = 1) => onchange({ ...cut, size: { ...tab, w } })}
		/>
		<NumberField
			label="Tab, high"
			value={tab.h}
			least={1}
			most={100}
			onchange={(h = 1) => onchange({ ...cut, size: { ...tab, h } })}
		/>
		<NumberField
			label="Leaf cut back by"
			value={cut.depth}
			placeholder="only below"
			least={tab.w}
			most={300}
			optional
			onchange={(depth) => onchange({ ...cut, depth })}
		/>
	{/if}
	{#if cut.kind === 'tab'}
		<NumberField
			label="First tab at row"
			value={cut.from ?? 0}
			least={0}
			most={300}
			onchange={(from) => onchange({ ...cut, from: from || undefined })}
		/>
	{/if}
	{#if inSteps}
		<NumberField
			label={cut.kind === 'tab' ? 'Next one lower by' : 'Next one wider by'}
			value={stepOf(cut)}
			least={1}
			most={100}
			onchange={(step) => onchange({ ...cut, step })}
		/>
	{/if}
	{#if cut.rect}
		{@const rect = cut.rect}
		<NumberField
			label="From the left"
			value={rect.x}
			least={0}
			most={300}
			onchange={(x = 0) => onchange({ ...cut, rect: { ...rect, x } })}
		/>
		<NumberField
			label="From the top"
			value={rect.y}
			least={0}
			most={300}
			onchange={(y = 0) => onchange({ ...cut, rect: { ...rect, y } })}
		/>
		<NumberField
			label="Wide"
			value={rect.w}
			least={1}
			most={300}
			onchange={(w = 1) => onchange({ ...cut, rect: { ...rect, w } })}
		/>
		<NumberField
			label="High"
			value={rect.h}
			least={1}
			most={300}
			onchange={(h = 1) => onchange({ ...cut, rect: { ...rect, h } })}
		/>
	{/if}
</div>
{#if cut.kind === 'tab' && cut.depth !== undefined}
	<Choice
		label="Shape"
		value={cut.tabShape ?? 'square'}
		options={[
			{ value: 'square', label: 'square' },
			{ value: 'pointed', label: 'pointed' },
			{ value: 'round', label: 'round' }
		]}
		onchange={(tabShape) => onchange({ ...cut, tabShape })}
	/>
{/if}
{#if cut.kind === 'window'}
	<Choice
		label="Shape"
		value={cut.shape ?? 'rectangle'}
		options={[
			{ value: 'rectangle', label: 'rectangle' },
			{ value: 'hexagon', label: 'six corners' },
			{ value: 'octagon', label: 'eight corners' },
			{ value: 'circle', label: 'circle' },
			{ value: 'arch', label: 'arch' }
		]}
		onchange={(shape) => onchange({ ...cut, shape })}
	/>
{/if}
{#if cut.kind === 'outline'}
	{@const points = cut.points ?? []}
	<p class="flex flex-wrap gap-2">
		<button
			class="button min-h-8"
			onclick={() => {
				const [first, last] = [points[0], points.at(-1)];
				if (!first || !last) return;
				const between = {
					x: Math.round((first.x + last.x) / 2),
					y: Math.round((first.y + last.y) / 2) + 1
				};
				onchange({ ...cut, points: [...points, between] });
			}}>Add a point</button
		>
		<button
			class="button min-h-8"
			disabled={points.length <= 3}
			onclick={() => onchange({ ...cut, points: points.slice(0, -1) })}
			>Remove the last point</button
		>
	</p>
{/if}
{#if cut.kind !== 'glue'}
	<Check
		label="keep the last leaf whole"
		checked={cut.lastUncut ?? false}
		onchange={(lastUncut) => onchange({ ...cut, lastUncut })}
	/>
	<Check
		label="leave the ruled line on the page"
		checked={cut.leaveLine ?? false}
		onchange={(leaveLine) => onchange({ ...cut, leaveLine })}
	/>
{/if}
