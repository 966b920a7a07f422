<script lang="ts">
	import type { FieldMark } from '$lib/core/draw';
	import { reachOf, readTimes, stretchesOf, valueText } from '$lib/core/records';

	interface Props {
		field: FieldMark;
		value: string;
		/** What stands for done, as the page says it. */
		done: string | undefined;
		locale: string;
	}
	/** What was filled into a field, as a pen would have done it. */
	let { field, value, done, locale }: Props = $props();

	const { x, y, w, h } = $derived(field);
	const least = $derived(Math.min(w, h));
	const middle = $derived({ x: x + w / 2, y: y + h / 2 });
	/** Along a scale a value is a bar. */
	const bars = $derived.by(() => {
		const { scale, holds } = field;
		if (!scale || value === '') return [];
		if (holds === 'times') return stretchesOf(scale, readTimes(value) ?? []);
		const number = Number(value);
		return holds === 'number' && Number.isFinite(number)
			? [{ from: 0, to: reachOf(scale, number) }]
			: [];
	});
	const written = $derived(
		bars.length > 0 ||
			field.holds === 'level' ||
			(['mark', 'tick'].includes(field.holds) && !/^\d+$/.test(value))
			? ''
			: valueText(field.holds, value, locale)
	);
	/** As large as a line, or as fits: two letters to the square. */
	const size = $derived(
		Math.min(0.95, h * 0.95, written.length > 0 ? (w / written.length) * 2.1 : 1)
	);
</script>

{#each bars as { from, to } (from)}
	<rect
		x={x + from}
		y={y + 0.12 * h}
		width={to - from}
		height={0.76 * h}
		style:fill="var(--tint-bar)"
		class="stroke-ink"
		stroke-width="0.06"
		pointer-events="none"
	/>
{/each}
{#if field.holds === 'level' && value && field.about.day !== undefined}
	<text
		x={middle.x}
		y={middle.y + 0.3}
		font-size="0.8"
		text-anchor="middle"
		class="fill-ink font-hand"
		pointer-events="none">{field.about.day}</text
	>
{/if}
{#if field.holds === 'mark' || field.holds === 'tick'}
	{#if value === 'x' && done === 'circled'}
		<circle
			cx={middle.x}
			cy={middle.y}
			r={least * 0.42}
			class="fill-none stroke-ink"
			stroke-width="0.1"
		/>
	{:else if value === 'x' && done === 'dotted'}
		<circle cx={middle.x} cy={middle.y} r={least * 0.2} class="fill-ink" />
	{:else if value === 'x' && (done === 'crossed' || field.holds === 'tick')}
		<path
			d="M{middle.x - least * 0.35} {middle.y - least * 0.35}l{least * 0.7} {least *
				0.7}m0 {-least * 0.7}l{-least * 0.7} {least * 0.7}"
			class="fill-none stroke-ink"
			stroke-width="0.1"
		/>
	{:else if value === 'x' && done === 'ticked'}
		<path
			d="M{middle.x - least * 0.3} {middle.y}l{least * 0.22} {least * 0.28}l{least * 0.4} {-least *
				0.6}"
			class="fill-none stroke-ink"
			stroke-width="0.1"
		/>
	{:else if value === '-'}
		<line
			x1={middle.x - least * 0.3}
			x2={middle.x + least * 0.3}
			y1={y + h * 0.88}
			y2={y + h * 0.88}
			class="stroke-ink"
			stroke-width="0.1"
		/>
	{:else if value === 'o'}
		<circle
			cx={middle.x}
			cy={y + h * 0.85}
			r={least * 0.12}
			class="fill-none stroke-ink-soft"
			stroke-width="0.07"
		/>
	{/if}
{/if}
{#if written}
	<text
		x={x + 0.15}
		y={middle.y + size * 0.33}
		font-size={size}
		class="fill-calm font-hand"
		pointer-events="none">{written}</text
	>
{/if}
