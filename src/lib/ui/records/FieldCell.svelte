<script lang="ts">
	import type { FieldMark } from '$lib/core/draw';
	import { valueText } from '$lib/core/records';

	interface Props {
		field: FieldMark;
		value: string;
		/** What stands for done, as the page says it. */
		done: string | undefined;
		label: string;
		/** The keyboard is here. */
		current: boolean;
		locale: string;
		onpick: () => void;
	}
	/** A field of a drawn page with what was filled in, as a pen would have done it. */
	let { field, value, done, label, current, locale, onpick }: Props = $props();

	const { x, y, w, h } = $derived(field);
	const least = $derived(Math.min(w, h));
	const outline = $derived(
		field.beyond === undefined
			? `M${x} ${y}h${w}v${h}h${-w}Z`
			: `M${x - field.beyond} ${y + h / 2}L${x} ${y}L${x + w} ${y}L${x + w + field.beyond} ${y + h / 2}L${x + w} ${y + h}L${x} ${y + h}Z`
	);
	const middle = $derived({ x: x + w / 2, y: y + h / 2 });
	const written = $derived(
		['mark', 'level', 'tick'].includes(field.holds) && !/^\d+$/.test(value)
			? ''
			: field.holds === 'level'
				? ''
				: valueText(field.holds, value, locale)
	);
	/** As large as a line, or as fits: two letters to the square. */
	const size = $derived(
		Math.min(0.95, h * 0.95, written.length > 0 ? (w / written.length) * 2.1 : 1)
	);
</script>

<g
	role="button"
	tabindex={current ? 0 : -1}
	aria-label="{label}: {value || 'empty'}"
	data-field={current ? 'current' : undefined}
	class="cursor-pointer outline-none"
	onpointerdown={(event) => {
		event.preventDefault();
		onpick();
	}}
>
	<path
		d={outline}
		class={current ? 'stroke-calm' : 'stroke-transparent'}
		stroke-width="0.22"
		fill-opacity={field.holds === 'level' ? 1 : 0.75}
		style:fill={field.holds === 'level' && value
			? `var(--tint-level-${value})`
			: field.holds === 'mark' && value === 'x' && (done ?? 'filled') === 'filled'
				? 'var(--tint-bar)'
				: 'transparent'}
	/>
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
				d="M{middle.x - least * 0.3} {middle.y}l{least * 0.22} {least * 0.28}l{least *
					0.4} {-least * 0.6}"
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
</g>
